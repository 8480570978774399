import type { Knex } from "knex";
import { z } from "zod";
import type { Frozen } from "@/core/frozen";
import { type JobFacts, jobFacts } from "@/core/gates/open-gates";
import { jobHead } from "@/core/job/job";
import { database } from "./database";
import { type Row, rowsOf } from "./rows";

/** What the board shows of a job: a few facts of its head, a picture, and what its gates were last decided from. */
const boardJob = jobHead
  .pick({
    id: true,
    number: true,
    version: true,
    stage: true,
    kind: true,
    maker: true,
    model: true,
    complaint: true,
    customerName: true,
    promised: true,
    handedBackAt: true,
  })
  .extend({ picture: z.string().optional() });
export type BoardJob = Frozen<z.infer<typeof boardJob>>;
const boardJobs = rowsOf("jobs", boardJob);

export interface BoardRow {
  readonly job: BoardJob;
  /** null: never worked out, or the job has moved since */
  readonly facts: JobFacts | null;
}

const PICTURE =
  "(select sha256 from job_pictures p where p.job_id = jobs.id order by (p.role = 'finding') desc, (p.role = 'intake') desc, p.id limit 1) as picture";
const COLUMNS = Object.keys(boardJob.omit({ picture: true }).shape).map((f) => `jobs.${boardJobs.column(boardJob.keyof().parse(f))}`);

/** Every open job, the most urgent promise first, and behind them those handed back in the last `days`. */
export async function boardRows(today: string, days = 7, at?: Knex): Promise<BoardRow[]> {
  const db = at ?? (await database());
  const since = new Date(new Date(today).getTime() - days * 86_400_000).toISOString();
  const of = () => db("jobs").select(COLUMNS).select(db.raw(PICTURE));
  const open: Row[] = await of()
    .select("board_facts.facts", { facts_version: "board_facts.version" })
    .leftJoin("board_facts", "board_facts.job_id", "jobs.id")
    .whereNull("handed_back_at")
    .orderByRaw("promised is null, promised, number");
  const back: Row[] = await of().where("handed_back_at", ">", since).orderByRaw("promised is null, promised, number");
  return [...open, ...back].map((row) => ({ job: boardJobs.read(row), facts: row.facts_version === row.version ? factsFrom(row.facts) : null }));
}

/** What was kept; null where an older program kept something else. */
function factsFrom(kept: unknown): JobFacts | null {
  const read = jobFacts.safeParse(typeof kept === "string" ? JSON.parse(kept) : undefined);
  return read.success ? read.data : null;
}

/** Keeps what was worked out of a job, until it moves. */
export async function keepBoardFacts(kept: readonly { readonly id: number; readonly version: number; readonly facts: JobFacts }[], at?: Knex): Promise<void> {
  const db = at ?? (await database());
  if (!kept.length) return;
  await db("board_facts")
    .insert(kept.map(({ id, version, facts }) => ({ job_id: id, version, facts: JSON.stringify(facts) })))
    .onConflict("job_id")
    .merge();
}
