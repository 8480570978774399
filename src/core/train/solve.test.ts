import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Fault, readWith } from "../fault";
import { solveTrain } from "./solve";
import { isSmooth, pairSizes, type TrainInput, trainInput, wheelsOf } from "./train";

const spur = (
  id: string,
  a: string,
  za: number,
  b: string,
  zb: number,
  kind: "spur" | "internal" | "bevel" | "belt" | "worm" = "spur",
) => ({ id, kind, driver: { shaft: a, teeth: za }, driven: { shaft: b, teeth: zb } }) as const;
const train = (rpm: number, ...meshes: TrainInput["meshes"]): TrainInput => ({
  input: { shaft: "motor", rpm },
  meshes,
});
const rpmOf = (t: TrainInput, shaft: string): number | null | undefined =>
  solveTrain(t).shafts.find((s) => s.shaft === shaft)?.rpm;

describe("one tooth out where two ways add up", () => {
  it("moves the carrier by its own share, and not by the ratio of the speeds", () => {
    // sun 20 straight from the motor, ring 60 by a pair 30/60 of an inner and an outer rim: a tooth out at
    // that pair is 6° at the ring, of which the carrier gets 60/80
    const train: TrainInput = {
      input: { shaft: "motor", rpm: 1000 },
      meshes: [
        {
          id: "side",
          kind: "spur",
          driver: { shaft: "motor", teeth: 30 },
          driven: { shaft: "rim", teeth: 60 },
        },
        {
          id: "set",
          kind: "planetary",
          sun: { shaft: "motor", teeth: 20 },
          ring: { shaft: "rim", teeth: 60 },
          carrier: { shaft: "out" },
          planets: 4,
          planetTeeth: 20,
        },
      ],
    };
    const off = (id: string) =>
      Object.fromEntries(
        (solveTrain(train).meshes.find((m) => m.id === id)?.oneToothOff ?? []).map((o) => [
          o.shaft,
          o.degrees,
        ]),
      );
    expect(off("side").rim).toBeCloseTo(6, 9);
    expect(off("side").out).toBeCloseTo((6 * 60) / 80, 9);
    // in the set itself: 360°/(z_s + z_r)
    expect(off("set").out).toBeCloseTo(360 / 80, 9);
  });
});

describe("planetary sets that are held elsewhere, or too full", () => {
  const set = (held: "sun" | "ring" | "carrier", more: object = {}): TrainInput => {
    const shaft = (role: string): string =>
      role === held
        ? "frame"
        : role === (held === "ring" ? "sun" : held === "sun" ? "ring" : "sun")
          ? "motor"
          : "out";
    return {
      input: { shaft: "motor", rpm: 1000 },
      meshes: [
        {
          id: "p",
          kind: "planetary",
          sun: { shaft: shaft("sun"), teeth: 20 },
          ring: { shaft: shaft("ring"), teeth: 60 },
          carrier: { shaft: shaft("carrier") },
          planets: 4,
          planetTeeth: 20,
          ...more,
        },
      ],
    };
  };
  it("have the ratio of the two that turn: 4 with the ring held, 4/3 with the sun held, 3 with the carrier held", () => {
    expect(solveTrain(set("ring")).meshes[0]?.ratio).toBeCloseTo(4, 9);
    expect(solveTrain(set("sun")).meshes[0]?.ratio).toBeCloseTo(4 / 3, 9);
    expect(solveTrain(set("carrier")).meshes[0]?.ratio).toBeCloseTo(3, 9);
  });
  it("with the sun held, a tooth out still moves the carrier: 360° over all teeth", () => {
    const off = solveTrain(set("sun")).meshes[0]?.oneToothOff;
    expect(off?.find((o) => o.shaft === "out")?.degrees).toBeCloseTo(360 / 80, 9);
  });
  it("planets that would touch are named, with how many find room", () => {
    expect(solveTrain(set("ring")).problems).toEqual([]);
    // (12 + 24) sin 45° = 25.5 modules apart, 26 over the tips
    const full = set("ring", {
      sun: { shaft: "motor", teeth: 12 },
      ring: { shaft: "frame", teeth: 60 },
      planetTeeth: 24,
      planets: 4,
    });
    expect(
      solveTrain(full)
        .problems.map((p) => p.says)
        .join(),
    ).toMatch(/4 planets of 24 teeth collide: their tips would overlap by 0.5 modules; at most 3 find room/);
  });
});

