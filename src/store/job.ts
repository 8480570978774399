import type { Knex } from "knex";
import type { PictureMark } from "@/core/job/picture-mark";
import type { Stage } from "@/core/job/stages";
import type { Fate } from "@/core/judge/fate";
import type { ToFit } from "@/core/match/arrival/parcel";
import type { BasketInput } from "@/core/match/basket/basket-input";
import type { Hardware, LubePoint, Part, Service, Strip, StripStep } from "@/core/order/strip";
import type { TrainInput } from "@/core/train/train";
import type { GearNotes } from "./gear-notes";
import { type Arrival, arrivalsOf, type Order, ordersOf, quotesOf, type StoredQuote } from "./order-records";
import { fromRow } from "./rows";

export { GEAR_KINDS, type GearKind, type GearNotes } from "./gear-notes";

export interface JobPicture {
  readonly sha256: string;
  /** its name in the job file, `0001.jpg` */
  readonly name: string;
  readonly step?: string;
  readonly part?: string;
  readonly role: "intake" | "step" | "finding" | "condition" | "loose" | "variant";
  readonly marks?: readonly PictureMark[];
  /** px, upright */
  readonly width?: number;
  readonly height?: number;
  /** the recorder's own name for it, until its step is laid down */
  readonly stepKey?: string;
}
/** What became of the unit before it came here. */
export interface UnitPast {
  readonly bought?: "new" | "used" | "";
  readonly openedBefore?: "no" | "shop" | "owner" | "";
  readonly load?: "light" | "daily" | "hard" | "";
  readonly years?: number;
  readonly lastService?: string;
}
export interface Reading {
  readonly id: number;
  readonly part: string;
  readonly what: string;
  readonly teeth?: number;
  readonly value: number;
  readonly u?: number;
  readonly source: string;
  readonly at: string;
}
/** The name that was accepted for a gear. */
export interface GearIdentity {
  readonly teeth: number;
  readonly moduleMm: number;
  readonly diametralPitch: number | null;
  readonly pressureAngleDeg: number;
  readonly helixAngleDeg: number;
  readonly profileShift: number;
  readonly probability: number;
  /** bevel: pitch cone angle, degrees */
  readonly coneAngleDeg?: number;
  /** worm: reference diameter, mm */
  readonly wormDiameterMm?: number;
}
export interface Finding {
  readonly part: string;
  readonly mode?: string;
  readonly extent?: string;
  readonly note?: string;
  readonly teeth: Readonly<Record<string, string>>;
  readonly gear: GearNotes;
  readonly identity?: GearIdentity;
  readonly chosen?: string;
  /** the number that stands on the part */
  readonly readNumber?: string;
  /** what is done about it, and why */
  readonly fate?: Fate;
  readonly fateWhy?: string;
  readonly x?: Record<string, unknown>;
}
/** The technician's own verdict on why it failed; stands above what the rules say. */
export interface ChosenCauses {
  readonly chosen?: readonly string[];
  readonly words?: string;
}
/** Something the hardware bench named. */
export interface BenchFind {
  readonly name: string;
  /** "bore 8.01, outside 21.98 mm" */
  readonly from: string;
  readonly sure: number;
  readonly source: string;
  readonly at: string;
}
export interface Answer {
  readonly question: string;
  readonly answer: string;
  readonly value?: number;
  readonly unit?: string;
  readonly note?: string;
  readonly at: string;
}
export interface WeighedPoint extends LubePoint {
  readonly weighedGrams?: number | undefined;
  readonly weighedAt?: string | undefined;
}

/** The unit and the customer's side of a job: what Take in writes down, and a few facts that later stages add. */
export interface JobHead {
  readonly id: number;
  readonly number: string;
  readonly version: number;
  readonly stage: Stage;
  readonly kind: string;
  readonly maker: string;
  readonly model: string;
  readonly variant: string;
  readonly serial: string;
  readonly supply: "mains" | "battery" | "hand" | "water" | "other";
  readonly protectionClass: "I" | "II" | "III";
  readonly foodContact: boolean;
  readonly complaint: string;
  readonly symptoms: readonly string[];
  readonly customerName: string;
  readonly customerContact: string;
  readonly condition: string;
  readonly looseItems: readonly string[];
  /** loose item → name of its picture */
  readonly loosePictures: Readonly<Record<string, string>>;
  readonly past: UnitPast;
  /** the customer agrees that old parts are disposed of */
  readonly disposeConsent: boolean;
  readonly priceLimit?: number;
  readonly consent: boolean;
  readonly takenIn: string;
  readonly promised?: string;
  readonly stripFinished: boolean;
  readonly greaseState?: string;
  readonly greaseOld: string;
  readonly caseInside?: { readonly lengthMm: number; readonly widthMm: number; readonly depthMm: number };
  readonly fillSchool: "measured" | "packed";
  readonly makersGrams?: number;
  readonly lubricant?: string;
  readonly washed: boolean;
  readonly handedBackAt?: string;
  readonly train?: TrainInput;
  readonly causes: ChosenCauses;
  readonly benchFinds: readonly BenchFind[];
  /** what a new unit costs */
  readonly newUnit?: number;
  readonly basketAim: BasketInput["aim"];
  /** what was ordered for it, and where it goes */
  readonly toFit: readonly ToFit[];
  readonly x?: Record<string, unknown>;
}

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

