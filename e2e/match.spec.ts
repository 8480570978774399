import { writeFileSync } from "node:fs";
import { expect, type Page, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";
import { copyOf, juicerCopy } from "./units";

const arrived = (page: Page, name: RegExp) =>
  page.getByRole("region", { name: "Arrived" }).getByRole("button", { name });
const compared = async (page: Page, label: string, value: string): Promise<void> => {
  const field = page.getByLabel(label, { exact: true });
  await field.fill(value);
  await field.press("Enter");
  await expect(page.getByLabel(`${label}, as it is`)).toContainText(value);
};

test("a wheel that is superseded by one of another tooth count: pinion, cross pins and felt carrier come with it, the kit is cheapest, one part arrives wrong and is caught", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  const number = await copyOf("J-0138");

  await test.step("the old number, misread, leads to the wheel that takes its place", async () => {
    await hand.open(`/jobs/${number}/match`);
    const candidates = page.getByRole("region", { name: "Candidates" });
    await expect(candidates.getByRole("button").first()).toContainText(
      /VLB-42-242.*Only with its companions/,
    );
    await page.getByLabel("Number on the part").fill("VLB 4O 24I");
    await expect(page.getByRole("rowheader", { name: "part number" })).toBeVisible();
    await expect(page.getByRole("row", { name: /^part number/ })).toContainText(
      "replaces VLB-40-241: together with pinion VLB-42-108",
    );
    await expect(page.getByRole("row", { name: /^teeth/ })).toContainText(
      "42 teeth instead of 41: only together with VLB-42-108 (8 teeth); the old 9-tooth gear must go",
    );
    await expect(page.getByRole("row", { name: /^output speed/ })).toContainText(
      "13.2 % slower, 61.5 rpm instead of 70.9",
    );
    await candidates.getByRole("button", { name: /^VLB-40-241\s?Second/ }).click();
    await expect(page.getByRole("row", { name: /^availability/ })).toContainText(
      "discontinued, and none is left",
    );
    await candidates.getByRole("button", { name: /^VLB-42-242/ }).click();
    await hand.button(/Take this one/).click();
    // the pinion is chosen with it
    await expect(page.getByRole("region", { name: "To replace" })).toContainText("○ VLB-42-108, to order");
    // the next part is shown, with its own criteria and nothing of the wheel's companions
    await expect(page.getByRole("row", { name: /^outside/ })).toBeVisible();
    await expect(page.getByRole("row", { name: /^comes with/ })).toHaveCount(0);
  });

  await test.step("the basket: the kit beats the single parts; the soonest costs more", async () => {
    await page.getByRole("link", { name: /To the basket/ }).click();
    const basket = page.getByRole("region", { name: "Basket" });
    await expect(basket).toContainText("48.40 €");
    await expect(basket.getByRole("region", { name: "Nordhav Spares" })).toContainText("VLB-42-901");
    await expect(basket).toContainText("2 × VLB-42-018");
    await expect(basket).toContainText("VLB-42-021");
    await expect(basket).toContainText(/Left over for stock:.*2 × Dowel, cover, four-rib/);
    await expect(
      page.getByRole("list", { name: "Alternatives" }).getByRole("listitem").first(),
    ).toContainText("19.30 € dearer");
    await hand.button(/^2 Soonest$/).click();
    await expect(basket).toContainText("here tomorrow");
    await expect(basket.getByRole("region", { name: "Quickmoor Parts" })).toBeVisible();
    await hand.button(/^1 Cheapest$/).click();
    await expect(basket).toContainText("48.40 €");
    await expect(page.getByText("Above the limit: ask the customer first.")).toBeVisible();
  });

  await test.step("the quote is asked, and accepted by somebody", async () => {
    await page.getByRole("link", { name: /To the quote/ }).click();
    await hand.button(/Make the quote/).click();
    const who = page.getByLabel("Who answers");
    await who.fill("");
    await hand.button(/^A Accepted/).click();
    await expect(page.getByText("Say who answered").first()).toBeVisible();
    await who.fill("Mr Wendell");
    await hand.button(/^A Accepted/).click();
    await expect(page.getByRole("list", { name: "Asked" })).toContainText("✓ accepted by Mr Wendell");
    await page.getByRole("link", { name: /The sheet/ }).click();
    await expect(page.getByRole("article")).toContainText("Accepted by Mr Wendell");
    await expect(page.getByRole("article")).toContainText("If you decline, 30.00 €");
    await page.keyboard.press("Escape");
  });

  await test.step("ordered, confirmed, on its way, here", async () => {
    await page.getByRole("link", { name: /To the basket/ }).click();
    await hand.button(/Order it/).click();
    await page.waitForURL(/arrival$/);
    await expect(arrived(page, /./)).toHaveCount(2);
    await page.getByRole("link", { name: /^N Basket/ }).click();
    // ordered by mistake: taken back, and ordered again
    await hand.button(/Take the order back/).click();
    await hand.button(/Order it/).click();
    await page.waitForURL(/arrival$/);
    await page.getByRole("link", { name: /^N Basket/ }).click();
    // the one that was taken back keeps its reference at the supplier
    const order = page.getByRole("article", { name: `Order ${number}/2` });
    await expect(order).toContainText("placed");
    for (const says of ["confirms", "on the way", "A parcel from Nordhav Spares"]) {
      await hand.button(/Let a working day pass/).click();
      await expect(order).toContainText(says);
    }
    await page.getByRole("link", { name: /Compare what is here \(6\)/ }).click();
  });

  await test.step("nine teeth for eight: the pinion goes back, with its picture and the reason", async () => {
    await arrived(page, /Motor pinion 8 teeth/).click();
    await expect(page.getByRole("status", { name: "What it comes to" })).toContainText(
      "Still to be measured: teeth",
    );
    await page.getByLabel("teeth", { exact: true }).fill("nein");
    await page.getByLabel("teeth", { exact: true }).press("Enter");
    await expect(page.getByText("“nein” is not a count.")).toBeVisible();
    await page.getByLabel("teeth", { exact: true }).fill("");
    for (const wrong of ["-3", "eight"]) {
      await page.getByLabel("bore", { exact: true }).fill(wrong);
      await page.getByLabel("bore", { exact: true }).press("Enter");
      await expect(page.getByText(`“${wrong}” is not a measure.`)).toBeVisible();
    }
    await page.getByLabel("bore", { exact: true }).fill("");
    // called away in the middle of a figure: it is there again
    await page.getByLabel("tip diameter", { exact: true }).fill("12.");
    await hand.reload();
    await arrived(page, /Motor pinion 8 teeth/).click();
    await expect(page.getByLabel("tip diameter", { exact: true })).toHaveValue("12.");
    await page.getByLabel("tip diameter", { exact: true }).fill("");
    await hand.button(/Practice caliper: count the teeth/).click();
    await expect(page.getByLabel("teeth, as it is")).toContainText("9 ✕");
    await expect(page.getByText("should be 8 teeth; over it what came, 9")).toBeVisible();
    await hand.button(/Picture of the new one/).click();
    await hand.button(/Take it/).click();
    await expect(page.getByAltText("the new one, as it came")).toBeVisible();
    await page.getByLabel("Why it goes back").fill("nine teeth for eight");
    await hand.button(/Send it back, and order it again/).click();
    await expect(arrived(page, /Motor pinion.*sent back/)).toBeVisible();
  });

  await test.step("the right one comes, is compared and accepted; the bearing gets a service in the rebuild plan", async () => {
    await page.getByRole("link", { name: /^N Basket/ }).click();
    const again = page.getByRole("article", { name: `Order ${number}/3` });
    await expect(again).toContainText("in place of what came wrong");
    for (const says of ["confirms", "A parcel from"]) {
      while (!(await again.textContent())?.includes(says)) {
        await hand.button(/Let a working day pass/).click();
        await page.waitForTimeout(400);
      }
    }
    await page.getByRole("link", { name: /^K Arrived/ }).click();
    await arrived(page, /Motor pinion.*to compare/).click();
    for (const [label, value] of [
      ["teeth", "8"],
      ["tip diameter", "11.22"],
      ["face width", "14.02"],
      ["bore", "6.01"],
    ] as const)
      await compared(page, label, value);
    await expect(page.getByRole("status", { name: "What it comes to" })).toContainText(
      "The figures are as they should be",
    );
    await hand.button(/^Space Accept it/).click();
    await expect(arrived(page, /Motor pinion.*✓ accepted/)).toBeVisible();
    await arrived(page, /Ball bearing/).click();
    for (const [label, value] of [
      ["bore", "8.01"],
      ["outside", "21.98"],
      ["width", "7"],
    ] as const)
      await compared(page, label, value);
    await expect(page.getByText(/Before it goes in: pull the seal that faces the case/)).toBeVisible();
    await hand.button(/Accept it, with the rework/).click();
    await expect(arrived(page, /Ball bearing.*with rework/)).toBeVisible();
    await hand.open(`/jobs/${number}/sheet`);
    const sheet = page.getByRole("article");
    await expect(sheet).toContainText(/Motor pinion 8 teeth\s*Nordhav Spares, lot L\d{5}/i);
    await expect(sheet).toContainText("192.13 €");
    await expect(sheet).toContainText("608-2RS: pull the seal that faces the case");
    await hand.open(`/jobs/${number}/match`);
    await expect(page.getByText(/Compare with the old one before it is fitted/)).toBeVisible();
  });
});

