import { z } from "zod";
import { Fault } from "../../fault";
import type { Frozen } from "../../frozen";
import { type Measured, measured, measuredInput } from "../../quantity/measured";
import type { SleeveLimits } from "./bearing-sleeve";
import { BELT_SHAPES, FLANKS } from "./belts";
import { PIN_FORMS } from "./pins";
import {
  bearingRows,
  beltRows,
  circlipRows,
  oRingRows,
  pinRows,
  type SizeRow,
  threadRows,
} from "./size-rows";

const mm = (what: string) =>
  measuredInput.refine((v) => (typeof v === "number" ? v : v.value) > 0, `${what} must be above 0 mm`);

export const hardwareInput = z.discriminatedUnion(
  "kind",
  [
    z.strictObject({
      kind: z.literal("bearing"),
      bore: mm("a bore").optional(),
      outside: mm("an outside diameter").optional(),
      width: mm("a width").optional(),
      /** what turned where it came from: the shaft in it, or the wheel round it */
      turns: z.enum(["shaft", "wheel"], { error: 'is neither "shaft" nor "wheel"' }).optional(),
    }),
    z.strictObject({
      kind: z.literal("thread"),
      diameter: mm("a diameter").optional(),
      /** one pitch; better over several threads */
      pitch: mm("a pitch").optional(),
      pitchOver: z
        .strictObject({
          threads: z.int().min(1).max(60),
          value: z.number().positive("must be above 0 mm"),
          u: z.number().positive().optional(),
        })
        .optional(),
      /** coarse, cuts or forms its own thread in plastic or sheet */
      pointed: z.boolean().optional(),
    }),
    z.strictObject({
      kind: z.literal("pin"),
      diameter: mm("a diameter").optional(),
      hole: mm("a hole").optional(),
      form: z.enum(PIN_FORMS, { error: `is none of ${PIN_FORMS.join(", ")}` }).optional(),
    }),
    z.strictObject({
      kind: z.literal("circlip"),
      shaft: mm("a shaft").optional(),
      bore: mm("a bore").optional(),
      groove: mm("a groove").optional(),
      thickness: mm("a thickness").optional(),
      /** of an E-ring as it sits */
      outside: mm("an outside").optional(),
    }),
    z.strictObject({
      kind: z.literal("o-ring"),
      inside: mm("an inside diameter").optional(),
      section: mm("a section").optional(),
      grooveDepth: z.number().positive("must be above 0 mm").optional(),
    }),
    z.strictObject({
      kind: z.literal("belt"),
      shape: z.enum(BELT_SHAPES, { error: `is none of ${BELT_SHAPES.join(", ")}` }).optional(),
      /** of teeth or ribs, over ten of them */
      pitchOverTen: mm("a pitch").optional(),
      toothHeight: mm("a tooth").optional(),
      flank: z.enum(FLANKS, { error: `is none of ${FLANKS.join(", ")}` }).optional(),
      /** of a V-belt: across its top, and its height */
      top: mm("a width").optional(),
      height: mm("a height").optional(),
      /** counted all round */
      teeth: z
        .int("must be a whole number")
        .min(5, "are fewer than any belt has")
        .max(2000, "are more than any belt has")
        .optional(),
      width: mm("a width").optional(),
    }),
  ],
  { error: 'is none of "bearing", "thread", "pin", "circlip", "o-ring", "belt"' },
);
export type HardwareInput = Frozen<z.infer<typeof hardwareInput>>;

export interface HardwareHypothesis {
  readonly name: string;
  readonly probability: number;
  /** nominal sizes, mm */
  readonly sizes: Readonly<Record<string, number>>;
  readonly residuals: readonly {
    readonly what: string;
    readonly measured: number;
    readonly expected: number;
    readonly sigmas: number;
  }[];
  /** of a bearing: what to press it with */
  readonly sleeves?: readonly SleeveLimits[];
  /** what to know when buying, driving or fitting it */
  readonly notes: readonly string[];
}

export interface HardwareAnswer {
  /** best first */
  readonly hypotheses: readonly HardwareHypothesis[];
  /** how likely it is none of the standard sizes known here */
  readonly none: number;
}

const CALIPER = 0.03;

/**
 * Names a piece of hardware from caliper readings: a rolling bearing (ISO 15, 104, 3245), a thread (ISO 261,
 * unified, ISO 1478), a pin and its punch (ISO 8752, 8750, 2338, 8739), a circlip or E-ring (DIN 471, 472,
 * 6799), an O-ring (ISO 3601, JIS B 2401 and metric), a belt's profile (ISO 5296, 17396, 13050, 9982, 4184).
 *
 * Bayes over the rows of each table; readings are normal about the nominal size with the caliper's spread and
 * how far pieces of that kind lie off: a worn thread measures 0.05 to 0.2 mm under, a spring pin
 * stands 0.2 to 0.6 mm over its hole until it is driven in, rubber swells and is measured soft. Against them
 * stands that it is no size known here fits.
 *
 * @throws Fault where nothing was measured that tells the sizes of its kind apart
 * @example identifyHardware({ kind: "bearing", bore: 8.01, outside: 21.98, width: 7.02 }).hypotheses[0].name
 *   // "608"
 */
