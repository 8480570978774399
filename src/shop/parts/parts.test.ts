import { existsSync, readFileSync, utimesSync } from "node:fs";
import { ReadableStream } from "node:stream/web";
import { beforeAll, describe, expect, it } from "vitest";
import { Fault } from "@/core/fault";
import { partRows } from "@/store/catalogue-index";
import { database } from "@/store/database";
import { offerRows } from "@/store/offer-rows";
import { putRows } from "@/store/put-rows";
import { testShop } from "@/store/test-shop";
import { catalogue, offers } from "../../../demo/shop/shelf";
import { partNumbered } from "./about-part";
import { separatorInWords } from "./catalogue-import";
import { toldByLine } from "./told-by-line";
import { forgetUpload, keepUpload, MOST_BYTES, uploadedPath } from "./uploaded-table";

testShop();
beforeAll(async () => {
  await putRows(await database(), partRows, catalogue);
  await putRows(await database(), offerRows, offers);
});

describe("everything about a part", () => {
  it("says what took its place, which kits it is in, and who sells it", async () => {
    expect((await partNumbered("VLB-40-241"))?.replacedBy).toEqual([
      {
        number: "VLB-42-242",
        name: "Second-stage wheel 42 teeth",
        when: expect.stringMatching(/^together with pinion/),
      },
    ]);
    const wheel = await partNumbered("VLB-42-242");
    expect(wheel?.inKits.map((k) => k.number)).toEqual(["VLB-42-901"]);
    expect(wheel?.offers.map((o) => [o.supplier, o.price])).toEqual([
      ["Nordhav Spares", 17.2],
      ["Quickmoor Parts", 24.9],
    ]);
    expect(await partNumbered("no such")).toBeNull();
  });
});

describe("a table that is sent", () => {
  const stream = (...chunks: (Uint8Array | Error)[]): ReadableStream<Uint8Array> =>
    new ReadableStream({
      pull(c) {
        const next = chunks.shift();
        if (next instanceof Error) c.error(next);
        else if (next) c.enqueue(next);
        else c.close();
      },
    });
  it("is kept until it is taken in or forgotten; what nobody came back for goes within a day", async () => {
    const id = await keepUpload(stream(Buffer.from("a,b"), Buffer.from("\n1,2")));
    expect(readFileSync(uploadedPath(id), "utf8")).toBe("a,b\n1,2");
    const old = new Date(Date.now() - 25 * 3600 * 1000);
    utimesSync(uploadedPath(id), old, old);
    const next = await keepUpload(stream(Buffer.from("x")));
    expect(existsSync(uploadedPath(id))).toBe(false);
    await forgetUpload(next);
    expect(existsSync(uploadedPath(next))).toBe(false);
  });
  it("is refused when it breaks off or is far too large, and leaves nothing behind", async () => {
    await expect(keepUpload(stream(Buffer.from("a"), new Error("gone")))).rejects.toThrow(
      /broken off on its way/,
    );
    const block = Buffer.alloc(MOST_BYTES / 4 + 1);
    await expect(keepUpload(stream(block, block, block, block))).rejects.toThrow(/larger than 200 MB/);
  });
  it("has no way out of its folder", () => {
    for (const sly of ["../shop.sqlite", "..", "", "a/b", "%2e%2e"])
      expect(() => uploadedPath(sly)).toThrow(Fault);
  });
  it("is separated by something with a name", () => {
    expect([",", ";", "\t", "~"].map(separatorInWords)).toEqual(["commas", "semicolons", "tabs", '"~"']);
  });
});

describe("an answer that is told as it comes", () => {
  const lines = async (work: Parameters<typeof toldByLine>[0]): Promise<unknown[]> =>
    (await toldByLine(work).text())
      .trim()
      .split("\n")
      .map((l) => JSON.parse(l));
  it("says how far it is, then what came of it", async () => {
    expect(
      await lines(async (tell) => {
        tell(400);
        tell(800);
        return { added: 2 };
      }),
    ).toEqual([{ rows: 400 }, { rows: 800 }, { done: { added: 2 } }]);
  });
  it("says what was wrong, with its place", async () => {
    expect(
      await lines(async () => {
        throw new Fault("file", "is empty");
      }),
    ).toEqual([{ path: "file", says: "is empty" }]);
  });
});
