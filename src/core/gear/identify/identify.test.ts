import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Fault, readWith } from "../../fault";
import type { Gear } from "../dimensions";
import { overPins } from "../over-pins";
import { identifyGear } from "./identify";
import { type IdentifyInput, identifyInput } from "./input";
import { AS_DRAWN, madeGear, plainGear } from "./made-gear";

const readingsOf = (g: Gear): IdentifyInput => madeGear(g, AS_DRAWN);
const made = (g: Gear): IdentifyInput => madeGear(g);
const spur = plainGear;

describe("naming a gear", () => {
  it("names the example of its description", () => {
    const { hypotheses } = identifyGear({
      kind: "spur",
      teeth: 20,
      tipDiameter: 22.01,
      spans: [{ teeth: 3, value: 7.66 }],
    });
    expect(hypotheses[0]).toMatchObject({ module: 1, pressureAngle: 20, system: "module", profileShift: 0 });
  });

  it("finds a standard module again from exact readings, and is sure", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 24, max: 80 }),
        fc.constantFrom(0.5, 0.8, 1, 1.25, 1.5, 2, 2.5),
        (z, m) => {
          const [first] = identifyGear(readingsOf(spur(z, m))).hypotheses;
          expect(first).toMatchObject({ module: m, pressureAngle: 20 });
          expect(first?.probability).toBeGreaterThan(0.8);
        },
      ),
      { numRuns: 60 },
    );
  });

  it("tells 24 DP from module 1, and 14.5° from 20°", () => {
    expect(identifyGear(readingsOf(spur(40, 25.4 / 24))).hypotheses[0]).toMatchObject({
      system: "diametral-pitch",
      diametralPitch: 24,
      pressureAngle: 20,
    });
    expect(
      identifyGear(readingsOf(spur(40, 25.4 / 24, { pressureAngleDeg: 14.5 }))).hypotheses[0],
    ).toMatchObject({ diametralPitch: 24, pressureAngle: 14.5 });
  });

  it("finds shift and helix as well", () => {
    expect(identifyGear(made(spur(13, 1, { profileShift: 0.3 }))).hypotheses[0]).toMatchObject({
      module: 1,
      profileShift: 0.3,
    });
    const [helical] = identifyGear(readingsOf(spur(41, 1, { helixAngleDeg: 18 }))).hypotheses;
    expect(helical?.module).toBe(1);
    expect(helical?.helixAngle).toBeCloseTo(18, 0);
  });

  it("is not fooled by worn tips when told of them", () => {
    const worn = readingsOf(spur(40, 1));
    const [first] = identifyGear({
      ...worn,
      tipDiameter: { value: 42 - 0.35, u: 0.03 },
      tipsWorn: true,
    }).hypotheses;
    expect(first?.module).toBe(1);
  });

  it("counts the teeth itself when nobody did", () => {
    const { teeth: _, ...uncounted } = readingsOf(spur(37, 0.8));
    expect(identifyGear(uncounted).hypotheses[0]).toMatchObject({ teeth: 37, module: 0.8 });
  });

  it("uses a measurement over pins and a mate's centre distance", () => {
    const g = spur(32, 1.5);
    const pins = identifyGear({ kind: "spur", teeth: 32, overPins: { pin: 2.5, value: overPins(g, 2.5) } });
    expect(pins.hypotheses[0]?.module).toBe(1.5);
    const blurred = { kind: "spur", teeth: 32, tipDiameter: { value: 50.6, u: 4 } } as const;
    const alone = identifyGear(blurred).hypotheses.find((h) => h.module === 1.5)?.probability ?? 0;
    const mated =
      identifyGear({ ...blurred, mate: { teeth: 12, centreDistance: 33 } }).hypotheses.find(
        (h) => h.module === 1.5,
      )?.probability ?? 0;
    expect(mated).toBeGreaterThan(alone + 0.1);
  });

  it("gives probabilities that never pass one, best first", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 90 }),
        fc.double({ min: 6, max: 200, noNaN: true }),
        (teeth, tip) => {
          const { hypotheses } = identifyGear({ kind: "spur", teeth, tipDiameter: tip });
          const p = hypotheses.map((h) => h.probability);
          expect(p.reduce((a, b) => a + b, 0)).toBeLessThanOrEqual(1 + 1e-9);
          expect([...p].sort((a, b) => b - a)).toEqual(p);
        },
      ),
      { numRuns: 40 },
    );
  });

  it("names the reading that would settle it, and none when it is sure", () => {
    const unsure = identifyGear({ kind: "spur", teeth: 40, tipDiameter: { value: 44.35, u: 0.4 } });
    expect(unsure.hypotheses[0]?.probability).toBeLessThan(0.95);
    expect(unsure.next?.take).toMatch(/span over \d+ teeth|centre distance/);
    expect(unsure.next?.why).toMatch(/% sure/);
    expect(identifyGear(readingsOf(spur(60, 2))).next).toBeNull();
  });

  it("says by how much each reading is off what such a gear shows as it is made: tips a little low", () => {
    const [first] = identifyGear({ ...made(spur(30, 1)), tipDiameter: { value: 32.0, u: 0.03 } }).hypotheses;
    expect(first?.residuals.find((r) => r.what === "tip diameter")).toMatchObject({
      measured: 32,
      expected: 31.96,
      sigmas: 0.9,
    });
  });
  it("tells everything that was used: the helix, the arc and the mate's distance too", () => {
    const g = spur(41, 1, { helixAngleDeg: 18 });
    const [first] = identifyGear({
      ...made(g),
      arc: { pitches: 12, angle: 105.4 },
      mate: { teeth: 9, centreDistance: 50 / 2 / Math.cos((18 * Math.PI) / 180) },
    }).hypotheses;
    expect(first?.residuals.map((r) => r.what)).toEqual([
      "tip diameter",
      "span over 6",
      "span over 7",
      "centre distance",
      "helix angle",
      "arc over 12 pitches",
    ]);
    for (const r of first?.residuals ?? []) expect(Math.abs(r.sigmas)).toBeLessThan(2);
  });
});

describe("what cannot be named", () => {
  it("refuses too little", () => {
    expect(() => identifyGear({ kind: "spur", teeth: 20 })).toThrow(/too little/);
    expect(() => identifyGear({ kind: "spur", tipDiameter: 20 })).toThrow(/too little/);
  });

  it.each([
    [{ kind: "bevel" }, "kind"],
    [{ kind: "spur", teeth: 2 }, "teeth"],
    [{ kind: "spur", tipDiameter: -3 }, "tipDiameter"],
    [{ kind: "spur", spans: [{ teeth: 2.5, value: 3 }] }, "spans[0].teeth"],
    [{ kind: "spur", colour: "white" }, ""],
  ])("refuses %o and names the place", (input, path) => {
    try {
      readWith(identifyInput, input);
      expect.unreachable();
    } catch (e) {
      expect(e).toBeInstanceOf(Fault);
      expect((e as Fault).path).toBe(path);
    }
  });
});
