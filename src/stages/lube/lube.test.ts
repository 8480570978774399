import { beforeAll, describe, expect, it, vi } from "vitest";
import { gatesOf, planOf } from "@/core/gates/job-facts";
import { lineKey } from "@/core/order/rebuild-line";
import { jobHistory } from "@/store/change";
import { database } from "@/store/database";
import { shelf } from "@/store/grease-rows";
import { setHead } from "@/store/jobs";
import { addPicture } from "@/store/pictures";
import { setLine } from "@/store/rebuild";
import { wholeShelf } from "@/store/shelf";
import { grey, job, testShop } from "@/store/test-shop";
import { press, pumpAt, refusal } from "../test-unit";
import {
  addDryPlace,
  addPoint,
  makeChamber,
  movePoint,
  saveChamber,
  saveNoGrease,
  saveNone,
  savePoint,
  saveProposed,
  saveSchool,
  takeChamberAway,
  takeDryOff,
  takeLube,
  takePointOff,
  weigh,
} from "./actions";
import { sayTeeth } from "./asked-actions";
import {
  moveCleaning,
  planCleaning,
  saveBlock,
  saveCleaning,
  saveWashed,
  tickCleaning,
} from "./cleaning-actions";
import { lubeView } from "./lube-view";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();
const clay = {
  name: "Marsh 2",
  thickener: "CaX",
  baseOil: "PAO",
  nlgi: 1,
  viscosityMm2s: 100,
  ep: false,
  densityGPerMl: 0.9,
  h1: true,
  leastC: -30,
  mostC: 130,
  lot: "M-1",
  stockG: 300,
} as const;
beforeAll(async () => {
  const db = await database();
  await db("lubricants").insert(shelf.write({ ...clay, id: "marsh" }));
  await db("lubricants").insert(
    shelf.write({ ...clay, id: "forge", name: "Forge 2", thickener: "Li12", baseOil: "mineral", h1: false }),
  );
});
const inside = { by: "inside", lengthMm: 80, widthMm: 60, depthMm: 20 } as const;
/** A pump with its case proposed from the strip, and measured. */
const cased = async (unit: object = {}, more: object = {}): Promise<string> => {
  const number = await pumpAt("lube", { unit, ...more });
  await press(saveProposed, number, {});
  await press(saveChamber, number, { chamber: "c1", facts: { volume: inside } });
  return number;
};
/** The first lines of the plan are done. */
const finishAll = async (number: string, lines: number): Promise<void> => {
  for (const l of planOf(await job(number)).steps.slice(0, lines))
    await setLine(number, (await job(number)).version, lineKey(l), true, "done");
};
const points = async (number: string) => (await job(number)).lubePoints;
const chamber = async (number: string, id = "c1") =>
  (await lubeView(number))?.chambers.find((c) => c.chamber.id === id);

