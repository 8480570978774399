"use client";

import { useEffect, useRef, useSyncExternalStore } from "react";
import { capital } from "@/core/sentence";
import { patientFetch } from "./patient-fetch";
import { keepAsking, onPulse, pulseNow, type Told, troubleNow } from "./shop-pulse";

const held = globalThis as { demontagePatient?: boolean };

/**
 * Stands over the foot of every screen while the shop's computer does not answer, or something is wrong with
 * it: seen before anything is tried.
 */
export function AwayBar({
  trouble,
  asks,
}: {
  readonly trouble: Told | null /** somebody works here: before that, nothing can be lost */;
  readonly asks: boolean;
}) {
  const pulse = useSyncExternalStore(onPulse, pulseNow, () => "here" as const);
  const told = useSyncExternalStore(onPulse, troubleNow, () => null);
  useEffect(() => {
    if (!held.demontagePatient) {
      held.demontagePatient = true;
      window.fetch = patientFetch(window.fetch.bind(window));
    }
    if ("serviceWorker" in navigator && window.isSecureContext)
      navigator.serviceWorker.register("/away-worker.js").catch(() => undefined);
    return asks ? keepAsking() : undefined;
  }, [asks]);
  const wrong = told ?? trouble;
  if (pulse === "away")
    return (
      <Bar
        says="The shop’s computer does not answer."
        todo="This page stays as it is, and what you type is kept in this browser. It goes on by itself when the shop answers again."
      />
    );
  return wrong?.reading ? <Bar says={`${capital(wrong.says)}.`} todo={wrong.todo} /> : null;
}

function Bar({ says, todo }: { readonly says: string; readonly todo: string }) {
  const bar = useRef<HTMLDivElement>(null);
  // screens end above it: it may stand there for days, and the main key is at their foot
  useEffect(() => {
    const root = document.documentElement;
    const watch = new ResizeObserver(() =>
      root.style.setProperty("--foot", `${bar.current?.offsetHeight ?? 0}px`),
    );
    if (bar.current) watch.observe(bar.current);
    return () => {
      watch.disconnect();
      root.style.removeProperty("--foot");
    };
  }, []);
  return (
    <div
      ref={bar}
      role="alert"
      aria-label="The shop’s computer"
      className="no-print fixed inset-x-0 bottom-0 z-50 flex items-baseline gap-4 border-t-4 border-error bg-base-100 px-5 py-2.5 text-[19px]"
    >
      <b className="shrink-0 text-error">{says}</b>
      <span>{todo}</span>
    </div>
  );
}
