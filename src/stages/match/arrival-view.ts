import { loadDrafts } from "@/store/drafts";
import { currentJob } from "@/store/job";
import { type FrameView, frameOf } from "../frame/frame-view";
import { type ArrivedPart, arrivedParts } from "./arrival-facts";
import { type MatchHead, matchHead } from "./match-head";

export interface ArrivalView {
  readonly frame: FrameView;
  readonly places: MatchHead;
  readonly arrivals: readonly ArrivedPart[];
  readonly draft: unknown;
}

export async function arrivalView(number: string): Promise<ArrivalView | null> {
  const job = await currentJob(number);
  if (!job) return null;
  return { frame: frameOf(job), places: matchHead(job), arrivals: await arrivedParts(job), draft: (await loadDrafts(job.id)).arrival };
}
