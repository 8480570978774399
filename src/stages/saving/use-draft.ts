"use client";

import { useEffect, useRef, useState } from "react";
import { keepDraft } from "./draft-action";
import { useJob } from "./job-context";

/** So long a copy that the shop has is still looked at, ms: a page that was on its way while it was saved does not show it yet. */
const ON_ITS_WAY_MS = 15_000;

/**
 * State that outlives the screen: kept in the browser at each change and in the shop a moment later, until it is set back to its empty value.
 * What the browser still holds wins over what the shop had when the page was made.
 */
export function useDraft<T>(field: string, kept: unknown, empty: T): [T, (next: T | ((now: T) => T)) => void] {
  const { number } = useJob();
  const key = `${number}:draft:${field}`;
  const [value, setValue] = useState<T>((kept as T | undefined) ?? empty);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => {
    const held = heldInBrowser(key);
    if (held !== undefined) setValue(held as T);
  }, [key]);
  const set = (next: T | ((now: T) => T)): void => {
    setValue((now) => {
      const value = typeof next === "function" ? (next as (now: T) => T)(now) : next;
      const text = JSON.stringify(value);
      const blank = text === JSON.stringify(empty);
      localStorage.setItem(key, text);
      clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        keepDraft({ number, field, value: blank ? null : value }).then(
          () => savedInShop(key, text, blank),
          () => undefined,
        );
      }, 250);
      return value;
    });
  };
  return [value, set];
}

/** Once the shop has it, the browser's copy has done its work, but for a page that was asked for before. */
function savedInShop(key: string, text: string, blank: boolean): void {
  if (localStorage.getItem(key) !== text) return;
  localStorage.removeItem(key);
  if (blank) localStorage.removeItem(`saved:${key}`);
  else localStorage.setItem(`saved:${key}`, JSON.stringify({ text, at: Date.now() }));
}

function heldInBrowser(key: string): unknown {
  const unsaved = localStorage.getItem(key);
  if (unsaved) return JSON.parse(unsaved);
  const saved = localStorage.getItem(`saved:${key}`);
  if (!saved) return undefined;
  const { text, at } = JSON.parse(saved) as { text: string; at: number };
  if (Date.now() - at < ON_ITS_WAY_MS) return JSON.parse(text);
  localStorage.removeItem(`saved:${key}`);
  return undefined;
}
