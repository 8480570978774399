import { z } from "zod";
import type { Frozen } from "../frozen";
import { BASE_OILS } from "./base-oils";
import { type Lubricant, lubricantSchema, SOLIDS } from "./lubricant";
import { POINT_KIND_NAMES } from "./point-kinds";
import { OLD_THICKENERS } from "./thickeners";

const id = z.string().min(1);
const ml = z.number().positive("must be above 0 ml").max(100_000, "is more than a hundred litres");
const mm = z.number().positive("must be above 0 mm").max(2000, "is more than 2 m");
const celsius = z.number().min(-100, "is below -100 °C").max(400, "is above 400 °C");
const material = z.string().trim().min(1).max(60);

/** Speeds of teeth as they are said, m/s at the pitch line: [least, most]. */
export const SPEEDS = { slow: [0.05, 1], medium: [1, 5], fast: [5, 15] } as const;
export type SpeedName = keyof typeof SPEEDS;
export const SPEED_NAMES = Object.keys(SPEEDS) as [SpeedName, ...SpeedName[]];

/** A place in a chamber that takes a lubricant. */
export const lubePlace = z.strictObject({
  id,
  kind: z.enum(POINT_KIND_NAMES),
  /** speed of the teeth at the pitch line */
  pitchLineMPerS: z.number().min(0).max(200, "is faster than any gear in grease").optional(),
  /** how fast they run, where nobody measured it: under 1 m/s, 1 to 5 m/s, faster */
  speed: z.enum(SPEED_NAMES).optional(),
  /** what rubs on what */
  materials: z.array(material).max(6).optional(),
  /** what the spaces between its teeth hold, ml */
  toothVolumeMl: ml.optional(),
  bearing: z
    .strictObject({ bore: mm, outside: mm, width: mm })
    .refine((b) => b.bore < b.outside, { path: ["outside"], message: "must be larger than the bore" })
    .optional(),
  rpm: z.number().min(0).max(200_000).optional(),
  /** heavy or with shocks: what shares the load under pressure has a say */
  load: z.enum(["light", "usual", "shock"]).optional(),
});
export type LubePlace = Frozen<z.infer<typeof lubePlace>>;

/** How fast teeth run, m/s: [least, most]; undefined: nobody has said. */
export const speedOf = (
  p: Pick<LubePlace, "pitchLineMPerS" | "speed">,
): readonly [number, number] | undefined =>
  p.pitchLineMPerS !== undefined ? [p.pitchLineMPerS, p.pitchLineMPerS] : p.speed && SPEEDS[p.speed];

const weight = z.number("must be a weight in grams").positive("must be above 0 g").max(100_000);
/** A spread of the maker's, g. */
export const gramsSpread = z
  .tuple([weight, weight])
  .refine(([least, most]) => least <= most, { message: "the smaller figure comes first" });
/** What went into the same chamber of the shop's last unit of the model. */
export const lastUnit = z.strictObject({ number: z.string().max(40), grams: weight });

/** What is left of the lubricant that was in it. */
export const oldLubricant = z.strictObject({
  left: z.enum(["traces", "all"]),
  thickener: z.enum(OLD_THICKENERS),
  baseOil: z.enum([...BASE_OILS, "unknown"]),
});
export type OldLubricant = Frozen<z.infer<typeof oldLubricant>>;
/** Whether enough is known of what is left to mix with it; otherwise it is taken out. */
export const oldIsKnown = (old: OldLubricant | null): old is OldLubricant =>
  old !== null && old.thickener !== "unknown" && old.baseOil !== "unknown";

/** A room that one lubricant fills, as it is asked about. */
export const lubeRoom = z
  .strictObject({
    id,
    name: z.string().trim().min(1).max(80),
    /** an oil bath takes oil where a greased one takes grease */
    filling: z.enum(["grease", "oil"]).default("grease"),
    /** null: not known; then no figure is given for teeth, unless something else tells it */
    freeVolumeMl: ml.nullable(),
    makersGrams: z.number().positive("must be above 0 g").max(100_000).nullable().default(null),
    /** where the maker names a spread */
    makersSpread: gramsSpread.optional(),
    /** what came out of it, weighed, where it was full as it should be */
    oldGrams: weight.optional(),
    lastUnit: lastUnit.optional(),
    /** what of the old lubricant stays in it, g; left out: where any stays, nobody has said how much */
    staysGrams: z.number().min(0, "must not be negative").max(100_000).optional(),
    /** the lubricant of the shelf that the maker names for the model */
    makersLubricant: id.optional(),
    /** the lubricant that somebody has decided for; it stays the choice as long as no hard rule forbids it */
    taken: id.optional(),
    /** one that is not registered H1 may go in after all: somebody has written down why */
    override: z.boolean().optional(),
    coldestC: celsius,
    hottestC: celsius,
    seals: z.array(material).max(20),
    materials: z.array(material).max(30),
    /** null: washed out */
    old: oldLubricant.nullable(),
    /** it has leaked, or its lid does not seal */
    leaks: z.boolean().optional(),
    /** water gets at it */
    water: z.boolean().optional(),
    points: z.array(lubePlace).min(1, "a chamber without a point takes nothing").max(200),
  })
  .refine((r) => r.coldestC < r.hottestC, { path: ["hottestC"], message: "must be above the coldest" });
export type LubeRoom = Frozen<z.infer<typeof lubeRoom>>;

/** A unit's rooms and the shop's shelf: what `grease specify` is asked. */
export const lubeAsk = z.strictObject({
  foodContact: z.boolean(),
  school: z.enum(["measured", "packed"]),
  chambers: z.array(lubeRoom).min(1).max(40),
  shelf: z
    .array(
      lubricantSchema.omit({ densityGPerMl: true, stockG: true, solids: true }).extend({
        density: lubricantSchema.shape.densityGPerMl,
        grams: lubricantSchema.shape.stockG,
        solids: z.array(z.enum(SOLIDS)).optional(),
      }),
    )
    .max(5000),
});

export interface LubeAsk {
  readonly foodContact: boolean;
  readonly school: "measured" | "packed";
  readonly chambers: readonly LubeRoom[];
  readonly shelf: readonly Lubricant[];
}

/** What was asked as JSON, with the shelf as the shop keeps it. */
export const askFrom = ({ shelf, ...ask }: z.infer<typeof lubeAsk>): LubeAsk => ({
  ...ask,
  shelf: shelf.map(
    ({ density, grams, ...l }): Lubricant => ({
      ...l,
      ...(density !== undefined && { densityGPerMl: density }),
      ...(grams !== undefined && { stockG: grams }),
    }),
  ),
});
