import { describe, expect, it } from "vitest";
import { bushVerdict } from "./bush-clearance";
import { FAILURE_MODES } from "./failure-modes";

describe("a plain bush", () => {
  it.each([
    [{ boreMm: 8.05, shaftMm: 7.99 }, "sound"],
    [{ boreMm: 8.21, shaftMm: 7.98 }, "worn"],
    [{ boreMm: 8.02, boreAcrossMm: 8.14, shaftMm: 7.98 }, "ovalised"],
    [{ boreMm: 7.96, shaftMm: 7.98 }, "swollen"],
  ] as const)("%j is %s", (readings, mode) => {
    expect(bushVerdict(readings)?.mode).toBe(mode);
    expect(FAILURE_MODES.some((m) => m.mode === mode)).toBe(true);
  });
  it("a new fit of 12 mm, H8/e8, may have 0.086 mm of play and is sound", () => {
    expect(bushVerdict({ boreMm: 12.027, shaftMm: 11.941 })?.mode).toBe("sound");
    expect(bushVerdict({ boreMm: 12.16, shaftMm: 11.98 })?.says).toContain("0.09 mm is usual");
  });
  it("says nothing while too little is measured", () => {
    expect(bushVerdict({ boreMm: 8 })).toBeNull();
    expect(bushVerdict({})).toBeNull();
  });
});
