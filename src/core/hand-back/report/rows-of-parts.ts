import { type FittedParts, placeOf } from "../../charge/fitted";
import { isOil } from "../../grease/lubricant";
import { hardwareInWords } from "../../hardware/piece";
import { LEAST_WEIGHED_G } from "../../lube/slips";
import { type LubricantUsed, lubricantsUsed } from "../../lube/used";
import { money } from "../../quantity/money";
import { capital } from "../../sentence";
import type { Row } from "./blocks";
import { inUnits } from "./in-units";
import type { ReportInput } from "./report-input";

type Facts = Pick<ReportInput, "job" | "catalogue" | "shop" | "units" | "lubricants">;

/**
 * Parts by number, lot and price, each with what went in with it, and the hardware that is used once.
 *
 * @param amounts of the charges of parts, as the bill has them
 */
export function partRows(facts: Facts, { fitted }: FittedParts, amounts: readonly number[]): Row[] {
  const { job, shop } = facts;
  const shown = (x: number): { amount?: string } => (x > 0 ? { amount: money(x, shop.currency) } : {});
  const left = [...amounts];
  const rows = fitted.map((f, i): Row => {
    const { charge, share } = f.paidBy ?? { charge: -1, share: 0 };
    // what several pieces share adds up: the last takes what is left
    const isLast = !fitted.slice(i + 1).some((o) => o.paidBy?.charge === charge);
    const own = isLast ? (left[charge] ?? 0) : Math.round((amounts[charge] ?? 0) * share * 100) / 100;
    if (charge >= 0) left[charge] = Math.round(((left[charge] ?? 0) - own) * 100) / 100;
    return {
      what: capital(placeOf(job, f)),
      says: f.says,
      ...(f.under ? { under: f.under } : {}),
      ...(f.number ? { number: f.number } : {}),
      ...shown(own),
    };
  });
  const used = job.steps.flatMap((s) => (s.hardware ?? []).filter((h) => h.once));
  const sum = amounts.reduce((total, x) => total + x, 0);
  return [
    ...rows,
    ...used.map((h) => ({ what: "Used once", says: hardwareInWords(h) })),
    ...(sum > 0 && rows.filter((r) => r.amount).length > 1
      ? [{ what: "Parts", says: "", ...shown(sum), strong: true }]
      : []),
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
      // of a single place its amount says how much
      under: u.places.map((p) => `${p.says}${u.places.length > 1 ? grams(p.grams) : ""}`).join("; "),
      ...(u.lots.length ? { number: `lot ${u.lots.join(", ")}` } : {}),
      amount: grams(u.grams).trim() || (isDrops(u) ? "drops" : "a film"),
    })),
    ...(job.chambers ?? []).flatMap((c) =>
      c.none !== undefined ? [{ what: capital(c.name), says: `not lubricated: ${c.none}` }] : [],
    ),
    ...(job.noGrease ? [{ what: "Not lubricated", says: job.noGrease }] : []),
  ];
}
