"use server";

import { isAbsolute } from "node:path";
import { z } from "zod";
import { Fault, readWith } from "@/core/fault";
import { text, words } from "@/core/job/written";
import { acceptSettings, changeBackup, changeElectrical, changeRates, setSetting } from "@/store/settings";
import { setting } from "../forms/answered";
import { ALL_FIELDS, type ShopField } from "./shop-fields";

const input = z.strictObject({ key: words, text });

function figureFrom(text: string, max: number, decimals = 2): number {
  const typed = text.trim().replace(",", ".");
  if (!/^\d+(\.\d+)?$/.test(typed) || (typed.split(".")[1]?.length ?? 0) > decimals)
    throw new Fault("text", `“${text}” is not a figure: write it as 60 or 7.50.`);
  const value = Number(typed);
  if (value > max) throw new Fault("text", `The maximum is ${max}.`);
  return value;
}

function wordsFrom(text: string, min: number, max: number): string {
  const said = text.trim().replace(/\s+/g, " ");
  if (said.length < min) throw new Fault("text", "This cannot be empty.");
  if (said.length > max) throw new Fault("text", `The maximum is ${max} characters.`);
  return said;
}

function oneOf<T extends string>(
  of: readonly { readonly value: T; readonly says: string }[],
  text: string,
): T {
  const found = of.find((o) => o.value === text);
  if (!found) throw new Fault("text", `This is one of: ${of.map((o) => o.says).join(", ")}.`);
  return found.value;
}

/** What stands in a field of the electrical tests; null: nothing, where nothing may stand. */
function electricalFrom(field: ShopField, text: string): string | number | null {
  if (field.unit === "text") return wordsFrom(text, 0, field.max);
  if (field.unit === "choice") return oneOf(field.of, text);
  if (field.unit === "day") return text.trim() || null;
  if (!text.trim() && "mayBeEmpty" in field) return null;
  return figureFrom(text, "max" in field ? field.max : 0, 3);
}

/**
 * What a field of the back-up says. A folder must be there, or can be made, and must not be the shop's own.
 */
function backupFrom(field: ShopField, text: string): Parameters<typeof changeBackup>[0] {
  if (field.key === "backup.keep") return { keep: figureFrom(text, field.max, 0) };
  if (field.key === "backup.nightlyAt")
    return { nightlyAt: text === "" ? null : Number(oneOf(field.of, text)) };
  const folder = wordsFrom(text, 0, 500);
  if (folder && !isAbsolute(folder))
    throw new Fault("text", "Write the whole path, from the root of the disk: /media/disk/demontage");
  return { folder };
}

/** Sets one thing of the shop, as it is typed. Answers what was wrong with it; null: it is set. */
export async function setShopField(raw: z.infer<typeof input>): Promise<string | null> {
  return setting("owner", async () => {
    const { key, text } = readWith(input, raw);
    const field = ALL_FIELDS.find((f) => f.key === key);
    if (!field) throw new Fault("key", "There is no such setting.");
    if (field.key.startsWith("electrical."))
      await changeElectrical({ [field.key.slice("electrical.".length)]: electricalFrom(field, text) });
    else if (field.key.startsWith("backup.")) await changeBackup(backupFrom(field, text));
    else if (field.key === "forgetAfterMonths" || field.key === "warrantyMonths")
      await setSetting(field.key, figureFrom(text, field.max, 0));
    else if (field.key === "lengthUnit") await setSetting(field.key, oneOf(field.of, text));
    else if (field.key === "shopName" || field.key === "town" || field.key === "currency")
      await setSetting(field.key, wordsFrom(text, field.min, field.max));
    else if (field.key === "testMinutes" || field.key === "cleaningCost" || field.key === "gunGramsPerStroke")
      await setSetting(field.key, figureFrom(text, field.max));
    else if ("max" in field) await changeRates({ [field.key]: figureFrom(text, field.max) });
  });
}

/** Somebody has looked at what stands in place of settings that could not be read. */
export async function acceptShopSettings(): Promise<string | null> {
  return setting("owner", () => acceptSettings());
}
