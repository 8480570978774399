import { CALIPER_U_MM } from "../../quantity/caliper";
import { type MeasuredInput, measured } from "../../quantity/measured";
import type { PartSpec, SoldKind } from "../catalogue/part-spec";
import { SPEC_FIELDS, type SpecField, specValue } from "../catalogue/spec-fields";
import { compared, materialCriterion } from "./compared";
import { type Criterion, criterion, unknownCriterion } from "./verdict";

/** A part that is looked for by what was measured and seen on it: a belt, a spline, a ratchet, an O-ring. */
export interface WantedSizes {
  readonly kind: SoldKind;
  /** by the keys of its specification: lengths in mm, counts */
  readonly sizes: Readonly<Record<string, MeasuredInput>>;
  /** what it was seen to be, by the same keys */
  readonly seen: Readonly<Record<string, string>>;
}

/** A size further off than this share is that of quite another part. */
const MOST_APART = 0.15;
/** What gives a part its name: without one of these measured nothing is compared. */
const isFigure = (f: SpecField): boolean => f.tolerance !== undefined;

/**
 * Whether anything of it was measured, or its rating read, at all; of a kind that has neither, whether what is
 * printed on it was.
 */
export function isMeasured(w: WantedSizes): boolean {
  const fields = SPEC_FIELDS[w.kind];
  const hasFigures = fields.some((f) => isFigure(f) || f.rating !== undefined);
  return fields.some((f) =>
    hasFigures
      ? (isFigure(f) && w.sizes[f.key] !== undefined) || (f.rating && ratingOf(w, f) !== undefined)
      : w.seen[f.key] !== undefined,
  );
}

/** What stands before a unit, as a factor on it. */
const PREFIXES: Readonly<Record<string, number>> = { p: 1e-12, n: 1e-9, µ: 1e-6, u: 1e-6, m: 1e-3, k: 1e3 };
const PRINTED = /(\d+(?:[.,]\d+)?)\s*(?:([pnµumk])(?=F|A|V|W)|([pnµu])(?![\p{L}]))?/gu;

/**
 * A rating as it is printed: "250 V~" is 250; of two, "125/250 V" or "16(4) A", the larger; "315 mA" is 0.315,
 * "1.2 kW" 1200, and of µF "100 nF" 0.1. Nothing without a figure.
 *
 * @param unit that of the answer, and of a figure that stands alone
 */
export function ratingPrinted(says: string, unit?: SpecField["unit"]): number | undefined {
  const own = unit === "µF" ? 1e-6 : 1;
  const figures = [...says.matchAll(PRINTED)].map(([, figure = "", before, alone]) => {
    const factor = PREFIXES[before ?? alone ?? ""];
    const value = Number(figure.replace(",", "."));
    return factor === undefined ? value : Number((value * (factor / own)).toPrecision(9));
  });
  return figures.length ? Math.max(...figures) : undefined;
}

/** What a rating was, as it was given or printed. */
function ratingOf({ sizes, seen }: WantedSizes, f: SpecField): number | undefined {
  const size = sizes[f.key];
  return size === undefined ? ratingPrinted(seen[f.key] ?? "", f.unit) : measured(size, 0).value;
}

/** What is said of a rating that is below or above what was printed on the old one. */
const OUTSIDE: Readonly<Record<string, readonly [below: string, above: string]>> = {
  "fuse amps": ["it opens at once", "it no longer protects what is behind it"],
  "thermal-cut-off celsius": ["it opens while all is well", "it opens too late: that is what burns"],
  "heater volts": ["it burns out", "it does not get hot"],
  "heater watts": ["it heats less", "it draws more than cord, switch and cut-off were made for"],
};

/** A rating by its own rule: at least what it was, or within a share of it. What nobody read is to be read. */
function ratingCriterion(
  kind: SoldKind,
  f: SpecField,
  was: number | undefined,
  is: number | undefined,
): Criterion {
  const unit = f.unit ?? "";
  const rule = f.rating ?? "at least";
  const allowed = typeof rule === "string" ? rule : `± ${Number((rule * 100).toFixed(1))} %`;
  const said = (verdict: Criterion["verdict"], says: string, make = criterion): Criterion =>
    make(
      f.label,
      was === undefined ? "not read" : `${was} ${unit}`,
      is === undefined ? "not told" : `${is} ${unit}`,
      allowed,
      verdict,
      says,
    );
  if (was === undefined)
    return said("settle", `read the ${f.label} off the old one: this is for ${is} ${unit}`, unknownCriterion);
  if (is === undefined)
    return said("settle", `ask the seller for its ${f.label}: ${was} ${unit} before`, unknownCriterion);
  if (is === was) return said("same", "as it was");
  if (typeof rule === "number" && Math.abs(is - was) <= rule * was * (1 + 1e-9))
    return said("same", "within what such parts are off by");
  if (rule === "at least" && is > was) return said("fits", `made for more than the ${was} ${unit} it was`);
  const [below, above] = OUTSIDE[`${kind} ${f.key}`] ?? [
    "it burns",
    "it does another thing than the old one",
  ];
  return said("no", `made for ${is} ${unit}, where ${was} ${unit} was: ${is < was ? below : above}`);
}

