import { expect, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";

/** What came off, the line as it is spoken, and how many pieces lie on the bench after it. */
type Spoken = readonly [what: string, line: string, pieces: number];

const STRIPS: Readonly<Record<string, readonly Spoken[]>> = {
  "bench shear": [
    ["bottom plate", "6 torx 15 in two rows of three", 6],
    ["end cap", "snap ring, renew it every time, circlip pliers", 7],
    ["drive belt", "slides off to the left, later ones have a tensioner here", 7],
    ["big pulley", "10 nut and its washer, undoes clockwise, held the shaft with a 5 mm allen key", 9],
    ["switch plate", "4 screws, two of them with nuts, blue to 1 brown to 2", 15],
    ["gear head", "sits on two locating pins, levered off with two screwdrivers", 15],
  ],
  "paper drill": [
    ["top cover", "three phillips: one with a star washer, tilts back off its hooks", 4],
    ["crank arm", "M8 nut that turns the other way, nut back on to save the thread", 5],
    ["spindle", "2 washers below the wheel 3 above, cupped face up", 10],
    ["motor", "plug of the sensor and plug of the lamp, two screws left in", 12],
    ["lock barrel", "8 mm bolt head, one bolt, an eighth to a quarter turn past snug", 13],
  ],
};

for (const [kind, steps] of Object.entries(STRIPS))
  test(`the strip of a ${kind} is typed as it is spoken: what is counted is what came off`, async ({
    page,
  }) => {
    test.setTimeout(120_000);
    const hand = new BenchHand(page);
    await hand.strip({ kind, maker: "Corvane", model: "S-4", complaint: "Stops under load." });
    const chips = page.getByRole("list", { name: "Understood" });
    let stops = 0;
    for (const [i, [what, line, pieces]] of steps.entries()) {
      await page.keyboard.press("n");
      await page.keyboard.type(what);
      await page.keyboard.press("Enter");
      await page.keyboard.press("q");
      await page.keyboard.type(line);
      await page.getByLabel("Hardware, in shorthand").blur();
      await expect(chips.getByRole("listitem").first()).toBeVisible();
      await page.keyboard.press("Space");
      // what is doubtful stops it once, and a second Space still means "as said"
      if (await page.getByText("Look once more at what is red.").isVisible()) {
        stops++;
        await page.keyboard.press("Space");
      }
      const piece = pieces === 1 ? "piece" : "pieces";
      await expect(page.getByText(`${i + 1} laid down · ${pieces} ${piece} of hardware`)).toBeVisible();
    }
    expect(stops).toBeLessThanOrEqual(2);
    await hand.saved();
  });

test("what is struck is gone everywhere, and an edited step shows its line again as it was typed", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.strip({ kind: "bench shear", maker: "Corvane", model: "S-5", complaint: "Stops." });
  const chips = page.getByRole("list", { name: "Understood" });
  const line = page.getByLabel("Hardware, in shorthand");
  await page.getByLabel("What came off").fill("side cover");
  await line.fill("4 screws M4x12, 1 circlip 12, tilts off its hooks");
  await expect(chips.getByRole("button", { name: /^It was unscrewed, as it seems/ })).toBeVisible();
  await chips.getByRole("button", { name: "Strike 4 screws M4 × 12" }).click();
  await expect(chips.getByRole("button", { name: /^It was unclipped/ })).toBeVisible();
  await expect(page.getByText("4 screws M4x12, 1 circlip 12, tilts off its hooks")).toBeVisible();
  await chips.getByRole("button", { name: /^Strike 1 circlip/ }).click();
  await expect(chips.getByRole("button", { name: /^It was lifted off/ })).toBeVisible();
  await hand.button(/Lay it down/).click();
  await expect(page.getByText("1 laid down · 0 pieces of hardware")).toBeVisible();

  await page.getByLabel("What came off").fill("gear case cover");
  await line.fill("five screws, one of them longer, rests on 2 dowels");
  await hand.button(/Lay it down/).click();
  await expect(page.getByText("2 laid down · 5 pieces of hardware")).toBeVisible();
  await hand.saved();
  await page
    .getByRole("region", { name: "The Mat" })
    .getByLabel(/^Step 2: gear case cover/)
    .click();
  await hand.button(/Edit/).click();
  await expect(line).toHaveValue("five screws, one of them longer, rests on 2 dowels");
  await hand.button(/Lay it back down/).click();
  await expect(page.getByText("2 laid down · 5 pieces of hardware")).toBeVisible();
});

test("a stop that was overlooked swallows nothing: what is typed meanwhile is the next step's", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.strip({ kind: "bench shear", maker: "Corvane", model: "S-6", complaint: "Stops." });
  await page.keyboard.press("n");
  await page.keyboard.type("end plate");
  await page.keyboard.press("Enter");
  await page.keyboard.press("q");
  await page.keyboard.type("4 screws with 2 washers");
  await page.getByLabel("Hardware, in shorthand").blur();
  await page.keyboard.press("Space");
  await expect(page.getByText("Look once more at what is red.")).toBeVisible();
  await page.keyboard.press("n");
  await page.keyboard.type("drive belt");
  await page.keyboard.press("Enter");
  await page.keyboard.press("Space");
  await expect(page.getByText("1 laid down · 6 pieces of hardware")).toBeVisible();
  await expect(page.getByLabel("What came off")).toHaveValue("drive belt");
  await expect(page.getByLabel("Hardware, in shorthand")).toHaveValue("");
  await page.keyboard.press("Space");
  await expect(page.getByText("2 laid down · 6 pieces of hardware")).toBeVisible();
});
