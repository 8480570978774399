import { expect, type Page, test } from "@playwright/test";
import { JOB_PLACES } from "../demo/shop/places";
import { BenchHand } from "./bench-hand";

test("the board shows the earliest promise first and takes up the next job with one key", async ({
  page,
}) => {
  await new BenchHand(page).open("/");
  const rows = page.getByRole("main").getByRole("listitem");
  await expect(rows.first()).toContainText("today");
  await expect(rows).toHaveCount(await rows.count());
  await expect(page.getByRole("region", { name: "Next for you" }).getByRole("heading")).toContainText(
    "J-0135",
  );
  await page.keyboard.press("Space");
  await page.waitForURL(/J-0135\/hand-back$/);
  await expect(page.getByRole("button", { name: /Yes, checked/ })).toBeVisible();
  await page.keyboard.press("Home");
  await expect(page.getByRole("heading", { name: /^The board/ })).toBeVisible();
});

test("day and night are one key apart, and stay over a reload", async ({ page }) => {
  await new BenchHand(page).open("/");
  await expect(page.locator("html")).toHaveAttribute("data-theme", "day");
  await page.keyboard.press("t");
  await expect(page.locator("html")).toHaveAttribute("data-theme", "night");
  await new BenchHand(page).reload();
  await expect(page.locator("html")).toHaveAttribute("data-theme", "night");
  await page.keyboard.press("t");
});

const SCREENS = [
  "/",
  "/parts",
  "/parts/tables",
  "/settings",
  "/shelf",
  "/suppliers",
  "/hazards",
  "/backup",
  "/people",
  "/customers",
  "/job-files",
  "/pair",
  "/sign-in",
  "/parts/part",
  "/parts/part?number=VLB-42-242",
  "/scan",
  ...["J-0142", "J-0138", "J-0131"].flatMap((job) => JOB_PLACES.map((place) => `/jobs/${job}/${place}`)),
  ...[
    "J-0144/take-in",
    "J-0143/strip",
    "J-0137/match",
    "J-0140/lube",
    "J-0140/rebuild",
    "J-0140/rebuild/plan",
    "J-0140/rebuild/paper",
    "J-0135/hand-back",
    "J-0142/judge/gear/p7",
  ].map((at) => `/jobs/${at}`),
];

test("every screen of the demo shop opens without an error, its buttons large enough for a glove, its text standing out by day and by night", async ({
  page,
}) => {
  const errors: string[] = [];
  page.on("pageerror", (e) => errors.push(e.message));
  page.on("console", (m) => m.type() === "error" && errors.push(m.text()));
  for (const path of SCREENS) {
    await new BenchHand(page).open(path);
    // a basket is still being worked out when its page stands
    await expect(page.getByRole("progressbar")).toHaveCount(0, { timeout: 60_000 });
    const low = await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>(".key-button")]
        .filter((b) => b.offsetParent && b.getBoundingClientRect().height < 48)
        .map((b) => b.textContent),
    );
    expect.soft(low, path).toEqual([]);
    // colours that fade over would be read half-way
    await page.addStyleTag({
      content: "*, ::before, ::after { transition: none !important; animation: none !important }",
    });
    for (const theme of ["day", "night"]) {
      await page.evaluate((t) => document.documentElement.setAttribute("data-theme", t), theme);
      const { contrast, text } = await faintest(page);
      expect.soft(contrast, `${path} by ${theme}: ${text}`).toBeGreaterThan(4.5);
    }
  }
  expect(errors).toEqual([]);
});

