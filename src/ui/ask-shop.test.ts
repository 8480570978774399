import { afterEach, describe, expect, it, vi } from "vitest";
import { z } from "zod";
import { askShop, inTime, unreached, whatFailed } from "./ask-shop";

const answering = (answer: Response | Error): void => {
  vi.stubGlobal("fetch", () => (answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer)));
};
afterEach(() => void vi.unstubAllGlobals());
const schema = z.object({ version: z.int() });
const said = (): Promise<string> =>
  askShop("/x", schema).then(
    (v) => JSON.stringify(v),
    (e) => whatFailed(e, "Not saved", "Try again."),
  );

describe("what the shop's computer answered", () => {
  it("is read by its schema, and nothing is nothing", async () => {
    answering(Response.json({ version: 3 }));
    expect(await said()).toBe('{"version":3}');
    answering(new Response("", { status: 404 }));
    expect(await said()).toBe("null");
  });
  it("does not answer only when it does not answer", async () => {
    answering(new TypeError("Failed to fetch"));
    expect(await said()).toBe("Not saved: the shop’s computer does not answer. Try again.");
    for (const answer of [
      new Response("", { status: 500 }),
      Response.json({ version: "three" }),
      new Response("<html>"),
    ]) {
      answering(answer);
      expect(await said()).toMatch(
        /^Not saved: the program on the shop’s computer failed at \d\d:\d\d:\d\d\. Try again\. Tell /,
      );
    }
  });
  it("takes an answer that broke off for none", () => {
    expect(unreached(new Error("Connection closed."))).toBe(true);
    expect(unreached(new Error("answered 500"))).toBe(false);
  });
  it("is waited for twelve seconds, however it was lost", async () => {
    vi.useFakeTimers();
    try {
      const lost = inTime(new Promise<string>(() => undefined)).catch((e) => e);
      await vi.advanceTimersByTimeAsync(12_100);
      expect(unreached(await lost)).toBe(true);
      expect(whatFailed(await lost, "Not saved", "Try again.")).toMatch(/^Not saved, as far as is known/);
      expect(await inTime(Promise.resolve("here"))).toBe("here");
      await expect(inTime(Promise.reject(new Error("no")))).rejects.toThrow("no");
      expect(vi.getTimerCount()).toBe(0);
    } finally {
      vi.useRealTimers();
    }
  });
  it("says so when the page is older than the program", () => {
    expect(
      whatFailed(
        new Error("Server Action was not found on the server"),
        "Not saved",
        "What you typed is kept.",
      ),
    ).toBe(
      "Not saved: this page is older than the program on the shop’s computer. Load it again. What you typed is kept.",
    );
  });
});
