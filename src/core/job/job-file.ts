import { z } from "zod";
import { Fault, readWith } from "../fault";
import type { Frozen } from "../frozen";
import { isRubber } from "../grease/base-oils";
import { answerSchema } from "./answer";
import { arrivalSchema, orderSchema, storedQuote } from "./bought";
import { newChamber } from "./chamber";
import { findingSchema } from "./finding";
import { goingInOf } from "./going-in";
import { jobHead } from "./job";
import { refuseMonster, refuseTooMany } from "./job-file-limits";
import { partSchema } from "./part";
import { jobPicture } from "./picture";
import { pictureMarkSchema } from "./picture-mark";
import { readingSchema } from "./reading";
import { lubePointSchema, serviceSchema } from "./service";
import { stepSchema } from "./step";
import type { Strip } from "./strip";
import { supply } from "./supply";
import { day, jobNumber, later, moment, text, words } from "./written";

/** The open job file, `demontage-job` version 1. Its meaning is written down in docs/formats.md. */
export const jobFileSchema = z.strictObject({
  format: z.literal("demontage-job", { error: 'is not "demontage-job"' }),
  version: z.literal(1, { error: "is a version this program does not read; it reads 1" }),
  job: z
    .strictObject({
      number: jobNumber.optional(),
      stage: text.optional(),
      takenIn: day.optional(),
      promised: day.optional(),
      complaint: text.optional(),
      symptoms: jobHead.shape.symptoms.optional(),
      limit: z.number().min(0).optional(),
      looseItems: jobHead.shape.looseItems.optional(),
      x: later,
    })
    .optional(),
  unit: z.strictObject({
    kind: text,
    maker: text.optional(),
    model: text.optional(),
    variant: text.optional(),
    serial: text.optional(),
    supply: supply.optional(),
    foodContact: z.boolean().optional(),
    x: later,
  }),
  parts: z.array(partSchema).max(5000).optional(),
  steps: z.array(stepSchema).max(5000),
  services: z.array(serviceSchema).max(5000).optional(),
  lubePoints: z.array(lubePointSchema).max(5000).optional(),
  findings: z
    .array(
      z.strictObject({
        ...findingSchema.pick({ mode: true, extent: true, note: true, identity: true, chosen: true, x: true })
          .shape,
        part: text,
        teeth: findingSchema.shape.teeth.unwrap().optional(),
        readings: z
          .array(
            z.strictObject({
              ...readingSchema.pick({ what: true, value: true, u: true, teeth: true }).shape,
              source: text.optional(),
              x: later,
            }),
          )
          .max(5000)
          .optional(),
      }),
    )
    .max(5000)
    .optional(),
  tests: z
    .array(
      z.strictObject({
        name: text,
        answer: text.optional(),
        value: z.number().optional(),
        unit: text.optional(),
        note: text.optional(),
        x: later,
      }),
    )
    .max(500)
    .optional(),
  pictureMarks: z.record(text, z.array(pictureMarkSchema).max(60)).optional(),
  x: later,
});
export type JobFile = Frozen<z.infer<typeof jobFileSchema>>;

/** Facts of the head that the file has no key of its own for. */
export const CARRIED_HEAD = {
  supplies: true,
  protectionClass: true,
  hazards: true,
  condition: true,
  consent: true,
  stripFinished: true,
  greaseStates: true,
  nothingFailed: true,
  trouble: true,
  noGrease: true,
  ending: true,
  waiting: true,
  ownOrder: true,
  ownTests: true,
  home: true,
  warrantyOf: true,
  fillSchool: true,
  chambers: true,
  washed: true,
  handedBackAt: true,
  past: true,
  disposeConsent: true,
  loosePictures: true,
  train: true,
  causes: true,
  benchFinds: true,
  newUnit: true,
  basketAim: true,
  toFit: true,
} as const;

/**
 * What stands under `x.demontage` (formerly `x.bench`): all that the file has no key for, so that nothing is
 * lost between two shops with this program. Read by the same schemas as everything else.
 */
export const carriedSchema = z.strictObject({
  job: jobHead.pick(CARRIED_HEAD).partial().optional(),
  answers: z.array(answerSchema).max(500).optional(),
  linesDone: z.array(text).max(20_000).optional(),
  /** when a line was done: what cures goes on curing on its way to another shop */
  linesAt: z.record(text, moment).optional(),
  /** every picture of the job, with the hash of its bytes as they lie in the file */
  pictures: z
    .array(
      jobPicture
        .pick({ name: true, role: true, part: true })
        .extend({ sha256: jobPicture.shape.sha256.optional() }),
    )
    .max(5000)
    .optional(),
  /** names of pictures that the shop it comes from had no more */
  missingPictures: z.array(text).max(5000).optional(),
  weighed: z
    .record(z.string(), z.strictObject({ grams: z.number().optional(), at: moment.optional() }))
    .optional(),
  stepTimes: z.record(z.string(), moment).optional(),
  /** orders by their place in the list */
  bought: z
    .strictObject({
      quotes: z.array(storedQuote.omit({ id: true })).max(200),
      orders: z.array(orderSchema.omit({ id: true })).max(200),
      /** `was`: its number in the shop it comes from, by which pictures hang on it */
      arrivals: z
        .array(
          arrivalSchema.omit({ id: true, orderId: true }).extend({ order: z.int().optional(), was: z.int() }),
        )
        .max(1000),
    })
    .optional(),
});
export type Carried = Frozen<z.infer<typeof carriedSchema>>;

