import { addDays, format } from "date-fns";
import type { Knex } from "knex";
import type { ShopRates } from "@/core/match/quote/quote";
import { database } from "./database";

/** How the practice supplier of a name behaves; see src/bench/supplier.ts. */
export interface PracticeTemper {
  readonly late: number;
  readonly outOfStock: number;
  readonly wrongPart: number;
  readonly mixUps: readonly { readonly asked: string; readonly sends: string }[];
}

/** What the shop sets once. */
export interface ShopSettings {
  readonly shopName: string;
  readonly town: string;
  readonly currency: string;
  readonly rates: ShopRates;
  /** minutes of testing and handing back, on top of what the plan says */
  readonly testMinutes: number;
  /** solvent, wipes and what else is used up on every job */
  readonly cleaningCost: number;
  readonly practiceTempers: Readonly<Record<string, PracticeTemper>>;
  /** how many days the practice suppliers are ahead of the calendar */
  readonly practiceDays: number;
}
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
  return { ...DEFAULTS, ...Object.fromEntries(rows.map((r) => [r.name, JSON.parse(r.value)])) };
}

export async function setSetting<K extends keyof ShopSettings>(name: K, value: ShopSettings[K], at?: Knex): Promise<void> {
  const db = at ?? (await database());
  await db("settings")
    .insert({ name, value: JSON.stringify(value) })
    .onConflict("name")
    .merge();
}

/** The day that orders go by: today, and as many days on as the practice suppliers are ahead. */
export const orderDay = (settings: Pick<ShopSettings, "practiceDays">, now: Date = new Date()): string =>
  format(addDays(now, settings.practiceDays), "yyyy-MM-dd");
