import { describe, expect, it } from "vitest";
import { figureFault } from "../hand-back/final-check";
import { finalChecks } from "../hand-back/final-checks";
import { STAGES, stageAfter } from "../job/stages";
import { modesFor, pairRule } from "../judge/failure-modes";
import { likelyAction } from "../order/likely-action";
import { safetyGate } from "../safety/gate";
import { type JobFacts, openGates } from "./open-gates";

const wheel: JobFacts["failedParts"][number] = {
  id: "p1",
  name: "wheel",
  isGear: true,
  named: true,
  chosen: true,
  toOrder: false,
  companionsOpen: [],
};
const clear: JobFacts = {
  kind: "juicer",
  model: "P",
  complaint: "hums",
  consent: true,
  supplySaid: true,
  classOpen: false,
  hazardsSaid: true,
  safetyOpen: [],
  safetyLater: [],
  stepsLaidDown: 3,
  stripFinished: true,
  failedParts: [wheel],
  partsAwaited: [],
  partsToCompare: [],
  lubeSaid: true,
  chambersOpen: [],
  pointsUnweighed: [],
  pointsUnfilled: [],
  foodAsked: false,
  washed: true,
  linesOpen: 0,
  piecesOpen: 0,
  uncounted: 0,
  missing: [],
  finalOpen: [],
  unsigned: false,
  ending: undefined,
  nothingFailed: false,
  keptParts: [],
};

describe("the gates of the stages", () => {
  it("are all shut behind a job that has everything", () => {
    for (const s of STAGES) expect(openGates(s, clear)).toEqual([]);
  });
  it.each<[(typeof STAGES)[number], Partial<JobFacts>, string]>([
    ["take-in", { consent: false }, "consent"],
    ["take-in", { complaint: "  " }, "complaint"],
    ["take-in", { supplySaid: false }, "supply"],
    ["take-in", { classOpen: true }, "class"],
    ["take-in", { hazardsSaid: false }, "hazards"],
    ["strip", { safetyOpen: ["blade"] }, "safety:blade"],
    ["strip", { safetyLater: ["Spring held?"] }, "safety-later:Spring held?"],
    ["strip", { stripFinished: false }, "finished"],
    ["judge", { failedParts: [] }, "finding"],
    ["judge", { failedParts: [{ ...wheel, named: false, chosen: false }] }, "identity:p1"],
    ["match", { partsAwaited: ["W-42"] }, "awaited"],
    ["match", { partsToCompare: ["P-8"] }, "compare"],
    [
      "match",
      { failedParts: [{ ...wheel, name: "seal", isGear: false, named: false, chosen: false }] },
      "part:p1",
    ],
    ["match", { failedParts: [{ ...wheel, toOrder: true }] }, "order:p1"],
    ["match", { failedParts: [{ ...wheel, companionsOpen: ["2 × Cross pin, P-3"] }] }, "with:p1"],
    ["lube", { pointsUnweighed: ["case"] }, "weigh:case"],
    ["lube", { pointsUnfilled: ["bath"] }, "weigh:bath"],
    ["lube", { foodAsked: true }, "food"],
    ["rebuild", { piecesOpen: 2 }, "ledger"],
    ["rebuild", { uncounted: 1 }, "uncounted"],
    ["hand-back", { finalOpen: ["insulation"] }, "final:insulation"],
    ["hand-back", { unsigned: true }, "signed"],
  ])("hold the job at %s: %o", (stage, missing, gate) => {
    expect(openGates(stage, { ...clear, ...missing }).map((g) => g.gate)).toEqual([gate]);
  });
  it("follow each other, and the last leads nowhere", () => {
    expect(STAGES.map(stageAfter)).toEqual([...STAGES.slice(1), null]);
  });
});

