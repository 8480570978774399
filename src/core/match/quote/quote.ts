import { z } from "zod";
import type { Frozen } from "../../frozen";
import { money } from "../../quantity/money";
import { cents } from "../basket/basket-input";

/** How a shop charges. */
export const shopRates = z.strictObject({
  /** of an hour at the bench */
  perHour: z.number().min(0),
  /** on what parts cost the shop, percent */
  markupPercent: z.number().min(0),
  /** percent, on everything */
  taxPercent: z.number().min(0),
  /** asked when the customer declines: for looking and putting it together again as it was */
  ifDeclined: z.number().min(0),
  /** the least time that is charged, minutes */
  minMinutes: z.number().min(0),
});
export type ShopRates = Frozen<z.infer<typeof shopRates>>;

/** A line of a quote before tax. */
const quoteLine = z.strictObject({
  what: z.enum(["part", "shipping", "consumable", "work"]),
  says: z.string(),
  qty: z.string(),
  amount: z.number(),
  /** of a part, as it is ordered by */
  number: z.string().optional(),
});
export type QuoteLine = Frozen<z.infer<typeof quoteLine>>;

export interface QuoteInput {
  readonly parts: readonly {
    readonly says: string;
    readonly number?: string;
    readonly qty: number /** what the shop pays for all of them */;
    readonly cost?: number /** what the shop asks for all of them, where it sells its own */;
    readonly price?: number;
  }[];
  readonly shipping: readonly { readonly supplier: string; readonly cost: number }[];
  readonly consumables: readonly { readonly says: string; readonly qty: string; readonly cost: number }[];
  readonly work: readonly { readonly says: string; readonly minutes: number }[];
  readonly rates: ShopRates;
  /** came back within its warranty: nothing is charged */
  readonly free?: boolean;
  /** what the customer said it may cost, tax and all */
  readonly limit?: number;
  /** what a new unit costs */
  readonly newUnit?: number;
  /** sign of the shop's currency, for what is said */
  readonly currency?: string;
}

/** What a repair will cost, and what is to be said of it. Money in the shop's currency. */
export const quoteSchema = z.strictObject({
  lines: z.array(quoteLine),
  net: z.number(),
  tax: z.number(),
  total: z.number(),
  ifDeclined: z.number(),
  reasons: z.array(
    z.strictObject({ rule: z.string(), says: z.string(), tone: z.enum(["good", "danger", "plain"]) }),
  ),
});
export type Quote = Frozen<z.infer<typeof quoteSchema>>;

/**
 * From this share of a new unit's price on, a repair is asked about before it is offered: a rule of thumb of
 * the trade.
 */
const HALF_OF_NEW = 0.5;

const fromCents = (c: number): number => c / 100;

/**
 * What a repair will cost: parts at what they cost the shop with its mark-up (or at the shop's own price
 * where they come from its drawer), what they cost to send, consumables, work by the minutes of the plan,
 * tax. Everything is added up in cents.
 *
 * Against the customer's limit and the price of a new unit, with the reasons. What is due if the customer
 * declines is the shop's own rule.
 */
