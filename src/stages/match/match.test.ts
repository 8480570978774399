import { beforeAll, describe, expect, it } from "vitest";
import { gatesOf } from "@/core/gates/job-facts";
import { arrivalVerdict } from "@/core/match/arrival/arrival";
import { pictureOf } from "@/core/match/arrival/arrival-picture";
import { findBasket } from "@/core/match/basket/basket";
import { solver } from "@/core/match/basket/solver";
import { mustAskAgain } from "@/core/match/quote/quote";
import { partRows } from "@/store/catalogue-index";
import { database } from "@/store/database";
import { donorsFor } from "@/store/donors";
import { takeInJobFile } from "@/store/job-file";
import { takeKit } from "@/store/kit";
import { setReadNumber } from "@/store/match";
import { offerRows, supplierRows } from "@/store/offer-rows";
import { decideArrival, placeBasket, takeNews, whatLiesThere } from "@/store/orders";
import { addPicture } from "@/store/pictures";
import { putRows } from "@/store/put-rows";
import { answerQuote, makeQuote } from "@/store/quotes";
import { orderDay, setSetting, shopSettings } from "@/store/settings";
import { grey, job, testShop } from "@/store/test-shop";
import { juicerAtMatch } from "../../../demo/shop/juicer";
import { jobFileFrom } from "../../../demo/shop/recipe";
import { catalogue, offers, suppliers, tempers } from "../../../demo/shop/shelf";
import { candidatesOf, catalogueFor } from "../job-view/job-candidates";
import { unitOf, wantedFor, wantedInWords } from "../job-view/wanted-part";
import { arrivedParts } from "./arrival-facts";
import { basketGroundOf, supplierLink } from "./basket-ground";
import { gearToMake, waysFor } from "./gear-to-make";
import { basketQuestion, type JobBasket, jobBasketFrom, jobBasketProven } from "./job-basket";

testShop();
let db: Awaited<ReturnType<typeof database>>;
beforeAll(async () => {
  db = await database();
  await putRows(db, partRows, catalogue);
  await putRows(db, supplierRows, suppliers);
  await putRows(db, offerRows, offers);
  await setSetting("practiceTempers", tempers);
});
/**
 * The demo's juicer that waits for its parts, without its pictures: wheel p7, bearing p9, seal p10, pinion
 * p11.
 */
const juicer = async (): Promise<string> =>
  (await takeInJobFile({ file: jobFileFrom(juicerAtMatch).file, pictures: new Map() }, true)).number;
/** As a browser finds it, and as the shop makes it again from the numbers that the browser sends. */
const basketOf = async (number: string, aim: JobBasket["aim"] = "least cost") => {
  const ground = await basketGroundOf(await job(number), await shopSettings());
  const question = basketQuestion(ground, aim);
  if (!question) throw new Error("nothing is to be bought");
  const basket = jobBasketFrom(ground, aim, findBasket(question, await solver()));
  if (basket.answer.basket)
    expect(jobBasketProven(ground, aim, basket.found)).toEqual({
      ...basket,
      answer: { basket: basket.answer.basket, runnersUp: [] },
    });
  return { ...ground, ...basket };
};
const version = async (number: string): Promise<number> => (await job(number)).version;

