import { isPlastic } from "../hardware/material";
import { type Ending, endingNamed } from "../job/ending";
import type { GoingHome } from "../job/going-home";
import type { Hazard } from "../job/hazard";
import { finalKey } from "../job/keys";
import type { OwnTest } from "../job/own-tests";
import type { Part } from "../job/part";
import type { StripStep } from "../job/step";
import type { ProtectionClass, Supply } from "../job/supply";
import { capital, listed } from "../sentence";
import { byHand, currentOf, speedOf } from "./driven-tests";
import { type ElectricalLimits, USUAL_LIMITS } from "./electrical-limits";
import { type ElectricalTest, electricalTests } from "./electrical-tests";
import type { FinalCheck } from "./final-check";
import { oldParts } from "./old-parts";
import { type CheckedUnit, type WhatThereIs, whatThereIs } from "./what-there-is";

const LOOSE_ITEMS = "loose-items";

/**
 * The last checks that this unit can fail, in the order they are done: by what drives it, its class, its
 * train and what was done at it; guards come before anything runs. Electrical limits are the shop’s own; the local
 * code decides.
 */
export function finalChecks(
  unit: CheckedUnit & {
    readonly foodContact?: boolean;
    readonly protectionClass?: ProtectionClass | undefined;
    /** it was not repaired */
    readonly ending?: Pick<Ending, "how">;
    readonly hazards?: readonly Hazard[] | undefined;
    /** the customer agreed at Take in that old parts may go */
    readonly disposeConsent?: boolean;
    /** what the shop asks of its kind; left out: nothing */
    readonly ownTests?: readonly OwnTest[] | undefined;
    /** what was read on its plate */
    readonly home?: Pick<GoingHome, "plateA"> | undefined;
    /** what it was brought in for, in the customer's words */
    readonly complaint?: string;
    /** what came with it; left out: nobody has said */
    readonly looseItems?: readonly string[];
    /** keys of what was answered so twice for its kind: it does not apply (`finalKey`) */
    readonly notAsked?: readonly string[] | undefined;
  },
  limits: ElectricalLimits = USUAL_LIMITS,
): FinalCheck[] {
  const hasLoose = unit.looseItems === undefined || unit.looseItems.length > 0;
  const loose: FinalCheck[] = hasLoose
    ? [
        {
          check: LOOSE_ITEMS,
          asks: "All the customer’s loose items with the unit?",
          why: "A bowl left on the shelf means a second visit.",
        },
      ]
    : [];
  const ending = unit.ending && endingNamed(unit.ending.how);
  const notRepaired: FinalCheck = {
    check: "marked",
    asks: "Marked on the unit: not repaired?",
    why: "The next one who plugs it in should know.",
  };
  if (ending && !ending.leaves)
    return loose.map((c) => ({
      ...c,
      asks: "The customer’s loose items given back, or left here in writing?",
      why: "What belongs to the customer is not part of the scrap.",
    }));
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
      ...loose,
    ];
  if (ending && !unit.steps?.length) return [notRepaired, ...loose];
  const has = whatThereIs(unit);
  const mains = unit.supplies?.includes("mains");
  const electrical = mains ? electricalTests(unit.protectionClass, limits, has.hasHeater) : [];
  if (ending) return [notRepaired, ...electrical.map(({ check }) => check), ...loose];
  const runs = has.isDriven && has.moves;
  const at = (when: ElectricalTest["when"]): FinalCheck[] =>
    electrical.filter((t) => t.when === when).map(({ check }) => check);
  const isSprung = unit.supplies?.includes("spring") === true && !has.isDriven;
  const asked = [
    // a hand on the train of a wound spring would be hurt
    ...(has.moves && !isSprung ? [byHand(unit.train, has.isDriven)] : []),
    ...at("cold"),
    // what runs for its test has its guards on before
    ...guardsOf(unit, has),
    ...at("running"),
    ...(isSprung ? [RUNS_DOWN] : firstRun(has)),
    ...(unit.supplies ?? []).flatMap((s) => BY_SUPPLY[s] ?? []),
    ...(has.hangsLoads ? [HOLDS_ITS_LOAD] : []),
    ...(unit.complaint?.trim() ? [complaintGone(unit.complaint.trim(), has)] : []),
    ...(runs ? [...speedsAndWays(has), ...speedOf(unit.train)] : []),
    ...(runs && mains ? [currentOf(unit.home?.plateA)] : []),
    ...(runs ? warmOf(has) : []),
    ...afterTheRun(has),
    ...(pressesSeal(unit) ? [SNUG] : []),
    ...calibrationsOf(unit.steps ?? []),
    ...ownOf(unit, has),
    ...(unit.foodContact ? [FOOD_CLEAN] : []),
    ...oldParts(unit),
    ...loose,
  ];
  return asked.filter((c) => c.never || !unit.notAsked?.includes(finalKey(c.check)));
}

