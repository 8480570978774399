import type { Knex } from "knex";

const RUBBERS = ["NBR", "EPDM", "FKM", "silicone"];

/**
 * A unit has chambers, each with its own lubricant, where it had one case; points say what they are; the
 * shelf holds oils, and what decides between greases.
 */
export const chambers = {
  name: "0012-chambers",

  async up(k: Knex): Promise<void> {
    await k.schema.alterTable("jobs", (t) => {
      t.text("chambers");
    });
    await k.schema.alterTable("lube_points", (t) => {
      t.text("facts").notNullable().defaultTo("{}");
    });
    await k.schema.alterTable("services", (t) => {
      t.text("method");
      t.text("chamber");
    });
    const jobs: {
      id: number;
      case_inside: string | null;
      lubricant: string | null;
      case_materials: string | null;
      makers_grams: number | null;
      washed: number;
    }[] = await k("jobs").select(
      "id",
      "case_inside",
      "lubricant",
      "case_materials",
      "makers_grams",
      "washed",
    );
    for (const j of jobs) {
      if (!j.case_inside && !j.lubricant && !j.case_materials && !j.makers_grams) continue;
      const said: string[] = JSON.parse(j.case_materials ?? "[]");
      const chamber = {
        id: "c1",
        kind: "gear-case",
        name: "gear case",
        ...(j.case_inside && { volume: { by: "inside", ...JSON.parse(j.case_inside) } }),
        ...(j.makers_grams && { makersGrams: j.makers_grams }),
        ...(j.lubricant && { lubricant: j.lubricant }),
        ...(j.washed && { old: { left: "none" } }),
        seals: said.filter((m) => RUBBERS.includes(m)),
        materials: said.filter((m) => !RUBBERS.includes(m)),
      };
      await k("jobs")
        .where({ id: j.id })
        .update({ chambers: JSON.stringify([chamber]) });
      // what was weighed was the one grease of the one case, round teeth
      await k("lube_points")
        .where({ job_id: j.id })
        .whereNotNull("grams")
        .update({
          facts: JSON.stringify({
            chamber: "c1",
            kind: "gear-teeth",
            ...(j.lubricant && { lubricantId: j.lubricant }),
          }),
        });
    }
    for (const column of ["case_inside", "lubricant", "case_materials", "makers_grams", "grease_old"])
      await k.raw("alter table jobs drop column ??", [column]);
    await k.schema.alterTable("lubricants", (t) => {
      t.text("sort");
      t.float("viscosity_mm2s");
      t.text("solids");
      t.boolean("ep");
      t.setNullable("thickener");
      t.setNullable("nlgi");
    });
  },
};
