import { type LaidHardware, lookAlikes } from "@/core/hardware/look-alikes";
import { type Hardware, hardwareInWords } from "@/core/hardware/piece";
import type { Job } from "@/core/job/job";
import { undoKey } from "@/core/job/keys";
import { onceFor } from "@/core/job/once-for";
import { partName } from "@/core/job/part";
import type { StripStep } from "@/core/job/step";
import { directNeeds } from "@/core/order/checked-strip";
import type { Pocket } from "@/ui/mat";

/** What a set of hardware is, wherever it sat. */
const sameSet = (hardware: readonly Hardware[]): string => JSON.stringify(hardware.map(({ id: _id, at: _at, ...h }) => h));

/**
 * The hardware of a strip, as it is compared with: of steps that laid down the same, the first two (one of them may be the one that is edited). A long strip repeats itself, and a piece is compared with few.
 */
export const laidHardware = onceFor((job: Pick<Job, "steps">): readonly LaidHardware[] => {
  const seen = new Map<string, number>();
  return job.steps.flatMap(({ hardware }, i) => {
    if (!hardware?.length) return [];
    const key = sameSet(hardware);
    const times = (seen.get(key) ?? 0) + 1;
    seen.set(key, times);
    return times <= 2 ? [{ step: i + 1, hardware }] : [];
  });
});

/** The job's steps as pockets on the Mat. */
export const pocketsOf = onceFor((job: Job): readonly Pocket[] => {
  const done = new Set(job.linesDone);
  const needs = directNeeds(job.steps);
  const laid = laidHardware(job);
  const thumbs = new Map<string, string>();
  for (const p of job.pictures) if (p.step && !thumbs.has(p.step)) thumbs.set(p.step, p.sha256);
  const parts = new Map(job.parts.map((p) => [p.id, p]));
  let before = 0;
  return job.steps.map((s, i): Pocket => {
    const hardware = s.hardware ?? [];
    while ((laid[before]?.step ?? Number.POSITIVE_INFINITY) <= i) before++;
    const like = hardware.length ? lookAlikes(hardware, laid.slice(0, before))[0] : undefined;
    const piece = like && hardware[like.piece];
    const [main] = hardware;
    const needed = needs[i] ?? [];
    return said({
      step: s.id,
      title: titleOf(s, (id) => partName(parts.get(id))),
      thumb: thumbs.get(s.id),
      main: main && said({ kind: main.kind, drive: main.drive }),
      pieces: hardware.reduce((sum, h) => sum + h.qty, 0) || undefined,
      partKind: s.parts?.[0] === undefined ? undefined : parts.get(s.parts[0])?.kind,
      facing: s.facing === undefined ? undefined : true,
      bundle: s.bundle,
      needs: needed.length === 1 && needed[0] === i - 1 ? undefined : needed,
      emptied: done.has(undoKey(s.id)) || undefined,
      lookAlike: piece && `${hardwareInWords({ ...piece, at: undefined })} ${like.says}`,
    });
  });
});

/** Without what is not said: a key that says nothing travels to the browser all the same. */
function said<T extends object>(record: T): T {
  const out = { ...record };
  for (const key of Object.keys(out)) if (Reflect.get(out, key) === undefined) Reflect.deleteProperty(out, key);
  return out;
}

/** What a step is called: its title, or its parts, or its hardware. */
export function titleOf(s: StripStep, named: (id: string) => string): string {
  if (s.title) return s.title;
  const parts = (s.parts ?? []).map(named);
  return parts.join(", ") || (s.hardware ?? []).map(hardwareInWords).join("; ") || s.note || s.action;
}
