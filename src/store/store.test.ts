import { existsSync, readdirSync } from "node:fs";
import { join } from "node:path";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { Fault } from "@/core/fault";
import { readJobFile } from "@/core/job/job-file";
import { heldPictures } from "@/core/job/job-parcel";
import { packed, unpacked } from "@/exchange/test-parcel";
import { juicerAtJudge } from "../../demo/shop/juicer";
import { jobFileFrom } from "../../demo/shop/recipe";
import { boardJobsOf, boardOrder } from "./board";
import { changeJob, jobHistory, StaleSave } from "./change";
import { database, openDatabase } from "./database";
import { loadDrafts, saveDraft } from "./drafts";
import { currentJob } from "./job";
import { parcelOf, takeInJobFile } from "./job-file";
import { createJob, setHead } from "./jobs";
import {
  addReading,
  keepHardwareFind,
  markTeeth,
  nameGear,
  setCauses,
  setFinding,
  setGearNotes,
  setTrain,
} from "./judge";
import { keepPicture } from "./picture-files";
import { addPicture, readPicture } from "./pictures";
import { asSent, DoneBefore } from "./sending";
import { layDown } from "./strip";
import { faultOf, grey, job, step, testShop } from "./test-shop";

const folder = testShop();

describe("the database", () => {
  it("flushes every commit, keeps its keys and writes ahead", async () => {
    const db = await database();
    const pragma = async (name: string): Promise<unknown> =>
      Object.values((await db.raw(`pragma ${name}`))[0])[0];
    expect(await pragma("synchronous")).toBe(2);
    expect(await pragma("foreign_keys")).toBe(1);
    expect(await pragma("journal_mode")).toBe("wal");
  });
});

