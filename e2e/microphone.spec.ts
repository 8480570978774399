import { expect, test } from "@playwright/test";
import { CHROMIUM } from "../scripts/serve-built";
import { BenchHand } from "./bench-hand";
import { copyOf } from "./units";

/** The browser's own practice microphone beeps once a second. */
test.use({
  launchOptions: {
    ...CHROMIUM,
    args: [...CHROMIUM.args, "--use-fake-device-for-media-stream", "--use-fake-ui-for-media-stream"],
  },
  permissions: ["microphone"],
});

test("the microphone is heard, kept and listened to", async ({ page }) => {
  const hand = new BenchHand(page);
  await hand.open(`/jobs/${await copyOf("J-0142")}/listen`);
  await expect(page.getByRole("region", { name: "What was recorded" })).toContainText(
    "Nothing is recorded yet",
  );
  await page.keyboard.press("Space");
  await expect(page.getByRole("button", { name: /Stop and keep it [345] s/ })).toBeVisible();
  await page.keyboard.press("Space");
  // what this microphone gives is a beep, and no gear train
  await expect(page.getByRole("region", { name: "What stands out" })).toContainText(
    "nothing of this train's pattern",
    { timeout: 60_000 },
  );
  await expect(page.getByRole("img", { name: /Loudness by pitch and time, [345] seconds/ })).toBeVisible();
  await page.getByRole("button", { name: "Take it away" }).click();
  await expect(page.getByRole("region", { name: "What was recorded" })).toContainText(
    "Nothing is recorded yet",
  );
});
