import type { Knex } from "knex";
import type { Supplier, SupplierOffer } from "@/core/match/catalogue/catalogue-part";
import { offersTable, suppliersTable } from "@/core/match/catalogue/catalogue-row";
import type { Keyed } from "./put-rows";
import { fromRow, toRow } from "./rows";

function offerFromRow(row: Record<string, unknown>): SupplierOffer {
  const { id: _, ...own } = row;
  return fromRow<SupplierOffer>(own);
}

/** An offer is told from another by who makes it, for what, and in which pack. */
export const offerRows: Keyed<SupplierOffer> = {
  keyOf: offersTable.keyOf,
  there: async (db, keys) => {
    const numbers = keys.map((k) => (JSON.parse(k) as [string, string])[1]);
    return (await db("offers").whereIn("number", numbers)).map(offerFromRow);
  },
  write: async (db, offers) => {
    await db("offers")
      .insert(offers.map((o) => toRow({ stock: undefined, ...o })))
      .onConflict(["supplier", "number", "pack"])
      .merge();
  },
  async drop(db, keys) {
    for (const key of keys) {
      const [supplier, number, pack] = JSON.parse(key) as [string, string, number];
      await db("offers").where({ supplier, number, pack }).delete();
    }
  },
};

export const supplierRows: Keyed<Supplier> = {
  keyOf: suppliersTable.keyOf,
  there: async (db, names) => (await db("suppliers").whereIn("name", [...names])).map((r) => fromRow<Supplier>(r)),
  write: async (db, suppliers) => {
    await db("suppliers")
      .insert(suppliers.map((s) => toRow({ freeFrom: undefined, ...s })))
      .onConflict("name")
      .merge();
  },
  async drop(db, names) {
    await db("suppliers")
      .whereIn("name", [...names])
      .delete();
  },
};

export async function allSuppliers(db: Knex): Promise<Supplier[]> {
  return (await db("suppliers").orderBy("name")).map((r) => fromRow<Supplier>(r));
}

/** Everything that anybody asks for these parts. */
export async function offersFor(db: Knex, numbers: readonly string[]): Promise<SupplierOffer[]> {
  return (
    await db("offers")
      .whereIn("number", [...new Set(numbers)])
      .orderBy(["number", "supplier", "pack"])
  ).map(offerFromRow);
}

/** What one supplier asks; of a long list the first thousands, which is more than an order needs. */
export async function offersOf(db: Knex, supplier: string): Promise<SupplierOffer[]> {
  return (await db("offers").where({ supplier }).orderBy("number").limit(5000)).map(offerFromRow);
}

/** Every offer, some hundred at a time. */
export async function* everyOffer(db: Knex): AsyncGenerator<SupplierOffer> {
  for (let after = 0; ; ) {
    const rows = await db("offers").where("id", ">", after).orderBy("id").limit(500);
    if (!rows.length) return;
    for (const r of rows) yield offerFromRow(r);
    after = rows.at(-1).id;
  }
}
