import { Fault } from "../fault";
import type { TrainInput } from "../train/train";
import { type HeardTrain, matchSound, middleOf } from "./match";
import { thinned } from "./resample";
import { powerOf, powerOfTwo } from "./transform";
import type { Recording } from "./wav";

/**
 * How loud it was at what pitch and when: rows from low to high in pitch, in equal steps of its logarithm.
 */
export interface Waterfall {
  readonly columns: number;
  readonly rows: number;
  /** 0 (60 dB below the loudest, and less) to 255 (the loudest), row by row */
  readonly levels: Uint8Array;
}

export interface Spectrum {
  readonly hz: Float32Array;
  /** against all that is heard, so that two recordings compare whatever the microphone's level */
  readonly db: Float32Array;
}

/** All that one recording tells. */
export interface Listened {
  readonly seconds: number;
  /** of the waterfall, Hz; the spectrum begins lower */
  readonly range: readonly [lowest: number, highest: number];
  readonly waterfall: Waterfall;
  readonly spectrum: Spectrum;
  /** null: there is no train, or it is not heard; then `says` tells why */
  readonly heard: HeardTrain | null;
  readonly says: string | null;
}

const LOWEST_HZ = 40;
/** The spectrum reaches down to where shafts turn, as far as a microphone hears there. */
const SLOWEST_HZ = 12;
const HIGHEST_HZ = 9000;
const ROWS = 200;
const COLUMNS = 420;
const POINTS = 700;
/** Loudness below the loudest that is still drawn, dB. */
const DRAWN_DB = 60;

/**
 * Listens to a recording: its two pictures, and the train fitted to it where there is one. @throws Fault for
 * what is too short to hear anything in
 */
export function listen(recording: Pick<Recording, "samples" | "rate">, train: TrainInput | null): Listened {
  const sound = thinned(middleOf(recording));
  const range = [LOWEST_HZ, Math.min(HIGHEST_HZ, 0.47 * sound.rate)] as const;
  const pictures = {
    seconds: sound.samples.length / sound.rate,
    range,
    waterfall: waterfallOf(sound, range),
    spectrum: spectrumAlong(sound, [SLOWEST_HZ, range[1]]),
  };
  if (!train)
    return {
      ...pictures,
      heard: null,
      says: "No gear train is written down for this unit: with one, its lines and what stands out would be shown.",
    };
  try {
    return { ...pictures, heard: matchSound(recording, train), says: null };
  } catch (e) {
    if (!(e instanceof Fault)) throw e;
    return { ...pictures, heard: null, says: e.says };
  }
}

const pitchAt = ([low, high]: readonly [number, number], share: number): number =>
  low * (high / low) ** share;

function waterfallOf(
  { samples, rate }: Pick<Recording, "samples" | "rate">,
  range: readonly [number, number],
): Waterfall {
  const size = powerOfTwo(0.07 * rate);
  const window = hann(size);
  const part = new Float64Array(size);
  const power = new Float64Array(size / 2 + 1);
  const db = new Float32Array(ROWS * COLUMNS);
  for (let c = 0; c < COLUMNS; c++) {
    const from = Math.round(((c + 0.5) / COLUMNS) * samples.length - size / 2);
    for (let i = 0; i < size; i++) part[i] = (window[i] as number) * (samples[from + i] ?? 0);
    powerOf(part, size, power);
    for (let r = 0; r < ROWS; r++)
      db[r * COLUMNS + c] =
        10 *
        Math.log10(
          1e-12 +
            meanBetween(
              power,
              (pitchAt(range, r / ROWS) * size) / rate,
              (pitchAt(range, (r + 1) / ROWS) * size) / rate,
            ),
        );
  }
  const top = db.reduce((a, b) => Math.max(a, b), Number.NEGATIVE_INFINITY);
  return {
    columns: COLUMNS,
    rows: ROWS,
    levels: Uint8Array.from(db, (x) => Math.round(255 * Math.max(0, Math.min(1, 1 + (x - top) / DRAWN_DB)))),
  };
}

function spectrumAlong(
  { samples, rate }: Pick<Recording, "samples" | "rate">,
  range: readonly [number, number],
): Spectrum {
  const size = powerOfTwo(0.7 * rate);
  const window = hann(size);
  const part = new Float64Array(size);
  const power = new Float64Array(size / 2 + 1);
  const sum = new Float64Array(size / 2 + 1);
  for (let from = 0; from + size <= samples.length || from === 0; from += size / 2) {
    for (let i = 0; i < size; i++) part[i] = (window[i] as number) * (samples[from + i] ?? 0);
    powerOf(part, size, power);
    for (let k = 0; k <= size / 2; k++) sum[k] = (sum[k] as number) + (power[k] as number);
  }
  const all = sum.reduce((a, b) => a + b, 0) || 1;
  const hz = new Float32Array(POINTS);
  const db = new Float32Array(POINTS);
  for (let p = 0; p < POINTS; p++) {
    hz[p] = pitchAt(range, (p + 0.5) / POINTS);
    db[p] =
      10 *
      Math.log10(
        1e-9 +
          mostBetween(
            sum,
            (pitchAt(range, p / POINTS) * size) / rate,
            (pitchAt(range, (p + 1) / POINTS) * size) / rate,
          ) /
            all,
      );
  }
  return { hz, db };
}

const hann = (size: number): Float64Array =>
  Float64Array.from({ length: size }, (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * (i + 0.5)) / size));

/** Mean of a row between two places, the nearest where none lies between. */
function meanBetween(row: Float64Array, from: number, to: number): number {
  const [a, b] = [Math.round(from), Math.max(Math.round(from), Math.floor(to))];
  let sum = 0;
  for (let i = a; i <= b; i++) sum += row[i] ?? 0;
  return sum / (b - a + 1);
}

/** Highest of a row between two places: a line must not be lost among what is quiet beside it. */
function mostBetween(row: Float64Array, from: number, to: number): number {
  let most = 0;
  for (let i = Math.round(from); i <= Math.max(Math.round(from), Math.floor(to)); i++)
    most = Math.max(most, row[i] ?? 0);
  return most;
}
