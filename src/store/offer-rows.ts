import { z } from "zod";
import {
  type Supplier,
  type SupplierOffer,
  supplier,
  supplierOffer,
} from "@/core/match/catalogue/catalogue-part";
import { offersTable, suppliersTable } from "@/core/match/catalogue/catalogue-row";
import { isOneOf, writeMany } from "./many-rows";
import type { Keyed } from "./put-rows";
import { rowsOf } from "./rows";

export const offers = rowsOf("offers", supplierOffer);
export const suppliers = rowsOf("suppliers", supplier);

/** What an offer is told by, as its key keeps it. */
const offerKey = z.tuple([z.string(), z.string(), z.number()]);

/** An offer is told from another by who makes it, for what, and in which pack. */
export const offerRows: Keyed<SupplierOffer> = {
  keyOf: offersTable.keyOf,
  there: async (db, keys) => {
    const numbers = keys.map((k) => offerKey.parse(JSON.parse(k))[1]);
    return (await db("offers").where(isOneOf("number", numbers))).map(offers.read);
  },
  write: async (db, rows) => {
    const written = rows.map((o) => offers.write({ stock: undefined, ...o }));
    await writeMany(db, "offers", written, { over: ["supplier", "number", "pack"] });
  },
  async drop(db, keys) {
    for (const key of keys) {
      const [supplier, number, pack] = offerKey.parse(JSON.parse(key));
      await db("offers").where({ supplier, number, pack }).delete();
    }
  },
};

export const supplierRows: Keyed<Supplier> = {
  keyOf: suppliersTable.keyOf,
  there: async (db, names) => (await db("suppliers").where(isOneOf("name", names))).map(suppliers.read),
  write: async (db, rows) => {
    const written = rows.map((s) => suppliers.write({ freeFrom: undefined, ...s }));
    await writeMany(db, "suppliers", written, { over: ["name"] });
  },
  async drop(db, names) {
    await db("suppliers").where(isOneOf("name", names)).delete();
  },
};
