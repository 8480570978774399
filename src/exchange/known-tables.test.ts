import { describe, expect, it } from "vitest";
import { tableWith } from "./known-tables";

describe("a table", () => {
  it.each([
    ["parts", ["name", "number", "kind"]],
    ["offers", ["supplier", "number", "price", "lead_days", "pack"]],
    ["suppliers", ["name", "shipping"]],
    ["greases", ["name", "thickener", "base_oil", "nlgi", "lot"]],
  ])("of %s is known by its headings", (name, headings) => {
    expect(tableWith(headings)?.name).toBe(name);
  });
  it("whose cells were split by the wrong sign is none", () => {
    expect(tableWith(["number;name;kind"])).toBeNull();
  });
});
