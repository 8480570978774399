import { z } from "zod";
import type { Frozen } from "../frozen";
import { toFitSchema } from "../match/arrival/parcel";
import { basketInput } from "../match/basket/basket-input";
import { trainInput } from "../train/train";
import type { Answer } from "./answer";
import type { Assembly } from "./assembly";
import type { Arrival, Order, StoredQuote } from "./bought";
import { chamberSchema } from "./chamber";
import { endingSchema, waitingSchema } from "./ending";
import { chosenCauses, type Finding } from "./finding";
import { goingHomeSchema } from "./going-home";
import { HAZARD_NAMES, hazard } from "./hazard";
import { ownTests } from "./own-tests";
import type { JobPicture } from "./picture";
import { hardwareFind, type Reading } from "./reading";
import type { WeighedPoint } from "./service";
import { STAGES } from "./stages";
import type { StripStep } from "./step";
import type { Strip } from "./strip";
import { protectionClass, SUPPLIES, supply } from "./supply";
import { jobNumber, later, note, text } from "./written";

/** What became of the unit before it came here. */
export const unitPast = z.strictObject({
  bought: z.enum(["new", "used", ""]).optional(),
  openedBefore: z.enum(["no", "shop", "owner", ""]).optional(),
  load: z.enum(["light", "daily", "hard", ""]).optional(),
  years: z
    .number("must be a number of years")
    .min(0, "must not be negative")
    .max(150, "nothing on this bench is that old")
    .optional(),
  lastService: text.optional(),
});
export type UnitPast = Frozen<z.infer<typeof unitPast>>;

/**
 * The unit and the customer's side of a job: what Take in writes down, and a few facts that later stages add.
 */
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
  /** what drives it; none: nobody has said */
  supplies: z.array(supply).max(SUPPLIES.length),
  /** asked where there is mains, never assumed */
  protectionClass: protectionClass.optional(),
  /** what can hurt at it; left out: nobody has said, and none is an answer */
  hazards: z.array(hazard).max(HAZARD_NAMES.length).optional(),
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
  priceLimit: z
    .number("must be an amount")
    .min(0, "must not be negative")
    .max(1e7, "is more than ten million")
    .optional(),
  consent: z.boolean(),
  takenIn: text,
  promised: text.optional(),
  stripFinished: z.boolean(),
  /** of the old grease, several where several hold; what another program wrote is kept */
  greaseStates: z.array(text).max(20),
  fillSchool: z.enum(["measured", "packed"]),
  /** the rooms that a lubricant goes into */
  chambers: z.array(chamberSchema).max(40, "are more than 40").optional(),
  /** why no lubricant goes into the whole unit: it runs dry, is sealed */
  noGrease: note.optional(),
  washed: z.boolean(),
  /** no part failed: a service was asked for, or no fault was found */
  nothingFailed: z.enum(["service", "no-fault"]).optional(),
  /** what was found wrong when it went back together, until it is judged */
  trouble: note.optional(),
  /** how it ends without its repair */
  ending: endingSchema.optional(),
  waiting: waitingSchema.optional(),
  /** the job that this one came back from, within its warranty */
  warrantyOf: jobNumber.optional(),
  /** steps in the order in which somebody wants them back */
  ownOrder: z.array(text).max(5000).optional(),
  /** what it has to do before it goes home, as the shop asked of its kind when it came to Hand back */
  ownTests: ownTests.optional(),
  /** what is written down as it goes home */
  home: goingHomeSchema.optional(),
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
  /** when a line was done, ISO 8601 */
  readonly linesAt?: Readonly<Record<string, string>>;
  readonly pictures: readonly JobPicture[];
  readonly quotes: readonly StoredQuote[];
  readonly orders: readonly Order[];
  readonly arrivals: readonly Arrival[];
  /** checks that were found not to apply to its kind of unit, and are asked no more */
  readonly notAsked?: readonly string[];
  /** the shop's own knowledge of how things go together */
  readonly ownAssemblies?: readonly Assembly[];
}
