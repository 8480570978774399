import { Fault } from "../fault";
import { CALIPER_U_MM } from "./caliper";

/** A dimension that can be read. */
export interface ReadingKind {
  /** what is believed of it */
  readonly min: number;
  readonly max: number;
  /** empty: a count */
  readonly unit: "mm" | "°" | "";
  /** one standard deviation of a reading of it, in its unit */
  readonly u: number;
  /** the gear's name rests on it: a new one takes an accepted name back */
  readonly names: boolean;
}

const mm = (min: number, max: number, names = false, u = CALIPER_U_MM): ReadingKind => ({
  min,
  max,
  unit: "mm",
  u,
  names,
});
const degrees = (min: number, max: number, u: number, names: boolean): ReadingKind => ({
  min,
  max,
  unit: "°",
  u,
  names,
});

/**
 * What can be measured at the bench. Between jaws that touch two tips or a root by feel, a reading spreads
 * wider than on a shaft.
 */
export const READING_KINDS: Readonly<Record<string, ReadingKind>> = {
  "tip diameter": mm(1, 600, true, 0.03),
  "tip circle": mm(1, 600, true),
  span: mm(0.5, 300, true),
  chord: mm(0.5, 600, true, 0.04),
  arc: degrees(2, 358, 1, true),
  "root diameter": mm(1, 600, true, 0.05),
  bore: mm(0.5, 200),
  "bore across": mm(0.5, 200),
  shaft: mm(0.5, 200),
  "face width": mm(0.5, 200),
  "helix angle": degrees(0, 60, 1.5, true),
  "tooth depth": mm(0.2, 30, false, 0.08),
  "face angle": degrees(2, 88, 1.5, false),
  "spiral angle": degrees(0, 60, 2, false),
  "axial pitch": mm(0.3, 300, false, 0.05),
  "throat diameter": mm(3, 600, false, 0.08),
  "centre distance": mm(2, 600, false, 0.05),
  "outside diameter": mm(1, 400),
  "inside diameter": mm(0.5, 400),
  diameter: mm(0.2, 200),
  width: mm(0.5, 200),
  length: mm(0.5, 5000),
  thickness: mm(0.02, 100),
  section: mm(0.3, 50),
  flange: mm(1, 400),
  height: mm(0.1, 100),
  "across flat or keyway": mm(0.5, 200),
  "keyway width": mm(0.3, 60),
  "hub diameter": mm(1, 400),
  "length over all": mm(0.5, 1000),
  "hub's end to the teeth": mm(0, 500),
  "mounting distance": mm(1, 600, false, 0.1),
  "second rim count": { min: 1, max: 400, unit: "", u: 0, names: false },
  count: { min: 1, max: 400, unit: "", u: 0, names: false },
  "mate span loss": mm(0, 5),
};
const OVER_PINS = mm(1, 600, true);
const PINS = /^over pins (\d+(?:\.\d+)?)$/;
const BETWEEN_PINS = /^between pins (\d+(?:\.\d+)?)$/;

/** @example overPinsOf(1.7) // "over pins 1.7" */
export const overPinsOf = (pinMm: number): string => `over pins ${pinMm}`;
/**
 * The pins' diameter, mm, of a reading over pins; undefined: it is another.
 *
 * @example pinOf("over pins 1.7") // 1.7
 */
export function pinOf(what: string): number | undefined {
  const size = PINS.exec(what)?.[1];
  return size === undefined ? undefined : Number(size);
}

/** Of a ring: between two pins in its gaps. @example betweenPinsOf(1.5) // "between pins 1.5" */
export const betweenPinsOf = (pinMm: number): string => `between pins ${pinMm}`;
/** The pins' diameter, mm, of a reading between pins; undefined: it is another. */
export function insidePinOf(what: string): number | undefined {
  const size = BETWEEN_PINS.exec(what)?.[1];
  return size === undefined ? undefined : Number(size);
}

/** What is known of a reading by its name; undefined: nobody reads such a thing. */
export const readingKind = (what: string): ReadingKind | undefined =>
  Object.hasOwn(READING_KINDS, what)
    ? READING_KINDS[what]
    : PINS.test(what) || BETWEEN_PINS.test(what)
      ? OVER_PINS
      : undefined;

/** Whether a gear's name rests on such a reading. */
export const namesTheGear = (what: string): boolean => readingKind(what)?.names ?? false;

/** The spread of one reading, in its unit: its own, or that of its kind. */
export const spreadOf = (r: { readonly what: string; readonly u?: number }): number =>
  r.u ?? readingKind(r.what)?.u ?? CALIPER_U_MM;

/** A value that cannot be is refused with a sentence. */
export function believedReading(what: string, value: number): ReadingKind {
  const kind = readingKind(what);
  if (!kind) throw new Fault("what", `there is no reading called ${what}`);
  const { min, max, unit } = kind;
  if (value < min || value > max)
    throw new Fault(
      "typed",
      `a ${what} of ${[Number(value.toFixed(3)), unit].join(" ").trim()} cannot be: it lies between ${min} and ${[max, unit].join(" ").trim()}`,
    );
  if (!unit && !Number.isInteger(value))
    throw new Fault("typed", `a ${what} is a whole number, not ${value}`);
  return kind;
}