describe("chambers", () => {
  it("are proposed from what came off, by what somebody said it is, each point where its part goes back", async () => {
    const number = await pumpAt("lube");
    expect((await lubeView(number))?.proposed).toEqual(["gear case, 2 points"]);
    expect(gatesOf(await job(number), "lube").map((g) => g.gate)).toEqual(["washed", "grease"]);
    await press(saveProposed, number, {});
    expect((await job(number)).chambers).toMatchObject([{ id: "c1", kind: "gear-case", openedBy: "s2" }]);
    expect((await points(number)).map((g) => [g.part, g.when, g.kind])).toEqual([
      ["p2", "after-fit", "gear-teeth"],
      ["p3", "before-fit", "seal-lip"],
    ]);
    expect((await lubeView(number))?.proposed).toEqual([]);
    expect(refusal(await press(saveProposed, number, {}))).toMatch(/^chambers: Neither the train/);
  });
  it("several of one kind have names of their own, are taken away with their points, and one that gets nothing says why", async () => {
    const number = await pumpAt("lube");
    await press(makeChamber, number, { kind: "bearing-seat" });
    await press(makeChamber, number, { kind: "bearing-seat" });
    expect((await job(number)).chambers?.map((c) => c.name)).toEqual(["bearing seat", "bearing seat 2"]);
    await press(addPoint, number, { chamber: "c2", kind: "rolling-bearing", where: "rear bearing" });
    await press(saveNone, number, { chamber: "c1", why: "sealed, and not opened" });
    await press(takeChamberAway, number, { chamber: "c2" });
    expect(await points(number)).toEqual([]);
    await press(saveWashed, number, { washed: true });
    expect(gatesOf(await job(number), "lube")).toEqual([]);
    expect(refusal(await press(takeChamberAway, number, { chamber: "c2" }))).toBe(
      "chamber: Is not among the job’s chambers any more",
    );
  });
  it("keeps a figure as it was typed, until it is said in another way", async () => {
    const number = await cased();
    const say = (facts: Parameters<typeof saveChamber>[0]["facts"]) =>
      press(saveChamber, number, { chamber: "c1", facts });
    await say({ oldGrams: 56.7, typed: { oldGrams: "2 oz" } });
    await say({ coldestC: -10, typed: { coldestC: "14 °F" } });
    expect((await chamber(number))?.chamber.typed).toEqual({ oldGrams: "2 oz", coldestC: "14 °F" });
    await say({ oldGrams: 60, typed: { oldGrams: undefined } });
    expect((await chamber(number))?.chamber.typed).toEqual({ coldestC: "14 °F" });
    expect((await jobHistory(number)).map((h) => h.what).join("; ")).toContain("oldGrams 2 oz said");
  });
  it("has less room by its shafts, which are kept as they were typed", async () => {
    const number = await cased();
    const free = (await chamber(number))?.freeMl ?? 0;
    const shafts = "10 x 80, 2 of 8 x 40";
    await press(saveChamber, number, { chamber: "c1", facts: { volume: { ...inside, shafts } } });
    expect(free - ((await chamber(number))?.freeMl ?? 0)).toBeCloseTo(10.304, 2);
    expect((await chamber(number))?.chamber.volume).toMatchObject({ shafts });
  });
  it("asks what its teeth are of where nobody said it, once", async () => {
    const number = await pumpAt("lube");
    await press(makeChamber, number, { kind: "gear-case" });
    await press(addPoint, number, { chamber: "c1", kind: "gear-teeth", where: "crown gear" });
    expect(await chamber(number)).toMatchObject({ areTeethAsked: true });
    await press(sayTeeth, number, { chamber: "c1", teeth: "mixed" });
    expect(await chamber(number)).toMatchObject({ areTeethAsked: false });
    expect((await points(number))[0]?.materials).toEqual(["steel", "plastic"]);
    expect(refusal(await press(sayTeeth, number, { chamber: "c1", teeth: "steel" }))).toMatch(/known by now/);
  });
  it.each([
    [{ volume: { ...inside, shafts: "two long ones" } }, /^facts\.volume\.shafts: .*is not a shaft/],
    [{ volume: { ...inside, widthMm: 0 } }, /^facts\.volume\.widthMm: Must be above 0 mm/],
    [{ volume: { by: "filling" as const, ml: Number.NaN } }, /^facts\.volume\.ml: Must be a volume in ml/],
    [{ coldestC: 90, hottestC: 40 }, /^coldestC: The coldest must lie below the hottest/],
    [{ makersGrams: 22_000 }, /^makersGrams: 22000 g is more than the .* Were milligrams/],
    [{ makersGrams: 0.05 }, /^makersGrams: 0.05 g is next to nothing .* Were ounces/],
    [{ name: " " }, /^facts\.name: A chamber needs a name/],
  ])("%j is refused at its field, and nothing is lost", async (facts, says) => {
    const number = await cased();
    expect(refusal(await press(saveChamber, number, { chamber: "c1", facts }))).toMatch(says);
    expect((await job(number)).chambers?.[0]?.volume).toEqual(inside);
  });
  it("one that is pointed at in a picture was laid open by what had come off by then", async () => {
    const number = await pumpAt("lube");
    const { picture } = await addPicture(number, await grey().jpeg().toBuffer(), {
      role: "step",
      step: "s3",
    });
    const spot = { picture: picture.name, x: 0.4, y: 0.6 };
    expect(await press(makeChamber, number, { kind: "other", name: "shaft tunnel", spot })).toMatchObject({
      ok: true,
    });
    expect((await job(number)).chambers).toMatchObject([{ name: "shaft tunnel", openedBy: "s2", spot }]);
    const gone = await press(makeChamber, number, { kind: "other", spot: { ...spot, picture: "none.jpg" } });
    expect(refusal(gone)).toBe("spot: That picture is not among the job’s any more");
  });
  it("one that is reached from outside is the last line of the plan, and becomes one that a step opens, with its points", async () => {
    const number = await pumpAt("lube");
    await press(makeChamber, number, { kind: "other" });
    await press(saveChamber, number, { chamber: "c1", facts: { outside: true } });
    await press(addPoint, number, { chamber: "c1", kind: "clock-pivot", where: "hinge of the handle" });
    const line = async () => planOf(await job(number)).steps.findIndex((l) => l.kind === "grease") + 1;
    const { length } = planOf(await job(number)).steps;
    expect(await line()).toBe(length);
    expect((await chamber(number))?.points[0]?.reach).toEqual({ line: length });
    await press(saveChamber, number, { chamber: "c1", facts: { openedBy: "s3" } });
    expect((await job(number)).chambers?.[0]?.outside).toBeUndefined();
    expect((await points(number))[0]).toMatchObject({ reachedBy: "s3" });
    expect(await line()).toBeLessThan(length);
    await press(saveChamber, number, { chamber: "c1", facts: { outside: true } });
    expect(await line()).toBe(length);
  });
  it("an oil bath is poured, up to its plug where it has one, and no grease is built up in it", async () => {
    const number = await cased();
    const how = async () => (await chamber(number))?.points[0]?.how;
    expect(await how()).toMatch(/^half the teeth/);
    await press(saveChamber, number, { chamber: "c1", facts: { filling: "oil" } });
    expect(await how()).toMatch(/^poured in by the millilitre/);
    await press(saveChamber, number, { chamber: "c1", facts: { levelPlug: true } });
    expect(await how()).toMatch(/^oil up to the level plug/);
  });
  it("say what stays dry at them", async () => {
    const number = await cased();
    const { picture } = await addPicture(number, await grey().jpeg().toBuffer(), {
      role: "step",
      step: "s3",
    });
    const spot = { picture: picture.name, x: 0.7, y: 0.2 };
    expect(refusal(await press(addDryPlace, number, { chamber: "c1", says: " " }))).toBe(
      "says: Say what stays dry",
    );
    await press(addDryPlace, number, { chamber: "c1", says: "face of the lid", spot });
    expect((await chamber(number))?.chamber.dry).toEqual([{ id: "d1", says: "face of the lid", spot }]);
    expect((await lubeView(number))?.dry).toContain("face of the lid");
    await press(takeDryOff, number, { chamber: "c1", place: "d1" });
    expect((await lubeView(number))?.dry).not.toContain("face of the lid");
  });
  it("nothing in the whole unit is lubricated: chambers and points go, and come again", async () => {
    const number = await cased();
    await press(saveNoGrease, number, { why: "it runs dry by design" });
    expect(await points(number)).toEqual([]);
    expect((await job(number)).chambers).toEqual([]);
    await press(saveProposed, number, {});
    expect((await job(number)).noGrease).toBeUndefined();
  });
});

