import { describe, expect, it } from "vitest";
import { measured } from "./measure";
import { gearScene } from "./scene";

describe("photographs of gears", () => {
  it("are read: nearly all right, none wrong, and what is missing found", async () => {
    const m = await measured("demo/gear-photos/jpeg");
    expect(m.wrong).toEqual([]);
    expect(m.right).toBeGreaterThanOrEqual(m.of - 2);
    expect(m.missingRight / m.right).toBeGreaterThanOrEqual(0.8);
  });

  it("come out of their seed: the same scene and the same truth every time, and another for another seed", () => {
    expect(gearScene(7)).toEqual(gearScene(7));
    expect(gearScene(7).pov).not.toBe(gearScene(8).pov);
    for (let seed = 0; seed < 40; seed++) {
      const { truth } = gearScene(seed);
      expect(truth.missingCount).toBe(truth.missing.length);
      expect(new Set(truth.missing).size).toBe(truth.missing.length);
      expect(truth.missing.every((i) => i >= 0 && i < (truth.teeth as number))).toBe(true);
    }
    expect(gearScene(7, "no-gear").truth.teeth).toBeNull();
  });
});
