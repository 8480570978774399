import { mkdtempSync, readdirSync, rmSync, truncateSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { serveBuilt, stop } from "../scripts/serve-built";
import { BenchHand } from "./bench-hand";
import { cli } from "./units";

const PORT = 4672;
const shop = `http://localhost:${PORT}`;
let folder = "";
let server: Awaited<ReturnType<typeof serveBuilt>> | undefined;
const begin = async (): Promise<void> => {
  server = await serveBuilt(PORT, folder);
};
const end = async (): Promise<void> => {
  if (server) await stop(server);
  server = undefined;
};
test.beforeEach(async () => {
  folder = join(mkdtempSync(join(tmpdir(), "faults-")), "shop");
  await begin();
});
test.afterEach(async () => {
  await end();
  rmSync(join(folder, ".."), { recursive: true, force: true });
});

test("a shop that goes away is seen before anything is tried; the page in hand stays, and goes on when it is back", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.open(shop);
  await hand.button(/Take in/).click();
  await page.waitForURL(/take-in$/);
  await hand.write("Kind of unit", "sock knitter");
  await page.evaluate(() => navigator.serviceWorker.ready);
  const bar = page.getByRole("alert", { name: "The shop’s computer" });
  await expect(bar).toHaveCount(0);
  await end();
  await expect(bar).toContainText("does not answer", { timeout: 20_000 });
  // typed meanwhile, and a way to another screen pressed
  await page.getByLabel("Maker", { exact: true }).fill("Corvane");
  await page.getByRole("link", { name: /The board/ }).click();
  await page.waitForTimeout(1500);
  await expect(page.getByLabel("Kind of unit")).toHaveValue("sock knitter");
  // loaded anew, it is our own page that says so, and not the browser's
  await page.reload();
  await expect(page.getByRole("heading", { name: "The shop’s computer does not answer." })).toBeVisible();
  await begin();
  await expect(page.getByLabel("Maker", { exact: true })).toHaveValue("Corvane", { timeout: 20_000 });
  await hand.saved();
  await hand.reload();
  await expect(page.getByLabel("Maker", { exact: true })).toHaveValue("Corvane");
});

test("a page that broke off on its way comes back by itself", async ({ browser }) => {
  // what fetches pages beside the page would hide them from the test
  const context = await browser.newContext({ serviceWorkers: "block" });
  const page = await context.newPage();
  const hand = new BenchHand(page);
  await hand.open(shop);
  await hand.button(/Take in/).click();
  await page.waitForURL(/take-in$/);
  await hand.write("Kind of unit", "sock knitter");
  const address = page.url();
  await page.goto(shop);
  let parts = [0.3, 0.9];
  await page.route(address, async (route) => {
    const part = route.request().resourceType() === "document" ? parts[0] : undefined;
    if (part === undefined) return route.fallback();
    parts = parts.slice(1);
    const whole = await route.fetch();
    const text = await whole.text();
    await route.fulfill({ response: whole, body: text.slice(0, Math.round(text.length * part)) });
  });
  await page.goto(address);
  await expect(page.getByText("One moment …")).toBeVisible();
  // the second looks whole and hears nothing: what is typed into it is not lost
  await page.getByLabel("Kind of unit").fill("stocking knitter", { timeout: 20_000 });
  expect(parts).toEqual([]);
  await page.waitForEvent("load", { timeout: 20_000 });
  await expect(page.getByLabel("Kind of unit")).toHaveValue("stocking knitter");
  await page.waitForTimeout(2000);
  await hand.open(address);
  await expect(page.getByLabel("Kind of unit")).toHaveValue("stocking knitter");
  await context.close();
});

test("a shop whose database is gone says so on every screen, and comes back from the back-up that was made by a press", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.open(shop);
  await hand.button(/Take in/).click();
  await page.waitForURL(/take-in$/);
  const job = page.url();
  await hand.write("Kind of unit", "sock knitter");
  await hand.open(`${shop}/backup`);
  await expect(page.getByRole("status", { name: "Last good back-up" })).toContainText("never backed up");
  await hand.button(/Back up now/).click();
  await expect(page.getByRole("region", { name: "Back-ups" })).toContainText("1 jobs, 0 pictures");
  await expect(page.getByRole("status", { name: "Last good back-up" })).toContainText("Last good back-up:");
  await page.getByLabel(/^Folder/).fill("somewhere");
  await page.getByLabel(/^Folder/).blur();
  await expect(page.getByRole("alert").filter({ hasText: "Write the whole path" })).toBeVisible();
  await end();
  for (const f of readdirSync(folder).filter((n) => n.startsWith("shop.sqlite")))
    truncateSync(join(folder, f), 0);
  await begin();
  await page.goto(shop);
  await expect(page.getByRole("heading", { name: "The shop cannot be opened." })).toBeVisible();
  await expect(page.locator("body")).toContainText(
    "is empty, 0 bytes, though a shop was begun here. No new shop is begun where one was.",
  );
  await end();
  const [name = ""] = readdirSync(`${folder}-backups`);
  expect(JSON.parse(cli(["restore", join(`${folder}-backups`, name)], folder))).toMatchObject({ jobs: 1 });
  await begin();
  await hand.open(job);
  await expect(page.getByLabel("Kind of unit")).toHaveValue("sock knitter");
});

test("a job file is taken in by a press, and refused with its place", async ({ page }) => {
  const hand = new BenchHand(page);
  await hand.open(`${shop}/job-files`);
  const file = (json: unknown, name = "job.json") => ({
    name,
    mimeType: "application/json",
    buffer: Buffer.from(JSON.stringify(json)),
  });
  const sound = {
    format: "demontage-job",
    version: 1,
    job: { number: "J-2027" },
    unit: { kind: "bobbin winder" },
    parts: [{ id: "Rad Ü 1/2", name: "wheel", kind: "gear" }],
    steps: [{ id: "s1", action: "pull", parts: ["Rad Ü 1/2"] }],
  };
  const chooser = page.getByLabel("Job file", { exact: true });
  await chooser.setInputFiles(file({ ...sound, x: { bench: { job: { handedBackAt: "never" } } } }));
  await expect(page.getByRole("alert").filter({ hasText: "handedBackAt" })).toContainText(
    "X.bench.job.handedBackAt: is no moment",
  );
  await chooser.setInputFiles(file(sound));
  await expect(page.getByRole("status").filter({ hasText: "It is in as" })).toContainText("J-2027");
  await chooser.setInputFiles(file(sound));
  await expect(page.getByRole("alert").filter({ hasText: "already" })).toBeVisible();
  await hand.button(/under the next number/).click();
  await expect(page.getByRole("status").filter({ hasText: "It is in as" })).toContainText("J-0001");
  // a part that is called as no address is, on every screen that has one of its own
  for (const place of [
    "judge/gear/~UmFkIMOcIDEvMg",
    "judge/gear/~UmFkIMOcIDEvMg/picture",
    "match/make/~UmFkIMOcIDEvMg",
  ]) {
    const answer = await page.goto(`${shop}/jobs/J-2027/${place}`);
    expect(answer?.status()).toBe(200);
    await expect(page.locator("body")).toContainText(/wheel/i);
  }
});
