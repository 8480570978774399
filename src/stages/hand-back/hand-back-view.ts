import { gatesOf } from "@/core/gates/job-facts";
import type { Gate } from "@/core/gates/open-gates";
import type { FinalCheck } from "@/core/hand-back/final-check";
import { finalChecks } from "@/core/hand-back/final-checks";
import { instrumentFor } from "@/core/hand-back/instruments";
import { careOf, nextLookSays } from "@/core/hand-back/report/care";
import { type SameView, sameViews } from "@/core/hand-back/report/same-views";
import type { Answer } from "@/core/job/answer";
import type { GoingHome } from "@/core/job/going-home";
import { finalOf } from "@/core/job/keys";
import type { OwnTest } from "@/core/job/own-tests";
import type { RunningWait } from "@/core/order/running-waits";
import { loadDrafts } from "@/store/drafts";
import { shopSettings } from "@/store/settings";
import type { Pocket } from "@/ui/pocket";
import { type FrameView, frameOf } from "../frame/frame-view";
import { pocketsOf } from "../job-view/mat-pockets";
import { pageJob } from "../job-view/page-job";
import { beforeItRuns } from "../job-view/waits-now";

export interface HandBackView {
  readonly frame: FrameView;
  readonly pockets: readonly Pocket[];
  /** when it went home, ISO 8601 */
  readonly handedBackAt: string | undefined;
  /** to the last checks */
  readonly answers: readonly Answer[];
  readonly checks: readonly FinalCheck[];
  /** check → the instrument that is proposed for it */
  readonly instruments: Readonly<Record<string, string>>;
  /** what must cure before the unit runs */
  readonly cures: readonly RunningWait[];
  readonly kind: string;
  readonly ownTests: readonly OwnTest[];
  readonly gates: readonly Gate[];
  /** what came with it, each with its picture where one was taken */
  readonly looseItems: readonly LooseItem[];
  readonly home: GoingHome | undefined;
  readonly customerName: string;
  /** when it should be looked at next, by cause and use */
  readonly suggestedLook: string;
  readonly views: readonly SameView[];
  /** what is half typed */
  readonly drafts: Readonly<
    Record<"figure" | "instrument" | "note" | "look" | "ends" | "read" | "ran", unknown>
  >;
}

export type { SameView };

export interface LooseItem {
  readonly name: string;
  /** SHA-256 of its picture */
  readonly picture?: string;
}

export async function handBackView(number: string): Promise<HandBackView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const drafts = await loadDrafts(job.id);
  const { electrical, instruments } = await shopSettings();
  const checks = finalChecks(job, electrical);
  const { look } = careOf(job);
  return {
    frame: frameOf(job),
    pockets: pocketsOf(job),
    handedBackAt: job.handedBackAt,
    looseItems: job.looseItems.map((name) => {
      const picture = job.pictures.find((p) => p.name === job.loosePictures[name])?.sha256;
      return { name, ...(picture ? { picture } : {}) };
    }),
    home: job.home,
    customerName: job.customerName,
    suggestedLook: look ? nextLookSays(look) : "",
    views: sameViews(job),
    answers: job.answers.filter((a) => finalOf(a.question) !== undefined),
    checks,
    instruments: Object.fromEntries(
      checks.flatMap((c) => (c.instrument ? [[c.check, instrumentFor(c, electrical, instruments)]] : [])),
    ),
    cures: beforeItRuns(job),
    kind: job.kind,
    ownTests: job.ownTests ?? [],
    gates: [...gatesOf(job, "rebuild"), ...gatesOf(job, "hand-back")],
    drafts: {
      figure: drafts["hand-back.figure"],
      instrument: drafts["hand-back.instrument"],
      note: drafts["hand-back.note"],
      look: drafts["hand-back.look"],
      ends: drafts["hand-back.ends"],
      read: drafts["hand-back.read"],
      ran: drafts["hand-back.ran"],
    },
  };
}