describe("which lubricant", () => {
  it("follows what is said of the chamber: what attacks it is forbidden, with the reason", async () => {
    const number = await cased();
    const against = async (id: string) =>
      (await chamber(number))?.plan?.answer?.verdicts
        .find((v) => v.lubricant === id)
        ?.reasons.filter((r) => r.hard && r.against)
        .map((r) => r.rule);
    expect(await against("marsh")).toEqual([]);
    await press(saveChamber, number, { chamber: "c1", facts: { seals: ["EPDM"] } });
    expect(await against("marsh")).toEqual(["seals"]);
    await press(saveChamber, number, { chamber: "c1", facts: { seals: [], coldestC: -40 } });
    expect(await against("marsh")).toEqual(["cold"]);
    await press(saveChamber, number, {
      chamber: "c1",
      facts: { coldestC: null, old: { left: "all", thickener: "Li12", baseOil: "mineral" } },
    });
    expect([await against("marsh"), await against("forge")]).toEqual([["old grease"], []]);
    expect(refusal(await press(takeLube, number, { chamber: "c1", lubricant: "marsh" }))).toMatch(
      /^lubricant: Marsh 2: .*soup/,
    );
  });
  it("is taken with every point's grams, which follow when volume or school is said anew", async () => {
    const number = await cased();
    expect(await press(takeLube, number, { chamber: "c1", lubricant: "marsh" })).toMatchObject({ ok: true });
    const sum = async () => (await points(number)).reduce((s, g) => s + (g.grams ?? 0), 0);
    // 80 × 60 × 20 mm, 25 to 50 % of it as nobody has said how fast it runs, 0.9 g/ml
    expect(await sum()).toBeCloseTo(32.4, 2);
    expect(await points(number)).toMatchObject([
      { lubricant: "Marsh 2", lubricantId: "marsh" },
      { lubricant: "Marsh 2" },
    ]);
    await press(saveSchool, number, { school: "packed" });
    await press(saveChamber, number, { chamber: "c1", facts: { makersGrams: 22 } });
    expect(await sum()).toBeCloseTo(22, 2);
    await press(saveChamber, number, {
      chamber: "c1",
      facts: { makersGrams: null, volume: { by: "filling", ml: 50 } },
    });
    expect(await sum()).toBeCloseTo(50 * 0.7 * 0.9, 2);
  });
  it("that is not H1 stays out of what touches food, but for a reason in writing", async () => {
    const number = await cased({ foodContact: true });
    expect(refusal(await press(takeLube, number, { chamber: "c1", lubricant: "forge" }))).toMatch(
      /not registered H1/,
    );
    expect(
      refusal(await press(takeLube, number, { chamber: "c1", lubricant: "forge", override: "so" })),
    ).toMatch(/^override: Say in a sentence/);
    expect(
      await press(takeLube, number, {
        chamber: "c1",
        lubricant: "forge",
        override: "sealed off below the drip tray",
      }),
    ).toMatchObject({ ok: true });
    expect((await job(number)).chambers?.[0]).toMatchObject({
      lubricant: "forge",
      override: "sealed off below the drip tray",
    });
    // and what is put on by hand at the end
    expect(refusal(await press(savePoint, number, { point: "g1", facts: { lubricant: "tallow" } }))).toMatch(
      /^lubricant: This unit touches food/,
    );
  });
  it("waits for a point, and must be on the shelf", async () => {
    const number = await pumpAt("lube");
    await press(makeChamber, number, { kind: "gear-case" });
    expect(refusal(await press(takeLube, number, { chamber: "c1", lubricant: "marsh" }))).toMatch(
      /^points: Say first where/,
    );
    expect(refusal(await press(takeLube, number, { chamber: "c1", lubricant: "lard" }))).toBe(
      "lubricant: Is not on the shelf",
    );
  });
});

