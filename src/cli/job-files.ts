import { createWriteStream } from "node:fs";
import { rm, stat } from "node:fs/promises";
import { pipeline } from "node:stream/promises";
import { Fault } from "@/core/fault";
import { packJob, readJobParcel } from "@/exchange/job-zip";
import { database } from "@/store/database";
import { parcelOf, takeInJobFile } from "@/store/job-file";
import { codeOf } from "./not-read";

/**
 * `job export NUMBER [--out FILE]`: writes the ZIP, answers where it lies, and the pictures that could not go
 * along.
 */
export async function exportJob(number: string | undefined, out: string | undefined): Promise<void> {
  try {
    if (!number) throw new Fault("number", "say which job: job export J-0142");
    const parcel = await parcelOf(number);
    const file = typeof out === "string" ? out : `${number}.demontage.zip`;
    try {
      await pipeline(packJob(parcel), createWriteStream(file));
    } catch (e) {
      await rm(file, { force: true });
      throw e instanceof Fault
        ? e
        : new Fault(file, `cannot be written: ${codeOf(e) ?? "the disk refused it"}`);
    }
    const { missing, pictures } = parcel;
    process.stdout.write(
      `${JSON.stringify({ file, bytes: (await stat(file)).size, pictures: pictures.size, ...(missing.length ? { missing } : {}) })}\n`,
    );
  } finally {
    await (await database()).destroy();
  }
}

/**
 * `job import FILE [--as-new]`: takes a ZIP or a job.json into the shop, answers its number, and the pictures
 * that were not in it.
 */
export async function importJob(file: string | undefined, asNew: boolean): Promise<void> {
  try {
    if (!file) throw new Fault("file", "say which file: job import J-0142.demontage.zip");
    if (!(await stat(file).catch(() => null))?.isFile())
      throw new Fault(file, "there is no such file, or it cannot be read");
    const { number, missing } = await readJobParcel(file, (parcel) => takeInJobFile(parcel, asNew));
    process.stdout.write(`${JSON.stringify({ number, ...(missing.length ? { missing } : {}) })}\n`);
  } finally {
    await (await database()).destroy();
  }
}
