import { describe, expect, it } from "vitest";
import { stepFacts } from "../job/step";
import { factChips, mindAtRebuild } from "./step-words";

const all = stepFacts.required().parse({
  facing: "hub up",
  marks: ["dot", "scratch"],
  wires: [{ colour: "brown", to: "L1" }],
  held: ["dowels"],
  freed: { how: "press", standIn: true },
  timing: { pin: "gap", turns: 1.5 },
  setting: "2½ turns in",
  holes: { at: [[0, 0], [1, 0], [0, 1]] }, // biome-ignore format: one row
  cautions: ["hot"],
  back: [{ when: "end", says: "zero the counter" }],
  doNotUndo: "the lock nut",
  tray: "B4",
  tools: ["TX15"],
  minutes: 3,
  note: "mind the rag",
  leftHand: true,
  remarks: [
    { about: "seat", says: "rests on 2 dowels" },
    { about: "way", says: "tilts off" },
    { about: "return", says: "finger tight first" },
  ],
  said: "2 dowels, tilts off",
});

describe("the facts of a step in words", () => {
  it("say every fact that there is", () => {
    const said = new Set(factChips(all).map((c) => c.fact));
    // the line as it was typed stands over the chips
    expect([...said, "said"].sort()).toEqual(stepFacts.keyof().options.toSorted());
    expect(factChips(all).filter((c) => c.danger).map((c) => c.says)).toEqual(["LEFT-HAND thread", "⚠ Hot"]); // biome-ignore format: one line
    expect(factChips({})).toEqual([]);
  });
  it("bring back at the rebuild how it stood", () => {
    expect(mindAtRebuild(all)).toEqual([
      "◷ Timing: a gap at the pin; 1.5 turns to dead centre",
      "⟂ Set it back to where it stood: 2½ turns in",
      // how it came off is no instruction
      "How it sits: rests on 2 dowels; For its return: finger tight first",
    ]);
    expect(mindAtRebuild({ note: "x" })).toEqual([]);
  });
});
