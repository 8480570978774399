import type { Knex } from "knex";
import type { JobPicture } from "@/core/job/picture";
import { changeJob } from "./change";
import { database } from "./database";
import {
  jpegForPaper,
  keepPicture,
  pictureBytes,
  type StoredPicture,
  thumbBytes,
  wholePicture,
} from "./picture-files";
import { records } from "./tables";

/** Keeps a picture and gives it to a job. Answers its name in the job and the job's new version. */
export async function addPicture(
  number: string,
  from: Buffer | string,
  where: {
    role: JobPicture["role"];
    step?: string;
    part?: string;
    /** the sender's own name for the picture: sent twice by a retry, it is kept once */
    key?: string;
    /** the recorder's own name for the step it is of, which may not be laid down yet */
    stepKey?: string;
  },
): Promise<{ picture: JobPicture; version: number }> {
  const db = await database();
  const there = where.key ? await arrivedAs(number, where.key, db) : null;
  // one that was sent again because it is gone from the disk is kept again; else its name and place are there
  // already
  if (there?.whole) return there.answer;
  const kept = await keepPicture(from);
  if (there) return { ...there.answer, ...(await sentAgain(number, where.key ?? "", kept, there.answer)) };
  let picture: JobPicture = { sha256: kept.sha256, name: "", role: where.role };
  const version = await changeJob(number, "beside", async ({ trx, job, at }) => {
    if (where.key && (await trx("job_pictures").where({ job_id: job.id, key: where.key }).first("id")))
      throw new Twice();
    await trx("pictures")
      .insert({ ...kept, at })
      .onConflict("sha256")
      .ignore();
    const names: { name: string }[] = await trx("job_pictures").where({ job_id: job.id }).select("name");
    const n = names.reduce((max, r) => Math.max(max, Number.parseInt(r.name, 10) || 0), 0) + 1;
    const name = `${String(n).padStart(4, "0")}.${kept.type === "image/jpeg" ? "jpg" : kept.type.slice(6)}`;
    // taken for a step that has been laid down meanwhile: it belongs there. Of a step that was taken back
    // meanwhile it stays with the job, with no step
    const of = where.step ? { ref: where.step } : where.stepKey ? { key: where.stepKey } : undefined;
    const laid: { ref: string } | undefined =
      of &&
      (await trx("steps")
        .where({ job_id: job.id, ...of })
        .first("ref"));
    const step = laid?.ref;
    const { role, part, stepKey } = where;
    await trx("job_pictures").insert({
      job_id: job.id,
      key: where.key ?? null,
      ...records.job_pictures.write({ sha256: kept.sha256, name, role, step, part, stepKey }),
    });
    picture = {
      sha256: kept.sha256,
      name,
      role: where.role,
      ...(step ? { step } : {}),
      ...(where.part ? { part: where.part } : {}),
    };
    return `picture ${name}`;
  }).catch((e) => {
    if (e instanceof Twice) return null;
    throw e;
  });
  const first = version === null && where.key ? await arrivedAs(number, where.key, db) : null;
  return first?.answer ?? { picture, version: version ?? 0 };
}

/**
 * A picture that was gone or damaged came again: its bytes are there now. Where they are kept otherwise than
 * they were then, the job's picture is the new one.
 */
async function sentAgain(
  number: string,
  key: string,
  kept: StoredPicture,
  { picture }: { readonly picture: JobPicture },
): Promise<{ picture: JobPicture; version: number } | null> {
  if (kept.sha256 === picture.sha256) return null;
  const version = await changeJob(number, "beside", async ({ trx, job, at }) => {
    await trx("pictures")
      .insert({ ...kept, at })
      .onConflict("sha256")
      .ignore();
    await trx("job_pictures").where({ job_id: job.id, key }).update({ sha256: kept.sha256 });
    return `picture ${picture.name}, sent again`;
  });
  return { picture: { ...picture, sha256: kept.sha256 }, version };
}

/** The same picture came twice at once; the other one was first. */
class Twice extends Error {}

/**
 * What is answered for a picture that arrived already, by the sender's own name for it; `whole` if its bytes
 * are there.
 */
async function arrivedAs(
  number: string,
  key: string,
  db: Knex,
): Promise<{ answer: { picture: JobPicture; version: number }; whole: boolean } | null> {
  const row = await db("job_pictures")
    .join("jobs", "jobs.id", "job_pictures.job_id")
    .join("pictures", "pictures.sha256", "job_pictures.sha256")
    .where({ "jobs.number": number, "job_pictures.key": key })
    .first("job_pictures.*", "jobs.version", "pictures.type");
  if (!row) return null;
  const { name, sha256, role } = records.job_pictures.read(row);
  const whole = (await wholePicture({ sha256, type: String(row.type) })) !== null;
  return { answer: { picture: { name, sha256, role }, version: Number(row.version) }, whole };
}

async function pictureRow(sha256: string): Promise<StoredPicture | null> {
  const row = await (await database())("pictures").where({ sha256 }).first();
  return row
    ? {
        sha256,
        type: String(row.type),
        width: Number(row.width),
        height: Number(row.height),
        bytes: Number(row.bytes),
      }
    : null;
}

/** A picture's bytes and type, or null. `thumb` is the small one, made when it came in. */
export async function readPicture(
  sha256: string,
  thumb: boolean,
): Promise<{ bytes: Buffer; type: string } | null> {
  if (!/^[0-9a-f]{64}$/.test(sha256)) return null;
  if (thumb) {
    const bytes = await thumbBytes(sha256, () => pictureRow(sha256));
    return bytes && { bytes, type: "image/jpeg" };
  }
  const row = await pictureRow(sha256);
  const bytes = row && (await pictureBytes(row));
  return bytes && { bytes, type: row.type };
}

/** A picture as a JPEG for paper, by its hash, or null. */
export async function printedPicture(sha256: string): Promise<Buffer | null> {
  const row = await pictureRow(sha256);
  return row && jpegForPaper(row);
}

/** What kind of file each of these pictures is, by its hash. */
export async function pictureTypes(hashes: readonly string[]): Promise<ReadonlyMap<string, string>> {
  const db = await database();
  const types = new Map<string, string>();
  for (let i = 0; i < hashes.length; i += 400)
    for (const r of await db("pictures")
      .whereIn("sha256", hashes.slice(i, i + 400))
      .select("sha256", "type"))
      types.set(String(r.sha256), String(r.type));
  return types;
}
