/** For tests: a parcel as the bytes of its file, and back, with every picture read. */
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { buffer } from "node:stream/consumers";
import { ZipFile } from "yazl";
import { heldPictures, type JobParcel } from "@/core/job/job-parcel";
import { packJob, readJobParcel } from "./job-zip";

export const packed = (parcel: JobParcel): Promise<Buffer> => buffer(packJob(parcel));

/** What the bytes hold; `pictures` as bytes. */
export async function unpacked(
  bytes: Uint8Array | string,
): Promise<JobParcel & { readonly bytes: ReadonlyMap<string, Uint8Array> }> {
  const folder = mkdtempSync(join(tmpdir(), "parcel-"));
  try {
    const path = join(folder, "file");
    writeFileSync(path, bytes);
    return await readJobParcel(path, async ({ file, pictures }) => {
      const read: [string, Uint8Array][] = [];
      for (const [name, its] of pictures) read.push([name, await its()]);
      return { file, pictures: heldPictures(read), bytes: new Map(read) };
    });
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** A ZIP of these entries. */
export function zipOf(
  entries: Readonly<Record<string, Uint8Array | string>>,
  mode = 0o100644,
): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [name, bytes] of Object.entries(entries))
    zip.addBuffer(Buffer.from(bytes), name, { mtime: new Date(2000, 0, 1), mode });
  zip.end();
  return buffer(zip.outputStream);
}
