import type { Knex } from "knex";
import { type Supplier, type SupplierOffer, supplier, supplierOffer } from "@/core/match/catalogue/catalogue-part";
import { offersTable, suppliersTable } from "@/core/match/catalogue/catalogue-row";
import type { Keyed } from "./put-rows";
import { rowsOf } from "./rows";

const offers = rowsOf("offers", supplierOffer);
const suppliers = rowsOf("suppliers", supplier);

/** An offer is told from another by who makes it, for what, and in which pack. */
export const offerRows: Keyed<SupplierOffer> = {
  keyOf: offersTable.keyOf,
  there: async (db, keys) => {
    const numbers = keys.map((k) => (JSON.parse(k) as [string, string])[1]);
    return (await db("offers").whereIn("number", numbers)).map(offers.read);
  },
  write: async (db, rows) => {
    await db("offers")
      .insert(rows.map((o) => offers.write({ stock: undefined, ...o })))
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
  there: async (db, names) => (await db("suppliers").whereIn("name", [...names])).map(suppliers.read),
  write: async (db, rows) => {
    await db("suppliers")
      .insert(rows.map((s) => suppliers.write({ freeFrom: undefined, ...s })))
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
  return (await db("suppliers").orderBy("name")).map(suppliers.read);
}

/** Everything that anybody asks for these parts. */
export async function offersFor(db: Knex, numbers: readonly string[]): Promise<SupplierOffer[]> {
  return (
    await db("offers")
      .whereIn("number", [...new Set(numbers)])
      .orderBy(["number", "supplier", "pack"])
  ).map(offers.read);
}

/** What one supplier asks; of a long list the first thousands, which is more than an order needs. */
export async function offersOf(db: Knex, supplier: string): Promise<SupplierOffer[]> {
  return (await db("offers").where({ supplier }).orderBy("number").limit(5000)).map(offers.read);
}

/** Every offer, some hundred at a time. */
export async function* everyOffer(db: Knex): AsyncGenerator<SupplierOffer> {
  for (let after = 0; ; ) {
    const rows = await db("offers").where("id", ">", after).orderBy("id").limit(500);
    if (!rows.length) return;
    for (const r of rows) yield offers.read(r);
    after = rows.at(-1).id;
  }
}
