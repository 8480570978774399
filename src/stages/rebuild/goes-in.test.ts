import { describe, expect, it } from "vitest";
import type { Finding } from "@/core/job/finding";
import { cataloguePart } from "@/core/match/catalogue/catalogue-part";
import { goesInWords, numbersAt } from "./goes-in";

const wheel = cataloguePart.parse({
  number: "W-2",
  name: "Wheel, stepped hub",
  spec: { kind: "other" },
  needsAlso: [{ number: "P-3", qty: 2, why: "its hub is thicker" }],
  incompatibleWith: [{ number: "F-1", why: "the felt would rub" }],
  note: "step to the motor",
});
const pin = cataloguePart.parse({ number: "P-3", name: "Cross pin 3 × 22", spec: { kind: "other" } });
const findings: Finding[] = [{ part: "p1", teeth: {}, gear: {}, chosen: "W-2" }];
const job = { parts: [{ id: "p1", name: "wheel", renew: true }], findings, ending: undefined };

describe("what goes in, where it is made up otherwise than what came out", () => {
  it("brings its companions, what it makes superfluous, and its own note to its line", () => {
    expect(numbersAt(job, ["p1"])).toEqual(["W-2"]);
    expect(goesInWords(job, ["p1"], [wheel, pin])).toEqual([
      "With the new wheel: 2 × Cross pin 3 × 22, P-3: its hub is thicker",
      "Not beside the new wheel: F-1: the felt would rub",
      "The new wheel: step to the motor",
    ]);
  });
  it("says nothing at other lines, of what stays, and in a unit that goes back as it was", () => {
    expect(numbersAt(job, ["p2"])).toEqual([]);
    expect(numbersAt({ ...job, parts: [{ id: "p1", name: "wheel", renew: false }] }, ["p1"])).toEqual([]);
    expect(numbersAt({ ...job, ending: { how: "as-it-was", why: "declined", at: "2026-11-29" } }, ["p1"])).toEqual([]);
    expect(goesInWords(job, ["p2"], [wheel])).toEqual([]);
  });
});
