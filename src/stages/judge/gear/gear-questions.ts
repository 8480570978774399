import type { BevelInput, IdentifyInput, RingInput, WormInput } from "@/core/gear/identify/index";
import type { Measured } from "@/core/quantity/measured";
import { insidePinOf, pinOf } from "@/core/quantity/reading-kinds";
import { type JudgedJob, type MeanReading, makingOf, meanReadings, notesOf } from "./gear-readings";

const plain = (m: Measured): Measured => ({ value: m.value, u: m.u });

/** The first reading over or between pins, with the pins' size. */
const withPins = (
  means: readonly MeanReading[],
  pinOfThis: (what: string) => number | undefined,
): (Measured & { readonly pin: number }) | undefined =>
  means.flatMap((m) => {
    const pin = pinOfThis(m.what);
    return pin === undefined ? [] : [{ pin, ...plain(m) }];
  })[0];

/**
 * A part's readings as the question to `identifyGear` (spur and helical), or null while there is too little.
 */
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
  const pins = withPins(means, pinOf);
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
    ...(arc?.teeth !== undefined
      ? { arc: { pitches: arc.teeth, angle: { value: arc.value, u: Math.max(arc.u, 0.5) } } }
      : {}),
    ...(pins ? { overPins: pins } : {}),
    ...(helix ? { helixAngle: plain(helix) } : {}),
    ...(notes.hand ? { hand: notes.hand } : {}),
    ...(mateTeeth && mateTeeth >= 4 && centre
      ? { mate: { teeth: mateTeeth, centreDistance: plain(centre) } }
      : {}),
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
    ? {
        meshesWith: {
          module: named.moduleMm,
          pressureAngle: named.pressureAngleDeg,
          helixAngle: named.helixAngleDeg,
        },
      }
    : {};
}

/** A bevel's readings as the question to `identifyBevel`. */
export function bevelInputOf(job: JudgedJob, part: string): BevelInput | null {
  const notes = notesOf(job, part);
  const means = meanReadings(job.readings, part);
  const one = (what: string): Measured | undefined => means.find((m) => m.what === what);
  const [tip, depth, face, spiral] = [
    one("tip diameter"),
    one("tooth depth"),
    one("face angle"),
    one("spiral angle"),
  ];
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

/** A ring's readings as the question to `identifyRing`. */
export function ringInputOf(job: JudgedJob, part: string): RingInput | null {
  const { teeth } = notesOf(job, part);
  const means = meanReadings(job.readings, part);
  const tip = means.find((m) => m.what === "tip diameter");
  const pins = withPins(means, insidePinOf);
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
export function wormInputOf(job: JudgedJob, part: string): WormInput | null {
  const notes = notesOf(job, part);
  const isWorm = notes.kind === "worm";
  const [worm, wheel] = isWorm ? [part, notes.mate] : [notes.mate, part];
  const of = (id: string | undefined, what: string): MeanReading | undefined =>
    id ? meanReadings(job.readings, id).find((m) => m.what === what) : undefined;
  const starts = isWorm
    ? notes.teeth
    : (notes.mateTeeth ?? (worm ? notesOf(job, worm).teeth : undefined) ?? 1);
  const wheelTeeth = isWorm
    ? (notes.mateTeeth ?? (wheel ? notesOf(job, wheel).teeth : undefined) ?? null)
    : (notes.teeth ?? null);
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
