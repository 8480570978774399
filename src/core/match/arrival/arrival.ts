import { z } from "zod";
import type { Frozen } from "../../frozen";
import type { Making } from "../../gear/as-made";
import { spanWhenNew, tipWhenNew } from "../../gear/as-new";
import { flatJawsShare } from "../../gear/jaws-across";
import { bestSpanTeeth, faceWideEnough, spanTeeth } from "../../gear/span-measurement";
import { isPlastic } from "../../hardware/material";
import { radians } from "../../quantity/units";
import { gearForm, isToothed, type PartSpec, soldGear, type ToothedSpec } from "../catalogue/part-spec";
import { SPEC_FIELDS, type SpecField, specValue } from "../catalogue/spec-fields";

/** One thing to compare on a part that has come, before it is fitted. */
export interface CompareItem {
  readonly key: string;
  readonly label: string;
  readonly unit: string;
  /** as the catalogue has it */
  readonly expected: number | string;
  /** how far a measured one may be off; left out: it is looked at and answered "as it should be" or not */
  readonly tolerance?: number;
  /** on the old part */
  readonly old?: string;
  readonly how: string;
  /** worth a reading where there is doubt, and not asked for */
  readonly extra?: true;
}

/** What was measured or seen on it. */
export const comparedValue = z.union([
  z.number().min(0, "must not be negative").max(100_000, "is more than any part measures"),
  z.enum(["yes", "no"]),
]);
export const comparedSchema = z.record(z.string(), comparedValue);
export type Compared = Frozen<z.infer<typeof comparedSchema>>;

/** What is done to a new part before it goes in. */
export interface Rework {
  readonly do: "ream" | "cut" | "shim" | "pull-seal";
  readonly note: string;
}

export interface CompareVerdict {
  readonly key: string;
  readonly verdict: "same" | "doubt" | "rework" | "no" | "open";
  readonly says: string;
}

export interface ArrivalVerdict {
  readonly items: readonly CompareVerdict[];
  /** what the comparison comes to; the technician decides */
  readonly suggests: "accept" | "rework" | "send back" | "compare" | "doubt";
  readonly says: string;
  /** what is to be done to it before it goes in */
  readonly rework: readonly Rework[];
}

const HOW: Readonly<Record<string, string>> = {
  teeth: "count them, a mark on the first",
  boreMm: "caliper, inner jaws, twice across",
  faceWidthMm: "caliper over the face",
  insideMm: "caliper, inner jaws",
  outsideMm: "caliper over the outside",
  widthMm: "caliper over the faces",
  helixAngleDeg: "lay it on the old one: the teeth lean alike",
};

/** What is looked at besides its figures, by kind. */
const LOOKS: Readonly<
  Partial<
    Record<
      PartSpec["kind"],
      readonly { readonly key: string; readonly label: string; readonly how: string }[]
    >
  >
> = {
  gear: [
    {
      key: "mesh",
      label: "meshes by hand",
      how: "roll it once round against its mate: free all round, no tight place",
    },
    {
      key: "edges",
      label: "teeth whole, no flash",
      how: "with a loupe: no chip, no moulding seam on a flank",
    },
  ],
  bearing: [{ key: "turns", label: "turns smooth", how: "between two fingers: no grit, no play" }],
  bush: [{ key: "slides", label: "slides on its shaft", how: "by hand, dry: no shake, no force" }],
  seal: [{ key: "lip", label: "lip whole, spring in", how: "all round, before it touches grease" }],
  "o-ring": [{ key: "whole", label: "no nick, no flat", how: "between two fingers, all round" }],
  gasket: [{ key: "holes", label: "every hole over its hole", how: "lay it on the case" }],
  belt: [{ key: "lies", label: "teeth fall into the pulley", how: "lay it round the larger pulley" }],
  spline: [
    { key: "slides", label: "slides into the other", how: "by hand, in three places: no shake, no force" },
  ],
  ratchet: [{ key: "pawl", label: "its pawl holds and lets go", how: "both ways by hand, at every tooth" }],
  "dog-clutch": [
    { key: "engages", label: "dogs fall in to the bottom", how: "against the other half, in each place" },
  ],
  "one-way-clutch": [
    {
      key: "turns",
      label: "holds one way, free the other",
      how: "on its shaft, by hand: the way as the old one",
    },
  ],
  brush: [{ key: "slidesIn", label: "slides in its holder", how: "it must drop by itself" }],
  switch: [
    {
      key: "terminals",
      label: "terminals where the leads are",
      how: "compare with the picture of the strip",
    },
  ],
  capacitor: [{ key: "leads", label: "leads as long, no bulge", how: "beside the old one" }],
  fuse: [{ key: "caps", label: "fits its holder", how: "both caps grip, without bending the clips" }],
  "thermal-cut-off": [
    {
      key: "seat",
      label: "lies flat where the old one did",
      how: "its face on what it watches, not in the air",
    },
  ],
  heater: [{ key: "fixing", label: "holes and terminals where they were", how: "lay it on the old one" }],
  board: [{ key: "plugs", label: "every plug and hole where it was", how: "lay it beside the old one" }],
  housing: [{ key: "dowels", label: "dowel holes take the dowels", how: "try each dowel by hand" }],
  kit: [{ key: "complete", label: "everything on the list is in it", how: "lay it out and count" }],
};

