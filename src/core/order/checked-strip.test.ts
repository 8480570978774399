import { describe, expect, it } from "vitest";
import { Fault } from "../fault";
import type { Strip } from "../job/strip";
import { checkStrip } from "./checked-strip";

const strip = (more: Partial<Strip> = {}): Strip => ({
  parts: [
    { id: "p1", name: "lid" },
    { id: "p2", name: "wheel" },
  ],
  steps: [
    { id: "s1", action: "unscrew", hardware: [{ id: "h1", kind: "screw", qty: 4 }] },
    { id: "s2", action: "lift-off", parts: ["p1"] },
    { id: "s3", action: "note" },
    { id: "s4", action: "pull", parts: ["p2"], needs: ["s2"] },
  ],
  services: [],
  lubePoints: [],
  ...more,
});
const refusal = (s: Strip): string => {
  try {
    checkStrip(s);
  } catch (e) {
    if (e instanceof Fault) return `${e.path}: ${e.says}`;
    throw e;
  }
  return "sound";
};
const steps = strip().steps;

describe("a strip's references", () => {
  it("are looked up: what came off where, and what each step needed", () => {
    const checked = checkStrip(strip());
    expect(checked.needs).toEqual([[], [0], [1], [1]]);
    expect([...checked.cameOffIn]).toEqual([
      ["p1", 1],
      ["p2", 3],
    ]);
  });
  it.each([
    [
      "a step's name used twice",
      strip({ steps: [...steps, { id: "s1", action: "pull" }] }),
      "steps[4].id: s1 is used twice",
    ],
    [
      "a part that is not there",
      strip({ steps: [{ id: "s1", action: "pull", parts: ["p9"] }] }),
      "steps[0].parts[0]: there is no part p9",
    ],
    [
      "a part that comes off twice",
      strip({ steps: [...steps, { id: "s5", action: "pull", parts: ["p1"] }] }),
      "steps[4].parts[0]: p1 already came off in step s2",
    ],
    [
      "hardware counted twice",
      strip({
        steps: [...steps, { id: "s5", action: "pull", hardware: [{ id: "h1", kind: "nut", qty: 1 }] }],
      }),
      "steps[4].hardware[0].id: h1 is used twice",
    ],
    [
      "a need of nothing",
      strip({ steps: [{ id: "s1", action: "pull", needs: ["s9"] }] }),
      "steps[0].needs[0]: there is no step s9",
    ],
    [
      "grease on nothing",
      strip({ lubePoints: [{ id: "g1" }] }),
      "lubePoints[0]: g1 needs either a part or reachedBy",
    ],
    [
      "grease that does not say when",
      strip({ lubePoints: [{ id: "g1", part: "p2" }] }),
      "lubePoints[0].when: must say before-fit or after-fit",
    ],
    [
      "a service reached by a note",
      strip({ services: [{ id: "v1", do: "clean", reachedBy: "s3" }] }),
      "services[0].reachedBy: s3 is only a note and opens nothing",
    ],
    [
      "a service on what never came off",
      strip({ parts: [...strip().parts, { id: "p3" }], services: [{ id: "v1", do: "clean", part: "p3" }] }),
      "services[0].part: p3 never came off; say by which step it was reached",
    ],
    [
      "a renewed part that stayed in",
      strip({ parts: [...strip().parts, { id: "p3", name: "seal", renew: true }] }),
      "parts[2].renew: seal is to be renewed, but no step takes it off",
    ],
    [
      "a stack of another step's pieces",
      strip({ steps: [...steps, { id: "s5", action: "pull", stack: ["h1"] }] }),
      "steps[4].stack[0]: h1 did not come off in this step",
    ],
  ])("%s is refused with its place", (_, s, says) => {
    expect(refusal(s)).toBe(says);
  });
});
