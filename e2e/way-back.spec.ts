import { expect, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";

/** The two lines of each step, typed as they are spoken. */
const STRIP = [
  ["front flap", "1 screw, tilts off its hooks"],
  ["drive coupling", "1 roll pin driven out, 3/32 punch"],
  ["upper half", "5 bolts, sits on 2 dowels"],
] as const;

test("what is usual where things go together is proposed, struck by one press, and a check that does not apply is answered so", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.strip({ kind: "rag shredder", maker: "Corvane", model: "R-3", complaint: "Slips." });
  for (const [i, [what, said]] of STRIP.entries()) {
    await page.getByLabel("What came off").fill(what);
    await page.getByLabel("Hardware, in shorthand").fill(said);
    await hand.button(/Lay it down/).click();
    await expect(hand.recording(i + 2)).toBeVisible();
  }
  await page.goto(page.url().replace(/strip$/, "rebuild"));
  const line = page.getByRole("region", { name: "The line" });
  await expect(line).toContainText("Put back: upper half");
  const dowels = line.getByText("Over its dowels by hand until it lies down; then its screws.");
  await expect(dowels).toBeVisible();
  await line.getByRole("button", { name: /^Not so here: Over its dowels/ }).click();
  await expect(dowels).toBeHidden();
  await hand.button(/Done$/).click();
  await expect(line).toContainText("Does it lie down all round by hand");
  await hand.button(/Does not apply$/).click();
  await expect(line).toContainText("Screw in: 5 screws");
  await hand.button(/Done$/).click();
  // how it came off is told small, and is no instruction; the holes are looked at before the pin is driven
  await expect(line.getByRole("heading", { name: "Put back: drive coupling" })).toBeVisible();
  await expect(line).toContainText("At the strip: driven out");
  await hand.button(/Done$/).click();
  await expect(line).toContainText("Do the holes line up");
  await hand.button(/Yes$/).click();
  await expect(line).toContainText("Drive in: 1 pin");
});

test("opened again: what is back in the machine is asked for before more is laid down, and the ledger follows", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.strip({ kind: "rag shredder", maker: "Corvane", model: "R-3", complaint: "Slips." });
  for (const [i, [what]] of STRIP.entries()) {
    await page.getByLabel("What came off").fill(what);
    await page.getByLabel("Hardware, in shorthand").fill("2 screws");
    await hand.button(/Lay it down/).click();
    await expect(hand.recording(i + 2)).toBeVisible();
  }
  await page.goto(page.url().replace(/strip$/, "rebuild"));
  const ledger = page.getByRole("region", { name: "Ledger" });
  await expect(ledger.getByRole("status")).toHaveText("9 still on the Mat");
  const line = page.getByRole("region", { name: "The line" });
  while (!(await ledger.getByText("6 still on the Mat").isVisible())) {
    const said = await line.textContent();
    await hand.button(/^(Space )?(Done|Yes)$/).click();
    await expect.poll(() => line.textContent()).not.toBe(said);
  }
  await page.goto(page.url().replace(/rebuild$/, "strip"));
  await page.getByLabel("What came off").fill("pinion");
  const asked = page.getByRole("alert", { name: "Back in the machine" });
  await expect(asked.getByRole("button", { name: /upper half/ })).toHaveAttribute("aria-pressed", "true");
  // nothing is laid down before it is answered, and nothing that was typed is lost
  await hand.button(/Lay it down/).click();
  await expect(page.getByText(/say first, in the red field/)).toBeVisible();
  await page.getByRole("button", { name: "Understood" }).click();
  await asked.getByRole("button", { name: /came off again/ }).click();
  await expect(asked).toBeHidden();
  await expect(page.getByLabel("What came off")).toHaveValue("pinion");
  await hand.button(/Lay it down/).click();
  await expect(hand.recording(5)).toBeVisible();
  await page.goto(page.url().replace(/strip$/, "rebuild"));
  await expect(ledger.getByRole("status")).toHaveText("10 still on the Mat");
});

test("a shop writes down one of its own, and it stands at the next line that it applies to", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.open("/assemblies");
  const form = page.getByRole("form", { name: "Write one of our own" });
  await form.getByLabel("What goes together there").fill("a flap on its hooks");
  await form.getByLabel("What is minded").fill("Leave 1 mm at the left.");
  await form.getByRole("button", { name: "Keep it" }).click();
  await expect(form.getByRole("alert")).toContainText("Say by what it is told");
  await form.getByRole("button", { name: "hooks", exact: true }).click();
  await form.getByRole("button", { name: "Keep it" }).click();
  const own = page.getByRole("article", { name: "a flap on its hooks" });
  await expect(own).toContainText("While it goes on: Leave 1 mm at the left.");
  await hand.strip({ kind: "rag shredder", maker: "Corvane", model: "R-3", complaint: "Slips." });
  await page.getByLabel("What came off").fill("front flap");
  await page.getByLabel("Hardware, in shorthand").fill("tilts off its hooks");
  await hand.button(/Lay it down/).click();
  await expect(hand.recording(2)).toBeVisible();
  await page.goto(page.url().replace(/strip$/, "rebuild"));
  await expect(page.getByRole("region", { name: "The line" })).toContainText("Leave 1 mm at the left.");
  await hand.open("/assemblies");
  await own.getByRole("button", { name: /^Strike/ }).click();
  await expect(own).toBeHidden();
});
