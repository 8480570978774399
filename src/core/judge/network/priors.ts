/** What Take in knows changes how often a thing begins: odds times this, with the reason. */
export interface PriorRule {
  /** as the facts of a job name it */
  readonly fact: string;
  readonly cause: string;
  /** factor on the odds */
  readonly times: number;
  readonly why: string;
}

const rules = (fact: string, why: string, times: Readonly<Record<string, number>>): readonly PriorRule[] =>
  Object.entries(times).map(([cause, n]) => ({ fact, cause, times: n, why }));

/**
 * Guesses to one figure, like the strengths. Plastic is a prior of ageing and of being the fuse of its train,
 * never a sign of either.
 */
export const PRIOR_RULES: readonly PriorRule[] = [
  ...rules("past:opened", "it was open before", {
    assembly: 7,
    "wrong-part": 5,
    misaligned: 5,
    overfilled: 10,
    "wrong-lubricant": 10,
    crumbs: 10,
    "worn-mate": 3,
    loosened: 2,
  }),
  ...rules("past:never-opened", "it was never open", {
    assembly: 0.03,
    "wrong-part": 0.1,
    misaligned: 0.5,
    overfilled: 0.1,
    "wrong-lubricant": 0.1,
    crumbs: 0.1,
    "worn-mate": 0.3,
  }),
  ...rules("past:used", "nobody knows what was done to it", {
    assembly: 3,
    "wrong-part": 3,
    forced: 2,
    "wrong-lubricant": 3,
    crumbs: 3,
  }),
  ...rules("past:hard", "it works hard", {
    overload: 7,
    jam: 2,
    fatigue: 2,
    motor: 2,
    "worn-out": 2,
    age: 0.5,
  }),
  ...rules("past:daily", "it works every day", { "worn-out": 2, overload: 1.5, fatigue: 1.5, age: 0.5 }),
  ...rules("past:light", "it works lightly", {
    overload: 0.05,
    motor: 0.5,
    "worn-out": 0.3,
    fatigue: 0.5,
    age: 1.5,
  }),
  ...rules("past:young", "it is not old", { age: 0.1, "worn-out": 0.3, dry: 0.5, fatigue: 0.7 }),
  ...rules("past:old", "it is old", { age: 5, "worn-out": 2, fatigue: 2, dry: 1.5, hub: 1.5 }),
  ...rules("past:very-old", "decades of it", { age: 3 }),
  ...rules("past:plastic", "plastic ages, and the plastic gear is the fuse of its train", {
    age: 1.5,
    jam: 1.5,
  }),
  ...rules("past:still", "nothing in it turns", {
    jam: 0,
    fatigue: 0,
    dry: 0,
    "worn-mate": 0,
    "seal-between": 0,
    hair: 0,
    bearing: 0,
    motor: 0,
    hub: 0,
    crumbs: 0,
    misaligned: 0,
    overfilled: 0,
    "wrong-lubricant": 0,
  }),
  ...rules("past:outdoors", "rain and earth get at it", { water: 2, dirt: 2 }),
  ...rules("past:wet", "water is never far", { water: 3 }),
  ...rules("past:dust", "dust is never far", { dirt: 3 }),
  ...rules("past:strands", "what is long winds round what turns", { hair: 3 }),
  ...rules("past:stands", "grease dries and plastic ages while it stands", { dry: 2, age: 2, overload: 0.3 }),
  ...rules("past:no-motor", "no motor drives it", { motor: 0, electrical: 0.1 }),
];
