import { describe, expect, it } from "vitest";
import { answered, grease, oil, room } from "./asked-for-tests";
import type { LubeAsk, LubeRoom } from "./lube-ask";
import type { Lubricant } from "./lubricant";

/** A shelf as a shop has it, names made up: what is taken of it for each of these, and why. */
const SHELF: Lubricant[] = [
  grease("gear-00", { nlgi: -1, ep: true, viscosityMm2s: 150 }),
  grease("gear-0-moly", { nlgi: 0, ep: true, solids: ["MoS2"], viscosityMm2s: 220 }),
  grease("multi-2", { nlgi: 2, viscosityMm2s: 100 }),
  grease("fast-2", { nlgi: 2, thickener: "PU", baseOil: "PAO", viscosityMm2s: 68, mostC: 160 }),
  grease("food-1", { thickener: "AlX", baseOil: "PAO", h1: true, viscosityMm2s: 150, leastC: -40 }),
  grease("food-00", {
    thickener: "AlX",
    baseOil: "PAO",
    h1: true,
    nlgi: -1,
    viscosityMm2s: 220,
    leastC: -10,
  }),
  grease("food-2-hot", {
    thickener: "CaS",
    baseOil: "PAO",
    h1: true,
    nlgi: 2,
    viscosityMm2s: 100,
    mostC: 180,
    leastC: -20,
  }),
  grease("plastic-1", { baseOil: "PAO", viscosityMm2s: 100, solids: ["PTFE"], leastC: -50 }),
  grease("silicone-2", {
    thickener: "silica",
    baseOil: "silicone",
    nlgi: 2,
    viscosityMm2s: 350,
    h1: true,
    leastC: -40,
    mostC: 200,
  }),
  oil("sewing", { viscosityMm2s: 15 }),
  oil("clock", { viscosityMm2s: 100, baseOil: "PAO", leastC: -20 }),
  oil("spring-oil", { viscosityMm2s: 220 }),
];
const taken = (
  r: Partial<LubeRoom>,
  more: Partial<LubeAsk> = {},
): [string | null, (string | null)[], string[]] => {
  const a = answered(room(r), SHELF, more);
  const best = a.verdicts[0];
  return [
    a.choice,
    a.points.map((p) => p.lubricant),
    best?.reasons.filter((x) => !x.against).map((x) => x.rule) ?? [],
  ];
};