export function identifyHardware(input: HardwareInput): HardwareAnswer {
  const { rows, readings } = asked(input);
  const given = Object.entries(readings);
  if (!given.length) throw new Fault("", NEEDS[input.kind]);
  const logs = rows.map((row) => {
    let log = Math.log(row.usual);
    for (const [what, seen] of given) {
      const [expected, own] = row.shows[what] ?? [Number.NaN, 1];
      if (Number.isNaN(expected)) return Number.NEGATIVE_INFINITY;
      const u = Math.hypot(seen.u, own);
      log -= 0.5 * ((seen.value - expected) / u) ** 2 + Math.log(u * Math.sqrt(2 * Math.PI));
    }
    return log;
  });
  const total = rows.reduce((sum, r) => sum + r.usual, 0);
  // none of them: each reading anywhere within a fifth of itself
  const none = Math.log(0.05 * total) + given.reduce((sum, [, seen]) => sum - Math.log(0.4 * seen.value), 0);
  const best = Math.max(none, ...logs);
  const sum = logs.reduce((s, l) => s + Math.exp(l - best), Math.exp(none - best));
  const hypotheses = rows
    .map((row, i) => ({ row, probability: Math.exp((logs[i] as number) - best) / sum }))
    .filter((h) => h.probability > 5e-3)
    .sort((a, b) => b.probability - a.probability)
    .slice(0, 6)
    .map(({ row, probability }) => ({
      name: row.name,
      probability,
      sizes: row.sizes,
      ...(row.sleeves ? { sleeves: row.sleeves } : {}),
      notes: row.notes,
      residuals: given.map(([what, seen]) => {
        const [expected, own] = row.shows[what] as readonly [number, number];
        return {
          what,
          measured: seen.value,
          expected: Math.round(expected * 1000) / 1000,
          sigmas: Math.round(((seen.value - expected) / Math.hypot(seen.u, own)) * 10) / 10,
        };
      }),
    }));
  return { hypotheses, none: Math.exp(none - best) / sum };
}

const NEEDS: Readonly<Record<HardwareInput["kind"], string>> = {
  bearing: "measure bore, outside or width, best all three",
  thread: "measure the diameter, and the pitch over ten threads",
  pin: "measure the pin, or its hole",
  circlip: "measure the shaft or the bore beside the groove, or the groove itself",
  "o-ring": "measure the section, and the inside diameter",
  belt: "measure over ten teeth or ribs; of a V-belt its top width and height",
};

function asked(input: HardwareInput): { rows: readonly SizeRow[]; readings: Record<string, Measured> } {
  const readings: Record<string, Measured> = {};
  const read = (what: string, value: Parameters<typeof measured>[0] | undefined, u = CALIPER): void => {
    if (value !== undefined) readings[what] = measured(value, u);
  };
  if (input.kind === "bearing") {
    for (const what of ["bore", "outside", "width"] as const) read(what, input[what]);
    return { readings, rows: bearingRows(input.turns) };
  }
  if (input.kind === "thread") {
    read("diameter", input.diameter);
    if (input.pitchOver) {
      const over = measured(input.pitchOver, 0.08);
      readings.pitch = { value: over.value / input.pitchOver.threads, u: over.u / input.pitchOver.threads };
    } else read("pitch", input.pitch, 0.05);
    return { readings, rows: threadRows(input.pointed) };
  }
  if (input.kind === "pin") {
    read("diameter", input.diameter);
    read("hole", input.hole);
    return { readings, rows: pinRows(input.form) };
  }
  if (input.kind === "circlip") {
    for (const what of ["shaft", "bore", "groove", "thickness", "outside"] as const) read(what, input[what]);
    if (Object.keys(readings).length === 1 && readings.thickness)
      throw new Fault(
        "thickness",
        "many rings share one thickness: measure the shaft, the bore or the groove as well",
      );
    return { readings, rows: circlipRows() };
  }
  if (input.kind === "belt") {
    if (input.pitchOverTen !== undefined) {
      const ten = measured(input.pitchOverTen, 0.15);
      readings.pitch = { value: ten.value / 10, u: ten.u / 10 };
    }
    read("toothHeight", input.toothHeight, 0.1);
    read("top", input.top, 0.2);
    read("height", input.height, 0.2);
    return {
      readings,
      rows: beltRows({
        ...(input.shape ? { shape: input.shape } : {}),
        ...(input.flank ? { flank: input.flank } : {}),
        ...(input.teeth ? { teeth: input.teeth } : {}),
        ...(input.width === undefined ? {} : { widthMm: measured(input.width, CALIPER).value }),
      }),
    };
  }
  read("inside", input.inside, 0.15);
  read("section", input.section, 0.05);
  return { readings, rows: oRingRows(input.grooveDepth) };
}
