import type { Knex } from "knex";

/** Answers are found by what was said: what does not apply to a kind of unit is asked no more. */
export const doesNotApply = {
  name: "0024-does-not-apply",

  async up(k: Knex): Promise<void> {
    await k.raw("create index answers_by_answer on answers (answer, question)");
    await k.schema.createTable("own_assemblies", (t) => {
      t.text("id").primary();
      t.text("assembly").notNullable();
      t.text("at").notNullable();
    });
  },
};
