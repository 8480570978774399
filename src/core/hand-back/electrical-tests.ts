import type { GoingHome } from "../job/going-home";
import type { ProtectionClass } from "../job/supply";
import { bondWithCord, type ElectricalLimits, protectiveWithHeater } from "./electrical-limits";
import type { FinalCheck } from "./final-check";
import { TESTER } from "./instruments";

/** An electrical test, and when it is made: before anything runs, while it runs, once it has run. */
export interface ElectricalTest {
  readonly when: "cold" | "running" | "after";
  readonly check: FinalCheck;
}

/** What is tested, as far as its tests depend on it. */
export interface TestedUnit {
  readonly protection: ProtectionClass | undefined;
  /** a heating element takes up damp: less insulation is allowed in class I, and it is measured warm too */
  readonly hasHeater: boolean;
  /** water gets to it when it works: its insulation is measured wet too */
  readonly getsWet: boolean;
  /** a small job: its covers are looked at with its cord */
  readonly isSmall: boolean;
  /** what was read on its plate or measured at it */
  readonly home?: Pick<GoingHome, "cordM" | "heaterKw"> | undefined;
}

/** MΩ at least, by EN 50678 and EN 50699. */
const INSULATION_HEATER_MOHM = 0.3;
const INSULATION_III_MOHM = 0.25;
const ALWAYS = { why: "Always after work on a mains unit.", never: true } as const;
const STANDARD = "EN 50678, EN 50699; the local code decides";

/**
 * After work on a mains unit, in the order of the standard sequence: looked at, earth, insulation, current. A
 * class that nobody named is tested as both would be. What is measured while it runs comes once its guards
 * are on.
 */
export function electricalTests(unit: TestedUnit, limits: ElectricalLimits): ElectricalTest[] {
  const { protection } = unit;
  const looked: ElectricalTest = {
    when: "cold",
    check: {
      check: "cord",
      asks: unit.isSmall
        ? "Cord flexed from end to end, plug and strain relief looked over; " +
          "every guard and cover on and drawn: nothing cut, nothing loose?"
        : "Cord flexed from end to end; plug, strain relief and case looked over: " +
          "nothing cut, nothing loose?",
      ...ALWAYS,
      why: "Half of what fails a test is seen before it.",
      ...(unit.isSmall ? { covers: true as const } : {}),
    },
  };
  if (protection === "III") return [looked, ...insulationTests(unit, limits)];
  const earthed = protection !== "II";
  return [
    looked,
    ...(earthed ? [{ when: "cold" as const, check: earthBond(unit, limits) }] : []),
    ...insulationTests(unit, limits),
    { when: "running", check: earthed ? protectiveCurrent(unit, limits) : touchCurrent(limits) },
  ];
}

function earthBond({ home }: TestedUnit, { earthBondOhm, source }: ElectricalLimits): FinalCheck {
  const cordM = home?.cordM;
  const max = cordM === undefined ? earthBondOhm : bondWithCord(earthBondOhm, cordM);
  return {
    check: "earth-bond",
    asks: "Earth bond, with its cord, at every bare metal part",
    instrument: TESTER,
    unit: "Ω",
    max,
    source: max === earthBondOhm ? source : `${source}; with a cord of ${cordM} m`,
    reads: "cordM",
    ...ALWAYS,
    why: `${ALWAYS.why} The worst of all parts counts; the cord is moved while it is measured.`,
  };
}

/** Insulation cold, and once more as it is when it works: warm from its element, wet from its water. */
function insulationTests(unit: TestedUnit, limits: ElectricalLimits): ElectricalTest[] {
  const { protection, hasHeater, getsWet } = unit;
  const cold: FinalCheck = {
    check: "insulation",
    asks:
      protection === "III"
        ? "Insulation at 250 V DC, its switch on"
        : "Insulation at 500 V DC, its switch on",
    instrument: TESTER,
    unit: "MΩ",
    ...leastInsulation(protection, hasHeater, limits),
    ...ALWAYS,
    why: `${ALWAYS.why} With the switch off, what lies behind it is not tested.`,
  };
  const states = [...(hasHeater ? ["warm from its run"] : []), ...(getsWet ? ["wet as it works"] : [])];
  const again: FinalCheck = {
    ...cold,
    check: "insulation-again",
    asks: `Insulation once more, ${states.join(" and ")}`,
    why: hasHeater
      ? "An element that holds when it is cold may leak when it is warm."
      : "A seal that lets water in shows here, and not at the customer’s.",
    caution: `Plug out before it is clipped on${hasHeater ? "; it is hot" : ""}.`,
  };
  return [
    { when: "cold", check: cold },
    ...(states.length ? [{ when: "after" as const, check: again }] : []),
  ];
}

function leastInsulation(
  protection: ProtectionClass | undefined,
  hasHeater: boolean,
  limits: ElectricalLimits,
): { readonly min: number; readonly source: string } {
  if (protection === "III") return { min: INSULATION_III_MOHM, source: `${STANDARD}; class III` };
  if (hasHeater && protection === "I" && limits.insulationIMohm > INSULATION_HEATER_MOHM)
    return { min: INSULATION_HEATER_MOHM, source: `${STANDARD}; class I with a heating element` };
  return {
    min: protection === "I" ? limits.insulationIMohm : limits.insulationIIMohm,
    source: limits.source,
  };
}

function protectiveCurrent(
  { hasHeater, home }: TestedUnit,
  { protectiveMa, source }: ElectricalLimits,
): FinalCheck {
  const kw = hasHeater ? home?.heaterKw : undefined;
  const max =
    protectiveMa === undefined || kw === undefined ? protectiveMa : protectiveWithHeater(protectiveMa, kw);
  return currentTest(
    "protective-current",
    "Protective conductor current",
    max,
    max === protectiveMa ? source : `${source}; with ${kw} kW of heating`,
    hasHeater ? { reads: "heaterKw" } : {},
  );
}

const touchCurrent = ({ touchMa, source }: ElectricalLimits): FinalCheck =>
  currentTest("touch-current", "Touch current", touchMa, source);

/** A current of the tester: a figure with its limit, or a yes where its programme decides. */
const currentTest = (
  check: string,
  asks: string,
  max: number | undefined,
  source: string,
  more: Pick<FinalCheck, "reads"> = {},
): FinalCheck =>
  max === undefined
    ? {
        check,
        asks: `${asks}, switched on: passed by the tester’s programme?`,
        instrument: TESTER,
        runs: true,
        ...ALWAYS,
      }
    : {
        check,
        asks: `${asks}, switched on`,
        instrument: TESTER,
        unit: "mA",
        max,
        source,
        runs: true,
        ...more,
        ...ALWAYS,
      };
