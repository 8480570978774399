import { open, readFile, stat } from "node:fs/promises";
import { Readable } from "node:stream";
import { crc32 } from "node:zlib";
import { type Entry, openPromise, type ZipFile } from "yauzl";
import { ZipFile as NewZip } from "yazl";
import { Fault } from "@/core/fault";
import { readJobFile, writeJobJson } from "@/core/job/job-file";
import { MOST_JSON_BYTES } from "@/core/job/job-file-limits";
import type { JobParcel } from "@/core/job/job-parcel";

/** A fixed moment for every entry, so that the same job gives the same bytes. */
const MTIME = new Date(2000, 0, 1);
/** What one picture may have; the same as where pictures are kept. */
const MOST_PICTURE_BYTES = 25 * 2 ** 20;
const MOST_UNPACKED = 2 * 2 ** 30;
const MOST_ENTRIES = 5000;
const MB = 2 ** 20;

/**
 * A job with its pictures as `NUMBER.demontage.zip`, to be read as it is packed. The same parcel gives the
 * same bytes. A picture that cannot be read breaks it off.
 */
export function packJob({ file, pictures }: JobParcel): Readable {
  const zip = new NewZip();
  const manner = { mtime: MTIME, forceDosTimestamp: true };
  const out = Readable.from(zip.outputStream);
  zip.on("error", (e: Error) => out.destroy(e));
  zip.addBuffer(Buffer.from(writeJobJson(file)), "job.json", manner);
  for (const [name, bytes] of [...pictures].sort(([a], [b]) => (a < b ? -1 : 1)))
    zip.addReadStreamLazy(`pictures/${name}`, { ...manner, compress: false }, (answer) => {
      bytes().then(
        (read) => answer(null, Readable.from([Buffer.from(read)])),
        (e) => out.destroy(e),
      );
    });
  zip.end();
  return out;
}

/**
 * Opens a ZIP or a bare `job.json` and hands on what is in it; pictures are read from the file while `use`
 * works.
 *
 * Throws a Fault for anything else, with what is wrong with it: broken off, a checksum that does not agree,
 * more than there may be, an entry that is a link.
 */
export async function readJobParcel<T>(path: string, use: (parcel: JobParcel) => Promise<T>): Promise<T> {
  if (!(await isZip(path))) {
    const { size } = await stat(path);
    if (size > MOST_JSON_BYTES) throw tooLarge("this file", size, MOST_JSON_BYTES);
    return use({ file: readJobFile(json(await readFile(path))), pictures: new Map() });
  }
  const zip = await openPromise(path, { autoClose: false, lazyEntries: true }).catch(() => {
    throw new Fault("", "this ZIP is broken off or damaged");
  });
  try {
    const entries = await entriesOf(zip);
    const inside = entries.get("job.json");
    if (!inside) throw new Fault("", "there is no job.json in this ZIP");
    const file = readJobFile(json(await wholeEntry(zip, inside, MOST_JSON_BYTES)));
    const pictures = [...entries.values()].filter((e) => e !== inside);
    return await use({
      file,
      pictures: new Map(
        pictures.map((e) => [
          e.fileName.slice("pictures/".length),
          () => wholeEntry(zip, e, MOST_PICTURE_BYTES),
        ]),
      ),
    });
  } finally {
    zip.close();
  }
}

const tooLarge = (what: string, has: number, most: number): Fault =>
  new Fault("", `${what} has ${(has / MB).toFixed(0)} MB; a job file may have ${(most / MB).toFixed(0)}`);

async function isZip(path: string): Promise<boolean> {
  const file = await open(path);
  try {
    const { bytesRead, buffer } = await file.read(Buffer.alloc(2), 0, 2, 0);
    return bytesRead === 2 && buffer.toString("latin1") === "PK";
  } finally {
    await file.close();
  }
}

/** The job and its pictures in a ZIP, by name; what else lies in it is left. */
async function entriesOf(zip: ZipFile): Promise<ReadonlyMap<string, Entry>> {
  const entries = new Map<string, Entry>();
  let [all, unpacked] = [0, 0];
  try {
    for await (const entry of zip.eachEntry()) {
      unpacked += entry.uncompressedSize;
      if (++all > MOST_ENTRIES) throw new Fault("", `there are more than ${MOST_ENTRIES} files in this ZIP`);
      if (unpacked > MOST_UNPACKED) throw new Fault("", "this ZIP unpacks to more than two gigabytes");
      const { fileName } = entry;
      if (fileName !== "job.json" && !/^pictures\/[^/]+$/.test(fileName)) continue;
      if (entries.has(fileName)) throw new Fault("", `${fileName} is twice in this ZIP`);
      // the kind of file in a UNIX archive (0xA000 of its mode) says a symbolic link
      if (entry.externalFileAttributes >>> 28 === 10)
        throw new Fault("", `${fileName} in this ZIP is a link to another file and no file`);
      entries.set(fileName, entry);
    }
  } catch (e) {
    if (e instanceof Fault) throw e;
    throw new Fault(
      "",
      /relative path|absolute path|invalid characters/.test(String(e))
        ? "this ZIP names a file outside of itself"
        : "this ZIP is broken off or damaged",
    );
  }
  return entries;
}

/** The bytes of an entry, as long as its head says and with the checksum that stands there. */
async function wholeEntry(zip: ZipFile, entry: Entry, most: number): Promise<Uint8Array> {
  const name = entry.fileName;
  if (entry.uncompressedSize > most) throw tooLarge(`${name} in this ZIP`, entry.uncompressedSize, most);
  if (entry.isEncrypted()) throw new Fault("", "this ZIP is locked with a password");
  const chunks: Buffer[] = [];
  try {
    for await (const chunk of await zip.openReadStreamPromise(entry)) chunks.push(chunk as Buffer);
  } catch {
    throw new Fault("", `${name} in this ZIP is broken off or damaged`);
  }
  const bytes = Buffer.concat(chunks);
  if (crc32(bytes) !== entry.crc32)
    throw new Fault("", `${name} in this ZIP is damaged: its checksum does not agree`);
  return bytes;
}

function json(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder("utf-8", { fatal: true }).decode(bytes));
  } catch {
    throw new Fault("", "this is neither a ZIP nor JSON");
  }
}
