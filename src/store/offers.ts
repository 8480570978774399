import type { Knex } from "knex";
import type { Supplier, SupplierOffer } from "@/core/match/catalogue-part";
import { offersTable, suppliersTable } from "@/core/match/catalogue-row";
import type { Keyed } from "./put-rows";
import { fromRow, toRow } from "./rows";

function offerFromRow(row: Record<string, unknown>): SupplierOffer {
  const { id: _, ...own } = row;
  return fromRow<SupplierOffer>(own);
}

/** An offer is told from another by who makes it, for what, and in which pack. */
export const offerRows: Keyed<SupplierOffer> = {
  keyOf: offersTable.keyOf,
  there: async (db, offers) =>
    (
      await db("offers").whereIn(
        "number",
        offers.map((o) => o.number),
      )
    ).map(offerFromRow),
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
  there: async (db, suppliers) =>
    (
      await db("suppliers").whereIn(
        "name",
        suppliers.map((s) => s.name),
      )
    ).map((r) => fromRow<Supplier>(r)),
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
