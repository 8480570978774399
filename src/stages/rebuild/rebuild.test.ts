import { describe, expect, it, vi } from "vitest";
import { planOf } from "@/core/gates/job-facts";
import { newChamber } from "@/core/job/chamber";
import { lineKey } from "@/core/order/rebuild-line";
import { jobHistory } from "@/store/change";
import { database } from "@/store/database";
import { addPicture } from "@/store/pictures";
import { records } from "@/store/tables";
import { grey, job, testShop } from "@/store/test-shop";
import { press, pumpAt, refusal } from "../test-unit";
import { finishLine, noteTrouble, sayForReturn } from "./actions";
import { rebuildView } from "./rebuild-view";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();
const keys = async (number: string): Promise<string[]> => planOf(await job(number)).steps.map(lineKey);
const view = async (number: string) => {
  const found = await rebuildView(number);
  if (!found) throw new Error(`no ${number}`);
  return found;
};
const finish = (number: string, line: string, done = true) => press(finishLine, number, { line, done });

describe("the plan at the bench", () => {
  it("is gone through from its first line to its last, the ledger emptying with it", async () => {
    const number = await pumpAt("rebuild");
    const lines = await keys(number);
    const lying = async (): Promise<number> =>
      (await view(number)).rows.reduce((n, r) => n + r.out - r.back, 0);
    // four screws, lid, wheel and seal
    expect(await lying()).toBe(7);
    for (const [i, line] of lines.entries()) {
      const now = await view(number);
      expect(now.line).toMatchObject({ key: line, n: i + 1 });
      expect(now.count).toBe(lines.length);
      expect(now.last?.key).toBe(i === 0 ? undefined : lines[i - 1]);
      expect(await finish(number, line)).toMatchObject({ ok: true });
    }
    const together = await view(number);
    expect(together).toMatchObject({ line: null, gates: [], last: { key: lines.at(-1) } });
    expect(await lying()).toBe(0);
  });
  it("says what is fetched first, and which part goes back new", async () => {
    const number = await pumpAt("rebuild");
    const first = await view(number);
    expect(first.line?.words).toMatchObject({ renewed: ["shaft seal: new"] });
    expect(first.frame.words).toMatch(/^line 1 of \d+ · about \d+ minutes left$/);
    expect(first.pockets.map((p) => p.emptied ?? false)).toEqual([false, false, false, false]);
    await finish(number, first.line?.key ?? "");
    expect((await view(number)).pockets[3]?.emptied).toBe(true);
  });
  it("draws screws down in passes where they press a gasket, and a row from its middle", async () => {
    const screws = (at: string) => ({
      id: "h1",
      kind: "screw",
      qty: 6,
      thread: "M4",
      at,
      tighten: { torqueNm: 2 },
    });
    const lines = async (at: string, under: object) => {
      const number = await pumpAt("rebuild", {
        parts: [{ id: "p1", name: "pump lid", kind: "cover" }],
        steps: [
          { id: "s1", action: "unscrew", title: "six screws", hardware: [screws(at)] },
          { id: "s2", action: "lift-off", parts: ["p1"], hardware: [under] },
        ],
      });
      for (;;) {
        const now = (await view(number)).line;
        if (!now || now.words.hardware.some((h) => h.id.startsWith("h1"))) return now?.words;
        await finish(number, now.key);
      }
    };
    expect(await lines("round the lid", { id: "h2", kind: "o-ring", qty: 1 })).toMatchObject({
      inARow: false,
      passes: "On the seal of step 2: in three passes, round and round: 0.6, 1.2, 2 N m.",
    });
    const row = await lines("in a row down the middle", { id: "h2", kind: "plug", qty: 1 });
    expect([row?.inARow, row?.passes]).toEqual([true, undefined]);
  });
  it("shows at a lubricant's line where it goes and what stays dry, in the picture that was pointed at", async () => {
    const number = await pumpAt("rebuild");
    const { picture } = await addPicture(number, await grey().jpeg().toBuffer(), {
      role: "step",
      step: "s3",
    });
    const at = (x: number) => ({ picture: picture.name, x, y: 0.5 });
    const db = await database();
    const { id } = await db("jobs").where({ number }).first("id");
    const dry = [{ id: "d1", says: "face of the lid", spot: at(0.9) }];
    const chamber = { ...newChamber("c1", "gear-case"), openedBy: "s2", dry };
    await db("jobs")
      .where({ id })
      .update(records.jobs.write({ chambers: [chamber] }));
    const point = {
      id: "g1",
      part: "p2",
      when: "after-fit" as const,
      where: "teeth",
      chamber: "c1",
      spot: at(0.2),
    };
    await db("lube_points").insert({ job_id: id, position: 1, ...records.lube_points.write(point) });
    const shown: Record<string, Awaited<ReturnType<typeof view>>> = {};
    for (const key of await keys(number)) {
      shown[key] = await view(number);
      await finish(number, key);
    }
    const grease = shown["grease:g1"];
    expect(grease?.line?.words.mind).toEqual(["Stays dry: face of the lid, hatched in the picture."]);
    expect(grease?.pictures[0]?.spots.map((s) => [s.kind, s.says])).toEqual([
      ["dry", "face of the lid"],
      ["here", "teeth"],
    ]);
    expect(grease?.pictures.map((p) => p.words)).toEqual(["before step 3 came off"]);
    expect(shown["undo:s2"]?.line?.words.mind).toContain("Stays dry: face of the lid.");
    expect(shown["undo:s2"]).toMatchObject({ pictures: [], noPicture: "before step 2 came off" });
  });
  it("of a job that is not there is none", async () => {
    expect(await rebuildView("J-9999")).toBeNull();
  });
});

