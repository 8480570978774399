import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { SUPPLIES } from "../job/supply";
import { bondWithCord, protectiveWithHeater, USUAL_LIMITS } from "./electrical-limits";
import { figureFault, limitInWords, shownFigure } from "./final-check";
import { finalChecks } from "./final-checks";
import { instrumentFor } from "./instruments";
import { runTime } from "./run-checks";

const names = (unit: Parameters<typeof finalChecks>[0]): string[] => finalChecks(unit).map((c) => c.check);
const found = (unit: Parameters<typeof finalChecks>[0], check: string) =>
  finalChecks(unit).find((c) => c.check === check);

describe("the last checks", () => {
  it("a mains unit is measured: insulation always, the earth bond where there is an earth", () => {
    expect(names({ kind: "juicer", supplies: ["mains"], protectionClass: "I" })).toEqual(
      expect.arrayContaining(["earth-bond", "insulation"]),
    );
    expect(names({ kind: "juicer", supplies: ["mains"], protectionClass: "II" })).not.toContain("earth-bond");
    expect(names({ kind: "shears", supplies: ["battery"] })).not.toContain("insulation");
  });
  it("double insulation must hold twice what an earthed unit must, and a class that is not known is taken for it", () => {
    expect(found({ kind: "juicer", supplies: ["mains"], protectionClass: "I" }, "insulation")?.min).toBe(1);
    expect(found({ kind: "juicer", supplies: ["mains"], protectionClass: "II" }, "insulation")?.min).toBe(2);
    expect(found({ kind: "juicer", supplies: ["mains"] }, "insulation")?.min).toBe(2);
  });
  it("are those of the class: looked over, earth, insulation, current; and of one that nobody named both earth and double insulation", () => {
    const electrical = (protectionClass?: "I" | "II" | "III") =>
      names({ kind: "x", supplies: ["mains"], protectionClass })
        .slice(1)
        .filter((c) =>
          ["cord", "earth-bond", "insulation", "protective-current", "touch-current"].includes(c),
        );
    expect(electrical("I")).toEqual(["cord", "earth-bond", "insulation", "protective-current"]);
    expect(electrical("II")).toEqual(["cord", "insulation", "touch-current"]);
    expect(electrical("III")).toEqual(["cord", "insulation"]);
    expect(electrical()).toEqual(["cord", "earth-bond", "insulation", "protective-current"]);
  });
  it("keep the shop's own limits, with where they come from", () => {
    const limits = { ...USUAL_LIMITS, earthBondOhm: 0.2, touchMa: 0.5, source: "code of the shop's country" };
    const at = (check: string, protectionClass: "I" | "II") =>
      finalChecks({ kind: "x", supplies: ["mains"], protectionClass }, limits).find((c) => c.check === check);
    expect(at("earth-bond", "I")).toMatchObject({ max: 0.2, source: limits.source });
    expect(at("touch-current", "II")).toMatchObject({ max: 0.5, unit: "mA" });
    expect(at("protective-current", "I")).toMatchObject({ max: 3.5, unit: "mA" });
    // where the shop sets no limit, the tester decides
    const { protectiveMa: _none, ...programme } = limits;
    const [decided] = finalChecks({ kind: "x", supplies: ["mains"], protectionClass: "I" }, programme).filter(
      (c) => c.check === "protective-current",
    );
    expect(decided).not.toHaveProperty("unit");
  });
  it("what touches food is washed before it goes home, and only that", () => {
    expect(names({ kind: "juicer", foodContact: true })).toContain("food-clean");
    expect(names({ kind: "shears", foodContact: false })).not.toContain("food-clean");
  });
  it("turn the train by hand until the same teeth meet, where that can be counted and done", () => {
    const pair = (z1: number, z2: number) => ({
      input: { shaft: "motor", rpm: 3000 },
      meshes: [
        {
          id: "m",
          kind: "spur" as const,
          driver: { shaft: "motor", teeth: z1 },
          driven: { shaft: "drum", teeth: z2 },
        },
      ],
    });
    const hand = (train?: ReturnType<typeof pair>) => finalChecks({ kind: "x", train })[0];
    expect(hand()?.asks).toContain("two full turns of the output");
    expect(hand(pair(9, 45))?.asks).toContain("through 2 turns of drum");
    expect(hand(pair(12, 45))?.asks).toContain("through 4 turns of drum");
    expect(hand(pair(53, 59))).toMatchObject({
      asks: expect.stringContaining("ten turns of drum"),
      why: expect.stringContaining("only after 53 turns of drum"),
    });
  });
  it("of what a hand drives have nothing that runs by itself; of one with a blade the guards come before it runs", () => {
    const byHand = finalChecks({ kind: "press", supplies: ["hand"] });
    expect(byHand.filter((c) => c.runs)).toEqual([]);
    expect(byHand[0]?.why).not.toContain("motor");
    const bladed = names({ kind: "slicer", supplies: ["mains"], hazards: ["blade"] });
    expect(bladed.indexOf("guards")).toBeLessThan(bladed.indexOf("run-slow"));
    expect(bladed).toContain("guards");
    // a fan has a guard too, though nobody called it a blade; what is turned by hand has none that stops it
    expect(found({ kind: "fan", supplies: ["mains"], hazards: [] }, "guards")?.caution).toBeUndefined();
    expect(found({ kind: "slicer", supplies: ["hand"], hazards: ["blade"] }, "guards")?.caution).toMatch(
      /hands away/,
    );
    expect(names({ kind: "press", supplies: ["hand"] })).not.toContain("guards");
    expect(names({ kind: "fan", supplies: ["mains"] })).toContain("guards");
  });
  it("have what was said at the strip to be set last, what presses a seal drawn again, and what the shop asks of the kind", () => {
    const steps = [
      {
        id: "s4",
        back: [
          { when: "end" as const, says: "wipe it" },
          { when: "calibrate" as const, says: "2.0 bar on the gauge" },
        ],
      },
      { id: "s5", hardware: [{ id: "h1", kind: "o-ring" as const, qty: 1 }] },
    ];
    const ownTests = [{ asks: "It lifts its load" }, { asks: "Holds its pressure", unit: "bar", min: 2 }];
    const asked = finalChecks({ kind: "pump", steps, ownTests });
    expect(asked.find((c) => c.check === "calibrated-s4-0")).toMatchObject({
      asks: "Set and measured: 2.0 bar on the gauge?",
      may: expect.any(String),
    });
    expect(asked.map((c) => c.check)).toContain("snug");
    expect(asked.find((c) => c.check === "own-0")?.asks).toBe("It lifts its load?");
    expect(asked.find((c) => c.check === "own-1")).toMatchObject({
      unit: "bar",
      min: 2,
      source: "the shop's own",
    });
    expect(names({ kind: "pump" })).not.toContain("snug");
  });
  it("hold the speed of the output against the train, where that tells it", () => {
    const train = { input: { shaft: "motor", rpm: 3000 }, meshes: [{ id: "m", kind: "spur" as const, driver: { shaft: "motor", teeth: 10 }, driven: { shaft: "drum", teeth: 50 } }] }; // biome-ignore format: one row
    expect(found({ kind: "x", train }, "speed")).toMatchObject({
      unit: "rpm",
      min: 480,
      max: 690,
      asks: "Speed of drum, idle, by a tachometer",
    });
    expect(found({ kind: "x" }, "speed")).toBeUndefined();
    expect(found({ kind: "x", supplies: ["hand"], train }, "speed")).toBeUndefined();
  });
  it("ask of what the unit has, and of nothing else", () => {
    const boiler = { kind: "egg boiler", supplies: ["mains"] as const, protectionClass: "I" as const };
    expect(names({ ...boiler, looseItems: [] })).toEqual(
      ["cord", "earth-bond", "insulation", "guards", "protective-current", "switched-on"].concat(
        "insulation-again",
      ),
    );
    const parts = [{ name: "plate", kind: "heater" as const }];
    expect(found({ ...boiler, parts }, "insulation")).toMatchObject({ min: 0.3, unit: "MΩ" });
    expect(found({ ...boiler, kind: "desk lamp" }, "insulation")?.min).toBe(1);
    const feeder = { kind: "belt feeder", supplies: ["air"] as const };
    const belted = names({ ...feeder, parts: [{ name: "flat belt", kind: "belt" }] });
    for (const no of ["listen", "seepage", "run-speeds", "ways", "topped-up"])
      expect(belted).not.toContain(no);
    expect(found({ ...feeder, parts: [{ name: "brake band" }] }, "ways")?.asks).toBe("The brake working?");
    const wired = [{ id: "s1", wires: [{ colour: "red", to: "M+" }] }];
    expect(found({ ...feeder, steps: wired }, "ways")?.asks).toBe("The right way round?");
    const clock = names({ kind: "regulator clock", supplies: ["spring"], looseItems: [] });
    expect(clock).toEqual(["runs-down", "rate"]);
  });
  it("ask the complaint again in its own words, and not of what was not repaired", () => {
    const unit = { kind: "belt feeder", complaint: "Grinds, comes out in jerks" };
    expect(found(unit, "complaint")?.asks).toBe("Brought in for “Grinds, comes out in jerks”: is that gone?");
    expect(names({ ...unit, ending: { how: "in-pieces" } })).not.toContain("complaint");
    expect(names({ ...unit, complaint: " " })).not.toContain("complaint");
  });
  it("law: nothing runs before the guards are on, and nothing is asked of teeth or seals that are not there", () => {
    const kinds = ["gear", "belt", "heater", "motor", "cover", "seal"] as const;
    const unit = fc.record({
      kind: fc.constantFrom("mixer", "kettle", "widget", "cordless drill", "oil heater"),
      supplies: fc.subarray([...SUPPLIES]),
      protectionClass: fc.constantFrom("I" as const, "II" as const, "III" as const, undefined),
      hazards: fc.subarray(["blade", "spring"] as const),
      parts: fc.array(fc.record({ name: fc.constantFrom("top", "rear"), kind: fc.constantFrom(...kinds) })),
      complaint: fc.constantFrom("", "stops"),
      steps: fc.constantFrom(undefined, [{ id: "s1" }]),
    });
    fc.assert(
      fc.property(unit, (u) => {
        const checks = finalChecks(u);
        const at = (check: string): number => checks.findIndex((c) => c.check === check);
        const first = checks.findIndex((c) => c.runs);
        const covers = checks.findIndex((c) => c.covers);
        if (first >= 0) expect(covers).toBeGreaterThanOrEqual(0);
        if (first >= 0) expect(covers).toBeLessThan(first);
        const has = (kind: string): boolean => u.parts.some((p) => p.kind === kind);
        if (!has("gear")) expect(at("listen")).toBe(-1);
        if (!has("seal")) expect(at("seepage")).toBe(-1);
        if (!u.supplies.includes("mains")) expect(at("insulation")).toBe(-1);
      }),
    );
  });
  it("each is asked once, has its reason, and a limit has its unit and its source", () => {
    const unit = fc.record({
      kind: fc.string(),
      supplies: fc.subarray([...SUPPLIES]),
      foodContact: fc.boolean(),
      protectionClass: fc.constantFrom("I" as const, "II" as const, "III" as const, undefined),
    });
    fc.assert(
      fc.property(unit, (u) => {
        const checks = finalChecks(u);
        expect(new Set(checks.map((c) => c.check)).size).toBe(checks.length);
        for (const c of checks) {
          expect(c.why).not.toBe("");
          if (c.min !== undefined || c.max !== undefined)
            expect([c.unit, c.source, c.instrument]).not.toContain(undefined);
        }
      }),
    );
  });
});

