import { planOf } from "@/core/gates/job-facts";
import type { Job } from "@/core/job/job";
import { type LedgerRow, ledgerRows } from "@/core/order/hardware-ledger";
import { isLineDone, lineKey } from "@/core/order/rebuild-line";
import { besideLine } from "@/core/rebuild/line-beside";
import { cautionsAt } from "@/core/rebuild/line-cautions";
import { lineInWords } from "@/core/rebuild/line-in-words";
import { shopSettings } from "@/store/settings";
import { pictureUrl } from "@/ui/picture-frame";
import { pageJob } from "../../job-view/page-job";

export interface PaperLine {
  readonly key: string;
  readonly n: number;
  readonly title: string;
  readonly belongs: string;
  readonly beside: readonly string[];
  readonly pieces: number;
  readonly tray?: string;
  readonly done: boolean;
  readonly picture?: string;
}

export interface PaperView {
  readonly job: Job;
  readonly shopName: string;
  readonly town: string;
  readonly lines: readonly PaperLine[];
  readonly fetch: readonly string[];
  readonly rows: readonly LedgerRow[];
  readonly minutes: number;
  readonly at: string;
}

/** The whole plan as it is printed, each line with its picture and its box. */
export async function paperView(number: string): Promise<PaperView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const plan = planOf(job);
  const done = new Set(job.linesDone);
  const { shopName, town } = await shopSettings();
  const shown = new Set<string>();
  return {
    job,
    shopName,
    town,
    minutes: plan.minutes,
    fetch: plan.pick.map((p) => p.why),
    rows: ledgerRows(job, () => false),
    at: new Date().toISOString(),
    lines: plan.steps.map((l) => {
      const words = lineInWords(job, l);
      const picture = job.pictures.find((p) =>
        words.picture ? p.name === words.picture : words.step !== undefined && p.step === words.step,
      );
      // once on a sheet is enough: the lines of one step follow each other
      const isNew = picture !== undefined && !shown.has(picture.name);
      if (picture) shown.add(picture.name);
      return {
        key: lineKey(l),
        n: l.n,
        title: words.title,
        belongs: words.belongs,
        beside: besideLine(words, cautionsAt(job, l)),
        pieces: words.hardware.reduce((sum, h) => sum + h.qty, 0),
        ...(words.tray && { tray: words.tray }),
        done: isLineDone(l, done),
        ...(isNew && { picture: pictureUrl(picture.sha256, true) }),
      };
    }),
  };
}
