import { describe, expect, it } from "vitest";
import { z } from "zod";
import { Fault, pathInWords, readWith } from "./fault";

const schema = z.strictObject({
  qty: z.int("must be a whole number").min(1, "must be 1 or more"),
  steps: z.array(z.object({ id: z.string() })).optional(),
  size: z
    .union([
      z.number(),
      z.strictObject({ value: z.number(), u: z.number().positive("the spread u must be above 0") }),
    ])
    .optional(),
});
const faultOf = (input: unknown, at?: string): string => {
  try {
    readWith(schema, input, at);
  } catch (e) {
    if (e instanceof Fault) return e.message;
    throw e;
  }
  return "read";
};

describe("reading input", () => {
  it("gives back what fits", () => {
    expect(readWith(schema, { qty: 2 })).toEqual({ qty: 2 });
  });
  it.each([
    [{ qty: 0 }, "qty: must be 1 or more"],
    [{ qty: 1.5 }, "qty: must be a whole number"],
    [{ qty: 1, steps: [{ id: "a" }, {}] }, "steps[1].id: is missing"],
    [{ qty: Number.NaN }, "qty: must be a whole number"],
    [{ qty: 1, steps: "none" }, "steps: must be a list"],
    [{ qty: 1, steps: [7] }, "steps[0]: must be a record with named fields"],
    [{ qty: 1, size: { value: 3, u: -1 } }, "size.u: the spread u must be above 0"],
    [{ qty: 1, colour: "red" }, 'does not know the key "colour"'],
  ])("names the place of %o", (input, says) => {
    expect(faultOf(input)).toBe(says);
  });
  it("says it in words of its own, whatever a schema refuses without a sentence", () => {
    const bare = z.strictObject({
      n: z.number().positive().max(9),
      whole: z.int(),
      word: z.string().min(2).max(4),
      list: z.array(z.int()).min(1).max(2),
      one: z.enum(["left", "right"]),
      day: z.string().regex(/^\d+$/),
      flag: z.boolean(),
      by: z.record(z.string(), z.int()),
    });
    const right = { n: 1, whole: 1, word: "abc", list: [1], one: "left", day: "7", flag: true, by: {} };
    for (const [key, value, says] of [
      ["n", 0, "must be above 0"],
      ["n", 12, "must be at most 9"],
      ["n", Number.NaN, "must be a number"],
      ["n", null, "must be a number"],
      ["whole", 1.5, "must be a whole number"],
      ["word", "a", "must have at least 2 characters"],
      ["word", "abcde", "must have at most 4 characters"],
      ["word", 7, "must be text"],
      ["list", [], "must have at least 1 entries"],
      ["list", [1, 2, 3], "must have at most 2 entries"],
      ["one", "up", "is none of: left, right"],
      ["day", "May", "is not written the way it must be"],
      ["flag", "yes", "must be yes or no"],
      ["by", 3, "must be a record with named fields"],
    ] as const)
      expect(() => readWith(bare, { ...right, [key]: value })).toThrow(`${key}: ${says}`);
  });
  it("puts the place it came in before its own", () => {
    expect(faultOf({ qty: 0 }, "line 3")).toBe("line 3.qty: must be 1 or more");
  });
  it("writes a path as people do", () => {
    expect(pathInWords(["steps", 3, "needs", 0])).toBe("steps[3].needs[0]");
    expect(pathInWords([])).toBe("");
  });
});
