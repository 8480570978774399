import { loadDrafts } from "@/store/drafts";
import { type FrameView, frameOf } from "../frame/frame-view";
import { pageJob } from "../job-view/page-job";
import { type ArrivedPart, arrivedParts } from "./arrival-facts";
import { type MatchHead, matchHead } from "./match-head";

export interface ArrivalView {
  readonly frame: FrameView;
  readonly places: MatchHead;
  readonly arrivals: readonly ArrivedPart[];
  readonly draft: unknown;
}

export async function arrivalView(number: string): Promise<ArrivalView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  return {
    frame: frameOf(job),
    places: matchHead(job),
    arrivals: await arrivedParts(job),
    draft: (await loadDrafts(job.id)).arrival,
  };
}
