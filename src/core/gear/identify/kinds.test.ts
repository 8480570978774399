import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pitchConeAngle } from "../cone-angle";
import { type Gear, gearDimensions } from "../dimensions";
import { flatJawsShare } from "../jaws-across";
import { measuringPin } from "../measuring-pins";
import { overPins } from "../over-pins";
import { bestSpanTeeth, spanOver } from "../span-measurement";
import { identifyBevel } from "./bevel";
import { doubtsAmong } from "./doubts";
import { identifyGear } from "./identify";
import type { IdentifyInput } from "./input";
import { identifyWorm } from "./worm";

const spur = (teeth: number, moduleMm: number): Gear => ({
  teeth,
  moduleMm,
  pressureAngleDeg: 20,
  helixAngleDeg: 0,
  profileShift: 0,
});
const spansOf = (g: Gear): NonNullable<IdentifyInput["spans"]> =>
  [bestSpanTeeth(g), bestSpanTeeth(g) + 1].map((n) => ({ teeth: n, value: spanOver(g, n) }));

describe("a gear with teeth missing", () => {
  it("is counted from an arc: 12 pitches in 105.4° are 41 teeth", () => {
    const g = spur(41, 1);
    const [first] = identifyGear({
      kind: "spur",
      arc: { pitches: 12, angle: { value: 105.2, u: 1 } },
      tipDiameter: 43,
      spans: spansOf(g),
    }).hypotheses;
    expect(first).toMatchObject({ teeth: 41, module: 1 });
    expect(first?.probability).toBeGreaterThan(0.9);
  });
  it("without a diameter, the chord over sound tips and the spans settle it", () => {
    const g = spur(36, 1.5);
    const chord = gearDimensions(g).tipDiameterMm * Math.sin((Math.PI * 9) / 36);
    const [first] = identifyGear({
      kind: "spur",
      arc: { pitches: 9, angle: { value: 90.8, u: 1 } },
      chords: [{ pitches: 9, value: chord }],
      spans: spansOf(g),
    }).hypotheses;
    expect(first).toMatchObject({ teeth: 36, module: 1.5 });
    expect(first?.residuals.map((r) => r.what)).toContain("tip to tip over 9 pitches");
  });
  it("finds any count again from an arc of a third and two spans", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 18, max: 70 }),
        fc.constantFrom(0.8, 1, 1.5, 2),
        fc.double({ min: -0.8, max: 0.8, noNaN: true }),
        (z, m, off) => {
          const g = spur(z, m);
          const pitches = Math.round(z / 3);
          const [first] = identifyGear({
            kind: "spur",
            arc: { pitches, angle: { value: (360 * pitches) / z + off, u: 0.8 } },
            tipDiameter: gearDimensions(g).tipDiameterMm,
            spans: spansOf(g),
          }).hypotheses;
          expect(first).toMatchObject({ teeth: z, module: m });
        },
      ),
      { numRuns: 40 },
    );
  });
  it("refuses an arc of nothing", () => {
    expect(() =>
      identifyGear({ kind: "spur", arc: { pitches: 3, angle: 0 }, tipDiameter: 43, spans: [] }),
    ).toThrow(/above 0°/);
  });
});

describe("flat jaws across an odd count", () => {
  it("read short; told so, each count is corrected by itself", () => {
    const g = spur(19, 1);
    // as it is made, its tips 0.04 low
    const read = gearDimensions(g).tipDiameterMm * flatJawsShare(g) - 0.04;
    const [first] = identifyGear({
      kind: "spur",
      tipDiameter: { value: read, u: 0.02 },
      acrossFlatJaws: true,
      spans: spansOf(g),
    }).hypotheses;
    expect(first).toMatchObject({ teeth: 19, module: 1, profileShift: 0 });
    expect(first?.residuals[0]?.sigmas).toBeCloseTo(0, 9);
    // not told, it takes the gear for another
    const fooled = identifyGear({
      kind: "spur",
      teeth: 19,
      tipDiameter: { value: read, u: 0.02 },
      spans: spansOf(g),
    }).hypotheses[0];
    expect(Math.abs(fooled?.residuals[0]?.sigmas ?? 0) > 1 || fooled?.profileShift !== 0).toBe(true);
  });
});

