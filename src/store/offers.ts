import type { Knex } from "knex";
import type { SupplierOffer } from "@/core/match/catalogue-part";
import { offerFromRow } from "./catalogue";
import { toRow } from "./rows";

/** An offer is told from another by who makes it, for what, and in which pack. */
export const offerKey = (o: Pick<SupplierOffer, "supplier" | "number" | "pack">): string => JSON.stringify([o.supplier, o.number, o.pack]);

/** Puts offers in, over those of the same supplier, number and pack. See `putParts`. */
export async function putOffers(
  db: Knex,
  offers: readonly SupplierOffer[],
  kept?: (rows: readonly { key: string; before: SupplierOffer | null }[]) => Promise<void>,
): Promise<{ added: number; changed: number }> {
  let [added, changed] = [0, 0];
  for (let i = 0; i < offers.length; i += 400) {
    const some = offers.slice(i, i + 400);
    const rows = await db("offers").whereIn(
      "number",
      some.map((o) => o.number),
    );
    const there = new Map(rows.map(offerFromRow).map((o) => [offerKey(o), o]));
    const touched = some.filter((o) => !isSame(there.get(offerKey(o)), o));
    added += touched.filter((o) => !there.has(offerKey(o))).length;
    changed += touched.filter((o) => there.has(offerKey(o))).length;
    if (!touched.length) continue;
    await kept?.(touched.map((o) => ({ key: offerKey(o), before: there.get(offerKey(o)) ?? null })));
    await db("offers")
      .insert(touched.map((o) => toRow({ stock: undefined, ...o })))
      .onConflict(["supplier", "number", "pack"])
      .merge();
  }
  return { added, changed };
}

const isSame = (a: SupplierOffer | undefined, b: SupplierOffer): boolean =>
  a !== undefined && a.price === b.price && a.stock === b.stock && a.least === b.least && a.leadDays === b.leadDays;

export async function dropOffers(db: Knex, keys: readonly string[]): Promise<void> {
  for (const key of keys) {
    const [supplier, number, pack] = JSON.parse(key) as [string, string, number];
    await db("offers").where({ supplier, number, pack }).delete();
  }
}
