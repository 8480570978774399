"use client";

import { minutesInWords, type RunningWait } from "@/core/order/running-waits";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { sayCured } from "../job-view/cured-action";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";

/** The unit does not run before this has cured, or somebody says that it has. */
export function NotYet({ cure }: { cure: RunningWait }) {
  const { run } = useJob();
  const fault = useFieldFault();
  return (
    <section
      aria-label="It does not run yet"
      className="flex flex-col gap-2 border-l-[6px] border-error bg-base-200 p-3"
    >
      <p className="text-[21px] leading-tight">
        <b>{minutesInWords(cure.minutesLeft)} more before it runs.</b> {cure.why}.
      </p>
      <KeyButton
        keyName="S"
        className="small self-start"
        look="warn"
        onPress={() => void run(sayCured, { line: cure.line }).then(fault.took)}
      >
        It has cured
      </KeyButton>
      <FaultLine says={fault.elsewhere()} />
    </section>
  );
}
