import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, type Page, test } from "@playwright/test";
import { serveBuilt, stop } from "../scripts/serve-built";
import { BenchHand } from "./bench-hand";

/** A shop of its own, in an empty folder, beside the demo's. */
const PORT = 4671;
let folder = "";
let server: Awaited<ReturnType<typeof serveBuilt>>;
test.beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), "empty-"));
  server = await serveBuilt(PORT, folder);
});
test.afterAll(async () => {
  await stop(server);
  rmSync(folder, { recursive: true, force: true });
});

/** A unit at the counter of this shop, up to the recorder. */
async function takenIn(page: Page, hand: BenchHand, kind: string, complaint: string): Promise<string> {
  await hand.open(`http://localhost:${PORT}`);
  await hand.button(/Take in/).click();
  await page.waitForURL(/take-in$/);
  await hand.write("Kind of unit", kind);
  await hand.write("Maker", "Corvane");
  await hand.write("Model", "HR-9");
  await hand.write("In the customer’s words", complaint);
  await hand.saySafety("By hand");
  await hand.button(/Consents/).click();
  const job = page.url().replace(/\/take-in$/, "");
  await hand.button(/On to Strip/).click();
  await page.waitForURL(/strip$/);
  await hand.clearSafetyGate();
  return job;
}
async function layDown(page: Page, hand: BenchHand, n: number, what: string, line = ""): Promise<void> {
  await expect(hand.recording(n)).toBeVisible();
  if (what) await page.getByLabel("What came off").fill(what);
  if (line) await page.getByLabel("Hardware, in shorthand").fill(line);
  await hand.button(/Lay it down/).click();
  await expect(hand.recording(n + 1)).toBeVisible();
}
async function stripDone(page: Page, hand: BenchHand): Promise<void> {
  await hand.button(/Strip complete/).click();
  await hand.button(/On to Judge/).click();
  await page.waitForURL(/judge$/);
}
/** From Lube, without grease, through the rebuild and the last checks to the sheet. */
async function homeWithoutGrease(page: Page, hand: BenchHand, why: RegExp | null): Promise<void> {
  await hand.button(/All is clean and dry/).click();
  await expect(hand.button(/✓ Clean and dry/)).toBeVisible();
  // in a job of which train and strip speak of no chamber what can be said stands there already
  if (why && !(await hand.button(why).isVisible())) await hand.button(/Another chamber, or/).click();
  if (why) await hand.button(why).click();
  await hand.button(/On to Rebuild/).click();
  await page.waitForURL(/rebuild$/);
  const line = page.getByRole("region", { name: "The line" });
  const go = hand.button(/On to Hand back/);
  for (let i = 0; i < 20 && !(await go.isVisible()); i++) {
    const before = (await line.textContent()) ?? "";
    await line.getByRole("button", { name: /Done|Yes/ }).click();
    await expect(line).not.toHaveText(before);
  }
  await go.click();
  await page.waitForURL(/hand-back$/);
  const final = page.getByRole("region", { name: "Final check" });
  for (let i = 0; i < 12 && !(await hand.button(/Hand it back/).isVisible()); i++) {
    const before = (await final.textContent()) ?? "";
    await hand.answerFinal();
    await expect(final).not.toHaveText(before);
  }
  await expect(hand.button(/Hand it back/)).toBeDisabled();
  await hand.button("signs on paper").click();
  await hand.button(/Hand it back/).click();
  await expect(page.getByText("Handed back.", { exact: true })).toBeVisible();
  await page.getByRole("link", { name: /Return sheet/ }).click();
  await page.waitForURL(/sheet$/);
}

