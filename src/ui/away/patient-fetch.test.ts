import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { whatFailed } from "../ask-shop";
import { GIVE_UP_MS, patientFetch } from "./patient-fetch";
import { pulseNow, sawPulse } from "./shop-pulse";

const answer = new Response("ok");
const silent: typeof fetch = (_, init) => new Promise((_done, failed) => init?.signal?.addEventListener("abort", () => failed(init.signal?.reason)));
beforeEach(() => sawPulse("here"));
afterEach(() => void vi.useRealTimers());

describe("asking a shop that is away", () => {
  it("gives a save up after ten seconds, and says that it is not known to be saved", async () => {
    // the signal of a time that runs out is not one of the clocks that can be turned
    vi.spyOn(AbortSignal, "timeout").mockImplementation((ms) => {
      const end = new AbortController();
      setTimeout(() => end.abort(new DOMException("", "TimeoutError")), ms / 1000);
      return end.signal;
    });
    const from = performance.now();
    const e = await patientFetch(silent)("/jobs/J-0001/judge", { headers: { "next-action": "x" } }).catch((x) => x);
    expect(performance.now() - from).toBeGreaterThanOrEqual(GIVE_UP_MS / 1000 - 1);
    expect(whatFailed(e, "Not saved", "Try again.")).toMatch(/^Not saved, as far as is known: the shop’s computer did not answer in ten seconds/);
    expect(pulseNow()).toBe("away");
    vi.restoreAllMocks();
  });

  it("lets a page that is fetched anew wait until it answers, so that the one in hand stays", async () => {
    let tries = 0;
    const ask = patientFetch(() => (++tries < 3 ? Promise.reject(new TypeError("Failed to fetch")) : Promise.resolve(answer)));
    const page = ask("/jobs/J-0001/judge", { headers: { rsc: "1" } });
    await Promise.resolve();
    for (let i = 0; i < 2; i++) {
      await vi.waitFor(() => expect(pulseNow()).toBe("away"));
      sawPulse("here");
    }
    expect([await page, tries, pulseNow()]).toEqual([answer, 3, "here"]);
  });

  it("asks for all else as it is asked, once", async () => {
    const refused = patientFetch(() => Promise.reject(new TypeError("Failed to fetch")));
    for (const headers of [undefined, { rsc: "1", "next-router-prefetch": "1" }])
      await expect(refused("/api/known/kind", headers && { headers })).rejects.toThrow("Failed");
    expect(pulseNow()).toBe("here");
  });

  it("leaves a page that nobody waits for any more", async () => {
    const gone = AbortSignal.abort(new DOMException("", "AbortError"));
    await expect(patientFetch(() => Promise.reject(gone.reason))("/x", { headers: { rsc: "1" }, signal: gone })).rejects.toThrow();
  });
});
