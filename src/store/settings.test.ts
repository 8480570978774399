import { describe, expect, it } from "vitest";
import type { Quote } from "@/core/match/quote/quote";
import { database } from "./database";
import { createJob } from "./jobs";
import { makeQuote } from "./quotes";
import {
  acceptSettings,
  changeRates,
  rememberHazards,
  setSetting,
  shopSettings,
  unreadableSettings,
} from "./settings";
import { shopTrouble } from "./shop-state";
import { faultOf, testShop } from "./test-shop";

testShop();

it("rates that are set at once both stay, and the others as they were", async () => {
  const before = (await shopSettings()).rates;
  await Promise.all([
    changeRates({ perHour: 71 }),
    changeRates({ taxPercent: 7 }),
    changeRates({ markupPercent: 30 }),
  ]);
  expect((await shopSettings()).rates).toEqual({ ...before, perHour: 71, taxPercent: 7, markupPercent: 30 });
});

describe("a setting that was written by something else and is none", () => {
  it("stops nothing: it stands as in a new shop, and is named until somebody has looked at it", async () => {
    const db = await database();
    await db("settings").insert({ name: "testMinutes", value: '"soon"' });
    await db("settings").insert({ name: "of a later program", value: "1" });
    expect((await shopSettings()).testMinutes).toBe(15);
    expect(await unreadableSettings()).toEqual(["the time for testing"]);
    expect((await shopTrouble())?.says).toBe(
      "what was set for the shop could not be read: the time for testing",
    );
    await setSetting("testMinutes", 20);
    expect((await shopSettings()).testMinutes).toBe(20);
    expect(await shopTrouble()).toBeNull();
  });

  it("makes no price, and one of several figures is not set while the others are a new shop's", async () => {
    await (await database())("settings")
      .insert({ name: "rates", value: `{"perHour":` })
      .onConflict("name")
      .merge();
    const number = await createJob();
    expect(await faultOf(makeQuote(number, 1, {} as Quote))).toMatch(/^the charges could not be read/);
    expect(await faultOf(changeRates({ perHour: 71 }))).toMatch(/^Not set: the charges could not be read/);
    await acceptSettings();
    await changeRates({ perHour: 71 });
    expect((await shopSettings()).rates.perHour).toBe(71);
  });

  it("does not write over what can hurt at a kind of unit", async () => {
    const db = await database();
    await db("settings").insert({ name: "kindHazards", value: '{"juicer":"blade"}' });
    await rememberHazards("fan", ["blade"]);
    expect((await db("settings").where({ name: "kindHazards" }).first()).value).toBe('{"juicer":"blade"}');
  });
});
