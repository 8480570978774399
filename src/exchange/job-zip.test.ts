import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Fault } from "@/core/fault";
import { readJobFile, writeJobJson } from "@/core/job/job-file";
import { heldPictures } from "@/core/job/job-parcel";
import { packed, unpacked, zipOf } from "./test-parcel";

const file = readJobFile({
  format: "demontage-job",
  version: 1,
  unit: { kind: "mill" },
  steps: [{ id: "s1", action: "pull", needs: [] }],
});
const json = Buffer.from(writeJobJson(file));
const says = (bytes: Uint8Array): Promise<string> =>
  unpacked(bytes).then(
    () => "taken",
    (e) => {
      if (e instanceof Fault) return e.says;
      throw e;
    },
  );

describe("a job as a ZIP", () => {
  it("comes out as it went in, with its pictures, and the same parcel gives the same bytes", async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.dictionary(fc.stringMatching(/^[0-9]{4}\.(jpg|png|webp)$/), fc.uint8Array({ maxLength: 40 }), {
          maxKeys: 5,
        }),
        async (dictionary) => {
          const pictures = Object.entries(dictionary);
          const once = await packed({ file, pictures: heldPictures(pictures) });
          expect(await packed({ file, pictures: heldPictures([...pictures].reverse()) })).toEqual(once);
          const read = await unpacked(once);
          expect(read.file).toEqual(file);
          expect([...read.bytes].map(([n, b]) => [n, [...b]])).toEqual(
            pictures.sort().map(([n, b]) => [n, [...b]]),
          );
        },
      ),
      { numRuns: 30 },
    );
  });

  it("may be bare JSON, with a byte order mark", async () => {
    expect((await unpacked(json)).file).toEqual(file);
    expect((await unpacked(new Uint8Array([0xef, 0xbb, 0xbf, ...json]))).file).toEqual(file);
  });

  it("takes only the job and its pictures, and refuses what would lie outside, is a link, is twice or is locked", async () => {
    expect([
      ...(
        await unpacked(
          await zipOf({ "job.json": json, "elsewhere/0001.jpg": json, "pictures/0001.jpg": json }),
        )
      ).pictures.keys(),
    ]).toEqual(["0001.jpg"]);
    const renamed = (zip: Buffer, from: string, to: string): Buffer =>
      Buffer.from(zip.toString("latin1").replaceAll(from, to), "latin1");
    const two = await zipOf({ "job.json": json, "pictures/0001.jpg": json, "pictures/0002.jpg": json });
    expect(await says(renamed(two, "pictures/0001.jpg", "../../../0001.jpg"))).toMatch(/outside of itself/);
    expect(await says(renamed(two, "0002", "0001"))).toBe("pictures/0001.jpg is twice in this ZIP");
    expect(
      await says(await zipOf({ "job.json": json, "pictures/0001.jpg": "/etc/passwd" }, 0o120777)),
    ).toMatch(/is a link/);
  });

  it("whose bits have turned is refused, wherever in its files that was: no picture is taken for what it was", async () => {
    const picture = Uint8Array.from({ length: 900 }, (_, i) => (i * 37) & 255);
    const whole = await packed({ file, pictures: heldPictures([["0001.jpg", picture]]) });
    // between the head of the picture's entry and the index at the end
    const from = whole.indexOf("pictures/0001.jpg") + 17;
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: from, max: from + 899 }),
        fc.integer({ min: 0, max: 7 }),
        async (at, bit) => {
          const turned = Buffer.from(whole);
          turned[at] = (turned[at] ?? 0) ^ (1 << bit);
          expect(await says(turned)).toMatch(/0001\.jpg in this ZIP is damaged: its checksum/);
        },
      ),
      { numRuns: 40 },
    );
  });

  it.each([
    [
      "cut off in the middle",
      async () =>
        (await packed({ file, pictures: heldPictures([["0001.jpg", new Uint8Array(900)]]) })).subarray(
          0,
          300,
        ),
      /broken off or damaged/,
    ],
    ["without a job", () => zipOf({ "readme.txt": json }), /there is no job.json/],
    ["with a job that is no JSON", () => zipOf({ "job.json": "hello" }), /neither a ZIP nor JSON/],
    [
      "with a picture of 26 MB",
      () => zipOf({ "job.json": json, "pictures/0001.jpg": Buffer.alloc(26 * 2 ** 20) }),
      /0001.jpg in this ZIP has 26 MB/,
    ],
    [
      "with a job of 20 MB",
      () => zipOf({ "job.json": Buffer.alloc(20 * 2 ** 20, 32) }),
      /job.json in this ZIP has 20 MB/,
    ],
    ["that is text", async () => Buffer.from("hello"), /neither a ZIP nor JSON/],
    [
      "that is 20 MB of text",
      async () => Buffer.alloc(20 * 2 ** 20, 32),
      /this file has 20 MB; a job file may have 16/,
    ],
    ["that is empty", async () => new Uint8Array(0), /neither a ZIP nor JSON/],
    ["in no writing", async () => Buffer.from([0x7b, 0xff, 0xfe, 0x7d]), /neither a ZIP nor JSON/],
  ])("%s is refused with a sentence", async (_, bytes, sentence) => {
    expect(await says(await bytes())).toMatch(sentence);
  });

  it("is never the end of the program, whatever its bytes are", async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.uint8Array({ maxLength: 200 }),
        fc.boolean(),
        async (noise, zip) => void (await says(zip ? new Uint8Array([0x50, 0x4b, 3, 4, ...noise]) : noise)),
      ),
    );
  });
});
