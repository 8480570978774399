import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { followsSimply, slideStep } from "./slide-step";

const chain = (n: number) =>
  Array.from({ length: n }, (_, i) => ({ id: `s${i}`, needs: i ? [`s${i - 1}`] : [] }));

describe("a step that is slid to where it belonged", () => {
  it("takes its place in the chain, and the others close up behind it", () => {
    expect(slideStep(chain(4), "s3", 1)).toEqual([
      { id: "s0", needs: [] },
      { id: "s3", needs: ["s0"] },
      { id: "s1", needs: ["s3"] },
      { id: "s2", needs: ["s1"] },
    ]);
  });
  it("keeps what was named: a free order and a named need stay", () => {
    const steps = [
      { id: "a", needs: [] },
      { id: "b", needs: [] },
      { id: "c", needs: ["a"] },
      { id: "d", needs: ["c"] },
    ];
    expect(slideStep(steps, "d", 1)).toEqual([
      { id: "a", needs: [] },
      { id: "d", needs: ["a"] },
      { id: "b", needs: [] },
      { id: "c", needs: ["a"] },
    ]);
  });
  it("there and back again changes nothing, and every place can be reached", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.nat(), fc.nat(), (n, a, b) => {
        const [from, to] = [a % n, b % n];
        const there = slideStep(chain(n), `s${from}`, to);
        expect(there[to]?.id).toBe(`s${from}`);
        expect(there.every((_, i) => followsSimply(there, i))).toBe(true);
        expect(slideStep(there, `s${from}`, from)).toEqual(chain(n));
      }),
    );
  });
  it("refuses a step and a place that are not there", () => {
    expect(() => slideStep(chain(3), "x", 0)).toThrow("there is no step x");
    expect(() => slideStep(chain(3), "s1", 3)).toThrow("there is no place 4 among 3 steps");
  });
});
