import FFT from "fft.js";

/** Least power of two that is not below n. */
export const powerOfTwo = (n: number): number => 2 ** Math.ceil(Math.log2(Math.max(2, n)));

const plans = new Map<number, FFT>();
const plan = (size: number): FFT => {
  const known = plans.get(size) ?? new FFT(size);
  plans.set(size, known);
  return known;
};

/** One piece of paper for each size, written over by the next who asks. */
const rooms = new Map<number, number[]>();
const room = (size: number): number[] => {
  const known = rooms.get(size) ?? plan(size).createComplexArray();
  rooms.set(size, known);
  return known;
};

/**
 * Complex spectrum of a real signal, padded with zeros to a power of two: real and imaginary parts one after
 * the other, both halves.
 */
export function spectrumOf(signal: ArrayLike<number>, size = powerOfTwo(signal.length)): number[] {
  const fft = plan(size);
  const input = new Array<number>(size).fill(0);
  for (let i = 0; i < Math.min(size, signal.length); i++) input[i] = signal[i] as number;
  const out = fft.createComplexArray();
  fft.realTransform(out, input);
  fft.completeSpectrum(out);
  return out;
}

/** Power of a real signal at the bins 0 to size/2. */
export function powerOf(signal: ArrayLike<number>, size: number, into: Float64Array): void {
  const out = room(size);
  plan(size).realTransform(out, signal);
  for (let k = 0; k <= size / 2; k++) into[k] = (out[2 * k] as number) ** 2 + (out[2 * k + 1] as number) ** 2;
}

/** A narrow part of a signal, its middle moved to zero: complex samples, fewer of them. */
export interface Band {
  readonly re: Float64Array;
  readonly im: Float64Array;
  /** samples of the signal for one of the band */
  readonly step: number;
}

/**
 * Cuts a band out of a spectrum and moves its middle to zero.
 *
 * @param spectrum of spectrumOf
 * @param middle where, in cycles a sample of the signal
 * @param half half its width, in cycles a sample; it falls off smoothly over the outer fifth
 * @param length samples of the signal that are no padding
 */
export function bandOf(
  spectrum: readonly number[],
  middle: number,
  half: number,
  length: number,
  keep: (bin: number) => boolean = () => true,
): Band {
  const size = spectrum.length / 2;
  const centre = Math.round(middle * size);
  const reach = Math.max(2, Math.round(half * size));
  const small = Math.min(size, powerOfTwo(2.5 * reach));
  const fft = plan(small);
  const input = fft.createComplexArray().fill(0);
  for (let d = -reach; d <= reach; d++) {
    const k = centre + d;
    if (k <= 0 || k >= size / 2 || !keep(k)) continue;
    const edge = Math.abs(d) / reach;
    const w = edge < 0.8 ? 1 : 0.5 * (1 + Math.cos((Math.PI * (edge - 0.8)) / 0.2));
    const to = (d + small) % small;
    input[2 * to] = w * (spectrum[2 * k] as number);
    input[2 * to + 1] = w * (spectrum[2 * k + 1] as number);
  }
  const out = fft.createComplexArray();
  fft.inverseTransform(out, input);
  const step = size / small;
  const count = Math.floor(length / step);
  const scale = (2 * small) / size;
  const re = new Float64Array(count);
  const im = new Float64Array(count);
  for (let i = 0; i < count; i++) {
    re[i] = (out[2 * i] as number) * scale;
    im[i] = (out[2 * i + 1] as number) * scale;
  }
  return { re, im, step };
}

/** Loudness of a band, sample by sample. */
export const envelopeOf = ({ re, im }: Band): Float64Array =>
  re.map((x, i) => Math.hypot(x, im[i] as number));
