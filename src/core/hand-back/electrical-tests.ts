import type { ProtectionClass } from "../job/supply";
import type { ElectricalLimits } from "./electrical-limits";
import type { FinalCheck } from "./final-check";
import { TESTER } from "./instruments";

/**
 * After work on a mains unit, in the order of the standard sequence: looked at, earth, insulation, current. A
 * class that nobody named is tested as both would be.
 */
export function electricalTests(
  protection: ProtectionClass | undefined,
  limits: ElectricalLimits,
): FinalCheck[] {
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
    ...(earthed
      ? [
          {
            check: "earth-bond",
            asks: "Earth bond, with its cord",
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
      asks: "Insulation at 500 V DC",
      instrument: TESTER,
      unit: "MΩ",
      min: protection === "I" ? limits.insulationIMohm : limits.insulationIIMohm,
      source,
      ...base,
    },
    earthed
      ? current("protective-current", "Protective conductor current", limits.protectiveMa)
      : current("touch-current", "Touch current", limits.touchMa),
  ];
}
