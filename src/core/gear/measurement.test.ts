import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Gear, gearDimensions } from "./dimensions";
import { flatJawsShare, tipDiameterFromFlatJaws } from "./jaws-across";
import { drawnTipMm, gearOutline, involuteStartRadius, toothFlank, toothOutline } from "./outline";
import { overPins } from "./over-pins";
import { bestSpanTeeth, faceWideEnough, spanContactRadius, spanOver, spanTeeth } from "./span-measurement";

const gears = fc.record({
  teeth: fc.integer({ min: 12, max: 120 }),
  moduleMm: fc.constantFrom(0.5, 0.8, 1, 1.25, 2, 25.4 / 24),
  pressureAngleDeg: fc.constantFrom(14.5, 20),
  helixAngleDeg: fc.constantFrom(0, 8, 15, 25),
  profileShift: fc.constantFrom(0, 0.1, 0.3),
});
const spur = (teeth: number, more: Partial<Gear> = {}): Gear => ({
  teeth,
  moduleMm: 1,
  pressureAngleDeg: 20,
  helixAngleDeg: 0,
  profileShift: 0,
  ...more,
});

describe("span over k teeth", () => {
  it("has the tabled base tangent lengths for module 1, 20°", () => {
    expect(spanOver(spur(20), 3)).toBeCloseTo(7.6604, 4);
    expect(spanOver(spur(41), 5)).toBeCloseTo(13.8588, 4);
  });

  it("grows by one normal base pitch a tooth, whatever the count, shift or helix", () => {
    fc.assert(
      fc.property(gears, fc.integer({ min: 2, max: 9 }), (g, k) => {
        expect(spanOver(g, k + 1) - spanOver(g, k)).toBeCloseTo(gearDimensions(g).normalBasePitchMm, 9);
      }),
    );
  });

  it("names as best the count whose jaws touch nearest to the reference circle", () => {
    fc.assert(
      fc.property(fc.integer({ min: 15, max: 120 }), (z) => {
        const g = spur(z);
        const { baseDiameterMm, referenceDiameterMm } = gearDimensions(g);
        const touch = (k: number): number =>
          Math.abs(Math.hypot(baseDiameterMm, spanOver(g, k)) - referenceDiameterMm);
        const best = bestSpanTeeth(g);
        expect(touch(best)).toBeLessThanOrEqual(
          Math.min(touch(best + 1), best > 2 ? touch(best - 1) : Number.POSITIVE_INFINITY) + 0.35,
        );
      }),
    );
  });

  it("touches the involute, between fillet and tip, wherever any count does; also with a steep helix", () => {
    const steep = fc.record({
      teeth: fc.integer({ min: 10, max: 90 }),
      moduleMm: fc.constantFrom(0.5, 1, 2),
      pressureAngleDeg: fc.constantFrom(14.5, 17.5, 20, 25),
      helixAngleDeg: fc.constantFrom(0, 10, 20, 30, 40),
      profileShift: fc.constantFrom(-0.2, 0, 0.2, 0.4),
      addendum: fc.constantFrom(1, 0.8),
    });
    fc.assert(
      fc.property(steep, (g) => {
        const k = bestSpanTeeth(g);
        const r = spanContactRadius(g, k);
        if (!spanTeeth(g).some((n) => n >= 2)) return;
        expect(r).toBeGreaterThanOrEqual(involuteStartRadius(g) - 1e-9);
        expect(r).toBeLessThanOrEqual(gearDimensions(g).tipDiameterMm / 2);
      }),
    );
  });

  it("at 30° counts with the helix: more teeth between the jaws, the steeper it is", () => {
    // z = 40, 30°: α_t = 22.796°, β_b = 28.024°; (40/π)(0.42027/0.77925 − 0.022394) + 0.5 = 7.08
    expect(bestSpanTeeth(spur(40, { helixAngleDeg: 30 }))).toBe(7);
    expect(bestSpanTeeth(spur(40))).toBe(5);
  });

  it("the contact is where the drawn flank has the jaw as its tangent", () => {
    const g = spur(41);
    const r = spanContactRadius(g, 5);
    // half the span is the length of the base tangent from its foot to the flank
    const { baseDiameterMm } = gearDimensions(g);
    expect(Math.sqrt(r * r - (baseDiameterMm / 2) ** 2)).toBeCloseTo(spanOver(g, 5) / 2, 9);
  });

  it("asks a helical gear for face enough", () => {
    const helical = spur(41, { helixAngleDeg: 18 });
    expect(faceWideEnough(helical, 5, 11)).toBe(true);
    expect(faceWideEnough(helical, 5, 3)).toBe(false);
    expect(faceWideEnough(spur(41), 5, 0.1)).toBe(true);
  });
});