describe("speeds of a train", () => {
  it("are those of the description's example", () => {
    const t = solveTrain(train(18000, spur("m1", "motor", 9, "lay", 45)));
    expect(t.shafts[1]).toEqual({
      shaft: "lay",
      rpm: 3600,
      turnsPerInputTurn: 0.2,
      direction: -1,
      onceHz: 60,
    });
    expect(t.meshes[0]).toMatchObject({
      ratio: 5,
      meshHz: 2700,
      sameTeethEvery: { driverTurns: 5, drivenTurns: 1 },
    });
  });

  it("turn the other way at each pair of external gears, the same way in a ring, on a belt", () => {
    const t = solveTrain(
      train(
        1000,
        spur("a", "motor", 10, "b", 20),
        spur("b", "b", 10, "c", 20),
        spur("c", "c", 10, "d", 40, "internal"),
        spur("d", "d", 20, "e", 20, "belt"),
      ),
    );
    expect(t.shafts.map((s) => s.direction)).toEqual([1, -1, 1, 1, 1]);
    expect(t.problems).toEqual([]);
  });

  it("past a bevel or a worm the direction is not said, as the axis is another", () => {
    const t = solveTrain(
      train(1200, spur("w", "motor", 2, "wheel", 40, "worm"), spur("s", "wheel", 12, "out", 36)),
    );
    expect(t.shafts.map((s) => [Math.round((s.rpm ?? 0) * 1e9) / 1e9, s.direction])).toEqual([
      [1200, 1],
      [60, null],
      [20, null],
    ]);
  });

  it("a planetary set with the ring held: carrier over sun = z_s/(z_s + z_r); with the carrier held it turns the ring back", () => {
    const set = (ring: string, carrier: string) =>
      ({
        id: "p",
        kind: "planetary",
        sun: { shaft: "motor", teeth: 12 },
        ring: { shaft: ring, teeth: 60 },
        carrier: { shaft: carrier },
        planets: 3,
        planetTeeth: 24,
      }) as const;
    const held = solveTrain(train(600, set("frame", "out")));
    expect(held.shafts[1]?.rpm).toBeCloseTo(100, 9);
    expect(held.shafts[1]?.direction).toBe(1);
    // planets meet the sun at the speed against the carrier: (600 − 100) × 12 / 60
    expect(held.meshes[0]?.meshHz).toBeCloseTo(100, 9);
    const star = solveTrain(train(600, set("out", "frame")));
    expect(star.shafts[1]?.rpm).toBeCloseTo(120, 9);
    expect(star.shafts[1]?.direction).toBe(-1);
  });

  it("two planetary sets one after the other multiply (a drill's gearbox: 10:1 and 6:1)", () => {
    const set = (id: string, sun: string, zs: number, zr: number, carrier: string) =>
      ({
        id,
        kind: "planetary",
        sun: { shaft: sun, teeth: zs },
        ring: { shaft: "frame", teeth: zr },
        carrier: { shaft: carrier },
      }) as const;
    expect(
      rpmOf(train(18000, set("p1", "motor", 6, 54, "c1"), set("p2", "c1", 9, 45, "out")), "out"),
    ).toBeCloseTo(300, 6);
  });

  it("a planetary set with nothing held is free, with two inputs joined it is settled", () => {
    const set = {
      id: "p",
      kind: "planetary",
      sun: { shaft: "motor", teeth: 20 },
      ring: { shaft: "r", teeth: 40 },
      carrier: { shaft: "c" },
    } as const;
    const free = solveTrain(train(100, set));
    expect(free.shafts.filter((s) => s.rpm === null).map((s) => s.shaft)).toEqual(["r", "c"]);
    expect(free.problems.map((p) => p.at).sort()).toEqual(["c", "r"]);
    // ring driven from the sun's shaft by a pair 20:40, the other way: (20·100 − 40·50)/60 = 0
    expect(rpmOf(train(100, set, spur("x", "motor", 20, "r", 40)), "c")).toBeCloseTo(0, 9);
  });

  it("a train that drives a shaft twice at speeds that do not agree locks, and the mesh is named", () => {
    const t = solveTrain(train(100, spur("a", "motor", 10, "out", 20), spur("b", "motor", 10, "out", 21)));
    expect(t.problems).toEqual([
      { at: "b", says: expect.stringMatching(/the train locks: .* are driven twice/) },
    ]);
    expect(
      solveTrain(train(100, spur("a", "motor", 10, "out", 20), spur("b", "motor", 11, "out", 22))).problems,
    ).toEqual([]);
  });

  it("two bevel paths to one shaft agree whichever way the eye counts them", () => {
    const t = train(
      100,
      spur("a", "motor", 10, "x", 20, "bevel"),
      spur("b", "x", 20, "y", 20, "bevel"),
      spur("c", "motor", 10, "y", 20),
    );
    expect(solveTrain(t).problems).toEqual([]);
    expect(rpmOf(t, "y")).toBeCloseTo(50, 9);
  });

  it("names a shaft that nothing drives", () => {
    const t = solveTrain(train(100, spur("a", "motor", 10, "b", 20), spur("z", "p", 10, "q", 20)));
    expect(t.problems.map((p) => p.says)).toContain("nothing drives q: no mesh joins it to motor");
  });

  it("says where planets do not fit", () => {
    const says = solveTrain(
      train(100, {
        id: "p",
        kind: "planetary",
        sun: { shaft: "motor", teeth: 12 },
        ring: { shaft: "frame", teeth: 61 },
        carrier: { shaft: "out" },
        planets: 3,
        planetTeeth: 24,
      }),
    ).problems.map((p) => p.says);
    expect(says[0]).toMatch(/should have 60 teeth/);
    expect(says[1]).toMatch(/73 teeth is not a multiple of 3/);
  });

  it("asks whether a worm is driven by its wheel, whether a shaft meets itself, whether two meshes share a name", () => {
    const says = solveTrain(
      train(
        100,
        spur("m", "motor", 40, "worm", 1, "worm"),
        spur("m", "worm", 10, "worm", 10),
        spur("i", "worm", 30, "o", 30, "internal"),
      ),
    )
      .problems.map((p) => p.says)
      .join(" ");
    expect(says).toMatch(/wheel drives the worm/);
    expect(says).toMatch(/joins a shaft with itself/);
    expect(says).toMatch(/two meshes are called m/);
    expect(says).toMatch(/cannot have the same number/);
  });
});

