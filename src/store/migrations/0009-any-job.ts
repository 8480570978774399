import type { Knex } from "knex";

const NEW = {
  jobs: [
    "nothing_failed",
    "trouble",
    "ending",
    "waiting",
    "warranty_of",
    "no_grease",
    "case_materials",
    "hazards",
    "class_said",
  ],
  findings: ["got", "goes_in"],
} as const;

/**
 * Jobs of every shape: several states of the old grease, nothing that failed, an ending without a repair,
 * waiting, a comeback; and where a part came from that was not ordered, and how it goes in.
 */
export const anyJob = {
  name: "0009-any-job",

  async up(k: Knex): Promise<void> {
    for (const [table, columns] of Object.entries(NEW))
      await k.schema.alterTable(table, (t) => {
        for (const column of columns) t.text(column);
      });
    await k.schema.alterTable("jobs", (t) => {
      for (const list of ["grease_states", "supplies"]) t.text(list).notNullable().defaultTo("[]");
    });
    await k.raw(
      "update jobs set grease_states = json_array(grease_state) where grease_state is not null and grease_state <> ''",
    );
    await k.raw("alter table jobs drop column grease_state");
    // what was set without asking: a class only counts where there is mains
    await k.raw("update jobs set supplies = json_array(supply) where supply <> ''");
    await k.raw("update jobs set class_said = protection_class where supply = 'mains'");
    for (const column of ["supply", "protection_class"])
      await k.raw("alter table jobs drop column ??", [column]);
    await k.raw("alter table jobs rename column class_said to protection_class");
    await k.schema.alterTable("jobs", (t) => {
      t.index(["warranty_of"]);
    });
    // how a part goes in, where it is made up otherwise than the one before it
    await k.schema.alterTable("catalogue", (t) => {
      t.text("facing");
      for (const list of ["stack", "leaves_out"]) t.text(list).notNullable().defaultTo("[]");
    });
    // what came in beside the work makes no screen out of date
    await k.schema.alterTable("history", (t) => {
      t.boolean("beside").notNullable().defaultTo(false);
    });
  },
};
