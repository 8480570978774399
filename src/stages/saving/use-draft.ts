"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { z } from "zod";
import { forgetInBrowser, jsonFrom, keepInBrowser, keptInBrowser } from "@/ui/browser-store";
import { carryDraft, draftKey } from "./draft-carrier";
import { useJob } from "./job-context";

/**
 * So long a copy that the shop has is still looked at, ms: a page that was on its way while it was saved does
 * not show it yet.
 */
const ON_ITS_WAY_MS = 15_000;

/** What was kept, read by its schema; undefined: nothing was kept, or it is not of this form. */
function readAs<T>(schema: z.ZodType<T>, kept: unknown): T | undefined {
  if (kept === undefined || kept === null) return undefined;
  const read = schema.safeParse(kept);
  return read.success ? read.data : undefined;
}

/**
 * State that outlives the screen: kept in the browser at each change and in the shop a moment later, until it
 * is set back to its empty value.
 * What the browser still holds wins over what the shop had when the page was made.
 *
 * @param kept what the shop had
 * @param schema what a draft of this field is; the same object at each render
 */
export function useDraft<T>(
  field: string,
  kept: unknown,
  schema: z.ZodType<T>,
  empty: T,
): [T, (next: T | ((now: T) => T)) => void] {
  const { number } = useJob();
  const key = draftKey(number, field);
  const emptyText = JSON.stringify(empty);
  const [value, setValue] = useState<T>(() => readAs(schema, kept) ?? empty);
  const latest = useRef(value);
  const set = useCallback(
    (next: T | ((now: T) => T)): void => {
      const value = next instanceof Function ? next(latest.current) : next;
      latest.current = value;
      setValue(value);
      const text = JSON.stringify(value);
      keepInBrowser(key, text);
      carryDraft({ number, field, text, blank: text === emptyText });
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

/** What is half typed in one field, or in several by name. */
export const typedText = z.string();
export const typedFields = z.record(z.string(), z.string());

const savedCopy = z.object({ text: z.string(), at: z.number() });

/**
 * What the browser holds of a draft, and whether the shop has never had it; undefined: nothing that is still
 * looked at.
 */
function heldInBrowser(key: string): { readonly draft: unknown; readonly unsaved: boolean } | undefined {
  const unsaved = jsonFrom(keptInBrowser(key));
  if (unsaved !== undefined) return { draft: unsaved, unsaved: true };
  const saved = savedCopy.safeParse(jsonFrom(keptInBrowser(`saved:${key}`)));
  if (!saved.success) return undefined;
  if (Date.now() - saved.data.at < ON_ITS_WAY_MS) return { draft: jsonFrom(saved.data.text), unsaved: false };
  forgetInBrowser(`saved:${key}`);
  return undefined;
}
