"use client";

import { minutesInWords, type RunningWait } from "@/core/order/running-waits";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { sayCured } from "../job-view/cured-action";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { goOnMeanwhile } from "./plan/actions";

/**
 * The line would close over what has not set: it waits, the rest goes on meanwhile, or somebody tried it and
 * says that it has set.
 */
export function HeldUp({ wait }: { wait: RunningWait }) {
  const { run } = useJob();
  const fault = useFieldFault();
  return (
    <section
      aria-label="It has to wait"
      className="flex flex-col gap-1.5 border-l-[6px] border-error bg-base-200 p-2"
    >
      <p className="text-[21px] leading-tight">
        <b>{minutesInWords(wait.minutesLeft)} more.</b> {wait.why}.
      </p>
      <div className="grid grid-cols-2 gap-1.5">
        <KeyButton keyName="O" className="small" onPress={() => void run(goOnMeanwhile).then(fault.took)}>
          Go on with what need not wait
        </KeyButton>
        <KeyButton
          keyName="S"
          className="small"
          look="warn"
          onPress={() => void run(sayCured, { line: wait.line }).then(fault.took)}
        >
          I tried it: it has set
        </KeyButton>
      </div>
      <FaultLine says={fault.elsewhere()} />
    </section>
  );
}