it("a limit is said with both its ends", () => {
  expect(limitInWords({ min: 78, max: 115, unit: "rpm", source: "the train" })).toBe(
    "78 to 115 rpm, the train",
  );
  expect(limitInWords({ min: 2, unit: "bar" })).toBe("at least 2 bar");
  expect(limitInWords({ max: 0.3, unit: "Ω", source: "" })).toBe("at most 0.3 Ω");
});

describe("limits by cord and heater", () => {
  it.each([
    [3, 0.3],
    [5, 0.3],
    [12.4, 0.3],
    [12.5, 0.4],
    [20, 0.5],
    [57.5, 1],
    [100, 1],
  ])("a cord of %d m may have %d Ω", (m, ohm) => expect(bondWithCord(0.3, m)).toBe(ohm));
  it.each([
    [2, 3.5],
    [3.5, 3.5],
    [6, 6],
    [14, 10],
  ])("%d kW of heating may leak %d mA", (kw, ma) => expect(protectiveWithHeater(3.5, kw)).toBe(ma));
  it("law: a longer cord, or more heating, never allows less, nor less than the shop does", () => {
    const base = fc.double({ min: 0.05, max: 2, noNaN: true });
    const pair = fc.tuple(
      fc.double({ min: 0.1, max: 99, noNaN: true }),
      fc.double({ min: 0, max: 40, noNaN: true }),
    );
    fc.assert(
      fc.property(base, pair, (b, [x, more]) => {
        expect(bondWithCord(b, x)).toBeGreaterThanOrEqual(Number(b.toFixed(3)));
        expect(bondWithCord(b, x + more)).toBeGreaterThanOrEqual(bondWithCord(b, x));
        expect(protectiveWithHeater(b, x + more)).toBeGreaterThanOrEqual(protectiveWithHeater(b, x));
      }),
    );
  });
  it("move the limit of the check once they were read, and say so", () => {
    const unit = { kind: "oil heater", supplies: ["mains"] as const, protectionClass: "I" as const };
    expect(found(unit, "earth-bond")).toMatchObject({ max: 0.3, reads: "cordM" });
    const home = { cordM: 20, heaterKw: 6 };
    expect(found({ ...unit, home }, "earth-bond")).toMatchObject({
      max: 0.5,
      source: expect.stringContaining("cord of 20 m"),
    });
    expect(found({ ...unit, home }, "protective-current")).toMatchObject({ max: 6 });
    // nobody reads heating power at what has no element
    expect(found({ ...unit, kind: "fan", home }, "protective-current")).toMatchObject({ max: 3.5 });
  });
});

