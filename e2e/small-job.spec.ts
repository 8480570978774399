import { expect, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";

test("a small job: what is said broken at the strip is Judge's finding, and is got in one line", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.strip({ kind: "leaf blower", maker: "Corvane", model: "L-2", complaint: "Rattles." });
  await page.keyboard.press("n");
  await page.keyboard.type("end cover");
  await page.keyboard.press("Enter");
  await page.keyboard.press("q");
  await page.keyboard.type("four torx 20 screws");
  await page.keyboard.press("Enter");
  await page.keyboard.press("Space");
  await expect(page.getByText("1 laid down · 4 pieces of hardware")).toBeVisible();
  await page.keyboard.press("n");
  await page.keyboard.type("fan, broken");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("list", { name: "Understood" })).toContainText("fan: broken");
  await page.keyboard.press("Space");
  await expect(page.getByRole("region", { name: "The Mat" }).getByLabel("Step 2: fan")).toBeVisible();
  await page.keyboard.press("e");
  await hand.button(/On to Judge/).click();
  await page.waitForURL(/judge$/);
  // nothing is asked again: it is broken, and goes back new
  const row = page.getByRole("region", { name: "Parts" }).getByRole("button", { name: /^fan/ });
  await expect(row).toContainText("broken");
  await expect(row).toContainText("new");
  await hand.button(/On to Match/).click();
  await page.waitForURL(/match$/);
  await page.getByLabel("In one line").fill("counter, Ombray Tools, no. F-88, 14.20");
  await page.getByLabel("In one line").press("Enter");
  await expect(
    page.getByRole("heading", { name: "bought at the counter, Ombray Tools, F-88" }),
  ).toBeVisible();
  await expect(page.getByText("14.20").first()).toBeVisible();
});

test("a kit in hand is taken in one gesture, where nobody judged anything too", async ({ page }) => {
  const hand = new BenchHand(page);
  await hand.strip({ kind: "grease press", maker: "Corvane", model: "G-1", complaint: "Weeps." });
  for (const [i, what] of ["head, left-hand thread", "shaft seal", "piston ring"].entries()) {
    await page.getByLabel("What came off").fill(what);
    await hand.button(/Lay it down/).click();
    await expect(hand.recording(i + 2)).toBeVisible();
  }
  await hand.button(/Strip complete/).click();
  await hand.button(/On to Judge/).click();
  await page.waitForURL(/judge$/);
  await hand
    .button("S Nothing failed: service only")
    .or(hand.button("Nothing failed: service only"))
    .first()
    .click();
  await hand.button(/On to Match/).click();
  await page.waitForURL(/match$/);
  await hand.button(/Kit in hand/).click();
  const kit = page.getByRole("region", { name: "Kit in hand" });
  await kit.getByRole("button", { name: "shaft seal goes in new" }).click();
  await kit.getByRole("button", { name: "piston ring goes in new" }).click();
  await kit.getByRole("button", { name: /The kit goes in/ }).click();
  await expect(kit.getByText(/say which kit it is/i)).toBeVisible();
  await kit.getByLabel(/Which kit/).fill("Ombray reseal kit, no. RK-2, 21");
  await expect(kit.getByText("21 € for the whole kit")).toBeVisible();
  await kit.getByRole("button", { name: /The kit goes in/ }).click();
  const replaced = page.getByRole("region", { name: "To replace" });
  await expect(replaced.getByText(/✓ out of a kit in hand, Ombray reseal kit, RK-2/)).toHaveCount(2);
});
