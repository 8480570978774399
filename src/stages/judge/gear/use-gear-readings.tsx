"use client";

import { type ReactNode, useEffect, useState } from "react";
import { listenToTypedCaliper } from "@/bench/typed-caliper";
import type { LengthUnit } from "@/core/quantity/units";
import { useLatest } from "@/ui/use-latest";
import { useJob } from "../../saving/job-context";
import { typedFields, useDraft } from "../../saving/use-draft";
import { strikeReading, takeReading } from "../actions";
import type { AskedReading, GearView } from "./gear-view";
import { ReadingTile } from "./reading-tile";

const keyOf = (a: Pick<AskedReading, "what" | "teeth">): string => `${a.what}${a.teeth ?? ""}`;

export interface GearReadings {
  /** the tile of a reading that is asked for: its mean, its field, its fault */
  readonly tile: (asked: AskedReading) => ReactNode;
  /** where a reading goes that comes by itself: where it was last asked for, or to the first that is missing */
  readonly goesTo: AskedReading | undefined;
  readonly arrive: (text: string, source: string) => void;
}

/**
 * Readings of the gear bench: typed into a tile, or sent by a caliper that types.
 *
 * @param asked those that are open on the screen
 */
export function useGearReadings({ part, means, doubts }: GearView, draft: unknown, asked: readonly AskedReading[], unit: LengthUnit): GearReadings {
  const { run } = useJob();
  const [armed, setArmed] = useState<string | null>(null);
  const [fault, setFault] = useState<{ key: string; says: string } | null>(null);
  const [typed, setTyped] = useDraft(`gear.${part}`, draft, typedFields, {});
  const goesTo = asked.find((a) => keyOf(a) === armed) ?? asked.find((a) => !means.some((m) => keyOf(m) === keyOf(a))) ?? asked[0];
  const take = async (a: AskedReading, text: string, source: string): Promise<string | null> => {
    const result = await run(takeReading, { part, what: a.what, typed: text, unit, source, ...(a.teeth === undefined ? {} : { teeth: a.teeth }) });
    setFault(result.ok ? null : { key: keyOf(a), says: result.says });
    return result.ok ? null : result.says;
  };
  const arrive = (text: string, source: string): void => {
    if (goesTo) void take(goesTo, text, source);
  };
  const arrived = useLatest(arrive);
  useEffect(() => listenToTypedCaliper(window, (text) => arrived.current(text, "caliper")), [arrived]);
  const tile = (a: AskedReading) => {
    const key = keyOf(a);
    return (
      <ReadingTile
        key={key}
        label={a.label}
        mean={means.find((m) => keyOf(m) === key)}
        unit={a.unit === "°" ? "°" : unit}
        doubted={doubts.some((d) => d.reading !== null && keyOf(d.reading) === key)}
        armed={goesTo !== undefined && keyOf(goesTo) === key}
        onArm={() => setArmed(key)}
        typed={typed[key] ?? ""}
        onTyped={(text) => setTyped((now) => ({ ...now, [key]: text }))}
        take={(text) => take(a, text, "typed")}
        fault={fault?.key === key ? fault.says : null}
        strike={() => void run(strikeReading, { part, what: a.what, ...(a.teeth === undefined ? {} : { teeth: a.teeth }) })}
      />
    );
  };
  return { tile, goesTo, arrive };
}
