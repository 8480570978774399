import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { findFuse } from "./fuse";
import { MATERIALS } from "./materials";
import { bevelRootStress, LEWIS_20_FULL, lewisFactor, rootStress, shiftFactor } from "./root-stress";
import type { TrainInput } from "./train";

describe("the root of a tooth", () => {
  it("Lewis: 20 N m on 20 teeth, module 2, 20 mm wide is 77.6 N/mm²", () => {
    expect(rootStress({ teeth: 20, moduleMm: 2, faceWidthMm: 20 }, 20)).toBeCloseTo(
      1000 / (20 * 2 * 0.322),
      6,
    );
  });
  it("the form factor has the table's values, rises with the count and stays under the rack's", () => {
    for (const [z, y] of LEWIS_20_FULL) expect(lewisFactor(z)).toBeCloseTo(y, 9);
    fc.assert(
      fc.property(
        fc.integer({ min: 6, max: 2000 }),
        (z) => lewisFactor(z + 1) >= lewisFactor(z) && lewisFactor(z) < 0.485,
      ),
    );
    // between rows: textbooks give 0.397 for 43 teeth, 0.421 for 60
    expect(lewisFactor(43)).toBeCloseTo(0.397, 2);
    expect(lewisFactor(60)).toBeCloseTo(0.421, 2);
  });
  it("the table agrees with Lewis's own rack limit through Y = π(0.154 − 0.912/z) within a few hundredths", () => {
    // Barth's empirical line for 20° full depth; the drawn values lie within 0.03 of it from 14 teeth on
    for (const [z, y] of LEWIS_20_FULL.filter(([z]) => z >= 14))
      expect(Math.abs(y - Math.PI * (0.154 - 0.912 / z))).toBeLessThan(0.03);
  });
  it("a tooth shifted outwards is stronger at its root, the more the smaller the gear", () => {
    expect(shiftFactor(20, 0)).toBe(1);
    // handbooks give Y of 12 teeth with x = 0.5 a quarter to a third over the unshifted one
    expect(shiftFactor(12, 0.5)).toBeGreaterThan(1.2);
    expect(shiftFactor(12, 0.5)).toBeLessThan(1.9);
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 60 }),
        fc.double({ min: 0.05, max: 0.5, noNaN: true }),
        (z, x) => shiftFactor(z, x) > 1 && shiftFactor(z, -x / 4) < 1,
      ),
      { numRuns: 40 },
    );
    expect(shiftFactor(12, 0.4)).toBeGreaterThan(shiftFactor(50, 0.4));
  });
  it("a bevel is reckoned at the middle of its face: 20 and 40 teeth, m 2, b 10", () => {
    // δ = 26.565°: d = 40, d_m = 40 − 10 sin δ = 35.528, m_m = 1.7764, z_v = 22.36; F = 2000/35.528 = 56.3 N
    // a newton metre
    const expected = 2000 / 35.528 / (10 * 1.7764 * lewisFactor(22.36));
    expect(bevelRootStress({ teeth: 20, moduleMm: 2, faceWidthMm: 10 }, 40, 1)).toBeCloseTo(expected, 2);
    expect(bevelRootStress({ teeth: 20, moduleMm: 2, faceWidthMm: 10 }, 40, 1)).toBeGreaterThan(
      rootStress({ teeth: 20, moduleMm: 2, faceWidthMm: 10 }, 1),
    );
  });
  it("doubles with the torque, halves with the width", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 8, max: 100 }),
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        (teeth, moduleMm, t) => {
          const s = rootStress({ teeth, moduleMm, faceWidthMm: 10 }, t);
          expect(rootStress({ teeth, moduleMm, faceWidthMm: 10 }, 2 * t)).toBeCloseTo(2 * s, 6);
          expect(rootStress({ teeth, moduleMm, faceWidthMm: 20 }, t)).toBeCloseTo(s / 2, 6);
        },
      ),
    );
  });
});

const gear = (shaft: string, teeth: number, material: string, price?: number) => ({
  shaft,
  teeth,
  moduleMm: 1,
  faceWidthMm: 10,
  material,
  ...(price === undefined ? {} : { price }),
});
const train: TrainInput = {
  input: { shaft: "motor", rpm: 9000, stallTorqueNm: 2.6 },
  meshes: [
    { id: "m1", kind: "spur", driver: gear("motor", 12, "steel", 40), driven: gear("lay", 48, "PA66", 9) },
    { id: "m2", kind: "spur", driver: gear("lay", 12, "steel", 14), driven: gear("out", 36, "steel", 60) },
  ],
};

