import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Fault } from "../fault";
import { answered, ask, grease, oil, room } from "./asked-for-tests";
import { BASE_OILS, viscosityAt } from "./base-oils";
import { askFrom, type LubeAsk, type LubePlace, type LubeRoom, lubeAsk } from "./lube-ask";
import type { Lubricant } from "./lubricant";
import { POINT_KIND_NAMES } from "./point-kinds";
import { specifyLube } from "./specify";
import { THICKENERS } from "./thickeners";
import { bearingKappa, bearingSpeed, toothViscosity } from "./viscosity";

describe("a hard rule", () => {
  /** one that nothing speaks against in the room as it stands, and the change that forbids it */
  const cases: readonly (readonly [
    string,
    Partial<Lubricant>,
    Partial<LubeRoom>,
    Partial<LubeAsk>,
    RegExp,
  ])[] = [
    ["food", {}, {}, { foodContact: true }, /H1/],
    ["plastics", { baseOil: "ester" }, { materials: ["steel", "ABS"] }, {}, /cracks/],
    ["plastics", { baseOil: "ester" }, { materials: ["steel", "PC-GF10"] }, {}, /cracks/],
    ["seals", {}, { seals: ["EPDM"] }, {}, /swells/],
    [
      "seals",
      { baseOil: "silicone" },
      { seals: ["silicone"], points: [{ id: "l", kind: "seal-lip" }] },
      {},
      /swells/,
    ],
    ["cold", { leastC: -10 }, { coldestC: -15 }, {}, /-15 °C/],
    ["temperature", { mostC: 89 }, { hottestC: 70 }, {}, /20 K/],
    [
      "EP on copper",
      { ep: true },
      { hottestC: 80, points: [{ id: "w", kind: "worm", materials: ["steel", "sintered bronze"] }] },
      {},
      /active is not said.*eats sintered bronze/,
    ],
    [
      "EP on copper",
      { ep: true, activeSulphur: true },
      { hottestC: 40, points: [{ id: "w", kind: "worm", materials: ["steel", "bronze"] }] },
      {},
      /eats bronze even cold/,
    ],
    ["plastics", { baseOil: "ester" }, { materials: ["steel", "acrylic"] }, {}, /cracks/],
    ["plastics", { baseOil: "ester" }, { materials: ["steel", "PPO"] }, {}, /cracks/],
    ["seals", { baseOil: "ester" }, { seals: ["EPDM"] }, {}, /swells/],
    ["seals", { baseOil: "ester" }, { seals: ["neoprene"] }, {}, /swells/],
    ["seals", { baseOil: "mineral" }, { seals: ["natural rubber"] }, {}, /swells/],
    [
      "EP on copper",
      { ep: undefined },
      { hottestC: 80, points: [{ id: "w", kind: "worm", materials: ["steel", "brass"] }] },
      {},
      /not said/,
    ],
    ["bearing", { solids: ["graphite"] }, { points: [{ id: "b", kind: "rolling-bearing" }] }, {}, /graphite/],
    ["steel on steel", { baseOil: "silicone" }, {}, {}, /steel teeth/],
    ["sort", {}, { points: [{ id: "s", kind: "sintered-bush" }] }, {}, /oil alone/],
    ["sort", { sort: "oil" }, {}, {}, /run off/],
    ["sort", {}, { filling: "oil" }, {}, /oil bath/],
    ["old grease", {}, { old: { left: "traces", thickener: "PU", baseOil: "mineral" } }, {}, /soup/],
    ["old grease", {}, { old: { left: "all", thickener: "Na", baseOil: "mineral" } }, {}, /soup/],
    [
      "old grease",
      {},
      { old: { left: "traces", thickener: "Li12", baseOil: "silicone" } },
      {},
      /does not mix/,
    ],
  ];
  it.each(cases)("%s: forbids what would otherwise be taken", (rule, l, r, more, says) => {
    const a = answered(room(r), [grease("it", l)], more);
    expect(a.choice).toBeNull();
    const against = a.verdicts[0]?.reasons.filter((x) => x.hard && x.against) ?? [];
    expect(against.map((x) => x.rule)).toEqual([rule]);
    expect(against[0]?.says).toMatch(says);
  });
  it("knows a steel by its other names, and takes none of them for a plastic", () => {
    const teeth = (a: string, b: string) =>
      room({ points: [{ id: "t", kind: "gear-teeth", materials: [a, b] }] });
    for (const steel of ["stainless", "hardened", "sintered"]) {
      expect(answered(teeth(steel, "steel"), [grease("it", { baseOil: "silicone" })]).choice).toBeNull();
      expect(
        answered(teeth(steel, "steel"), [grease("it")]).verdicts[0]?.reasons.map((r) => r.rule),
      ).not.toContain("plastic teeth");
    }
    expect(
      answered(teeth("nylon", "steel"), [grease("it")]).verdicts[0]?.reasons.map((r) => r.rule),
    ).toContain("plastic teeth");
  });
  it("falls to none of them where nothing is the matter", () => {
    for (const l of [{}, { mostC: 90 }, { leastC: 5 }, { solids: ["graphite" as const] }])
      expect(answered(room(), [grease("it", l)]).choice).toBe("it");
    // EP below the warmth at which it eats copper
    const worm = {
      points: [{ id: "w", kind: "worm" as const, materials: ["steel", "bronze"] }],
      hottestC: 79,
    };
    expect(answered(room(worm), [grease("it", { ep: true })]).choice).toBe("it");
    // and where its sheet says that the sulphur is not active, warm as well
    const mild = grease("it", { ep: true, activeSulphur: false });
    expect(answered(room({ ...worm, hottestC: 90 }), [mild]).choice).toBe("it");
  });
  it("beats all that is soft: nobody's word, price or open tube makes a forbidden one right", () => {
    const a = answered(
      room({ makersLubricant: "wrong" }),
      [grease("wrong", { openedOn: "2026-01-02", pricePer100G: 0.1 }), grease("h1", { h1: true, nlgi: 3 })],
      {
        foodContact: true,
      },
    );
    expect(a.choice).toBe("h1");
    expect(a.verdicts.map((v) => v.ok)).toEqual([true, false]);
  });
});

