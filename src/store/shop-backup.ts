import { readdir } from "node:fs/promises";
import { Fault } from "@/core/fault";
import { type BackupManifest, backUp, type Tell, thinOut } from "./backup";
import { backupFolder, setSetting, shopSettings } from "./settings";
import { notDone, troubleIn } from "./trouble";

/**
 * Backs the shop up as it is set, and keeps what came of it in sight: the last good one, or what went wrong.
 *
 * @param to another folder than the one that is set
 */
export async function backUpShop(
  to?: string,
  how: { readonly now?: Date; readonly tell?: Tell } = {},
): Promise<{ folder: string; manifest: BackupManifest }> {
  const settings = await shopSettings();
  const at = (how.now ?? new Date()).toISOString();
  try {
    const done = await backUp(to ?? backupFolder(settings), how);
    if (to === undefined) await thinOut(backupFolder(settings), settings.backup.keep);
    await setSetting("lastBackup", { goodAt: at, folder: done.folder });
    return done;
  } catch (e) {
    const says = saysOf(e);
    await setSetting("lastBackup", { ...settings.lastBackup, failed: { at, says } }).catch(() => undefined);
    throw new Fault("folder", says);
  }
}

function saysOf(e: unknown): string {
  if (e instanceof Fault) return e.says;
  const trouble = troubleIn(e);
  if (trouble)
    return notDone("Not backed up", trouble).replace("the disk of the shop’s computer", "the disk");
  return e instanceof Error && "code" in e && e.code === "ENOENT"
    ? "the folder cannot be made: is the disk there?"
    : "the back-up failed; whoever looks after the program finds why in what it printed";
}

/**
 * Whether a nightly back-up is due: the hour of tonight has passed since the last good one. A night that the
 * program slept through is made good as soon as it runs.
 *
 * @param now local time
 */
export function isDue(
  { nightlyAt }: { readonly nightlyAt?: number | undefined },
  goodAt: string | undefined,
  now: Date,
): boolean {
  if (nightlyAt === undefined) return false;
  const last = new Date(now.getFullYear(), now.getMonth(), now.getDate(), nightlyAt);
  if (last > now) last.setDate(last.getDate() - 1);
  return goodAt === undefined || new Date(goodAt) < last;
}

/** Whether the folder of the back-ups can be reached. */
export const canReach = (folder: string): Promise<boolean> => readdir(folder).then(() => true, () => false); // biome-ignore format: one question
