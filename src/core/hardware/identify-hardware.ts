import { z } from "zod";
import { Fault } from "../fault";
import type { Frozen } from "../frozen";
import { type Measured, measured, measuredInput } from "../quantity/measured";
import { bearingSleeve, type SleeveLimits } from "./bearing-sleeve";
import { BEARINGS } from "./bearings";
import { O_RINGS, squeeze } from "./o-rings";
import { CIRCLIPS, punchesFor, SPRING_PINS } from "./pins-and-clips";
import { THREADS, type Thread } from "./threads";

const mm = (what: string) => measuredInput.refine((v) => (typeof v === "number" ? v : v.value) > 0, `${what} must be above 0 mm`);

export const hardwareInput = z.discriminatedUnion(
  "kind",
  [
    z.strictObject({
      kind: z.literal("bearing"),
      bore: mm("a bore").optional(),
      outside: mm("an outside diameter").optional(),
      width: mm("a width").optional(),
    }),
    z.strictObject({
      kind: z.literal("thread"),
      diameter: mm("a diameter").optional(),
      /** one pitch; better over several threads */
      pitch: mm("a pitch").optional(),
      pitchOver: z
        .strictObject({ threads: z.int().min(1).max(60), value: z.number().positive("must be above 0 mm"), u: z.number().positive().optional() })
        .optional(),
      /** pointed and coarse, for plastic or sheet */
      pointed: z.boolean().optional(),
    }),
    z.strictObject({ kind: z.literal("pin"), diameter: mm("a diameter").optional(), hole: mm("a hole").optional() }),
    z.strictObject({
      kind: z.literal("circlip"),
      shaft: mm("a shaft").optional(),
      bore: mm("a bore").optional(),
      groove: mm("a groove").optional(),
      thickness: mm("a thickness").optional(),
    }),
    z.strictObject({
      kind: z.literal("o-ring"),
      inside: mm("an inside diameter").optional(),
      section: mm("a section").optional(),
      grooveDepth: z.number().positive("must be above 0 mm").optional(),
    }),
  ],
  { error: 'is none of "bearing", "thread", "pin", "circlip", "o-ring"' },
);
export type HardwareInput = Frozen<z.infer<typeof hardwareInput>>;

