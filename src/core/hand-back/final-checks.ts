import { isPlastic } from "../hardware/material";
import { type Ending, endingNamed } from "../job/ending";
import type { GoingHome } from "../job/going-home";
import type { Hazard } from "../job/hazard";
import type { OwnTest } from "../job/own-tests";
import type { Part } from "../job/part";
import type { StripStep } from "../job/step";
import type { ProtectionClass, Supply } from "../job/supply";
import { fullCycle } from "../train/full-cycle";
import { outputShafts } from "../train/outputs";
import { solveTrain } from "../train/solve";
import type { TrainInput } from "../train/train";
import { type ElectricalLimits, testerInWords, USUAL_LIMITS } from "./electrical-limits";

/** A last check before the unit goes home. With a unit it takes a figure, judged against `min` or `max`. */
export interface FinalCheck {
  readonly check: string;
  readonly asks: string;
  readonly why: string;
  /** what to listen or look for: what is only that, and what is not */
  readonly listenFor?: string;
  /** what can hurt at it */
  readonly caution?: string;
  /** an electrical test: it is not left out */
  readonly never?: true;
  /** the unit runs for it: what has to cure before is waited for */
  readonly runs?: true;
  /** words or a figure may stand beside the yes: what was measured */
  readonly may?: string;
  /** with what it is measured; which one it was is asked, and stands beside the figure */
  readonly instrument?: string;
  /** it is answered by one of these; the first is what was agreed before */
  readonly choices?: readonly Choice[];
  readonly unit?: string;
  readonly min?: number;
  readonly max?: number;
  /** where the limit comes from; a shop edits it to its local code */
  readonly source?: string;
}

/** One of several answers to a check. */
export interface Choice {
  readonly answer: string;
  readonly says: string;
}

/** What became of the parts that came out for good. */
export const OLD_PARTS = {
  check: "old-parts",
  returned: { answer: "returned", says: "given back to the customer" },
  disposed: { answer: "disposed", says: "stay here and are disposed of" },
} as const;

