import type { Knex } from "knex";

/**
 * Recordings of a unit that runs, before and after its repair: short, mono, and kept in the database, so that
 * whatever is kept, moved or backed up has them with it.
 */
export const soundsOfJobs = {
  name: "0017-sounds",

  async up(k: Knex): Promise<void> {
    await k.raw(
      `create table sounds (
        id integer primary key,
        job_id integer not null references jobs (id) on delete cascade,
        moment text not null,
        at text not null,
        seconds real not null,
        wav blob not null
      )`,
    );
    await k.raw("create index sounds_of_job on sounds (job_id)");
  },
};
