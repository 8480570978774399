import fc from "fast-check";
import { expect, it } from "vitest";
import { cameFor, stillWanted, type ToFit } from "./parcel";

const kits = new Map([
  [
    "KIT",
    [
      { number: "W", qty: 1 },
      { number: "BUSH", qty: 2 },
      { number: "DOWEL", qty: 2 },
    ],
  ],
]);

it("a kit is its contents: what the unit needs goes to its places, the rest to stock", () => {
  const toFit: ToFit[] = [
    { number: "W", qty: 1, part: "p5" },
    { number: "BUSH", qty: 2 },
  ];
  expect(cameFor([{ number: "KIT", qty: 1 }], kits, toFit)).toEqual([
    { number: "W", qty: 1, part: "p5", spare: false },
    { number: "BUSH", qty: 2, spare: false },
    { number: "DOWEL", qty: 2, spare: true },
  ]);
});
it("two places of the same number are told apart, and what is sent back is wanted again", () => {
  const toFit: ToFit[] = [
    { number: "608", qty: 1, part: "p1" },
    { number: "608", qty: 1, part: "p2" },
  ];
  expect(cameFor([{ number: "608", qty: 10 }], kits, toFit).map((c) => [c.part, c.qty, c.spare])).toEqual([
    ["p1", 1, false],
    ["p2", 1, false],
    [undefined, 8, true],
  ]);
  expect(stillWanted(toFit, [{ number: "608", qty: 1, part: "p1" }])).toEqual([
    { number: "608", qty: 1, part: "p2" },
  ]);
  expect(stillWanted(toFit, [])).toEqual(toFit);
});
it("as a law: nothing is lost on the way, and nothing goes in that is not wanted", () => {
  const number = fc.constantFrom("W", "BUSH", "DOWEL", "X");
  const pieces = fc.array(
    fc.record({ number: fc.constantFrom("W", "BUSH", "X", "KIT"), qty: fc.integer({ min: 1, max: 5 }) }),
    { maxLength: 4 },
  );
  const fit = fc.uniqueArray(fc.record({ number, qty: fc.integer({ min: 1, max: 4 }) }), {
    selector: (f) => f.number,
    maxLength: 4,
  });
  fc.assert(
    fc.property(pieces, fit, (ps, toFit) => {
      const came = cameFor(ps, kits, toFit);
      const sum = (rows: readonly { number: string; qty: number }[], n: string): number =>
        rows.filter((r) => r.number === n).reduce((t, r) => t + r.qty, 0);
      for (const n of ["W", "BUSH", "DOWEL", "X"]) {
        const whole = ps.reduce(
          (t, p) => t + p.qty * sum(kits.get(p.number) ?? [{ number: p.number, qty: 1 }], n),
          0,
        );
        expect(sum(came, n)).toBe(whole);
        const fitted = sum(
          came.filter((c) => !c.spare),
          n,
        );
        expect(fitted).toBe(Math.min(whole, sum(toFit, n)));
        expect(
          sum(
            stillWanted(
              toFit,
              came.filter((c) => !c.spare),
            ),
            n,
          ),
        ).toBe(sum(toFit, n) - fitted);
      }
    }),
  );
});
