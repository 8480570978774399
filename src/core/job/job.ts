import { z } from "zod";
import type { Frozen } from "../frozen";
import { toFitSchema } from "../match/arrival/parcel";
import { basketInput } from "../match/basket/basket-input";
import { trainInput } from "../train/train";
import type { Answer } from "./answer";
import type { Arrival, Order, StoredQuote } from "./bought";
import { chosenCauses, type Finding } from "./finding";
import type { JobPicture } from "./picture";
import { hardwareFind, type Reading } from "./reading";
import type { WeighedPoint } from "./service";
import { STAGES } from "./stages";
import type { StripStep } from "./step";
import type { Strip } from "./strip";
import { jobNumber, later, text } from "./written";

export const SUPPLIES = ["mains", "battery", "hand", "water", "other"] as const;
export type Supply = (typeof SUPPLIES)[number];
export const supply = z.enum(SUPPLIES, { error: `is none of: ${SUPPLIES.join(", ")}` });

/** What became of the unit before it came here. */
export const unitPast = z.strictObject({
  bought: z.enum(["new", "used", ""]).optional(),
  openedBefore: z.enum(["no", "shop", "owner", ""]).optional(),
  load: z.enum(["light", "daily", "hard", ""]).optional(),
  years: z.number("must be a number of years").min(0, "must not be negative").max(150, "nothing on this bench is that old").optional(),
  lastService: text.optional(),
});
export type UnitPast = Frozen<z.infer<typeof unitPast>>;

const side = z.number("must be a length in mm").positive("must be above 0 mm").max(2000, "is longer than 2 m");

/** The unit and the customer's side of a job: what Take in writes down, and a few facts that later stages add. */
export const jobHead = z.strictObject({
  id: z.int(),
  number: jobNumber,
  version: z.int(),
  stage: z.enum(STAGES),
  kind: text,
  maker: text,
  model: text,
  variant: text,
  serial: text,
  supply,
  protectionClass: z.enum(["I", "II", "III"]),
  foodContact: z.boolean(),
  complaint: text,
  symptoms: z.array(text).max(100, "are more than 100"),
  customerName: text,
  customerContact: text,
  condition: text,
  looseItems: z.array(text).max(100, "are more than 100"),
  /** loose item → name of its picture */
  loosePictures: z.record(z.string(), text),
  past: unitPast,
  /** the customer agrees that old parts are disposed of */
  disposeConsent: z.boolean(),
  priceLimit: z.number("must be an amount").min(0, "must not be negative").max(1e7, "is more than ten million").optional(),
  consent: z.boolean(),
  takenIn: text,
  promised: text.optional(),
  stripFinished: z.boolean(),
  greaseState: text.optional(),
  greaseOld: text,
  caseInside: z.strictObject({ lengthMm: side, widthMm: side, depthMm: side }).optional(),
  fillSchool: z.enum(["measured", "packed"]),
  makersGrams: z.number().min(0).optional(),
  lubricant: text.optional(),
  washed: z.boolean(),
  handedBackAt: z.iso.datetime("is no moment like 2026-11-02T10:00:00Z").optional(),
  train: trainInput.optional(),
  causes: chosenCauses,
  benchFinds: z.array(hardwareFind).max(500),
  /** what a new unit costs */
  newUnit: z.number("must be an amount").min(0).max(1e7).optional(),
  basketAim: basketInput.shape.aim,
  /** what was ordered for it, and where it goes */
  toFit: z.array(toFitSchema).max(500),
  x: later,
});
export type JobHead = Frozen<z.infer<typeof jobHead>>;

/** A job with everything that hangs on it. */
export interface Job extends JobHead, Strip {
  readonly steps: readonly (StripStep & { readonly at?: string })[];
  readonly lubePoints: readonly WeighedPoint[];
  readonly findings: readonly Finding[];
  readonly readings: readonly Reading[];
  readonly answers: readonly Answer[];
  readonly linesDone: readonly string[];
  readonly pictures: readonly JobPicture[];
  readonly quotes: readonly StoredQuote[];
  readonly orders: readonly Order[];
  readonly arrivals: readonly Arrival[];
}
