/**
 * The keys by which a job remembers what was finished and answered: lines of the rebuild plan, questions of
 * the gates. They are made and taken apart here and nowhere else.
 */

const PREFIX = {
  undo: "undo:",
  set: "set:",
  mind: "mind:",
  tight: "tight:",
  grease: "grease:",
  service: "service:",
  with: "with:",
  takeOut: "take-out:",
  check: "check:",
  struck: "struck:",
  failedRun: "failed-run:",
  safety: "safety:",
  final: "final:",
  cured: "cured:",
  ruledOut: "ruled-out:",
  cause: "cause:",
  missing: "missing:",
} as const;

/** A line of the plan that undoes a step. */
export const undoKey = (step: string): string => PREFIX.undo + step;
/**
 * A line beside the one that undoes a step: what lies under its parts, the parts before what holds them, what
 * lies over them before it is drawn, what goes on over that last.
 */
export const setKey = (step: string, what: "under" | "parts" | "over" | "last"): string =>
  `${PREFIX.set}${step}:${what}`;
/**
 * Something of one’s own around the return of a step, by its words: what is said besides, or taken back, does
 * not touch it.
 */
export const mindKey = (step: string, when: string, says: string): string =>
  `${PREFIX.mind}${step}:${when}:${says}`;
/** What was left loose at a step is drawn, once something else is on. */
export const tightKey = (step: string, until: string): string => `${PREFIX.tight}${step}:${until}`;
export const greaseKey = (lubePoint: string): string => PREFIX.grease + lubePoint;
export const serviceKey = (service: string): string => PREFIX.service + service;
/** A companion that goes in with a new part. */
export const withKey = (part: string, companion: string): string => `${PREFIX.with}${part}:${companion}`;
/** Something old comes out for a companion. */
export const takeOutKey = (part: string, companion: string): string =>
  `${PREFIX.takeOut}${part}:${companion}`;
export const checkKey = (check: string, afterStep: string): string => `${PREFIX.check}${check}:${afterStep}`;
/** An answer to a check: there is nothing here that it asks of. */
export const DOES_NOT_APPLY = "does-not-apply";
/** What is usually minded or asked was struck out at a step. */
export const struckKeyAt = (assembly: string, step: string): string => `${PREFIX.struck}${assembly}@${step}`;
/** A run or a rebuild that failed, counted from 1: what was wrong stands in its note. */
export const failedRunKey = (n: number): string => `${PREFIX.failedRun}${n}`;
/** How the keys of all companions of a part begin. */
export const withKeysOf = (part: string): string => `${PREFIX.with}${part}:`;
/** A question of the safety gate. */
export const safetyKey = (gate: string): string => PREFIX.safety + gate;
/** One of the last checks. */
export const finalKey = (check: string): string => PREFIX.final + check;

/** Somebody looked, and says that what was begun with this line of the plan has set or soaked long enough. */
export const curedKey = (line: string): string => PREFIX.cured + line;

/** Somebody looked, and it was not that which brought a check its "no". */
export const ruledOutKey = (line: string, suspect: string): string => `${ruledOutAt(line)}${suspect}`;
/** How the keys of all that was ruled out at a line begin. */
export const ruledOutAt = (line: string): string => `${PREFIX.ruledOut}${line}:`;

/** What was behind the "no" at a check. */
export const causeKey = (line: string): string => PREFIX.cause + line;

/** How many of a piece were not there when its step went back. */
export const missingKey = (step: string, piece: string): string => `${missingAt(step)}${piece}`;
/** How the keys of all that was missing at a step begin. */
export const missingAt = (step: string): string => `${PREFIX.missing}${step}:`;

const within =
  (prefix: string) =>
  (key: string): string | undefined =>
    key.startsWith(prefix) ? key.slice(prefix.length) : undefined;
/** An answer to the safety gate: it sits inside, and is asked again at every step. */
export const NOT_YET = "not-yet";
/** What was struck out, as the plan knows it; undefined: it is another key. @example "hooks@s3" */
export const struckOf = within(PREFIX.struck);
/** Which failed run a key stands for; undefined: it is another key. */
export const failedRunOf = within(PREFIX.failedRun);
/** The check that a line's key asks; undefined: it is another line. */
export const lookAskedIn = (key: string): string | undefined => within(PREFIX.check)(key)?.split(":")[0];
/** The service or grease point that a line of the plan is; undefined: it is another line. */
export const serviceOf = within(PREFIX.service);
export const greaseOf = within(PREFIX.grease);
/** The step that a line of the plan puts back, or leads up to putting back; undefined: it is another line. */
export const backOf = (key: string): string | undefined =>
  within(PREFIX.undo)(key) ?? within(PREFIX.set)(key)?.replace(/:(under|parts|over|last)$/, "");
/** The question of the safety gate that a key stands for; undefined: it is no such key. */
export const safetyOf = within(PREFIX.safety);
/** The last check that a key stands for; undefined: it is no such key. */
export const finalOf = within(PREFIX.final);
