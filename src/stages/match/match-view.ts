import { gatesOf } from "@/core/gates/job-facts";
import type { Gate } from "@/core/gates/open-gates";
import { partName } from "@/core/job/part";
import type { Stage } from "@/core/job/stages";
import { shopSettings } from "@/store/settings";
import { type FrameView, frameOf } from "../frame/frame-view";
import { candidatesOf } from "../job-view/job-candidates";
import { pageJob } from "../job-view/page-job";
import { wantedInWords } from "../job-view/wanted-part";
import { type MatchHead, matchHead } from "./match-head";
import type { MatchPart } from "./match-screen";

export interface MatchView {
  readonly frame: FrameView;
  readonly places: MatchHead;
  readonly parts: readonly MatchPart[];
  readonly stage: Stage;
  readonly gates: readonly Gate[];
  readonly currency: string;
}

export async function matchView(number: string): Promise<MatchView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const parts = (await candidatesOf(job)).map(({ id, wanted, candidates, chosen, offers }): MatchPart => {
    const part = job.parts.find((p) => p.id === id);
    return {
      id,
      name: partName(part),
      wanted: "missing" in wanted ? "" : wantedInWords(wanted),
      missing: "missing" in wanted ? wanted.missing : undefined,
      candidates,
      offers,
      chosen: chosen?.number,
      readNumber: job.findings.find((f) => f.part === id)?.readNumber,
      isGear: part?.kind === "gear",
    };
  });
  return { frame: frameOf(job), places: matchHead(job), parts, stage: job.stage, gates: gatesOf(job, "match"), currency: (await shopSettings()).currency };
}
