import type { Knex } from "knex";

const NUMBERS = ["density_g_per_ml", "least_c", "most_c", "stock_g", "price_per100_g"] as const;

/**
 * The shelf of greases as a table of its own columns: the shop writes it now, with lot, day of opening, stock
 * and price. And whether the kind of a part was said or guessed.
 */
export const theShelf = {
  name: "0008-the-shelf",

  async up(k: Knex): Promise<void> {
    const before: { id: string; facts: string }[] = await k("lubricants").orderBy("id");
    await k.schema.dropTable("lubricants");
    await k.schema.createTable("lubricants", (t) => {
      t.text("id").primary();
      t.text("name").notNullable().unique();
      t.text("thickener").notNullable();
      t.text("base_oil").notNullable();
      t.integer("nlgi").notNullable();
      t.boolean("h1").notNullable();
      for (const column of NUMBERS) t.float(column);
      t.text("lot");
      t.text("opened_on");
      t.boolean("retired");
    });
    await k.schema.alterTable("parts", (t) => {
      t.boolean("kind_said");
    });
    const names = new Set<string>();
    for (const { id, facts } of before) {
      const f = JSON.parse(facts);
      const name = names.has(f.name) ? `${f.name} (${id})` : f.name;
      names.add(name);
      await k("lubricants").insert({
        id,
        name,
        thickener: f.thickener,
        base_oil: f.baseOil,
        nlgi: Math.round(f.nlgi),
        h1: f.h1,
        density_g_per_ml: f.densityGPerMl ?? null,
        least_c: f.leastC,
        most_c: f.mostC,
        lot: f.lot ?? null,
        price_per100_g: f.pricePer100G ?? null,
      });
    }
  },
};
