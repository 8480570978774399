import { z } from "zod";
import type { Frozen } from "../frozen";
import { day } from "../job/written";
import { THICKENER_NAMES, THICKENERS } from "./thickeners";

/** What holds the oil: the thickeners whose mixing is known, and two that mix with nothing. */
export const GREASE_THICKENERS = [...THICKENERS, "PTFE", "silica"] as const;
export const BASE_OILS = ["mineral", "PAO", "ester", "silicone", "PFPE"] as const;
/** NLGI classes by their names; in figures 000 is −2 and 00 is −1. */
export const NLGI_NAMES = ["000", "00", "0", "1", "2", "3"] as const;

const celsius = z.number().min(-100, "is below -100 °C").max(400, "is above 400 °C");

/** A grease as the shop keeps it. */
export const greaseOnShelf = z
  .strictObject({
    name: z.string().trim().min(1, "a grease needs its name").max(80, "is longer than 80 characters"),
    thickener: z.enum(GREASE_THICKENERS),
    baseOil: z.enum(BASE_OILS),
    /** NLGI class, 000 as −2 and 00 as −1 */
    nlgi: z.int().min(-2).max(3),
    densityGPerMl: z.number().min(0.5, "no grease is lighter than 0.5 g/ml").max(2.5, "no grease is heavier than 2.5 g/ml").optional(),
    /** registered for incidental food contact */
    h1: z.boolean(),
    leastC: celsius,
    mostC: celsius,
    lot: z.string().max(40, "is longer than 40 characters").optional(),
    openedOn: day.optional(),
    /** what is left of it, g */
    stockG: z.number().min(0, "is below 0 g").max(1_000_000, "is more than a ton").optional(),
    /** what 100 g cost the shop */
    pricePer100G: z.number().min(0, "is below 0").max(100_000, "is more than a grease costs").optional(),
    /** not offered any more; jobs that had it still name it */
    retired: z.boolean().optional(),
  })
  .refine((g) => g.leastC < g.mostC, { path: ["mostC"], message: "must be above the lowest temperature" });
export type GreaseOnShelf = Frozen<z.infer<typeof greaseOnShelf>>;

/** The same with the name that jobs know it by. */
export const lubricantSchema = z.strictObject({ id: z.string().min(1), ...greaseOnShelf.shape });
export type Lubricant = Frozen<z.infer<typeof lubricantSchema>>;

/** 1, 2 …; −1 is 00, −2 is 000. */
export const nlgiName = (nlgi: number): string => (nlgi >= 0 ? String(nlgi) : "0".repeat(1 - nlgi));

/** The class that a name says; undefined: it is none. @example nlgiFrom("00") // -1 */
export const nlgiFrom = (name: string): number | undefined => {
  const at = NLGI_NAMES.map(String).indexOf(name.trim());
  return at < 0 ? undefined : at - 2;
};

/** A thickener in words: "lithium complex". */
export const thickenerName = (t: GreaseOnShelf["thickener"]): string => (t === "PTFE" || t === "silica" ? t : THICKENER_NAMES[t]);
