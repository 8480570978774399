import { describe, expect, it, vi } from "vitest";
import { gatesOf } from "@/core/gates/job-facts";
import { EMPTY, type OpenStep } from "@/core/recorder/open-step";
import { jobHistory } from "@/store/change";
import { createJob } from "@/store/jobs";
import { addPicture } from "@/store/pictures";
import { grey, job, testShop } from "@/store/test-shop";
import { unpack } from "@/ui/packed";
import type { Pocket } from "@/ui/pocket";
import { press, pumpAt, refusal } from "../test-unit";
import {
  answerSafety,
  cameOutAsOne,
  layStepDown,
  saveMarks,
  setNeeds,
  setStripFinished,
  slideTo,
  takeBack,
} from "./actions";
import { laidWith, matWith, recordedOnItsWay } from "./laying";
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
const lay = (number: string, step: Step, editing: string | null = null) =>
  press(layStepDown, number, { editing, step });
const clipper = async (): Promise<string> => {
  const number = await createJob({
    kind: "hair clipper",
    supplies: ["battery"],
    hazards: ["blade"],
    model: "Clip 3",
    complaint: "pulls",
    consent: true,
    stage: "strip",
  });
  for (const { gate } of gatesOf(await job(number), "strip"))
    if (gate.startsWith("safety:")) await press(answerSafety, number, { gate: gate.slice(7) });
  return number;
};
const titles = async (number: string) => (await stripView(number))?.pockets.map((p) => p.title);

describe("the safety gate", () => {
  it("stands before the recorder until each of its questions has an answer or a reason", async () => {
    const number = await createJob({
      kind: "hair clipper",
      supplies: ["battery"],
      hazards: ["blade"],
      stage: "strip",
    });
    const gate = async () => {
      const view = await stripView(number);
      return view && "gate" in view ? view.gate : undefined;
    };
    const asked = (await gate())?.questions.map((q) => q.gate) ?? [];
    expect(asked.length).toBeGreaterThan(1);
    expect(refusal(await press(answerSafety, number, { gate: "vacuum" }))).toBe(
      "gate: This unit is not asked that",
    );
    expect(refusal(await press(answerSafety, number, { gate: asked[0] ?? "", skipped: " x " }))).toBe(
      "reason: Write down why it is skipped",
    );
    for (const g of asked.slice(1)) await press(answerSafety, number, { gate: g });
    expect((await gate())?.answered).toEqual(asked.slice(1));
    await press(answerSafety, number, {
      gate: asked[0] ?? "",
      skipped: "cells were taken out at the counter",
    });
    const view = await stripView(number);
    expect(view).toHaveProperty("recorder");
    expect(view?.frame.skipped).toEqual(["cells were taken out at the counter"]);
  });
  it("what sits inside is asked again at every step, and answered before the strip is complete", async () => {
    const number = await createJob({
      kind: "music stand lid",
      supplies: ["hand"],
      hazards: ["spring", "blade"],
      stage: "strip",
    });
    expect(refusal(await press(answerSafety, number, { gate: "blade", notYet: true }))).toBe(
      "gate: Can be answered before the first screw",
    );
    await press(answerSafety, number, { gate: "spring", notYet: true });
    for (const g of ["blade", "code"]) await press(answerSafety, number, { gate: g });
    const later = async () => {
      const view = await stripView(number);
      return view && "recorder" in view
        ? { later: view.recorder.later.map((q) => q.gate), gates: view.recorder.gates.map((g) => g.says) }
        : undefined;
    };
    expect(await later()).toMatchObject({
      later: ["spring"],
      gates: expect.arrayContaining([expect.stringMatching(/^Not answered at the safety gate yet: Spring/)]),
    });
    await press(answerSafety, number, { gate: "spring" });
    expect(await later()).toMatchObject({
      later: [],
      gates: expect.not.arrayContaining([expect.stringMatching(/^Not answered/)]),
    });
  });
  it("skipped for what drives the unit is working live: asked about at every step until it is shut off, and not on the customer’s sheet", async () => {
    const number = await createJob({
      kind: "trace heater",
      supplies: ["mains"],
      hazards: ["heat"],
      stage: "strip",
    });
    await press(answerSafety, number, {
      gate: "unplugged",
      skipped: "fault shows only under current, second person at the switch",
    });
    for (const g of ["heat", "code"]) await press(answerSafety, number, { gate: g });
    const live = async () => {
      const view = await stripView(number);
      return view && "recorder" in view ? view.recorder.live : undefined;
    };
    expect(await live()).toEqual([
      { gate: "unplugged", why: "fault shows only under current, second person at the switch" },
    ]);
    expect((await stripView(number))?.frame.skipped).toHaveLength(1);
    await press(answerSafety, number, { gate: "unplugged" });
    expect(await live()).toEqual([]);
    expect((await stripView(number))?.frame.skipped).toEqual([]);
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
    [
      "with half a screw",
      { hardware: [{ kind: "screw", qty: 0.5 }] },
      /hardware\[0\]\.qty: Must be a whole number/,
    ],
    [
      "with a screw of four metres",
      { hardware: [{ kind: "screw", qty: 1, lengthMm: 4000 }] },
      /longest that is believed/,
    ],
    [
      "with more pieces than a bench holds",
      { hardware: [{ kind: "screw", qty: 99_999 }] },
      /maximum \d+ pieces/i,
    ],
    [
      "with a stack of what it does not have",
      { stack: ["p0", "h4"] },
      /^stack\[1\]: Is no piece of this step/,
    ],
    [
      "that needs a step that there is not",
      { needs: ["s44"] },
      /^step: That step is not on the Mat any more/,
    ],
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
    expect(refusal(await press(setNeeds, number, { step: "s9", needs: [] }))).toBe(
      "step: That step is not on the Mat any more",
    );
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
    expect(refusal(await press(saveMarks, number, { picture: "0007.jpg", marks }))).toBe(
      "picture: There is no picture 0007.jpg",
    );
    const { picture } = await addPicture(number, await grey().jpeg().toBuffer(), {
      role: "step",
      step: "s2",
    });
    expect(await press(saveMarks, number, { picture: picture.name, marks })).toMatchObject({ ok: true });
    expect((await job(number)).pictures[0]?.marks).toEqual(marks);
    expect(
      refusal(
        await press(saveMarks, number, {
          picture: picture.name,
          marks: [{ ...marks[0], radius: 0 }] as never,
        }),
      ),
    ).toMatch(/^marks\[0\]/);
  });
});

