import type { HardwareKind } from "../hardware/kinds";
import type { Hardware } from "../hardware/piece";
import { kindOf, type Part } from "../job/part";
import type { StripStep } from "../job/step";
import { wasDriven } from "./inverse-action";

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
   * When it can be judged: once the part lies in its place, before what holds it is drawn; once the step is
   * done; or once what holds the part in later steps (its nut, washers,
   * circlip) is on too.
   */
  readonly when: "set" | "done" | "held";
  readonly applies: (back: GoesBack) => boolean;
}

/** What closes something. */
const COVERS = ["cover", "housing"];
/** What drives one way only. */
const ONE_WAY = ["ratchet", "one-way-clutch", "dog-clutch"];
/** What turns with the train once it runs in something. */
const TURNS = [
  "gear",
  "shaft",
  "pulley",
  "toothed-pulley",
  "roller",
  "brush-roll",
  "fan",
  "spline",
  "ratchet",
];
const isOf = (kinds: readonly string[], p: Part): boolean => kinds.includes(kindOf(p) ?? "");
const guards = /\b(guard|interlock|safety switch|shield)s?\b/i;
/** What wheels run on: until it is in they cannot be turned. */
export const isShaft = (p: Part): boolean => isOf(["shaft"], p);
export const closes = (parts: readonly Part[]): boolean => parts.some((p) => isOf(COVERS, p));
export const isTurning = (p: Part): boolean => isOf(TURNS, p);
const has = (hardware: readonly Hardware[], ...kinds: HardwareKind[]): boolean =>
  hardware.some((h) => kinds.includes(h.kind));
/** One nut alone holds something along a shaft; several hold a flange. */
export const isOneNut = (hardware: readonly Hardware[]): boolean =>
  hardware.filter((h) => h.kind === "nut").reduce((n, h) => n + h.qty, 0) === 1;
const isA = (parts: readonly Part[], kind: string): boolean => parts.some((p) => isOf([kind], p));
const moves = (s: StripStep): boolean => s.action !== "note" && s.action !== "block" && s.action !== "loosen";

