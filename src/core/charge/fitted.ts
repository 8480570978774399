import { companionKey } from "../job/goes-in";
import { goingInOf, gotPieces } from "../job/going-in";
import { gotInWords } from "../job/got";
import type { Job } from "../job/job";
import { partNamed } from "../job/part";
import type { CataloguePart } from "../match/catalogue/catalogue-part";
import type { QuoteInput } from "../match/quote/quote";

/** Something that went in. */
export interface Fitted {
  /** the part at whose place, or with which, it went in; left out: nobody said */
  readonly part?: string;
  /** it went in with that part, and has no place of its own */
  readonly isWith: boolean;
  readonly says: string;
  /** where it came from: supplier and lot */
  readonly under?: string;
  readonly number?: string;
  /** the charge that pays for it, and what share of that; left out: it is not charged */
  readonly paidBy?: { readonly charge: number; readonly share: number };
}

/** What went in, and what it is charged by, in a quote's own terms: the bill adds up as the quote did. */
export interface FittedParts {
  readonly fitted: readonly Fitted[];
  readonly charges: QuoteInput["parts"];
}

type Known = { readonly job: Job; readonly catalogue: readonly CataloguePart[] };

const isIn = (a: Job["arrivals"][number]): boolean => a.decision === "accepted" || a.decision === "rework";

/**
 * What was compared and taken, with where it came from; where nothing was ordered here, what was chosen; what
 * was got otherwise; and what was renewed though nobody wrote down from where.
 */
export function fittedParts(known: Known): FittedParts {
  const { job, catalogue } = known;
  const charges: QuoteInput["parts"][number][] = [];
  const charge = (c: QuoteInput["parts"][number]): number => charges.push(c) - 1;
  const named = (number: string): string => catalogue.find((p) => p.number === number)?.name ?? number;

  const came = job.arrivals.filter(isIn);
  const ordered = job.orders.flatMap((o) => o.lines.map((l) => ({ order: o, line: l })));
  const paid = new Map<number, { readonly charge: number; readonly of: number }>();
  for (const { order, line } of ordered) {
    const of = came.filter((a) => a.orderId === order.id && a.number === line.number);
    if (!of.length) continue;
    // what came in place of what was wrong is paid once
    const at = order.replacement
      ? undefined
      : charge({
          says: named(line.number),
          number: line.number,
          qty: line.packs,
          cost: line.price * line.packs,
        });
    const pieces = of.reduce((n, a) => n + a.qty, 0);
    if (at !== undefined) for (const a of of) paid.set(a.id, { charge: at, of: pieces });
  }
  const going = goingInOf(job);
  const withOf = (number: string): string | undefined =>
    going.find((g) => g.with.some((c) => companionKey(c) === number))?.part;
  const arrived = came.map((a): Fitted => {
    const fromDrawer =
      a.orderId === undefined && a.price
        ? charge({ says: named(a.number), number: a.number, qty: a.qty, price: a.price * a.qty })
        : undefined;
    const by = paid.get(a.id);
    const part = a.part ?? withOf(a.number);
    return {
      ...(part === undefined ? {} : { part }),
      isWith: a.part === undefined,
      says: `${a.qty > 1 ? `${a.qty} × ` : ""}${named(a.number)}`,
      under: [a.supplier, a.lot && `lot ${a.lot}`].filter(Boolean).join(", "),
      number: a.number,
      ...(fromDrawer !== undefined
        ? { paidBy: { charge: fromDrawer, share: 1 } }
        : by
          ? { paidBy: { charge: by.charge, share: a.qty / by.of } }
          : {}),
    };
  });
  const got = gotPieces(job).map(({ part, for: place, says, got: from }): Fitted => {
    const at = from.price
      ? charge({
          says: `${place ?? says}, ${gotInWords(from)}`,
          qty: 1,
          price: from.price,
          ...(from.number ? { number: from.number } : {}),
        })
      : undefined;
    return {
      part,
      isWith: place === undefined,
      says: [says, gotInWords({ ...from, number: undefined })].filter(Boolean).join(", "),
      ...(from.number ? { number: from.number } : {}),
      ...(at === undefined ? {} : { paidBy: { charge: at, share: 1 } }),
    };
  });
  const at = new Set([...arrived, ...got].flatMap((f) => (f.part && !f.isWith ? [f.part] : [])));
  const others = job.parts.flatMap((p): Fitted[] => {
    if (!p.renew || at.has(p.id)) return [];
    const chosen = job.findings.find((f) => f.part === p.id)?.chosen;
    const part = catalogue.find((c) => c.number === chosen);
    // what was chosen, and is to come by an order, is charged by that order
    if (!part || ordered.some(({ line }) => line.number === part.number))
      return [{ part: p.id, isWith: false, says: "new" }];
    const paidBy = charge({ says: part.name, number: part.number, qty: 1, price: part.price });
    return [
      {
        part: p.id,
        isWith: false,
        says: part.name,
        number: part.number,
        paidBy: { charge: paidBy, share: 1 },
      },
    ];
  });
  // what went in with a part stands under it
  const all = [...arrived, ...got, ...others];
  const places = [...new Set(all.flatMap((f) => f.part ?? []))].sort(
    (a, b) => job.parts.findIndex((p) => p.id === a) - job.parts.findIndex((p) => p.id === b),
  );
  return {
    charges,
    fitted: [
      ...places.flatMap((p) => [
        ...all.filter((f) => f.part === p && !f.isWith),
        ...all.filter((f) => f.part === p && f.isWith),
      ]),
      ...all.filter((f) => f.part === undefined),
    ],
  };
}

/** What a piece is called on the sheet: by its place, or by what it went in with. */
export const placeOf = (job: Pick<Job, "parts">, f: Fitted): string =>
  f.part === undefined ? "with it" : f.isWith ? `with the ${partNamed(job, f.part)}` : partNamed(job, f.part);
