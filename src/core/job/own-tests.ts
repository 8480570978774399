import { z } from "zod";
import type { Frozen } from "../frozen";

const asks = z.string().trim().min(3, "say in a few words what is tried").max(120, "is longer than 120 characters");
const limit = z.number("must be a figure").min(0, "must not be negative").max(1e6);

/** What a unit has to do before it goes home, as the shop asks it of a kind: it cuts, slices, lifts, holds 2 bar. With a unit it takes a figure. */
export const ownTest = z
  .strictObject({
    asks,
    unit: z.string().trim().min(1).max(12).optional(),
    min: limit.optional(),
    max: limit.optional(),
  })
  .refine((t) => t.unit !== undefined || (t.min === undefined && t.max === undefined), { path: ["unit"], error: "a limit needs its unit" })
  .refine((t) => t.min === undefined || t.max === undefined || t.min <= t.max, { path: ["min"], error: "is above the most" });
export type OwnTest = Frozen<z.infer<typeof ownTest>>;
export const ownTests = z.array(ownTest).max(30, "are more than 30");

/** What units are usually tried by, as a shop finds the table when it starts. */
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

const named = (kind: string): string => kind.trim().toLowerCase();

/** What is tried at a kind of unit: as the shop said of it, else as is usual for it. */
export function testsOfKind(kind: string, said: Readonly<Record<string, readonly OwnTest[]>>): readonly OwnTest[] {
  const own = named(kind);
  if (said[own]) return said[own];
  const usual = Object.keys(USUAL_TESTS).find((k) => own === k || own.endsWith(` ${k}`));
  return usual === undefined ? [] : (USUAL_TESTS[usual] ?? []);
}
