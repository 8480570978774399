import type { Knex } from "knex";

type Row = Record<string, unknown>;

const STEP_FACTS = [
  "facing",
  "marks",
  "wires",
  "minutes",
  "note",
  "held",
  "freed",
  "timing",
  "cautions",
  "tools",
  "do_not_undo",
  "tray",
];
const STEP_JSON = ["marks", "wires", "held", "freed", "timing", "cautions", "tools"];
const PIECE_FACTS = [
  "thread",
  "length_mm",
  "drive",
  "once",
  "locker",
  "tighten",
  "form",
  "finish",
  "label",
  "state",
  "left_hand",
  "poles",
];
const PIECE_JSON = ["tighten"];
const PIECE_FLAGS = ["once", "left_hand"];

const camel = (column: string): string => column.replace(/_([a-z])/g, (_, c: string) => c.toUpperCase());

/** Columns of their own become fields of one column that holds them all. */
async function fold(
  k: Knex,
  table: string,
  columns: readonly string[],
  json: readonly string[],
  flags: readonly string[],
): Promise<void> {
  await k.schema.alterTable(table, (t) => {
    t.json("facts").notNullable().defaultTo("{}");
  });
  const rows: Row[] = await k(table).select("id", ...columns);
  for (const row of rows) {
    const facts: Row = {};
    for (const column of columns) {
      const value = row[column];
      if (value === null || value === undefined) continue;
      facts[camel(column)] = json.includes(column)
        ? JSON.parse(String(value))
        : flags.includes(column)
          ? Boolean(value)
          : value;
    }
    if (Object.keys(facts).length)
      await k(table)
        .where({ id: row.id })
        .update({ facts: JSON.stringify(facts) });
  }
  for (const column of columns) await k.raw("alter table ?? drop column ??", [table, column]);
}

/**
 * The facts of a step and of a piece in one column each; ids that are given once; the shop's own count of job
 * numbers; indexes for what is asked by job, by day
 * and by model.
 */
export const oneRoom = {
  name: "0006-one-room",

  async up(k: Knex): Promise<void> {
    await fold(k, "steps", STEP_FACTS, STEP_JSON, []);
    await fold(k, "hardware", PIECE_FACTS, PIECE_JSON, PIECE_FLAGS);
    await k.schema.alterTable("hardware", (t) => {
      t.index(["job_id", "step"]);
    });
    await k.schema.alterTable("readings", (t) => {
      t.index(["job_id", "part"]);
    });
    await k.schema.alterTable("jobs", (t) => {
      // the highest number given to a step, a part …: {"s": 12, "p": 30}
      t.json("given").notNullable().defaultTo("{}");
      t.index(["handed_back_at"]);
      t.index(["maker", "model"]);
      t.index(["kind"]);
    });
    await k.raw("create index jobs_open on jobs (promised, number) where handed_back_at is null");
    await k.schema.createTable("counters", (t) => {
      t.text("name").primary();
      t.integer("value").notNullable();
    });
    await k.raw(
      "insert into counters (name, value) select 'job', coalesce(max(cast(substr(number, 3) as integer)), 0) from jobs",
    );
    // gears are looked up by their tooth as well as by its count
    await k.schema.alterTable("catalogue", (t) => {
      t.float("module_mm");
      t.index(["kind", "teeth", "module_mm"]);
    });
    await k.raw("update catalogue set module_mm = json_extract(spec, '$.moduleMm') where kind = 'gear'");
    // what is taken back is now kept by what it touched
    await k("undo").delete();
  },
};
