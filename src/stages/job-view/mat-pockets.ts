import { type LaidHardware, lookAlikes } from "@/core/hardware/look-alikes";
import { hardwareInWords } from "@/core/hardware/piece";
import type { Job } from "@/core/job/job";
import { undoKey } from "@/core/job/keys";
import { checkStrip } from "@/core/order/checked-strip";
import type { Pocket } from "@/ui/mat";
import { pictureUrl } from "@/ui/picture-frame";

/** The job's steps as pockets on the Mat. */
export function pocketsOf(job: Job): Pocket[] {
  const done = new Set(job.linesDone);
  const { needs } = checkStrip(job);
  const before: LaidHardware[] = [];
  return job.steps.map((s, i) => {
    const picture = job.pictures.find((p) => p.step === s.id);
    const hardware = s.hardware ?? [];
    const like = lookAlikes(hardware, before)[0];
    before.push({ step: i + 1, hardware });
    return {
      step: s.id,
      n: i + 1,
      title: titleOf(job, s.id),
      thumb: picture ? pictureUrl(picture.sha256, true) : undefined,
      hardware: (s.hardware ?? []).map((h) => ({ kind: h.kind, qty: h.qty, drive: h.drive })),
      partKind: job.parts.find((p) => p.id === s.parts?.[0])?.kind,
      facing: s.facing,
      bundle: s.bundle,
      needs: needs[i] ?? [],
      emptied: done.has(undoKey(s.id)),
      lookAlike: like && `${hardwareInWords({ ...(hardware[like.piece] as (typeof hardware)[number]), at: undefined })} ${like.says}`,
    };
  });
}

/** What a step is called: its title, or its parts, or its hardware. */
export function titleOf(job: Job, step: string): string {
  const s = job.steps.find((x) => x.id === step);
  if (!s) return step;
  if (s.title) return s.title;
  const parts = (s.parts ?? []).map((p) => job.parts.find((x) => x.id === p)?.name ?? p);
  return parts.join(", ") || (s.hardware ?? []).map(hardwareInWords).join("; ") || s.note || s.action;
}
