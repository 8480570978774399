import { expect, type Page, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";

let units = 0;
/** A unit, the only one of its model, with its gate cleared and some steps on the Mat, each named. */
async function stripped(page: Page, ...steps: string[]): Promise<BenchHand> {
  const hand = new BenchHand(page);
  await hand.strip({ kind: "belt sander", maker: "Corvane", model: `BX-${++units}`, complaint: "Grinds." });
  for (const [i, what] of steps.entries()) await lay(page, what, i + 1);
  return hand;
}
async function lay(page: Page, what: string, n: number): Promise<void> {
  await page.getByLabel("What came off").fill(what);
  await page.getByRole("button", { name: /Lay it down/ }).click();
  await expect(mat(page).getByLabel(new RegExp(`^Step ${n}: ${what}(?!.*on its way)`))).toBeVisible();
}
const mat = (page: Page) => page.getByRole("region", { name: "The Mat" });
const pockets = (page: Page): Promise<string[]> =>
  mat(page)
    .getByRole("button")
    .evaluateAll((all) => all.map((b) => (b.getAttribute("aria-label") ?? "").replace(/^Step \d+: /, "")));

test("every fact of a step is given by touch, and stands at its line of the rebuild", async ({ page }) => {
  const hand = await stripped(page);
  await page.getByLabel("What came off").fill("drive wheel");
  // a shop that was told once asks no more: so it is at a second attempt
  await expect(page.getByRole("list", { name: "Understood" })).toBeVisible();
  const kind = hand.button("drive wheel is: gear");
  if (await kind.isVisible()) await kind.click();
  await hand.button(/Pieces$/).click();
  const pieces = page.getByRole("region", { name: "Pieces" });
  await pieces.getByRole("button", { name: "wavy washer" }).click();
  await pieces.getByRole("button", { name: "20 mm" }).click();
  await pieces.getByRole("button", { name: "One more" }).click();
  await pieces.getByRole("button", { name: /Add 2 wavy washers 20 mm/ }).click();
  await pieces.getByRole("button", { name: "nut", exact: true }).click();
  await pieces.getByRole("button", { name: "M6", exact: true }).click();
  await pieces.getByRole("button", { name: /Add 1 nut M6/ }).click();
  await pieces.getByRole("button", { name: "1 nut M6: left-hand thread" }).click();
  await pieces.getByRole("button", { name: /1 nut M6, LEFT-HAND: goes back new/ }).click();
  // how tight, by touch
  await pieces.getByRole("button", { name: /1 nut M6, LEFT-HAND: how tight/ }).click();
  const tight = page.getByRole("region", { name: /How tight: 1 nut M6/ });
  await tight.getByRole("button", { name: "Snug" }).click();
  await tight.getByRole("button", { name: /eighth of a turn/ }).click();
  await tight.getByLabel("Torque, N·m").fill("-2");
  await expect(tight.getByText(/“-2” is no torque/)).toBeVisible();
  await tight.getByLabel("Torque, N·m").fill("");
  await tight.getByRole("button", { name: /Close$/ }).click();
  await expect(pieces).toContainText("snug, then an eighth of a turn (45°) past it");
  await hand.button(/Stack$/).click();
  const stack = page.getByRole("region", { name: "Stack, from the top down" });
  for (const piece of ["1 nut M6, LEFT-HAND", "2 wavy washers 20 mm", "drive wheel"])
    await stack.getByRole("button", { name: piece, exact: true }).click();
  await stack.getByRole("button", { name: "2 wavy washers 20 mm: up" }).click();
  await expect(stack.getByRole("list", { name: "Stack" }).getByRole("listitem").first()).toContainText(
    "wavy washers",
  );
  await stack.getByRole("button", { name: "2 wavy washers 20 mm: down" }).click();
  await hand.button(/Wires$/).click();
  await page.getByRole("button", { name: "blue", exact: true }).click();
  await page.getByLabel("blue goes to").fill("X2-1");
  await page.getByRole("button", { name: "Add the wire" }).click();
  await hand.button(/Freed$/).click();
  await page.getByRole("button", { name: "dowels" }).click();
  await page.getByRole("button", { name: /heat$/ }).click();
  await expect(
    page.getByRole("region", { name: "How it came off" }).getByText(/Never heat near a battery/),
  ).toBeVisible();
  await page.getByRole("button", { name: "hot-air gun", exact: true }).click();
  await hand.button(/Caution$/).click();
  await page.getByRole("button", { name: /Sharp keyway/ }).click();
  await hand.button(/Timing$/).click();
  await page.getByRole("button", { name: /a tooth/ }).click();
  await page.getByLabel("Turns to dead centre").fill("200");
  await expect(page.getByText("Turns lie between 0 and 100.")).toBeVisible();
  await page.getByLabel("Turns to dead centre").fill("1,5");
  await hand.button(/State$/).click();
  await page.getByLabel("Do not undo this").fill("the worm's lock nut");
  await page.getByRole("button", { name: "B3", exact: true }).click();
  await page.getByRole("button", { name: "broke", exact: true }).click();
  await hand.button(/Goes back$/).click();
  const back = page.getByRole("region", { name: "Goes back with …" });
  await back.getByRole("button", { name: "turn it until the teeth fall in" }).click();
  await back.getByRole("button", { name: /At the very end/ }).click();
  await back.getByLabel("What is to be done, or looked at").fill("listen for the click");
  await back.getByRole("button", { name: "Add it" }).click();
  await expect(back.getByRole("list", { name: "Said for its return" })).toContainText("Listen for the click");
  await hand.saved();
  await hand.reload();
  // what does not fit is folded, and said to be
  await page.getByRole("button", { name: /^and \d+ more/ }).click();
  await expect(page.getByRole("list", { name: "Understood" })).toContainText(
    "a tooth at the pin; 1.5 turns to dead centre",
  );
  await hand.button(/Lay it down/).click();
  await expect(mat(page).getByLabel("Step 1: drive wheel")).toBeVisible();
  await expect(page.getByText(/Tools so far: hot-air gun/)).toBeVisible();
  // and all of it comes back at the rebuild
  await page.goto(`${page.url().replace(/strip$/, "rebuild")}`);
  const line = page.getByRole("region", { name: "The line" });
  const told = async (...all: string[]): Promise<void> => {
    for (const says of all) await expect(line).toContainText(says);
  };
  // the wheel, then what holds it, then what was said for its return
  await told(
    "drive wheel",
    "a tooth at the pin; 1.5 turns to dead centre",
    "keep fingers off the slot",
    "Do not undo: the worm's lock nut.",
  );
  await told("Over its dowels", "It came off warm and goes on warm");
  await hand.button(/Done$/).click();
  // before the nut is drawn, the marks are looked at; a "no" says what to do
  await told("Do the marks stand together");
  await hand.button(/No$/).click();
  await told("Take it back until it turns free of the other");
  await page.keyboard.press("Escape");
  await hand.button(/Yes$/).click();
  // what lies on each other is looked at before the nut hides it
  await told("Lay on: 2 wavy washers 20 mm");
  await hand.button(/Done$/).click();
  await told("what was below is below");
  await hand.button(/Yes$/).click();
  await told("Screw on, new: 1 nut M6, LEFT-HAND", "blue → X2-1");
  await expect(line.getByRole("list", { name: "Stack, the lowest first" }).getByRole("listitem")).toHaveText([
    "drive wheel",
    "2 wavy washers 20 mm",
    /1 nut M6, LEFT-HAND/,
  ]);
  await hand.button(/Done$/).click();
  await told("Turn it until the teeth fall in");
  await hand.button(/Done$/).click();
  await told("sit at the terminal that was noted");
  await hand.button(/Yes$/).click();
  await told("the play along the shaft what belongs there");
  // what is not there is answered so, and stays answered
  await hand.button(/Does not apply$/).click();
  await told("does it turn freely and evenly");
  await hand.button(/Yes$/).click();
  await told("Listen for the click");
});

test("screws of one step that differ must be given a place before they are laid down", async ({ page }) => {
  const hand = await stripped(page);
  const line = page.getByLabel("Hardware, in shorthand");
  await line.fill("4x TX15 16 ST3.5, 2x TX15 20 ST3.5");
  await hand.button(/Lay it down/).click();
  await expect(page.getByRole("alert").filter({ hasText: "say where each sits" })).toBeVisible();
  await expect(line).toHaveValue("4x TX15 16 ST3.5, 2x TX15 20 ST3.5");
  await line.fill("4x TX15 16 ST3.5 corners, 2x TX15 20 ST3.5 fr");
  await hand.button(/Lay it down/).click();
  await expect(mat(page).getByLabel(/^Step 1:/)).toBeVisible();
});

test("the hand does not wait for the shop: what is on its way lies on the Mat, and in the browser until the shop has it", async ({
  page,
  context,
}) => {
  const hand = await stripped(page, "cover");
  // the shop does not hear of anything until it is let
  let letThrough = (): void => undefined;
  const held = (): Promise<void> => new Promise((done) => (letThrough = done));
  let gate = held();
  await page.route("**/strip", async (route) => {
    if (route.request().method() === "POST") await gate;
    await route.continue().catch(() => undefined);
  });
  for (const [i, what] of ["wheel", "shaft"].entries()) {
    await page.keyboard.press("n");
    await page.keyboard.type(what);
    await page.keyboard.press("Enter");
    await page.keyboard.press("Space");
    await expect(hand.recording(i + 3)).toBeVisible();
    await expect(mat(page).getByLabel(`Step ${i + 2}: ${what}, on its way to the shop`)).toBeVisible();
  }
  // one too many is taken back before the shop has heard of any
  await page.keyboard.press("n");
  await page.keyboard.type("slip of the hand");
  await page.keyboard.press("Enter");
  await page.keyboard.press("Space");
  await expect(hand.button("Take back: step 4, on its way to the shop")).toBeVisible();
  await page.keyboard.press("z");
  await page.keyboard.press("n");
  await page.keyboard.type("begun meanwhile");
  letThrough();
  await expect.poll(() => pockets(page)).toEqual(["cover", "wheel", "shaft"]);
  await expect(page.getByLabel("What came off")).toHaveValue("begun meanwhile");
  await hand.saved();
  await hand.reload();
  await expect(page.getByLabel("What came off")).toHaveValue("begun meanwhile");
  // the screen is shut before the shop has it: whoever opens the job again finds it laid down, once
  gate = held();
  await page.keyboard.press("Space");
  await expect(mat(page).getByLabel("Step 4: begun meanwhile, on its way to the shop")).toBeVisible();
  const again = await context.newPage();
  await page.close();
  const other = new BenchHand(again);
  await other.open(page.url());
  await expect.poll(() => pockets(again)).toEqual(["cover", "wheel", "shaft", "begun meanwhile"]);
  await other.saved();
  await other.reload();
  expect(await pockets(again)).toEqual(["cover", "wheel", "shaft", "begun meanwhile"]);
});

test("a step that the shop does not take comes back to be mended, and none is lost under another", async ({
  page,
  context,
}) => {
  const hand = await stripped(page, "cover");
  const what = page.getByLabel("What came off");
  await context.setOffline(true);
  await what.fill("wheel");
  await hand.button(/Lay it down/).click();
  await expect(
    page.getByRole("alert").filter({ hasText: "Not saved: the shop’s computer does not answer" }),
  ).toBeVisible();
  await expect(what).toHaveValue("wheel");
  await context.setOffline(false);
  await hand.button("Understood").click();
  await hand.button(/Lay it down/).click();
  await expect.poll(() => pockets(page)).toEqual(["cover", "wheel"]);
  // refused while the next is open already
  let letThrough = (): void => undefined;
  const gate = new Promise<void>((done) => (letThrough = done));
  await page.route("**/strip", async (route) => {
    if (route.request().method() === "POST") await gate;
    await route.continue();
  });
  // taken back while it is on its way, it is refused: nothing else is taken back for it
  const long = "a name that says everything ".repeat(160);
  await what.fill(long);
  await hand.button(/Lay it down/).click();
  await hand.button(/Take back: step 3/).click();
  await what.fill("shaft");
  letThrough();
  const refused = page.getByRole("alert").filter({ hasText: "Not laid down" });
  await expect(refused).toContainText(
    /a name that says .* … ?\. What came off is longer than 4000 characters\./,
  );
  await expect.poll(() => pockets(page)).toEqual(["cover", "wheel"]);
  await refused.getByRole("button", { name: "Pick it up again" }).click();
  await expect(page.getByText(/is still open here: lay it down first/)).toBeVisible();
  await expect(what).toHaveValue("shaft");
  await hand.button(/Lay it down/).click();
  await expect.poll(() => pockets(page)).toEqual(["cover", "wheel", "shaft"]);
  await refused.getByRole("button", { name: "Pick it up again" }).click();
  await expect(what).toHaveValue(long);
  await what.fill("spring");
  await hand.button(/Lay it down/).click();
  await expect.poll(() => pockets(page)).toEqual(["cover", "wheel", "shaft", "spring"]);
});

test("a late step is slid to its place, bundled, tied and taken back by keyboard", async ({ page }) => {
  await stripped(page, "cover", "wheel", "late washer");
  await page.keyboard.press("l");
  await expect(page.getByRole("region", { name: /Pocket 3: late washer/ })).toBeVisible();
  await page.keyboard.press("[");
  await expect.poll(() => pockets(page)).toEqual(["cover", "late washer", "wheel"]);
  await page.keyboard.press("u");
  await expect
    .poll(() => pockets(page))
    .toEqual(["cover, came out as one", "late washer, came out as one", "wheel"]);
  await page.keyboard.press("x");
  // three actions back, one by one
  await page.keyboard.press("z");
  await expect.poll(() => pockets(page)).toEqual(["cover", "late washer", "wheel"]);
  await page.keyboard.press("z");
  await expect.poll(() => pockets(page)).toEqual(["cover", "wheel", "late washer"]);
  await page.keyboard.press("z");
  await expect.poll(() => pockets(page)).toEqual(["cover", "wheel"]);
});

test("a pocket is dragged: to another's edge it slides, on its lower half it is tied to it", async ({
  page,
}) => {
  await stripped(page, "cover", "wheel", "shaft");
  const drag = async (from: string, zone: string): Promise<void> => {
    const box = await mat(page)
      .getByLabel(new RegExp(`: ${from}`))
      .boundingBox();
    if (!box) throw new Error(`no pocket ${from}`);
    await page.mouse.move(box.x + 50, box.y + 50);
    await page.mouse.down();
    await page.waitForTimeout(250);
    await page.mouse.move(box.x + 40, box.y + 45, { steps: 3 });
    const target = page.getByRole("img", { name: zone, exact: true });
    const at = await target.boundingBox();
    if (!at) throw new Error(`no zone ${zone}`);
    await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2, { steps: 6 });
    // a hand lets go when it sees the place light up
    await expect(target).toHaveAttribute("aria-current", "true");
    await page.mouse.up();
    // a click that comes with the letting go belongs to the drag; a hand needs longer than that for the next
    await page.waitForTimeout(100);
  };
  await drag("shaft", "before 1");
  await expect.poll(() => pockets(page)).toEqual(["shaft", "cover", "wheel"]);
  await drag("wheel", "needed 1");
  await mat(page)
    .getByLabel(/: wheel/)
    .click();
  const needs = page.getByRole("group", { name: "What had to be off before it" });
  await expect(needs.getByRole("button", { name: /shaft/ })).toHaveAttribute("aria-pressed", "true");
  await expect(needs.getByRole("button", { name: /cover/ })).toHaveAttribute("aria-pressed", "true");
});