test("a shop that starts empty is set up by hand: its name, a grease, what a part is made of, and Lube chooses", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  const shop = `http://localhost:${PORT}`;
  await hand.open(shop);
  await expect(page.getByRole("region", { name: "First steps" })).toContainText("This shop is new here");
  await page.getByRole("link", { name: /Set the shop up/ }).click();
  await page.waitForURL(/settings$/);
  const named = page.getByLabel(/^Name of the shop/);
  await named.fill("");
  await expect(page.getByText("This cannot be empty.")).toBeVisible();
  await named.fill("Tamsin’s Bench");
  await page.getByLabel(/^Currency/).fill("kr");
  await page.getByLabel(/^Address/).fill("3 Quay Lane, Ombray");
  await page.getByLabel(/^Address/).blur();
  await expect(page.getByRole("img", { name: "saved" })).toHaveCount(3);
  await page.getByRole("link", { name: /Shelf of lubricants/ }).click();
  await page.waitForURL(/shelf$/);
  await page.getByLabel("Name on the tube").fill("Pellow LX-1");
  await hand.button(/Put it on the shelf/).click();
  await expect(page.getByText("Is missing.")).toBeVisible();
  await page.getByLabel("Thickener").selectOption({ label: "lithium complex" });
  await page.getByLabel("Base oil").selectOption("ester");
  await page.getByLabel("NLGI class").selectOption("1");
  await page.getByLabel("From, °C").fill("-30");
  await page.getByLabel("To, °C").fill("-40");
  await hand.button(/Put it on the shelf/).click();
  await expect(page.getByText("Must be above the lowest temperature.")).toBeVisible();
  // nothing typed is lost by looking elsewhere
  await hand.reload();
  await expect(page.getByLabel("Name on the tube")).toHaveValue("Pellow LX-1");
  await page.getByLabel("To, °C").fill("140");
  await hand.button(/Put it on the shelf/).click();
  await expect(page.getByRole("region", { name: "On the shelf" })).toContainText("Pellow LX-1");
  await hand.open(shop);
  await expect(page.getByText("No unit is in the shop.")).toBeVisible();
  await expect(page.getByText("Tamsin’s Bench")).toBeVisible();
  await hand.button(/Take in/).click();
  await page.waitForURL(/take-in$/);
  const job = page.url().replace(/\/take-in$/, "");
  await hand.write("Kind of unit", "hose reel motor");
  await hand.write("Maker", "Corvane");
  await hand.write("Model", "HR-9");
  await hand.write("In the customer’s words", "Hums.");
  await hand.saySafety("By hand");
  await hand.button(/Consents/).click();
  await hand.button(/On to Strip/).click();
  await page.waitForURL(/strip$/);
  await hand.clearSafetyGate();
  await page.getByLabel("What came off").fill("drive cross");
  await hand.button(/Lay it down/).click();
  await expect(hand.recording(2)).toBeVisible();
  await hand.saved();
  // its name says nothing; it is a gear, of ABS, which ester oil attacks
  await hand.open(`${job}/judge`);
  const kind = page.getByLabel("What it is");
  await expect(kind.locator("option:checked")).toHaveText("what is it?");
  await kind.selectOption("gear");
  await expect(page.getByRole("button", { name: /Measure and name it/ })).toBeVisible();
  await page.getByLabel("Made of").selectOption("ABS");
  await hand.reload();
  await expect(page.getByLabel("Made of")).toHaveValue("ABS");
  await expect(page.getByLabel("What it is")).toHaveValue("gear");
  await hand.open(`${job}/lube`);
  await hand.button(/Take over from train and strip: gear case, one point/).click();
  await hand.button("Why this one: gear case").click();
  await expect(page.getByRole("list", { name: "Why" })).toContainText("ABS: ester oil cracks it");
  await expect(page.getByText(/To get: For gear case: a grease, NLGI 00 to 1/)).toBeVisible();
  // what nobody has is got, and its price must be one
  const toGet = page.getByRole("region", { name: "To get for the gear case" });
  await toGet.getByLabel("From", { exact: true }).fill("Tamsin’s Tools");
  await toGet.getByLabel(/^Its pack costs/).fill("a lot");
  await toGet.getByLabel(/^Its pack costs/).press("Tab");
  await expect(toGet.getByText("Write it as an amount: 249 or 249.50")).toBeVisible();
  await toGet.getByLabel(/^Its pack costs/).fill("7,50");
  await toGet.getByLabel(/^Its pack costs/).press("Tab");
  await toGet.getByRole("button", { name: "It is ordered" }).click();
  await expect(toGet.getByRole("button", { name: /✓ Ordered on \d+ \w+/ })).toBeVisible();
});