describe("checks by kind and supply", () => {
  it("ask of an engine, of air, a battery and its charger, a microwave, a refrigerant", () => {
    expect(names({ kind: "chain saw", supplies: ["petrol"], hazards: ["blade"] })).toEqual(
      expect.arrayContaining(["petrol-idle", "chain-brake", "petrol-leaks"]),
    );
    expect(found({ kind: "generator", supplies: ["petrol"] }, "petrol-idle")?.asks).not.toMatch(/tool/);
    expect(names({ kind: "air sander", supplies: ["air"] })).toContain("free-speed");
    expect(names({ kind: "air shear", supplies: ["air"] })).not.toContain("free-speed");
    expect(
      found({ kind: "disc grinder", supplies: ["mains"], home: { plateRpm: 11000 } }, "free-speed"),
    ).toMatchObject({ unit: "rpm", max: 11000 });
    expect(names({ kind: "meat grinder", supplies: ["mains"] })).not.toContain("wheel");
    const shears = { kind: "pruning shears", supplies: ["battery"] as const };
    expect(found(shears, "battery")?.asks).not.toMatch(/charger/);
    expect(found({ ...shears, looseItems: ["its charger"] }, "battery")?.asks).toMatch(/charger/);
    expect(found({ kind: "microwave", supplies: ["mains"] }, "microwave-leakage")).toMatchObject({ max: 5 });
    expect(names({ kind: "fridge", supplies: ["mains"] })).toContain("refrigerant");
  });
  it("propose what such units are for, until the shop says what it asks of them", () => {
    expect(found({ kind: "deli slicer" }, "work-0")).toMatchObject({ usual: "usual for a deli slicer" });
    expect(names({ kind: "deli slicer", ownTests: [{ asks: "It slices" }] })).not.toContain("work-0");
    expect(names({ kind: "widget" })).not.toContain("work-0");
  });
  it("are few where nothing was opened that runs", () => {
    const steps = [{ id: "s1" }, { id: "s2" }];
    const small = { steps, complaint: "dead", looseItems: [] };
    expect(names({ ...small, kind: "fan", supplies: ["mains"], protectionClass: "II" })).toEqual([
      "cord",
      "insulation",
      "touch-current",
      "run-slow",
    ]);
    expect(
      found({ ...small, kind: "fan", supplies: ["mains"], protectionClass: "II" }, "run-slow")?.asks,
    ).toMatch(/is “dead” gone\?$/);
    expect(names({ ...small, kind: "hedge shears", supplies: ["battery"] })).toEqual([
      "guards",
      "run-slow",
      "battery",
    ]);
  });
});

