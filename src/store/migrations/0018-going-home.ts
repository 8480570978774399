import type { Knex } from "knex";

/**
 * What is written down as a unit goes home: who signed, when it should be looked at next, and when it was
 * opened again.
 */
export const goingHome = {
  name: "0018-going-home",

  async up(k: Knex): Promise<void> {
    await k.schema.alterTable("jobs", (t) => {
      t.text("home");
    });
  },
};
