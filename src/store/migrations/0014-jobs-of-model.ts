import type { Knex } from "knex";

/** The other units of a job's model are found however it is written, and in a shop of many jobs too. */
export const jobsOfModel = {
  name: "0014-jobs-of-model",

  async up(k: Knex): Promise<void> {
    await k.raw("create index jobs_of_model on jobs (maker collate nocase, model collate nocase)");
  },
};