describe("what is known of the old lubricant", () => {
  const old = (thickener: "AlX" | "unknown" | "CaS", baseOil: "mineral" | "unknown" = "mineral") => ({
    old: { left: "traces" as const, thickener, baseOil },
  });
  it("unknown is taken out, and then nothing of it forbids anything", () => {
    const a = answered(room(old("unknown")), [grease("it")]);
    expect([a.choice, a.takeOut]).toEqual(["it", "all"]);
    expect(answered(room(old("AlX", "unknown")), [grease("it")]).takeOut).toBe("all");
  });
  it("borderline: what can be reached comes out; the same goes together", () => {
    expect(answered(room(old("CaS")), [grease("it")])).toMatchObject({ choice: "it", takeOut: "reach" });
    expect(answered(room(old("AlX")), [grease("it", { thickener: "AlX" })])).toMatchObject({
      choice: "it",
      takeOut: "nothing",
    });
  });
  it("where only the old one stands in the way, it is said that washing helps", () => {
    const { chambers, missing } = specifyLube(ask(room(old("AlX")), [grease("Marsh")]));
    expect(chambers[0]?.choice).toBeNull();
    expect(missing[0]).toMatch(
      /with all of the old aluminium complex grease washed out, Marsh would do\. Otherwise buy a grease, NLGI 00 to 1/,
    );
  });
});

