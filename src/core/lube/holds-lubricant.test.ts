import { describe, expect, it } from "vitest";
import { holdsLubricant } from "./holds-lubricant";

const job = (parts: readonly { name: string; kind?: string }[], steps = 3) => ({
  parts: parts.map((p, i) => ({ id: `p${i}`, ...p })) as never,
  steps: Array.from({ length: steps }, (_, i) => ({
    id: `s${i}`,
    parts: parts.map((_, n) => `p${n}`),
  })) as never,
  findings: [],
  lubePoints: [],
  greaseStates: [],
});

describe("whether something was opened that holds a lubricant", () => {
  it("is so for what runs in one, by its kind or by a name of a train", () => {
    expect(holdsLubricant(job([{ name: "second wheel", kind: "gear" }]))).toBe(true);
    expect(holdsLubricant(job([{ name: "gear head" }]))).toBe(true);
    expect(holdsLubricant({ ...job([]), greaseStates: ["dry"] })).toBe(true);
    expect(holdsLubricant({ ...job([]), chambers: [{ id: "c1", name: "gear case" }] as never })).toBe(true);
  });
  it("is not so for a switch, a cord, or a new assembly that comes ready greased", () => {
    expect(holdsLubricant(job([{ name: "trigger switch", kind: "switch" }]))).toBe(false);
    expect(holdsLubricant(job([{ name: "gear head, complete", kind: "assembly" }]))).toBe(false);
    expect(holdsLubricant(job([]))).toBe(false);
  });
  it("is so where a service was asked for: that is cleaning and oil", () => {
    expect(holdsLubricant({ ...job([{ name: "front grille" }], 1), nothingFailed: "service" })).toBe(true);
  });
  it("is so of what compressed air drives: it lives by its oil", () => {
    expect(holdsLubricant({ ...job([{ name: "end cap" }], 1), supplies: ["air"] })).toBe(true);
  });
  it("is taken to be so of what was stripped far, whatever its parts were called", () => {
    expect(holdsLubricant(job([{ name: "thing" }], 12))).toBe(true);
  });
});
