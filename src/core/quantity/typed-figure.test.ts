import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { FIGURE_UNITS, type FigureOf, typedFigure } from "./typed-figure";

const value = (text: string, of: FigureOf, ground = {}): number => {
  const read = typedFigure(text, of, ground);
  if (typeof read === "string") throw new Error(read);
  return read.value;
};

describe("a figure as it is typed", () => {
  it.each([
    ["110", "mass", 110],
    ["110 g", "mass", 110],
    ["6 oz", "mass", 170.0971],
    ["6oz.", "mass", 170.0971],
    ["½ oz", "mass", 14.1748],
    ["1 1/2 oz", "mass", 42.5243],
    ["1½ oz", "mass", 42.5243],
    ["0,5 kg", "mass", 500],
    ["500 mg", "mass", 0.5],
    ["1 lb 4 oz", "mass", 566.9905],
    ["six ounces", "mass", 170.0971],
    ["about 120 g", "mass", 120],
    ["160 ml", "volume", 160],
    ["half a litre", "volume", 500],
    ["2 fl oz", "volume", 59.1471],
    ["a teaspoon", "volume", 5],
    ["3 tbsp", "volume", 45],
    ["2 drops", "volume", 0.06],
    ["1.6 dl", "volume", null],
    ["1 3/16 in", "length", 30.1625],
    ["4.5 cm", "length", 45],
    ["-20", "temperature", -20],
    ["−20 °C", "temperature", -20],
    ["14 °F", "temperature", -10],
    ["2,5 m/s", "speed", 2.5],
    ["900 rpm", "turns", 900],
  ] as const)("%s as %s is %d", (text, of, wanted) => {
    if (wanted === null) expect(typedFigure(text, of)).toMatch(/is not a volume/);
    else expect(value(text, of)).toBeCloseTo(wanted, 3);
  });

  it("keeps a spread, and takes its middle", () => {
    for (const text of ["110-130 g", "110 to 130", "110…130 g", "110 – 130 g", "120 ± 10 g"])
      expect(typedFigure(text, "mass")).toEqual({ value: 120, spread: [110, 130] });
    expect(typedFigure("4-5 oz", "mass")).toMatchObject({ unit: "oz" });
    expect(typedFigure("130-110 g", "mass")).toMatch(/smaller figure comes first/);
    expect(value("-20 to 40 °C", "temperature")).toBe(10);
  });

  it("turns volumes and strokes into grams only where it is known with what", () => {
    expect(value("10 ml", "mass", { densityGPerMl: 0.9 })).toBeCloseTo(9, 9);
    expect(value("2 tsp", "mass", { densityGPerMl: 0.9 })).toBeCloseTo(9, 9);
    expect(typedFigure("10 ml", "mass")).toMatch(/does not measure a weight/);
    expect(value("two pumps", "mass", { gunGramsPerStroke: 1.3 })).toBeCloseTo(2.6, 9);
    expect(typedFigure("two pumps", "mass")).toMatch(/stroke of the gun/);
    expect(typedFigure("3 oz", "temperature")).toMatch(/a temperature/);
  });

  it("asks where a comma can be read in two ways", () => {
    expect(typedFigure("1,250 g", "mass")).toBe("1,250: is that 1250 or 1.250? Write it without the comma.");
    expect(value("0,125 kg", "mass")).toBe(125);
    expect(value("1,25 g", "mass")).toBe(1.25);
  });

  it.each(["much", "12 bananas", "1/0 oz", "1.2.3", "-", "g", "12 g 3"])(
    "%s is none, and says so",
    (text) => {
      expect(typedFigure(text, "mass")).toMatch(new RegExp(`“${text}” is not a weight`));
    },
  );

  it("law: a bare number is read as it is printed, with a point or a comma, in every quantity", () => {
    const of = fc.constantFrom(...(Object.keys(FIGURE_UNITS) as FigureOf[]));
    fc.assert(
      fc.property(of, fc.integer({ min: 0, max: 999_999 }), (quantity, n) => {
        const printed = (n / 100).toFixed(2);
        expect(value(printed, quantity)).toBe(n / 100);
        expect(value(`${printed} ${FIGURE_UNITS[quantity]}`, quantity)).toBe(n / 100);
        expect(value(printed.replace(".", ","), quantity)).toBe(n / 100);
      }),
    );
  });
});
