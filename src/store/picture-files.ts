import { createHash } from "node:crypto";
import { mkdir, open, readdir, readFile, rename, rm, stat } from "node:fs/promises";
import { join } from "node:path";
import type { Metadata } from "sharp";
import { Fault } from "@/core/fault";
import { withoutMetadata } from "@/core/picture/without-metadata";
import { dataFolder } from "./database";
import { decoding, ENDINGS, inRoom, pictureHead } from "./picture-decoder";

export const MOST_BYTES = 25 * 1024 * 1024;
const THUMB_PX = 360;

export const pictureFolder = (): string => join(dataFolder(), "pictures");
const thumbs = (): string => join(dataFolder(), "thumbs");
/** Where a picture lies while it is being sent. */
export const arrivingFolder = (): string => join(dataFolder(), "arriving");

export interface StoredPicture {
  readonly sha256: string;
  readonly type: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: number;
}

const shaOf = (bytes: Uint8Array): string => createHash("sha256").update(bytes).digest("hex");
const fileName = ({ sha256, type }: Pick<StoredPicture, "sha256" | "type">): string =>
  `${sha256}.${ENDINGS[type.slice(6)]}`;

/**
 * Keeps a picture: looked through, turned upright, without what the camera wrote beside it (where, when,
 * whose), named by the SHA-256 of its bytes, written and flushed before any row names it.
 *
 * Refuses what is larger than 25 MB, no JPEG, PNG or WebP, or broken, with a sentence; nothing half-written
 * stays behind.
 *
 * @param from its bytes, or the file they lie in
 */
export async function keepPicture(from: Buffer | string): Promise<StoredPicture> {
  const size = typeof from === "string" ? (await stat(from)).size : from.length;
  if (size === 0) throw new Fault("picture", "The picture is empty.");
  if (size > MOST_BYTES)
    throw new Fault("picture", `The picture has ${(size / 1048576).toFixed(1)} MB; the maximum is 25 MB.`);
  const head = await pictureHead(from);
  return inRoom(head.width * head.height, async () => {
    const { bytes, width, height } = await upright(
      typeof from === "string" ? await readFile(from) : from,
      head,
    );
    const thumb = await thumbOf(bytes);
    const picture = {
      sha256: shaOf(bytes),
      type: `image/${head.format}`,
      width,
      height,
      bytes: bytes.length,
    };
    await writeFlushed(pictureFolder(), fileName(picture), bytes);
    await writeFlushed(thumbs(), `${picture.sha256}.jpg`, thumb);
    return picture;
  });
}

/** Turned by what EXIF says, so that no other program has to; then what EXIF says is taken away. */
async function upright(
  bytes: Buffer,
  head: Metadata,
): Promise<{ bytes: Buffer; width: number; height: number }> {
  const lies = (head.orientation ?? 1) === 1;
  const bare = lies ? withoutMetadata(bytes) : null;
  if (bare)
    return {
      bytes: Buffer.from(bare.buffer, bare.byteOffset, bare.byteLength),
      width: head.width,
      height: head.height,
    };
  const turned = decoding(bytes).rotate().keepIccProfile();
  if (head.format === "jpeg") turned.jpeg({ quality: 92 });
  const { data, info } = await broken(() => turned.toBuffer({ resolveWithObject: true }));
  return { bytes: data, width: info.width, height: info.height };
}

const thumbOf = (bytes: Buffer): Promise<Buffer> =>
  broken(() =>
    decoding(bytes)
      .resize(THUMB_PX, THUMB_PX, { fit: "inside", withoutEnlargement: true })
      .flatten({ background: "#f4efe4" })
      .jpeg({ quality: 80 })
      .toBuffer(),
  );

async function broken<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch {
    throw new Fault("picture", "The picture is broken off or damaged and was not kept.");
  }
}

/**
 * Written beside, flushed, then renamed: after a power cut there is the whole file or none. One that is there
 * already is believed only if it says the same.
 */
async function writeFlushed(dir: string, name: string, bytes: Buffer): Promise<void> {
  await mkdir(dir, { recursive: true, mode: 0o700 });
  const place = join(dir, name);
  const there = await readFile(place).catch(() => null);
  if (there?.equals(bytes)) return;
  const part = `${place}.${process.pid}.${Math.random().toString(36).slice(2)}.part`;
  try {
    const file = await open(part, "wx", 0o600);
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

/** The bytes of a kept picture, or null where they are gone, or are no longer those that were kept. */
export async function wholePicture(picture: Pick<StoredPicture, "sha256" | "type">): Promise<Buffer | null> {
  const bytes = await readFile(join(pictureFolder(), fileName(picture))).catch(() => null);
  return bytes && shaOf(bytes) === picture.sha256 ? bytes : null;
}

/**
 * A picture's bytes as they lie there, or null. For a screen, which shows what there is; what leaves the shop
 * is asked of {@link wholePicture}.
 */
export const pictureBytes = (picture: Pick<StoredPicture, "sha256" | "type">): Promise<Buffer | null> =>
  readFile(join(pictureFolder(), fileName(picture))).catch(() => null);

/** The small one, made again from the large one where it is missing. */
export async function thumbBytes(
  sha256: string,
  picture: () => Promise<StoredPicture | null>,
): Promise<Buffer | null> {
  const place = join(thumbs(), `${sha256}.jpg`);
  const kept = await readFile(place).catch(() => null);
  if (kept) return kept;
  const row = await picture();
  const bytes = row && (await wholePicture(row));
  if (!row || !bytes) return null;
  return inRoom(row.width * row.height, async () => {
    const thumb = await thumbOf(bytes);
    await writeFlushed(thumbs(), `${sha256}.jpg`, thumb);
    return thumb;
  }).catch(() => null);
}

/** Width to which a picture is brought for paper, px: 300 to the inch at half a page. */
const PRINT_PX = 1100;

/** A picture as a JPEG for paper, or null where it is gone. */
export async function jpegForPaper(picture: StoredPicture): Promise<Buffer | null> {
  const bytes = await wholePicture(picture);
  if (!bytes) return null;
  return inRoom(picture.width * picture.height, () =>
    broken(() =>
      decoding(bytes)
        .resize(PRINT_PX, PRINT_PX, { fit: "inside", withoutEnlargement: true })
        .flatten({ background: "#ffffff" })
        .jpeg({ quality: 82 })
        .toBuffer(),
    ),
  ).catch(() => null);
}

const A_DAY = 24 * 3600 * 1000;

/**
 * Takes away what pictures that never arrived whole have left behind: parts of a day ago and more, which no
 * running program writes to.
 */
export async function sweepParts(now = Date.now()): Promise<number> {
  let swept = 0;
  for (const [dir, isPart] of [
    [pictureFolder(), (f: string) => f.endsWith(".part")],
    [thumbs(), (f: string) => f.endsWith(".part")],
    [arrivingFolder(), () => true],
  ] as const)
    for (const f of (await readdir(/* turbopackIgnore: true */ dir).catch(() => [])).filter(isPart)) {
      const place = join(dir, f);
      const { mtimeMs } = await stat(place).catch(() => ({ mtimeMs: now }));
      if (now - mtimeMs <= A_DAY) continue;
      await rm(place, { force: true });
      swept++;
    }
  return swept;
}