export interface HardwareHypothesis {
  readonly name: string;
  readonly probability: number;
  /** nominal sizes, mm */
  readonly sizes: Readonly<Record<string, number>>;
  readonly residuals: readonly { readonly what: string; readonly measured: number; readonly expected: number; readonly sigmas: number }[];
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

/** A standard size as readings would show it: expected value and how far real pieces lie from it, mm. */
interface Row {
  readonly name: string;
  readonly sizes: Readonly<Record<string, number>>;
  readonly shows: Readonly<Record<string, readonly [expected: number, u: number]>>;
  readonly usual: number;
  readonly sleeves?: readonly SleeveLimits[];
  readonly notes: readonly string[];
}

const CALIPER = 0.03;

/**
 * Names a piece of hardware from caliper readings: a rolling bearing (ISO 15), a thread (ISO 261, unified, ISO 1478), a spring pin and its punch (ISO 8752), a circlip (DIN 471, DIN 472), an O-ring
 * (ISO 3601 and metric).
 *
 * Bayes over the rows of each table; readings are normal about the nominal size with the caliper's spread and how far pieces of that kind lie off: a worn thread measures 0.05 to 0.2 mm under, a spring pin
 * stands 0.2 to 0.6 mm over its hole until it is driven in, rubber swells and is measured soft. Against them stands that it is no size known here fits.
 *
 * @throws Fault where nothing was measured that tells the sizes of its kind apart
 * @example identifyHardware({ kind: "bearing", bore: 8.01, outside: 21.98, width: 7.02 }).hypotheses[0].name // "608"
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
};

function asked(input: HardwareInput): { rows: Row[]; readings: Record<string, Measured> } {
  const readings: Record<string, Measured> = {};
  const read = (what: string, value: Parameters<typeof measured>[0] | undefined, u = CALIPER): void => {
    if (value !== undefined) readings[what] = measured(value, u);
  };
  if (input.kind === "bearing") {
    for (const what of ["bore", "outside", "width"] as const) read(what, input[what]);
    return { readings, rows: BEARINGS.map(bearingRow) };
  }
  if (input.kind === "thread") {
    read("diameter", input.diameter);
    if (input.pitchOver) {
      const over = measured(input.pitchOver, 0.08);
      readings.pitch = { value: over.value / input.pitchOver.threads, u: over.u / input.pitchOver.threads };
    } else read("pitch", input.pitch, 0.05);
    const rows = THREADS.filter((t) => input.pointed === undefined || (t.system === "tapping") === input.pointed).map(threadRow);
    return { readings, rows };
  }
  if (input.kind === "pin") {
    read("diameter", input.diameter);
    read("hole", input.hole);
    return { readings, rows: SPRING_PINS.map(pinRow) };
  }
  if (input.kind === "circlip") {
    for (const what of ["shaft", "bore", "groove", "thickness"] as const) read(what, input[what]);
    if (Object.keys(readings).length === 1 && readings.thickness)
      throw new Fault("thickness", "many rings share one thickness: measure the shaft, the bore or the groove as well");
    return { readings, rows: CIRCLIPS.map(circlipRow) };
  }
  read("inside", input.inside, 0.15);
  read("section", input.section, 0.05);
  return { readings, rows: O_RINGS.map((o) => oRingRow(o, input.grooveDepth)) };
}

function bearingRow(b: (typeof BEARINGS)[number]): Row {
  return {
    name: b.designation,
    sizes: { bore: b.boreMm, outside: b.outsideMm, width: b.widthMm },
    shows: { bore: [b.boreMm, 0.02], outside: [b.outsideMm, 0.02], width: [b.widthMm, 0.06] },
    usual: 1,
    sleeves: [bearingSleeve(b, "inner"), bearingSleeve(b, "outer")],
    notes: [
      "Any maker's bearing of this number fits. Suffixes: open, Z or 2Z shields, RS or 2RS seals: buy the closure the gearbox wants, not the one on the shelf.",
    ],
  };
}

/** Pieces measure under nominal, more so when worn: 0.05 to 0.2 mm. */
function threadRow(t: Thread): Row {
  const under = t.system === "tapping" ? 0.08 : 0.1;
  return {
    name: t.designation,
    sizes: { diameter: t.diameterMm, pitch: Math.round(t.pitchMm * 1000) / 1000 },
    shows: { diameter: [t.diameterMm - under, 0.06], pitch: [t.pitchMm, 0.01] },
    usual: t.system === "metric" || t.system === "tapping" ? 1 : t.system === "unified" ? 0.3 : 0.15,
    notes: [
      t.system === "tapping"
        ? "Coarse and pointed: cuts its own thread in plastic or sheet. Turn it back until it drops into the old thread, then forward: a second thread ruins the boss."
        : `${t.perInch ? `${t.perInch} threads an inch` : `pitch ${t.pitchMm} mm`}: start it by hand, two turns, before any tool.`,
      "Left-hand where rotation would loosen a right-hand one (spindles, blades): look before forcing.",
    ],
  };
}

function pinRow(p: (typeof SPRING_PINS)[number]): Row {
  const middle = (p.freeLeastMm + p.freeMostMm) / 2;
  const punches = punchesFor(p.nominalMm).map((x) => x.says);
  return {
    name: `spring pin ${p.nominalMm}`,
    sizes: { hole: p.nominalMm, "free, least": p.freeLeastMm, "free, most": p.freeMostMm },
    // one that was driven before stands less proud than a new one
    shows: { diameter: [middle - 0.05, 0.09], hole: [p.nominalMm, 0.05] },
    usual: 1,
    notes: [
      `Drive it out with a ${punches.join(" or ")} punch; start with a short one. Eyes: a pin can fly.`,
      "Support the shaft beside the hole on a block: an unsupported shaft bends.",
    ],
  };
}

function circlipRow(c: (typeof CIRCLIPS)[number]): Row {
  const onShaft = c.standard === "DIN 471";
  return {
    name: `circlip ${c.nominalMm}, ${c.standard}`,
    sizes: { [onShaft ? "shaft" : "bore"]: c.nominalMm, groove: c.grooveMm, thickness: c.thicknessMm },
    shows: { [onShaft ? "shaft" : "bore"]: [c.nominalMm, 0.05], groove: [c.grooveMm, 0.08], thickness: [c.thicknessMm, 0.04] },
    usual: 1,
    notes: ["Eyes: it jumps. Spread it no further than it needs. It sits when it turns in its groove all round."],
  };
}

function oRingRow(o: (typeof O_RINGS)[number], grooveDepth: number | undefined): Row {
  return {
    name: o.series === "metric" ? `O-ring ${o.designation}` : `O-ring ISO 3601 ${o.designation} (${o.insideMm.toFixed(2)} × ${o.sectionMm.toFixed(2)})`,
    sizes: { inside: Math.round(o.insideMm * 100) / 100, section: Math.round(o.sectionMm * 100) / 100 },
    // an old ring has set flat and swollen
    shows: { inside: [o.insideMm, 0.12 + 0.006 * o.insideMm], section: [o.sectionMm, 0.06] },
    usual: o.series === "metric" ? (o.insideMm % 1 ? 0.4 : 1) : 1,
    notes: [
      ...(grooveDepth ? [squeeze(o.sectionMm, grooveDepth).says] : []),
      "An old ring has set and swollen: the groove tells the section better than the ring.",
    ],
  };
}
