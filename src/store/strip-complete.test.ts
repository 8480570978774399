import { describe, expect, it } from "vitest";
import { rebuildPlan } from "@/core/order/rebuild-plan";
import { createJob } from "./jobs";
import { setFinding } from "./judge";
import { changeStep, layDown } from "./strip";
import { completeStrip } from "./strip-complete";
import { job, step, testShop } from "./test-shop";

testShop();

describe("what was said at the strip to be broken, lost or missing", () => {
  const pins = [{ kind: "pin" as const, qty: 2, thread: "3", lengthMm: 16, state: "missing" as const }];
  const hub = step({ parts: [{ name: "hub", state: "broken" }], hardware: pins, key: undefined });

  it("is Judge's finding, a piece of hardware as well as a part, and is to be fetched once", async () => {
    const number = await createJob();
    const v = await layDown(number, 1, hub);
    await completeStrip(number, v, true);
    const found = await job(number);
    const { parts, findings } = found;
    expect(parts).toMatchObject([
      { name: "hub", renew: true },
      { name: "pin 3 × 16", kind: "pin", piece: "h1", renew: true },
    ]);
    expect(findings).toMatchObject([
      { part: "p1", mode: "broken" },
      { part: "p2", mode: "lost", note: "2 of them" },
    ]);
    expect(rebuildPlan(found).pick.map((p) => p.why)).toEqual(["renewed: hub", "renewed: pin 3 × 16"]);
  });

  it("is not found a second time, and what was judged since stands", async () => {
    const number = await createJob();
    let v = await completeStrip(number, await layDown(number, 1, hub), true);
    v = await setFinding(number, v, "p2", { mode: "broken" });
    v = await completeStrip(number, v, false);
    v = await changeStep(number, v, "s1", {
      ...hub,
      parts: [{ name: "hub" }, { name: "pin 3 × 16" }],
      hardware: [{ kind: "screw", qty: 1, thread: "M4" }, ...pins],
    });
    await completeStrip(number, v, true);
    const { parts, findings } = await job(number);
    expect(parts).toHaveLength(2);
    // the piece was given a new id when its step was changed
    expect(parts[1]?.piece).toBe("h3");
    expect(findings).toMatchObject([{ mode: "broken" }, { mode: "broken" }]);
  });
});
