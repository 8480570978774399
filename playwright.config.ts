import { defineConfig } from "@playwright/test";
import { shopOf } from "./e2e/shops";
import { CHROMIUM } from "./scripts/serve-built";

/**
 * Two hands at two benches: each worker has a demo shop of its own, so that nothing one does is in the
 * other's way.
 */
const BENCHES = 2;
const first = Number(process.env.DEMONTAGE_PORT ?? 4321);
// a worker reads this file too, and knows there which of them it is
const mine = Number(process.env.TEST_PARALLEL_INDEX ?? 0);

/**
 * The real interface in Debian's Chromium, against a production build with the demo shop in folders of its
 * own.
 */
export default defineConfig({
  testDir: "e2e",
  // it is emptied before a run: the reports of the other tests lie beside it
  outputDir: "test-results/e2e",
  timeout: 240_000,
  expect: { timeout: 15_000 },
  // a browser that stops painting is not ours to mend; what passes at the second attempt only is printed as
  // such
  retries: 1,
  workers: BENCHES,
  reporter: [["list"], ["json", { outputFile: "test-results/e2e.json" }]],
  use: {
    baseURL: `http://localhost:${first + mine}`,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 20_000,
    navigationTimeout: 30_000,
    // a trace of every test costs a sixth of the time; ask for one to look into a failure
    trace: process.env.DEMONTAGE_TRACE ? "retain-on-failure" : "off",
    screenshot: "only-on-failure",
    launchOptions: CHROMIUM,
  },
  webServer: Array.from({ length: BENCHES }, (_, bench) => ({
    command: `tsx demo/shop/seed.ts && exec node scripts/serve.mjs --port ${first + bench}`,
    url: `http://localhost:${first + bench}/parts`,
    env: { DEMONTAGE_DATA: shopOf(bench) },
    timeout: 120_000,
    reuseExistingServer: false,
    gracefulShutdown: { signal: "SIGTERM" as const, timeout: 3000 },
  })),
});
