import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import QRCode from "qrcode";
import { CHROMIUM } from "../scripts/serve-built";
import { BenchHand } from "./bench-hand";

/**
 * A film of one still picture for the browser's own stand-in camera: the tag of J-0139, held a little off the
 * middle.
 */
function filmOfTag(address: string): string {
  const [width, height, dot] = [640, 480, 8];
  const { modules } = QRCode.create(address, { errorCorrectionLevel: "M" });
  const luma = Buffer.alloc(width * height, 205);
  const [left, top] = [210, 110];
  for (let y = -4 * dot; y < (modules.size + 4) * dot; y++)
    for (let x = -4 * dot; x < (modules.size + 4) * dot; x++) {
      const [cx, cy] = [Math.floor(x / dot), Math.floor(y / dot)];
      const dark = cx >= 0 && cy >= 0 && cx < modules.size && cy < modules.size && modules.get(cy, cx);
      luma[(top + y) * width + left + x] = dark ? 40 : 235;
    }
  const frame = Buffer.concat([Buffer.from("FRAME\n"), luma, Buffer.alloc((width * height) / 2, 128)]);
  const place = join(mkdtempSync(join(tmpdir(), "film-")), "tag.y4m");
  writeFileSync(
    place,
    Buffer.concat([Buffer.from(`YUV4MPEG2 W${width} H${height} F10:1 Ip A1:1 C420jpeg\n`), frame, frame]),
  );
  return place;
}

test.use({
  permissions: ["camera"],
  launchOptions: {
    ...CHROMIUM,
    args: [
      ...CHROMIUM.args,
      "--use-fake-device-for-media-stream",
      "--use-fake-ui-for-media-stream",
      `--use-file-for-fake-video-capture=${filmOfTag("http://shop.local:3000/jobs/J-0139")}`,
    ],
  },
});

test("a tag held before the camera opens its job", async ({ page }) => {
  await new BenchHand(page).open("/scan");
  await page.waitForURL(/J-0139\//);
});

test("the bench camera takes the picture of a step", async ({ page }) => {
  const hand = new BenchHand(page);
  await hand.open("/jobs/J-0143/strip");
  await page.keyboard.press("p");
  await page.getByLabel("Camera", { exact: true }).selectOption("Bench camera");
  await expect(page.locator("video")).toBeVisible();
  await expect
    .poll(() => page.locator("video").evaluate((v) => (v as HTMLVideoElement).videoWidth))
    .toBeGreaterThan(0);
  await hand.button(/Take it/).click();
  await expect(page.getByText("step 3: one picture", { exact: true })).toBeVisible();
});
