import { gatesOf } from "@/core/gates/job-facts";
import type { Gate } from "@/core/gates/open-gates";
import { partName } from "@/core/job/part";
import type { Stage } from "@/core/job/stages";
import { loadDrafts } from "@/store/drafts";
import { shopSettings } from "@/store/settings";
import { type FrameView, frameOf } from "../frame/frame-view";
import { candidatesOf } from "../job-view/job-candidates";
import { pageJob } from "../job-view/page-job";
import { wantedInWords } from "../job-view/wanted-part";
import { type MatchHead, matchHead } from "./match-head";
import type { MatchPart } from "./match-part";

export interface MatchView {
  readonly frame: FrameView;
  readonly places: MatchHead;
  readonly parts: readonly MatchPart[];
  readonly stage: Stage;
  readonly gates: readonly Gate[];
  readonly currency: string;
  /** what is half said of where a part comes from, by the name of its field */
  readonly drafts: Readonly<Record<string, unknown>>;
  /** nothing is bought: it ends without its repair */
  readonly ended: boolean;
}

export async function matchView(number: string): Promise<MatchView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const parts = (await candidatesOf(job)).map(({ id, wanted, candidates, chosen, offers }): MatchPart => {
    const part = job.parts.find((p) => p.id === id);
    const finding = job.findings.find((f) => f.part === id);
    return {
      id,
      name: partName(part),
      wanted: "missing" in wanted ? "" : wantedInWords(wanted),
      missing: "missing" in wanted ? wanted.missing : undefined,
      candidates,
      offers,
      chosen: chosen?.number,
      readNumber: finding?.readNumber,
      got: finding?.got,
      isGear: part?.kind === "gear",
    };
  });
  return {
    frame: frameOf(job),
    places: matchHead(job),
    parts,
    stage: job.stage,
    gates: gatesOf(job, "match"),
    currency: (await shopSettings()).currency,
    drafts: await loadDrafts(job.id),
    ended: job.ending !== undefined,
  };
}
