import { writeFileSync } from "node:fs";
import { join } from "node:path";
import { beforeAll, beforeEach, describe, expect, it } from "vitest";
import { type CataloguePart, cataloguePart } from "@/core/match/catalogue/catalogue-part";
import { partsTable } from "@/core/match/catalogue/catalogue-row";
import { csvLines, guarded, unguarded } from "@/exchange/csv";
import { partsNumbered } from "@/store/catalogue";
import { partRows } from "@/store/catalogue-index";
import { database, openDatabase } from "@/store/database";
import { lastImports, startImport, undoImport } from "@/store/imports";
import { offersFor } from "@/store/offers";
import { putRows } from "@/store/put-rows";
import { testShop } from "@/store/test-shop";
import { importFile, importPreview } from "./catalogue-import";

const folder = testShop();
let db: Awaited<ReturnType<typeof database>>;
beforeAll(async () => {
  db = await database();
});
beforeEach(async () => {
  for (const t of ["catalogue", "catalogue_words", "offers", "imports", "import_rows"]) await db(t).delete();
});

const file = (content: string | Uint8Array, name = "table.csv"): string => {
  const path = join(folder, name);
  writeFileSync(path, content);
  return path;
};
const part = (number: string, more: object = {}): CataloguePart =>
  cataloguePart.parse({ number, name: `part ${number}`, spec: { kind: "kit" }, ...more });
const numbers = async (): Promise<string[]> =>
  (await db("catalogue").select("number").orderBy("number")).map((r) => r.number);

