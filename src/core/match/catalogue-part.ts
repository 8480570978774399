import { z } from "zod";
import { BORE_FORMS } from "../gear/bore-form";

/** What the catalogue knows of a part, by kind. Lengths in mm, angles in degrees. */
export const gearSpec = z.object({
  kind: z.literal("gear"),
  teeth: z.int().min(4),
  moduleMm: z.number().positive(),
  pressureAngleDeg: z.number(),
  helixAngleDeg: z.number().default(0),
  hand: z.enum(["left", "right"]).optional(),
  profileShift: z.number().default(0),
  faceWidthMm: z.number().positive().optional(),
  boreMm: z.number().positive().optional(),
  boreForm: z.enum(BORE_FORMS).optional(),
  material: z.string().optional(),
});
export type GearSpec = z.infer<typeof gearSpec>;

export const ringSpec = z.object({
  kind: z.enum(["bearing", "seal"]),
  insideMm: z.number().positive(),
  outsideMm: z.number().positive(),
  widthMm: z.number().positive(),
  /** open, Z, 2Z, RS, 2RS for bearings; the lip's material for seals */
  closure: z.string().optional(),
});
export type RingSpec = z.infer<typeof ringSpec>;

export const otherSpec = z.object({ kind: z.enum(["gasket", "o-ring", "hardware", "other"]), size: z.string().optional() });

export const partSpec = z.discriminatedUnion("kind", [gearSpec, ringSpec, otherSpec]);
export type PartSpec = z.infer<typeof partSpec>;

export interface CataloguePart {
  readonly number: string;
  readonly name: string;
  readonly spec: PartSpec;
  readonly price: number;
  readonly leadDays: number;
  readonly stock: number;
  /** maker and model it is sold for; empty: a standard part */
  readonly fits: readonly string[];
  /** part numbers that must be bought with it, and why */
  readonly needsAlso: readonly { readonly number: string; readonly why: string }[];
  readonly note?: string | undefined;
}