describe("changing a job", () => {
  it("counts versions, and writes every change into the history", async () => {
    const number = await createJob({ kind: "juicer" });
    expect(await setHead(number, 1, { model: "P40" }, "model: P40")).toBe(2);
    expect((await jobHistory(number)).map((l) => [l.version, l.what])).toEqual([
      [2, "model: P40"],
      [1, "taken in"],
    ]);
    expect((await job(number)).model).toBe("P40");
  });

  it("refuses a save from a stale screen, with what changed, and writes nothing over", async () => {
    const number = await createJob();
    await setHead(number, 1, { complaint: "hums" }, "complaint: hums");
    const stale = await setHead(number, 1, { complaint: "clicks" }, "complaint: clicks").catch(
      (e: unknown) => e,
    );
    expect(stale).toBeInstanceOf(StaleSave);
    expect((stale as StaleSave).changes.map((c) => c.what)).toEqual(["complaint: hums"]);
    expect((await job(number)).complaint).toBe("hums");
  });

  it("does not take a screen for stale because a picture came in: who sent it may not have heard yet that it arrived", async () => {
    const number = await createJob();
    expect(await changeJob(number, "beside", async () => "picture 0001.jpg")).toBe(2);
    expect(await setHead(number, 1, { complaint: "hums" }, "complaint: hums")).toBe(3);
    await changeJob(number, "beside", async () => "picture 0002.jpg");
    await setHead(number, 4, { complaint: "clicks" }, "complaint: clicks");
    const stale = await setHead(number, 3, { complaint: "howls" }, "complaint: howls").catch(
      (e: unknown) => e,
    );
    expect(stale).toBeInstanceOf(StaleSave);
    expect((stale as StaleSave).changes.map((c) => c.what)).toEqual(["complaint: clicks"]);
    // a version that the job never had is no screen of this shop
    expect(await setHead(number, 99, { complaint: "x" }, "x").catch((e: unknown) => e)).toBeInstanceOf(
      StaleSave,
    );
  });

  it("does once what a screen sends again under the same name, and tells a screen which changes were its own", async () => {
    const number = await createJob();
    const add = (name: string, version: number, what: string) =>
      asSent(name, () => setHead(number, version, { complaint: what }, what));
    expect(await add("n1", 1, "hums")).toBe(2);
    const again = await add("n1", 1, "hums").catch((e: unknown) => e);
    expect(again).toBeInstanceOf(DoneBefore);
    expect((again as DoneBefore).version).toBe(2);
    expect((await jobHistory(number)).map((l) => l.what)).toEqual(["hums", "taken in"]);
    const stale = await add("n2", 1, "clicks").catch((e: unknown) => e);
    expect((stale as StaleSave).changes.map((c) => c.sending)).toEqual(["n1"]);
    // the same name on another job is another sending
    const other = await createJob();
    expect(await asSent("n1", () => setHead(other, 1, { complaint: "howls" }, "howls"))).toBe(2);
    // an action of two changes is one sending
    const both = asSent("n3", async () =>
      setHead(number, await setHead(number, 2, { model: "a" }, "a"), { model: "b" }, "b"),
    );
    expect(await both).toBe(4);
    // what failed was not done
    await asSent("n4", () => changeJob(number, 4, () => Promise.reject(new Fault("x", "no")))).catch(
      () => undefined,
    );
    expect(await add("n4", 4, "rattles")).toBe(5);
  });

  it("leaves nothing of a change that fails half-way", async () => {
    const number = await createJob({ kind: "before" });
    const broken = changeJob(number, 1, async ({ trx, job: j }) => {
      await trx("jobs").where({ id: j.id }).update({ kind: "after" });
      throw new Fault("x", "the disk is full");
    });
    expect(await faultOf(broken)).toBe("the disk is full");
    expect(await job(number)).toMatchObject({ kind: "before", version: 1 });
  });

  it("lets of two screens with one version only one through", async () => {
    const number = await createJob();
    const both = await Promise.allSettled(["a", "b"].map((model) => setHead(number, 1, { model }, model)));
    expect(both.map((b) => b.status).sort()).toEqual(["fulfilled", "rejected"]);
  });

  it("is read by a second connection as soon as it is saved", async () => {
    const number = await createJob({ kind: "survivor" });
    const other = await openDatabase(folder);
    expect((await other("jobs").where({ number }).first()).kind).toBe("survivor");
    await other.destroy();
  });

  it("shows a page the job as it is now, and reads it again only when its version moved", async () => {
    const number = await createJob({ kind: "first" });
    const db = await database();
    const before = await currentJob(number, db);
    expect(await currentJob(number, db)).toBe(before);
    await setHead(number, 1, { kind: "second" }, "kind: second");
    expect((await currentJob(number, db))?.kind).toBe("second");
    // another process changed it
    const other = await openDatabase(folder);
    await changeJob(
      number,
      2,
      async ({ trx, job: j }) => {
        await trx("jobs").where({ id: j.id }).update({ kind: "third" });
        return "kind: third";
      },
      new Date(),
      other,
    );
    await other.destroy();
    expect((await currentJob(number, db))?.kind).toBe("third");
    expect(await currentJob("J-9998", db)).toBeNull();
  });

  it("keeps drafts apart from versions", async () => {
    const number = await createJob();
    await saveDraft(number, "strip.step", { what: "half a" });
    const { id, version } = await job(number);
    expect(version).toBe(1);
    expect(await loadDrafts(id)).toEqual({ "strip.step": { what: "half a" } });
    await saveDraft(number, "strip.step", null);
    expect(await loadDrafts(id)).toEqual({});
  });
});

/** A name that a gear was given. */
const WHEEL = {
  teeth: 41,
  moduleMm: 1,
  diametralPitch: null,
  pressureAngleDeg: 20,
  helixAngleDeg: 18,
  profileShift: 0,
  probability: 0.98,
};

describe("judging in the store", () => {
  it("renews what failed, keeps marks and readings, and takes a name back when a tooth reading changes", async () => {
    const number = await createJob();
    let v = await layDown(number, 1, step());
    v = await setFinding(number, v, "p1", { mode: "missing-teeth" });
    v = await markTeeth(number, v, "p1", [3, 4], "missing");
    v = await markTeeth(number, v, "p1", [4], null);
    v = await addReading(number, v, "p1", { what: "span", teeth: 5, value: 13.94, source: "caliper" });
    v = await nameGear(number, v, "p1", WHEEL);
    v = await addReading(number, v, "p1", { what: "bore", value: 8, source: "caliper" });
    const named = await job(number);
    expect(named.parts[0]?.renew).toBe(true);
    expect(named.findings[0]).toMatchObject({ teeth: { 3: "missing" }, identity: { teeth: 41 } });
    await addReading(number, v, "p1", { what: "span", teeth: 6, value: 16.9, source: "caliper" });
    expect((await job(number)).findings[0]?.identity).toBeUndefined();
  });
});

