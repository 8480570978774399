import { createHash } from "node:crypto";
import { existsSync } from "node:fs";
import { mkdir, open, readFile, rename, rm } from "node:fs/promises";
import { join } from "node:path";
import sharp, { type Sharp } from "sharp";
import { Fault } from "@/core/fault";
import type { JobPicture } from "@/core/job/picture";
import { changeJob } from "./change";
import { database, dataFolder } from "./database";
import { records } from "./tables";

export const MOST_BYTES = 25 * 1024 * 1024;
const ENDINGS: Readonly<Record<string, string>> = { jpeg: "jpg", png: "png", webp: "webp" };
const THUMB_PX = 360;
/** a picture of more than this many pixels would take minutes and gigabytes to decode */
const MOST_PIXELS = 120_000_000;

const folder = (): string => join(dataFolder(), "pictures");
const thumbs = (): string => join(dataFolder(), "thumbs");

export interface StoredPicture {
  readonly sha256: string;
  readonly type: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: number;
}

/**
 * Keeps a picture: looked through, turned upright, named by the SHA-256 of its bytes, written and flushed before any row names it.
 *
 * Refuses what is larger than 25 MB, no JPEG, PNG or WebP, or broken, with a sentence; nothing half-written stays behind.
 */
export async function keepPicture(bytes: Buffer): Promise<StoredPicture> {
  if (bytes.length === 0) throw new Fault("picture", "The picture is empty.");
  if (bytes.length > MOST_BYTES) throw new Fault("picture", `The picture has ${(bytes.length / 1048576).toFixed(1)} MB; the maximum is 25 MB.`);
  const { upright, format, width, height } = await uprightPicture(bytes);
  const thumb = await broken(() =>
    sharp(upright, { limitInputPixels: MOST_PIXELS, failOn: "truncated" })
      .resize(THUMB_PX, THUMB_PX, { fit: "inside", withoutEnlargement: true })
      .flatten({ background: "#f4efe4" })
      .jpeg({ quality: 80 })
      .toBuffer(),
  );
  const sha256 = createHash("sha256").update(upright).digest("hex");
  await writeFlushed(folder(), `${sha256}.${ENDINGS[format]}`, upright);
  await writeFlushed(thumbs(), `${sha256}.jpg`, thumb);
  return { sha256, type: `image/${format}`, width, height, bytes: upright.length };
}

async function uprightPicture(bytes: Buffer): Promise<{ upright: Buffer; format: string; width: number; height: number }> {
  const image = (): Sharp => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: "truncated" });
  const meta = await image()
    .metadata()
    .catch(() => null);
  if (!meta?.format || !(meta.format in ENDINGS)) throw new Fault("picture", "This is no JPEG, PNG or WebP picture.");
  if (meta.width * meta.height > MOST_PIXELS) throw new Fault("picture", "The picture has too many pixels; the maximum is 120 million.");
  if ((meta.orientation ?? 1) === 1) return { upright: bytes, format: meta.format, width: meta.width, height: meta.height };
  const turned = image().rotate();
  if (meta.format === "jpeg") turned.jpeg({ quality: 92 });
  const { data, info } = await broken(() => turned.toBuffer({ resolveWithObject: true }));
  return { upright: data, format: meta.format, width: info.width, height: info.height };
}

async function broken<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch {
    throw new Fault("picture", "The picture is broken off or damaged and was not kept.");
  }
}

/** Written beside, flushed, then renamed: after a power cut there is the whole file or none. */
async function writeFlushed(dir: string, name: string, bytes: Buffer): Promise<void> {
  await mkdir(dir, { recursive: true });
  const place = join(dir, name);
  if (existsSync(place)) return;
  const part = `${place}.${process.pid}.${Math.random().toString(36).slice(2)}.part`;
  try {
    const file = await open(part, "wx");
    try {
      await file.writeFile(bytes);
      await file.sync();
    } finally {
      await file.close();
    }
    await rename(part, place);
    const parent = await open(dir, "r");
    await parent.sync().finally(() => parent.close());
  } catch (e) {
    await rm(part, { force: true });
    throw e;
  }
}

/** Keeps a picture and gives it to a job. Answers its name in the job and the job's new version. */
export async function addPicture(
  number: string,
  bytes: Buffer,
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
  const sent =
    where.key &&
    (await db("job_pictures")
      .join("jobs", "jobs.id", "job_pictures.job_id")
      .where({ "jobs.number": number, "job_pictures.key": where.key })
      .first("job_pictures.name", "job_pictures.sha256", "jobs.version"));
  if (sent) return { picture: { name: sent.name, sha256: sent.sha256, role: where.role }, version: sent.version };
  const kept = await keepPicture(bytes);
  let picture: JobPicture = { sha256: kept.sha256, name: "", role: where.role };
  const version = await changeJob(number, "beside", async ({ trx, job, at }) => {
    await trx("pictures")
      .insert({ ...kept, at })
      .onConflict("sha256")
      .ignore();
    const names: { name: string }[] = await trx("job_pictures").where({ job_id: job.id }).select("name");
    const n = names.reduce((max, r) => Math.max(max, Number.parseInt(r.name, 10) || 0), 0) + 1;
    const name = `${String(n).padStart(4, "0")}.${kept.type === "image/jpeg" ? "jpg" : kept.type.slice(6)}`;
    // taken for a step that has been laid down meanwhile: it belongs there. Of a step that was taken back meanwhile it stays with the job, with no step
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
    picture = { sha256: kept.sha256, name, role: where.role, ...(step ? { step } : {}), ...(where.part ? { part: where.part } : {}) };
    return `picture ${name}`;
  });
  return { picture, version };
}

/** A picture's bytes and type, or null. `thumb` is the small one, made once when it came in. */
export async function readPicture(sha256: string, thumb: boolean): Promise<{ bytes: Buffer; type: string } | null> {
  if (!/^[0-9a-f]{64}$/.test(sha256)) return null;
  if (thumb)
    return readFile(join(thumbs(), `${sha256}.jpg`)).then(
      (bytes) => ({ bytes, type: "image/jpeg" }),
      () => null,
    );
  const row = await (await database())("pictures").where({ sha256 }).first();
  if (!row) return null;
  const ending = ENDINGS[(row.type as string).slice(6)];
  return readFile(join(folder(), `${sha256}.${ending}`)).then(
    (bytes) => ({ bytes, type: row.type as string }),
    () => null,
  );
}