describe("what lies on the Mat before the shop has it", () => {
  const mat = async (number: string) => {
    const view = await stripView(number);
    if (!view || !("recorder" in view)) throw new Error("no recorder");
    return { pockets: view.pockets, laid: unpack(view.recorder.laid) };
  };
  /** As the shop shows it, without the names that only it gives. */
  const looks = (pockets: readonly Pocket[]) => {
    const bundles = [...new Set(pockets.map((p) => p.bundle))];
    return pockets.map(({ step: _s, onItsWay: _o, lookAlike: _l, bundle, ...p }) => ({
      ...p,
      bundle: bundle && bundles.indexOf(bundle),
    }));
  };
  it("looks as it will once the shop has it", async () => {
    const number = await clipper();
    await lay(number, recorded("top cover"));
    const said: Partial<OpenStep>[] = [
      { what: "drive wheel, shim", facts: { facing: "hub up" } },
      { line: "4x TX15 16 ST3.5 corners, 1 wavy 20" },
      { what: "lay shaft bearing", line: "circlip 12", asOne: true },
      { what: "motor", asOne: true },
      { what: "switch", needs: [] },
      { what: "brush", needs: ["s1"] },
      { facts: { note: "rag stays in" } },
    ];
    const onTheWay = said.map((s, i) => ({ open: { ...EMPTY, key: `way ${i}`, ...s }, at: 0 }));
    const then = await mat(number);
    const shown = matWith(then.pockets, onTheWay, () => undefined);
    expect(shown.slice(1).every((p) => p.onItsWay)).toBe(true);
    expect(shown.map((p) => p.step).slice(1)).toEqual(onTheWay.map((s) => s.open.key));
    const hardware = laidWith(then.laid, onTheWay, then.pockets.length).flatMap((l) =>
      l.hardware.length ? [[l.step, l.hardware]] : [],
    );
    for (const step of onTheWay)
      expect(await lay(number, recordedOnItsWay(step) as Step)).toMatchObject({ ok: true });
    const now = await mat(number);
    expect(now.pockets).toHaveLength(8);
    expect(looks(shown)).toEqual(looks(now.pockets));
    expect(hardware).toEqual(
      now.laid.map((l) => [
        l.step,
        l.hardware.map(({ id: _id, ...h }: { id?: string } & (typeof l.hardware)[number]) => h),
      ]),
    );
  });
  it("is what the shop has where nothing is on its way", async () => {
    const number = await clipper();
    await lay(number, recorded("top cover"));
    const { pockets, laid } = await mat(number);
    expect(matWith(pockets, [], () => "x")).toBe(pockets);
    expect(laidWith(laid, [], 1)).toBe(laid);
  });
  it("has the picture that was taken for it", async () => {
    const number = await clipper();
    const [shown] = matWith(
      [],
      [{ open: { ...EMPTY, key: "k", what: "output wheel" }, at: 0 }],
      (key) => `picture of ${key}`,
    );
    expect(shown).toEqual({
      step: "k",
      title: "output wheel",
      thumb: "picture of k",
      onItsWay: true,
      partKind: "gear",
    });
    expect(await mat(number)).toEqual({ pockets: [], laid: [] });
  });
});
