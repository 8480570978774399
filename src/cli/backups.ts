import { resolve } from "node:path";
import { Fault } from "@/core/fault";
import { backupsIn, checkShop, restore } from "@/store/backup";
import { closeDatabase, database, dataFolder } from "@/store/database";
import { loadJob } from "@/store/job";
import { backUpShop } from "@/store/shop-backup";
import { notDone, troubleIn } from "@/store/trouble";

const print = (value: unknown): void => void process.stdout.write(`${JSON.stringify(value)}\n`);

/** What the disk does not let be done is told in a sentence as well. */
async function telling(not: string, work: () => Promise<void>): Promise<void> {
  try {
    await work();
  } catch (e) {
    const trouble = troubleIn(e);
    throw trouble ? new Fault(dataFolder(), notDone(not, trouble)) : e;
  } finally {
    await closeDatabase();
  }
}

/** `backup [FOLDER]`: backs the shop up, also while it is served. Answers where the back-up lies. */
export const backUpNow = (to: string | undefined): Promise<void> =>
  telling("Not backed up", async () => {
    await database();
    const { folder, manifest } = await backUpShop(to === undefined ? undefined : resolve(to));
    print({ folder, jobs: manifest.jobs, pictures: manifest.pictures, missing: manifest.missing });
  });

/**
 * `restore FOLDER`: puts a back-up in the place of the shop, which must not be served. Of a folder with
 * several, the latest.
 */
export const restoreFrom = (from: string | undefined): Promise<void> =>
  telling("Not restored", async () => {
    if (!from) throw new Fault("folder", "say which back-up: restore backups/2026-11-29T101500");
    const given = resolve(from);
    const latest = (await backupsIn(given))[0];
    const { manifest, aside } = await restore(latest?.folder ?? given);
    print({
      from: latest?.folder ?? given,
      of: manifest.at,
      jobs: manifest.jobs,
      pictures: manifest.pictures,
      ...(aside ? { before: aside } : {}),
    });
  });

/** `check`: looks the whole shop through and changes nothing. Ends with exit 1 where something is wrong. */
export const check = (): Promise<void> =>
  telling("Not checked", async () => {
    await database();
    const report = await checkShop((number) => loadJob(number));
    print(report);
    if (report.database !== "sound" || report.damaged.length || report.missing.length) process.exitCode = 1;
  });
