import type { GearKind } from "@/core/gear/gear-kind";
import {
  doubtsAmong,
  type Hypothesis,
  type IdentifyInput,
  identifyBevel,
  identifyGear,
  identifyRing,
  identifyWorm,
  type NextReading,
} from "@/core/gear/identify/index";
import { FINE_MODULES_ROW_II } from "@/core/gear/identify/standard-sizes";
import type { GearIdentity } from "@/core/job/gear-notes";
import { overPinsOf } from "@/core/quantity/reading-kinds";
import { remembered } from "@/core/remembered";
import { bevelInputOf, identifyInputOf, ringInputOf, wormInputOf } from "./gear-questions";
import { type JudgedJob, notesOf } from "./gear-readings";

/** One name that a part's readings allow. */
export interface PossibleName extends GearIdentity {
  readonly words: string;
}
/** A reading that is likely to be a slip. */
export interface DoubtedReading {
  /** the reading's own, where it is one that has a place on the bench; null: the count, the kind, the unit */
  readonly reading: { readonly what: string; readonly teeth?: number } | null;
  readonly says: string;
}
export interface Naming {
  readonly names: readonly PossibleName[];
  readonly doubts: readonly DoubtedReading[];
  readonly next: NextReading | null;
}

const size = (h: { module: number; diametralPitch: number | null }): string =>
  h.diametralPitch ? `${h.diametralPitch} DP` : `module ${h.module}`;
const one = (x: number): string => String(Number(x.toFixed(1)));

/** What every name has, straight teeth until it says otherwise. */
const toothOf = (
  h: Pick<
    Hypothesis,
    "teeth" | "module" | "diametralPitch" | "pressureAngle" | "profileShift" | "probability"
  >,
): Omit<GearIdentity, "helixU" | "shiftU" | "addendum" | "free"> => ({
  teeth: h.teeth,
  moduleMm: h.module,
  diametralPitch: h.diametralPitch,
  pressureAngleDeg: h.pressureAngle,
  helixAngleDeg: 0,
  profileShift: h.profileShift,
  probability: h.probability,
});
const shiftWords = (x: number): string => (x ? `shift ${x > 0 ? "+" : ""}${x}` : "");

/** A gear is named anew when a reading of it is another, not with every press at Judge. */
const identified = remembered(identifyGear);

/**
 * What a part is, as far as its readings tell: by its kind. Null while there is too little, or where the kind
 * is entered and not named.
 */
