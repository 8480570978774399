import { describe, expect, it } from "vitest";
import type { StripStep } from "../job/step";
import { CAUTIONS, cautionsFor, NAMED_HAZARDS } from "./cautions";

const called = (names: readonly string[]) => names.map((name) => ({ name }));
const off = (step: Partial<StripStep>, ...names: string[]): string =>
  cautionsFor({ id: "s", action: "pull", ...step }, called(names), "off").join(" ");
const back = (step: Partial<StripStep>, ...names: string[]): string =>
  cautionsFor({ id: "s", action: "pull", ...step }, called(names), "back").join(" ");

describe("a caution stands at the step where the hazard is", () => {
  it.each([
    ["a spring that is let go", off({ hardware: [{ id: "h", kind: "spring", qty: 1 }] }), /glasses on/],
    ["a circlip, off", off({ hardware: [{ id: "h", kind: "circlip", qty: 1 }] }), /clip jumps/],
    ["a circlip, back", back({ hardware: [{ id: "h", kind: "circlip", qty: 1 }] }), /clip jumps/],
    ["a blade", off({}, "lower blade"), /cut-proof gloves/],
    ["a keyway", off({ note: "the keyway is sharp" }), /fingers off the slot/],
    ["driving out", off({ action: "drive-out" }), /punch just under the hole/],
    [
      "driving a pin in",
      back({ action: "drive-out", hardware: [{ id: "h", kind: "pin", qty: 1 }] }),
      /Support what it goes through/,
    ],
    ["a capacitor's plug", off({ action: "unplug" }, "start capacitor"), /still hold charge/],
    [
      "a left-hand thread",
      off({ hardware: [{ id: "h", kind: "nut", qty: 1, leftHand: true }] }),
      /loosens to the right/,
    ],
    [
      "locker on a screw into plastic",
      back({ hardware: [{ id: "h", kind: "screw", qty: 1, locker: "blue", into: "ABS" }] }),
      /none goes back/,
    ],
    [
      "locker that was seen",
      back({ hardware: [{ id: "h", kind: "screw", qty: 1, locker: "blue" }] }),
      /clean both threads/,
    ],
    ["a spring that a note speaks of", off({ note: "mind the spring under it" }), /glasses on/],
  ])("%s", (_, says, expected) => {
    expect(says).toMatch(expected);
  });

  it("of an earth lead, by its colours or where it goes: off last", () => {
    const off = (colour: string, to: string) =>
      cautionsFor({ id: "s1", needs: [], wires: [{ colour, to }] } as never, [], "off").join();
    expect(off("green-yellow", "frame")).toMatch(/comes off last/);
    expect(off("bare", "earth stud")).toMatch(/comes off last/);
    expect(off("green", "3")).toBe("");
  });
  it("and not where there is none", () => {
    expect(off({ action: "lift-off" }, "hopper")).toBe("");
    // words of a name are no danger: what a guard guards, what a plate holds, what nobody weighed
    for (const name of [
      "blade guard",
      "spring cover",
      "motor unit",
      "carriage",
      "cutter bar cap",
      "blade box",
    ])
      expect(off({}, name)).toBe("");
    expect(off({ note: "spring side out" })).toBe("");
    expect(off({ hardware: [{ id: "h", kind: "ball", qty: 1 }] })).toBe("");
    expect(off({ action: "unplug" }, "motor")).toBe("");
    expect(back({ action: "unscrew", hardware: [{ id: "h", kind: "screw", qty: 4, thread: "M4" }] })).toBe(
      "",
    );
    expect(back({ note: "the keyway is sharp" })).toBe("");
  });

  it("each has its own name and a sentence that says what to do", () => {
    expect(new Set(CAUTIONS.map((c) => c.hazard)).size).toBe(CAUTIONS.length);
    for (const c of CAUTIONS) expect(c.says).toMatch(/^[A-Z].{20,}\.$/);
  });
});

describe("a hazard that is named at a step", () => {
  it.each(NAMED_HAZARDS.map((h) => [h.hazard, h.says] as const))(
    "%s stands there off and back",
    (hazard, says) => {
      expect(off({ cautions: [hazard] })).toContain(says);
      expect(back({ cautions: [hazard] })).toContain(says);
    },
  );
  it("is said once, also where the hardware calls for it too", () => {
    const says = cautionsFor(
      { id: "s", action: "unclip", cautions: ["clip"], hardware: [{ id: "h", kind: "circlip", qty: 1 }] },
      [],
      "off",
    );
    expect(says.filter((c) => /clip jumps/.test(c))).toHaveLength(1);
  });
  it("of freeing it stands only where it comes off, and what must not be undone both ways", () => {
    expect(off({ freed: { how: "heat" } })).toMatch(/Never heat near a battery/);
    expect(back({ freed: { how: "heat" } })).not.toMatch(/heat/);
    expect(back({ doNotUndo: "the lock nut" })).toBe("Do not undo: the lock nut.");
  });
  it("that an older or newer program named is shown as it was written", () => {
    expect(off({ cautions: ["magnet"] })).toBe("magnet");
  });
});
