import { describe, expect, it } from "vitest";
import type { Strip } from "../job/strip";
import { rebuildPlan } from "./rebuild-plan";

describe("what must be fetched new before beginning", () => {
  const strip = (step: object, part: object = {}): Strip => ({
    parts: [{ id: "p1", name: "wheel", ...part }],
    steps: [{ id: "s1", action: "pull", needs: [], parts: ["p1"], ...step } as Strip["steps"][number]],
    services: [],
    lubePoints: [],
  });
  it("is what was lost, broke or was missing already, with the reason", () => {
    const plan = rebuildPlan(
      strip(
        {
          hardware: [
            { id: "h1", kind: "screw", qty: 2, thread: "M4", state: "lost" },
            { id: "h2", kind: "nut", qty: 1, once: true, state: "broken" },
            { id: "h3", kind: "pin", qty: 1 },
          ],
        },
        { state: "broken" },
      ),
    );
    expect(plan.pick).toEqual([
      { hardware: "h1", qty: 2, why: "lost: 2 screws M4" },
      { hardware: "h2", qty: 1, why: "used once: 1 nut" },
      { part: "p1", why: "broken: wheel" },
    ]);
    expect(plan.ledger).toEqual({ out: 5, back: 5, open: [] });
  });
  it("is said once for a part that is renewed and broken", () => {
    expect(rebuildPlan(strip({}, { renew: true, state: "broken" })).pick).toEqual([
      { part: "p1", why: "renewed: wheel" },
    ]);
  });
});
