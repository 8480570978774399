import { parentPort, workerData } from "node:worker_threads";
import { Fault } from "@/core/fault";
import { importFile, importPreview } from "@/shop/parts/catalogue-import";
import type { TableTold } from "@/shop/parts/table-thread";
import { tableWork } from "@/shop/parts/table-work";
import { closeDatabase } from "@/store/database";
import { notDone, troubleIn } from "@/store/trouble";

/**
 * Goes through a table beside the shop's own thread, with a connection of its own: screens do not wait for
 * it.
 */
const { what, path, name, delimiter } = tableWork.parse(workerData);
const tell = (told: TableTold): void => parentPort?.postMessage(told);
const how = { delimiter, tell: (rows: number) => tell({ rows }) };
try {
  tell({ done: what === "look" ? await importPreview(path, how) : await importFile(path, name, how) });
} catch (e) {
  const trouble = troubleIn(e);
  if (e instanceof Fault) tell({ path: e.path, says: e.says });
  else if (trouble) tell({ path: "", says: notDone("Not taken in", trouble) });
  else throw e;
} finally {
  await closeDatabase();
}