describe("a file of parts", () => {
  it("is looked through first, and changes nothing until it is taken in", async () => {
    await putRows(db, partRows, [part("A-1"), part("A-2")]);
    const path = file(
      "number,name,kind,price\nA-1,part A-1,kit,0\nA-2,another name,kit,\nA-3,a third,kit,2.5\n",
    );
    expect(await importPreview(path)).toMatchObject({
      table: "parts",
      rows: 3,
      added: 1,
      changed: 1,
      same: 1,
      faulty: 0,
    });
    expect(await numbers()).toEqual(["A-1", "A-2"]);
    expect(await importFile(path, "table.csv")).toMatchObject({ added: 1, changed: 1, same: 1 });
    expect((await partsNumbered(["A-2", "A-3"])).map((p) => [p.name, p.price])).toEqual([
      ["another name", 0],
      ["a third", 2.5],
    ]);
  });
  it("takes in what can be read, and says of every other row where it stands and why", async () => {
    const path = file(
      [
        "number,name,kind,teeth,module_mm",
        "W-1,wheel,gear,41,1",
        "W-2,wheel,cog,41,1",
        "W-3,wheel,gear,many,1",
        "W-1,again,kit,,",
        ",no number,kit,,",
        "W-6,too,many,cells,1,2,3",
        "W-7,half",
      ].join("\n"),
    );
    const report = await importFile(path, "table.csv");
    expect(report.faults).toEqual([
      { row: 3, column: "kind", says: expect.stringMatching(/^"cog" is no kind of part/) },
      { row: 4, column: "teeth", says: '"many" is not a number' },
      { row: 5, column: "number", says: "stands in row 2 already; this row is left out" },
      { row: 6, column: "number", says: "a part needs a number" },
      { row: 7, column: "", says: "has 7 cells for 5 headings: is there a separator too many?" },
      { row: 8, column: "", says: "ends after 2 of 5 cells: is the file cut off here?" },
    ]);
    expect(await numbers()).toEqual(["W-1"]);
    expect(report.faulty).toBe(6);
  });
  it("may be written with semicolons, tabs or bars, with a byte order mark, in an older alphabet or in UTF-16, with capitals and spaces in its headings", async () => {
    const rows = [
      ["Number", "Name", "Kind", "Inside mm", "outside-mm", "WIDTH_MM"],
      ["B-1", "Lager für Getriebe", "bearing", "8", "22", "7"],
    ];
    const written = (d: string): string => rows.map((r) => r.join(d)).join("\r\n");
    const files: (string | Uint8Array)[] = [
      `\ufeff${written(",")}`,
      written(";"),
      written("\t"),
      written("|"),
      Buffer.from(written(";"), "latin1"),
      Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(written(";"), "utf16le")]),
    ];
    for (const content of files) {
      await db("catalogue").delete();
      await importFile(file(content), "table.csv");
      expect((await partsNumbered(["B-1"]))[0]).toMatchObject({
        name: "Lager für Getriebe",
        spec: { kind: "bearing", insideMm: 8, outsideMm: 22, widthMm: 7 },
      });
    }
  });
  it("with another separator than was thought says so, and is read with the one that is chosen", async () => {
    const path = file("number~name~kind\nA-1~x~kit\n");
    await expect(importPreview(path)).rejects.toMatchObject({
      path: "file",
      says: expect.stringMatching(/^has only one column, "number~name~kind".*Choose what separates them/),
    });
    expect(await importPreview(path, { delimiter: "~" })).toMatchObject({ rows: 1, added: 1 });
  });
  it.each([
    ["", /is empty/],
    ["colour,weight\nred,1\n", /is no table of parts, offers, suppliers or greases.*Found: colour, weight/],
    ["number,name,kind,kind\nA,b,kit,kit\n", /has two columns "kind"/],
    [Buffer.from([0x50, 0x4b, 3, 4, 0, 0, 0, 0, 0, 0]), /no table in text form/],
  ])("that is none is refused with a sentence: %j", async (content, says) => {
    await expect(importFile(file(content), "table.csv")).rejects.toMatchObject({
      says: expect.stringMatching(says),
    });
    expect(await lastImports()).toEqual([]);
  });
  it("with a quotation mark that is never closed loses nothing but that row and what it swallowed, and says so", async () => {
    const path = file(`number,name,kind\nA-1,good,kit\nA-2,"never closed,kit\nA-3,swallowed,kit\n`);
    const report = await importFile(path, "table.csv");
    expect(await numbers()).toEqual(["A-1"]);
    expect(report.faults[0]).toMatchObject({ row: 3, says: expect.stringMatching(/quotation mark/) });
  });
  it("says which headings it reads nothing from, and counts rows as a spreadsheet does", async () => {
    const report = await importPreview(file("number,name,kind,colour\n\n\nA-1,x,cog,red\n"));
    expect(report.unknown).toEqual(["colour"]);
    expect(report.faults[0]?.row).toBe(4);
  });
  it("leaves what its columns say nothing of: a list of prices takes nothing else away", async () => {
    const whole = part("W-1", {
      spec: { kind: "gear", teeth: 41, moduleMm: 1 },
      price: 5,
      stock: 3,
      fits: [{ maker: "Example", model: "Press" }],
      needsAlso: [{ number: "P-1", why: "x" }],
    });
    await putRows(db, partRows, [whole]);
    await importFile(file("number,name,kind,price\nW-1,part W-1,gear,7.5\n"), "prices.csv");
    expect(await partsNumbered(["W-1"])).toEqual([{ ...whole, price: 7.5 }]);
    await importFile(file("number,name,kind,needs_also,stock\nW-1,part W-1,gear,,0\n"), "less.csv");
    expect(await partsNumbered(["W-1"])).toEqual([{ ...whole, price: 7.5, needsAlso: [], stock: 0 }]);
  });
  it("of offers goes to the offers", async () => {
    await importFile(
      file('supplier,number,price,pack,lead_days\nNorth,A-1,"2,50",10,3\nNorth,A-1,0.4,1,3\n'),
      "offers.csv",
    );
    expect(await offersFor(["A-1"])).toEqual([
      { supplier: "North", number: "A-1", price: 0.4, pack: 1, minPacks: 1, leadDays: 3 },
      { supplier: "North", number: "A-1", price: 2.5, pack: 10, minPacks: 1, leadDays: 3 },
    ]);
  });
});

