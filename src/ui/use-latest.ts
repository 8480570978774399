"use client";

import { type RefObject, useLayoutEffect, useRef } from "react";

/**
 * A ref that holds what was rendered last: for what is called later, by a key, a timer or an answer. It is
 * written after the render, never in it.
 */
export function useLatest<T>(value: T): RefObject<T> {
  const latest = useRef(value);
  useLayoutEffect(() => {
    latest.current = value;
  });
  return latest;
}