describe("a gear whose mate is named", () => {
  const pinion: IdentifyInput = {
    kind: "helical",
    teeth: 9,
    tipDiameter: { value: 11.94, u: 0.03 },
    acrossFlatJaws: true,
    spans: [{ teeth: 2, value: 4.85, u: 0.02 }],
  };
  it("is taken to fit it, unless its readings clearly say otherwise", () => {
    const alone = identifyGear(pinion).hypotheses[0];
    const [paired] = identifyGear({
      ...pinion,
      meshesWith: { module: 1, pressureAngle: 20, helixAngle: 18 },
    }).hypotheses;
    expect(paired).toMatchObject({ module: 1, pressureAngle: 20 });
    expect(paired?.probability ?? 0).toBeGreaterThan(0.95);
    expect(alone?.probability ?? 1).toBeLessThan(0.9);
    const wrong = identifyGear({
      kind: "spur",
      teeth: 40,
      tipDiameter: 52.5,
      spans: spansOf(spur(40, 1.25)),
      meshesWith: { module: 1, pressureAngle: 20, helixAngle: 0 },
    });
    expect(wrong.hypotheses[0]).toMatchObject({ module: 1.25 });
  });
});

describe("pins", () => {
  it("near 1.728 m that stand out over the tips", () => {
    expect(measuringPin(spur(41, 1))).toBe(1.7);
    fc.assert(
      fc.property(fc.integer({ min: 12, max: 100 }), fc.constantFrom(0.5, 0.8, 1, 1.5, 2, 3), (z, m) => {
        const pin = measuringPin(spur(z, m)) ?? 0;
        expect(Math.abs(pin / m - 1.728)).toBeLessThan(0.35);
        expect(overPins(spur(z, m), pin)).toBeGreaterThan(gearDimensions(spur(z, m)).tipDiameterMm);
      }),
    );
    expect(measuringPin(spur(20, 8))).toBeNull();
  });
});

