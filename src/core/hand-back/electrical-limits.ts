import { z } from "zod";
import type { Frozen } from "../frozen";
import { day } from "../job/written";

const ohm = z.number().positive("must be above 0");

/**
 * The limits that a shop tests by, where they come from, and the tester. The local code decides; these are
 * where it starts.
 */
export const electricalLimits = z.strictObject({
  /** earth bond of class I with a cord of up to 5 m, Ω at most */
  earthBondOhm: ohm,
  /** insulation at 500 V DC, MΩ at least */
  insulationIMohm: ohm,
  insulationIIMohm: ohm,
  /** protective conductor current of class I, mA at most; left out: the tester's programme decides */
  protectiveMa: ohm.optional(),
  /** touch current of class II, mA at most; left out: the tester's programme decides */
  touchMa: ohm.optional(),
  source: z.string().max(120),
  tester: z.string().max(80),
  calibratedOn: day.optional(),
});
export type ElectricalLimits = Frozen<z.infer<typeof electricalLimits>>;

/** The limits of EN 50678 (after repair) and EN 50699 (recurrent test), where a shop has set none. */
export const USUAL_LIMITS: ElectricalLimits = {
  earthBondOhm: 0.3,
  insulationIMohm: 1,
  insulationIIMohm: 2,
  protectiveMa: 3.5,
  touchMa: 0.5,
  source: "EN 50678, EN 50699; the local code decides",
  tester: "",
};

const CORD_M = 5;
const CORD_STEP_M = 7.5;
const CORD_STEP_OHM = 0.1;
const MOST_BOND_OHM = 1;

/**
 * Earth bond with its cord, Ω at most: the shop's limit up to 5 m, 0.1 Ω more for each full 7.5 m beyond,
 * at most 1 Ω. A part of 7.5 m gives nothing: the standard does not say that it does.
 *
 * @param base the shop's limit, Ω
 * @param cordM length of the cord, m
 * @example bondWithCord(0.3, 20) // 0.5
 */
export function bondWithCord(base: number, cordM: number): number {
  const steps = Math.max(0, Math.floor((cordM - CORD_M) / CORD_STEP_M + 1e-9));
  return Number(Math.min(Math.max(base, MOST_BOND_OHM), base + steps * CORD_STEP_OHM).toFixed(3));
}

const HEATER_KW = 3.5;
const MOST_HEATER_MA = 10;

/**
 * Protective conductor current with heating elements, mA at most: above 3.5 kW 1 mA for each kW, up to 10 mA.
 *
 * @param base the shop's limit, mA
 * @param heaterKw power of all elements, kW
 * @example protectiveWithHeater(3.5, 6) // 6
 */
export const protectiveWithHeater = (base: number, heaterKw: number): number =>
  heaterKw > HEATER_KW ? Math.max(base, Math.min(MOST_HEATER_MA, heaterKw)) : base;

/** The tester as it stands on a sheet; null: none was named. */
export const testerInWords = ({
  tester,
  calibratedOn,
}: Pick<ElectricalLimits, "tester" | "calibratedOn">): string | null =>
  tester ? `${tester}${calibratedOn ? `, calibrated ${calibratedOn}` : ""}` : null;
