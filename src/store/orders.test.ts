import { beforeAll, describe, expect, it } from "vitest";
import { pictureOf } from "@/core/match/arrival/arrival-picture";
import { cataloguePart } from "@/core/match/catalogue/catalogue-part";
import { quoteOf } from "@/core/match/quote/quote";
import type { StoredNews } from "../core/job/bought";
import { jobFileOf } from "../core/job/job-file-of";
import { partsNumbered } from "./catalogue";
import { partRows } from "./catalogue-index";
import { database } from "./database";
import { parcelOf, takeInJobFile } from "./job-file";
import { createJob } from "./jobs";
import { decideArrival, noteFound, placeBasket, takeNews, takeOrderBack, whatLiesThere } from "./orders";
import { addPicture } from "./pictures";
import { putRows } from "./put-rows";
import { answerQuote, makeQuote, setNewUnit } from "./quotes";
import { layDown } from "./strip";
import { grey, job, step, testShop } from "./test-shop";

testShop();
const part = (number: string, more: object = {}) =>
  cataloguePart.parse({ number, name: number, spec: { kind: "hardware" }, ...more });
beforeAll(async () => {
  await putRows(await database(), partRows, [
    part("W"),
    part("P"),
    part("BUSH", { stock: 5, price: 3 }),
    part("DOWEL"),
    part("KIT", {
      spec: { kind: "kit" },
      contains: [
        { number: "W" },
        { number: "P" },
        { number: "BUSH", qty: 2 },
        { number: "DOWEL", qty: 2, variant: "A" },
      ],
    }),
  ]);
});
const stock = async (number: string): Promise<number> => (await partsNumbered([number]))[0]?.stock ?? -1;
const day = "2026-11-25";
async function freshJob(): Promise<string> {
  const number = await createJob({ kind: "juicer" });
  await layDown(number, (await job(number)).version, step());
  return number;
}
const version = async (number: string): Promise<number> => (await job(number)).version;
const kitOrder = {
  supplier: "North",
  lines: [{ number: "KIT", packs: 1, pack: 1, price: 48, leadDays: 3 }],
  shipping: 6,
};
const toFit = [
  { number: "W", qty: 1, part: "p1" },
  { number: "P", qty: 1 },
  { number: "BUSH", qty: 2 },
];
const received = (
  reference: string,
  parcel: StoredNews["parcel"],
): { reference: string; news: StoredNews[] } => ({
  reference,
  news: [
    { day, what: "confirmed", says: "North confirms." },
    { day: "2026-11-30", what: "received", says: "A parcel from North.", ...(parcel ? { parcel } : {}) },
  ],
});

describe("an order", () => {
  it("is placed once, with a reference of its own for each supplier", async () => {
    const number = await freshJob();
    const orders = [
      kitOrder,
      { supplier: "South", lines: [{ number: "P", packs: 1, pack: 1, price: 9, leadDays: 3 }], shipping: 0 },
    ];
    await placeBasket(number, await version(number), { orders, fromShelf: [], toFit, aim: "soonest", day });
    expect((await job(number)).orders.map((o) => [o.reference, o.supplier, o.placedOn])).toEqual([
      [`${number}/1`, "North", day],
      [`${number}/2`, "South", day],
    ]);
    expect((await job(number)).basketAim).toBe("soonest");
    expect((await job(number)).findings).toMatchObject([{ part: "p1", chosen: "W" }]);
    await expect(
      placeBasket(number, await version(number), { orders, fromShelf: [], toFit, aim: "soonest", day }),
    ).rejects.toThrow(/ordered already/);
  });
  it("takes what lies in the drawer out of it, and says when it lies there no more", async () => {
    const number = await freshJob();
    await placeBasket(number, await version(number), {
      orders: [],
      fromShelf: [{ number: "BUSH", qty: 2 }],
      toFit: [{ number: "BUSH", qty: 2 }],
      aim: "least cost",
      day,
    });
    expect(await stock("BUSH")).toBe(3);
    expect((await job(number)).arrivals).toMatchObject([
      { number: "BUSH", qty: 2, supplier: "the drawer", price: 3 },
    ]);
    const other = await freshJob();
    await expect(
      placeBasket(other, await version(other), {
        orders: [],
        fromShelf: [{ number: "BUSH", qty: 9 }],
        toFit: [],
        aim: "least cost",
        day,
      }),
    ).rejects.toThrow(/no 9 of BUSH in the drawer/);
    expect((await job(other)).arrivals).toEqual([]);
  });
});

