import { randomUUID } from "node:crypto";
import { createWriteStream } from "node:fs";
import { mkdir, readdir, rm, stat } from "node:fs/promises";
import { join } from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import type { ReadableStream } from "node:stream/web";
import { Fault } from "@/core/fault";
import { dataFolder } from "@/store/database";
import { freeBytes, NO_ROOM } from "@/store/shop-folder";
import { troubleIn } from "@/store/trouble";

/** More than any list that a shop is sent; a wrong file is stopped here. */
export const MOST_BYTES = 200e6;
const A_DAY = 24 * 3600 * 1000;

const folder = (): string => join(dataFolder(), "imports");
const id = /^[0-9a-f-]{36}$/;

/** Where a file that was sent lies until it is taken in or thrown away. */
export function uploadedPath(name: string): string {
  if (!id.test(name)) throw new Fault("file", "there is no such file");
  return join(folder(), name);
}

/** What all that waits may have together. */
const MOST_WAITING = 600e6;

/**
 * Makes room for another file: those that nobody came back for within a day go. Throws a Fault where too much
 * is waiting all the same.
 */
async function makeRoom(): Promise<void> {
  await mkdir(folder(), { recursive: true, mode: 0o700 });
  let waiting = 0;
  for (const f of await readdir(folder())) {
    const { mtimeMs, size } = await stat(join(folder(), f)).catch(() => ({ mtimeMs: 0, size: 0 }));
    if (Date.now() - mtimeMs > A_DAY) await rm(join(folder(), f), { force: true });
    else waiting += size;
  }
  if (waiting + MOST_BYTES > MOST_WAITING)
    throw new Fault(
      "file",
      "cannot be taken yet: too many tables were sent and neither taken in nor left. They go after a day",
    );
  if ((await freeBytes(folder())) < NO_ROOM + MOST_BYTES)
    throw new Fault("file", "cannot be taken: the disk of the shop’s computer is nearly full");
}

/**
 * Keeps a file that is being sent. One that does not come to its end is refused, and nothing of it stays.
 *
 * @param said how many bytes the sender announced, if it did
 */
export async function keepUpload(body: ReadableStream<Uint8Array>, said?: number): Promise<string> {
  if (said !== undefined && said > MOST_BYTES)
    throw new Fault("file", `is larger than ${MOST_BYTES / 1e6} MB`);
  await makeRoom();
  const name = randomUUID();
  const path = uploadedPath(name);
  let bytes = 0;
  try {
    await pipeline(
      Readable.fromWeb(body),
      async function* (chunks: AsyncIterable<Uint8Array>) {
        for await (const c of chunks) {
          bytes += c.length;
          if (bytes > MOST_BYTES) throw new Fault("file", `is larger than ${MOST_BYTES / 1e6} MB`);
          yield c;
        }
      },
      createWriteStream(path, { mode: 0o600 }),
    );
    if (said !== undefined && bytes !== said)
      throw new Fault("file", "was broken off on its way. Send it again");
    return name;
  } catch (e) {
    await rm(path, { force: true });
    if (e instanceof Fault || troubleIn(e)) throw e;
    throw new Fault("file", "was broken off on its way. Send it again");
  }
}

export const forgetUpload = (name: string): Promise<void> => rm(uploadedPath(name), { force: true });
