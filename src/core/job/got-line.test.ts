import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { filledFrom, gotFromLine } from "./got-line";

describe("where a part comes from, in one line", () => {
  it.each([
    [
      "counter, Ombray Tools, no. 4711-B, 12.50",
      { from: "counter", says: "Ombray Tools", number: "4711-B", price: "12.50" },
    ],
    ["from the counter, 608-2RS, 4,20 €", { from: "counter", number: "608-2RS", price: "4,20" }],
    ["kit in hand, piece 3, 18", { from: "kit", says: "kit in hand, piece 3", price: "18" }],
    ["customer brought it", { from: "customer", says: "customer brought it" }],
    ["another unit, J-0031", { from: "donor", says: "another unit", number: "J-0031" }],
    ["made here, of brass rod", { from: "made", says: "made here, of brass rod" }],
    ["Ombray Tools, dowel 3 × 18", { says: "Ombray Tools, dowel 3 × 18" }],
    ["for 9", { price: "9" }],
    ["", {}],
  ] as const)("%s", (line, wanted) => {
    expect(gotFromLine(line)).toEqual(wanted);
  });
  it("as a law: no word is lost, whatever is said", () => {
    const piece = fc.constantFrom(
      "counter",
      "Ombray Tools",
      "no. 77-A",
      "4.50",
      "3",
      "dowel 3 × 18",
      "red",
      "12 €",
      "kit",
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 6 }), (all) => {
        const { from, says = "", number = "", price = "" } = gotFromLine(all.join(", "));
        const told = `${from ?? ""} ${says} ${number} ${price}`;
        for (const word of all.join(" ").match(/[\p{L}\p{N}.]{2,}/gu) ?? [])
          expect(told.includes(word.replace(/\.$/, "")) || /^no\.?$/.test(word) || SOURCE.test(word)).toBe(
            true,
          );
      }),
    );
  });
});
const SOURCE = /^(?:counter|kit)$/;

it("a line leaves nothing of its earlier states, and takes nothing from a field of its own", () => {
  const typed = (line: string, from: Record<string, string> = {}) =>
    [...line].reduce((now, _, i) => filledFrom(now, line.slice(0, i + 1)), from);
  expect(typed("counter, 4")).toEqual({ from: "counter", price: "4", line: "counter, 4" });
  expect(typed("counter, 4", { says: "Reed" })).toMatchObject({ says: "Reed" });
  expect(typed("kit, SK-40")).toMatchObject({ from: "kit", number: "SK-40" });
});
