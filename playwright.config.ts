import { defineConfig } from "@playwright/test";
import { ownShop, SHOPS, shop } from "./e2e/shops";
import { CHROMIUM } from "./scripts/serve-built";

/** The real interface in Debian's Chromium, against a production build; each worker has a demo shop of its own. */
export default defineConfig({
  testDir: "e2e",
  timeout: 120_000,
  expect: { timeout: 10_000 },
  workers: SHOPS,
  reporter: [["list"], ["json", { outputFile: "test-results/e2e.json" }]],
  use: {
    // read again in each worker
    baseURL: ownShop().address,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 15_000,
    navigationTimeout: 20_000,
    trace: "retain-on-failure",
    launchOptions: CHROMIUM,
  },
  webServer: Array.from({ length: SHOPS }, (_, n) => shop(n)).map(({ port, address, data }) => ({
    command: `tsx demo/shop/seed.ts && next start -p ${port}`,
    url: `${address}/parts`,
    env: { DEMONTAGE_DATA: data },
    timeout: 60_000,
    reuseExistingServer: false,
    gracefulShutdown: { signal: "SIGTERM", timeout: 3000 },
  })),
});