describe("the time of a run", () => {
  const checks = finalChecks({ kind: "fan", supplies: ["battery"], parts: [{ kind: "gear" }] });
  const at = (check: string): string | undefined =>
    check === "guards" ? "2026-03-02T10:00:00.000Z" : undefined;
  const left = (check: string, now: string) => {
    const of = checks.find((c) => c.check === check);
    return of && runTime(of, checks, (c) => at(c.check), now)?.minutesLeft;
  };
  it("counts from what was answered before the first run, and one run serves several checks", () => {
    expect(left("run-slow", "2026-03-02T10:00:30.000Z")).toBe(1.5);
    expect(left("run-slow", "2026-03-02T10:02:00.000Z")).toBeUndefined();
    expect(left("warm", "2026-03-02T10:02:00.000Z")).toBe(8);
    expect(left("guards", "2026-03-02T10:00:00.000Z")).toBeUndefined();
  });
  it("is not kept where nobody knows when it began", () => {
    const [run] = checks.filter((c) => c.check === "run-slow");
    expect(run && runTime(run, checks, () => undefined, "2026-03-02T10:00:30.000Z")).toBeUndefined();
  });
});

describe("old parts", () => {
  const asked = (renew: boolean, disposeConsent: boolean) =>
    found(
      { kind: "pump", parts: [{ kind: "gear" }, { kind: "gear", renew }], disposeConsent },
      "old-parts",
    )?.choices?.map((c) => c.answer);
  it("are asked for where something goes back new, what was agreed first", () => {
    expect(asked(false, true)).toBeUndefined();
    expect(asked(true, false)).toEqual(["returned", "disposed", "kept", "lost"]);
    expect(asked(true, true)).toEqual(["disposed", "returned", "kept", "lost"]);
    expect(
      names({ kind: "pump", parts: [{ kind: "gear", renew: true }], ending: { how: "in-pieces" } }),
    ).not.toContain("old-parts");
  });
});

