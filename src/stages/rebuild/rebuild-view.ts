import { gatesOf, planOf, uncountedOf } from "@/core/gates/job-facts";
import type { Gate } from "@/core/gates/open-gates";
import { goingInOf } from "@/core/job/going-in";
import type { Job } from "@/core/job/job";
import { causeKey, ruledOutKey, undoKey } from "@/core/job/keys";
import { partNamed } from "@/core/job/part";
import type { JobPicture } from "@/core/job/picture";
import type { Stage } from "@/core/job/stages";
import type { Holes } from "@/core/job/step";
import { stepThing } from "@/core/job/step-named";
import { type FreshPieces, freshPieces } from "@/core/order/fresh-pieces";
import { backOnce, type LedgerRow, ledgerRows } from "@/core/order/hardware-ledger";
import { lessMissing, missingOf } from "@/core/order/missing";
import { isLineDone, lineKey, type RebuildLine, stepBackIn } from "@/core/order/rebuild-line";
import type { RebuildPlan } from "@/core/order/rebuild-plan";
import type { RunningWait } from "@/core/order/running-waits";
import { cautionsAt } from "@/core/rebuild/line-cautions";
import { type LineWords, lineInWords } from "@/core/rebuild/line-in-words";
import { type Replaced, replacedSoFar } from "@/core/rebuild/replaced";
import { suspectsOf } from "@/core/rebuild/suspects";
import { framed, pictureUrl } from "@/ui/picture-frame";
import type { Pocket } from "@/ui/pocket";
import { type FrameView, frameOf } from "../frame/frame-view";
import { pocketsToLubricate } from "../job-view/mat-pockets";
import { pageJob } from "../job-view/page-job";
import { titleOf } from "../job-view/pocket-look";
import type { WorkPlace } from "../job-view/put-in-work";
import { spotsIn } from "../job-view/spots-in";
import type { StepNamed } from "../job-view/tight-fields";
import { waitsNow } from "../job-view/waits-now";
import { placesToWork } from "../job-view/work-places";
import type { SuspectNow } from "./find-cause";
import type { LaidStep } from "./leftover";
import type { LinePicture } from "./line-pictures";
import type { MissingPiece } from "./missing-pieces";
import type { Uncounted } from "./never-counted";

/** The line of the plan that is to be done now. */
export interface LineNow {
  readonly key: string;
  readonly n: number;
  readonly kind: RebuildLine["kind"];
  readonly words: LineWords;
  readonly because: readonly string[];
  readonly cautions: readonly string[];
  /** where its screws sit in the picture */
  readonly holes?: Holes;
  /** of a check: what can be behind a "no" */
  readonly suspects: readonly SuspectNow[];
  /** what work put in here is done to, where nobody says otherwise */
  readonly thing?: string;
}

export interface RebuildView {
  readonly frame: FrameView;
  readonly pockets: readonly Pocket[];
  /** null: it is together */
  readonly line: LineNow | null;
  /** the line before it, which can be opened again */
  readonly last: { readonly key: string; readonly title: string } | null;
  readonly count: number;
  /** what was taken before the step came off; the one that was pointed at comes first */
  readonly pictures: readonly LinePicture[];
  /** what would be shown, where no picture was taken */
  readonly noPicture: string;
  readonly rows: readonly LedgerRow[];
  /** what goes in new, and never came off */
  readonly fresh: FreshPieces;
  readonly replaced: readonly Replaced[];
  /** what a piece that is left over is held against */
  readonly laid: readonly LaidStep[];
  /** what goes back later: a screw may be left loose for it */
  readonly later: readonly StepNamed[];
  /** what was begun and needs its time */
  readonly waits: readonly RunningWait[];
  /** the one that this line would close over */
  readonly held: RunningWait | null;
  /** what was not in its pocket when its step went back */
  readonly missing: readonly MissingPiece[];
  /** of which nobody said how many there were */
  readonly uncounted: readonly Uncounted[];
  /** what something can be done to now */
  readonly places: readonly WorkPlace[];
  readonly foot: string;
  readonly stage: Stage;
  readonly gates: readonly Gate[];
}

const stepNumberOf = (job: Job, step: string | undefined): number =>
  job.steps.findIndex((s) => s.id === step) + 1;

/**
 * The pictures of a line: of its step, or, where a lubricant goes in, the one in which its place was pointed
 * at, with what stays dry. Together, it is shown as it came in.
 */
