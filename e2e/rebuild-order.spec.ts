import { expect, type Page, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";

/**
 * A cable drum: a clamp beside a lid, two things under it that have nothing to do with each other, and
 * washers that nobody counted.
 */
async function drum(page: Page): Promise<BenchHand> {
  const hand = new BenchHand(page);
  await hand.strip({ kind: "cable drum", maker: "Ostrey", model: "Reel 25", complaint: "rattles" });
  const steps: readonly (readonly [what: string, line: string, anyOrder?: true])[] = [
    ["lid", "4x TX20 12 M4"],
    ["felt brake", "washers above"],
    ["drum shaft", "1 nut M8"],
    ["clamp", "2x TX20 16 M5", true],
  ];
  for (const [i, [what, line, anyOrder]] of steps.entries()) {
    await page.getByLabel("What came off").fill(what);
    await page.getByLabel("Hardware, in shorthand").fill(line);
    if (anyOrder) await hand.button(/Any order|Order does not matter/).click();
    // what nobody counted is asked once before it is laid down
    for (let press = 0; press < 2; press++) {
      const laid = page
        .getByRole("region", { name: "The Mat" })
        .getByLabel(new RegExp(`^Step ${i + 1}: ${what}`));
      if (await laid.isVisible()) break;
      await hand.button(/Lay it down/).click();
      await page.waitForTimeout(300);
    }
    await expect(page.getByRole("region", { name: `Step ${i + 2}`, exact: true })).toBeVisible();
  }
  await hand.open(page.url().replace(/strip$/, "rebuild"));
  return hand;
}

test("a line comes forward within the laws, work with its time is put in, what is to be loose is drawn later, and what nobody counted is asked", async ({
  page,
}) => {
  const hand = await drum(page);
  const line = page.getByRole("region", { name: "The line" });
  const finish = async (): Promise<void> => {
    const before = (await line.textContent()) ?? "";
    await page.keyboard.press("Space");
    await expect.poll(() => line.textContent()).not.toBe(before);
  };

  // the plan as a list: what may come forward, and what stands before it
  await page.getByRole("link", { name: /The plan/ }).click();
  await page.waitForURL(/rebuild\/plan$/);
  const plan = page.getByRole("list", { name: "Lines of the plan" });
  await expect(plan.getByRole("button").first()).toContainText("clamp");
  const here = page.getByRole("region", { name: "This line" });
  await plan.getByRole("button", { name: /Screw in: 4 screws M4/ }).click();
  await expect(here).toContainText(
    "Before it must go back: step 3, the drum shaft; step 2, the felt brake. They come forward with it.",
  );
  await plan.getByRole("button", { name: /drum shaft$/ }).click();
  await expect(here).toContainText("Nothing must be on before it");
  await plan
    .getByRole("button", { name: /felt brake/ })
    .first()
    .click();
  await expect(here).toContainText("Before it must go back: step 3, the drum shaft.");
  await hand.button(/These next, then it/).click();
  await page.waitForURL(/rebuild$/);
  await expect(line.getByRole("heading")).toContainText("drum shaft");

  // work is put in before what closes over it, and holds that up
  await hand.button(/Put in work/).click();
  const work = page.getByRole("region", { name: "Put in work" });
  await work.getByRole("button", { name: "Bond", exact: true }).click();
  await work.getByLabel("With what, and how").fill("felt glued anew");
  await work.getByLabel("Done to").selectOption({ label: "felt brake" });
  await work.getByRole("button", { name: "Then it rests 4 h" }).click();
  await hand.button(/Put it into the plan/).click();
  await expect(line.getByRole("heading")).toHaveText("Bond felt brake");
  await finish();
  await expect(page.getByRole("list", { name: "What is waited for" })).toContainText(
    "Felt glued anew: must be over before felt brake goes in",
  );
  while (!(await page.getByRole("region", { name: "It has to wait" }).isVisible())) await finish();
  await expect(hand.button(/Done$/)).toBeDisabled();
  await hand.button(/Go on with what need not wait/).click();
  await expect(line.getByRole("heading")).toContainText("clamp");

  // left loose until the lid is on: a line of its own, later
  while (!(await hand.button(/How tight/).isEnabled())) await finish();
  await hand.button(/How tight/).click();
  const tight = page.getByRole("region", { name: "How tight" });
  await tight.getByLabel("Torque, N·m").fill("much");
  await expect(tight.getByText(/“much” is no torque/)).toBeVisible();
  await tight.getByLabel("Torque, N·m").fill("2.4");
  await tight.getByRole("button", { name: /quarter of a turn/ }).click();
  await tight.getByLabel("Left loose until").selectOption({ label: "step 1, the lid is on" });
  await hand.button(/So it is/).click();
  await expect(line).toContainText("Leave loose: 2 screws M5");
  while (!(await page.getByRole("region", { name: "It has to wait" }).isVisible())) await finish();
  await hand.button(/I tried it: it has set/).click();
  await expect(page.getByRole("region", { name: "It has to wait" })).toHaveCount(0);
  const said: string[] = [];
  while (!(await page.getByRole("heading", { name: /Back together/ }).isVisible())) {
    said.push((await line.textContent()) ?? "");
    await finish();
  }
  expect(said.findIndex((s) => /Draw now: 2 screws M5/.test(s))).toBeGreaterThan(
    said.findIndex((s) => /Screw in: 4 screws M4/.test(s)),
  );
  expect(said.find((s) => /Draw now/.test(s))).toMatch(/2\.4\s*N·m/);

  // what nobody counted is asked as long as nobody did, and the ledger is not closed
  await expect(page.getByRole("region", { name: "Ledger" }).getByRole("status")).toHaveText(
    "Not closed: not everything was counted",
  );
  const never = page.getByRole("region", { name: "Never counted" });
  await never.getByRole("textbox").fill("none");
  await never.getByRole("button", { name: /So many/ }).click();
  await expect(never).toContainText(/number/i);
  await never.getByRole("textbox").fill("3");
  await never.getByRole("button", { name: /So many/ }).click();
  await expect(never).toHaveCount(0);
  await expect(page.getByRole("region", { name: "Ledger" })).toContainText(/3\s*washers\s*3/);

  // on paper each line has its box
  await hand.open(page.url().replace(/rebuild$/, "rebuild/paper"));
  const paper = page.getByRole("list", { name: "Lines of the plan" });
  await expect(paper.getByRole("img", { name: "done" })).toHaveCount(
    await paper.getByRole("listitem").count(),
  );
});

test("a line is read aloud where the browser has a voice of its own, and not where it has none", async ({
  page,
}) => {
  await page.addInitScript(() => {
    const said: string[] = [];
    const voice = { name: "bench", lang: "en-GB", localService: true, default: true, voiceURI: "bench" };
    Object.assign(window, { said, SpeechSynthesisUtterance: class { constructor(readonly text: string) {} } }); // biome-ignore format: a stand-in
    Object.defineProperty(window, "speechSynthesis", {
      value: {
        getVoices: () => [voice],
        speak: (u: { text: string }) => said.push(u.text),
        cancel: () => {},
        addEventListener: () => {},
        removeEventListener: () => {},
      },
    });
  });
  const hand = new BenchHand(page);
  await hand.open("/jobs/J-0139/rebuild");
  await hand.button(/Read aloud/).click();
  const said = () => page.evaluate(() => (window as unknown as { said: string[] }).said);
  const title =
    (await page.getByRole("region", { name: "The line" }).getByRole("heading").textContent()) ?? "";
  await expect.poll(async () => (await said()).at(-1)).toContain(title.replace(/[.:]$/, ""));
});

test("where no voice is at hand there is nothing to press", async ({ page }) => {
  await page.addInitScript(() => {
    const none = {
      getVoices: () => [{ name: "far", lang: "en", localService: false }],
      addEventListener: () => {},
      removeEventListener: () => {},
    };
    Object.defineProperty(window, "speechSynthesis", { value: none });
  });
  const hand = new BenchHand(page);
  await hand.open("/jobs/J-0139/rebuild");
  await expect(hand.button(/Something is left over/)).toBeVisible();
  await expect(hand.button(/Read aloud/)).toHaveCount(0);
});
