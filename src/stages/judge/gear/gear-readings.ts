import type { Making } from "@/core/gear/as-made";
import { isPlastic } from "@/core/hardware/material";
import type { GearNotes } from "@/core/job/gear-notes";
import type { Job } from "@/core/job/job";
import type { Reading } from "@/core/job/reading";
import { type Measured, meanOf } from "@/core/quantity/measured";
import { spreadOf } from "@/core/quantity/reading-kinds";

export interface MeanReading extends Measured {
  readonly what: string;
  readonly teeth?: number;
  readonly count: number;
  readonly source: string;
  /** time of the latest, ISO */
  readonly at: string;
}

/** The readings of a part, those of one dimension averaged. */
export function meanReadings(readings: readonly Reading[], part: string): MeanReading[] {
  const groups = new Map<string, Reading[]>();
  for (const r of readings)
    if (r.part === part)
      groups.set(`${r.what}|${r.teeth ?? ""}`, [...(groups.get(`${r.what}|${r.teeth ?? ""}`) ?? []), r]);
  return [...groups.values()].map((group) => {
    const first = group[0] as Reading;
    return {
      what: first.what,
      ...(first.teeth === undefined ? {} : { teeth: first.teeth }),
      ...meanOf(
        group.map((r) => r.value),
        spreadOf(first),
      ),
      count: group.length,
      source: [...new Set(group.map((r) => r.source))].join(", "),
      at: (group.at(-1) as Reading).at,
    };
  });
}

export type JudgedJob = Pick<Job, "findings" | "readings" | "parts">;
/** A part's notes. A count that its kind cannot have (left over from another kind) counts as none. */
export function notesOf(job: Pick<Job, "findings">, part: string): GearNotes {
  const { teeth, ...notes } = job.findings.find((f) => f.part === part)?.gear ?? {};
  return teeth === undefined || (teeth < 4 && notes.kind !== "worm") ? notes : { teeth, ...notes };
}
/** How a part was made: as it was said, or as its material tells. */
export function makingOf(
  job: Pick<Job, "findings" | "parts">,
  part: string,
): { readonly making: Making; readonly said: boolean } {
  const said = notesOf(job, part).making;
  if (said) return { making: said, said: true };
  return {
    making: isPlastic(job.parts.find((p) => p.id === part)?.material) ? "moulded" : "unknown",
    said: false,
  };
}
