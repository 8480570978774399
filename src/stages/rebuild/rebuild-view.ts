import { gatesOf, planOf } from "@/core/gates/job-facts";
import type { Gate } from "@/core/gates/open-gates";
import { goingInOf } from "@/core/job/going-in";
import type { Job } from "@/core/job/job";
import { undoKey } from "@/core/job/keys";
import type { Stage } from "@/core/job/stages";
import { cleaningCautions } from "@/core/lube/cleaning-ways";
import { freeVolumeOf } from "@/core/lube/rooms";
import { slipIn } from "@/core/lube/slips";
import { backOnce, type LedgerRow, ledgerRows } from "@/core/order/hardware-ledger";
import { isLineDone, lineKey, type RebuildLine } from "@/core/order/rebuild-plan";
import { type LineWords, lineInWords } from "@/core/rebuild/line-in-words";
import { type FramedPicture, framed } from "@/ui/picture-frame";
import type { Pocket } from "@/ui/pocket";
import type { Spotted } from "@/ui/spots-overlay";
import { type FrameView, frameOf } from "../frame/frame-view";
import { pocketsOf } from "../job-view/mat-pockets";
import { pageJob } from "../job-view/page-job";
import { spotsIn } from "../job-view/spots-in";

/** The line of the plan that is to be done now. */
export interface LineNow {
  readonly key: string;
  readonly n: number;
  readonly kind: RebuildLine["kind"];
  readonly words: LineWords;
  readonly because: readonly string[];
  readonly cautions: readonly string[];
}

export interface RebuildView {
  readonly frame: FrameView;
  readonly pockets: readonly Pocket[];
  /** null: it is together */
  readonly line: LineNow | null;
  /** the line before it, which can be opened again */
  readonly last: { readonly key: string; readonly title: string } | null;
  readonly count: number;
  readonly picture: FramedPicture | undefined;
  /** what was pointed at in it */
  readonly spots: readonly Spotted[];
  readonly pictureWords: string;
  readonly rows: readonly LedgerRow[];
  readonly foot: string;
  readonly stage: Stage;
  readonly gates: readonly Gate[];
}

/** What to mind at a line: of a step what its strip and its hazards say, of a cleaning what it is done with, of a lubricant an amount that cannot be. */
function cautionsAt(job: Job, line: RebuildLine): readonly string[] {
  if (line.kind === "grease") {
    const g = job.lubePoints.find((x) => x.id === line.lubePoint);
    const chamber = job.chambers?.find((c) => c.id === g?.chamber);
    const slip = g?.grams === undefined ? null : slipIn(g.weighedGrams ?? g.grams, { aim: g.grams, freeVolumeMl: chamber && freeVolumeOf(job, chamber) });
    return slip ? [slip.says] : [];
  }
  if (line.kind === "service") return cleaningCautions(job.services.find((v) => v.id === line.service)?.method);
  return "cautions" in line ? line.cautions : [];
}

export async function rebuildView(number: string): Promise<RebuildView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const plan = planOf(job);
  const done = new Set(job.linesDone);
  const isDone = (l: RebuildLine): boolean => isLineDone(l, done);
  const at = plan.steps.findIndex((l) => !isDone(l));
  const now = at < 0 ? undefined : plan.steps[at];
  const before = at < 0 ? plan.steps.at(-1) : plan.steps[at - 1];
  const words = now && lineInWords(job, now);
  const pointedAt = job.pictures.find((p) => words?.picture !== undefined && p.name === words.picture);
  const pictures = pointedAt ? [pointedAt] : words?.step === undefined ? [] : job.pictures.filter((p) => p.step === words.step);
  const stepNumber = job.steps.findIndex((s) => s.id === (pointedAt ? pointedAt.step : words?.step)) + 1;
  const here = now?.kind === "grease" ? now.lubePoint : undefined;
  // where the chamber is, is no matter any more
  const spots = pointedAt ? spotsIn({ ...job, points: job.lubePoints }, pointedAt.name, here).filter((s) => s.kind !== "room") : [];
  const open = plan.steps.filter((l) => !isDone(l));
  const nextGrease = open.find((l) => l.kind === "grease");
  const minutesLeft = Math.max(1, Math.round((plan.minutes * open.length) / Math.max(1, plan.steps.length)));
  return {
    frame: frameOf(
      job,
      undefined,
      now ? `line ${now.n} of ${plan.steps.length} · about ${minutesLeft} minutes left` : plan.steps.length ? "back together" : "nothing stripped yet",
    ),
    pockets: pocketsOf(job),
    line: now && words ? { key: lineKey(now), n: now.n, kind: now.kind, words, because: now.because, cautions: cautionsAt(job, now) } : null,
    last: before && isDone(before) ? { key: lineKey(before), title: lineInWords(job, before).title } : null,
    count: plan.steps.length,
    picture: framed(pictures[0] ?? (now ? undefined : job.pictures.find((p) => p.role === "intake"))),
    spots,
    pictureWords:
      now && pictures.length && stepNumber === 0
        ? "as it came in"
        : now
          ? `before step ${stepNumber} came off${pictures.length > 1 ? ` · 1 of ${pictures.length}` : ""}`
          : "as it came in",
    rows: ledgerRows(
      job,
      backOnce(job.ending ? [] : goingInOf(job), (s) => done.has(undoKey(s.id))),
    ),
    foot:
      job.linesDone.length === 0 && plan.pick.length
        ? `Fetch first: ${plan.pick.map((p) => p.why).join("; ")}`
        : nextGrease && now
          ? `next grease at line ${nextGrease.n}; ${nextGrease.because[0]}`
          : "",
    stage: job.stage,
    gates: gatesOf(job, "rebuild"),
  };
}
