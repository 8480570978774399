"use client";

import { type ReactNode, useEffect, useState } from "react";
import { listenToTypedCaliper } from "@/bench/typed-caliper";
import { meanOf } from "@/core/quantity/measured";
import { lengthFrom } from "@/core/quantity/units";
import { useLatest } from "@/ui/use-latest";
import { ReadingTile } from "../gear/reading-tile";
import { type AskedSize, benchKind, isAsked, type OnTheBench, SMALL_THING_U } from "./on-the-bench";

/**
 * Readings of what lies on the bench: typed into a tile, or sent by a caliper that types. They stay in the
 * browser until what it is was noted.
 */
export function useBenchReadings(
  bench: OnTheBench,
  setBench: (change: (now: OnTheBench) => OnTheBench) => void,
) {
  const [fault, setFault] = useState<{ key: string; says: string } | null>(null);
  const [armed, setArmed] = useState<string>();
  const kind = benchKind(bench.kind);
  const sizes = kind.sizes.filter(([, , of]) => isAsked(bench, of));
  const keyOf = (what: string): string => `${kind.kind}.${what}`;
  const readings = (what: string) => bench.readings[keyOf(what)] ?? [];
  const goesTo =
    sizes.find(([what]) => what === armed) ?? sizes.find(([what]) => !readings(what).length) ?? sizes[0];
  const take = (what: string, text: string, source: string): string | null => {
    const mm = lengthFrom(text, "mm");
    const says =
      mm === null
        ? `“${text}” is no length: type it like 8.02 or 5/16 in`
        : (mm <= 0 && what !== "toMark") || mm > 300
          ? "a length here lies above 0 and up to 300 mm"
          : null;
    setFault(says ? { key: keyOf(what), says } : null);
    if (mm !== null && !says) {
      const reading = { value: mm, source, at: new Date().toISOString() };
      setBench((now) => ({
        ...now,
        readings: { ...now.readings, [keyOf(what)]: [...(now.readings[keyOf(what)] ?? []), reading] },
        typed: { ...now.typed, [keyOf(what)]: "" },
      }));
    }
    return says;
  };
  const arrived = useLatest((text: string) => goesTo && void take(goesTo[0], text, "caliper"));
  useEffect(() => listenToTypedCaliper(window, (text) => void arrived.current(text)), [arrived]);
  const tile = ([what, label]: AskedSize): ReactNode => {
    const own = readings(what);
    const mean = own.length ? { what, ...meanOf(own.map((r) => r.value), SMALL_THING_U), count: own.length, source: [...new Set(own.map((r) => r.source))].join(", "), at: own.at(-1)?.at ?? "" } : undefined; // biome-ignore format: one reading
    return (
      <ReadingTile
        key={keyOf(what)}
        label={label}
        unit="mm"
        mean={mean}
        armed={goesTo?.[0] === what}
        onArm={() => setArmed(what)}
        typed={bench.typed[keyOf(what)] ?? ""}
        onTyped={(text) => setBench((now) => ({ ...now, typed: { ...now.typed, [keyOf(what)]: text } }))}
        take={async (text) => take(what, text, "typed")}
        fault={fault?.key === keyOf(what) ? fault.says : null}
        strike={() => setBench((now) => ({ ...now, readings: { ...now.readings, [keyOf(what)]: [] } }))}
      />
    );
  };
  return { kind, sizes, readings, goesTo, take, tile };
}