test("a quote that is declined orders nothing; a gear that cannot be had is made from its numbers", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  const number = await copyOf("J-0138");
  await hand.open(`/jobs/${number}/match/quote`);
  const unit = page.getByLabel("What a new unit costs, €");
  await unit.fill("about 300");
  await expect(page.getByText(/write it as an amount/i).first()).toBeVisible();
  await unit.fill("150");
  await expect(page.getByText(/12\d % of what a new one costs/)).toBeVisible();
  await hand.button(/Make the quote/).click();
  await page.getByLabel("Who answers").fill("Mr Wendell");
  await hand.button(/^X Declined/).click();
  await expect(page.getByRole("list", { name: "Asked" })).toContainText("✕ declined by");
  await hand.open(`/jobs/${number}/match/basket`);
  await expect(page.getByText("The customer declined. Nothing is ordered.")).toBeVisible();
  await expect(hand.button(/Order it/)).toHaveCount(0);

  await hand.open(`/jobs/${number}/match/make/p7`);
  await expect(page.getByRole("article", { name: "Bond it" })).toContainText("a bonded tooth shears off");
  await expect(page.getByRole("region", { name: "To be made" })).toContainText("18° right");
  for (const as of ["SVG", "DXF", "STL"]) {
    const coming = page.waitForEvent("download");
    await page.getByRole("link", { name: new RegExp(`^${as}`) }).click();
    expect((await coming).suggestedFilename()).toBe(`${number}-p7-41-teeth.${as.toLowerCase()}`);
  }
  // it is made here: that is where it comes from
  await hand.button(/It is made here/).click();
  await page.waitForURL(/match$/);
  await expect(page.getByRole("region", { name: "To replace" })).toContainText("✓ made here");
  // the second of this model finds the one that was given up
  const second = await copyOf("J-0138");
  await hand.open(`/jobs/${second}/match/make/p7`);
  await expect(page.getByRole("article", { name: "Take it from another unit" })).toContainText(
    /1 of this model was not repaired here/,
  );
  await expect(
    page.getByRole("link", { name: new RegExp(`${number}: the customer declined`) }),
  ).toBeVisible();
  await hand.open(`/jobs/${second}/match/make/p9`);
  await expect(page.getByText(/Only gears are drawn for making/)).toBeVisible();
});

