import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { bareNumber, foldedNumber, numberMatch, successorsOf } from "./part-number";

const number = fc.stringMatching(/^[A-Z]{2,4}-[0-9]{2,3}-[0-9]{2,4}$/);

describe("a number that was read", () => {
  it.each([
    ["VLB-40-241", "exact"],
    ["vlb 40.241", "written"],
    ["VLB4O24I", "misread"],
    ["VL8-40-24l", "misread"],
    ["VLB-40-24", "one off"],
    ["VLB-40-421", "one off"],
    ["VLB-40-2411", "one off"],
    ["VLB-30-241", "one off"],
    ["VLB-30-242", null],
    ["BRW-K220", null],
    ["", null],
  ])("%s is VLB-40-241: %s", (asked, how) => {
    expect(numberMatch(asked, "VLB-40-241")?.how ?? null).toBe(how);
  });
  it("says which signs were misread", () => {
    expect(numberMatch("VLB-4O-24I", "VLB-40-241")?.says).toBe(
      "O instead of 0, I instead of 1: easily misread, look again",
    );
  });
  it("a short number is never one sign off: that is the next size", () => {
    expect(numberMatch("608", "609")).toBeNull();
    expect(numberMatch("6001", "6002")).toBeNull();
  });
  it("as a law: however it is spaced and dashed, it is the same number", () => {
    fc.assert(
      fc.property(
        number,
        fc.array(fc.constantFrom("", " ", "-", ".", "/"), { minLength: 20, maxLength: 20 }),
        (n, gaps) => {
          const spaced = [...bareNumber(n).toLowerCase()].map((c, i) => c + gaps[i]).join("");
          expect(["exact", "written"]).toContain(numberMatch(spaced, n)?.how);
          expect(foldedNumber(spaced)).toBe(foldedNumber(n));
        },
      ),
    );
  });
  it("as a law: one sign changed is found, two different ones in different places are not", () => {
    fc.assert(
      fc.property(number, fc.nat(), fc.constantFrom("7", "X", "W"), (n, at, c) => {
        const bare = bareNumber(n);
        const i = at % bare.length;
        if (bare[i] === c) return;
        expect(numberMatch(bare.slice(0, i) + c + bare.slice(i + 1), n)?.how).toBe("one off");
        const j = (i + 2) % bare.length;
        const two = [...bare].map((x, k) => (k === i ? "Ä" : k === j ? "Ö" : x)).join("");
        expect(numberMatch(two, n)).toBeNull();
      }),
    );
  });
});

describe("what replaces a number", () => {
  const part = (number: string, ...olds: string[]) => ({
    number,
    replaces: olds.map((o) => ({ number: o, variants: [] as string[] })),
  });
  it("is found by way of others, the nearest first", () => {
    const found = successorsOf("a 1", [part("A-3", "A-2"), part("A-2", "A-1"), part("B-1", "B-0")]);
    expect(found.map((s) => s.chain)).toEqual([
      ["a 1", "A-2"],
      ["a 1", "A-2", "A-3"],
    ]);
  });
  it("gathers the conditions and narrows the variants on the way", () => {
    const parts = [
      { number: "A-2", replaces: [{ number: "A-1", when: "with the long bush", variants: ["B", "C"] }] },
      { number: "A-3", replaces: [{ number: "A-2", when: "and the new seal", variants: ["C", "D"] }] },
    ];
    expect(successorsOf("A-1", parts)[1]).toMatchObject({
      conditions: ["with the long bush", "and the new seal"],
      variants: ["C"],
    });
  });
  it("as a law: ends, and names each number once, also where numbers go round in circles", () => {
    const numbers = ["N0", "N1", "N2", "N3", "N4"];
    const edges = fc.array(fc.tuple(fc.constantFrom(...numbers), fc.constantFrom(...numbers)), {
      maxLength: 12,
    });
    fc.assert(
      fc.property(edges, (es) => {
        const parts = numbers.map((n) => part(n, ...es.filter(([p]) => p === n).map(([, old]) => old)));
        const found = successorsOf("N0", parts).map((s) => s.part.number);
        expect(new Set(found).size).toBe(found.length);
        expect(found).not.toContain("N0");
        // everything that can be reached is there
        const reach = new Set(["N0"]);
        for (let i = 0; i < 5; i++) for (const [p, old] of es) if (reach.has(old)) reach.add(p);
        expect(new Set([...found, "N0"])).toEqual(reach);
      }),
    );
  });
});