test("a step is edited and laid back down, changed", async ({ page }) => {
  const hand = await stripped(page, "cover", "wheel");
  await mat(page)
    .getByLabel(/^Step 1: cover/)
    .click();
  await hand.button(/Edit this step/).click();
  await expect(page.getByLabel("What came off")).toHaveValue("cover");
  await page.getByLabel("Hardware, in shorthand").fill("4x M4x12 TX20 corners");
  await hand.button(/Lay it back down/).click();
  await expect(page.getByText(/4 pieces of hardware/)).toBeVisible();
  await expect.poll(() => pockets(page)).toEqual(["cover", "wheel"]);
  // what is being recorded is not thrown away for it
  await page.getByLabel("What came off").fill("half a name");
  await mat(page)
    .getByLabel(/^Step 2: wheel/)
    .click();
  await hand.button(/Edit this step/).click();
  await expect(
    page.getByText("Step 3 is still open here: lay it down first, then edit step 2."),
  ).toBeVisible();
  await expect(page.getByLabel("What came off")).toHaveValue("half a name");
  // one that is edited has its own picture beside it, not that of the last thing off
  await hand.open("/jobs/J-0139/strip");
  await mat(page)
    .getByRole("button", { name: /^Step 2:/ })
    .click();
  await hand.button(/Edit this step/).click();
  await expect(page.getByText("step 2: one picture", { exact: true })).toBeVisible();
  await hand.button(/Another picture/).click();
  await hand.button(/Take it/).click();
  await expect(page.getByText("step 2: 2 pictures", { exact: true })).toBeVisible();
  await page.waitForTimeout(3000);
  await expect(page.getByText("step 2: 2 pictures", { exact: true })).toBeVisible();
});

