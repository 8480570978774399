import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type CataloguePart, type CataloguePartInput, cataloguePart } from "../catalogue/catalogue-part";
import { partSpec } from "../catalogue/part-spec";
import { SOLD_KINDS, SPEC_FIELDS } from "../catalogue/spec-fields";
import { specInWords } from "../catalogue/spec-in-words";
import { fitCriterion, serialOrder } from "./fits-unit";
import { rankCandidates, type Wanted } from "./rank";
import { EXAMPLE_RANK, rankAnswer } from "./rank-input";

const part = (
  number: string,
  spec: CataloguePartInput["spec"],
  more: Partial<CataloguePartInput> = {},
): CataloguePart => cataloguePart.parse({ number, name: number, spec, price: 10, stock: 1, ...more });
const spec = { kind: "gear", teeth: 41, moduleMm: 1, boreMm: 8, faceWidthMm: 11, boreForm: "round" } as const;
const gear: Wanted["gear"] = {
  teeth: 41,
  moduleMm: 1,
  pressureAngleDeg: 20,
  helixAngleDeg: 0,
  profileShift: 0,
  boreMm: 8,
  faceWidthMm: 11,
  boreForm: "round",
};
const press = { maker: "Example", model: "Press 40" };
const ring = (
  number: string,
  inside: number,
  outside: number,
  width: number,
  closure: "open" | "2RS" | "2Z",
): CataloguePart =>
  part(number, { kind: "bearing", insideMm: inside, outsideMm: outside, widthMm: width, closure });
const numbers = (wanted: Wanted, parts: readonly CataloguePart[]): string[] =>
  rankCandidates(wanted, parts).map((c) => c.part.number);
const verdict = (wanted: Wanted, ...parts: CataloguePart[]) => rankCandidates(wanted, parts)[0]?.verdict;

describe("ranking the catalogue", () => {
  const parts = [
    part("dear", spec, { price: 20 }),
    part("wrong-module", { ...spec, moduleMm: 1.25 }, { price: 1 }),
    part("cheap", spec),
    part("steel", { ...spec, boreMm: 7 }, { price: 1 }),
    part("listed", spec, { fits: [press], price: 30 }),
    part("bearing", { kind: "bearing", insideMm: 8, outsideMm: 22, widthMm: 7 }),
  ];
  it("puts what drops in first, for this model, as little different as can be, in stock, cheap", () => {
    expect(numbers({ gear, unit: press }, parts)).toEqual([
      "listed",
      "cheap",
      "dear",
      "steel",
      "wrong-module",
    ]);
  });
  it("as a law: the order does not depend on the order of the catalogue", () => {
    fc.assert(
      fc.property(fc.shuffledSubarray(parts, { minLength: parts.length }), (p) => {
        expect(numbers({ gear, unit: press }, p)).toEqual(numbers({ gear, unit: press }, parts));
      }),
    );
  });
  it("knows a bearing by its size, and asks for a pulled seal where it faced the grease", () => {
    const sealed = ring("608-2RS", 8, 22, 7, "2RS");
    const wanted = (closure: string, facesGrease = false): Wanted => ({
      ring: { kind: "bearing", insideMm: 8, outsideMm: 22, widthMm: 7, closure, facesGrease },
    });
    expect(verdict(wanted("2RS"), sealed)).toBe("drop-in");
    expect(verdict(wanted("open"), sealed)).toBe("with-rework");
    expect(verdict(wanted("2RS", true), sealed)).toBe("with-rework");
    expect(verdict(wanted("open"), ring("608", 8, 22, 7, "open"))).toBe("drop-in");
    expect(rankCandidates(wanted("RS"), [sealed])[0]?.criteria.at(-1)?.says).toMatch(
      /pull the seal that faces the case/,
    );
    expect(verdict({ ring: { kind: "bearing", insideMm: 7, outsideMm: 19, widthMm: 6 } }, sealed)).toBe("no");
    expect(
      verdict(
        { ring: { kind: "bearing", insideMm: { value: 7.9, u: 0.1 }, outsideMm: 22, widthMm: 7 } },
        sealed,
      ),
    ).toBe("possible");
  });
  it("a kit for the model stays after the gear is named, and is opened: each piece of the wanted kind is compared", () => {
    const holds = (...numbers: string[]) => numbers.map((number) => ({ number }));
    const shifted = { ...spec, profileShift: 0 };
    const pieces = [
      part("W-41", shifted),
      part("P-9", { ...shifted, teeth: 9 }),
      part("G", { kind: "gasket" }),
      part("W-60", { ...shifted, teeth: 60 }),
    ];
    const kit = (number: string, contains: { number: string }[], more: Partial<CataloguePartInput> = {}) =>
      part(number, { kind: "kit" }, { contains, fits: [press], ...more });
    const ranked = (k: CataloguePart) =>
      rankCandidates({ gear, unit: press }, [k, ...pieces]).find((c) => c.part.number === k.number);
    const whole = ranked(kit("K-1", holds("W-41", "P-9", "G")));
    expect(whole?.verdict).toBe("drop-in");
    expect(whole?.inside?.map((p) => [p.number, p.verdict])).toEqual([
      ["W-41", "drop-in"],
      ["P-9", null],
      ["G", null],
    ]);
    expect(ranked(kit("K-2", holds("W-60", "G")))).toMatchObject({
      verdict: "no",
      criteria: [{ criterion: "in the kit", verdict: "no" }, {}],
    });
    expect(ranked(kit("K-3", []))?.criteria[0]).toMatchObject({
      verdict: "settle",
      says: expect.stringMatching(/ask what is in it/),
    });
    // not for this model, and not asked for: it has nothing to do with it
    expect(
      ranked(kit("K-4", holds("W-41"), { fits: [{ maker: "Example", model: "Press 9" }] })),
    ).toBeUndefined();
    // the part itself stands before the kit
    expect(numbers({ gear, unit: press }, [kit("A-KIT", holds("W-41")), ...pieces])[0]).toBe("W-41");
  });
  it("what is sold for the model and may hold the gear is asked about, not refused for what it is called", () => {
    const assembly = part("ASM", { kind: "other" }, { name: "Gear case, complete", fits: [press] });
    expect(rankCandidates({ gear, unit: press, kind: "gear" }, [assembly])[0]).toMatchObject({
      verdict: "possible",
    });
    const motor = part("MOT", { kind: "other" }, { name: "Motor, 230 V", fits: [press] });
    expect(numbers({ name: "motor gear", unit: press, kind: "gear" }, [motor])).toEqual([]);
    expect(numbers({ name: "motor", unit: press, kind: "other" }, [motor])).toEqual(["MOT"]);
  });
  it("a standard part is found by its designation, whoever makes it", () => {
    const parts = [
      part("XY-77", { kind: "bearing", insideMm: 8, outsideMm: 22, widthMm: 7, closure: "2RS" }),
      ring("608-2Z", 8, 22, 7, "2Z"),
      ring("607", 7, 19, 6, "open"),
    ];
    expect(rankCandidates({ number: "608 2RS" }, parts).map((c) => [c.part.number, c.verdict])).toEqual([
      ["XY-77", "drop-in"],
      ["608-2Z", "possible"],
    ]);
  });
  it("matches by name only as something to be compared", () => {
    const gasket = part("GK", { kind: "gasket" }, { name: "Gearbox gasket" });
    expect(verdict({ name: "gearbox gasket" }, gasket)).toBe("possible");
    expect(rankCandidates({ name: "hopper" }, [gasket])).toEqual([]);
  });
  it("finds what is sold for the unit by its kind", () => {
    const belts = [
      part("B1", { kind: "belt", lengthMm: 400 }, { fits: [press] }),
      part("B2", { kind: "belt", lengthMm: 500 }, { fits: [{ maker: "Other", model: "Press 40" }] }),
    ];
    expect(numbers({ unit: press, kind: "belt" }, belts)).toEqual(["B1"]);
  });
});

