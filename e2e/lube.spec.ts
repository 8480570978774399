import { expect, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";

test("a slicer, which touches food: nylon and steel in its worm box, an unknown old grease, a second chamber, points in a picture, a slip, the stock and the sheet", async ({
  page,
}) => {
  test.setTimeout(150_000);
  const hand = new BenchHand(page);
  await hand.open("/shelf");
  await page.getByRole("button", { name: /Olmen FG-1/ }).click();
  const stock = Number(await page.getByLabel("In stock, g").inputValue());
  expect(stock).toBeGreaterThan(100);

  await hand.open("/jobs/J-0137/lube");
  await hand.button(/Put the cleaning that follows from it into the plan/).click();
  const cleaning = page.getByRole("list", { name: "Parts to clean" });
  await expect(cleaning).toContainText("Worm shaft: washed with degreaser");
  await hand.button("Other ways: cover O-ring").click();
  await expect(page.getByRole("button", { name: /Acetone.*swells in acetone/ })).toBeDisabled();
  // all is clean once what was planned is ticked
  await hand.button(/All is clean and dry/).click();
  await expect(page.getByText(/not ticked yet: .*worm shaft/)).toBeVisible();
  await hand.button("Done: worm shaft: washed with degreaser and warm water, rinsed, dried").click();
  await hand.button(/All is clean and dry/).click();
  await hand.button(/^(All \d+ are|It is) done$/).click();
  await hand.button(/All is clean and dry/).click();
  await hand.button(/Take over from train and strip: worm box/).click();
  const box = page.getByRole("region", { name: "worm box", exact: true });
  await hand.button("Why this one: worm box").click();

  // nobody knows what was in it: it comes out; and the favourite is not for food
  await expect(page.getByText("All of the old lubricant comes out first.")).toBeVisible();
  await hand
    .button(/forbidden: Skarn MP-2|All \d+/)
    .first()
    .click();
  await hand.button(/forbidden: Skarn MP-2/).click();
  await expect(page.getByRole("list", { name: "Why" })).toContainText("not registered H1");
  await expect(hand.button(/Use Skarn MP-2/)).toHaveCount(0);
  await box.getByRole("button", { name: /Use / }).waitFor();
  await hand.button(/may be used: Olmen FG-1/).click();
  await page
    .getByRole("region", { name: "Behind it: worm box" })
    .getByRole("button", { name: /Use Olmen FG-1/ })
    .click();
  await expect(page.getByText("✓ Used in this chamber")).toBeVisible();
  // how much nobody knows: it is asked where the figure stands, and read in the unit that is typed
  await box.getByLabel("Filled, ml").fill("much");
  await box.getByLabel("Filled, ml").press("Tab");
  await expect(box.getByText(/“much” is not a volume/)).toBeVisible();
  await box.getByLabel("Filled, ml").fill("0,14 l");
  await box.getByLabel("Filled, ml").press("Tab");
  await expect(box.getByRole("heading")).toHaveText(
    /Worm box: \d+ to \d+ g of Olmen FG-1, in the worm’s thread and round its wheel, and at .*, before line \d+ closes it\./,
  );

  // a second chamber, and five points where a finger points in the picture of the opened case
  await hand.button(/Another chamber, or/).click();
  await hand.button(/Add a chamber: Bearing seat/).click();
  const seat = page.getByRole("region", { name: "bearing seat", exact: true });
  await expect(seat.getByRole("heading")).toHaveText("Bearing seat: where in it does it go?");
  await hand.button("Where and when: bearing seat").click();
  const places = page.getByRole("region", { name: "Behind it: bearing seat" });
  const names = ["front bush", "rear bush", "rail, left", "rail, right", "knob"];
  for (const [i, where] of names.entries()) {
    await hand.button(/Add a point/).click();
    await hand.button(i < 2 ? "Bush" : "Slide").click();
    await page.getByLabel("Where", { exact: true }).fill(where);
    const picture = page.getByRole("button", { name: "Point at the place in the picture" });
    const box = await picture.boundingBox();
    if (!box) throw new Error("no picture");
    await picture.click({ position: { x: box.width * (0.2 + 0.12 * i), y: box.height * 0.4 } });
    await hand.button(/Put it there/).click();
    await expect(places).toContainText(new RegExp(where, "i"));
  }
  await seat.getByRole("button", { name: /^U? ?Use / }).click();
  await expect(seat.getByRole("heading")).toHaveText(/^✓? ?Bearing seat: .*, at 5 places/);

  // milligrams for grams, then the scale
  await hand.button("Where and when: worm box").click();
  const weights = page.getByLabel("Weighed in, g");
  await weights.first().fill("26000");
  await weights.first().press("Tab");
  await expect(page.getByText(/Were milligrams meant|more than the whole room/).first()).toBeVisible();
  await weights.first().fill("");
  const inAll = await hand.weighAll();
  expect(inAll).toBeGreaterThan(30);
  await hand.saved();

  // it is off the shelf, and on the sheet with its lot and its places
  await hand.open("/shelf");
  await page.getByRole("button", { name: /Olmen FG-1/ }).click();
  expect(Number(await page.getByLabel("In stock, g").inputValue())).toBeCloseTo(stock - inAll, 1);
  await hand.open("/jobs/J-0137/sheet");
  const sheet = page.getByRole("article");
  await expect(sheet).toContainText("Olmen FG-1, registered H1");
  await expect(sheet).toContainText("lot 2608-114");
  await expect(sheet).toContainText("teeth of the worm wheel");
  await expect(sheet).toContainText("front bush");
});

test("a place that is closed over already is refused with the step that closes over it; a point is moved earlier than its last moment", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  // the shears are going together: until the crown wheel is on its bearing
  await hand.open("/jobs/J-0139/rebuild");
  const line = page.getByRole("region", { name: "The line" });
  for (
    let i = 0;
    i < 8 && !/conrod/i.test((await line.getByRole("heading").first().textContent()) ?? "");
    i++
  ) {
    const before = (await line.textContent()) ?? "";
    await line.getByRole("button", { name: /Done|Yes/ }).click();
    await expect(line).not.toHaveText(before);
  }
  await hand.open("/jobs/J-0139/lube");
  await hand.button("Where and when: gearbox").click();
  await hand.button(/Add a point/).click();
  await hand.button("Bearing").click();
  await page.getByLabel("On a part that came off").selectOption({ label: "crown shaft bearing" });
  await hand.button(/Put it there/).click();
  await expect(
    page.getByText(/Crown shaft bearing: step \d+, the crown shaft bearing, is on again: take it off first/),
  ).toBeVisible();
  // the grease of the gearbox, before its gasket instead of before its cover
  await hand.button("Where and when: gearbox").click();
  await hand.button(/When and how much: gearbox/).click();
  const when = page.getByRole("combobox", { name: /^When/ });
  const moments = await when.locator("option").allTextContents();
  expect(moments.length).toBeGreaterThan(1);
  await when.selectOption({ index: moments.length - 2 });
  await expect(when.locator("option:checked")).toHaveText(moments.at(-2) ?? "");
});