describe("what Judge comes to know", () => {
  it("train, causes, what the hardware bench named, and what is to be done are kept, and travel with the job file", async () => {
    const number = await createJob();
    let v = await layDown(number, 1, step());
    const train = {
      input: { shaft: "motor", rpm: 1380 },
      meshes: [
        {
          id: "m1",
          kind: "spur" as const,
          driver: { shaft: "motor", teeth: 9 },
          driven: { shaft: "lay", teeth: 41 },
        },
      ],
    };
    v = await setTrain(number, v, train);
    v = await setCauses(number, v, { chosen: ["jam"] }, "cause: jam");
    v = await setCauses(number, v, { words: "a cherry stone" }, "cause, in words");
    v = await keepHardwareFind(number, v, {
      name: "608",
      from: "bore 8.01 mm",
      sure: 0.99,
      source: "caliper",
    });
    v = await keepHardwareFind(number, v, {
      name: "M4",
      from: "over the thread 3.9 mm",
      sure: 0.98,
      source: "typed",
    });
    v = await setFinding(number, v, "p1", { fate: "renew-pair", fateWhy: "the mate is worn" });
    v = await setFinding(number, v, "p1", { mode: "worn" });
    v = await setFinding(number, v, "p1", { also: ["pitted"] });
    const kept = await job(number);
    expect(kept.train).toEqual(train);
    expect(kept.causes).toEqual({ chosen: ["jam"], words: "a cherry stone" });
    expect(kept.benchFinds.map((f) => f.name)).toEqual(["608", "M4"]);
    expect(kept.findings[0]).toMatchObject({ fate: "renew-pair", fateWhy: "the mate is worn" });
    expect(kept.findings[0]).toMatchObject({ mode: "worn", also: ["pitted"] });
    const { number: again } = await takeInJobFile(await parcelOf(number), true);
    const copy = await job(again);
    expect(copy.findings[0]?.also).toEqual(["pitted"]);
    // what was found besides may become what is said first, and what is sound has nothing else
    v = await setFinding(number, v, "p1", { mode: "pitted" });
    expect((await job(number)).findings[0]).toMatchObject({ mode: "pitted", also: [] });
    v = await setFinding(number, v, "p1", { also: ["blued"] });
    await setFinding(number, v, "p1", { mode: "sound" });
    expect((await job(number)).findings[0]).toMatchObject({ mode: "sound", also: [] });
    expect([copy.train, copy.causes, copy.benchFinds, copy.findings[0]?.fate]).toEqual([
      kept.train,
      kept.causes,
      kept.benchFinds,
      "renew-pair",
    ]);
  });
  it("mates know each other, a note is taken back by null, and only what bears on the name takes it back", async () => {
    const number = await createJob();
    let v = await layDown(number, 1, {
      ...step(),
      parts: [
        { name: "wheel", kind: "gear" },
        { name: "pinion", kind: "gear" },
      ],
    });
    v = await setGearNotes(number, v, "p1", { teeth: 41, kind: "helical" });
    v = await nameGear(number, v, "p1", WHEEL);
    v = await setGearNotes(number, v, "p1", { mate: "p2", drives: false });
    const both = (await job(number)).findings;
    expect(both.find((f) => f.part === "p2")?.gear.mate).toBe("p1");
    expect(both.find((f) => f.part === "p1")?.identity).toBeDefined();
    await setGearNotes(number, v, "p1", { teeth: null });
    const after = (await job(number)).findings.find((f) => f.part === "p1");
    expect(after?.gear).toEqual({ kind: "helical", mate: "p2", drives: false });
    expect(after?.identity).toBeUndefined();
  });
});

