import { database, dataFolder, troubleAtOpening } from "./database";
import { freeBytes, LITTLE_ROOM } from "./shop-folder";
import { type Trouble, troubleIn } from "./trouble";

/** How the shop's folder, disk and database are: what keeps work from going on as usual, or null. */
export async function shopTrouble(): Promise<Trouble | null> {
  try {
    await database();
  } catch (e) {
    const trouble = troubleIn(e);
    if (!trouble) throw e;
    return trouble;
  }
  const trouble = troubleAtOpening();
  if (trouble) return trouble;
  const free = await freeBytes(dataFolder()).catch(() => LITTLE_ROOM);
  if (free >= LITTLE_ROOM) return null;
  return {
    kind: "full",
    says: `the disk of the shop’s computer is nearly full: ${Math.floor(free / 1e6)} MB are left`,
    todo: "Make room on it before it stops the work: old back-ups, downloads, the bin.",
    reading: true,
  };
}