describe("a point", () => {
  it("shows until when it is reached, is moved earlier, and refused where it is closed over", async () => {
    const number = await cased();
    const teeth = async () => (await chamber(number))?.points[0];
    const lid = planOf(await job(number)).steps.find((l) => lineKey(l) === "undo:s2")?.n;
    expect((await teeth())?.reach.last).toMatchObject({
      line: lid,
      says: expect.stringMatching(/^step 2, the pump lid closes over it/),
    });
    expect((await teeth())?.moments.map((m) => m.step)).toEqual(["s2"]);
    await press(movePoint, number, { point: "g1", before: "s2" });
    expect((await points(number))[0]).toMatchObject({ reachedBy: "s2", onPart: "p2" });
    expect(refusal(await press(movePoint, number, { point: "g1", before: "s4" }))).toMatch(
      /^before: It can be reached until line \d+: step 2/,
    );
    await press(movePoint, number, { point: "g1", before: "before-fit" });
    expect((await points(number))[0]).toMatchObject({ part: "p2", when: "before-fit" });
    await press(movePoint, number, { point: "g1", before: "after-fit" });
    expect((await points(number))[0]).toMatchObject({ part: "p2", when: "after-fit" });
    await press(takeLube, number, { chamber: "c1", lubricant: "marsh" });
    // the lid is on: what lies under it is not reached any more
    for (const l of planOf(await job(number)).steps.filter((l) => l.n <= (lid ?? 0)))
      await setLine(number, (await job(number)).version, lineKey(l), true, "done");
    expect(refusal(await press(addPoint, number, { chamber: "c1", kind: "gear-teeth", part: "p2" }))).toMatch(
      /^where: Drive wheel: step 2, the pump lid, closes over it, and is on again: take it off first/,
    );
  });
  it("is put where a picture was pointed at, says where it is, and needs the step that laid its room open", async () => {
    const number = await cased();
    const spot = { picture: "0001.jpg", x: 0.4, y: 0.7 };
    expect(refusal(await press(addPoint, number, { chamber: "c1", kind: "plain-bush", spot }))).toBe(
      "where: Say where it is",
    );
    await press(addPoint, number, { chamber: "c1", kind: "plain-bush", spot, where: "rear bush" });
    expect((await points(number)).at(-1)).toMatchObject({ reachedBy: "s2", spot, where: "rear bush" });
    await press(saveChamber, number, { chamber: "c1", facts: { openedBy: null } });
    expect(refusal(await press(addPoint, number, { chamber: "c1", kind: "slide", where: "rail" }))).toMatch(
      /^openedBy: Say first, under What it is, which step laid this chamber open/,
    );
    await press(takePointOff, number, { point: (await points(number)).at(-1)?.id ?? "" });
    expect(await points(number)).toHaveLength(2);
  });
});

