import { Worker } from "node:worker_threads";
import { Fault } from "@/core/fault";
import type { BackupManifest } from "@/store/backup";
import type { Told } from "../parts/import-report";

export interface BackupDone {
  readonly folder: string;
  readonly manifest: BackupManifest;
}
export type BackupTold = Told<BackupDone>;

/** one at a time: whoever asks while one is made gets that one */
let making: Promise<BackupDone> | undefined;

/** Backs the shop up in a thread of its own. Throws a Fault with what kept it from being good. @param tell is told how many pictures are done */
export function backUpBeside(tell?: (pictures: number) => void): Promise<BackupDone> {
  making ??= inThread(tell).finally(() => {
    making = undefined;
  });
  return making;
}

function inThread(tell: ((pictures: number) => void) | undefined): Promise<BackupDone> {
  return new Promise((done, failed) => {
    const worker = new Worker(new URL("../../workers/backup-worker.ts", import.meta.url));
    worker.on("message", (told: BackupTold) => {
      if ("rows" in told) tell?.(told.rows);
      else if ("done" in told) done(told.done);
      else failed(new Fault(told.path, told.says));
    });
    worker.once("error", failed);
    worker.once("exit", () => failed(new Error("the thread ended without an answer")));
  });
}
