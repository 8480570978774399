import fc from "fast-check";
import { expect, it } from "vitest";
import { type Comparison, compared } from "./compared";

const verdict = (wanted: number, offered: number, u: number, tolerance = 0.03): string =>
  compared({ value: wanted, u }, offered, {
    name: "bore",
    unit: "mm",
    tolerance,
    instrumentU: 0.02,
    ask: "measure the bore",
    otherwise: () => ["no", "no"],
  }).verdict;
const size = fc.double({ min: 1, max: 60, noNaN: true });
const apart = fc.double({ min: 0, max: 1, noNaN: true });

it("what is within two spreads of the tolerance is never refused, what is beyond it never accepted", () => {
  fc.assert(
    fc.property(size, apart, fc.double({ min: 0.001, max: 0.3, noNaN: true }), (wanted, d, u) => {
      const v = verdict(wanted, wanted + d, u);
      if (d < 0.03 + 2 * u - 1e-9) expect(v).not.toBe("no");
      if (d > 0.03 + 2 * u + 1e-9) expect(v).toBe("no");
      if (d > 0.03 + 1e-9) expect(v).not.toBe("same");
    }),
  );
});
it("does not care on which side it is off, and a blunter reading decides less", () => {
  fc.assert(
    fc.property(size, apart, fc.double({ min: 0.001, max: 0.3, noNaN: true }), (wanted, d, u) => {
      const order = ["no", "same", "settle"];
      expect(verdict(100 + wanted, 100 + wanted + d, u)).toBe(verdict(100 + wanted, 100 + wanted - d, u));
      if (verdict(wanted, wanted + d, u) === "settle")
        expect(order.indexOf(verdict(wanted, wanted + d, 2 * u))).toBe(2);
    }),
  );
});
it("what was not measured, or is not told, is asked for", () => {
  const how: Comparison = {
    name: "bore",
    unit: "mm",
    tolerance: 0.03,
    instrumentU: 0.02,
    ask: "measure the bore",
    otherwise: () => ["no", "no"],
  };
  expect(compared(undefined, 8, how)).toMatchObject({
    wanted: "not measured",
    verdict: "settle",
    says: "measure the bore to settle it",
  });
  expect(compared(8, undefined, how)).toMatchObject({
    offered: "not told",
    verdict: "settle",
    says: "ask the seller for the bore",
  });
  expect(compared(8, 8.02, how)).toMatchObject({ tolerance: "0.03 mm", verdict: "same" });
});
