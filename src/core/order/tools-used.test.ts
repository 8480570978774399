import { describe, expect, it } from "vitest";
import { FREEING_WORDS, FREEINGS } from "../hardware/freed";
import { punchFor, toolsUsed } from "./tools-used";

describe("tools", () => {
  it("a pin's punch is just under its hole, in mm and inch", () => {
    expect([2, 3, 5, 8].map(punchFor)).toEqual([
      "1.8 mm punch (1/16 in)",
      "2.9 mm punch (3/32 in)",
      "4.9 mm punch (3/16 in)",
      "7.9 mm punch (5/16 in)",
    ]);
    expect(punchFor(1.5)).toBe("1.4 mm punch");
  });
  it("collect over the strip, each once, in the order they were needed", () => {
    const screw = { id: "h", kind: "screw" as const, qty: 4, drive: "TX15" };
    const steps = [
      { id: "a", action: "unscrew" as const, hardware: [screw] },
      {
        id: "b",
        action: "drive-out" as const,
        hardware: [{ id: "p", kind: "pin" as const, qty: 1, thread: "3", lengthMm: 18 }],
        freed: { how: "drive" as const },
      },
      { id: "c", action: "pull" as const, freed: { how: "pull" as const, standIn: true }, hardware: [screw] },
      {
        id: "d",
        action: "unclip" as const,
        hardware: [{ id: "c", kind: "circlip" as const, qty: 1 }],
        freed: { how: "slide" as const },
      },
    ];
    expect(toolsUsed(steps)).toEqual([
      "TX15",
      "2.9 mm punch (3/32 in)",
      "two screwdrivers, opposite each other",
      "circlip pliers",
    ]);
  });
  it("each way of freeing says what to mind, and what the stand-in risks", () => {
    for (const how of FREEINGS) {
      expect(FREEING_WORDS[how].caution).toMatch(/^[A-Z].{20,}\.$/);
      if (FREEING_WORDS[how].standIn) expect(FREEING_WORDS[how].standIn?.risk.length).toBeGreaterThan(5);
    }
  });
});
