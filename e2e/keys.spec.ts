import { expect, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";

test("Esc closes what is open and never the job; Enter leaves a field, and Space is the main action then", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  const number = await hand.takeIn({
    kind: "bread cutter",
    maker: "Quentar",
    model: "Esc 1",
    complaint: "stuck",
  });
  await hand.open(`/jobs/${number}/strip`);
  await hand.clearSafetyGate();
  await page.keyboard.press("d");
  await expect(page.getByRole("region", { name: "How it came off" })).toBeVisible();
  await page.keyboard.press("Escape");
  await expect(page.getByRole("region", { name: "How it came off" })).toHaveCount(0);
  // in a field of a panel: first the field, then the panel, then nothing
  await page.keyboard.press("j");
  const setting = page.getByLabel("How it was set, before it was touched");
  await setting.fill("two turns in");
  await page.keyboard.press("Escape");
  await expect(setting).not.toBeFocused();
  await page.keyboard.press("Escape");
  await expect(setting).toHaveCount(0);
  await page.keyboard.press("Escape");
  await page.keyboard.press("Escape");
  expect(page.url()).toContain(`/jobs/${number}/strip`);
  // Enter in the field, then the pedal: laid down, with no blank typed
  await page.keyboard.press("n");
  await page.keyboard.type("adjusting screw");
  await page.keyboard.press("Enter");
  await page.keyboard.press(" ");
  await expect(hand.recording(2)).toBeVisible();
  await expect(page.getByLabel("Step 1: adjusting screw")).toBeVisible();
  // the fact that was given by touch comes back at the rebuild
  await hand.open(`/jobs/${number}/rebuild`);
  await expect(page.getByText("Set it back to where it stood: two turns in")).toBeVisible();
});

test("? lists the keys of the screen, and switches those of a single letter off", async ({ page }) => {
  const hand = new BenchHand(page);
  await hand.open("/");
  await page.keyboard.press("?");
  const sheet = page.getByRole("dialog", { name: "Keys of this screen" });
  await expect(
    sheet
      .getByText("Take in a unit")
      .or(sheet.getByText(/Take in/))
      .first(),
  ).toBeVisible();
  await sheet.getByRole("button", { name: /Single letters are keys/ }).click();
  await page.keyboard.press("Escape");
  await expect(sheet).toHaveCount(0);
  await page.keyboard.press("s");
  await page.waitForTimeout(300);
  expect(new URL(page.url()).pathname).toBe("/");
  // Space and ? still answer
  await page.keyboard.press("?");
  await sheet.getByRole("button", { name: /Single letters are off/ }).click();
  await page.keyboard.press("Escape");
  await page.keyboard.press("s");
  await page.waitForURL(/scan$/);
  await expect(page).toHaveTitle("Scan a tag · Demontage");
});
