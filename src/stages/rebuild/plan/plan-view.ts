import { planOf } from "@/core/gates/job-facts";
import { hardwareInWords } from "@/core/hardware/piece";
import type { Job } from "@/core/job/job";
import { stepThing } from "@/core/job/step-named";
import { movesIn } from "@/core/order/own-order";
import { isLineDone, lineKey, type RebuildLine, stepBackIn } from "@/core/order/rebuild-line";
import { isAtTheEnd } from "@/core/order/rebuild-plan";
import type { RunningWait } from "@/core/order/running-waits";
import { lineInWords } from "@/core/rebuild/line-in-words";
import { type FrameView, frameOf } from "../../frame/frame-view";
import { pageJob } from "../../job-view/page-job";
import { waitsNow } from "../../job-view/waits-now";
import { orderNow } from "../job-now";

export interface PlanRow {
  readonly key: string;
  readonly n: number;
  readonly kind: RebuildLine["kind"];
  readonly title: string;
  readonly done: boolean;
  /** the step that goes back with it; left out: it comes with another line */
  readonly step?: string;
  readonly because: readonly string[];
  /** it is one of the last lines, and can change places with those beside it */
  readonly last?: { readonly sooner: boolean; readonly later: boolean };
  /** what must be on before it, in words; left out: nothing stands before it that could stand behind */
  readonly before?: readonly string[];
}

export interface PlanView {
  readonly frame: FrameView;
  readonly rows: readonly PlanRow[];
  readonly minutes: number;
  readonly waits: readonly RunningWait[];
  /** somebody ordered it otherwise than the strip was */
  readonly isOwn: boolean;
}

/** A line as it stands in a list: its title, or what it puts back. */
function titleIn(job: Job, line: RebuildLine): string {
  const words = lineInWords(job, line);
  return words.title || words.hardware.map(hardwareInWords).join(", ");
}

/** The whole plan in its order, and what may come forward. */
export async function planView(number: string): Promise<PlanView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const plan = planOf(job);
  const finished = new Set(job.linesDone);
  const { now, done: back } = orderNow(job);
  const moves = movesIn(job);
  const open = now.filter((s) => !back.has(s));
  const last = plan.steps.filter((l) => isAtTheEnd(l, job) && !isLineDone(l, finished));
  const placesAmong = (line: RebuildLine) => ({
    sooner: last.indexOf(line) > 0,
    later: last.indexOf(line) < last.length - 1,
  });
  const rows = plan.steps.map((line): PlanRow => {
    const step = stepBackIn(line);
    const done = isLineDone(line, finished);
    const first = step === undefined || done ? [] : moves.sooner(now, back, step).first;
    // where all that is next has to be on before it, there is nothing to bring forward
    const isNext = first.every((s, i) => s === open[i]);
    return {
      key: lineKey(line),
      n: line.n,
      kind: line.kind,
      title: titleIn(job, line),
      done,
      because: line.because,
      ...(!done && isAtTheEnd(line, job) && { last: placesAmong(line) }),
      ...(step !== undefined && {
        step,
        ...(!isNext && { before: first.filter((s) => s !== step).map((s) => stepThing(job, s)) }),
      }),
    };
  });
  const linesOpen = rows.filter((r) => !r.done).length;
  return {
    frame: frameOf(
      job,
      undefined,
      rows.length ? `${linesOpen} of ${rows.length} lines are open` : "nothing stripped yet",
    ),
    rows,
    minutes: plan.minutes,
    waits: waitsNow(job),
    isOwn: (job.ownOrder?.length ?? 0) > 0,
  };
}
