"use client";

import { useCallback, useEffect, useState } from "react";
import type { FoundBasket } from "@/core/match/basket/basket";
import type { BasketInput } from "@/core/match/basket/basket-input";

/** What the basket worker is asked, and what it tells until it has the answer. */
export interface BasketQuestion {
  readonly input: BasketInput;
  /** where the solver's WebAssembly is */
  readonly wasm: string;
}
export type BasketTold =
  | { readonly says: string }
  | { readonly soFar: FoundBasket }
  | { readonly found: FoundBasket }
  | { readonly fault: string };

export type BasketSearch =
  | {
      readonly state: "searching";
      readonly says: string;
      readonly stop: () => void;
      readonly soFar?: FoundBasket;
    }
  | { readonly state: "stopped"; readonly again: () => void }
  | { readonly state: "failed"; readonly says: string; readonly again: () => void }
  | { readonly state: "found"; readonly found: FoundBasket; readonly again?: () => void };

/**
 * What was found last, or was left when a search was stopped, so that going to the quote and back does not
 * search again.
 */
let last: { readonly key: string; readonly found: FoundBasket; readonly stopped?: true } | undefined;

/**
 * Searches for a basket in a worker; told what it is at, and stopped when it takes too long. Null: there is
 * nothing to search for.
 */
export function useBasketSearch(input: BasketInput | null): BasketSearch | null {
  const key = input && JSON.stringify(input);
  const [state, setState] = useState<{
    readonly key: string | null;
    readonly told: BasketTold | "stopped" | null;
  }>({ key: null, told: null });
  const [attempt, setAttempt] = useState(0);
  // a complete set that a long search had on its way: what is left when it is stopped
  const [had, setHad] = useState<{ readonly key: string; readonly found: FoundBasket } | null>(null);
  const soFar = had?.key === key ? had.found : undefined;
  const stop = useCallback(() => {
    if (key && soFar) last = { key, found: soFar, stopped: true };
    setState({ key, told: "stopped" });
  }, [key, soFar]);
  const again = useCallback(() => {
    if (last?.key === key) last = undefined;
    setState({ key, told: null });
    setAttempt((n) => n + 1);
  }, [key]);
  const told = state.key === key ? state.told : null;
  const stopped = told === "stopped";
  // biome-ignore lint/correctness/useExhaustiveDependencies: another attempt searches anew
  useEffect(() => {
    if (key === null || stopped || last?.key === key) return;
    const worker = new Worker(new URL("../../workers/basket-worker.ts", import.meta.url), { type: "module" });
    const failed = (says: string): void => setState({ key, told: { fault: says } });
    worker.onmessage = ({ data }: MessageEvent<BasketTold>) => {
      if ("soFar" in data) return setHad({ key, found: data.soFar });
      if ("found" in data) last = { key, found: data.found };
      setState({ key, told: data });
    };
    worker.onerror = () => failed("The basket could not be worked out: the search stopped.");
    const question: BasketQuestion = {
      input: JSON.parse(key),
      wasm: new URL("/api/solver", location.href).href,
    };
    worker.postMessage(question);
    return () => worker.terminate();
  }, [key, stopped, attempt]);
  if (key === null) return null;
  if (last?.key === key) return { state: "found", found: last.found, ...(last.stopped && { again }) };
  if (stopped) return { state: "stopped", again };
  if (told && "fault" in told) return { state: "failed", says: told.fault, again };
  if (told && "found" in told) return { state: "found", found: told.found };
  return {
    state: "searching",
    says: told && "says" in told ? `Looking for ${told.says}` : "Loading the solver",
    stop,
    ...(soFar && { soFar }),
  };
}