describe("the safety gate", () => {
  const asked = (u: Parameters<typeof safetyGate>[0]): string[] => safetyGate(u).map((q) => q.gate);
  it("shuts off everything that drives it, asks exactly for the hazards that were ticked, and always ends with the local code", () => {
    expect(asked({ supplies: ["mains"], hazards: ["blade", "stored-charge"] })).toEqual([
      "unplugged",
      "blade",
      "stored-charge",
      "code",
    ]);
    expect(asked({ supplies: ["battery"], hazards: ["blade"] })).toEqual(["battery-out", "blade", "code"]);
    expect(asked({ supplies: ["hand"], hazards: [] })).toEqual(["code"]);
    // a washer: its water and its plug; a petrol tool: its spark and its fuel; a clockwork: its spring
    expect(asked({ supplies: ["mains", "water"], hazards: ["heavy"] })).toEqual([
      "unplugged",
      "water-off",
      "heavy",
      "code",
    ]);
    expect(asked({ supplies: ["petrol"], hazards: ["fuel"] })).toEqual(["spark-off", "fuel", "code"]);
    expect(asked({ supplies: ["spring"], hazards: [] })).toEqual(["spring-down", "code"]);
  });
  it("takes a unit of which nobody said what drives it for one on the mains", () => {
    expect(asked({})[0]).toBe("unplugged");
  });
});

describe("the last checks", () => {
  it("measure earth and insulation by class, and only on mains", () => {
    const names = (u: Parameters<typeof finalChecks>[0]): string[] => finalChecks(u).map((c) => c.check);
    expect(names({ supplies: ["mains"], kind: "x", protectionClass: "I" })).toContain("earth-bond");
    expect(names({ supplies: ["mains"], kind: "x", protectionClass: "II" })).not.toContain("earth-bond");
    expect(names({ supplies: ["battery"], kind: "x" })).not.toContain("insulation");
    expect(names({ supplies: ["hand"], kind: "x", foodContact: true })).toContain("food-clean");
  });
  it("keep their limits", () => {
    const [, , bond, insulation] = finalChecks({ supplies: ["mains"], kind: "x", protectionClass: "I" });
    if (!bond || !insulation) throw new Error("a class I unit has both");
    expect(figureFault(bond, 0.2)).toBeNull();
    expect(figureFault(bond, 0.31)).toMatch(/above the limit of 0.3 Ω/);
    expect(figureFault(insulation, 0.9)).toMatch(/below the limit of 1 MΩ/);
    expect(figureFault(insulation, Number.NaN)).toMatch(/figure/);
  });
});

describe("judging", () => {
  it("offers a gear its own ways to fail, and always soundness", () => {
    const modes = (kind: string | undefined): string[] => modesFor(kind).map((m) => m.mode);
    expect(modes("gear")).toContain("missing-teeth");
    expect(modes("bearing")).toContain("slack");
    expect(modes("bearing")).not.toContain("missing-teeth");
    expect(modes(undefined)).toContain("sound");
  });
  it("renews both of a pair unless the mate measures within limit", () => {
    expect(pairRule(undefined, 1).renewBoth).toBe(true);
    expect(pairRule({ value: 0.11, u: 0.03 }, 1)).toMatchObject({
      renewBoth: true,
      says: expect.stringContaining("0.11 mm"),
    });
    expect(pairRule({ value: 0.03, u: 0.03 }, 1).renewBoth).toBe(false);
    expect(pairRule({ value: 0.08, u: 0.03 }, 2).renewBoth).toBe(false);
    // more than the limit, and no more than new gears differ by: nobody can tell
    expect(pairRule({ value: 0.055, u: 0.03 }, 1).says).toMatch(/cannot be told. Look for a step/);
  });
  it("guesses how a thing came off", () => {
    expect(likelyAction("base plate", [])).toBe("lift-off");
    expect(likelyAction("", [{ kind: "screw" }])).toBe("unscrew");
    // that it was pressed is said, or not so
    expect(likelyAction("lay shaft bearing", [])).toBe("pull");
    expect(likelyAction("rag into the opening", [])).toBe("block");
    expect(likelyAction("worm wheel", [])).toBe("pull");
  });
});
