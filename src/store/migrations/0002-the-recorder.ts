import type { Knex } from "knex";

/**
 * What the recorder and the counter came to know: facts of a step, marks on pictures, undo; models with their
 * variants, makers' date codes,
 * customers; the unit's history and its loose items with pictures.
 */
export const theRecorder = {
  name: "0002-the-recorder",

  async up(k: Knex): Promise<void> {
    await k.schema.alterTable("steps", (t) => {
      for (const column of ["held", "freed", "stack", "timing", "cautions", "tools"]) t.json(column);
      t.text("do_not_undo");
      t.text("tray");
      // the recorder's own name for it: laid down twice by a retry, it is laid down once
      t.text("key");
      t.unique(["job_id", "key"]);
    });
    await k.schema.alterTable("hardware", (t) => {
      for (const column of ["form", "finish", "label", "state"]) t.text(column);
      t.boolean("left_hand");
      t.integer("poles");
    });
    await k.schema.alterTable("parts", (t) => {
      t.text("state");
    });
    await k.schema.alterTable("job_pictures", (t) => {
      t.json("marks");
      // the recorder's own names: of the picture, and of the step it was taken for before that was laid down
      t.text("key");
      t.text("step_key");
      t.unique(["job_id", "key"]);
    });
    await k.schema.alterTable("jobs", (t) => {
      t.json("past").notNullable().defaultTo("{}");
      t.boolean("dispose_consent").notNullable().defaultTo(false);
      t.json("loose_pictures").notNullable().defaultTo("{}");
    });
    await k.schema.createTable("undo", (t) => {
      t.increments("id");
      t.integer("job_id").notNullable().references("id").inTable("jobs").onDelete("CASCADE");
      t.text("at").notNullable();
      t.text("what").notNullable();
      t.json("before").notNullable();
      t.index(["job_id", "id"]);
    });
    await k.schema.createTable("models", (t) => {
      t.increments("id");
      t.text("maker").notNullable();
      t.text("model").notNullable();
      t.text("kind").notNullable().defaultTo("");
      t.json("variants").notNullable().defaultTo("[]");
      t.unique(["maker", "model"]);
    });
    await k.schema.createTable("makers", (t) => {
      t.text("maker").primary();
      t.text("date_code").notNullable();
    });
    await k.schema.createTable("customers", (t) => {
      t.increments("id");
      t.text("name").notNullable();
      t.text("contact").notNullable().defaultTo("");
      t.unique(["name", "contact"]);
    });
    // customers who were written into jobs before there was a book of them
    const named: { customer_name: string; customer_contact: string }[] = await k("jobs")
      .distinct("customer_name", "customer_contact")
      .whereNot("customer_name", "");
    if (named.length)
      await k("customers").insert(named.map((c) => ({ name: c.customer_name, contact: c.customer_contact })));
  },
};
