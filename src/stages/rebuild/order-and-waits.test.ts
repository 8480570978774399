import { describe, expect, it, vi } from "vitest";
import { gatesOf, planOf } from "@/core/gates/job-facts";
import { jobHistory } from "@/store/change";
import { parcelOf, takeInJobFile } from "@/store/job-file";
import { job, testShop } from "@/store/test-shop";
import { sayCured } from "../job-view/cured-action";
import { putInWork } from "../job-view/put-in-work-action";
import { press, pumpAt, refusal } from "../test-unit";
import { finishLine, sayHowMany, sayHowTight } from "./actions";
import { asTheStripWas, bringForward, goOnMeanwhile } from "./plan/actions";
import { planView } from "./plan/plan-view";
import { rebuildView } from "./rebuild-view";
import { takeOffAgain } from "./way-in/actions";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();
/**
 * A trolling motor: two things under one lid that have nothing to do with each other, and a clamp beside it.
 */
const motor = () =>
  pumpAt("rebuild", {
    unit: { kind: "boat's trolling motor", maker: "Quillon", model: "Drift 30", supply: "battery" },
    parts: [
      { id: "p1", name: "lid", kind: "cover" },
      { id: "p2", name: "switch board", kind: "board" },
      { id: "p3", name: "magnet ring" },
      { id: "p4", name: "clamp" },
    ],
    steps: [
      {
        id: "s1",
        action: "unscrew",
        title: "Clamp",
        parts: ["p4"],
        needs: [],
        hardware: [{ id: "h1", kind: "screw", qty: 2, thread: "M6" }],
      },
      {
        id: "s2",
        action: "unscrew",
        title: "Lid",
        parts: ["p1"],
        needs: [],
        hardware: [{ id: "h2", kind: "screw", qty: 4, thread: "M4" }],
      },
      { id: "s3", action: "pull", title: "Board", parts: ["p2"], needs: ["s2"] },
      { id: "s4", action: "lift-off", title: "Magnet ring", parts: ["p3"], needs: ["s2"] },
    ],
  });
const view = async (number: string) => {
  const found = await rebuildView(number);
  if (!found) throw new Error(`no ${number}`);
  return found;
};
const done = async (number: string) =>
  press(finishLine, number, { line: (await view(number)).line?.key ?? "", done: true });
const order = async (number: string): Promise<string[]> =>
  planOf(await job(number)).steps.flatMap((l) => (l.kind === "fit" ? [l.undoes] : []));
const says = async (number: string): Promise<string | undefined> =>
  (await jobHistory(number)).map((h) => h.what).find(Boolean);

describe("work put in at the rebuild", () => {
  it("comes before what closes over it, and holds that up until it has set", async () => {
    const number = await motor();
    expect((await view(number)).places.map((p) => p.says)).toContain("magnet ring");
    expect(
      await press(putInWork, number, { part: "p3", do: "bond", note: "epoxy", waitMinutes: 240 }),
    ).toMatchObject({ ok: true });
    expect(
      refusal(await press(putInWork, number, { part: "p3", do: "bond", note: "epoxy", waitMinutes: 30 })),
    ).toMatch(/planned already/i);
    const first = await view(number);
    expect(first.line).toMatchObject({
      kind: "service",
      words: { title: "Bond magnet ring", note: "epoxy" },
    });
    await done(number);
    const held = await view(number);
    expect(held.waits).toMatchObject([
      { holds: "s4", why: "epoxy: must be over before magnet ring goes in" },
    ]);
    expect(held.held?.minutesLeft).toBeGreaterThan(235);
    expect(refusal(await done(number))).toMatch(
      /^line: epoxy: must be over before magnet ring goes in\. (3 h 5\d min|4 h) are left/i,
    );
  });

  it("goes on meanwhile with what need not wait, and waits with what closes over it", async () => {
    const number = await motor();
    expect(refusal(await press(goOnMeanwhile, number, {}))).toMatch(/nothing is waited for/i);
    await press(putInWork, number, { part: "p3", do: "bond", waitMinutes: 240 });
    await done(number);
    expect(await press(goOnMeanwhile, number, {})).toMatchObject({ ok: true });
    expect(await order(number)).toEqual(["s3", "s1", "s4", "s2"]);
    while (!(await view(number)).held) expect(await done(number)).toMatchObject({ ok: true });
    expect(refusal(await press(goOnMeanwhile, number, {}))).toMatch(
      /all that is left closes over step 4, the magnet ring: it has to wait too/i,
    );
    // it takes its time along to another shop
    const there = (await takeInJobFile(await parcelOf(number), true)).number;
    expect((await view(there)).held?.minutesLeft).toBeGreaterThan(235);
    const [wait] = (await view(number)).waits;
    expect(await press(sayCured, number, { line: wait?.line ?? "" })).toMatchObject({ ok: true });
    expect((await view(number)).held).toBeNull();
    expect(refusal(await press(sayCured, number, { line: wait?.line ?? "" }))).toMatch(
      /nothing is waited for/i,
    );
    while ((await view(number)).line) expect(await done(number)).toMatchObject({ ok: true });
    expect(gatesOf(await job(number), "rebuild")).toEqual([]);
  });

  it("has to set anew where it is done anew", async () => {
    const number = await motor();
    await press(putInWork, number, { part: "p3", do: "bond", waitMinutes: 240 });
    await done(number);
    const [wait] = (await view(number)).waits;
    await press(sayCured, number, { line: wait?.line ?? "" });
    expect((await view(number)).waits).toEqual([]);
    await press(finishLine, number, { line: wait?.line ?? "", done: false });
    await done(number);
    expect((await view(number)).held?.holds).toBe("s4");
  });

  it("is refused where everything over it is on again, until that is off", async () => {
    const number = await motor();
    while ((await view(number)).line) await done(number);
    expect((await view(number)).places).toEqual([]);
    expect(refusal(await press(putInWork, number, { part: "p2", do: "solder" }))).toMatch(
      /switch board is closed over again: take it off first/i,
    );
    expect(refusal(await press(putInWork, number, { do: "solder" }))).toMatch(/say what it is done to/i);
    expect(refusal(await press(putInWork, number, { part: "p2", do: "weld" as never }))).toMatch(
      /do: is none of/i,
    );
    await press(takeOffAgain, number, { part: "p2" });
    expect(await press(putInWork, number, { part: "p2", do: "solder" })).toMatchObject({ ok: true });
    expect((await view(number)).line?.words.title).toBe("Solder switch board");
  });
});