test("a search for the basket that takes long is stopped, and what it had by then stands with what is not known of it", async ({
  page,
}) => {
  // the last word of the search is kept back, as though it took very long
  await page.addInitScript(() => {
    const page = window as unknown as { Worker: typeof Worker; holds: boolean };
    page.holds = true;
    page.Worker = class extends page.Worker {
      override set onmessage(tell: (e: MessageEvent) => void) {
        super.onmessage = (e: MessageEvent) => {
          if (!(page.holds && typeof e.data === "object" && e.data !== null && "found" in e.data)) tell(e);
        };
      }
    };
  });
  const hand = new BenchHand(page);
  await hand.open(`/jobs/${await copyOf("J-0138")}/match/basket`);
  await expect(page.getByText(/A complete set is found/)).toBeVisible();
  await hand.button(/Stop$/).click();
  const basket = page.getByRole("region", { name: "Basket" });
  await expect(basket).toContainText(
    "Stopped: no complete set is cheaper; whether one at this price is had sooner was not looked at to the end.",
  );
  await expect(basket).toContainText("What goes where");
  await page.evaluate(() => Object.assign(window, { holds: false }));
  await hand.button(/Look again/).click();
  await expect(page.getByText(/^Stopped/)).toHaveCount(0);
  await expect(basket).toContainText("What goes where");
});

