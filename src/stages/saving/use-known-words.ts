"use client";

import { useCallback, useEffect, useRef, useState } from "react";

const PAUSE_MS = 150;

/**
 * What the shop has heard before, as somebody types: asked for when the field is entered and after each
 * pause.
 *
 * @param from where to ask, `/api/known/maker`; undefined: nowhere
 */
export function useKnownWords(from: string | undefined): {
  words: readonly string[];
  ask: (typed: string) => void;
} {
  const [words, setWords] = useState<readonly string[]>([]);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const asked = useRef(0);
  useEffect(() => () => clearTimeout(timer.current), []);
  const ask = useCallback(
    (typed: string) => {
      if (!from) return;
      clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        const turn = ++asked.current;
        const url = new URL(from, location.href);
        url.searchParams.set("q", typed);
        // a list that does not come is no reason to stop anybody
        fetch(url)
          .then((answer) => answer.json())
          .then((known: unknown) => {
            if (turn === asked.current && Array.isArray(known)) setWords(known.map(String));
          })
          .catch(() => undefined);
      }, PAUSE_MS);
    },
    [from],
  );
  return { words, ask };
}