/** The checks of the trade, in the order in which they are asked where several come together. */
export const REBUILD_CHECKS: readonly RebuildCheck[] = [
  {
    check: "ring-even",
    says: "Does the O-ring lie evenly in its groove all round, not twisted and nowhere out of it?",
    why: "a ring that is pinched is cut through when the screws are drawn",
    ifNot:
      "Lift it out with something blunt, a film of the right grease, and lay it in anew from one point round both ways.",
    when: "set",
    applies: ({ parts, hardware }) => has(hardware, "o-ring") || isA(parts, "o-ring"),
  },
  {
    check: "lies-flat",
    says: "Does it sit flat on its face by hand, before anything draws it down?",
    why: "a cover drawn down with its own screws cracks, or bends the shaft that is not in mesh",
    ifNot:
      "Turn the output by hand until the teeth fall in, with a punch through the hole where there is one, look for a wire or a washer under the face, then press it down again. Never with the screws.",
    when: "set",
    // what is turned on has no face that lies down
    applies: ({ step, parts }) => closes(parts) && step.freed?.how !== "twist",
  },
  {
    check: "wires-clear",
    says: "Are all wires clear of the closing faces, in their guides, and none under a boss or at a wheel?",
    why: "a pinched wire is found by the insulation test at best, and by a hand at worst",
    ifNot:
      "Open it again and lay the wire as its picture shows. A wire whose insulation is marked is renewed, not taped.",
    when: "set",
    applies: ({ parts, wired }) => wired && closes(parts),
  },
  {
    check: "timing-together",
    says: "Do the timing marks stand together as they did?",
    why: "one tooth off is found now by looking, and after closing by a bang",
    ifNot:
      "Draw it back until it is out of mesh, turn it by the teeth that are missing, and push it home again.",
    when: "done",
    applies: ({ step }) => step.timing !== undefined && moves(step),
  },
  {
    check: "clip-seated",
    says: "Does the clip sit in its groove all round, and turn in it?",
    why: "a clip that only looks seated jumps off at the first load",
    ifNot:
      "Push what lies under it further home until the whole groove is in sight. A clip that was spread too far is bent: take a new one.",
    when: "done",
    applies: ({ hardware }) => has(hardware, "circlip", "e-clip"),
  },
  {
    check: "pin-equal",
    says: "Does the pin stand out equally on both sides, or lie flush on both?",
    why: "a pin that sticks out on one side saws at the case, and holds with half its length",
    ifNot:
      "Drive it on with the punch, the part supported. One that goes in without a blow is worn: take a new one.",
    when: "done",
    // several that were slid in are axles of something, each to its own shoulder
    applies: ({ step, hardware, parts }) =>
      has(hardware, "pin") &&
      !closes(parts) &&
      (wasDriven(step) || hardware.filter((h) => h.kind === "pin").reduce((n, h) => n + h.qty, 0) === 1),
  },
  {
    check: "bearing-home",
    says: "Is the bearing against its shoulder all round, or just past the groove of its clip?",
    why: "one that stands askew runs hot, and one that is not home eats up the end play",
    ifNot:
      "Press it on further on the ring that is tight. Where it stands askew, take it out and begin anew: never straighten it by pressing the other side.",
    when: "done",
    applies: ({ step, parts }) =>
      (step.action === "press-out" || step.action === "pull") && isA(parts, "bearing"),
  },
  {
    check: "belt-true",
    says: "Does the belt run untwisted, on the pulleys that it came from, and in one line?",
    why: "a belt that is turned over or a tooth aside climbs off at the first start",
    ifNot:
      "Take it off again and lay it over the small pulley first; turn by hand and watch it through one round.",
    when: "done",
    applies: ({ parts, hardware }) => isA(parts, "belt") || has(hardware, "belt"),
  },
  {
    check: "opening-clear",
    says: "Is everything out again that was put in for protection, and nothing left in the opening?",
    why: "a rag in a gear is the one fault that the strip made itself",
    ifNot:
      "Take it out now, whole, and look into the opening with a lamp. Where a piece of it is torn off, find that piece first.",
    when: "done",
    applies: ({ step }) => step.action === "block",
  },
  {
    check: "stack-order",
    says: "Do the pieces lie on each other as they came out: what was below is below, what was above is above?",
    why: "two that are swapped between above and below fit as well, and change the end play and the mesh",
    ifNot:
      "Take them off again and lay them down beside their picture, the lowest first; then put them on in that order.",
    when: "done",
    applies: ({ step, hardware }) =>
      (step.stack?.length ?? 0) > 2 && hardware.filter((h) => step.stack?.includes(h.id)).length > 1,
  },
  {
    check: "end-play",
    says: "With the nut drawn: is there still a little play along the shaft?",
    why: "a nut that takes up all the play runs the bearing hot, and too much lets the teeth wander out of mesh",
    ifNot:
      "Turn the nut back an eighth at a time until it turns freely, then secure it. Where that leaves too much play, a washer is missing or in the wrong place.",
    when: "done",
    applies: ({ step, parts, hardware }) =>
      isOneNut(hardware) && !closes(parts) && (parts.some(isTurning) || onlyRetains(step)),
  },
  {
    check: "wires-seated",
    says: "Does each wire sit at the terminal that was noted, and hold when it is pulled lightly?",
    why: "two that are swapped run it backwards, or do worse; one that only looks seated comes off in use",
    ifNot:
      "Take it off and look at its picture and its mark. A terminal that no longer grips is renewed, not squeezed.",
    when: "done",
    applies: ({ step }) => moves(step) && (step.wires?.length ?? 0) > 0,
  },
  {
    check: "spring-hooked",
    says: "Does the spring sit at both ends as in its picture, and does what it moves come back by itself?",
    why: "a spring that is hooked one hole further pulls half as much again",
    ifNot:
      "With eye protection: take it out with pliers, look which hole it sat in, and hook the fixed end first.",
    when: "done",
    applies: ({ step, parts, hardware }) => moves(step) && (isA(parts, "spring") || has(hardware, "spring")),
  },
  {
    check: "brush-slides",
    says: "Does each brush slide freely in its holder, the right way round, its curve on the commutator?",
    why: "a brush that sticks sparks, and burns the commutator in an hour",
    ifNot:
      "Take it out and clean the holder with a dry cloth. A new one that binds is dressed on fine paper, never forced.",
    when: "done",
    applies: ({ step, parts, hardware }) => moves(step) && (isA(parts, "brush") || has(hardware, "brush")),
  },
  {
    check: "tabs-clicked",
    says: "Has every tab clicked, and does no edge stand off?",
    why: "one tab that did not catch lets the next knock open it",
    ifNot:
      "Press at that tab, not in the middle. A tab that is broken is bonded, or the part is renewed: tape is no cover.",
    when: "done",
    applies: ({ step }) => moves(step) && (step.held ?? []).includes("snap tabs"),
  },
  {
    check: "right-way",
    says: "Do pawls and teeth lean as in the picture, so that it drives one way and runs free the other?",
    why: "a pawl, a ratchet or a one-way clutch fits as well the wrong way round, and then holds where it should run",
    ifNot:
      "Take it out, turn it over, and hold it beside its picture: which way the teeth lean, which end of the pawl points forwards.",
    when: "done",
    applies: ({ step, parts, hardware }) =>
      moves(step) && (parts.some((p) => ONE_WAY.includes(p.kind ?? "")) || has(hardware, "pawl")),
  },
  {
    check: "guard-works",
    says: "Does the guard sit where it sat, move as it did, and does its switch stop the machine when it is off?",
    why: "a guard that is left off, or a switch that is held down, is found by a hand",
    ifNot:
      "It does not go on to power like this: put the guard and its switch right first. A switch that was bridged is not bridged again.",
    when: "done",
    applies: ({ step, parts }) => moves(step) && parts.some((p) => guards.test(p.name ?? "")),
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
  !step.parts?.length &&
  (step.hardware?.length ?? 0) > 0 &&
  (step.hardware ?? []).every((h) => RETAINS.includes(h.kind));