/** Whether a check can be answered by "does not apply": not an electrical test, nor what has choices. */
export const mayNotApply = (c: FinalCheck): boolean =>
  !c.never && !c.choices && c.check !== LOOSE_ITEMS && !c.check.startsWith("calibrated-");

/** Guards of what moves, covers of what only gets hot or live. */
function guardsOf(
  { hazards }: { readonly hazards?: readonly Hazard[] | undefined },
  has: WhatThereIs,
): FinalCheck[] {
  const blade = hazards?.includes("blade");
  if (!has.isDriven && !blade) return [];
  if (!has.moves && !blade)
    return [
      {
        check: "guards",
        asks: "Every cover on and drawn, nothing of the inside within a finger’s reach?",
        why: "What gets hot or live is covered before it is switched on.",
      },
    ];
  return [
    {
      check: "guards",
      asks: "Every guard and cover on, moving as it did; and whatever switch stops it when one is off, does?",
      why: "A guard that was left off is found by a hand.",
      ...(blade
        ? { caution: "With the blade on from here: hands away from it, and nobody reaches over." }
        : {}),
    },
  ];
}

function firstRun(has: WhatThereIs): FinalCheck[] {
  if (!has.moves)
    return has.isDriven
      ? [
          {
            check: "switched-on",
            asks: "Switched on for five minutes: no smell, no smoke, nothing trips?",
            why: "What chars or shorts shows itself here, and not in a kitchen.",
            runs: true,
            caution: "A hand at the switch, nothing beside it that burns.",
          },
        ]
      : [];
  return [
    {
      check: "run-slow",
      asks: has.isDriven
        ? `Run ${has.hasSpeeds === "said" ? "at the slowest speed" : "idle"} for two minutes: no smell, ${has.isElectric ? "no spark, " : ""}no new noise?`
        : "Worked slowly for two minutes: no new noise, nothing rubs?",
      why: has.lubricated.length
        ? "Grease finds its place and the first crumb shows itself."
        : "What rubs or sits wrong shows itself here.",
      ...(has.lubricated.length && {
        listenFor:
          "Fresh grease that is squeezed smacks evenly and goes quieter within a minute. What comes once a turn, and stays, is a tooth or a bearing.",
      }),
      ...(has.isDriven
        ? { runs: true, caution: "Eye protection, loose sleeves and hair away, a hand at the switch." }
        : {}),
    },
  ];
}

/** What it was brought in for is asked again, in the customer's own words. */
const complaintGone = (complaint: string, has: WhatThereIs): FinalCheck => ({
  check: "complaint",
  asks: `Brought in for “${complaint.replace(/\.$/, "")}”: is that gone?`,
  why: "It is what the customer tries first. Try it as they use it.",
  may: "How it was tried",
  ...(has.isDriven ? { runs: true as const } : {}),
});

function speedsAndWays({ hasSpeeds, ways, wasWired }: WhatThereIs): FinalCheck[] {
  const turning = wasWired ? ["The right way round"] : [];
  const others = ways.length ? [`${listed(ways)} as it should`] : [];
  const asks = [...turning, ...others].join("; ");
  return [
    ...(hasSpeeds
      ? [
          {
            check: "run-speeds",
            asks: `Each speed in turn${hasSpeeds === "usual" ? ", if it has several" : ""}: even, nothing hunting?`,
            why: "A fault of one speed is found by the customer otherwise.",
            runs: true as const,
          },
        ]
      : []),
    ...(asks
      ? [
          {
            check: "ways",
            asks: `${capital(asks)}?`,
            why: wasWired
              ? "Leads were off: two that are swapped run it backwards."
              : "A brake that lets go, or a lock that does not, is found on the customer’s bench.",
            runs: true as const,
          },
        ]
      : []),
  ];
}

/** Where a hand is laid after a while: not on an engine, nor on what is meant to be hot. */
function warmOf({ hasTeeth, hasHeater, isElectric }: WhatThereIs): FinalCheck[] {
  const where = [...(hasTeeth ? ["gear case"] : []), ...(isElectric && !hasHeater ? ["motor"] : [])];
  return where.length
    ? [
        {
          check: "warm",
          asks: `After ten minutes: does a hand stay on the ${listed(where)}?`,
          why: "A hand is drawn back at about 60 °C; what is hotter than that after ten minutes idle runs dry or tight.",
          may: "Temperature by a probe, where, and after how long",
          instrument: "Probe",
          runs: true,
        },
      ]
    : [];
}