describe("laws of trains", () => {
  const chain = fc.array(
    fc.tuple(
      fc.constantFrom("spur" as const, "internal" as const, "belt" as const),
      fc.integer({ min: 8, max: 40 }),
      fc.integer({ min: 8, max: 90 }),
    ),
    { minLength: 1, maxLength: 8 },
  );
  const built = (steps: readonly (readonly ["spur" | "internal" | "belt", number, number])[]): TrainInput =>
    train(
      1000,
      ...steps.map(([kind, a, b], i) =>
        spur(`m${i}`, i ? `s${i}` : "motor", a, `s${i + 1}`, kind === "internal" ? b + 50 : b, kind),
      ),
    );

  it("the last shaft turns by the product of the ratios, whatever the order of the list", () => {
    fc.assert(
      fc.property(chain, (steps) => {
        const t = built(steps);
        const product = t.meshes.reduce(
          (r, m) => (m.kind === "planetary" ? r : (r * pairSizes(m)[0]) / pairSizes(m)[1]),
          1000,
        );
        const last = `s${steps.length}`;
        expect(rpmOf(t, last)).toBeCloseTo(product, 6);
        expect(rpmOf({ ...t, meshes: [...t.meshes].reverse() }, last)).toBeCloseTo(product, 6);
      }),
    );
  });

  it("teeth that pass at the two gears of a pair are the same number; the same two meet again after whole turns of both", () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 90 }), fc.integer({ min: 5, max: 90 }), (a, b) => {
        const t = solveTrain(train(60, spur("m", "motor", a, "o", b)));
        const every = t.meshes[0]?.sameTeethEvery;
        expect((every?.driverTurns ?? 0) * a).toBe((every?.drivenTurns ?? 0) * b);
        expect(t.meshes[0]?.meshHz).toBeCloseTo(((t.shafts[1]?.rpm ?? 0) * b) / 60, 9);
      }),
    );
  });

  it("one tooth off is one pitch at both gears of the mesh, and scales with the speeds elsewhere", () => {
    fc.assert(
      fc.property(chain, (steps) => {
        const t = built(steps);
        const { shafts, meshes } = solveTrain(t);
        t.meshes.forEach((m, i) => {
          if (m.kind === "planetary" || isSmooth(m)) return;
          const off = (s: string): number =>
            meshes[i]?.oneToothOff.find((x) => x.shaft === s)?.degrees ?? Number.NaN;
          expect(off(m.driver.shaft)).toBeCloseTo(360 / m.driver.teeth, 9);
          expect(off(m.driven.shaft)).toBeCloseTo(360 / m.driven.teeth, 9);
          const last = shafts.at(-1);
          expect(off(last?.shaft ?? "") / off(m.driven.shaft)).toBeCloseTo(
            (last?.rpm ?? 0) / (shafts.find((s) => s.shaft === m.driven.shaft)?.rpm ?? 1),
            6,
          );
        });
      }),
    );
  });
});

