import {
  checkKey,
  greaseKey,
  mindKey,
  serviceKey,
  setKey,
  takeOutKey,
  tightKey,
  undoKey,
  withKey,
} from "../job/keys";
import type { PieceRef } from "../job/piece-ref";
import type { BackMoment } from "../job/step";

/** Something to mind at a line, and the assembly that says so. */
export interface Minded {
  readonly assembly: string;
  readonly says: string;
}
interface Line {
  readonly n: number;
  readonly because: readonly string[];
}
export interface FitLine extends Line {
  readonly kind: "fit" | "unblock";
  readonly undoes: string;
  readonly action: string;
  readonly parts: readonly string[];
  readonly hardware: readonly string[];
  /** what is left for this line, where others led up to it; left out: all of it */
  readonly left?: { readonly parts: readonly string[]; readonly hardware: readonly string[] };
  /** pieces that are started here and drawn by a later line; left out: none */
  readonly loose?: readonly string[];
  /** pieces of the step that stay out, because what goes in does without them */
  readonly aside?: readonly PieceRef[];
  readonly minds?: readonly Minded[];
  readonly cautions: readonly string[];
}
/**
 * A part of a step's return that has a line of its own: a key into its slot, a cover before its screws. The
 * step is undone by the line after it; what goes on last lies over what that one drew.
 */
export interface SetLine extends Line {
  readonly kind: "set";
  readonly of: string;
  readonly what: "under" | "parts" | "over" | "last";
  readonly parts: readonly string[];
  readonly hardware: readonly string[];
  readonly minds?: readonly Minded[];
  readonly cautions: readonly string[];
}
export interface GreaseLine extends Line {
  readonly kind: "grease";
  readonly lubePoint: string;
}
export interface ServiceLine extends Line {
  readonly kind: "service";
  readonly service: string;
}
/** Something old that no step took off comes out, for what goes in in its place. */
export interface TakeOutLine extends Line {
  readonly kind: "take-out";
  readonly part: string;
  readonly companion: string;
}
/** Something goes in with a new part that did not come out with the old one. */
export interface WithLine extends Line {
  readonly kind: "with";
  readonly part: string;
  readonly companion: string;
}
/** Something that somebody said must happen around the return of a step. */
export interface MindLine extends Line {
  readonly kind: "mind";
  readonly of: string;
  readonly when: BackMoment;
  readonly says: string;
}
/** What was left loose when its step went back is drawn now. */
export interface TightenLine extends Line {
  readonly kind: "tighten";
  readonly of: string;
  /** the step that had to be on first, or the very end */
  readonly until: string;
  readonly hardware: readonly string[];
}
export interface CheckLine extends Line {
  readonly kind: "check";
  readonly check: string;
  readonly after: string;
  /** the assembly that asks */
  readonly assembly?: string;
  /** it stands ahead of the line that undoes its step: once that is done, it can be looked at no more */
  readonly ahead?: true;
}
export type RebuildLine =
  | FitLine
  | SetLine
  | TakeOutLine
  | WithLine
  | GreaseLine
  | ServiceLine
  | MindLine
  | TightenLine
  | CheckLine;

/** A line that has no number yet. */
export type Draft = RebuildLine extends infer L ? (L extends RebuildLine ? Omit<L, "n"> : never) : never;

/** Lets a finished line be remembered although the plan's numbers may change. */
export function lineKey(line: RebuildLine): string {
  switch (line.kind) {
    case "set":
      return setKey(line.of, line.what);
    case "grease":
      return greaseKey(line.lubePoint);
    case "service":
      return serviceKey(line.service);
    case "take-out":
      return takeOutKey(line.part, line.companion);
    case "with":
      return withKey(line.part, line.companion);
    case "mind":
      return mindKey(line.of, line.when, line.says);
    case "tighten":
      return tightKey(line.of, line.until);
    case "check":
      return checkKey(line.check, line.after);
    default:
      return undoKey(line.undoes);
  }
}

/** The step that a line puts back, or leads up to putting back; undefined: it puts nothing back. */
export const stepBackIn = (line: RebuildLine): string | undefined =>
  line.kind === "fit" || line.kind === "unblock" ? line.undoes : line.kind === "set" ? line.of : undefined;

/** The steps of a plan in the order in which they go back. */
export const stepsBack = (lines: readonly RebuildLine[]): string[] =>
  lines.flatMap((l) => (l.kind === "fit" || l.kind === "unblock" ? [l.undoes] : []));

/** Whether a line is done: its own key is among these, or the step is undone that it leads up to. */
export const isLineDone = (line: RebuildLine, done: ReadonlySet<string>): boolean =>
  done.has(lineKey(line)) ||
  (line.kind === "set" && line.what !== "last" && done.has(undoKey(line.of))) ||
  (line.kind === "check" && line.ahead === true && done.has(undoKey(line.after)));
