"use client";

import { type RefObject, useEffect, useRef } from "react";

/**
 * Takes over what was typed into a field before the page came alive: the browser shows it, but nobody heard
 * the strokes. Nothing that was typed
 * may be lost, however slow the tablet is.
 */
export function useTypedEarly(
  field: RefObject<HTMLInputElement | HTMLTextAreaElement | null>,
  shown: string,
  take: (text: string) => void,
): void {
  const looked = useRef(false);
  useEffect(() => {
    if (looked.current) return;
    looked.current = true;
    const there = field.current?.value;
    if (there !== undefined && there !== shown) take(there);
  });
}
