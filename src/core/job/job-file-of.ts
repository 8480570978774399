import { readWith } from "../fault";
import { pictureOf } from "../match/arrival/arrival-picture";
import type { Answer } from "./answer";
import type { Finding } from "./finding";
import type { Job, JobHead } from "./job";
import {
  CARRIED_HEAD,
  type Carried,
  carriedOf,
  carriedOfFinding,
  isRecord,
  type JobFile,
  jobFileSchema,
} from "./job-file";
import { finalKey, finalOf, greaseOf, serviceOf } from "./keys";
import { partName } from "./part";
import type { Reading } from "./reading";
import type { LubePoint, WeighedPoint } from "./service";
import { isStage } from "./stages";

type Known<T> = { [K in keyof T]: T[K] };
/** Without what is not said. */
const known = <T extends object>(o: T): Known<T> => {
  const out = { ...o };
  for (const key of Object.keys(out)) {
    const value: unknown = Reflect.get(out, key);
    if (value === undefined || value === "" || value === null) Reflect.deleteProperty(out, key);
  }
  return out;
};

/**
 * What is known of the bytes that go along: the hash of each picture as it lies in the file, and those that
 * the shop has no more.
 */
export interface Carrying {
  readonly hashes?: ReadonlyMap<string, string>;
  readonly missing?: readonly string[];
}

/** A job as its open file. The customer's name and contact stay in the shop, wherever they were written. */
export function jobFileOf(job: Job, { hashes, missing }: Carrying = {}): JobFile {
  const keys = Object.keys(CARRIED_HEAD);
  const { home: _all, ...head }: NonNullable<Carried["job"]> = Object.fromEntries(
    Object.entries(known(job)).filter(([k]) => keys.includes(k)),
  );
  // who signed stays at home, as a name and as a picture of it
  const { signature: _signed, ...home } = job.home ?? {};
  const carried: Carried = {
    job: { ...head, ...(Object.keys(home).length ? { home } : {}) },
    answers: job.answers,
    linesDone: job.linesDone,
    ...(job.linesAt && Object.keys(job.linesAt).length ? { linesAt: job.linesAt } : {}),
    pictures: job.pictures
      .filter((p) => !missing?.includes(p.name))
      .map((p) => known({ name: p.name, role: p.role, part: p.part, sha256: hashes?.get(p.name) })),
    ...(missing?.length ? { missingPictures: missing } : {}),
    weighed: Object.fromEntries(
      job.lubePoints
        .filter((g) => g.weighedGrams !== undefined)
        .map((g) => [g.id, known({ grams: g.weighedGrams, at: g.weighedAt })]),
    ),
    stepTimes: Object.fromEntries(job.steps.flatMap((s) => (s.at ? [[s.id, s.at] as const] : []))),
    ...(job.quotes.length || job.orders.length || job.arrivals.length ? { bought: boughtFor(job) } : {}),
  };
  const marked = job.pictures.filter((p) => p.marks?.length);
  const { bench: _older, demontage: _old, job: jobX, unit: unitX, ...fileX } = job.x ?? {};
  const file: JobFile = {
    format: "demontage-job",
    version: 1,
    job: known({
      number: job.number,
      stage: job.stage,
      takenIn: job.takenIn,
      promised: job.promised,
      complaint: job.complaint,
      symptoms: job.symptoms,
      limit: job.priceLimit,
      looseItems: job.looseItems,
      x: isRecord(jobX) ? jobX : undefined,
    }),
    unit: {
      kind: job.kind,
      ...known({
        maker: job.maker,
        model: job.model,
        variant: job.variant,
        serial: job.serial,
        supply: job.supplies[0],
        foodContact: job.foodContact,
        x: isRecord(unitX) ? unitX : undefined,
      }),
    },
    parts: job.parts,
    steps: job.steps.map(({ at: _at, ...s }) => s),
    services: job.services,
    lubePoints: job.lubePoints.map(({ weighedGrams: _g, weighedAt: _a, ...g }) => g),
    findings: job.findings.map((f) =>
      known({
        part: f.part,
        mode: f.mode,
        extent: f.extent,
        note: f.note,
        teeth: f.teeth,
        readings: job.readings
          .filter((r) => r.part === f.part)
          .map((r) =>
            known({
              what: r.what,
              value: r.value,
              u: r.u,
              teeth: r.teeth,
              source: r.source,
              x: { at: r.at },
            }),
          ),
        identity: f.identity,
        chosen: f.chosen,
        x: known({
          ...f.x,
          also: f.also?.length ? f.also : undefined,
          gear: f.gear,
          fate: f.fate,
          fateWhy: f.fateWhy,
          readNumber: f.readNumber,
          got: f.got,
          goesIn: f.goesIn,
        }),
      }),
    ),
    tests: job.answers.flatMap((a) => {
      const name = finalOf(a.question);
      return name === undefined
        ? []
        : [known({ name, answer: a.answer, value: a.value, unit: a.unit, note: a.note })];
    }),
    ...(marked.length
      ? { pictureMarks: Object.fromEntries(marked.map((p) => [p.name, p.marks ?? []])) }
      : {}),
    x: { ...fileX, demontage: carried },
  };
  return withoutCustomer(file, [job.customerName, job.customerContact]);
}

/** Shorter than this it may be any word. */
const SHORTEST_NAME = 4;

/**
 * The file with the customer's name and contact put as "the customer" wherever somebody wrote them into a
 * text. A first name alone, or one that is misspelt, cannot be known.
 */
