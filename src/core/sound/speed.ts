import { Fault } from "../fault";
import { at, follow } from "./follow";
import { byPhase, corrected } from "./phase";
import { byAngle } from "./resample";
import { type TrainLines, wavesOf } from "./train-lines";

/** How the motor really turned. */
export interface HeardSpeed {
  /** mean, rpm, and one standard deviation of it */
  readonly rpm: { readonly value: number; readonly u: number };
  /** turns of the motor at every sample of the recording */
  readonly turns: Float64Array;
  /** of how many meshes the teeth were heard: one alone may be some other machine's */
  readonly meshesHeard: number;
}

/** A motor turns within this of its plate: lightly loaded above it, on low mains or worn brushes below. */
export const OF_PLATE = { least: 0.78, most: 1.17 };
/** Below, microphones of a bench hear mains and tables, Hz. */
/**
 * What a pattern must keep to be this train's: how far it stands above what is around its lines (powers of
 * e), and above what other speeds find in the same recording (their spreads).
 */
const PATTERN = { height: 1.5, clarity: 3 };
/** A mesh whose lines stand less high is not heard. */
const MESH_HEIGHT = 1;

/**
 * Finds how fast the motor turned, by fitting the whole pattern of the train's mesh rates and their overtones
 * to the recording: first roughly along time, then in the recording taken again
 * by that angle, then by the phase of the lines themselves. Single lines may stand for anything; all of them
 * together at one speed seldom do.
 *
 * @param plateRpm what the plate of the motor says
 * @throws Fault without a plate, where the train sings nothing that a microphone hears, or nothing in the
 *   recording fits it
 */
export function hearSpeed(
  samples: Float32Array,
  rate: number,
  lines: TrainLines,
  plateRpm: number,
): HeardSpeed {
  if (plateRpm <= 0)
    throw new Fault(
      "train.input.rpm",
      "say how fast the motor turns by its plate: the speed is looked for around it",
    );
  const orders = wavesOf(lines, 4);
  if (!orders.length)
    throw new Fault(
      "train.meshes",
      "no gears, toothed belts or chains in this train: nothing of it sings at a rate of its own",
    );
  const rough = follow(samples, rate, orders, plateRpm, {
    least: OF_PLATE.least,
    most: OF_PLATE.most,
    step: 0.001,
    slower: 1,
  });
  const audible = rough.meshes.filter((h) => h !== 0);
  const meshesHeard = audible.filter((h) => h >= MESH_HEIGHT).length;
  // of a long train one mesh may be drowned by the others
  if (
    rough.height < PATTERN.height ||
    rough.clarity < PATTERN.clarity ||
    meshesHeard < Math.min(audible.length, 2, Math.max(1, audible.length - 1))
  )
    throw new Fault(
      "wav",
      "nothing of this train's pattern is heard in the recording: hold the microphone at the gear case, and record while it runs",
    );
  let turns = turnsOf(rough.rpm, rough.hop, rate, samples.length);
  for (const [span, step, slower] of [
    [0.012, 0.0004, 2],
    [0.005, 0.0002, 4],
  ] as const) {
    const angle = byAngle(samples, turns);
    const even = (angle.turns / samples.length) * rate * 60;
    const finer = follow(angle.samples, angle.perTurn * (even / 60), orders, even, {
      least: 1 - span,
      most: 1 + span,
      step,
      slower,
    });
    turns = corrected(turns, angle.when, angle.perTurn, (k) => at(finer.rpm, k / finer.hop) / even);
  }
  const phases = byPhase(samples, rate, turns, orders);
  const value =
    (((phases.turns[samples.length - 1] as number) - (phases.turns[0] as number)) / (samples.length - 1)) *
    rate *
    60;
  return { rpm: { value, u: Math.max(1e-4, phases.u) * value }, turns: phases.turns, meshesHeard };
}

/** Turns at every sample, of a speed at the middle of every hop. */
function turnsOf(rpm: readonly number[], hop: number, rate: number, n: number): Float64Array {
  const turns = new Float64Array(n);
  let sum = 0;
  for (let i = 0; i < n; i++) {
    turns[i] = sum;
    sum += at(rpm, i / hop - 0.5) / 60 / rate;
  }
  return turns;
}
