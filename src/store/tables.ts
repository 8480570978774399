import { z } from "zod";
import { hardwareSchema } from "@/core/hardware/piece";
import { answerSchema } from "@/core/job/answer";
import { arrivalSchema, orderSchema, storedQuote } from "@/core/job/bought";
import { findingSchema } from "@/core/job/finding";
import { jobHead } from "@/core/job/job";
import { partSchema } from "@/core/job/part";
import { jobPicture } from "@/core/job/picture";
import { readingSchema } from "@/core/job/reading";
import { pointFacts, serviceSchema, weighedPointSchema } from "@/core/job/service";
import { type StepFacts, stepFacts, stepSchema } from "@/core/job/step";
import { rowsOf } from "./rows";

/**
 * How each table of a job keeps its records. What a step says of itself, and what a piece is, lie folded in
 * one column: a fact that is added needs no new one.
 */

/** A step as its own row: its hardware and its pictures have rows of their own. */
export const stepRecord = stepSchema
  .omit({ hardware: true, pictures: true })
  .extend({ at: z.string().optional() });
const { id: _id, kind: _kind, qty: _qty, at: _at, x: _x, ...pieceFacts } = hardwareSchema.shape;

/** No fact of a step said: what a step says anew replaces all it said before. */
export const NO_FACTS: Readonly<Partial<Record<keyof StepFacts, undefined>>> = Object.fromEntries(
  stepFacts.keyof().options.map((f) => [f, undefined]),
);

/** The records of a job, by the table they lie in. */
export const records = {
  jobs: rowsOf("jobs", jobHead),
  parts: rowsOf("parts", partSchema, { id: "ref" }),
  steps: rowsOf("steps", stepRecord, { id: "ref" }, { column: "facts", fields: stepFacts.keyof().options }),
  hardware: rowsOf(
    "hardware",
    hardwareSchema,
    { id: "ref", at: "place" },
    { column: "facts", fields: z.object(pieceFacts).keyof().options },
  ),
  services: rowsOf("services", serviceSchema, { id: "ref", do: "what" }),
  lube_points: rowsOf(
    "lube_points",
    weighedPointSchema,
    { id: "ref", when: "moment", where: "place" },
    { column: "facts", fields: pointFacts.keyof().options },
  ),
  findings: rowsOf("findings", findingSchema),
  readings: rowsOf("readings", readingSchema),
  answers: rowsOf("answers", answerSchema),
  job_pictures: rowsOf("job_pictures", jobPicture),
  quotes: rowsOf("quotes", storedQuote),
  orders: rowsOf("orders", orderSchema),
  arrivals: rowsOf("arrivals", arrivalSchema),
};
