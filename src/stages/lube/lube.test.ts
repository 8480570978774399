import { beforeAll, describe, expect, it, vi } from "vitest";
import { gatesOf } from "@/core/gates/job-facts";
import { jobHistory } from "@/store/change";
import { database } from "@/store/database";
import { shelf } from "@/store/grease-rows";
import { job, testShop } from "@/store/test-shop";
import { press, pumpAt, refusal } from "../test-unit";
import { saveCase, saveCaseMaterial, saveSchool, saveWashed, takeGrease, weigh } from "./actions";
import { needOf } from "./grease-plan";
import { lubeView } from "./lube-view";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();
const clay = { name: "Marsh 2", thickener: "CaX", baseOil: "PAO", nlgi: 2, densityGPerMl: 0.9, h1: true, leastC: -30, mostC: 130 } as const;
beforeAll(async () => {
  const db = await database();
  await db("lubricants").insert(shelf.write({ ...clay, id: "marsh" }));
  await db("lubricants").insert(shelf.write({ ...clay, id: "forge", name: "Forge 2", thickener: "Li12", baseOil: "mineral", h1: false }));
});
const inside = { lengthMm: 80, widthMm: 60, depthMm: 20 };
const measured = async (unit: object = {}): Promise<string> => {
  const number = await pumpAt("lube", { unit });
  await press(saveCase, number, { inside });
  return number;
};
const points = async (number: string) => (await job(number)).lubePoints;

describe("the inside of the case", () => {
  it("once measured, gives the amount, by the school that was chosen", async () => {
    const number = await pumpAt("lube");
    expect((await lubeView(number))?.plan.charge).toBeNull();
    expect(await press(saveCase, number, { inside })).toMatchObject({ ok: true });
    const plan = async () => (await lubeView(number))?.plan;
    // 80 × 60 × 20 mm and no gear of it named
    expect((await plan())?.freeMl).toBeCloseTo(96, 6);
    const before = (await plan())?.charge?.grams ?? 0;
    await press(saveSchool, number, { school: "packed" });
    expect((await plan())?.charge?.grams).toBeGreaterThan(before);
  });
  it.each([
    [{ ...inside, widthMm: 0 }, "inside.widthMm: Must be above 0 mm"],
    [{ ...inside, depthMm: Number.NaN }, "inside.depthMm: Must be a length in mm"],
    [{ ...inside, lengthMm: 8000 }, "inside.lengthMm: Is longer than 2 m"],
  ])("%j is refused at its side, and what was measured stays", async (wrong, says) => {
    const number = await measured();
    expect(refusal(await press(saveCase, number, { inside: wrong }))).toBe(says);
    expect((await job(number)).caseInside).toEqual(inside);
  });
});

describe("case and seals", () => {
  it("are of what somebody says, and no grease is offered that attacks it", async () => {
    const number = await pumpAt("lube");
    const need = async () => needOf(await job(number));
    const before = await need();
    expect(await press(saveCaseMaterial, number, { material: "PC", on: true })).toMatchObject({ ok: true });
    await press(saveCaseMaterial, number, { material: "EPDM", on: true });
    expect((await need()).plastics).toEqual([...before.plastics, "PC"]);
    expect((await need()).elastomers).toEqual(expect.arrayContaining(["EPDM"]));
    await press(saveCaseMaterial, number, { material: "PC", on: false });
    expect((await need()).plastics).toEqual(before.plastics);
    expect(refusal(await press(saveCaseMaterial, number, { material: "cheese" as "PC", on: true }))).toMatch(/^material: /);
  });
});

describe("clean and dry", () => {
  it("is one change of the job, and puts the wiping of the case into the plan once", async () => {
    const number = await pumpAt("lube", { job: { greaseStates: ["metal"] } });
    const { version } = await job(number);
    expect(await press(saveWashed, number, { washed: true })).toEqual({ ok: true, version: version + 1 });
    expect((await job(number)).services).toEqual([expect.objectContaining({ reachedBy: "s2", do: "clean", note: expect.stringContaining("no crumb") })]);
    await press(saveWashed, number, { washed: false });
    await press(saveWashed, number, { washed: true });
    expect((await job(number)).services).toHaveLength(1);
    expect((await jobHistory(number)).map((h) => h.what).slice(0, 2)).toEqual(["parts and case are clean and dry", "cleaning opened again"]);
  });
  it("leaves what else is planned as it is called", async () => {
    const number = await pumpAt("lube", { services: [{ id: "v4", part: "p2", do: "deburr" }] });
    await press(saveWashed, number, { washed: true });
    expect((await job(number)).services.map((s) => [s.id, s.do])).toEqual([
      ["v4", "deburr"],
      ["v5", "clean"],
    ]);
  });
});