test("two screens on one job see each other's steps within two seconds, and lose none", async ({
  page,
  context,
}) => {
  await stripped(page, "cover");
  const other = await context.newPage();
  await new BenchHand(other).open(page.url());
  await page.getByLabel("What came off").fill("left wheel");
  await other.getByLabel("What came off").fill("right wheel");
  await Promise.all([
    page.getByRole("button", { name: /Lay it down/ }).click(),
    other.getByRole("button", { name: /Lay it down/ }).click(),
  ]);
  for (const screen of [page, other])
    for (const wheel of ["left wheel", "right wheel"])
      await expect(mat(screen).getByLabel(new RegExp(`: ${wheel}`))).toBeVisible({ timeout: 2500 });
});

test("a hand that is quicker than the camera gets its picture, once", async ({ page }) => {
  const hand = await stripped(page, "cover");
  let open = (): void => undefined;
  const opening = new Promise<void>((done) => (open = done));
  await page.route("**/api/practice-camera**", async (route) => {
    await opening;
    await route.continue();
  });
  await hand.button(/Picture$/).click();
  await hand.button(/Take it/).click();
  await expect(hand.button(/Saving/)).toBeDisabled();
  await expect(page.getByText("No camera is open")).toHaveCount(0);
  open();
  await expect(page.getByText("step 2: one picture")).toBeVisible();
});

