import { planOf } from "@/core/gates/job-facts";
import { hardwareInWords } from "@/core/hardware/piece";
import type { Job } from "@/core/job/job";
import { partName, partNamed } from "@/core/job/part";
import { UNTIMED_MINUTES } from "@/core/job/step";
import { type AccessPlan, waysInto } from "@/core/order/access-plan";
import { isTogether, linesOpenedBy, offNow } from "@/core/order/off-again";
import { loadJob } from "@/store/job";
import { stripsOfModel } from "@/store/same-model";
import { pictureUrl } from "@/ui/picture-frame";
import type { Pocket } from "@/ui/pocket";
import { type FrameView, frameOf } from "../../frame/frame-view";
import { pocketsOf } from "../../job-view/mat-pockets";
import { pageJob } from "../../job-view/page-job";
import { titleOf } from "../../job-view/pocket-look";

/**
 * A strip that tells the way in: this job's as the machine stands, this job's as a whole machine, or an
 * earlier job's of the model.
 */
export interface WaySource {
  readonly from: string;
  readonly says: string;
}

export interface WayStep {
  readonly id: string;
  readonly n: number;
  readonly title: string;
  readonly hardware: string;
  readonly minutes: number;
  readonly untimed: boolean;
  readonly thumb?: string;
  readonly bundle?: string;
}

export interface WayInView {
  readonly frame: FrameView;
  readonly sources: readonly WaySource[];
  readonly from: string;
  readonly parts: readonly {
    readonly id: string;
    readonly name: string;
    readonly step: string;
    readonly minutes: number;
    readonly count: number;
  }[];
  /** the part that is asked for, and the way to it */
  readonly shown?: {
    readonly part: string;
    readonly name: string;
    readonly steps: readonly WayStep[];
    readonly minutes: number;
    readonly hardware: number;
    readonly tools: readonly string[];
    readonly bundles: number;
    /**
     * lines of the rebuild that are open again when it is taken; 0: they are none, or it is another job's way
     */
    readonly reopens: number;
  };
  readonly pockets: readonly Pocket[];
}

export const AS_IT_STANDS = "now";
const WHOLE = "whole";

/** The way in to each part of a job, and to the one that is asked for step by step. */
export async function wayInView(
  number: string,
  asked: { readonly from?: string; readonly part?: string },
): Promise<WayInView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const others = await stripsOfModel(job);
  const own: WaySource[] = job.steps.length
    ? [
        { from: AS_IT_STANDS, says: "This one, as it stands" },
        { from: WHOLE, says: "This one, when it is whole" },
      ]
    : [];
  const sources = [...own, ...others.map((n) => ({ from: n, says: `As ${n} came apart` }))];
  const from = sources.find((s) => s.from === asked.from)?.from ?? sources[0]?.from ?? AS_IT_STANDS;
  const source = others.includes(from) ? await loadJob(from) : job;
  if (!source) return null;
  const off = from === AS_IT_STANDS ? offNow(source.steps, source.linesDone) : [];
  const takenOff = source.steps.flatMap((s) => (s.parts ?? []).map((part) => ({ part, step: s.id })));
  const wayTo = waysInto(source).toPart;
  const wanted = takenOff.find((t) => t.part === asked.part)?.part;
  return {
    frame: frameOf(job),
    sources,
    from,
    parts: takenOff.map(({ part, step }) => {
      const way = wayTo(part, off);
      return { id: part, name: partNamed(source, part), step, minutes: way.minutes, count: way.steps.length };
    }),
    ...(wanted !== undefined && { shown: shown(job, source, wanted, wayTo(wanted, off), from) }),
    pockets: pocketsOf(source),
  };
}

function shown(job: Job, source: Job, part: string, way: AccessPlan, from: string): WayInView["shown"] {
  const done = new Set(job.linesDone);
  return {
    part,
    name: partNamed(source, part),
    steps: way.steps.map((id): WayStep => {
      const n = source.steps.findIndex((s) => s.id === id);
      const step = source.steps[n];
      const picture = source.pictures.find((p) => p.step === id);
      return {
        id,
        n: n + 1,
        title: step ? titleOf(step, (p) => partName(source.parts.find((x) => x.id === p))) : id,
        hardware: (step?.hardware ?? []).map((h) => hardwareInWords(h)).join("; "),
        minutes: step?.minutes ?? UNTIMED_MINUTES,
        untimed: step?.minutes === undefined,
        ...(picture && { thumb: pictureUrl(picture.sha256, true) }),
        ...(step?.bundle && { bundle: step.bundle }),
      };
    }),
    minutes: way.minutes,
    hardware: way.hardware,
    tools: way.tools,
    bundles: way.bundlesOpened.length,
    reopens:
      from === AS_IT_STANDS && !isTogether(job.stage)
        ? linesOpenedBy(planOf(job), job, way.steps).filter((k) => done.has(k)).length
        : 0,
  };
}
