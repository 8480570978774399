/**
 * The catalogue at 100,000 parts: search as somebody types, stroke by stroke, in milliseconds and as a ratio
 * to reading one part by its number; what a ranking of a gear looks among; and a table of 50 MB looked
 * through, taken in
 * and taken back, as a ratio to reading the same file through once.
 */
import { createReadStream, createWriteStream, mkdtempSync, rmSync, statSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Readable } from "node:stream";
import { pipeline } from "node:stream/promises";
import { type CataloguePart, cataloguePart } from "../src/core/match/catalogue/catalogue-part";
import { partsTable } from "../src/core/match/catalogue/catalogue-row";
import { csvLines } from "../src/exchange/csv";

const folder = mkdtempSync(join(tmpdir(), "bench-"));
process.env.DEMONTAGE_DATA = folder;
const { database } = await import("../src/store/database");
const { partsFor, partsNumbered, searchParts } = await import("../src/store/catalogue");
const { importFile, importPreview } = await import("../src/shop/parts/catalogue-import");
const { lastImports, undoImport } = await import("../src/store/imports");

const MAKERS = ["Velbrant", "Tarnholt", "Brisswell", "Haldrick", "Morvane", "Pellgrove"];
const NAMES = ["Wheel", "Pinion", "Ball bearing", "Shaft seal", "Gasket", "Carbon brush"];

function part(i: number, note: string): CataloguePart {
  const maker = MAKERS[i % 6] as string;
  const ring = { insideMm: 5 + (i % 40), outsideMm: 10 + (i % 80), widthMm: 4 + (i % 10) };
  const kinds = [
    {
      kind: "gear",
      teeth: 8 + (i % 90),
      moduleMm: [0.5, 0.8, 1, 1.25, 1.5][i % 5],
      boreMm: 5 + (i % 10),
      material: "PA",
    },
    {
      kind: "gear",
      teeth: 7 + (i % 30),
      moduleMm: [0.5, 0.8, 1, 1.25, 1.5][i % 5],
      boreMm: 4 + (i % 6),
      material: "steel",
    },
    { kind: "bearing", ...ring, closure: i % 2 ? "2RS" : "open" },
    { kind: "seal", ...ring, material: "NBR" },
    { kind: "gasket", material: "paper" },
    { kind: "brush", lengthMm: 17, widthMm: 11, thicknessMm: 6.3 },
  ];
  return cataloguePart.parse({
    number: `${maker.slice(0, 3).toUpperCase()}-${100 + (i % 900)}-${String(i).padStart(6, "0")}`,
    name: `${NAMES[i % 6]} ${i}, stage ${i % 5}`,
    spec: kinds[i % 6],
    price: (i % 5000) / 100,
    stock: i % 7,
    fits: [{ maker, model: `Model ${i % 400}`, variants: i % 3 ? [] : ["A", "B"] }],
    ...(note ? { note } : {}),
  });
}

async function written(name: string, count: number, note: string): Promise<string> {
  const path = join(folder, name);
  const parts = Array.from({ length: count }, (_, i) => part(i, note));
  await pipeline(Readable.from(csvLines(partsTable, parts)), createWriteStream(path));
  return path;
}
const seconds = async (work: () => Promise<unknown>): Promise<number> => {
  const from = performance.now();
  await work();
  return (performance.now() - from) / 1000;
};
const median = (xs: number[]): number => [...xs].sort((a, b) => a - b)[xs.length >> 1] as number;

const db = await database();
try {
  await importFile(await written("parts.csv", 100_000, ""), "parts.csv");
  const typed = [
    "velbrant wheel 41",
    "BRI-320-",
    "ball bearing 8 22",
    "pinion model 12",
    "HAL1O3O",
    "seal nbr 12",
    "gasket",
    "nothing like it",
  ];
  const strokes = typed.flatMap((t) => Array.from(t, (_, i) => t.slice(0, i + 1)));
  for (const s of strokes.slice(0, 20)) await searchParts(s);
  const times: number[] = [];
  for (const s of strokes) times.push(1000 * (await seconds(() => searchParts(s))));
  const one: number[] = [];
  for (let i = 0; i < 50; i++)
    one.push(1000 * (await seconds(() => partsNumbered([part(i * 1999, "").number]))));
  const gear = { teeth: 41, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 };
  const ranked: number[] = [];
  for (let i = 0; i < 5; i++)
    ranked.push(1000 * (await seconds(() => partsFor({ number: "VEL-1OO-000000", gear }))));
  console.log(
    `search at 100,000 parts, ${strokes.length} strokes: ${median(times).toFixed(1)} ms in the middle, ${Math.max(...times).toFixed(1)} at most, ${(median(times) / median(one)).toFixed(1)} times reading one part; aim: under 50 ms. Candidates of a gear: ${median(ranked).toFixed(0)} ms`,
  );
  const path = await written(
    "large.csv",
    130_000,
    "kept dry, in its bag, until it is fitted ".repeat(6).trim(),
  );
  const raw = await seconds(async () => {
    for await (const _ of createReadStream(path)) void _;
  });
  const [look, take] = [
    await seconds(() => importPreview(path)),
    await seconds(() => importFile(path, "large.csv")),
  ];
  const [last] = await lastImports();
  const back = await seconds(() => undoImport(last?.id as number));
  console.log(
    `table of ${(statSync(path).size / 1e6).toFixed(0)} MB, 130,000 rows: looked through in ${look.toFixed(1)} s, taken in in ${take.toFixed(1)} s, taken back in ${back.toFixed(1)} s (${(look / raw).toFixed(0)}, ${(take / raw).toFixed(0)}, ${(back / raw).toFixed(0)} times reading the file); ${Math.round(process.memoryUsage().rss / 1e6)} MB held`,
  );
} finally {
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
}