describe("over two pins", () => {
  it("lets the pin touch both flanks of the drawn tooth space", () => {
    // geometry instead of the formula: the pin's centre lies as far from the flank as its own radius
    for (const [g, pin] of [
      [spur(20), 1.728],
      [spur(35, { moduleMm: 2 }), 3.5],
      [spur(16, { profileShift: 0.3 }), 1.8],
    ] as const) {
      const m = overPins(g, pin);
      const across = g.teeth % 2 ? Math.cos(Math.PI / (2 * g.teeth)) : 1;
      const centreR = (m - pin) / 2 / across;
      const space = Math.PI / g.teeth;
      const reach = toothFlank(g, 4000).map(([r, half]) =>
        Math.hypot(r * Math.sin(space - half), centreR - r * Math.cos(space - half)),
      );
      expect(Math.min(...reach)).toBeCloseTo(pin / 2, 3);
    }
  });

  it("reads less across an odd count than the even one beside it would lead to expect", () => {
    const even = (overPins(spur(20), 1.728) + overPins(spur(22), 1.728)) / 2;
    expect(overPins(spur(21), 1.728)).toBeLessThan(even);
  });

  it("is no number where the pin falls to the bottom", () => {
    expect(overPins(spur(20), 0.1)).toBeNaN();
  });
});

describe("flat jaws across the tips", () => {
  it("an even count is read as it is, an odd one short", () => {
    expect(tipDiameterFromFlatJaws({ value: 44, u: 0.03 }, spur(20)).value).toBe(44);
    expect(tipDiameterFromFlatJaws({ value: 42.96, u: 0.03 }, spur(41)).value).toBeCloseTo(43, 2);
  });
  it("is what jaws would show on the gear's own outline, a tooth up", () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 45 }), fc.constantFrom(0, 0.2, 0.4), (half, profileShift) => {
        const g = spur(2 * half + 1, { profileShift });
        const ys = gearOutline(g, undefined, 40).map(([, y]) => y);
        const across = Math.max(...ys) - Math.min(...ys);
        // the top of the upper tooth is an arc of the tip circle, which the outline's chord just misses
        expect(flatJawsShare(g) * gearDimensions(g).tipDiameterMm).toBeCloseTo(across, 1);
        expect(
          Math.abs(
            tipDiameterFromFlatJaws({ value: across, u: 0.03 }, g).value - gearDimensions(g).tipDiameterMm,
          ),
        ).toBeLessThan(0.035);
      }),
    );
  });
});