describe("what is looked for in a job", () => {
  it("carries what the gear bench knows, with its spreads, the mate, and how fast the output turns", async () => {
    const whole = await job(await juicer());
    const wanted = wantedFor(whole, "p7");
    // a pulley is entered and not named: its count and pitch are what it is compared by
    const pulley = wantedFor(
      { ...whole, findings: [{ part: "p7", teeth: {}, gear: { kind: "pulley", teeth: 20, pitchMm: 5 } }] },
      "p7",
    );
    expect(pulley).toMatchObject({
      kind: "gear",
      gear: { form: "pulley", teeth: 20, moduleMm: 5 / Math.PI },
    });
    expect(
      wantedFor(
        { ...whole, findings: [{ part: "p7", teeth: {}, gear: { kind: "pulley", teeth: 20 } }] },
        "p7",
      ),
    ).toHaveProperty("missing");
    expect(wanted).toMatchObject({
      unit: { maker: "Velbrant", model: "Pressa 40", variant: "four-rib", serial: "VP40-18-2204" },
      gear: {
        form: "helical",
        teeth: 41,
        hand: "right",
        boreMm: { value: 8.01, u: 0.02 },
        boreForm: "cross slot",
        material: "PA",
        mate: { teeth: 9 },
      },
    });
    // 1380 rpm through 9 : 41 and 11 : 47
    expect("missing" in wanted ? 0 : wanted.gear?.outputRpm).toBeCloseTo((1380 * 9 * 11) / (41 * 47), 6);
    expect(wantedInWords(wanted as never)).toBe("41 teeth, module 1, 20°, helix 18° right");
    expect(unitOf({ maker: "", model: "x", variant: "", serial: "" })).toBeUndefined();
  });
  it("of a bearing whose seal was pulled is one that shares the case's grease", async () => {
    const wanted = wantedFor(await job(await juicer()), "p9");
    expect(wanted).toMatchObject({ ring: { insideMm: 8, outsideMm: 22, widthMm: 7, facesGrease: true } });
    expect(wantedInWords(wanted as never)).toBe("8 × 22 × 7 mm, RS");
  });
  it("counts the wheel that was chosen when the pinion is looked for", async () => {
    const whole = await job(await juicer());
    expect(wantedFor(whole, "p11", { p7: 42 })).toMatchObject({ gear: { mate: { teeth: 41, willBe: 42 } } });
    expect(wantedFor(whole, "p11", { p7: 41 })).not.toHaveProperty("gear.mate.willBe");
  });
  it("with the number that stands on it, finds what took its place", async () => {
    const number = await juicer();
    await setReadNumber(number, await version(number), "p7", "VLB-4O-241");
    const wheel = (await candidatesOf(await job(number))).find((c) => c.id === "p7");
    expect(wheel?.candidates[0]).toMatchObject({
      part: { number: "VLB-42-242" },
      verdict: "with-companions",
    });
    expect(wheel?.candidates[0]?.criteria[0]?.says).toMatch(/^replaces VLB-40-241: together with/);
    expect((await catalogueFor(await job(number), ["p7"])).some((p) => p.number === "VLB-42-108")).toBe(true);
  });
});

describe("the basket of a job", () => {
  it("is the kit, what lies in the drawer, and says where each goes", async () => {
    const { answer, open, toFit, names } = await basketOf(await juicer());
    expect(open).toEqual([]);
    expect(answer.basket).toMatchObject({
      cost: 48.4,
      days: 3,
      lines: [{ part: "VLB-42-901", packs: 1 }],
      fromShelf: [
        { part: "608-2RS", qty: 1 },
        { part: "SEAL-12-22-7", qty: 1 },
      ],
    });
    expect(toFit).toEqual([
      { number: "VLB-42-242", qty: 1, part: "p7" },
      { number: "608-2RS", qty: 1, part: "p9" },
      { number: "SEAL-12-22-7", qty: 1, part: "p10" },
      { number: "VLB-42-108", qty: 1, part: "p11" },
      { number: "VLB-42-018", qty: 2 },
      { number: "VLB-42-021", qty: 1 },
    ]);
    expect(names["VLB-40-077"]).toBe("Dowel, cover, four-rib");
  });
  it("is quoted with work by the plan, against the limit and a new unit", async () => {
    const { quote } = await basketOf(await juicer());
    // (41.50 × 1.25 + 2.40 + 3.80 + 6.90 + 2.50 × 1.25 + 88 min at 60 an hour) × 1.2
    expect(quote?.total).toBe(189.73);
    expect(quote?.reasons.map((r) => r.rule)).toEqual(["limit", "new unit"]);
    expect(quote?.ifDeclined).toBe(30);
  });
  it("is here tomorrow when that is what is asked, and within the limit when nothing else is", async () => {
    const number = await juicer();
    expect((await basketOf(number, "soonest")).answer.basket?.days).toBe(1);
    const within = await basketOf(number, "soonest within limit");
    expect(within.answer.basket).toBeNull();
    expect(within.answer.says).toBe(
      "After work, tax and consumables the limit of 180.00 € leaves 56.87 € for parts. A complete set comes to 64.98 €; the limit is 56.87 €.",
    );
    await db("jobs")
      .where({ number })
      .update({ price_limit: 400, version: (await version(number)) + 1 });
    expect((await basketOf(number, "soonest within limit")).answer.basket?.days).toBe(1);
  });
});

