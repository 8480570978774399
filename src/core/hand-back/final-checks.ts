import { type Ending, endingNamed } from "../job/ending";
import type { ProtectionClass, Supply } from "../job/supply";
import { type ElectricalLimits, USUAL_LIMITS } from "./electrical-limits";

/** A last check before the unit goes home. With a unit it takes a figure, judged against `min` or `max`. */
export interface FinalCheck {
  readonly check: string;
  readonly asks: string;
  readonly why: string;
  readonly unit?: string;
  readonly min?: number;
  readonly max?: number;
  /** where the limit comes from; a shop edits it to its local code */
  readonly source?: string;
}

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
    readonly steps?: readonly unknown[];
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
  const out: FinalCheck[] = ending
    ? [{ check: "marked", asks: "Marked on the unit: not repaired?", why: "The next one who plugs it in should know." }]
    : [{ check: "by-hand", asks: "Turned by hand through two full turns of the output: even, no tight spot?", why: "The motor hides what the hand feels." }];
  if (ending && !unit.steps?.length) return [...out, looseItems];
  if (unit.supplies?.includes("mains")) out.push(...electricalTests(unit.protectionClass, limits));
  if (ending) return [...out, looseItems];
  const lubricated = (unit.chambers ?? []).flatMap((c) => (c.lubricant ? [c.name] : []));
  out.push(
    {
      check: "run-slow",
      asks: "Run in slowly for two minutes: no smell, no spark, no new noise?",
      why: "Grease finds its place and the first crumb shows itself.",
    },
    { check: "run-speeds", asks: "Each speed in turn: even, nothing hunting?", why: "A fault of one speed is found by the customer otherwise." },
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
    { check: "seepage", asks: "Seepage looked for after the run, and wiped?", why: "What seeps now drips at home." },
  );
  if (unit.foodContact)
    out.push({ check: "food-clean", asks: "Every surface that touches food washed and dry?", why: "Bench dirt and solvent must not reach food." });
  return [...out, looseItems];
}

/** After work on a mains unit, in the order of the standard sequence: looked at, earth, insulation, current. A class that nobody named is tested as both would be. */
function electricalTests(protection: ProtectionClass | undefined, limits: ElectricalLimits): FinalCheck[] {
  if (protection === "III") return [];
  const { source } = limits;
  const why = "Always after work on a mains unit.";
  const earthed = protection !== "II";
  const current = (check: string, asks: string, max: number | undefined): FinalCheck =>
    max === undefined ? { check, asks: `${asks}: passed by the tester’s programme?`, why } : { check, asks, unit: "mA", max, source, why };
  return [
    { check: "cord", asks: "Cord, plug, strain relief and case looked over: nothing cut, nothing loose?", why: "Half of what fails a test is seen before it." },
    ...(earthed ? [{ check: "earth-bond", asks: "Earth bond, with its cord", unit: "Ω", max: limits.earthBondOhm, source, why }] : []),
    {
      check: "insulation",
      asks: "Insulation at 500 V DC",
      unit: "MΩ",
      min: protection === "I" ? limits.insulationIMohm : limits.insulationIIMohm,
      source,
      why,
    },
    earthed ? current("protective-current", "Protective conductor current", limits.protectiveMa) : current("touch-current", "Touch current", limits.touchMa),
  ];
}

/** @example limitInWords({ max: 0.3, unit: "Ω", source: "local code" }) // "at most 0.3 Ω, local code" */
export const limitInWords = ({ min, max, unit, source }: Pick<FinalCheck, "min" | "max" | "unit" | "source">): string =>
  [max === undefined ? `at least ${min} ${unit}` : `at most ${max} ${unit}`, source].filter(Boolean).join(", ");

/** Whether a measured figure passes, as a sentence; null if it does. */
export function figureFault(check: FinalCheck, value: number): string | null {
  if (!Number.isFinite(value) || value < 0) return "must be a figure of 0 or more";
  if (check.max !== undefined && value > check.max) return `${value} ${check.unit} is above the limit of ${check.max} ${check.unit}: it must not go out`;
  if (check.min !== undefined && value < check.min) return `${value} ${check.unit} is below the limit of ${check.min} ${check.unit}: it must not go out`;
  return null;
}
