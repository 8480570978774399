import { readFileSync, writeFileSync } from "node:fs";
import { Fault } from "@/core/fault";
import { packJob, unpackJob } from "@/exchange/job-zip";
import { database } from "@/store/database";
import { parcelOf, takeInJobFile } from "@/store/job-file";

/** `job export NUMBER [--out FILE]`: writes the ZIP, answers where it lies. */
export async function exportJob(number: string | undefined, out: string | undefined): Promise<void> {
  try {
    if (!number) throw new Fault("number", "say which job: job export J-0142");
    const parcel = await parcelOf(number);
    const file = typeof out === "string" ? out : `${number}.demontage.zip`;
    const bytes = packJob(parcel);
    writeFileSync(file, bytes);
    process.stdout.write(`${JSON.stringify({ file, bytes: bytes.length, pictures: parcel.pictures.size })}\n`);
  } finally {
    await (await database()).destroy();
  }
}

/** `job import FILE [--as-new]`: takes a ZIP or a job.json into the shop, answers its number. */
export async function importJob(file: string | undefined, asNew: boolean): Promise<void> {
  try {
    if (!file) throw new Fault("file", "say which file: job import J-0142.demontage.zip");
    let bytes: Uint8Array;
    try {
      bytes = readFileSync(file);
    } catch {
      throw new Fault(file, "there is no such file, or it cannot be read");
    }
    process.stdout.write(`${JSON.stringify({ number: await takeInJobFile(unpackJob(bytes), asNew) })}\n`);
  } finally {
    await (await database()).destroy();
  }
}
