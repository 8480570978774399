import type { Knex } from "knex";

/** What else was found at a part: a shaft may be bent and scored. */
export const foundBesides = {
  name: "0026-found-besides",

  async up(k: Knex): Promise<void> {
    await k.schema.alterTable("findings", (t) => {
      t.text("also");
    });
  },
};
