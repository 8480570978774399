import type { StoredQuote } from "@/core/job/bought";
import type { BasketInput } from "@/core/match/basket/basket-input";
import type { ShopRates } from "@/core/match/quote/quote";
import { loadDrafts } from "@/store/drafts";
import { shopSettings } from "@/store/settings";
import { type FrameView, frameOf } from "../frame/frame-view";
import { pageJob } from "../job-view/page-job";
import { basketGroundOf } from "./basket-ground";
import { aimFrom } from "./basket-view";
import type { BasketGround } from "./job-basket";
import { type MatchHead, matchHead } from "./match-head";

export interface QuoteView {
  readonly frame: FrameView;
  readonly places: MatchHead;
  /** null: it is ordered, and what was quoted stands */
  readonly ground: BasketGround | null;
  readonly aim: BasketInput["aim"];
  readonly quotes: readonly StoredQuote[];
  readonly rates: ShopRates;
  readonly currency: string;
  readonly limit: number | undefined;
  readonly unitPrice: number | undefined;
  readonly customer: string;
  /** who answers, as it is typed */
  readonly draft: unknown;
}

export async function quoteView(number: string, aim: string | undefined): Promise<QuoteView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const settings = await shopSettings();
  return {
    frame: frameOf(job),
    places: matchHead(job),
    ground: job.orders.length || job.arrivals.length ? null : await basketGroundOf(job, settings),
    aim: aimFrom(aim, job.basketAim),
    quotes: job.quotes,
    rates: settings.rates,
    currency: settings.currency,
    limit: job.priceLimit,
    unitPrice: job.newUnit,
    customer: job.customerName,
    draft: (await loadDrafts(job.id))["quote-by-whom"],
  };
}
