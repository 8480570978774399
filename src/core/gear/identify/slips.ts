import type { Measured } from "../../quantity/measured";
import { MM_PER_INCH } from "../../quantity/units";
import type { IdentifyInput } from "./input";
import { UNTOLD_HELIX } from "./over-helix";
import { type Reading, spanReading } from "./readings";

/** A slip of the hand or the eye: what was written down is not what is there. */
export type Slip =
  /** one reading is simply wrong */
  | { readonly sort: "misread"; readonly key: string }
  /** one tooth more or fewer was between the jaws than was written down */
  | { readonly sort: "jaws"; readonly key: string; readonly teeth: number }
  /** inches were written down as millimetres: one reading, or all */
  | { readonly sort: "inches"; readonly key: string }
  /** the teeth were counted wrongly */
  | { readonly sort: "count"; readonly key: "teeth"; readonly by: number }
  /** the teeth are slanted, and nobody said so */
  | { readonly sort: "slanted"; readonly key: "kind" };

/** What the readings are if a slip happened, or none. */
export interface Taken {
  readonly slip: Slip | null;
  /** log of how usual it is */
  readonly log: number;
  readonly readings: readonly Reading[];
  /** how many teeth there are more than were counted */
  readonly more: number;
  /** what is known of the helix angle, degrees; null: the teeth are straight */
  readonly helix: Measured | null;
  /** the arc is not believed */
  readonly withoutArc: boolean;
}

/**
 * How often each happens at a bench, by experience of any that measures by hand: about one gear in fifteen
 * has one.
 */
const OFTEN = {
  misread: 0.01,
  jaws: 0.005,
  inches: 0.003,
  allInches: 0.004,
  count: new Map([
    [1, 0.006],
    [2, 0.002],
    [3, 0.001],
    [4, 0.001],
  ]),
  slanted: 0.01,
} as const;

/** A reading that is wrong may show anything near: a tenth of it, and a millimetre at least. */
const astray = (r: Reading): Reading => ({
  ...r,
  seen: { value: r.seen.value, u: Math.hypot(r.seen.u, Math.max(1, 0.1 * r.seen.value)) },
});
const LEAST_LENGTH_MM = 600;

const inMillimetres = (r: Reading): Reading | null =>
  r.seen.value * MM_PER_INCH > LEAST_LENGTH_MM
    ? null
    : { ...r, seen: { value: r.seen.value * MM_PER_INCH, u: Math.max(r.seen.u, 0.0005 * MM_PER_INCH) } };

/** Every way in which one thing about these readings may be a slip. */
export function slipsIn(input: IdentifyInput, given: Taken): Taken[] {
  const out: Taken[] = [];
  const but = (slip: Slip, often: number, changed: Partial<Taken>): void => {
    out.push({ ...given, ...changed, slip, log: Math.log(often) });
  };
  const instead = (i: number, by: Reading): Reading[] => given.readings.map((r, j) => (j === i ? by : r));
  given.readings.forEach((r, i) => {
    but({ sort: "misread", key: r.key }, OFTEN.misread, { readings: instead(i, astray(r)) });
    const inch = inMillimetres(r);
    if (inch && given.readings.length > 1)
      but({ sort: "inches", key: r.key }, OFTEN.inches, { readings: instead(i, inch) });
  });
  input.spans?.forEach((s, i) => {
    const at = given.readings.findIndex((r) => r.key === `spans[${i}]`);
    const { seen } = given.readings[at] as Reading;
    for (const by of [-1, 1])
      if (s.teeth + by >= 1)
        but({ sort: "jaws", key: `spans[${i}]`, teeth: s.teeth + by }, OFTEN.jaws, {
          readings: instead(at, spanReading(`spans[${i}]`, s.teeth + by, seen)),
        });
  });
  const all = given.readings.map(inMillimetres);
  if (all.every((r) => r !== null)) but({ sort: "inches", key: "units" }, OFTEN.allInches, { readings: all });
  if (input.teeth != null)
    for (const [by, often] of OFTEN.count)
      for (const more of [by, -by])
        if (input.teeth + more >= 4) but({ sort: "count", key: "teeth", by: more }, often, { more });
  if (given.helix === null) but({ sort: "slanted", key: "kind" }, OFTEN.slanted, { helix: UNTOLD_HELIX });
  else if (input.helixAngle !== undefined)
    but({ sort: "misread", key: "helixAngle" }, OFTEN.misread, { helix: UNTOLD_HELIX });
  if (input.arc && input.teeth != null)
    but({ sort: "misread", key: "arc" }, OFTEN.misread, { withoutArc: true });
  return out;
}