/** Sizes that can be made to fit: a bore may be reamed, a face taken off. */
const REWORK: Readonly<
  Record<
    string,
    {
      readonly smaller: boolean;
      readonly do: Rework["do"];
      readonly note: (is: number, must: number) => string;
    }
  >
> = {
  boreMm: {
    smaller: true,
    do: "ream",
    note: (is, must) => `ream the bore from ${is} to ${must} mm, square to the face, and wash the swarf out`,
  },
  faceWidthMm: {
    smaller: false,
    do: "cut",
    note: (is, must) => `take ${round(is - must)} mm off the face, on the side without the hub`,
  },
  lengthMm: {
    smaller: false,
    do: "cut",
    note: (is, must) => `shorten it from ${is} to ${must} mm and break the edge`,
  },
};

/** What is told in the catalogue and shows on no part by itself, or in its tip diameter and its mesh. */
const NOT_SEEN: ReadonlySet<string> = new Set([
  "moduleMm",
  "pressureAngleDeg",
  "profileShift",
  "profile",
  "mateTeeth",
  "mountingMm",
  "soldAs",
  "secondModuleMm",
]);

const round = (x: number): number => Number(x.toFixed(3));

/** A single reading of a caliper may be off by this much, mm: two of its spreads. */
const CALIPER_MM = 0.04;

/** A gear whose shift is not told may be larger or smaller by so many modules over its tips. */
const UNTOLD_SHIFT = 0.2;

/**
 * What to compare on a part of this kind, the decisive first. Figures a caliper reaches are measured; the
 * rest is looked at. A gear's tip diameter is worked out from its numbers (with flat jaws on an odd count, as
 * the
 * jaws show it).
 *
 * @param old what was found on the old part, by key
 */
export function whatToCompare(spec: PartSpec, old: Readonly<Record<string, string>> = {}): CompareItem[] {
  const how: Making = isPlastic(specValue(spec, "material") as string | undefined) ? "moulded" : "unknown";
  const item = (f: SpecField, expected: number | string): CompareItem => ({
    key: f.key,
    label: f.label,
    unit: f.unit ?? "",
    expected,
    ...(f.tolerance === undefined || typeof expected === "string" || f.key === "helixAngleDeg"
      ? {}
      : { tolerance: f.tolerance }),
    ...(old[f.key] === undefined ? {} : { old: old[f.key] }),
    how:
      HOW[f.key] ??
      (typeof expected === "number" && f.tolerance !== undefined ? "caliper" : "look, beside the old one"),
  });
  const out = SPEC_FIELDS[spec.kind].flatMap((f) => {
    const value = specValue(spec, f.key);
    // a module, a pressure angle and a shift show in the tip diameter and in the mesh
    if (
      value === undefined ||
      (f.key === "form" && spec.kind !== "spline") ||
      NOT_SEEN.has(f.key) ||
      (f.key === "helixAngleDeg" && value === 0)
    )
      return [];
    return [item(f, value)];
  });
  if (
    spec.kind === "gear" &&
    isToothed(spec) &&
    (gearForm(spec) === "spur" || gearForm(spec) === "helical")
  ) {
    const sold = soldGear(spec);
    const tip = tipWhenNew(sold, how);
    const share = flatJawsShare(sold);
    out.splice(1, 0, {
      key: "tipDiameterMm",
      label: "tip diameter",
      unit: "mm",
      expected: Number((tip.value * share).toFixed(2)),
      // two spreads of new gears of this making; of a shift that is not told nothing is expected
      tolerance: Number(
        (2 * tip.u + (spec.profileShift === undefined ? UNTOLD_SHIFT * spec.moduleMm : 0)).toFixed(3),
      ),
      ...(old.tipDiameterMm === undefined ? {} : { old: old.tipDiameterMm }),
      how:
        spec.teeth % 2 ? "caliper across, as flat jaws show an odd count" : "caliper over two opposite teeth",
    });
  }
  if (spec.kind === "gear" && isToothed(spec)) out.push(...spanItem(spec, how, old));
  for (const l of LOOKS[spec.kind] ?? []) out.push({ ...l, unit: "", expected: "yes" });
  return out;
}

/**
 * The span that tells most of a new gear's teeth: module, pressure angle and shift at once. Not where flat
 * jaws do not reach it.
 */
