"use server";

import { z } from "zod";
import { readWith } from "@/core/fault";
import { greasesTable } from "@/core/grease/grease-row";
import { settleOpenJobs } from "@/store/settle-open-jobs";
import { changeGrease, putOnShelf } from "@/store/shelf";
import { answered, type FormAnswer } from "../forms/answered";

const typedGrease = z.strictObject({
  /** the grease that is changed; null: a new one */
  id: z.string().max(60).nullable(),
  /** the fields of the form by the headings of the table */
  cells: z.record(z.string().max(40), z.string().max(200)),
});

/** Puts a grease on the shelf, or changes one, as its form was filled in. */
export async function saveGrease(raw: z.infer<typeof typedGrease>): Promise<FormAnswer> {
  return answered("bench", async () => {
    const { id, cells } = readWith(typedGrease, raw);
    const grease = greasesTable.read(cells);
    if (id === null) return putOnShelf(grease);
    await changeGrease(id, grease);
    await settleOpenJobs(id, grease.name);
    return id;
  });
}
