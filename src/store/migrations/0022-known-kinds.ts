import type { Knex } from "knex";

/** What a shop said that parts of a name are: the next of that name is not asked about again. */
export const knownKindsOfNames = {
  name: "0022-known-kinds",

  async up(k: Knex): Promise<void> {
    await k.schema.createTable("known_kinds", (t) => {
      t.text("name").primary();
      t.text("kind").notNullable();
      t.text("at").notNullable().index();
    });
  },
};
