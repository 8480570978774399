import { z } from "zod";
import { likelyCauses } from "./causes";
import { nextLook } from "./next-look";
import { nextToFail } from "./next-to-fail";

/** What was found, as JSON; nothing is known of what is not said. */
export const whyInput = z
  .strictObject({
    symptoms: z.array(z.string()).default([]),
    unitKind: z.string().optional(),
    greaseStates: z.array(z.string()).optional(),
    motor: z.boolean().optional(),
    moves: z.boolean().optional(),
    past: z
      .object({
        bought: z.string().optional(),
        openedBefore: z.string().optional(),
        load: z.string().optional(),
        years: z.number().min(0).optional(),
      })
      .default({}),
    parts: z
      .array(
        z.object({
          name: z.string(),
          kind: z.string().optional(),
          material: z.string().optional(),
          mode: z.string().optional(),
          also: z.array(z.string()).optional(),
          marks: z.record(z.string(), z.string()).optional(),
          teeth: z.int().positive().optional(),
          turning: z.enum(["clockwise", "counter-clockwise"]).optional(),
          drives: z.boolean().optional(),
          mateLossMm: z.number().optional(),
          mateLimitMm: z.number().optional(),
        }),
      )
      .default([]),
    looked: z.record(z.string(), z.boolean()).optional(),
  })
  .refine((e) => e.symptoms.length > 0 || e.parts.length > 0 || (e.greaseStates?.length ?? 0) > 0, {
    message: "says nothing that was found: give a symptom, a state of the grease or a part",
  });

/** The causes with their odds and chains, likeliest first, the next look worth taking, and what goes next. */
export const whyAnswer = (evidence: z.infer<typeof whyInput>) => ({
  causes: likelyCauses(evidence),
  next: nextLook(evidence),
  toFail: nextToFail(evidence),
});
