import { describe, expect, it } from "vitest";
import { HAZARD_NAMES } from "../job/hazard";
import { safetyGate } from "./gate";
import { HAZARD_QUESTIONS, hazardsSaid, kindsWithHazards, proposedHazards, USUAL_HAZARDS } from "./hazards";

it("the gate asks no question twice: a spring that drives is let down once", () => {
  const gates = (supplies: readonly ("spring" | "mains")[]) =>
    safetyGate({ supplies, hazards: ["spring"] }).map((q) => q.gate);
  expect(gates(["spring"])).toEqual(["spring-down", "code"]);
  expect(gates(["mains"])).toEqual(["unplugged", "spring", "code"]);
});

describe("what can hurt at a kind of unit", () => {
  it("is what was said of it, else what is usual for what its name ends in, else nothing is proposed", () => {
    expect(proposedHazards("Deli slicer", {})).toEqual(["blade"]);
    expect(proposedHazards("microwave oven", {})).toEqual(["stored-charge", "heat"]);
    expect(proposedHazards("robot mower", {})).toEqual(["blade", "lithium", "restart"]);
    expect(proposedHazards("chain hoist", {})).toEqual(["hanging", "heavy"]);
    expect(proposedHazards("petrol mower", {})).toEqual(["blade", "fuel", "heavy"]);
    expect(proposedHazards("pressure washer", {})).toEqual(["pressure"]);
    for (const [kind, hazards] of Object.entries(USUAL_HAZARDS))
      expect([kind, proposedHazards(kind, {})]).toEqual([kind, hazards]);
    expect(proposedHazards("pizza oven", {})).toEqual(["heat"]);
    expect(proposedHazards("deli slicer ", { "deli slicer": ["blade", "heavy"] })).toEqual([
      "blade",
      "heavy",
    ]);
    // none is an answer, and no answer is none
    expect(proposedHazards("deli slicer", { "deli slicer": [] })).toEqual([]);
    expect(proposedHazards("hose reel", {})).toBeUndefined();
    expect(proposedHazards("", {})).toBeUndefined();
    // a word inside a name says nothing of what it is
    expect(proposedHazards("slicer stand", {})).toBeUndefined();
  });
  it("is kept by the kind however it is written, and forgotten", () => {
    const said = hazardsSaid({}, " Hose Reel", ["spring"]);
    expect(said).toEqual({ "hose reel": ["spring"] });
    expect(hazardsSaid(said, "hose reel", null)).toEqual({});
    expect(hazardsSaid(said, " ", ["heat"])).toEqual(said);
  });
  it("is listed by name, the shop's own above what is usual", () => {
    const kinds = kindsWithHazards({ slicer: ["blade", "heavy"], "hose reel": [] });
    expect(kinds.map((k) => k.kind)).toEqual(
      [...kinds.map((k) => k.kind)].sort((a, b) => a.localeCompare(b, "en")),
    );
    expect(kinds.find((k) => k.kind === "slicer")).toEqual({
      kind: "slicer",
      hazards: ["blade", "heavy"],
      own: true,
    });
    expect(kinds.find((k) => k.kind === "hose reel")).toEqual({ kind: "hose reel", hazards: [], own: true });
    expect(kinds.find((k) => k.kind === "toaster")).toEqual({
      kind: "toaster",
      hazards: ["heat"],
      own: false,
    });
    expect(kinds).toHaveLength(Object.keys(USUAL_HAZARDS).length + 1);
  });
  it("each has a question that can be answered with yes, and its reason", () => {
    for (const h of HAZARD_NAMES) {
      expect(HAZARD_QUESTIONS[h].asks).toMatch(/\?$/);
      expect(HAZARD_QUESTIONS[h].why.length).toBeGreaterThan(20);
    }
  });
});
