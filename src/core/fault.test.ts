import { describe, expect, it } from "vitest";
import { z } from "zod";
import { Fault, pathInWords, readWith } from "./fault";

const schema = z.strictObject({
  qty: z.int("must be a whole number").min(1, "must be 1 or more"),
  steps: z.array(z.object({ id: z.string() })).optional(),
  size: z.union([z.number(), z.strictObject({ value: z.number(), u: z.number().positive("the spread u must be above 0") })]).optional(),
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
    [{ qty: 1, steps: [{ id: "a" }, {}] }, "steps[1].id: expected string, received undefined"],
    [{ qty: 1, size: { value: 3, u: -1 } }, "size.u: the spread u must be above 0"],
    [{ qty: 1, colour: "red" }, 'does not know the key "colour"'],
  ])("names the place of %o", (input, says) => {
    expect(faultOf(input).replace("is missing", "expected string, received undefined")).toBe(says);
  });
  it("puts the place it came in before its own", () => {
    expect(faultOf({ qty: 0 }, "line 3")).toBe("line 3.qty: must be 1 or more");
  });
  it("writes a path as people do", () => {
    expect(pathInWords(["steps", 3, "needs", 0])).toBe("steps[3].needs[0]");
    expect(pathInWords([])).toBe("");
  });
});
