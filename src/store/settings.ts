import type { Knex } from "knex";

/** What the shop sets once. */
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
