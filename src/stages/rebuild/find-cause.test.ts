import { describe, expect, it, vi } from "vitest";
import { jobHistory } from "@/store/change";
import { job, testShop } from "@/store/test-shop";
import { press, pumpAt, refusal } from "../test-unit";
import { causeFound, finishLine, ruleOut } from "./actions";
import { rebuildView } from "./rebuild-view";
import { takeOffAgain } from "./way-in/actions";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();

/** A hand-cranked corn sheller: a wheel under a nut, which is felt once the nut is on. */
const sheller = () =>
  pumpAt("rebuild", {
    unit: { kind: "corn sheller", maker: "Hask", model: "Ear 1", supply: "hand" },
    parts: [
      { id: "p1", name: "plate", kind: "cover" },
      { id: "p2", name: "wheel", kind: "gear" },
    ],
    steps: [
      {
        id: "s1",
        action: "unscrew",
        parts: ["p1"],
        needs: [],
        hardware: [{ id: "h1", kind: "screw", qty: 4, thread: "M5" }],
      },
      { id: "s2", action: "unscrew", needs: [], hardware: [{ id: "h2", kind: "nut", qty: 1, thread: "M8" }] },
      { id: "s3", action: "pull", parts: ["p2"], needs: ["s2"] },
    ],
    lubePoints: [],
    services: [],
  });
const line = async (number: string) => {
  const found = (await rebuildView(number))?.line;
  if (!found) throw new Error("it is together");
  return found;
};

describe("a no at a check", () => {
  it("has its suspects, which are ruled out one by one; what it was is written down, and comes off again", async () => {
    const number = await sheller();
    for (;;) {
      const { key, words } = await line(number);
      if (words.title.startsWith("Turn it by hand")) break;
      expect(await press(finishLine, number, { line: key, done: true })).toMatchObject({ ok: true });
    }
    const { key, suspects } = await line(number);
    expect(suspects.map((s) => s.id)).toEqual(["nut:s2", "last:s2"]);
    expect(await press(ruleOut, number, { line: key, suspect: "last:s2", out: true })).toMatchObject({
      ok: true,
    });
    expect(refusal(await press(ruleOut, number, { line: key, suspect: "goblins", out: true }))).toMatch(
      /the plan has changed/i,
    );
    expect((await line(number)).suspects.map((s) => s.out)).toEqual([false, true]);
    expect(await press(causeFound, number, { line: key, suspect: "nut:s2" })).toMatchObject({ ok: true });
    const found = (await line(number)).suspects[0];
    expect(found).toMatchObject({ found: true, off: { step: "s2" } });
    expect(
      (await jobHistory(number)).some((h) =>
        h.what.startsWith("cause found at the rebuild: The nut of step 2"),
      ),
    ).toBe(true);
    expect(await press(takeOffAgain, number, { step: found?.off?.step ?? "" })).toMatchObject({ ok: true });
    expect((await line(number)).words.title).toBe("Screw on: 1 nut M8");
    // once it is right, what was ruled out is asked anew another time; what it was stays written down
    await press(finishLine, number, { line: (await line(number)).key, done: true });
    while ((await line(number)).key !== key)
      await press(finishLine, number, { line: (await line(number)).key, done: true });
    await press(finishLine, number, { line: key, done: true });
    const asked = (await job(number)).answers.map((a) => a.question);
    expect(asked.filter((q) => q.includes(key))).toEqual([expect.stringMatching(/^cause:/)]);
  });
});
