import type { Knex } from "knex";
import type { Supplier, SupplierOffer } from "@/core/match/catalogue/catalogue-part";
import { database } from "./database";
import { offers, suppliers } from "./offer-rows";

export async function allSuppliers(at?: Knex): Promise<Supplier[]> {
  const db = at ?? (await database());
  return (await db("suppliers").orderBy("name")).map(suppliers.read);
}

/** Everything that anybody asks for these parts. */
export async function offersFor(numbers: readonly string[], at?: Knex): Promise<SupplierOffer[]> {
  const db = at ?? (await database());
  return (
    await db("offers")
      .whereIn("number", [...new Set(numbers)])
      .orderBy(["number", "supplier", "pack"])
  ).map(offers.read);
}

/** What one supplier asks for these parts. */
export async function offersOf(
  supplier: string,
  numbers: readonly string[],
  at?: Knex,
): Promise<SupplierOffer[]> {
  const db = at ?? (await database());
  return (
    await db("offers")
      .where({ supplier })
      .whereIn("number", [...new Set(numbers)])
      .orderBy(["number", "pack"])
  ).map(offers.read);
}

/** Every offer, some hundred at a time. */
export async function* everyOffer(at?: Knex): AsyncGenerator<SupplierOffer> {
  const db = at ?? (await database());
  for (let after = 0; ; ) {
    const rows = await db("offers").where("id", ">", after).orderBy("id").limit(500);
    if (!rows.length) return;
    for (const r of rows) yield offers.read(r);
    after = rows.at(-1).id;
  }
}
