import { describe, expect, it, vi } from "vitest";
import { planOf } from "@/core/gates/job-facts";
import { offNow } from "@/core/order/off-again";
import { lineKey } from "@/core/order/rebuild-line";
import { jobHistory } from "@/store/change";
import { setLine } from "@/store/rebuild";
import { job, testShop } from "@/store/test-shop";
import { press, pumpAt, refusal } from "../../test-unit";
import { takeOffAgain } from "./actions";
import { wayInView } from "./way-in-view";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();

/** A pump of which so many lines of the plan are done. */
async function together(lines: number, more: object = {}): Promise<string> {
  const number = await pumpAt("rebuild", {
    lubePoints: [{ id: "g1", part: "p2", when: "after-fit", lubricant: "tallow", grams: 0.2 }],
    ...more,
  });
  for (const l of planOf(await job(number)).steps.slice(0, lines)) {
    const { version } = await job(number);
    await setLine(number, version, lineKey(l), true, "done");
  }
  return number;
}
const all = 99;
const view = async (number: string, asked: { part?: string; from?: string } = {}) => {
  const found = await wayInView(number, asked);
  if (!found) throw new Error("no job");
  return found;
};

describe("the way in", () => {
  it("as the machine stands is nothing while all lies on the Mat, and grows as it goes together", async () => {
    const open = await view(await together(0), { part: "p3" });
    expect(open.shown).toMatchObject({ name: "shaft seal", steps: [], reopens: 0 });
    const whole = await view(await together(all), { part: "p3" });
    expect(whole.shown?.steps.map((s) => [s.n, s.title])).toEqual([
      [1, "lid screws"],
      [2, "Lid off"],
      [3, "Drive wheel"],
      [4, "Shaft seal"],
    ]);
    expect(whole.shown).toMatchObject({ minutes: 8, hardware: 4, tools: ["TX20"] });
    expect(whole.parts.map((p) => [p.name, p.count])).toEqual([
      ["pump lid", 2],
      ["drive wheel", 3],
      ["shaft seal", 4],
    ]);
  });
  it("is told of a whole machine before it is touched, also by an earlier one of the model, and by none whose model nobody knows", async () => {
    const unit = { maker: "Tarnholt", model: "Way 9" };
    const first = await together(0, { unit });
    const second = await pumpAt("take-in", { unit, steps: [], parts: [] });
    const asked = await view(second, { part: "p3" });
    expect(asked.sources).toEqual([{ from: first, says: `As ${first} came apart` }]);
    expect(asked.shown).toMatchObject({ name: "shaft seal", minutes: 8, reopens: 0 });
    expect((await view(first, { from: "whole", part: "p2" })).shown?.steps).toHaveLength(3);
    const unknown = { maker: "Tarnholt", model: "unknown" };
    await together(0, { unit: unknown });
    expect((await view(await pumpAt("take-in", { unit: unknown, steps: [], parts: [] }))).sources).toEqual(
      [],
    );
  });
  it("of a part that there is not, shows none", async () => {
    expect((await view(await together(0), { part: "p99", from: "J-9999" })).shown).toBeUndefined();
    expect(await wayInView("J-9999", {})).toBeNull();
  });
});

describe("a part that comes off again", () => {
  it("opens the least of lines again, its lubricant and its checks with it, and the plan goes on from what is really on", async () => {
    const number = await together(all);
    const asked = await view(number, { part: "p2" });
    const before = planOf(await job(number)).steps.length;
    expect(await press(takeOffAgain, number, { part: "p2" })).toMatchObject({ ok: true });
    const now = await job(number);
    expect(before - now.linesDone.length).toBe(asked.shown?.reopens);
    expect(offNow(now.steps, now.linesDone)).toEqual(["s1", "s2", "s3"]);
    expect(now.linesDone).not.toContain("grease:g1");
    // what was not touched is still on
    expect(now.linesDone).toContain("undo:s4");
    expect(
      (await jobHistory(number)).some((h) => h.what.includes("off again, to reach the drive wheel: 3 steps")),
    ).toBe(true);
    expect(refusal(await press(takeOffAgain, number, { part: "p2" }))).toBe(
      "part: Drive wheel lies on the Mat already",
    );
  });
  it("is reached by a step that took off no part, too", async () => {
    const number = await together(all);
    expect(await press(takeOffAgain, number, { step: "s1" })).toMatchObject({ ok: true });
    const now = await job(number);
    expect(offNow(now.steps, now.linesDone)).toEqual(["s1"]);
    expect(
      (await jobHistory(number)).some((h) =>
        h.what.includes("off again, to reach step 1, lid screws: one step"),
      ),
    ).toBe(true);
    expect(refusal(await press(takeOffAgain, number, { step: "s99" }))).toBe("step: There is no step s99");
  });
  it("is refused where it lies on the Mat, and for a part that never came off", async () => {
    expect(refusal(await press(takeOffAgain, await pumpAt("judge"), { part: "p2" }))).toMatch(
      /^part: Drive wheel lies on the Mat already/,
    );
    expect(refusal(await press(takeOffAgain, await together(1), { part: "p99" }))).toBe(
      "part: There is no part p99",
    );
  });
});
