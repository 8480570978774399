import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: { alias: { "@": fileURLToPath(new URL("./src", import.meta.url)) } },
  test: {
    include: ["src/**/*.test.{ts,tsx}", "demo/**/*.test.ts"],
    setupFiles: ["src/test-setup.ts"],
    pool: "forks",
    maxWorkers: 2,
    testTimeout: 240_000,
    // a shop that is filled before the tests takes long on a machine that does other things as well
    hookTimeout: 240_000,
  },
});
