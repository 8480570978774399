import { describe, expect, it } from "vitest";
import type { StripStep } from "../job/step";
import { rebuildPlan } from "./rebuild-plan";
import { minutesSaid } from "./said-waits";

describe("a wait that was said in words", () => {
  it.each<[string, number | undefined]>([
    ["let the glue set 10 minutes", 10],
    ["wait half an hour before the lid goes on", 30],
    ["leave it for 1,5 h", 90],
    ["soak over night", undefined],
    ["cures in two days", 2880],
    ["run it for 10 minutes", undefined],
    ["10 min at the most", undefined],
    ["let it drip 15min", 15],
  ])("%s", (says, minutes) => expect(minutesSaid(says)).toBe(minutes));

  it("begins with its line and holds what goes back next; said for the end, nothing", () => {
    const steps = (back: StripStep["back"]): StripStep[] => [
      { id: "s1", action: "unscrew", needs: [], parts: ["p1"] },
      { id: "s2", action: "pull", needs: ["s1"], parts: ["p2"], ...(back && { back }) },
    ];
    const waits = (back: StripStep["back"]) =>
      rebuildPlan({
        parts: [
          { id: "p1", name: "lid" },
          { id: "p2", name: "badge" },
        ],
        steps: steps(back),
        services: [],
        lubePoints: [],
      }).waits;
    const says = "let it set 10 minutes";
    expect(waits([{ when: "after", says }])).toEqual([
      { after: 2, minutes: 10, why: `as it was said: ${says}`, holds: "s1" },
    ]);
    expect(waits([{ when: "before", says }])).toMatchObject([{ after: 1, holds: "s2" }]);
    expect(waits([{ when: "end", says }])).toEqual([
      { after: 3, minutes: 10, why: `as it was said: ${says}` },
    ]);
    expect(waits([{ when: "end", says: "run it 10 minutes" }])).toEqual([]);
  });
});
