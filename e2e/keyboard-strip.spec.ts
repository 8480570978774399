import { expect, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";

test("a strip is recorded by keyboard alone, safety gate and pictures included", async ({ page }) => {
  const hand = new BenchHand(page);
  await hand.takeIn({ kind: "bread cutter", maker: "Velbrant", model: "Laib 3", complaint: "Grinds." });
  const keys = page.keyboard;
  await page.locator("body").press("Space");
  await page.waitForURL(/strip$/);
  const gate = page.getByRole("region", { name: "Safety gate" });
  await expect(gate).toBeVisible();
  while (await gate.isVisible()) {
    const asked = await gate.getByRole("heading").textContent();
    await keys.press("Space");
    await expect(gate.getByRole("heading", { name: asked ?? "", exact: true })).toHaveCount(0);
  }
  const mat = page.getByRole("region", { name: "The Mat" });
  // one: a part with a picture and its facing
  await keys.press("n");
  await keys.type("blade cover");
  await keys.press("Enter");
  await keys.press("p");
  await expect(page.getByRole("img", { name: "practice camera" })).toBeVisible();
  await keys.press("p");
  await expect(page.getByText("step 1: one picture")).toBeVisible();
  await keys.press("f");
  await keys.type("slot to the rear");
  await keys.press("Enter");
  await keys.press("Space");
  await expect(mat.getByLabel("Step 1: blade cover")).toBeVisible();
  // two: hardware in shorthand; a part that stands among it is one of the step's parts
  await keys.press("q");
  await keys.type("4x TX15 16 ST3.5 corners, odd bracket");
  await expect(page.getByText("part: odd bracket")).toBeVisible();
  await keys.press("Enter");
  await keys.press("Space");
  await expect(mat.getByLabel("Step 2:")).toBeVisible();
  // three: came out as one with two; four: order does not matter
  await keys.press("n");
  await keys.type("worm wheel");
  await keys.press("Enter");
  await keys.press("b");
  await keys.press("Space");
  await expect(mat.getByLabel("Step 3: worm wheel, came out as one")).toBeVisible();
  await keys.press("n");
  await keys.type("side foot");
  await keys.press("Enter");
  await keys.press("o");
  await expect(page.getByText("Order does not matter here: it needs nothing.")).toBeVisible();
  await keys.press("Space");
  await expect(mat.getByLabel("Step 4: side foot")).toBeVisible();
  // taken back, and on
  await keys.press("z");
  await expect(mat.getByLabel("Step 4: side foot")).toHaveCount(0);
  await keys.press("e");
  await expect(page.getByRole("button", { name: /Strip complete ✓/ })).toBeVisible();
  await keys.press("Space");
  await page.waitForURL(/judge$/);
});

test("an empty step cannot be laid down, and a step keeps what was typed over a reload", async ({ page }) => {
  const hand = new BenchHand(page);
  await new BenchHand(page).open("/jobs/J-0143/strip");
  await expect(hand.button(/Lay it down/)).toBeDisabled();
  await page.getByLabel("What came off").fill("planet carrier");
  await new BenchHand(page).reload();
  await expect(page.getByLabel("What came off")).toHaveValue("planet carrier");
  await page.getByLabel("What came off").fill("");
  await hand.saved();
});

test("what is saved while a reload is on its way is there after it, although the page was made before", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.open("/jobs/J-0143/strip");
  await page.route(/\/strip$/, async (route) => {
    if (!route.request().isNavigationRequest()) return route.continue();
    const made = await route.fetch();
    await new Promise((done) => setTimeout(done, 900));
    await route.fulfill({ response: made });
  });
  await page.getByLabel("What came off").fill("ring gear");
  await hand.reload();
  await expect(page.getByLabel("What came off")).toHaveValue("ring gear");
  await page.getByLabel("What came off").fill("");
  await hand.saved();
});