describe("a grease", () => {
  it("is taken with its points, and weighed in at each; then nothing holds the job here but cleaning", async () => {
    const number = await measured();
    expect(await press(takeGrease, number, { lubricant: "marsh" })).toMatchObject({ ok: true });
    const [point, ...others] = await points(number);
    expect(others).toEqual([]);
    expect(point).toMatchObject({ lubricant: "Marsh 2", reachedBy: "s2" });
    expect(gatesOf(await job(number), "lube").map((g) => g.gate)).toEqual(["washed", "weigh:gear case, before its cover"]);
    expect(await press(weigh, number, { point: point?.id ?? "", grams: point?.grams ?? 0 })).toMatchObject({ ok: true });
    await press(saveWashed, number, { washed: true });
    expect(gatesOf(await job(number), "lube")).toEqual([]);
  });
  it("taken again keeps what was weighed in; another one is weighed in anew, under new names", async () => {
    const number = await measured();
    await press(takeGrease, number, { lubricant: "marsh" });
    const [first] = await points(number);
    await press(weigh, number, { point: first?.id ?? "", grams: first?.grams ?? 0 });
    await press(takeGrease, number, { lubricant: "marsh" });
    expect((await points(number))[0]).toMatchObject({ weighedGrams: first?.grams, weighedAt: expect.any(String) });
    await press(takeGrease, number, { lubricant: "forge" });
    const [other] = await points(number);
    expect(other?.weighedGrams).toBeUndefined();
    expect(other?.id).not.toBe(first?.id);
  });
  it("waits for the case, must be on the shelf, and one that is not H1 stays out of what touches food", async () => {
    const bare = await pumpAt("lube");
    expect(refusal(await press(takeGrease, bare, { lubricant: "marsh" }))).toMatch(/^case: Measure the inside of the case first/);
    const number = await measured({ foodContact: true });
    expect(refusal(await press(takeGrease, number, { lubricant: "lard" }))).toBe("lubricant: Is not on the shelf");
    expect(refusal(await press(takeGrease, number, { lubricant: "forge" }))).toMatch(/Forge 2 is not registered H1/);
    expect(await points(number)).toEqual([]);
    expect(refusal(await takeGrease({ number: "J-9999", version: 1, lubricant: "marsh" }))).toMatch(/no job J-9999/);
  });
});

describe("a weight", () => {
  const weighedIn = async (grams: (aim: number) => number | null): Promise<[string, number | undefined]> => {
    const number = await measured();
    await press(takeGrease, number, { lubricant: "marsh" });
    const [point] = await points(number);
    const says = refusal(await press(weigh, number, { point: point?.id ?? "", grams: grams(point?.grams ?? 0) }));
    return [says, (await points(number))[0]?.weighedGrams];
  };
  it.each<[string, (aim: number) => number, RegExp]>([
    ["in milligrams", (aim) => aim * 1000, /milligrams meant/],
    ["with the dot in the wrong place", (aim) => aim / 1000, /dot in the wrong place/],
    ["of half the case", (aim) => aim * 3.01, /Weigh it again|whole case/],
    ["of a third", (aim) => aim / 3.01, /Weigh it again/],
    ["below nothing", () => -1, /Must not be negative/],
  ])("%s is questioned and not kept", async (_, grams, says) => {
    const [said, kept] = await weighedIn(grams);
    expect(said).toMatch(says);
    expect(kept).toBeUndefined();
  });
  it("near its aim is kept, and can be struck", async () => {
    expect((await weighedIn((aim) => aim * 1.2))[0]).toBe("taken");
    const number = await measured();
    await press(takeGrease, number, { lubricant: "marsh" });
    const [point] = await points(number);
    await press(weigh, number, { point: point?.id ?? "", grams: point?.grams ?? 0 });
    await press(weigh, number, { point: point?.id ?? "", grams: null });
    expect((await points(number))[0]?.weighedGrams).toBeUndefined();
    expect(refusal(await press(weigh, number, { point: "g77", grams: 3 }))).toMatch(/no grease point/);
  });
});
