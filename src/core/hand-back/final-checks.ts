import { isPlastic } from "../hardware/material";
import { type Ending, endingNamed } from "../job/ending";
import type { GoingHome } from "../job/going-home";
import type { Hazard } from "../job/hazard";
import { finalKey } from "../job/keys";
import { type OwnTest, usualTests } from "../job/own-tests";
import type { Part } from "../job/part";
import type { StripStep } from "../job/step";
import type { ProtectionClass } from "../job/supply";
import { byHand, currentOf, speedOf } from "./driven-tests";
import { type ElectricalLimits, USUAL_LIMITS } from "./electrical-limits";
import { type ElectricalTest, electricalTests } from "./electrical-tests";
import type { FinalCheck } from "./final-check";
import { kindChecks } from "./kind-checks";
import { LOOSE_ITEMS, looseItems } from "./loose-items";
import { oldParts } from "./old-parts";
import {
  afterTheRun,
  complaintGone,
  firstRun,
  guardsOf,
  KEEPS_TIME,
  RUNS_DOWN,
  speedsAndWays,
  warmOf,
} from "./run-checks";
import { type CheckedUnit, type WhatThereIs, whatThereIs } from "./what-there-is";

/**
 * The last checks that this unit can fail, in the order they are done: by what drives it, its class, its
 * train and what was done at it; guards come before anything runs. Electrical limits are the shop’s own; the
 * local code decides.
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
    readonly home?: Pick<GoingHome, "plateA" | "plateRpm" | "cordM" | "heaterKw"> | undefined;
    /** what it was brought in for, in the customer's words */
    readonly complaint?: string;
    /** what came with it; left out: nobody has said */
    readonly looseItems?: readonly string[];
    /** keys of what was answered so twice for its kind: it does not apply (`finalKey`) */
    readonly notAsked?: readonly string[] | undefined;
  },
  limits: ElectricalLimits = USUAL_LIMITS,
): FinalCheck[] {
  const loose = looseItems(unit.looseItems);
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
  const electrical = mains
    ? electricalTests(
        {
          protection: unit.protectionClass,
          hasHeater: has.hasHeater,
          getsWet: has.getsWet,
          isSmall: !has.wasOpened,
          home: unit.home,
        },
        limits,
      )
    : [];
  const at = (when: ElectricalTest["when"]): FinalCheck[] =>
    electrical.filter((t) => t.when === when).map(({ check }) => check);
  if (ending) return [notRepaired, ...at("cold"), ...at("running"), ...loose];
  const complaint = unit.complaint?.trim() || undefined;
  const runs = has.isDriven && has.moves;
  const asked = [
    // a hand on the train of a wound spring would be hurt
    ...(has.moves && has.wasOpened && !has.isSprung ? [byHand(unit.train, has.isDriven)] : []),
    ...at("cold"),
    // what runs for its test has its guards on before
    ...(mains && !has.wasOpened ? [] : guardsOf(unit, has)),
    ...at("running"),
    ...(has.isSprung ? [RUNS_DOWN] : firstRun(has, has.wasOpened ? undefined : complaint)),
    ...(has.keepsTime ? [KEEPS_TIME] : []),
    ...kindChecks(unit, has),
    ...(complaint && (has.wasOpened || has.isSprung) ? [complaintGone(complaint, has)] : []),
    ...ownWork(unit, has),
    ...(runs && has.wasOpened ? [...speedsAndWays(has), ...speedOf(unit.train)] : []),
    ...(runs && !has.wasOpened ? speedsAndWays({ ...has, hasSpeeds: undefined, ways: [] }) : []),
    ...(runs && mains && has.wasOpened ? [currentOf(unit.home?.plateA)] : []),
    ...(runs && has.wasOpened ? warmOf(has) : []),
    ...at("after"),
    ...afterTheRun(has),
    ...(pressesSeal(unit) ? [SNUG] : []),
    ...calibrationsOf(unit.steps ?? []),
    ...(unit.foodContact ? [FOOD_CLEAN] : []),
    ...oldParts(unit),
    ...loose,
  ];
  return asked.filter((c) => c.never || !unit.notAsked?.includes(finalKey(c.check)));
}

/** Whether a check can be answered by "does not apply": not an electrical test, nor what has choices. */
export const mayNotApply = (c: FinalCheck): boolean =>
  !c.never && !c.choices && c.check !== LOOSE_ITEMS && !c.check.startsWith("calibrated-");

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

/**
 * The unit's own work: what the shop asks of the kind (it cuts, it lifts, it holds 2 bar); where the shop has
 * said nothing, what such units are usually for.
 */
function ownWork(
  {
    kind,
    ownTests,
    complaint,
  }: {
    readonly kind: string;
    readonly ownTests?: readonly OwnTest[] | undefined;
    readonly complaint?: string;
  },
  { isDriven, wasOpened, hangsLoads }: WhatThereIs,
): FinalCheck[] {
  const runs = isDriven ? { runs: true as const } : {};
  if (ownTests?.length)
    return ownTests.map((t, i) => ({
      check: `own-${i}`,
      asks: t.unit ? t.asks : `${t.asks.replace(/[?.]$/, "")}?`,
      why: `The shop asks this of every ${kind || "unit"} of its kind.`,
      told: true as const,
      ...(t.unit
        ? {
            unit: t.unit,
            instrument: "Instrument",
            ...(t.min === undefined ? {} : { min: t.min }),
            ...(t.max === undefined ? {} : { max: t.max }),
            source: "the shop's own",
          }
        : {}),
      ...runs,
    }));
  // what it was brought in for is tried as it is used: that is its work
  if (!wasOpened && complaint?.trim()) return [];
  // what it carries is asked for lifting gear as it is
  if (hangsLoads) return [];
  return usualTests(kind, []).map(({ asks }, i) => ({
    check: `work-${i}`,
    asks: `${asks}?`,
    why: "What the customer does with it first.",
    usual: `usual for ${/[^s]s$/.test(kind) ? kind : a(kind)}`,
    may: "How it was tried",
    told: true as const,
    ...runs,
  }));
}

const a = (kind: string): string => `${/^[aeiou]/i.test(kind) ? "an" : "a"} ${kind}`;

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
