import { createHash } from "node:crypto";
import type { Knex } from "knex";
import { Fault } from "@/core/fault";
import { carriedOf, type JobFile, stripOf } from "@/core/job/job-file";
import { arrivalHooks, type JobFromFile, jobFileOf, jobFromFile } from "@/core/job/job-file-of";
import type { JobParcel } from "@/core/job/job-parcel";
import { checkStrip } from "@/core/order/checked-strip";
import { needsOf, undoOrder } from "@/core/order/undo-order";
import { withoutMetadata } from "@/core/picture/without-metadata";
import { database } from "./database";
import { inTurn } from "./in-turn";
import { loadHead, loadJob, thereIs } from "./job";
import { insertJob } from "./jobs";
import { keepPicture, type StoredPicture, wholePicture } from "./picture-files";
import { pictureTypes } from "./pictures";
import type { Row } from "./rows";
import { records } from "./tables";
import { signedBy } from "./who";

/**
 * A job of the shop, to be carried elsewhere. Each picture is compared with its hash; one that is gone or
 * damaged is left out and named, in the file and in the answer. Neither the customer nor what a camera wrote
 * into a
 * picture goes along.
 */
export async function parcelOf(number: string): Promise<JobParcel & { readonly missing: readonly string[] }> {
  const job = thereIs(await loadJob(number), number);
  const types = await pictureTypes(job.pictures.map((p) => p.sha256));
  const pictures = new Map<string, () => Promise<Uint8Array>>();
  const hashes = new Map<string, string>();
  const missing: string[] = [];
  for (const { name, sha256 } of job.pictures) {
    const bare = await toCarry(sha256, types.get(sha256));
    if (!bare) {
      missing.push(name);
      continue;
    }
    hashes.set(name, createHash("sha256").update(bare).digest("hex"));
    pictures.set(name, async () => {
      const bytes = await toCarry(sha256, types.get(sha256));
      if (!bytes) throw new Fault(name, "is damaged and cannot be carried along");
      return bytes;
    });
  }
  return { file: jobFileOf(job, { hashes, missing }), pictures, missing };
}

async function toCarry(sha256: string, type: string | undefined): Promise<Uint8Array | null> {
  const whole = type === undefined ? null : await wholePicture({ sha256, type });
  return whole && (withoutMetadata(whole) ?? whole);
}

/** What a file was taken in as, and the pictures that it names and does not hold. */
export interface TakenIn {
  readonly number: string;
  readonly missing: readonly string[];
}

/**
 * Takes a job file into the shop: all of it, or nothing. The strip must be sound, and every picture whole and
 * the one that its hash names; they are kept first, then the job is written in one transaction. A number that
 * the
 * shop has already is refused, unless it is taken in as a new job. A picture that a step names and the file
 * does not hold is refused, unless the file says that it is missing, or holds no pictures at all; then the
 * job's
 * history names it.
 */
export async function takeInJobFile({ file, pictures }: JobParcel, asNew = false): Promise<TakenIn> {
  const now = new Date();
  const checked = checkStrip(stripOf(file));
  undoOrder(checked, needsOf(checked));
  const carried = carriedOf(file);
  const saidMissing = new Set(carried.missingPictures);
  const missing = new Set(saidMissing);
  for (const [i, s] of file.steps.entries())
    for (const name of s.pictures ?? []) {
      if (pictures.has(name)) continue;
      if (pictures.size && !saidMissing.has(name))
        throw new Fault(`steps[${i}].pictures`, `there is no picture ${name} in the file`);
      missing.add(name);
    }
  const read = jobFromFile(file, now.toISOString());
  const twice = read.findings.map((f) => f.part).find((part, i, all) => all.indexOf(part) !== i);
  if (twice !== undefined) throw new Fault("findings", `there are two findings on ${twice}`);
  const db = await database();
  const own = asNew ? undefined : file.job?.number;
  if (own && (await loadHead(own, db)))
    throw new Fault(
      "job.number",
      `${own} is in this shop already; --as-new takes it in under the next number`,
    );
  const kept = await keepPictures(pictures, new Map((carried.pictures ?? []).map((p) => [p.name, p.sha256])));
  const { number: _theirs, ...head } = read.head;
  const number = await inTurn(db, async (trx) => {
    const job = await insertJob(trx, { ...head, ...(own ? { number: own } : {}) }, now);
    await fill(trx, job, read);
    const hooks = await fillBought(trx, job, read.bought);
    await fillPictures(trx, job.id, file, read, kept, hooks, now.toISOString());
    await trx("jobs").where({ id: job.id }).update({ version: 2 });
    const without = missing.size
      ? `, without its pictures ${[...missing].slice(0, 20).join(", ")}${missing.size > 20 ? " and more" : ""}`
      : "";
    await trx("history").insert({
      job_id: job.id,
      version: 2,
      at: now.toISOString(),
      what: `taken in from a job file${without}`,
      ...signedBy(),
    });
    return job.number;
  });
  return { number, missing: [...missing] };
}