test("a hand that goes on before it hears that its picture arrived is not told that somebody else changed the job", async ({
  page,
}) => {
  const hand = await stripped(page, "cover", "wheel");
  let answer = (): void => undefined;
  const answered = new Promise<void>((done) => (answer = done));
  await page.route("**/pictures", async (route) => {
    const response = await route.fetch();
    await answered;
    await route.fulfill({ response });
  });
  const there = page.waitForRequest("**/pictures");
  await hand.button(/Picture$/).click();
  await hand.button(/Take it/).click();
  await there;
  // the shop has it, and the answer is on its way
  await page.waitForTimeout(400);
  await page.keyboard.press("z");
  await expect.poll(() => pockets(page)).toEqual(["cover"]);
  await expect(page.getByText("This screen is out of date")).toHaveCount(0);
  answer();
  await expect.poll(() => pockets(page)).toEqual(["cover"]);
});

test("pictures taken while the shop does not answer are kept through a reload and sent by themselves", async ({
  page,
}) => {
  const hand = await stripped(page);
  await page.getByLabel("What came off").fill("cover");
  await page.route("**/pictures", (route) => route.abort());
  for (let i = 0; i < 2; i++) {
    await hand.button(/[Pp]icture$/).click();
    await expect(page.getByRole("img", { name: "practice camera" })).toBeVisible();
    await hand.button(/Take it/).click();
  }
  await expect(page.getByText("step 1: 2 pictures, on its way to the shop")).toBeVisible();
  await expect(page.getByRole("alert").filter({ hasText: "2 pictures are not saved yet" })).toBeVisible();
  await hand.button(/Lay it down/).click();
  await hand.reload();
  await expect(page.getByRole("alert").filter({ hasText: "2 pictures are not saved yet" })).toBeVisible();
  await page.unroute("**/pictures");
  await expect(page.getByRole("alert").filter({ hasText: "not saved yet" })).toHaveCount(0);
  // they came to lie in the step that was laid down before they arrived
  await expect(
    mat(page)
      .getByLabel(/^Step 1: cover/)
      .locator("img"),
  ).toBeVisible();
});

