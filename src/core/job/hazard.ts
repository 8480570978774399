import { z } from "zod";

/**
 * What can hurt at a unit, as it is ticked when it is taken in. What the gate asks for each stands in
 * core/safety/hazards.ts.
 */
export const HAZARD_WORDS = [
  { hazard: "blade", says: "blade or disc" },
  { hazard: "spring", says: "loaded spring" },
  { hazard: "stored-charge", says: "stored charge" },
  { hazard: "pressure", says: "pressure, refrigerant" },
  { hazard: "heat", says: "runs hot" },
  { hazard: "fuel", says: "fuel" },
  { hazard: "lithium", says: "lithium cells" },
  { hazard: "heavy", says: "heavy" },
  { hazard: "glass", says: "glass" },
  // seldom: behind one press where they are ticked
  { hazard: "hanging", says: "hanging load" },
  { hazard: "abrasive", says: "grinding wheel" },
  { hazard: "dust", says: "dust, mould" },
  { hazard: "soiled", says: "blood, dirt" },
  { hazard: "static", says: "static kills it" },
  { hazard: "mercury", says: "mercury" },
  { hazard: "picture-tube", says: "picture tube" },
  { hazard: "laser", says: "laser" },
  { hazard: "restart", says: "starts by itself" },
] as const;
/** Those that a shop meets every day; the others are behind one press. */
export const USUAL_HAZARD_COUNT = 9;
export const HAZARD_NAMES = HAZARD_WORDS.map((h) => h.hazard);
export const hazard = z.enum(HAZARD_NAMES, { error: `is none of: ${HAZARD_NAMES.join(", ")}` });
export type Hazard = z.infer<typeof hazard>;
export const hazardSays = (name: string): string => HAZARD_WORDS.find((h) => h.hazard === name)?.says ?? name;
