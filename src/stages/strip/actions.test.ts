import { describe, expect, it, vi } from "vitest";
import { gatesOf } from "@/core/gates/job-facts";
import { jobHistory } from "@/store/change";
import { createJob } from "@/store/jobs";
import { addPicture } from "@/store/pictures";
import { grey, job, testShop } from "@/store/test-shop";
import { press, pumpAt, refusal } from "../test-unit";
import { answerSafety, cameOutAsOne, layStepDown, saveMarks, setNeeds, setStripFinished, slideTo, takeBack } from "./actions";
import { laidStepOf, stripView } from "./strip-view";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();
type Step = Parameters<typeof layStepDown>[0]["step"];
let nth = 0;
const recorded = (what: string, more: Partial<Step> = {}): Step => ({
  key: `k${++nth}`,
  action: "pull",
  what,
  hardware: [],
  needs: null,
  asOne: false,
  stack: [],
  partStates: {},
  facts: {},
  ...more,
});
const lay = (number: string, step: Step, editing: string | null = null) => press(layStepDown, number, { editing, step });
const clipper = async (): Promise<string> => {
  const number = await createJob({ kind: "hair clipper", supply: "battery", model: "Clip 3", complaint: "pulls", consent: true, stage: "strip" });
  for (const { gate } of gatesOf(await job(number), "strip")) if (gate.startsWith("safety:")) await press(answerSafety, number, { gate: gate.slice(7) });
  return number;
};
const titles = async (number: string) => (await stripView(number))?.pockets.map((p) => p.title);

describe("the safety gate", () => {
  it("stands before the recorder until each of its questions has an answer or a reason", async () => {
    const number = await createJob({ kind: "hair clipper", supply: "battery", stage: "strip" });
    const gate = async () => {
      const view = await stripView(number);
      return view && "gate" in view ? view.gate : undefined;
    };
    const asked = (await gate())?.questions.map((q) => q.gate) ?? [];
    expect(asked.length).toBeGreaterThan(1);
    expect(refusal(await press(answerSafety, number, { gate: "vacuum" }))).toBe("gate: This unit is not asked that");
    expect(refusal(await press(answerSafety, number, { gate: asked[0] ?? "", skipped: " x " }))).toBe("reason: Write down why it is skipped");
    for (const g of asked.slice(1)) await press(answerSafety, number, { gate: g });
    expect((await gate())?.answered).toEqual(asked.slice(1));
    await press(answerSafety, number, { gate: asked[0] ?? "", skipped: "cells were taken out at the counter" });
    const view = await stripView(number);
    expect(view).toHaveProperty("recorder");
    expect(view?.frame.skipped).toEqual(["cells were taken out at the counter"]);
  });
});

describe("a strip", () => {
  it("is laid down step by step; one that was sent twice lies there once", async () => {
    const number = await clipper();
    const first = recorded("blade, comb");
    for (let i = 0; i < 2; i++) expect(await lay(number, first)).toMatchObject({ ok: true });
    await lay(number, recorded("drive fork"));
    expect(await titles(number)).toEqual(["blade, comb", "drive fork"]);
    expect((await job(number)).steps.map((s) => s.needs)).toEqual([[], ["s1"]]);
  });
  it("is changed where it lies, slid, tied, bundled, and each is taken back", async () => {
    const number = await clipper();
    for (const what of ["blade", "fork", "motor"]) await lay(number, recorded(what));
    await lay(number, recorded("drive fork", { facts: { facing: "slot up" } }), "s2");
    expect((await laidStepOf(number, "s2"))?.step).toMatchObject({ facing: "slot up" });
    await press(setNeeds, number, { step: "s3", needs: ["s1"] });
    expect((await job(number)).steps[2]?.needs).toEqual(["s1"]);
    await press(slideTo, number, { step: "s3", to: 1 });
    expect((await job(number)).steps.map((s) => s.id)).toEqual(["s1", "s3", "s2"]);
    await press(cameOutAsOne, number, { step: "s2", other: "s3" });
    expect(new Set((await job(number)).steps.slice(1).map((s) => s.bundle)).size).toBe(1);
    for (let i = 0; i < 4; i++) expect(await press(takeBack, number, {})).toMatchObject({ ok: true });
    expect((await job(number)).steps.map((s) => [s.id, s.title, s.facing, s.bundle])).toEqual([
      ["s1", "blade", undefined, undefined],
      ["s2", "fork", undefined, undefined],
      ["s3", "motor", undefined, undefined],
    ]);
    expect(await titles(number)).toEqual(["blade", "fork", "motor"]);
  });
  it("is complete when somebody says so", async () => {
    const number = await clipper();
    await lay(number, recorded("blade"));
    expect(gatesOf(await job(number), "strip").map((g) => g.gate)).toEqual(["finished"]);
    await press(setStripFinished, number, { finished: true });
    expect(gatesOf(await job(number), "strip")).toEqual([]);
  });
});

