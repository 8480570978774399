import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { asHeading } from "../../table/cells";
import { type CataloguePart, cataloguePart, supplierOffer } from "./catalogue-part";
import { offersTable, partsTable, suppliersTable } from "./catalogue-row";
import { partSpec } from "./part-spec";
import { SOLD_KINDS } from "./spec-fields";
import { specInWords } from "./spec-in-words";

/** Words with everything in them that separates something. */
const words = fc
  .stringMatching(/^[A-Za-z0-9äß=+@'";:,()/\\ -]{1,24}$/)
  .map((s) => s.trim())
  .filter((s) => s.length > 0 && s === s.trim());
const id = fc.stringMatching(/^[A-Z]{1,3}[-:/(;,\\]?[0-9]{1,4}$/);
const mm = fc.integer({ min: 1, max: 9999 }).map((n) => n / 100);
const qty = fc.integer({ min: 1, max: 20 });
const some = <T>(a: fc.Arbitrary<T>): fc.Arbitrary<T[]> => fc.array(a, { maxLength: 3 });
const spec = fc.oneof(
  fc.record({
    kind: fc.constant("gear" as const),
    teeth: fc.integer({ min: 4, max: 200 }),
    moduleMm: fc.integer({ min: 1, max: 500 }).map((n) => n / 100),
    helixAngleDeg: fc.integer({ min: 0, max: 30 }),
    boreMm: mm,
  }),
  fc.record({
    kind: fc.constant("bearing" as const),
    insideMm: mm,
    outsideMm: mm,
    widthMm: mm,
    closure: fc.constantFrom("open" as const, "2RS" as const),
  }),
  fc.record({ kind: fc.constant("hardware" as const), size: words }),
  fc.record({
    kind: fc.constant("consumable" as const),
    amount: mm,
    unit: fc.constantFrom("g" as const, "pieces" as const),
  }),
);
const fit = fc.record(
  { maker: words, model: words, variants: some(words), fromSerial: id, toSerial: id },
  { requiredKeys: ["maker", "model", "variants"] },
);
const part: fc.Arbitrary<CataloguePart> = fc
  .record({
    number: id,
    name: words,
    spec,
    price: mm,
    stock: qty,
    discontinued: fc.boolean(),
    fits: some(fit),
    replaces: some(
      fc.record({ number: id, when: words, variants: some(words) }, { requiredKeys: ["number", "variants"] }),
    ),
    needsAlso: some(fc.record({ number: id, qty, why: words })),
    incompatibleWith: some(fc.record({ number: id, why: words })),
    contains: some(fc.record({ number: id, qty, variant: words }, { requiredKeys: ["number", "qty"] })),
    facing: words,
    stack: some(words),
    leavesOut: some(words),
  })
  .map((p) => cataloguePart.parse(p));

describe("a part in a row of a table", () => {
  it("as a law: comes back as it went out, whatever separators stand in its words", () => {
    fc.assert(
      fc.property(part, (p) => {
        expect(partsTable.read(partsTable.write(p))).toEqual(p);
      }),
    );
  });
  it("as a law: an offer and a supplier come back too", () => {
    const offer = fc.record(
      { supplier: words, number: id, price: mm, pack: qty, stock: qty, minPacks: qty, leadDays: qty },
      { requiredKeys: ["supplier", "number", "price", "leadDays"] },
    );
    fc.assert(
      fc.property(offer, (o) => {
        const whole = supplierOffer.parse(o);
        expect(offersTable.read(offersTable.write(whole))).toEqual(whole);
      }),
    );
    const s = { name: "North", shipping: 6.5, freeFrom: 100, minimumOrder: 10 };
    expect(suppliersTable.read(suppliersTable.write(s))).toEqual(s);
  });
  it("has a heading for everything that any kind knows", () => {
    for (const o of partSpec.options)
      for (const key of Object.keys(o.shape))
        expect(partsTable.columns).toContain(key.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`));
    expect(SOLD_KINDS).toHaveLength(partSpec.options.length);
  });
  it("is read as people write it", () => {
    const read = partsTable.read({
      number: "W-42",
      name: "Wheel",
      kind: "Gear",
      teeth: "42",
      module_mm: "1,25",
      price: "18,40",
      discontinued: "no",
      fits: "Example / Press 40 / A, B / 1000 to 1999; Example / Press 42",
      needs_also: "2 x BUSH-8: the hub is longer; P-8",
      contains: "2 × DOWEL-4 (A)",
    });
    expect(read).toMatchObject({
      spec: { kind: "gear", teeth: 42, moduleMm: 1.25, pressureAngleDeg: 20 },
      price: 18.4,
      fits: [
        { maker: "Example", model: "Press 40", variants: ["A", "B"], fromSerial: "1000", toSerial: "1999" },
        { maker: "Example", model: "Press 42", variants: [] },
      ],
      needsAlso: [
        { number: "BUSH-8", qty: 2, why: "the hub is longer" },
        { number: "P-8", qty: 1, why: "" },
      ],
      contains: [{ number: "DOWEL-4", qty: 2, variant: "A" }],
    });
    expect(asHeading(" Module mm ")).toBe("module_mm");
  });
  it("a gear whose tooth nobody measured is kept by its number", () => {
    const { spec } = partsTable.read({ number: "W-7", name: "wheel", kind: "gear", bore_mm: "8" });
    expect(specInWords(spec)).toBe("its tooth is not told · bore 8");
    expect(
      partsTable.read(partsTable.write(partsTable.read({ number: "W-7", name: "w", kind: "gear" }))),
    ).toEqual(partsTable.read({ number: "W-7", name: "w", kind: "gear" }));
  });
  it.each([
    [{ kind: "cog" }, "kind", /is no kind of part: gear/],
    [{ kind: "gear", teeth: "many", module_mm: "1" }, "teeth", /"many" is not a number/],
    [{ kind: "gear", teeth: "41.5", module_mm: "1" }, "teeth", /^must be a whole number$/],
    [{ kind: "belt", width_mm: "6" }, "length_mm", /is missing/],
    [{ kind: "bearing", inside_mm: "8", outside_mm: "22", width_mm: "7", closure: "3Z" }, "closure", /./],
    [{ kind: "kit", price: "1.234,50" }, "price", /not a number/],
    [{ kind: "kit", discontinued: "perhaps" }, "discontinued", /neither yes nor no/],
    [{ kind: "kit", fits: "Velbrant Pressa" }, "fits", /maker \/ model/],
    [{ kind: "kit", name: "" }, "name", /needs a name/],
    [{ kind: "kit", stock: "-1" }, "stock", /./],
  ])("refuses %j at %s", (cells, column, says) => {
    try {
      partsTable.read({ number: "N", name: "n", ...(cells as Record<string, string>) });
      expect.unreachable("it was read");
    } catch (e) {
      expect(e).toMatchObject({ path: column, says: expect.stringMatching(says) });
    }
  });
});
