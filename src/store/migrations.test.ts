import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import knex, { type Knex } from "knex";
import { afterEach, beforeEach, expect, it } from "vitest";
import { MIGRATIONS, openDatabase } from "./database";
import { putBack } from "./import-rows";
import { loadJob } from "./job";
import { offersOf } from "./offers";
import { shopSettings } from "./settings";
import { putOnShelf, wholeShelf } from "./shelf";

let folder = "";
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "older-"));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** The shop's database as a program left it that knew only the first so many migrations. */
async function leftBy(count: number): Promise<Knex> {
  const db = knex({
    client: "better-sqlite3",
    connection: { filename: join(folder, "shop.sqlite") },
    useNullAsDefault: true,
  });
  const known = MIGRATIONS.slice(0, count);
  await db.migrate.latest({
    migrationSource: {
      getMigrations: async () => known,
      getMigrationName: (m: { name: string }) => m.name,
      getMigration: async (m: (typeof known)[number]) => m,
    },
  });
  return db;
}

it("a shop of before the plain names keeps its offers and rates, and an import of then can still be taken back", async () => {
  const older = await leftBy(6);
  const offer = { supplier: "North", number: 'A "least": 1', price: 2, pack: 1, least: 3, leadDays: 1 };
  await older("offers").insert({
    supplier: offer.supplier,
    number: offer.number,
    price: 2,
    pack: 1,
    least: 3,
    lead_days: 1,
  });
  const rates = { perHour: 60, markupPercent: 25, taxPercent: 20, ifDeclined: 25 };
  await older("settings").insert({ name: "rates", value: JSON.stringify({ ...rates, leastMinutes: 40 }) });
  const [id = 0] = await older("imports").insert({
    at: "2026-01-01T10:00:00Z",
    file: "offers.csv",
    table: "offers",
    added: 1,
    finished_at: "2026-01-01T10:00:01Z",
  });
  const key = JSON.stringify([offer.supplier, offer.number, offer.pack]);
  await older("import_rows").insert({ import: id, key, after: JSON.stringify(offer) });
  await older.destroy();

  const db = await openDatabase(folder);
  expect((await offersOf("North", [offer.number], db)).map((o) => o.minPacks)).toEqual([3]);
  expect((await shopSettings(db)).rates).toEqual({ ...rates, minMinutes: 40 });
  expect(await putBack(db, id, "offers")).toEqual({ back: 1, stayed: 0 });
  expect(await offersOf("North", [offer.number], db)).toEqual([]);
  await db.destroy();
});

it("a shop of before the shelf keeps its greases, and jobs find theirs by the old name", async () => {
  const older = await leftBy(7);
  const facts = {
    name: "Olmen FG-1",
    thickener: "AlX",
    baseOil: "PAO",
    nlgi: 1,
    densityGPerMl: 0.89,
    h1: true,
    leastC: -30,
    mostC: 140,
    lot: "2608",
    pricePer100G: 3.9,
  };
  await older("lubricants").insert({ id: "olmen", facts: JSON.stringify(facts) });
  await older("lubricants").insert({
    id: "olmen-2",
    facts: JSON.stringify({ ...facts, h1: false, lot: undefined }),
  });
  await older.destroy();
  const db = await openDatabase(folder);
  expect(await wholeShelf(db)).toEqual([
    { id: "olmen", ...facts },
    { id: "olmen-2", ...facts, name: "Olmen FG-1 (olmen-2)", h1: false, lot: undefined },
  ]);
  await db.destroy();
});

it("a shop of before jobs of any shape keeps what was said of each: its supply, a class where there is mains, the state of the old grease", async () => {
  const older = await leftBy(8);
  const row = { stage: "judge", kind: "mill", version: 4, taken_in: "2026-11-02" };
  await older("jobs").insert({
    ...row,
    number: "J-0001",
    supply: "mains",
    protection_class: "I",
    grease_state: "metal",
  });
  await older("jobs").insert({ ...row, number: "J-0002", supply: "hand", protection_class: "II" });
  await older.destroy();
  const db = await openDatabase(folder);
  const first = await loadJob("J-0001", db);
  expect(first).toMatchObject({ supplies: ["mains"], protectionClass: "I", greaseStates: ["metal"] });
  const second = await loadJob("J-0002", db);
  expect(second).toMatchObject({ supplies: ["hand"], greaseStates: [] });
  // what nobody was asked is not taken as said
  expect(second?.protectionClass).toBeUndefined();
  expect(first?.hazards).toBeUndefined();
  await db.destroy();
});

it("a shop of before the chambers keeps each job's one case as its first chamber, with what was weighed in, and its greases", async () => {
  const older = await leftBy(11);
  const row = { stage: "lube", kind: "mill", version: 4, taken_in: "2026-11-02" };
  const inside = { lengthMm: 80, widthMm: 60, depthMm: 20 };
  await older("jobs").insert({
    ...row,
    number: "J-0001",
    case_inside: JSON.stringify(inside),
    lubricant: "olmen",
    case_materials: '["ABS","NBR"]',
    makers_grams: 22,
    washed: true,
  });
  await older("jobs").insert({ ...row, number: "J-0002" });
  const point = {
    job_id: 1,
    position: 0,
    ref: "g1",
    part: "p1",
    moment: "after-fit",
    lubricant: "Olmen FG-1",
    place: "teeth",
  };
  await older("lube_points").insert({ ...point, grams: 22, weighed_grams: 21.8, weighed_at: "2026-11-02" });
  await older("lube_points").insert({
    ...point,
    position: 1,
    ref: "g2",
    lubricant: "light oil",
    place: "two drops",
  });
  const grease = {
    id: "olmen",
    name: "Olmen FG-1",
    thickener: "AlX",
    base_oil: "PAO",
    nlgi: 1,
    h1: true,
    least_c: -30,
    most_c: 140,
    stock_g: 310,
  };
  await older("lubricants").insert(grease);
  await older.destroy();
  const db = await openDatabase(folder);
  const job = await loadJob("J-0001", db);
  expect(job?.chambers).toEqual([
    {
      id: "c1",
      kind: "gear-case",
      name: "gear case",
      volume: { by: "inside", ...inside },
      makersGrams: 22,
      lubricant: "olmen",
      old: { left: "none" },
      seals: ["NBR"],
      materials: ["ABS"],
    },
  ]);
  expect(job?.lubePoints).toMatchObject([
    {
      id: "g1",
      chamber: "c1",
      kind: "gear-teeth",
      lubricantId: "olmen",
      grams: 22,
      weighedGrams: 21.8,
      when: "after-fit",
    },
    { id: "g2", lubricant: "light oil", where: "two drops" },
  ]);
  expect((await loadJob("J-0002", db))?.chambers).toBeUndefined();
  // and an oil, which has neither thickener nor class, can stand beside the greases
  await putOnShelf(
    { name: "Drop 15", sort: "oil", baseOil: "mineral", h1: false, leastC: -20, mostC: 100 },
    db,
  );
  expect((await wholeShelf(db)).map((l) => [l.name, l.stockG])).toEqual([
    ["Drop 15", undefined],
    ["Olmen FG-1", 310],
  ]);
  await db.destroy();
});
