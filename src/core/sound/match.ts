import { z } from "zod";
import { Fault } from "../fault";
import { type TrainInput, trainInput } from "../train/train";
import { type GearSigns, signsOf } from "./faults";
import { levelsOf, type MeshLevel } from "./levels";
import { byAngle, thinned } from "./resample";
import { hearSpeed } from "./speed";
import { type Suspect, suspectsOf } from "./suspects";
import { type TrainLines, trainLines } from "./train-lines";
import { spectrumOf } from "./transform";
import type { Recording } from "./wav";

/** More is not listened to, s: the middle of a longer recording is taken. */
export const LISTENED_S = 20;
/** Shorter tells nothing, s. */
const LEAST_S = 2;

export const soundInput = z.strictObject({
  wav: z.string("must be the path of a WAV file").min(1, "must be the path of a WAV file"),
  train: trainInput,
});

export interface SoundAnswer {
  /** what the motor really turned, one standard deviation with it */
  readonly rpm: { readonly value: number; readonly u: number };
  readonly suspects: readonly Suspect[];
}

/** What was heard, with what the pictures of it are drawn by. */
export interface HeardTrain extends SoundAnswer {
  readonly lines: TrainLines;
  readonly signs: readonly GearSigns[];
  readonly levels: readonly MeshLevel[];
  readonly meshesHeard: number;
}

/**
 * Fits a train to a recording of it: how fast its motor turned, and which gear or shaft stands out.
 *
 * The speed is found by the whole pattern of mesh rates; then the recording is laid out by the angle of the
 * motor, where a gear that is out of true makes its mesh swell once a turn, and a
 * damaged tooth knocks once a turn. What these are worth was learned from made recordings with a known truth.
 *
 * @throws Fault where the recording is too short, or nothing in it is this train
 */
export function matchSound(recording: Pick<Recording, "samples" | "rate">, train: TrainInput): HeardTrain {
  const { samples, rate } = thinned(middleOf(recording));
  const lines = trainLines(train);
  const speed = hearSpeed(samples, rate, lines, train.input.rpm);
  const sound = byAngle(samples, speed.turns);
  const spectrum = spectrumOf(sound.samples);
  const hz = speed.rpm.value / 60;
  const signs = signsOf(spectrum, sound, hz, lines);
  return {
    rpm: speed.rpm,
    suspects: suspectsOf(signs, { hz, meshesHeard: speed.meshesHeard }),
    lines,
    signs,
    levels: levelsOf(spectrum, sound, hz, lines),
    meshesHeard: speed.meshesHeard,
  };
}

/** @throws Fault for what is over before anything can be heard in it */
export function middleOf({
  samples,
  rate,
}: Pick<Recording, "samples" | "rate">): Pick<Recording, "samples" | "rate"> {
  if (samples.length < LEAST_S * rate)
    throw new Fault("wav", `the recording is shorter than ${LEAST_S} seconds: ten are good`);
  const spare = Math.max(0, samples.length - LISTENED_S * rate);
  return { samples: samples.subarray(spare >> 1, (spare >> 1) + LISTENED_S * rate), rate };
}
