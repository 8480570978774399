import { randomUUID } from "node:crypto";
import { createWriteStream } from "node:fs";
import { mkdir, readdir, rm, stat } from "node:fs/promises";
import { join } from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import type { ReadableStream } from "node:stream/web";
import { Fault } from "@/core/fault";
import { dataFolder } from "@/store/database";

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

/** Keeps a file that is being sent; files that nobody came back for within a day go. */
export async function keepUpload(body: ReadableStream<Uint8Array>): Promise<string> {
  await mkdir(folder(), { recursive: true });
  for (const f of await readdir(folder())) {
    const { mtimeMs } = await stat(join(folder(), f));
    if (Date.now() - mtimeMs > A_DAY) await rm(join(folder(), f), { force: true });
  }
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
      createWriteStream(path),
    );
    return name;
  } catch (e) {
    await rm(path, { force: true });
    if (e instanceof Fault) throw e;
    throw new Fault("file", "was broken off on its way. Send it again");
  }
}

export const forgetUpload = (name: string): Promise<void> => rm(uploadedPath(name), { force: true });
