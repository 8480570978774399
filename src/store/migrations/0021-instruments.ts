import type { Knex } from "knex";

/** An answer to a last check names the instrument that it was measured with. */
export const instrumentsOfAnswers = {
  name: "0021-instruments",

  async up(k: Knex): Promise<void> {
    await k.raw("alter table answers add column instrument text");
  },
};
