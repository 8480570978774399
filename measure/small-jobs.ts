/**
 * npx tsx measure/small-jobs.ts: what a small job costs the hand, from the counter to its sheet, in the real
 * browser of a shop that is new: open, swap one part that was bought over a counter, close. Keys struck and
 * presses on the screen are counted; the customer's own words are typed, and not counted.
 */
import type { Page } from "@playwright/test";
import { inBrowser } from "./in-browser";

const PORT = 4673;

interface SmallJob {
  readonly kind: string;
  readonly maker: string;
  readonly model: string;
  /** what drives it, and its class where it hangs on the mains */
  readonly runs: string;
  readonly mark?: string;
  readonly words: string;
  /** what came off, each with its hardware; the last is the part that is swapped */
  readonly steps: readonly (readonly [what: string, line: string])[];
  /** how that failed */
  readonly mode: string;
  readonly price: string;
}

const JOBS: readonly SmallJob[] = [
  {
    kind: "desk lamp",
    maker: "Corvane",
    model: "L 2",
    runs: "Mains",
    mark: "II",
    words: "Flickers when it is touched.",
    steps: [
      ["base plate", "3 M3"],
      ["switch", "2 leads off"],
    ],
    mode: "contacts burnt",
    price: "4",
  },
  {
    kind: "hair clipper",
    maker: "Quentar",
    model: "H 4",
    runs: "Battery",
    words: "Dead, sometimes it twitches.",
    steps: [
      ["top shell", "4 M2"],
      ["switch", ""],
    ],
    mode: "does nothing",
    price: "6",
  },
  {
    kind: "tower fan",
    maker: "Velbrant",
    model: "T 9",
    runs: "Mains",
    mark: "II",
    words: "The dog bit through its cord.",
    steps: [
      ["foot", "4 ST3"],
      ["cord", "1 clamp"],
    ],
    mode: "broken",
    price: "7",
  },
];

/** A hand that is counted: keys and presses, but for the customer's words. */
class CountedHand {
  keys = 0;
  presses = 0;
  constructor(readonly page: Page) {}
  async key(...keys: readonly string[]): Promise<void> {
    for (const k of keys) {
      this.keys++;
      await this.page.keyboard.press(k);
      await this.page.waitForTimeout(60);
    }
  }
  async type(text: string): Promise<void> {
    this.keys += text.length;
    await this.page.keyboard.type(text, { delay: 12 });
  }
  async press(name: string | RegExp): Promise<void> {
    this.presses++;
    await this.page
      .getByRole("button", { name, ...(typeof name === "string" ? { exact: true } : {}) })
      .first()
      .click();
    await this.page.waitForTimeout(250);
  }
  async arrived(stage: string): Promise<void> {
    await this.page.waitForURL(new RegExp(`${stage}$`));
    await this.page.waitForTimeout(700);
  }
}

async function takeIn(hand: CountedHand, job: SmallJob): Promise<void> {
  await hand.press(/Take in/);
  await hand.arrived("take-in");
  for (const [field, text] of [
    ["k", job.kind],
    ["m", job.maker],
    ["l", job.model],
  ] as const) {
    await hand.key(field);
    await hand.type(text);
    await hand.key("Enter");
  }
  await hand.key("w");
  await hand.page.keyboard.type(job.words, { delay: 12 });
  await hand.key("Escape");
  await hand.press(job.runs);
  if (job.mark) await hand.press(new RegExp(`^Class ${job.mark},`));
  await hand.key("z", "c");
  await hand.page.getByRole("button", { name: /✓ Consents/ }).waitFor();
  await hand.page.waitForTimeout(900);
  await hand.key(" ");
  await hand.arrived("strip");
}

