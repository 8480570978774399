import type { StoredQuote } from "../../job/bought";
import { cents } from "../../match/basket/basket-input";
import type { ShopRates } from "../../match/quote/quote";

/** What a repair is charged, against what was agreed. Money in the shop's currency. */
export interface Bill {
  readonly lines: readonly {
    readonly what: "part" | "work" | "other";
    readonly says: string;
    readonly amount: number;
  }[];
  readonly net: number;
  readonly tax: number;
  readonly total: number;
  readonly quoted?: number;
}

const fromCents = (c: number): number => c / 100;

/**
 * The bill: parts as they went in, work and the rest as they were agreed (or, where nothing was quoted, by
 * the minutes that were written down), and tax. It is added up in cents. Where a total was agreed, the bill
 * never says more than that without saying so: both stand on the sheet.
 *
 * @param parts what went in, before tax, with the shop's mark-up
 * @param minutes of work that were written down at the steps
 */
export function billOf({
  parts,
  agreed,
  minutes,
  rates,
  free,
}: {
  readonly parts: readonly { readonly says: string; readonly amount: number }[];
  readonly agreed: StoredQuote | undefined;
  readonly minutes: number;
  readonly rates: ShopRates;
  /** came back within its warranty: nothing is charged */
  readonly free: boolean;
}): Bill {
  const charged = Math.max(minutes, rates.minMinutes);
  const work: Bill["lines"] = agreed
    ? agreed.quote.lines
        .filter((l) => l.what !== "part")
        .map((l) => ({
          what: l.what === "work" ? ("work" as const) : ("other" as const),
          says: l.says,
          amount: l.amount,
        }))
    : [
        {
          what: "work",
          says: `Work, ${Math.round(charged)} min`,
          amount: fromCents(Math.round((charged / 60) * rates.perHour * 100)),
        },
      ];
  const lines: Bill["lines"] = [
    ...parts.filter((p) => p.amount > 0).map((p) => ({ what: "part" as const, ...p })),
    ...work,
  ].map((l) => (free ? { ...l, amount: 0 } : l));
  const net = lines.reduce((sum, l) => sum + cents(l.amount), 0);
  const tax = Math.round((net * rates.taxPercent) / 100);
  return {
    lines,
    net: fromCents(net),
    tax: fromCents(tax),
    total: fromCents(net + tax),
    ...(agreed ? { quoted: agreed.total } : {}),
  };
}
