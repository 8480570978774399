import type { Knex } from "knex";

/**
 * Three names that said less than they meant: what a part cannot stand beside, the fewest packs sold, the
 * shortest time charged.
 */
export const plainNames = {
  name: "0007-plain-names",

  async up(k: Knex): Promise<void> {
    await k.raw("alter table catalogue rename column spoils to incompatible_with");
    await k.raw("alter table offers rename column least to min_packs");
    // what an import found and left, to be compared with what stands there when it is taken back
    for (const [was, is] of [
      ["spoils", "incompatibleWith"],
      ["least", "minPacks"],
    ])
      await k.raw(`update import_rows set before = replace(before, ?, ?), "after" = replace("after", ?, ?)`, [
        `"${was}":`,
        `"${is}":`,
        `"${was}":`,
        `"${is}":`,
      ]);
    const rates = await k("settings").where({ name: "rates" }).first();
    if (!rates) return;
    const { leastMinutes, ...rest } = JSON.parse(rates.value);
    await k("settings")
      .where({ name: "rates" })
      .update({
        value: JSON.stringify(leastMinutes === undefined ? rest : { ...rest, minMinutes: leastMinutes }),
      });
  },
};
