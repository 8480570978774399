import type { StoredQuote } from "../job/bought";
import { cents } from "../match/basket/basket-input";
import { type QuoteInput, type QuoteLine, quoteOf, type ShopRates } from "../match/quote/quote";
import type { Beside } from "./beside";

/** What a repair is charged, against what was agreed. Money in the shop's currency. */
export interface Bill {
  readonly lines: readonly QuoteLine[];
  readonly net: number;
  readonly tax: number;
  readonly total: number;
  /** what was agreed */
  readonly quoted?: number;
  /** amounts of the charges of parts, in their order */
  readonly parts: readonly number[];
}

const fromCents = (c: number): number => c / 100;

/**
 * The bill, by the same reckoning as the quote, so that both agree to the cent: parts as they went in; work,
 * shipping and consumables as they were agreed or, where nobody had to agree, as a quote of this moment would
 * have them; tax. The bill never says more than was agreed without saying so.
 *
 * @param charges what went in, in a quote's terms
 */
export function billOf({
  charges,
  shipping,
  beside,
  agreed,
  rates,
  free,
}: {
  readonly charges: QuoteInput["parts"];
  readonly shipping: QuoteInput["shipping"];
  readonly beside: Pick<Beside, "consumables" | "work">;
  readonly agreed: StoredQuote | undefined;
  readonly rates: ShopRates;
  /** came back within its warranty: nothing is charged */
  readonly free: boolean;
}): Bill {
  const { consumables, work } = beside;
  const now = quoteOf({ parts: charges, shipping, consumables, work, rates, free });
  const parts = now.lines.filter((l) => l.what === "part");
  const others = agreed && !free ? agreed.quote.lines : now.lines;
  const lines = [...parts, ...others.filter((l) => l.what !== "part")];
  const net = lines.reduce((sum, l) => sum + cents(l.amount), 0);
  const tax = Math.round((net * rates.taxPercent) / 100);
  return {
    lines: lines.filter((l) => l.amount > 0),
    net: fromCents(net),
    tax: fromCents(tax),
    total: fromCents(net + tax),
    ...(agreed ? { quoted: agreed.total } : {}),
    parts: parts.map((l) => l.amount),
  };
}

/** Shipping that was paid for a job's orders, as a quote has it. */
export const shippingOf = (
  orders: readonly { readonly supplier: string; readonly shipping: number; readonly replacement: boolean }[],
): QuoteInput["shipping"] =>
  orders.flatMap((o) => (o.replacement ? [] : [{ supplier: o.supplier, cost: o.shipping }]));
