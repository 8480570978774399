import { z } from "zod";
import type { Frozen } from "../frozen";
import { day, moment, note } from "./written";

/** How a job ends without its repair, and what becomes of the unit. */
export const ENDINGS = [
  {
    how: "as-it-was",
    says: "Goes back as it was",
    tells: "The unit goes back together as it was, not repaired.",
    together: true,
    leaves: true,
  },
  {
    how: "in-pieces",
    says: "Goes back in pieces",
    tells: "The unit goes back in pieces, not repaired.",
    together: false,
    leaves: true,
  },
  {
    how: "referred",
    says: "Belongs to licensed hands",
    tells: "The unit goes back as it was: this work belongs to a licensed technician.",
    together: true,
    leaves: true,
  },
  {
    how: "scrapped",
    says: "Stays here as scrap",
    tells: "The unit stays here and is disposed of.",
    together: false,
    leaves: false,
  },
  {
    how: "bought-out",
    says: "The shop buys it",
    tells: "The unit stays here: the shop has bought it.",
    together: false,
    leaves: false,
  },
] as const;
export type EndingHow = (typeof ENDINGS)[number]["how"];

export const endingSchema = z.strictObject({
  how: z.enum(ENDINGS.map((e) => e.how)),
  why: note.min(3, "say in a few words why"),
  /** what the customer pays, or, where the shop buys it, what the customer is paid; tax and all */
  amount: z
    .number("must be an amount")
    .min(0, "must not be negative")
    .max(1e6, "is more than a million")
    .optional(),
  at: moment,
});
export type Ending = Frozen<z.infer<typeof endingSchema>>;
export const endingNamed = (how: EndingHow): (typeof ENDINGS)[number] =>
  ENDINGS.find((e) => e.how === how) ?? ENDINGS[0];

/** What a job waits for while nobody can go on with it. */
export const waitingSchema = z.strictObject({
  what: note.min(3, "say in a few words what it waits for"),
  since: moment,
  /** the day on which it is looked at again */
  until: day.optional(),
});
export type Waiting = Frozen<z.infer<typeof waitingSchema>>;