export function nameFrom(job: JudgedJob, part: string): Naming | null {
  const kind: GearKind = notesOf(job, part).kind ?? "spur";
  if (kind === "bevel") {
    const input = bevelInputOf(job, part);
    if (!input) return null;
    const found = identifyBevel(input);
    const names = found.map((h) => ({
      ...toothOf(h),
      coneAngleDeg: Math.round(h.coneAngle * 100) / 100,
      ...(h.bevelTeeth ? { bevelTeeth: h.bevelTeeth } : {}),
      words: `${size(h)}${h.bevelTeeth ? ` · ${h.bevelTeeth}${h.spiralAngle ? ` ${one(h.spiralAngle)}°` : ""}` : ""} · cone ${one(h.coneAngle)}°${input.mateTeeth === null ? ` · meets ${h.mateTeeth} teeth` : ""}${h.profileShift ? ` · ${shiftWords(h.profileShift)}` : ""}`,
    }));
    return { names, doubts: unexplainedBy(found), next: null };
  }
  if (kind === "worm" || kind === "worm-wheel") {
    const input = wormInputOf(job, part);
    if (!input) return null;
    const found = identifyWorm(input);
    const names = found.map((h) => ({
      ...toothOf({ ...h, teeth: kind === "worm" ? h.starts : (h.wheelTeeth as number), pressureAngle: 20 }),
      helixAngleDeg: h.leadAngle === null ? 0 : Math.round(h.leadAngle * 100) / 100,
      ...(h.referenceDiameter === null
        ? {}
        : { wormDiameterMm: Math.round(h.referenceDiameter * 100) / 100 }),
      words: [
        h.standard === "axial"
          ? size(h)
          : `normal ${size({ module: h.normalModule ?? h.module, diametralPitch: h.diametralPitch })} (axial ${h.module.toFixed(3)})`,
        h.referenceDiameter === null ? "" : `worm Ø ${one(h.referenceDiameter)}`,
        h.leadAngle === null ? "" : `lead ${one(h.leadAngle)}°${h.selfLocking ? ", locks itself" : ""}`,
      ]
        .filter(Boolean)
        .join(" · "),
    }));
    return { names, doubts: unexplainedBy(found), next: null };
  }
  if (kind === "internal") {
    const input = ringInputOf(job, part);
    if (!input) return null;
    const found = identifyRing(input);
    const names = found.map((h) => ({
      ...toothOf(h),
      words: `${size(h)} · ${h.pressureAngle}°${h.profileShift ? ` · ${shiftWords(h.profileShift)}` : ""}`,
    }));
    return { names, doubts: unexplainedBy(found), next: null };
  }
  const input = identifyInputOf(job, part);
  if (!input) return null;
  const { hypotheses, doubts, next } = identified(input);
  const names = hypotheses.map((h) => ({
    ...toothOf(h),
    helixAngleDeg: h.helixAngle,
    ...(h.helixAngle ? { helixU: Math.round(h.spread.helix * 1000) / 1000 } : {}),
    shiftU: Math.round(h.spread.shift * 1000) / 1000,
    ...(h.addendum === 1 ? {} : { addendum: h.addendum }),
    ...(h.system === "free" ? { free: true } : {}),
    words: wordsOf(h, input),
  }));
  return {
    names,
    doubts: doubts.map((d) => ({ reading: doubtedReading(d.reading, input), says: d.why })),
    next,
  };
}

/** What does not go with the likeliest name of a bevel, a worm or a ring. */
const unexplainedBy = (found: Parameters<typeof doubtsAmong>[0]): DoubtedReading[] =>
  doubtsAmong(found).map((d) => ({ reading: d.reading ? { what: d.reading } : null, says: d.why }));

/** "no standard module: about 0.952 · 20° · stub, 0.8 high · flanks worn" */
function wordsOf(h: Hypothesis, input: IdentifyInput): string {
  const fine = FINE_MODULES_ROW_II.find((m) => Math.abs(h.module / m - 1) < 0.006);
  return [
    h.system === "free"
      ? `no standard module: about ${h.module}${fine ? ` (${fine} is in the second row of DIN 780)` : ""}`
      : size(h),
    `${h.pressureAngle}°`,
    h.addendum === 1 ? "" : `stub, ${h.addendum} high`,
    h.helixAngle ? `helix ${one(h.helixAngle)}°` : "",
    shiftWords(h.profileShift),
    input.teeth === h.teeth ? "" : `${h.teeth} teeth${input.teeth == null ? "" : `, not ${input.teeth}`}`,
    h.flanks === "worn" ? "flanks worn" : "",
    h.tips === "as made" ? "" : `tips ${h.tips}`,
  ]
    .filter(Boolean)
    .join(" · ");
}

/** Which reading of the bench a doubt is about. */
function doubtedReading(key: string, input: IdentifyInput): DoubtedReading["reading"] {
  const [, list, index] = /^(spans|chords)\[(\d+)\]$/.exec(key) ?? [];
  if (list === "spans") return { what: "span", teeth: input.spans?.[Number(index)]?.teeth };
  if (list === "chords") return { what: "chord", teeth: input.chords?.[Number(index)]?.pitches };
  if (key === "tipDiameter") return { what: input.acrossFlatJaws ? "tip diameter" : "tip circle" };
  if (key === "rootDiameter") return { what: "root diameter" };
  if (key === "helixAngle") return { what: "helix angle" };
  if (key === "mate.centreDistance") return { what: "centre distance" };
  if (key === "arc") return { what: "arc", teeth: input.arc?.pitches };
  if (key === "overPins" && input.overPins) return { what: overPinsOf(input.overPins.pin) };
  return null;
}
