import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { trainDiagram } from "./diagram";
import type { TrainInput } from "./train";

const train: TrainInput = {
  input: { shaft: "motor", rpm: 1400 },
  meshes: [
    { id: "m1", kind: "helical", driver: { shaft: "motor", teeth: 9 }, driven: { shaft: "lay", teeth: 41 } },
    { id: "m2", kind: "belt", driver: { shaft: "lay", teeth: 15 }, driven: { shaft: "mid", teeth: 30 } },
    {
      id: "m3",
      kind: "planetary",
      sun: { shaft: "mid", teeth: 12 },
      ring: { shaft: "frame", teeth: 60 },
      carrier: { shaft: "out" },
      planets: 3,
      planetTeeth: 24,
    },
  ],
};

describe("the diagram of a train", () => {
  it("has a line for every shaft that turns, and a bar for every wheel", () => {
    const d = trainDiagram(train);
    expect(d.shafts.map((s) => s.shaft)).toEqual(["motor", "lay", "mid", "out"]);
    expect(d.wheels.map((w) => w.says)).toEqual([
      "9-tooth gear",
      "41-tooth gear",
      "15-tooth pulley",
      "30-tooth pulley",
      "12-tooth sun",
      "24-tooth planet",
      "24-tooth planet",
      "60-tooth ring",
    ]);
    expect(d.strands.length).toBe(1);
    // sun and carrier share their axis
    expect(d.shafts[2]?.y).toBe(d.shafts[3]?.y);
  });
  it("gears that mesh touch: their shafts lie their radii apart, which go as their teeth", () => {
    fc.assert(
      fc.property(fc.integer({ min: 12, max: 80 }), fc.integer({ min: 12, max: 80 }), (a, b) => {
        const d = trainDiagram({
          input: { shaft: "i", rpm: 1 },
          meshes: [
            { id: "m", kind: "spur", driver: { shaft: "i", teeth: a }, driven: { shaft: "o", teeth: b } },
          ],
        });
        const [g, h] = d.wheels;
        expect(Math.abs((h?.y ?? 0) - (g?.y ?? 0))).toBeCloseTo((g?.r ?? 0) + (h?.r ?? 0), 9);
        expect((g?.r ?? 0) / (h?.r ?? 1)).toBeCloseTo(a / b, 9);
      }),
    );
  });
  it("holds everything it draws", () => {
    const d = trainDiagram(train);
    for (const w of d.wheels) {
      expect(w.y - w.r).toBeGreaterThan(d.top);
      expect(w.y + w.r).toBeLessThan(d.bottom);
      expect(w.x).toBeLessThan(d.width);
    }
    expect(trainDiagram({ input: { shaft: "i", rpm: 1 }, meshes: [] }).shafts).toHaveLength(1);
  });
});
