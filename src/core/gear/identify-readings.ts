import { type Measured, measured } from "../quantity/measured";
import { overPinsOf, spreadOf } from "../quantity/reading-kinds";
import { radians } from "../quantity/units";
import { ADDENDUM, DEDENDUM, type Gear, involute } from "./dimensions";
import type { IdentifyInput } from "./identify-input";
import { flatJawsShare } from "./jaws-across";
import { overPins } from "./over-pins";
import { spanOver } from "./span-measurement";

/** A tooth at one helix angle and count, with what every reading needs of it worked out once. */
export interface ToothAt {
  readonly teeth: number;
  readonly moduleMm: number;
  readonly pressureAngleDeg: number;
  readonly helixAngleDeg: number;
  readonly sinAlpha: number;
  readonly cosAlpha: number;
  readonly cosBeta: number;
  readonly invAlphaT: number;
}

export function toothAt(teeth: number, moduleMm: number, pressureAngleDeg: number, helixAngleDeg: number): ToothAt {
  const alpha = radians(pressureAngleDeg);
  const cosBeta = Math.cos(radians(helixAngleDeg));
  return {
    teeth,
    moduleMm,
    pressureAngleDeg,
    helixAngleDeg,
    sinAlpha: Math.sin(alpha),
    cosAlpha: Math.cos(alpha),
    cosBeta,
    invAlphaT: involute(Math.atan(Math.tan(alpha) / cosBeta)),
  };
}

/** One reading: what a gear with these numbers would show, and what was shown. */
export interface Reading {
  readonly what: string;
  readonly seen: Measured;
  /** worn tips make it low */
  readonly atTips: boolean;
  readonly of: (g: Gear) => number;
  /** what it shows without shift, and how much a shift of 1 adds; exact but for pins, which are linearised */
  readonly line: (t: ToothAt) => readonly [at0: number, slope: number];
}

const tipDiameter = (g: Gear): number => (g.teeth * g.moduleMm) / Math.cos(radians(g.helixAngleDeg)) + 2 * g.moduleMm * (ADDENDUM + g.profileShift);
/** What flat jaws show of the tip diameter: all of it across an even count, less across an odd one. For the line in x the tips are as broad as without shift. */
const jaws = (g: Omit<Gear, "moduleMm">, flat: boolean): number => (flat ? flatJawsShare(g) : 1);

/** The readings of an input, each with its formula (see docs of spanOver, overPins, tipDiameterFromFlatJaws). */
export function readingsFrom(input: IdentifyInput): Reading[] {
  const out: Reading[] = [];
  const flat = input.acrossFlatJaws ?? false;
  if (input.tipDiameter !== undefined)
    out.push({
      what: "tip diameter",
      seen: measured(input.tipDiameter, spreadOf({ what: "tip diameter" })),
      atTips: true,
      of: (g) => tipDiameter(g) * jaws(g, flat),
      line: (t) => {
        const share = jaws({ ...t, profileShift: 0 }, flat);
        return [((t.teeth * t.moduleMm) / t.cosBeta + 2 * t.moduleMm * ADDENDUM) * share, 2 * t.moduleMm * share];
      },
    });
  if (input.rootDiameter !== undefined)
    out.push({
      what: "root diameter",
      seen: measured(input.rootDiameter, spreadOf({ what: "root diameter" })),
      atTips: false,
      of: (g) => (g.teeth * g.moduleMm) / Math.cos(radians(g.helixAngleDeg)) - 2 * g.moduleMm * (DEDENDUM - g.profileShift),
      line: (t) => [(t.teeth * t.moduleMm) / t.cosBeta - 2 * t.moduleMm * DEDENDUM, 2 * t.moduleMm],
    });
  for (const s of input.spans ?? [])
    out.push({
      what: `span over ${s.teeth}`,
      seen: measured(s, spreadOf({ what: "span" })),
      atTips: false,
      of: (g) => spanOver(g, s.teeth),
      line: (t) => [t.moduleMm * t.cosAlpha * ((s.teeth - 0.5) * Math.PI + t.teeth * t.invAlphaT), 2 * t.moduleMm * t.sinAlpha],
    });
  for (const c of input.chords ?? [])
    out.push({
      what: `tip to tip over ${c.pitches} pitches`,
      seen: measured(c, spreadOf({ what: "chord" })),
      atTips: true,
      of: (g) => tipDiameter(g) * Math.sin((Math.PI * c.pitches) / g.teeth),
      line: (t) => {
        const share = Math.sin((Math.PI * c.pitches) / t.teeth);
        return [((t.teeth * t.moduleMm) / t.cosBeta + 2 * t.moduleMm * ADDENDUM) * share, 2 * t.moduleMm * share];
      },
    });
  if (input.overPins) {
    const { pin } = input.overPins;
    const of = (g: Gear): number => overPins(g, pin);
    const seen = measured(input.overPins, spreadOf({ what: overPinsOf(input.overPins.pin) }));
    out.push({ what: `over ${pin} mm pins`, seen, atTips: false, of, line: (t) => pinLine(t, pin, seen.value) });
  }
  return out;
}

/** The pin measurement as the tangent at the shift that would show what was seen. */
function pinLine(t: ToothAt, pin: number, seen: number): readonly [number, number] {
  const at = (x: number): number =>
    overPins({ teeth: t.teeth, moduleMm: t.moduleMm, pressureAngleDeg: t.pressureAngleDeg, helixAngleDeg: t.helixAngleDeg, profileShift: x }, pin);
  const tangent = (x: number): readonly [number, number] => {
    const slope = (at(x + 0.05) - at(x - 0.05)) / 0.1;
    return [at(x) - slope * x, slope];
  };
  const [a0, slope0] = tangent(0);
  // where a pin falls to the bottom of the space nothing would be shown: as far off as can be
  if (!Number.isFinite(a0) || slope0 === 0) return [1e6, 0];
  const near = Math.min(0.9, Math.max(-0.5, (seen - a0) / slope0));
  const [a, slope] = tangent(near);
  return Number.isFinite(a) ? [a, slope] : [a0, slope0];
}
