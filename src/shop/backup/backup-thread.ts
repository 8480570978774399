import { Worker } from "node:worker_threads";
import type { BackupManifest } from "@/store/backup";
import type { Told } from "../parts/import-report";
import { answerOf } from "../thread-answer";

export interface BackupDone {
  readonly folder: string;
  readonly manifest: BackupManifest;
}
export type BackupTold = Told<BackupDone>;

/** one at a time: whoever asks while one is made gets that one */
let making: Promise<BackupDone> | undefined;

/**
 * Backs the shop up in a thread of its own. Throws a Fault with what kept it from being good.
 *
 * @param tell is told how many pictures are done
 */
export function backUpBeside(tell?: (pictures: number) => void): Promise<BackupDone> {
  making ??= answerOf<BackupDone>(
    new Worker(new URL("../../workers/backup-worker.ts", import.meta.url)),
    tell,
  ).finally(() => {
    making = undefined;
  });
  return making;
}