describe("an instrument", () => {
  const limits = { tester: "Green box" };
  const rpm = { check: "speed", asks: "", why: "", unit: "rpm", instrument: "Tachometer" };
  it("is proposed as it was last taken for a figure of that unit; the shop's tester for electrical ones", () => {
    expect(instrumentFor(rpm, limits, {})).toBe("");
    expect(instrumentFor(rpm, limits, { "Tachometer, rpm": "Reed 3" })).toBe("Reed 3");
    expect(instrumentFor({ ...rpm, unit: "Hz" }, limits, { "Tachometer, rpm": "Reed 3" })).toBe("");
    const [, , bond] = finalChecks({ supplies: ["mains"], kind: "x", protectionClass: "I" });
    expect(bond && instrumentFor(bond, limits, { Tester: "Old one" })).toBe("Green box");
    expect(bond && instrumentFor(bond, { tester: "" }, { Tester: "Old one" })).toBe("Old one");
  });
});

describe("what an instrument shows", () => {
  const insulation = { unit: "MΩ", min: 1 };
  it.each([
    ["0,12", { value: 0.12, above: false }],
    [" 30 MΩ", { value: 30, above: false }],
    ["> 999", { value: 999, above: true }],
    ["≥999 mω", { value: 999, above: true }],
  ])("%s is read", (text, read) => expect(shownFigure(text, insulation)).toEqual(read));
  it.each(["", "yesterday", "> much", "3 V", "1.2.3"])("%s is no figure", (text) =>
    expect(shownFigure(text, insulation)).toBe("Give the figure in MΩ."),
  );
  it.each(["yes", "OK", "pass", "passed.", "✓"])("%s is asked for its figure", (text) =>
    expect(shownFigure(text, insulation)).toMatch(/^Passed with what figure\?/),
  );
  it("beyond its range tells nothing of an upper limit", () => {
    expect(shownFigure("> 0.2", { unit: "Ω", max: 0.3 })).toMatch(/More than 0.2 Ω is beyond/);
    expect(shownFigure("> 20", { unit: "Ω", max: 0.3 })).toMatch(/is above the limit of 0.3 Ω/);
  });
});