/** What stands under `x` of a finding. */
export const carriedFinding = findingSchema
  .pick({ also: true, gear: true, fate: true, fateWhy: true, readNumber: true, got: true, goesIn: true })
  .partial()
  .extend({ readNumber: words.optional() });

/** Reads a job file's JSON, with what this program keeps under `x`. Throws a Fault that names the place. */
export function readJobFile(json: unknown): JobFile {
  if (typeof json !== "object" || json === null || Array.isArray(json))
    throw new Fault("", "a job file is a JSON object");
  refuseMonster(json);
  const file = readWith(jobFileSchema, json);
  refuseTooMany(file);
  carriedOf(file);
  for (const [i, f] of (file.findings ?? []).entries()) carriedOfFinding(f.x, `findings[${i}].x`);
  return file;
}

/** What a file carries besides its own keys, checked. Throws a Fault that names the place under `x`. */
export function carriedOf(file: Pick<JobFile, "x">): Carried {
  const key = file.x && "demontage" in file.x ? "demontage" : "bench";
  return readWith(carriedSchema, oneCase(oneGrease(withoutNulls(file.x?.[key] ?? {}))), `x.${key}`);
}

/** Older files knew one state of the old grease. */
function oneGrease(carried: unknown): unknown {
  if (!isRecord(carried) || !isRecord(carried.job) || !("greaseState" in carried.job)) return carried;
  const { greaseState, ...job } = carried.job;
  return {
    ...carried,
    job: { greaseStates: typeof greaseState === "string" && greaseState ? [greaseState] : [], ...job },
  };
}

/** Older files knew one case with one grease: it becomes the first chamber. */
function oneCase(carried: unknown): unknown {
  if (!isRecord(carried) || !isRecord(carried.job)) return carried;
  const { caseInside, caseMaterials, lubricant, makersGrams, greaseOld: _nobodySaid, ...job } = carried.job;
  if (
    job.chambers !== undefined ||
    [caseInside, caseMaterials, lubricant, makersGrams].every((v) => v === undefined)
  )
    return { ...carried, job };
  const said = Array.isArray(caseMaterials) ? caseMaterials.filter((m) => typeof m === "string") : [];
  const chamber = {
    ...newChamber("c1", "gear-case"),
    ...(isRecord(caseInside) && { volume: { by: "inside", ...caseInside } }),
    ...(makersGrams !== undefined && makersGrams !== 0 && { makersGrams }),
    ...(lubricant !== undefined && { lubricant }),
    ...(job.washed === true && { old: { left: "none" } }),
    seals: said.filter(isRubber),
    materials: said.filter((m) => !isRubber(m)),
  };
  return { ...carried, job: { ...job, chambers: [chamber] } };
}
export const isRecord = (v: unknown): v is Record<string, unknown> =>
  typeof v === "object" && v !== null && !Array.isArray(v);

/** Older files wrote an open answer as null. */
function withoutNulls(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(withoutNulls);
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).flatMap(([k, v]) =>
      v === null && k !== "diametralPitch" ? [] : [[k, withoutNulls(v)]],
    ),
  );
}

/** The facts of a finding that stand under its `x`, and the rest of it. */
export function carriedOfFinding(
  x: JobFile["x"],
  at: string,
): { own: Frozen<z.infer<typeof carriedFinding>>; rest: Readonly<Record<string, unknown>> } {
  const known = new Set(Object.keys(carriedFinding.shape));
  const entries = Object.entries(x ?? {});
  return {
    own: readWith(
      carriedFinding,
      withoutNulls(Object.fromEntries(entries.filter(([k]) => known.has(k)))),
      at,
    ),
    rest: Object.fromEntries(entries.filter(([k]) => !known.has(k))),
  };
}

/** What a rebuild plan is worked out from. */
export const stripOf = (file: JobFile): Strip => ({
  parts: file.parts ?? [],
  steps: file.steps,
  services: file.services ?? [],
  lubePoints: file.lubePoints ?? [],
  ownOrder: carriedOf(file).job?.ownOrder,
  goingIn: goingInOf({
    parts: file.parts ?? [],
    findings: (file.findings ?? []).map((f, i) => ({
      ...carriedOfFinding(f.x, `findings[${i}].x`).own,
      part: f.part,
      chosen: f.chosen,
    })),
  }),
});

/** The same job gives the same bytes: keys in the order of the schema, two spaces, a newline at the end. */
export function writeJobJson(file: JobFile): string {
  return `${JSON.stringify(jobFileSchema.parse(file), null, 2)}\n`;
}
