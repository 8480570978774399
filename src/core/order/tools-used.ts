import { FREEING_WORDS } from "../hardware/freed";
import type { StripStep } from "../job/step";

/** Inch pin punches, by their name and size in mm. */
const INCH_PUNCHES: readonly (readonly [string, number])[] = [["1/16", 1.588], ["5/64", 1.984], ["3/32", 2.381], ["1/8", 3.175], ["5/32", 3.969], ["3/16", 4.763], ["1/4", 6.35]]; // biome-ignore format: a short table

/**
 * The punch for a spring pin: just under the hole, which has the pin's nominal size (ISO 8752), 0.2 mm less up to 4 mm and 0.3 mm above; with the
 * largest inch punch that still goes in.
 *
 * @example punchFor(3) // "2.8 mm punch (3/32 in)"
 */
export function punchFor(pinMm: number): string {
  const under = Math.round((pinMm - (pinMm > 4 ? 0.3 : 0.2)) * 10) / 10;
  const inch = [...INCH_PUNCHES].reverse().find(([, mm]) => mm < pinMm);
  return `${under} mm punch${inch ? ` (${inch[0]} in)` : ""}`;
}

/** The tools that a step's own facts call for: drivers for its screws, a punch for its pins, pliers for its clips, and what freed it. */
export function toolsOf(step: Pick<StripStep, "hardware" | "freed" | "tools">): string[] {
  const out = new Set<string>(step.tools ?? []);
  for (const h of step.hardware ?? []) {
    if (h.drive) out.add(h.drive);
    if (h.kind === "pin" && Number(h.thread) > 0.5 && step.freed?.how !== "pull") out.add(punchFor(Number(h.thread)));
    if (h.kind === "circlip") out.add("circlip pliers");
    if (h.kind === "cable-tie") out.add("side cutters");
    if (h.kind === "split-pin") out.add("pliers");
    if (h.kind === "rivet") out.add("drill");
  }
  if (step.freed) {
    const { tool, standIn } = FREEING_WORDS[step.freed.how];
    const said = step.freed.tool ?? (step.freed.standIn && standIn ? standIn.tool : tool);
    if (said !== "hand" && !(step.freed.how === "drive" && [...out].some((t) => t.includes("punch")))) out.add(said);
  }
  return [...out];
}

/** What to lay out for the next unit of this model: every tool of a strip, in the order it was first needed. */
export const toolsUsed = (steps: readonly StripStep[]): string[] => [...new Set(steps.flatMap((s) => toolsOf(s)))];
