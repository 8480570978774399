import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { quickLine } from "../quick-line";
import { completionOf, sayingsOf } from "./completion";

describe("the rest of a word", () => {
  it("is offered from two letters on, by the trade's words", () => {
    expect(completionOf("4x TX15 16 co", [])).toBe("rners");
    expect(completionOf("2 wa", [])).toBe("sher");
    expect(completionOf("1 cable t", [])).toBe("ie");
    expect(completionOf("3 screws only l", [])).toBe("oosened");
    for (const none of ["", "4x ", "M4", "4x TX15", "2 w", "zzq"])
      expect([none, completionOf(none, [])]).toEqual([none, ""]);
  });
  it("comes first from what this job said before", () => {
    const said = sayingsOf(["corners", undefined, "rear bearing plate", "collar"]);
    expect(said.slice(0, 3)).toEqual(["collar", "rear bearing plate", "corners"]);
    expect(completionOf("4x M4 co", said)).toBe("llar");
    expect(completionOf("4x M4 rear be", said)).toBe("aring plate");
  });
  it("never changes what stands there, and is read as one word of the line", () => {
    fc.assert(
      fc.property(
        fc.constantFrom("2 ", "4x TX15 16 ", "M4x12, ", ""),
        fc.stringMatching(/^[a-z]{2,5}$/),
        (before, fragment) => {
          const rest = completionOf(before + fragment, []);
          if (!rest) return;
          const line = before + fragment + rest;
          const spans = quickLine(line).read;
          const seen = new Set(
            spans.flatMap((s) => Array.from({ length: s.to - s.from }, (_, i) => s.from + i)),
          );
          for (const [i, c] of [...line].entries())
            if (/[\p{L}\p{N}]/u.test(c)) expect(seen.has(i)).toBe(true);
        },
      ),
    );
  });
});
