import type { Knex } from "knex";

/**
 * What was told to customers: the outbox. Nothing is sent from here; a message is copied, or taken as a mail
 * file.
 */
export const messagesOfJobs = {
  name: "0020-messages",

  async up(k: Knex): Promise<void> {
    await k.raw(
      `create table messages (
        id integer primary key,
        job_id integer not null references jobs (id) on delete cascade,
        kind text not null,
        at text not null,
        receiver text not null,
        subject text not null,
        said text not null
      )`,
    );
    await k.raw("create index messages_of_job on messages (job_id)");
  },
};
