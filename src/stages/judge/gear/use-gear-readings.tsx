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

const MOST_IN_JAWS = 60;
const spanOver = (teeth: number): string => `Span over ${teeth}`;

export interface GearReadings {
  /** the tile of a reading that is asked for: its mean, its field, its fault */
  readonly tile: (asked: AskedReading) => ReactNode;
  /**
   * where a reading goes that comes by itself: where it was last asked for, or to the first that is missing
   */
  readonly goesTo: AskedReading | undefined;
  readonly arrive: (text: string, source: string) => void;
}

/**
 * Readings of the gear bench: typed into a tile, or sent by a caliper that types.
 *
 * @param asked those that are open on the screen
 */
export function useGearReadings(
  { part, means, doubts }: GearView,
  draft: unknown,
  asked: readonly AskedReading[],
  unit: LengthUnit,
): GearReadings {
  const { run } = useJob();
  const [armed, setArmed] = useState<string | null>(null);
  const [fault, setFault] = useState<{ key: string; says: string } | null>(null);
  const [typed, setTyped] = useDraft(`gear.${part}`, draft, typedFields, {});
  // jaws reach over another count than the one that is asked for: it is changed at the tile, as long as
  // nothing was read there
  const [counts, setCounts] = useState<Readonly<Record<string, number>>>({});
  const isTaken = (a: Pick<AskedReading, "what" | "teeth">): boolean =>
    means.some((m) => keyOf(m) === keyOf(a));
  const asIs = (a: AskedReading): AskedReading => {
    const teeth = counts[keyOf(a)];
    return a.what !== "span" || teeth === undefined || isTaken(a)
      ? a
      : { ...a, teeth, label: spanOver(teeth) };
  };
  const now = asked.map(asIs);
  const goesTo = now.find((a) => keyOf(a) === armed) ?? now.find((a) => !isTaken(a)) ?? now[0];
  /** the next count up or down over which nothing is asked for yet */
  const recount = (a: AskedReading, by: 1 | -1): void => {
    let teeth = (asIs(a).teeth ?? 2) + by;
    while (teeth !== a.teeth && now.some((b) => keyOf(b) === keyOf({ what: a.what, teeth }))) teeth += by;
    if (teeth < 2 || teeth > MOST_IN_JAWS) return;
    setCounts((all) => ({ ...all, [keyOf(a)]: teeth }));
    setArmed(keyOf({ what: a.what, teeth }));
  };
  const take = async (a: AskedReading, text: string, source: string): Promise<string | null> => {
    const result = await run(takeReading, {
      part,
      what: a.what,
      typed: text,
      unit,
      source,
      ...(a.teeth === undefined ? {} : { teeth: a.teeth }),
    });
    setFault(result.ok ? null : { key: keyOf(a), says: result.says });
    return result.ok ? null : result.says;
  };
  const arrive = (text: string, source: string): void => {
    if (goesTo) void take(goesTo, text, source);
  };
  const arrived = useLatest(arrive);
  useEffect(() => listenToTypedCaliper(window, (text) => arrived.current(text, "caliper")), [arrived]);
  const tile = (first: AskedReading) => {
    const a = asIs(first);
    const key = keyOf(a);
    return (
      <ReadingTile
        key={keyOf(first)}
        label={a.label}
        recount={a.what === "span" && !isTaken(a) ? (by) => recount(first, by) : undefined}
        mean={means.find((m) => keyOf(m) === key)}
        unit={a.unit === "°" ? "°" : unit}
        doubted={doubts.some((d) => d.reading !== null && keyOf(d.reading) === key)}
        armed={goesTo !== undefined && keyOf(goesTo) === key}
        onArm={() => setArmed(key)}
        typed={typed[key] ?? ""}
        onTyped={(text) => setTyped((now) => ({ ...now, [key]: text }))}
        take={(text) => take(a, text, "typed")}
        fault={fault?.key === key ? fault.says : null}
        strike={() =>
          void run(strikeReading, {
            part,
            what: a.what,
            ...(a.teeth === undefined ? {} : { teeth: a.teeth }),
          })
        }
      />
    );
  };
  return { tile, goesTo, arrive };
}
