"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { jobHead, unitPast } from "@/core/job/job";
import { day, text } from "@/core/job/written";
import { sentence } from "@/core/sentence";
import { variantSchema } from "@/core/take-in/variant";
import { asWhoMay } from "@/door/who";
import { lastTouchedFood } from "@/store/comebacks";
import { setCustomer, teachDateCode, teachVariant } from "@/store/counter";
import { loadHead, thereIs } from "@/store/job";
import { createJob, setHead } from "@/store/jobs";
import { rememberHazards } from "@/store/settings";
import { notDone, troubleIn } from "@/store/trouble";
import { type ActionResult, actAtDesk } from "../saving/act";
import { onJob } from "../saving/action-input";

/** What Take in writes down of a job's head; null strikes what may be left open. */
const fields = jobHead
  .pick({
    kind: true,
    maker: true,
    model: true,
    variant: true,
    serial: true,
    supplies: true,
    protectionClass: true,
    hazards: true,
    foodContact: true,
    complaint: true,
    symptoms: true,
    condition: true,
    looseItems: true,
    consent: true,
    disposeConsent: true,
    loosePictures: true,
  })
  .extend({
    priceLimit: jobHead.shape.priceLimit.nullable(),
    past: unitPast.extend({ years: unitPast.shape.years.nullable() }),
    promised: day.or(z.literal("")),
  })
  .partial();
const input = z.object({
  ...onJob,
  fields,
  /** one item of a list ticked or unticked; the others stay as they are by then */
  tick: z
    .object({
      list: z.enum(["symptoms", "looseItems"]),
      item: text.trim().min(1, "say what it is"),
      on: z.boolean(),
    })
    .optional(),
});

const NAMES: Readonly<Record<string, string>> = {
  past: "history",
  disposeConsent: "old parts may be disposed of",
  loosePictures: "pictures of loose items",
  priceLimit: "price limit",
  looseItems: "loose items",
  foodContact: "food contact",
  protectionClass: "protection class",
  supplies: "what drives it",
  hazards: "what can hurt at it",
};

/**
 * Saves one or more fields of Take in. What is a part of a whole (history, a tick, a picture of a loose item)
 * is put to what is there.
 */
export async function saveTakeIn(raw: z.infer<typeof input>): Promise<ActionResult> {
  return actAtDesk(input, raw, async ({ number, version, fields: f, tick }) => {
    const { promised, priceLimit, past, loosePictures, ...rest } = f;
    const job = thereIs(await loadHead(number), number);
    const ticked = tick && {
      [tick.list]: [...job[tick.list].filter((x) => x !== tick.item), ...(tick.on ? [tick.item] : [])],
    };
    const set = {
      ...rest,
      ...ticked,
      ...(past === undefined
        ? {}
        : {
            past: {
              ...job.past,
              ...past,
              years: past.years === null ? undefined : (past.years ?? job.past.years),
            },
          }),
      ...(loosePictures === undefined ? {} : { loosePictures: { ...job.loosePictures, ...loosePictures } }),
      ...(promised === undefined ? {} : { promised: promised || undefined }),
      ...(priceLimit === undefined ? {} : { priceLimit: priceLimit ?? undefined }),
    };
    const says = (v: unknown): string =>
      Array.isArray(v)
        ? v.join(", ") || "none"
        : v === true
          ? "yes"
          : v === false
            ? "no"
            : v !== null && typeof v === "object"
              ? Object.values(v).filter(Boolean).join(", ")
              : String(v ?? "none");
    // what touched food at the last unit of the model does at this one, until somebody strikes it
    const model = { maker: f.maker ?? job.maker, model: f.model ?? job.model };
    const before =
      f.model !== undefined && f.model !== job.model && !job.foodContact
        ? await lastTouchedFood(job.id, model)
        : undefined;
    if (before) Object.assign(set, { foodContact: true });
    const what = Object.entries(f).map(([k, v]) => `${NAMES[k] ?? k}: ${says(v)}`);
    if (tick) what.push(`${NAMES[tick.list] ?? tick.list}: ${tick.item} ${tick.on ? "yes" : "no"}`);
    if (before) what.push(`${NAMES.foodContact}: yes, as at ${before}`);
    const saved = await setHead(number, version, set, what.join("; "));
    // the next unit of this kind is proposed the same
    if (f.hazards) await rememberHazards(f.kind ?? job.kind, f.hazards);
    return saved;
  });
}

const customerInput = z.object({
  ...onJob,
  name: jobHead.shape.customerName.optional(),
  contact: jobHead.shape.customerContact.optional(),
});
export async function saveCustomer(raw: z.infer<typeof customerInput>): Promise<ActionResult> {
  return actAtDesk(customerInput, raw, ({ number, version, ...said }) => setCustomer(number, version, said));
}

const variantInput = z.object({ ...onJob, ...variantSchema.shape });
export async function learnVariant(raw: z.infer<typeof variantInput>): Promise<ActionResult> {
  return actAtDesk(variantInput, raw, ({ number, version, ...taught }) =>
    teachVariant(number, version, taught),
  );
}

const dateCodeInput = z.object({ ...onJob, text });
export async function learnDateCode(raw: z.infer<typeof dateCodeInput>): Promise<ActionResult> {
  return actAtDesk(dateCodeInput, raw, ({ number, version, text: said }) =>
    teachDateCode(number, version, said),
  );
}

/** A new job at once, so that nothing typed has no place to go. */
export async function takeInUnit(): Promise<{ readonly number: string } | { readonly says: string }> {
  try {
    return { number: await asWhoMay("desk", () => createJob()) };
  } catch (e) {
    const trouble = troubleIn(e);
    if (trouble) return { says: notDone("Not taken in", trouble) };
    if (e instanceof Fault) return { says: sentence(e.says) };
    throw e;
  }
}
