import { z } from "zod";
import { Fault } from "@/core/fault";
import type { Frozen } from "@/core/frozen";
import { type HardwareAnswer, type HardwareInput, identifyHardware } from "@/core/hardware/identify-hardware";
import { torqueInput } from "@/core/hardware/tightening-torque";
import { CALIPER_U_MM } from "@/core/quantity/caliper";
import { meanOf } from "@/core/quantity/measured";

export type Kind = HardwareInput["kind"];
/** A dimension that is asked for, and what it is called. */
export type AskedSize = readonly [what: string, label: string];
export const KINDS: readonly { kind: Kind; keyName: string; says: string; asks: readonly AskedSize[] }[] = [
  { kind: "bearing", keyName: "1", says: "Bearing", asks: [["bore", "Bore"], ["outside", "Outside"], ["width", "Width"]] },
  { kind: "thread", keyName: "2", says: "Thread", asks: [["diameter", "Over the thread"], ["pitchOver10", "Over 10 threads"]] },
  { kind: "pin", keyName: "3", says: "Spring pin", asks: [["diameter", "Pin"], ["hole", "Hole"]] },
  { kind: "circlip", keyName: "4", says: "Circlip", asks: [["shaft", "Shaft"], ["bore", "Bore"], ["groove", "Groove"], ["thickness", "Thickness"]] },
  { kind: "o-ring", keyName: "5", says: "O-ring", asks: [["section", "Section"], ["inside", "Inside"], ["grooveDepth", "Groove, deep"]] },
]; // biome-ignore format: a table

export const onTheBench = z.object({
  kind: z.enum(KINDS.map((k) => k.kind)),
  /** readings by kind and dimension, mm, and what is half typed */
  readings: z.record(z.string(), z.array(z.object({ value: z.number(), source: z.string(), at: z.string() }))),
  typed: z.record(z.string(), z.string()),
  torque: torqueInput,
});
export type OnTheBench = Frozen<z.infer<typeof onTheBench>>;
export const EMPTY: OnTheBench = { kind: "bearing", readings: {}, typed: {}, torque: { thread: "M4", into: "plastic" } };
/** Small things are held askew more easily than a gear: a reading spreads a little wider, mm. */
export const SMALL_THING_U = 1.5 * CALIPER_U_MM;

/** What the readings of one kind say; a sentence where they say nothing yet. */
export function answerOf(bench: OnTheBench, kind: Kind): HardwareAnswer | string {
  const mean = (what: string) => {
    const own = bench.readings[`${kind}.${what}`] ?? [];
    return own.length ? meanOf(own.map((r) => r.value), SMALL_THING_U) : undefined; // biome-ignore format: short
  };
  const some = (names: readonly string[]) => Object.fromEntries(names.map((n) => [n, mean(n)] as const).filter(([, v]) => v !== undefined));
  const ten = mean("pitchOver10");
  const depth = mean("grooveDepth")?.value;
  const asks: Readonly<Record<Kind, object>> = {
    bearing: some(["bore", "outside", "width"]),
    thread: { ...some(["diameter"]), ...(ten ? { pitchOver: { threads: 10, ...ten } } : {}) },
    pin: some(["diameter", "hole"]),
    circlip: some(["shaft", "bore", "groove", "thickness"]),
    "o-ring": { ...some(["inside", "section"]), ...(depth ? { grooveDepth: depth } : {}) },
  };
  try {
    return identifyHardware({ kind, ...asks[kind] } as HardwareInput);
  } catch (e) {
    if (e instanceof Fault) return e.says;
    throw e;
  }
}
