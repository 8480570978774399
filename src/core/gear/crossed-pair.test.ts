import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { crossedPairOf } from "./crossed-pair";
import type { PairGear } from "./pair-gear";

const gear = (
  teeth: number,
  helixAngleDeg: number,
  hand?: "left" | "right",
  more: Partial<PairGear> = {},
): PairGear => ({
  teeth,
  moduleMm: 2,
  pressureAngleDeg: 20,
  helixAngleDeg,
  profileShift: 0,
  ...(hand ? { hand } : {}),
  ...more,
});
const said = (a: PairGear, b: PairGear, angle: number, centre?: number): string[] =>
  crossedPairOf(a, b, angle, centre).verdicts.map((v) => `${v.criterion}: ${v.says}`);

describe("helical gears on shafts that cross", () => {
  it("two of 45° and one hand stand at 90°; a = m_n/2 (z1/cos β1 + z2/cos β2)", () => {
    const answer = crossedPairOf(gear(20, 45, "right"), gear(40, 45, "right"), 90);
    expect(answer.meshes).toBe(true);
    // 20 × 2/cos 45° = 56.569, twice that 113.137: half their sum 84.853
    expect(answer.figures.centreMm).toBeCloseTo(84.853, 3);
    // v_s = v1 sin Σ/cos β2: 1.414 of the rim speed
    expect(answer.figures.slides).toBeCloseTo(Math.SQRT2, 9);
  });
  it("as their hands say: equal ones add up, opposite ones do not; without a hand it is said what it takes", () => {
    expect(crossedPairOf(gear(20, 45, "right"), gear(40, 45, "left"), 90).meshes).toBe(false);
    expect(said(gear(20, 45, "right"), gear(40, 45, "left"), 90)[2]).toMatch(
      /of opposite hands, stand at 0°, and the shafts at 90°/,
    );
    expect(crossedPairOf(gear(20, 60, "left"), gear(40, 30, "right"), 30).meshes).toBe(true);
    const open = crossedPairOf(gear(20, 60), gear(40, 30), 90).verdicts[2];
    expect(open).toMatchObject({ ok: true, caution: true });
    expect(open?.says).toMatch(/of one hand, stand at 90°: see that the hands are so/);
  });
  it("the module is that of the normal section, and is exact", () => {
    expect(crossedPairOf(gear(20, 45, "left"), gear(40, 45, "left", { moduleMm: 2.25 }), 90).meshes).toBe(
      false,
    );
  });
  it("a measured distance is held against their circles, as far as the slants are known", () => {
    expect(said(gear(20, 45, "left"), gear(40, 45, "left"), 90, 84.9).at(-1)).toMatch(
      /as their reference circles ask/,
    );
    expect(said(gear(20, 45, "left"), gear(40, 45, "left"), 90, 83).at(-1)).toMatch(/they bind/);
    const unsure = { helixU: 1 };
    expect(crossedPairOf(gear(20, 45, "left", unsure), gear(40, 45, "left", unsure), 90, 83).meshes).toBe(
      true,
    );
  });
  it("as a law: of any two slants one angle between shafts suits equal hands, another opposite ones, and a tilt of five degrees never", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 60 }),
        fc.integer({ min: 10, max: 60 }),
        fc.boolean(),
        (a, b, alike) => {
          const angle = alike ? a + b : Math.abs(a - b);
          fc.pre(angle >= 1 && angle <= 90);
          const [one, other] = [gear(20, a, "right"), gear(30, b, alike ? "right" : "left")];
          expect(crossedPairOf(one, other, angle).meshes).toBe(true);
          expect(crossedPairOf(one, other, angle > 45 ? angle - 5 : angle + 5).meshes).toBe(false);
          expect(crossedPairOf(other, one, angle).figures.centreMm).toBeCloseTo(
            crossedPairOf(one, other, angle).figures.centreMm,
            9,
          );
        },
      ),
    );
  });
});
