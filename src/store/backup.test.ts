import {
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { holdSign } from "./alive";
import { backUp, backupsIn, checkShop, restore, thinOut } from "./backup";
import { closeDatabase, database } from "./database";
import { loadJob } from "./job";
import { createJob } from "./jobs";
import { addPicture } from "./pictures";
import { shopSettings } from "./settings";
import { backUpShop, isDue } from "./shop-backup";
import { layDown } from "./strip";
import { faultOf, grey, step } from "./test-shop";

let root = "";
let shop = "";
let to = "";
beforeEach(() => {
  root = mkdtempSync(join(tmpdir(), "backup-"));
  shop = join(root, "shop");
  to = join(root, "backups");
  process.env.DEMONTAGE_DATA = shop;
});
afterEach(async () => {
  await closeDatabase();
  rmSync(root, { recursive: true, force: true });
});
const jpeg = (n: number): Promise<Buffer> =>
  grey(60 + n, 40)
    .jpeg()
    .toBuffer();
const check = () => checkShop((number) => loadJob(number));

describe("a back-up", () => {
  it("made while the shop is written to is one moment of it, whole, and comes back as that", {
    timeout: 60_000,
  }, async () => {
    const number = await createJob({ kind: "cream separator" });
    let [laid, writing] = [0, true];
    const writer = (async () => {
      for (; writing; laid++) {
        await layDown(number, "any", step({ parts: [{ name: `cover ${laid}`, kind: "cover" }] }));
        await addPicture(number, await jpeg(laid % 40), { role: "intake", key: `k${laid}` });
      }
    })();
    const made: Awaited<ReturnType<typeof backUp>>[] = [];
    for (let i = 0; i < 4; i++) {
      // however slow the machine is, something was written before each, and is being written during it
      await vi.waitUntil(() => laid > i, { timeout: 20_000, interval: 5 });
      made.push(await backUp(to, { now: new Date(Date.UTC(2026, 10, 29, 10, i)) }));
    }
    writing = false;
    await writer;
    expect(laid).toBeGreaterThan(3);
    await closeDatabase();
    for (const { folder, manifest } of made) {
      expect(manifest.missing).toEqual([]);
      const { aside } = await restore(folder, { now: new Date() });
      expect(aside && existsSync(join(aside, "shop.sqlite"))).toBe(true);
      // every step has its part, every row its file, no file is half
      expect(await check()).toMatchObject({
        database: "sound",
        jobs: 1,
        damaged: [],
        missing: [],
        pictures: manifest.pictures,
      });
      const job = await loadJob(number);
      expect(job?.parts.length).toBe(job?.steps.length);
      await closeDatabase();
      rmSync(aside ?? "", { recursive: true });
    }
    // small pictures are made again when they are missed
    expect(existsSync(join(shop, "thumbs"))).toBe(false);
  });

  it("has its name only when it is whole; what was broken off is none", async () => {
    await createJob();
    const { folder } = await backUp(to, { now: new Date("2026-11-29T10:15:00Z") });
    expect(folder).toBe(join(to, "2026-11-29T101500"));
    expect(statSync(join(folder, "shop.sqlite")).mode & 0o777).toBe(0o600);
    rmSync(join(folder, "backup.json"));
    expect(await backupsIn(to)).toEqual([]);
    expect(await faultOf(restore(folder))).toMatch(/holds no back-up/);
    expect(await faultOf(backUp(shop))).toMatch(/cannot lie in the shop’s folder itself/);
  });

  it("does not copy again what lies in the one before it, and names what the shop itself has no more", async () => {
    const number = await createJob();
    const { picture: kept } = await addPicture(number, await jpeg(1), { role: "intake" });
    const { picture: gone } = await addPicture(number, await jpeg(2), { role: "intake" });
    await backUp(to, { now: new Date("2026-11-28T10:00:00Z") });
    const place = (name: string, sha: string): string => join(to, name, "pictures", `${sha}.jpg`);
    rmSync(join(shop, "pictures", `${gone.sha256}.jpg`));
    const { manifest } = await backUp(to, { now: new Date("2026-11-29T10:00:00Z") });
    expect(manifest).toMatchObject({ pictures: 2, missing: [] });
    expect(statSync(place("2026-11-29T100000", kept.sha256)).ino).toBe(
      statSync(place("2026-11-28T100000", kept.sha256)).ino,
    );
    rmSync(to, { recursive: true });
    expect((await backUp(to)).manifest).toMatchObject({ pictures: 1, missing: [gone.sha256] });
  });

  it("that is damaged is told so before anything of the shop is touched", async () => {
    const number = await createJob({ kind: "fan" });
    const { picture } = await addPicture(number, await jpeg(1), { role: "intake" });
    const { folder } = await backUp(to);
    await closeDatabase();
    const before = readFileSync(join(shop, "shop.sqlite"));
    const place = join(folder, "pictures", `${picture.sha256}.jpg`);
    const whole = readFileSync(place);
    writeFileSync(place, whole.subarray(0, 100));
    expect(await faultOf(restore(folder))).toMatch(/a picture in this back-up is gone or damaged/);
    writeFileSync(place, whole);
    truncateSync(join(folder, "shop.sqlite"), 5000);
    expect(await faultOf(restore(folder))).toMatch(/its checksum does not agree/);
    expect(readFileSync(join(shop, "shop.sqlite")).equals(before)).toBe(true);
  });

  it("is not put back under a program that serves the shop", async () => {
    await createJob();
    const { folder } = await backUp(to);
    const release = holdSign(shop, "server");
    expect(await faultOf(restore(folder))).toMatch(/stop the program first/);
    release?.();
  });

  it("brings a shop back whose database is gone, and one into an empty folder", async () => {
    const number = await createJob({ kind: "fan" });
    const { folder } = await backUp(to);
    await closeDatabase();
    for (const f of readdirSync(shop).filter((n) => n.startsWith("shop.sqlite")))
      truncateSync(join(shop, f), 0);
    await restore(folder);
    expect(statSync(join(shop, "shop.sqlite")).mode & 0o777).toBe(0o600);
    expect((await loadJob(number))?.kind).toBe("fan");
    await closeDatabase();
    rmSync(shop, { recursive: true });
    expect((await restore(folder)).aside).toBeNull();
    expect((await loadJob(number))?.kind).toBe("fan");
  });
});

describe("the shop’s back-ups", () => {
  it("keep in sight when the last good one was made, and what went wrong since", async () => {
    await createJob();
    process.env.DEMONTAGE_DATA = shop;
    await backUpShop();
    expect((await shopSettings()).lastBackup).toMatchObject({
      goodAt: expect.stringMatching(/^20/),
      folder: expect.stringContaining("shop-backups"),
    });
    writeFileSync(join(root, "a-file"), "");
    expect(await faultOf(backUpShop(join(root, "a-file", "inside")))).toMatch(/./);
    expect((await shopSettings()).lastBackup).toMatchObject({
      goodAt: expect.any(String),
      failed: { says: expect.any(String) },
    });
  });

  it("are thinned out to the last so many, and one of each month before", async () => {
    await createJob();
    for (const day of ["2026-08-01", "2026-09-10", "2026-09-20", "2026-10-01", "2026-10-02", "2026-10-03"])
      await backUp(to, { now: new Date(`${day}T01:00:00Z`) });
    expect(await thinOut(to, 2)).toBe(2);
    expect((await backupsIn(to)).map((b) => b.name.slice(0, 10))).toEqual([
      "2026-10-03",
      "2026-10-02",
      "2026-09-20",
      "2026-08-01",
    ]);
  });

  it.each([
    ["never, where no hour is set", undefined, undefined, false],
    ["at once, where there is none", 1, undefined, true],
    ["tonight, after the hour", 1, "2026-11-28T01:02:00", true],
    ["not twice a night", 1, "2026-11-29T01:02:00", false],
    ["not before the hour", 11, "2026-11-28T11:05:00", false],
    ["in the morning, after a night that the computer slept through", 3, "2026-11-27T03:01:00", true],
  ])("are due %s", (_, nightlyAt, goodAt, due) => {
    expect(isDue({ nightlyAt }, goodAt && new Date(goodAt).toISOString(), new Date(2026, 10, 29, 9, 0))).toBe(
      due,
    );
  });
});

it("a look through the shop finds a job that cannot be read, and a picture that is gone", async () => {
  const number = await createJob();
  const { picture } = await addPicture(number, await jpeg(3), { role: "intake" });
  const other = await createJob();
  await (await database())("jobs").where({ number: other }).update({ symptoms: "{" });
  rmSync(join(shop, "pictures", `${picture.sha256}.jpg`));
  expect(await check()).toEqual({
    database: "sound",
    jobs: 2,
    damaged: [{ number: other, says: "jobs: symptoms holds no JSON" }],
    pictures: 1,
    missing: [`${picture.sha256}.jpg`],
  });
});