describe("a mesh that nobody has counted yet", () => {
  const first = spur("a", "motor", 10, "lay", 20);
  const open = { ...spur("b", "lay", 12, "out", 36), assumed: true } as const;
  it("works nothing out, says so at itself, and leaves the rest as it is", () => {
    const answer = solveTrain(train(1000, first, open));
    expect(answer.shafts.map((s) => [s.shaft, s.rpm])).toEqual([
      ["motor", 1000],
      ["lay", 500],
      ["out", null],
    ]);
    expect(answer.meshes[1]).toEqual({
      id: "b",
      ratio: null,
      meshHz: null,
      sameTeethEvery: null,
      oneToothOff: [],
    });
    expect(answer.problems).toEqual([
      { at: "b", says: "the counts of the mesh of lay and out are only a beginning: type what you counted" },
    ]);
  });
  it("locks nothing, and a shaft that stands apart all the same is named", () => {
    expect(
      solveTrain(train(1000, first, { ...spur("b", "motor", 10, "lay", 30), assumed: true })).problems.map(
        (p) => p.at,
      ),
    ).toEqual(["b"]);
    expect(
      solveTrain(train(1000, first, open, spur("c", "x", 10, "y", 10)))
        .problems.map((p) => p.at)
        .sort(),
    ).toEqual(["b", "x", "y"]);
  });
});

describe("a train from outside", () => {
  it.each([
    [{ input: { shaft: "m", rpm: -1 }, meshes: [] }, "input.rpm", /not negative/],
    [{ input: { shaft: "m", rpm: 1 }, meshes: [{ id: "a", kind: "magic" }] }, "meshes[0].kind", /none of/],
    [
      { input: { shaft: "m", rpm: 1 }, meshes: [spur("a", "m", 2, "b", 20)] },
      "meshes[0].driver.teeth",
      /4 or more/,
    ],
    [
      { input: { shaft: "m", rpm: 1 }, meshes: [spur("a", "m", 9.5, "b", 20)] },
      "meshes[0].driver.teeth",
      /whole number/,
    ],
    [{ input: { shaft: "", rpm: 1 }, meshes: [] }, "input.shaft", /needs a name/],
    [{ input: { shaft: "m", rpm: 1 }, meshes: [], colour: 1 }, "", /does not know the key "colour"/],
  ])("is refused with its place: %j", (input, path, says) => {
    expect(() => readWith(trainInput, input)).toThrow(Fault);
    try {
      readWith(trainInput, input);
    } catch (e) {
      expect((e as Fault).path).toBe(path);
      expect((e as Fault).says).toMatch(says);
    }
  });

  it("names its wheels as a bench does", () => {
    expect(wheelsOf(spur("w", "a", 1, "b", 30, "worm")).map((w) => w.says)).toEqual([
      "worm",
      "30-tooth worm wheel",
    ]);
    expect(wheelsOf(spur("i", "a", 60, "b", 15, "internal")).map((w) => w.says)).toEqual([
      "60-tooth ring",
      "15-tooth gear",
    ]);
    expect(wheelsOf(spur("b", "a", 20, "b", 30, "belt")).map((w) => w.says)).toEqual([
      "20-tooth pulley",
      "30-tooth pulley",
    ]);
  });
});
