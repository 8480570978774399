/**
 * Makes docs/screenshots/ from the demo data, one picture for each main view. Needs a build (`npm run build`)
 * and Chromium.
 */
import { mkdirSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, type Page } from "@playwright/test";
import { database } from "../src/store/database";
import { CHROMIUM, serveBuilt, stop } from "./serve-built";

const PORT = 4555;
const out = "docs/screenshots";
const data = mkdtempSync(join(tmpdir(), "shots-"));
process.env.DEMONTAGE_DATA = data;

interface Shot {
  readonly name: string;
  readonly path: string;
  readonly night?: boolean;
  readonly before?: (page: Page) => Promise<void>;
}

const shots: Shot[] = [
  { name: "board", path: "/" },
  { name: "take-in", path: "/jobs/J-0135/take-in" },
  { name: "safety-gate", path: "/jobs/J-0141/strip" },
  { name: "judge", path: "/jobs/J-0135/judge" },
  { name: "gear-bench", path: "/jobs/J-0135/judge/gear/p5" },
  {
    name: "gear-picture",
    path: "/jobs/J-0142/judge/gear/p7/picture",
    before: async (page) => {
      await page.getByLabel("Teeth counted").waitFor();
    },
  },
  { name: "why", path: "/jobs/J-0142/judge/why" },
  {
    name: "train",
    path: "/jobs/J-0142/judge/train",
    before: async (page) => {
      await page.keyboard.press("f");
      await page.getByLabel("Swap which gear").selectOption({ label: "41-tooth gear on lay shaft" });
    },
  },
  {
    name: "hardware",
    path: "/jobs/J-0142/judge/hardware",
    before: async (page) => {
      for (const [label, mm] of [["Bore", "8.01"], ["Outside", "21.98"], ["Width", "7.02"]] as const) {
        await page.getByLabel(`${label}, mm`, { exact: true }).fill(mm);
        await page.getByLabel(`${label}, mm`, { exact: true }).press("Enter");
      } // biome-ignore format: a reading a row
      await page.getByLabel("Width, mm", { exact: true }).blur();
    },
  },
  { name: "match", path: "/jobs/J-0135/match" },
  { name: "basket", path: "/jobs/J-0138/match/basket" },
  { name: "arrival", path: "/jobs/J-0138/match/quote", before: async (page) => aWrongPart(page) },
  { name: "lube", path: "/jobs/J-0140/lube" },
  { name: "hand-back", path: "/jobs/J-0135/hand-back" },
  { name: "return-sheet", path: "/jobs/J-0135/hand-back", before: async (page) => tested(page) },
  { name: "rebuild", path: "/jobs/J-0135/rebuild", night: true, before: async (page) => halfWay(page, 10) },
  // after it: what went back is taken off again, and lies on the Mat as it came off
  { name: "strip", path: "/jobs/J-0135/rebuild", before: async (page) => asItCameOff(page, 5) },
  { name: "catalogue", path: "/parts?q=wheel+42" },
  {
    name: "listen",
    path: "/jobs/J-0135/listen",
    before: async (page) => {
      await page.keyboard.press("b");
      await page.getByText(/A knock once a turn/).waitFor();
      await page.getByRole("table", { name: "Before and after" }).waitFor();
    },
  },
];

/** Takes some lines of a finished rebuild back, as `Z` does. */
async function halfWay(page: Page, lines: number): Promise<void> {
  const ledger = page.getByRole("region", { name: "Ledger" });
  for (let i = 0; i < lines; i++) {
    const before = await page.locator("main").textContent();
    await page.keyboard.press("z");
    while ((await page.locator("main").textContent()) === before) await page.waitForTimeout(50);
  }
  await ledger.waitFor();
}

/** Every line of the rebuild taken back, and a step of the strip in hand. */
async function asItCameOff(page: Page, step: number): Promise<void> {
  const mat = page.getByRole("region", { name: "The Mat" });
  const back = mat.getByLabel(/back in the machine/);
  while (await back.count()) await halfWay(page, 1);
  await page.goto(page.url().replace("rebuild", "strip"), { waitUntil: "networkidle" });
  await mat.getByRole("button", { name: new RegExp(`^Step ${step}:`) }).click();
  await page.getByRole("button", { name: /Edit this step/ }).click();
  await page.getByText(`step ${step}: one picture`, { exact: true }).waitFor();
}

