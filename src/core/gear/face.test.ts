import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { spanWhenNew } from "./as-new";
import { BORE_FORMS, borePath } from "./bore-form";
import { type Gear, gearDimensions } from "./dimensions";
import { gearFace } from "./face";
import { sizesCompared } from "./sizes-compared";
import { bestSpanTeeth, spanOver } from "./span-measurement";
import { toothLoss } from "./tooth-loss";

const gear = (teeth: number, more: Partial<Gear> = {}): Gear => ({
  teeth,
  moduleMm: 1,
  pressureAngleDeg: 20,
  helixAngleDeg: 0,
  profileShift: 0,
  ...more,
});
const radii = (points: readonly (readonly [number, number])[]) => points.map(([x, y]) => Math.hypot(x, y));

describe("faces", () => {
  it("every round kind has its teeth all round, between root and tip, and none crosses into the next pitch", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(
          "spur" as const,
          "bevel" as const,
          "internal" as const,
          "pulley" as const,
          "sprocket" as const,
          "worm-wheel" as const,
        ),
        fc.integer({ min: 12, max: 90 }),
        (kind, z) => {
          const f = gearFace(kind, gear(z));
          expect(f.teeth.length).toBe(z);
          const [low, high] = [Math.min(f.rootMm, f.tipMm), Math.max(f.rootMm, f.tipMm)];
          f.teeth.forEach((tooth, i) => {
            for (const r of radii(tooth)) {
              expect(r).toBeGreaterThan(low - 1e-6);
              expect(r).toBeLessThan(high + 1e-6);
            }
            for (const [x, y] of tooth) {
              const turn = (Math.atan2(x, y) - (2 * Math.PI * i) / z + 5 * Math.PI) % (2 * Math.PI);
              expect(Math.abs(turn - Math.PI)).toBeLessThan(Math.PI / z + 1e-6);
            }
          });
          expect(f.reachMm).toBeGreaterThanOrEqual(high);
        },
      ),
      { numRuns: 60 },
    );
  });
  it("a ring's tooth is what the space of its gear leaves: half the pitch at the reference circle", () => {
    const f = gearFace("internal", gear(60), 45, 90);
    const at = (f.teeth[0] ?? [])
      .filter(([x]) => x > 0)
      .reduce((a, b) =>
        Math.abs(Math.hypot(b[0], b[1]) - 30) < Math.abs(Math.hypot(a[0], a[1]) - 30) ? b : a,
      );
    expect(Math.atan2(at[0], at[1]) * 30).toBeCloseTo(Math.PI / 4, 1);
    expect(f.tipMm).toBe(29);
  });
  it("a rack is straight, pitch π m; a bevel's tips stand out less the steeper its cone", () => {
    const rack = gearFace("rack", gear(10, { moduleMm: 2 }));
    expect((rack.teeth[1]?.[0]?.[0] ?? 0) - (rack.teeth[0]?.[0]?.[0] ?? 0)).toBeCloseTo(2 * Math.PI, 9);
    expect(gearFace("bevel", gear(20), 60).tipMm).toBeCloseTo(10 + Math.cos(Math.PI / 3), 6);
  });
});

describe("bores", () => {
  it("of every form are closed paths of plain numbers", () => {
    for (const form of [...BORE_FORMS, undefined]) {
      const d = borePath(8, form);
      expect(d.startsWith("M")).toBe(true);
      expect(d.endsWith("Z")).toBe(true);
      expect(d).not.toMatch(/NaN|e-/);
    }
    expect(new Set(BORE_FORMS.filter((f) => f !== "cross hole").map((f) => borePath(8, f))).size).toBe(
      BORE_FORMS.length - 1,
    );
  });
  it("a hexagon is as wide over its flats as was measured", () => {
    const ys = [...borePath(10, "hex").matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(
      (m) => [Number(m[1]), Number(m[2])] as const,
    );
    expect(Math.max(...ys.map(([x]) => x))).toBeCloseTo(5, 2);
  });
});

describe("sizes wanted and found", () => {
  const g = gear(41, { helixAngleDeg: 18 });
  it("are those of the description's example: flat jaws across 41 teeth are put right first", () => {
    const [tip] = sizesCompared(g, [{ what: "tip diameter", value: 45.07, u: 0.03 }]);
    expect(tip?.wanted).toBeCloseTo(45.11, 2);
    expect(tip?.found).toBeCloseTo(45.11, 2);
    expect(tip?.ok).toBe(true);
  });
  it("name what is out of tolerance, and leave open what was not measured", () => {
    const rows = sizesCompared(g, [{ what: "span", teeth: 5, value: 13.7, u: 0.02 }]);
    expect(rows.find((r) => r.what === "span over 5")).toMatchObject({ ok: false });
    expect(rows.find((r) => r.what === "tip diameter")).toMatchObject({ found: null, ok: null });
    expect(rows.some((r) => r.what === "helix angle")).toBe(true);
  });
});

describe("tooth lost", () => {
  it("is a new gear's span less its reading: nominal, less the thinning", () => {
    const g = gear(30);
    const k = bestSpanTeeth(g);
    const loss = toothLoss(g, [{ teeth: k, value: spanOver(g, k) - 0.19, u: 0.02 }]);
    expect(loss?.value).toBeCloseTo(0.14, 9);
    expect(loss?.says).toBe(`span over ${k} teeth has lost 0.14 mm against a new one`);
    expect(toothLoss(g, [])).toBeNull();
  });
  it("a shifted pinion is no worn one: its tips tell", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 9, max: 24 }),
        fc.constantFrom(0, 0.2, 0.4, 0.6),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        (z, x, worn) => {
          const g = gear(z, { profileShift: x });
          const fresh = spanWhenNew(g, 2).value;
          const loss = toothLoss(gear(z), [{ teeth: 2, value: fresh - worn, u: 0.02 }], {
            tip: { value: gearDimensions(g).tipDiameterMm - 0.04, u: 0.03 },
          });
          expect(loss?.profileShift).toBeCloseTo(x, 9);
          expect(loss?.value).toBeCloseTo(worn, 6);
        },
      ),
    );
  });
});
