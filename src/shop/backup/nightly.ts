import { forgetOld } from "@/store/forget";
import { shopSettings } from "@/store/settings";
import { isDue } from "@/store/shop-backup";
import { shopTrouble } from "@/store/shop-state";
import { backUpBeside } from "./backup-thread";

const LOOK_MS = 5 * 60_000;
/** After one that failed, it is tried again so much later. */
const AGAIN_MS = 60 * 60_000;

/**
 * Looks every few minutes whether a customer is to be forgotten and whether a nightly back-up is due, and
 * does it.
 */
export function backUpNightly(): void {
  const timer = setInterval(() => void look(), LOOK_MS);
  timer.unref();
}

async function look(now = new Date()): Promise<void> {
  try {
    if ((await shopTrouble())?.kind === "damaged") return;
    await forgetOld(now);
    const { backup, lastBackup } = await shopSettings();
    const failedAt = lastBackup?.failed && new Date(lastBackup.failed.at).getTime();
    if (!isDue(backup, lastBackup?.goodAt, now) || (failedAt && now.getTime() - failedAt < AGAIN_MS)) return;
    await backUpBeside();
  } catch (e) {
    // the screens tell it, too
    console.error(e);
  }
}