describe("what is missing", () => {
  it("is said as one asks for it over a counter", () => {
    const r = room({
      materials: ["steel", "ABS"],
      seals: ["EPDM"],
      coldestC: -15,
      hottestC: 60,
      points: [{ id: "w", kind: "worm", materials: ["steel", "bronze"] }],
    });
    const { missing } = specifyLube(ask(r, [], { foodContact: true }));
    expect(missing).toEqual([
      "For gear case: a grease, NLGI 00 to 1, registered H1, silicone or PFPE oil, good from -15 to 80 °C, without active sulphur.",
    ]);
  });
  it("one of which only the EP is not said is asked about before anything is bought; of an old one of which the oil is unknown nothing is asked", () => {
    const worm = {
      hottestC: 80,
      points: [{ id: "w", kind: "worm" as const, materials: ["steel", "brass"] }],
    };
    const old = { left: "traces" as const, thickener: "Na" as const, baseOil: "unknown" as const };
    expect(specifyLube(ask(room({ ...worm, old }), [grease("Sea", { ep: undefined })])).missing).toEqual([
      "gear case: Sea would do if the sheet says that it holds no EP additives, or none with active sulphur: say so on the shelf. Otherwise buy a grease, NLGI 00 to 1, good from 5 to 100 °C, without active sulphur.",
    ]);
  });
  it("a point that the chamber's lubricant does not suit gets another, or is named", () => {
    const r = room({ points: [...room().points, { id: "s", kind: "sintered-bush" }] });
    expect(
      specifyLube(ask(r, [grease("g"), oil("o", { viscosityMm2s: 32 })])).chambers[0]?.points.map(
        (p) => p.lubricant,
      ),
    ).toEqual(["g", "o"]);
    const without = specifyLube(ask(r, [grease("g")]));
    expect(without.chambers[0]?.points[1]).toMatchObject({ lubricant: null, grams: 0 });
    expect(without.missing).toEqual([expect.stringMatching(/^For sintered bush in gear case: an oil/)]);
  });
  it("too little of it is said, and one of which there is enough comes first", () => {
    const both = [grease("a", { stockG: 3 }), grease("b", { stockG: 300 })];
    expect(answered(room(), both).choice).toBe("b");
    expect(specifyLube(ask(room(), [both[0] as Lubricant])).missing).toEqual([
      "a: 36.0 g are needed, 3 g are left.",
    ]);
  });
});