test("a picture is marked, and the marks are there again at the rebuild", async ({ page }) => {
  const hand = await stripped(page);
  await page.getByLabel("What came off").fill("wheel");
  await hand.button(/[Pp]icture$/).click();
  await expect(page.getByRole("img", { name: "practice camera" })).toBeVisible();
  await hand.button(/Take it/).click();
  await expect(page.getByText("step 1: one picture", { exact: true })).toBeVisible();
  await page.keyboard.press("a");
  const marks = page.getByRole("region", { name: "Marks on the picture" });
  await expect(marks).toBeVisible();
  await page.keyboard.press("1");
  await page.keyboard.press("ArrowRight");
  await page.keyboard.press("2");
  const ring = marks.locator("svg > g").nth(1);
  const stood = await ring.boundingBox();
  if (!stood) throw new Error("the ring is not drawn");
  await page.mouse.move(stood.x + stood.width / 2, stood.y + stood.height / 2);
  await page.mouse.down();
  await page.mouse.move(stood.x + stood.width / 2 + 60, stood.y + stood.height / 2 - 20, { steps: 3 });
  await page.mouse.up();
  await expect.poll(async () => Math.round(((await ring.boundingBox())?.x ?? 0) - stood.x)).toBe(60);
  await page.keyboard.press("4");
  await page.getByLabel("Word on the picture").fill("flat faces motor");
  await page.keyboard.press("Enter");
  await expect(marks.getByRole("img", { name: "3 marks" })).toBeVisible();
  await page.keyboard.press("Backspace");
  await expect(marks.getByRole("img", { name: "2 marks" })).toBeVisible();
  await page.keyboard.press("x");
  await expect(page.getByRole("img", { name: "2 marks" })).toBeVisible();
  await hand.button(/Lay it down/).click();
  await expect(mat(page).getByLabel("Step 1: wheel")).toBeVisible();
  await page.goto(page.url().replace(/strip$/, "rebuild"));
  await expect(page.getByRole("img", { name: "2 marks" })).toBeVisible();
});

