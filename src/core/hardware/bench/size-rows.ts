import { capital } from "../../sentence";
import { bearingSleeve, type SleeveLimits } from "./bearing-sleeve";
import { BEARINGS, type BearingSize } from "./bearings";
import { BELTS, type BeltProfile, beltOrdered } from "./belts";
import { CIRCLIPS, type Circlip, pliersFor } from "./clips";
import { O_RINGS, type ORing, squeeze } from "./o-rings";
import { PIN_SAYS, PINS, type Pin } from "./pins";
import { punchesFor } from "./punches";
import { THREADS, type Thread } from "./threads";

/** A standard size as readings would show it: expected value and how far real pieces lie from it, mm. */
export interface SizeRow {
  readonly name: string;
  /** mm */
  readonly sizes: Readonly<Record<string, number>>;
  readonly shows: Readonly<Record<string, readonly [expected: number, u: number]>>;
  /** how usual it is beside the others of its table */
  readonly usual: number;
  readonly sleeves?: readonly SleeveLimits[];
  readonly notes: readonly string[];
}

const round = (mm: number, to = 100): number => Math.round(mm * to) / to;

/**
 * The thin series have a row for each width; a needle bearing's cup is pressed on its marked end, a thrust
 * bearing is held by what lies on it.
 */
export function bearingRows(turns?: "shaft" | "wheel"): SizeRow[] {
  return BEARINGS.flatMap((b) =>
    b.closedWidthMm === undefined
      ? [bearingRow(b, b.widthMm, "", turns)]
      : [bearingRow(b, b.widthMm, ", open", turns), bearingRow(b, b.closedWidthMm, ", closed", turns)],
  );
}
const BEARING_NOTES: Readonly<Record<BearingSize["type"], string>> = {
  "deep-groove ball":
    "Any maker's bearing of this number fits. Read the suffix: open, shield, or a seal that rubs or does not. Buy the closure the place wants, not the one on the shelf.",
  "drawn-cup needle":
    "Press on the end that is marked, with a mandrel that fits its bore: the cup is thin and takes its roundness from its seat. The shaft is the track.",
  "thrust ball":
    "One washer is bored to the shaft, the other clears it: the tight one turns, the loose one stands in the housing.",
  "thrust needle":
    "Runs between two hard, flat faces; 2 mm without its washers. A face with a worn ring goes with it.",
};
function bearingRow(
  b: BearingSize,
  widthMm: number,
  closed: string,
  turns: "shaft" | "wheel" | undefined,
): SizeRow {
  const isBall = b.type === "deep-groove ball";
  const isClosed = closed !== ", open";
  const press =
    turns === "shaft"
      ? "It sat on a shaft that turns: its inner ring is the tight one. Press on that ring, and pull by it."
      : turns === "wheel"
        ? "It sat in a wheel that turns on a fixed axle: its outer ring is the tight one. Press on that ring, and drive it out by it."
        : undefined;
  const rings =
    turns === "shaft"
      ? (["inner"] as const)
      : turns === "wheel"
        ? (["outer"] as const)
        : (["inner", "outer"] as const);
  return {
    name: `${b.designation}${closed}`,
    sizes: { bore: b.boreMm, outside: b.outsideMm, width: widthMm },
    shows: { bore: [b.boreMm, 0.02], outside: [b.outsideMm, 0.02], width: [widthMm, 0.06] },
    usual: isBall ? (closed === ", open" ? 0.3 : 1) : 0.3,
    ...(isBall ? { sleeves: rings.map((ring) => bearingSleeve(b, ring, isClosed)) } : {}),
    notes: [BEARING_NOTES[b.type], ...(isBall && press ? [press] : [])],
  };
}

