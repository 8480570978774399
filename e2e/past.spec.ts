import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";
import { copyOf } from "./units";

test("any job is found from the board by one box, and the record tells of what went home", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.open("/");
  await page.keyboard.press("/");
  await page.waitForURL(/find/);
  const box = page.getByLabel(/Number, tag, unit/);
  await expect(box).toBeFocused();
  const found = page.getByRole("list", { name: "Jobs found" });
  await box.fill("hub bear");
  await expect(found.getByRole("listitem")).toHaveCount(1);
  await expect(found).toContainText("J-0131");
  await expect(found).toContainText("went home");
  await box.fill("no such thing at all");
  await expect(page.getByText("No job has all of “no such thing at all”.")).toBeVisible();
  await box.fill("131");
  await expect(found.getByRole("listitem").first()).toContainText("Dora Finch");
  await page.keyboard.press("Enter");
  await page.waitForURL(/jobs\/J-0131/);

  await hand.open("/record");
  await expect(page.getByText("Nothing came back within its warranty.")).toBeVisible();
  await page.keyboard.press("f");
  const fails = page.getByRole("region", { name: "What fails, of which model" });
  await expect(
    fails.getByRole("row", { name: /Velbrant Laib 2 hub bearing 1 1 slack or rough/ }),
  ).toBeVisible();
  const [csv] = await Promise.all([
    page.waitForEvent("download"),
    fails.getByRole("link", { name: "Save as CSV" }).click(),
  ]);
  expect(readFileSync(await csv.path(), "utf8")).toContain("Velbrant Laib 2,hub bearing,1,1,slack or rough");
});

test("the customer is told: proposed, changed, put into the outbox, taken as a mail file", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  const number = await copyOf("J-0135");
  await hand.open(`/jobs/${number}/messages`);
  await page.keyboard.press("r");
  const message = page.getByRole("region", { name: "Message" });
  await expect(message.getByLabel("Text")).toHaveValue(
    /repaired and tested, and can be fetched\.\nWhat was wrong: final wheel: teeth missing\./,
  );
  await message.getByLabel("Subject").fill("");
  await hand.button(/Put it in the outbox/).click();
  await expect(message.getByRole("alert")).toContainText("needs its subject");
  await message.getByLabel("Subject").fill("Your pasta machine");
  await message.getByLabel("Text").fill("It is ready; come before six.");
  // what is typed outlives a reload
  await hand.saved();
  await hand.reload();
  await expect(message.getByLabel("Text")).toHaveValue("It is ready; come before six.");
  await hand.button(/Put it in the outbox/).click();
  const outbox = page.getByRole("region", { name: "Outbox" });
  await expect(outbox).toContainText("come before six");
  const [mail] = await Promise.all([
    page.waitForEvent("download"),
    outbox.getByRole("link", { name: "Mail file" }).click(),
  ]);
  const text = readFileSync(await mail.path(), "utf8");
  expect(text).toContain("Subject: Your pasta machine");
  expect(text).toContain("It is ready; come before six.");
});
