import type { Knex } from "knex";

/** Whether the sulphur of a lubricant's EP additives is active: it decides beside copper alloys. */
export const activeSulphur = {
  name: "0025-active-sulphur",

  async up(k: Knex): Promise<void> {
    await k.schema.alterTable("lubricants", (t) => {
      t.boolean("active_sulphur");
    });
  },
};
