import { renderToStaticMarkup } from "react-dom/server";
import { beforeAll, describe, expect, it, vi } from "vitest";
import { gatesOf } from "@/core/gates/job-facts";
import { findBasket } from "@/core/match/basket/basket";
import { solver } from "@/core/match/basket/solver";
import { cataloguePart } from "@/core/match/catalogue/catalogue-part";
import { partRows } from "@/store/catalogue-index";
import { database } from "@/store/database";
import { putRows } from "@/store/put-rows";
import { shopSettings } from "@/store/settings";
import { job, testShop } from "@/store/test-shop";
import { ReturnSheet } from "./hand-back/return-sheet";
import { returnSheet } from "./hand-back/return-sheet-view";
import { saveFinding } from "./judge/actions";
import {
  answer,
  choose,
  decide,
  order,
  quote,
  sayGoesIn,
  takeBack,
  takeCompanionGot,
  takeGot,
  takeStaying,
} from "./match/actions";
import { basketGroundOf } from "./match/basket-ground";
import { basketQuestion, jobBasketFrom } from "./match/job-basket";
import { matchView } from "./match/match-view";
import { finishLine } from "./rebuild/actions";
import { rebuildView } from "./rebuild/rebuild-view";
import { press, pumpAt, refusal } from "./test-unit";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();

/** A drive wheel that supersedes another and is made up otherwise: a stepped hub, a longer pin, no felt. */
const PARTS = [
  {
    number: "DW-31",
    name: "Drive wheel, stepped hub",
    stock: 3,
    facing: "step to the motor",
    stack: ["thrust washer", "wheel", "shim 0.3"],
    leavesOut: ["the shaft seal: its lip is moulded on"],
    needsAlso: [
      { number: "DP-9", qty: 2, why: "the old pins are too short" },
      { number: "DS-4", why: "takes up the play" },
    ],
    incompatibleWith: [{ number: "DF-1", why: "the felt would rub" }],
    note: "wash the preservative off",
  },
  { number: "DP-9", name: "Cross pin 3 × 22", stock: 5 },
  { number: "DS-4", name: "Shim 0.3", stock: 5 },
  { number: "DF-1", name: "Felt ring" },
];
beforeAll(async () => {
  await putRows(await database(), partRows, PARTS.map((p) => cataloguePart.parse({ spec: { kind: "other" }, ...p }))); // biome-ignore format: one call
});

/** A pump whose drive wheel is broken and named; its seal may stay. */
async function pumpWithWheel(): Promise<string> {
  const number = await pumpAt("match", { findings: [{ part: "p2", mode: "missing-teeth" }] });
  await press(saveFinding, number, { part: "p2", mode: "missing-teeth" });
  await press(takeStaying, number, { part: "p3", fate: "keep", says: "it is sound" });
  return number;
}
const gates = async (number: string): Promise<string[]> =>
  gatesOf(await job(number), "match").map((g) => `${g.gate} ${g.says}`);
const buy = async (number: string) => {
  const ground = await basketGroundOf(await job(number), await shopSettings());
  const question = basketQuestion(ground, "least cost");
  if (!question) throw new Error("nothing is to be bought");
  const basket = jobBasketFrom(ground, "least cost", findBasket(question, await solver()));
  const asked = { aim: "least cost" as const, found: basket.found };
  await press(quote, number, asked);
  await press(answer, number, {
    quote: (await job(number)).quotes.at(-1)?.id ?? 0,
    answer: "accepted",
    byWhom: "Runa",
  });
  expect(await press(order, number, asked)).toMatchObject({ ok: true });
  return basket;
};

