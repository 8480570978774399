import type { Way } from "@/core/gear/making";
import type { ToMake } from "@/core/gear/solid";
import type { Got } from "@/core/job/got";
import { partName } from "@/core/job/part";
import { donorsFor } from "@/store/donors";
import { type FrameView, frameOf } from "../frame/frame-view";
import { pageJob } from "../job-view/page-job";
import { gearToMake, waysFor } from "./gear-to-make";
import { type MatchHead, matchHead } from "./match-head";

export interface MakeView {
  readonly frame: FrameView;
  readonly places: MatchHead;
  readonly isGear: boolean;
  readonly ways: readonly Way[];
  readonly gear: ToMake | null;
  /** of the old one */
  readonly material: string | undefined;
  /** where it comes from, if that was said */
  readonly got: Got | undefined;
  readonly donors: readonly { readonly number: string; readonly says: string }[];
}

/** Where no part is available; null where the job has no such part. */
export async function makeView(number: string, id: string): Promise<MakeView | null> {
  const job = await pageJob(number);
  const part = job?.parts.find((p) => p.id === id);
  if (!job || !part) return null;
  const { gear } = gearToMake(job, id);
  const donors = await donorsFor(job);
  return {
    frame: frameOf(job, partName(part), "no part available"),
    places: matchHead(job),
    isGear: part.kind === "gear",
    ways: waysFor(job, id, donors.length),
    gear,
    material: part.material,
    got: job.findings.find((f) => f.part === id)?.got,
    donors,
  };
}
