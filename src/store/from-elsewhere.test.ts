import { readFileSync, rmSync, utimesSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { readJobFile } from "@/core/job/job-file";
import { heldPictures } from "@/core/job/job-parcel";
import { jobNumberFrom } from "@/core/take-in/tag-code";
import { packed, unpacked } from "@/exchange/test-parcel";
import { boardJobsOf, boardOrder } from "./board";
import { jobHistory } from "./change";
import { database } from "./database";
import { loadJob } from "./job";
import { parcelOf, takeInJobFile } from "./job-file";
import { createJob } from "./jobs";
import { keepPicture, sweepParts } from "./picture-files";
import { addPicture, readPicture } from "./pictures";
import { faultOf, grey, job, testShop } from "./test-shop";

const folder = testShop();
const file = (more: Record<string, unknown> = {}, step: object = {}) =>
  readJobFile({
    format: "demontage-job",
    version: 1,
    unit: { kind: "butter churn" },
    parts: [{ id: "p1", name: "dasher" }],
    steps: [{ id: "s1", action: "lift-off", parts: ["p1"], ...step }],
    ...more,
  });
const takeIn = async (more: Record<string, unknown> = {}): Promise<string> =>
  (await takeInJobFile({ file: file(more), pictures: new Map() }, true)).number;
const jpeg = (width = 80, height = 60): Promise<Buffer> => grey(width, height).jpeg().toBuffer();
const pictureFile = (sha256: string): string => join(folder, "pictures", `${sha256}.jpg`);

describe("a job file is refused, with its place,", () => {
  const deep = (n: number): unknown => (n === 0 ? 1 : { x: deep(n - 1) });
  it.each<[string, () => unknown, RegExp]>([
    [
      "for a day that is in no calendar",
      () => file({ job: { promised: "2026-13-45" } }),
      /^job\.promised: is no day/,
    ],
    ["for the 30th of February", () => file({ job: { takenIn: "2026-02-30" } }), /^job\.takenIn: is no day/],
    [
      "for an answer at no moment",
      () => file({ x: { demontage: { answers: [{ question: "q", answer: "yes", at: "soon" }] } } }),
      /answers\[0\]\.at: is no moment/,
    ],
    [
      "for a wait since never",
      () => file({ x: { demontage: { job: { waiting: { what: "a letter", since: "never" } } } } }),
      /waiting\.since: is no moment/,
    ],
    ["for records a hundred deep", () => file({ x: { later: deep(100) } }), /more than 40 deep/],
    [
      "for records a hundred thousand deep",
      () => readJobFile(JSON.parse(`{"a":${"[".repeat(100_000)}${"]".repeat(100_000)}}`)),
      /more than 40 deep/,
    ],
    [
      "for a million values",
      () => file({ x: { later: Array.from({ length: 1_000_000 }, () => 0) } }),
      /more than 500 thousand values/,
    ],
    [
      "for needs without end",
      () => file({}, { needs: Array.from({ length: 60_000 }, () => "s1") }),
      /needs are 60000 in all/,
    ],
    [
      "for readings without end",
      () =>
        file({
          findings: Array.from({ length: 2 }, () => ({
            part: "p1",
            readings: Array.from({ length: 3000 }, () => ({ what: "bore", value: 1 })),
          })),
        }),
      /readings are 6000 in all/,
    ],
    [
      "for symptoms without end",
      () => file({ job: { symptoms: Array.from({ length: 200_000 }, () => "loud") } }),
      /^job\.symptoms: are more than 100/,
    ],
    [
      "for a number on a part as long as a letter",
      () => file({ findings: [{ part: "p1", x: { readNumber: "8".repeat(3000) } }] }),
      /readNumber: is longer than 80/,
    ],
  ])("%s", (_, read, says) => {
    expect(read).toThrow(says);
  });
});

describe("the shop's count of jobs", () => {
  it("grows past a million, on the board, on a tag and in a file", async () => {
    const db = await database();
    await db("counters").where({ name: "job" }).delete();
    await db("counters").insert({ name: "job", value: 999_998 });
    expect([await createJob({ kind: "fan" }), await createJob({ kind: "fan" })]).toEqual([
      "J-999999",
      "J-1000000",
    ]);
    expect(jobNumberFrom("http://shop.local:3000/jobs/J-1000000")).toBe("J-1000000");
    expect((await loadJob("J-1000000"))?.kind).toBe("fan");
    expect((await parcelOf("J-1000000")).file.job?.number).toBe("J-1000000");
    const places = await boardOrder("2026-11-29");
    const numbers = (await boardJobsOf(places.map((p) => p.id))).sort(
      (x, y) => places.findIndex((p) => p.id === x.id) - places.findIndex((p) => p.id === y.id),
    );
    expect(numbers.map((j) => j.number).indexOf("J-999999")).toBeLessThan(
      numbers.map((j) => j.number).indexOf("J-1000000"),
    );
    await db("counters").where({ name: "job" }).delete();
  });
  it("is not moved by a number that comes from elsewhere", async () => {
    const before = Number((await createJob()).slice(2));
    await takeInJobFile({ file: file({ job: { number: "J-999999999999" } }), pictures: new Map() });
    expect(Number((await createJob()).slice(2))).toBe(before + 1);
  });
});

describe("a picture that is gone or damaged", () => {
  it("is named where its job is carried elsewhere, and the rest goes along", async () => {
    const number = await takeIn();
    const whole = await addPicture(number, await jpeg(), { role: "intake" });
    const gone = await addPicture(number, await jpeg(81), { role: "step", step: "s1" });
    const turned = await addPicture(number, await jpeg(82), { role: "finding", part: "p1" });
    rmSync(pictureFile(gone.picture.sha256));
    const bytes = readFileSync(pictureFile(turned.picture.sha256));
    bytes[bytes.length >> 1] = (bytes[bytes.length >> 1] ?? 0) ^ 1;
    writeFileSync(pictureFile(turned.picture.sha256), bytes);
    const parcel = await parcelOf(number);
    expect(parcel.missing).toEqual([gone.picture.name, turned.picture.name]);
    const read = await unpacked(await packed(parcel));
    expect([...read.bytes.keys()]).toEqual([whole.picture.name]);
    const there = await takeInJobFile(read, true);
    expect(there.missing).toEqual(parcel.missing);
    expect((await job(there.number)).pictures.map((p) => p.name)).toEqual([whole.picture.name]);
    expect((await jobHistory(there.number))[0]?.what).toBe(
      `taken in from a job file, without its pictures ${gone.picture.name}, ${turned.picture.name}`,
    );
  });

  it("is put back by sending it again, though its name is known", async () => {
    const number = await takeIn();
    const bytes = await jpeg(90);
    const sent = await addPicture(number, bytes, { role: "intake", key: "k" });
    for (const harm of [
      () => rmSync(pictureFile(sent.picture.sha256)),
      () => writeFileSync(pictureFile(sent.picture.sha256), bytes.subarray(0, 200)),
    ]) {
      harm();
      expect((await addPicture(number, bytes, { role: "intake", key: "k" })).picture).toEqual({
        ...sent.picture,
      });
      expect((await readPicture(sent.picture.sha256, false))?.bytes.length).toBe(
        readFileSync(pictureFile(sent.picture.sha256)).length,
      );
      expect((await parcelOf(number)).missing).toEqual([]);
    }
    expect((await job(number)).pictures).toHaveLength(1);
  });

  it("has its small one made again", async () => {
    const { sha256 } = await keepPicture(await jpeg(91));
    const row = { sha256, type: "image/jpeg", width: 91, height: 60, bytes: 1, at: "2026-11-29" };
    await (await database())("pictures").insert(row);
    rmSync(join(folder, "thumbs", `${sha256}.jpg`));
    expect((await readPicture(sha256, true))?.type).toBe("image/jpeg");
  });
});

describe("pictures in a job file", () => {
  const two = { x: { demontage: { pictures: [{ name: "0001.jpg", role: "intake" }] } } };
  it("are those that their hashes name", async () => {
    const number = await takeIn();
    await addPicture(number, await jpeg(70), { role: "intake" });
    const parcel = await parcelOf(number);
    const other = heldPictures([["0001.jpg", new Uint8Array(await jpeg(71))]]);
    expect(await faultOf(takeInJobFile({ ...parcel, pictures: other }, true))).toMatch(
      /another picture than the file says/,
    );
  });
  it("are all there, or the file is refused whole; one that holds none is taken without, and says so", async () => {
    const named = file(two, { pictures: ["0001.jpg", "0002.jpg"] });
    const one = heldPictures([["0001.jpg", new Uint8Array(await jpeg())]]);
    expect(await faultOf(takeInJobFile({ file: named, pictures: one }, true))).toMatch(
      /there is no picture 0002.jpg/,
    );
    expect((await takeInJobFile({ file: named, pictures: new Map() }, true)).missing).toEqual([
      "0001.jpg",
      "0002.jpg",
    ]);
  });
});

describe("what leaves the shop", () => {
  it("says neither who the customer is, nor where a picture was taken", async () => {
    const number = await takeIn();
    const db = await database();
    await db("jobs").where({ number }).update({
      customer_name: "Wendeline Oakhanger",
      customer_contact: "0777 123 456",
      complaint: "Wendeline Oakhanger says it is loud",
    });
    const { id } = await db("jobs").where({ number }).first("id");
    const quote = { lines: [], net: 0, tax: 0, total: 0, ifDeclined: 0, reasons: [] };
    await db("quotes").insert({
      job_id: id,
      made_at: "2026-11-29",
      quote: JSON.stringify(quote),
      total: 0,
      answer: "accepted",
      answered_on: "2026-11-29",
      by_whom: "Wendeline Oakhanger",
    });
    const signature = {
      by: "Marten Quillfeather",
      at: "2026-11-29T10:00:00.000Z",
      strokes: [[[0.123, 0.456]]],
    };
    await db("jobs")
      .where({ id })
      .update({ version: 7, home: JSON.stringify({ signature, nextLook: "in a year" }) });
    const placed = await sharp({ create: { width: 60, height: 40, channels: 3, background: "#888" } })
      .withExif({
        IFD0: { Artist: "Oakhanger" },
        IFD3: { GPSLatitudeRef: "N", GPSLatitude: "51/1 30/1 0/1" },
      })
      .jpeg()
      .toBuffer();
    await addPicture(number, placed, { role: "intake" });
    const bytes = await packed(await parcelOf(number));
    const read = await unpacked(bytes);
    expect(JSON.stringify(read.file)).not.toMatch(/Oakhanger|0777|Quillfeather|0\.456/);
    expect(JSON.stringify(read.file)).toContain("in a year");
    expect(read.file.job?.complaint).toBe("the customer says it is loud");
    expect(bytes.includes("Oakhanger")).toBe(false);
    const [, picture] = [...read.bytes][0] ?? [];
    expect((await sharp(picture).metadata()).exif).toBeUndefined();
  });
});

it("a picture that is sent twenty times at once is kept once, and every sender hears the same", async () => {
  const number = await takeIn();
  const bytes = await jpeg(95);
  const answers = await Promise.all(
    Array.from({ length: 20 }, () => addPicture(number, bytes, { role: "intake", key: "same" })),
  );
  expect(new Set(answers.map((a) => `${a.picture.name} ${a.picture.sha256}`)).size).toBe(1);
  expect((await job(number)).pictures).toHaveLength(1);
});

it("what goes in with a part goes along in a job's file", async () => {
  const goesIn = {
    number: "W-42",
    name: "wheel",
    stack: [],
    with: [{ number: "P-10", name: "pinion", qty: 1 }],
    leavesOut: [],
    notBeside: [],
    staysOut: [],
  };
  const number = await takeIn({ findings: [{ part: "p1", chosen: "W-42", x: { goesIn } }] });
  expect((await job((await takeInJobFile(await parcelOf(number), true)).number)).findings[0]?.goesIn).toEqual(
    goesIn,
  );
});

it("parts of pictures that never arrived are swept away, those of today are not", async () => {
  const old = join(folder, "pictures", "a.jpg.1.x.part");
  const young = join(folder, "pictures", "b.jpg.1.x.part");
  for (const f of [old, young]) writeFileSync(f, "half");
  utimesSync(old, new Date("2026-01-01"), new Date("2026-01-01"));
  expect(await sweepParts()).toBe(1);
  expect([readFileSync(young, "utf8")]).toEqual(["half"]);
  rmSync(young);
});

it("a service that took the name of one that was struck in another shop is not done before anybody did it", async () => {
  const services = [{ id: "v1", part: "p1", do: "clean" }];
  const number = await takeIn({
    services,
    x: { demontage: { linesDone: ["service:v1", "service:v2", "grease:g9", "undo:s1"] } },
  });
  expect((await job(number)).linesDone.toSorted()).toEqual(["service:v1", "undo:s1"]);
});