describe("by its number", () => {
  const old = part("W-4100", spec, { discontinued: true, stock: 0 });
  const next = part(
    "W-4200",
    { ...spec, teeth: 42 },
    { replaces: [{ number: "W-4100", when: "with pinion P-8" }] },
  );
  const last = part("W-4300", { ...spec, teeth: 42 }, { replaces: [{ number: "W-4200" }] });
  it("what is no more made and not left is refused, and what takes its place is there with its condition", () => {
    const found = rankCandidates({ number: "w41oo" }, [old, next, last]);
    expect(found.map((c) => [c.part.number, c.verdict])).toEqual([
      ["W-4200", "with-companions"],
      ["W-4300", "with-companions"],
      ["W-4100", "no"],
    ]);
    expect(found[0]?.criteria[0]?.says).toBe("replaces W-4100: with pinion P-8");
    expect(found[1]?.criteria[0]?.says).toBe("replaces W-4100, by way of W-4200: with pinion P-8");
    expect(found[2]?.criteria.at(-1)?.says).toBe("discontinued, and none is left");
  });
  it("what is no more made can be had while the drawer or a supplier has some", () => {
    const says = (stock: number, offered: string[] = []) =>
      rankCandidates({ number: "W-4100" }, [{ ...old, stock }], new Set(offered))[0];
    expect(says(2)).toMatchObject({ verdict: "drop-in" });
    expect(says(2)?.criteria.at(-1)?.says).toBe("the very part, discontinued: these are the last");
    expect(says(0, ["W-4100"])?.criteria.at(-1)?.says).toBe(
      "the very part, discontinued: what suppliers have is the last",
    );
    expect(says(0)).toMatchObject({ verdict: "no" });
  });
  it("a misread number is possible, not certain", () => {
    expect(verdict({ number: "W-42O0" }, next)).toBe("possible");
    expect(verdict({ number: "W 4200" }, next)).toBe("drop-in");
  });
  it("a successor for some variants asks which it is", () => {
    const some = part("W-42", spec, { replaces: [{ number: "W-41", variants: ["B"] }] });
    const of = (variant?: string) =>
      verdict({ number: "W-41", unit: { ...press, ...(variant ? { variant } : {}) } }, some);
    expect([of("B"), of("A"), of()]).toEqual(["drop-in", "no", "possible"]);
  });
  it("a number that leads to another kind of part is said to be no gear", () => {
    expect(
      rankCandidates({ number: "608", gear }, [ring("608", 8, 22, 7, "open")])[0]?.criteria.find(
        (c) => c.criterion === "kind",
      )?.says,
    ).toBe("a bearing is no gear");
  });
});