describe("one's own order", () => {
  it("brings a step forward with what must be on before it, says so, and is the reverse of the strip again", async () => {
    const number = await motor();
    const was = await order(number);
    expect(was).toEqual(["s4", "s3", "s2", "s1"]);
    const row = async (step: string) =>
      (await planView(number))?.rows.find((r) => r.step === step && r.kind === "fit");
    // its turn comes as early as it can
    expect((await row("s2"))?.before).toBeUndefined();
    expect((await row("s3"))?.before).toEqual([]);
    expect((await row("s1"))?.before).toEqual([]);
    expect((await row("s4"))?.before).toBeUndefined();
    await press(bringForward, number, { step: "s1" });
    expect(await order(number)).toEqual(["s1", "s4", "s3", "s2"]);
    expect((await planView(number))?.isOwn).toBe(true);
    expect((await row("s2"))?.before).toEqual(["step 4, the magnet ring", "step 3, the switch board"]);
    await done(number);
    await done(number);
    expect(refusal(await press(bringForward, number, { step: "s1" }))).toMatch(
      /step 1, the clamp, is back already/i,
    );
    expect(refusal(await press(bringForward, number, { step: "s9" }))).toMatch(/not on the Mat/i);
    await press(asTheStripWas, number, {});
    expect(await order(number)).toEqual(was);
  });
});

describe("how tight", () => {
  it("is said at the line, holds for the pieces it is said of, and leaves loose what waits for another step", async () => {
    const number = await motor();
    expect(
      await press(sayHowTight, number, {
        step: "s2",
        pieces: ["h2"],
        tighten: { feel: "snug", pastDeg: 45, looseUntil: "s1" },
      }),
    ).toMatchObject({
      ok: true,
    });
    const lines = planOf(await job(number)).steps;
    expect(lines.at(-1)).toMatchObject({ kind: "tighten", of: "s2", until: "s1", hardware: ["h2"] });
    expect(await says(number)).toMatch(/snug, then an eighth of a turn \(45°\) past it/i);
    await press(sayHowTight, number, { step: "s2", pieces: ["h2"], tighten: null });
    expect((await job(number)).steps[1]?.hardware?.[0]?.tighten).toBeUndefined();
    expect(refusal(await press(sayHowTight, number, { step: "s2", pieces: ["h9"], tighten: null }))).toMatch(
      /not in that step any more/i,
    );
    expect(
      refusal(await press(sayHowTight, number, { step: "s2", pieces: ["h2"], tighten: { torqueNm: -1 } })),
    ).toMatch(/a torque is above 0/i);
  });
});

describe("what was never counted", () => {
  it("is asked before the ledger may close, and counts from then on", async () => {
    const hardware = [{ id: "h1", kind: "washer", qty: 1, uncounted: true }];
    const number = await pumpAt("rebuild", {
      parts: [],
      steps: [{ id: "s1", action: "pull", title: "Washers", needs: [], hardware }],
    });
    while ((await view(number)).line) await done(number);
    const { uncounted, gates } = await view(number);
    expect(uncounted).toMatchObject([{ step: "s1", at: "step 1, Washers", piece: { id: "h1" } }]);
    expect(gates.map((g) => g.gate)).toEqual(["uncounted"]);
    expect((await view(number)).pockets[0]?.uncounted).toBe(true);
    const count = (qty: number) => press(sayHowMany, number, { step: "s1", piece: "h1", qty });
    for (const wrong of [0, 2.5, Number.NaN, 1000]) expect(refusal(await count(wrong))).toMatch(/^qty: /);
    expect(await count(3)).toMatchObject({ ok: true });
    const counted = await view(number);
    expect(counted).toMatchObject({ uncounted: [], gates: [] });
    expect(counted.rows).toMatchObject([{ row: "washers", out: 3, back: 3 }]);
  });
});