describe("what goes in, where it is made up otherwise than what came out", () => {
  it("keeps the gate shut until the part and each companion is in hand", async () => {
    const number = await pumpWithWheel();
    await press(choose, number, { part: "p2", chosen: "DW-31" });
    expect(await gates(number)).toEqual([
      "order:p2 The drive wheel is chosen and not in hand: order it in the basket, or say where it comes from.",
      "with:p2 Say where this comes from: 2 × Cross pin 3 × 22, DP-9. It goes in with the new drive wheel.",
      "with:p2 Say where this comes from: Shim 0.3, DS-4. It goes in with the new drive wheel.",
    ]);
    const got = { from: "counter" as const, says: "Pin & Sons", number: "", price: "much", differs: "" };
    expect(refusal(await press(takeCompanionGot, number, { part: "p2", companion: "DP-9", got }))).toMatch(
      /^price: /,
    );
    await press(takeCompanionGot, number, { part: "p2", companion: "DP-9", got: { ...got, price: "3,40" } });
    // what is got elsewhere is not bought, and is quoted
    const basket = await buy(number);
    expect(basket.toFit.map((t) => t.number)).toEqual(["DW-31", "DS-4"]);
    expect(basket.quote?.lines[0]).toMatchObject({
      amount: 3.4,
      says: "2 × Cross pin 3 × 22, DP-9, bought at the counter, Pin & Sons",
    });
    expect(await gates(number)).toEqual([
      "compare Compare with the old one before it is fitted: DW-31, DS-4.",
    ]);
    for (const a of (await job(number)).arrivals)
      await press(decide, number, { arrival: a.id, decision: "accepted" });
    expect(await gates(number)).toEqual([]);
  });

  it("is open again once the order is taken back, or the choice", async () => {
    const number = await pumpWithWheel();
    await press(choose, number, { part: "p2", chosen: "DW-31" });
    await buy(number);
    await press(takeBack, number, {});
    expect((await gates(number)).map((g) => g.split(" ")[0])).toEqual(["order:p2", "with:p2", "with:p2"]);
    await press(choose, number, { part: "p2", chosen: null });
    expect((await job(number)).findings.find((f) => f.part === "p2")?.goesIn).toBeUndefined();
    expect((await gates(number)).map((g) => g.split(" ")[0])).toEqual(["part:p2"]);
  });

  it("takes a choice of an older program as it was: nobody is sent back for what was passed", async () => {
    const old = await pumpAt("match", { findings: [{ part: "p2", mode: "missing-teeth", chosen: "DW-31" }] });
    await press(saveFinding, old, { part: "p2", mode: "missing-teeth" });
    await press(takeStaying, old, { part: "p3", fate: "keep", says: "it is sound" });
    expect(await gates(old)).toEqual([]);
    await press(choose, old, { part: "p2", chosen: "DW-31" });
    expect((await gates(old)).map((g) => g.split(" ")[0])).toEqual(["order:p2", "with:p2", "with:p2"]);
  });

  it("comes with a part that was got elsewhere too, by its number; a counter's part brings what is said of it", async () => {
    const number = await pumpWithWheel();
    const got = {
      from: "donor" as const,
      says: "the pump in the yard",
      number: "DW-31",
      price: "",
      differs: "",
    };
    await press(takeGot, number, { part: "p2", got });
    expect((await gates(number)).map((g) => g.split(" ")[0])).toEqual(["with:p2", "with:p2"]);
    await press(sayGoesIn, number, {
      part: "p2",
      said: { what: "without", companion: "DS-4", why: "no play to take up" },
    });
    // saying the same again loses nothing of it; another number does
    await press(takeGot, number, { part: "p2", got: { ...got, price: "12" } });
    expect((await job(number)).findings.find((f) => f.part === "p2")?.goesIn?.with[1]?.without).toBe(
      "no play to take up",
    );
    await press(takeGot, number, { part: "p2", got: { ...got, number: "" } });
    expect(await gates(number)).toEqual([]);
    await press(sayGoesIn, number, { part: "p2", said: { what: "also", says: "2 x washer 8 mm" } });
    expect((await gates(number))[0]).toMatch(/^with:p2 .*2 × washer 8 mm/);
    expect(
      refusal(await press(sayGoesIn, number, { part: "p3", said: { what: "facing", says: "out" } })),
    ).toMatch(/^part: .*choose it first/);
    expect(
      refusal(
        await press(sayGoesIn, number, {
          part: "p2",
          said: { what: "stays-out", piece: { part: "p99", why: "not there" } },
        }),
      ),
    ).toMatch(/^piece: .*not among what came out/);
    expect(
      refusal(
        await press(sayGoesIn, number, {
          part: "p2",
          said: { what: "stays-out", piece: { part: "p2", why: "not there" } },
        }),
      ),
    ).toMatch(/^piece: .*goes back new itself/i);
  });

  it("has its own lines, faces and lies as the new one does, and leaves out what it does without; the ledger says so", async () => {
    const number = await pumpWithWheel();
    await press(takeGot, number, {
      part: "p2",
      got: { from: "donor", says: "", number: "DW-31", price: "", differs: "" },
    });
    await press(sayGoesIn, number, {
      part: "p2",
      said: { what: "stays-out", piece: { part: "p3", why: "its lip is moulded on" } },
    });
    await press(sayGoesIn, number, {
      part: "p2",
      said: { what: "without", companion: "DS-4", why: "no play" },
    });
    expect((await matchView(number))?.cameOut.map((c) => c.says)).toContain("step 4: shaft seal");
    const told: string[] = [];
    const stacks: (readonly string[])[] = [];
    for (let view = await rebuildView(number); view?.line; view = await rebuildView(number)) {
      const { title, facing, mind, stack } = view.line.words;
      told.push([title, ...(facing ? [`▼ ${facing}`] : []), ...mind].join(" | "));
      stacks.push(stack);
      await press(finishLine, number, { line: view.line.key, done: true });
    }
    expect(told).toContain("Leave out: shaft seal | Stays out: shaft seal: its lip is moulded on");
    expect(told).toContain("Put in with the new drive wheel: 2 × Cross pin 3 × 22, DP-9");
    expect(told.join()).not.toContain("Shim 0.3, DS-4");
    expect(told.find((t) => t.includes("back: drive wheel"))).toBe(
      "Put back: drive wheel | ▼ step to the motor | Not beside the new drive wheel: Felt ring, DF-1: the felt would rub | The new drive wheel does without: the shaft seal: its lip is moulded on | The new drive wheel: wash the preservative off",
    );
    expect(stacks).toContainEqual(["thrust washer", "wheel", "shim 0.3"]);
    expect(told.findIndex((t) => t.startsWith("Put in with"))).toBeLessThan(
      told.findIndex((t) => t.includes("▼ step")),
    );
    const view = await rebuildView(number);
    expect(view?.rows.find((r) => r.row === "parts")).toEqual({ row: "parts", out: 3, back: 2, aside: 1 });
    expect(gatesOf(await job(number), "rebuild")).toEqual([]);
    const sheet = await returnSheet(number, { form: "long", units: "metric" });
    expect(sheet && renderToStaticMarkup(ReturnSheet({ report: sheet }))).toContain(
      "Left out: shaft seal, because its lip is moulded on.",
    );
  });
});