/** The text that stands out least from what it lies on, with its contrast (WCAG 2). */
function faintest(page: Page): Promise<{ contrast: number; text: string }> {
  return page.evaluate(() => {
    const canvas = document.createElement("canvas").getContext("2d", { willReadFrequently: true });
    const known = new Map<string, number[]>();
    const rgb = (colour: string): number[] => {
      const before = known.get(colour);
      if (before) return before;
      if (!canvas) return [0, 0, 0, 0];
      canvas.clearRect(0, 0, 1, 1);
      canvas.fillStyle = colour;
      canvas.fillRect(0, 0, 1, 1);
      const read = [...canvas.getImageData(0, 0, 1, 1).data];
      known.set(colour, read);
      return read;
    };
    const light = ([r, g, b]: number[]): number => {
      const f = (c: number): number =>
        c / 255 <= 0.03928 ? c / 255 / 12.92 : ((c / 255 + 0.055) / 1.055) ** 2.4;
      return 0.2126 * f(r as number) + 0.7152 * f(g as number) + 0.0722 * f(b as number);
    };
    let min = { contrast: 21, text: "" };
    for (const el of document.querySelectorAll("main *")) {
      const own = [...el.childNodes].some((n) => n.nodeType === 3 && n.textContent?.trim());
      if (!own || !(el as HTMLElement).offsetParent) continue;
      let under: Element | null = el;
      while (under && (rgb(getComputedStyle(under).backgroundColor)[3] ?? 0) < 250)
        under = under.parentElement;
      const a = light(rgb(getComputedStyle(el).color));
      const b = light(rgb(getComputedStyle(under ?? document.body).backgroundColor));
      const contrast = (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
      if (contrast < min.contrast) min = { contrast, text: el.textContent ?? "" };
    }
    return min;
  });
}

test("nothing of a stage screen is cut off, large or small: the main action is in sight, and nothing runs out at the side", async ({
  page,
}) => {
  for (const [path, action] of [
    ["/jobs/J-0144/take-in", /On to Strip/],
    ["/jobs/J-0143/strip", /Lay it down/],
    ["/jobs/J-0142/judge", /On to Match/],
    ["/jobs/J-0142/judge/gear/p7", /Accept/],
    ["/jobs/J-0142/judge/train", /Add a mesh/],
    ["/jobs/J-0142/judge/why", /This was it/],
    ["/jobs/J-0142/judge/hardware", /Note it/],
    ["/jobs/J-0137/match", /Take this one/],
    ["/jobs/J-0138/match/quote", /Make the quote/],
    ["/jobs/J-0140/rebuild", /Done|Yes/],
    ["/jobs/J-0135/hand-back", /Yes, checked/],
  ] as const) {
    await new BenchHand(page).open(path);
    for (const [width, height] of [
      [1280, 800],
      [1024, 768],
    ] as const) {
      await page.setViewportSize({ width, height });
      const at = `${path} at ${width}x${height}`;
      const box = await page.getByRole("button", { name: action }).first().boundingBox();
      expect(box, at).not.toBeNull();
      expect((box?.y ?? 900) + (box?.height ?? 0), at).toBeLessThanOrEqual(height);
      expect((box?.x ?? 9999) + (box?.width ?? 0), at).toBeLessThanOrEqual(width);
      expect(await page.evaluate(() => document.documentElement.scrollWidth), at).toBeLessThanOrEqual(width);
    }
  }
});

test("teeth are marked by keyboard, and a mark is taken away again", async ({ page }) => {
  await new BenchHand(page).open("/jobs/J-0142/judge/gear/p7");
  await page.keyboard.press("4");
  await page.getByRole("button", { name: "Tooth 1", exact: true }).focus();
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("button", { name: "Tooth 3, knife" })).toBeVisible();
  await new BenchHand(page).reload();
  await expect(page.getByRole("button", { name: "Tooth 3, knife" })).toBeVisible();
  await page.keyboard.press("4");
  await expect(page.locator("button[aria-keyshortcuts='4']")).toHaveAttribute("aria-pressed", "true");
  await page.getByRole("button", { name: "Tooth 3, knife" }).click();
  await expect(page.getByRole("button", { name: "Tooth 3", exact: true })).toBeVisible();
});

test("readings of one dimension are averaged, shown in inches at a key, and struck", async ({ page }) => {
  await new BenchHand(page).open("/jobs/J-0142/judge/gear/p7");
  const take = async (value: string): Promise<void> => {
    await page.getByLabel("Face width, mm", { exact: true }).fill(value);
    await page.getByLabel("Face width, mm", { exact: true }).press("Enter");
    await expect(page.getByLabel("Face width, mm", { exact: true })).toHaveValue("");
  };
  await take("11.00");
  await take("11.04");
  await expect(page.getByText(/mean of 2/)).toBeVisible();
  await expect(page.getByLabel("Face width, reading")).toHaveText("11.02");
  // an Enter with nothing typed leaves the field, and the keys work again
  await page.keyboard.press("Enter");
  await page.keyboard.press("u");
  await expect(page.getByLabel("Face width, reading")).toHaveText("0.4339");
  await page.getByRole("button", { name: "Strike Face width" }).click();
  await expect(page.getByLabel("Face width, reading")).toHaveText("–");
  await page.getByLabel("Bore, in", { exact: true }).fill("5/16");
  await page.getByLabel("Bore, in", { exact: true }).press("Enter");
  await expect(page.getByLabel("Bore, reading")).toHaveText("0.3125");
  await page.getByLabel("Bore, in", { exact: true }).fill("99");
  await page.getByLabel("Bore, in", { exact: true }).press("Enter");
  await expect(page.getByText(/a bore of 2514.6 mm cannot be/i).first()).toBeVisible();
  await page.getByRole("button", { name: "Strike Bore" }).click();
  await expect(page.getByLabel("Bore, reading")).toHaveText("–");
});

test("a last check with a figure beyond its limit does not let the unit out", async ({ page }) => {
  const hand = new BenchHand(page);
  await new BenchHand(page).open("/jobs/J-0135/hand-back");
  await hand.button(/Yes, checked/).click();
  await expect(page.getByRole("heading", { name: /^Cord flexed from end to end/ })).toBeVisible();
  await hand.button(/Yes, checked/).click();
  const figure = page.getByLabel(/^Figure/);
  await figure.fill("abc");
  await hand.button(/Enter the figure/).click();
  await expect(page.getByText("Give the figure in Ω.")).toBeVisible();
  await figure.fill("0.8");
  await hand.button(/Enter the figure/).click();
  await expect(page.getByText(/above the limit of 0.3 Ω: it must not go out/).first()).toBeVisible();
  await new BenchHand(page).reload();
  await expect(page.getByRole("heading", { name: /^Earth bond, with its cord/ })).toBeVisible();
});
