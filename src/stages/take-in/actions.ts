"use server";

import { redirect } from "next/navigation";
import { z } from "zod";
import { Fault } from "@/core/fault";
import { setCustomer, teachDateCode, teachVariant } from "@/store/counter";
import { loadHead } from "@/store/job";
import { createJob, setHead } from "@/store/jobs";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";

const text = z.string().max(4000, "must be shorter than 4000 letters");
const fields = z.strictObject({
  kind: text.optional(),
  maker: text.optional(),
  model: text.optional(),
  variant: text.optional(),
  serial: text.optional(),
  supply: z.enum(["mains", "battery", "hand", "water", "other"]).optional(),
  protectionClass: z.enum(["I", "II", "III"]).optional(),
  foodContact: z.boolean().optional(),
  complaint: text.optional(),
  symptoms: z.array(z.string().max(40)).max(20).optional(),
  condition: text.optional(),
  looseItems: z.array(z.string().max(200)).max(50).optional(),
  priceLimit: z.number("must be an amount").min(0, "must not be negative").max(1_000_000, "is more than any repair").nullable().optional(),
  consent: z.boolean().optional(),
  disposeConsent: z.boolean().optional(),
  past: z
    .strictObject({
      bought: z.enum(["new", "used", ""]).optional(),
      openedBefore: z.enum(["no", "shop", "owner", ""]).optional(),
      load: z.enum(["light", "daily", "hard", ""]).optional(),
      years: z.number("must be a number of years").min(0, "years are never below 0").max(150, "nothing on this bench is that old").nullable().optional(),
      lastService: z.string().max(200, "must be shorter than 200 letters").optional(),
    })
    .optional(),
  loosePictures: z.record(z.string().max(200), z.string().max(60)).optional(),
  promised: z
    .string()
    .regex(/^(\d{4}-\d{2}-\d{2})?$/, "must be a day")
    .optional(),
});
const input = z.object({
  ...onJob,
  fields,
  /** one item of a list ticked or unticked; the others stay as they are by then */
  tick: z.object({ list: z.enum(["symptoms", "looseItems"]), item: z.string().trim().min(1).max(200), on: z.boolean() }).optional(),
});

const NAMES: Readonly<Record<string, string>> = {
  past: "history",
  disposeConsent: "old parts may be disposed of",
  loosePictures: "pictures of loose items",
  priceLimit: "price limit",
  looseItems: "loose items",
  foodContact: "food contact",
  protectionClass: "protection class",
};

/** Saves one or more fields of Take in. What is a part of a whole (history, a tick, a picture of a loose item) is put to what is there. */
export async function saveTakeIn(raw: z.infer<typeof input>): Promise<ActionResult> {
  return act(input, raw, async ({ number, version, fields: f, tick }) => {
    const { promised, priceLimit, past, loosePictures, ...rest } = f;
    const job = await loadHead(number);
    if (!job) throw new Fault("number", `there is no job ${number}`);
    const ticked = tick && { [tick.list]: [...job[tick.list].filter((x) => x !== tick.item), ...(tick.on ? [tick.item] : [])] };
    const set = {
      ...rest,
      ...ticked,
      ...(past === undefined ? {} : { past: { ...job.past, ...past, years: past.years === null ? undefined : (past.years ?? job.past.years) } }),
      ...(loosePictures === undefined ? {} : { loosePictures: { ...job.loosePictures, ...loosePictures } }),
      ...(promised === undefined ? {} : { promised: promised || undefined }),
      ...(priceLimit === undefined ? {} : { priceLimit: priceLimit ?? undefined }),
    };
    const says = (v: unknown): string =>
      Array.isArray(v)
        ? v.join(", ")
        : v === true
          ? "yes"
          : v === false
            ? "no"
            : v !== null && typeof v === "object"
              ? Object.values(v).filter(Boolean).join(", ")
              : String(v ?? "none");
    const what = Object.entries(f).map(([k, v]) => `${NAMES[k] ?? k}: ${says(v)}`);
    if (tick) what.push(`${NAMES[tick.list] ?? tick.list}: ${tick.item} ${tick.on ? "yes" : "no"}`);
    return setHead(number, version, set, what.join("; "));
  });
}

const customerInput = z.object({ ...onJob, name: text.optional(), contact: text.optional() });
export async function saveCustomer(raw: z.infer<typeof customerInput>): Promise<ActionResult> {
  return act(customerInput, raw, ({ number, version, ...said }) => setCustomer(number, version, said));
}

const variantInput = z.object({
  ...onJob,
  variant: z.string().trim().min(1, "give the variant a name").max(80, "must be shorter than 80 letters"),
  mark: z.string().trim().min(3, "say by which mark it is told").max(200, "must be shorter than 200 letters"),
});
export async function learnVariant(raw: z.infer<typeof variantInput>): Promise<ActionResult> {
  return act(variantInput, raw, ({ number, version, ...taught }) => teachVariant(number, version, taught));
}

const dateCodeInput = z.object({ ...onJob, text: z.string().max(200) });
export async function learnDateCode(raw: z.infer<typeof dateCodeInput>): Promise<ActionResult> {
  return act(dateCodeInput, raw, ({ number, version, text: said }) => teachDateCode(number, version, said));
}

/** A new job at once, so that nothing typed has no place to go. */
export async function takeInUnit(): Promise<void> {
  redirect(`/jobs/${await createJob()}/take-in`);
}
