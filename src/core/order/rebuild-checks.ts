import type { Part } from "../job/part";
import type { StripStep } from "../job/step";

/** A thing to look at or feel before the work goes on, and the sentence that asks for it. */
export interface RebuildCheck {
  readonly check: string;
  readonly says: string;
  readonly why: string;
  readonly applies: (step: StripStep, parts: readonly Part[]) => boolean;
}

const turns = /\b(gear|wheel|pinion|shaft|spindle|worm|rotor|armature|roller|auger|crown|crank|eccentric)\b/i;
/** named after a shaft, but turning with nothing yet */
const still = /\b(bearing|seal|cover|o-?ring|gasket|circlip)s?\b/i;
const named = (parts: readonly Part[], re: RegExp): boolean => parts.some((p) => re.test(p.name ?? "") || re.test(p.kind ?? ""));
const cover = /\b(cover|lid|case half|housing half|front housing)\b/i;

/** The checks of the trade, in the order they are asked. Each stands after the line that puts the step back. */
export const REBUILD_CHECKS: readonly RebuildCheck[] = [
  {
    check: "clip-seated",
    says: "Does the clip sit in its groove all round, and turn in it?",
    why: "a clip that only looks seated jumps off at the first load",
    applies: (s) => (s.hardware ?? []).some((h) => h.kind === "circlip" || h.kind === "e-clip"),
  },
  {
    check: "turns-freely",
    says: "Turn it by hand: does it turn freely and evenly all the way round?",
    why: "a tight spot is found now in a minute, and after closing in an hour",
    applies: (s, parts) =>
      s.action !== "note" && s.action !== "block" && parts.some((p) => turns.test(p.name ?? "") && !still.test(p.name ?? "")) && !named(parts, cover),
  },
  {
    check: "lies-flat",
    says: "Does it sit flat on its face by hand, before any screw is turned?",
    why: "a cover drawn down with its own screws cracks, or bends the shaft that is not in mesh",
    applies: (_, parts) => named(parts, cover),
  },
];

/** The sentence for a check's name, for screens and sheets. */
export const checkSays = (check: string): string => REBUILD_CHECKS.find((c) => c.check === check)?.says ?? check;
