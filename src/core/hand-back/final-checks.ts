import { isPlastic } from "../hardware/material";
import { type Ending, endingNamed } from "../job/ending";
import type { GoingHome } from "../job/going-home";
import type { Hazard } from "../job/hazard";
import type { OwnTest } from "../job/own-tests";
import type { Part } from "../job/part";
import type { StripStep } from "../job/step";
import type { ProtectionClass, Supply } from "../job/supply";
import type { TrainInput } from "../train/train";
import { byHand, currentOf, speedOf } from "./driven-tests";
import { type ElectricalLimits, USUAL_LIMITS } from "./electrical-limits";
import { electricalTests } from "./electrical-tests";
import type { FinalCheck } from "./final-check";
import { oldParts } from "./old-parts";

/**
 * The last checks for a unit, in the order they are done. Electrical limits are the shop’s own; the local
 * code decides.
 */
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
    readonly chambers?:
      | readonly { readonly name: string; readonly lubricant?: string | undefined }[]
      | undefined;
  },
  limits: ElectricalLimits = USUAL_LIMITS,
): FinalCheck[] {
  const looseItems = {
    check: "loose-items",
    asks: "All the customer’s loose items with the unit?",
    why: "A bowl left on the shelf means a second visit.",
  };
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
      {
        check: "all-pieces",
        asks: "Every part and every bag of hardware in the box with it?",
        why: "What is missing from a box of parts is looked for here.",
      },
      {
        check: "marked",
        asks: "Marked on the unit: not repaired, not to be used?",
        why: "Somebody may put it together and plug it in.",
      },
      looseItems,
    ];
  // what drives it is asked at Take in; where nobody said, it is thought to run
  const driven = !unit.supplies?.length || unit.supplies.some((s) => s !== "hand" && s !== "spring");
  const out: FinalCheck[] = ending
    ? [
        {
          check: "marked",
          asks: "Marked on the unit: not repaired?",
          why: "The next one who plugs it in should know.",
        },
      ]
    : [byHand(unit.train, driven)];
  if (ending && !unit.steps?.length) return [...out, looseItems];
  if (unit.supplies?.includes("mains")) out.push(...electricalTests(unit.protectionClass, limits));
  if (ending) return [...out, looseItems];
  const lubricated = (unit.chambers ?? []).flatMap((c) => (c.lubricant ? [c.name] : []));
  const blade = unit.hazards?.includes("blade");
  if (driven || blade)
    out.push({
      check: "guards",
      asks: "Every guard and cover on, moving as it did; and whatever switch stops it when one is off, does?",
      why: "A guard that was left off is found by a hand.",
      ...(blade
        ? { caution: "With the blade on from here: hands away from it, and nobody reaches over." }
        : {}),
    });
  out.push(
    {
      check: "run-slow",
      asks: driven
        ? "Run in at the slowest speed for two minutes: no smell, no spark, no new noise?"
        : "Worked slowly for two minutes: no new noise, nothing rubs?",
      why: "Grease finds its place and the first crumb shows itself.",
      listenFor:
        "Fresh grease that is squeezed smacks evenly and goes quieter within a minute. What comes once a turn, and stays, is a tooth or a bearing.",
      ...(driven
        ? { runs: true, caution: "Eye protection, loose sleeves and hair away, a hand at the switch." }
        : {}),
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
    {
      check: "listen",
      asks: "Listened at the case: no click once a turn?",
      why: "A click once a turn is a tooth, and comes back on the customer’s bench.",
    },
    {
      check: "seepage",
      asks: "Seepage looked for after the run, cold again, and wiped?",
      why: "What seeps now drips at home.",
      listenFor:
        "A film at a parting line is what was packed too full: wipe it, and look once more. A drop that comes back is a seal.",
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
    out.push({
      check: "food-clean",
      asks: "Every surface that touches food washed and dry?",
      why: "Bench dirt and solvent must not reach food.",
    });
  return [...out, ...oldParts(unit), looseItems];
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
    pieces.some(
      (h) =>
        h.kind === "o-ring" ||
        h.kind === "gasket" ||
        (h.kind === "screw" && h.into !== undefined && isPlastic(h.into)),
    ) || parts.some((p) => p.kind === "gasket" || p.kind === "o-ring")
  );
}

/** What was said at the strip to be set and measured last. */
const calibrations = (
  steps: readonly Pick<StripStep, "id" | "back">[],
): { readonly step: string; readonly says: string; readonly n: number }[] =>
  steps.flatMap((s) =>
    (s.back ?? []).filter((b) => b.when === "calibrate").map(({ says }, n) => ({ step: s.id, says, n })),
  );
