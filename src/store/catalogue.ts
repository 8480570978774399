import type { Knex } from "knex";
import type { CataloguePart } from "@/core/match/catalogue-part";
import { fromRow, toRow } from "./rows";

export async function catalogueParts(db: Knex): Promise<CataloguePart[]> {
  return (await db("catalogue").orderBy("number")).map((r) => fromRow<CataloguePart>(r, ["spec", "fits", "needs_also"]));
}

export async function addParts(db: Knex, parts: readonly CataloguePart[]): Promise<void> {
  for (const p of parts) await db("catalogue").insert(toRow(p)).onConflict("number").merge();
}

export interface ShopSettings {
  readonly shopName: string;
  readonly town: string;
  readonly currency: string;
}
const DEFAULTS: ShopSettings = { shopName: "The bench", town: "", currency: "€" };

export async function shopSettings(db: Knex): Promise<ShopSettings> {
  const rows = await db("settings");
  return { ...DEFAULTS, ...Object.fromEntries(rows.map((r) => [r.name, JSON.parse(r.value)])) };
}
