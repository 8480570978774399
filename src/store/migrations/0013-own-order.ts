import type { Knex } from "knex";

/** A job keeps the order in which somebody wants its steps back. */
export const ownOrder = {
  name: "0013-own-order",

  async up(k: Knex): Promise<void> {
    await k.schema.alterTable("jobs", (t) => {
      t.text("own_order");
    });
  },
};
