import type { Making } from "@/core/gear/as-made";
import type { GearKind } from "@/core/gear/gear-kind";
import {
  type BevelInput,
  doubtsAmong,
  type Hypothesis,
  type IdentifyInput,
  identifyBevel,
  identifyGear,
  identifyRing,
  identifyWorm,
  type NextReading,
  type RingInput,
  type WormInput,
} from "@/core/gear/identify/index";
import { FINE_MODULES_ROW_II } from "@/core/gear/identify/standard-sizes";
import { isPlastic } from "@/core/hardware/material";
import type { GearIdentity, GearNotes } from "@/core/job/gear-notes";
import type { Job } from "@/core/job/job";
import type { Reading } from "@/core/job/reading";
import { type Measured, meanOf } from "@/core/quantity/measured";
import { insidePinOf, overPinsOf, pinOf, spreadOf } from "@/core/quantity/reading-kinds";

export interface MeanReading extends Measured {
  readonly what: string;
  readonly teeth?: number;
  readonly count: number;
  readonly source: string;
  /** time of the latest, ISO */
  readonly at: string;
}

/** The readings of a part, those of one dimension averaged. */
export function meanReadings(readings: readonly Reading[], part: string): MeanReading[] {
  const groups = new Map<string, Reading[]>();
  for (const r of readings) if (r.part === part) groups.set(`${r.what}|${r.teeth ?? ""}`, [...(groups.get(`${r.what}|${r.teeth ?? ""}`) ?? []), r]);
  return [...groups.values()].map((group) => {
    const first = group[0] as Reading;
    return {
      what: first.what,
      ...(first.teeth === undefined ? {} : { teeth: first.teeth }),
      ...meanOf(
        group.map((r) => r.value),
        spreadOf(first),
      ),
      count: group.length,
      source: [...new Set(group.map((r) => r.source))].join(", "),
      at: (group.at(-1) as Reading).at,
    };
  });
}

type JudgedJob = Pick<Job, "findings" | "readings" | "parts">;
/** A part's notes. A count that its kind cannot have (left over from another kind) counts as none. */
export function notesOf(job: Pick<Job, "findings">, part: string): GearNotes {
  const { teeth, ...notes } = job.findings.find((f) => f.part === part)?.gear ?? {};
  return teeth === undefined || (teeth < 4 && notes.kind !== "worm") ? notes : { teeth, ...notes };
}
/** How a part was made: as it was said, or as its material tells. */
export function makingOf(job: Pick<Job, "findings" | "parts">, part: string): { readonly making: Making; readonly said: boolean } {
  const said = notesOf(job, part).making;
  if (said) return { making: said, said: true };
  return { making: isPlastic(job.parts.find((p) => p.id === part)?.material) ? "moulded" : "unknown", said: false };
}

const plain = (m: Measured): Measured => ({ value: m.value, u: m.u });

/** A part's readings as the question to `identifyGear` (spur and helical), or null while there is too little. */
export function identifyInputOf(job: JudgedJob, part: string): IdentifyInput | null {
  const notes = notesOf(job, part);
  const kind = notes.kind ?? "spur";
  if (kind !== "spur" && kind !== "helical") return null;
  const means = meanReadings(job.readings, part);
  const one = (what: string): MeanReading | undefined => means.find((m) => m.what === what);
  // between jaws where that was done; else as a photograph shows it
  const jaws = one("tip diameter");
  const tip = jaws ?? one("tip circle");
  const root = one("root diameter");
  const helix = one("helix angle");
  const arc = one("arc");
  const centre = one("centre distance");
  const mateTeeth = notes.mateTeeth ?? (notes.mate ? notesOf(job, notes.mate).teeth : undefined);
  const over = (what: string) => means.filter((m) => m.what === what && m.teeth !== undefined);
  const spans = over("span").map((m) => ({ teeth: m.teeth as number, value: m.value, u: m.u }));
  const chords = over("chord").map((m) => ({ pitches: m.teeth as number, value: m.value, u: m.u }));
  const pins = means.flatMap((m) => {
    const pin = pinOf(m.what);
    return pin === undefined ? [] : [{ pin, value: m.value, u: m.u }];
  })[0];
  const lengths = spans.length + chords.length + (tip ? 1 : 0) + (root ? 1 : 0) + (pins ? 1 : 0);
  if (lengths === 0 || (notes.teeth === undefined && lengths < 2)) return null;
  return {
    kind,
    teeth: notes.teeth ?? null,
    // flat jaws across an odd count read short
    ...(tip ? { tipDiameter: plain(tip), acrossFlatJaws: jaws !== undefined } : {}),
    ...(root ? { rootDiameter: plain(root) } : {}),
    spans,
    ...(chords.length ? { chords } : {}),
    ...(arc?.teeth !== undefined ? { arc: { pitches: arc.teeth, angle: { value: arc.value, u: Math.max(arc.u, 0.5) } } } : {}),
    ...(pins ? { overPins: pins } : {}),
    ...(helix ? { helixAngle: plain(helix) } : {}),
    ...(notes.hand ? { hand: notes.hand } : {}),
    ...(mateTeeth && mateTeeth >= 4 && centre ? { mate: { teeth: mateTeeth, centreDistance: plain(centre) } } : {}),
    ...partner(job, notes.mate),
    ...(notes.tipsWorn ? { tipsWorn: true } : {}),
    making: makingOf(job, part).making,
  };
}

