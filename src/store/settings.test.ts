import { expect, it } from "vitest";
import { database } from "./database";
import { changeRates, setSetting, shopSettings } from "./settings";
import { testShop } from "./test-shop";

testShop();

it("rates that are set at once both stay, and the others as they were", async () => {
  const before = (await shopSettings()).rates;
  await Promise.all([changeRates({ perHour: 71 }), changeRates({ taxPercent: 7 }), changeRates({ markupPercent: 30 })]);
  expect((await shopSettings()).rates).toEqual({ ...before, perHour: 71, taxPercent: 7, markupPercent: 30 });
});

it("a setting that was written by something else and is none is refused by its name", async () => {
  await (await database())("settings").insert({ name: "testMinutes", value: '"soon"' });
  await expect(shopSettings()).rejects.toThrow(/settings\.testMinutes/);
  await setSetting("testMinutes", 20);
  expect((await shopSettings()).testMinutes).toBe(20);
});
