"use client";

import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { sayPlate } from "./actions";
import type { TypedAnswers } from "./use-typed-answers";

/** Where the plate can be read, the current is measured against it. */
export function PlateCurrent({
  typed: { plate: amps, setPlate: setAmps },
}: {
  typed: Pick<TypedAnswers, "plate" | "setPlate">;
}) {
  const { run } = useJob();
  const fault = useFieldFault();
  const say = async (): Promise<void> => {
    if (fault.took(await run(sayPlate, { amps }))) setAmps("");
  };
  return (
    <div className="flex items-end gap-2">
      <label className="words w-[220px]">
        On the plate, A
        <input
          className="field figure"
          inputMode="decimal"
          value={amps}
          maxLength={12}
          onChange={(e) => setAmps(e.target.value)}
          onKeyDown={(e) => e.key === "Enter" && void say()}
        />
      </label>
      <KeyButton className="small" disabled={!amps.trim()} onPress={() => void say()}>
        Measure against it
      </KeyButton>
      <FaultLine says={fault.elsewhere()} />
    </div>
  );
}