const RUNS_DOWN: FinalCheck = {
  check: "runs-down",
  asks: "Wound, its click holding, and let run: even, and stopping nowhere before it is run down?",
  why: "A spring shows its weakness at the end, and a tight place by where it stops.",
  caution: "Covers on before it is wound: what is wound lets go at once.",
};

/** What is tried because of what drives it. */
const BY_SUPPLY: Readonly<Partial<Record<Supply, readonly FinalCheck[]>>> = {
  petrol: [
    {
      check: "petrol-idle",
      asks: "At idle its tool stands still, and the stop switch stops it at once?",
      why: "A tool that creeps at idle takes hold of what is beside it.",
      runs: true,
      caution: "Outdoors, nobody before the tool; the exhaust burns a hand.",
    },
    {
      check: "petrol-leaks",
      asks: "Dry at tank, cap, line and carburettor, after the run and laid on its side?",
      why: "What seeps catches fire at the next hot exhaust.",
    },
  ],
  air: [
    {
      check: "air-trigger",
      asks: "Trigger let go: it stops by itself and no air is heard; its speed not above the plate’s?",
      why: "A governor that was left out lets it run away.",
      runs: true,
      caution: "At the pressure of its plate, no more; ears and eyes protected.",
    },
  ],
  water: [
    {
      check: "water-tight",
      asks: "Dry all round at full pressure, and while it drains?",
      why: "A seal that holds still water may leak when it moves.",
    },
  ],
};

const HOLDS_ITS_LOAD: FinalCheck = {
  check: "holds-load",
  asks: "Holds its rated load without creeping, and lowers it as slowly as it should?",
  why: "A brake that holds nothing in the air is no brake.",
  caution:
    "Nobody under or beside the load. Where the local code wants a licensed test for lifting gear, it is theirs to do.",
};

/** What is looked at once it has run: lubricant that settled, teeth that are heard, what leaks. */
function afterTheRun({ lubricated, hasTeeth, isSealed }: WhatThereIs): FinalCheck[] {
  return [
    ...(lubricated.length
      ? [
          {
            check: "topped-up",
            asks: `Topped up where the first run has taken some: ${lubricated.join(", ")}?`,
            why: "A lubricant settles in the first minutes; what is missing then is missing for good.",
          },
        ]
      : []),
    ...(hasTeeth
      ? [
          {
            check: "listen",
            asks: "Listened at the case: no click once a turn?",
            why: "A click once a turn is a tooth, and comes back on the customer’s bench.",
          },
        ]
      : []),
    ...(lubricated.length || isSealed
      ? [
          {
            check: "seepage",
            asks: "Seepage looked for after the run, cold again, and wiped?",
            why: "What seeps now drips at home.",
            listenFor:
              "A film at a parting line is what was packed too full: wipe it, and look once more. A drop that comes back is a seal.",
          },
        ]
      : []),
  ];
}

const SNUG: FinalCheck = {
  check: "snug",
  asks: "Screws that press a seal, or sit in plastic: snug again after the run?",
  why: "A gasket and a plastic boss give a little when they were warm once.",
};
const FOOD_CLEAN: FinalCheck = {
  check: "food-clean",
  asks: "Every surface that touches food washed and dry?",
  why: "Bench dirt and solvent must not reach food.",
};

const calibrationsOf = (steps: readonly Pick<StripStep, "id" | "back">[]): FinalCheck[] =>
  calibrations(steps).map(({ step, says, n }) => ({
    check: `calibrated-${step}-${n}`,
    asks: `Set and measured: ${says}?`,
    why: "It was said at the strip that this is set last.",
    may: "What was measured",
    instrument: "Instrument",
  }));

/** What the shop asks of the kind: it cuts, it lifts, it holds 2 bar. */
const ownOf = (
  { kind, ownTests = [] }: { readonly kind: string; readonly ownTests?: readonly OwnTest[] | undefined },
  { isDriven }: WhatThereIs,
): FinalCheck[] =>
  ownTests.map((t, i) => ({
    check: `own-${i}`,
    asks: t.unit ? t.asks : `${t.asks.replace(/[?.]$/, "")}?`,
    why: `The shop asks this of every ${kind || "unit"} of its kind.`,
    ...(t.unit
      ? {
          unit: t.unit,
          instrument: "Instrument",
          ...(t.min === undefined ? {} : { min: t.min }),
          ...(t.max === undefined ? {} : { max: t.max }),
          source: "the shop's own",
        }
      : {}),
    ...(isDriven ? { runs: true as const } : {}),
  }));

/** Whether screws of it press a seal, or are screwed into plastic. */
function pressesSeal({
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
