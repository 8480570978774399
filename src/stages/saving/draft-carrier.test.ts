import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { carryDraft, draftKey } from "./draft-carrier";

let browser: Map<string, string>;
/** What was sent, and the hand that answers it: a status, or nothing at all. */
let sent: { value: unknown; answer: (status: number | "lost") => Promise<void> }[];

beforeEach(() => {
  vi.useFakeTimers();
  browser = new Map();
  sent = [];
  vi.stubGlobal("localStorage", {
    getItem: (k: string) => browser.get(k) ?? null,
    setItem: (k: string, v: string) => void browser.set(k, v),
    removeItem: (k: string) => void browser.delete(k),
  });
  vi.stubGlobal("fetch", (_: string, init: RequestInit) => {
    let resolve = (_: Response): void => undefined;
    let reject = (_: Error): void => undefined;
    const answered = new Promise<Response>((yes, no) => {
      resolve = yes;
      reject = no;
    });
    sent.push({
      value: JSON.parse(init.body as string).value,
      answer: async (status) => {
        if (status === "lost") reject(new DOMException("no answer", "TimeoutError"));
        else resolve(new Response(null, { status }));
        await vi.advanceTimersByTimeAsync(0);
      },
    });
    return answered;
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/**
 * A hand types; a draft is kept in the browser before it is carried. Each test has a field of its own: a way
 * outlives its screen.
 */
let fields = 0;
function hand(): { key: string; type: (what: string) => void } {
  const at = { number: "J-0001", field: `field${++fields}` };
  const key = draftKey(at.number, at.field);
  return {
    key,
    type: (what) => {
      browser.set(key, JSON.stringify(what));
      carryDraft({ ...at, text: JSON.stringify(what), blank: what === "" });
    },
  };
}
const wait = (ms: number): Promise<unknown> => vi.advanceTimersByTimeAsync(ms);

describe("the way of a draft to the shop", () => {
  it("sends what stands after a pause, once, and lets the browser's copy go when it is taken", async () => {
    const { key, type } = hand();
    for (const what of ["l", "li", "lid"]) {
      type(what);
      await wait(100);
    }
    await wait(250);
    expect(sent.map((s) => s.value)).toEqual(["lid"]);
    expect(browser.get(key)).toBe('"lid"');
    await sent[0]?.answer(204);
    expect(browser.get(key)).toBeUndefined();
  });
  it("never lets an earlier one arrive behind a later one", async () => {
    const { type } = hand();
    type("lid");
    await wait(250);
    type("lid off");
    await wait(2000);
    expect(sent.map((s) => s.value)).toEqual(["lid"]);
    await sent[0]?.answer(204);
    await wait(0);
    expect(sent.map((s) => s.value)).toEqual(["lid", "lid off"]);
  });
  it("sends again what was lost or could not be written, until it is taken, with what stands by then", async () => {
    const { key, type } = hand();
    type("lid");
    await wait(250);
    await sent[0]?.answer("lost");
    await wait(4000);
    await sent[1]?.answer(507);
    await wait(2000);
    type("");
    await wait(250);
    await sent[2]?.answer(204);
    await wait(60_000);
    expect(sent.map((s) => s.value)).toEqual(["lid", "lid", null]);
    expect([...browser.keys()]).not.toContain(key);
    expect([...browser.keys()]).not.toContain(`saved:${key}`);
  });
  it("keeps in the browser what the shop does not take from here, and does not press it", async () => {
    const { key, type } = hand();
    type("lid");
    await wait(250);
    await sent[0]?.answer(401);
    await wait(60_000);
    expect(sent).toHaveLength(1);
    expect(browser.get(key)).toBe('"lid"');
  });
  it("leaves alone what another screen of this browser has typed meanwhile", async () => {
    const { key, type } = hand();
    type("lid");
    await wait(250);
    browser.set(key, '"lid, by another"');
    await sent[0]?.answer("lost");
    await wait(60_000);
    expect(sent).toHaveLength(1);
    expect(browser.get(key)).toBe('"lid, by another"');
  });
});
