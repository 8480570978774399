import { describe, expect, it, vi } from "vitest";
import { planOf } from "@/core/gates/job-facts";
import type { FinalCheck } from "@/core/hand-back/final-check";
import { ON_PAPER } from "@/core/job/going-home";
import { lineKey } from "@/core/order/rebuild-line";
import { setHead } from "@/store/jobs";
import { setLine } from "@/store/rebuild";
import { changeElectrical, setSetting, shopSettings } from "@/store/settings";
import { job, testShop } from "@/store/test-shop";
import { goOn } from "../frame/go-on-action";
import { sayCured } from "../job-view/cured-action";
import { answerFor, press, pumpAt, refusal } from "../test-unit";
import {
  answerCheck,
  failCheck,
  finalDoesNotApply,
  handBack,
  leaveOut,
  notSigned,
  sayOwnTests,
} from "./actions";
import { handBackView } from "./hand-back-view";
import { returnSheet } from "./return-sheet-view";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();
/** Together, and a class I mains unit if asked, so that figures are asked for. */
const together = async ({
  protectionClass = "II",
  looseItems = [],
  ...unit
}: {
  supply?: string;
  kind?: string;
  protectionClass?: string;
  looseItems?: readonly string[];
} = {}): Promise<string> => {
  const number = await pumpAt("hand-back", { unit, job: { protectionClass } });
  if (looseItems.length)
    await setHead(number, (await job(number)).version, { looseItems: [...looseItems] }, "loose items");
  for (const line of planOf(await job(number)).steps.map(lineKey))
    await setLine(number, (await job(number)).version, line, true, line);
  return number;
};
const classI = { supply: "mains", protectionClass: "I" };
const asked = async (number: string): Promise<readonly FinalCheck[]> =>
  (await handBackView(number))?.checks ?? [];
const checks = async (number: string): Promise<string[]> =>
  (await handBackView(number))?.checks.map((c) => c.check) ?? [];

describe("the last checks", () => {
  it("are those of the unit, and hold it here until each has its answer", async () => {
    const number = await together();
    const all = await asked(number);
    expect(all.map((c) => c.check)).not.toContain("insulation");
    for (const [i, c] of all.entries()) {
      // and the signature
      expect((await handBackView(number))?.gates).toHaveLength(all.length - i + 1);
      expect(refusal(await press(handBack, number, {}))).toBe("stage: Answer the final checks.");
      expect(await press(answerCheck, number, { check: c.check, ...answerFor(c) })).toMatchObject({
        ok: true,
      });
    }
    expect(refusal(await press(handBack, number, {}))).toBe(
      "stage: Sign for it, or say why it is not signed.",
    );
    await press(notSigned, number, { why: ON_PAPER });
    expect(await handBackView(number)).toMatchObject({
      gates: [],
      answers: all.map((c) => ({ question: `final:${c.check}`, answer: c.agreed ?? "yes" })),
    });
  });
  it("with a figure ask for it, keep its limit, and keep what was measured before a wrong one", async () => {
    const number = await together(classI);
    expect(refusal(await press(answerCheck, number, { check: "earth-bond" }))).toBe(
      "value: Give the figure in Ω",
    );
    expect(refusal(await press(answerCheck, number, { check: "earth-bond", value: 0.4 }))).toMatch(
      /^value: .*above the limit of 0.3 Ω/,
    );
    expect(await press(answerCheck, number, { check: "earth-bond", value: 0.12 })).toMatchObject({
      ok: true,
    });
    await press(answerCheck, number, { check: "earth-bond", value: 3 });
    expect((await job(number)).answers).toEqual([
      expect.objectContaining({ question: "final:earth-bond", value: 0.12, unit: "Ω" }),
    ]);
    expect(refusal(await press(answerCheck, number, { check: "insulation", value: 0.4 }))).toMatch(
      /below the limit of 1 MΩ/,
    );
    expect(refusal(await press(answerCheck, number, { check: "insulation", value: "many" as never }))).toBe(
      "value: Must be a figure",
    );
  });
  it("can be opened again, and what the unit is not asked is refused", async () => {
    const number = await together();
    await press(answerCheck, number, { check: "listen" });
    expect(await press(answerCheck, number, { check: "listen", back: true })).toMatchObject({ ok: true });
    expect((await job(number)).answers).toEqual([]);
    expect(refusal(await press(answerCheck, number, { check: "earth-bond", value: 0.1 }))).toBe(
      "check: This unit is not asked that",
    );
  });
});

