import { describe, expect, it } from "vitest";
import { ownTest, ownTests, testsOfKind, USUAL_TESTS, usualTests } from "./own-tests";

describe("what a kind of unit has to do", () => {
  it("is what the shop said of it; what is usual for how its name ends is only offered, while it is not asked", () => {
    const said = { "deli slicer": [{ asks: "It slices ham" }], fan: [] };
    expect(testsOfKind(" Deli Slicer", said)).toEqual(said["deli slicer"]);
    expect(testsOfKind("bread slicer", said)).toEqual([]);
    expect(usualTests("Bread slicer", [])).toEqual(USUAL_TESTS.slicer);
    expect(usualTests("bread slicer", USUAL_TESTS.slicer ?? [])).toEqual([]);
    expect(usualTests("harmonium", [])).toEqual([]);
    expect(testsOfKind("fan", said)).toEqual([]);
    expect(testsOfKind("harmonium", said)).toEqual([]);
  });
  it("has a unit where it has a limit, and no least above its most", () => {
    expect(ownTest.safeParse({ asks: "holds", min: 2 }).error?.issues[0]?.message).toBe(
      "a limit needs its unit",
    );
    expect(ownTest.safeParse({ asks: "holds", unit: "bar", min: 3, max: 2 }).error?.issues[0]?.message).toBe(
      "is above the most",
    );
    expect(ownTest.safeParse({ asks: "freezes", unit: "°C", max: -15 }).success).toBe(true);
    expect(ownTest.safeParse({ asks: "holds", unit: "bar", min: -2 }).error?.issues[0]?.message).toBe(
      "must not be negative",
    );
    for (const [kind, tests] of Object.entries(USUAL_TESTS))
      expect(ownTests.safeParse(tests).success, kind).toBe(true);
  });
});
