import fc from "fast-check";
import { strToU8, zipSync } from "fflate";
import { describe, expect, it } from "vitest";
import { Fault } from "@/core/fault";
import { readJobFile, writeJobJson } from "@/core/job/job-file";
import { packJob, unpackJob } from "./job-zip";

const file = readJobFile({ format: "demontage-job", version: 1, unit: { kind: "mill" }, steps: [{ id: "s1", action: "pull", needs: [] }] });
const json = strToU8(writeJobJson(file));
const says = (bytes: Uint8Array): string => {
  try {
    unpackJob(bytes);
  } catch (e) {
    if (e instanceof Fault) return e.says;
    throw e;
  }
  return "taken";
};

describe("a job as a ZIP", () => {
  it("comes out as it went in, with its pictures, and the same parcel gives the same bytes", () => {
    fc.assert(
      fc.property(fc.dictionary(fc.stringMatching(/^[0-9]{4}\.(jpg|png|webp)$/), fc.uint8Array({ maxLength: 40 }), { maxKeys: 5 }), (dictionary) => {
        const pictures = new Map(Object.entries(dictionary));
        const packed = packJob({ file, pictures });
        expect(packJob({ file, pictures: new Map([...pictures].reverse()) })).toEqual(packed);
        const read = unpackJob(packed);
        expect(read.file).toEqual(file);
        expect(new Map([...read.pictures].sort())).toEqual(new Map([...pictures].sort()));
      }),
      { numRuns: 40 },
    );
  });
  it("may be bare JSON, with a byte order mark", () => {
    expect(unpackJob(json).file).toEqual(file);
    expect(unpackJob(new Uint8Array([0xef, 0xbb, 0xbf, ...json])).file).toEqual(file);
  });
  it("gives no picture a way out of its folder", () => {
    const entries = { "job.json": json, "pictures/../../etc/passwd": json, "pictures/a\\b.jpg": json, "elsewhere/0001.jpg": json, "pictures/0001.jpg": json };
    expect([...unpackJob(zipSync(entries)).pictures.keys()]).toEqual(["0001.jpg"]);
  });
  it.each([
    ["cut off in the middle", packJob({ file, pictures: new Map([["0001.jpg", new Uint8Array(900)]]) }).subarray(0, 300), /broken off or damaged/],
    ["without a job", zipSync({ "readme.txt": json }), /there is no job.json/],
    ["with a job that is no JSON", zipSync({ "job.json": strToU8("hello") }), /neither a ZIP nor JSON/],
    ["that is text", strToU8("hello"), /neither a ZIP nor JSON/],
    ["that is empty", new Uint8Array(0), /neither a ZIP nor JSON/],
  ])("%s is refused with a sentence", (_, bytes, sentence) => {
    expect(says(bytes)).toMatch(sentence);
  });
  it("is never the end of the program, whatever its bytes are", () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 200 }), fc.boolean(), (noise, zip) => void says(zip ? new Uint8Array([0x50, 0x4b, 3, 4, ...noise]) : noise)),
    );
  });
});
