import type { Knex } from "knex";

/** What the shop wrote of a model, and the strips of it that were taken in from elsewhere. */
export const guides = {
  name: "0015-guides",

  async up(k: Knex): Promise<void> {
    await k.raw(
      `create table guides (
        id integer primary key,
        maker text not null collate nocase,
        model text not null collate nocase,
        written text not null,
        units text not null,
        version integer not null,
        at text not null,
        unique (maker, model)
      )`,
    );
  },
};
