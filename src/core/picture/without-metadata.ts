/**
 * A picture without what does not belong to what is seen: where it was taken, when, with which camera and
 * whose. Its pixels, colours and size stay byte for byte as they were; nothing is packed anew.
 *
 * @param bytes a whole JPEG, PNG or WebP
 * @returns the bytes without it, the same array if there was nothing; null where the picture is not built as
 *   its format says
 * @see ITU-T T.81 B.1 (JPEG markers), PNG 1.2 chapter 4, WebP container specification
 */
export function withoutMetadata(bytes: Uint8Array): Uint8Array | null {
  if (startsWith(bytes, [0xff, 0xd8])) return withoutInJpeg(bytes);
  if (startsWith(bytes, [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])) return withoutInPng(bytes);
  if (word(bytes, 0) === "RIFF" && word(bytes, 8) === "WEBP") return withoutInWebp(bytes);
  return null;
}

const startsWith = (bytes: Uint8Array, sign: readonly number[]): boolean =>
  sign.every((b, i) => bytes[i] === b);
const word = (bytes: Uint8Array, at: number, length = 4): string =>
  String.fromCharCode(...bytes.subarray(at, at + length));

/** The pieces that stay, put together; the array itself where all of it does. */
function joined(bytes: Uint8Array, kept: readonly (readonly [number, number])[]): Uint8Array {
  const length = kept.reduce((n, [from, to]) => n + to - from, 0);
  if (length === bytes.length) return bytes;
  const out = new Uint8Array(length);
  let at = 0;
  for (const [from, to] of kept) {
    out.set(bytes.subarray(from, to), at);
    at += to - from;
  }
  return out;
}

/**
 * Application segments that say how colours are meant: JFIF, a colour profile, and how Adobe's programs wrote
 * them.
 */
function belongsToColours(bytes: Uint8Array, marker: number, at: number): boolean {
  if (marker === 0xe0) return word(bytes, at + 4, 5) === "JFIF\0";
  if (marker === 0xe2) return word(bytes, at + 4, 12) === "ICC_PROFILE\0";
  return marker === 0xee;
}

function withoutInJpeg(bytes: Uint8Array): Uint8Array | null {
  const kept: [number, number][] = [[0, 2]];
  let at = 2;
  while (at + 4 <= bytes.length) {
    if (bytes[at] !== 0xff) return null;
    const marker = bytes[at + 1] ?? 0;
    if (marker === 0xff) {
      at++;
      continue;
    }
    // the end of the picture; what some cameras hang behind it is not of it
    if (marker === 0xd9) return joined(bytes, [...kept, [at, at + 2]]);
    const length = ((bytes[at + 2] ?? 0) << 8) | (bytes[at + 3] ?? 0);
    let end = at + 2 + length;
    if (length < 2 || end > bytes.length) return null;
    const application = (marker >= 0xe0 && marker <= 0xef) || marker === 0xfe;
    if (marker === 0xda) end = endOfScan(bytes, end);
    if (!application || belongsToColours(bytes, marker, at)) kept.push([at, end]);
    at = end;
  }
  return at + 2 <= bytes.length && bytes[at] === 0xff && bytes[at + 1] === 0xd9
    ? joined(bytes, [...kept, [at, at + 2]])
    : null;
}

/** Where the packed pixels of a scan end: at the next marker that is neither a stuffed zero nor a restart. */
function endOfScan(bytes: Uint8Array, from: number): number {
  for (
    let at = bytes.indexOf(0xff, from);
    at >= 0 && at + 1 < bytes.length;
    at = bytes.indexOf(0xff, at + 1)
  ) {
    const next = bytes[at + 1] ?? 0;
    if (next !== 0 && next !== 0xff && !(next >= 0xd0 && next <= 0xd7)) return at;
  }
  return bytes.length;
}

/** Chunks that a picture is shown by; text, time, EXIF and the frames of an animation are left out. */
const PNG_CHUNKS: ReadonlySet<string> = new Set(
  ["IHDR", "PLTE", "IDAT", "IEND", "tRNS", "gAMA", "cHRM", "sRGB", "iCCP", "sBIT", "bKGD", "pHYs", "hIST", "cICP", "mDCV", "cLLI"], // biome-ignore format: one list
);

function withoutInPng(bytes: Uint8Array): Uint8Array | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const kept: [number, number][] = [[0, 8]];
  for (let at = 8; at + 12 <= bytes.length; ) {
    const end = at + 12 + view.getUint32(at);
    const name = word(bytes, at + 4);
    if (end > bytes.length) return null;
    if (PNG_CHUNKS.has(name)) kept.push([at, end]);
    if (name === "IEND") return joined(bytes, kept);
    at = end;
  }
  return null;
}

function withoutInWebp(bytes: Uint8Array): Uint8Array | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const end = view.getUint32(4, true) + 8;
  if (end > bytes.length) return null;
  const kept: [number, number][] = [[0, 12]];
  for (let at = 12; at + 8 <= end; ) {
    const length = view.getUint32(at + 4, true);
    const next = at + 8 + length + (length & 1);
    if (next > bytes.length) return null;
    if (!["EXIF", "XMP "].includes(word(bytes, at))) kept.push([at, next]);
    at = next;
  }
  const out = joined(bytes, kept);
  if (out === bytes) return bytes;
  const head = new DataView(out.buffer, out.byteOffset, out.byteLength);
  head.setUint32(4, out.length - 8, true);
  // the extended head says whether there is EXIF (8) and XMP (4)
  if (word(out, 12) === "VP8X") out[20] = (out[20] ?? 0) & ~12;
  return out;
}