test("parts are found as they are typed; a table is looked through, taken in, and taken back", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.open("/parts");
  const found = page.getByRole("list", { name: "Parts found" });
  await page.keyboard.type("wheel press");
  await expect(found.getByRole("listitem").first()).toContainText("Second-stage wheel");
  await page.getByLabel("Look for").fill("VLB-42-9O1");
  await expect(found.getByRole("listitem")).toHaveCount(1);
  await expect(page.getByRole("region", { name: "Holds" })).toContainText("for variant four-rib only");
  await page.getByRole("region", { name: "Holds" }).getByRole("button", { name: "VLB-42-242" }).click();
  await expect(page.getByRole("region", { name: "Does not work with" })).toContainText("VLB-40-109");
  await page.getByLabel("Look for").fill("zzzz");
  await expect(page.getByText(/Nothing matches/)).toBeVisible();

  await page.getByRole("link", { name: "Tables in and out" }).click();
  const file = "test-results/prices.csv";
  writeFileSync(
    file,
    "number~name~kind~price\nE2E-1~Zebra idler~kit~9,50\nE2E-2~=cmd()~kit~1\nE2E-3~bad~cog~1\nE2E-4~half",
  );
  await page.getByLabel("A table as CSV").setInputFiles(file);
  await expect(page.getByText(/has only one column/)).toBeVisible();
  writeFileSync(
    file,
    "number;name;kind;price\nE2E-1;Zebra idler;kit;9,50\nE2E-2;=cmd();kit;1\nE2E-3;bad;cog;1\nE2E-4;half",
  );
  await hand.button(/Leave it/).click();
  await page.getByLabel("A table as CSV").setInputFiles(file);
  await expect(page.getByRole("region", { name: "Left out" })).toContainText(
    /row 4\s*kind: "cog" is no kind of part/,
  );
  await expect(page.getByRole("region", { name: "Left out" })).toContainText(
    /row 5\s*ends after 2 of 4 cells/,
  );
  await hand.button(/Take 2 rows in/).click();
  await expect(page.getByText("prices.csv is in: 2 new, 0 changed, 2 left out.")).toBeVisible();
  const out = await page.request.get("/api/parts/table/parts");
  expect(await out.text()).toContain("E2E-2,'=cmd(),kit");
  await hand.open("/parts?q=zebra");
  await expect(found.getByRole("listitem").first()).toContainText("E2E-1");
  await hand.open("/parts/tables");
  await hand.button(/Take it back/).click();
  await expect(page.getByText("prices.csv is taken back: 2 rows are as before.")).toBeVisible();
  await hand.open("/parts?q=zebra");
  await expect(found.getByRole("listitem")).toHaveCount(0);

  await hand.open("/settings");
  const hour = page.getByLabel(/An hour at the bench/);
  await hour.fill("sixty");
  await expect(page.getByText("“sixty” is not a figure: write it as 60 or 7.50.")).toBeVisible();
  // what could not be saved is not lost by a reload either
  await hand.reload();
  await expect(hour).toHaveValue("sixty");
  await expect(page.getByText("“sixty” is not a figure: write it as 60 or 7.50.")).toBeVisible();
  await hour.fill("60");
  await expect(page.getByText(/is not a figure/)).toHaveCount(0);
  await page.getByLabel(/Minimum time charged/).fill("16");
  await expect(page.getByRole("img", { name: "saved" })).toBeVisible();
  await hand.reload();
  await expect(page.getByLabel(/Minimum time charged/)).toHaveValue("16");
});

