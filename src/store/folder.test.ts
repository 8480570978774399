import {
  chmodSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { holdSign, isHeld } from "./alive";
import { closeDatabase, database, openDatabase } from "./database";
import { loadJob } from "./job";
import { createJob } from "./jobs";
import { shopTrouble } from "./shop-state";
import { startShop } from "./start-shop";
import { notDone, ShopTrouble, troubleIn } from "./trouble";

let folder = "";
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), "folder-"));
  process.env.DEMONTAGE_DATA = folder;
});
afterEach(async () => {
  await closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});
const place = (name: string): string => join(folder, name);
const troubleOf = (work: Promise<unknown>): Promise<string> =>
  work.then(
    () => "none",
    (e) => (e instanceof ShopTrouble ? `${e.trouble.kind}: ${e.trouble.says}` : String(e)),
  );

describe("a folder", () => {
  it("that is empty becomes a shop, with its mark, for its user alone", async () => {
    await startShop("here");
    expect(await shopTrouble()).toBeNull();
    expect(readFileSync(place("shop.mark"), "utf8")).toMatch(/Do not take this file away/);
    expect([statSync(folder).mode & 0o777, statSync(place("shop.sqlite")).mode & 0o777]).toEqual([
      0o700, 0o600,
    ]);
  });

  it.each<[string, () => void, RegExp]>([
    [
      "whose database has 0 bytes, with its mark",
      () => truncateSync(place("shop.sqlite"), 0),
      /^gone: .*is empty, 0 bytes, though a shop was begun here/,
    ],
    [
      "whose database is not there, with its mark",
      () => rmSync(place("shop.sqlite")),
      /^gone: .*is not there, though a shop was begun here/,
    ],
    [
      "with pictures only, as of an older program",
      () => {
        for (const f of ["shop.sqlite", "shop.mark"]) rmSync(place(f));
        mkdirSync(place("pictures"));
        writeFileSync(join(place("pictures"), "a.jpg"), "x");
      },
      /^gone: .*though pictures are there/,
    ],
    [
      "whose database is something else",
      () => writeFileSync(place("shop.sqlite"), "hello, I am a letter"),
      /^damaged: .*its beginning/,
    ],
  ])("%s never becomes a new shop: it is told", async (_, harm, says) => {
    await createJob({ kind: "fan" });
    await closeDatabase();
    for (const end of ["-wal", "-shm"]) rmSync(place(`shop.sqlite${end}`), { force: true });
    harm();
    expect(await troubleOf(database())).toMatch(says);
    expect((await shopTrouble())?.reading).toBe(false);
    // a second try makes no shop either
    expect(await troubleOf(openDatabase(folder))).toMatch(says);
  });

  it("whose database is damaged in the middle is looked at, and nothing is saved", async () => {
    const quiet = vi.spyOn(console, "error").mockImplementation(() => undefined);
    const number = await createJob({ kind: "fan" });
    const db = await database();
    await db.raw("pragma wal_checkpoint(truncate)");
    // a page of an index that the job's own row does not lie in
    const [{ rootpage }] = await db.raw(
      "select rootpage from sqlite_master where type = 'index' and tbl_name = 'readings' limit 1",
    );
    await closeDatabase();
    const bytes = readFileSync(place("shop.sqlite"));
    bytes.fill(0xab, (rootpage - 1) * 4096, rootpage * 4096);
    writeFileSync(place("shop.sqlite"), bytes);
    await startShop("here");
    expect(await shopTrouble()).toMatchObject({
      kind: "damaged",
      reading: true,
      todo: expect.stringContaining("restore"),
    });
    expect((await loadJob(number).catch(() => ({ kind: "fan" })))?.kind).toBe("fan");
    const refused = await createJob().catch((e) => e);
    expect(
      notDone("Not saved", troubleIn(refused) ?? { kind: "disk", says: "?", todo: "", reading: true }),
    ).toMatch(/^Not saved: the shop’s folder cannot be written to/);
    quiet.mockRestore();
  });

  it("whose disk is full keeps what it has, and says so to whoever presses", async () => {
    const number = await createJob({ kind: "fan" });
    const db = await database();
    const [{ page_count }] = await db.raw("pragma page_count");
    await db.raw(`pragma max_page_count = ${page_count}`);
    const refused = await (async () => {
      for (;;) await createJob({ complaint: "x".repeat(4000) });
    })().catch((e) => e);
    expect(
      notDone("Not saved", troubleIn(refused) ?? { kind: "disk", says: "?", todo: "", reading: true }),
    ).toMatch(/^Not saved: the disk of the shop’s computer is full/);
    expect((await loadJob(number))?.kind).toBe("fan");
  });
});

describe("a sign of life", () => {
  it("is one program's at a time, and goes with it", () => {
    const release = holdSign(folder, "server");
    expect([release === null, holdSign(folder, "server"), isHeld(folder, "server")]).toEqual([
      false,
      null,
      true,
    ]);
    release?.();
    expect(isHeld(folder, "server")).toBe(false);
  });
  it("keeps a second server from the folder, and says where the first one is", async () => {
    await startShop("http://127.0.0.1:3000");
    expect(await troubleOf(startShop("elsewhere"))).toMatch(
      /^second: this folder is served already \(http:\/\/127\.0\.0\.1:3000, process \d+\)/,
    );
  });
});

it("a folder that cannot be written to is looked at", async () => {
  const number = await createJob({ kind: "fan" });
  await closeDatabase();
  const { openForReading } = await import("./database");
  chmodSync(folder, 0o500);
  const db = await openForReading(folder);
  expect((await loadJob(number, db))?.kind).toBe("fan");
  expect(troubleIn(await createJob({}, new Date(), db).catch((e) => e))?.kind).toBe("read-only");
  await db.destroy();
  chmodSync(folder, 0o700);
});
