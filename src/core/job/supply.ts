import { z } from "zod";

/** What drives a unit, several at once where it has several. None is assumed. */
export const SUPPLY_WORDS = [
  { supply: "mains", says: "Mains" },
  { supply: "battery", says: "Battery" },
  { supply: "petrol", says: "Petrol" },
  { supply: "spring", says: "Wound spring" },
  { supply: "air", says: "Compressed air" },
  { supply: "water", says: "Water" },
  { supply: "hand", says: "By hand" },
  { supply: "other", says: "Other" },
] as const;
export const SUPPLIES = SUPPLY_WORDS.map((s) => s.supply);
export type Supply = (typeof SUPPLIES)[number];
export const supply = z.enum(SUPPLIES, { error: `is none of: ${SUPPLIES.join(", ")}` });

/** How its mark looks, by which a protection class is told. */
export const PROTECTION_CLASSES = [
  { class: "I", mark: "⏚", says: "earthed: three-pole plug, earth mark" },
  { class: "II", mark: "⧈", says: "double insulated: a square in a square" },
  { class: "III", mark: "III", says: "extra-low voltage: III in a diamond" },
] as const;
export const protectionClass = z.enum(PROTECTION_CLASSES.map((c) => c.class));
export type ProtectionClass = z.infer<typeof protectionClass>;
