import { expect, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";
import { copyOf } from "./units";

test("a last check that fails leads back to the rebuild, and all is tried again; what the shop asks of a kind is asked", async ({ page }) => {
  const hand = new BenchHand(page);
  await hand.open(`/jobs/${await copyOf("J-0135")}/hand-back`);
  const final = page.getByRole("region", { name: "Final check" });
  const list = page.getByRole("list", { name: "Final checks" });
  await hand.button(/Yes, checked/).click();
  await expect(final.getByRole("heading")).toContainText("Cord, plug");
  await expect(list.getByRole("listitem").first()).toContainText("✓");

  // the shop's own list for its kind, with a limit
  await hand.button(/What it has to do/).click();
  const own = page.getByRole("region", { name: "What it has to do" });
  await own.getByLabel("What it does, or what is measured").fill("presses a dough of 500 g through");
  await own.getByLabel("At most").fill("3");
  await own.getByRole("button", { name: /Ask it/ }).click();
  await expect(own.getByRole("alert")).toContainText("needs its unit");
  await own.getByLabel("In which unit").fill("min");
  await own.getByRole("button", { name: /Ask it/ }).click();
  await expect(own.getByRole("list", { name: "Own tests" })).toContainText("at most 3 min");
  await own.getByRole("button", { name: /Close/ }).click();
  await expect(list).toContainText("presses a dough of 500 g through");

  // it is not so: back to the rebuild, where a line comes open and is done again
  await hand.button("R No").click();
  const failed = page.getByRole("region", { name: "It is not so" });
  // an electrical look-over is not left out
  await expect(failed.getByRole("button", { name: /Leave this test out/ })).toHaveCount(0);
  await failed.getByLabel(/What is wrong/).fill("the strain relief turns");
  await failed.getByRole("button", { name: /Back to Rebuild/ }).click();
  await page.waitForURL(/rebuild$/);
  await expect(page.getByRole("heading", { name: /Back together/ })).toBeVisible();
  await page.keyboard.press("z");
  await expect(page.getByRole("region", { name: "Ledger" }).getByRole("status")).toBeVisible();
  const line = page.getByRole("region", { name: "The line" });
  await expect(line.getByRole("button", { name: /Done|Yes/ })).toBeVisible();
  await page.keyboard.press("Space");
  await hand.button(/On to Hand back/).click();
  await page.waitForURL(/hand-back$/);
  // what was answered before it was open is asked anew
  await expect(final.getByRole("heading")).toContainText("Turned by hand");
  await expect(list.getByRole("listitem").first()).not.toContainText("✓");
});
