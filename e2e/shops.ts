import { join } from "node:path";

/** The data folder of the demo shop that one worker of the end-to-end tests has to itself. */
export const shopOf = (worker: number): string =>
  join(process.env.DEMONTAGE_E2E_DATA ?? join("data", "e2e"), String(worker));
