"use client";

import { useState } from "react";
import type { Reading } from "@/core/job/reading";
import { bushVerdict } from "@/core/judge/bush-clearance";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { saveFinding, strikeReading, takeReading } from "./actions";
import { meanReadings } from "./gear/gear-readings";

const ASKED = [
  ["bore", "Bore"],
  ["bore across", "Bore, a quarter turn round"],
  ["shaft", "Its shaft"],
] as const;

/**
 * A plain bush against its shaft: three readings, what they come to, and a key that takes the verdict as the
 * finding.
 */
export function BushMeasures({ part, readings }: { part: string; readings: readonly Reading[] }) {
  const { run } = useJob();
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const fault = useFieldFault();
  const means = meanReadings(readings, part);
  const value = (what: string): number | undefined => means.find((m) => m.what === what)?.value;
  const verdict = bushVerdict({
    boreMm: value("bore"),
    boreAcrossMm: value("bore across"),
    shaftMm: value("shaft"),
  });
  const take = async (what: string): Promise<void> => {
    const text = typed[what] ?? "";
    if (!text.trim()) return;
    const result = await run(takeReading, { part, what, typed: text, unit: "mm", source: "typed" });
    if (fault.took(result)) setTyped((now) => ({ ...now, [what]: "" }));
  };
  return (
    <div className="flex flex-col gap-1">
      {ASKED.map(([what, label]) => (
        <div key={what} className="grid grid-cols-[minmax(0,1fr)_74px_80px_48px] items-center gap-1.5">
          <label htmlFor={`bush-${what}`} className="text-[18px] leading-tight font-semibold">
            {label}, mm
          </label>
          <output className="figures text-right text-[22px]">{value(what)?.toFixed(2) ?? "–"}</output>
          <input
            id={`bush-${what}`}
            className="field figure !min-h-[48px] !px-1.5 !text-[19px]"
            inputMode="decimal"
            autoComplete="off"
            placeholder="type ↵"
            value={typed[what] ?? ""}
            onChange={(e) => setTyped((now) => ({ ...now, [what]: e.target.value }))}
            onKeyDown={(e) => e.key === "Enter" && void take(what)}
            onBlur={() => void take(what)}
          />
          <KeyButton
            className="small justify-center"
            label={`Strike ${label}`}
            disabled={value(what) === undefined}
            onPress={() => void run(strikeReading, { part, what })}
          >
            ×
          </KeyButton>
        </div>
      ))}
      <FaultLine says={fault.elsewhere()} />
      {verdict && (
        <KeyButton
          keyName="E"
          onPress={() => void run(saveFinding, { part, mode: verdict.mode, extent: verdict.says })}
        >
          {verdict.says}: take it as found
        </KeyButton>
      )}
    </div>
  );
}
