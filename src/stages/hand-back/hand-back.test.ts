import { describe, expect, it, vi } from "vitest";
import { planOf } from "@/core/gates/job-facts";
import { lineKey } from "@/core/order/rebuild-line";
import { setLine } from "@/store/rebuild";
import { job, testShop } from "@/store/test-shop";
import { press, pumpAt, refusal } from "../test-unit";
import { answerCheck, handBack } from "./actions";
import { handBackView } from "./hand-back-view";
import { returnSheetView } from "./return-sheet-view";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();
/** Together, and a class I mains unit if asked, so that figures are asked for. */
const together = async ({ protectionClass = "II", ...unit }: { supply?: string; protectionClass?: string } = {}): Promise<string> => {
  const number = await pumpAt("hand-back", { unit, job: { protectionClass } });
  for (const line of planOf(await job(number)).steps.map(lineKey)) await setLine(number, (await job(number)).version, line, true, line);
  return number;
};
const classI = { supply: "mains", protectionClass: "I" };
const checks = async (number: string): Promise<string[]> => (await handBackView(number))?.checks.map((c) => c.check) ?? [];

describe("the last checks", () => {
  it("are those of the unit, and hold it here until each has its answer", async () => {
    const number = await together();
    const asked = await checks(number);
    expect(asked).not.toContain("insulation");
    for (const [i, check] of asked.entries()) {
      expect((await handBackView(number))?.gates).toHaveLength(asked.length - i);
      expect(refusal(await press(handBack, number, {}))).toBe("stage: Answer the final checks.");
      expect(await press(answerCheck, number, { check })).toMatchObject({ ok: true });
    }
    expect(await handBackView(number)).toMatchObject({ gates: [], answers: asked.map((c) => ({ question: `final:${c}`, answer: "yes" })) });
  });
  it("with a figure ask for it, keep its limit, and keep what was measured before a wrong one", async () => {
    const number = await together(classI);
    expect(refusal(await press(answerCheck, number, { check: "earth-bond" }))).toBe("value: Give the figure in Ω");
    expect(refusal(await press(answerCheck, number, { check: "earth-bond", value: 0.4 }))).toMatch(/^value: .*above the limit of 0.3 Ω/);
    expect(await press(answerCheck, number, { check: "earth-bond", value: 0.12 })).toMatchObject({ ok: true });
    await press(answerCheck, number, { check: "earth-bond", value: 3 });
    expect((await job(number)).answers).toEqual([expect.objectContaining({ question: "final:earth-bond", value: 0.12, unit: "Ω" })]);
    expect(refusal(await press(answerCheck, number, { check: "insulation", value: 0.4 }))).toMatch(/below the limit of 1 MΩ/);
    expect(refusal(await press(answerCheck, number, { check: "insulation", value: "many" as never }))).toBe("value: Must be a figure");
  });
  it("can be opened again, and what the unit is not asked is refused", async () => {
    const number = await together();
    await press(answerCheck, number, { check: "listen" });
    expect(await press(answerCheck, number, { check: "listen", back: true })).toMatchObject({ ok: true });
    expect((await job(number)).answers).toEqual([]);
    expect(refusal(await press(answerCheck, number, { check: "earth-bond", value: 0.1 }))).toBe("check: This unit is not asked that");
  });
});

describe("handing back", () => {
  const answered = async (number: string): Promise<string> => {
    for (const check of await checks(number))
      await press(answerCheck, number, { check, ...(check === "earth-bond" ? { value: 0.1 } : check === "insulation" ? { value: 50 } : {}) });
    return number;
  };
  it("is written down once, with its moment, and shown", async () => {
    const number = await answered(await together(classI));
    expect(await press(handBack, number, {})).toMatchObject({ ok: true });
    const { handedBackAt } = await job(number);
    expect(Date.parse(handedBackAt ?? "")).toBeGreaterThan(Date.parse("2026-01-01"));
    expect((await handBackView(number))?.frame.handedBack).toBe(true);
    expect(refusal(await press(handBack, number, {}))).toMatch(/^stage: It went home on /);
    expect((await job(number)).handedBackAt).toBe(handedBackAt);
  });
  it("is refused while pieces lie on the Mat, and before the job has come so far", async () => {
    const number = await answered(await together());
    const last =
      planOf(await job(number))
        .steps.map(lineKey)
        .at(-1) ?? "";
    await setLine(number, (await job(number)).version, last, false, last);
    expect(refusal(await press(handBack, number, {}))).toBe("stage: One line of the plan is open.");
    expect(refusal(await press(handBack, await pumpAt("rebuild"), {}))).toMatch(/has not come to Hand back yet/);
    expect((await job(number)).handedBackAt).toBeUndefined();
  });
});

describe("the return sheet", () => {
  it("has what an empty shop can say, and no lubricant where none was chosen", async () => {
    const number = await together();
    expect(await returnSheetView(number)).toMatchObject({ shopName: "The shop", currency: "€", markupPercent: 25, catalogue: [], lubricants: [] });
    expect(await returnSheetView("J-9999")).toBeNull();
  });
});
