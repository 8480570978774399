import type { Knex } from "knex";

/**
 * What Judge came to know: the train, the causes chosen, what the hardware bench named, and what is to be
 * done about each part and why.
 */
export const theJudgement = {
  name: "0003-the-judgement",

  async up(k: Knex): Promise<void> {
    await k.schema.alterTable("jobs", (t) => {
      t.json("train");
      t.json("causes").notNullable().defaultTo("{}");
      t.json("bench_finds").notNullable().defaultTo("[]");
    });
    await k.schema.alterTable("findings", (t) => {
      t.text("fate");
      t.text("fate_why");
    });
  },
};
