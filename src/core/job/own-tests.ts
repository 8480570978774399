import { z } from "zod";
import type { Frozen } from "../frozen";
import { kindNamed, usualFor } from "../kind-named";

const asks = z
  .string()
  .trim()
  .min(3, "say in a few words what is tried")
  .max(120, "is longer than 120 characters");
const limit = z.number("must be a figure").min(-1e6).max(1e6);
/** Only a temperature can be below nothing. */
const mayBeBelow = (t: { readonly unit?: string | undefined }, of: number | undefined): boolean =>
  of === undefined || of >= 0 || t.unit?.startsWith("°") === true;

/**
 * What a unit has to do before it goes home, as the shop asks it of a kind: it cuts, slices, lifts, holds 2
 * bar. With a unit it takes a figure.
 */
export const ownTest = z
  .strictObject({
    asks,
    unit: z.string().trim().min(1).max(12).optional(),
    min: limit.optional(),
    max: limit.optional(),
  })
  .refine((t) => t.unit !== undefined || (t.min === undefined && t.max === undefined), {
    path: ["unit"],
    error: "a limit needs its unit",
  })
  .refine((t) => mayBeBelow(t, t.min), { path: ["min"], error: "must not be negative" })
  .refine((t) => mayBeBelow(t, t.max), { path: ["max"], error: "must not be negative" })
  .refine((t) => t.min === undefined || t.max === undefined || t.min <= t.max, {
    path: ["min"],
    error: "is above the most",
  });
export type OwnTest = Frozen<z.infer<typeof ownTest>>;
export const ownTests = z.array(ownTest).max(30, "are more than 30");

/** What units are usually tried by: only offered, because a name is no fact. */
export const USUAL_TESTS: Readonly<Record<string, readonly OwnTest[]>> = {
  slicer: [{ asks: "It slices a soft loaf thinly, from end to end" }],
  juicer: [{ asks: "It presses a carrot through without stalling" }],
  mixer: [{ asks: "It turns a stiff dough at the lowest speed" }],
  shredder: [{ asks: "It shreds as many sheets as its plate says, and reverses" }],
  shears: [{ asks: "It cuts a green twig of its rated width clean through" }],
  // what else is called a drill drills paper, or sows
  "cordless drill": [{ asks: "It bores, and the chuck holds" }],
  "hammer drill": [{ asks: "It bores, hammers, and the chuck holds" }],
  "impact drill": [{ asks: "It bores, hammers, and the chuck holds" }],
  "rotary hammer": [{ asks: "It bores and hammers, and holds its bit" }],
  "paper drill": [{ asks: "It drills a full stack clean through" }],
  sander: [{ asks: "Its belt tracks in the middle, and does not wander under load" }],
  saw: [{ asks: "It cuts through a board, and stops in its time" }],
  winch: [{ asks: "It lifts, holds and lowers its rated load" }],
  hoist: [{ asks: "It lifts, holds and lowers its rated load" }],
  compressor: [{ asks: "It fills to its pressure, shuts off, and holds for ten minutes" }],
  "sump pump": [{ asks: "It lifts its water, and its float starts and stops it" }],
  pump: [{ asks: "It primes itself and holds its pressure" }],
  blender: [{ asks: "It crushes ice in water without stalling" }],
  trimmer: [{ asks: "It cuts a thick tuft without pulling" }],
  clipper: [{ asks: "It cuts a thick tuft without pulling" }],
  mower: [{ asks: "It cuts high grass without stalling, and stops in its time" }],
  planer: [{ asks: "It planes a board from end to end without a step" }],
  router: [{ asks: "It cuts a groove at depth, and the depth holds" }],
  nailer: [{ asks: "It drives ten nails flush, one for each pull" }],
  stapler: [{ asks: "It drives ten staples flush, one for each pull" }],
  heater: [{ asks: "It warms up, and its thermostat shuts it off and on" }],
  iron: [{ asks: "It warms up, and its thermostat shuts it off and on" }],
  steamer: [{ asks: "It steams, and its thermostat or cut-out shuts it off" }],
  kettle: [{ asks: "It boils, and switches off by itself" }],
  toaster: [{ asks: "It browns both sides, lifts, and switches off" }],
  fan: [{ asks: "It blows at each setting, and swings if it can" }],
  laminator: [{ asks: "It draws a sheet through straight, and seals it" }],
  fridge: [{ asks: "It cools to its setting, and its compressor stops" }],
  refrigerator: [{ asks: "It cools to its setting, and its compressor stops" }],
  freezer: [{ asks: "It freezes to its setting, and its compressor stops" }],
  "microwave oven": [{ asks: "It warms a cup of water, and its plate turns" }],
  mangle: [{ asks: "It wrings a wet towel through, evenly from end to end" }],
  "spinning wheel": [{ asks: "It spins and winds on, with its band tight" }],
  "musical box": [{ asks: "It plays its tune through at an even speed" }],
};

/** What is tried at a kind of unit: what the shop said of just this kind. */
export const testsOfKind = (
  kind: string,
  said: Readonly<Record<string, readonly OwnTest[]>>,
): readonly OwnTest[] => said[kindNamed(kind)] ?? [];

/** What is usual for how a kind's name ends, and not asked yet: offered, and asked once somebody takes it. */
export const usualTests = (kind: string, asked: readonly OwnTest[]): readonly OwnTest[] =>
  (usualFor(USUAL_TESTS, kind) ?? []).filter((t) => !asked.some((a) => a.asks === t.asks));