describe("pictures", () => {
  it("are named by their bytes, kept once, and have a thumbnail", async () => {
    const bytes = await grey(800, 600).jpeg().toBuffer();
    const a = await keepPicture(bytes);
    const b = await keepPicture(bytes);
    expect(a).toEqual(b);
    expect(a.sha256).toMatch(/^[0-9a-f]{64}$/);
    expect(existsSync(join(folder, "pictures", `${a.sha256}.jpg`))).toBe(true);
    const number = await createJob();
    await addPicture(number, bytes, { role: "intake" });
    const thumb = await readPicture(a.sha256, true);
    expect((await sharp(thumb?.bytes).metadata()).width).toBe(360);
    expect((await readPicture(a.sha256, false))?.bytes.equals(bytes)).toBe(true);
  });

  it("are turned upright by EXIF", async () => {
    const lying = await grey(80, 60).withMetadata({ orientation: 6 }).jpeg().toBuffer();
    expect(await keepPicture(lying)).toMatchObject({ width: 60, height: 80 });
  });

  it.each([
    ["nothing", async () => Buffer.alloc(0), /empty/],
    ["text", async () => Buffer.from("GIF89a is not taken here"), /no JPEG, PNG or WebP/],
    ["a TIFF", () => grey().tiff().toBuffer(), /no JPEG, PNG or WebP/],
    [
      "half a JPEG",
      async () =>
        (
          await sharp({
            create: {
              width: 900,
              height: 700,
              channels: 3,
              background: "#888",
              noise: { type: "gaussian", mean: 128, sigma: 40 },
            },
          })
            .jpeg()
            .toBuffer()
        ).subarray(0, 20_000),
      /broken off/,
    ],
    ["more than 25 MB", async () => Buffer.alloc(26 * 1024 * 1024, 1), /the maximum is 25 MB/],
  ])("refuse %s with a sentence and leave nothing behind", async (_, make, says) => {
    const before = readdirSync(join(folder, "pictures")).length;
    expect(await faultOf(keepPicture(await make()))).toMatch(says);
    expect(readdirSync(join(folder, "pictures")).length).toBe(before);
    expect(readdirSync(join(folder, "pictures")).filter((f) => f.endsWith(".part"))).toEqual([]);
  });

  it("do not stay when the job they are for is not there", async () => {
    expect(await faultOf(addPicture("J-9999", await grey().png().toBuffer(), { role: "step" }))).toMatch(
      /no job J-9999/,
    );
    expect(await readPicture("../../etc/passwd", false)).toBeNull();
  });
});

