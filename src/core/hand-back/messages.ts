import type { Job } from "../job/job";
import { partNamed } from "../job/part";
import { foundSays, isFailure } from "../judge/failure-modes";
import { ROOTS } from "../judge/roots";
import { money } from "../quantity/money";
import { sentence } from "../sentence";

/** What is told to a customer while a unit is here. */
export const MESSAGES = [
  { kind: "taken-in", says: "It is here" },
  { kind: "quote", says: "What it will cost" },
  { kind: "delay", says: "It takes longer" },
  { kind: "ready", says: "It is ready" },
] as const;
export type MessageKind = (typeof MESSAGES)[number]["kind"];

export interface Message {
  readonly kind: MessageKind;
  readonly subject: string;
  readonly text: string;
}

/** Of the job, what a message says. */
export type MessageFacts = Pick<
  Job,
  | "number"
  | "kind"
  | "maker"
  | "model"
  | "customerName"
  | "complaint"
  | "looseItems"
  | "priceLimit"
  | "promised"
  | "waiting"
  | "ending"
  | "quotes"
  | "findings"
  | "causes"
  | "parts"
  | "steps"
  | "warrantyOf"
>;

/**
 * A message to a customer, filled with the job's facts; what is not known is left out, and it can be changed
 * before it goes.
 *
 * @param day a moment as a day in words
 */
export function messageOf(
  kind: MessageKind,
  job: MessageFacts,
  shop: { readonly name: string; readonly currency: string; readonly warrantyMonths: number },
  day: (iso: string) => string,
): Message {
  const unit = [`${job.maker} ${job.model}`.trim(), job.kind].filter(Boolean).join(" ") || "unit";
  const lines = (...said: (string | false | undefined)[]): string =>
    [
      `Dear ${job.customerName || "customer"},`,
      "",
      ...said.filter((s): s is string => typeof s === "string"),
      "",
      shop.name,
    ].join("\n");
  const about = `${job.number}: your ${unit}`;
  const failed = job.findings
    .filter((f) => isFailure(f.mode))
    .map((f) => `${partNamed(job, f.part)}: ${foundSays(f)}`);
  const why = (job.causes.chosen ?? []).flatMap((c) => ROOTS.find((r) => r.cause === c)?.says ?? []);
  switch (kind) {
    case "taken-in":
      return {
        kind,
        subject: `${about} is here`,
        text: lines(
          `we have taken in your ${unit} under the number ${job.number}.`,
          job.complaint !== "" && `You said: “${job.complaint}”`,
          job.looseItems.length > 0 && `With it came: ${job.looseItems.join(", ")}.`,
          job.promised !== undefined && `We mean to have it ready by ${day(job.promised)}.`,
          job.priceLimit !== undefined &&
            `We ask you before it costs more than ${money(job.priceLimit, shop.currency)}.`,
        ),
      };
    case "quote": {
      const quote = job.quotes.at(-1);
      return {
        kind,
        subject: `${about}: what it will cost`,
        text: lines(
          failed.length > 0 && `we have looked at your ${unit}. What we found: ${failed.join("; ")}.`,
          why.length > 0 && sentence(`Why: ${why.join("; ")}`),
          quote
            ? `The repair comes to ${money(quote.total, shop.currency)}, with parts, work and tax. If you decline, ${money(quote.quote.ifDeclined, shop.currency)} is due for finding the fault.`
            : "What the repair costs is not worked out yet.",
          quote !== undefined && "Please tell us whether we shall go on.",
        ),
      };
    }
    case "delay":
      return {
        kind,
        subject: `${about} takes longer`,
        text: lines(
          `your ${unit} takes longer than we thought.`,
          job.waiting && `It waits for ${job.waiting.what}.`,
          job.waiting?.until !== undefined && `We look at it again on ${day(job.waiting.until)}.`,
          job.promised !== undefined && `We had promised it for ${day(job.promised)}.`,
        ),
      };
    case "ready": {
      const agreed = job.quotes.filter((q) => q.answer === "accepted").at(-1);
      return {
        kind,
        subject: `${about} is ready`,
        text: lines(
          job.ending
            ? `your ${unit} can be fetched. It was not repaired: ${sentence(job.ending.why)}`
            : `your ${unit} is repaired and tested, and can be fetched.`,
          !job.ending && failed.length > 0 && `What was wrong: ${failed.join("; ")}.`,
          job.warrantyOf !== undefined && "It came back within its warranty: nothing is due.",
          !job.ending &&
            job.warrantyOf === undefined &&
            agreed &&
            `Due as agreed: ${money(agreed.total, shop.currency)}.`,
          job.ending?.amount !== undefined &&
            job.ending.how !== "bought-out" &&
            `Due: ${money(job.ending.amount, shop.currency)}.`,
          !job.ending &&
            shop.warrantyMonths > 0 &&
            `We warrant our work for ${shop.warrantyMonths} months, beside your rights by law.`,
        ),
      };
    }
  }
}

/**
 * The mail address in what was written down as a contact; none in most.
 *
 * @example mailIn("tel. 0555 01, dora@finch.invalid") // "dora@finch.invalid"
 */
export const mailIn = (contact: string): string | undefined =>
  /[^\s,;<>()"]+@[^\s,;<>()"]+\.[^\s,;<>()".]+/.exec(contact)?.[0];
