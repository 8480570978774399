import { type Bill, billOf, shippingOf } from "../../charge/bill";
import { type FittedParts, fittedParts } from "../../charge/fitted";
import type { Job } from "../../job/job";
import type { QuoteLine } from "../../match/quote/quote";
import { money } from "../../quantity/money";
import { type Row, type Section, words } from "./blocks";
import type { ReportInput } from "./report-input";

const agreedOf = (job: Job) => job.quotes.filter((q) => q.answer === "accepted").at(-1);

/** What it is charged, with what went in. */
export function billed(input: ReportInput): { readonly parts: FittedParts; readonly bill: Bill } {
  const { job, shop, beside } = input;
  const parts = fittedParts(input);
  const bill = billOf({
    charges: parts.charges,
    shipping: shippingOf(job.orders),
    beside,
    agreed: agreedOf(job),
    rates: shop.rates,
    free: job.warrantyOf !== undefined,
  });
  return { parts, bill };
}

/** @param partRows of a small job: they stand in the bill, and its tax in its total */
export function theBill({ job, shop, day }: ReportInput, bill: Bill, partRows?: readonly Row[]): Section {
  const agreed = agreedOf(job);
  const amount = (x: number): string => money(x, shop.currency);
  const of = (...what: QuoteLine["what"][]): QuoteLine[] => bill.lines.filter((l) => what.includes(l.what));
  const line = (what: string, lines: readonly QuoteLine[], says = ""): Row[] => {
    const sum = lines.reduce((total, l) => total + l.amount, 0);
    return sum > 0 ? [{ what, says, amount: amount(sum) }] : [];
  };
  const minutes = of("work").reduce((sum, l) => sum + (Number.parseFloat(l.qty) || 0), 0);
  const more = bill.quoted === undefined ? 0 : Math.round((bill.total - bill.quoted) * 100) / 100;
  const rows: Row[] = [
    ...(partRows ?? line("Parts", of("part"))),
    // nobody had to agree to it: by what it was worked out is said
    ...line("Work", of("work"), agreed ? "" : `${Math.round(minutes)} min, by the plan`),
    ...line(
      of("consumable").every((l) => /^Cleaning\b/.test(l.says)) ? "Cleaning" : "Lubricant and cleaning",
      of("consumable"),
    ),
    ...line("Shipping", of("shipping")),
    ...(bill.tax > 0 && !partRows
      ? [{ what: "Tax", says: `${shop.rates.taxPercent} %`, amount: amount(bill.tax) }]
      : []),
    {
      what: job.warrantyOf
        ? "Total: not charged"
        : agreed
          ? `Total, with work and tax; as ${agreed.byWhom || "the customer"} agreed on ` +
            `${day(agreed.answeredOn ?? agreed.madeAt)}: ${amount(agreed.total)}`
          : partRows && bill.tax > 0
            ? `Total, with ${shop.rates.taxPercent} % tax (${amount(bill.tax)})`
            : "Total, with work and tax",
      says: "",
      ...(job.warrantyOf ? {} : { amount: amount(bill.total) }),
      strong: true,
    },
  ];
  return {
    title: "What it costs",
    blocks: [
      { is: "rows", rows },
      ...words(
        more > 0
          ? `${amount(more)} more than was agreed.`
          : more < 0 && !job.warrantyOf
            ? `${amount(-more)} less than was agreed.`
            : undefined,
        {
          small: true,
        },
      ),
    ],
  };
}
