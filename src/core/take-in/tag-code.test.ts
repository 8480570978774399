import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { jobNumberFrom } from "./tag-code";

describe("what a tag says", () => {
  it.each([
    ["http://shop.local:3000/jobs/J-0142", "J-0142"],
    ["https://10.0.0.4/jobs/j-0142/strip?x=1", "J-0142"],
    ["J-0142", "J-0142"],
    ["j142", "J-0142"],
    [" 7 ", "J-0007"],
    ["123456", "J-123456"],
  ])("“%s” is a job", (text, number) => {
    expect(jobNumberFrom(text)).toBe(number);
  });
  it.each(["", "J-", "4006381333931", "http://elsewhere/J-0142", "juicer"])("“%s” is none", (text) => {
    expect(jobNumberFrom(text)).toBeNull();
  });
  it("any job's address leads to that job", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 999_999 }), (n) => {
        const number = `J-${String(n).padStart(4, "0")}`;
        expect(jobNumberFrom(`http://shop/jobs/${number}`)).toBe(number);
      }),
    );
  });
});
