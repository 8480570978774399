import { isOil } from "../../grease/lubricant";
import { hardwareInWords } from "../../hardware/piece";
import { gotPieces } from "../../job/going-in";
import { gotInWords } from "../../job/got";
import { partNamed } from "../../job/part";
import { LEAST_WEIGHED_G } from "../../lube/slips";
import { type LubricantUsed, lubricantsUsed } from "../../lube/used";
import { money } from "../../quantity/money";
import { capital } from "../../sentence";
import type { Row } from "./blocks";
import { inUnits } from "./in-units";
import type { ReportInput } from "./report-input";

/** A part that went in, with what it is charged before tax. */
interface Fitted {
  readonly row: Row;
  readonly amount: number;
}

type Facts = Pick<ReportInput, "job" | "catalogue" | "shop" | "units" | "lubricants">;

/**
 * What was compared and taken, with where it came from; where nothing was ordered here, what was chosen; and
 * what was got otherwise.
 */
function fittedOf({ job, catalogue, shop }: Facts): Fitted[] {
  const amount = (x: number): string => money(x, shop.currency);
  const arrived = job.arrivals
    .filter((a) => a.decision === "accepted" || a.decision === "rework")
    .map((a): Fitted => {
      const charged =
        (a.price ?? 0) * a.qty * (a.orderId === undefined ? 1 : 1 + shop.rates.markupPercent / 100);
      const name = catalogue.find((p) => p.number === a.number)?.name ?? a.number;
      return {
        amount: charged,
        row: {
          what: a.part ? capital(partNamed(job, a.part)) : "With it",
          says: `${a.qty > 1 ? `${a.qty} × ` : ""}${name}`,
          under: [a.supplier, a.lot && `lot ${a.lot}`].filter(Boolean).join(", "),
          number: a.number,
          amount: amount(charged),
        },
      };
    });
  const chosen = job.findings.flatMap((f): Fitted[] => {
    const part = catalogue.find((p) => p.number === f.chosen);
    // what was chosen and then mended, or left as it was, did not go in
    if (!part || !job.parts.find((p) => p.id === f.part)?.renew) return [];
    return [
      {
        amount: part.price,
        row: {
          what: capital(partNamed(job, f.part)),
          says: part.name,
          number: part.number,
          amount: amount(part.price),
        },
      },
    ];
  });
  const got = gotPieces(job).map(
    ({ for: place, says, got }): Fitted => ({
      amount: got.price ?? 0,
      row: {
        what: capital(place ?? "with it"),
        says: [says, gotInWords({ ...got, number: undefined })].filter(Boolean).join(", "),
        ...(got.number ? { number: got.number } : {}),
        ...(got.price === undefined ? {} : { amount: amount(got.price) }),
      },
    }),
  );
  const bought = arrived.length ? arrived : chosen;
  // renewed, and nobody wrote down from where
  const named = new Set([...bought, ...got].map((f) => f.row.what));
  const unsaid = job.parts.flatMap((p): Fitted[] => {
    const what = capital(partNamed(job, p.id));
    return p.renew && !named.has(what) ? [{ amount: 0, row: { what, says: "new" } }] : [];
  });
  return [...bought, ...got, ...unsaid];
}

/** What the parts are charged, for the bill. */
export const partsCharged = (facts: Facts): { readonly says: string; readonly amount: number }[] =>
  fittedOf(facts).map(({ row, amount }) => ({ says: [row.what, row.says].join(": "), amount }));

/** Parts by number, lot and price, and the hardware that is used once. */
export function partRows(facts: Facts): Row[] {
  const fitted = fittedOf(facts);
  const used = facts.job.steps.flatMap((s) => (s.hardware ?? []).filter((h) => h.once));
  const sum = fitted.reduce((total, f) => total + f.amount, 0);
  return [
    ...fitted.map((f) => f.row),
    ...used.map((h) => ({ what: "Used once", says: hardwareInWords(h) })),
    ...(sum > 0 ? [{ what: "Parts", says: "", amount: money(sum, facts.shop.currency), strong: true }] : []),
  ];
}

/** Lubricants by name and lot, with what went to each place; what stays dry by decision. */
export function lubricantRows({ job, lubricants, units }: Facts): Row[] {
  const grams = (g: number | undefined): string =>
    (g ?? 0) >= LEAST_WEIGHED_G ? ` ${inUnits(g ?? 0, "g", units, 1)}` : "";
  // what no shelf holds is called by what it does: oil runs, and nobody calls grease so
  const isDrops = (u: LubricantUsed): boolean => {
    const known = lubricants.find((l) => l.id === u.lubricantId);
    return known ? isOil(known) : /\boils?\b/i.test(u.name);
  };
  return [
    ...lubricantsUsed(job).map((u) => ({
      what: "Lubricant",
      says: `${u.name}${lubricants.find((l) => l.id === u.lubricantId)?.h1 ? ", registered H1" : ""}`,
      under: u.places.map((p) => `${p.says}${grams(p.grams)}`).join("; "),
      ...(u.lots.length ? { number: `lot ${u.lots.join(", ")}` } : {}),
      amount: grams(u.grams).trim() || (isDrops(u) ? "drops" : "a film"),
    })),
    ...(job.chambers ?? []).flatMap((c) =>
      c.none !== undefined ? [{ what: capital(c.name), says: `not lubricated: ${c.none}` }] : [],
    ),
    ...(job.noGrease ? [{ what: "Not lubricated", says: job.noGrease }] : []),
  ];
}