describe("a figure", () => {
  const earth = { check: "earth-bond", asks: "", why: "", unit: "Ω", max: 0.3 };
  const insulation = { check: "insulation", asks: "", why: "", unit: "MΩ", min: 2 };
  it("passes on its limit and is refused beyond it, with the figure, its unit and the limit", () => {
    expect(figureFault(earth, 0.3)).toBeNull();
    expect(figureFault(earth, 0.31)).toBe("0.31 Ω is above the limit of 0.3 Ω: it must not go out");
    expect(figureFault(insulation, 2)).toBeNull();
    expect(figureFault(insulation, 1.9)).toBe("1.9 MΩ is below the limit of 2 MΩ: it must not go out");
  });
  it("that no instrument shows is asked for once more", () => {
    expect(figureFault(insulation, 1e9)).toMatch(/more than any instrument shows/);
    expect(figureFault(insulation, 5000)).toBeNull();
  });
  it("below nothing is one only where it is a temperature", () => {
    const cold = { check: "own-0", asks: "", why: "", unit: "°C", max: -15 };
    expect(figureFault(cold, -18)).toBeNull();
    expect(figureFault(cold, -12)).toMatch(/above the limit of -15 °C/);
  });
  it("that is none is refused", () => {
    for (const value of [Number.NaN, Number.POSITIVE_INFINITY, -0.1])
      expect(figureFault(earth, value)).toMatch(/0 or more/);
  });
});

describe("current against the plate", () => {
  const unit = { kind: "desk fan", supplies: ["mains"] as const };
  const current = (plateA?: number) =>
    finalChecks({ ...unit, ...(plateA === undefined ? {} : { home: { plateA } }) }).find(
      (c) => c.check === "current",
    );
  it("is a figure with a limit once the plate was read, and a yes where nobody can read it", () => {
    expect(current()).toMatchObject({ may: expect.stringContaining("Amperes") });
    expect(current()?.unit).toBeUndefined();
    expect(current(1)).toMatchObject({ unit: "A", max: 1.2 });
    expect(current(2)).toMatchObject({ max: 2.3 });
    expect(current(10)).toMatchObject({ max: 11.5, source: expect.stringContaining("10 A") });
  });
  it("allows more for a larger plate, and never less than the plate (law)", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (a, more) => {
          const [small, large] = [current(a)?.max ?? 0, current(a + more)?.max ?? 0];
          expect(small).toBeGreaterThanOrEqual(Math.round(100 * a) / 100);
          expect(large).toBeGreaterThanOrEqual(small);
        },
      ),
    );
  });
});
