import { defineConfig } from "@playwright/test";
import { CHROMIUM } from "./scripts/serve-built";

const port = Number(process.env.DEMONTAGE_PORT ?? 4321);

/** The real interface in Debian's Chromium, against a production build with the demo shop in a folder of its own. */
export default defineConfig({
  testDir: "e2e",
  // it is emptied before a run: the reports of the other tests lie beside it
  outputDir: "test-results/e2e",
  timeout: 120_000,
  expect: { timeout: 10_000 },
  workers: 1,
  reporter: [["list"], ["json", { outputFile: "test-results/e2e.json" }]],
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 15_000,
    navigationTimeout: 20_000,
    // a trace of every test costs a sixth of the time; ask for one to look into a failure
    trace: process.env.DEMONTAGE_TRACE ? "retain-on-failure" : "off",
    screenshot: "only-on-failure",
    launchOptions: CHROMIUM,
  },
  webServer: {
    command: `tsx demo/shop/seed.ts && exec node scripts/serve.mjs --port ${port}`,
    url: `http://localhost:${port}/parts`,
    env: { DEMONTAGE_DATA: process.env.DEMONTAGE_E2E_DATA ?? "data/e2e" },
    timeout: 60_000,
    reuseExistingServer: false,
    gracefulShutdown: { signal: "SIGTERM", timeout: 3000 },
  },
});
