"use server";

import { revalidatePath } from "next/cache";
import { z } from "zod";
import { Fault, readWith } from "@/core/fault";
import { changeRates, setSetting } from "@/store/settings";
import { RATE_FIELDS } from "./rate-fields";

const input = z.object({ key: z.string(), text: z.string().max(20) });

/** Sets one of the shop's figures, as it is typed. Answers what was wrong with it; null: it is set. */
export async function setRate(raw: z.infer<typeof input>): Promise<string | null> {
  try {
    const { key, text } = readWith(input, raw);
    const field = RATE_FIELDS.find((f) => f.key === key);
    if (!field) throw new Fault("key", "There is no such figure.");
    const typed = text.trim().replace(",", ".");
    if (!/^\d+(\.\d{1,2})?$/.test(typed)) throw new Fault("text", `“${text}” is not a figure: write it as 60 or 7.50.`);
    const value = Number(typed);
    if (value > field.max) throw new Fault("text", `The maximum is ${field.max}.`);
    if (field.key === "testMinutes" || field.key === "cleaningCost") await setSetting(field.key, value);
    else await changeRates({ [field.key]: value });
    revalidatePath("/", "layout");
    return null;
  } catch (e) {
    if (e instanceof Fault) return e.says;
    throw e;
  }
}