test("a sheared pin, got at the counter: from Take in to the return sheet, in a shop with no catalogue", async ({
  page,
}) => {
  test.setTimeout(120_000);
  const hand = new BenchHand(page);
  await takenIn(page, hand, "hose reel", "Turns, and nothing winds up.");
  await layDown(page, hand, 1, "side cover", "3x TX20 12 M4");
  await layDown(page, hand, 2, "crank gear", "1 pin 18");
  await stripDone(page, hand);
  await hand.button(/Add a screw, a pin/).click();
  await page.getByLabel("Which piece").selectOption({ index: 1 });
  await hand.button(/Add it to the parts/).click();
  const parts = page.getByRole("region", { name: "Parts" });
  await parts.getByRole("button", { name: /^pin/ }).click();
  await expect(page.getByLabel("What it is").locator("option:checked")).toHaveText("pin");
  await hand.button(/sheared off/).click();
  await expect(hand.button(/✓ Goes back new/)).toBeVisible();
  await hand.button(/On to Match/).click();
  await page.waitForURL(/match$/);
  await hand.button(/Got it from/).click();
  await hand.button(/the counter/).click();
  await page.getByLabel("Where, and what it says on it").fill("Ombray Tools, dowel 3 × 18");
  await page.getByLabel(/What the customer pays/).fill("much");
  await hand.button(/That is where it comes from/).click();
  await expect(page.getByText("Write it as an amount: 249 or 249.50")).toBeVisible();
  await hand.reload();
  await hand.button(/Got it from/).click();
  await expect(page.getByLabel("Where, and what it says on it")).toHaveValue("Ombray Tools, dowel 3 × 18");
  await page.getByLabel(/What the customer pays/).fill("1,20");
  await hand.button(/That is where it comes from/).click();
  await expect(
    page.getByRole("heading", { name: "bought at the counter, Ombray Tools, dowel 3 × 18" }),
  ).toBeVisible();
  await hand.button(/On to Lube/).click();
  await page.waitForURL(/lube$/);
  await homeWithoutGrease(page, hand, /runs dry by design/);
  const sheet = page.getByRole("article");
  await expect(sheet).toContainText("sheared off");
  await expect(sheet).toContainText("bought at the counter, Ombray Tools, dowel 3 × 18");
  await expect(sheet).toContainText("1.20");
  await expect(sheet).toContainText("it runs dry by design");
});

test("a service only: nothing failed, oil by the drop, and the sheet says so", async ({ page }) => {
  test.setTimeout(120_000);
  const hand = new BenchHand(page);
  await takenIn(page, hand, "desk fan", "Once a year, please.");
  await layDown(page, hand, 1, "front grille", "4x PH2 10 M3");
  await stripDone(page, hand);
  await expect(page.getByText("Say what was found: judge a part, or say that nothing failed.")).toBeVisible();
  await hand.button("Nothing failed: service only").click();
  await hand.button(/On to Match/).click();
  await page.waitForURL(/match$/);
  await expect(page.getByRole("heading", { name: "Nothing goes back new." })).toBeVisible();
  await page.getByRole("link", { name: /Quote the work/ }).click();
  await page.waitForURL(/quote$/);
  await expect(page.getByText("Strip and diagnosis")).toBeVisible();
  await hand.button(/Make the quote/).click();
  await expect(page.getByText("asked, no answer yet")).toBeVisible();
  await page.getByLabel("Who answers").fill("Tamsin Reed");
  await hand.button(/Accepted/).click();
  await expect(page.getByText(/accepted by Tamsin Reed/)).toBeVisible();
  await page.getByRole("link", { name: /Parts/ }).first().click();
  await hand.button(/On to Lube/).click();
  await page.waitForURL(/lube$/);
  // oil that no shelf has, in a chamber made by one press, on a part that came off
  await hand.button(/Another place/).click();
  await hand.button("Where and when: another place").click();
  await hand.button(/Add a point/).click();
  await hand.button("Bush").click();
  await page.getByLabel("On a part that came off").selectOption({ index: 1 });
  await page.getByLabel("Where", { exact: true }).fill("two drops in each bush");
  await hand.button(/Put it there/).click();
  await hand.button(/When and how much: two drops/).click();
  await page.getByLabel("Not from the shelf").fill("light machine oil");
  await page.getByLabel("Not from the shelf").press("Tab");
  await expect(page.getByRole("region", { name: "Behind it: another place" })).toContainText(
    "Bush, light machine oil",
  );
  // a place for which nothing has to come off
  await hand.button(/Another chamber, or/).click();
  await hand.button("Add a chamber: Another place").click();
  await hand.button("How much: another place 2").click();
  await page.getByLabel("Laid open by").selectOption({ label: "nothing: reached from outside" });
  await hand.button("Where and when: another place 2").click();
  await hand.button(/Add a point/).click();
  await hand.button("Small pivot").click();
  await hand.button(/Put it there/).click();
  await expect(page.getByText("Say where it is").first()).toBeVisible();
  await page.getByLabel("Where", { exact: true }).fill("hinge of the neck");
  await hand.button(/Put it there/).click();
  const places = page.getByRole("region", { name: "Behind it: another place 2" });
  await expect(places).toContainText(/Hinge of the neck.*open to the end/s);
  await hand.button(/When and how much: hinge of the neck/).click();
  await page.getByLabel("Not from the shelf").fill("light machine oil");
  await page.getByLabel("Not from the shelf").press("Tab");
  await expect(places).toContainText("Small pivot, light machine oil");
  await hand.button(/Clean first/).click();
  await homeWithoutGrease(page, hand, null);
  const sheet = page.getByRole("article");
  await expect(sheet).toContainText("Nothing failed: a service.");
  await expect(sheet).toContainText("two drops in each bush");
  await expect(sheet).toContainText("hinge of the neck");
  await expect(sheet).toContainText("as Tamsin Reed agreed");
});