/** The last checks for a unit, in the order they are done. Electrical limits are the shop’s own; the local code decides. */
export function finalChecks(
  unit: {
    readonly supplies?: readonly Supply[];
    readonly kind: string;
    readonly foodContact?: boolean;
    readonly protectionClass?: ProtectionClass | undefined;
    /** it was not repaired */
    readonly ending?: Pick<Ending, "how">;
    /** what was taken off it: nothing, and no electrical test is due */
    readonly steps?: readonly Pick<StripStep, "id" | "back" | "hardware">[];
    readonly train?: TrainInput | undefined;
    readonly hazards?: readonly Hazard[] | undefined;
    readonly parts?: readonly (Pick<Part, "kind"> & Partial<Pick<Part, "renew">>)[];
    /** the customer agreed at Take in that old parts may go */
    readonly disposeConsent?: boolean;
    /** what the shop asks of its kind; left out: nothing */
    readonly ownTests?: readonly OwnTest[] | undefined;
    /** what was read on its plate */
    readonly home?: Pick<GoingHome, "plateA"> | undefined;
    /** its rooms: what was lubricated is wiped and topped up after the first run */
    readonly chambers?: readonly { readonly name: string; readonly lubricant?: string | undefined }[] | undefined;
  },
  limits: ElectricalLimits = USUAL_LIMITS,
): FinalCheck[] {
  const looseItems = { check: "loose-items", asks: "All the customer’s loose items with the unit?", why: "A bowl left on the shelf means a second visit." };
  const ending = unit.ending && endingNamed(unit.ending.how);
  if (ending && !ending.leaves)
    return [
      {
        check: "loose-items",
        asks: "The customer’s loose items given back, or left here in writing?",
        why: "What belongs to the customer is not part of the scrap.",
      },
    ];
  if (ending && !ending.together)
    return [
      { check: "all-pieces", asks: "Every part and every bag of hardware in the box with it?", why: "What is missing from a box of parts is looked for here." },
      { check: "marked", asks: "Marked on the unit: not repaired, not to be used?", why: "Somebody may put it together and plug it in." },
      looseItems,
    ];
  // what drives it is asked at Take in; where nobody said, it is thought to run
  const driven = !unit.supplies?.length || unit.supplies.some((s) => s !== "hand" && s !== "spring");
  const out: FinalCheck[] = ending
    ? [{ check: "marked", asks: "Marked on the unit: not repaired?", why: "The next one who plugs it in should know." }]
    : [byHand(unit.train, driven)];
  if (ending && !unit.steps?.length) return [...out, looseItems];
  if (unit.supplies?.includes("mains")) out.push(...electricalTests(unit.protectionClass, limits));
  if (ending) return [...out, looseItems];
  const lubricated = (unit.chambers ?? []).flatMap((c) => (c.lubricant ? [c.name] : []));
  if (unit.hazards?.includes("blade"))
    out.push({
      check: "guards",
      asks: "Every guard and cover on, moving as it did, and the switch of each stops the machine?",
      why: "A guard that was left off is found by a hand.",
      caution: "With the blade on from here: hands away from it, and nobody reaches over.",
    });
  out.push(
    {
      check: "run-slow",
      asks: driven
        ? "Run in at the slowest speed for two minutes: no smell, no spark, no new noise?"
        : "Worked slowly for two minutes: no new noise, nothing rubs?",
      why: "Grease finds its place and the first crumb shows itself.",
      listenFor: "Fresh grease that is squeezed smacks evenly and goes quieter within a minute. What comes once a turn, and stays, is a tooth or a bearing.",
      ...(driven ? { runs: true, caution: "Eye protection, loose sleeves and hair away, a hand at the switch." } : {}),
    },
    ...(driven
      ? ([
          {
            check: "run-speeds",
            asks: "Each speed in turn: even, nothing hunting?",
            why: "A fault of one speed is found by the customer otherwise.",
            runs: true,
          },
          {
            check: "ways",
            asks: "The right way round; reverse, brake and lock as far as it has them?",
            why: "Two leads that are swapped run it backwards, and a brake that lets go is found on the customer's bench.",
            runs: true,
          },
          ...speedOf(unit.train),
          ...(unit.supplies?.includes("mains") ? [currentOf(unit.home?.plateA)] : []),
          {
            check: "warm",
            asks: "After ten minutes: does a hand stay on gear case and motor?",
            why: "A hand is drawn back at about 60 °C; what is hotter than that after ten minutes idle runs dry or tight.",
            may: "Temperature by a probe, where, and after how long",
            instrument: "Probe",
            runs: true,
          },
        ] satisfies FinalCheck[])
      : []),
    ...(lubricated.length
      ? [
          {
            check: "topped-up",
            asks: `Topped up where the first run has taken some: ${lubricated.join(", ")}?`,
            why: "A lubricant settles in the first minutes; what is missing then is missing for good.",
          },
        ]
      : []),
    { check: "listen", asks: "Listened at the case: no click once a turn?", why: "A click once a turn is a tooth, and comes back on the customer’s bench." },
    {
      check: "seepage",
      asks: "Seepage looked for after the run, cold again, and wiped?",
      why: "What seeps now drips at home.",
      listenFor: "A film at a parting line is what was packed too full: wipe it, and look once more. A drop that comes back is a seal.",
    },
  );
  if (sealed(unit))
    out.push({
      check: "snug",
      asks: "Screws that press a seal, or sit in plastic: snug again after the run?",
      why: "A gasket and a plastic boss give a little when they were warm once.",
    });
  for (const { step, says, n } of calibrations(unit.steps ?? []))
    out.push({
      check: `calibrated-${step}-${n}`,
      asks: `Set and measured: ${says}?`,
      why: "It was said at the strip that this is set last.",
      may: "What was measured",
      instrument: "Instrument",
    });
  for (const [i, t] of (unit.ownTests ?? []).entries())
    out.push({
      check: `own-${i}`,
      asks: t.unit ? t.asks : `${t.asks.replace(/[?.]$/, "")}?`,
      why: `The shop asks this of every ${unit.kind || "unit"} of its kind.`,
      ...(t.unit
        ? {
            unit: t.unit,
            instrument: "Instrument",
            ...(t.min === undefined ? {} : { min: t.min }),
            ...(t.max === undefined ? {} : { max: t.max }),
            source: "the shop's own",
          }
        : {}),
      ...(driven ? { runs: true as const } : {}),
    });
  if (unit.foodContact)
    out.push({ check: "food-clean", asks: "Every surface that touches food washed and dry?", why: "Bench dirt and solvent must not reach food." });
  return [...out, ...oldParts(unit), looseItems];
}