const THREAD_USUAL: Readonly<Record<Thread["system"], number>> = {
  metric: 1,
  tapping: 1,
  "for plastic": 0.6,
  unified: 0.3,
  Whitworth: 0.08,
  BA: 0.08,
  "metric fine": 0.15,
};
/** Threads of one size and pitch whose flanks differ go in two turns and then bind. */
const FLANKS: Readonly<Partial<Record<Thread["system"], string>>> = {
  Whitworth:
    " Flanks of 55°: some sizes start in a unified hole and bind there. Found on old British machines.",
  BA: " Flanks of 47.5°: 2BA starts in an M5 hole and spoils it. Found on old switches, clocks, instruments.",
};
/** Pieces measure under nominal, more so when worn: 0.05 to 0.2 mm. */
function threadRow(t: Thread): SizeRow {
  const cuts = t.system === "tapping" || t.system === "for plastic";
  return {
    name: t.designation,
    sizes: { diameter: round(t.diameterMm, 1000), pitch: round(t.pitchMm, 1000) },
    shows: { diameter: [t.diameterMm - (cuts ? 0.08 : 0.1), 0.06], pitch: [t.pitchMm, 0.01] },
    usual: THREAD_USUAL[t.system],
    notes: [
      cuts
        ? `Coarse and ${t.system === "tapping" ? "pointed: cuts its own thread in plastic or sheet" : "steep, flanks of 30°: forms its own thread in plastic"}. Turn it back until it drops into the old thread, then forward: a second thread ruins the boss.`
        : `${t.perInch ? `${t.perInch} threads an inch` : `pitch ${t.pitchMm} mm`}: start it by hand, two turns, before any tool.${FLANKS[t.system] ?? ""}`,
      "Left-hand where rotation would loosen a right-hand one (spindles, blades): look before forcing.",
    ],
  };
}
export const threadRows = (cuts?: boolean): SizeRow[] =>
  THREADS.filter(
    (t) => cuts === undefined || (t.system === "tapping" || t.system === "for plastic") === cuts,
  ).map(threadRow);

const PIN_USUAL: Readonly<Record<Pin["form"], number>> = {
  slotted: 1,
  solid: 0.5,
  coiled: 0.2,
  grooved: 0.2,
};
export const pinRows = (form?: Pin["form"]): SizeRow[] =>
  PINS.filter((p) => form === undefined || p.form === form).map(pinRow);
function pinRow(p: Pin): SizeRow {
  const isSpring = p.form === "slotted" || p.form === "coiled";
  const middle = (p.freeLeastMm + p.freeMostMm) / 2;
  const punches = punchesFor(p.nominalMm).map((x) => x.says);
  return {
    name: p.name,
    sizes: {
      hole: round(p.nominalMm),
      "free, least": round(p.freeLeastMm, 1000),
      "free, most": round(p.freeMostMm, 1000),
    },
    // a spring pin that was driven before stands less proud than a new one
    shows: { diameter: isSpring ? [middle - 0.05, 0.09] : [middle, 0.02], hole: [p.nominalMm, 0.05] },
    usual: PIN_USUAL[p.form] * (p.inch ? 0.3 : 1),
    notes: [
      `Drive it out with a ${punches.join(" or ")} punch; start with a short one. Eyes: a pin can fly.`,
      PIN_SAYS[p.form],
      "Support the shaft beside the hole on a block: an unsupported shaft bends.",
    ],
  };
}

