import { chromium } from "@playwright/test";
import { CHROMIUM } from "./serve-built";

const [port, ...paths] = process.argv.slice(2);
const browser = await chromium.launch({ ...CHROMIUM });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
for (const p of paths) {
  await page.goto(`http://localhost:${port}${p}`);
  await page.waitForTimeout(1200);
  await page.screenshot({ path: `/tmp/t/look${p.replace(/\W+/g, "-")}.png` });
}
await browser.close();
