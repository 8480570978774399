import { hardwareInWords } from "../hardware/piece";
import { goingInOf } from "../job/going-in";
import type { Job } from "../job/job";
import { undoKey } from "../job/keys";
import { partName, partNamed } from "../job/part";
import { staysOut } from "../order/hardware-ledger";

/** An old piece that did not go back, and what became of its place. */
export interface Replaced {
  readonly old: string;
  /** "W-12 went in instead", "motor 12 W goes in in its place" */
  readonly how: string;
}

/**
 * What was replaced so far, by which: parts that go back new, old ones that a companion takes the place of,
 * pieces that are used once, lost or broken. Each stands here once its step is back.
 */
export function replacedSoFar(job: Job): Replaced[] {
  if (job.ending) return [];
  const done = new Set(job.linesDone);
  const going = goingInOf(job);
  return job.steps
    .filter((s) => s.action !== "note" && done.has(undoKey(s.id)))
    .flatMap((s): Replaced[] => [
      ...(s.parts ?? []).flatMap((id) => {
        const part = job.parts.find((p) => p.id === id);
        if (!part) return [];
        const how = staysOut(going, { part: id });
        if (how !== undefined) return [{ old: partNamed(job, id), how }];
        const found = job.findings.find((f) => f.part === id);
        const fresh = found?.goesIn?.name || found?.chosen || found?.got?.number || "a new one";
        return part.renew ? [{ old: partName(part), how: `${fresh} went in instead` }] : [];
      }),
      ...(s.hardware ?? []).flatMap((h) => {
        const how = staysOut(going, { hardware: h.id });
        if (how !== undefined) return [{ old: hardwareInWords({ ...h, at: undefined }), how }];
        const isNew = h.once || h.state === "lost" || h.state === "broken";
        return isNew
          ? [
              {
                old: hardwareInWords({ ...h, at: undefined, state: undefined }),
                how: `${h.qty > 1 ? "new ones" : "a new one"} went in instead`,
              },
            ]
          : [];
      }),
    ]);
}