test("a wheel is pressed in its train, a chamber in a picture; what stays dry is hatched where its grease goes in; the scale counts up", async ({
  page,
}) => {
  test.setTimeout(90_000);
  const hand = new BenchHand(page);
  await hand.open("/jobs/J-0142/lube");
  await hand.button(/All is clean and dry/).click();
  await hand.button(/Another chamber, or/).click();
  await hand.button(/In a picture/).click();
  await expect(hand.button(/Press the picture where it is/)).toBeDisabled();
  const picture = page.getByRole("button", { name: "Point at the place in the picture" });
  const press = async (x: number): Promise<void> => {
    const box = await picture.boundingBox();
    if (!box) throw new Error("no picture");
    await picture.click({ position: { x: box.width * x, y: box.height * 0.5 } });
  };
  await press(0.5);
  await page.getByLabel("Its name, if it needs one").fill("wheel case");
  await hand.button(/Make it/).click();
  await hand.button("Where and when: wheel case").click();
  await hand.button(/Add a point/).click();
  await hand.button("Point at the train").click();
  await page.getByRole("button", { name: "47-tooth gear" }).press("Enter");
  await expect(page.getByLabel("Where", { exact: true })).toHaveValue("teeth of the 47-tooth gear");
  // by a finger, beside the narrow bar of another wheel
  const bar = await page.getByRole("button", { name: "9-tooth gear" }).boundingBox();
  if (!bar) throw new Error("no train");
  await page.mouse.click(bar.x + 6, bar.y + 4);
  await expect(page.getByLabel("Where", { exact: true })).toHaveValue("teeth of the 9-tooth gear");
  await hand.button("Point at a picture").click();
  await press(0.3);
  await hand.button(/Put it there/).click();
  await expect(page.getByRole("region", { name: "Behind it: wheel case" })).toContainText(
    "Teeth of the 9-tooth gear",
  );
  await hand.button(/Add a point/).click();
  await hand.button("▨ Stays dry").click();
  await hand.button(/Keep it dry/).click();
  await expect(page.getByText("Say what stays dry").first()).toBeVisible();
  await press(0.8);
  await page.getByLabel("What stays dry").fill("face of the cover");
  await hand.button(/Keep it dry/).click();
  await expect(page.getByRole("list", { name: "Stays dry at the wheel case" })).toContainText(
    "Face of the cover",
  );
  await expect(
    page.getByRole("img", { name: /wheel case.*stays dry: face of the cover.*teeth of the 9-tooth gear/ }),
  ).toBeVisible();

  const card = page.getByRole("region", { name: "wheel case", exact: true });
  await card.getByRole("button", { name: /Use / }).click();
  // nothing tells how much the case takes: it is asked, and no figure stands there
  await expect(card.getByRole("heading")).toHaveText("Wheel case: how much?");
  const howMuch = page.getByRole("region", { name: "How much goes into the wheel case" });
  await howMuch.getByLabel("Maker’s figure, g").fill("0.05");
  await howMuch.getByLabel("Maker’s figure, g").press("Tab");
  await expect(howMuch).toContainText(
    "0.05 g is less than can be weighed in: were milligrams read for grams",
  );
  await howMuch.getByLabel("Maker’s figure, g").fill("3");
  await howMuch.getByLabel("Maker’s figure, g").press("Tab");
  await expect(howMuch).toHaveCount(0);
  await expect(card.getByRole("heading")).toContainText(/Wheel case: 2.7 to 3.3 g of /);
  await hand.button("Where and when: wheel case").click();
  await page.getByRole("button", { name: "When and how much: teeth of the 9-tooth gear" }).click();
  await page.getByLabel("Own amount, g").fill("12");
  await page.getByLabel("Own amount, g").press("Tab");
  await expect(page.getByText(/12 g for [\d.]+ g: out by a factor of three or more/).first()).toBeVisible();
  await hand.button("12 g is meant").click();
  await expect(page.getByText(/out by a factor of three/)).toHaveCount(0);
  await hand.saved();
  await page.getByRole("button", { name: "Practice scale for teeth of the 9-tooth gear" }).click();
  const shows = page.getByRole("status", { name: "On the scale for teeth of the 9-tooth gear" });
  await expect(shows).toContainText(/g to go/);
  await expect(shows).toContainText(/that is it/);
  await expect(page.getByLabel("Weighed in, g")).toHaveValue(/^1[12]/);

  await hand.open("/jobs/J-0142/rebuild");
  const line = page.getByRole("region", { name: "The line" });
  for (
    let i = 0;
    i < 40 && !/9-tooth gear/.test((await line.getByRole("heading").first().textContent()) ?? "");
    i++
  ) {
    const before = (await line.textContent()) ?? "";
    await line.getByRole("button", { name: /Done|Yes/ }).click();
    await expect(line).not.toHaveText(before);
  }
  await expect(line).toContainText("Stays dry: face of the cover, hatched in the picture.");
  await expect(page.getByRole("img", { name: /stays dry: face of the cover/ })).toBeVisible();
});
