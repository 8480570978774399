import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { matArcs, POCKET, placeAfterDrop } from "./mat-geometry";

describe("the arcs under the Mat", () => {
  it("leave out what simply followed, and tie the rest from need to needer", () => {
    expect(matArcs([[], [0], [0, 1], [1]]).map((a) => [a.from, a.to])).toEqual([
      [0, 2],
      [1, 3],
    ]);
  });
  it("begin and end under the middle of their pockets", () => {
    const [arc] = matArcs([[], [], [0]]);
    expect(arc?.d).toMatch(
      new RegExp(`^M${POCKET.width / 2} 2C.* ${2 * POCKET.pitch + POCKET.width / 2} 2$`),
    );
  });
});

describe("a pocket that is put down elsewhere", () => {
  it("comes to lie right beside the one it was put to, wherever it came from", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 40 }),
        fc.nat(),
        fc.nat(),
        fc.constantFrom("before", "after"),
        (n, a, b, side) => {
          const [from, at] = [a % n, b % n];
          fc.pre(from !== at);
          const row = Array.from({ length: n }, (_, i) => i);
          const to = placeAfterDrop(from, at, side);
          row.splice(to, 0, ...row.splice(from, 1));
          expect(row.indexOf(from) - row.indexOf(at)).toBe(side === "before" ? -1 : 1);
        },
      ),
    );
  });
});
