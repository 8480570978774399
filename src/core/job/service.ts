import { z } from "zod";
import type { Frozen } from "../frozen";
import { lubePlace } from "../grease/lube-ask";
import { pictureSpot } from "./picture-spot";
import { later, moment, ref, text, words } from "./written";

/**
 * What can be done to a part, and how the trade does it where that is easily done wrong. A bond waits until
 * it has set; a day is what the usual ones ask for.
 */
export const SERVICE_WORDS = [
  { do: "clean", says: "Clean", done: "Cleaned" },
  { do: "inspect", says: "Inspect", done: "Looked over" },
  { do: "replace", says: "Renew", done: "Renewed" },
  {
    do: "pull-seal",
    says: "Pull the seal of",
    done: "Seal pulled",
    how: "Lift its edge with a thin blade on the side that faces the grease, away from balls and cage. The other side stays sealed.",
  },
  {
    do: "ream",
    says: "Ream",
    done: "Reamed",
    mends: true,
    how: "Turn the reamer forwards only, also on the way out, with a drop of oil; measure, then take the next size.",
  },
  {
    do: "hone",
    says: "Hone",
    done: "Honed",
    mends: true,
    how: "A few strokes crosswise with oil, wash it out, measure; what is taken off does not come back.",
  },
  {
    do: "bond",
    says: "Bond",
    done: "Bonded",
    mends: true,
    waitMinutes: 1440,
    caution: "Gloves and fresh air at the adhesive; no flame near it, and heat only as its sheet says.",
    how: "Roughen both faces, degrease them, mix or warm it as its sheet says; press it together in its right place, trim what comes out, and do not load it before it has set.",
  },
  { do: "deburr", says: "Deburr", done: "Deburred" },
  {
    do: "cut",
    says: "Cut to size",
    done: "Cut to size",
    caution: "Eye protection at lathe, grinder and file; nothing loose near what turns. Wash the swarf out.",
  },
  { do: "shim", says: "Shim", done: "Shimmed", mends: true },
  { do: "measure", says: "Measure", done: "Measured" },
  {
    do: "straighten",
    says: "Straighten",
    done: "Straightened",
    mends: true,
    caution: "Eye protection: a shaft that cracks under the press throws splinters.",
    how: "Find the high spot between centres, press a little at a time, and measure after each. A hardened shaft cracks: renew it.",
  },
  {
    do: "polish",
    says: "Polish",
    done: "Polished",
    mends: true,
    caution: "Nothing loose near what turns: no gloves, no sleeves; eye protection.",
  },
  {
    do: "solder",
    says: "Solder",
    done: "Soldered",
    mends: true,
    caution: "Unplugged and discharged first; fresh air, and eye protection when a lead is cut.",
  },
  { do: "refit", says: "Refit and secure", done: "Refitted and secured", mends: true },
  { do: "thread", says: "Cut or insert a thread in", done: "Thread cut or renewed", mends: true },
  {
    do: "sharpen",
    says: "Sharpen",
    done: "Sharpened",
    mends: true,
    caution: "Held in a vice, never by hand; away from the edge, cut-proof gloves when it is put back.",
  },
  { do: "oil", says: "Oil", done: "Oiled", mends: true },
  {
    do: "dry-run",
    says: "Fit dry and try",
    done: "Fitted dry and tried",
    how: "Without lubricant or sealant, turn it through by hand, look at how it meshes and closes, and take it out again.",
  },
] as const satisfies readonly {
  do: string;
  says: string;
  /** as it is told once it was done */
  done: string;
  mends?: true;
  waitMinutes?: number;
  how?: string;
  caution?: string;
}[];
export type ServiceName = (typeof SERVICE_WORDS)[number]["do"];
export const SERVICES: readonly ServiceName[] = SERVICE_WORDS.map((s) => s.do);
/** What mends a part, with cleaning, which often does. */
export const MENDING: readonly {
  readonly do: ServiceName;
  readonly says: string;
  readonly waitMinutes?: number;
}[] = SERVICE_WORDS.filter((s) => s.do === "clean" || "mends" in s);
/** How it is done, in sentences; none where everybody knows. */
export const serviceHow = (what: string | undefined): string[] =>
  SERVICE_WORDS.flatMap((s) => (s.do === what && "how" in s ? [s.how] : []));
/** What can hurt at it. */
export const serviceCaution = (what: string | undefined): string[] =>
  SERVICE_WORDS.flatMap((s) => (s.do === what && "caution" in s ? [s.caution] : []));
/** @example serviceDone("ream") // "Reamed" */
export const serviceDone = (what: string): string => SERVICE_WORDS.find((s) => s.do === what)?.done ?? what;
export const serviceSays = (what: string): string => SERVICE_WORDS.find((s) => s.do === what)?.says ?? what;

/**
 * What is done to a part before it is fitted, or to something that stayed in the machine while a step left it
 * open.
 */
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

/**
 * What is known of a grease point besides its place in the plan: what kind of place it is, and what decides
 * how much and which.
 */
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
  ...lubePlace.pick({
    pitchLineMPerS: true,
    speed: true,
    materials: true,
    toothVolumeMl: true,
    bearing: true,
    rpm: true,
    load: true,
  }).shape,
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
  weighedGrams: z
    .number("must be a weight in grams")
    .min(0, "must not be negative")
    .max(1_000_000, "is more than any case holds")
    .optional(),
  weighedAt: moment.optional(),
});
export type WeighedPoint = Frozen<z.infer<typeof weighedPointSchema>>;
