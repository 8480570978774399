import type { Lubricant } from "@/core/grease/lubricant";
import type { ElectricalLimits } from "@/core/hand-back/electrical-limits";
import type { Job } from "@/core/job/job";
import type { CataloguePart } from "@/core/match/catalogue/catalogue-part";
import { partsNumbered } from "@/store/catalogue";
import { shopSettings } from "@/store/settings";
import { wholeShelf } from "@/store/shelf";
import { pageJob } from "../job-view/page-job";

export interface ReturnSheetView {
  readonly job: Job;
  readonly catalogue: readonly CataloguePart[];
  /** lubricants that it names, as the shelf has them */
  readonly lubricants: readonly Lubricant[];
  readonly shopName: string;
  readonly town: string;
  readonly currency: string;
  readonly markupPercent: number;
  readonly limits: ElectricalLimits;
}

/** The sheet is made by the server and says nearly everything of a job: it takes it whole. */
export async function returnSheetView(number: string): Promise<ReturnSheetView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const { shopName, town, currency, rates, electrical } = await shopSettings();
  const numbers = [...job.findings.flatMap((f) => f.chosen ?? []), ...job.arrivals.map((a) => a.number)];
  return {
    job,
    catalogue: await partsNumbered(numbers),
    lubricants: (await wholeShelf()).filter((l) => job.lubePoints.some((g) => g.lubricantId === l.id)),
    shopName,
    town,
    currency,
    markupPercent: rates.markupPercent,
    limits: electrical,
  };
}
