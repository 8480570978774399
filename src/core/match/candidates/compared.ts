import { CALIPER_U_MM } from "../../quantity/caliper";
import { type Measured, type MeasuredInput, measured } from "../../quantity/measured";
import { type Criterion, type CriterionVerdict, criterion, unknownCriterion } from "./verdict";

/** What is said of a figure that differs for certain. */
export type Otherwise = (offered: number, wanted: number) => readonly [CriterionVerdict, string];

export interface Comparison {
  readonly name: string;
  readonly unit?: "mm" | "°" | "";
  /** how far off it may be and still be the same */
  readonly tolerance: number;
  /** one standard deviation where the figure came without one */
  readonly instrumentU: number;
  /** what settles it; "measure the bore" */
  readonly ask: string;
  readonly otherwise: Otherwise;
  /** where the offered figure is not told; left out: ask the seller for it */
  readonly unknownSays?: string;
  readonly sameSays?: string;
}

/** How many standard deviations a reading may be off and still be meant. */
const SPREADS = 2;
/** A reading whose two spreads reach over this many tolerances does not decide anything. */
const BLUNT = 3;

/** 6.4 − 6.3 is a little more than 0.1 in binary. */
const ROUNDING = 1e-9;

const round = (x: number): string => String(Number(x.toFixed(3)));

/**
 * A measured figure against an offered one. Within the tolerance it is the same; beyond it, but within two
 * spreads of it, the reading cannot tell: possible, with what to measure; else it
 * differs. A reading too blunt to tell neighbours apart does not say "the same" either. What was not
 * measured, or is not told, is to be settled.
 *
 * @param wanted as measured; a bare number has the instrument's spread
 */
export function compared(
  wanted: MeasuredInput | undefined,
  offered: number | undefined,
  how: Comparison,
): Criterion {
  const unit = how.unit === undefined || how.unit === "" ? "" : how.unit === "°" ? "°" : ` ${how.unit}`;
  const reading: Measured | undefined = wanted === undefined ? undefined : measured(wanted, how.instrumentU);
  const shown =
    reading === undefined
      ? "not measured"
      : `${round(reading.value)}${unit}${typeof wanted === "object" ? ` ±\u00a0${round(SPREADS * reading.u)}` : ""}`;
  const said = (verdict: CriterionVerdict, says: string, make = criterion): Criterion =>
    make(
      how.name,
      shown,
      offered === undefined ? "not told" : `${round(offered)}${unit}`,
      how.tolerance ? `${round(how.tolerance)}${unit}` : "exact",
      verdict,
      says,
    );
  if (!reading) return said("settle", `${how.ask} to settle it`, unknownCriterion);
  if (offered === undefined)
    return said("settle", how.unknownSays ?? `ask the seller for the ${how.name}`, unknownCriterion);
  const off = Math.abs(offered - reading.value);
  const slack = SPREADS * reading.u;
  if (off <= how.tolerance + ROUNDING) {
    if (slack > BLUNT * Math.max(how.tolerance, how.instrumentU))
      return said("settle", `agrees, but the reading is not sure enough: ${how.ask} again to settle it`);
    return said("same", how.sameSays ?? "within tolerance");
  }
  if (off <= how.tolerance + slack && typeof wanted === "object")
    return said(
      "settle",
      `${round(off)}${unit} apart, within the spread of the reading: ${how.ask} again to settle it`,
    );
  return said(...how.otherwise(offered, reading.value));
}

/** A length in mm, off the caliper where it came without its spread. */
export const comparedLength = (
  wanted: MeasuredInput | undefined,
  offered: number | undefined,
  how: Omit<Comparison, "unit" | "instrumentU">,
): Criterion => compared(wanted, offered, { unit: "mm", instrumentU: CALIPER_U_MM, ...how });

/** The same, where it is worth asking: nothing of what neither was measured nor is told. */
export const askedLength = (...what: Parameters<typeof comparedLength>): Criterion[] =>
  what[0] === undefined && what[1] === undefined ? [] : [comparedLength(...what)];

/**
 * Another material is never refused: whether it stands the lubricant, the heat and the speed is to be settled,
 * and so is one that nobody told. Null where neither is known.
 *
 * @param ask what settles it
 */
export function materialCriterion(
  wanted: string | undefined,
  offered: string | undefined,
  ask: string,
): Criterion | null {
  if (!wanted && !offered) return null;
  const said = (verdict: CriterionVerdict, says: string, make = criterion): Criterion =>
    make("material", wanted ?? "not noted", offered ?? "not told", "–", verdict, says);
  if (!offered) return said("settle", `ask the seller what it is of: ${wanted} before`, unknownCriterion);
  if (!wanted)
    return said("settle", `nobody said what the old one is of; this one is of ${offered}`, unknownCriterion);
  return sameMaterial(wanted, offered)
    ? said("same", "as it was")
    : said("settle", `${offered} instead of ${wanted}: ${ask}`);
}

const sameMaterial = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/**
 * What is told in a word must be the same word; where one of the two is not known it is settled by looking.
 *
 * @param alike whether both words mean the same; left out: they are the same
 */
export function toldAlike<T extends string>(
  name: string,
  wanted: T | undefined,
  offered: T | undefined,
  says: { readonly same: string; readonly other: string; readonly look: string },
  alike = wanted === offered,
  otherwise: CriterionVerdict = "no",
): Criterion {
  const known = wanted !== undefined && offered !== undefined;
  return (known ? criterion : unknownCriterion)(
    name,
    wanted ?? "not noted",
    offered ?? "not told",
    "exact",
    known ? (alike ? "same" : otherwise) : "settle",
    known ? (alike ? says.same : says.other) : says.look,
  );
}
