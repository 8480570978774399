import type { Knex } from "knex";

/**
 * Jobs with everything that hangs on one, pictures, and what the shop holds: catalogue, lubricants, settings.
 */
export const theBench = {
  name: "0001-the-bench",

  async up(k: Knex): Promise<void> {
    await k.schema.createTable("jobs", (t) => {
      t.increments("id");
      t.text("number").notNullable().unique();
      t.integer("version").notNullable().defaultTo(1);
      t.text("stage").notNullable().defaultTo("take-in");
      for (const column of [
        "kind",
        "maker",
        "model",
        "variant",
        "serial",
        "complaint",
        "customer_name",
        "customer_contact",
        "condition",
      ])
        t.text(column).notNullable().defaultTo("");
      t.text("supply").notNullable().defaultTo("mains");
      t.text("protection_class").notNullable().defaultTo("II");
      t.boolean("food_contact").notNullable().defaultTo(false);
      t.json("symptoms").notNullable().defaultTo("[]");
      t.json("loose_items").notNullable().defaultTo("[]");
      t.float("price_limit");
      t.boolean("consent").notNullable().defaultTo(false);
      t.text("taken_in").notNullable();
      t.text("promised");
      t.boolean("strip_finished").notNullable().defaultTo(false);
      t.text("grease_state");
      t.text("grease_old").notNullable().defaultTo("unknown");
      t.json("case_inside");
      t.text("fill_school").notNullable().defaultTo("measured");
      t.float("makers_grams");
      t.text("lubricant");
      t.boolean("washed").notNullable().defaultTo(false);
      t.text("handed_back_at");
      t.json("x");
    });
    await k.schema.createTable("parts", (t) => {
      child(t);
      t.text("name").notNullable();
      t.text("kind");
      t.text("material");
      t.boolean("renew").notNullable().defaultTo(false);
      t.json("x");
    });
    await k.schema.createTable("steps", (t) => {
      child(t);
      t.text("action").notNullable();
      t.text("title");
      t.json("parts");
      t.json("needs");
      t.text("bundle");
      t.text("facing");
      t.json("marks");
      t.json("wires");
      t.float("minutes");
      t.text("note");
      t.text("at");
      t.json("x");
    });
    await k.schema.createTable("hardware", (t) => {
      child(t);
      t.text("step").notNullable();
      t.text("kind").notNullable();
      t.integer("qty").notNullable();
      t.text("thread");
      t.float("length_mm");
      t.text("drive");
      t.text("place");
      t.boolean("once");
      t.text("locker");
      t.json("tighten");
      t.json("x");
    });
    await k.schema.createTable("services", (t) => {
      child(t);
      t.text("part");
      t.text("reached_by");
      t.text("what").notNullable();
      t.text("note");
      t.float("wait_minutes");
      t.json("x");
    });
    await k.schema.createTable("lube_points", (t) => {
      child(t);
      t.text("part");
      t.text("reached_by");
      t.text("moment");
      t.text("lubricant");
      t.float("grams");
      t.text("place");
      t.float("weighed_grams");
      t.text("weighed_at");
      t.json("x");
    });
    await k.schema.createTable("findings", (t) => {
      t.increments("id");
      job(t);
      t.text("part").notNullable();
      t.text("mode");
      t.text("extent");
      t.text("note");
      t.json("teeth").notNullable().defaultTo("{}");
      t.json("gear").notNullable().defaultTo("{}");
      t.json("identity");
      t.text("chosen");
      t.json("x");
      t.unique(["job_id", "part"]);
    });
    await k.schema.createTable("readings", (t) => {
      t.increments("id");
      job(t);
      t.text("part").notNullable();
      t.text("what").notNullable();
      t.integer("teeth");
      t.float("value").notNullable();
      t.float("u");
      t.text("source").notNullable();
      t.text("at").notNullable();
    });
    await k.schema.createTable("answers", (t) => {
      job(t);
      t.text("question").notNullable();
      t.text("answer").notNullable();
      t.float("value");
      t.text("unit");
      t.text("note");
      t.text("at").notNullable();
      t.primary(["job_id", "question"]);
    });
    await k.schema.createTable("lines_done", (t) => {
      job(t);
      t.text("line").notNullable();
      t.text("at").notNullable();
      t.primary(["job_id", "line"]);
    });
    await k.schema.createTable("history", (t) => {
      t.increments("id");
      job(t);
      t.integer("version").notNullable();
      t.text("at").notNullable();
      t.text("what").notNullable();
      t.index(["job_id", "version"]);
    });
    await k.schema.createTable("drafts", (t) => {
      job(t);
      t.text("field").notNullable();
      t.json("value").notNullable();
      t.text("at").notNullable();
      t.primary(["job_id", "field"]);
    });
    await k.schema.createTable("pictures", (t) => {
      t.text("sha256").primary();
      t.text("type").notNullable();
      t.integer("bytes").notNullable();
      t.integer("width").notNullable();
      t.integer("height").notNullable();
      t.text("at").notNullable();
    });
    await k.schema.createTable("job_pictures", (t) => {
      t.increments("id");
      job(t);
      t.text("sha256").notNullable().references("sha256").inTable("pictures");
      t.text("name").notNullable();
      t.text("step");
      t.text("part");
      t.text("role").notNullable();
      t.unique(["job_id", "name"]);
    });
    await k.schema.createTable("catalogue", (t) => {
      t.text("number").primary();
      t.text("name").notNullable();
      t.json("spec").notNullable();
      t.float("price").notNullable();
      t.integer("lead_days").notNullable();
      t.integer("stock").notNullable();
      t.json("fits").notNullable();
      t.json("needs_also").notNullable();
      t.text("note");
    });
    await k.schema.createTable("lubricants", (t) => {
      t.text("id").primary();
      t.json("facts").notNullable();
    });
    await k.schema.createTable("settings", (t) => {
      t.text("name").primary();
      t.json("value").notNullable();
    });
  },
};

const job = (t: Knex.CreateTableBuilder): void => {
  t.integer("job_id").notNullable().references("id").inTable("jobs").onDelete("CASCADE");
};

/** A row of a job that other rows and the job file name by `ref`, in the order of `position`. */
function child(t: Knex.CreateTableBuilder): void {
  t.increments("id");
  job(t);
  t.text("ref").notNullable();
  t.integer("position").notNullable();
  t.unique(["job_id", "ref"]);
  t.index(["job_id", "position"]);
}