describe("a last check that fails", () => {
  it("leads back, and what was tried is tried again once the unit was open", async () => {
    const number = await together({ ...classI, looseItems: ["bowl"] });
    await press(answerCheck, number, { check: "earth-bond", value: 0.12 });
    await press(answerCheck, number, { check: "loose-items", ends: { bowl: "back" } });
    expect(refusal(await press(failCheck, number, { check: "listen", says: "no", to: "rebuild" }))).toMatch(
      /^says: Say in a few words/,
    );
    expect(
      await press(failCheck, number, { check: "listen", says: "clicks once a turn", to: null }),
    ).toMatchObject({ ok: true });
    expect(await job(number)).toMatchObject({ stage: "hand-back", answers: { length: 2 } });
    expect(
      await press(failCheck, number, { check: "listen", says: "clicks once a turn", to: "rebuild" }),
    ).toMatchObject({ ok: true });
    const back = await job(number);
    expect(back).toMatchObject({ stage: "rebuild", trouble: expect.stringContaining("clicks once a turn") });
    // what was counted stays counted; the earth bond is measured again after it was open
    // that the first run failed is kept for the sheet
    expect(back.answers.map((a) => a.question)).toEqual(["final:loose-items", "failed-run:1"]);
    // its cover comes off again, goes on, and the last checks come up anew
    const last = planOf(back).steps.map(lineKey).at(-1) ?? "";
    await setLine(number, back.version, last, false, last);
    expect(refusal(await press(goOn, number, { from: "rebuild" }))).toMatch(/one line of the plan is open/i);
    for (const line of planOf(await job(number)).steps.map(lineKey))
      await setLine(number, (await job(number)).version, line, true, line);
    expect(await press(goOn, number, { from: "rebuild" })).toMatchObject({ ok: true });
    expect((await handBackView(number))?.gates.map((g) => g.gate)).toContain("final:earth-bond");
  });
});

describe("a last check of something that is not there", () => {
  const checks = async (number: string) => (await handBackView(number))?.checks.map((c) => c.check) ?? [];
  it("is answered so, stands on no sheet, and is asked of its kind no more after the second time", async () => {
    const kind = { ...classI, kind: "tide clock winder" };
    for (const isFirst of [true, false]) {
      const number = await together(kind);
      expect(await checks(number)).toContain("warm");
      expect(await press(finalDoesNotApply, number, { check: "warm" })).toMatchObject({ ok: true });
      const view = await handBackView(number);
      expect(view?.gates.map((g) => g.gate)).not.toContain("final:warm");
      const sheet = await returnSheet(number, { form: "short", units: "metric" });
      expect(JSON.stringify(sheet?.sections)).not.toMatch(/After ten minutes/);
      // answered here, it can still be opened again here
      expect(await checks(number), String(isFirst)).toContain("warm");
    }
    expect(await checks(await together(kind))).not.toContain("warm");
    expect(await checks(await together(classI))).toContain("warm");
  });
  it("is none of the electrical tests, nor what became of loose items", async () => {
    const number = await together({ ...classI, looseItems: ["bowl"] });
    for (const check of ["insulation", "loose-items"])
      expect(refusal(await press(finalDoesNotApply, number, { check }))).toBe(
        "check: Applies to this unit: answer it",
      );
  });
});

describe("a last check that cannot be tried", () => {
  it("is left out with its reason, which the sheet tells; an electrical one never is", async () => {
    const number = await together(classI);
    expect(refusal(await press(leaveOut, number, { check: "warm", why: "" }))).toMatch(
      /say why it is left out/i,
    );
    expect(
      await press(leaveOut, number, { check: "warm", why: "runs for a minute at a time" }),
    ).toMatchObject({ ok: true });
    expect((await job(number)).answers[0]).toMatchObject({
      question: "final:warm",
      answer: "left out",
      note: "runs for a minute at a time",
    });
    expect(refusal(await press(leaveOut, number, { check: "insulation", why: "no tester" }))).toMatch(
      /must not go out/,
    );
    expect((await handBackView(number))?.gates.map((g) => g.gate)).not.toContain("final:warm");
  });
});

