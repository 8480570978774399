import { database, dataFolder, troubleAtOpening } from "./database";
import { unreadableSettings } from "./settings";
import { freeBytes, LITTLE_ROOM } from "./shop-folder";
import { TROUBLES, type Trouble, troubleIn } from "./trouble";

const LOOK_MS = 10_000;
const looked = globalThis as { demontageRoom?: { free: number; at: number } };

/**
 * Bytes that were free a moment ago. Screens do not wait for the disk to tell, which may be busy with
 * pictures; only the first one does.
 */
async function room(now = Date.now()): Promise<number> {
  const before = looked.demontageRoom;
  if (before && now - before.at < LOOK_MS) return before.free;
  if (before) before.at = now;
  const look = freeBytes(dataFolder()).then(
    (free) => {
      looked.demontageRoom = { free, at: now };
      return free;
    },
    () => LITTLE_ROOM,
  );
  return before ? before.free : look;
}

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
  const unreadable = await unreadableSettings();
  if (unreadable.length) return TROUBLES.settings(unreadable);
  const free = await room();
  if (free >= LITTLE_ROOM) return null;
  return {
    kind: "full",
    says: `the disk of the shop’s computer is nearly full: ${Math.floor(free / 1e6)} MB are left`,
    todo: "Make room on it before it stops the work: old back-ups, downloads, the bin.",
    reading: true,
  };
}
