import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Fault } from "../fault";
import { dateCodeFrom, madeFrom, madeInWords } from "./date-code";
import { initials, looseItemsFor } from "./loose-items";

describe("a maker's date code", () => {
  it.each([
    ["characters 2–3 year, 4–5 week", { year: [2, 3], week: [4, 5] }],
    ["1-4 year; 5 to 6 month", { year: [1, 4], month: [5, 6] }],
    ["character 3 is year", { year: [3, 3] }],
  ])("is taught as “%s”", (text, code) => {
    expect(dateCodeFrom(text)).toEqual(code);
  });
  it.each([
    ["2–3 week", /at least which characters are the year/],
    ["the second one", /is not read: say it like/],
    ["5–2 year", /characters 5 to 2 cannot hold a year/],
    ["0 year", /cannot hold/],
  ])("is refused as “%s”", (text, says) => {
    expect(() => dateCodeFrom(text)).toThrow(Fault);
    expect(() => dateCodeFrom(text)).toThrow(says);
  });
  it("tells when a unit was made, and nothing where the serial carries no date", () => {
    const code = { year: [2, 3], week: [4, 5] } as const;
    expect(madeFrom(code, "K1914-0771", 2026)).toEqual({ year: 2019, week: 14 });
    expect(madeFrom(code, "K 9914-0771", 2026)).toEqual({ year: 1999, week: 14 });
    expect(madeFrom(code, "K1960-0771", 2026)).toBeNull();
    expect(madeFrom(code, "KA", 2026)).toBeNull();
    expect(madeFrom({ year: [1, 4] }, "2031X", 2026)).toBeNull();
    expect(madeInWords({ year: 2019, week: 14 }, 2026)).toBe("made in week 14 of 2019, about 7 years old");
    expect(madeInWords({ year: 2026, month: 3 }, 2026)).toBe("made in 03/2026, this year");
  });
  it("reads back any year of the last hundred that was written with two digits", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1990, max: 2100 }), fc.integer({ min: 0, max: 99 }), (now, ago) => {
        const year = now - ago;
        expect(madeFrom({ year: [2, 3] }, `X${String(year % 100).padStart(2, "0")}7`, now)?.year).toBe(year);
      }),
    );
  });
});

describe("the counter's quick picks", () => {
  it("know what comes with a unit", () => {
    expect(looseItemsFor("paper shredder")).toEqual(["bin", "key", "cord", "case", "papers"]);
    expect(looseItemsFor("")).toEqual(["cord", "case", "papers"]);
  });
  it("put no name on a tag, only its letters", () => {
    expect(initials("Ilka van der Morrow")).toBe("IVD");
    expect(initials("  ")).toBe("");
  });
});
