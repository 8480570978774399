import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { runBetween, runsOf, TOOTH_MARKS, toothExtent } from "./tooth-marks";

const marks = (entries: Record<number, string>): Record<string, string> =>
  Object.fromEntries(Object.entries(entries));

describe("marks on teeth", () => {
  it("come to an extent in words", () => {
    const x = toothExtent(
      marks({
        8: "broken",
        9: "missing",
        10: "missing",
        11: "missing",
        12: "missing",
        13: "missing",
        14: "broken",
      }),
      41,
    );
    expect(x.says).toBe("5 missing in one run (teeth 10 to 14), 2 broken part-way");
    expect(x.goneRuns).toEqual([{ from: 8, length: 7 }]);
  });
  it("a run may cross from the last tooth to the first; the shorter way round is taken", () => {
    expect(runsOf([39, 40, 0, 1, 20], 41)).toEqual([
      { from: 39, length: 4 },
      { from: 20, length: 1 },
    ]);
    expect(runBetween(39, 1, 41)).toEqual([39, 40, 0, 1]);
    expect(runBetween(1, 39, 41)).toEqual([1, 0, 40, 39]);
    expect(runBetween(5, 5, 41)).toEqual([5]);
  });
  it("runs hold every marked tooth once", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 90 }),
        fc.array(fc.nat(89), { maxLength: 40 }),
        (teeth, picked) => {
          const own = [...new Set(picked.filter((t) => t < teeth))];
          const runs = runsOf(own, teeth);
          const back = runs.flatMap((r) => Array.from({ length: r.length }, (_, i) => (r.from + i) % teeth));
          expect(back.sort((a, b) => a - b)).toEqual(own.sort((a, b) => a - b));
        },
      ),
    );
  });
  it("a run between two teeth goes to both of them, never past half", () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 90 }), fc.nat(), fc.nat(), (teeth, a, b) => {
        const run = runBetween(a % teeth, b % teeth, teeth);
        expect(run[0]).toBe(a % teeth);
        expect(run.at(-1)).toBe(b % teeth);
        expect(run.length).toBeLessThanOrEqual(Math.floor(teeth / 2) + 1);
        expect(new Set(run).size).toBe(run.length);
      }),
    );
  });
  it("which flank is worn follows from how it turns, and whether it drives", () => {
    const right = marks(Object.fromEntries(Array.from({ length: 20 }, (_, i) => [i, "worn-right"])));
    expect(toothExtent(right, 20, "clockwise", true).flank).toBe("driving");
    expect(toothExtent(right, 20, "clockwise", false).flank).toBe("coasting");
    expect(toothExtent(right, 20, "counter-clockwise", true).flank).toBe("coasting");
    expect(toothExtent(right, 20).flank).toBe("unknown");
    expect(toothExtent(marks({ 1: "worn-right", 2: "worn-left" }), 20, "clockwise", true).flank).toBe("both");
    expect(toothExtent(marks({ 1: "chipped" }), 20).flank).toBeNull();
    expect(toothExtent(right, 20).says).toBe("20 worn on the right flank all round");
  });
  it("each mark has a key of its own", () => {
    expect(new Set(TOOTH_MARKS.map((m) => m.key)).size).toBe(TOOTH_MARKS.length);
  });
});