describe("a line", () => {
  it("that is not the next is refused, and the sentence names the one that is", async () => {
    const number = await pumpAt("rebuild");
    const [first = "", second = ""] = await keys(number);
    expect(refusal(await finish(number, second))).toMatch(/^line: Line 1 comes first: /);
    await finish(number, first);
    expect(refusal(await finish(number, first))).toMatch(/^line: Line 2 comes first: /);
    expect((await job(number)).linesDone).toEqual([first]);
  });
  it("is opened again from the last backwards, and not out of the middle", async () => {
    const number = await pumpAt("rebuild");
    const [first = "", second = ""] = await keys(number);
    for (const line of [first, second]) await finish(number, line);
    expect(refusal(await finish(number, first, false))).toMatch(/^line: Open line 2 again first$/);
    expect(await finish(number, second, false)).toMatchObject({ ok: true });
    expect(await finish(number, first, false)).toMatchObject({ ok: true });
    expect((await job(number)).linesDone).toEqual([]);
    expect(refusal(await finish(number, first, false))).toMatch(/^line: Is not done yet/);
  });
  it("of another plan is told so", async () => {
    const number = await pumpAt("rebuild");
    expect(refusal(await finish(number, "undo:s99"))).toBe(
      "line: The plan has changed; look at it as it is now",
    );
    expect(refusal(await finishLine({ number: "J-9999", version: 1, line: "undo:s1", done: true }))).toMatch(
      /no job J-9999/,
    );
  });
  it("from a screen that is behind is not written", async () => {
    const number = await pumpAt("rebuild");
    const [first = ""] = await keys(number);
    const { version } = await job(number);
    await finish(number, first);
    expect(await finishLine({ number, version, line: first, done: false })).toMatchObject({
      ok: false,
      stale: [{ what: expect.stringMatching(/^done: /) }],
    });
    expect((await job(number)).linesDone).toEqual([first]);
  });
});

describe("what must happen around a step's return", () => {
  it("is said while it goes back, and is a line from then on; what was said before keeps its place and its done lines", async () => {
    const number = await pumpAt("rebuild");
    const say = (when: "before" | "after" | "closing" | "end", says: string, step = "s4") =>
      press(sayForReturn, number, { step, when, says });
    expect(await say("before", "warm the seat")).toMatchObject({ ok: true });
    expect((await view(number)).line).toMatchObject({
      key: "mind:s4:before:warm the seat",
      words: { title: "Warm the seat", belongs: "before step 4, the shaft seal, goes back" },
    });
    await finish(number, "mind:s4:before:warm the seat");
    await say("end", "run it dry for a minute");
    const lines = await keys(number);
    expect(lines[0]).toBe("mind:s4:before:warm the seat");
    expect(lines.at(-1)).toBe("mind:s4:end:run it dry for a minute");
    expect((await view(number)).line?.key).toBe(lines[1]);
    expect((await job(number)).steps.find((s) => s.id === "s4")).toMatchObject({
      title: "Shaft seal",
      back: [{ says: "warm the seat" }, { when: "end" }],
    });
    expect(refusal(await say("after", " "))).toBe("says: Say what is to be done");
    expect(refusal(await say("after", "turn it", "s99"))).toMatch(/Mat/);
  });
});

describe("trouble", () => {
  it("goes into the history, and the line stays open", async () => {
    const number = await pumpAt("rebuild");
    expect(await press(noteTrouble, number, { says: "  lid does not lie flat " })).toMatchObject({
      ok: true,
    });
    expect((await jobHistory(number))[0]?.what).toBe("trouble at the rebuild: lid does not lie flat");
    expect((await job(number)).linesDone).toEqual([]);
    expect(refusal(await press(noteTrouble, number, { says: " x " }))).toBe(
      "says: Say in a few words what is wrong",
    );
  });
});
