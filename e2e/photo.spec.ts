import { expect, type Page, test } from "@playwright/test";
import { juicerCopy } from "./units";

test.describe("a gear counted in a picture", () => {
  const teeth = (page: Page) => page.getByLabel("Teeth counted");
  const open = async (page: Page): Promise<void> => {
    await page.goto(`/jobs/${await juicerCopy()}/judge/gear/p7`);
    await page.getByRole("link", { name: /Count in a picture/ }).click();
    await expect(page.getByRole("region", { name: "Picture" })).toBeVisible();
    await expect(teeth(page)).toHaveText("41", { timeout: 30_000 });
  };

  test("is read by itself, checked along the unrolled ring, mended, and taken to the gear bench", async ({
    page,
  }) => {
    await open(page);
    const missing = page.getByLabel("Missing teeth");
    await expect(missing).toContainText("5 missing in one run (teeth 10 to 14)");
    // the eye says that one more is gone, and takes it back; then by keys alone
    await page.getByRole("button", { name: "Place 20: tooth there" }).click();
    await expect(missing).toContainText("6 missing");
    await page.getByRole("button", { name: "Place 20: tooth missing" }).click();
    await expect(missing).toContainText("5 missing");
    await page.keyboard.press("ArrowRight");
    await page.keyboard.press("m");
    await expect(missing).toContainText("6 missing");
    await page.keyboard.press("m");
    await page.keyboard.press("Space");
    await expect(page.getByRole("region", { name: "Gear face" })).toBeVisible();
    await expect(page.getByLabel("Teeth, counted")).toHaveValue("41");
    await expect(page.getByLabel("Extent")).toContainText("5 missing in one run (teeth 10 to 14)");
  });

  test("a ring that the hand moves is counted again at once, and finds back", async ({ page }) => {
    await open(page);
    const centre = page.getByRole("button", { name: /Centre of the gear/ });
    await centre.focus();
    await page.keyboard.press("ArrowRight");
    await page.keyboard.press("ArrowRight");
    await expect(teeth(page)).toHaveText("41");
    await page.getByRole("button", { name: "Add a tooth" }).click();
    await expect(teeth(page)).toHaveText("42");
    await expect(page.getByText("as you laid them")).toBeVisible();
    await page.getByRole("button", { name: "Strike a tooth" }).click();
    await expect(teeth(page)).toHaveText("41");
    const box = await centre.boundingBox();
    if (!box) throw new Error("the centre's handle is not on the screen");
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 6, y + 4, { steps: 4 });
    await page.mouse.up();
    await expect(teeth(page)).toHaveText("41", { timeout: 15_000 });
  });

  test("a picture with the scale card gives sizes, and the gear bench names the gear with them", async ({
    page,
  }) => {
    await open(page);
    await page.keyboard.press("i");
    await page.getByRole("button", { name: /Take it/ }).click();
    await expect(page.getByRole("region", { name: "Picture" })).toBeVisible({ timeout: 20_000 });
    await expect(teeth(page)).toHaveText("41", { timeout: 30_000 });
    await page.keyboard.press("z");
    await expect(
      page
        .getByRole("group", { name: /Bore, by its edge/ })
        .getByRole("button")
        .first(),
    ).toBeVisible({ timeout: 15_000 });
    await page.keyboard.press("6");
    await page.keyboard.press("s");
    await expect(page.getByText("Press two points in the picture first.")).toBeVisible();
    await page.keyboard.press("5");
    await page.keyboard.press("s");
    const sizes = page.getByLabel("Sizes from the picture");
    await expect(sizes).toContainText("Tip circle", { timeout: 15_000 });
    const tip = Number(/Tip circle\s*([\d.]+)/.exec((await sizes.textContent()) ?? "")?.[1]);
    // the wheel is 45.11 mm over its tips
    expect(Math.abs(tip - 45.11)).toBeLessThan(1);
    await page.keyboard.press("Space");
    await expect(page.getByRole("region", { name: "Gear face" })).toBeVisible();
    await expect(page.getByLabel("Tip circle, seen, mm")).toBeVisible();
  });

  test("a count is never shown without its own picture, not even in the moment in which another one comes", async ({
    page,
  }) => {
    await open(page);
    await page.keyboard.press("i");
    await page.evaluate(() => {
      const w = window as unknown as { orphans: string[] };
      w.orphans = [];
      const before = document.querySelector("img[alt$='as it is read']")?.getAttribute("src");
      new MutationObserver(() => {
        const count = document.querySelector("[aria-label='Teeth counted']");
        const picture = document.querySelector("img[alt$='as it is read']")?.getAttribute("src");
        if (count && (!picture || picture === before))
          w.orphans.push(`${count.textContent} over ${picture ?? "nothing"}`);
      }).observe(document.body, { childList: true, subtree: true, attributes: true, characterData: true });
    });
    await page.getByLabel("Picture file").setInputFiles("demo/gear-photos/jpeg/hidden-104.jpg");
    await expect(teeth(page)).toHaveText("49", { timeout: 40_000 });
    expect(await page.evaluate(() => (window as unknown as { orphans: string[] }).orphans)).toEqual([]);
  });

  test("the scale card comes as a PDF, and a part without a gear in its picture gets a sentence, not a count", async ({
    page,
    request,
  }) => {
    const card = await request.get("/api/scale-card");
    expect(card.headers()["content-type"]).toBe("application/pdf");
    expect((await card.body()).subarray(0, 5).toString()).toBe("%PDF-");
    await page.goto("/jobs/J-0142/judge/gear/p1/picture");
    await expect(page.getByText(/No ring of teeth stands out|no ring of teeth|Not sure enough/)).toBeVisible({
      timeout: 40_000,
    });
    await expect(page.getByRole("button", { name: /^Space|Take the count|\?/ }).first()).toBeVisible();
  });

  test("a gear with a cloth over a third of it is counted, and the places that are hidden are said to be", async ({
    page,
  }) => {
    await open(page);
    await page.keyboard.press("i");
    await page.getByLabel("Picture file").setInputFiles("demo/gear-photos/jpeg/hidden-104.jpg");
    await expect(page.getByText(/1\d places are hidden: look there yourself/)).toBeVisible({
      timeout: 40_000,
    });
    await expect(teeth(page)).toHaveText("49");
    await expect(page.getByRole("button", { name: /49 teeth, 1 missing: take it/ })).toBeEnabled();
    // a look under the cloth settles a place: it is gone
    await page.getByRole("button", { name: /^Place 40: hidden, taken as there/ }).click();
    await page.keyboard.press("x");
    await expect(page.getByRole("button", { name: /49 teeth, 2 missing: take it/ })).toBeEnabled();
  });

  test("two gears in one picture give no count until the technician says which, whatever key is pressed", async ({
    page,
  }) => {
    await open(page);
    await page.keyboard.press("i");
    await page.getByLabel("Picture file").setInputFiles("demo/gear-photos/jpeg/two-gears-104.jpg");
    await expect(teeth(page)).toHaveText("?", { timeout: 40_000 });
    await expect(page.getByText(/Two gears of about one size/)).toBeVisible();
    await page.keyboard.press("Space");
    await expect(page.getByRole("button", { name: /Say first which count it is/ })).toBeDisabled();
    await page.getByRole("button", { name: "It is 49" }).first().click();
    await expect(teeth(page)).toHaveText("49");
    await expect(page.getByRole("button", { name: /49 teeth: take it/ })).toBeEnabled();
  });

  test("a size that cannot be measured says why where it is seen, and takes the one before away", async ({
    page,
  }) => {
    await open(page);
    await page.keyboard.press("z");
    await page.keyboard.press("6");
    const picture = page.getByLabel("The ring of teeth over the picture").first();
    const box = await picture.boundingBox();
    if (!box) throw new Error("the picture is not on the screen");
    for (const share of [0.3, 0.7])
      await page.mouse.click(box.x + box.width * share, box.y + box.height * 0.5);
    const length = page.getByLabel("Distance between them, mm");
    const sizes = page.getByLabel("Sizes from the picture");
    const fault = page.getByRole("region", { name: "Size" }).getByRole("alert");
    await length.fill("36");
    await length.press("Enter");
    await expect(sizes).toContainText("Tip circle");
    await length.fill("ten");
    await length.press("Enter");
    await expect(fault).toContainText("“ten” is no length");
    await expect(fault).toBeInViewport();
    await expect(sizes).toHaveCount(0);
    await length.blur();
    await page.getByRole("button", { name: "Scale card" }).click();
    await page.keyboard.press("s");
    await expect(fault).toContainText("No scale card is seen", { timeout: 15_000 });
  });

  test("reading can be stopped, and the ring laid by hand instead", async ({ page }) => {
    await page.goto("/jobs/J-0142/judge/gear/p1/picture");
    await page.getByRole("button", { name: "Stop" }).click({ timeout: 20_000 });
    await expect(page.getByText("Not counted: read it, or lay the ring by hand.")).toBeVisible();
    await page.keyboard.press("h");
    await expect(page.getByRole("button", { name: /Centre of the gear/ })).toBeVisible({ timeout: 20_000 });
  });
});
