import { type ElectricalLimits, testerInWords } from "./electrical-limits";
import type { FinalCheck } from "./final-check";

/** What electrical tests are made with. */
export const TESTER = "Tester";

/**
 * Which instrument a shop takes for a check is remembered under this: of one kind, for figures of one unit.
 * One tester makes all electrical tests.
 */
export const instrumentKey = ({
  instrument,
  unit,
}: Pick<FinalCheck, "instrument" | "unit">): string | undefined =>
  instrument === TESTER ? TESTER : instrument && [instrument, unit].filter(Boolean).join(", ");

/**
 * The instrument that is proposed for a check: the tester of the shop for an electrical one, else what was
 * taken last.
 */
export const instrumentFor = (
  check: FinalCheck,
  limits: Pick<ElectricalLimits, "tester" | "calibratedOn">,
  last: Readonly<Record<string, string>>,
): string =>
  (check.instrument === TESTER ? testerInWords(limits) : null) ?? last[instrumentKey(check) ?? ""] ?? "";
