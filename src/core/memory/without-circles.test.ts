import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { withoutCircles } from "./without-circles";

const asMap = (edges: readonly (readonly [number, number])[]): Map<string, Set<string>> => {
  const out = new Map(Array.from({ length: 9 }, (_, i) => [String(i), new Set<string>()]));
  for (const [from, to] of edges) if (from !== to) out.get(String(from))?.add(String(to));
  return out;
};
/** Whether `to` is reached from `from`. */
function reaches(before: ReadonlyMap<string, ReadonlySet<string>>, from: string, to: string): boolean {
  const seen = new Set<string>();
  const way = [from];
  for (let key = way.pop(); key !== undefined; key = way.pop())
    for (const next of before.get(key) ?? []) {
      if (next === to) return true;
      if (!seen.has(next)) way.push(next);
      seen.add(next);
    }
  return false;
}
const edges = fc.array(fc.tuple(fc.nat(8), fc.nat(8)), { maxLength: 24 });

describe("what comes before what", () => {
  it("is let go where it runs in a circle, and stays where it leads into one or out of it", () => {
    const found = withoutCircles(asMap([[0, 1], [1, 2], [2, 0], [3, 0], [1, 4], [5, 6]])); // biome-ignore format: one graph
    expect([...found].flatMap(([from, to]) => [...to].map((t) => `${from}${t}`))).toEqual(["14", "30", "56"]);
  });
  it("law: what asks in a circle is let go, all of it and nothing else", () => {
    fc.assert(
      fc.property(edges, (made) => {
        const before = asMap(made);
        const found = withoutCircles(before);
        for (const [from, own] of before)
          for (const to of own) expect(found.get(from)?.has(to)).toBe(!reaches(before, to, from));
        for (const key of found.keys()) expect(reaches(found, key, key)).toBe(false);
      }),
    );
  });
});