describe("how much", () => {
  const teeth = (id: string, toothVolumeMl?: number): LubePlace => ({
    id,
    kind: "gear-teeth",
    speed: "slow",
    ...(toothVolumeMl && { toothVolumeMl }),
  });
  it("is free volume × fill × density, in the middle; teeth and bearing have theirs, the rest lies round the teeth", () => {
    const r = room({
      points: [
        teeth("t", 4),
        { id: "b", kind: "rolling-bearing", bearing: { bore: 8, outside: 22, width: 7 }, rpm: 1000 },
      ],
    });
    const a = answered(r, [grease("it")]);
    // 100 ml × 40 % × 0.9; 30 and 50 % beside it
    expect(a).toMatchObject({ grams: 36, leastGrams: 27, mostGrams: 45 });
    // G = 0.005 · 22 · 7
    expect(a.points.map((p) => p.grams)).toEqual([35.23, 0.77]);
  });
  it("fast teeth take less, a packed case more", () => {
    const fast = room({ points: [{ ...teeth("t"), pitchLineMPerS: 6 }] });
    expect(answered(fast, [grease("it")]).grams).toBe(27);
    expect(answered(room(), [grease("it")], { school: "packed" }).grams).toBe(63);
  });
  it("of teeth whose speed nobody has said, both shares are reckoned with", () => {
    const unsaid = room({ points: [{ id: "t", kind: "gear-teeth" }] });
    // 25 to 50 % of 100 ml
    expect(answered(unsaid, [grease("it")])).toMatchObject({ leastGrams: 22.5, grams: 33.75, mostGrams: 45 });
  });
  it("the maker's spread stands as it is named", () => {
    const named = room({ makersGrams: 120, makersSpread: [110, 130], freeVolumeMl: null });
    expect(answered(named, [grease("it")])).toMatchObject({ leastGrams: 110, grams: 120, mostGrams: 130 });
    expect(answered(named, [grease("it")]).by?.says).toMatch(/110 to 130 g/);
  });
  it("an impact mechanism takes 10 to 20 g where no maker names another", () => {
    const hammer = room({ freeVolumeMl: null, points: [{ id: "s", kind: "striker" }] });
    const { grams, leastGrams, mostGrams } = answered(hammer, [grease("it", { ep: true, nlgi: 0 })]);
    expect([leastGrams, grams, mostGrams].map((g) => Math.round(g ?? 0))).toEqual([10, 15, 20]);
  });
  it("what the last unit of the model took is a ground", () => {
    const again = room({ freeVolumeMl: null, lastUnit: { number: "J-0007", grams: 118 } });
    expect(answered(again, [grease("it")])).toMatchObject({
      grams: 118,
      by: { rule: "the last unit of the model", says: "118 g went into J-0007, the same model" },
    });
  });
  it("what stays in counts: the chamber holds all of it, and the rest is added", () => {
    const old = { left: "all", thickener: "Li12", baseOil: "mineral" } as const;
    const topped = answered(room({ old, staysGrams: 20 }), [grease("it")]);
    expect(topped).toMatchObject({ grams: 36, addGrams: 16, takeOut: "nothing" });
    expect(topped.points[0]).toMatchObject({ grams: 36, addGrams: 16 });
    // some of it stays, and nobody has said how much
    expect(answered(room({ old }), [grease("it")])).toMatchObject({ grams: 36, addGrams: null });
    // all of it comes out first: nothing stays, whatever was said
    const unknown = { ...old, thickener: "unknown" } as const;
    expect(answered(room({ old: unknown, staysGrams: 20 }), [grease("it")])).toMatchObject({
      takeOut: "all",
      addGrams: 36,
    });
  });
  it("the maker's figure stands, unless it cannot be", () => {
    expect(answered(room({ makersGrams: 22 }), [grease("it")])).toMatchObject({
      grams: 22,
      by: { rule: "maker’s figure" },
    });
    expect(() => answered(room({ makersGrams: 91 }), [grease("it")])).toThrow(Fault);
    expect(() => answered(room({ makersGrams: 22_000 }), [grease("it")])).toThrow(/more than the 90 g/);
  });
  it("without a free volume, a maker's figure or the old charge there is none for teeth; a film keeps its own", () => {
    const r = room({ freeVolumeMl: null, points: [teeth("t", 5), { id: "s", kind: "seal-lip" }] });
    const a = answered(r, [grease("it")]);
    expect(a).toMatchObject({ choice: "it", grams: null, leastGrams: null, mostGrams: null });
    expect(a.points.map((p) => [p.grams, p.ml])).toEqual([
      [null, null],
      [0.09, 0.1],
    ]);
    expect(a.by?.rule).toBe("not known");
    // weighed as it came out: 110 g, and a tenth either way
    expect(answered({ ...r, oldGrams: 110 }, [grease("it")])).toMatchObject({
      grams: 110,
      leastGrams: 99,
      mostGrams: 121,
      by: { rule: "weighed old charge" },
    });
    expect(answered({ ...r, makersGrams: 120 }, [grease("it")]).grams).toBe(120);
  });
  it("a bearing of unknown size has none, and an oil bath no band of grease", () => {
    const seat = room({ freeVolumeMl: null, points: [{ id: "b", kind: "rolling-bearing" }] });
    expect(answered(seat, [grease("it")]).grams).toBeNull();
    const sized = { id: "b", kind: "rolling-bearing" as const, bearing: { bore: 8, outside: 22, width: 7 } };
    expect(answered({ ...seat, points: [sized] }, [grease("it")]).grams).toBe(0.77);
    const bath = room({ filling: "oil", freeVolumeMl: 160 });
    expect(answered(bath, [oil("vg")])).toMatchObject({ choice: "vg", grams: null });
    expect(answered({ ...bath, makersGrams: 140 }, [oil("vg")]).grams).toBe(140);
  });
  it("a light and a heavy lubricant of one volume weigh what they weigh", () => {
    const dense = answered(room(), [
      grease("it", { densityGPerMl: 1.9, baseOil: "PFPE", thickener: "PTFE" }),
    ]);
    expect(dense.grams).toBe(76);
    expect(dense.points[0]?.ml).toBe(40);
  });
});

