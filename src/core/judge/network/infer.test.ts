import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { drawn, inOrder, seeded } from "./draw";
import { infer } from "./infer";
import { networkFor } from "./network";
import { chanceNotFound, chanceOf, type Known, type NoisyOr } from "./noisy-or";

/** The sum over all states: P(each node is so and what is known), P(what is known). */
function enumerated(nodes: readonly NoisyOr[], known: Known): { so: number[]; all: number } {
  const so = nodes.map(() => 0);
  let all = 0;
  for (let state = 0; state < 1 << nodes.length; state++) {
    const is = (id: string): boolean => ((state >> nodes.findIndex((n) => n.id === id)) & 1) === 1;
    let p = 1;
    for (const n of nodes) {
      const chance = chanceOf(n, is);
      const found = known.get(n.id);
      const isEnd = !nodes.some((x) => x.causes.some((c) => c.from === n.id));
      if (typeof found === "number" && isEnd) {
        // whether it is so is summed over by what would have been found
        p *= is(n.id) ? 0 : chanceNotFound(n, found, is);
        continue;
      }
      p *= is(n.id) ? chance : 1 - chance;
      if (found === true && !is(n.id)) p = 0;
      if (typeof found === "number" && is(n.id)) p *= 1 - found;
    }
    all += p;
    nodes.forEach((n, i) => {
      if (is(n.id)) so[i] = (so[i] as number) + p;
    });
  }
  return { so, all };
}

const chance = fc.double({ min: 0.02, max: 0.97, noNaN: true });
/** Networks of up to ten nodes; a cause comes before what it brings about. */
const networks = fc.integer({ min: 2, max: 10 }).chain((size) =>
  fc.tuple(
    ...Array.from({ length: size }, (_, i) =>
      fc
        .record({
          leak: chance,
          causes: fc.uniqueArray(fc.record({ at: fc.nat(Math.max(0, i - 1)), strength: chance }), {
            maxLength: i,
            selector: (c) => c.at,
          }),
        })
        .map(
          ({ leak, causes }): NoisyOr => ({
            id: `n${i}`,
            leak,
            causes: causes.map((c) => ({ from: `n${c.at}`, strength: c.strength })),
          }),
        ),
    ),
  ),
);
const found = fc.oneof(fc.constantFrom<true | number>(true, 1), chance);

describe("exact inference", () => {
  it("is the sum over all states, on any small network with anything known", () => {
    fc.assert(
      fc.property(networks, fc.array(fc.tuple(fc.nat(9), found), { maxLength: 6 }), (nodes, told) => {
        const known: Known = new Map(told.flatMap(([at, f]) => (nodes[at] ? [[nodes[at].id, f]] : [])));
        const sums = enumerated(nodes, known);
        const { of, logEvidence } = infer(
          nodes,
          known,
          nodes.map((n) => n.id),
        );
        nodes.forEach((n, i) => {
          // an end that was not found falls apart into numbers, and has no state of its own
          if (of.has(n.id)) expect(of.get(n.id)).toBeCloseTo((sums.so[i] as number) / sums.all, 9);
        });
        expect(logEvidence).toBeCloseTo(Math.log(sums.all), 9);
      }),
      { numRuns: 300 },
    );
  });
  it("explains away: of two causes of one effect, the one that is seen clears the other", () => {
    const nodes: NoisyOr[] = [
      { id: "twine", leak: 0.05, causes: [] },
      { id: "worn", leak: 0.1, causes: [] },
      {
        id: "leaks",
        leak: 0.01,
        causes: [
          { from: "twine", strength: 0.9 },
          { from: "worn", strength: 0.9 },
        ],
      },
    ];
    const leaks = infer(nodes, new Map([["leaks", true]]), ["worn"]).of.get("worn") ?? 0;
    const both = infer(
      nodes,
      new Map([
        ["leaks", true],
        ["twine", true],
      ]),
      ["worn"],
    ).of.get("worn");
    expect(leaks).toBeGreaterThan(0.6);
    expect(both).toBeLessThan(0.12);
  });
  it("says so where what is known cannot be", () => {
    expect(() => infer([{ id: "a", leak: 0, causes: [] }], new Map([["a", true]]))).toThrow(RangeError);
  });
  it("agrees with sampling on the whole network", () => {
    const nodes = networkFor(new Set(["has:plastic", "past:hard", "past:old"]));
    const ordered = inOrder(nodes);
    const random = seeded(7);
    const asked = ["worn-out", "overload", "dry", "bearing-slack"];
    const counted = new Map(asked.map((id) => [id, 0]));
    let fit = 0;
    for (let i = 0; i < 40_000; i++) {
      const so = drawn(ordered, random);
      if (!so.has("symptom:louder") || so.has("grease:dry")) continue;
      fit++;
      for (const id of asked) if (so.has(id)) counted.set(id, (counted.get(id) ?? 0) + 1);
    }
    const { of } = infer(
      nodes,
      new Map<string, true | number>([
        ["symptom:louder", true],
        ["grease:dry", 1],
      ]),
      asked,
    );
    expect(fit).toBeGreaterThan(2000);
    // five standard errors of a share
    for (const id of asked) {
      const p = of.get(id) ?? 0;
      expect(Math.abs((counted.get(id) ?? 0) / fit - p)).toBeLessThan(5 * Math.sqrt((p * (1 - p)) / fit));
    }
  });
});
