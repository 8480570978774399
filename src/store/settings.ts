import { addDays, format } from "date-fns";
import type { Knex } from "knex";
import { z } from "zod";
import { Fault, readWith } from "@/core/fault";
import type { Frozen } from "@/core/frozen";
import { electricalLimits, USUAL_LIMITS } from "@/core/hand-back/electrical-limits";
import { type Hazard, hazard } from "@/core/job/hazard";
import { type OwnTest, ownTests } from "@/core/job/own-tests";
import { kindKey } from "@/core/judge/learned";
import { kindNamed } from "@/core/kind-named";
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
  /** what a stroke of the shop's grease gun gives, g; 0: it has none, or nobody has weighed it */
  gunGramsPerStroke: z.number().min(0),
  /** limits of the electrical tests, and the tester */
  electrical: electricalLimits,
  /** kind of unit, in small letters → what was said last of what can hurt at it */
  kindHazards: z.record(z.string(), z.array(hazard)),
  /** kind of unit, in small letters → what it has to do before it goes home */
  kindTests: z.record(z.string(), ownTests),
  /** kind of unit, in small letters → the moment before which its verdicts do not count for the odds */
  learnedSince: z.record(z.string(), z.string()),
  /** what is measured (instrumentKey) → the instrument that was taken last */
  instruments: z.record(z.string(), z.string()),
  backup: backupSettings,
  lastBackup: lastBackup.nullable(),
  /** months that the shop warrants its work, beyond the law; 0: nothing is said */
  warrantyMonths: z.int().min(0).max(120),
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
  gunGramsPerStroke: 0,
  electrical: USUAL_LIMITS,
  kindHazards: {},
  kindTests: {},
  learnedSince: {},
  instruments: {},
  backup: { folder: "", keep: 14 },
  lastBackup: null,
  warrantyMonths: 0,
  forgetAfterMonths: 0,
  practiceTempers: {},
  practiceDays: 0,
};

/** What a setting is called, where it has to be said that it could not be read. */
const CALLED: Readonly<Record<keyof ShopSettings, string>> = {
  shopName: "the shop’s name",
  town: "its town",
  currency: "the currency",
  lengthUnit: "the unit of lengths",
  rates: "the charges",
  testMinutes: "the time for testing",
  cleaningCost: "what cleaning costs",
  gunGramsPerStroke: "what the grease gun gives",
  electrical: "the limits of the electrical tests",
  kindHazards: "what can hurt at each kind of unit",
  kindTests: "what is tried at each kind of unit",
  learnedSince: "from when on verdicts count",
  instruments: "the instruments",
  backup: "where and when it is backed up",
  lastBackup: "when it was last backed up",
  warrantyMonths: "how long it warrants its work",
  forgetAfterMonths: "after how long customers are forgotten",
  practiceTempers: "the practice suppliers",
  practiceDays: "the practice suppliers’ calendar",
};
const isSetting = (name: string): name is keyof ShopSettings => Object.hasOwn(CALLED, name);

/**
 * What stands in the rows; a row that cannot be read stands as in a new shop, and is named. What this program
 * does not know is left alone.
 */
async function read(
  at?: Knex,
): Promise<{ readonly settings: ShopSettings; readonly unreadable: readonly (keyof ShopSettings)[] }> {
  const db = at ?? (await database());
  const found: Record<string, unknown> = {};
  const unreadable: (keyof ShopSettings)[] = [];
  for (const { name, value } of await db("settings")) {
    if (!isSetting(name)) continue;
    const one = settings.shape[name].safeParse(jsonOr(value));
    if (one.success) found[name] = one.data;
    else unreadable.push(name);
  }
  return { settings: readWith(settings, { ...DEFAULTS, ...found }, "settings"), unreadable };
}
const jsonOr = (value: unknown): unknown => {
  try {
    return JSON.parse(String(value));
  } catch {
    return undefined;
  }
};

export const shopSettings = async (at?: Knex): Promise<ShopSettings> => (await read(at)).settings;

/**
 * Settings that stand as in a new shop because their rows cannot be read, in words; none: all is as it was
 * set.
 */
export async function unreadableSettings(at?: Knex): Promise<readonly string[]> {
  return (await read(at)).unreadable.map((name) => CALLED[name]);
}

/** What is shown in their place is right, says somebody who looked: they are written as they stand. */
export async function acceptSettings(at?: Knex): Promise<void> {
  await inTurn(at ?? (await database()), async (trx) => {
    const { settings, unreadable } = await read(trx);
    for (const name of unreadable) await setSetting(name, settings[name], trx);
  });
}

/**
 * A setting of several figures, for one of them to be changed. Throws a Fault where the others would be
 * written as in a new shop without anybody's having seen it.
 */
async function whole<K extends keyof ShopSettings>(name: K, trx: Knex): Promise<ShopSettings[K]> {
  const { settings, unreadable } = await read(trx);
  if (unreadable.includes(name))
    throw new Fault(
      "text",
      `Not set: ${CALLED[name]} could not be read. Look all of it over, and say above that it is right.`,
    );
  return settings[name];
}

