import { gatesOf } from "@/core/gates/job-facts";
import type { Gate } from "@/core/gates/open-gates";
import { goingInOf } from "@/core/job/going-in";
import type { Job } from "@/core/job/job";
import { partName } from "@/core/job/part";
import { pieceNamed } from "@/core/job/piece-named";
import type { PieceRef } from "@/core/job/piece-ref";
import type { Stage } from "@/core/job/stages";
import { loadDrafts } from "@/store/drafts";
import { shopSettings } from "@/store/settings";
import { type FrameView, frameOf } from "../frame/frame-view";
import { candidatesOf } from "../job-view/job-candidates";
import { pageJob } from "../job-view/page-job";
import type { WorkPlace } from "../job-view/put-in-work";
import { wantedInWords } from "../job-view/wanted-part";
import { placesToWork } from "../job-view/work-places";
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
  /** numbers that were ordered, or taken out of the drawer */
  readonly ordered: readonly string[];
  /** pieces that came out, to say which of them stay out */
  readonly cameOut: readonly CameOut[];
  /** what something can be done to before it goes in */
  readonly work: readonly WorkPlace[];
  /** what came off, for a kit in hand */
  readonly kitParts: readonly KitPart[];
}

/** A part that came off, as a kit may renew it. */
export interface KitPart {
  readonly id: string;
  readonly name: string;
  readonly renew: boolean;
}

/** A piece that came out, by its name and the step that took it off. */
export interface CameOut {
  readonly piece: PieceRef;
  readonly says: string;
}

const cameOut = (job: Job): CameOut[] =>
  job.steps.flatMap((s, i) =>
    [
      ...(s.parts ?? []).map((part) => ({ part })),
      ...(s.hardware ?? []).map((h) => ({ hardware: h.id })),
    ].map((piece) => ({
      piece,
      says: `step ${i + 1}: ${pieceNamed(job, piece)}`,
    })),
  );

export async function matchView(number: string): Promise<MatchView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const going = goingInOf(job);
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
      goesIn: going.find((g) => g.part === id),
      ordered:
        finding?.chosen !== undefined && job.toFit.some((t) => t.part === id && t.number === finding.chosen),
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
    ordered: job.toFit.map((t) => t.number),
    cameOut: going.length ? cameOut(job) : [],
    work: placesToWork(job),
    kitParts: job.parts
      .filter((p) => job.steps.some((s) => s.parts?.includes(p.id)))
      .map((p) => ({ id: p.id, name: partName(p), renew: p.renew === true })),
  };
}