it("an order is taken back while nothing of it is on its way; the drawer has its pieces again", async () => {
  const number = await freshJob();
  const before = await stock("BUSH");
  const place = async () =>
    placeBasket(number, await version(number), {
      orders: [kitOrder],
      fromShelf: [{ number: "BUSH", qty: 1 }],
      toFit,
      aim: "least cost",
      day,
    });
  await place();
  expect(await stock("BUSH")).toBe(before - 1);
  await takeOrderBack(number, await version(number));
  expect(await stock("BUSH")).toBe(before);
  expect(await job(number)).toMatchObject({ orders: [], arrivals: [], toFit: [] });
  await place();
  // the supplier knows the first by its reference still: the next has one of its own
  expect((await job(number)).orders.map((o) => o.reference)).toEqual([`${number}/2`]);
  await takeNews(number, await version(number), [
    { reference: `${number}/2`, news: [{ day, what: "shipped", says: "on its way" }] },
  ]);
  await expect(takeOrderBack(number, await version(number))).rejects.toThrow(/on its way already/);
});

describe("a parcel", () => {
  it("is laid out: a kit as its pieces, each for its place, with lot and its share of the price; what nobody needs goes to the drawer", async () => {
    const number = await freshJob();
    await placeBasket(number, await version(number), {
      orders: [kitOrder],
      fromShelf: [],
      toFit,
      aim: "least cost",
      day,
    });
    const before = await stock("DOWEL");
    await takeNews(number, await version(number), [
      received(`${number}/1`, [{ number: "KIT", sent: "KIT", packs: 1, lot: "L1", swapped: { P: "P-9" } }]),
    ]);
    expect(
      (await job(number)).arrivals.map((a) => [a.number, a.qty, a.part, a.lot, a.price, a.decision]),
    ).toEqual([
      ["W", 1, "p1", "L1", 8, undefined],
      ["P", 1, undefined, "L1", 8, undefined],
      ["BUSH", 2, undefined, "L1", 8, undefined],
      ["DOWEL", 2, undefined, "L1", 8, "stock"],
    ]);
    expect(await stock("DOWEL")).toBe(before + 2);
    expect(await whatLiesThere((await job(number)).id, (await job(number)).arrivals[1]?.id as number)).toBe(
      "P-9",
    );
    // told again, nothing is laid out twice
    await takeNews(number, await version(number), [
      received(`${number}/1`, [{ number: "KIT", sent: "KIT", packs: 1, lot: "L1" }]),
    ]);
    expect((await job(number)).arrivals).toHaveLength(4);
  });
  it("with the wrong part is sent back with a reason, ordered again, and what comes then takes its place", async () => {
    const number = await freshJob();
    await placeBasket(number, await version(number), {
      orders: [
        {
          supplier: "North",
          lines: [{ number: "W", packs: 1, pack: 1, price: 17, leadDays: 3 }],
          shipping: 6,
        },
      ],
      fromShelf: [],
      toFit: [{ number: "W", qty: 1, part: "p1" }],
      aim: "least cost",
      day,
    });
    await takeNews(number, await version(number), [
      received(`${number}/1`, [{ number: "W", sent: "P", packs: 1, lot: "L1" }]),
    ]);
    const [came] = (await job(number)).arrivals;
    const id = came?.id as number;
    // the slip says W; only the instruments find out
    expect(came).not.toHaveProperty("sent");
    expect(await whatLiesThere((await job(number)).id, id)).toBe("P");
    await noteFound(number, await version(number), id, "teeth", 9);
    expect((await job(number)).arrivals[0]?.found).toEqual({ teeth: 9 });
    await expect(
      decideArrival(number, await version(number), id, "sent-back", { reason: " ", day }),
    ).rejects.toThrow(/say why/);
    await expect(
      decideArrival(number, await version(number), id, "sent-back", { reason: "nine teeth for eight", day }),
    ).rejects.toThrow(/take its picture first/);
    await addPicture(number, await grey().jpeg().toBuffer(), { role: "finding", part: pictureOf({ id }) });
    await decideArrival(number, await version(number), id, "sent-back", {
      reason: "nine teeth for eight",
      day,
    });
    expect((await job(number)).orders[1]).toMatchObject({
      reference: `${number}/2`,
      replacement: true,
      lines: [{ number: "W", packs: 1, price: 0 }],
    });
    await expect(decideArrival(number, await version(number), id, "accepted", { day })).rejects.toThrow(
      /on its way back/,
    );
    await takeNews(number, await version(number), [
      received(`${number}/2`, [{ number: "W", sent: "W", packs: 1, lot: "L2" }]),
    ]);
    expect((await job(number)).arrivals.map((a) => [a.decision, a.part, a.lot])).toEqual([
      ["sent-back", "p1", "L1"],
      [undefined, "p1", "L2"],
    ]);
  });
  it("accepted with rework puts a service into the rebuild plan, taken out again with the decision", async () => {
    const number = await freshJob();
    await placeBasket(number, await version(number), {
      orders: [kitOrder],
      fromShelf: [],
      toFit,
      aim: "least cost",
      day,
    });
    await takeNews(number, await version(number), [
      received(`${number}/1`, [{ number: "KIT", sent: "KIT", packs: 1, lot: "L1" }]),
    ]);
    const id = (await job(number)).arrivals[0]?.id as number;
    await decideArrival(number, await version(number), id, "rework", {
      rework: [{ do: "ream", note: "ream the bore to 8 mm" }],
      day,
    });
    expect((await job(number)).services).toMatchObject([
      { part: "p1", do: "ream", note: "W: ream the bore to 8 mm" },
    ]);
    await decideArrival(number, await version(number), id, "accepted", { day });
    expect((await job(number)).services).toEqual([]);
    expect((await job(number)).arrivals[0]).toMatchObject({ decision: "accepted", rework: [] });
  });
});

