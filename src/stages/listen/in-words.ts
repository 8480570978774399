import { capital } from "@/core/sentence";
import type { ComparedLine } from "@/core/sound/compare";
import type { Suspect } from "@/core/sound/suspects";
import { meshName, type TrainInput } from "@/core/train/train";

const nameOf = (train: TrainInput, id: string | null): string => {
  const mesh = train.meshes.find((m) => m.id === id);
  return mesh ? meshName(mesh) : "a mesh";
};

/** Rates as they are said: 3.4 Hz, 128 Hz. */
export const hertz = (hz: number): string =>
  `${Number.isInteger(hz) ? hz : hz < 10 ? hz.toFixed(2) : hz < 100 ? hz.toFixed(1) : Math.round(hz)} Hz`;

/** Whether it can be told which of the shaft's gears it is. */
export const isMeshTold = (s: Suspect): boolean => (s.meshShare ?? 0) >= 0.75;

/** What a suspect is, in a sentence. */
export function suspectSays(train: TrainInput, s: Suspect): string {
  if (s.kind === "none") return "Nothing stands out";
  const where = nameOf(train, s.mesh);
  return s.kind === "tooth"
    ? `A knock once a turn of ${s.shaft}: a damaged tooth, ${isMeshTold(s) ? `most likely in ${where}` : "on which of its gears is not told"}`
    : `${capital(where)} swells once a turn of ${s.shaft}: out of true, or a bent shaft`;
}

/** How to find out whether it is so. */
export function suspectAsks(s: Suspect): string {
  if (s.kind === "none")
    return "What it hums like now is as good as made: compare it with the same model that is known good.";
  return s.kind === "tooth"
    ? `Turn ${s.shaft} by hand, unplugged: once in each turn it must catch or skip. Look at every tooth on it; a chip sounds like a hair or a seed between the teeth.`
    : `Turn ${s.shaft} by hand and feel for tight and loose once in each turn; hold a dial or a rule to the rim and watch it wander.`;
}

/** A line of a comparison, in words. */
export function comparedSays(train: TrainInput, line: ComparedLine): string {
  if (line.what === "mesh") return capital(nameOf(train, line.mesh));
  return line.what === "swell" ? `Swelling with ${line.shaft}` : `Knock with ${line.shaft}`;
}
export const comparedUnit = (line: ComparedLine): "dB" | "%" => (line.what === "swell" ? "%" : "dB");
