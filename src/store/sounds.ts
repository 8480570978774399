import { z } from "zod";
import { Fault } from "@/core/fault";
import { readWav } from "@/core/sound/wav";
import { changeJob } from "./change";
import { database } from "./database";

/** When a unit was recorded: as it came in, or as it goes out. */
export const MOMENTS = ["before", "after"] as const;
export type SoundMoment = (typeof MOMENTS)[number];

/** A recording of a job, without its samples. */
export interface KeptSound {
  readonly id: number;
  readonly moment: SoundMoment;
  /** ISO 8601 */
  readonly at: string;
  readonly seconds: number;
}

/** Of one moment; older ones go. */
const MOST_OF_ONE = 3;
/** A kept recording is short, mono and thinned. */
export const MOST_SOUND_BYTES = 2_500_000;

const row = z.object({ id: z.number(), moment: z.enum(MOMENTS), at: z.string(), seconds: z.number() });

/** Recordings of a job, the newest first. */
export async function soundsOf(jobId: number): Promise<KeptSound[]> {
  const rows: unknown[] = await (await database())("sounds")
    .where({ job_id: jobId })
    .orderBy("id", "desc")
    .select("id", "moment", "at", "seconds");
  return rows.map((r) => row.parse(r));
}

/** @throws Fault for what is no recording */
export async function addSound(number: string, moment: SoundMoment, wav: Buffer): Promise<number> {
  if (wav.length > MOST_SOUND_BYTES)
    throw new Fault("wav", "this recording is larger than what is kept: ten seconds are enough");
  const { seconds } = readWav(wav);
  return changeJob(number, "beside", async ({ trx, job, at }) => {
    await trx("sounds").insert({ job_id: job.id, moment, at, seconds, wav });
    const kept: { id: number }[] = await trx("sounds")
      .where({ job_id: job.id, moment })
      .orderBy("id", "desc")
      .select("id");
    await trx("sounds")
      .whereIn(
        "id",
        kept.slice(MOST_OF_ONE).map((r) => r.id),
      )
      .delete();
    return `recorded ${moment === "before" ? "before" : "after"} the repair, ${seconds.toFixed(0)} s`;
  });
}

export async function removeSound(number: string, version: number, id: number): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    if (!(await trx("sounds").where({ job_id: job.id, id }).delete()))
      throw new Fault("sound", "this recording is gone already");
    return "took a recording away";
  });
}

/** The WAV file of a recording, or null. */
export async function soundBytes(number: string, id: number): Promise<Buffer | null> {
  const found: { wav: Buffer } | undefined = await (await database())("sounds")
    .join("jobs", "jobs.id", "sounds.job_id")
    .where({ "jobs.number": number, "sounds.id": id })
    .first("sounds.wav");
  return found?.wav ?? null;
}
