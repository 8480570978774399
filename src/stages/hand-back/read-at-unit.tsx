"use client";

import type { ReadAtUnit } from "@/core/hand-back/final-check";
import type { GoingHome } from "@/core/job/going-home";
import { FaultLine } from "@/ui/fault-line";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { sayFact } from "./actions";
import type { TypedAnswers } from "./use-typed-answers";

const ASKED: Readonly<Record<ReadAtUnit, string>> = {
  plateA: "Current on the plate, A",
  plateRpm: "Speed on the plate, rpm",
  cordM: "Cord, if longer than 5 m, m",
  heaterKw: "Heating, if above 3.5 kW, kW",
};

/** A figure that is read at the unit: the limit of the check goes by it as soon as the field is left. */
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
  const known = home?.[fact];
  const say = async (): Promise<void> => {
    if (read.trim() && fault.took(await run(sayFact, { fact, figure: read }))) setRead("");
  };
  return (
    <label className="words min-w-0 flex-1">
      {ASKED[fact]}
      <input
        className="field figure mt-1"
        inputMode="decimal"
        value={read}
        maxLength={12}
        placeholder={known === undefined ? "" : `${known}`}
        onChange={(e) => setRead(e.target.value)}
        onBlur={() => void say()}
        onKeyDown={(e) => e.key === "Enter" && void say()}
      />
      <FaultLine says={fault.elsewhere()} />
    </label>
  );
}