describe("what is said elsewhere", () => {
  const sum = async (number: string) => (await points(number)).reduce((s, g) => s + (g.grams ?? 0), 0);
  it("changes the amounts at once: the school, and what nobody has said of a wheel", async () => {
    const number = await cased();
    await press(takeLube, number, { chamber: "c1", lubricant: "marsh" });
    const before = await sum(number);
    await press(saveSchool, number, { school: "packed" });
    expect(await sum(number)).toBeCloseTo((before * 70) / 37.5, 1);
    // one point gets something else by hand: the chamber's grease goes to the others, all of it
    await press(savePoint, number, { point: "g2", facts: { lubricant: "silicone paste" } });
    expect((await points(number)).map((g) => [g.lubricant, g.grams !== undefined])).toEqual([
      ["Marsh 2", true],
      ["silicone paste", false],
    ]);
    expect(await sum(number)).toBeCloseTo((before * 70) / 37.5, 1);
  });
  it("that forbids what was taken takes it back, with a word in the history, and the gate is open again", async () => {
    const number = await cased();
    await press(takeLube, number, { chamber: "c1", lubricant: "forge" });
    await setHead(number, (await job(number)).version, { foodContact: true }, "it touches food");
    expect((await job(number)).chambers?.[0]?.lubricant).toBeUndefined();
    expect((await points(number)).map((g) => g.lubricant)).toEqual([undefined, undefined]);
    expect((await jobHistory(number))[0]?.what).toBe(
      "it touches food; a hard rule forbids now what was taken for: gear case",
    );
    expect(gatesOf(await job(number), "lube").map((g) => g.gate)).toContain("lubricant:gear case");
  });
  it("a chamber's opener must lie on the Mat, and a point of no chamber is shown all the same", async () => {
    const number = await cased(
      {},
      {
        lubePoints: [
          { id: "g1", part: "p3", when: "after-fit", lubricant: "tallow", grams: 2, where: "lip" },
        ],
      },
    );
    expect(refusal(await press(saveChamber, number, { chamber: "c1", facts: { openedBy: "s99" } }))).toBe(
      "openedBy: Is not on the Mat any more",
    );
    expect((await lubeView(number))?.loose).toMatchObject([{ id: "g1", lubricant: "tallow" }]);
  });
});