async function strip(hand: CountedHand, job: SmallJob): Promise<void> {
  const gate = hand.page.getByRole("region", { name: "Safety gate" });
  while (await gate.isVisible()) {
    const asked = await gate.getByRole("heading").textContent();
    await hand.key(" ");
    await hand.page.waitForFunction((was) => document.querySelector("h2")?.textContent !== was, asked);
    await hand.page.waitForTimeout(300);
  }
  for (const [i, [what, line]] of job.steps.entries()) {
    await hand.key("n");
    await hand.type(what);
    await hand.key("Enter");
    if (line) {
      await hand.key("q");
      await hand.type(line);
      await hand.key("Enter");
    }
    const next = hand.page.getByRole("region", { name: `Step ${i + 2}`, exact: true });
    for (let tries = 0; tries < 3 && !(await next.isVisible()); tries++) {
      await hand.key(" ");
      await hand.page.waitForTimeout(700);
    }
    await next.waitFor();
  }
}

/** From the strip to the rebuild: what failed, where the new one is from; nothing else is asked. */
async function decide(hand: CountedHand, job: SmallJob): Promise<void> {
  const { page } = hand;
  const part = job.steps.at(-1)?.[0] ?? "";
  await hand.key("e");
  await page.getByRole("button", { name: /On to Judge/ }).waitFor();
  await hand.key(" ");
  await hand.arrived("judge");
  await hand.press(part);
  await hand.press(new RegExp(job.mode));
  await page.getByRole("button", { name: /On to Match/ }).waitFor();
  await page.waitForTimeout(500);
  await hand.key(" ");
  await hand.arrived("match");
  await hand.press(/^F/);
  await page.getByLabel("In one line").focus();
  await hand.type(`counter, ${job.price}`);
  await hand.key("Enter");
  await page.waitForTimeout(700);
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await hand.key("Enter");
  await hand.arrived("lube");
  await hand.key(" ");
  await hand.arrived("rebuild");
}

/** Rebuild and last checks, each by its key; then home. */
async function home(hand: CountedHand): Promise<number> {
  const { page } = hand;
  const on = page.getByRole("button", { name: /On to Hand back/ });
  for (let i = 0; i < 20 && !(await on.isEnabled().catch(() => false)); i++) {
    await hand.key(" ");
    await page.waitForTimeout(500);
  }
  await hand.key(" ");
  await hand.arrived("hand-back");
  const final = page.getByRole("region", { name: "Final check" });
  const heading = final.getByRole("heading").first();
  let checks = 0;
  for (; checks < 12; checks++) {
    const asked = (await heading.textContent()) ?? "";
    if (asked.startsWith("All checks")) break;
    const figure = final.getByLabel(/^Figure/);
    const ran = final.getByLabel(/^If it ran/);
    if (await figure.isVisible()) {
      await figure.focus();
      await hand.type((await final.getByText(/^Figure/).textContent())?.includes("MΩ") ? "30" : "0.1");
      await hand.key("Enter");
    } else if (await ran.isVisible()) {
      await ran.focus();
      await hand.type("5");
      await hand.key("Enter");
    } else await hand.key(" ");
    await page.waitForFunction((was) => document.querySelector("h2")?.textContent !== was, asked);
    await page.waitForTimeout(300);
  }
  await hand.press("signs on paper");
  await hand.key(" ");
  await page.getByText("Handed back.", { exact: true }).waitFor();
  return checks;
}

/** Printed at 0.78 and without its screen margins on A4, px. */
const shareOfPage = (px: number): number => (0.78 * (px - 72)) / 1009;

await inBrowser(
  PORT,
  async () => undefined,
  async (page, base) => {
    page.setDefaultTimeout(8000);
    for (const job of JOBS) {
      const hand = new CountedHand(page);
      await page.goto(`${base}/`);
      await page.waitForTimeout(1200);
      await takeIn(hand, job);
      await strip(hand, job);
      await decide(hand, job);
      const checks = await home(hand);
      await page.goto(page.url().replace(/hand-back$/, "sheet?form=short"));
      const sheet = await page.getByRole("article").boundingBox();
      console.log(
        `${job.kind}: ${hand.keys} keys, ${hand.presses} presses, ${checks} last checks, ` +
          `a sheet of ${(shareOfPage(sheet?.height ?? 0)).toFixed(2)} pages; aim: under 200, 12, 4 to 6, half a page`,
      );
    }
  },
);
