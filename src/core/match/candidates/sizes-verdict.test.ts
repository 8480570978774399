import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type CataloguePart, type CataloguePartInput, cataloguePart } from "../catalogue/catalogue-part";
import { partsTable } from "../catalogue/catalogue-row";
import type { SoldKind } from "../catalogue/part-spec";
import { SPEC_FIELDS, specValue } from "../catalogue/spec-fields";
import { rankCandidates } from "./rank";
import { isNearInSize, sizesVerdict, type WantedSizes } from "./sizes-verdict";
import { wholeVerdict } from "./verdict";

const part = (number: string, spec: CataloguePartInput["spec"]): CataloguePart =>
  cataloguePart.parse({ number, name: number, spec, price: 5, stock: 1 });
const ratchet = (more: object = {}) =>
  part("R", {
    kind: "ratchet",
    teeth: 36,
    outsideMm: 24,
    boreMm: 8,
    boreForm: "square",
    holds: "clockwise",
    ...more,
  } as never);
const said = (w: WantedSizes, p: CataloguePart) => wholeVerdict(sizesVerdict(w, p.spec));
const wanted = (sizes: WantedSizes["sizes"], seen: WantedSizes["seen"] = {}): WantedSizes => ({
  kind: "ratchet",
  sizes,
  seen,
});

describe("a part that is sold by its sizes", () => {
  const all = wanted(
    { teeth: 36, outsideMm: { value: 23.96, u: 0.03 }, boreMm: { value: 8.02, u: 0.03 } },
    { holds: "clockwise", boreForm: "square" },
  );
  it("drops in where every size and look is as it was", () => {
    expect(said(all, ratchet())).toBe("drop-in");
  });
  it("a count, and the way it holds, are exact; both ways is as good", () => {
    expect(said(all, ratchet({ teeth: 37 }))).toBe("no");
    expect(said(all, ratchet({ holds: "anticlockwise" }))).toBe("no");
    expect(said(all, ratchet({ holds: "both" }))).toBe("drop-in");
    expect(said(all, ratchet({ boreForm: "hex" }))).toBe("no");
  });
  it("what the catalogue does not tell is asked, and what was not measured too; nothing is guessed", () => {
    expect(sizesVerdict(all, ratchet({ holds: undefined }).spec).at(-1)).toMatchObject({
      verdict: "settle",
      says: "ask the seller: holds clockwise?",
    });
    expect(sizesVerdict(wanted({ teeth: 36 }), ratchet().spec).map((c) => [c.criterion, c.verdict])).toEqual([
      ["teeth", "same"],
      ["outside", "settle"],
      ["bore", "settle"],
      ["bore form", "settle"],
      ["holds", "settle"],
    ]);
  });
  it("a belt by its teeth and width, its profile however it is written", () => {
    const belt = part("B", { kind: "belt", profile: "HTD 3M", lengthMm: 261, widthMm: 6, teeth: 87 });
    const like = (sizes: WantedSizes["sizes"], profile: string): WantedSizes => ({
      kind: "belt",
      sizes,
      seen: { profile },
    });
    expect(said(like({ teeth: 87, lengthMm: 261, widthMm: { value: 6.1, u: 0.05 } }, "htd-3m"), belt)).toBe(
      "drop-in",
    );
    expect(said(like({ teeth: 88, lengthMm: 264, widthMm: 6 }, "HTD 3M"), belt)).toBe("no");
    expect(said(like({ teeth: 87, lengthMm: 261, widthMm: 6 }, "T2.5"), belt)).toBe("no");
  });
  it("one of quite another size is not shown at all; one of the same kind without sizes is, to be asked about", () => {
    const ranked = rankCandidates({ sizes: all, kind: "ratchet", name: "ratchet wheel" }, [
      ratchet(),
      part("far", { kind: "ratchet", teeth: 60 }),
    ]);
    expect(ranked.map((c) => c.part.number)).toEqual(["R"]);
  });
  it("each kind comes in from a table and goes out to one", () => {
    for (const spec of [
      { kind: "spline", form: "involute", on: "hub", teeth: 18, outsideMm: 20, insideMm: 18, lengthMm: 12 },
      { kind: "ratchet", teeth: 36, toothed: "inside", outsideMm: 24, widthMm: 5, holds: "both" },
      {
        kind: "dog-clutch",
        teeth: 3,
        flanks: "one side sloped",
        outsideMm: 30,
        insideMm: 18,
        heightMm: 4,
        boreMm: 10,
        boreForm: "hex",
      },
      {
        kind: "one-way-clutch",
        insideMm: 8,
        outsideMm: 12,
        widthMm: 12,
        runsOn: "the shaft",
        holds: "either way round",
      },
    ] as const) {
      const p = part(spec.kind, spec);
      expect(partsTable.read(partsTable.write(p)).spec).toEqual(p.spec);
    }
  });

  const KINDS: readonly SoldKind[] = [
    "spline",
    "ratchet",
    "dog-clutch",
    "one-way-clutch",
    "belt",
    "o-ring",
    "pin",
    "circlip",
    "brush",
  ];
  it("as a law: a part against its own figures drops in; one figure off by more than its tolerance and the reading never does", () => {
    const specs: Record<string, object> = {
      spline: { teeth: 18, outsideMm: 20, insideMm: 18 },
      ratchet: { teeth: 36, outsideMm: 24, widthMm: 5, boreMm: 8 },
      "dog-clutch": { teeth: 3, outsideMm: 30, insideMm: 18, heightMm: 4 },
      "one-way-clutch": { insideMm: 8, outsideMm: 12, widthMm: 12 },
      belt: { lengthMm: 400, widthMm: 6, teeth: 80 },
      "o-ring": { insideMm: 20, sectionMm: 2 },
      pin: { diameterMm: 3, lengthMm: 18 },
      circlip: { seat: "shaft", diameterMm: 8, thicknessMm: 0.8 },
      brush: { lengthMm: 17, widthMm: 11, thicknessMm: 6 },
    };
    fc.assert(
      fc.property(
        fc.constantFrom(...KINDS),
        fc.nat(),
        fc.double({ min: 1.05, max: 1.9, noNaN: true }),
        fc.boolean(),
        (kind, which, far, up) => {
          const p = part("x", { kind, ...specs[kind] } as never);
          const fields = SPEC_FIELDS[kind].filter(
            (f) => f.tolerance !== undefined && specValue(p.spec, f.key) !== undefined,
          );
          const u = 0.01;
          const sizes: Record<string, { value: number; u: number } | number> = {};
          for (const f of fields)
            sizes[f.key] = f.tolerance
              ? { value: specValue(p.spec, f.key) as number, u }
              : (specValue(p.spec, f.key) as number);
          const seen: Record<string, string> = kind === "circlip" ? { seat: "shaft" } : {};
          expect(wholeVerdict(sizesVerdict({ kind, sizes, seen }, p.spec))).toBe("drop-in");
          const f = fields[which % fields.length] as (typeof fields)[number];
          const off = f.tolerance ? far * f.tolerance + 2 * u : 1;
          const must = (specValue(p.spec, f.key) as number) + (up ? off : -off);
          const moved = {
            kind,
            sizes: { ...sizes, [f.key]: f.tolerance ? { value: must, u } : must },
            seen: {},
          };
          expect(wholeVerdict(sizesVerdict(moved, p.spec))).toBe("no");
          expect(isNearInSize({ kind, sizes, seen: {} }, p.spec)).toBe(true);
        },
      ),
    );
  });
});
