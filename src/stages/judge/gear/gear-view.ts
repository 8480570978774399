import { ringPinMm } from "@/core/gear/between-pins";
import type { GearKind } from "@/core/gear/gear-kind";
import type { NextReading } from "@/core/gear/identify/index";
import { bestSpanTeeth, type Gear, type SizeRow, sizesCompared, spanTeeth } from "@/core/gear/index";
import type { GearIdentity, GearNotes } from "@/core/job/gear-notes";
import type { Job } from "@/core/job/job";
import { partName } from "@/core/job/part";
import { type ToothExtent, toothExtent } from "@/core/judge/tooth-marks";
import type { CataloguePart } from "@/core/match/catalogue/catalogue-part";
import { isToothed, soldGear } from "@/core/match/catalogue/part-spec";
import { betweenPinsOf, insidePinOf, overPinsOf, pinOf } from "@/core/quantity/reading-kinds";
import { type MeanReading, makingOf, meanReadings, notesOf } from "./gear-readings";
import { type MateView, mateView } from "./mate-view";
import { type DoubtedReading, nameFrom, type PossibleName } from "./naming";

/** A dimension that the bench asks for. */
export interface AskedReading {
  readonly what: string;
  readonly label: string;
  readonly unit: "mm" | "°";
  readonly teeth?: number;
}

export interface LaidOver {
  readonly key: string;
  readonly says: string;
  readonly gear: Gear;
}

export interface GearView {
  readonly part: string;
  readonly kind: GearKind;
  readonly notes: GearNotes;
  readonly means: readonly MeanReading[];
  readonly asked: readonly AskedReading[];
  readonly marks: Readonly<Record<string, string>>;
  readonly extent: ToothExtent | null;
  readonly identity: GearIdentity | null;
  readonly names: readonly PossibleName[];
  /** readings that cannot all be true */
  readonly doubts: readonly DoubtedReading[];
  /** how it was made: as said, or as its material tells */
  readonly making: ReturnType<typeof makingOf>;
  readonly next: NextReading | null;
  /** as it is drawn: the accepted name, or the likeliest */
  readonly gear: Gear | null;
  readonly sizes: readonly SizeRow[];
  /** other toothed parts of the job */
  readonly others: readonly { readonly id: string; readonly name: string }[];
  readonly mate: MateView;
  readonly over: readonly LaidOver[];
}

/** What the gear bench shows of a part, worked out from what was measured and noted. */
export function gearView(job: Job, id: string, catalogue: readonly CataloguePart[]): GearView {
  const finding = job.findings.find((f) => f.part === id);
  const notes = notesOf(job, id);
  const kind = notes.kind ?? "spur";
  const means = meanReadings(job.readings, id);
  const naming = nameFrom(job, id);
  const identity = finding?.identity ?? null;
  const gear = drawn(kind, identity ?? naming?.names[0] ?? null, notes);
  const marks = finding?.teeth ?? {};
  const others = job.parts
    .filter((p) => p.kind === "gear" && p.id !== id)
    .map((p) => ({ id: p.id, name: partName(p) }));
  const meshing = kind === "spur" || kind === "helical";
  const making = makingOf(job, id);
  return {
    part: id,
    kind,
    notes,
    means,
    asked: askedReadings(kind, notes, gear, naming?.next ?? null, means),
    marks,
    extent:
      gear && Object.keys(marks).length ? toothExtent(marks, gear.teeth, notes.turning, notes.drives) : null,
    identity,
    names: naming?.names ?? [],
    doubts: naming?.doubts ?? [],
    making,
    next: naming?.next ?? null,
    gear,
    sizes: gear && meshing ? sizesCompared(gear, means, making.making) : [],
    others,
    mate: mateView(job, id, meshing ? gear : null),
    over: meshing && gear ? laidOver(gear, naming?.names ?? [], catalogue, finding?.chosen) : [],
  };
}

/** The numbers a face is drawn from. Kinds without an involute face are drawn from what was entered. */
function drawn(
  kind: GearKind,
  name: Omit<GearIdentity, "probability"> | null,
  notes: GearNotes,
): Gear | null {
  if (name && kind !== "worm")
    return {
      teeth: name.teeth,
      moduleMm: name.moduleMm,
      pressureAngleDeg: name.pressureAngleDeg,
      helixAngleDeg: kind === "worm-wheel" ? 0 : name.helixAngleDeg,
      profileShift: name.profileShift,
      ...(name.addendum === undefined ? {} : { addendum: name.addendum }),
    };
  if (name)
    return {
      teeth: Math.max(4, name.teeth),
      moduleMm: name.moduleMm,
      pressureAngleDeg: 20,
      helixAngleDeg: 0,
      profileShift: 0,
    };
  const moduleMm = notes.moduleMm ?? (notes.pitchMm ? notes.pitchMm / Math.PI : undefined);
  if (!moduleMm || !notes.teeth || notes.teeth < 4) return null;
  return { teeth: notes.teeth, moduleMm, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 };
}

/** Asked for where the mate is looked at. */
export const CENTRE: AskedReading = { what: "centre distance", label: "Centre distance", unit: "mm" };

