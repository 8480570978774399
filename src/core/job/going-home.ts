import { z } from "zod";
import type { Frozen } from "../frozen";
import { moment, note } from "./written";

const share = z.number().min(-0.2).max(1.2);

/** A name written with finger, pen or mouse: lines of points, in shares of the field. */
export const signatureSchema = z.strictObject({
  by: note.min(1, "write the name beside it"),
  at: moment,
  strokes: z
    .array(z.array(z.tuple([share, share])).max(2000, "is too long a line"))
    .min(1, "sign in the field first")
    .max(60, "are more than 60 lines"),
});
export type Signature = Frozen<z.infer<typeof signatureSchema>>;

/** It is signed by pen: the sheet has a line for it. */
export const ON_PAPER = "signs on paper";

/** What is written down as a unit goes home. */
export const goingHomeSchema = z.strictObject({
  signature: signatureSchema.optional(),
  /** why it is not signed */
  notSigned: note.optional(),
  /** when it should be looked at next, in the technician's own words: "in 100 hours: the brushes" */
  nextLook: note.optional(),
  /** what became of each: loose items by name, old parts by id */
  ends: z.record(z.string().max(4000), z.string().max(40)).optional(),
  /** current on the unit's plate, A */
  plateA: z
    .number("must be a figure")
    .positive("a plate says more than 0 A")
    .max(100, "is more than a plug carries")
    .optional(),
  /** speed on the unit's plate, rpm */
  plateRpm: z
    .number("must be a figure")
    .positive("a plate says more than 0 rpm")
    .max(500_000, "is more than anything here turns")
    .optional(),
  /** length of its cord, m */
  cordM: z
    .number("must be a figure")
    .positive("a cord is longer than 0 m")
    .max(100, "is longer than any cord that is tested here")
    .optional(),
  /** power of its heating elements, kW */
  heaterKw: z
    .number("must be a figure")
    .positive("an element has more than 0 kW")
    .max(50, "is more than a bench supplies: write kW, 2000 W are 2")
    .optional(),
  /** it had gone home and was opened again */
  openedAgain: z
    .array(z.strictObject({ at: moment, wentHome: moment, why: note }))
    .max(50)
    .optional(),
});
export type GoingHome = Frozen<z.infer<typeof goingHomeSchema>>;
