import { type LaidHardware, lookAlikes } from "@/core/hardware/look-alikes";
import { partKindFrom } from "@/core/hardware/part-kind";
import { partLook } from "@/core/hardware/part-look";
import { type Hardware, hardwareInWords } from "@/core/hardware/piece";
import type { Job } from "@/core/job/job";
import { undoKey } from "@/core/job/keys";
import { onceFor } from "@/core/job/once-for";
import { type Part, partName } from "@/core/job/part";
import { keepDry } from "@/core/lube/cleaning";
import { directNeeds } from "@/core/order/checked-strip";
import type { Pocket } from "@/ui/pocket";
import { pocketLook, titleOf } from "./pocket-look";

/** What a set of hardware is, wherever it sat. */
const sameSet = (hardware: readonly Hardware[]): string =>
  JSON.stringify(hardware.map(({ id: _id, at: _at, ...h }) => h));

/**
 * The hardware of a strip, as it is compared with: of steps that laid down the same, the first two (one of
 * them may be the one that is edited). A long strip repeats itself, and a piece is compared with few.
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

/** For the eye alone: a name that only hints draws an outline, and decides nothing. */
const lookOf = (part: Part | undefined): string | undefined =>
  part && partLook(partName(part), part.kind ?? partKindFrom(partName(part)));

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
    const needed = needs[i] ?? [];
    const thumb = thumbs.get(s.id);
    const inOrder = needed.length === 1 && needed[0] === i - 1;
    return {
      step: s.id,
      ...pocketLook(
        titleOf(s, (id) => partName(parts.get(id))),
        s,
        lookOf(parts.get(s.parts?.[0] ?? "")),
      ),
      ...(thumb ? { thumb } : {}),
      ...(s.bundle ? { bundle: s.bundle } : {}),
      ...(inOrder ? {} : { needs: needed }),
      ...(done.has(undoKey(s.id)) ? { emptied: true } : {}),
      ...(s.action === "note" ? { isNote: true as const } : {}),
      ...(piece ? { lookAlike: `${hardwareInWords({ ...piece, at: undefined })} ${like.says}` } : {}),
    };
  });
});

/** The same where the unit is lubricated: what must stay dry stands out. */
export function pocketsToLubricate(job: Job): readonly Pocket[] {
  const dry = keepDry(job);
  const steps = new Set(
    dry.flatMap(
      (d) => d.step ?? job.steps.find((s) => d.part !== undefined && s.parts?.includes(d.part))?.id ?? [],
    ),
  );
  return pocketsOf(job).map((p) => (steps.has(p.step) ? { ...p, dry: true } : p));
}