test("a ratchet wheel is found by its teeth, its sizes and the way it holds", async ({ page }) => {
  const hand = new BenchHand(page);
  const number = await juicerCopy();
  await hand.open("/parts/tables");
  const file = "test-results/ratchets.csv";
  const row = (n: string, teeth: number, holds: string) =>
    `RW-${n};Ratchet wheel;ratchet;6,20;1;${teeth};outside;24;8;square;${holds}`;
  writeFileSync(
    file,
    [
      "number;name;kind;price;stock;teeth;toothed;outside_mm;bore_mm;bore_form;holds",
      row("1", 36, "anticlockwise"),
      row("2", 36, "clockwise"),
      row("3", 40, "clockwise"),
    ].join("\n"),
  );
  await page.getByLabel("A table as CSV").setInputFiles(file);
  await hand.button(/Take 3 rows in/).click();
  await expect(page.getByText(/ratchets.csv is in: 3 new/)).toBeVisible();

  await hand.open(`/jobs/${number}/judge`);
  await hand.button(/Add a screw, a pin/).click();
  await page.getByLabel("What it is called").fill("ratchet wheel");
  await hand.button("Add it to the parts").click();
  await hand.button(/^ratchet wheel/i).click();
  await page.getByLabel("What it is", { exact: true }).selectOption("ratchet");
  await hand.button(/corners rounded/).click();
  await page.keyboard.press("m");
  const sizes = page.getByRole("region", { name: "Grease, cause and what to do" });
  const type = async (label: string, text: string): Promise<void> => {
    await sizes.getByRole("textbox", { name: label }).fill(text);
    await sizes.getByRole("textbox", { name: label }).press("Enter");
  };
  await type("Teeth", "35.5");
  await expect(sizes.getByText("“35.5” is no count: type it like 24")).toBeVisible();
  await type("Teeth", "36");
  await expect(sizes.getByText("One click is 10°.")).toBeVisible();
  await type("Outside, mm", "23,98");
  await expect(sizes.getByText("23.98")).toBeVisible();
  await type("Bore, mm", "8.02");
  await sizes
    .getByRole("group", { name: "Holds" })
    .getByRole("button", { name: "clockwise", exact: true })
    .click();
  await sizes
    .getByRole("group", { name: "Toothed" })
    .getByRole("button", { name: "outside", exact: true })
    .click();
  await sizes
    .getByRole("group", { name: "Bore form" })
    .getByRole("button", { name: "square", exact: true })
    .click();
  await expect(
    sizes.getByRole("group", { name: "Bore form" }).getByRole("button", { name: "square", exact: true }),
  ).toHaveAttribute("aria-pressed", "true");
  await hand.reload();
  await page.keyboard.press("m");

  await hand.open(`/jobs/${number}/match`);
  await page
    .getByRole("region", { name: "To replace" })
    .getByRole("button", { name: /ratchet wheel/i })
    .click();
  const found = page.getByRole("region", { name: "Candidates" });
  await expect(found).toContainText("RW-2");
  await expect(found.getByRole("button", { name: /RW-/ }).first()).toContainText("Drops in");
  await expect(found.getByRole("button", { name: /RW-1/ })).toContainText("Does not fit");
});
