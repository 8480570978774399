import type { Worker } from "node:worker_threads";
import { Fault } from "@/core/fault";
import type { Told } from "./parts/import-report";

/**
 * What a thread answers that tells how far it is on its way. Throws a Fault with what it refused, and its own
 * error where it failed.
 */
export function answerOf<T>(worker: Worker, tell: ((done: number) => void) | undefined): Promise<T> {
  return new Promise((done, failed) => {
    worker.on("message", (told: Told<T>) => {
      if ("rows" in told) tell?.(told.rows);
      else if ("done" in told) done(told.done);
      else failed(new Fault(told.path, told.says));
    });
    worker.once("error", failed);
    worker.once("exit", () => failed(new Error("the thread ended without an answer")));
  });
}
