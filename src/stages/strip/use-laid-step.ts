"use client";

import { useEffect, useState } from "react";
import { useJob } from "../saving/job-context";
import { type LaidStep, laidStep } from "./laid-step";

/** The step of the pocket that is in hand, as it lies in the shop; undefined while it is on its way, or where none is in hand. */
export function useLaidStep(step: string | null): LaidStep | undefined {
  const { number, say } = useJob();
  const [laid, setLaid] = useState<LaidStep>();
  useEffect(() => {
    if (step === null) return;
    const asked = new AbortController();
    fetch(`/api/jobs/${number}/steps/${encodeURIComponent(step)}`, { signal: asked.signal })
      .then(async (answer) => setLaid(laidStep.parse(await answer.json())))
      .catch(() => asked.signal.aborted || say("The step could not be fetched: the shop’s computer does not answer. Take it in hand again."));
    return () => asked.abort();
  }, [number, step, say]);
  return laid?.step.id === step ? laid : undefined;
}
