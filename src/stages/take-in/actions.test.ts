import { describe, expect, it, vi } from "vitest";
import { gatesOf } from "@/core/gates/job-facts";
import { jobHistory } from "@/store/change";
import { createJob } from "@/store/jobs";
import { job, testShop } from "@/store/test-shop";
import { press, refusal } from "../test-unit";
import { learnDateCode, learnVariant, saveCustomer, saveTakeIn } from "./actions";
import { takeInView } from "./take-in-view";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();
const save = (number: string, fields: Parameters<typeof saveTakeIn>[0]["fields"]) =>
  press(saveTakeIn, number, { fields });

describe("a unit over the counter of an empty shop", () => {
  it("is asked for what it needs to go on, and for nothing more", async () => {
    const number = await createJob();
    const open = async () => gatesOf(await job(number), "take-in").map((g) => g.gate);
    expect(await open()).toEqual(["kind", "model", "complaint", "supply", "hazards", "consent"]);
    await save(number, { kind: "hair clipper", model: "unknown", complaint: "pulls hair" });
    expect((await takeInView(number))?.proposed).toBeUndefined();
    await save(number, { supplies: ["battery", "mains"] });
    expect(await open()).toEqual(["class", "hazards", "consent"]);
    await save(number, { protectionClass: "II" });
    await save(number, { hazards: [] });
    await save(number, { consent: true });
    expect(await open()).toEqual([]);
    // what was said last of a kind is proposed at the next of it; saving something else takes nothing back
    expect(await job(number)).toMatchObject({
      supplies: ["battery", "mains"],
      protectionClass: "II",
      hazards: [],
    });
    await save(number, { hazards: ["blade"] });
    const next = await createJob({ kind: "Hair clipper" });
    expect((await takeInView(next))?.proposed).toEqual(["blade"]);
    expect((await job(next)).hazards).toBeUndefined();
    expect(await takeInView(number)).toMatchObject({
      gates: [],
      currency: "€",
      counter: { variants: [] },
      job: { pictures: [] },
    });
  });
  it("keeps what is said of its past beside what was said before", async () => {
    const number = await createJob();
    await save(number, { past: { years: 6, load: "daily" } });
    await save(number, { past: { bought: "used" } });
    expect((await job(number)).past).toEqual({ years: 6, load: "daily", bought: "used" });
    await save(number, { past: { years: null } });
    expect((await job(number)).past).toEqual({ load: "daily", bought: "used" });
  });
  it("ticks and unticks one thing of a list, and leaves the others", async () => {
    const number = await createJob();
    const tick = (item: string, on: boolean) =>
      press(saveTakeIn, number, { fields: {}, tick: { list: "looseItems", item, on } });
    for (const item of ["comb", "oil", "comb"]) await tick(item, true);
    expect((await job(number)).looseItems).toEqual(["oil", "comb"]);
    await tick("oil", false);
    expect((await job(number)).looseItems).toEqual(["comb"]);
    expect((await jobHistory(number))[0]?.what).toBe("loose items: oil no");
  });
  it.each([
    [{ past: { years: -2 } }, "fields.past.years: Must not be negative"],
    [{ past: { years: 1000 } }, /nothing on this bench is that old/i],
    [{ priceLimit: -1 }, "fields.priceLimit: Must not be negative"],
    [{ promised: "tomorrow" }, /^fields\.promised: /],
    [{ supplies: ["steam"] }, /^fields\.supplies\[0\]: Is none of: mains/],
    [{ hazards: ["boredom"] }, /^fields\.hazards\[0\]: Is none of: blade/],
    [{ shoeSize: 43 }, /shoeSize/],
  ])("%j is refused at its place", async (fields, says) => {
    const number = await createJob();
    const refused = refusal(await save(number, fields as never));
    if (typeof says === "string") expect(refused).toBe(says);
    else expect(refused).toMatch(says);
    expect((await job(number)).version).toBe(1);
  });
  it("strikes a limit and a promise again", async () => {
    const number = await createJob();
    await save(number, { priceLimit: 80, promised: "2026-12-01" });
    expect(await job(number)).toMatchObject({ priceLimit: 80, promised: "2026-12-01" });
    await save(number, { priceLimit: null, promised: "" });
    expect(await job(number)).not.toMatchObject({ priceLimit: expect.anything() });
    expect((await job(number)).promised).toBeUndefined();
  });
});

describe("what the shop learns over the counter", () => {
  it("a customer's contact comes back with the name", async () => {
    await press(saveCustomer, await createJob(), { name: "Ottmar Quell" });
    const first = await createJob();
    await press(saveCustomer, first, { name: "Ottmar Quell", contact: "tel. 12" });
    const next = await createJob();
    await press(saveCustomer, next, { name: "Ottmar Quell" });
    expect((await job(next)).customerContact).toBe("tel. 12");
  });
  it("a variant needs maker and model; then every unit of the model is asked by its mark", async () => {
    const number = await createJob();
    const taught = { variant: "B", mark: "two ribs under the lid" };
    expect(refusal(await press(learnVariant, number, taught))).toMatch(
      /^variant: Say first which maker and model/,
    );
    await save(number, { maker: "Tarnholt", model: "Clip 3" });
    expect(await press(learnVariant, number, taught)).toMatchObject({ ok: true });
    const next = await createJob({ maker: "TARNHOLT", model: "clip 3" });
    expect((await takeInView(next))?.counter.variants).toEqual([taught]);
    expect(refusal(await press(learnVariant, number, { variant: "", mark: "x" }))).toMatch(
      /^variant: Give the variant a name/,
    );
  });
  it("a maker's date code, unless it is no rule at all", async () => {
    const number = await createJob({ maker: "Tarnholt" });
    expect(refusal(await press(learnDateCode, number, { text: "ask the boss" }))).not.toBe("taken");
    expect(await press(learnDateCode, number, { text: "characters 6–7 year" })).toMatchObject({ ok: true });
    expect((await takeInView(number))?.counter.dateCode).toBe("characters 6–7 year");
  });
});
