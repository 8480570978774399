import { wheelsOf } from "../train/train";
import type { Job } from "./job";

/**
 * The part that a gear runs with, wherever that was said: on its gear bench, on the other's, or in the train.
 * Nothing where nobody said it, or where the train gives it more than one.
 */
export function mateOf(
  { findings, train }: Pick<Job, "findings" | "train">,
  part: string,
): string | undefined {
  const own = findings.find((f) => f.part === part)?.gear.mate;
  if (own) return own;
  const other = findings.find((f) => f.gear.mate === part)?.part;
  if (other) return other;
  const meshed = new Set(
    (train?.meshes ?? []).flatMap((m) => {
      const parts = wheelsOf(m).map((w) => w.part);
      return parts.includes(part) ? parts.filter((p) => p !== undefined && p !== part) : [];
    }),
  );
  const [first] = meshed;
  return meshed.size === 1 ? first : undefined;
}
