import { Worker } from "node:worker_threads";
import { Fault } from "@/core/fault";
import { database, takeBackAbandoned } from "@/store/database";
import { answerOf } from "../thread-answer";
import type { HowToRead } from "./catalogue-import";
import type { ImportReport, Told } from "./import-report";
import type { TableWork } from "./table-work";

export type TableTold = Told<ImportReport>;

/** More than any table of the allowed size needs; what needs more is ended, and the shop goes on. */
const MOST_MEMORY_MB = 512;

/**
 * Looks a table through, or takes it in, in a thread of its own. Throws a Fault with what was wrong with the
 * file. If the thread itself fails, what it had taken in is taken back.
 */
export async function onTable(work: TableWork, tell: HowToRead["tell"]): Promise<ImportReport> {
  try {
    return await inThread(work, tell);
  } catch (e) {
    if (e instanceof Fault) throw e;
    console.error(e);
    if (work.what === "look")
      throw new Fault("file", "could not be gone through: it asks for more than a table needs");
    const back = await database().then((db) => takeBackAbandoned(db)).then(() => true, () => false); // biome-ignore format: one question
    throw new Fault(
      "",
      `The table could not be taken in. ${back ? "Nothing of it stays" : "What was taken in until then is taken back when the program is started again"}.`,
    );
  }
}

function inThread(work: TableWork, tell: HowToRead["tell"]): Promise<ImportReport> {
  const worker = new Worker(new URL("../../workers/table-worker.ts", import.meta.url), {
    workerData: work,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
  });
  return answerOf(worker, tell);
}
