import { randomUUID } from "node:crypto";
import { type GreaseOnShelf, greaseOnShelf, type Lubricant, lubricantSchema } from "@/core/grease/lubricant";
import type { Keyed } from "./put-rows";
import { rowsOf } from "./rows";

/** Its rows, with the ids that jobs know. */
export const shelf = rowsOf("lubricants", lubricantSchema);
/** What a grease that is written anew does not say any more. */
export const NOTHING_SAID: Partial<Lubricant> = {
  sort: undefined,
  thickener: undefined,
  nlgi: undefined,
  viscosityMm2s: undefined,
  solids: undefined,
  ep: undefined,
  activeSulphur: undefined,
  densityGPerMl: undefined,
  lot: undefined,
  openedOn: undefined,
  stockG: undefined,
  pricePer100G: undefined,
  retired: undefined,
};

const withoutId = ({ id: _id, ...grease }: Lubricant): GreaseOnShelf => greaseOnShelf.parse(grease);

/** Greases as a table is taken in: a name that is there takes the row's facts and keeps its own id. */
export const greaseRows: Keyed<GreaseOnShelf> = {
  keyOf: (g) => g.name,
  there: async (db, names) =>
    (await db("lubricants").whereIn("name", [...names])).map((r) => withoutId(shelf.read(r))),
  async write(db, rows) {
    for (const g of rows) {
      const row = shelf.write({ ...NOTHING_SAID, ...g });
      await db("lubricants")
        .insert({ ...row, id: randomUUID() })
        .onConflict("name")
        .merge(row);
    }
  },
  // a grease that a job has used is taken out of sight, and not out of that job's papers
  async drop(db, names) {
    for (const name of names) {
      const used = await db("lube_points").where({ lubricant: name }).first("id");
      if (used) await db("lubricants").where({ name }).update({ retired: true });
      else await db("lubricants").where({ name }).delete();
    }
  },
};
