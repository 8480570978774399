import { z } from "zod";
import type { Frozen } from "../frozen";
import { kindNamed, usualFor } from "./kind-named";

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
  drill: [{ asks: "It bores, hammers and reverses, and the chuck holds" }],
  hammer: [{ asks: "It bores, hammers and reverses, and the chuck holds" }],
  sander: [{ asks: "Its belt tracks in the middle, and does not wander under load" }],
  saw: [{ asks: "It cuts through a board, and stops in its time" }],
  winch: [{ asks: "It lifts, holds and lowers its rated load" }],
  hoist: [{ asks: "It lifts, holds and lowers its rated load" }],
  compressor: [{ asks: "It fills to its pressure, shuts off, and holds for ten minutes" }],
  pump: [{ asks: "It primes itself and holds its pressure" }],
};

/** What is tried at a kind of unit: what the shop said of just this kind. */
export const testsOfKind = (
  kind: string,
  said: Readonly<Record<string, readonly OwnTest[]>>,
): readonly OwnTest[] => said[kindNamed(kind)] ?? [];

/** What is usual for how a kind's name ends, and not asked yet: offered, and asked once somebody takes it. */
export const usualTests = (kind: string, asked: readonly OwnTest[]): readonly OwnTest[] =>
  (usualFor(USUAL_TESTS, kind) ?? []).filter((t) => !asked.some((a) => a.asks === t.asks));
