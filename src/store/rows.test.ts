import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { z } from "zod";
import { DamagedRow, rowsOf } from "./rows";

const thing = z.strictObject({
  id: z.string(),
  sizeMm: z.number().optional(),
  once: z.boolean().optional(),
  list: z.array(z.string()).optional(),
  either: z
    .discriminatedUnion("kind", [
      z.strictObject({ kind: z.literal("a"), n: z.int() }),
      z.strictObject({ kind: z.literal("b") }),
    ])
    .optional(),
  note: z.string().optional(),
});
const things = rowsOf("things", thing, { id: "ref" }, { column: "facts", fields: ["note", "once"] });

describe("a table's rows", () => {
  it("keep every record whole, whatever is left out", () => {
    const some = fc.record(
      {
        id: fc.string(),
        sizeMm: fc.double({ noNaN: true, noDefaultInfinity: true }),
        once: fc.boolean(),
        list: fc.array(fc.string()),
        either: fc.constantFrom({ kind: "a" as const, n: 3 }, { kind: "b" as const }),
        note: fc.string(),
      },
      { requiredKeys: ["id"] },
    );
    fc.assert(
      fc.property(some, (t) => {
        expect(things.read(things.write(t))).toEqual(t);
      }),
    );
  });
  it("call columns as SQL does, and fold what belongs together", () => {
    expect(things.write({ id: "h1", sizeMm: 2, list: ["x"], note: "n" })).toEqual({
      ref: "h1",
      size_mm: 2,
      list: '["x"]',
      facts: '{"note":"n"}',
    });
    expect(things.write({ note: undefined, sizeMm: null })).toEqual({ facts: "{}", size_mm: null });
    expect([things.column("sizeMm"), things.column("note")]).toEqual(["size_mm", "facts"]);
  });
  it("say where a row is damaged, instead of handing it on", () => {
    expect(() => things.read({ ref: "h1", size_mm: "two" })).toThrow(DamagedRow);
    expect(() => things.read({ ref: "h1", size_mm: "two" })).toThrow(/things: sizeMm/);
    expect(() => things.read({ ref: "h1", list: "[" })).toThrow(/list holds no JSON/);
    expect(() => things.read({ ref: "h1", facts: '{"once":"oops"}' })).toThrow(/once/);
  });
});
