import type { Knex } from "knex";

/**
 * The catalogue by kind, with what it fits, what it replaces, what comes with it and what is in a kit;
 * suppliers and what they ask; a full-text index
 * for the search; what an import changed, so that it can be taken back.
 */
export const theCatalogue = {
  name: "0004-the-catalogue",

  async up(k: Knex): Promise<void> {
    const old = await k("catalogue").orderBy("number");
    await k.schema.dropTable("catalogue");
    await k.schema.createTable("catalogue", (t) => {
      t.increments("id");
      t.text("number").notNullable().unique();
      // letters and figures only, and as a blurred eye sees them
      t.text("bare").notNullable().index();
      t.text("folded").notNullable().index();
      t.text("name").notNullable();
      t.text("kind").notNullable();
      t.json("spec").notNullable();
      // what a gear, and a bearing, is looked up by
      t.integer("teeth");
      t.float("inside_mm");
      t.float("outside_mm");
      t.float("price").notNullable().defaultTo(0);
      t.integer("stock").notNullable().defaultTo(0);
      t.boolean("discontinued").notNullable().defaultTo(false);
      for (const column of ["fits", "replaces", "needs_also", "spoils", "contains"])
        t.json(column).notNullable().defaultTo("[]");
      t.text("note");
      t.index(["kind", "teeth"]);
      t.index(["kind", "inside_mm", "outside_mm"]);
    });
    for (const [table, column] of [
      ["catalogue_fits", "unit"],
      ["catalogue_replaces", "old"],
      ["catalogue_contains", "inside"],
    ] as const)
      await k.schema.createTable(table, (t) => {
        t.integer("part").notNullable().references("id").inTable("catalogue").onDelete("CASCADE");
        t.text(column).notNullable().index();
        t.index("part");
      });
    await k.raw(
      `create virtual table catalogue_words using fts5(number, name, spec, fits, content='', contentless_delete=1, tokenize="unicode61 remove_diacritics 2", prefix='1 2 3')`,
    );
    await k.schema.createTable("suppliers", (t) => {
      t.text("name").primary();
      t.float("shipping").notNullable().defaultTo(0);
      t.float("free_from");
      t.float("minimum_order").notNullable().defaultTo(0);
    });
    await k.schema.createTable("offers", (t) => {
      t.increments("id");
      t.text("supplier").notNullable();
      t.text("number").notNullable().index();
      t.integer("pack").notNullable().defaultTo(1);
      t.float("price").notNullable();
      t.integer("stock");
      t.integer("least").notNullable().defaultTo(1);
      t.float("lead_days").notNullable();
      t.unique(["supplier", "number", "pack"]);
    });
    await k.schema.createTable("imports", (t) => {
      t.increments("id");
      t.text("at").notNullable();
      t.text("file").notNullable();
      t.text("table").notNullable();
      t.integer("added").notNullable().defaultTo(0);
      t.integer("changed").notNullable().defaultTo(0);
      // not finished: the shop went down in the middle of it
      t.text("finished_at");
      t.text("undone_at");
    });
    await k.schema.createTable("import_rows", (t) => {
      t.integer("import").notNullable().index();
      t.text("key").notNullable();
      // as it was; null: it was not there
      t.json("before");
      t.json("after").notNullable();
    });
    await k.schema.alterTable("findings", (t) => {
      // as it stands on the part
      t.text("read_number");
    });
    // parts of before; what they are found by is filled in when the database opens (store/catalogue-index.ts)
    for (const p of old) {
      const spec = JSON.parse(p.spec);
      if (spec.kind === "seal" && spec.closure) {
        spec.material = spec.closure;
        delete spec.closure;
      }
      const fits = (JSON.parse(p.fits) as string[]).map((f) => {
        const [maker, ...model] = f.split(" ");
        return { maker, model: model.join(" ") || maker, variants: [] };
      });
      const needs = (JSON.parse(p.needs_also) as { number: string; why: string }[]).map((n) => ({
        ...n,
        qty: 1,
      }));
      await k("catalogue").insert({
        number: p.number,
        bare: "",
        folded: "",
        name: p.name,
        kind: spec.kind,
        spec: JSON.stringify(spec),
        price: p.price,
        stock: p.stock,
        fits: JSON.stringify(fits),
        needs_also: JSON.stringify(needs),
        note: p.note,
      });
    }
  },
};
