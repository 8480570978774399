import { expect, it } from "vitest";
import { z } from "zod";
import { readWith } from "./fault";
import { basketInput } from "./match/basket/basket-input";
import { rankInput } from "./match/candidates/rank-input";
import { renamed } from "./renamed";
import { asHeading } from "./table/cells";

it("a key that had another name still reads, and nothing else is touched", () => {
  const offer = z.preprocess(
    renamed({ least: "minPacks" }),
    z.strictObject({ minPacks: z.int(), pack: z.int() }),
  );
  expect(readWith(offer, { least: 3, pack: 2 })).toEqual({ minPacks: 3, pack: 2 });
  expect(() => readWith(offer, { least: 3, minPacks: 4, pack: 2 })).toThrow(/least/);
  expect(() => readWith(offer, [3])).toThrow();
  expect(() => readWith(offer, { toString: 1, minPacks: 1, pack: 1 })).toThrow(/toString/);
});

it("old inputs of the basket, of the candidates and of the tables read as they did", () => {
  const basket = readWith(basketInput, {
    needs: [{ id: "a", options: [{ part: "A" }] }],
    offers: [{ id: "o", supplier: "S", part: "A", price: 1, least: 3, leadDays: 1 }],
  });
  expect(basket.offers[0]?.minPacks).toBe(3);
  const rank = readWith(rankInput, {
    wanted: { number: "A" },
    parts: [{ number: "A", name: "A", spec: { kind: "hardware" }, spoils: [{ number: "B" }] }],
    most: 7,
  });
  expect(rank.parts[0]?.incompatibleWith).toEqual([{ number: "B", why: "" }]);
  expect(rank.max).toBe(7);
  expect([asHeading("Spoils"), asHeading("least"), asHeading("Lead days")]).toEqual([
    "incompatible_with",
    "min_packs",
    "lead_days",
  ]);
});
