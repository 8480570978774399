import type { Arrival, Order } from "@/core/job/bought";
import { partName } from "@/core/job/part";
import type { BasketInput } from "@/core/match/basket/basket-input";
import type { AnsweredQuote } from "@/core/match/quote/quote";
import { orderDay, shopSettings } from "@/store/settings";
import { type FrameView, frameOf } from "../frame/frame-view";
import { only } from "../job-view/only";
import { pageJob } from "../job-view/page-job";
import { basketGroundOf } from "./basket-ground";
import type { BasketGround } from "./job-basket";
import { type MatchHead, matchHead } from "./match-head";

/** What is told of an order; what really lies in a parcel is found out by comparing, not on the way. */
export interface ToldOrder
  extends Pick<Order, "id" | "supplier" | "reference" | "placedOn" | "replacement" | "lines" | "shipping"> {
  readonly news: readonly (Pick<Order["news"][number], "day" | "what" | "says"> & {
    readonly numbers: readonly string[];
  })[];
}

/** The basket while nothing is ordered, else what became of the orders. */
export type BasketView = {
  readonly frame: FrameView;
  readonly places: MatchHead;
  readonly currency: string;
} & (
  | {
      readonly ground: BasketGround;
      readonly aim: BasketInput["aim"];
      readonly partNames: Readonly<Record<string, string>>;
      readonly quotes: readonly AnsweredQuote[];
    }
  | { readonly orders: readonly ToldOrder[]; readonly arrivals: readonly Arrival[]; readonly day: string }
);

const told = ({ news, ...o }: Order): ToldOrder => ({
  ...only(o, ["id", "supplier", "reference", "placedOn", "replacement", "lines", "shipping"]),
  news: news.map((n) => ({
    day: n.day,
    what: n.what,
    says: n.says,
    numbers: n.parcel?.map((p) => p.number) ?? [],
  })),
});

/** What is aimed at: as the address says, else as it was last. */
export const aimFrom = (asked: string | undefined, last: BasketInput["aim"]): BasketInput["aim"] =>
  AIMS.find((a) => a === asked) ?? last;
const AIMS: readonly BasketInput["aim"][] = ["least cost", "soonest", "soonest within limit"];

export async function basketView(number: string, aim: string | undefined): Promise<BasketView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const settings = await shopSettings();
  const common = { frame: frameOf(job), places: matchHead(job), currency: settings.currency };
  if (job.orders.length || job.arrivals.length)
    return { ...common, orders: job.orders.map(told), arrivals: job.arrivals, day: orderDay(settings) };
  return {
    ...common,
    ground: await basketGroundOf(job, settings),
    aim: aimFrom(aim, job.basketAim),
    partNames: Object.fromEntries(job.parts.map((p) => [p.id, partName(p)])),
    quotes: job.quotes.map((q) => only(q, ["total", "answer"])),
  };
}