describe("a weight", () => {
  const taken = async (): Promise<[string, string, number]> => {
    const number = await cased();
    await press(takeLube, number, { chamber: "c1", lubricant: "marsh" });
    const [g] = await points(number);
    return [number, g?.id ?? "", g?.grams ?? 0];
  };
  it.each<[string, (aim: number) => number, RegExp]>([
    ["in milligrams", (aim) => aim * 1000, /milligrams meant/],
    ["in ounces", (aim) => aim / 28.35, /ounces meant/],
    ["with the dot in the wrong place", (aim) => aim / 10, /dot in the wrong place/],
    ["of half the case", (aim) => aim * 3.01, /Weigh it again|whole room/],
    ["of a third", (aim) => aim / 3.01, /Weigh it again/],
    ["below nothing", () => -1, /Must not be negative/],
  ])("%s is questioned and not kept", async (_, grams, says) => {
    const [number, point, aim] = await taken();
    expect(
      refusal(await press(weigh, number, { point, grams: Math.round(grams(aim) * 1000) / 1000 })),
    ).toMatch(says);
    expect((await points(number))[0]?.weighedGrams).toBeUndefined();
  });
  it("that is only odd is taken when it is meant; what cannot be is not", async () => {
    const [number, point, aim] = await taken();
    const put = (grams: number, sure?: true) => press(weigh, number, { point, grams, ...(sure && { sure }) });
    expect(refusal(await put(aim / 10))).toMatch(/^grams\.meant: /);
    expect(await put(aim / 10, true)).toMatchObject({ ok: true });
    expect((await points(number))[0]?.weighedGrams).toBe(aim / 10);
    expect(refusal(await put(aim * 1000, true))).toMatch(/^grams: .*milligrams meant/);
    expect(await press(savePoint, number, { point, facts: { grams: aim / 8, sure: true } })).toMatchObject({
      ok: true,
    });
    expect((await points(number))[0]).toMatchObject({ grams: aim / 8, gramsSaid: true });
  });
  it("is kept with its lot, comes off the stock, and goes back to it when struck", async () => {
    const [number, point, aim] = await taken();
    const stock = async () => (await wholeShelf()).find((l) => l.id === "marsh")?.stockG;
    const before = (await stock()) ?? 0;
    expect(await press(weigh, number, { point, grams: 30 })).toMatchObject({ ok: true });
    expect((await points(number))[0]).toMatchObject({ weighedGrams: 30, lot: "M-1", kind: "gear-teeth" });
    expect(await stock()).toBe(before - 30);
    await press(weigh, number, { point, grams: aim });
    await press(weigh, number, { point, grams: null });
    expect(await stock()).toBe(before);
    expect((await points(number))[0]?.lot).toBeUndefined();
    expect(refusal(await press(weigh, number, { point: "g77", grams: 3 }))).toMatch(/no point of this job/);
  });
  it("stays when the chamber is said anew; another lubricant is weighed in anew", async () => {
    const [number, point] = await taken();
    await press(weigh, number, { point, grams: 30 });
    await press(saveChamber, number, { chamber: "c1", facts: { hottestC: 60 } });
    expect((await points(number))[0]?.weighedGrams).toBe(30);
    expect(refusal(await press(takeChamberAway, number, { chamber: "c1" }))).toMatch(
      /weighed in there already/,
    );
    await press(saveChamber, number, { chamber: "c1", facts: { old: { left: "none" } } });
    const stock = async () => (await wholeShelf()).find((l) => l.id === "marsh")?.stockG ?? 0;
    const left = await stock();
    expect(refusal(await press(savePoint, number, { point, facts: { lubricant: "tallow" } }))).toMatch(
      /Strike the weights first/,
    );
    await press(takeLube, number, { chamber: "c1", lubricant: "forge" });
    // what was weighed in of the first goes back, as when it is struck
    expect(await stock()).toBe(left + 30);
    expect((await points(number))[0]).toMatchObject({ lubricant: "Forge 2" });
    expect((await points(number))[0]?.weighedGrams).toBeUndefined();
  });
  it("ten times that of the model's last job is questioned", async () => {
    const first = await cased({ maker: "Odd", model: "One" });
    await press(takeLube, first, { chamber: "c1", lubricant: "marsh" });
    await press(weigh, first, { point: "g1", grams: 12 });
    const number = await cased({ maker: "Odd", model: "One" });
    await press(takeLube, number, { chamber: "c1", lubricant: "marsh" });
    expect(refusal(await press(savePoint, number, { point: "g1", facts: { grams: 0.5 } }))).toMatch(
      /the last job of this model took 12 g/,
    );
    expect(await press(savePoint, number, { point: "g1", facts: { grams: 14 } })).toMatchObject({ ok: true });
    expect((await points(number))[0]).toMatchObject({ grams: 14, gramsSaid: true });
    // two units of which nobody knows the model are not of one
    for (const model of ["unknown", "?"]) {
      const one = await cased({ maker: "Odd", model });
      await press(takeLube, one, { chamber: "c1", lubricant: "marsh" });
      await press(weigh, one, { point: "g1", grams: 12 });
      const other = await cased({ maker: "Odd", model });
      await press(takeLube, other, { chamber: "c1", lubricant: "marsh" });
      expect(refusal(await press(savePoint, other, { point: "g1", facts: { grams: 20 } }))).toBe("taken");
      expect((await chamber(other))?.lastTime).toBeUndefined();
    }
  });
});