/**
 * Keeps the pictures of a file one after the other, each compared with the hash that the file names it by.
 */
async function keepPictures(
  pictures: JobParcel["pictures"],
  hashes: ReadonlyMap<string, string | undefined>,
): Promise<ReadonlyMap<string, StoredPicture>> {
  const kept = new Map<string, StoredPicture>();
  for (const [name, read] of [...pictures].sort(([a], [b]) => (a < b ? -1 : 1))) {
    const bytes = Buffer.from(await read());
    const hash = hashes.get(name);
    if (hash && createHash("sha256").update(bytes).digest("hex") !== hash)
      throw new Fault(`pictures/${name}`, "is another picture than the file says: its hash does not agree");
    try {
      kept.set(name, await keepPicture(bytes));
    } catch (e) {
      throw e instanceof Fault ? new Fault(`pictures/${name}`, e.says) : e;
    }
  }
  return kept;
}

async function fill(trx: Knex, { id }: { id: number }, read: JobFromFile): Promise<void> {
  const put = async (table: string, rows: readonly Row[]): Promise<void> => {
    for (const row of rows) await trx(table).insert({ job_id: id, ...row });
  };
  const placed = <T>(things: readonly T[], write: (t: T) => Row): Row[] =>
    things.map((t, position) => ({ position, ...write(t) }));
  await put("parts", placed(read.parts, records.parts.write));
  await put("steps", placed(read.steps, ({ hardware: _h, pictures: _p, ...s }) => records.steps.write(s))); // biome-ignore format: one table, one line
  await put("hardware", placed(read.steps.flatMap((s) => (s.hardware ?? []).map((h) => ({ step: s.id, h }))), ({ step, h }) => ({ step, ...records.hardware.write(h) }))); // biome-ignore format: one table, one line
  await put("services", placed(read.services, records.services.write));
  await put("lube_points", placed(read.lubePoints, records.lube_points.write));
  await put("findings", read.findings.map(records.findings.write)); // biome-ignore format: one table, one line
  await put("readings", read.readings.map(records.readings.write)); // biome-ignore format: one table, one line
  await put("answers", read.answers.map(records.answers.write)); // biome-ignore format: one table, one line
  const at = new Date().toISOString();
  await put("lines_done", [...new Set(read.linesDone)].map((line) => ({ line, at: read.linesAt?.[line] ?? at }))); // biome-ignore format: one table, one line
}

/**
 * An order's reference begins with the job's number, which may be another one here. Answers what pictures of
 * arrivals hang on here, by what they hung on there.
 */
async function fillBought(
  trx: Knex,
  job: { id: number; number: string },
  bought: JobFromFile["bought"],
): Promise<ReadonlyMap<string, string>> {
  if (!bought) return new Map();
  const put = async (table: string, row: Row): Promise<number> => {
    const [id]: number[] = await trx(table).insert({ job_id: job.id, ...row });
    return id ?? 0;
  };
  for (const q of bought.quotes) await put("quotes", records.quotes.write(q));
  const orders: number[] = [];
  for (const o of bought.orders)
    orders.push(
      await put(
        "orders",
        records.orders.write({ ...o, reference: o.reference.replace(/^[^/]+/, job.number) }),
      ),
    );
  const arrivals: number[] = [];
  for (const { order, was: _was, ...a } of bought.arrivals)
    arrivals.push(
      await put(
        "arrivals",
        records.arrivals.write({ ...a, ...(order === undefined ? {} : { orderId: orders[order] }) }),
      ),
    );
  return arrivalHooks(bought.arrivals.map((a) => a.was), arrivals); // biome-ignore format: one call
}

async function fillPictures(
  trx: Knex,
  jobId: number,
  file: JobFile,
  read: JobFromFile,
  kept: ReadonlyMap<string, StoredPicture>,
  hooks: ReadonlyMap<string, string>,
  at: string,
): Promise<void> {
  const stepOf = new Map(file.steps.flatMap((s) => (s.pictures ?? []).map((name) => [name, s.id] as const)));
  for (const [name, picture] of kept) {
    const told = read.pictures.find((p) => p.name === name);
    const step = stepOf.get(name);
    await trx("pictures")
      .insert({ ...picture, at })
      .onConflict("sha256")
      .ignore();
    await trx("job_pictures").insert({
      job_id: jobId,
      ...records.job_pictures.write({
        sha256: picture.sha256,
        name,
        role: step ? "step" : (told?.role ?? "intake"),
        step,
        part: told?.part && (hooks.get(told.part) ?? told.part),
        marks: file.pictureMarks?.[name],
      }),
    });
  }
}
