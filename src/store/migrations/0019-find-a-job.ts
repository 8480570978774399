import type { Knex } from "knex";

/** What each trigger does: the words of one job are taken out and put in anew. */
const anew = (id: string): string =>
  `delete from job_words where rowid = ${id}; insert into job_words (rowid, words) select id, words from job_texts where id = ${id};`;

const HEAD = [
  "number",
  "kind",
  "maker",
  "model",
  "variant",
  "serial",
  "complaint",
  "condition",
  "customer_name",
  "customer_contact",
];

/**
 * Every job is found by its words: number, unit, customer, complaint, its parts, the numbers that were read
 * on them, chosen and sent. The index follows the tables by itself, whoever writes them.
 */
export const findAJob = {
  name: "0019-find-a-job",

  async up(k: Knex): Promise<void> {
    await k.raw(
      `create view job_texts as select j.id as id, ${HEAD.map((c) => `coalesce(j.${c}, '')`).join(" || ' ' || ")}
        || ' ' || coalesce((select group_concat(p.name, ' ') from parts p where p.job_id = j.id), '')
        || ' ' || coalesce((select group_concat(coalesce(f.chosen, '') || ' ' || coalesce(f.read_number, ''), ' ') from findings f where f.job_id = j.id), '')
        || ' ' || coalesce((select group_concat(a.number || ' ' || coalesce(a.supplier, '') || ' ' || coalesce(a.lot, ''), ' ') from arrivals a where a.job_id = j.id), '')
        as words from jobs j`,
    );
    await k.raw(
      "create virtual table job_words using fts5 (words, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3')",
    );
    await k.raw("insert into job_words (rowid, words) select id, words from job_texts");
    await k.raw(`create trigger job_words_new after insert on jobs begin ${anew("new.id")} end`);
    await k.raw(
      `create trigger job_words_changed after update of ${HEAD.join(", ")} on jobs begin ${anew("new.id")} end`,
    );
    await k.raw(
      "create trigger job_words_gone after delete on jobs begin delete from job_words where rowid = old.id; end",
    );
    for (const [table, columns] of [
      ["parts", "name"],
      ["findings", "chosen, read_number"],
      ["arrivals", "number, supplier, lot"],
    ] as const) {
      await k.raw(
        `create trigger job_words_${table}_new after insert on ${table} begin ${anew("new.job_id")} end`,
      );
      await k.raw(
        `create trigger job_words_${table}_changed after update of ${columns} on ${table} begin ${anew("new.job_id")} end`,
      );
      await k.raw(
        `create trigger job_words_${table}_gone after delete on ${table} begin ${anew("old.job_id")} end`,
      );
    }
  },
};
