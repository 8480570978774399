import type { Knex } from "knex";
import type { JobHead } from "@/core/job/job";
import { database } from "./database";
import { readable } from "./rows";
import { records } from "./tables";

/** What a list of found jobs shows. */
export type FoundJob = Pick<
  JobHead,
  | "number"
  | "kind"
  | "maker"
  | "model"
  | "serial"
  | "customerName"
  | "complaint"
  | "stage"
  | "takenIn"
  | "handedBackAt"
  | "warrantyOf"
>;

/** More than a screen holds are not looked through: another word finds what is meant. */
export const MOST_JOBS = 40;

/**
 * Typed words as the index is asked for them: all of them must be there, each may go on. Null: nothing was
 * typed that could be found.
 */
export function askedWords(typed: string): string | null {
  const words = typed.normalize("NFKC").match(/[\p{L}\p{N}]+/gu) ?? [];
  return words.length
    ? words
        .slice(0, 12)
        .map((w) => `"${w}"*`)
        .join(" AND ")
    : null;
}

/**
 * Jobs that have all the words that were typed, the newest first: a number (also without its zeros), a unit,
 * a part, a serial number, a customer. A tag that is scanned types its number.
 */
export async function findJobs(typed: string, most = MOST_JOBS, at?: Knex): Promise<FoundJob[]> {
  const db = at ?? (await database());
  const asked = askedWords(typed);
  if (!asked) return [];
  const digits = /^\s*(?:j-?\s*)?(\d{1,6})\s*$/i.exec(typed)?.[1];
  const exact: { id: number }[] = digits
    ? await db("jobs")
        .where({ number: `J-${digits.padStart(4, "0")}` })
        .select("id")
    : [];
  const found: { rowid: number }[] = await db("job_words")
    .whereRaw("job_words match ?", [asked])
    .orderBy("rowid", "desc")
    .limit(most)
    .select("rowid");
  const ids = [...new Set([...exact.map((r) => r.id), ...found.map((r) => r.rowid)])].slice(0, most);
  const rows = await db("jobs").whereIn("id", ids);
  const byId = new Map(rows.map((r) => [Number(r.id), r]));
  return ids.flatMap((id) => {
    const row = byId.get(id);
    return row ? readable(records.jobs)(row).map(asFound) : [];
  });
}

const asFound = ({
  number,
  kind,
  maker,
  model,
  serial,
  customerName,
  complaint,
  stage,
  takenIn,
  handedBackAt,
  warrantyOf,
}: FoundJob): FoundJob => ({
  number,
  kind,
  maker,
  model,
  serial,
  customerName,
  complaint,
  stage,
  takenIn,
  handedBackAt,
  warrantyOf,
});
