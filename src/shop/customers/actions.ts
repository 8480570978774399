"use server";

import { z } from "zod";
import { readWith } from "@/core/fault";
import { jobNumber, text } from "@/core/job/written";
import { forgetCustomer, forgetInJob } from "@/store/forget";
import { answered, type FormAnswer } from "../forms/answered";

const customer = z.strictObject({ name: text, contact: text });

/** Takes a customer out of the book and out of every job. Answers in how many jobs they were. */
export async function forget(raw: z.infer<typeof customer>): Promise<FormAnswer> {
  return answered("owner", async () => String(await forgetCustomer(readWith(customer, raw))));
}

const ofJob = z.strictObject({ number: jobNumber });
/** Takes the personal part of one job out. */
export async function forgetOfJob(raw: z.infer<typeof ofJob>): Promise<FormAnswer> {
  return answered("owner", async () => {
    const { number } = readWith(ofJob, raw);
    await forgetInJob(number);
    return number;
  });
}
