import { DEFAULT_DENSITY } from "../grease/charge";
import { isMeshing, type PointKindName } from "../grease/point-kinds";
import { DROP_ML } from "../quantity/typed-figure";
import { capital, listed } from "../sentence";
import { FEW_DROPS } from "./amount-says";
import { LEAST_WEIGHED_G } from "./slips";

/** What is known of a chamber's answer, as far as a sentence tells it. */
export interface AnswerFacts {
  readonly name: string;
  readonly lubricant: string;
  readonly isOil: boolean;
  readonly densityGPerMl?: number | undefined;
  readonly levelPlug?: boolean | undefined;
  /** what it is to hold, g; null: not known */
  readonly grams: number | null;
  readonly leastGrams: number | null;
  readonly mostGrams: number | null;
  /** what is still to be added, where some stays */
  readonly addGrams: number | null;
  /** what went in, once all of it is in */
  readonly weighedGrams?: number | undefined;
  readonly points: readonly {
    readonly kind?: PointKindName | undefined;
    readonly where: string;
    /** it is reached from outside, once all is together */
    readonly outside?: boolean | undefined;
  }[];
  /** what goes to places of it that take another: by name, and where */
  readonly besides?: readonly { readonly lubricant: string; readonly at: readonly string[] }[];
  /** the first line after which one of them is out of reach */
  readonly last?: { readonly line: number; readonly closes: boolean } | undefined;
}

/** A figure as fine as it is known: whole from twenty on, tenths below. */
const figure = (n: number): string => (n >= 20 ? n.toFixed(0) : n.toFixed(1));
const spread = (low: number, high: number, unit: string): string =>
  figure(low) === figure(high) ? `${figure(low)} ${unit}` : `${figure(low)} to ${figure(high)} ${unit}`;

/** How much goes in, in words; null: nothing tells it. @example amountOf(…) // "110 to 130 g" */
function amountOf(a: AnswerFacts): string | null {
  const density = a.densityGPerMl ?? DEFAULT_DENSITY;
  const [per, unit] = a.isOil ? [density, "ml"] : [1, "g"];
  // what was weighed stands as it was weighed, here and on the sheet
  if (a.weighedGrams !== undefined) return `${(a.weighedGrams / per).toFixed(1)} ${unit}`;
  if (a.levelPlug) return "up to the level plug";
  if (a.grams === null || a.leastGrams === null || a.mostGrams === null || a.addGrams === null) return null;
  if (a.isOil && a.grams / density <= FEW_DROPS * DROP_ML) {
    const drops = Math.max(1, Math.round(a.grams / density / DROP_ML));
    return drops === 1 ? "a drop" : `${drops} drops`;
  }
  if (a.mostGrams < LEAST_WEIGHED_G) return "a film";
  if (a.addGrams < a.grams) return `${figure(a.addGrams / per)} ${unit} more`;
  return spread(a.leastGrams / per, a.mostGrams / per, unit);
}

/** The places of a chamber as one says them. */
function placesOf(points: AnswerFacts["points"]): string {
  const teeth = points.filter((p) => p.kind && isMeshing(p.kind));
  const others = points.filter((p) => !teeth.includes(p));
  const named = others.length > 2 ? [`${others.length} more places`] : others.map((p) => p.where);
  if (!teeth.length)
    return others.length > 3 ? `at ${others.length} places` : `at the ${listed(others.map((p) => p.where))}`;
  const round = teeth.every((p) => p.kind === "worm")
    ? "in the worm’s thread and round its wheel"
    : "round the gears";
  return named.length ? `${round}, and at the ${listed(named)}`.replace(/at the (\d)/, "at $1") : round;
}

/**
 * The answer for one chamber in a sentence; null: how much nobody knows, and that is asked instead.
 *
 * @example answerSays(…) // "Gear case: 110 to 130 g of Olmen FG-1, round the gears, before line 9 closes it."
 */
export function answerSays(a: AnswerFacts): string | null {
  const amount = amountOf(a);
  if (amount === null) return null;
  const what =
    a.levelPlug && a.weighedGrams === undefined ? `${a.lubricant} ${amount}` : `${amount} of ${a.lubricant}`;
  const whole =
    a.addGrams !== null && a.grams !== null && a.addGrams < a.grams && a.weighedGrams === undefined
      ? `, ${figure(a.grams)} g with what stays`
      : "";
  if (a.weighedGrams !== undefined) return `${capital(a.name)}: ${what} went in.`;
  const when = a.last ? `, before line ${a.last.line}${a.last.closes ? " closes it" : ""}` : "";
  const within = a.points.filter((p) => !p.outside);
  const outside = a.points.filter((p) => p.outside);
  const places = [
    ...(within.length ? [`${placesOf(within)}${when}`] : []),
    ...(outside.length ? [`${within.length ? "and " : ""}from outside ${placesOf(outside)}`] : []),
  ];
  const besides = (a.besides ?? []).map(
    (b) =>
      ` ${capital(b.lubricant)} at ${b.at.length > 3 ? `${b.at.length} places` : `the ${listed(b.at)}`}.`,
  );
  return `${capital(a.name)}: ${what}${whole}, ${places.join(", ")}.${besides.join("")}`;
}
