import { addDays, format } from "date-fns";
import type { Knex } from "knex";
import { z } from "zod";
import { readWith } from "@/core/fault";
import type { Frozen } from "@/core/frozen";
import { electricalLimits, USUAL_LIMITS } from "@/core/hand-back/electrical-limits";
import { type Hazard, hazard } from "@/core/job/hazard";
import { shopRates } from "@/core/match/quote/quote";
import { LENGTH_UNITS } from "@/core/quantity/units";
import { hazardsSaid } from "@/core/safety/hazards";
import { database, dataFolder } from "./database";
import { inTurn } from "./in-turn";

/** How the practice supplier of a name behaves; see src/bench/supplier.ts. */
const practiceTemper = z.strictObject({
  late: z.number(),
  outOfStock: z.number(),
  wrongPart: z.number(),
  mixUps: z.array(z.strictObject({ asked: z.string(), sends: z.string() })),
});
export type PracticeTemper = Frozen<z.infer<typeof practiceTemper>>;

/** Where and when the shop is backed up. */
const backupSettings = z.strictObject({
  /** empty: beside the shop's folder */
  folder: z.string().max(500, "is longer than 500 characters"),
  /** at which hour of the night, 0 to 23; left out: only when somebody presses */
  nightlyAt: z.int().min(0).max(23).optional(),
  /** so many are kept, and one of each month before */
  keep: z.int().min(1, "keep one at least").max(365),
});
export type BackupSettings = Frozen<z.infer<typeof backupSettings>>;

/** What came of the last try: when the last good one was made, and what has gone wrong since. */
const lastBackup = z.strictObject({
  goodAt: z.string().optional(),
  folder: z.string().optional(),
  failed: z.strictObject({ at: z.string(), says: z.string() }).optional(),
});
export type LastBackup = Frozen<z.infer<typeof lastBackup>>;

/** What the shop sets once. */
const settings = z.strictObject({
  shopName: z.string(),
  town: z.string(),
  currency: z.string(),
  /** the unit that a length is typed and shown in first */
  lengthUnit: z.enum(LENGTH_UNITS),
  rates: shopRates,
  /** minutes of testing and handing back, on top of what the plan says */
  testMinutes: z.number().min(0),
  /** solvent, wipes and what else is used up on every job */
  cleaningCost: z.number().min(0),
  /** limits of the electrical tests, and the tester */
  electrical: electricalLimits,
  /** kind of unit, in small letters → what was said last of what can hurt at it */
  kindHazards: z.record(z.string(), z.array(hazard)),
  backup: backupSettings,
  lastBackup: lastBackup.nullable(),
  /** months after which a customer is forgotten whose unit went home; 0: never */
  forgetAfterMonths: z.int().min(0).max(600),
  practiceTempers: z.record(z.string(), practiceTemper),
  /** how many days the practice suppliers are ahead of the calendar */
  practiceDays: z.int().min(0),
});
export type ShopSettings = Frozen<z.infer<typeof settings>>;
const DEFAULTS: ShopSettings = {
  shopName: "The shop",
  town: "",
  currency: "€",
  lengthUnit: "mm",
  rates: { perHour: 60, markupPercent: 25, taxPercent: 20, ifDeclined: 25, minMinutes: 15 },
  testMinutes: 15,
  cleaningCost: 2.5,
  electrical: USUAL_LIMITS,
  kindHazards: {},
  backup: { folder: "", keep: 14 },
  lastBackup: null,
  forgetAfterMonths: 0,
  practiceTempers: {},
  practiceDays: 0,
};

export async function shopSettings(at?: Knex): Promise<ShopSettings> {
  const db = at ?? (await database());
  const rows = await db("settings");
  return readWith(settings, { ...DEFAULTS, ...Object.fromEntries(rows.map((r) => [r.name, JSON.parse(r.value)])) }, "settings");
}

/** Whether anybody has given the shop its name. */
export async function isNamed(at?: Knex): Promise<boolean> {
  const db = at ?? (await database());
  return Boolean(await db("settings").where({ name: "shopName" }).first("name"));
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

/** Sets some of the electrical limits, or the tester; null takes one away. */
export async function changeElectrical(
  said: { readonly [K in keyof ShopSettings["electrical"]]?: ShopSettings["electrical"][K] | null },
  at?: Knex,
): Promise<void> {
  await inTurn(at ?? (await database()), async (trx) => {
    const merged = { ...(await shopSettings(trx)).electrical, ...said };
    await setSetting("electrical", readWith(electricalLimits, Object.fromEntries(Object.entries(merged).filter(([, v]) => v !== null)), "text"), trx);
  });
}

/** Sets some of where and when the shop is backed up; null takes the hour away. */
export async function changeBackup(said: { readonly [K in keyof BackupSettings]?: BackupSettings[K] | null }, at?: Knex): Promise<void> {
  await inTurn(at ?? (await database()), async (trx) => {
    const merged = { ...(await shopSettings(trx)).backup, ...said };
    await setSetting("backup", readWith(backupSettings, Object.fromEntries(Object.entries(merged).filter(([, v]) => v !== null)), "text"), trx);
  });
}

/** The folder of the back-ups: the one that was set, or one beside the shop's. */
export const backupFolder = ({ backup }: Pick<ShopSettings, "backup">): string => backup.folder || `${dataFolder()}-backups`;

/** Remembers what can hurt at a kind of unit, to be proposed at the next of it; null: forgets it. */
export async function rememberHazards(kind: string, hazards: readonly Hazard[] | null, at?: Knex): Promise<void> {
  await inTurn(at ?? (await database()), async (trx) => {
    await setSetting("kindHazards", hazardsSaid((await shopSettings(trx)).kindHazards, kind, hazards), trx);
  });
}

/** The day that orders go by: today, and as many days on as the practice suppliers are ahead. */
export const orderDay = (settings: Pick<ShopSettings, "practiceDays">, now: Date = new Date()): string =>
  format(addDays(now, settings.practiceDays), "yyyy-MM-dd");