describe("from the quote to the rebuild plan", () => {
  it("ordered, arrived with a wrong part, sent back, come again, accepted, one with rework", async () => {
    const number = await juicer();
    const { answer, quote, toFit, orders } = await basketOf(number);
    expect(orders).toEqual([
      {
        supplier: "Nordhav Spares",
        shipping: 6.9,
        lines: [{ number: "VLB-42-901", packs: 1, pack: 1, price: 41.5, leadDays: 3, had: 4 }],
      },
    ]);
    if (!answer.basket || !quote) throw new Error("no basket");
    expect(mustAskAgain(quote.total, (await job(number)).quotes, 180)).toMatch(/Above the limit/);
    await makeQuote(number, await version(number), quote);
    await answerQuote(
      number,
      await version(number),
      (await job(number)).quotes[0]?.id as number,
      "accepted",
      "Pia Wendell",
      "2026-11-25",
    );
    expect(mustAskAgain(quote.total, (await job(number)).quotes, 180)).toBeNull();
    const day = "2026-11-25";
    await placeBasket(number, await version(number), {
      orders,
      fromShelf: answer.basket.fromShelf.map((s) => ({ number: s.part, qty: s.qty })),
      toFit,
      aim: "least cost",
      day,
    });
    expect(gatesOf(await job(number), "match").map((g) => g.gate)).toEqual(["compare", "awaited"]);
    const news = async (until: string): Promise<void> => {
      const link = await supplierLink(
        "Nordhav Spares",
        await shopSettings(),
        offers.map((o) => o.number),
      );
      const told = [];
      for (const o of (await job(number)).orders)
        told.push({ reference: o.reference, news: await link.follow(o, until) });
      await takeNews(number, await version(number), told);
    };
    await news("2026-11-30");
    const whole = await job(number);
    const views = await arrivedParts(whole);
    expect(views.map((v) => v.number)).toEqual([
      "608-2RS",
      "SEAL-12-22-7",
      "VLB-42-242",
      "VLB-42-108",
      "VLB-42-018",
      "VLB-42-021",
    ]);
    const pinion = views.find((v) => v.number === "VLB-42-108");
    if (!pinion) throw new Error("no pinion");
    expect(pinion).toMatchObject({
      inPlaceOf: "motor pinion",
      faces: { old: { teeth: 9 }, sold: { teeth: 8 } },
    });
    expect(pinion.items.find((i) => i.key === "boreMm")).toMatchObject({ expected: 6, old: "6.01" });
    expect(await whatLiesThere(whole.id, pinion.id)).toBe("VLB-40-109");
    expect(arrivalVerdict(pinion.items, { teeth: 9 }).suggests).toBe("send back");
    await addPicture(number, await grey().jpeg().toBuffer(), { role: "finding", part: pictureOf(pinion) });
    await decideArrival(number, await version(number), pinion.id, "sent-back", {
      reason: "nine teeth",
      day: "2026-11-30",
    });
    expect(gatesOf(await job(number), "match").find((g) => g.gate === "awaited")?.says).toBe(
      "Still on its way: VLB-42-108.",
    );
    await news("2026-12-31");
    const again = (await arrivedParts(await job(number))).at(-1);
    expect(await whatLiesThere(whole.id, again?.id as number)).toBe("VLB-42-108");
    const bearing = views.find((v) => v.number === "608-2RS");
    expect(bearing?.planned).toEqual([
      { do: "pull-seal", note: expect.stringMatching(/^pull the seal that faces the case/) },
    ]);
    for (const v of await arrivedParts(await job(number)))
      if (!v.decision)
        await decideArrival(number, await version(number), v.id, v.planned.length ? "rework" : "accepted", {
          rework: v.planned as { do: "pull-seal"; note: string }[],
          day: "2026-12-31",
        });
    expect((await job(number)).services).toMatchObject([{ part: "p9", do: "pull-seal" }]);
    expect(gatesOf(await job(number), "match")).toEqual([]);
  });
});

