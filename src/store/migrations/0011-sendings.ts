import type { Knex } from "knex";

/** A change knows what its screen had named it, so that a screen whose answer was lost finds it again. */
export const sendings = {
  name: "0011-sendings",

  async up(k: Knex): Promise<void> {
    await k.schema.alterTable("history", (t) => {
      t.text("sending");
      t.index(["sending"]);
    });
  },
};