describe("cleaning", () => {
  it("after crumbs goes everywhere, the case while it is empty, and each part by what it is made of", async () => {
    const number = await cased({}, { job: { greaseStates: ["metal"] } });
    await press(planCleaning, number, {});
    const cleanings = (await job(number)).services;
    expect(cleanings).toMatchObject([
      { reachedBy: "s4", do: "clean", note: expect.stringMatching(/^gear case: washed out, .*magnet/) },
      { part: "p1", note: expect.stringMatching(/^pump lid: washed with degreaser/) },
      { part: "p2" },
    ]);
    // before the first thing goes in, not before the lid
    const lines = planOf(await job(number)).steps.map(lineKey);
    expect(lines.indexOf("service:v1")).toBeLessThan(lines.indexOf("undo:s4"));
    await press(planCleaning, number, {});
    expect((await job(number)).services).toHaveLength(cleanings.length);
  });
  it("is ticked part by part, and all is clean only once what was planned is", async () => {
    const number = await cased({}, { job: { greaseStates: ["metal"] } });
    await press(planCleaning, number, {});
    const services = (await job(number)).services.map((v) => v.id);
    expect(refusal(await press(saveWashed, number, { washed: true }))).toMatch(/not ticked yet: .*gear case/);
    expect((await job(number)).washed).toBe(false);
    await press(tickCleaning, number, { services, done: true });
    expect((await job(number)).linesDone).toEqual(services.map((id) => `service:${id}`));
    expect(await press(saveWashed, number, { washed: true })).toMatchObject({ ok: true });
    await press(tickCleaning, number, { services: services.slice(0, 1), done: false });
    expect((await lubeView(number))?.cleaning.filter((r) => r.planned && !r.planned.done)).toHaveLength(1);
  });
  it("of a chamber can be moved earlier, not later than the first thing that goes into it, and stays there", async () => {
    const number = await cased({}, { job: { greaseStates: ["metal"] }, steps: [
      { id: "s1", action: "unscrew", needs: [], hardware: [{ id: "h1", kind: "screw", qty: 4 }] },
      { id: "s2", action: "lift-off", parts: ["p1"], needs: ["s1"] },
      { id: "s3", action: "pull", parts: ["p2"], needs: ["s2"] },
      { id: "s4", action: "peel", parts: ["p3"], needs: ["s1"] },
    ] }); // biome-ignore format: a strip
    await press(planCleaning, number, {});
    const cleaning = async () => (await lubeView(number))?.cleaning.find((c) => c.moments.length);
    expect(await cleaning()).toMatchObject({ before: "s3", moments: [{ step: "s4" }, { step: "s3" }] });
    const { service: id = "" } = (await cleaning())?.planned ?? {};
    expect(refusal(await press(moveCleaning, number, { service: id, before: "s2" }))).toBe(
      "before: It is cleaned at the latest before step 3, the drive wheel goes back",
    );
    expect(await press(moveCleaning, number, { service: id, before: "s4" })).toMatchObject({ ok: true });
    expect(refusal(await press(planCleaning, number, {}))).toBe(
      "cleaning: All that follows from it is in the plan",
    );
    expect(await cleaning()).toMatchObject({ before: "s4" });
    const lines = planOf(await job(number)).steps.map(lineKey);
    expect(lines.indexOf("undo:s4")).toBeGreaterThan(lines.indexOf(`service:${id}`));
    await finishAll(number, lines.indexOf("undo:s4") + 1);
    expect(refusal(await press(saveCleaning, number, { part: "p3", method: "brush" }))).toBe(
      "part: Shaft seal is on again: take it off first",
    );
  });
  it("refuses what attacks a part, and what never came off", async () => {
    const number = await cased();
    expect(refusal(await press(saveCleaning, number, { part: "p1", method: "acetone" }))).toBe(
      "method: Pump lid: ABS: acetone softens it",
    );
    expect(refusal(await press(saveCleaning, number, { part: "p77", method: "brush" }))).toMatch(
      /not among the job’s parts/,
    );
    await press(saveCleaning, number, { part: "p1", method: "alcohol" });
    expect((await job(number)).services).toMatchObject([{ part: "p1", do: "clean", waitMinutes: 10 }]);
  });
  it("an opening that is blocked comes out again as a line, after the washing", async () => {
    const number = await cased({}, { job: { greaseStates: ["metal"] } });
    await press(planCleaning, number, {});
    expect(refusal(await press(saveBlock, number, { says: " ", chamber: "c1" }))).toMatch(
      /^says: Say what is blocked/,
    );
    await press(saveBlock, number, { says: "rag in the motor opening", chamber: "c1" });
    const block = (await job(number)).steps.at(-1);
    expect(block).toMatchObject({ action: "block", needs: ["s2"] });
    await press(planCleaning, number, {});
    const cases = (await job(number)).services.filter((v) => v.note?.startsWith("gear case"));
    expect(cases).toMatchObject([{ reachedBy: block?.id }]);
    const lines = planOf(await job(number)).steps.map(lineKey);
    expect(lines.indexOf(`service:${cases[0]?.id}`)).toBeLessThan(lines.indexOf(`undo:${block?.id}`));
    expect(lines.indexOf(`undo:${block?.id}`)).toBeLessThan(lines.indexOf("undo:s2"));
  });
  it("is one change of the job when it is done", async () => {
    const number = await pumpAt("lube");
    const { version } = await job(number);
    expect(await press(saveWashed, number, { washed: true })).toEqual({ ok: true, version: version + 1 });
    await press(saveWashed, number, { washed: false });
    expect((await jobHistory(number)).map((h) => h.what).slice(0, 2)).toEqual([
      "cleaning opened again",
      "parts and chambers are clean and dry",
    ]);
  });
});
