import { punchesFor } from "../hardware/bench/punches";
import { FREEING_WORDS } from "../hardware/freed";
import type { StripStep } from "../job/step";

/**
 * The punch for a pin, metric first, with the inch one that does as well.
 *
 * @example punchFor(3) // "2.9 mm punch (3/32 in)"
 */
export function punchFor(pinMm: number): string {
  const fits = punchesFor(pinMm);
  const [first, other] = [fits.find((p) => !p.inch) ?? fits[0], fits.find((p) => p.inch)];
  return first ? `${first.says} punch${other && other !== first ? ` (${other.says})` : ""}` : "pin punch";
}

/** The spanner or key of a drive, as it is asked for. @example toolOfDrive("AF10") // "10 mm spanner" */
export const toolOfDrive = (drive: string): string => {
  const [, across] = /^AF\s?([\d.]+)$/.exec(drive) ?? [];
  const [, key] = /^hex\s?([\d.]+)$/.exec(drive) ?? [];
  return across ? `${across} mm spanner` : key ? `${key} mm hex key` : drive;
};

/**
 * The tools that a step's own facts call for: drivers for its screws, a punch for its pins, pliers for its
 * clips, and what freed it.
 */
export function toolsOf(step: Pick<StripStep, "hardware" | "freed" | "tools">): string[] {
  const out = new Set<string>(step.tools ?? []);
  for (const h of step.hardware ?? []) {
    if (h.drive) out.add(toolOfDrive(h.drive));
    // a nut that is told by a width alone is turned by that
    else if (h.kind === "nut" && !h.thread && (h.lengthMm ?? 0) >= 5) out.add(`${h.lengthMm} mm spanner`);
    if (h.kind === "pin" && Number(h.thread) > 0.5 && step.freed?.how !== "pull")
      out.add(punchFor(Number(h.thread)));
    if (h.kind === "circlip") out.add("circlip pliers");
    if (h.kind === "cable-tie") out.add("side cutters");
    if (h.kind === "split-pin") out.add("pliers");
    if (h.kind === "rivet") out.add("drill");
  }
  // because it was said, never because of the verb
  const { how, tool, standIn } = step.freed ?? {};
  const said = tool ?? (how && standIn ? FREEING_WORDS[how].standIn?.tool : undefined);
  if (said && said !== "hand") out.add(said);
  return [...out];
}

/**
 * What to lay out for the next unit of this model: every tool of a strip, in the order it was first needed.
 */
export const toolsUsed = (steps: readonly StripStep[]): string[] => [
  ...new Set(steps.flatMap((s) => toolsOf(s))),
];
