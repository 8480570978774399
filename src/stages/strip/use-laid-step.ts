"use client";

import { useEffect, useState } from "react";
import { inAddress } from "@/core/job/address";
import { askShop, whatFailed } from "@/ui/ask-shop";
import { useJob } from "../saving/job-context";
import { type LaidStep, laidStep } from "./laid-step";

/**
 * The step of the pocket that is in hand, as it lies in the shop; undefined while it is on its way, or where
 * none is in hand.
 *
 * @param page something of the page that is another after each change of the job: a picture that was just
 *   taken of the step belongs to it
 */
export function useLaidStep(step: string | null, page: unknown): LaidStep | undefined {
  const { number, say } = useJob();
  const [laid, setLaid] = useState<LaidStep>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the page is not sent, it says that there may be something new
  useEffect(() => {
    if (step === null) return;
    const asked = new AbortController();
    askShop(`/api/jobs/${number}/steps/${inAddress(step)}`, laidStep, asked.signal)
      .then((found) => (found ? setLaid(found) : say("That step is not there any more.")))
      .catch(
        (e) =>
          asked.signal.aborted || say(whatFailed(e, "The step could not be fetched", "Pick it up again.")),
      );
    return () => asked.abort();
  }, [number, page, step, say]);
  return laid?.step.id === step ? laid : undefined;
}