function askedReadings(
  kind: GearKind,
  notes: GearNotes,
  gear: Gear | null,
  next: NextReading | null,
  means: readonly MeanReading[],
): AskedReading[] {
  const mm = (what: string, label: string, teeth?: number): AskedReading => ({
    what,
    label,
    unit: "mm",
    ...(teeth === undefined ? {} : { teeth }),
  });
  const deg = (what: string, label: string, teeth?: number): AskedReading => ({
    what,
    label,
    unit: "°",
    ...(teeth === undefined ? {} : { teeth }),
  });
  const taken = (what: string): number[] =>
    means
      .filter((m) => m.what === what && m.teeth !== undefined)
      .map((m) => m.teeth as number)
      .sort((a, b) => a - b);
  const ends = [mm("bore", "Bore"), mm("face width", "Face width")];
  if (kind === "bevel")
    return [
      mm("tip diameter", "Tips, large end"),
      mm("tooth depth", "Depth, large end"),
      deg("face angle", "Face angle"),
      ...(notes.bevelTeeth === "spiral" ? [deg("spiral angle", "Spiral, mid-face")] : []),
      ...ends,
    ];
  if (kind === "worm") {
    const [threads = 4] = taken("axial pitch");
    return [
      mm("tip diameter", "Outside diameter"),
      mm("axial pitch", `Along ${threads} threads`, threads),
      mm("centre distance", "Centre distance"),
      ...ends,
    ];
  }
  if (kind === "worm-wheel")
    return [mm("throat diameter", "Throat diameter"), mm("centre distance", "Centre distance"), ...ends];
  if (kind === "internal") {
    const taken = means.map((m) => insidePinOf(m.what)).find((p) => p !== undefined);
    const across = means.find((m) => m.what === "tip diameter")?.value;
    const module = gear?.moduleMm ?? (across && notes.teeth ? across / (notes.teeth - 2) : undefined);
    const pin = taken ?? (module ? ringPinMm(module) : undefined);
    return [
      mm("tip diameter", "Tips, inside"),
      ...(pin ? [mm(betweenPinsOf(pin), `Between Ø ${pin} pins`)] : []),
      mm("outside diameter", "Outside diameter"),
      mm("face width", "Face width"),
    ];
  }
  if (kind !== "spur" && kind !== "helical") return [mm("tip diameter", "Over the tips"), ...ends];
  const teeth = gear?.teeth ?? notes.teeth ?? 30;
  // a helix adds to the count between the jaws: guess 15° until it is known
  const form = gear ?? {
    teeth,
    pressureAngleDeg: 20,
    helixAngleDeg: kind === "helical" ? 15 : 0,
    profileShift: 0,
  };
  const best = bestSpanTeeth(form);
  // those that were taken and the one worth taking next; two places at least, each once
  const wanted = new Set([
    ...taken("span"),
    ...(next?.drawing === "span" && next.teeth !== undefined ? [next.teeth] : []),
  ]);
  for (const k of [
    best,
    ...spanTeeth(form).sort((a, b) => Math.abs(a - best) - Math.abs(b - best)),
    best + 1,
  ])
    if (wanted.size < 2 && k >= 2) wanted.add(k);
  const spans = [...wanted].sort((a, b) => a - b);
  // of what is left of a broken gear nothing is measured across
  const fragment =
    notes.teeth === undefined &&
    notes.arcPitches !== undefined &&
    !means.some((m) => m.what === "tip diameter");
  const out = [
    ...(fragment ? [] : [mm("tip diameter", "Tip diameter")]),
    ...spans.map((n) => mm("span", `Span over ${n}`, n)),
    ...ends,
  ];
  out.push(kind === "helical" ? deg("helix angle", "Helix angle") : mm("root diameter", "Root diameter"));
  if (notes.teeth === undefined && notes.arcPitches) {
    out.push(deg("arc", `Arc of ${notes.arcPitches} pitches`, notes.arcPitches));
    out.push(mm("chord", `Tip to tip, ${notes.arcPitches} on`, notes.arcPitches));
  }
  if (means.some((m) => m.what === "tip circle")) out.push(mm("tip circle", "Tip circle, seen"));
  const pin =
    means.map((m) => pinOf(m.what)).find((p) => p !== undefined) ??
    (next?.drawing === "pins" ? next.pinMm : undefined);
  if (pin) out.push(mm(overPinsOf(pin), `Over Ø ${pin} pins`));
  if (next?.drawing === "centre") out.push(CENTRE);
  return out;
}

/** Gears worth laying over this one: the other possible names, and those of the catalogue that come near. */
function laidOver(
  gear: Gear,
  names: readonly PossibleName[],
  catalogue: readonly CataloguePart[],
  chosen: string | undefined,
): LaidOver[] {
  const out: LaidOver[] = names
    .slice(1, 3)
    .map((n, i) => ({ key: `name-${i + 1}`, says: `if it were ${n.words}`, gear: n }));
  const tip = (g: Gear): number => (g.teeth * g.moduleMm) / Math.cos((g.helixAngleDeg * Math.PI) / 180);
  const sold = catalogue.flatMap(({ number, name, spec }) =>
    spec.kind === "gear" && isToothed(spec) ? [{ number, name, gear: soldGear(spec) }] : [],
  );
  const near = sold
    .filter((p) => Math.abs(tip(p.gear) / tip(gear) - 1) < 0.12)
    .sort((a, b) => Number(b.number === chosen) - Number(a.number === chosen));
  for (const { number, name, gear: one } of near.slice(0, 8))
    out.push({ key: number, says: `${number === chosen ? "chosen: " : ""}${number} ${name}`, gear: one });
  return out;
}