describe("an instrument", () => {
  const tests = async (number: string) =>
    (await returnSheet(number, { form: "short", units: "metric" }))?.sections.find((s) =>
      s.title.startsWith("Tests"),
    );
  it("is the shop's tester for an electrical figure, else what was taken last; it stands on the sheet", async () => {
    const { electrical } = await shopSettings();
    await setSetting("electrical", { ...electrical, tester: "Green box", calibratedOn: "2026-03-01" });
    const number = await together(classI);
    const proposed = async (n: string) => (await handBackView(n))?.instruments ?? {};
    expect(await proposed(number)).toMatchObject({
      "earth-bond": "Green box, calibrated 2026-03-01",
      warm: "",
    });
    await press(answerCheck, number, { check: "earth-bond", value: 0.12 });
    expect((await job(number)).answers[0]).toMatchObject({
      note: expect.stringMatching(/^at most 0.3 Ω/),
      instrument: "Green box, calibrated 2026-03-01",
    });
    await press(answerCheck, number, { check: "warm", ran: 10, note: "41 °C", instrument: "Thin probe 2" });
    expect((await proposed(number)).warm).toBe("Thin probe 2");
    const sheet = await tests(number);
    expect(sheet?.title).toMatch(/^Tests, \d+ \w+ \d{4}$/);
    const rows = sheet?.blocks.flatMap((b) => (b.is === "tests" ? b.tests : [])) ?? [];
    expect(rows).toContainEqual({
      asks: "Earth bond, with its cord, at every bare metal part",
      answer: "0.12 Ω",
      under: expect.stringMatching(/^Limit: at most 0.3 Ω.*; Green box/),
    });
    const whole = await returnSheet(number, { form: "long", units: "metric" });
    expect(JSON.stringify(whole?.annex)).toMatch(/0\.12 Ω","at":"\d\d:\d\d","under":"Limit: at most 0\.3 Ω/);
    expect(rows.find((r) => r.under === "41 °C; ran 10 min; Thin probe 2")?.answer).toBe("✓ yes");
    // what was not measured had none, and one that is struck out is not named
    await press(answerCheck, number, { check: "current" });
    await press(answerCheck, number, { check: "insulation", value: 30, instrument: "" });
    const { answers } = await job(number);
    expect(answers.filter((a) => a.instrument).map((a) => a.question)).toEqual([
      "final:earth-bond",
      "final:warm",
    ]);
    // a test by the tester's own programme has no figure, but it has a tester
    await changeElectrical({ protectiveMa: null });
    await press(answerCheck, number, { check: "protective-current" });
    expect((await job(number)).answers.at(-1)).toMatchObject({
      question: "final:protective-current",
      instrument: "Green box, calibrated 2026-03-01",
    });
    // the next unit is proposed what the last was measured with
    expect((await proposed(await together(classI))).warm).toBe("Thin probe 2");
  });
});

describe("old parts", () => {
  const handedOver = async (number: string): Promise<string> =>
    JSON.stringify(
      (await returnSheet(number, { form: "short", units: "metric" }))?.sections.find(
        (s) => s.title === "Handed over",
      ),
    );
  it("are asked for at the door, whatever was agreed before; the sheet says what became of them", async () => {
    const number = await together();
    expect(await checks(number)).toContain("old-parts");
    expect(await handedOver(number)).toContain("Old parts go back to you");
    const [part, second] = (await job(number)).parts.filter((p) => p.renew);
    const id = part?.id ?? "";
    await press(answerCheck, number, { check: "old-parts", ends: { [id]: "disposed" } });
    expect(await handedOver(number)).toContain("stay here and are disposed of: ");
    await press(answerCheck, number, { check: "old-parts", ends: { [id]: "lost" } });
    expect(await handedOver(number)).toContain(`lost here: ${part?.name}`);
    await press(answerCheck, number, {
      check: "old-parts",
      ends: Object.fromEntries([part, second].flatMap((p) => (p ? [[p.id, "returned"]] : []))),
    });
    expect(await handedOver(number)).toContain("Old parts given back to you: ");
    await press(leaveOut, number, { check: "old-parts", why: "sent to their maker" });
    expect(await handedOver(number)).toMatch(/Old parts \(.*\): sent to their maker\./);
  });
});

