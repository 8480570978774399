import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { extractText, getDocumentProxy } from "unpdf";
import { BenchHand } from "./bench-hand";
import { copyOf } from "./units";

const textOf = async (pdf: Buffer): Promise<string> =>
  (await extractText(await getDocumentProxy(new Uint8Array(pdf)))).text.join(" ").replace(/\s+/g, " ");

test("from a closed rebuild to a printed sheet: listened to, tested, ticked, signed, read back, opened again, and a comeback", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  const number = await copyOf("J-0135");

  // a recording of the running unit, before and after: what stood out, and that it is gone
  await hand.open(`/jobs/${number}/listen`);
  await page.keyboard.press("b");
  await page.getByLabel("Recording").setInputFiles("demo/sounds/wav/extruder-before.wav");
  const outs = page.getByRole("region", { name: "What stands out" });
  await expect(outs).toContainText(/A knock once a turn of screw/, { timeout: 60_000 });
  await expect(outs).toContainText(/13\d\d ± \d+ rpm/);
  await page.keyboard.press("a");
  await page.getByLabel("Recording").setInputFiles("demo/sounds/wav/extruder-after.wav");
  await expect(outs).toContainText("Nothing stands out", { timeout: 60_000 });
  await expect(page.getByRole("table", { name: "Before and after" })).toContainText("Knock with screw");
  // what is no recording is refused with a sentence, and nothing is lost
  await page.getByLabel("Recording").setInputFiles({
    name: "list.wav",
    mimeType: "audio/wav",
    buffer: Buffer.from("four screws, one washer"),
  });
  await expect(outs.getByRole("alert")).toContainText("no WAV file");
  await expect(outs).toContainText("Nothing stands out");

  // nor is a recording lost that the shop did not take
  await page.route("**/sounds", (route) => route.abort());
  await page.getByLabel("Recording").setInputFiles("demo/sounds/wav/extruder-after.wav");
  await expect(outs.getByRole("alert")).toContainText("is held here until it does");
  await page.unroute("**/sounds");
  await hand.button(/Send the recording again/).click();
  await expect(outs.getByRole("alert")).toHaveCount(0);
  await expect(hand.button(/Send the recording again/)).toHaveCount(0);

  // every check, with figures where they are asked
  await hand.open(`/jobs/${number}/hand-back`);
  const final = page.getByRole("region", { name: "Final check" });
  for (let i = 0; i < 40; i++) {
    const heading = await final.getByRole("heading").first().textContent();
    if (heading?.includes("All checks are answered")) break;
    if (heading?.includes("loose items")) {
      await hand.button(/Yes, checked/).click();
      await expect(final.getByRole("alert")).toContainText("Not said yet: three dies, brush");
    }
    // where the plate is read, the current is a figure with a limit
    if (heading?.includes("below the plate's")) {
      await final.getByLabel("Current on the plate, A").fill("much");
      await page.keyboard.press("Enter");
      await expect(final.getByRole("alert")).toContainText("as a figure");
      await final.getByLabel("Current on the plate, A").fill("2,0");
      await page.keyboard.press("Enter");
      await expect(final.getByRole("heading").first()).toContainText("Current under load");
      // what is asked now is another question
      continue;
    }
    // what becomes of old parts is asked, with what was agreed chosen
    if (heading?.includes("Old parts")) {
      const back = final.getByRole("button", { name: /given back/ }).first();
      await expect(back).toHaveAttribute("aria-pressed", "true");
      const stays = final.getByRole("button", { name: /stay here/, pressed: false });
      for (let left = await stays.count(); left > 0; left--) await stays.first().click();
    }
    // the instrument of a figure is proposed, and written over
    if (heading?.startsWith("Speed of")) {
      await expect(final.getByLabel("Tachometer: which one")).toHaveValue("Strobe 2");
      await final.getByLabel("Tachometer: which one").fill("Laser spot 4");
    }
    await hand.answerFinal();
    await expect(final.getByRole("heading").first()).not.toHaveText(heading ?? "");
  }
  await expect(final.getByRole("heading").first()).toContainText("All checks are answered");

  // when it is looked at next, and a name under it
  await final.getByLabel("Next look").fill("after 100 kg of dough: the new wheel");
  await final.getByLabel("Next look").blur();
  await hand.button(/Sign for it/).click();
  const pad = page.getByRole("img", { name: "Sign here" });
  const box = await pad.boundingBox();
  if (!box) throw new Error("the field to sign in is not there");
  await page.mouse.move(box.x + 60, box.y + 90);
  await page.mouse.down();
  for (let i = 1; i <= 12; i++) await page.mouse.move(box.x + 60 + 20 * i, box.y + 90 + (i % 2 ? 30 : -30));
  await page.mouse.up();
  const signature = page.getByRole("region", { name: "Signature" });
  await signature.getByLabel("Name").fill("Oda Ombravento");
  await signature.getByRole("button", { name: "Signed", exact: true }).click();
  await expect(final).toContainText("✓ signed by Oda Ombravento");
  await page.keyboard.press("Space");
  await expect(final).toContainText("Handed back.");

  // the sheet, and its PDF read back
  await page.getByRole("link", { name: /Return sheet/ }).click();
  await page.waitForURL(/sheet$/);
  await expect(page.getByRole("article")).toContainText("MRV-T3-53");
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "Save as PDF" }).click(),
  ]);
  expect(download.suggestedFilename()).toBe(`Return sheet ${number}.pdf`);
  const text = await textOf(readFileSync(await download.path()));
  for (const words of [
    `Return sheet ${number}`,
    "Pasta extruder, Morvane Trafila 3",
    "teeth missing, three teeth",
    "MRV-T3-53",
    "lot 2608-114",
    "0.12 Ω",
    "30 MΩ",
    "98 rpm",
    "Laser spot 4",
    "Bench tester 1, calibrated 2026-04-14",
    "Old parts stay here and are disposed of: ",
    "1.4 A",
    "at most 2.3 A",
    "Handed back with it: three dies and brush",
    "Next look after 100 kg of dough: the new wheel",
    "6 months on the work",
    "Oda Ombravento",
    "annex",
    "Marked: 3 missing",
  ])
    expect(text).toContain(words);
  // each test with the time at which it was answered
  expect(text).toMatch(/98 rpm\s+\d\d:\d\d/);
  expect(text).not.toContain("open ");
  // short, and in the customer's units
  await page.getByRole("link", { name: /Short, without/ }).click();
  await page.waitForURL(/form=short/);
  await expect(page.getByRole("article")).not.toContainText("annex");
  await page.getByRole("link", { name: /Ounces/ }).click();
  await expect(page.getByRole("article")).toContainText(/\d oz/);

  // the same unit comes back: whether within its warranty is asked, and then nothing is charged
  const { createJob } = await import("../src/store/jobs");
  const back = await createJob({
    kind: "pasta extruder",
    maker: "Morvane",
    model: "Trafila 3",
    serial: "MT3-40117",
    complaint: "grinds again",
  });
  await hand.open(`/jobs/${back}/take-in`);
  await page.getByRole("button", { name: new RegExp(`Back within its warranty\\? ${number}`) }).click();
  await expect(page.getByText(`Came back within its warranty: ${number}`)).toBeVisible();
  await hand.open(`/jobs/${back}/sheet`);
  await expect(page.getByRole("article")).toContainText(
    `Came back within the warranty of ${number}: the work is not charged.`,
  );
  await expect(page.getByRole("article")).toContainText("Total: not charged");

  // it is opened again with a reason, and the checks are asked anew
  await hand.open(`/jobs/${number}/hand-back`);
  await hand.button(/Open it again/).click();
  const again = page.getByRole("region", { name: "Open it again" });
  await again.getByLabel("Why it is opened again").fill("the drip tray was left on the bench");
  await again.getByRole("button", { name: "Open it again" }).click();
  await expect(final.getByRole("heading").first()).toContainText("Turned by hand");
  await hand.open(`/jobs/${number}/sheet`);
  await expect(page.getByRole("article")).toContainText("the drip tray was left on the bench");
});
