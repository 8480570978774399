import type { Job } from "../job/job";
import { outputShafts } from "../train/outputs";
import { solveTrain } from "../train/solve";
import { type TrainWheel, wheelsOf } from "../train/train";

/** What can be seen of an angle: under three degrees nobody sees it without a mark. */
const HARD_TO_SEE_DEG = 3;

/** What a wheel that goes back can be out by, and how it shows. */
export interface ToothOff {
  /** the wheel's part */
  readonly part: string;
  readonly mesh: string;
  /** "47-tooth gear on lay" */
  readonly says: string;
  /** at its own shaft, degrees */
  readonly degrees: number;
  /** at each shaft that power leaves by, degrees */
  readonly atOutput: readonly { readonly shaft: string; readonly degrees: number }[];
  /** turns of the driver until the same two teeth meet again */
  readonly meetsAfter?: { readonly shaft: string; readonly turns: number };
}

/**
 * What one tooth out at a step's wheels makes, out of the train. Empty where nobody said which wheel of the
 * train its parts are, or none of it was counted.
 *
 * @param parts of the step that goes back
 */
export function teethOff({ train }: Pick<Job, "train">, parts: readonly string[]): ToothOff[] {
  if (!train) return [];
  const { meshes } = solveTrain(train);
  const outputs = outputShafts(train);
  return train.meshes.flatMap((m, i) => {
    const answer = meshes[i];
    const own = wheelsOf(m).flatMap((w) =>
      w.part !== undefined && w.teeth !== null && parts.includes(w.part) ? [{ ...w, part: w.part }] : [],
    );
    const at = (shaft: string): number | undefined =>
      answer?.oneToothOff.find((o) => o.shaft === shaft)?.degrees;
    const [wheel] = own;
    if (!answer || !wheel) return [];
    const degrees = at(wheel.shaft);
    if (degrees === undefined) return [];
    const again = answer.sameTeethEvery;
    return [
      {
        part: wheel.part,
        mesh: m.id,
        says: wheelSays(wheel),
        degrees,
        atOutput: outputs.flatMap((shaft) => {
          const d = shaft === wheel.shaft ? undefined : at(shaft);
          return d === undefined ? [] : [{ shaft, degrees: d }];
        }),
        ...(again
          ? {
              meetsAfter: {
                shaft: m.kind === "planetary" ? m.sun.shaft : m.driver.shaft,
                turns: again.driverTurns,
              },
            }
          : {}),
      },
    ];
  });
}

const wheelSays = (w: TrainWheel): string => `${w.says} on ${w.shaft}`;
const deg = (d: number): string => `${d.toFixed(d < 10 ? 1 : 0)}°`;

/**
 * The same in sentences.
 *
 * @example "One tooth out at the 45-tooth gear on lay is 8.0° there, and 1.7° at spindle: hard to see there,
 *   trust the marks."
 */
export const teethOffInWords = (off: readonly ToothOff[]): string[] =>
  off.map(({ says, degrees, atOutput, meetsAfter }) => {
    const out = atOutput.map((o) => `${deg(o.degrees)} at ${o.shaft}`).join(", ");
    const hard =
      Math.max(degrees, ...atOutput.map((o) => o.degrees)) < HARD_TO_SEE_DEG
        ? ": hard to see, trust the marks"
        : "";
    const meets =
      meetsAfter && meetsAfter.turns > 1
        ? ` Its marks meet again only after ${meetsAfter.turns} turns of ${meetsAfter.shaft}.`
        : "";
    return `One tooth out at the ${says} is ${deg(degrees)} there${out && `, and ${out}`}${hard}.${meets}`;
  });
