import type { Knex } from "knex";

/** A piece of hardware that is judged like a part says which piece it is. */
export const judgedPieces = {
  name: "0023-judged-pieces",

  async up(k: Knex): Promise<void> {
    await k.raw("alter table parts add column piece text");
  },
};