describe("straight bevels", () => {
  it("stand on the cone of the textbook: 20 and 40 at a right angle are 26.57 and 63.43°", () => {
    expect(pitchConeAngle(20, 40, 90)).toBeCloseTo(26.565, 3);
    expect(pitchConeAngle(20, 40, 90) + pitchConeAngle(40, 20, 90)).toBeCloseTo(90, 9);
    expect(pitchConeAngle(20, 20, 90)).toBeCloseTo(45, 9);
    fc.assert(
      fc.property(
        fc.integer({ min: 8, max: 80 }),
        fc.integer({ min: 8, max: 80 }),
        fc.integer({ min: 30, max: 150 }),
        (a, b, s) => Math.abs(pitchConeAngle(a, b, s) + pitchConeAngle(b, a, s) - s) < 1e-9,
      ),
    );
  });
  it("the description's example is module 1.5", () => {
    const [first] = identifyBevel({
      kind: "bevel",
      teeth: 20,
      mateTeeth: 40,
      tipDiameter: 32.68,
      bevelTeeth: "straight",
    });
    expect(first).toMatchObject({ module: 1.5, profileShift: 0 });
    expect(first?.coneDistance).toBeCloseTo(33.54, 2);
  });
  it("are named again, shifted or not, with the depth to help", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 12, max: 40 }),
        fc.integer({ min: 12, max: 60 }),
        fc.constantFrom(0.8, 1, 1.5, 2, 2.5),
        fc.constantFrom(0, 0.2, -0.2),
        (z, mate, m, x) => {
          const cos = Math.cos((pitchConeAngle(z, mate, 90) * Math.PI) / 180);
          const three = identifyBevel({
            kind: "bevel",
            teeth: z,
            mateTeeth: mate,
            tipDiameter: z * m + 2 * m * (1 + x) * cos,
            wholeDepth: 2.2 * m,
          }).slice(0, 3);
          expect(three.map((h) => h.module)).toContain(m);
          // a shifted tooth may look like the next size unshifted (0.8 and 32 DP): only where nothing is
          // shifted must it never be sure and wrong
          if (x === 0) expect(three[0]?.module === m || (three[0]?.probability ?? 1) < 0.9).toBe(true);
        },
      ),
      { numRuns: 80 },
    );
  });
  it("the mate's count comes from the face's angle, about", () => {
    const [first] = identifyBevel({
      kind: "bevel",
      teeth: 16,
      tipDiameter: 16 + 2 * Math.cos((pitchConeAngle(16, 32, 90) * Math.PI) / 180),
      faceAngle: { value: 29.8, u: 0.7 },
    });
    expect(first?.module).toBe(1);
    expect(Math.abs((first?.mateTeeth ?? 0) - 32)).toBeLessThan(4);
  });
  it("of a tip diameter that no standard bevel has, the name is no certain one, and the reading is told", () => {
    const found = identifyBevel({
      kind: "bevel",
      teeth: 41,
      mateTeeth: 9,
      tipDiameter: 45.03,
      bevelTeeth: "straight",
    });
    expect(found[0]?.probability ?? 0).toBeLessThan(0.5);
    expect(doubtsAmong(found)[0]?.why).toMatch(/no standard size goes with/);
    const sound = identifyBevel({
      kind: "bevel",
      teeth: 20,
      mateTeeth: 40,
      tipDiameter: 32.68,
      bevelTeeth: "straight",
    });
    expect(doubtsAmong(sound)).toEqual([]);
    const far = identifyBevel({
      kind: "bevel",
      teeth: 20,
      mateTeeth: 40,
      tipDiameter: 32.68,
      wholeDepth: { value: 3.8, u: 0.03 },
      bevelTeeth: "straight",
    });
    expect(far.length === 0 || doubtsAmong(far).length > 0 || (far[0]?.probability ?? 1) < 0.9).toBe(true);
  });
  it("spiral teeth are shorter: taken for straight ones they would be of a smaller module", () => {
    // 16 and 32 teeth, module 2, ψ = 35°: h = 1.888 m, tips 2 · 0.85 m cos δ over the pitch cone
    const cos = Math.cos((pitchConeAngle(16, 32, 90) * Math.PI) / 180);
    const seen = {
      kind: "bevel",
      teeth: 16,
      mateTeeth: 32,
      tipDiameter: 32 + 2 * 0.85 * 2 * cos,
      wholeDepth: 1.888 * 2,
    } as const;
    const [spiral] = identifyBevel({ ...seen, bevelTeeth: "spiral", hand: "left" });
    expect(spiral).toMatchObject({ module: 2, bevelTeeth: "spiral", spiralAngle: 35 });
    expect(spiral?.probability).toBeGreaterThan(0.6);
    const straight =
      identifyBevel({ ...seen, bevelTeeth: "straight" }).find((h) => h.module === 2)?.probability ?? 0;
    expect(straight).toBeLessThan(spiral?.probability ?? 0);
    expect(
      identifyBevel({ ...seen, bevelTeeth: "spiral", spiralAngle: { value: 28, u: 2 } })[0]?.spiralAngle,
    ).toBe(28);
    // not looked at: less sure than either
    expect(identifyBevel(seen)[0]?.spiralAngle).toBeNull();
  });
  it("ask for what is missing", () => {
    expect(() => identifyBevel({ kind: "bevel", teeth: 16, mateTeeth: 30 })).toThrow(/too little to go on/);
    expect(() => identifyBevel({ kind: "bevel", teeth: 16, tipDiameter: 20 })).toThrow(
      /count the teeth of the gear it meets/,
    );
  });
});

