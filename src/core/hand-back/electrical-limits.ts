import { z } from "zod";
import type { Frozen } from "../frozen";
import { day } from "../job/written";

const ohm = z.number().positive("must be above 0");

/**
 * The limits that a shop tests by, where they come from, and the tester. The local code decides; these are
 * where it starts.
 */
export const electricalLimits = z.strictObject({
  /** earth bond of class I with its cord, Ω at most */
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

export const USUAL_LIMITS: ElectricalLimits = {
  earthBondOhm: 0.3,
  insulationIMohm: 1,
  insulationIIMohm: 2,
  source: "default of the shop; the local code decides",
  tester: "",
};

/** The tester as it stands on a sheet; null: none was named. */
export const testerInWords = ({
  tester,
  calibratedOn,
}: Pick<ElectricalLimits, "tester" | "calibratedOn">): string | null =>
  tester ? `${tester}${calibratedOn ? `, calibrated ${calibratedOn}` : ""}` : null;
