import type { Knex } from "knex";
import { z } from "zod";
import { jobHead } from "@/core/job/job";
import { isFailure } from "@/core/judge/failure-modes";
import type { PastJob } from "@/core/record/record";
import { database } from "./database";
import { type Row as JobRow, readable, rowsOf } from "./rows";

const pastHead = jobHead.pick({
  id: true,
  number: true,
  kind: true,
  maker: true,
  model: true,
  takenIn: true,
  handedBackAt: true,
  warrantyOf: true,
  complaint: true,
  past: true,
  causes: true,
});
const heads = rowsOf("jobs", pastHead);
const COLUMNS = pastHead.keyof().options.map((f) => heads.column(f));

/** A pause that is longer is no work on this unit, min. */
const PAUSE_MIN = 30;

const ofJob = { job_id: z.int() };
const partRow = z.object({ ...ofJob, ref: z.string(), name: z.string(), kind: z.string().nullable() });
const findingRow = z.object({
  ...ofJob,
  part: z.string(),
  mode: z.string().nullable(),
  chosen: z.string().nullable(),
});
const arrivalRow = z.object({
  ...ofJob,
  number: z.string(),
  supplier: z.string(),
  decision: z.string().nullable(),
});
const stepRow = z.object({ ...ofJob, at: z.string().nullable(), facts: z.string().nullable() });
const lineRow = z.object({ ...ofJob, at: z.string() });

/** Every job that went home, as the record asks of it; by five queries, whatever their number. */
export async function pastJobs(at?: Knex): Promise<PastJob[]> {
  const db = at ?? (await database());
  const rows: JobRow[] = await db("jobs")
    .whereNotNull("handed_back_at")
    .select(...COLUMNS)
    .orderBy("handed_back_at");
  const of = async <T extends { job_id: number }>(
    table: string,
    row: z.ZodObject & z.ZodType<T>,
  ): Promise<Map<number, T[]>> => {
    const columns = Object.keys(row.shape);
    const found: unknown[] = await db(table)
      .whereIn("job_id", db("jobs").whereNotNull("handed_back_at").select("id"))
      .select(columns);
    const byJob = new Map<number, T[]>();
    for (const r of found.map((f) => row.parse(f))) {
      const own = byJob.get(r.job_id);
      if (own) own.push(r);
      else byJob.set(r.job_id, [r]);
    }
    return byJob;
  };
  const parts = await of("parts", partRow);
  const findings = await of("findings", findingRow);
  const arrivals = await of("arrivals", arrivalRow);
  const steps = await of("steps", stepRow);
  const lines = await of("lines_done", lineRow);
  return rows.flatMap(readable(heads)).map((j): PastJob => {
    const named = new Map((parts.get(j.id) ?? []).map((p) => [p.ref, p]));
    const own = steps.get(j.id) ?? [];
    return {
      number: j.number,
      kind: j.kind,
      maker: j.maker,
      model: j.model,
      takenIn: j.takenIn,
      handedBackAt: j.handedBackAt ?? j.takenIn,
      warrantyOf: j.warrantyOf,
      complaint: j.complaint,
      years: j.past.years,
      causes: j.causes.chosen ?? [],
      failed: (findings.get(j.id) ?? []).flatMap((f) => {
        const part = named.get(f.part);
        return part && f.mode && isFailure(f.mode)
          ? [
              {
                name: part.name,
                ...(part.kind && { kind: part.kind }),
                mode: f.mode,
                ...(f.chosen ? { chosen: f.chosen } : {}),
              },
            ]
          : [];
      }),
      arrived: (arrivals.get(j.id) ?? []).flatMap((a) =>
        a.decision ? [{ number: a.number, supplier: a.supplier, decision: a.decision }] : [],
      ),
      // off, and the same back on
      planned: 2 * own.reduce((sum, s) => sum + minutesIn(s.facts), 0),
      real: worked([...own.map((s) => s.at), ...(lines.get(j.id) ?? []).map((l) => l.at)]),
    };
  });
}

const timed = z.object({ minutes: z.number().optional() }).catch({});

function minutesIn(facts: string | null): number {
  try {
    return timed.parse(JSON.parse(facts ?? "{}")).minutes ?? 0;
  } catch {
    return 0;
  }
}

/**
 * Minutes between the moments that something was written down, long pauses left out; undefined: there are too
 * few moments to tell.
 */
function worked(moments: readonly (string | null)[]): number | undefined {
  const at = moments
    .flatMap((m) => (m && Number.isFinite(Date.parse(m)) ? [Date.parse(m)] : []))
    .sort((a, b) => a - b);
  if (at.length < 4) return undefined;
  const gaps = at.slice(1).map((t, i) => (t - (at[i] as number)) / 60_000);
  const sum = gaps.filter((g) => g <= PAUSE_MIN).reduce((a, b) => a + b, 0);
  return sum >= 1 ? Math.round(sum) : undefined;
}
