import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import knex from "knex";
import { beforeAll, describe, expect, it } from "vitest";
import { rankCandidates, type Wanted } from "@/core/match/candidates/rank";
import {
  type CataloguePart,
  type CataloguePartInput,
  cataloguePart,
} from "@/core/match/catalogue/catalogue-part";
import { partsFor, partsNumbered, searchParts } from "./catalogue";
import { partRows } from "./catalogue-index";
import { database, MIGRATIONS, openDatabase } from "./database";
import { putRows } from "./put-rows";
import { testShop } from "./test-shop";

testShop();
const part = (
  number: string,
  name: string,
  spec: CataloguePartInput["spec"],
  more: Partial<CataloguePartInput> = {},
): CataloguePart => cataloguePart.parse({ number, name, spec, ...more });
const press = { maker: "Example", model: "Press 40" };
const mill = { maker: "Example", model: "Mill 3" };
const parts = [
  part(
    "EXM-40-241",
    "Second-stage wheel",
    { kind: "gear", teeth: 41, moduleMm: 1, material: "PA" },
    { fits: [press], discontinued: true },
  ),
  part(
    "EXM-42-242",
    "Second-stage wheel",
    { kind: "gear", teeth: 42, moduleMm: 1 },
    { replaces: [{ number: "EXM-40-241" }], needsAlso: [{ number: "EXM-42-108" }], stock: 2 },
  ),
  part(
    "EXM-43-243",
    "Last wheel of this line",
    { kind: "gear", teeth: 42, moduleMm: 1 },
    { replaces: [{ number: "EXM-42-242" }] },
  ),
  part("EXM-42-108", "Motor pinion", { kind: "gear", teeth: 8, moduleMm: 1 }),
  part("STD-41", "Spur gear", { kind: "gear", teeth: 41, moduleMm: 1 }, { stock: 1 }),
  part("STD-90", "Spur gear", { kind: "gear", teeth: 90, moduleMm: 1 }),
  part("608-2RS", "Ball bearing", {
    kind: "bearing",
    insideMm: 8,
    outsideMm: 22,
    widthMm: 7,
    closure: "2RS",
  }),
  part("FU-3", "Fuse", { kind: "fuse", amps: 3.15, volts: 250, speed: "T" }),
  part("FU-5", "Fuse", { kind: "fuse", amps: 5, volts: 250, speed: "T" }),
  part("ROT-41", "Rotor", { kind: "gear", teeth: 41 }),
  part("ROT-7", "Rotor", { kind: "gear" }, { fits: [mill] }),
  part("ROT-9", "Rotor", { kind: "gear" }),
  part("EXM-40-052", "Cover gasket", { kind: "gasket", material: "Pàper" }, { fits: [press] }),
];
let db: Awaited<ReturnType<typeof database>>;
beforeAll(async () => {
  db = await database();
  await putRows(db, partRows, parts);
});
const found = async (typed: string): Promise<string[]> =>
  (await searchParts(typed)).parts.map((p) => p.number);

describe("the search", () => {
  it("finds by the beginning of words in the number, the name, the specification, what it fits; in any order and writing", async () => {
    expect(await found("exm 42")).toEqual(["EXM-42-242", "EXM-42-108", "EXM-43-243"]);
    expect(await found("exm42108")).toEqual(["EXM-42-108"]);
    expect(await found("GASK paper")).toEqual(["EXM-40-052"]);
    expect(await found("press 40")).toEqual(["EXM-40-052", "EXM-40-241"]);
    expect(await found("8 22 7")).toEqual(["608-2RS"]);
    expect(await found("41 teeth module 1")).toEqual(["STD-41", "EXM-40-241"]);
    expect(await found("nothing such")).toEqual([]);
    expect((await found("")).length).toBe(parts.length);
  });
  it("cuts nothing in silence: it says how many there are, and gives them all when so many are asked for", async () => {
    expect(await searchParts("exm", 2)).toMatchObject({ parts: [{}, {}], total: 5 });
    for (const typed of ["", "exm", "gear", "press 40", "wheel", "EXM-4O-24I", "nothing such", "8 22 7"]) {
      const { parts: all, total } = await searchParts(typed, 1000);
      expect(total, typed).toBe(all.length);
      expect((await searchParts(typed, 1)).total, typed).toBe(total);
    }
  });
  it("counts up to a thousand, and says that there are more", async () => {
    const many = Array.from({ length: 1100 }, (_, i) =>
      part(`ZQ-${1000 + i}`, `zinc shim ${i}`, { kind: "other" }, { stock: i === 777 ? 3 : 0 }),
    );
    const db = await database();
    await putRows(db, partRows, many);
    expect(await searchParts("zinc", 50)).toMatchObject({
      total: 1000,
      more: true,
      parts: expect.objectContaining({ length: 50 }),
    });
    expect(await searchParts("ZQ", 50)).toMatchObject({ total: 1000, more: true });
    // one word more, and all of them are counted, the nearest first
    expect(await searchParts("zinc 777")).toMatchObject({
      total: 1,
      more: false,
      parts: [{ number: "ZQ-1777" }],
    });
    // 1900 to 1999 by number; 19 and 190 to 199 by name
    expect(await searchParts("ZQ-19", 1000)).toMatchObject({ total: 111, more: false });
    await db("catalogue").where("number", "like", "ZQ-%").delete();
    expect(await searchParts("zinc")).toEqual({ parts: [], total: 0, more: false });
  });
  it("finds a number as a blurred eye reads it, when nothing else is found", async () => {
    expect(await found("EXM-4O-24I")).toEqual(["EXM-40-241"]);
  });
  it("takes no sign for more than a sign", async () => {
    for (const sly of [
      '"',
      "wheel OR gasket",
      "NEAR(a b)",
      "*",
      "number:exm",
      "'; drop table catalogue",
      "-",
      "^exm",
    ])
      await found(sly);
    expect(await found('"wheel" *')).toHaveLength(3);
  });
  it("follows what is changed and taken out", async () => {
    await putRows(db, partRows, [
      part("TMP-1", "Zebra bush", { kind: "bush", insideMm: 8, outsideMm: 12, widthMm: 10 }),
    ]);
    expect(await found("zebra")).toEqual(["TMP-1"]);
    await putRows(db, partRows, [
      part("TMP-1", "Heron bush", { kind: "bush", insideMm: 8, outsideMm: 12, widthMm: 10 }),
    ]);
    expect([await found("zebra"), await found("heron")]).toEqual([[], ["TMP-1"]]);
    await partRows.drop(db, ["TMP-1"]);
    expect(await found("heron")).toEqual([]);
  });
});

