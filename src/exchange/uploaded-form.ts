import { randomUUID } from "node:crypto";
import { createWriteStream } from "node:fs";
import { mkdir, rm } from "node:fs/promises";
import { join } from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import type { ReadableStream } from "node:stream/web";
import busboy from "busboy";
import { Fault } from "@/core/fault";

/** A form with one file, as it came in: the file lies on the disk and was never held as a whole. */
export interface UploadedForm {
  readonly fields: Readonly<Record<string, string>>;
  /** where the file lies; it goes when `use` is done */
  readonly path: string;
}

/** What was sent did not come to its end; sent again, it may. */
export class CutOff extends Fault {
  constructor(what: string) {
    super(what, `The ${what} was broken off on its way. Try again.`);
  }
}

/**
 * A sender is listened for so often, ms; one that says nothing so many times while it is waited for has gone
 * away.
 */
const LISTEN_MS = 2000;
const MOST_SILENT = 10;

/**
 * Takes a multipart form in while it is being sent, its file straight to the disk, and hands it on.
 *
 * Throws a Fault for what is no form, has no file of that name, has more than one, is larger than `most`, is
 * cut off or stops coming; nothing of it stays.
 *
 * @param folder where the file lies meanwhile
 * @param most bytes that the file may have
 */
export async function withUploadedForm<T>(
  request: Request,
  { folder, file: wanted, most }: { readonly folder: string; readonly file: string; readonly most: number },
  use: (form: UploadedForm) => Promise<T>,
): Promise<T> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const path = join(folder, randomUUID());
  try {
    return await use({ fields: await received(request, path, wanted, most), path });
  } finally {
    await rm(path, { force: true });
  }
}

async function received(
  request: Request,
  path: string,
  wanted: string,
  most: number,
): Promise<Record<string, string>> {
  if (!request.body) throw new Fault(wanted, `No ${wanted} came with this.`);
  const cutOff = new CutOff(wanted);
  const fields: Record<string, string> = {};
  const parser = parserFor(request, wanted, most);
  let kept: Promise<void> | undefined;
  let closed: Promise<void> | undefined;
  let refused: Fault | undefined;
  let disk: Error | undefined;
  const body = Readable.fromWeb(request.body as ReadableStream<Uint8Array>);
  const refuse = (fault: Fault): void => {
    refused ??= fault;
    body.destroy(fault);
  };
  parser.on("file", (name, stream) => {
    if (name !== wanted || kept) return void stream.resume();
    stream.once("limit", () =>
      refuse(new Fault(wanted, `The ${wanted} is larger than ${Math.floor(most / 2 ** 20)} MB.`)),
    );
    const out = createWriteStream(path, { flags: "wx", mode: 0o600 });
    closed = new Promise((done) => out.once("close", () => done()));
    kept = pipeline(stream, out);
    kept.catch((e) => {
      disk = diskFault(e) ?? disk;
      body.destroy(e);
    });
  });
  parser.on("field", (name, value, info) => {
    if (info.valueTruncated || info.nameTruncated)
      refuse(new Fault(name.slice(0, 40), "is longer than any field of this form"));
    else fields[name] = value;
  });
  for (const limit of ["partsLimit", "filesLimit", "fieldsLimit"] as const)
    parser.on(limit, () => refuse(new Fault(wanted, "This form has more parts than there are fields.")));
  // counted in looks, not by the clock: while this computer itself is busy, or its disk, nobody is silent
  let silent = 0;
  body.on("data", () => {
    silent = 0;
  });
  const listening = setInterval(() => {
    if (!body.readableEnded && !parser.writableNeedDrain && ++silent > MOST_SILENT) refuse(cutOff);
  }, LISTEN_MS);
  try {
    await pipeline(body, parser);
    await kept;
  } catch (e) {
    throw refused ?? disk ?? diskFault(e) ?? cutOff;
  } finally {
    clearInterval(listening);
    // a file that is still being opened would come to stand after it was taken away: the pipeline may have given
    // up by then, its file closes only once it was opened
    await kept?.catch(() => undefined);
    await closed;
  }
  if (refused) throw refused;
  if (!kept) throw new Fault(wanted, `No ${wanted} came with this.`);
  return fields;
}

/** The disk's own trouble is not the sender's. */
const diskFault = (e: unknown): Error | undefined =>
  e instanceof Error && "code" in e && /^(ENOSPC|EDQUOT|EROFS|EACCES|EPERM|EIO)$/.test(String(e.code))
    ? e
    : undefined;

function parserFor(request: Request, wanted: string, most: number): busboy.Busboy {
  try {
    return busboy({
      headers: { "content-type": request.headers.get("content-type") ?? "" },
      // one more than may be, so that a file of just the size is told from one that goes on
      limits: {
        fileSize: most + 1,
        fieldSize: 4096,
        fieldNameSize: 60,
        fields: 12,
        files: 2,
        parts: 14,
        headerPairs: 40,
      },
    });
  } catch {
    throw new Fault(wanted, `No ${wanted} came with this.`);
  }
}
