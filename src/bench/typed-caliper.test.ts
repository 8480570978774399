import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { listenToTypedCaliper } from "./typed-caliper";

/** A window that can be struck: an EventTarget with events that carry a key and a time. */
class Struck extends Event {
  readonly key: string;
  readonly code = "";
  readonly ctrlKey = false;
  readonly metaKey = false;
  readonly altKey = false;
  constructor(_type: string, init: { key: string }) {
    super("keydown", { bubbles: true, cancelable: true });
    this.key = init.key;
  }
}

describe("a caliper that types", () => {
  let target: EventTarget;
  let readings: string[];
  let keys: string[];
  let now = 0;
  let stop: () => void;
  const strike = (key: string, afterMs: number): void => {
    now += afterMs;
    vi.advanceTimersByTime(afterMs);
    const e = new Struck("keydown", { key });
    Object.defineProperty(e, "timeStamp", { value: now });
    target.dispatchEvent(e);
  };
  beforeEach(() => {
    vi.useFakeTimers();
    vi.stubGlobal("KeyboardEvent", Struck);
    vi.stubGlobal("HTMLElement", class {});
    target = new EventTarget();
    readings = [];
    keys = [];
    now = 1000;
    stop = listenToTypedCaliper(target as Window, (text) => readings.push(text));
    // what the screen's own keys hear
    target.addEventListener("keydown", (e) => keys.push((e as unknown as Struck).key));
  });
  afterEach(() => {
    stop();
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it("is heard as one reading, and strikes no key of the screen", () => {
    for (const key of "45.11mm") strike(key, 4);
    strike("Enter", 4);
    expect(readings).toEqual(["45.11mm"]);
    vi.advanceTimersByTime(200);
    expect(keys).toEqual([]);
  });
  it("a finger's digit reaches the screen a moment later, as it was struck", () => {
    strike("4", 0);
    expect(keys).toEqual([]);
    vi.advanceTimersByTime(60);
    expect(keys).toEqual(["4"]);
    expect(readings).toEqual([]);
  });
  it("two digits by fingers are two keys; letters are never held", () => {
    strike("4", 0);
    strike("5", 180);
    vi.advanceTimersByTime(60);
    strike("m", 100);
    expect(keys).toEqual(["4", "5", "m"]);
  });
  it("two readings one after the other are two", () => {
    for (const text of ["8.01", "7.02in"]) {
      for (const key of text) strike(key, 3);
      strike("Enter", 3);
      now += 400;
      vi.advanceTimersByTime(400);
    }
    expect(readings).toEqual(["8.01", "7.02in"]);
  });
  it("an Enter by itself stays the screen's", () => {
    strike("Enter", 0);
    expect(keys).toEqual(["Enter"]);
    expect(readings).toEqual([]);
  });
  it("listens no more when it was told so", () => {
    stop();
    for (const key of "45.11") strike(key, 4);
    strike("Enter", 4);
    expect(readings).toEqual([]);
  });
});
