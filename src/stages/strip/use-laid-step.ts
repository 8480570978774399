"use client";

import { useEffect, useState } from "react";
import { inAddress } from "@/core/job/address";
import { askShop, whatFailed } from "@/ui/ask-shop";
import { useJob } from "../saving/job-context";
import { type LaidStep, laidStep } from "./laid-step";

/** The step of the pocket that is in hand, as it lies in the shop; undefined while it is on its way, or where none is in hand. */
export function useLaidStep(step: string | null): LaidStep | undefined {
  const { number, say } = useJob();
  const [laid, setLaid] = useState<LaidStep>();
  useEffect(() => {
    if (step === null) return;
    const asked = new AbortController();
    askShop(`/api/jobs/${number}/steps/${inAddress(step)}`, laidStep, asked.signal)
      .then((found) => (found ? setLaid(found) : say("That step is not there any more.")))
      .catch((e) => asked.signal.aborted || say(whatFailed(e, "The step could not be fetched", "Pick it up again.")));
    return () => asked.abort();
  }, [number, step, say]);
  return laid?.step.id === step ? laid : undefined;
}
