import { mkdtempSync, readdirSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { Writable } from "node:stream";
import { afterAll, describe, expect, it, vi } from "vitest";

/** What a slow disk was asked to write and has not written yet. */
const disk = vi.hoisted(() => ({ waits: [] as (() => void)[] }));
vi.mock("node:fs", async (actual) => {
  const fs = await actual<typeof import("node:fs")>();
  const full = (): Writable =>
    new Writable({
      write: (_, __, done) => done(Object.assign(new Error("no space left on device"), { code: "ENOSPC" })),
    });
  const slow = (): Writable =>
    new Writable({ highWaterMark: 1, write: (_, __, done) => void disk.waits.push(done) });
  return {
    ...fs,
    createWriteStream: (path: string, how: object) =>
      path.includes("a-full-disk")
        ? full()
        : path.includes("a-slow-disk")
          ? slow()
          : fs.createWriteStream(path, how),
  };
});

import { CutOff, withUploadedForm } from "./uploaded-form";

const folder = mkdtempSync(join(tmpdir(), "form-"));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const asked = (body: BodyInit, headers: Record<string, string> = {}): Request =>
  new Request("http://shop/x", { method: "POST", body, headers, duplex: "half" } as RequestInit);
const form = (bytes: number, more: Record<string, string> = {}): FormData => {
  const form = new FormData();
  for (const [k, v] of Object.entries(more)) form.set(k, v);
  form.set("picture", new Blob([new Uint8Array(bytes).fill(7)]));
  return form;
};
const how = { folder, file: "picture", most: 1000 };
const said = (request: Request): Promise<unknown> =>
  withUploadedForm(request, how, async ({ fields, path }) => [fields, readFileSync(path).length]).catch(
    (e) => e,
  );

describe("a form that is sent", () => {
  it("comes with its fields and its file, up to just the size that may be, and leaves nothing behind", async () => {
    expect(await said(asked(form(1000, { role: "step", step: "s2" })))).toEqual([
      { role: "step", step: "s2" },
      1000,
    ]);
    expect(readdirSync(folder)).toEqual([]);
  });

  it.each<[string, () => Request, RegExp]>([
    ["with a file that is larger", () => asked(form(1001)), /larger than 0 MB/],
    ["without its file", () => asked(Object.assign(new FormData(), {})), /No picture came/],
    ["that is no form", () => asked("hello", { "content-type": "text/plain" }), /No picture came/],
    [
      "with a field as long as a book",
      () => asked(form(10, { note: "x".repeat(9000) })),
      /longer than any field/,
    ],
    [
      "with more fields than there are",
      () => asked(form(10, Object.fromEntries(Array.from({ length: 30 }, (_, i) => [`f${i}`, "x"])))),
      /more parts/,
    ],
    [
      "that breaks off",
      () =>
        asked('--x\r\nContent-Disposition: form-data; name="picture"; filename="a"\r\n\r\nabc', {
          "content-type": "multipart/form-data; boundary=x",
        }),
      /broken off/,
    ],
  ])("%s is refused with a sentence, and nothing of it stays", async (_, request, says) => {
    expect(String(await said(request()))).toMatch(says);
    expect(readdirSync(folder)).toEqual([]);
  });

  it("whose sender falls silent is given up after a while; one that waits for our own disk is not", async () => {
    const head = '--x\r\nContent-Disposition: form-data; name="picture"; filename="a"\r\n\r\n';
    const headers = { "content-type": "multipart/form-data; boundary=x" };
    const turn = (): Promise<void> => new Promise((done) => setTimeout(done, 5));
    vi.useFakeTimers({ toFake: ["setInterval", "clearInterval"] });
    try {
      let ended: unknown;
      const silent = new ReadableStream<Uint8Array>({ start: (out) => out.enqueue(Buffer.from(head)) });
      void said(asked(silent, headers)).then((e) => {
        ended = e;
      });
      // a busy machine may need several turns until the form is listened to, and to hear that it was given up
      for (let i = 0; i < 400 && !vi.getTimerCount(); i++) await turn();
      vi.advanceTimersByTime(20_000);
      await turn();
      expect(ended).toBeUndefined();
      vi.advanceTimersByTime(4000);
      for (let i = 0; i < 400 && ended === undefined; i++) await turn();
      expect(ended).toBeInstanceOf(CutOff);

      const whole = `${head}${"7".repeat(300_000)}\r\n--x--\r\n`;
      const waiting = withUploadedForm(
        asked(whole, headers),
        { ...how, folder: join(folder, "a-slow-disk"), most: 1e6 },
        async () => "whole",
      );
      for (let i = 0; i < 20; i++) {
        await turn();
        vi.advanceTimersByTime(4000);
      }
      let isOver = false;
      void waiting.finally(() => {
        isOver = true;
      });
      while (!isOver) {
        for (const go of disk.waits.splice(0)) go();
        await turn();
      }
      expect(await waiting).toBe("whole");
    } finally {
      vi.useRealTimers();
      rmSync(join(folder, "a-slow-disk"), { recursive: true, force: true });
    }
  });

  it("of a gigabyte is stopped where it becomes too large, and was never held", async () => {
    let sent = 0;
    const endless = new ReadableStream<Uint8Array>({
      start: (out) =>
        out.enqueue(
          Buffer.from('--x\r\nContent-Disposition: form-data; name="picture"; filename="a"\r\n\r\n'),
        ),
      pull(out) {
        sent += 65_536;
        out.enqueue(new Uint8Array(65_536));
        if (sent > 1e9) out.close();
      },
    });
    expect(String(await said(asked(endless, { "content-type": "multipart/form-data; boundary=x" })))).toMatch(
      /larger than/,
    );
    expect(sent).toBeLessThan(5e6);
  });

  it("for a disk that is full is the disk’s trouble, and not said to be broken off", async () => {
    const there = join(folder, "a-full-disk");
    const full = await withUploadedForm(asked(form(10)), { ...how, folder: there }, async () => 1).catch(
      (e) => e,
    );
    expect([full instanceof CutOff, full.code]).toEqual([false, "ENOSPC"]);
    rmSync(there, { recursive: true });
  });
});
