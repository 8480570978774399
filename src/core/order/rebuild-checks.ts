import type { HardwareKind } from "../hardware/kinds";
import type { Hardware } from "../hardware/piece";
import type { Part } from "../job/part";
import type { StripStep } from "../job/step";

/** What goes back in one step. */
export interface GoesBack {
  readonly step: StripStep;
  readonly parts: readonly Part[];
  readonly hardware: readonly Hardware[];
  /** wires or plugs were recorded in this unit */
  readonly wired: boolean;
}

/** A thing to look at or feel before the work goes on. */
export interface RebuildCheck {
  readonly check: string;
  /** the sentence that asks for it; "yes" is good */
  readonly says: string;
  readonly why: string;
  /** what to do where the answer is no */
  readonly ifNot: string;
  /**
   * When it can be judged: once the part lies in its place, before what holds it is drawn; once the step is done; or once what holds the part in later steps (its nut, washers,
   * circlip) is on too.
   */
  readonly when: "set" | "done" | "held";
  readonly applies: (back: GoesBack) => boolean;
}

/** Kinds that, once somebody said them, settle what a name only hints at. */
const COVERS = ["cover", "housing"];
const STILL = [...COVERS, "bearing", "bush", "seal", "o-ring", "gasket", "belt", "brush", "motor", "switch", "board", "spring"];
const turns = /\b(gear|wheel|pinion|shaft|spindle|worm|rotor|armature|roller|auger|crown|crank|eccentric)\b/i;
/** named after a shaft, but turning with nothing yet */
const still = /\b(bearing|seal|cover|o-?ring|gasket|circlip|bush)s?\b/i;
const cover = /\b(cover|lid|case half|housing half|front housing)\b/i;
/** A cover by what it was said to be; by its name where nobody said. */
const isCover = (p: Part): boolean => (p.kind !== undefined && STILL.includes(p.kind) ? COVERS.includes(p.kind) : cover.test(p.name ?? ""));
const closes = (parts: readonly Part[]): boolean => parts.some(isCover);
const isTurning = (p: Part): boolean => !(p.kind !== undefined && STILL.includes(p.kind)) && turns.test(p.name ?? "") && !still.test(p.name ?? "");
const has = (hardware: readonly Hardware[], ...kinds: HardwareKind[]): boolean => hardware.some((h) => kinds.includes(h.kind));
const isA = (parts: readonly Part[], kind: string): boolean => parts.some((p) => p.kind === kind);
const moves = (s: StripStep): boolean => s.action !== "note" && s.action !== "block" && s.action !== "loosen";

/** The checks of the trade, in the order in which they are asked where several come together. */
export const REBUILD_CHECKS: readonly RebuildCheck[] = [
  {
    check: "ring-even",
    says: "Does the O-ring lie evenly in its groove all round, not twisted and nowhere out of it?",
    why: "a ring that is pinched is cut through when the screws are drawn",
    ifNot: "Lift it out with something blunt, a film of the right grease, and lay it in anew from one point round both ways.",
    when: "set",
    applies: ({ parts, hardware }) => has(hardware, "o-ring") || isA(parts, "o-ring"),
  },
  {
    check: "lies-flat",
    says: "Does it sit flat on its face by hand, before any screw is turned?",
    why: "a cover drawn down with its own screws cracks, or bends the shaft that is not in mesh",
    ifNot: "Turn the output by hand until the teeth fall in, look for a wire or a washer under the face, then press it down again. Never with the screws.",
    when: "set",
    applies: ({ parts }) => closes(parts),
  },
  {
    check: "wires-clear",
    says: "Are all wires clear of the closing faces, in their guides, and none under a boss or at a wheel?",
    why: "a pinched wire is found by the insulation test at best, and by a hand at worst",
    ifNot: "Open it again and lay the wire as its picture shows. A wire whose insulation is marked is renewed, not taped.",
    when: "set",
    applies: ({ parts, wired }) => wired && closes(parts),
  },
  {
    check: "timing-together",
    says: "Do the timing marks stand together as they did?",
    why: "one tooth off is found now by looking, and after closing by a bang",
    ifNot: "Draw it back until it is out of mesh, turn it by the teeth that are missing, and push it home again.",
    when: "done",
    applies: ({ step }) => step.timing !== undefined && moves(step),
  },
  {
    check: "clip-seated",
    says: "Does the clip sit in its groove all round, and turn in it?",
    why: "a clip that only looks seated jumps off at the first load",
    ifNot: "Push what lies under it further home until the whole groove is in sight. A clip that was spread too far is bent: take a new one.",
    when: "done",
    applies: ({ hardware }) => has(hardware, "circlip", "e-clip"),
  },
  {
    check: "pin-equal",
    says: "Does the pin stand out equally on both sides, or lie flush on both?",
    why: "a pin that sticks out on one side saws at the case, and holds with half its length",
    ifNot: "Drive it on with the punch, the part supported. One that goes in without a blow is worn: take a new one.",
    when: "done",
    applies: ({ hardware, parts }) => has(hardware, "pin") && !closes(parts),
  },
  {
    check: "bearing-home",
    says: "Is the bearing against its shoulder all round, or just past the groove of its clip?",
    why: "one that stands askew runs hot, and one that is not home eats up the end play",
    ifNot: "Press it on further on the ring that is tight. Where it stands askew, take it out and begin anew: never straighten it by pressing the other side.",
    when: "done",
    applies: ({ step, parts }) => (step.action === "press-out" || step.action === "pull") && isA(parts, "bearing"),
  },
  {
    check: "belt-true",
    says: "Does the belt run untwisted, on the pulleys that it came from, and in one line?",
    why: "a belt that is turned over or a tooth aside climbs off at the first start",
    ifNot: "Take it off again and lay it over the small pulley first; turn by hand and watch it through one round.",
    when: "done",
    applies: ({ parts, hardware }) => isA(parts, "belt") || has(hardware, "belt"),
  },
  {
    check: "turns-freely",
    says: "Turn it by hand: does it turn freely and evenly all the way round?",
    why: "a tight spot is found now in a minute, and after closing in an hour",
    ifNot:
      "Loosen what was drawn last and feel again: if it is gone, that was it. If not, take the last part out and look for a chip in a tooth, a washer too many, a bearing not home.",
    when: "held",
    applies: ({ step, parts }) => moves(step) && parts.some(isTurning) && !closes(parts),
  },
];

const known = new Map(REBUILD_CHECKS.map((c) => [c.check, c]));

/** The sentence for a check's name, for screens and sheets. */
export const checkSays = (check: string): string => known.get(check)?.says ?? check;
/** What to do where the answer is no; undefined: nobody wrote that down. */
export const checkIfNot = (check: string): string | undefined => known.get(check)?.ifNot;

/** What holds something that an earlier line put in: once such a step is on, the part can be judged. */
const RETAINS: readonly HardwareKind[] = [
  "nut",
  "washer",
  "wavy-washer",
  "lock-washer",
  "disc-spring",
  "thrust-washer",
  "circlip",
  "e-clip",
  "pin",
  "split-pin",
  "key",
  "spacer",
];
/** Whether a step does nothing but hold what is in already. */
export const onlyRetains = (step: StripStep): boolean =>
  !step.parts?.length && (step.hardware?.length ?? 0) > 0 && (step.hardware ?? []).every((h) => RETAINS.includes(h.kind));