/** Sun 20, three planets of 20, ring 60, carrier out, 3 N m at the motor. */
const planetary = (sun: string, ring: string): TrainInput => ({
  input: { shaft: "motor", rpm: 100, stallTorqueNm: 3 },
  meshes: [
    {
      id: "p",
      kind: "planetary",
      sun: gear(sun, 20, "steel"),
      ring: gear(ring, 60, "steel"),
      carrier: { shaft: "out" },
      planets: 3,
      planetTeeth: 20,
      planet: { moduleMm: 1, faceWidthMm: 10, material: "POM" },
    },
  ],
});

describe("the fuse of a train", () => {
  it("is the gear with the highest share of its strength", () => {
    const { gears, says } = findFuse({ train });
    expect(gears[0]?.wheel).toMatchObject({ teeth: 48, shaft: "lay" });
    expect(gears[0]?.torqueNm).toBeCloseTo(2.6 * 4 * 0.97, 9);
    expect(says).toMatch(/^the 48-tooth gear on lay \(nylon \(PA66, as used\)\) breaks first/);
    expect([...gears].sort((a, b) => b.share - a.share)).toEqual(gears);
  });
  it("a swap for steel moves the break, and warns where that is dearer", () => {
    const swapped = findFuse({
      train,
      swap: { mesh: "m1", role: "driven", material: "steel", price: 25 },
    }).swapped;
    expect(swapped?.gears[0]?.wheel).toMatchObject({ mesh: "m2", role: "driver" });
    expect(swapped?.warning).toMatch(
      /is a fuse by design\. Stronger, it moves the break to the 12-tooth gear on lay .* that costs 14\.00, not 9\.00/,
    );
  });
  it("a swap that leaves the same gear weakest warns of nothing", () => {
    const swapped = findFuse({ train, swap: { mesh: "m1", role: "driven", material: "POM" } }).swapped;
    expect(swapped?.says).toMatch(/still breaks first/);
    expect(swapped?.warning).toBeNull();
  });
  it("a break that moves to something cheaper is no warning; without prices it asks for them", () => {
    const cheap: TrainInput = {
      ...train,
      meshes: [
        { ...train.meshes[0], driven: gear("lay", 48, "PA66", 50) } as TrainInput["meshes"][0],
        train.meshes[1] as TrainInput["meshes"][0],
      ],
    };
    expect(
      findFuse({ train: cheap, swap: { mesh: "m1", role: "driven", material: "steel" } }).swapped?.warning,
    ).toBeNull();
    const unpriced: TrainInput = {
      ...train,
      input: { ...train.input, stallTorqueNm: 12 },
      meshes: [
        { id: "m1", kind: "spur", driver: gear("motor", 12, "steel"), driven: gear("lay", 48, "PA66") },
      ],
    };
    expect(
      findFuse({ train: unpriced, swap: { mesh: "m1", role: "driven", material: "hardened" } }).swapped
        ?.warning,
    ).toMatch(/write down what both cost/);
  });
  it("breaks nothing at a tenth of its strength, and says so; two that differ by less than their grades are both named", () => {
    const weak = { ...train, input: { ...train.input, stallTorqueNm: 0.2 } };
    expect(findFuse({ train: weak }).says).toMatch(
      /^No gear of this train breaks at stall: of the 48-tooth gear/,
    );
    expect(
      findFuse({ train: weak, swap: { mesh: "m1", role: "driven", material: "steel" } }).swapped?.says,
    ).toMatch(/no gear breaks at stall/);
    const alike: TrainInput = {
      ...train,
      meshes: [{ id: "m1", kind: "spur", driver: gear("motor", 20, "POM"), driven: gear("lay", 21, "POM") }],
    };
    expect(findFuse({ train: { ...alike, input: { ...train.input, stallTorqueNm: 8 } } }).says).toMatch(
      /-tooth gear on (motor|lay) .* or the .* breaks first/,
    );
  });
  it("a clutch that slips is the true fuse: nothing beyond sees more, and nothing before it either", () => {
    // 2.6 N m at the motor would be 10.1 at the lay shaft
    const clutched = { ...train, clutches: [{ shaft: "lay", slipsNm: 2 }] };
    const held = findFuse({ train: clutched });
    expect(held.clutch).toMatchObject({ shaft: "lay", slipsNm: 2 });
    expect(held.clutch?.wouldBeNm).toBeCloseTo(2.6 * 4 * 0.97, 9);
    expect(held.says).toMatch(
      /^the clutch on lay slips first, at 2 N m of the 10 N m .* no gear carries more than/,
    );
    const free = findFuse({ train });
    for (const g of held.gears) {
      const before = free.gears.find((f) => f.wheel.mesh === g.wheel.mesh && f.wheel.role === g.wheel.role);
      expect(g.share).toBeCloseTo(((before?.share ?? 0) * 2) / (2.6 * 4 * 0.97), 9);
    }
    expect(findFuse({ train: { ...train, clutches: [{ shaft: "lay", slipsNm: 50 }] } }).clutch).toBeNull();
    expect(findFuse({ train: { ...train, clutches: [{ shaft: "lay", slipsNm: 9 }] } }).says).toMatch(
      /set too tight/,
    );
  });
  it("with the sun held, ring in and carrier out, the same tooth forces stand as by the balance of the set", () => {
    // T_ring : T_sun : T_carrier = 60 : 20 : 80; 3 N m at the ring are 1 N m at the sun, a third of that for
    // each planet
    const set = planetary("frame", "motor");
    const held: TrainInput = {
      ...set,
      meshes: [
        ...set.meshes,
        { id: "m2", kind: "spur", driver: gear("out", 20, "steel"), driven: gear("end", 40, "steel") },
      ],
    };
    const by = Object.fromEntries(
      findFuse({ train: held }).gears.map((g) => [`${g.wheel.mesh} ${g.wheel.role}`, g]),
    );
    expect(by["p sun"]?.torqueNm).toBeCloseTo(1 / 3, 9);
    expect(by["p ring"]?.torqueNm).toBeCloseTo(1, 9);
    // the carrier turns 60/80 as fast: 4 N m less 4 %
    expect(by["m2 driver"]?.torqueNm).toBeCloseTo(4 * 0.96, 9);
  });
  it("planets share the sun's load; the ring's tooth carries the same force as the sun's", () => {
    const set = planetary("motor", "frame");
    const by = Object.fromEntries(findFuse({ train: set }).gears.map((g) => [g.wheel.role, g]));
    expect(by.sun?.torqueNm).toBeCloseTo(1, 9);
    expect(by.ring?.torqueNm).toBeCloseTo(3, 9);
    expect(by.planet?.stressMPa).toBeCloseTo(by.sun?.stressMPa ?? 0, 9);
  });
  it("says what is missing, and refuses a material nobody knows", () => {
    const bare: TrainInput = {
      ...train,
      meshes: [
        {
          id: "m",
          kind: "spur",
          driver: { shaft: "motor", teeth: 12, moduleMm: 1 },
          driven: gear("lay", 48, "PA66"),
        },
      ],
    };
    expect(findFuse({ train: bare }).skipped).toMatchObject([
      { wheel: { teeth: 12 }, says: "face width, material" },
    ]);
    expect(() => findFuse({ train: { ...train, input: { shaft: "motor", rpm: 1 } } })).toThrow(
      /stall torque is missing/,
    );
    expect(() =>
      findFuse({
        train: {
          ...train,
          meshes: [
            { id: "m", kind: "spur", driver: gear("motor", 12, "cheese"), driven: gear("lay", 48, "PA66") },
          ],
        },
      }),
    ).toThrow(/nobody here knows the material “cheese”/);
    expect(() => findFuse({ train, swap: { mesh: "m9", role: "driven", material: "steel" } })).toThrow(
      /has no driven in a mesh m9/,
    );
  });
  it("a stronger gear never lowers what the others carry", () => {
    fc.assert(
      fc.property(fc.constantFrom(...MATERIALS.map((m) => m.material)), (material) => {
        const before = findFuse({ train }).gears.find((g) => g.wheel.mesh === "m2");
        const after = findFuse({ train, swap: { mesh: "m1", role: "driven", material } }).swapped?.gears.find(
          (g) => g.wheel.mesh === "m2" && g.wheel.role === before?.wheel.role,
        );
        expect(after?.share).toBeCloseTo(before?.share ?? 0, 9);
      }),
    );
  });
});
