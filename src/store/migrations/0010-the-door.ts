import type { Knex } from "knex";

/** Who runs an import. */
export const theDoor = {
  name: "0010-the-door",

  async up(k: Knex): Promise<void> {
    // the sign of life of the program that runs it
    await k.schema.alterTable("imports", (t) => {
      t.text("owner");
    });
  },

  async down(): Promise<void> {
    throw new Error("this migration is not undone: restore a backup instead");
  },
};