export const circlipRows = (): SizeRow[] => CIRCLIPS.map(circlipRow);
function circlipRow(c: Circlip): SizeRow {
  const over =
    "Spread past the shaft's end it stays wide: one that gapes or turns loose in its groove goes back new.";
  if (c.shaftMm && c.outsideMm) {
    const [least, most] = c.shaftMm;
    return {
      name: `E-ring ${c.nominalMm}, DIN 6799`,
      sizes: {
        groove: c.grooveMm,
        thickness: c.thicknessMm,
        outside: c.outsideMm,
        "shaft, least": least,
        "shaft, most": most,
      },
      shows: {
        shaft: [(least + most) / 2, (most - least) / 3],
        groove: [c.grooveMm, 0.06],
        thickness: [c.thicknessMm, 0.03],
        outside: [c.outsideMm, 0.12],
      },
      usual: 1,
      notes: [
        `Eyes: it jumps. ${capital(pliersFor(c))}. A finger on it, or a cloth over it.`,
        "It sits when all three of its teats touch the groove's ground.",
      ],
    };
  }
  const which = c.standard === "DIN 471" ? "shaft" : "bore";
  return {
    name: `circlip ${c.nominalMm}, ${c.standard}`,
    sizes: { [which]: c.nominalMm, groove: c.grooveMm, thickness: c.thicknessMm },
    shows: { [which]: [c.nominalMm, 0.05], groove: [c.grooveMm, 0.08], thickness: [c.thicknessMm, 0.04] },
    usual: 1,
    notes: [
      `Eyes: it jumps. ${capital(pliersFor(c))}; no further than it needs. ${over}`,
      "It sits when it turns in its groove all round, the sharp edge towards the load.",
    ],
  };
}

export const oRingRows = (grooveDepth?: number): SizeRow[] => O_RINGS.map((o) => oRingRow(o, grooveDepth));
function oRingRow(o: ORing, grooveDepth: number | undefined): SizeRow {
  return {
    name:
      o.series === "metric"
        ? `O-ring ${o.designation}`
        : `O-ring ${o.series} ${o.designation} (${o.insideMm.toFixed(2)} × ${o.sectionMm.toFixed(2)})`,
    sizes: { inside: round(o.insideMm), section: round(o.sectionMm) },
    // an old ring has set flat and swollen
    shows: { inside: [o.insideMm, 0.12 + 0.006 * o.insideMm], section: [o.sectionMm, 0.06] },
    usual: o.series === "ISO 3601" ? 1 : o.series === "JIS B 2401" ? 0.4 : o.insideMm % 1 ? 0.4 : 1,
    notes: [
      ...(grooveDepth ? [squeeze(o.sectionMm, grooveDepth).says] : []),
      "An old ring has set and swollen: the groove tells the section better than the ring.",
    ],
  };
}

export function beltRows({
  shape,
  flank,
  teeth,
  widthMm,
}: {
  shape?: BeltProfile["shape"];
  flank?: BeltProfile["flank"];
  teeth?: number;
  widthMm?: number;
}): SizeRow[] {
  return BELTS.filter((b) => (!shape || b.shape === shape) && (!flank || !b.flank || b.flank === flank)).map(
    (b) => ({
      name: `${b.shape === "V" ? "V-belt" : `${b.shape} belt`} ${b.name}`,
      sizes: Object.fromEntries(
        (
          [
            ["pitch", b.pitchMm],
            ["tooth height", b.toothHeightMm],
            ["top", b.topMm],
            ["height", b.heightMm],
          ] as const
        ).filter((s): s is readonly [(typeof s)[0], number] => s[1] !== undefined),
      ),
      // belts stretch and wear; the pitch is taken over ten
      shows: {
        ...(b.pitchMm ? { pitch: [b.pitchMm, 0.004 * b.pitchMm] as const } : {}),
        ...(b.toothHeightMm ? { toothHeight: [b.toothHeightMm, 0.12] as const } : {}),
        ...(b.topMm ? { top: [b.topMm, 0.3] as const } : {}),
        ...(b.heightMm ? { height: [b.heightMm, 0.4] as const } : {}),
      },
      usual: 1,
      notes: [
        ...beltOrdered(b, { ...(teeth ? { teeth } : {}), ...(widthMm ? { widthMm } : {}) }),
        ...(b.flank
          ? [
              `Flanks ${b.flank}, teeth ${b.toothHeightMm} mm high. A belt of another profile and the same pitch climbs and jumps.`,
            ]
          : []),
        `${b.standard}. Guard or cord off before a finger comes near it.`,
      ],
    }),
  );
}