describe("an import that is taken back", () => {
  it("leaves everything as it was, but for what was changed again since", async () => {
    const before = [part("A-1"), part("A-2", { price: 5 })];
    await putRows(db, partRows, before);
    await importFile(
      file("number,name,kind,price\nA-1,other,kit,1\nA-2,other,kit,1\nA-3,new,kit,1\nA-4,new,kit,1\n"),
      "table.csv",
    );
    await putRows(db, partRows, [part("A-4", { stock: 7 })]);
    const [last] = await lastImports();
    expect(last).toMatchObject({ file: "table.csv", added: 2, changed: 2 });
    expect(await undoImport(last?.id as number)).toEqual({ back: 3, stayed: 1 });
    expect(await partsNumbered(["A-1", "A-2"])).toEqual(before);
    expect(await numbers()).toEqual(["A-1", "A-2", "A-4"]);
    await expect(undoImport(last?.id as number)).rejects.toThrow(/only the last import/);
  });
  it("that the shop went down in the middle of is taken back when it opens again", async () => {
    await putRows(db, partRows, [part("A-1")]);
    const running = await startImport("cut.csv", "parts");
    await running.put([part("A-1", { price: 9 }), part("A-2")]);
    expect(await numbers()).toEqual(["A-1", "A-2"]);
    // opened beside the program that runs it (the command line), it is left alone
    await (await openDatabase(folder)).destroy();
    await running.put([part("A-3")]);
    expect(await numbers()).toEqual(["A-1", "A-2", "A-3"]);
    await db("imports").where({ id: running.id }).update({ owner: "import-of-a-program-that-is-gone" });
    await (await openDatabase(folder)).destroy();
    expect(await numbers()).toEqual(["A-1"]);
    expect((await partsNumbered(["A-1"]))[0]?.price).toBe(0);
  });
});

describe("a file that is no table is refused before it is gone through", () => {
  const head = "number,name,kind\n";
  it.each<[string, string | Uint8Array, RegExp]>([
    [
      "of a hundred thousand columns",
      `${Array.from({ length: 100_000 }, (_, i) => `c${i}`).join(",")}\n`,
      /100000 cells in a row; a table may have 200 columns/,
    ],
    ["of one line without an end", "number,name,kind".repeat(200_000), /has no lines|cells in a row/],
    [
      "with a quotation mark that is never closed",
      `${head}A-1,wheel,gear\nA-2,"${"x\n".repeat(2_000_000)}`,
      /goes on after row \d+ without an end: is a quotation mark there opened/,
    ],
    ["with a row of blanks only between commas", `${head}${",".repeat(300)}\n`, /cells in a row/],
    ["in no writing", new Uint8Array([0, 1, 2, 3, 0, 0]), /is no table in text form/],
  ])("%s", async (_, content, says) => {
    await expect(importPreview(file(content))).rejects.toThrow(says);
    await expect(importFile(file(content), "odd.csv")).rejects.toThrow(says);
    expect([await numbers(), await lastImports()]).toEqual([[], []]);
  });
  it("and a cell of twenty thousand blanks is a fault of its row", async () => {
    const report = await importPreview(
      file(`number,name,kind,needs_also\nA-1,wheel,gear,x${" ".repeat(19_000)}(\n`),
    );
    expect(report.faults[0]).toMatchObject({
      row: 2,
      column: "needs_also",
      says: expect.stringContaining("is not read"),
    });
  });
});

describe("the file that goes out", () => {
  it("holds nothing that a spreadsheet would execute, and comes back as it was", async () => {
    const sly = [
      '=HYPERLINK("http://x")',
      "+1+1",
      "-2+3",
      "@SUM(A1)",
      "\tx",
      "'=quoted",
      "-5",
      "+49 30",
      "plain",
    ];
    for (const s of sly) {
      expect(guarded(s)).not.toMatch(/^[=@\t]/);
      expect(/^[+-]/.test(guarded(s))).toBe(s === "-5");
      expect(unguarded(guarded(s))).toBe(s);
    }
    const parts = sly.map((s, i) => part(`A-${i}`, { name: s.trim(), note: s.trim() }));
    let text = "";
    for await (const line of csvLines(partsTable, parts)) text += line;
    const path = file(text);
    expect(await importFile(path, "out.csv")).toMatchObject({ added: parts.length, faulty: 0, unknown: [] });
    expect(await partsNumbered(parts.map((p) => p.number))).toEqual(parts);
  });
});
