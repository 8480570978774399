"use client";

import { useLayoutEffect, useRef } from "react";
import { useLatest } from "./use-latest";

/**
 * The keys of a screen. One listener for all of them:
 *
 * - What is seen can be pressed: keys are listened to from the moment their button is drawn, not a frame
 *   later.
 * - Esc closes what is open: the field that is typed in, else the sheet that was opened last. It never leaves
 *   a job.
 * - Enter leaves a field of one line, so that the next Space is the main action and no blank.
 * - A letter, a figure or Space is a command unless something is being typed. Of two that answer to one key,
 *   the one that appeared last does.
 * - Commands of a single letter or figure can be switched off, for those whose keyboard is spoken to or who
 *   strike keys by mistake. Space, Enter, Esc and the arrows stay.
 */

interface Listening {
  readonly key: string;
  readonly press: () => void;
  /** what it does, for the list of keys */
  readonly says: () => string;
}

const listening: Listening[] = [];
const closing: (() => void)[] = [];

/** How a key is printed on its cap. */
const CAPS: Readonly<Record<string, string>> = {
  " ": "Space",
  Escape: "Esc",
  ArrowLeft: "←",
  ArrowRight: "→",
  ArrowUp: "↑",
  ArrowDown: "↓",
};
export const capOf = (key: string): string => CAPS[key] ?? (key.length === 1 ? key.toUpperCase() : key);

const isTyping = (t: EventTarget | null): t is HTMLElement =>
  t instanceof HTMLElement &&
  (t.isContentEditable ||
    /^(TEXTAREA|SELECT)$/.test(t.tagName) ||
    (t instanceof HTMLInputElement && !/^(button|checkbox|radio|submit|file|range)$/.test(t.type)));
const isPressable = (t: EventTarget | null): boolean =>
  t instanceof HTMLElement && /^(BUTTON|A|SUMMARY)$/.test(t.tagName);
const isOneLetter = (key: string): boolean => key.length === 1 && key !== " ";

const SWITCH = "single-keys";
/** Whether commands of a single letter or figure are on. */
export function singleKeysOn(): boolean {
  try {
    return localStorage.getItem(SWITCH) !== "off";
  } catch {
    return true;
  }
}
export function setSingleKeys(on: boolean): void {
  try {
    if (on) localStorage.removeItem(SWITCH);
    else localStorage.setItem(SWITCH, "off");
  } catch {
    // a browser that keeps nothing keeps them on
  }
}

function struck(e: KeyboardEvent): void {
  if (e.defaultPrevented || e.repeat || e.isComposing || e.ctrlKey || e.metaKey || e.altKey) return;
  const { target } = e;
  if (isTyping(target)) {
    const leaves =
      e.key === "Escape" ||
      (e.key === "Enter" && !(target instanceof HTMLTextAreaElement) && !target.closest("form"));
    if (!leaves) return;
    target.blur();
    e.preventDefault();
    return;
  }
  if (e.key === "Escape" && closing.length) {
    e.preventDefault();
    closing.at(-1)?.();
    return;
  }
  if ((e.key === " " || e.key === "Enter") && isPressable(target)) return;
  if (isOneLetter(e.key) && e.key !== "?" && !singleKeysOn()) return;
  const found = listening.findLast((l) => l.key.toLowerCase() === e.key.toLowerCase());
  if (!found) return;
  e.preventDefault();
  found.press();
}

/**
 * A choice made with the finger gives the focus back: the next letter is a command and not another choice.
 */
function chosen(e: Event): void {
  if (e.target instanceof HTMLSelectElement && byFinger) e.target.blur();
}
let byFinger = false;

let started = false;
function start(): void {
  if (started || typeof window === "undefined") return;
  started = true;
  window.addEventListener("keydown", struck);
  window.addEventListener("pointerdown", () => (byFinger = true), true);
  window.addEventListener("keydown", () => (byFinger = false), true);
  window.addEventListener("change", chosen);
}

function add<T>(list: T[], entry: T): () => void {
  start();
  list.push(entry);
  return () => {
    const at = list.indexOf(entry);
    if (at >= 0) list.splice(at, 1);
  };
}

/**
 * Runs `press` when the key is struck anywhere on the screen, but not while something is being typed.
 *
 * @param says what it does, for the list of keys; a button's own words where it is left out
 */
export function useKey(
  key: string | undefined,
  press: () => void,
  enabled = true,
  says?: string | (() => string),
): void {
  const latest = useLatest(press);
  const words = useLatest(says);
  useLayoutEffect(() => {
    if (!key || !enabled) return;
    const said = (): string =>
      typeof words.current === "function" ? words.current() : (words.current ?? "");
    return add(listening, { key, press: () => latest.current(), says: said });
  }, [key, enabled, latest, words]);
}

/** While it is on the screen, Esc closes this and nothing under it. */
export function useClose(close: () => void, enabled = true): void {
  const latest = useLatest(close);
  const entry = useRef<() => void>(undefined);
  useLayoutEffect(() => {
    if (!enabled) return;
    entry.current = () => latest.current();
    return add(closing, entry.current);
  }, [enabled, latest]);
}

/** The keys that answer now, in the order in which they appeared, each once. */
export function keysNow(): { readonly key: string; readonly says: string }[] {
  const out = new Map<string, { key: string; says: string }>();
  for (const l of listening) out.set(l.key.toLowerCase(), { key: l.key, says: l.says() });
  return [...out.values()].filter((k) => k.says);
}
