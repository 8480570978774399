import { parentPort } from "node:worker_threads";
import { Fault } from "@/core/fault";
import type { BackupTold } from "@/shop/backup/backup-thread";
import { closeDatabase } from "@/store/database";
import { backUpShop } from "@/store/shop-backup";

/** Backs the shop up beside its own thread: screens do not wait for it. */
const tell = (told: BackupTold): void => parentPort?.postMessage(told);
try {
  tell({ done: await backUpShop(undefined, { tell: (rows) => tell({ rows }) }) });
} catch (e) {
  if (!(e instanceof Fault)) throw e;
  tell({ path: e.path, says: e.says });
} finally {
  await closeDatabase();
}