describe("what a unit has to do", () => {
  it("is the shop's list for its kind on the day it comes here; what is said at one is asked of the next", async () => {
    const kind = "corn popper";
    const first = await together({ kind } as never);
    const tests = [{ asks: "Pops a cup in two minutes", unit: "min", max: 2 }];
    expect(refusal(await press(sayOwnTests, first, { tests: [{ asks: "Pops", max: 2 }] }))).toMatch(
      /a limit needs its unit/i,
    );
    expect(await press(sayOwnTests, first, { tests })).toMatchObject({ ok: true });
    expect(refusal(await press(answerCheck, first, { check: "own-0", value: 2.4 }))).toMatch(
      /above the limit of 2 min/,
    );
    await press(answerCheck, first, { check: "own-0", value: 1.8 });
    expect((await job(first)).answers[0]).toMatchObject({
      value: 1.8,
      unit: "min",
      note: "at most 2 min, the shop's own",
    });
    // changed, it is asked anew
    await press(sayOwnTests, first, { tests: [{ asks: "Pops two cups" }] });
    expect((await job(first)).answers).toEqual([]);
    const next = await pumpAt("rebuild", { unit: { kind } });
    for (const line of planOf(await job(next)).steps.map(lineKey))
      await setLine(next, (await job(next)).version, line, true, line);
    expect(await press(goOn, next, { from: "rebuild" })).toMatchObject({ ok: true });
    expect((await handBackView(next))?.ownTests).toEqual([{ asks: "Pops two cups" }]);
  });

  it("waits for what has to cure before it runs", async () => {
    const locked = [
      {
        id: "s1",
        action: "unscrew",
        title: "Cap",
        parts: [],
        needs: [],
        hardware: [{ id: "h1", kind: "screw", qty: 2, thread: "M4", locker: "blue" }],
      },
    ];
    const number = await pumpAt("hand-back", {
      unit: { kind: "fan", supply: "battery" },
      parts: [],
      steps: locked,
      lubePoints: [],
      services: [],
    });
    for (const line of planOf(await job(number)).steps.map(lineKey))
      await setLine(number, (await job(number)).version, line, true, line);
    expect(await press(answerCheck, number, { check: "guards" })).toMatchObject({ ok: true });
    expect(refusal(await press(answerCheck, number, { check: "run-slow" }))).toMatch(
      /^check: Thread locker on 2 screws M4.* are left/i,
    );
    const [cure] = (await handBackView(number))?.cures ?? [];
    expect(await press(sayCured, number, { line: cure?.line ?? "" })).toMatchObject({ ok: true });
    expect(refusal(await press(answerCheck, number, { check: "run-slow" }))).toMatch(
      /^ran: It cannot have run 2 min yet: .* are left/,
    );
    expect(refusal(await press(answerCheck, number, { check: "run-slow", ran: 1 }))).toMatch(
      /asked to run 2 min/,
    );
    expect(await press(answerCheck, number, { check: "run-slow", ran: 3 })).toMatchObject({ ok: true });
    expect((await job(number)).answers.find((a) => a.question === "final:run-slow")?.note).toBe("ran 3 min");
  });
});

describe("handing back", () => {
  const answered = async (number: string): Promise<string> => {
    for (const c of await asked(number))
      await press(answerCheck, number, {
        check: c.check,
        ...answerFor(c),
        ...(c.unit ? { value: c.min ?? c.max ?? 0 } : {}),
      });
    await press(notSigned, number, { why: ON_PAPER });
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
    expect(refusal(await press(handBack, await pumpAt("rebuild"), {}))).toMatch(
      /has not come to Hand back yet/,
    );
    expect((await job(number)).handedBackAt).toBeUndefined();
  });
});

describe("the return sheet", () => {
  it("has what an empty shop can say, and no lubricant where none was chosen", async () => {
    const number = await together();
    expect(await returnSheet(number, { form: "short", units: "metric" })).toMatchObject({
      shop: { name: "The shop" },
      title: `Return sheet ${number}`,
      annex: [],
    });
    // nobody signed on the screen, so paper has a line for it, until it is said why nobody does
    const lines = async (): Promise<number> =>
      ((await returnSheet(number, { form: "short", units: "metric" }))?.sections ?? [])
        .flatMap((s) => s.blocks)
        .filter((b) => b.is === "signature").length;
    expect(await lines()).toBe(1);
    await press(notSigned, number, { why: ON_PAPER });
    expect(await lines()).toBe(1);
    await press(notSigned, number, { why: "sent by carrier" });
    expect(await lines()).toBe(0);
    expect(await returnSheet("J-9999", { form: "long", units: "metric" })).toBeNull();
  });
});
