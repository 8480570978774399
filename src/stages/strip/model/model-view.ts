import { ROOTS } from "@/core/judge/roots";
import { type Guide, guideOf } from "@/core/memory/guide";
import { guideWith, type WrittenGuide } from "@/core/memory/written-guide";
import { type FrameView, frameOf } from "../../frame/frame-view";
import { learnedHere } from "../../job-view/learned-here";
import { pageJob } from "../../job-view/page-job";
import { unitOf, unitsOfModel } from "./units-of-model";

export interface ModelView {
  readonly frame: FrameView;
  readonly guide: Guide;
  /** what was written by hand, and which state of it the screen shows */
  readonly written: WrittenGuide;
  readonly version: number;
  /** it is learnt from this unit alone */
  readonly alone: boolean;
  /** what verdicts on such units were, the most often first */
  readonly began: readonly {
    readonly says: string;
    readonly n: number;
    readonly m: number;
    /** how likely each is taken to be before anything is found, and as it ships; 0 to 1 */
    readonly prior: number;
    readonly shipped: number;
  }[];
  readonly unit: { readonly kind: string; readonly maker: string; readonly model: string };
}

/**
 * What the model's other units tell of it, taken apart here or elsewhere; where there are none, what this one
 * does.
 */
export async function modelView(number: string): Promise<ModelView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const { units: others, kept } = await unitsOfModel(job);
  const alone = others.length === 0;
  const units = alone && job.steps.length ? [unitOf(job)] : others;
  const { kind, maker, model } = job;
  return {
    frame: frameOf(
      job,
      undefined,
      others.length === 1 ? "one other unit is known" : `${others.length} other units are known`,
    ),
    guide: guideWith(
      guideOf(
        units.map((u) => u.strip),
        units.map((u) => u.failed),
      ),
      kept.written,
    ),
    written: kept.written,
    version: kept.version,
    alone,
    began: (await learnedHere(job))
      .filter((l) => l.n > 0)
      .sort((a, b) => b.n - a.n)
      .map(({ cause, n, m, prior, shipped }) => ({
        says: ROOTS.find((r) => r.cause === cause)?.says ?? cause,
        n,
        m,
        prior,
        shipped,
      })),
    unit: { kind, maker, model },
  };
}
