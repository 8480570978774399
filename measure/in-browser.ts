import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, type Page } from "@playwright/test";
import { CHROMIUM, serveBuilt, stop } from "../scripts/serve-built";

/**
 * A shop of its own, the built program on it, and a browser at the size of a bench's tablet. All of it is
 * gone afterwards.
 *
 * @param prepare fills the shop before it is opened; the store reads where it lies from the environment
 */
export async function inBrowser(
  port: number,
  prepare: () => Promise<void>,
  work: (page: Page, base: string) => Promise<void>,
): Promise<void> {
  const data = mkdtempSync(join(tmpdir(), "bench-"));
  process.env.DEMONTAGE_DATA = data;
  try {
    await prepare();
    await (await import("../src/store/database")).closeDatabase();
    const server = await serveBuilt(port, data);
    const browser = await chromium.launch(CHROMIUM);
    try {
      await work(
        await browser.newPage({ viewport: { width: 1280, height: 800 } }),
        `http://localhost:${port}`,
      );
    } finally {
      await browser.close();
      await stop(server);
    }
  } finally {
    rmSync(data, { recursive: true, force: true });
  }
}