test("a supplier, a part and its offer are typed in, the standard set is looked at first, and a job finds them", async ({
  page,
}) => {
  test.setTimeout(120_000);
  const hand = new BenchHand(page);
  const shop = `http://localhost:${PORT}`;
  await hand.open(`${shop}/settings`);
  await page.getByRole("link", { name: /Suppliers/ }).click();
  await page.waitForURL(/suppliers$/);
  await page.getByLabel(/^Shipping/).fill("4,90");
  await hand.button(/Put it in$/).click();
  await expect(page.getByRole("region", { name: "A new supplier" }).getByRole("alert")).toBeVisible();
  await page.getByLabel("Name", { exact: true }).fill("Ombray Parts");
  await hand.button(/Put it in$/).click();
  await expect(page.getByRole("region", { name: "Suppliers" })).toContainText("Ombray Parts");
  await hand.open(`${shop}/parts/part`);
  await page.getByLabel("Number", { exact: true }).fill("OM-7");
  await page.getByLabel("Name", { exact: true }).fill("Reel belt");
  await page.getByLabel("Kind", { exact: true }).selectOption("belt");
  await page.getByLabel("Length, mm").fill("long");
  await hand.button(/Put it in the catalogue/).click();
  await expect(page.getByText('"long" is not a number.')).toBeVisible();
  // nothing typed is lost by a reload
  await hand.reload();
  await expect(page.getByLabel("Name", { exact: true })).toHaveValue("Reel belt");
  await page.getByLabel("Length, mm").fill("412");
  await hand.button(/Put it in the catalogue/).click();
  await page.waitForURL(/number=OM-7$/);
  await page.getByLabel("Supplier", { exact: true }).selectOption("Ombray Parts");
  await page.getByLabel(/^Price of a pack/).fill("3.10");
  await page.getByLabel("Working days until it is here").fill("2");
  await hand.button("Put the offer in").click();
  await expect(
    page.getByRole("region", { name: "Who sells it" }).getByRole("button", { name: /Ombray Parts/ }),
  ).toContainText("3.1");
  await hand.open(`${shop}/parts/tables`);
  await hand.button(/Look at the standard set/).click();
  await expect(page.getByText(/standard set/).first()).toBeVisible();
  await hand.button(/Take .* rows in/).click();
  await expect(page.getByRole("status")).toContainText("standard set is in");
  await hand.open(`${shop}/parts?q=608-2RS`);
  await expect(page.getByRole("list", { name: "Parts found" })).toContainText("Ball bearing 608, two seals");
});
