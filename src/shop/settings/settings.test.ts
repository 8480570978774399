import { describe, expect, it, vi } from "vitest";
import { shopSettings } from "@/store/settings";
import { testShop } from "@/store/test-shop";
import { setShopField } from "./actions";
import { ALL_FIELDS } from "./shop-fields";

vi.mock("next/cache", () => ({ revalidatePath: () => {} }));
testShop();
const set = (key: string, text: string) => setShopField({ key, text });

describe("what the shop sets", () => {
  it("is asked for once each", () => {
    expect(new Set(ALL_FIELDS.map((f) => f.key)).size).toBe(ALL_FIELDS.length);
    expect(new Set(ALL_FIELDS.map((f) => f.label)).size).toBe(ALL_FIELDS.length);
  });
  it("stands as it was typed, each beside the others", async () => {
    for (const [key, text] of [
      ["shopName", "  Tamsin’s   Bench "],
      ["currency", "kr"],
      ["lengthUnit", "in"],
      ["perHour", "72,50"],
      ["testMinutes", "20"],
      ["warrantyMonths", "6"],
      ["gunGramsPerStroke", "0,8"],
      ["electrical.earthBondOhm", "0.2"],
      ["electrical.touchMa", "0.25"],
      ["electrical.source", "code of Ombray, 2025"],
      ["electrical.tester", "Orrel T2, no. 114"],
      ["electrical.calibratedOn", "2026-05-04"],
    ] as const)
      expect([key, await set(key, text)]).toEqual([key, null]);
    expect(await shopSettings()).toMatchObject({
      shopName: "Tamsin’s Bench",
      currency: "kr",
      lengthUnit: "in",
      rates: { perHour: 72.5, taxPercent: 20 },
      testMinutes: 20,
      warrantyMonths: 6,
      gunGramsPerStroke: 0.8,
      electrical: {
        earthBondOhm: 0.2,
        insulationIIMohm: 2,
        touchMa: 0.25,
        source: "code of Ombray, 2025",
        tester: "Orrel T2, no. 114",
        calibratedOn: "2026-05-04",
      },
    });
    expect(await set("electrical.touchMa", "")).toBeNull();
    expect((await shopSettings()).electrical).not.toHaveProperty("touchMa");
  });
  it.each([
    ["shopName", " ", "This cannot be empty."],
    ["currency", "crowns", "The maximum is 4 characters."],
    ["perHour", "a lot", "“a lot” is not a figure: write it as 60 or 7.50."],
    ["perHour", "7.505", "“7.505” is not a figure: write it as 60 or 7.50."],
    ["taxPercent", "300", "The maximum is 100."],
    ["electrical.earthBondOhm", "", /is not a figure/],
    ["electrical.earthBondOhm", "0", /^Must be above 0\.$/],
    ["electrical.calibratedOn", "in May", /^Is no day like/],
    ["lengthUnit", "ell", "This is one of: mm, inch."],
    ["shoeSize", "43", "There is no such setting."],
  ])("%s “%s” is refused with a sentence, and what stood there stays", async (key, text, says) => {
    const before = await shopSettings();
    const answer = await set(key, text);
    if (typeof says === "string") expect(answer).toBe(says);
    else expect(answer).toMatch(says);
    expect(await shopSettings()).toEqual(before);
  });
});