const FIGURES: readonly (readonly [unit: RegExp, figure: string])[] = [
  [/Ω/, "0.12"],
  [/MΩ/, "85"],
  [/mA/, "0.1"],
  [/rpm/, "99"],
];

/** The rebuild is finished again, every last check answered, and the sheet opened. */
async function tested(page: Page): Promise<void> {
  const final = page.getByRole("region", { name: "Final check" });
  const heading = final.getByRole("heading").first();
  for (;;) {
    const asked = (await heading.textContent()) ?? "";
    if (asked.includes("All checks")) break;
    const back = final.getByRole("button", { name: "goes back", exact: true, pressed: false });
    while (await back.count()) await back.first().click();
    const ran = final.getByLabel(/^If it ran before/);
    if (await ran.isVisible()) await ran.fill("10");
    const figure = final.getByLabel(/Figure, /);
    if (await figure.isVisible()) {
      const unit = (await final.getByText(/^Figure, /).textContent()) ?? "";
      await figure.fill(FIGURES.findLast(([u]) => u.test(unit))?.[1] ?? "1");
      await figure.press("Enter");
    } else await page.getByRole("button", { name: /Yes, checked/ }).click();
    while ((await heading.textContent()) === asked) await page.waitForTimeout(50);
  }
  await page.getByRole("link", { name: /Return sheet/ }).click();
  await page.waitForURL(/sheet$/);
  await page.getByRole("article").waitFor();
}

/**
 * Quoted, accepted, ordered, days gone by, and the pinion of nine teeth found in the bag of the one of eight.
 */
async function aWrongPart(page: Page): Promise<void> {
  await page.getByRole("button", { name: /Make the quote/ }).click();
  await page.getByRole("button", { name: /Accepted/ }).click();
  await page.getByRole("link", { name: /To the basket/ }).click();
  await page.getByRole("button", { name: /Order it/ }).click();
  await page.waitForURL(/arrival$/);
  await page.getByRole("link", { name: /Basket/ }).click();
  for (const says of [/confirms/, /on the way/, /A parcel from/]) {
    await page.getByRole("button", { name: /working day pass/ }).click();
    await page.getByText(says).first().waitFor();
  }
  await page.getByRole("link", { name: /Compare what is here/ }).click();
  await page.getByRole("button", { name: /Motor pinion 8 teeth/ }).click();
  await page.getByRole("button", { name: /count the teeth/ }).click();
  await page.getByText(/over it what came/).waitFor();
  await page.getByRole("button", { name: /Picture of the new one/ }).click();
  await page.getByRole("button", { name: /Take it/ }).click();
  await page.getByAltText("the new one, as it came").waitFor();
}

const { seed } = await import("../demo/shop/seed");
await seed();
await (await database()).destroy();
mkdirSync(out, { recursive: true });
const server = await serveBuilt(PORT, data);
const browser = await chromium.launch(CHROMIUM);
try {
  const wanted = process.argv.slice(2);
  for (const shot of shots.filter((s) => !wanted.length || wanted.includes(s.name))) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await context.addCookies([
      { name: "theme", value: shot.night ? "night" : "day", url: `http://localhost:${PORT}` },
    ]);
    const page = await context.newPage();
    page.on("pageerror", (e) => console.error(`${shot.name}: ${e.message}`));
    page.on("console", (m) => m.type() === "error" && console.error(`${shot.name}: ${m.text()}`));
    await page.goto(`http://localhost:${PORT}${shot.path}`, { waitUntil: "networkidle" });
    await shot.before?.(page);
    await page.waitForTimeout(400);
    await page.screenshot({ path: join(out, `${shot.name}.png`) });
    console.log(shot.name);
    await context.close();
  }
} finally {
  await browser.close();
  await stop(server);
  rmSync(data, { recursive: true, force: true });
}
