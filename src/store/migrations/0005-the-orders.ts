import type { Knex } from "knex";

/**
 * Quotes with their answers, orders with what became of them, and the parts that came: compared, and what was
 * decided.
 */
export const theOrders = {
  name: "0005-the-orders",

  async up(k: Knex): Promise<void> {
    const ofJob = (t: Knex.CreateTableBuilder): void => {
      t.increments("id");
      t.integer("job_id").notNullable().references("id").inTable("jobs").onDelete("CASCADE").index();
    };
    await k.schema.alterTable("jobs", (t) => {
      // what a new unit costs
      t.float("new_unit");
      t.text("basket_aim").notNullable().defaultTo("least cost");
      // what is to go in, and where: [{ number, qty, part? }]
      t.json("to_fit").notNullable().defaultTo("[]");
    });
    await k.schema.createTable("quotes", (t) => {
      ofJob(t);
      t.text("made_at").notNullable();
      t.json("quote").notNullable();
      t.float("total").notNullable();
      t.text("answer");
      t.text("answered_on");
      t.text("by_whom");
      t.text("note");
    });
    await k.schema.createTable("orders", (t) => {
      ofJob(t);
      t.text("supplier").notNullable();
      t.text("reference").notNullable().unique();
      t.text("placed_on").notNullable();
      t.boolean("replacement").notNullable().defaultTo(false);
      t.json("lines").notNullable();
      t.float("shipping").notNullable().defaultTo(0);
      t.json("news").notNullable().defaultTo("[]");
    });
    await k.schema.createTable("arrivals", (t) => {
      ofJob(t);
      // null: out of the drawer
      t.integer("order_id").references("id").inTable("orders").onDelete("CASCADE");
      t.text("day").notNullable();
      t.text("supplier").notNullable();
      // as the slip says, and what the practice supplier really sent
      t.text("number").notNullable();
      t.text("sent");
      t.integer("qty").notNullable();
      // the part of the unit it replaces
      t.text("part");
      t.text("lot");
      // of one piece
      t.float("price");
      t.json("found").notNullable().defaultTo("{}");
      t.text("decision");
      t.text("reason");
      t.json("rework").notNullable().defaultTo("[]");
      t.text("decided_at");
    });
  },
};