/** The mate's tooth, where that was named before. */
function partner(job: JudgedJob, mate: string | undefined): Pick<IdentifyInput, "meshesWith"> {
  const named = job.findings.find((f) => f.part === mate)?.identity;
  const kind = mate ? notesOf(job, mate).kind : undefined;
  return named && (kind === undefined || kind === "spur" || kind === "helical")
    ? { meshesWith: { module: named.moduleMm, pressureAngle: named.pressureAngleDeg, helixAngle: named.helixAngleDeg } }
    : {};
}

function bevelInputOf(job: JudgedJob, part: string): BevelInput | null {
  const notes = notesOf(job, part);
  const means = meanReadings(job.readings, part);
  const one = (what: string): Measured | undefined => means.find((m) => m.what === what);
  const [tip, depth, face, spiral] = [one("tip diameter"), one("tooth depth"), one("face angle"), one("spiral angle")];
  const mateTeeth = notes.mateTeeth ?? (notes.mate ? notesOf(job, notes.mate).teeth : undefined) ?? null;
  if (notes.teeth === undefined || !(tip || depth) || (mateTeeth === null && !face)) return null;
  return {
    kind: "bevel",
    teeth: notes.teeth,
    mateTeeth,
    ...(tip ? { tipDiameter: { value: tip.value, u: Math.max(tip.u, 0.06) } } : {}),
    ...(depth ? { wholeDepth: plain(depth) } : {}),
    ...(face ? { faceAngle: plain(face) } : {}),
    ...(notes.bevelTeeth ? { bevelTeeth: notes.bevelTeeth } : {}),
    ...(spiral ? { spiralAngle: plain(spiral) } : {}),
    ...(notes.hand ? { hand: notes.hand } : {}),
  };
}

function ringInputOf(job: JudgedJob, part: string): RingInput | null {
  const { teeth } = notesOf(job, part);
  const means = meanReadings(job.readings, part);
  const tip = means.find((m) => m.what === "tip diameter");
  const pins = means.flatMap((m) => {
    const pin = insidePinOf(m.what);
    return pin === undefined ? [] : [{ pin, value: m.value, u: m.u }];
  })[0];
  if (teeth === undefined || teeth < 12 || !(tip || pins)) return null;
  return {
    kind: "internal",
    teeth,
    // inner jaws across two tips are less sure than jaws on a shaft
    ...(tip ? { tipDiameter: { value: tip.value, u: Math.max(tip.u, 0.05) } } : {}),
    ...(pins ? { betweenPins: pins } : {}),
    making: makingOf(job, part).making,
  };
}

/** Worm and wheel are named together: what was measured on either, if they are tied as mates. */
function wormInputOf(job: JudgedJob, part: string): WormInput | null {
  const notes = notesOf(job, part);
  const isWorm = notes.kind === "worm";
  const [worm, wheel] = isWorm ? [part, notes.mate] : [notes.mate, part];
  const of = (id: string | undefined, what: string): MeanReading | undefined => (id ? meanReadings(job.readings, id).find((m) => m.what === what) : undefined);
  const starts = isWorm ? notes.teeth : (notes.mateTeeth ?? (worm ? notesOf(job, worm).teeth : undefined) ?? 1);
  const wheelTeeth = isWorm ? (notes.mateTeeth ?? (wheel ? notesOf(job, wheel).teeth : undefined) ?? null) : (notes.teeth ?? null);
  const pitch = of(worm, "axial pitch");
  const tip = of(worm, "tip diameter");
  const throat = of(wheel, "throat diameter");
  const centre = of(part, "centre distance");
  if (starts === undefined || !(pitch?.teeth || (throat && wheelTeeth))) return null;
  return {
    kind: "worm",
    starts,
    wheelTeeth,
    ...(tip ? { tipDiameter: plain(tip) } : {}),
    ...(pitch?.teeth ? { axialPitch: { threads: pitch.teeth, value: pitch.value, u: pitch.u } } : {}),
    ...(throat && wheelTeeth ? { throatDiameter: plain(throat) } : {}),
    ...(centre ? { centreDistance: plain(centre) } : {}),
  };
}

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