describe("a gear to be made", () => {
  it("comes out of the gear bench's figures, or says which are lacking", async () => {
    const whole = await job(await juicer());
    expect(gearToMake(whole, "p7")).toMatchObject({
      missing: [],
      gear: { teeth: 41, hand: "right", boreMm: 8.01, faceWidthMm: 11.02, boreForm: "cross slot" },
    });
    const less = {
      ...whole,
      readings: [],
      findings: whole.findings.map((f) => ({ ...f, gear: { ...f.gear, kind: "bevel" as const } })),
    };
    expect(gearToMake(less, "p7").missing).toEqual([
      "its bore",
      "its face width",
      "a drawing by hand: a bevel is not drawn here",
    ]);
    const wide = {
      ...whole,
      readings: whole.readings.map((r) => (r.part === "p7" && r.what === "bore" ? { ...r, value: 40.2 } : r)),
    };
    expect(gearToMake(wide, "p7")).toEqual({
      gear: null,
      missing: [expect.stringMatching(/^its bore again: as measured it leaves/)],
    });
    expect(gearToMake(whole, "p9").missing[0]).toMatch(/named on the gear bench/);
  });
  it("teeth are not bonded; what is lacking for the files is said at once", async () => {
    const whole = await job(await juicer());
    expect(waysFor(whole, "p7", 0).map((w) => [w.way, w.barred])).toEqual([
      ["bond", true],
      ["donor", true],
      ["make", false],
    ]);
    expect(waysFor(whole, "p9", 1).map((w) => [w.way, w.barred])).toEqual([
      ["bond", false],
      ["donor", false],
      ["make", true],
    ]);
  });
  it("a donor is a unit of the model that was given up", async () => {
    const [one, other] = [await juicer(), await juicer()];
    expect((await donorsFor(await job(one))).map((d) => d.number)).not.toContain(other);
    const quote = (await basketOf(other)).quote;
    if (!quote) throw new Error("no quote");
    await makeQuote(other, await version(other), quote);
    await answerQuote(
      other,
      await version(other),
      (await job(other)).quotes[0]?.id as number,
      "declined",
      "Pia Wendell",
      "2026-11-25",
    );
    expect(await donorsFor(await job(one))).toContainEqual({
      number: other,
      says: "the customer declined, variant four-rib",
    });
    expect(await donorsFor({ id: 1, maker: "Velbrant", model: "" })).toEqual([]);
  });
});

it("the day that orders go by runs ahead of the calendar in practice only", () => {
  const now = new Date("2026-11-25T12:00:00");
  expect(orderDay({ practiceDays: 0 }, now)).toBe("2026-11-25");
  expect(orderDay({ practiceDays: 6 }, now)).toBe("2026-12-01");
});

describe("a kit in hand", () => {
  it("is one thing: said once, priced once, with ticks for what goes in and what stays out", async () => {
    const number = await juicer();
    const before = await job(number);
    const [first, second, third] = before.parts.filter((p) =>
      before.steps.some((s) => s.parts?.includes(p.id)),
    );
    if (!first || !second || !third) throw new Error("three parts came off the juicer");
    const kit = { says: "Ombray service kit", number: "SK-40", price: 38.5 };
    await takeKit(number, await version(number), {
      ...kit,
      renews: [first.id, second.id],
      staysOut: [third.id],
    });
    const now = await job(number);
    const of = (id: string) => now.findings.find((f) => f.part === id);
    expect(of(first.id)?.got).toEqual({ from: "kit", says: kit.says, number: kit.number, price: 38.5 });
    expect(of(second.id)?.got).toEqual({ from: "kit", says: kit.says, number: kit.number });
    expect(now.findings.reduce((sum, f) => sum + (f.got?.price ?? 0), 0)).toBe(38.5);
    expect(of(first.id)?.goesIn?.staysOut).toEqual([{ part: third.id, why: "the kit does without it" }]);
    expect([first, second, third].map((p) => now.parts.find((q) => q.id === p.id)?.renew ?? false)).toEqual([
      true,
      true,
      false,
    ]);
  });
  it("refuses a kit that nobody named, one that renews nothing, and a part that goes in and stays out", async () => {
    const number = await juicer();
    const at = await version(number);
    const part = (await job(number)).parts[0]?.id ?? "";
    const kit = { says: "Ombray kit", renews: [part], staysOut: [] };
    await expect(takeKit(number, at, { ...kit, says: " " })).rejects.toThrow(/which kit/);
    await expect(takeKit(number, at, { ...kit, renews: [] })).rejects.toThrow(/tick what goes in/);
    await expect(takeKit(number, at, { ...kit, staysOut: [part] })).rejects.toThrow(
      /cannot stay out as well/,
    );
    expect(await version(number)).toBe(at);
  });
});
