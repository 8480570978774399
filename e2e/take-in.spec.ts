import { expect, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";

test("a model's variants are told by their mark, and another is learnt once for the next unit", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.takeIn({
    kind: "masticating juicer",
    maker: "Velbrant",
    model: "Pressa 40",
    complaint: "Stops.",
  });
  await hand.reload();
  await hand.button(/six ribs inside the cover/).click();
  await expect(hand.button(/✓ six ribs/)).toBeVisible();
  await hand.button(/Another mark/).click();
  await page.getByRole("button", { name: "Learn it" }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Give the variant a name" }).first()).toBeVisible();
  await page.getByLabel("Name of the variant").fill("late");
  await page.getByLabel("Told by the mark").fill("blue dot beside the plate");
  await page.getByRole("button", { name: "Learn it" }).click();
  await expect(hand.button(/✓ blue dot beside the plate/)).toBeVisible();
  await hand.takeIn({
    kind: "masticating juicer",
    maker: "velbrant",
    model: "pressa 40",
    complaint: "Stops too.",
  });
  await hand.reload();
  await expect(hand.button(/blue dot beside the plate/)).toBeVisible();
});

test("what drives a unit and what can hurt at it is asked, not read out of its name; what was said is proposed at the next of its kind", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  const begin = async (): Promise<string> => {
    await hand.open("/");
    await hand.button(/Take in/).click();
    await page.waitForURL(/take-in$/);
    await hand.write("Kind of unit", "dish rinser");
    await hand.write("Model", "unknown");
    await hand.write("In the customer’s words", "Hums, no water.");
    await hand.button(/Consents/).click();
    return page.url().replace(/take-in$/, "");
  };
  const job = await begin();
  await expect(page.getByText("Say what drives it.")).toBeVisible();
  for (const supply of ["Mains", "Water"]) {
    await hand.button(supply).click();
    await expect(hand.button(supply)).toHaveAttribute("aria-pressed", "true");
  }
  await expect(page.getByText("Look for its mark, and say which protection class it has.")).toBeVisible();
  await hand.button(/^Class I, earthed/).click();
  await expect(page.getByText("Say what can hurt at it, or that nothing does.")).toBeVisible();
  await expect(hand.button("Nothing of these can hurt")).toBeVisible();
  for (const hazard of ["heavy", "glass"]) {
    await hand.button(hazard).click();
    await expect(hand.button(hazard)).toHaveAttribute("aria-pressed", "true");
  }
  await hand.button(/On to Strip/).click();
  await page.waitForURL(/strip$/);
  const gate = page.getByRole("region", { name: "Safety gate" });
  await expect(gate.getByRole("listitem")).toContainText([
    "Unplugged",
    "Water shut off",
    "A second pair of hands",
    "Glass out",
    "Is all of this work for the bench?",
  ]);
  for (let i = 0; i < 4; i++) {
    const asked = (await gate.getByRole("heading").textContent()) ?? "";
    await hand.button(/Yes, checked/).click();
    await expect(gate.getByRole("heading", { name: asked })).toHaveCount(0);
  }
  // it is not: the job ends with a referral
  await page.getByRole("link", { name: /No: to licensed hands/ }).click();
  await page.waitForURL(/ending$/);
  await hand.button(/Belongs to licensed hands/).click();
  await page.getByLabel("Why", { exact: true }).fill("its inlet is part of the fixed wiring");
  await hand.button(/End it so/).click();
  await page.waitForURL(/hand-back$/);
  await hand.saved();
  await hand.open(`${job}sheet`);
  await expect(page.getByRole("article")).toContainText("this work belongs to a licensed technician");
  await begin();
  await expect(hand.button("So it is: heavy, glass")).toBeVisible();
});

test("a serial number tells the age once the maker's date code is taught", async ({ page }) => {
  const hand = new BenchHand(page);
  await hand.takeIn({ kind: "deli slicer", maker: "Brisswell", model: "Kora 190", complaint: "Slips." });
  await hand.write("Serial number", "K1914-0771");
  await page.getByRole("button", { name: /teach Brisswell/ }).click();
  await page.getByLabel("Date code of Brisswell").fill("the second one");
  await page.getByRole("button", { name: "Learn it" }).click();
  await expect(
    page.getByText(/is not read: say it like “characters 2–3 year, 4–5 week”/).first(),
  ).toBeVisible();
  await page.getByLabel("Date code of Brisswell").fill("characters 2-3 year, 4-5 week");
  await page.getByRole("button", { name: "Learn it" }).click();
  await expect(page.getByText(/made in week 14 of 2019, about \d+ years old/)).toBeVisible();
});

test("history, loose items with pictures and a known customer are taken in with a few presses", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  const number = await hand.takeIn({
    kind: "paper shredder",
    maker: "Pellgrove",
    model: "S-12",
    complaint: "Jams.",
  });
  await hand.button("Bought: used").click();
  await hand.button("Opened before: by the owner").click();
  await hand.write("Years old", "6");
  await hand.button("bin").click();
  await expect(hand.button("✓ bin")).toBeVisible();
  await page.keyboard.press("b");
  await page.keyboard.type("spare key");
  await page.keyboard.press("Enter");
  await expect(hand.button("✓ spare key")).toBeVisible();
  await hand.button("Picture of bin").click();
  await expect(page.getByRole("img", { name: "practice camera" })).toBeVisible();
  await hand.button(/Take it/).click();
  await expect(hand.button("Picture of bin").locator("img")).toBeVisible();
  // found as it is typed: the contact comes along
  await hand.write("Customer", "Bertin Oake");
  await expect(page.getByLabel("Contact", { exact: true })).toHaveValue("tel. 0555 0139");
  await hand.reload();
  await expect(hand.button("Bought: used")).toHaveAttribute("aria-pressed", "true");
  await expect(page.getByLabel("Years old")).toHaveValue("6");
  // the tag carries letters, not the name
  await page.keyboard.press("g");
  await page.waitForURL(/tag$/);
  const label = page.getByRole("region", { name: "Label" });
  await expect(label).toContainText(number);
  await expect(label).toContainText("BO");
  await expect(label).toContainText("bin, spare key");
  await expect(page.getByRole("main")).not.toContainText("Bertin");
  await expect(label.getByRole("img")).toHaveAttribute("aria-label", new RegExp(`/jobs/${number}$`));
});

test("a tag that is scanned, or a number that is typed, opens its job; anything else gets a sentence", async ({
  page,
}) => {
  await new BenchHand(page).open("/");
  await page.keyboard.press("s");
  await page.waitForURL(/scan$/);
  const field = page.getByLabel("Number on the tag");
  await field.fill("4006381333931");
  await field.press("Enter");
  await expect(page.getByText(/is no job of this shop/)).toBeVisible();
  await field.fill("9876");
  await field.press("Enter");
  await expect(page.getByText("There is no job J-9876 here.")).toBeVisible();
  await field.fill("http://shop.local:3000/jobs/J-0139");
  await field.press("Enter");
  await page.waitForURL(/J-0139\//);
});

test("the tray mat is printed in true size", async ({ page }) => {
  await new BenchHand(page).open("/tray");
  const sheet = page.getByRole("region", { name: "Tray mat, columns 1 to 4" });
  const place = await sheet.getByText("A1", { exact: true }).locator("..").boundingBox();
  // 45 mm at 96 px to the inch
  expect(place?.width).toBeCloseTo((45 / 25.4) * 96, 0);
  await expect(page.getByRole("region", { name: "Tray mat, columns 5 to 8" })).toContainText("D8");
});
