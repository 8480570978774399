"use client";

import { useState } from "react";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { cameOffAgain } from "./actions";

/** A step whose things are back in the machine. */
export interface BackStep {
  readonly step: string;
  readonly says: string;
  /** it has to be off to come where the strip ended */
  readonly inTheWay: boolean;
}

/**
 * Asks, before more is laid down, which of the things that are back in the machine had to come off again: only then does
 * the ledger know what lies on the bench.
 */
export function BackAgain({ back, onStayed }: { back: readonly BackStep[]; onStayed: () => void }) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [picked, setPicked] = useState<readonly string[]>(() =>
    back.flatMap((b) => (b.inTheWay ? [b.step] : [])),
  );
  const off = async (): Promise<void> => {
    fault.took(await run(cameOffAgain, { steps: [...picked] }));
  };
  return (
    <section
      aria-label="Back in the machine"
      className="says danger flex shrink-0 flex-col gap-1.5"
      role="alert"
    >
      <p>
        <b>This is back in the machine.</b> What of it came off again for what comes off now?
      </p>
      <div className="flex max-h-[150px] flex-wrap gap-1.5 overflow-y-auto">
        {back.map((b) => {
          const isPicked = picked.includes(b.step);
          return (
            <button
              key={b.step}
              type="button"
              aria-pressed={isPicked}
              className={`key-button small ${b.inTheWay && isPicked ? "inferred" : ""}`}
              onClick={() => setPicked(isPicked ? picked.filter((s) => s !== b.step) : [...picked, b.step])}
            >
              {isPicked ? "✓ " : ""}
              {b.says}
            </button>
          );
        })}
      </div>
      <FaultLine says={fault.elsewhere()} />
      <div className="flex flex-wrap gap-1.5">
        <KeyButton className="small" disabled={!picked.length} onPress={() => void off()}>
          {picked.length === 1 ? "That came off again" : "These came off again"}
        </KeyButton>
        <KeyButton className="small" onPress={onStayed}>
          None of it: all stayed on
        </KeyButton>
      </div>
    </section>
  );
}
