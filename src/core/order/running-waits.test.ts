import { describe, expect, it } from "vitest";
import { curedKey, serviceKey, undoKey } from "../job/keys";
import type { StripStep } from "../job/step";
import { rebuildPlan } from "./rebuild-plan";
import { minutesInWords, runningWaits } from "./running-waits";

const steps: StripStep[] = [
  {
    id: "s1",
    action: "unscrew",
    needs: [],
    parts: ["p1"],
    hardware: [{ id: "h1", kind: "screw", qty: 2, thread: "M4", locker: "blue", into: "steel" }],
  },
  { id: "s2", action: "pull", needs: ["s1"], parts: ["p2"] },
];
const plan = rebuildPlan({
  parts: [
    { id: "p1", name: "cover" },
    { id: "p2", name: "wheel" },
  ],
  steps,
  services: [{ id: "v1", part: "p2", do: "bond", note: "epoxy on the hub", waitMinutes: 120 }],
  lubePoints: [],
});
const at = "2026-11-30T08:00:00.000Z";
const done = { linesDone: [serviceKey("v1")], linesAt: { [serviceKey("v1")]: at }, answers: [] };

describe("what has to set", () => {
  it("runs from the moment at which it was begun, and holds up the part it is for", () => {
    expect(runningWaits(plan, { ...done, linesDone: [] }, at)).toEqual([]);
    expect(runningWaits(plan, done, "2026-11-30T08:30:00.000Z")).toEqual([
      {
        line: "service:v1",
        n: 1,
        why: "epoxy on the hub: must be over before wheel goes in",
        until: "2026-11-30T10:00:00.000Z",
        minutesLeft: 90,
        holds: "s2",
      },
    ]);
    expect(runningWaits(plan, done, "2026-11-30T10:00:00.000Z")).toEqual([]);
  });

  it("is over where somebody says that it has set, and where nobody knows when it began", () => {
    expect(runningWaits(plan, { ...done, answers: [{ question: curedKey(serviceKey("v1")) }] }, at)).toEqual(
      [],
    );
    expect(runningWaits(plan, { ...done, linesAt: undefined }, at)).toEqual([]);
  });

  it("holds up no line where it is thread locker, but the unit's first run", () => {
    const screws = { linesDone: [undoKey("s1")], linesAt: { [undoKey("s1")]: at }, answers: [] };
    const [locker] = runningWaits(plan, screws, at);
    expect(locker).toMatchObject({ line: "undo:s1", minutesLeft: 20 });
    expect(locker).not.toHaveProperty("holds");
  });

  it("is said in days, hours and minutes", () => {
    expect([1500, 200, 60, 45, 0].map(minutesInWords)).toEqual([
      "1 day 1 h",
      "3 h 20 min",
      "1 h",
      "45 min",
      "less than a minute",
    ]);
  });
});