test("the live picture is laid over by the earlier one, and two pictures stand side by side at one scale", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.open("/jobs/J-0142/strip");
  await page.keyboard.press("p");
  await expect(page.getByRole("img", { name: "practice camera" })).toBeVisible();
  await page.keyboard.press("g");
  await expect(page.getByRole("img", { name: "earlier picture, laid over" })).toBeVisible();
  await page.keyboard.press("g");
  await expect(page.getByRole("img", { name: "earlier picture, laid over" })).toHaveCount(0);
  await page.keyboard.press("x");
  await page.keyboard.press("x");
  const both = page.getByRole("region", { name: "Side by side" });
  await expect(both.getByRole("img")).toHaveCount(2);
  // the one before the last on the left, and from there on backwards
  await expect(both).toContainText("step 18, ");
  await page.keyboard.press("[");
  await expect(both).toContainText("step 17, ");
  await page.keyboard.press("+");
  const scales = await both
    .getByRole("img")
    .evaluateAll((all) => all.map((img) => getComputedStyle(img).transform));
  expect(scales[0]).toBe(scales[1]);
  expect(scales[0]).toContain("1.25");
  await page.keyboard.press("x");
  await expect(both).toHaveCount(0);
});

test("what may have been meant otherwise stops Space once, and each torque stays with its screws", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.strip({ kind: "towel warmer", maker: "Velbrant", model: "T 5", complaint: "Cold." });
  const chips = page.getByRole("list", { name: "Understood" });
  const mat = page.getByRole("region", { name: "The Mat" });
  await page.keyboard.press("q");
  await page.keyboard.type("M8 left");
  await expect(chips).toContainText("a left-hand thread, or where it sat?");
  await page.keyboard.press("Enter");
  await page.keyboard.press("Space");
  await expect(page.getByRole("alert").filter({ hasText: "Look once more" })).toContainText(
    "Space again lays it down",
  );
  await expect(mat.getByLabel("Step 1:")).toHaveCount(0);
  await page.keyboard.press("Space");
  await expect(mat.getByLabel("Step 1:")).toBeVisible();
  await expect(page.getByRole("alert").filter({ hasText: "Look once more" })).toHaveCount(0);
  await page.keyboard.press("q");
  await page.keyboard.type("4x M4 1.2Nm front, 2x M5 2Nm rear, no nut rear");
  await expect(chips).toContainText("4 screws M4, front, 1.2 N·m");
  await expect(chips).toContainText("2 screws M5, rear, 2 N·m");
  await expect(chips).toContainText("no nut rear");
  await page.keyboard.press("Enter");
  await page.keyboard.press("Space");
  await expect(mat.getByLabel("Step 2:")).toBeVisible();
});