describe("a quote", () => {
  const quote = (perHour: number) =>
    quoteOf({
      parts: [],
      shipping: [],
      consumables: [],
      work: [{ says: "w", minutes: 60 }],
      rates: { perHour, markupPercent: 0, taxPercent: 20, ifDeclined: 20, minMinutes: 0 },
    });
  it("is answered once, by somebody; an unanswered one is replaced by the next", async () => {
    const number = await freshJob();
    await makeQuote(number, await version(number), quote(50));
    await makeQuote(number, await version(number), quote(60));
    const [only, ...rest] = (await job(number)).quotes;
    expect(rest).toEqual([]);
    expect(only).toMatchObject({ total: 72 });
    await expect(
      answerQuote(number, await version(number), only?.id as number, "accepted", " ", day),
    ).rejects.toThrow(/say who/);
    await answerQuote(number, await version(number), only?.id as number, "accepted", "Mrs Oake", day);
    await expect(
      answerQuote(number, await version(number), only?.id as number, "declined", "Mr Oake", day),
    ).rejects.toThrow(/answered already/);
    await makeQuote(number, await version(number), quote(90));
    expect((await job(number)).quotes.map((q) => [q.total, q.answer, q.byWhom])).toEqual([
      [72, "accepted", "Mrs Oake"],
      [108, undefined, undefined],
    ]);
  });
});

it("what was quoted, ordered and came travels in the job file", async () => {
  const number = await freshJob();
  await setNewUnit(number, await version(number), 249.5);
  await makeQuote(
    number,
    await version(number),
    quoteOf({
      parts: [],
      shipping: [],
      consumables: [],
      work: [],
      rates: { perHour: 1, markupPercent: 0, taxPercent: 0, ifDeclined: 0, minMinutes: 0 },
    }),
  );
  await placeBasket(number, await version(number), {
    orders: [kitOrder],
    fromShelf: [{ number: "BUSH", qty: 1 }],
    toFit: [...toFit, { number: "BUSH", qty: 1, part: "p2" }],
    aim: "least cost",
    day,
  });
  await takeNews(number, await version(number), [
    received(`${number}/1`, [{ number: "KIT", sent: "KIT", packs: 1, lot: "L1" }]),
  ]);
  const came = (await job(number)).arrivals[1]?.id as number;
  await addPicture(number, await grey().jpeg().toBuffer(), {
    role: "finding",
    part: pictureOf({ id: came }),
  });
  const whole = await job(number);
  const again = await job(
    (await takeInJobFile({ ...(await parcelOf(number)), file: jobFileOf(whole) }, true)).number,
  );
  const plain = (j: typeof whole) => ({
    // the customer’s name stays where it was given
    quotes: j.quotes.map(({ id: _, byWhom: _name, ...q }) => q),
    orders: j.orders.map(({ id: _, reference, ...o }) => ({ ...o, n: reference.split("/")[1] })),
    arrivals: j.arrivals.map(({ id: _, orderId, ...a }) => ({
      ...a,
      of: j.orders.findIndex((o) => o.id === orderId),
    })),
    toFit: j.toFit,
    newUnit: j.newUnit,
  });
  expect(plain(again)).toEqual(plain(whole));
  // the picture of a part that came hangs on it here as it did there
  expect(again.pictures.map((p) => p.part)).toEqual([pictureOf({ id: again.arrivals[1]?.id as number })]);
});
