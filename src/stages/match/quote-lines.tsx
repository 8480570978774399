import type { Quote } from "@/core/match/quote/quote";
import { money } from "@/core/quantity/money";

const HEADS = { part: "Parts", shipping: "Shipping", consumable: "Consumables", work: "Work" } as const;

/** The lines of a quote with their sums: the same on screen and on paper. */
export function QuoteLines({
  quote,
  currency,
  taxPercent,
}: {
  quote: Quote;
  currency: string;
  taxPercent: number;
}) {
  return (
    <table className="w-full text-left text-[19px]">
      <tbody>
        {(Object.keys(HEADS) as (keyof typeof HEADS)[]).map((what) => {
          const lines = quote.lines.filter((l) => l.what === what);
          return lines.map((l, i) => (
            <tr key={`${what} ${i}`} className="border-b border-current/25">
              <th scope="row" className="w-[120px] py-1 pr-2 align-baseline font-bold">
                {i === 0 ? HEADS[what] : ""}
              </th>
              <td className="py-1">{l.says}</td>
              <td className="figures px-3 text-right text-[17px] whitespace-nowrap">{l.qty}</td>
              <td className="figures w-[130px] text-right text-[18px] whitespace-nowrap">
                {l.amount ? money(l.amount, currency) : quote.total ? "no price told" : "free of charge"}
              </td>
            </tr>
          ));
        })}
        <tr>
          <td />
          <td className="py-1">Subtotal</td>
          <td />
          <td className="figures text-right text-[18px]">{money(quote.net, currency)}</td>
        </tr>
        <tr className="border-b-2 border-current">
          <td />
          <td className="py-1">Tax, {taxPercent} %</td>
          <td />
          <td className="figures text-right text-[18px]">{money(quote.tax, currency)}</td>
        </tr>
        <tr>
          <td />
          <td className="py-1.5 text-[24px] font-bold">Total</td>
          <td colSpan={2} className="figures text-right text-[28px] whitespace-nowrap">
            {money(quote.total, currency)}
          </td>
        </tr>
      </tbody>
    </table>
  );
}