describe("worms", () => {
  it("the description's example is module 1, ten thick, and locks itself", () => {
    const [first] = identifyWorm({
      kind: "worm",
      starts: 1,
      tipDiameter: 12,
      axialPitch: { threads: 4, value: 12.56 },
    });
    expect(first).toMatchObject({ module: 1, referenceDiameter: 10 });
    expect(first?.leadAngle).toBeCloseTo(5.71, 2);
    expect(first?.selfLocking).toBe(false);
    expect(
      identifyWorm({ kind: "worm", starts: 1, tipDiameter: 18, axialPitch: { threads: 4, value: 12.56 } })[0]
        ?.selfLocking,
    ).toBe(true);
  });
  it("are named from their wheel alone, and both together are surer", () => {
    const wheel = { kind: "worm" as const, starts: 2, wheelTeeth: 40, throatDiameter: 42.05 };
    const alone = identifyWorm(wheel)[0];
    const both = identifyWorm({
      ...wheel,
      tipDiameter: 14,
      axialPitch: { threads: 5, value: 15.7 },
      centreDistance: 26,
    })[0];
    expect(alone).toMatchObject({ module: 1 });
    expect(both).toMatchObject({ module: 1 });
    expect(both?.probability).toBeGreaterThanOrEqual(alone?.probability ?? 1);
  });
  it("a shifted wheel on a round centre distance is seen as shifted", () => {
    const [first] = identifyWorm({
      kind: "worm",
      starts: 1,
      wheelTeeth: 30,
      tipDiameter: 14,
      axialPitch: { threads: 5, value: 15.71 },
      throatDiameter: 30 + 2 * 1.3,
      centreDistance: 21 + 0.3,
    });
    expect(first).toMatchObject({ module: 1, profileShift: 0.3 });
  });
  it("a steep worm of four starts whose normal module is the standard one is told from one whose axial module is", () => {
    // m_n 1, d1 12, z1 4: sin γ = 1/3, γ = 19.47°, m_x = 1/cos γ = 1.0607
    const steep = { kind: "worm", starts: 4, tipDiameter: 14, wheelTeeth: 30 } as const;
    const [normal] = identifyWorm({
      ...steep,
      axialPitch: { threads: 6, value: 6 * Math.PI * 1.0607, u: 0.03 },
    });
    expect(normal).toMatchObject({ standard: "normal", normalModule: 1 });
    expect(normal?.module).toBeCloseTo(1.0607, 3);
    expect(normal?.leadAngle).toBeCloseTo(19.47, 2);
    const [axial] = identifyWorm({ ...steep, axialPitch: { threads: 6, value: 6 * Math.PI, u: 0.03 } });
    expect(axial).toMatchObject({ standard: "axial", module: 1 });
    // tan γ = 4/12
    expect(axial?.normalModule).toBeCloseTo(Math.cos(Math.atan(1 / 3)), 6);
    expect(
      identifyWorm({ ...steep, starts: 1, axialPitch: { threads: 6, value: 18.85 } }).every(
        (h) => h.standard === "axial",
      ),
    ).toBe(true);
  });
  it("any standard worm is found again", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(0.5, 0.8, 1, 1.25, 1.5, 2, 2.5),
        fc.integer({ min: 8, max: 16 }),
        fc.integer({ min: 1, max: 4 }),
        (m, q, starts) => {
          expect(
            identifyWorm({
              kind: "worm",
              starts,
              tipDiameter: q * m + 2 * m,
              axialPitch: { threads: 5, value: 5 * Math.PI * m },
            })[0]?.module,
          ).toBe(m);
        },
      ),
    );
  });
  it("ask for what is missing", () => {
    expect(() => identifyWorm({ kind: "worm", starts: 1, tipDiameter: 12 })).toThrow(
      /measure along the worm/,
    );
  });
});
