import { type Measured, measured } from "../../quantity/measured";
import { overPinsOf, spreadOf } from "../../quantity/reading-kinds";
import { radians } from "../../quantity/units";
import { ROOT_SPREAD } from "../as-made";
import { dedendumOf, type Gear, gearDimensions, involute } from "../dimensions";
import { flatJawsShare } from "../jaws-across";
import { overPins } from "../over-pins";
import { spanOver } from "../span-measurement";
import type { IdentifyInput } from "./input";

/** A tooth at one helix angle and count, with what every reading needs of it worked out once. */
export interface ToothAt {
  readonly teeth: number;
  readonly moduleMm: number;
  readonly pressureAngleDeg: number;
  readonly addendum: number;
  readonly helixAngleDeg: number;
  readonly sinAlpha: number;
  readonly cosAlpha: number;
  readonly cosBeta: number;
  readonly invAlphaT: number;
}

export function toothAt(
  form: Pick<ToothAt, "moduleMm" | "pressureAngleDeg" | "addendum">,
  teeth: number,
  helixAngleDeg: number,
): ToothAt {
  const alpha = radians(form.pressureAngleDeg);
  const cosBeta = Math.cos(radians(helixAngleDeg));
  return {
    teeth,
    moduleMm: form.moduleMm,
    pressureAngleDeg: form.pressureAngleDeg,
    addendum: form.addendum,
    helixAngleDeg,
    sinAlpha: Math.sin(alpha),
    cosAlpha: Math.cos(alpha),
    cosBeta,
    invAlphaT: involute(Math.atan(Math.tan(alpha) / cosBeta)),
  };
}

/** One reading: what a gear with these numbers would show, and what was shown. */
export interface Reading {
  /** its place in the input: "spans[0]" */
  readonly key: string;
  readonly what: string;
  readonly seen: Measured;
  /**
   * what it shows without shift, mm, and how much a shift of 1 adds; exact but for pins, which are linearised
   * near what was seen
   */
  readonly line: (t: ToothAt) => readonly [at0: number, slope: number];
  /** what it shows of the nominal gear, mm */
  readonly of: (g: Gear) => number;
  /**
   * how much of a millimetre by which the tip diameter is low it shows; null where it does not touch the tips
   */
  readonly atTips: ((teeth: number) => number) | null;
  /** how much of a millimetre by which spans are thinned it shows, downwards */
  readonly thin: (t: ToothAt) => number;
  /** whether thinned teeth show in it */
  readonly atFlanks: boolean;
  /** how far it may be off beside its spread, in modules: what is not known of a gear of this kind */
  readonly loose: number;
  /** a span's teeth between the jaws */
  readonly over?: number;
}

const none = (): number => 0;

/** The readings of an input, each with its formula (see docs of spanOver, overPins, flatJawsShare). */
export function readingsFrom(input: IdentifyInput): Reading[] {
  const out: Reading[] = [];
  const flat = input.acrossFlatJaws ?? false;
  if (input.tipDiameter !== undefined)
    out.push({
      key: "tipDiameter",
      what: "tip diameter",
      seen: measured(input.tipDiameter, spreadOf({ what: "tip diameter" })),
      of: (g) => gearDimensions(g).tipDiameterMm * (flat ? flatJawsShare(g) : 1),
      // for the line in x the tips are as broad as without shift
      line: (t) => tipLine(t, flat ? flatJawsShare({ ...t, profileShift: 0 }) : 1),
      atTips: () => 1,
      thin: none,
      atFlanks: false,
      loose: 0,
    });
  if (input.rootDiameter !== undefined)
    out.push({
      key: "rootDiameter",
      what: "root diameter",
      seen: measured(input.rootDiameter, spreadOf({ what: "root diameter" })),
      of: (g) => gearDimensions(g).rootDiameterMm,
      line: (t) => [(t.teeth * t.moduleMm) / t.cosBeta - 2 * t.moduleMm * dedendumOf(t), 2 * t.moduleMm],
      atTips: null,
      thin: none,
      atFlanks: false,
      loose: ROOT_SPREAD,
    });
  input.spans?.forEach((s, i) => {
    out.push(spanReading(`spans[${i}]`, s.teeth, measured(s, spreadOf({ what: "span" }))));
  });
  input.chords?.forEach((c, i) => {
    const share = (teeth: number): number => Math.sin((Math.PI * c.pitches) / teeth);
    out.push({
      key: `chords[${i}]`,
      what: `tip to tip over ${c.pitches} pitches`,
      seen: measured(c, spreadOf({ what: "chord" })),
      of: (g) => gearDimensions(g).tipDiameterMm * share(g.teeth),
      line: (t) => tipLine(t, share(t.teeth)),
      atTips: share,
      thin: none,
      atFlanks: false,
      loose: 0,
    });
  });
  if (input.overPins) {
    const { pin } = input.overPins;
    const seen = measured(input.overPins, spreadOf({ what: overPinsOf(pin) }));
    const line = (t: ToothAt): readonly [number, number] => pinLine(t, pin, seen.value);
    out.push({
      key: "overPins",
      what: `over ${pin} mm pins`,
      seen,
      of: (g) => overPins(g, pin),
      line,
      atTips: null,
      // a tooth thinned by a span is a tooth shifted by that span less
      thin: (t) => line(t)[1] / (2 * t.moduleMm * t.sinAlpha),
      atFlanks: true,
      loose: 0,
    });
  }
  if (input.mate) {
    const { teeth, centreDistance } = input.mate;
    out.push({
      key: "mate.centreDistance",
      what: "centre distance",
      seen: measured(centreDistance, spreadOf({ what: "centre distance" })),
      of: (g) =>
        (g.moduleMm * (g.teeth + teeth)) / (2 * Math.cos(radians(g.helixAngleDeg))) +
        MATE_SHIFT * g.profileShift * g.moduleMm,
      line: (t) => [(t.moduleMm * (t.teeth + teeth)) / (2 * t.cosBeta), MATE_SHIFT * t.moduleMm],
      atTips: null,
      thin: none,
      atFlanks: false,
      loose: 0.15,
    });
  }
  return out;
}

/**
 * How much of a gear's shift the centre distance follows: all of it where the mate is not shifted, none where
 * the mate is shifted by as much the other way. The half, and loose by as much.
 */
const MATE_SHIFT = 0.45;

export const spanReading = (key: string, teeth: number, seen: Measured): Reading => ({
  key,
  what: `span over ${teeth}`,
  seen,
  of: (g) => spanOver(g, teeth),
  line: (t) => [
    t.moduleMm * t.cosAlpha * ((teeth - 0.5) * Math.PI + t.teeth * t.invAlphaT),
    2 * t.moduleMm * t.sinAlpha,
  ],
  atTips: null,
  thin: () => 1,
  atFlanks: true,
  loose: 0,
  over: teeth,
});

/** A share of the tip diameter: [z/cos β + 2 (h_a + x)] m. */
const tipLine = (t: ToothAt, share: number): readonly [number, number] => [
  ((t.teeth * t.moduleMm) / t.cosBeta + 2 * t.moduleMm * t.addendum) * share,
  2 * t.moduleMm * share,
];

/** The pin measurement as the tangent at the shift that would show what was seen. */
function pinLine(t: ToothAt, pin: number, seen: number): readonly [number, number] {
  const at = (x: number): number => overPins({ ...t, profileShift: x }, pin);
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