function spanItem(spec: ToothedSpec, how: Making, old: Readonly<Record<string, string>>): CompareItem[] {
  const form = gearForm(spec);
  if (form !== "spur" && form !== "helical") return [];
  const sold = soldGear(spec);
  const k = bestSpanTeeth(sold);
  const reached =
    form === "spur" || (spec.faceWidthMm !== undefined && faceWideEnough(sold, k, spec.faceWidthMm));
  if (!reached || !spanTeeth(sold).includes(k)) return [];
  const span = spanWhenNew(sold, k, how);
  const untold =
    spec.profileShift === undefined
      ? 2 * UNTOLD_SHIFT * spec.moduleMm * Math.sin(radians(spec.pressureAngleDeg))
      : 0;
  const key = spanKey(k);
  return [
    {
      key,
      label: `span over ${k}`,
      unit: "mm",
      expected: Number(span.value.toFixed(2)),
      tolerance: Number((2 * span.u + untold).toFixed(3)),
      ...(old[key] === undefined ? {} : { old: old[key] }),
      how: "in doubt: caliper jaws over so many teeth, flat on the flanks",
      extra: true,
    },
  ];
}

/** @example spanKey(5) // "span5" */
export const spanKey = (k: number): string => `span${k}`;

/**
 * What a comparison comes to. A figure within its tolerance is the same, one beyond it by no more than a
 * caliper may be off is in doubt; a bore too small or a face too wide can be worked on; anything else is not
 * the part. Nothing is suggested until the decisive items (those that are measured) are
 * answered, but one that is wrong is enough to send it back.
 */
export function arrivalVerdict(items: readonly CompareItem[], found: Compared): ArrivalVerdict {
  const rework: Rework[] = [];
  const verdicts = items.map((i): CompareVerdict => {
    const value = found[i.key];
    if (value === undefined) return { key: i.key, verdict: "open", says: "" };
    if (typeof value === "string")
      return value === "yes"
        ? { key: i.key, verdict: "same", says: "as it should be" }
        : { key: i.key, verdict: "no", says: `not as it should be: ${i.label}` };
    const expected = i.expected as number;
    const off = value - expected;
    if (Math.abs(off) <= (i.tolerance ?? 0) + 1e-9)
      return { key: i.key, verdict: "same", says: "as it should be" };
    if (i.unit === "mm" && Math.abs(off) <= (i.tolerance ?? 0) + CALIPER_MM)
      return { key: i.key, verdict: "doubt", says: `${round(value)} instead of ${expected} mm` };
    const way = REWORK[i.key];
    if (way && off < 0 === way.smaller) {
      rework.push({ do: way.do, note: way.note(round(value), expected) });
      return { key: i.key, verdict: "rework", says: way.note(round(value), expected) };
    }
    return {
      key: i.key,
      verdict: "no",
      says: `${round(value)}${i.unit && ` ${i.unit}`} instead of ${expected}${i.unit && ` ${i.unit}`}: ${round(Math.abs(off))}${i.unit && ` ${i.unit}`} too ${off > 0 ? (i.unit ? "much" : "many") : i.unit ? "little" : "few"}`,
    };
  });
  const wrong = verdicts.filter((v) => v.verdict === "no");
  const open = items.filter((i) => i.tolerance !== undefined && !i.extra && found[i.key] === undefined);
  if (wrong.length)
    return {
      items: verdicts,
      suggests: "send back",
      says: `It is not the part: ${wrong.map((v) => `${items.find((i) => i.key === v.key)?.label} ${v.says}`).join("; ")}.`,
      rework,
    };
  if (open.length)
    return {
      items: verdicts,
      suggests: "compare",
      says: `Still to be measured: ${open.map((i) => i.label).join(", ")}.`,
      rework,
    };
  const doubt = verdicts.filter((v) => v.verdict === "doubt");
  if (doubt.length)
    return {
      items: verdicts,
      suggests: "doubt",
      says: `${doubt.map((v) => `${items.find((x) => x.key === v.key)?.label} ${v.says}`).join("; ")}: hardly more than the caliper may be off. Measure again, or decide.`,
      rework,
    };
  if (rework.length)
    return {
      items: verdicts,
      suggests: "rework",
      says: `It goes in after rework: ${rework.map((r) => r.note).join("; ")}.`,
      rework,
    };
  const unseen = items.filter((i) => i.tolerance === undefined && found[i.key] === undefined);
  const names = unseen.map((i) => i.label).join(", ");
  if (unseen.length && !items.some((i) => i.tolerance !== undefined))
    return { items: verdicts, suggests: "compare", says: `Still to be looked at: ${names}.`, rework };
  const says = unseen.length
    ? `The figures are as they should be. Look at the rest: ${names}.`
    : items.length
      ? "It is the part."
      : "Nothing is told of it to compare: hold it against the old one.";
  return { items: verdicts, suggests: "accept", says, rework };
}
