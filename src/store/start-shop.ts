import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { holdSign } from "./alive";
import { database, dataFolder, lookOnly, troubleAtOpening } from "./database";
import { sweepParts } from "./picture-files";
import { databasePlace } from "./shop-folder";
import { ShopTrouble, TROUBLES, troubleIn } from "./trouble";

const servedPlace = (folder: string): string => join(folder, "locks", "served-by.txt");

/**
 * What the program does once when it begins to serve a folder: sees that it is the only one, that the folder
 * is its user's own, that the database is whole, and clears away what was left half sent.
 *
 * @param where at which address it serves, for whoever starts a second one
 * @throws ShopTrouble where another program serves this folder; whatever else is wrong is held for the
 *   screens to tell
 */
export async function startShop(where: string): Promise<void> {
  const folder = dataFolder();
  // nobody else on this computer reads what customers told the shop
  process.umask(0o077);
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    if (!holdSign(folder, "server")) throw new ShopTrouble(TROUBLES.second(servedAt(folder)));
    writeFileSync(servedPlace(folder), `${where}, process ${process.pid}`);
    for (const [path, mode] of [[folder, 0o700], [databasePlace(folder), 0o600]] as const) if (existsSync(path)) chmodSync(path, mode); // biome-ignore format: two paths
  } catch (e) {
    const trouble = troubleIn(e);
    if (!trouble || trouble.kind === "second") throw e;
    // a folder that cannot be written to: it is looked at
  }
  try {
    const db = await database();
    if (!troubleAtOpening()) {
      const [found] = await db.raw("pragma quick_check(1)");
      const says = String(found?.quick_check ?? "");
      if (says !== "ok") await lookOnly(TROUBLES.damaged(says.replace(/\s+/g, " ").slice(0, 120)));
    }
  } catch (e) {
    const trouble = troubleIn(e);
    if (!trouble) throw e;
    console.error(`${trouble.says}. ${trouble.todo}`);
  }
  await sweepParts().catch((e) => console.error(e));
}

function servedAt(folder: string): string {
  try {
    return ` (${readFileSync(servedPlace(folder), "utf8").slice(0, 200)})`;
  } catch {
    return "";
  }
}
