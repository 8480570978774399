import { Fault } from "../fault";

/** A recording, its channels added up to one. */
export interface Recording {
  /** samples a second */
  readonly rate: number;
  /** −1 to 1; a float file may go beyond */
  readonly samples: Float32Array;
  readonly channels: number;
  readonly seconds: number;
}

/** What a workshop's microphone makes. */
const RATES = { least: 4000, most: 384_000 };
/** Longer than anybody listens to one unit, s. */
const LONGEST_S = 600;
const SHORTEST_S = 0.2;

const PCM = 1;
const FLOAT = 3;
const EXTENSIBLE = 0xfffe;
/** Formats that a program may name and that are no plain samples. */
const PACKED: Readonly<Record<number, string>> = {
  2: "ADPCM",
  6: "A-law",
  7: "µ-law",
  17: "ADPCM",
  85: "MP3",
};

/** How one sample is read, by the bits of it. */
const READERS: Readonly<Record<string, (v: DataView, at: number) => number>> = {
  "1/8": (v, at) => (v.getUint8(at) - 128) / 128,
  "1/16": (v, at) => v.getInt16(at, true) / 0x8000,
  "1/24": (v, at) =>
    ((v.getUint8(at) << 8) | (v.getUint8(at + 1) << 16) | (v.getUint8(at + 2) << 24)) / 0x80000000,
  "1/32": (v, at) => v.getInt32(at, true) / 0x80000000,
  "3/32": (v, at) => v.getFloat32(at, true),
  "3/64": (v, at) => v.getFloat64(at, true),
};

/**
 * Reads a WAV file: plain samples of 8 to 32 bit, or float, of any number of channels. A file that was broken
 * off is read as far as it goes.
 *
 * @throws Fault for what is no WAV, holds no plain samples, or is too short or too long to listen to
 */
export function readWav(bytes: Uint8Array): Recording {
  const v = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const name = (at: number): string =>
    at + 4 <= v.byteLength ? String.fromCharCode(...bytes.subarray(at, at + 4)) : "";
  if (name(0) !== "RIFF" || name(8) !== "WAVE")
    throw new Fault("wav", "this is no WAV file: save the recording as WAV and read it again");
  let format: { kind: number; channels: number; rate: number; bits: number; block: number } | undefined;
  for (let at = 12; at + 8 <= v.byteLength; ) {
    const size = v.getUint32(at + 4, true);
    const body = at + 8;
    if (name(at) === "fmt " && size >= 16 && body + 16 <= v.byteLength) {
      const kind = v.getUint16(body, true);
      format = {
        // an extensible header names the real format at the beginning of its long name
        kind:
          kind === EXTENSIBLE && size >= 26 && body + 26 <= v.byteLength
            ? v.getUint16(body + 24, true)
            : kind,
        channels: v.getUint16(body + 2, true),
        rate: v.getUint32(body + 4, true),
        block: v.getUint16(body + 12, true),
        bits: v.getUint16(body + 14, true),
      };
    }
    if (name(at) === "data") {
      if (!format) throw new Fault("wav", "this WAV file does not say how its samples are written");
      // a recorder that was broken off left the length open
      return samplesOf(v, body, Math.min(size, v.byteLength - body), format);
    }
    at = body + size + (size % 2);
  }
  throw new Fault("wav", "there is no sound in this WAV file");
}

function samplesOf(
  v: DataView,
  from: number,
  size: number,
  {
    kind,
    channels,
    rate,
    bits,
    block,
  }: { kind: number; channels: number; rate: number; bits: number; block: number },
): Recording {
  const read = READERS[`${kind}/${bits}`];
  if (!read)
    throw new Fault(
      "wav",
      kind === PCM || kind === FLOAT
        ? `samples of ${bits} bit are not read`
        : `this WAV file is packed (${PACKED[kind] ?? `format ${kind}`}): save it as plain PCM`,
    );
  const bytes = bits / 8;
  if (channels < 1 || channels > 64 || block !== channels * bytes)
    throw new Fault("wav", "its channels and its samples do not agree: the file is damaged");
  if (rate < RATES.least || rate > RATES.most)
    throw new Fault("wav", `${rate} samples a second are not believed`);
  const count = Math.floor(size / block);
  const seconds = count / rate;
  if (seconds < SHORTEST_S)
    throw new Fault("wav", "the recording is shorter than a fifth of a second: ten seconds are good");
  if (seconds > LONGEST_S)
    throw new Fault("wav", `the recording is longer than ${LONGEST_S / 60} minutes: ten seconds are enough`);
  const samples = new Float32Array(count);
  for (let i = 0; i < count; i++) {
    let sum = 0;
    for (let c = 0; c < channels; c++) sum += read(v, from + i * block + c * bytes);
    samples[i] = sum / channels;
  }
  if (!samples.every(Number.isFinite))
    throw new Fault("wav", "some of its samples are no numbers: the file is damaged");
  return { rate, samples, channels, seconds };
}
