import { z } from "zod";
import type { Frozen } from "../../frozen";

/** What is to go into a unit, and where. */
export const toFitSchema = z.strictObject({
  number: z.string().max(60),
  qty: z.int().min(1),
  /** the part of the unit whose place it takes */
  part: z.string().max(40).optional(),
});
export type ToFit = Frozen<z.infer<typeof toFitSchema>>;

/** Pieces that came, of one number. */
export interface Came {
  readonly number: string;
  readonly qty: number;
  readonly part?: string;
  /** not needed: it goes to stock */
  readonly spare: boolean;
}

/**
 * What came, sorted by where it goes: for the places of the unit first, then what is bought with them, the
 * rest to stock. A kit is its contents.
 *
 * @param pieces what the slip names
 * @param toFit what the unit still waits for
 * @example cameFor([{ number: "BUSH", qty: 10 }], new Map(), [{ number: "BUSH", qty: 2 }]) // 2 to fit, 8
 *   spare
 */
export function cameFor(
  pieces: readonly { readonly number: string; readonly qty: number }[],
  kits: ReadonlyMap<string, readonly { readonly number: string; readonly qty: number }[]>,
  toFit: readonly ToFit[],
): Came[] {
  const came = new Map<string, number>();
  for (const p of pieces)
    for (const c of kits.get(p.number) ?? [{ number: p.number, qty: 1 }])
      came.set(c.number, (came.get(c.number) ?? 0) + c.qty * p.qty);
  const out: Came[] = [];
  for (const [number, qty] of came) {
    let left = qty;
    for (const f of toFit.filter((t) => t.number === number)) {
      const takes = Math.min(left, f.qty);
      if (takes > 0) out.push({ number, qty: takes, ...(f.part ? { part: f.part } : {}), spare: false });
      left -= takes;
    }
    if (left > 0) out.push({ number, qty: left, spare: true });
  }
  return out;
}

/** What the unit still waits for: what is to go in, less what came and was not sent back. */
export function stillWanted(
  toFit: readonly ToFit[],
  here: readonly { readonly number: string; readonly qty: number; readonly part?: string }[],
): ToFit[] {
  const have = here.map((h) => ({ ...h }));
  return toFit.flatMap((f) => {
    let open = f.qty;
    for (const h of have) {
      if (h.number !== f.number || (h.part ?? "") !== (f.part ?? "")) continue;
      const takes = Math.min(open, h.qty);
      open -= takes;
      h.qty -= takes;
    }
    return open > 0 ? [{ ...f, qty: open }] : [];
  });
}

/**
 * What has not come yet: nothing of it lies here, accepted or to be compared. What was sent back, or went to
 * stock, is not here for the unit.
 */
export const notHereYet = (
  toFit: readonly ToFit[],
  arrivals: readonly {
    readonly number: string;
    readonly qty: number;
    readonly part?: string;
    readonly decision?: string;
  }[],
): ToFit[] =>
  stillWanted(
    toFit,
    arrivals.filter((a) => a.decision !== "sent-back" && a.decision !== "stock"),
  );
