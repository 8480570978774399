import { z } from "zod";
import { Fault, readWith } from "../fault";
import { lubePointSchema, partSchema, type Strip, serviceSchema, stepSchema } from "../order/strip";
import { pictureMarkSchema } from "./picture-mark";

/** The open job file, `demontage-job` version 1. Its meaning is written down in docs/formats.md. */
const text = z.string().max(4000, "is longer than 4000 letters");
const later = z.record(z.string(), z.unknown()).optional();
const day = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "is no day like 2026-11-02");

export const jobFileSchema = z.strictObject({
  format: z.literal("demontage-job", { error: 'is not "demontage-job"' }),
  version: z.literal(1, { error: "is a version this program does not read; it reads 1" }),
  job: z
    .strictObject({
      number: z
        .string()
        .regex(/^J-\d{4,6}$/, "is no job number like J-0142")
        .optional(),
      stage: text.optional(),
      takenIn: day.optional(),
      promised: day.optional(),
      complaint: text.optional(),
      symptoms: z.array(text).optional(),
      limit: z.number().min(0).optional(),
      looseItems: z.array(text).optional(),
      x: later,
    })
    .optional(),
  unit: z.strictObject({
    kind: text,
    maker: text.optional(),
    model: text.optional(),
    variant: text.optional(),
    serial: text.optional(),
    supply: z.enum(["mains", "battery", "hand", "water", "other"], { error: "is none of: mains, battery, hand, water, other" }).optional(),
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
        part: text,
        mode: text.optional(),
        extent: text.optional(),
        note: text.optional(),
        teeth: z.record(z.string(), text).optional(),
        readings: z
          .array(z.strictObject({ what: text, value: z.number(), u: z.number().optional(), teeth: z.int().optional(), source: text.optional(), x: later }))
          .optional(),
        identity: z.record(z.string(), z.unknown()).optional(),
        chosen: text.optional(),
        x: later,
      }),
    )
    .optional(),
  tests: z
    .array(z.strictObject({ name: text, answer: text.optional(), value: z.number().optional(), unit: text.optional(), note: text.optional(), x: later }))
    .optional(),
  pictureMarks: z.record(text, z.array(pictureMarkSchema)).optional(),
  x: later,
});
export type JobFile = z.infer<typeof jobFileSchema>;

/** Reads a job file's JSON. Throws a Fault that names the place. */
export function readJobFile(json: unknown): JobFile {
  if (typeof json !== "object" || json === null || Array.isArray(json)) throw new Fault("", "a job file is a JSON object");
  return readWith(jobFileSchema, json);
}

/** What a rebuild plan is worked out from. */
export const stripOf = (file: JobFile): Strip => ({
  parts: file.parts ?? [],
  steps: file.steps,
  services: file.services ?? [],
  lubePoints: file.lubePoints ?? [],
});

/** The same job gives the same bytes: keys in the order of the schema, two spaces, a newline at the end. */
export function writeJobJson(file: JobFile): string {
  return `${JSON.stringify(jobFileSchema.parse(file), null, 2)}\n`;
}
