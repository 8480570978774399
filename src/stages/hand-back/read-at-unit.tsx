"use client";

import type { ReadAtUnit } from "@/core/hand-back/final-check";
import type { GoingHome } from "@/core/job/going-home";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { sayFact } from "./actions";
import type { TypedAnswers } from "./use-typed-answers";

const ASKED: Readonly<
  Record<ReadAtUnit, { readonly label: string; readonly unit: string; readonly says: string }>
> = {
  plateA: { label: "Current on the plate", unit: "A", says: "Measure against it" },
  plateRpm: { label: "Speed on the plate", unit: "rpm", says: "Measure against it" },
  cordM: { label: "Cord, if longer than 5 m", unit: "m", says: "Set the limit by it" },
  heaterKw: { label: "Heating, if above 3.5 kW", unit: "kW", says: "Set the limit by it" },
};

/** A figure that is read at the unit and moves the limit of a check. */
export function ReadAtUnitField({
  fact,
  home,
  typed: { read, setRead },
}: {
  fact: ReadAtUnit;
  home: GoingHome | undefined;
  typed: Pick<TypedAnswers, "read" | "setRead">;
}) {
  const { run } = useJob();
  const fault = useFieldFault();
  const { label, unit, says } = ASKED[fact];
  const known = home?.[fact];
  const say = async (): Promise<void> => {
    if (fault.took(await run(sayFact, { fact, figure: read }))) setRead("");
  };
  return (
    <div className="flex flex-wrap items-end gap-2">
      <label className="words w-[260px]">
        {label}, {unit}
        <input
          className="field figure"
          inputMode="decimal"
          value={read}
          maxLength={12}
          placeholder={known === undefined ? "" : `${known}`}
          onChange={(e) => setRead(e.target.value)}
          onKeyDown={(e) => e.key === "Enter" && void say()}
        />
      </label>
      <KeyButton className="small" disabled={!read.trim()} onPress={() => void say()}>
        {says}
      </KeyButton>
      <FaultLine says={fault.elsewhere()} />
    </div>
  );
}