export function quoteOf(input: QuoteInput): Quote {
  const { rates } = input;
  const lines: QuoteLine[] = [];
  const add = (what: QuoteLine["what"], says: string, qty: string, c: number, number?: string): void => {
    lines.push({ what, says, qty, amount: fromCents(input.free ? 0 : c), ...(number ? { number } : {}) });
  };
  for (const p of input.parts)
    add(
      "part",
      p.says,
      `${p.qty}`,
      p.price !== undefined
        ? cents(p.price)
        : Math.round(cents(p.cost ?? 0) * (1 + rates.markupPercent / 100)),
      p.number,
    );
  for (const s of input.shipping)
    if (s.cost > 0) add("shipping", `Shipping, ${s.supplier}`, "1", cents(s.cost));
  for (const c of input.consumables)
    add("consumable", c.says, c.qty, Math.round(cents(c.cost) * (1 + rates.markupPercent / 100)));
  // charged by whole minutes, as they are shown
  const work = input.work.map((w) => ({ ...w, minutes: Math.round(w.minutes) }));
  const minutes = work.reduce((t, w) => t + w.minutes, 0);
  const forMinutes = (n: number): number => Math.round((n / 60) * rates.perHour * 100);
  for (const w of work) if (w.minutes > 0) add("work", w.says, `${w.minutes} min`, forMinutes(w.minutes));
  const short = Math.round(rates.minMinutes) - minutes;
  if (short > 0) add("work", "Minimum charge", `${short} min`, forMinutes(short));
  const net = lines.reduce((t, l) => t + cents(l.amount), 0);
  const tax = Math.round((net * rates.taxPercent) / 100);
  const total = net + tax;
  const unpriced = input.free ? [] : lines.filter((l) => l.what === "part" && l.amount === 0);
  const declined = input.free ? 0 : Math.round(cents(rates.ifDeclined) * (1 + rates.taxPercent / 100));
  return {
    lines,
    net: fromCents(net),
    tax: fromCents(tax),
    total: fromCents(total),
    ifDeclined: fromCents(declined),
    reasons: [...noPrice(unpriced), ...reasonsFor(total, input)],
  };
}

/** A sum that leaves something out says so. */
const noPrice = (lines: readonly QuoteLine[]): Quote["reasons"] =>
  lines.length
    ? [
        {
          rule: "price",
          says: `No price is told of ${lines.map((l) => l.says).join(", ")}: the sum is without ${lines.length > 1 ? "them" : "it"}.`,
          tone: "danger",
        },
      ]
    : [];

function reasonsFor(total: number, { limit, newUnit, currency }: QuoteInput): Quote["reasons"] {
  const out: Quote["reasons"][number][] = [];
  if (limit === undefined)
    out.push({ rule: "limit", says: "No limit was agreed: ask before anything is ordered.", tone: "danger" });
  else if (total > cents(limit))
    out.push({
      rule: "limit",
      says: `${money(fromCents(total - cents(limit)), currency)} above the customer’s limit of ${money(limit, currency)}: ask before anything is ordered.`,
      tone: "danger",
    });
  else
    out.push({
      rule: "limit",
      says: `Within the customer’s limit of ${money(limit, currency)}, by ${money(fromCents(cents(limit) - total), currency)}.`,
      tone: "good",
    });
  if (newUnit !== undefined && newUnit > 0) {
    const share = total / cents(newUnit);
    out.push({
      rule: "new unit",
      says: `${Math.round(share * 100)} % of what a new one costs (${money(newUnit, currency)})${share > 1 ? ": it is worth it only if it is worth more to the customer" : share > HALF_OF_NEW ? ": more than half, say so when you ask" : ""}.`,
      tone: share > HALF_OF_NEW ? "danger" : "plain",
    });
  }
  return out;
}

/** A quote that the customer has answered. */
export interface AnsweredQuote {
  readonly total: number;
  readonly answer?: "accepted" | "declined";
}

/**
 * Whether what it costs now must be asked again: nothing was accepted, or it costs more than was, and more
 * than the customer's limit. Null: go on.
 */
export function mustAskAgain(
  now: number,
  answered: readonly AnsweredQuote[],
  limit: number | undefined,
  currency = "",
): string | null {
  const last = answered.filter((q) => q.answer !== undefined).at(-1);
  if (last?.answer === "declined") return "The customer declined. Nothing is ordered.";
  if (!last)
    return limit !== undefined && cents(now) <= cents(limit)
      ? null
      : limit === undefined
        ? "No limit was agreed and nothing was accepted yet: ask first."
        : "Above the limit: ask the customer first.";
  const agreed = Math.max(last.total, limit ?? 0);
  return cents(now) <= cents(agreed)
    ? null
    : `It now comes to ${money(now, currency)}; ${money(agreed, currency)} was agreed: ask again.`;
}