describe("the outline", () => {
  it("is half a pitch thick on the reference circle without shift", () => {
    const g = spur(41);
    const flank = toothFlank(g, 400);
    const r = gearDimensions(g).referenceDiameterMm / 2;
    const [radius, half] = flank.reduce((a, b) => (Math.abs(b[0] - r) < Math.abs(a[0] - r) ? b : a));
    expect(2 * half * radius).toBeCloseTo(Math.PI / 2, 1);
  });

  it("agrees with the span: flat jaws over k drawn teeth read W_k", () => {
    // the jaws are two parallel lines that enclose k teeth: their distance is the width of those teeth across
    // the jaws
    const g = spur(41);
    const flank = toothFlank(g, 2000);
    const k = 5;
    const last = toothOutline(flank, g.teeth, k - 1);
    const middle = (Math.PI * (k - 1)) / g.teeth;
    // only the outer flank of the last tooth bears on the jaw, and it does where it stands upright to it
    const width = Math.max(
      ...last
        .filter(([x, y]) => Math.hypot(x, y) > 20)
        .map(([x, y]) => x * Math.cos(middle) - y * Math.sin(middle)),
    );
    expect(2 * width).toBeCloseTo(spanOver(g, k), 3);
  });

  it("thinned for backlash it reads just so much less over its span, and is as tall", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 60 }),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        (teeth, thinned) => {
          const g = spur(teeth);
          const k = bestSpanTeeth(g);
          const last = toothOutline(toothFlank(g, 1500, thinned), teeth, k - 1);
          const middle = (Math.PI * (k - 1)) / teeth;
          const d = gearDimensions(g);
          // jaws do not reach into the fillet
          const flank = last.filter(([x, y]) => Math.hypot(x, y) > involuteStartRadius(g) + 0.1);
          const width = 2 * Math.max(...flank.map(([x, y]) => x * Math.cos(middle) - y * Math.sin(middle)));
          expect(width).toBeCloseTo(spanOver(g, k) - thinned, 2);
          expect(drawnTipMm(g, thinned)).toBeCloseTo(d.tipDiameterMm, 9);
        },
      ),
      { numRuns: 25 },
    );
  });
  it("of slanted teeth the thinning is that of the normal span", () => {
    // half a tooth at the reference circle loses W/(2 r_b cos β_b) as an angle
    const g = spur(30, { helixAngleDeg: 25 });
    const at = (thinned: number): number => (toothFlank(g, 40, thinned)[30] as readonly [number, number])[1];
    const cosBaseHelix = Math.sqrt(1 - (Math.sin((25 * Math.PI) / 180) * Math.cos(Math.PI / 9)) ** 2);
    expect(at(0) - at(0.1)).toBeCloseTo(0.1 / (gearDimensions(g).baseDiameterMm * cosBaseHelix), 9);
  });
  it("a tooth that would come to a point is as tall as it is drawn", () => {
    const g = spur(8, { profileShift: 0.8 });
    expect(drawnTipMm(g)).toBeLessThan(gearDimensions(g).tipDiameterMm);
    expect(drawnTipMm(g)).toBeCloseTo(2 * Math.max(...gearOutline(g).map(([x, y]) => Math.hypot(x, y))), 3);
  });

  it("undercuts nine teeth at the root and not thirty", () => {
    // an undercut tooth is thinner below than further out
    const waist = (z: number): boolean => {
      const half = toothFlank(spur(z), 60).map(([r, a]) => r * a);
      return half.some((h, i) => i > 0 && h > (half[i - 1] as number) + 1e-6);
    };
    expect(waist(9)).toBe(true);
    expect(waist(30)).toBe(false);
  });

  it("stays between root and tip, and closes on itself evenly", () => {
    fc.assert(
      fc.property(gears, (g) => {
        const { tipDiameterMm, rootDiameterMm } = gearDimensions(g);
        const points = gearOutline(g);
        expect(points.length % g.teeth).toBe(0);
        const radii = points.map(([x, y]) => Math.hypot(x, y));
        expect(Math.min(...radii)).toBeGreaterThan(rootDiameterMm / 2 - 1e-6);
        expect(Math.max(...radii)).toBeLessThan(tipDiameterMm / 2 + 1e-6);
      }),
      { numRuns: 40 },
    );
  });

  it("breaks the teeth that are gone", () => {
    const whole = gearOutline(spur(20));
    const broken = gearOutline(spur(20), (i) => (i === 4 ? 1 : 0));
    const tips = (ps: readonly (readonly [number, number])[]): number =>
      ps.filter(([x, y]) => Math.hypot(x, y) > 10.9).length;
    expect(tips(broken)).toBe((tips(whole) / 20) * 19);
  });

  it("puts the first tooth upright and the next clockwise", () => {
    const [, right] = [toothOutline(toothFlank(spur(12)), 12, 0), toothOutline(toothFlank(spur(12)), 12, 3)];
    const middle = right.reduce(([a, b], [x, y]) => [a + x / right.length, b + y / right.length], [0, 0]);
    expect(middle[0]).toBeGreaterThan(4);
    expect(Math.abs(middle[1])).toBeLessThan(1e-6);
  });
});