test("a word is taken for something else by one key; what was only loosened, or only looked at, lies nowhere and is counted nowhere", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.strip({ kind: "letter folder", maker: "Ostrava", model: "F 2", complaint: "Jams." });
  const chips = page.getByRole("list", { name: "Understood" });
  const words = page.getByRole("list", { name: "Each word, and what it was taken for" });
  const mat = page.getByRole("region", { name: "The Mat" });
  await page.keyboard.press("q");
  await page.keyboard.type("M8 left");
  await expect(words.getByRole("button", { name: "“left”, taken for: left-hand" })).toBeVisible();
  await page.keyboard.press("Alt+Digit2");
  await expect(chips).toContainText("1 screw M8, left");
  await expect(chips).not.toContainText("or where it sat?");
  await words.getByRole("button", { name: /^“\(left\)”/ }).click();
  await expect(chips).toContainText("note: left");
  await page.getByLabel("Hardware, in shorthand").fill("2 screws M4 front, 1 clip stays with the lid");
  await page.keyboard.press("Enter");
  await expect(chips).toContainText("1 clip, stays with the lid");
  await page.keyboard.press("k");
  await page.keyboard.press("9");
  await expect(chips).toContainText("only loosened");
  await expect(chips).toContainText("2 screws M4, front, only loosened");
  await page.keyboard.press("Space");
  await expect(mat.getByLabel("Step 1:")).toBeVisible();
  await expect(page.getByText("1 laid down · 0 pieces of hardware")).toBeVisible();
  await page.keyboard.press("n");
  await page.keyboard.type("paper tray rollers");
  await page.keyboard.press("Enter");
  await page.keyboard.press("k");
  await page.keyboard.press("0");
  await expect(chips.getByRole("button", { name: /only a note/ })).toContainText("only a look");
  // what becomes of the part is asked once
  await page.keyboard.press("Space");
  await expect(
    page.getByRole("alert").getByText(/does paper tray rollers stay in the machine/),
  ).toBeAttached();
  await page.keyboard.press("Space");
  await expect(mat.getByLabel("Step 2:")).toBeVisible();
  await page.keyboard.press("n");
  await page.keyboard.type("drive wheel");
  await page.keyboard.press("Enter");
  await page.keyboard.press("q");
  await page.keyboard.type("top: flat 12 + wheel + wavy");
  await page.keyboard.press("Enter");
  await expect(chips).toContainText("stack of 3, from the top");
  await page.keyboard.press("Space");
  await expect(mat.getByLabel("Step 3:")).toBeVisible();
  await hand.saved();
});
