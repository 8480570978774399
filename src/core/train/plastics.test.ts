import { describe, expect, it } from "vitest";
import { isPlastic, plasticFamily } from "../hardware/material";
import { MATERIALS } from "./materials";

describe("materials", () => {
  it.each([
    ["PA66", "PA"],
    ["PA 6", "PA"],
    ["nylon 6.6", "PA"],
    ["POM-C", "POM"],
    ["acetal", "POM"],
    ["PC/ABS", "PC"],
    ["phenolic with cotton", "phenolic"],
  ])("%s is of the family %s", (said, family) => expect(plasticFamily(said)).toBe(family));
  it.each(["steel", "brass", "PAINTED STEEL", "pewter", "", undefined])("%s is no plastic", (said) =>
    expect(isPlastic(said)).toBe(false),
  );
  it("agree with the table of strengths", () => {
    for (const m of MATERIALS) expect([m.material, isPlastic(m.material)]).toEqual([m.material, m.plastic]);
  });
});
