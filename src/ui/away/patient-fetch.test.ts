import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { whatFailed } from "../ask-shop";
import { GIVE_UP_MS, patientFetch } from "./patient-fetch";
import { pulseNow, sawPulse } from "./shop-pulse";

const answer = new Response("ok");
/** What the shop says when it is asked how it is; null: it does not answer. */
let state: object | null = null;
beforeEach(() => {
  state = { trouble: null, signedIn: true };
  vi.stubGlobal("document", { hidden: false });
  vi.stubGlobal("fetch", () =>
    state ? Promise.resolve(Response.json(state)) : Promise.reject(new TypeError("Failed to fetch")),
  );
  sawPulse("here");
});
afterEach(() => void vi.unstubAllGlobals());
const lost = (): Promise<Response> => Promise.reject(new TypeError("Failed to fetch"));

describe("asking a shop that is away", () => {
  it("gives a save up after ten seconds, and says that it is not known to be saved", async () => {
    // the signal of a time that runs out is not one of the clocks that can be turned
    vi.spyOn(AbortSignal, "timeout").mockImplementation((ms) => {
      const end = new AbortController();
      setTimeout(() => end.abort(new DOMException("", "TimeoutError")), ms / 1000);
      return end.signal;
    });
    const silent: typeof fetch = (_, init) =>
      new Promise((_done, failed) =>
        init?.signal?.addEventListener("abort", () => failed(init.signal?.reason)),
      );
    state = null;
    const from = performance.now();
    const e = await patientFetch(silent)("/jobs/J-0001/judge", { headers: { "next-action": "x" } }).catch(
      (x) => x,
    );
    expect(performance.now() - from).toBeGreaterThanOrEqual(GIVE_UP_MS / 1000 - 1);
    expect(whatFailed(e, "Not saved", "Try again.")).toMatch(
      /^Not saved, as far as is known: the shop’s computer did not answer in ten seconds/,
    );
    await vi.waitFor(() => expect(pulseNow()).toBe("away"));
    vi.restoreAllMocks();
  });

  it("takes an answer that breaks off half-way for none", async () => {
    const half = (): Response =>
      new Response(
        new ReadableStream({
          start(c) {
            c.enqueue(new TextEncoder().encode("0:[half"));
            setTimeout(() => c.error(new TypeError("network error")), 5);
          },
        }),
      );
    let tries = 0;
    const page = await patientFetch(async () => (++tries < 3 ? half() : new Response("0:whole")))(
      "/jobs/J-0001/judge",
      { headers: { rsc: "1" } },
    );
    expect(await page.text()).toBe("0:whole");
    expect(tries).toBe(3);
    const saved = patientFetch(async () => half())("/jobs/J-0001/judge", { headers: { "next-action": "x" } });
    expect(whatFailed(await saved.catch((x) => x), "Not saved", "Try again.")).toBe(
      "Not saved: the shop’s computer does not answer. Try again.",
    );
  });

  it("lets a page that is fetched anew wait until it answers, so that the one in hand stays", async () => {
    let tries = 0;
    state = null;
    const page = patientFetch(() => (++tries < 3 ? lost() : Promise.resolve(answer)))("/jobs/J-0001/judge", {
      headers: { rsc: "1" },
    });
    for (let i = 0; i < 2; i++) {
      await vi.waitFor(() => expect(pulseNow()).toBe("away"));
      await new Promise((done) => setTimeout(done, 20));
      expect(tries).toBe(i + 1);
      sawPulse("here");
    }
    expect([await page, tries]).toEqual([answer, 3]);
  });

  it("asks again at once where only one question was lost, and not without end", async () => {
    let tries = 0;
    expect(
      await patientFetch(() => (++tries < 2 ? lost() : Promise.resolve(answer)))("/x", {
        headers: { rsc: "1" },
      }),
    ).toBe(answer);
    expect(pulseNow()).toBe("here");
    tries = 0;
    await expect(
      patientFetch(() => {
        tries++;
        return lost();
      })("/x", { headers: { rsc: "1" } }),
    ).rejects.toThrow("Failed");
    expect(tries).toBe(3);
  });

  it("says of a save that somebody has to sign in", async () => {
    const e = await patientFetch(() => Promise.resolve(new Response("{}", { status: 401 })))("/x", {
      headers: { "next-action": "x" },
    }).catch((x) => x);
    expect(whatFailed(e, "Not saved", "What you typed is kept.")).toMatch(
      /^Not saved: nobody is signed in on this screen any more/,
    );
  });

  it("asks for all else as it is asked, once", async () => {
    for (const headers of [undefined, { rsc: "1", "next-router-prefetch": "1" }])
      await expect(patientFetch(lost)("/api/known/kind", headers && { headers })).rejects.toThrow("Failed");
    expect(pulseNow()).toBe("here");
  });

  it("leaves a page that nobody waits for any more", async () => {
    const given = new DOMException("", "AbortError");
    for (const signal of [AbortSignal.abort(given), undefined])
      await expect(
        patientFetch(() => Promise.reject(given))("/x", {
          headers: { rsc: "1" },
          ...(signal ? { signal } : {}),
        }),
      ).rejects.toThrow();
  });
});