describe("the job file", () => {
  it("carries a whole job out and in again, byte for byte", async () => {
    const { file } = jobFileFrom(juicerAtJudge);
    const pictures = heldPictures([
      ["0001.jpg", new Uint8Array(await grey().jpeg().toBuffer())],
      ["0002.jpg", new Uint8Array(await grey(70, 50).jpeg().toBuffer())],
    ]);
    const only = {
      ...file,
      steps: file.steps.map(({ pictures: _p, ...s }, i) => (i === 0 ? { ...s, pictures: ["0002.jpg"] } : s)),
    };
    const { number } = await takeInJobFile({ file: only, pictures });
    const first = await packed(await parcelOf(number));
    const read = await unpacked(first);
    expect(read.file.steps).toEqual(only.steps);
    expect(read.file.findings?.[0]).toMatchObject({ part: "p7", mode: "missing-teeth" });
    expect([...read.pictures.keys()]).toEqual(["0001.jpg", "0002.jpg"]);
    expect((await packed(await parcelOf(number))).equals(first)).toBe(true);
    await (await database())("jobs").where({ number }).delete();
    await takeInJobFile(read);
    expect((await packed(await parcelOf(number))).equals(first)).toBe(true);
  });

  it("carries every fact of the recorder and the counter, and gives the same bytes again", async () => {
    const file = readJobFile({
      format: "demontage-job",
      version: 1,
      job: { number: "J-0888", complaint: "hums", looseItems: ["bowl"] },
      unit: { kind: "mill", variant: "B" },
      parts: [{ id: "p1", name: "wheel", renew: false, state: "broken" }],
      steps: [
        {
          id: "s1", action: "pull", parts: ["p1"], needs: [], held: ["dowels"],
          freed: { how: "heat", tool: "hot-air gun", standIn: true }, stack: ["h2", "p1"],
          timing: { pin: "gap", turns: 2, says: "dot at rib" }, cautions: ["spring"], doNotUndo: "lock nut",
          tray: "D8", tools: ["TX15"], pictures: ["0001.jpg"],
          hardware: [
            { id: "h1", kind: "nut", qty: 1, thread: "M6", form: "self-locking", finish: "zinc", leftHand: true, once: true, locker: "blue", state: "missing" },
            { id: "h2", kind: "plug", qty: 1, label: "J3", poles: 2 },
          ],
        },
      ], // biome-ignore format: one step, with everything it can carry
      pictureMarks: { "0001.jpg": [{ kind: "ring", at: [0.5, 0.5], radius: 0.1 }] },
      x: {
        bench: {
          job: {
            past: { bought: "used", years: 6 },
            disposeConsent: true,
            loosePictures: { bowl: "0002.jpg" },
          },
          pictures: [{ name: "0002.jpg", role: "loose" }],
        },
      },
    });
    const pictures = heldPictures([
      ["0001.jpg", new Uint8Array(await grey(61, 60).jpeg().toBuffer())],
      ["0002.jpg", new Uint8Array(await grey(62, 60).jpeg().toBuffer())],
    ]);
    const { number } = await takeInJobFile({ file, pictures });
    expect(await job(number)).toMatchObject({
      past: { bought: "used", years: 6 },
      disposeConsent: true,
      loosePictures: { bowl: "0002.jpg" },
    });
    const first = await packed(await parcelOf(number));
    const read = await unpacked(first);
    expect(read.file.steps).toEqual(file.steps);
    expect([read.file.parts, read.file.pictureMarks]).toEqual([file.parts, file.pictureMarks]);
    await (await database())("jobs").where({ number }).delete();
    await takeInJobFile(read);
    expect((await packed(await parcelOf(number))).equals(first)).toBe(true);
  });

  it("reads a file that was written before the recorder knew these facts", async () => {
    const old =
      '{"format":"demontage-job","version":1,"job":{"number":"J-0889","stage":"strip"},"unit":{"kind":"mill","supply":"mains"},"parts":[{"id":"p1","name":"lid"}],"steps":[{"id":"s1","action":"unscrew","needs":[],"hardware":[{"id":"h1","kind":"screw","qty":2,"thread":"M4","lengthMm":12,"drive":"TX20","at":"corners"}],"minutes":2},{"id":"s2","action":"lift-off","parts":["p1"],"needs":["s1"]}],"x":{"bench":{"job":{"consent":true}}}}';
    await takeInJobFile(await unpacked(old));
    expect(await job("J-0889")).toMatchObject({
      consent: true,
      past: {},
      steps: [
        { id: "s1", minutes: 2 },
        { id: "s2", parts: ["p1"] },
      ],
    });
  });

  it("keeps what a later version added under x", async () => {
    const file = {
      format: "demontage-job",
      version: 1,
      unit: { kind: "mill", x: { colour: "red" } },
      steps: [{ id: "s1", action: "pull", needs: [], x: { spun: 3 } }],
      x: { moon: "full" },
    } as const;
    const { number } = await takeInJobFile({ file: structuredClone(file) as never, pictures: new Map() });
    const { file: out } = await parcelOf(number);
    expect(out.unit.x).toEqual({ colour: "red" });
    expect(out.steps[0]?.x).toEqual({ spun: 3 });
    expect(out.x).toMatchObject({ moon: "full" });
  });

  it("refuses a number the shop has, and takes it as a new job when asked", async () => {
    const { file } = jobFileFrom({ ...juicerAtJudge, head: { number: "J-0777" } });
    const bare = { ...file, steps: file.steps.map(({ pictures: _p, ...s }) => s) };
    await takeInJobFile({ file: bare, pictures: new Map() });
    expect(await faultOf(takeInJobFile({ file: bare, pictures: new Map() }))).toMatch(
      /J-0777 is in this shop already/,
    );
    expect((await takeInJobFile({ file: bare, pictures: new Map() }, true)).number).not.toBe("J-0777");
  });

  it("refuses what is no job file", () => {
    const says = (text: string): string => {
      try {
        readJobFile(JSON.parse(text));
      } catch (e) {
        return e instanceof Fault ? `${e.path}: ${e.says}` : String(e);
      }
      return "taken";
    };
    expect(says("[]")).toMatch(/JSON object/);
    expect(says('{"format":"demontage-job","version":2,"unit":{"kind":"x"},"steps":[]}')).toMatch(
      /^version: .*reads 1/,
    );
    expect(says('{"format":"demontage-job","version":1,"unit":{"kind":"x"},"steps":[],"colour":1}')).toMatch(
      /does not know the key "colour"/,
    );
    expect(
      says(
        '{"format":"demontage-job","version":1,"unit":{"kind":"x"},"steps":[{"id":"s1","action":"pull","hardware":[{"id":"h","kind":"screw","qty":-1}]}]}',
      ),
    ).toMatch(/^steps\[0\]\.hardware\[0\]\.qty: must be 1 or more/);
  });
});

