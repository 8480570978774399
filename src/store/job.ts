import type { Knex } from "knex";
import { Fault } from "@/core/fault";
import type { Hardware } from "@/core/hardware/piece";
import type { Job, JobHead } from "@/core/job/job";
import { assembliesChanged, notAskedOf, ownAssemblies } from "./assemblies";
import { database } from "./database";
import type { Row } from "./rows";
import { records } from "./tables";

/** The head of a job, or null where there is no such number. */
export async function loadHead(number: string, at?: Knex): Promise<JobHead | null> {
  const db = at ?? (await database());
  const row: Row | undefined = await db("jobs").where({ number }).first();
  return row ? records.jobs.read(row) : null;
}

/** The job, or its head, that was found. @throws Fault where there is none of that number */
export function thereIs<T>(found: T | null, number: string): T {
  if (found === null) throw new Fault("number", `there is no job ${number}`);
  return found;
}

/**
 * Rows as they were last read, with the records they gave: a row that says the same is not read again. A
 * change touches a few rows of a job, and the rest of it stands.
 */
type Held = Map<string, Map<unknown, { readonly row: Row; readonly record: unknown }>>;

function sameRow(a: Row, b: Row): boolean {
  for (const column in a) if (a[column] !== b[column]) return false;
  return true;
}

/** Reads a table's rows, those that are held already as they were held. */
function throughHeld(held: Held): <T>(table: string, row: Row, read: (row: Row) => T) => T {
  return (table, row, read) => {
    if (row.id === undefined) return read(row);
    let own = held.get(table);
    if (!own) {
      own = new Map();
      held.set(table, own);
    }
    const before = own.get(row.id);
    // what is held under a table's key was read by that table's reader
    if (before && sameRow(row, before.row)) return before.record as ReturnType<typeof read>;
    const record = read(row);
    own.set(row.id, { row, record });
    return record;
  };
}

/** Jobs as pages last saw them, the least lately seen first. */
const seen = new Map<string, { readonly job: Job; readonly held: Held; readonly changes: number }>();
const MOST_SEEN = 40;

/**
 * A whole job for a page: read again only if its version has moved since it was last read. Every change of a
 * job goes through `changeJob`, which
 * raises the version in the same transaction, also from another process; so one small query tells whether
 * what is held still stands.
 * Not for use inside a transaction, where the rows move before the version does.
 */
export async function currentJob(number: string, at?: Knex): Promise<Job | null> {
  const db = at ?? (await database());
  const row: { id: number; version: number } | undefined = await db("jobs")
    .where({ number })
    .first("id", "version");
  if (!row) return null;
  const before = seen.get(number);
  seen.delete(number);
  const ours = before?.job.id === row.id ? before : undefined;
  const held: Held = ours?.held ?? new Map();
  const job =
    ours?.job.version === row.version && ours.changes === assembliesChanged()
      ? ours.job
      : await readJob(db, number, held);
  if (job) seen.set(number, { job, held, changes: assembliesChanged() });
  const [oldest] = seen.keys();
  if (seen.size > MOST_SEEN && oldest !== undefined) seen.delete(oldest);
  return job;
}

/** A whole job, or null where there is no such number. */
export async function loadJob(number: string, at?: Knex): Promise<Job | null> {
  return readJob(at ?? (await database()), number, new Map());
}

async function readJob(db: Knex, number: string, held: Held): Promise<Job | null> {
  const head = await loadHead(number, db);
  if (!head) return null;
  const through = throughHeld(held);
  const of = async <T>(table: string, order: string, read: (row: Row) => T): Promise<T[]> => {
    const rows: Row[] = await db(table).where({ job_id: head.id }).orderBy(order);
    return rows.map((row) => through(table, row, read));
  };
  const hardware = new Map<unknown, Hardware[]>();
  const pieceRows: Row[] = await db("hardware").where({ job_id: head.id }).orderBy("position");
  for (const row of pieceRows) {
    const pieces = hardware.get(row.step);
    const piece = through("hardware", row, records.hardware.read);
    if (pieces) pieces.push(piece);
    else hardware.set(row.step, [piece]);
  }
  const kept: Row[] = await db("job_pictures")
    .join("pictures", "pictures.sha256", "job_pictures.sha256")
    .where({ job_id: head.id })
    .select("job_pictures.*", "pictures.width", "pictures.height")
    .orderBy("job_pictures.id");
  const pictures = kept.map((row) => through("job_pictures", row, records.job_pictures.read));
  const names = new Map<string, string[]>();
  for (const p of pictures) if (p.step) names.set(p.step, [...(names.get(p.step) ?? []), p.name]);
  const done: { line: string; at: string }[] = await db("lines_done")
    .where({ job_id: head.id })
    .orderBy("at")
    .select("line", "at");
  return {
    ...head,
    parts: await of("parts", "position", records.parts.read),
    steps: (await of("steps", "position", records.steps.read)).map((s) => {
      const [pieces, shown] = [hardware.get(s.id), names.get(s.id)];
      return { ...s, ...(pieces ? { hardware: pieces } : {}), ...(shown ? { pictures: shown } : {}) };
    }),
    services: await of("services", "position", records.services.read),
    lubePoints: await of("lube_points", "position", records.lube_points.read),
    findings: await of("findings", "id", records.findings.read),
    readings: await of("readings", "id", records.readings.read),
    answers: await of("answers", "at", records.answers.read),
    linesDone: done.map((r) => r.line),
    linesAt: Object.fromEntries(done.map((r) => [r.line, r.at])),
    pictures,
    quotes: await of("quotes", "id", records.quotes.read),
    orders: await of("orders", "id", records.orders.read),
    arrivals: await of("arrivals", "id", records.arrivals.read),
    notAsked: await notAskedOf(db, head.kind ?? "", head.id),
    ownAssemblies: await ownAssemblies(db),
  };
}