describe("by the unit", () => {
  const fits = [{ ...press, variants: ["B"], fromSerial: "SN-1000", toSerial: "SN-1999" }];
  const of = (variant?: string, serial?: string, measured = false) =>
    fitCriterion(
      { fits: fits.map((f) => ({ ...f })) },
      { ...press, ...(variant ? { variant } : {}), ...(serial ? { serial } : {}) },
      measured,
    )?.verdict;
  it("asks for the variant and the serial where the part is told apart by them", () => {
    expect(of("b", "sn 1500")).toBe("same");
    expect(of("A", "SN-1500")).toBe("no");
    expect(of("A", "SN-1500", true)).toBe("settle");
    expect(of("B", "SN-2500")).toBe("no");
    expect(of("B")).toBe("settle");
    expect(of(undefined, "SN-1500")).toBe("settle");
    expect(of("B", "QQ-1500")).toBe("settle");
  });
  it("serials are told apart by their count, not by their letters", () => {
    expect(serialOrder("SN-998", "SN-1042")).toBe(-1);
    expect(serialOrder("VP40-19-3377", "vp40 19 3377")).toBe(0);
    expect(serialOrder("A-1", "B-1")).toBeNull();
    fc.assert(
      fc.property(
        fc.bigInt({ min: 0n, max: 10n ** 20n }),
        fc.bigInt({ min: 0n, max: 10n ** 20n }),
        (a, b) => {
          expect(serialOrder(`S${a}`, `S${b}`)).toBe(a < b ? -1 : a > b ? 1 : 0);
        },
      ),
    );
  });
});

describe("what is known of each kind", () => {
  it("has a line for every key of its schema", () => {
    const keys = Object.fromEntries(
      partSpec.options.map((o) => [o.shape.kind.value, Object.keys(o.shape).filter((k) => k !== "kind")]),
    );
    expect(Object.keys(keys).sort()).toEqual([...SOLD_KINDS].sort());
    for (const kind of SOLD_KINDS)
      expect(SPEC_FIELDS[kind].map((f) => f.key).sort()).toEqual((keys[kind] as string[]).sort());
  });
  it("is said in one line", () => {
    expect(specInWords({ kind: "bearing", insideMm: 8, outsideMm: 22, widthMm: 7, closure: "2RS" })).toBe(
      "8 × 22 × 7 mm · 2RS",
    );
    expect(specInWords(part("x", { ...spec, helixAngleDeg: 18, hand: "left" }).spec)).toBe(
      "41 teeth · module 1 · 20° · helix 18° left · bore 8",
    );
    expect(specInWords({ kind: "pin", form: "spring", diameterMm: 3, lengthMm: 18 })).toBe(
      "3 × 18 mm · spring",
    );
    expect(specInWords({ kind: "housing" })).toBe("");
  });
});

describe("match rank", () => {
  it("answers its example: the wheel that is no more made is refused, the one that takes its place comes with its pinion", () => {
    const { candidates } = rankAnswer(EXAMPLE_RANK);
    expect(candidates.map((c) => [c.number, c.verdict])).toEqual([
      ["W-43", "with-companions"],
      ["W-41", "no"],
    ]);
    const speed = candidates[0]?.criteria.find((c) => c.criterion === "output speed");
    expect(speed?.says).toBe("the output turns 25.8 % slower, 50.4 rpm instead of 68: tell the customer");
  });
  it.each([
    [{ wanted: {}, parts: [] }, /nothing to look for/],
    [{ wanted: { number: "x" } }, /^parts: is missing/],
    [
      { wanted: { number: "x" }, parts: [{ number: "", name: "n", spec: { kind: "kit" } }] },
      /a part needs a number/,
    ],
    [
      { wanted: { number: "x" }, parts: [{ number: "a", name: "n", spec: { kind: "sprocket" } }] },
      /^parts\[0\]\.spec/,
    ],
    [{ wanted: { number: "x", colour: "red" }, parts: [] }, /does not know the key "colour"/],
  ])("refuses %j with a sentence", (input, says) => {
    expect(() => rankAnswer(input)).toThrow(says);
  });
});
