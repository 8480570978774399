import { readFile } from "node:fs/promises";
import { expect, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";

test("the second unit of a model is stripped along the first: one key a step, and what differs is said at once", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  const unit = { kind: "popcorn maker", maker: "Sallow", model: "Hop 3", complaint: "stands" };
  const first = await hand.strip(unit);
  const last = page.getByRole("region", { name: "As last time" });
  await expect(last).toHaveCount(0);
  const mat = page.getByRole("region", { name: "The Mat" });
  for (const [i, [what, line]] of ([["lid", ""], ["stirrer", "1 circlip 8"], ["heater plate", "3x PH2 10 M4, 3 washers 9"]] as const).entries()) {
    await page.getByLabel("What came off").fill(what);
    if (line) await page.getByLabel("Hardware, in shorthand").fill(line);
    await hand.button(/Lay it down/).click();
    await expect(mat.getByLabel(new RegExp(`^Step ${i + 1}: ${what}(?!.*on its way)`))).toBeVisible();
  } // biome-ignore format: three steps
  await hand.strip(unit);
  await expect(last).toContainText(`${first}, step 1 of 3`);
  await expect(last.getByRole("heading")).toHaveText("lid");
  await hand.button("As last time: lid").click();
  await expect(mat.getByLabel(/^Step 1: lid/)).toBeVisible();
  await expect(last.getByRole("heading")).toHaveText("stirrer");

  // what the model's units tell, before beginning
  await last.getByRole("link", { name: "This model" }).click();
  await page.waitForURL(/strip\/model$/);
  const steps = page.getByRole("list", { name: "Steps of this model" }).getByRole("listitem");
  await expect(steps).toHaveCount(3);
  await expect(steps.nth(1)).toContainText("came off after lid");
  const layOut = page.getByRole("list", { name: "Lay out" });
  await expect(layOut.getByRole("listitem")).toHaveText([/^circlip pliers/, /^PH2/]);
  // written into the guide: it comes along with the next unit, which this is
  await hand.button("Write at heater plate").click();
  const written = page.getByRole("region", { name: "This step of the guide" });
  await written.getByRole("button", { name: "Once it is on" }).click();
  await written.getByLabel("What the next unit is told").fill("feel that it lies flat");
  await written.getByRole("button", { name: "Write it in" }).click();
  await expect(steps.nth(2)).toContainText("Feel that it lies flat (written by hand)");
  await written.getByRole("button", { name: /Close/ }).click();
  // given out, and taken in: one of another model is asked about
  const [given] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "Save it as a file" }).click(),
  ]);
  expect(given.suggestedFilename()).toBe("Sallow-Hop-3.demontage-guide.json");
  const guide = (await readFile(await given.path(), "utf8")).replace(/"Hop 3"/, '"Hop 2"');
  const take = async (text: string): Promise<void> =>
    page
      .getByLabel("Guide file")
      .setInputFiles({ name: "guide.json", mimeType: "application/json", buffer: Buffer.from(text) });
  const files = page.getByRole("region", { name: "The guide as a file" });
  await take('{ "format": "demontage-job" }');
  await expect(files.getByRole("alert")).toContainText("this is no guide");
  await take(guide);
  await expect(files.getByRole("alert")).toContainText(
    "This guide is of Sallow Hop 2; this unit is Sallow Hop 3",
  );
  await files.getByRole("button", { name: /It is the same model/ }).click();
  await expect(files.getByRole("status")).toHaveText(/It is in: (one strip|2 strips)\./);
  await page
    .getByRole("link", { name: /Back to the strip/ })
    .first()
    .click();
  await page.waitForURL(/strip$/);

  await expect(last.getByRole("heading")).toHaveText("stirrer");

  // something differs: it is taken over, and only that is changed
  await page.keyboard.press("y");
  await expect(page.getByLabel("What came off")).toHaveValue("stirrer");
  await page.getByLabel("Hardware, in shorthand").fill("1 washer 12");
  await hand.button(/Lay it down/).click();
  await expect(last).toContainText("The step before: 1 washer 12 mm more than last time.");
  await expect(last.getByRole("heading")).toHaveText("heater plate");
  await expect(last).toContainText("3 screws M4 × 10, PH2");
  await expect(last).toContainText("once it is on: feel that it lies flat");

  // another thing comes off in between; the ghost waits
  await page.getByLabel("What came off").fill("tape");
  await expect(last).toHaveCount(0);
  await hand.button(/Lay it down/).click();
  await expect(last.getByRole("heading")).toHaveText("heater plate");
  await page.locator("body").press("Space");
  await expect(mat.getByLabel(/^Step 4: heater plate/)).toBeVisible();
  await expect(last).toHaveCount(0);
});
