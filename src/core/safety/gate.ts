import { HAZARD_NAMES, type Hazard } from "../job/hazard";
import type { Supply } from "../job/supply";
import { HAZARD_QUESTIONS, SHUT_OFF } from "./hazards";
import type { SafetyQuestion } from "./question";

/** Questions that a "no" answers with a referral: the work belongs to licensed hands. */
export const REFERS: readonly string[] = ["code", "pressure"];
/** Skipped in writing, it is an exception from working dead, and is asked about again at every step. */
export const LIVE: readonly string[] = Object.values(SHUT_OFF).flatMap((q) => q?.gate ?? []);

/**
 * The safety gate for a unit: what drives it is shut off, one question each; then what was ticked as its
 * hazards; nothing is read out of its name. A unit of which nobody said what drives it is taken for one on
 * the mains.
 *
 * Always at the end: fixed wiring, gas, pressure and refrigerant are for a licensed technician; the local
 * code decides.
 */
export function safetyGate(unit: {
  readonly supplies?: readonly Supply[];
  readonly hazards?: readonly Hazard[] | undefined;
}): SafetyQuestion[] {
  const supplies: readonly Supply[] = unit.supplies?.length ? unit.supplies : ["mains"];
  // what a spring drives has asked for it already
  const isAsked = (h: Hazard): boolean => h === "spring" && supplies.includes("spring");
  return [
    ...supplies.flatMap((s) => SHUT_OFF[s] ?? []),
    ...HAZARD_NAMES.filter((h) => unit.hazards?.includes(h) && !isAsked(h)).map((h) => ({
      gate: h,
      ...HAZARD_QUESTIONS[h],
    })),
    {
      gate: "code",
      asks: "Is all of this work for the bench?",
      why: "Fixed wiring, gas, pressure and refrigerant are for a licensed technician. Follow your local code.",
    },
  ];
}