function withoutCustomer(file: JobFile, names: readonly string[]): JobFile {
  const told = names.map((n) => n.trim()).filter((n) => n.length >= SHORTEST_NAME);
  if (!told.length) return file;
  const bare = (value: unknown): unknown => {
    if (typeof value === "string")
      return told.reduce((text, name) => text.replaceAll(name, "the customer"), value);
    if (Array.isArray(value)) return value.map(bare);
    if (!isRecord(value)) return value;
    return Object.fromEntries(Object.entries(value).map(([key, inside]) => [key, bare(inside)]));
  };
  return readWith(jobFileSchema, bare(file));
}

function boughtFor(job: Pick<Job, "quotes" | "orders" | "arrivals">): NonNullable<Carried["bought"]> {
  return {
    // who agreed is the customer, or somebody of theirs
    quotes: job.quotes.map(({ id: _, byWhom: _name, ...q }) => q),
    orders: job.orders.map(({ id: _, ...o }) => o),
    arrivals: job.arrivals.map(({ id, orderId, ...a }) => ({
      ...a,
      was: id,
      ...(orderId === undefined ? {} : { order: job.orders.findIndex((o) => o.id === orderId) }),
    })),
  };
}

/** A job as a file brings it: records without the numbers that only the shop gives. */
export interface JobFromFile
  extends Omit<Job, keyof JobHead | "readings" | "pictures" | "quotes" | "orders" | "arrivals"> {
  readonly head: Partial<JobHead>;
  readonly readings: readonly Omit<Reading, "id">[];
  readonly pictures: NonNullable<Carried["pictures"]>;
  readonly bought: Carried["bought"];
}

/**
 * The inverse of {@link jobFileOf}. What is missing in a file of another program is left to the shop's own
 * beginnings.
 *
 * Throws a Fault where something under `x` is not as it should be.
 *
 * @param now for readings and answers without a moment, ISO 8601
 */
export function jobFromFile(file: JobFile, now: string): JobFromFile {
  const carried = carriedOf(file);
  const { bench: _older, demontage: _old, ...fileX } = file.x ?? {};
  const x = known({ ...fileX, job: file.job?.x, unit: file.unit.x });
  // the file names one; several stand under x
  const { x: _ux, supply, ...unit } = file.unit;
  const { stage, takenIn, promised, limit, number } = file.job ?? {};
  return {
    head: {
      ...unit,
      ...(supply ? { supplies: [supply] } : {}),
      ...carried.job,
      ...known({ number, takenIn, promised }),
      complaint: file.job?.complaint ?? "",
      symptoms: file.job?.symptoms ?? [],
      looseItems: file.job?.looseItems ?? [],
      ...(stage && isStage(stage) ? { stage } : {}),
      ...(limit === undefined ? {} : { priceLimit: limit }),
      ...(Object.keys(x).length ? { x } : {}),
    },
    parts: (file.parts ?? []).map((p) => ({ ...p, name: partName(p) })),
    steps: file.steps.map((s) => ({ ...s, ...known({ at: carried.stepTimes?.[s.id] }) })),
    services: file.services ?? [],
    lubePoints: (file.lubePoints ?? []).map(
      (g): WeighedPoint => ({
        ...g,
        ...inTheOneCase(file, carried, g),
        ...known({ weighedGrams: carried.weighed?.[g.id]?.grams, weighedAt: carried.weighed?.[g.id]?.at }),
      }),
    ),
    findings: (file.findings ?? []).map(({ readings: _r, x: fx, ...f }, i): Finding => {
      const { own, rest } = carriedOfFinding(fx, `findings[${i}].x`);
      return {
        ...f,
        teeth: f.teeth ?? {},
        ...own,
        gear: own.gear ?? {},
        ...(Object.keys(rest).length ? { x: rest } : {}),
      };
    }),
    readings: (file.findings ?? []).flatMap((f) =>
      (f.readings ?? []).map(({ x: rx, ...r }) => ({
        ...r,
        part: f.part,
        source: r.source ?? "job file",
        at: typeof rx?.at === "string" ? rx.at : now,
      })),
    ),
    answers:
      carried.answers ??
      (file.tests ?? []).map(
        (t): Answer => ({
          question: finalKey(t.name),
          answer: t.answer ?? "yes",
          ...known({ value: t.value, unit: t.unit, note: t.note }),
          at: now,
        }),
      ),
    linesDone: (carried.linesDone ?? []).filter(isOf(file)),
    linesAt: carried.linesAt,
    pictures: carried.pictures ?? [],
    bought: carried.bought,
  };
}

/** Older files knew one case, and no point said that it lies in it: what was weighed does. */
function inTheOneCase(
  file: JobFile,
  carried: Carried,
  g: LubePoint,
): Pick<LubePoint, "chamber" | "kind" | "lubricantId"> {
  const [only, ...more] = carried.job?.chambers ?? [];
  if (!only || more.length || g.grams === undefined || file.lubePoints?.some((p) => p.chamber)) return {};
  return { chamber: only.id, kind: "gear-teeth", ...(only.lubricant && { lubricantId: only.lubricant }) };
}

/**
 * Lines of services and grease points that are there no more are left behind: here, the next one may get that
 * name, and would be done before anybody did it.
 */
const isOf = (file: JobFile) => {
  const services = new Set(file.services?.map((v) => v.id));
  const points = new Set(file.lubePoints?.map((g) => g.id));
  return (line: string): boolean => {
    const [service, point] = [serviceOf(line), greaseOf(line)];
    return (service === undefined || services.has(service)) && (point === undefined || points.has(point));
  };
};

/** What a picture of an arrival hangs on, as it was and as it is here. */
export const arrivalHooks = (was: readonly number[], is: readonly number[]): ReadonlyMap<string, string> =>
  new Map(
    was.flatMap((id, i) => (is[i] === undefined ? [] : [[pictureOf({ id }), pictureOf({ id: is[i] })]])),
  );