describe("a step that cannot be", () => {
  it.each<[string, Partial<Step> & { what?: string }, RegExp]>([
    ["with half a screw", { hardware: [{ kind: "screw", qty: 0.5 }] }, /hardware\[0\]\.qty: Must be a whole number/],
    ["with a screw of four metres", { hardware: [{ kind: "screw", qty: 1, lengthMm: 4000 }] }, /longest that is believed/],
    ["with more pieces than a bench holds", { hardware: [{ kind: "screw", qty: 99_999 }] }, /maximum \d+ pieces/i],
    ["with a stack of what it does not have", { stack: ["p0", "h4"] }, /^stack\[1\]: Is no piece of this step/],
    ["that needs a step that there is not", { needs: ["s44"] }, /^step: That step is not on the Mat any more/],
    ["with nothing in it", { what: " , " }, /^what: Say what came off/],
  ])("%s is refused with a sentence, and the Mat is as it was", async (_, wrong, says) => {
    const number = await clipper();
    await lay(number, recorded("blade"));
    const refused = refusal(await lay(number, recorded("fork", wrong)));
    expect(refused).not.toBe("taken");
    expect(refused).toMatch(says);
    expect((await job(number)).steps).toHaveLength(1);
  });
  it("is refused before it makes a circle, by the names of the steps", async () => {
    const number = await pumpAt("strip");
    expect(refusal(await press(setNeeds, number, { step: "s1", needs: ["s4"] }))).toMatch(
      /wait for each other in a circle: .*lid screws \(step 1\).*Shaft seal \(step 4\)/,
    );
    expect(refusal(await press(setNeeds, number, { step: "s9", needs: [] }))).toBe("step: That step is not on the Mat any more");
    expect((await job(number)).steps[0]?.needs).toEqual([]);
  });
  it("and what was done is told by the names of the steps too", async () => {
    const number = await pumpAt("strip");
    await press(setNeeds, number, { step: "s4", needs: ["s2"] });
    await press(slideTo, number, { step: "s4", to: 2 });
    await press(cameOutAsOne, number, { step: "s4", other: "s3" });
    await press(takeBack, number, {});
    expect((await jobHistory(number)).slice(0, 4).map((h) => h.what)).toEqual([
      "took back the bundle of Shaft seal (step 3)",
      "Shaft seal (step 3) came out as one with Drive wheel (step 4)",
      "slid Shaft seal (step 4) to place 3",
      "changed what Shaft seal (step 4) needs",
    ]);
  });
  it("and marks on a picture that is not there", async () => {
    const number = await pumpAt("strip");
    const marks = [{ kind: "ring" as const, at: [0.5, 0.5] as [number, number], radius: 0.1 }];
    expect(refusal(await press(saveMarks, number, { picture: "0007.jpg", marks }))).toBe("picture: There is no picture 0007.jpg");
    const { picture } = await addPicture(number, await grey().jpeg().toBuffer(), { role: "step", step: "s2" });
    expect(await press(saveMarks, number, { picture: picture.name, marks })).toMatchObject({ ok: true });
    expect((await job(number)).pictures[0]?.marks).toEqual(marks);
    expect(refusal(await press(saveMarks, number, { picture: picture.name, marks: [{ ...marks[0], radius: 0 }] as never }))).toMatch(/^marks\[0\]/);
  });
});