/** Asked at the door where something came out for good: what was said at Take in may have been thought over. */
function oldParts({
  parts = [],
  disposeConsent = false,
}: {
  readonly parts?: readonly Partial<Pick<Part, "renew">>[];
  readonly disposeConsent?: boolean;
}): FinalCheck[] {
  if (!parts.some((p) => p.renew)) return [];
  const { returned, disposed } = OLD_PARTS;
  return [
    {
      check: OLD_PARTS.check,
      asks: "Old parts: what becomes of them?",
      why: disposeConsent
        ? "At Take in the customer agreed that they may go. Show them all the same: a broken tooth explains a bill."
        : "At Take in the customer did not agree that they may go: they are the customer’s.",
      choices: disposeConsent ? [disposed, returned] : [returned, disposed],
    },
  ];
}

/** A motor may turn slower under its own brushes, and faster when it is idle, than its plate says: shares of what the train makes of that. */
const SLOWEST = 0.8;
const FASTEST = 1.15;

/** The speed of the output, where the train tells it: another is a slipping clutch, a wrong wheel or a wrong belt. */
function speedOf(train: TrainInput | undefined): FinalCheck[] {
  const [output] = train ? outputShafts(train) : [];
  const rpm = train && output !== undefined ? solveTrain(train).shafts.find((s) => s.shaft === output)?.rpm : null;
  if (!rpm || output === undefined) return [];
  return [
    {
      check: "speed",
      asks: `Speed of ${output}, idle, by a tachometer`,
      why: `The train makes ${figure(rpm)} rpm of the plate's speed. Another one is a clutch that slips, a belt or a wheel that is not the right one.`,
      unit: "rpm",
      instrument: "Tachometer",
      min: Number(figure(SLOWEST * rpm)),
      max: Number(figure(FASTEST * rpm)),
      source: "the train at the plate's speed, less 20 %, plus 15 %",
      runs: true,
    },
  ];
}
const figure = (n: number): string => String(Number(n.toPrecision(3)));

/** What a motor may draw above its plate: small ones a fifth more, others 15 % or 0.3 A, as product standards for household appliances allow. */
const mostAmps = (plate: number): number => Number((plate <= 1.5 ? 1.2 * plate : Math.max(1.15 * plate, plate + 0.3)).toFixed(2));

/** Current against the plate: a figure where somebody read the plate, a yes where nobody can. */
function currentOf(plateA: number | undefined): FinalCheck {
  const why = "A train that runs tight draws more; a motor with a shorted winding too.";
  if (plateA === undefined)
    return {
      check: "current",
      asks: "Current idle and under load: below the plate's?",
      why,
      may: "Amperes idle, under load, and on the plate",
      instrument: "Meter at the plug",
      runs: true,
    };
  return {
    check: "current",
    asks: "Current under load, by a meter at the plug",
    why: `${why} The plate says ${plateA} A.`,
    unit: "A",
    instrument: "Meter at the plug",
    max: mostAmps(plateA),
    source: `the plate's ${plateA} A with what standards allow above it`,
    runs: true,
  };
}

/** So many turns of the output are turned by hand, where more teeth would only be counted. */
const MOST_TURNS = 40;

/** Turned by hand until the same teeth meet everywhere, where the train tells after how many turns that is, and it can be done. */
function byHand(train: TrainInput | undefined, driven: boolean): FinalCheck {
  const why = driven ? "The motor hides what the hand feels." : "A tight spot is felt before it is heard.";
  const [output] = train ? outputShafts(train) : [];
  const turns = train && output !== undefined ? fullCycle(train, output) : null;
  if (turns === null || output === undefined)
    return { check: "by-hand", asks: "Turned by hand through two full turns of the output: even, no tight spot?", why };
  if (turns <= MOST_TURNS)
    return {
      check: "by-hand",
      asks: `Turned by hand through ${Math.max(2, turns)} turns of ${output}: even, no tight spot?`,
      why: `${why} After ${turns === 1 ? "one turn" : `${turns} turns`} of ${output} every tooth has met all that it ever meets.`,
    };
  return {
    check: "by-hand",
    asks: `Turned by hand through ten turns of ${output}: even, no tight spot?`,
    why: `${why} The same teeth meet everywhere only after ${turns} turns of ${output}: a single bad pair may stay away for long, so it is listened for when it runs.`,
  };
}

