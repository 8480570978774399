"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { z } from "zod";
import { gaveUp, inTime, unreached } from "@/ui/ask-shop";
import { forgetInBrowser, jsonFrom, keepInBrowser, keptInBrowser } from "@/ui/browser-store";
import { keepDraft } from "./draft-action";
import { useJob } from "./job-context";

/** So long a copy that the shop has is still looked at, ms: a page that was on its way while it was saved does not show it yet. */
const ON_ITS_WAY_MS = 15_000;

/** After so long what did not reach the shop is sent again, ms; what was lost without a word is sent again at once. */
const AGAIN_MS = 4000;

/** So long an answer is waited for, ms. What asks on our behalf may lose a question when a screen is left, and a draft may be sent twice without harm. */
const LOST_MS = 5000;

/** What was kept, read by its schema; undefined: nothing was kept, or it is not of this form. */
function readAs<T>(schema: z.ZodType<T>, kept: unknown): T | undefined {
  if (kept === undefined || kept === null) return undefined;
  const read = schema.safeParse(kept);
  return read.success ? read.data : undefined;
}

/**
 * State that outlives the screen: kept in the browser at each change and in the shop a moment later, until it is set back to its empty value.
 * What the browser still holds wins over what the shop had when the page was made.
 *
 * @param kept what the shop had
 * @param schema what a draft of this field is; the same object at each render
 */
export function useDraft<T>(field: string, kept: unknown, schema: z.ZodType<T>, empty: T): [T, (next: T | ((now: T) => T)) => void] {
  const { number } = useJob();
  const key = `${number}:draft:${field}`;
  const emptyText = JSON.stringify(empty);
  const [value, setValue] = useState<T>(() => readAs(schema, kept) ?? empty);
  const latest = useRef(value);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const set = useCallback(
    (next: T | ((now: T) => T)): void => {
      const value = next instanceof Function ? next(latest.current) : next;
      latest.current = value;
      setValue(value);
      const text = JSON.stringify(value);
      const blank = text === emptyText;
      keepInBrowser(key, text);
      const send = (): void => {
        inTime(keepDraft({ number, field, value: blank ? null : value }), LOST_MS).then(
          () => savedInShop(key, text, blank),
          (e) => {
            // the browser has it meanwhile
            if (unreached(e) && keptInBrowser(key) === text) timer.current = setTimeout(send, gaveUp(e) ? 0 : AGAIN_MS);
          },
        );
      };
      clearTimeout(timer.current);
      timer.current = setTimeout(send, 250);
    },
    [number, field, key, emptyText],
  );
  useEffect(() => {
    const held = heldInBrowser(key);
    const value = readAs(schema, held?.draft);
    if (value === undefined) return;
    // what a screen left behind that was shut too early goes to the shop now
    if (held?.unsaved) return set(value);
    latest.current = value;
    setValue(value);
  }, [key, schema, set]);
  return [value, set];
}

/** Once the shop has it, the browser's copy has done its work, but for a page that was asked for before. */
function savedInShop(key: string, text: string, blank: boolean): void {
  if (keptInBrowser(key) !== text) return;
  forgetInBrowser(key);
  if (blank) forgetInBrowser(`saved:${key}`);
  else keepInBrowser(`saved:${key}`, JSON.stringify({ text, at: Date.now() }));
}

/** What is half typed in one field, or in several by name. */
export const typedText = z.string();
export const typedFields = z.record(z.string(), z.string());

const savedCopy = z.object({ text: z.string(), at: z.number() });

/** What the browser holds of a draft, and whether the shop has never had it; undefined: nothing that is still looked at. */
function heldInBrowser(key: string): { readonly draft: unknown; readonly unsaved: boolean } | undefined {
  const unsaved = jsonFrom(keptInBrowser(key));
  if (unsaved !== undefined) return { draft: unsaved, unsaved: true };
  const saved = savedCopy.safeParse(jsonFrom(keptInBrowser(`saved:${key}`)));
  if (!saved.success) return undefined;
  if (Date.now() - saved.data.at < ON_ITS_WAY_MS) return { draft: jsonFrom(saved.data.text), unsaved: false };
  forgetInBrowser(`saved:${key}`);
  return undefined;
}
