import { middleOf } from "./match";
import { thinned } from "./resample";
import type { Recording } from "./wav";

const HEAD = 44;

/** Samples as a WAV file of one channel and 16 bit. What is louder than such a file can say is held. */
export function writeWav({ samples, rate }: Pick<Recording, "samples" | "rate">): Uint8Array {
  const bytes = new Uint8Array(HEAD + 2 * samples.length);
  const v = new DataView(bytes.buffer);
  const name = (at: number, text: string): void => {
    for (let i = 0; i < text.length; i++) v.setUint8(at + i, text.charCodeAt(i));
  };
  name(0, "RIFF");
  v.setUint32(4, bytes.length - 8, true);
  name(8, "WAVEfmt ");
  v.setUint32(16, 16, true);
  v.setUint16(20, 1, true);
  v.setUint16(22, 1, true);
  v.setUint32(24, Math.round(rate), true);
  v.setUint32(28, 2 * Math.round(rate), true);
  v.setUint16(32, 2, true);
  v.setUint16(34, 16, true);
  name(36, "data");
  v.setUint32(40, 2 * samples.length, true);
  for (let i = 0; i < samples.length; i++)
    v.setInt16(HEAD + 2 * i, Math.round(Math.max(-1, Math.min(1, samples[i] as number)) * 32767), true);
  return bytes;
}

/**
 * A recording as it is kept: the middle that is listened to, at no more samples than are listened to, brought
 * to full loudness.
 */
export function keptWav(recording: Pick<Recording, "samples" | "rate">): Uint8Array {
  const { samples, rate } = thinned(middleOf(recording));
  const top = samples.reduce((most, x) => Math.max(most, Math.abs(x)), 0);
  return writeWav({ samples: top > 0 ? samples.map((x) => (0.98 * x) / top) : samples, rate });
}
