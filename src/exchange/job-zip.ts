import { strFromU8, strToU8, unzipSync, type Zippable, zipSync } from "fflate";
import { Fault } from "@/core/fault";
import { type JobFile, readJobFile, writeJobJson } from "@/core/job/job-file";

/** A fixed moment for every entry, so that the same job gives the same bytes. */
const MTIME = new Date(2000, 0, 1);
const MOST_UNPACKED = 2 ** 30;

export interface JobParcel {
  readonly file: JobFile;
  /** name in the job file → bytes */
  readonly pictures: ReadonlyMap<string, Uint8Array>;
}

/** A job with its pictures as `NUMBER.demontage.zip`. The same parcel gives the same bytes. */
export function packJob({ file, pictures }: JobParcel): Uint8Array {
  const entries: Zippable = { "job.json": [strToU8(writeJobJson(file)), { mtime: MTIME, level: 6 }] };
  for (const name of [...pictures.keys()].sort()) entries[`pictures/${name}`] = [pictures.get(name) as Uint8Array, { mtime: MTIME, level: 0 }];
  return zipSync(entries);
}

/** Reads a ZIP or a bare `job.json`. Throws a Fault for anything else, with what is wrong with it. */
export function unpackJob(bytes: Uint8Array): JobParcel {
  if (!(bytes[0] === 0x50 && bytes[1] === 0x4b)) return { file: readJobFile(json(strText(bytes))), pictures: new Map() };
  let unpacked = 0;
  let entries: Record<string, Uint8Array>;
  try {
    entries = unzipSync(bytes, {
      filter: (e) => {
        unpacked += e.originalSize;
        return unpacked <= MOST_UNPACKED && (e.name === "job.json" || /^pictures\/[^/\\]+$/.test(e.name));
      },
    });
  } catch {
    throw new Fault("", "this ZIP is broken off or damaged");
  }
  if (unpacked > MOST_UNPACKED) throw new Fault("", "this ZIP unpacks to more than a gigabyte");
  const inside = entries["job.json"];
  if (!inside) throw new Fault("", "there is no job.json in this ZIP");
  const pictures = new Map(
    Object.entries(entries)
      .filter(([name]) => name !== "job.json")
      .map(([name, data]) => [name.slice("pictures/".length), data]),
  );
  return { file: readJobFile(json(strText(inside))), pictures };
}

const strText = (bytes: Uint8Array): string => strFromU8(bytes).replace(/^\uFEFF/, "");

function json(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new Fault("", "this is neither a ZIP nor JSON");
  }
}
