import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { BORE_FORMS, boreOutline } from "./bore-form";
import { gearDimensions } from "./dimensions";
import { type GearToMake, gearSection, gearSolid, type Point3, type Triangle, twistOf } from "./solid";

const wheel: GearToMake = {
  teeth: 41,
  moduleMm: 1,
  pressureAngleDeg: 20,
  helixAngleDeg: 18,
  profileShift: 0,
  hand: "right",
  faceWidthMm: 11,
  boreMm: 8,
};
const area = (ring: readonly (readonly [number, number])[]): number => {
  let s = 0;
  for (const [i, [x, y]] of ring.entries()) {
    const [u, v] = ring[(i + 1) % ring.length] as readonly [number, number];
    s += x * v - u * y;
  }
  return s / 2;
};
/** By Gauss: the sum of the signed tetrahedra over the origin. */
const volume = (ts: readonly Triangle[]): number =>
  ts.reduce(
    (s, [a, b, c]) =>
      s +
      (a[0] * (b[1] * c[2] - b[2] * c[1]) -
        a[1] * (b[0] * c[2] - b[2] * c[0]) +
        a[2] * (b[0] * c[1] - b[1] * c[0])) /
        6,
    0,
  );
const name = (p: Point3): string => p.map((x) => x.toFixed(6)).join(" ");

describe("the section of a gear to make", () => {
  it("has its teeth from tip to root and its bore in true size", () => {
    const { outer, bore } = gearSection(wheel);
    const d = gearDimensions(wheel);
    const radii = outer.map(([x, y]) => Math.hypot(x, y));
    expect(2 * Math.max(...radii)).toBeCloseTo(d.tipDiameterMm, 6);
    expect(2 * Math.min(...radii)).toBeCloseTo(d.rootDiameterMm, 1);
    for (const [x, y] of bore) expect(Math.hypot(x, y)).toBeCloseTo(4, 9);
    expect(area(outer)).toBeGreaterThan(0);
    expect(area(bore)).toBeLessThan(0);
  });
  it("refuses a bore that reaches into the teeth", () => {
    expect(() => gearSection({ ...wheel, teeth: 9, boreMm: 9 })).toThrow(/boreMm: leaves (only|nothing)/);
  });
  it.each(BORE_FORMS)("a %s bore is closed, about its middle, and as large as it says", (form) => {
    const ring = boreOutline(8, form);
    const radii = ring.map(([x, y]) => Math.hypot(x, y));
    expect(Math.min(...radii)).toBeGreaterThan(3.1);
    expect(Math.max(...radii)).toBeLessThan(7.7);
    // the circle's area, less a flat or more a keyway
    expect(Math.abs(area(ring)) / (Math.PI * 16)).toBeGreaterThan(form === "double D" ? 0.85 : 0.9);
    expect(Math.abs(area(ring)) / (Math.PI * 16)).toBeLessThan(1.45);
  });
  it("a hexagon and a square are measured across their flats", () => {
    expect(Math.max(...boreOutline(10, "square").map(([x]) => x))).toBeCloseTo(5, 9);
    expect(Math.max(...boreOutline(10, "hex").map(([x]) => x))).toBeCloseTo(5, 9);
  });
});

describe("the solid of a gear to make", () => {
  it("turns by b tan β/r: right-hand anticlockwise going up, left-hand the other way", () => {
    expect(twistOf(wheel)).toBeCloseTo((11 * Math.tan(Math.PI / 10)) / (41 / Math.cos(Math.PI / 10) / 2), 9);
    expect(twistOf({ ...wheel, hand: "left" })).toBeCloseTo(-twistOf(wheel), 12);
    expect(twistOf({ ...wheel, helixAngleDeg: 0 })).toBe(0);
    const tips = (z: number): number => {
      const top = gearSolid(wheel)
        .flat()
        .filter((p) => Math.abs(p[2] - z) < 1e-9);
      const far = top.filter((p) => Math.hypot(p[0], p[1]) > gearDimensions(wheel).tipDiameterMm / 2 - 1e-6);
      // the tooth at the top of the lowest layer: its angle from upright, less as it turns anticlockwise
      return Math.min(...far.map((p) => Math.abs(Math.atan2(p[0], p[1]) + (z === 0 ? 0 : twistOf(wheel)))));
    };
    expect(tips(0)).toBeLessThan(0.03);
    expect(tips(11)).toBeLessThan(0.03);
  });
  it("as a law: is closed (each edge is passed once each way), and holds section times face width", () => {
    const gear = fc.record({
      teeth: fc.integer({ min: 12, max: 45 }),
      moduleMm: fc.constantFrom(0.5, 1, 1.25, 2),
      pressureAngleDeg: fc.constant(20),
      helixAngleDeg: fc.integer({ min: 0, max: 30 }),
      profileShift: fc.constantFrom(0, 0.3),
      hand: fc.constantFrom("left" as const, "right" as const),
      faceWidthMm: fc.integer({ min: 4, max: 30 }),
      boreForm: fc.constantFrom(...BORE_FORMS.filter((f) => f !== "cross slot")),
    });
    fc.assert(
      fc.property(gear, (g) => {
        const made: GearToMake = { ...g, boreMm: 0.4 * g.teeth * g.moduleMm };
        const ts = gearSolid(made);
        const edges = new Map<string, number>();
        for (const t of ts) {
          const [a, b, c] = t.map(name) as [string, string, string];
          for (const e of [`${a} > ${b}`, `${b} > ${c}`, `${c} > ${a}`])
            edges.set(e, (edges.get(e) ?? 0) + 1);
        }
        const open = [...edges].filter(
          ([e, n]) => n !== 1 || !edges.has(e.split(" > ").reverse().join(" > ")),
        );
        expect(open).toEqual([]);
        const { outer, bore } = gearSection(made);
        const whole = (area(outer) + area(bore)) * g.faceWidthMm;
        expect(volume(ts) / whole).toBeCloseTo(1, 2);
      }),
      { numRuns: 15 },
    );
  });
});
