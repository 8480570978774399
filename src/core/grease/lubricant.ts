import { z } from "zod";
import type { Frozen } from "../frozen";
import { BASE_OILS } from "./base-oils";
import { THICKENER_NAMES, THICKENERS } from "./thickeners";

export { BASE_OILS } from "./base-oils";

/** What holds the oil: the thickeners whose mixing is known, and two that mix with nothing. */
export const GREASE_THICKENERS = [...THICKENERS, "PTFE", "silica"] as const;
/** Solids that carry where the oil is pressed out. */
export const SOLIDS = ["MoS2", "graphite", "PTFE"] as const;
/** NLGI classes by their names; in figures 000 is −2 and 00 is −1. */
export const NLGI_NAMES = ["000", "00", "0", "1", "2", "3"] as const;

const celsius = z.number().min(-100, "is below -100 °C").max(400, "is above 400 °C");

/** A grease or an oil as the shop keeps it. */
export const greaseOnShelf = z
  .strictObject({
    name: z.string().trim().min(1, "a grease needs its name").max(80, "is longer than 80 characters"),
    /** left out: a grease */
    sort: z.enum(["grease", "oil"]).optional(),
    /** what holds a grease's oil */
    thickener: z.enum(GREASE_THICKENERS).optional(),
    baseOil: z.enum(BASE_OILS),
    /** NLGI class of a grease, 000 as −2 and 00 as −1 */
    nlgi: z.int().min(-2).max(3).optional(),
    /** of the base oil, at 40 °C */
    viscosityMm2s: z
      .number()
      .min(1, "is thinner than any oil")
      .max(5000, "is thicker than any oil")
      .optional(),
    solids: z.array(z.enum(SOLIDS)).max(3).optional(),
    /** additives against seizing under pressure; left out: its sheet does not say */
    ep: z.boolean().optional(),
    /** its EP additives hold sulphur that eats copper alloys even cold; left out: its sheet does not say */
    activeSulphur: z.boolean().optional(),
    densityGPerMl: z
      .number()
      .min(0.5, "no grease is lighter than 0.5 g/ml")
      .max(2.5, "no grease is heavier than 2.5 g/ml")
      .optional(),
    /** registered for incidental food contact */
    h1: z.boolean(),
    leastC: celsius,
    mostC: celsius,
    lot: z.string().max(40, "is longer than 40 characters").optional(),
    openedOn: z.iso.date("is no day like 2026-11-02").optional(),
    /** what is left of it, g */
    stockG: z.number().min(0, "is below 0 g").max(1_000_000, "is more than a ton").optional(),
    /** what 100 g cost the shop */
    pricePer100G: z.number().min(0, "is below 0").max(100_000, "is more than a grease costs").optional(),
    /** not offered any more; jobs that had it still name it */
    retired: z.boolean().optional(),
  })
  .refine((g) => g.leastC < g.mostC, { path: ["mostC"], message: "must be above the lowest temperature" })
  .refine((g) => g.sort === "oil" || g.thickener !== undefined, {
    path: ["thickener"],
    message: "say what holds the grease's oil: its data sheet names it",
  })
  .refine((g) => g.sort === "oil" || g.nlgi !== undefined, {
    path: ["nlgi"],
    message: "say its NLGI class: it stands on the tube",
  });
export type GreaseOnShelf = Frozen<z.infer<typeof greaseOnShelf>>;

/** The same with the name that jobs know it by. */
export const lubricantSchema = z.strictObject({ id: z.string().min(1), ...greaseOnShelf.shape });
export type Lubricant = Frozen<z.infer<typeof lubricantSchema>>;

export const isOil = (l: Pick<GreaseOnShelf, "sort">): boolean => l.sort === "oil";

/** 1, 2 …; −1 is 00, −2 is 000. */
export const nlgiName = (nlgi: number): string => (nlgi >= 0 ? String(nlgi) : "0".repeat(1 - nlgi));

/** The class that a name says; undefined: it is none. @example nlgiFrom("00") // -1 */
export const nlgiFrom = (name: string): number | undefined => {
  const at = NLGI_NAMES.map(String).indexOf(name.trim());
  return at < 0 ? undefined : at - 2;
};

/** A thickener in words: "lithium complex". */
export const thickenerName = (t: (typeof GREASE_THICKENERS)[number]): string =>
  t === "PTFE" || t === "silica" ? t : THICKENER_NAMES[t];
