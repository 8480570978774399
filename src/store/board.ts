import type { Knex } from "knex";
import { z } from "zod";
import type { Frozen } from "@/core/frozen";
import { jobHead } from "@/core/job/job";
import { database } from "./database";
import { DamagedRow, type Row, rowsOf } from "./rows";

/** What the board shows of a job: a few facts of its head, and a picture. */
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
    waiting: true,
    ending: true,
  })
  .extend({ picture: z.string().optional() });
export type BoardJob = Frozen<z.infer<typeof boardJob>>;
const boardJobs = rowsOf("jobs", boardJob);

const PICTURE =
  "(select sha256 from job_pictures p where p.job_id = jobs.id order by (p.role = 'finding') desc, (p.role = 'intake') desc, p.id limit 1) as picture";
const COLUMNS = Object.keys(boardJob.omit({ picture: true }).shape).map(
  (f) => `jobs.${boardJobs.column(boardJob.keyof().parse(f))}`,
);

/** A job on the board, and the version by which it is told whether it has moved. */
export interface BoardPlace {
  readonly id: number;
  readonly version: number;
}

/** Every open job, the most urgent promise first, and behind them those handed back in the last `days`. */
export async function boardOrder(today: string, days = 7, at?: Knex): Promise<BoardPlace[]> {
  const db = at ?? (await database());
  const since = new Date(new Date(today).getTime() - days * 86_400_000).toISOString();
  const order = "promised is null, promised, length(number), number";
  const open: BoardPlace[] = await db("jobs")
    .select("id", "version")
    .whereNull("handed_back_at")
    .orderByRaw(order);
  const back: BoardPlace[] = await db("jobs")
    .select("id", "version")
    .where("handed_back_at", ">", since)
    .orderByRaw(order);
  return [...open, ...back];
}

/** A job whose own row cannot be read: that there is one, and what is wrong. */
export interface DamagedJob {
  readonly id: number;
  readonly number: string;
  readonly version: number;
  readonly damage: string;
}

/** What the board shows of these jobs. One that cannot be read stops none of the others. */
export async function boardJobsOf(ids: readonly number[], at?: Knex): Promise<(BoardJob | DamagedJob)[]> {
  if (!ids.length) return [];
  const db = at ?? (await database());
  const rows: Row[] = await db("jobs")
    .select(COLUMNS)
    .select(db.raw(PICTURE))
    .whereIn("id", [...ids]);
  return rows.map((row) => {
    try {
      return boardJobs.read(row);
    } catch (e) {
      if (!(e instanceof DamagedRow)) throw e;
      return {
        id: Number(row.id),
        number: String(row.number),
        version: Number(row.version),
        damage: e.message,
      };
    }
  });
}
