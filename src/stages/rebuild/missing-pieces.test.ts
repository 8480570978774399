import { describe, expect, it, vi } from "vitest";
import { gatesOf } from "@/core/gates/job-facts";
import { jobHistory } from "@/store/change";
import { job, testShop } from "@/store/test-shop";
import { press, pumpAt, refusal } from "../test-unit";
import { finishLine, goOnWithout, putInInstead } from "./actions";
import { rebuildView } from "./rebuild-view";
import { takeOffAgain } from "./way-in/actions";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();

/** A hand crank of a cheese press: washers under a nut, under a knob. */
const crank = () =>
  pumpAt("rebuild", {
    unit: { kind: "cheese press", maker: "Dorn", model: "Curd 2", supply: "hand" },
    parts: [{ id: "p1", name: "knob" }],
    steps: [
      { id: "s1", action: "lift-off", parts: ["p1"], needs: [] },
      {
        id: "s2",
        action: "unscrew",
        needs: ["s1"],
        hardware: [
          { id: "h1", kind: "nut", qty: 1, thread: "M6" },
          { id: "h2", kind: "washer", qty: 3, lengthMm: 12 },
        ],
      },
    ],
    lubePoints: [],
    services: [],
  });
const view = async (number: string) => {
  const found = await rebuildView(number);
  if (!found) throw new Error(`no ${number}`);
  return found;
};
const key = async (number: string): Promise<string> => (await view(number)).line?.key ?? "";
const rest = async (number: string): Promise<void> => {
  while ((await view(number)).line) await press(finishLine, number, { line: await key(number), done: true });
};

describe("a piece that is missing", () => {
  it("keeps the ledger and the rebuild open until it is found, and its step is opened again for it", async () => {
    const number = await crank();
    expect(
      await press(goOnWithout, number, { line: await key(number), missing: [{ piece: "h2", qty: 1 }] }),
    ).toMatchObject({ ok: true });
    await rest(number);
    const { missing, rows, line } = await view(number);
    expect(line).toBeNull();
    expect(missing).toMatchObject([{ step: "s2", at: "step 2", qty: 1, piece: { id: "h2" } }]);
    expect(rows.find((r) => r.row === "washers")).toMatchObject({ out: 3, back: 2 });
    expect(gatesOf(await job(number), "rebuild").map((g) => g.says)).toEqual([
      "Find what is missing, or say what went in instead: 1 washer 12 mm.",
    ]);
    // found: the knob comes off for it, and nothing is missing any more
    expect(await press(takeOffAgain, number, { step: "s2" })).toMatchObject({ ok: true });
    expect(await view(number)).toMatchObject({ missing: [], line: { key: "undo:s2" } });
    await rest(number);
    expect(gatesOf(await job(number), "rebuild")).toEqual([]);
  });

  it("may have another in its place, which stands in the history", async () => {
    const number = await crank();
    await press(goOnWithout, number, { line: await key(number), missing: [{ piece: "h2", qty: 2 }] });
    await rest(number);
    expect(refusal(await press(putInInstead, number, { step: "s2", piece: "h2", from: " " }))).toMatch(
      /^from: say where it came from/i,
    );
    expect(await press(putInInstead, number, { step: "s2", piece: "h2", from: "drawer 4" })).toMatchObject({
      ok: true,
    });
    expect(await view(number)).toMatchObject({ missing: [] });
    expect(gatesOf(await job(number), "rebuild")).toEqual([]);
    expect((await jobHistory(number))[0]?.what).toBe("2 washers 12 mm at step 2: drawer 4 went in instead");
    expect(refusal(await press(putInInstead, number, { step: "s2", piece: "h2", from: "drawer 4" }))).toMatch(
      /is not missing any more/i,
    );
  });

  it("is one of the line that comes now, and no more of them than came off", async () => {
    const number = await crank();
    const line = await key(number);
    const missing = (piece: string, qty: number) =>
      press(goOnWithout, number, { line, missing: [{ piece, qty }] });
    expect(refusal(await missing("h2", 4))).toMatch(/only 3 came off there/i);
    expect(refusal(await missing("h9", 1))).toMatch(/does not lie with that step/i);
    expect(
      refusal(await press(goOnWithout, number, { line: "undo:s1", missing: [{ piece: "h2", qty: 1 }] })),
    ).toMatch(/line 1 comes first/i);
    expect((await job(number)).linesDone).toEqual([]);
  });
});