const size = (h: { module: number; diametralPitch: number | null }): string => (h.diametralPitch ? `${h.diametralPitch} DP` : `module ${h.module}`);
const one = (x: number): string => String(Number(x.toFixed(1)));

/** What a part is, as far as its readings tell: by its kind. Null while there is too little, or where the kind is entered and not named. */
export function nameFrom(job: JudgedJob, part: string): Naming | null {
  const kind: GearKind = notesOf(job, part).kind ?? "spur";
  if (kind === "bevel") {
    const input = bevelInputOf(job, part);
    if (!input) return null;
    const found = identifyBevel(input);
    const names = found.map((h) => ({
      teeth: h.teeth,
      moduleMm: h.module,
      diametralPitch: h.diametralPitch,
      pressureAngleDeg: h.pressureAngle,
      helixAngleDeg: 0,
      profileShift: h.profileShift,
      probability: h.probability,
      coneAngleDeg: Math.round(h.coneAngle * 100) / 100,
      ...(h.bevelTeeth ? { bevelTeeth: h.bevelTeeth } : {}),
      words: `${size(h)}${h.bevelTeeth ? ` · ${h.bevelTeeth}${h.spiralAngle ? ` ${one(h.spiralAngle)}°` : ""}` : ""} · cone ${one(h.coneAngle)}°${input.mateTeeth === null ? ` · meets ${h.mateTeeth} teeth` : ""}${h.profileShift ? ` · shift ${h.profileShift}` : ""}`,
    }));
    return { names, doubts: unexplainedBy(found), next: null };
  }
  if (kind === "worm" || kind === "worm-wheel") {
    const input = wormInputOf(job, part);
    if (!input) return null;
    const found = identifyWorm(input);
    const names = found.map((h) => ({
      teeth: kind === "worm" ? h.starts : (h.wheelTeeth as number),
      moduleMm: h.module,
      diametralPitch: h.diametralPitch,
      pressureAngleDeg: 20,
      helixAngleDeg: h.leadAngle === null ? 0 : Math.round(h.leadAngle * 100) / 100,
      profileShift: h.profileShift,
      probability: h.probability,
      ...(h.referenceDiameter === null ? {} : { wormDiameterMm: Math.round(h.referenceDiameter * 100) / 100 }),
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
      teeth: h.teeth,
      moduleMm: h.module,
      diametralPitch: h.diametralPitch,
      pressureAngleDeg: h.pressureAngle,
      helixAngleDeg: 0,
      profileShift: h.profileShift,
      probability: h.probability,
      words: `${size(h)} · ${h.pressureAngle}°${h.profileShift ? ` · shift ${h.profileShift > 0 ? "+" : ""}${h.profileShift}` : ""}`,
    }));
    return { names, doubts: unexplainedBy(found), next: null };
  }
  const input = identifyInputOf(job, part);
  if (!input) return null;
  const { hypotheses, doubts, next } = identifyGear(input);
  const names = hypotheses.map((h) => ({
    teeth: h.teeth,
    moduleMm: h.module,
    diametralPitch: h.diametralPitch,
    pressureAngleDeg: h.pressureAngle,
    helixAngleDeg: h.helixAngle,
    profileShift: h.profileShift,
    probability: h.probability,
    ...(h.helixAngle ? { helixU: Math.round(h.spread.helix * 1000) / 1000 } : {}),
    shiftU: Math.round(h.spread.shift * 1000) / 1000,
    ...(h.addendum === 1 ? {} : { addendum: h.addendum }),
    ...(h.system === "free" ? { free: true } : {}),
    words: wordsOf(h, input),
  }));
  return { names, doubts: doubts.map((d) => ({ reading: doubtedReading(d.reading, input), says: d.why })), next };
}

/** What does not go with the likeliest name of a bevel, a worm or a ring. */
const unexplainedBy = (found: Parameters<typeof doubtsAmong>[0]): DoubtedReading[] =>
  doubtsAmong(found).map((d) => ({ reading: d.reading ? { what: d.reading } : null, says: d.why }));

/** "no standard module: about 0.952 · 20° · stub, 0.8 high · flanks worn" */
function wordsOf(h: Hypothesis, input: IdentifyInput): string {
  const fine = FINE_MODULES_ROW_II.find((m) => Math.abs(h.module / m - 1) < 0.006);
  return [
    h.system === "free" ? `no standard module: about ${h.module}${fine ? ` (${fine} is in the second row of DIN 780)` : ""}` : size(h),
    `${h.pressureAngle}°`,
    h.addendum === 1 ? "" : `stub, ${h.addendum} high`,
    h.helixAngle ? `helix ${one(h.helixAngle)}°` : "",
    h.profileShift ? `shift ${h.profileShift > 0 ? "+" : ""}${h.profileShift}` : "",
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
