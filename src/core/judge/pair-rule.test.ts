import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { MAKINGS } from "../gear/as-made";
import { bestSpanTeeth, type Gear, sizesCompared, toothLoss } from "../gear/index";
import { makingNotes } from "../gear/making";
import { pairRule } from "./failure-modes";

const gear = (teeth: number, more: Partial<Gear> = {}): Gear => ({
  teeth,
  moduleMm: 1,
  pressureAngleDeg: 20,
  helixAngleDeg: 0,
  profileShift: 0,
  ...more,
});

describe("one reference for wear", () => {
  it("a gear made by our own sheet is sound: as it came, as a mate, and by its sizes", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 12, max: 60 }),
        fc.constantFrom(0.5, 0.8, 1, 1.5, 2, 3),
        fc.constantFrom(...MAKINGS),
        (z, moduleMm, how) => {
          const g = gear(z, { moduleMm });
          const k = bestSpanTeeth(g);
          const note = makingNotes({ ...g, boreMm: 4, faceWidthMm: 8 }, undefined, how).find(
            (n) => n.what === `span over ${k}`,
          );
          const [, low, high] = /reads ([\d.]+) to ([\d.]+) mm/.exec(note?.says ?? "") ?? [];
          for (const span of [Number(low), Number(high)]) {
            const seen = { teeth: k, value: span, u: 0.02 };
            expect(pairRule(toothLoss(g, [seen], { making: how }) ?? undefined, moduleMm).says).not.toMatch(
              /renew both\. A worn/,
            );
            expect(
              sizesCompared(g, [{ what: "span", ...seen }], how).find((r) => r.what === `span over ${k}`)?.ok,
            ).toBe(true);
          }
        },
      ),
    );
  });
});
