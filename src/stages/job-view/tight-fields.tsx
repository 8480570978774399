"use client";

import { useState } from "react";
import { makersFigure } from "@/core/hardware/bench/makers-figure";
import {
  AT_THE_END,
  FEELS,
  PAST_DEG,
  type Tighten,
  tightenSchema,
  turnInWords,
} from "@/core/hardware/tightening";
import { capital, sentence } from "@/core/sentence";
import { Choose } from "@/ui/choose";
import { FaultLine } from "@/ui/fault-line";
import { SmallChoice } from "@/ui/small-choice";

/** A step that something may be left loose for. */
export interface StepNamed {
  readonly id: string;
  readonly says: string;
}

const TURN_SIGNS: Readonly<Record<number, string>> = { 45: "⅛", 90: "¼", 120: "⅓", 180: "½", 360: "1" };
const PASSES = [2, 3] as const;

/** What is said with some of it said anew; what is emptied goes, and nothing left is nothing said. */
const withSaid = (tight: Tighten | undefined, said: Partial<Tighten>): Tighten | undefined => {
  const left = Object.fromEntries(
    Object.entries({ ...tight, ...said }).filter(([, v]) => v !== undefined && v !== ""),
  );
  return Object.keys(left).length ? left : undefined;
};

/**
 * How tight some pieces go back, by touch: feel, angle past it, figure, passes, whether all are started
 * first, and what they are left loose for.
 */
export function TightFields({
  tight,
  steps,
  onSay,
}: {
  tight: Tighten | undefined;
  /** what may have to be on before they are drawn */
  steps: readonly StepNamed[];
  onSay: (tight: Tighten | undefined) => void;
}) {
  const [fault, setFault] = useState<string | null>(null);
  const say = (said: Partial<Tighten>): void => onSay(withSaid(tight, said));
  const figure = (typed: string): void => {
    const said = makersFigure(typed);
    const read =
      said &&
      tightenSchema.safeParse({
        torqueNm: said.makersNm,
        ...(said.makersAngleDeg !== undefined && { pastDeg: said.makersAngleDeg }),
      });
    const wrong = `“${typed.trim()}” is no torque and no angle: type it like 1.2, 15 in-lb, 120 N cm or 10 Nm + 90°.`;
    setFault(read?.success ? null : sentence(read?.error.issues[0]?.message ?? wrong));
    if (read?.success) say({ torqueNm: undefined, ...read.data });
  };
  const otherFeel =
    tight?.feel !== undefined && !FEELS.some((f) => f === tight.feel) ? tight.feel : undefined;
  return (
    <div className="flex flex-col gap-1.5">
      <div className="grid grid-cols-[1fr_1fr_1fr_120px] items-end gap-1.5">
        {FEELS.map((f) => (
          <SmallChoice
            key={f}
            pressed={tight?.feel === f}
            onPress={() => say({ feel: tight?.feel === f ? undefined : f })}
          >
            {capital(f)}
          </SmallChoice>
        ))}
        <label className="words">
          Torque, N·m
          <input
            className="field figure !min-h-[48px]"
            defaultValue={tight?.torqueNm ?? ""}
            aria-invalid={fault ? true : undefined}
            onChange={(e) => figure(e.target.value)}
          />
        </label>
      </div>
      <FaultLine says={fault} />
      {otherFeel && <p className="says">As it was said: {otherFeel}</p>}
      <div className="grid grid-cols-5 gap-1.5">
        {PAST_DEG.map((d) => (
          <SmallChoice
            key={d}
            label={`Then ${turnInWords(d)} past it`}
            pressed={tight?.pastDeg === d}
            onPress={() => say({ pastDeg: tight?.pastDeg === d ? undefined : d })}
          >
            + {TURN_SIGNS[d]} turn
          </SmallChoice>
        ))}
      </div>
      <div className="grid grid-cols-3 gap-1.5">
        <SmallChoice
          pressed={tight?.startAll === true}
          onPress={() => say({ startAll: tight?.startAll ? undefined : true })}
        >
          Start all first
        </SmallChoice>
        {PASSES.map((n) => (
          <SmallChoice
            key={n}
            pressed={tight?.passes === n}
            onPress={() => say({ passes: tight?.passes === n ? undefined : n })}
          >
            In {n} passes
          </SmallChoice>
        ))}
      </div>
      <Choose
        label="Left loose until"
        none="drawn at once"
        options={[[AT_THE_END, "everything is on"], ...steps.map((s) => [s.id, `${s.says} is on`] as const)]}
        value={tight?.looseUntil}
        onChoose={(looseUntil) => say({ looseUntil })}
      />
    </div>
  );
}