/** Whether screws of it press a seal, or are screwed into plastic. */
function sealed({
  steps = [],
  parts = [],
}: {
  readonly steps?: readonly Pick<StripStep, "hardware">[];
  readonly parts?: readonly Pick<Part, "kind">[];
}): boolean {
  const pieces = steps.flatMap((s) => s.hardware ?? []);
  return (
    pieces.some((h) => h.kind === "o-ring" || h.kind === "gasket" || (h.kind === "screw" && h.into !== undefined && isPlastic(h.into))) ||
    parts.some((p) => p.kind === "gasket" || p.kind === "o-ring")
  );
}

/** What was said at the strip to be set and measured last. */
const calibrations = (steps: readonly Pick<StripStep, "id" | "back">[]): { readonly step: string; readonly says: string; readonly n: number }[] =>
  steps.flatMap((s) => (s.back ?? []).filter((b) => b.when === "calibrate").map(({ says }, n) => ({ step: s.id, says, n })));

const TESTER = "Tester";

/** Which instrument a shop takes for a check is remembered under this: of one kind, for figures of one unit. */
export const instrumentKey = ({ instrument, unit }: Pick<FinalCheck, "instrument" | "unit">): string | undefined =>
  instrument && [instrument, unit].filter(Boolean).join(", ");

/** The instrument that is proposed for a check: the tester of the shop for an electrical one, else what was taken last. */
export const instrumentFor = (check: FinalCheck, limits: Pick<ElectricalLimits, "tester" | "calibratedOn">, last: Readonly<Record<string, string>>): string =>
  (check.instrument === TESTER ? testerInWords(limits) : null) ?? last[instrumentKey(check) ?? ""] ?? "";

/** After work on a mains unit, in the order of the standard sequence: looked at, earth, insulation, current. A class that nobody named is tested as both would be. */
function electricalTests(protection: ProtectionClass | undefined, limits: ElectricalLimits): FinalCheck[] {
  if (protection === "III") return [];
  const { source } = limits;
  const base = { why: "Always after work on a mains unit.", never: true } as const;
  const earthed = protection !== "II";
  const current = (check: string, asks: string, max: number | undefined): FinalCheck =>
    max === undefined
      ? { check, asks: `${asks}: passed by the tester’s programme?`, instrument: TESTER, ...base }
      : { check, asks, instrument: TESTER, unit: "mA", max, source, ...base };
  return [
    {
      check: "cord",
      asks: "Cord, plug, strain relief and case looked over: nothing cut, nothing loose?",
      ...base,
      why: "Half of what fails a test is seen before it.",
    },
    ...(earthed ? [{ check: "earth-bond", asks: "Earth bond, with its cord", instrument: TESTER, unit: "Ω", max: limits.earthBondOhm, source, ...base }] : []),
    {
      check: "insulation",
      asks: "Insulation at 500 V DC",
      instrument: TESTER,
      unit: "MΩ",
      min: protection === "I" ? limits.insulationIMohm : limits.insulationIIMohm,
      source,
      ...base,
    },
    earthed ? current("protective-current", "Protective conductor current", limits.protectiveMa) : current("touch-current", "Touch current", limits.touchMa),
  ];
}

/** @example limitInWords({ max: 0.3, unit: "Ω", source: "local code" }) // "at most 0.3 Ω, local code" */
export function limitInWords({ min, max, unit, source }: Pick<FinalCheck, "min" | "max" | "unit" | "source">): string {
  const range = max === undefined ? `at least ${min}` : min === undefined ? `at most ${max}` : `${min} to ${max}`;
  return [`${range} ${unit}`, source].filter(Boolean).join(", ");
}

/** Whether a measured figure passes, as a sentence; null if it does. */
export function figureFault(check: FinalCheck, value: number): string | null {
  if (!Number.isFinite(value) || value < 0) return "must be a figure of 0 or more";
  if (check.max !== undefined && value > check.max) return `${value} ${check.unit} is above the limit of ${check.max} ${check.unit}: it must not go out`;
  if (check.min !== undefined && value < check.min) return `${value} ${check.unit} is below the limit of ${check.min} ${check.unit}: it must not go out`;
  return null;
}
