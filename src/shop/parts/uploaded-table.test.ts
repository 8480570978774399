import { mkdirSync, readdirSync, truncateSync, utimesSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import type { ReadableStream as WebStream } from "node:stream/web";
import { beforeAll, describe, expect, it } from "vitest";
import { database } from "@/store/database";
import { faultOf, testShop } from "@/store/test-shop";
import { forgetUpload, keepUpload, MOST_BYTES, uploadedPath } from "./uploaded-table";

const folder = testShop();
beforeAll(async () => {
  await database();
});
const body = (text: string): WebStream<Uint8Array> =>
  new Blob([text]).stream() as unknown as WebStream<Uint8Array>;
const waiting = (): string[] => readdirSync(join(folder, "imports"));

describe("a table that is sent", () => {
  it("waits under a name that leads nowhere else, until it is taken in or left", async () => {
    const id = await keepUpload(body("number,name,kind\n"), 17);
    expect(waiting()).toEqual([id]);
    await forgetUpload(id);
    expect(waiting()).toEqual([]);
    for (const name of ["../shop.sqlite", "", "x", "..%2f"])
      expect(() => uploadedPath(name)).toThrow(/no such file/);
  });
  it("that ends before it said it would is refused, and nothing of it stays", async () => {
    expect(await faultOf(keepUpload(body("number,name"), 5000))).toMatch(/broken off on its way/);
    expect(await faultOf(keepUpload(body("x"), MOST_BYTES + 1))).toMatch(/larger than 200 MB/);
    const torn = new ReadableStream({
      pull(out) {
        out.enqueue(new Uint8Array(10));
        out.error(new Error("aborted"));
      },
    });
    expect(await faultOf(keepUpload(torn as unknown as WebStream<Uint8Array>))).toMatch(
      /broken off on its way/,
    );
    expect(waiting()).toEqual([]);
  });
  it("has to wait where too many were sent and neither taken in nor left; after a day they go", async () => {
    mkdirSync(join(folder, "imports"), { recursive: true });
    const old = join(folder, "imports", "8c1d0000-0000-4000-8000-000000000001");
    writeFileSync(old, "");
    // as long as it says, and no longer on the disk
    truncateSync(old, 500e6);
    expect(await faultOf(keepUpload(body("x")))).toMatch(/too many tables were sent/);
    utimesSync(old, new Date("2026-01-01"), new Date("2026-01-01"));
    await forgetUpload(await keepUpload(body("x")));
    expect(waiting()).toEqual([]);
  });
});
