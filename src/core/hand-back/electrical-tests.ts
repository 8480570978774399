import type { ProtectionClass } from "../job/supply";
import type { ElectricalLimits } from "./electrical-limits";
import type { FinalCheck } from "./final-check";
import { TESTER } from "./instruments";

/** An electrical test, and whether the unit runs for it. */
export interface ElectricalTest {
  readonly when: "cold" | "running";
  readonly check: FinalCheck;
}

/** Insulation of class I with a heating element, MΩ at least: EN 50678, EN 50699. */
const INSULATION_HEATER_MOHM = 0.3;

/**
 * After work on a mains unit, in the order of the standard sequence: looked at, earth, insulation, current. A
 * class that nobody named is tested as both would be. What is measured while it runs comes once its guards
 * are on.
 *
 * @param hasHeater it has a heating element, which takes up damp: less insulation is allowed in class I
 */
export function electricalTests(
  protection: ProtectionClass | undefined,
  limits: ElectricalLimits,
  hasHeater: boolean,
): ElectricalTest[] {
  if (protection === "III") return [];
  const { source } = limits;
  const base = { why: "Always after work on a mains unit.", never: true } as const;
  const earthed = protection !== "II";
  const isHeated = hasHeater && protection === "I" && limits.insulationIMohm > INSULATION_HEATER_MOHM;
  const current = (check: string, asks: string, max: number | undefined): FinalCheck =>
    max === undefined
      ? {
          check,
          asks: `${asks}, switched on: passed by the tester’s programme?`,
          instrument: TESTER,
          runs: true,
          ...base,
        }
      : {
          check,
          asks: `${asks}, switched on`,
          instrument: TESTER,
          unit: "mA",
          max,
          source,
          runs: true,
          ...base,
        };
  const cold: FinalCheck[] = [
    {
      check: "cord",
      asks: "Cord flexed from end to end; plug, strain relief and case looked over: nothing cut, nothing loose?",
      ...base,
      why: "Half of what fails a test is seen before it.",
    },
    ...(earthed
      ? [
          {
            check: "earth-bond",
            asks: "Earth bond, with its cord, at every bare metal part",
            instrument: TESTER,
            unit: "Ω",
            max: limits.earthBondOhm,
            source,
            ...base,
          },
        ]
      : []),
    {
      check: "insulation",
      asks: "Insulation at 500 V DC, its switch on",
      instrument: TESTER,
      unit: "MΩ",
      min: isHeated
        ? INSULATION_HEATER_MOHM
        : protection === "I"
          ? limits.insulationIMohm
          : limits.insulationIIMohm,
      source: isHeated ? "EN 50678 for class I with a heating element; the local code decides" : source,
      ...base,
    },
  ];
  const running = earthed
    ? current("protective-current", "Protective conductor current", limits.protectiveMa)
    : current("touch-current", "Touch current", limits.touchMa);
  return [
    ...cold.map((check): ElectricalTest => ({ when: "cold", check })),
    { when: "running", check: running },
  ];
}