describe("viscosity", () => {
  it("follows ASTM D341: a mineral oil of VG 100 has about 11 mm²/s at 100 °C, and a PAO more", () => {
    expect(viscosityAt("mineral", 100, 40)).toBeCloseTo(100, 6);
    expect(viscosityAt("mineral", 100, 100)).toBeGreaterThan(10.5);
    expect(viscosityAt("mineral", 100, 100)).toBeLessThan(11.7);
    expect(viscosityAt("PAO", 100, 100)).toBeGreaterThan(13);
    expect(viscosityAt("silicone", 100, -20)).toBeLessThan(viscosityAt("mineral", 100, -20) / 5);
  });
  it("teeth of 5 m/s like about a fourth to twice 223 mm²/s", () => {
    const [least, most] = toothViscosity(5, false);
    expect(least).toBeCloseTo(7000 / Math.sqrt(984.25) / 4, 1);
    expect(most).toBeCloseTo((7000 / Math.sqrt(984.25)) * 2, 1);
  });
  it("κ of ISO 281: dm 100 mm at 1000 rpm asks 14.2 mm²/s", () => {
    // ν₁ = 4500 / √1000 / √100
    expect(bearingKappa(14.23, { bore: 80, outside: 120 }, 1000)).toBeCloseTo(1, 3);
    expect(bearingSpeed({ bore: 8, outside: 22 }, 10_000)).toBe(150_000);
  });
});

describe("of equal marks", () => {
  const alike = (id: string, more: Partial<Lubricant> = {}): Lubricant =>
    grease(id, { nlgi: 0, viscosityMm2s: 320, ...more });
  it("the one nearer to what is asked for comes first, and not the alphabet", () => {
    const first = answered(room(), [alike("a", { viscosityMm2s: 100 }), alike("z")]);
    expect(first.choice).toBe("z");
  });
  it("of two that are as good the cheaper comes first, and only it says so", () => {
    const [v, w] = answered(room(), [
      alike("a", { pricePer100G: 9 }),
      alike("b", { pricePer100G: 4 }),
    ]).verdicts;
    expect(v?.lubricant).toBe("b");
    expect(v?.reasons.find((r) => r.rule === "price")?.says).toBe("cheaper than a, which would do as well");
    expect(w?.reasons.find((r) => r.rule === "price")).toBeUndefined();
  });
  it("small fast steel gears get EP of 00 or 0 without a word of blows, and not a grease for plastic", () => {
    const head = room({
      hottestC: 90,
      points: [{ id: "t", kind: "gear-teeth", speed: "fast", materials: ["steel", "steel"] }],
    });
    const shelf = [
      grease("ep-0", { nlgi: 0, ep: true, viscosityMm2s: 150 }),
      grease("plastic-1", {
        nlgi: 1,
        baseOil: "PAO",
        solids: ["PTFE"],
        viscosityMm2s: 100,
        openedOn: "2026-01-02",
      }),
    ];
    expect(answered(head, shelf).choice).toBe("ep-0");
  });
});

