import { expect, test } from "@playwright/test";
import { BenchHand } from "./bench-hand";
import { copyOf } from "./units";

test("a last check that fails leads back to the rebuild, and all is tried again; what the shop asks of a kind is asked", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.open(`/jobs/${await copyOf("J-0135")}/hand-back`);
  const final = page.getByRole("region", { name: "Final check" });
  const list = page.getByRole("list", { name: "Final checks" });
  await hand.button(/Yes, checked/).click();
  await expect(final.getByRole("heading")).toContainText("Cord flexed");
  await expect(list.getByRole("listitem").first()).toContainText("✓");

  // the shop's own list for its kind, with a limit
  await hand.button(/What it has to do/).click();
  const own = page.getByRole("region", { name: "What it has to do" });
  await own.getByLabel("What it does, or what is measured").fill("presses a dough of 500 g through");
  await own.getByLabel("At most").fill("3");
  await own.getByRole("button", { name: /Ask it/ }).click();
  await expect(own.getByRole("alert")).toContainText("needs its unit");
  await own.getByLabel("In which unit").fill("min");
  await own.getByRole("button", { name: /Ask it/ }).click();
  await expect(own.getByRole("list", { name: "Own tests" })).toContainText("at most 3 min");
  await own.getByRole("button", { name: /Close/ }).click();
  await expect(list).toContainText("presses a dough of 500 g through");

  // it is not so: back to the rebuild, where a line comes open and is done again
  await hand.button("R No").click();
  const failed = page.getByRole("region", { name: "It is not so" });
  // an electrical look-over is not left out
  await expect(failed.getByRole("button", { name: /Leave this test out/ })).toHaveCount(0);
  await failed.getByLabel(/What is wrong/).fill("the strain relief turns");
  await failed.getByRole("button", { name: /Back to Rebuild/ }).click();
  await page.waitForURL(/rebuild$/);
  await expect(page.getByRole("heading", { name: /Back together/ })).toBeVisible();
  await page.keyboard.press("z");
  await expect(page.getByRole("region", { name: "Ledger" }).getByRole("status")).toBeVisible();
  const line = page.getByRole("region", { name: "The line" });
  await expect(line.getByRole("button", { name: /Done|Yes/ })).toBeVisible();
  await page.keyboard.press("Space");
  await hand.button(/On to Hand back/).click();
  await page.waitForURL(/hand-back$/);
  // what was answered before it was open is asked anew
  await expect(final.getByRole("heading")).toContainText("Turned by hand");
  await expect(list.getByRole("listitem").first()).not.toContainText("✓");
});

test("what is typed for one check stays while another panel is open, and does not stand at the next check", async ({
  page,
}) => {
  const hand = new BenchHand(page);
  await hand.open(`/jobs/${await copyOf("J-0135")}/hand-back`);
  const final = page.getByRole("region", { name: "Final check" });
  const heading = final.getByRole("heading").first();
  const figure = final.getByLabel(/Figure, /);
  const next = async (press: RegExp): Promise<void> => {
    const asked = (await heading.textContent()) ?? "";
    const ran = final.getByLabel(/^If it ran before/);
    if (await ran.isVisible()) await ran.fill("10");
    await hand.button(press).click();
    await expect(heading).not.toHaveText(asked);
  };
  await next(/Yes, checked/);
  await next(/Yes, checked/);
  await expect(heading).toHaveText("Earth bond, with its cord, at every bare metal part");
  await expect(final.getByLabel("Tester: which one")).toHaveValue("Bench tester 1, calibrated 2026-04-14");
  await figure.fill("0.12");
  await hand.button(/What it has to do/).click();
  await page
    .getByRole("region", { name: "What it has to do" })
    .getByRole("button", { name: /Close/ })
    .click();
  await expect(figure).toHaveValue("0.12");
  await next(/Enter the figure/);
  await expect(figure).toHaveValue("");
  // a tester that types: below the limit it is refused, and need not be aimed at the field
  const types = (reading: string): Promise<void> =>
    page.evaluate(
      (keys) => {
        for (const key of keys)
          document.body.dispatchEvent(new KeyboardEvent("keydown", { key, bubbles: true, cancelable: true }));
      },
      [...reading, "Enter"],
    );
  await types("0.4");
  await expect(final.getByRole("alert")).toContainText("below the limit of 1 MΩ");
  await types("30");
  await expect(heading).not.toContainText("Insulation");
  while (!(await heading.textContent())?.startsWith("Speed of")) {
    const asked = (await heading.textContent()) ?? "";
    await hand.answerFinal();
    await expect(heading).not.toHaveText(asked);
  }
  await figure.fill("12");
  await final.getByLabel("Tachometer: which one").fill("borrowed");
  await hand.button("R No").click();
  const failed = page.getByRole("region", { name: "It is not so" });
  await failed.getByLabel(/What is wrong/).fill("no reflecting tape left");
  await failed.getByRole("button", { name: /Leave this test out/ }).click();
  await expect(heading).toContainText("Current idle and under load");
  await expect(final.getByLabel("Meter at the plug: which one")).toHaveValue("Plug meter");
  await final.getByLabel("Meter at the plug: which one").fill("Clamp 7");
  await final.getByLabel(/Amperes idle/).fill("0.4 and 1.1 A");
  await next(/Yes, checked/);
  const list = page.getByRole("list", { name: "Final checks" });
  await expect(list).toContainText("0.4 and 1.1 A · Clamp 7");
  // what this unit does not have is answered so, and can be opened again
  await expect(heading).toContainText("After ten minutes");
  await next(/Does not apply/);
  await expect(list.getByRole("listitem").filter({ hasText: "After ten minutes" })).toContainText(
    "does not apply",
  );
});