describe("the board", () => {
  it("shows the open jobs, the earliest promise first, and not those that went home long ago", async () => {
    const late = await createJob({ promised: "2027-01-02" });
    const soon = await createJob({ promised: "2026-11-25" });
    const gone = await createJob({ handedBackAt: "2026-01-01T00:00:00.000Z" });
    const places = await boardOrder("2026-11-24");
    const shown = new Map((await boardJobsOf(places.map((p) => p.id))).map((j) => [j.id, j.number]));
    const numbers = places.map((p) => shown.get(p.id) ?? "");
    expect(numbers.indexOf(soon)).toBeLessThan(numbers.indexOf(late));
    expect(numbers).not.toContain(gone);
  });

  it("gives every job its own number, and steps over one that came from elsewhere", async () => {
    const first = await createJob();
    const next = `J-${String(Number(first.slice(2)) + 1).padStart(4, "0")}`;
    await createJob({ number: next });
    await createJob({ number: "J-8000" });
    expect(await createJob()).toBe(`J-${String(Number(first.slice(2)) + 2).padStart(4, "0")}`);
  });
});

describe("a job file", () => {
  const file = (more: Record<string, unknown> = {}) =>
    readJobFile({
      format: "demontage-job",
      version: 1,
      unit: { kind: "mill" },
      parts: [{ id: "p1", name: "lid" }],
      steps: [{ id: "s1", action: "lift-off", parts: ["p1"], pictures: ["0001.jpg"] }],
      ...more,
    });
  const count = async (): Promise<unknown> => (await database())("jobs").count({ n: "*" }).first();

  it("is taken in whole or not at all: nothing stays of one with a broken picture, or with two findings on a part", async () => {
    const before = await count();
    const pictures = heldPictures([["0001.jpg", new Uint8Array([1, 2, 3])]]);
    expect(await faultOf(takeInJobFile({ file: file(), pictures }))).toMatch(/no JPEG/);
    const twice = file({ findings: [{ part: "p1" }, { part: "p1" }] });
    expect(await faultOf(takeInJobFile({ file: twice, pictures: new Map() }))).toMatch(/two findings on p1/);
    expect(await count()).toEqual(before);
  });

  it.each([
    [
      "a day that is none",
      { bench: { job: { handedBackAt: "never" } } },
      /^x\.bench\.job\.handedBackAt: is no moment/,
    ],
    ["what is to fit as an object", { bench: { job: { toFit: {} } } }, /^x\.bench\.job\.toFit/],
    ["a train of words", { demontage: { job: { train: "oops" } } }, /^x\.demontage\.job\.train/],
    [
      "a number by the back door",
      { demontage: { job: { number: "J-0001" } } },
      /does not know the key "number"/,
    ],
  ])("with %s under x is refused with its place", (_, x, says) => {
    expect(() => file({ x })).toThrow(says);
  });

  it("of an older program is read, and written as today", async () => {
    const { number } = await takeInJobFile({
      file: file({ x: { bench: { job: { consent: true, protectionClass: "I" } } } }),
      pictures: new Map(),
    });
    expect(await job(number)).toMatchObject({ consent: true, protectionClass: "I" });
    const { file: out } = await parcelOf(number);
    expect(Object.keys(out.x ?? {})).toEqual(["demontage"]);
  });
});