const HEAD_JSON = ["symptoms", "loose_items", "case_inside", "past", "loose_pictures", "train", "causes", "bench_finds", "to_fit", "x"];
const HEAD_FLAGS = ["food_contact", "consent", "dispose_consent", "strip_finished", "washed"];

export const headFromRow = (row: Record<string, unknown>): JobHead => fromRow<JobHead>(row, HEAD_JSON, HEAD_FLAGS);

/** The head of a job, or null where there is no such number. */
export async function loadHead(db: Knex, number: string): Promise<JobHead | null> {
  const row = await db("jobs").where({ number }).first();
  return row ? headFromRow(row) : null;
}

/** Jobs as pages last saw them, the least lately seen first. */
const seen = new Map<string, Job>();
const MOST_SEEN = 40;

/**
 * A whole job for a page: read again only if its version has moved since it was last read. Every change of a job goes through `changeJob`, which
 * raises the version in the same transaction, also from another process; so one small query tells whether what is held still stands.
 * Not for use inside a transaction, where the rows move before the version does.
 */
export async function currentJob(db: Knex, number: string): Promise<Job | null> {
  const row: { id: number; version: number } | undefined = await db("jobs").where({ number }).first("id", "version");
  if (!row) return null;
  const held = seen.get(number);
  seen.delete(number);
  const job = held && held.id === row.id && held.version === row.version ? held : await loadJob(db, number);
  if (job) seen.set(number, job);
  if (seen.size > MOST_SEEN) seen.delete(seen.keys().next().value as string);
  return job;
}

/** A whole job, or null where there is no such number. */
export async function loadJob(db: Knex, number: string): Promise<Job | null> {
  const head = await loadHead(db, number);
  if (!head) return null;
  const of = (table: string, order: string) => db(table).where({ job_id: head.id }).orderBy(order);
  const hardware = new Map<string, Hardware[]>();
  for (const row of await of("hardware", "position")) {
    const { step, place, ref, ...rest } = strippedRow<Hardware & { step: string; place?: string; ref: string }>(row, ["tighten", "x"], ["once", "left_hand"]);
    hardware.set(step, [...(hardware.get(step) ?? []), { ...rest, id: ref, ...(place ? { at: place } : {}) }]);
  }
  const kept = await db("job_pictures")
    .join("pictures", "pictures.sha256", "job_pictures.sha256")
    .where({ job_id: head.id })
    .select("job_pictures.*", "pictures.width", "pictures.height")
    .orderBy("job_pictures.id");
  const pictures = kept.map((r) => {
    const { key: _key, ...p } = strippedRow<JobPicture & { key?: string }>(r, ["marks"]);
    return p as JobPicture;
  });
  const namesByStep = new Map<string, string[]>();
  for (const p of pictures) if (p.step) namesByStep.set(p.step, [...(namesByStep.get(p.step) ?? []), p.name]);
  return {
    ...head,
    parts: (await of("parts", "position")).map((r) => withId<Part>(r, ["x"], ["renew"])),
    steps: (await of("steps", "position")).map((r) => {
      const s = withId<StripStep & { key?: string }>(r, ["parts", "needs", "marks", "wires", "held", "freed", "stack", "timing", "cautions", "tools", "x"]);
      delete s.key;
      const names = namesByStep.get(s.id);
      return { ...s, ...(hardware.has(s.id) ? { hardware: hardware.get(s.id) } : {}), ...(names ? { pictures: names } : {}) };
    }),
    services: (await of("services", "position")).map((r) => {
      const { what, ...rest } = withId<Service & { what: Service["do"] }>(r, ["x"]);
      return { ...rest, do: what };
    }),
    lubePoints: (await of("lube_points", "position")).map((r) => {
      const { moment, place, ...rest } = withId<WeighedPoint & { moment?: LubePoint["when"]; place?: string }>(r, ["x"]);
      return { ...rest, ...(moment ? { when: moment } : {}), ...(place ? { where: place } : {}) };
    }),
    findings: (await of("findings", "id")).map((r) => strippedRow<Finding>(r, ["teeth", "gear", "identity", "x"])),
    readings: (await of("readings", "id")).map((r) => fromRow<Reading>(r)),
    answers: (await of("answers", "at")).map((r) => strippedRow<Answer>(r)),
    linesDone: (await of("lines_done", "at")).map((r) => r.line as string),
    pictures,
    quotes: await quotesOf(db, head.id),
    orders: await ordersOf(db, head.id),
    arrivals: await arrivalsOf(db, head.id),
  };
}

/** The columns of the store itself are no one else's business. */
function strippedRow<T>(row: Record<string, unknown>, json: string[] = [], flags: string[] = []): T {
  const { id: _id, job_id: _job, position: _position, ...rest } = row;
  return fromRow<T>(rest, json, flags);
}
function withId<T>(row: Record<string, unknown>, json: string[] = [], flags: string[] = []): T {
  const { ref, ...rest } = strippedRow<{ ref: string }>(row, json, flags);
  return { id: ref, ...rest } as T;
}