describe("for every unit and every shelf", () => {
  const lubricants = fc.array(
    fc.record({
      sort: fc.constantFrom("grease" as const, "oil" as const),
      thickener: fc.constantFrom(...THICKENERS),
      nlgi: fc.integer({ min: -2, max: 3 }),
      baseOil: fc.constantFrom(...BASE_OILS),
      viscosityMm2s: fc.option(fc.constantFrom(15, 68, 220), { nil: undefined }),
      ep: fc.option(fc.boolean(), { nil: undefined }),
      h1: fc.boolean(),
      leastC: fc.constantFrom(-40, -10, 5),
      mostC: fc.constantFrom(80, 120, 180),
      stockG: fc.option(fc.integer({ min: 0, max: 500 }), { nil: undefined }),
    }),
    { maxLength: 9 },
  );
  const points = fc.array(
    fc.record({
      kind: fc.constantFrom(...POINT_KIND_NAMES),
      materials: fc.constantFrom(["steel", "steel"], ["steel", "PA66"], ["steel", "bronze"]),
    }),
    { minLength: 1, maxLength: 6 },
  );
  it("the choice does not hang on the shelf's order, amounts sum up exactly, and every lubricant has its reasons", () => {
    fc.assert(
      fc.property(
        lubricants,
        points,
        fc.boolean(),
        fc.option(fc.integer({ min: 5, max: 400 }), { nil: null }),
        (shelf, at, foodContact, freeVolumeMl) => {
          const named = shelf.map((l, i) => (l.sort === "oil" ? oil(`L${i}`, l) : grease(`L${i}`, l)));
          const r = room({ freeVolumeMl, points: at.map((p, i) => ({ id: `p${i}`, ...p })) });
          const a = answered(r, named, { foodContact });
          expect(answered(r, [...named].reverse(), { foodContact }).choice).toBe(a.choice);
          expect(a.verdicts).toHaveLength(named.length);
          expect(a.choice === null).toBe(a.verdicts.every((v) => !v.ok));
          for (const v of a.verdicts)
            if (!v.ok) expect(v.reasons.some((x) => x.hard && x.against)).toBe(true);
          const own = a.points.filter((p) => p.lubricant !== null && p.lubricant === a.choice);
          const { grams, leastGrams, mostGrams } = a;
          // no figure for the whole where one of its own has none
          if (grams === null || leastGrams === null || mostGrams === null) {
            expect([grams, leastGrams, mostGrams]).toEqual([null, null, null]);
            expect(freeVolumeMl).toBeNull();
            expect(own.some((p) => p.grams === null)).toBe(true);
          } else {
            expect(own.reduce((s, p) => s + Math.round((p.grams ?? Number.NaN) * 100), 0)).toBe(
              a.choice === null ? 0 : Math.round(grams * 100),
            );
            expect(leastGrams).toBeLessThanOrEqual(grams);
            expect(mostGrams).toBeGreaterThanOrEqual(grams);
            if (freeVolumeMl !== null) expect(mostGrams).toBeLessThanOrEqual(freeVolumeMl * 0.9 + 0.01);
          }
          if (foodContact)
            for (const p of a.points)
              if (p.lubricant) expect(named.find((l) => l.id === p.lubricant)?.h1).toBe(true);
        },
      ),
      { numRuns: 300 },
    );
  });
  it("what is asked as JSON is read, and what is wrong in it is named", () => {
    const { densityGPerMl: _, ...facts } = grease("a");
    const json = {
      foodContact: false,
      school: "packed",
      chambers: [{ ...room(), filling: undefined }],
      shelf: [{ ...facts, density: 0.95, grams: 30, solids: [] }],
    };
    expect(askFrom(lubeAsk.parse(json)).shelf[0]).toMatchObject({ densityGPerMl: 0.95, stockG: 30 });
    expect(
      lubeAsk.safeParse({ ...json, chambers: [room({ coldestC: 80 })] }).error?.issues[0]?.message,
    ).toMatch(/above the coldest/);
    expect(
      lubeAsk.safeParse({ ...json, chambers: [room({ points: [] })] }).error?.issues[0]?.message,
    ).toMatch(/without a point/);
  });
});
