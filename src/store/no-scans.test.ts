import { describe, expect, it } from "vitest";
import { boardJobsOf, boardOrder } from "./board";
import { partsFor, partsNumbered } from "./catalogue";
import { database } from "./database";
import { donorsFor } from "./donors";
import { loadDrafts } from "./drafts";
import { currentJob } from "./job";
import { createJob, jobVersion, setHead } from "./jobs";
import { addReading, setFinding } from "./judge";
import { offersFor, offersOf } from "./offers";
import { layDown, setOrder } from "./strip";
import { job, step, testShop } from "./test-shop";
import { undoable, undoLast } from "./undo";

testShop();

/** Tables of a few rows, whatever the shop's weight. */
const SMALL = [
  "settings",
  "counters",
  "suppliers",
  "lubricants",
  "makers",
  "models",
  "knex_migrations",
  "knex_migrations_lock",
  "catalogue_words",
  "own_assemblies",
];

/** What SQLite says of how it goes through tables for everything that `work` asks. */
async function scansOf(work: () => Promise<unknown>): Promise<string[]> {
  const db = await database();
  const asked: { sql: string; bindings: readonly unknown[] }[] = [];
  const hear = (q: { sql: string; bindings: readonly unknown[] }): void => void asked.push(q);
  db.on("query", hear);
  await work();
  db.removeListener("query", hear);
  const scans: string[] = [];
  for (const { sql, bindings } of asked) {
    if (!/^\s*(select|update|delete|insert)/i.test(sql)) continue;
    const plan: { detail: string }[] = await db.raw(
      `explain query plan ${sql}`,
      [...bindings].map((b) => (b === undefined ? null : b)) as string[],
    );
    for (const { detail } of plan) {
      const table = /^SCAN (\w+)/.exec(detail)?.[1];
      if (table && !/USING (COVERING )?INDEX|CONSTANT|SUBQUERY/.test(detail) && !SMALL.includes(table))
        scans.push(`${detail}: ${sql}`);
    }
  }
  expect(asked.length).toBeGreaterThan(0);
  return scans;
}

describe("nothing goes through a whole table for one job", () => {
  it("neither to read a job, nor to look whether it has moved", async () => {
    const number = await createJob({ kind: "mill" });
    expect(await scansOf(() => currentJob(number))).toEqual([]);
    expect(await scansOf(() => jobVersion(number))).toEqual([]);
    const { id } = await job(number);
    expect(await scansOf(() => Promise.all([loadDrafts(id), undoable(id)]))).toEqual([]);
  });
  it("nor to give a new job its number", async () => {
    expect(await scansOf(() => createJob({ kind: "mill" }))).toEqual([]);
  });
  it("nor to change one: a step laid down, tied, taken back, a finding, a reading", async () => {
    const number = await createJob({ kind: "mill" });
    const version = async (): Promise<number> => (await jobVersion(number)) ?? 0;
    expect(await scansOf(() => layDown(number, "any", step({ key: "a" })))).toEqual([]);
    expect(await scansOf(() => layDown(number, "any", step({ asOne: true, needs: undefined })))).toEqual([]);
    expect(await scansOf(async () => setOrder(number, await version(), "s2", { needs: [] }))).toEqual([]);
    expect(await scansOf(async () => undoLast(number, await version()))).toEqual([]);
    expect(await scansOf(async () => setFinding(number, await version(), "p1", { mode: "worn" }))).toEqual(
      [],
    );
    expect(
      await scansOf(async () =>
        addReading(number, await version(), "p1", { what: "bore", value: 8, source: "typed" }),
      ),
    ).toEqual([]);
    expect(await scansOf(async () => setHead(number, await version(), { model: "X" }, "model"))).toEqual([]);
  });
  it("nor for the board, for donors of its model, for its candidates and their offers", async () => {
    const number = await createJob({ kind: "mill", maker: "Velbrant", model: "Mola" });
    expect(await scansOf(async () => boardJobsOf((await boardOrder("2026-11-24")).map((p) => p.id)))).toEqual(
      [],
    );
    expect(await scansOf(async () => donorsFor(await job(number)))).toEqual([]);
    const gear = { teeth: 41, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 };
    const wanted = {
      gear,
      number: "VEL-40-241",
      unit: { maker: "Velbrant", model: "Mola" },
      name: "second wheel",
    };
    expect(await scansOf(() => partsFor(wanted))).toEqual([]);
    expect(
      await scansOf(() => Promise.all([partsNumbered(["A"]), offersFor(["A"]), offersOf("North", ["A"])])),
    ).toEqual([]);
  });
});
