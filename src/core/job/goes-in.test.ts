import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Fault } from "../fault";
import { changeGoesIn, type GoesIn, type GoesInChange, goesInSchema } from "./goes-in";
import { companionsOpen, goingInOf, gotPieces } from "./going-in";

const wheel: GoesIn = goesInSchema.parse({
  number: "W-2",
  name: "Wheel, stepped hub",
  with: [
    { number: "P-3", name: "Cross pin", qty: 2, why: "its hub is thicker" },
    { number: "N-8", name: "Pinion", qty: 1 },
  ],
});
const faultOf = (said: GoesInChange): string => {
  try {
    changeGoesIn(wheel, said);
  } catch (e) {
    if (e instanceof Fault) return `${e.path}: ${e.says}`;
    throw e;
  }
  return "taken";
};
const said = (...all: readonly GoesInChange[]): GoesIn => all.reduce(changeGoesIn, wheel);

describe("what goes in, as it is said at the bench", () => {
  it("gets more companions by hand, which are told by their names, and strikes them", () => {
    const more = said({ what: "also", says: "2 x washer 8 mm" });
    expect(more.with.at(-1)).toEqual({ number: "", name: "washer 8 mm", qty: 2 });
    expect(changeGoesIn(more, { what: "open", companion: "washer 8 mm" })).toEqual(wheel);
    expect(said({ what: "also", says: "felt ring" }).with.at(-1)).toMatchObject({
      name: "felt ring",
      qty: 1,
    });
  });
  it("has a companion either from somewhere or not at all, and both can be opened again", () => {
    const got = said({ what: "companion", companion: "P-3", got: { from: "counter" } });
    expect(got.with[0]).toMatchObject({ got: { from: "counter" } });
    const without = changeGoesIn(got, {
      what: "without",
      companion: "P-3",
      why: "the old ones are long enough",
    });
    expect(without.with[0]).toEqual({
      number: "P-3",
      name: "Cross pin",
      qty: 2,
      why: "its hub is thicker",
      without: "the old ones are long enough",
    });
    expect(changeGoesIn(without, { what: "open", companion: "P-3" })).toEqual(wheel);
  });
  it("faces and lies as is said, until that is taken away", () => {
    const lies = said(
      { what: "facing", says: " hub down " },
      { what: "stack", says: "shim; wheel ;; washer" },
    );
    expect(lies).toMatchObject({ facing: "hub down", stack: ["shim", "wheel", "washer"] });
    expect(
      [{ what: "facing", says: "" } as const, { what: "stack", says: " " } as const].reduce(
        changeGoesIn,
        lies,
      ),
    ).toEqual(wheel);
  });
  it("as a law: a piece stays out once, and whatever was said to stay out can go back", () => {
    const piece = fc.oneof(
      fc.record({ part: fc.constantFrom("a", "b") }),
      fc.record({ hardware: fc.constantFrom("a", "b") }),
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 8 }), (pieces) => {
        const out = said(
          ...pieces.map((p) => ({ what: "stays-out" as const, piece: { ...p, why: "not needed" } })),
        );
        expect(out.staysOut.length).toBe(new Set(pieces.map((p) => JSON.stringify(p))).size);
        expect(pieces.reduce((g, p) => changeGoesIn(g, { what: "goes-back", piece: p }), out)).toEqual(wheel);
      }),
    );
  });
  it.each<[GoesInChange, string]>([
    [{ what: "without", companion: "P-3", why: "  " }, "why: say in a few words why"],
    [{ what: "stays-out", piece: { part: "p1", why: "" } }, "why: say in a few words why"],
    [
      { what: "companion", companion: "X-1", got: { from: "kit" } },
      "companion: X-1 does not go in with it any more",
    ],
    [{ what: "also", says: "   " }, "says: say what goes in with it, like 2 x washer 8 mm"],
    [{ what: "also", says: "0 x washer" }, "says: the count must be 1 or more"],
  ])("refuses %o", (wrong, says) => {
    expect(faultOf(wrong)).toBe(says);
  });
  it("does not take the same piece twice", () => {
    const more = said({ what: "also", says: "felt ring" });
    expect(() => changeGoesIn(more, { what: "also", says: "felt ring" })).toThrow(/goes in with it already/);
  });
});

describe("what goes in into a unit", () => {
  const parts = [
    { id: "p1", name: "wheel", renew: true },
    { id: "p2", name: "pinion", renew: true },
    { id: "p3", name: "seal" },
  ];
  const findings = [
    { part: "p1", chosen: "W-2", goesIn: wheel },
    { part: "p2", chosen: "N-8" },
    { part: "p3", goesIn: { ...wheel, number: "S-1" } },
  ];
  it("leaves out what has a place of its own, and what does not go back new", () => {
    const [only, ...others] = goingInOf({ parts, findings });
    expect(others).toEqual([]);
    expect(only?.with.map((c) => c.number)).toEqual(["P-3"]);
    expect(goingInOf({ parts, findings: findings.slice(0, 1) })[0]?.with.map((c) => c.number)).toEqual([
      "P-3",
      "N-8",
    ]);
  });
  it("has a companion open until it is ordered, got, or left out with a reason", () => {
    const open = (goesIn: GoesIn, ...ordered: string[]): string[] =>
      companionsOpen({ ...goesIn, part: "p1" }, new Set(ordered)).map((c) => c.number);
    expect(open(wheel)).toEqual(["P-3", "N-8"]);
    expect(open(wheel, "P-3", "N-8")).toEqual([]);
    expect(open(said({ what: "companion", companion: "N-8", got: { from: "kit" } }), "P-3")).toEqual([]);
    expect(open(said({ what: "without", companion: "N-8", why: "not this variant" }))).toEqual(["P-3"]);
    expect(open(said({ what: "also", says: "felt ring" }), "P-3", "N-8")).toEqual([""]);
  });
  it("lists what was got elsewhere, with what it is", () => {
    const goesIn = said({ what: "companion", companion: "P-3", got: { from: "counter", price: 2.5 } });
    expect(
      gotPieces({
        parts,
        findings: [
          { part: "p1", got: { from: "kit" }, goesIn },
          { part: "p3", got: { from: "kit" } },
        ],
      }),
    ).toEqual([
      { key: "p1", part: "p1", for: "wheel", got: { from: "kit" } },
      { key: "p1 P-3", part: "p1", says: "2 × Cross pin, P-3", got: { from: "counter", price: 2.5 } },
    ]);
  });
});
