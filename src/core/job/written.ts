import { z } from "zod";

/** The small things that every schema of a job is made of. */

/** What other things name it by: `s7`, `p12`. */
export const ref = z.string().min(1, "must not be empty").max(40, "is longer than 40 characters");
export const text = z.string().max(4000, "is longer than 4000 characters");
export const day = z.iso.date("is no day like 2026-11-02");
/** A moment, or, where no more is known, its day. */
export const moment = z
  .string()
  .refine(
    (said) =>
      z.iso.datetime({ offset: true }).safeParse(said).success || z.iso.date().safeParse(said).success,
    "is no moment like 2026-11-02T10:00:00Z",
  );
/** What is written in a sentence or two. */
export const note = z.string().trim().max(500, "is longer than 500 characters");
/** What is written in a few words: a name, a place, a figure as it is typed. */
export const words = z.string().max(80, "is longer than 80 characters");
/** Keys that a later version of the file may bring: kept, and written again. */
export const later = z.record(z.string(), z.unknown()).optional();
/** Four figures at least, and as many more as the shop's count has come to. */
export const jobNumber = z.string().regex(/^J-\d{4,12}$/, "is no job number like J-0142");
