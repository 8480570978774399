import { z } from "zod";
import type { Frozen } from "../frozen";
import { lubePlace } from "../grease/lube-ask";
import { pictureSpot } from "./picture-spot";
import { later, moment, ref, text, words } from "./written";

/** What can be done to a part. A bond waits until it has set; a day is what the usual ones ask for. */
export const SERVICE_WORDS = [
  { do: "clean", says: "Clean" },
  { do: "inspect", says: "Inspect" },
  { do: "replace", says: "Renew" },
  { do: "pull-seal", says: "Pull the seal of" },
  { do: "ream", says: "Ream", mends: true },
  { do: "bond", says: "Bond", mends: true, waitMinutes: 1440 },
  { do: "deburr", says: "Deburr" },
  { do: "measure", says: "Measure" },
  { do: "straighten", says: "Straighten", mends: true },
  { do: "polish", says: "Polish", mends: true },
  { do: "solder", says: "Solder", mends: true },
  { do: "refit", says: "Refit and secure", mends: true },
  { do: "thread", says: "Cut or insert a thread in", mends: true },
  { do: "sharpen", says: "Sharpen", mends: true },
  { do: "oil", says: "Oil", mends: true },
] as const satisfies readonly { do: string; says: string; mends?: true; waitMinutes?: number }[];
export type ServiceName = (typeof SERVICE_WORDS)[number]["do"];
export const SERVICES: readonly ServiceName[] = SERVICE_WORDS.map((s) => s.do);
/** What mends a part, with cleaning, which often does. */
export const MENDING: readonly { readonly do: ServiceName; readonly says: string; readonly waitMinutes?: number }[] = SERVICE_WORDS.filter(
  (s) => s.do === "clean" || "mends" in s,
);
export const serviceSays = (what: string): string => SERVICE_WORDS.find((s) => s.do === what)?.says ?? what;

/** What is done to a part before it is fitted, or to something that stayed in the machine while a step left it open. */
export const serviceSchema = z.strictObject({
  id: ref,
  part: ref.optional(),
  reachedBy: ref.optional(),
  do: z.enum(SERVICES, { error: `is none of: ${SERVICES.join(", ")}` }),
  note: text.optional(),
  waitMinutes: z.number().min(0).max(100_000).optional(),
  /** how it is cleaned: a name of CLEANING */
  method: z.string().max(20).optional(),
  /** the chamber that is cleaned */
  chamber: ref.optional(),
  x: later,
});
export type Service = Frozen<z.infer<typeof serviceSchema>>;

/** What is known of a grease point besides its place in the plan: what kind of place it is, and what decides how much and which. */
export const pointFacts = z.strictObject({
  /** the chamber it lies in */
  chamber: ref.optional(),
  kind: lubePlace.shape.kind.optional(),
  /** the lubricant's id on the shelf */
  lubricantId: text.optional(),
  /** its lubricant was named by hand: it is not on the shelf */
  lubricantSaid: z.boolean().optional(),
  /** how it is put there */
  how: words.optional(),
  /** the part it is on, where it is put there at another moment than that part's fitting */
  onPart: ref.optional(),
  /** the wheel of the train that it is on */
  wheel: z.strictObject({ mesh: z.string().max(40), role: z.string().max(20) }).optional(),
  /** where it was pointed at */
  spot: pictureSpot.optional(),
  /** it is reached from outside, when all is together: nothing closes over it */
  outside: z.boolean().optional(),
  /** what was left out of the tube that it came from */
  lot: words.optional(),
  /** its amount was said, and is not worked out */
  gramsSaid: z.boolean().optional(),
  ...lubePlace.pick({ pitchLineMPerS: true, materials: true, toothVolumeMl: true, bearing: true, rpm: true, load: true }).shape,
});

/** Where a lubricant goes, which, how much, and when. */
export const lubePointSchema = z.strictObject({
  id: ref,
  part: ref.optional(),
  reachedBy: ref.optional(),
  when: z.enum(["before-fit", "after-fit"]).optional(),
  lubricant: text.optional(),
  grams: z.number().min(0, "must not be negative").max(100_000).optional(),
  where: text.optional(),
  ...pointFacts.shape,
  x: later,
});
export type LubePoint = Frozen<z.infer<typeof lubePointSchema>>;

/** A point that grease was weighed in at. */
export const weighedPointSchema = lubePointSchema.extend({
  weighedGrams: z.number("must be a weight in grams").min(0, "must not be negative").max(1_000_000, "is more than any case holds").optional(),
  weighedAt: moment.optional(),
});
export type WeighedPoint = Frozen<z.infer<typeof weighedPointSchema>>;