describe("what a ranking looks among", () => {
  const gear = { teeth: 41, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 };
  it.each<[string, Wanted]>([
    ["a gear", { gear }],
    ["a number that was superseded twice", { number: "EXM 40 241" }],
    ["a misread number", { number: "EXM-4O-241" }],
    ["a number with one sign wrong", { number: "EXM-42-109" }],
    ["a bearing by its designation", { number: "608" }],
    ["a bearing by its size", { ring: { kind: "bearing", insideMm: 8, outsideMm: 22, widthMm: 7 } }],
    [
      "a fuse by what is printed on it",
      { sizes: { kind: "fuse", sizes: {}, seen: { amps: "3.15 A", volts: "250 V", speed: "T" } } },
    ],
    ["a name", { name: "cover gasket", unit: press }],
    ["a kind for a unit", { kind: "gasket", unit: press }],
    ["all at once", { number: "EXM-40-241", gear, unit: press }],
  ])("%s finds what looking through the whole catalogue finds", async (_, wanted) => {
    const all = rankCandidates(wanted, parts).filter((c) => c.verdict !== "no");
    expect(all.length).toBeGreaterThan(0);
    const some = rankCandidates(wanted, await partsFor(wanted, db)).filter((c) => c.verdict !== "no");
    expect(some.map((c) => [c.part.number, c.verdict])).toEqual(all.map((c) => [c.part.number, c.verdict]));
  });
});

it("a gear without a tooth is thought of for its own model, and for no other", async () => {
  const gear = { teeth: 41, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 };
  const wanted: Wanted = { gear, kind: "gear", unit: mill };
  const numbers = rankCandidates(wanted, await partsFor(wanted, db)).map((c) => c.part.number);
  expect(numbers).toContain("ROT-7");
  expect(numbers).toContain("ROT-41");
  expect(numbers).not.toContain("ROT-9");
});

it("a catalogue of before comes over: what it fits, what it needs, what it is found by", async () => {
  const folder = mkdtempSync(join(tmpdir(), "older-"));
  const old = knex({
    client: "better-sqlite3",
    connection: { filename: join(folder, "shop.sqlite") },
    useNullAsDefault: true,
  });
  const migrations = MIGRATIONS.slice(0, 3);
  await old.migrate.latest({
    migrationSource: {
      getMigrations: async () => migrations,
      getMigrationName: (m: { name: string }) => m.name,
      getMigration: async (m: (typeof migrations)[number]) => m,
    },
  });
  const row = { price: 3, lead_days: 2, stock: 1 };
  await old("catalogue").insert([
    {
      ...row,
      number: "W-1",
      name: "Wheel",
      spec: '{"kind":"gear","teeth":41,"moduleMm":1,"pressureAngleDeg":20,"helixAngleDeg":0,"profileShift":0}',
      fits: '["Example Press 40"]',
      needs_also: '[{"number":"P-1","why":"x"}]',
    },
    {
      ...row,
      number: "S-1",
      name: "Seal",
      spec: '{"kind":"seal","insideMm":8,"outsideMm":22,"widthMm":7,"closure":"NBR"}',
      fits: "[]",
      needs_also: "[]",
    },
  ]);
  await old.destroy();
  const now = await openDatabase(folder);
  const [seal, wheel] = await partsNumbered(["S-1", "W-1"], now);
  expect(wheel).toMatchObject({
    fits: [{ maker: "Example", model: "Press 40" }],
    needsAlso: [{ number: "P-1", qty: 1 }],
    price: 3,
    stock: 1,
  });
  expect(cataloguePart.parse(wheel)).toEqual(wheel);
  expect(seal?.spec).toMatchObject({ material: "NBR" });
  expect((await searchParts("wheel press", undefined, now)).parts.map((p) => p.number)).toEqual(["W-1"]);
  await now.destroy();
  rmSync(folder, { recursive: true });
});
