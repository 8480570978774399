import { z } from "zod";

/** The small things that every schema of a job is made of. */

/** What other things name it by: `s7`, `p12`. */
export const ref = z.string().min(1, "must not be empty").max(40, "is longer than 40 characters");
export const text = z.string().max(4000, "is longer than 4000 characters");
export const day = z.string().regex(/^\d{4}-\d{2}-\d{2}$/, "is no day like 2026-11-02");
/** What is written in a sentence or two. */
export const note = z.string().trim().max(500, "is longer than 500 characters");
/** What is written in a few words: a name, a place, a figure as it is typed. */
export const words = z.string().max(80, "is longer than 80 characters");
/** Keys that a later version of the file may bring: kept, and written again. */
export const later = z.record(z.string(), z.unknown()).optional();
export const jobNumber = z.string().regex(/^J-\d{4,6}$/, "is no job number like J-0142");