/** A size that was measured, and how far an offered one may be from it to be looked at at all. */
export function looked(f: SpecField, size: MeasuredInput): { readonly value: number; readonly most: number } {
  const { value, u } = measured(size, 0);
  return { value, most: Math.max(MOST_APART * value, (f.tolerance ?? 0) + 3 * u) };
}

/** Of the same kind, and no size far from what was measured. */
export function isNearInSize(wanted: WantedSizes, spec: PartSpec): boolean {
  if (spec.kind !== wanted.kind) return false;
  return SPEC_FIELDS[spec.kind].every((f) => {
    const [is, must] = [specValue(spec, f.key), wanted.sizes[f.key]];
    if (!isFigure(f) || typeof is !== "number" || must === undefined) return true;
    const { value, most } = looked(f, must);
    return Math.abs(is - value) <= most;
  });
}

/**
 * A part of the catalogue against what was measured and seen on the old one, size by size. A count is exact;
 * a length may be off by what the kind allows and the reading leaves open. What was seen to be otherwise is
 * refused where it decides how the part works (which way it holds,
 * what its teeth look like), and asked about where the catalogue does not tell.
 *
 * @example sizesVerdict({ kind: "belt", sizes: { teeth: 87, widthMm: 6 }, seen: { profile: "T5" } }, spec) //
 *   a belt of 88 teeth: no
 */
export function sizesVerdict(wanted: WantedSizes, spec: PartSpec): Criterion[] {
  return SPEC_FIELDS[wanted.kind].flatMap((f): Criterion[] => {
    const offered = specValue(spec, f.key);
    const size = wanted.sizes[f.key];
    if (f.rating) {
      const was = ratingOf(wanted, f);
      const is = typeof offered === "number" ? offered : undefined;
      return was === undefined && is === undefined ? [] : [ratingCriterion(wanted.kind, f, was, is)];
    }
    if (isFigure(f)) {
      // what neither was measured nor is told settles nothing
      if (size === undefined && offered === undefined) return [];
      return [
        compared(size, offered as number | undefined, {
          name: f.label,
          unit: f.unit === "mm" ? "mm" : "",
          tolerance: f.tolerance ?? 0,
          instrumentU: f.tolerance ? CALIPER_U_MM : 0,
          ask: f.tolerance ? `measure the ${f.label}` : `count the ${f.label}`,
          otherwise: (is, must) =>
            f.tolerance === 0
              ? ["no", `${is} ${f.label} instead of ${must}`]
              : ["no", is > must ? "larger: another size" : "smaller: another size"],
        }),
      ];
    }
    const seen = wanted.seen[f.key];
    if (f.key === "material")
      return [
        materialCriterion(
          seen,
          offered as string | undefined,
          "ask whether it stands the load, the lubricant and the heat",
        ) ?? [],
      ].flat();
    if (seen === undefined && offered === undefined) return [];
    const said = (verdict: Criterion["verdict"], says: string, make = criterion): Criterion =>
      make(
        f.label,
        seen ?? "not looked at",
        offered === undefined ? "not told" : String(offered),
        "–",
        verdict,
        says,
      );
    if (offered === undefined)
      return [said("settle", `ask the seller: ${f.label} ${seen}?`, unknownCriterion)];
    if (offered === "both" || offered === "either way round")
      return [said("fits", seen === undefined ? `${offered}` : `${offered}, so also ${seen}`)];
    if (seen === undefined)
      return [said("settle", `look whether the old one is so: ${f.label} ${offered}`, unknownCriterion)];
    if (same(seen, String(offered))) return [said("same", "as it was")];
    if (f.settles) return [said("settle", f.settles)];
    return [said("no", `${f.label} ${offered} instead of ${seen}`)];
  });
}

const bare = (s: string): string => s.toLowerCase().replace(/[^\p{L}\p{N}]/gu, "");
const same = (a: string, b: string): boolean => bare(a) === bare(b);
