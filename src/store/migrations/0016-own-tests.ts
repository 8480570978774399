import type { Knex } from "knex";

/** What a job's unit has to do before it goes home. */
export const ownTestsOfJobs = {
  name: "0016-own-tests",

  async up(k: Knex): Promise<void> {
    await k.schema.alterTable("jobs", (t) => {
      t.text("own_tests");
    });
  },
};
