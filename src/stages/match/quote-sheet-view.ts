import type { StoredQuote } from "@/core/job/bought";
import type { Job } from "@/core/job/job";
import type { ShopRates } from "@/core/match/quote/quote";
import { shopSettings } from "@/store/settings";
import { pageJob } from "../job-view/page-job";

export interface QuoteSheetView {
  readonly job: Job;
  readonly quote: StoredQuote;
  readonly rates: ShopRates;
  readonly shopName: string;
  readonly town: string;
  readonly currency: string;
}

/** The last quote as a sheet; null where none was made. */
export async function quoteSheetView(number: string): Promise<QuoteSheetView | null> {
  const job = await pageJob(number);
  const quote = job?.quotes.at(-1);
  if (!job || !quote) return null;
  const { shopName, town, currency, rates } = await shopSettings();
  return { job, quote, rates, shopName, town, currency };
}