function linePictures(job: Job, now: RebuildLine | undefined, words: LineWords | undefined): LinePicture[] {
  const shown = (p: JobPicture): LinePicture => {
    const n = stepNumberOf(job, p.step);
    // where the chamber is, is no matter any more
    const spots =
      now?.kind === "grease"
        ? spotsIn({ ...job, points: job.lubePoints }, p.name, now.lubePoint).filter((s) => s.kind !== "room")
        : [];
    return {
      name: p.name,
      picture: framed(p),
      spots,
      words: n ? `before step ${n} came off` : "as it came in",
    };
  };
  if (!now)
    return job.pictures
      .filter((p) => p.role === "intake")
      .slice(0, 1)
      .map(shown);
  const first = job.pictures.filter((p) => words?.picture !== undefined && p.name === words.picture);
  const others = job.pictures.filter(
    (p) => words?.step !== undefined && p.step === words.step && !first.includes(p),
  );
  return [...first, ...others].map(shown);
}

/** What can be behind the "no" at a check, with what came of looking. */
function suspectsNow(job: Job, plan: RebuildPlan, line: RebuildLine): SuspectNow[] {
  if (line.kind !== "check") return [];
  const key = lineKey(line);
  const done = new Set(job.linesDone);
  const said = new Map(job.answers.map((a) => [a.question, a.answer]));
  return suspectsOf(job, plan, line, done).map(({ step, ...s }) => ({
    ...s,
    ...(step !== undefined && done.has(undoKey(step)) ? { off: { step, says: stepThing(job, step) } } : {}),
    out: said.has(ruledOutKey(key, s.id)),
    found: said.get(causeKey(key)) === s.id,
  }));
}

const thingAt = (job: Job, { step }: LineWords): Pick<LineNow, "thing" | "holes"> => {
  const { parts, holes } = job.steps.find((s) => s.id === step) ?? {};
  const part = parts?.[0];
  return { ...(part === undefined ? {} : { thing: part }), ...(holes ? { holes } : {}) };
};

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
  const open = plan.steps.filter((l) => !isDone(l));
  const waits = waitsNow(job);
  const missing = missingOf(job);
  const step = now && stepBackIn(now);
  const nextGrease = open.find((l) => l.kind === "grease");
  const minutesLeft = Math.max(1, Math.round((plan.minutes * open.length) / Math.max(1, plan.steps.length)));
  return {
    frame: frameOf(
      job,
      undefined,
      now
        ? `line ${now.n} of ${plan.steps.length} · about ${minutesLeft} minutes left`
        : plan.steps.length
          ? "back together"
          : "nothing stripped yet",
    ),
    pockets: pocketsToLubricate(job),
    line:
      now && words
        ? {
            key: lineKey(now),
            n: now.n,
            kind: now.kind,
            words,
            because: now.because,
            cautions: cautionsAt(job, now),
            suspects: suspectsNow(job, plan, now),
            ...thingAt(job, words),
          }
        : null,
    last: before && isDone(before) ? { key: lineKey(before), title: lineInWords(job, before).title } : null,
    count: plan.steps.length,
    pictures: linePictures(job, now, words),
    noPicture: now ? `before step ${stepNumberOf(job, words?.step)} came off` : "as it came in",
    rows: ledgerRows(
      job,
      lessMissing(
        backOnce(job.ending ? [] : goingInOf(job), (s) => done.has(undoKey(s.id))),
        missing,
      ),
    ),
    fresh: freshPieces(job.steps, job.ending ? [] : goingInOf(job), done),
    replaced: replacedSoFar(job),
    laid: job.steps.flatMap((s, i): LaidStep[] => {
      if (!s.hardware?.length) return [];
      const picture = job.pictures.find((p) => p.step === s.id);
      return [
        {
          id: s.id,
          n: i + 1,
          title: titleOf(s, (p) => partNamed(job, p)),
          action: s.action,
          hardware: s.hardware,
          back: done.has(undoKey(s.id)),
          ...(picture && { thumb: pictureUrl(picture.sha256, true) }),
        },
      ];
    }),
    later: plan.steps
      .slice(at + 1)
      .flatMap((l) =>
        at >= 0 && l.kind === "fit" && l.undoes !== words?.step
          ? [{ id: l.undoes, says: stepThing(job, l.undoes) }]
          : [],
      ),
    waits,
    held: (step !== undefined && waits.find((w) => w.holds === step)) || null,
    missing: missing.map(({ step: at, piece, qty }) => {
      const picture = job.pictures.find((p) => p.step === at);
      return {
        step: at,
        at: stepThing(job, at),
        piece,
        qty,
        ...(picture && { picture: { name: picture.name, url: pictureUrl(picture.sha256, true) } }),
      };
    }),
    uncounted: uncountedOf(job).map(({ step, piece }) => ({ step, at: stepThing(job, step), piece })),
    places: placesToWork(job),
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
