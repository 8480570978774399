import { z } from "zod";
import type { Frozen } from "../frozen";
import { moment, text } from "./written";

/** What was said to a question of a gate. */
export const answerSchema = z.strictObject({
  /** a key of keys.ts */
  question: text,
  answer: text,
  value: z.number().optional(),
  unit: text.optional(),
  note: text.optional(),
  /** with what it was measured */
  instrument: text.optional(),
  at: moment,
});
export type Answer = Frozen<z.infer<typeof answerSchema>>;