describe("a sensible pick", () => {
  it("rotary hammer: soft grease that carries blows, in the gears and at the striker", () => {
    const gears = {
      hottestC: 90,
      points: [
        { id: "t", kind: "gear-teeth", materials: ["steel", "steel"], pitchLineMPerS: 4, load: "shock" },
      ],
    } satisfies Partial<LubeRoom>;
    expect(taken(gears)[0]).toMatch(/^gear-0/);
    const striker = { hottestC: 100, points: [{ id: "s", kind: "striker" }] } satisfies Partial<LubeRoom>;
    expect(taken(striker)).toEqual([
      "gear-0-moly",
      ["gear-0-moly"],
      expect.arrayContaining(["load", "consistency"]),
    ]);
  });
  it("slicer with a worm wheel of bronze: H1, and no EP that eats it", () => {
    const slicer = {
      hottestC: 80,
      points: [{ id: "w", kind: "worm", materials: ["steel", "bronze"], pitchLineMPerS: 0.8 }],
    } satisfies Partial<LubeRoom>;
    expect(taken(slicer, { foodContact: true })).toEqual([
      "food-00",
      ["food-00"],
      expect.arrayContaining(["food", "EP on copper"]),
    ]);
    expect(taken(slicer)[0]).not.toMatch(/^gear/);
  });
  it("juicer, nylon on steel: H1 in class 1, which plastic teeth like", () => {
    const juicer = {
      materials: ["steel", "ABS"],
      points: [{ id: "t", kind: "gear-teeth", materials: ["steel", "PA66"], pitchLineMPerS: 1.2 }],
    } satisfies Partial<LubeRoom>;
    expect(taken(juicer, { foodContact: true })).toEqual([
      "food-1",
      ["food-1"],
      expect.arrayContaining(["food", "plastics", "plastic teeth"]),
    ]);
  });
  it("hedge shear: crown gear of steel, packed, outdoors", () => {
    const shear = {
      coldestC: -10,
      hottestC: 80,
      points: [
        { id: "t", kind: "gear-teeth", materials: ["steel", "steel"], pitchLineMPerS: 3, load: "shock" },
      ],
    } satisfies Partial<LubeRoom>;
    expect(taken(shear)[0]).toBe("gear-0-moly");
    expect(taken(shear, { school: "packed" })[0]).not.toBe("silicone-2");
  });
  it("ice-cream churn at −15 °C: what still moves there", () => {
    const churn = {
      coldestC: -15,
      hottestC: 40,
      materials: ["steel", "POM"],
      points: [{ id: "t", kind: "gear-teeth", materials: ["steel", "POM"], pitchLineMPerS: 0.5 }],
    } satisfies Partial<LubeRoom>;
    // food-00 is the softer one, and stiff at −15
    expect(taken(churn, { foodContact: true })[0]).toBe("food-1");
  });
  it("pasta extruder: hot, slow and food: the one that stands the heat", () => {
    const extruder = {
      hottestC: 115,
      points: [{ id: "t", kind: "gear-teeth", materials: ["steel", "steel"], pitchLineMPerS: 0.3 }],
    } satisfies Partial<LubeRoom>;
    expect(taken(extruder, { foodContact: true })[0]).toBe("food-2-hot");
  });
  it("polisher bearings: a thin PAO in class 2 at speed", () => {
    const bearings = {
      freeVolumeMl: null,
      hottestC: 90,
      points: [
        { id: "b", kind: "rolling-bearing", bearing: { bore: 12, outside: 32, width: 10 }, rpm: 22_000 },
      ],
    } satisfies Partial<LubeRoom>;
    expect(taken(bearings)).toEqual([
      "fast-2",
      ["fast-2"],
      expect.arrayContaining(["consistency", "bearing speed"]),
    ]);
  });
  it("points of a machine that sews: oil by the drop, grease nowhere in the bushes", () => {
    const sewing = {
      freeVolumeMl: null,
      hottestC: 45,
      points: [
        { id: "a", kind: "sintered-bush" },
        { id: "b", kind: "clock-pivot" },
      ],
    } satisfies Partial<LubeRoom>;
    const [choice, points] = taken(sewing);
    expect(["sewing", "clock", "spring-oil"]).toContain(choice);
    expect(points).not.toContain(null);
  });
  it("wind-up spring motor: oil at the pivots, grease at the teeth", () => {
    const motor = {
      freeVolumeMl: null,
      hottestC: 35,
      points: [
        { id: "p", kind: "clock-pivot" },
        { id: "t", kind: "gear-teeth", materials: ["steel", "brass"], pitchLineMPerS: 0.1 },
      ],
    } satisfies Partial<LubeRoom>;
    const [choice, [pivot, teeth]] = taken(motor);
    expect(choice).toBe(teeth);
    expect(["sewing", "clock", "spring-oil"]).toContain(pivot);
  });
  it("cordless planetary: plastic ring on steel planets, not silicone", () => {
    const planetary = {
      hottestC: 80,
      materials: ["steel", "PA66"],
      points: [{ id: "t", kind: "gear-teeth", materials: ["steel", "PA66"], pitchLineMPerS: 2 }],
    } satisfies Partial<LubeRoom>;
    expect(taken(planetary)[0]).toBe("plastic-1");
  });
  it("ratchet head: a thin film of a soft one", () => {
    const head = {
      freeVolumeMl: null,
      hottestC: 50,
      points: [{ id: "r", kind: "ratchet", materials: ["steel", "steel"] }],
    } satisfies Partial<LubeRoom>;
    const [choice] = taken(head);
    expect(SHELF.find((l) => l.id === choice)?.nlgi).toBeLessThanOrEqual(1);
  });
  it("breadmaker: bush of its kneading shaft above the food, lip of silicone rubber", () => {
    const bread = {
      freeVolumeMl: null,
      hottestC: 115,
      seals: ["silicone"],
      points: [{ id: "l", kind: "seal-lip" }],
    } satisfies Partial<LubeRoom>;
    expect(taken(bread, { foodContact: true })[0]).toBe("food-2-hot");
  });
});
