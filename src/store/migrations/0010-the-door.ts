import type { Knex } from "knex";

/** Who may come in from the local net, on which device, and who did what; and who runs an import. */
export const theDoor = {
  name: "0010-the-door",

  async up(k: Knex): Promise<void> {
    // the sign of life of the program that runs it
    await k.schema.alterTable("imports", (t) => {
      t.text("owner");
    });
    await k.schema.createTable("people", (t) => {
      t.increments("id");
      t.text("name").notNullable().unique();
      t.text("role").notNullable();
      t.text("pin").notNullable();
      t.integer("wrong").notNullable().defaultTo(0);
      t.text("locked_until");
      t.text("left_at");
    });
    await k.schema.createTable("devices", (t) => {
      t.increments("id");
      t.text("name").notNullable();
      t.text("token").notNullable().unique();
      t.text("paired_at").notNullable();
      t.text("seen_at").notNullable();
      t.integer("wrong").notNullable().defaultTo(0);
      t.text("locked_until");
      t.text("let_go_at");
    });
    // a code on the shop's own screen, for one device, for some minutes
    await k.schema.createTable("pairings", (t) => {
      t.text("code").primary();
      t.text("until").notNullable();
    });
    await k.schema.createTable("sessions", (t) => {
      t.increments("id");
      t.text("token").notNullable().unique();
      t.integer("person").notNullable().references("people.id").onDelete("CASCADE");
      t.integer("device").notNullable().references("devices.id").onDelete("CASCADE");
      t.text("begun_at").notNullable();
      t.text("seen_at").notNullable();
    });
    await k.schema.createTable("door_log", (t) => {
      t.increments("id");
      t.text("at").notNullable();
      t.text("what").notNullable();
      t.text("who");
      t.text("device");
      t.text("address");
    });
    await k.schema.alterTable("history", (t) => {
      t.text("who");
      t.text("device");
    });
  },
};
