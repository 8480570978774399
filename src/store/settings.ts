import { addDays, format } from "date-fns";
import type { Knex } from "knex";
import { z } from "zod";
import { readWith } from "@/core/fault";
import type { Frozen } from "@/core/frozen";
import { shopRates } from "@/core/match/quote/quote";
import { database } from "./database";
import { inTurn } from "./in-turn";

/** How the practice supplier of a name behaves; see src/bench/supplier.ts. */
const practiceTemper = z.strictObject({
  late: z.number(),
  outOfStock: z.number(),
  wrongPart: z.number(),
  mixUps: z.array(z.strictObject({ asked: z.string(), sends: z.string() })),
});
export type PracticeTemper = Frozen<z.infer<typeof practiceTemper>>;

/** What the shop sets once. */
const settings = z.strictObject({
  shopName: z.string(),
  town: z.string(),
  currency: z.string(),
  rates: shopRates,
  /** minutes of testing and handing back, on top of what the plan says */
  testMinutes: z.number().min(0),
  /** solvent, wipes and what else is used up on every job */
  cleaningCost: z.number().min(0),
  practiceTempers: z.record(z.string(), practiceTemper),
  /** how many days the practice suppliers are ahead of the calendar */
  practiceDays: z.int().min(0),
});
export type ShopSettings = Frozen<z.infer<typeof settings>>;
const DEFAULTS: ShopSettings = {
  shopName: "The shop",
  town: "",
  currency: "€",
  rates: { perHour: 60, markupPercent: 25, taxPercent: 20, ifDeclined: 25, minMinutes: 15 },
  testMinutes: 15,
  cleaningCost: 2.5,
  practiceTempers: {},
  practiceDays: 0,
};

export async function shopSettings(at?: Knex): Promise<ShopSettings> {
  const db = at ?? (await database());
  const rows = await db("settings");
  return readWith(settings, { ...DEFAULTS, ...Object.fromEntries(rows.map((r) => [r.name, JSON.parse(r.value)])) }, "settings");
}

export async function setSetting<K extends keyof ShopSettings>(name: K, value: ShopSettings[K], at?: Knex): Promise<void> {
  const db = at ?? (await database());
  await db("settings")
    .insert({ name, value: JSON.stringify(value) })
    .onConflict("name")
    .merge();
}

/** Sets some of the rates, the others as they stand at that moment: two that are set at once both stay. */
export async function changeRates(rates: Partial<ShopSettings["rates"]>, at?: Knex): Promise<void> {
  await inTurn(at ?? (await database()), async (trx) => {
    await setSetting("rates", { ...(await shopSettings(trx)).rates, ...rates }, trx);
  });
}

/** The day that orders go by: today, and as many days on as the practice suppliers are ahead. */
export const orderDay = (settings: Pick<ShopSettings, "practiceDays">, now: Date = new Date()): string =>
  format(addDays(now, settings.practiceDays), "yyyy-MM-dd");