/** What an amount of money is reckoned from. */
const CHARGES = ["rates", "testMinutes", "cleaningCost", "currency"] as const;

/**
 * Throws a Fault while charges cannot be read: a price that is told to somebody is not reckoned from those of
 * a new shop.
 */
export async function chargesAreKnown(at?: Knex): Promise<void> {
  const { unreadable } = await read(at);
  const lost = CHARGES.find((c) => unreadable.includes(c));
  if (lost)
    throw new Fault(
      "",
      `${CALLED[lost]} could not be read. See what stands at The shop, and say there that it is right, before anything is priced`,
    );
}

/** Whether anybody has given the shop its name. */
export async function isNamed(at?: Knex): Promise<boolean> {
  const db = at ?? (await database());
  return Boolean(await db("settings").where({ name: "shopName" }).first("name"));
}

export async function setSetting<K extends keyof ShopSettings>(
  name: K,
  value: ShopSettings[K],
  at?: Knex,
): Promise<void> {
  const db = at ?? (await database());
  await db("settings")
    .insert({ name, value: JSON.stringify(value) })
    .onConflict("name")
    .merge();
}

/** Sets some of the rates, the others as they stand at that moment: two that are set at once both stay. */
export async function changeRates(rates: Partial<ShopSettings["rates"]>, at?: Knex): Promise<void> {
  await inTurn(at ?? (await database()), async (trx) => {
    await setSetting("rates", { ...(await whole("rates", trx)), ...rates }, trx);
  });
}

/** Sets some of the electrical limits, or the tester; null takes one away. */
export async function changeElectrical(
  said: { readonly [K in keyof ShopSettings["electrical"]]?: ShopSettings["electrical"][K] | null },
  at?: Knex,
): Promise<void> {
  await inTurn(at ?? (await database()), async (trx) => {
    const merged = { ...(await whole("electrical", trx)), ...said };
    await setSetting(
      "electrical",
      readWith(
        electricalLimits,
        Object.fromEntries(Object.entries(merged).filter(([, v]) => v !== null)),
        "text",
      ),
      trx,
    );
  });
}

/** Sets some of where and when the shop is backed up; null takes the hour away. */
export async function changeBackup(
  said: { readonly [K in keyof BackupSettings]?: BackupSettings[K] | null },
  at?: Knex,
): Promise<void> {
  await inTurn(at ?? (await database()), async (trx) => {
    const merged = { ...(await whole("backup", trx)), ...said };
    await setSetting(
      "backup",
      readWith(
        backupSettings,
        Object.fromEntries(Object.entries(merged).filter(([, v]) => v !== null)),
        "text",
      ),
      trx,
    );
  });
}

/** The folder of the back-ups: the one that was set, or one beside the shop's. */
export const backupFolder = ({ backup }: Pick<ShopSettings, "backup">): string =>
  backup.folder || `${dataFolder()}-backups`;

/** Remembers what can hurt at a kind of unit, to be proposed at the next of it; null: forgets it. */
export async function rememberHazards(
  kind: string,
  hazards: readonly Hazard[] | null,
  at?: Knex,
): Promise<void> {
  await inTurn(at ?? (await database()), async (trx) => {
    const { settings, unreadable } = await read(trx);
    // what is only proposed is not worth stopping for, nor writing over
    if (!unreadable.includes("kindHazards"))
      await setSetting("kindHazards", hazardsSaid(settings.kindHazards, kind, hazards), trx);
  });
}

/** Remembers what is tried at a kind of unit before it goes home; null: as is usual for it. */
export async function rememberTests(
  kind: string,
  tests: readonly OwnTest[] | null,
  at?: Knex,
): Promise<void> {
  const own = kindNamed(kind);
  if (!own) throw new Fault("kind", "say at Take in what kind of unit it is");
  await inTurn(at ?? (await database()), async (trx) => {
    const { [own]: _before, ...others } = await whole("kindTests", trx);
    await setSetting("kindTests", tests === null ? others : { ...others, [own]: tests }, trx);
  });
}

/**
 * Starts afresh what verdicts on a kind of unit tell of the next, or lets all of them count again.
 *
 * @param from nothing that went home before it counts; null: everything does
 */
export async function learnAfresh(kind: string, from: string | null, at?: Knex): Promise<void> {
  await inTurn(at ?? (await database()), async (trx) => {
    const { [kindKey(kind)]: _before, ...others } = await whole("learnedSince", trx);
    await setSetting("learnedSince", from === null ? others : { ...others, [kindKey(kind)]: from }, trx);
  });
}

/** Remembers which instrument was taken for what is measured (instrumentKey), for the next unit. */
export async function rememberInstrument(of: string, name: string): Promise<void> {
  await inTurn(await database(), async (trx) =>
    setSetting("instruments", { ...(await whole("instruments", trx)), [of]: name }, trx),
  );
}

/** The day that orders go by: today, and as many days on as the practice suppliers are ahead. */
export const orderDay = (settings: Pick<ShopSettings, "practiceDays">, now: Date = new Date()): string =>
  format(addDays(now, settings.practiceDays), "yyyy-MM-dd");
