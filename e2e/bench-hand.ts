import { expect, type Locator, type Page, type Request } from "@playwright/test";
import { unitAtStrip } from "./units";

/** What instruments show of a unit that is right, by unit. */
const USUAL_FIGURES = [
  [/Ω/, "0.12"],
  [/MΩ/, "30"],
  [/A$/, "1.4"],
  [/mA/, "0.1"],
  [/rpm/, "98"],
] as const;

/** What a technician does at the screen, by role and label. */
export class BenchHand {
  readonly page: Page;
  /** what was asked of the shop and is not answered yet */
  private readonly asked = new Map<Request, string>();
  constructor(page: Page) {
    this.page = page;
    page.on("request", (r) =>
      this.asked.set(
        r,
        `${r.method()} ${new URL(r.url()).pathname} ${r.headers()["next-action"] ? (r.postData()?.slice(0, 120) ?? "") : ""}`,
      ),
    );
    for (const end of ["requestfinished", "requestfailed"] as const)
      page.on(end as "requestfinished", (r) => this.asked.delete(r));
  }

  /**
   * Opens an address and waits until the screen listens: a technician's hand is slower than that, a script's
   * is not.
   */
  async open(address: string): Promise<void> {
    await this.page.goto(address);
    await this.awake();
  }

  async reload(): Promise<void> {
    await this.page.reload();
    await this.awake();
  }

  private async awake(): Promise<void> {
    await this.page.waitForFunction(() =>
      [...document.querySelectorAll("button, input, textarea, a")].every((el) =>
        Object.keys(el).some((key) => key.startsWith("__reactProps")),
      ),
    );
    // keys are listened to in effects, which run once the frame is painted
    const painted = this.page.evaluate(
      () => new Promise((done) => requestAnimationFrame(() => setTimeout(done, 60))),
    );
    let late: NodeJS.Timeout | undefined;
    const never = new Promise((_, fail) => {
      late = setTimeout(() => fail(new Error("The browser painted no frame for 30 s.")), 30_000);
    });
    await Promise.race([painted, never]).finally(() => clearTimeout(late));
  }

  button(name: string | RegExp): Locator {
    return this.page.getByRole("button", { name, ...(typeof name === "string" ? { exact: true } : {}) });
  }

  /** Types into a field that saves itself, and waits until the shop has it. */
  async write(label: string, text: string): Promise<void> {
    const field = this.page.getByLabel(label, { exact: true });
    await field.fill(text);
    await field.blur();
    await this.saved();
  }

  /** Weighs in at every point that is shown, with the practice scale. Answers the sum, g. */
  async weighAll(): Promise<number> {
    const weights = this.page.getByLabel("Weighed in, g");
    let sum = 0;
    for (let i = 0; i < (await weights.count()); i++) {
      await this.page
        .getByRole("button", { name: /Practice scale/ })
        .nth(i)
        .click();
      await expect(weights.nth(i)).toHaveValue(/^\d+(\.\d+)?$/);
      sum += Number(await weights.nth(i).inputValue());
    }
    return sum;
  }

  /** All that was sent to the shop is answered: a reload before that finds a screen that is out of date. */
  async answered(): Promise<void> {
    const sent = (): number => [...this.asked.values()].filter((r) => r.startsWith("POST")).length;
    await expect.poll(sent).toBe(0);
  }

  /** Nothing typed is waiting in the browser any more. */
  async saved(within = 10_000): Promise<void> {
    const waiting = (): string[] =>
      Object.entries(localStorage).flatMap(([k, v]) => (k.startsWith("J-") ? [`${k}: ${v}`] : []));
    await this.page
      .waitForFunction(() => !Object.keys(localStorage).some((k) => k.startsWith("J-")), undefined, {
        timeout: within,
      })
      .catch(async () => {
        const kept = await this.page.evaluate(waiting);
        const says = await this.page.getByRole("alert").allTextContents();
        throw new Error(
          `Still in the browser: ${kept.join(", ")}. Said: ${says.join(" / ")}. Not answered: ${[...this.asked.values()].join(", ") || "nothing"}`,
        );
      });
  }

  async takeIn(unit: { kind: string; maker: string; model: string; complaint: string }): Promise<string> {
    await this.open("/");
    await this.button(/Take in/).click();
    await this.page.waitForURL(/take-in$/);
    const number = /J-\d+/.exec(this.page.url())?.[0] as string;
    await this.write("Kind of unit", unit.kind);
    await this.write("Maker", unit.maker);
    await this.write("Model", unit.model);
    await this.write("In the customer’s words", unit.complaint);
    await this.saySafety();
    await this.button(/Consents/).click();
    await expect(this.button(/✓ Consents/)).toBeVisible();
    return number;
  }

  /** A unit that was taken in, at its strip, past the safety gate. */
  async strip(unit: Parameters<BenchHand["takeIn"]>[0]): Promise<string> {
    const number = await unitAtStrip(unit);
    await this.open(`/jobs/${number}/strip`);
    return number;
  }

  /** What drives it, its class, and what can hurt at it. */
  async saySafety(supply: "Mains" | "By hand" = "Mains"): Promise<void> {
    await this.button(supply).click();
    await expect(this.button(supply)).toHaveAttribute("aria-pressed", "true");
    if (supply === "Mains") {
      await this.button(/^Class II,/).click();
      await expect(this.button(/^Class II,/)).toHaveAttribute("aria-pressed", "true");
    }
    await this.button(/Nothing of these can hurt|So it is:/).click();
    await expect(this.page.getByRole("group", { name: "What can hurt at it", exact: true })).toBeVisible();
  }

  async clearSafetyGate(): Promise<void> {
    const gate = this.page.getByRole("region", { name: "Safety gate" });
    await expect(gate).toBeVisible();
    for (let i = 0; i < 8 && (await gate.isVisible()); i++) {
      const asked = await gate.getByRole("heading").textContent();
      await this.button(/Yes, checked/).click();
      await expect(gate.getByRole("heading", { name: asked ?? "" })).toHaveCount(0);
    }
  }

  /** At a last check: what came goes back, what is asked to run has run, a figure passes; then yes. */
  async answerFinal(
    figures: readonly (readonly [unit: RegExp, figure: string])[] = USUAL_FIGURES,
  ): Promise<void> {
    const final = this.page.getByRole("region", { name: "Final check" });
    const back = final.getByRole("button", { name: "goes back", exact: true, pressed: false });
    for (let left = await back.count(); left > 0; left--) await back.first().click();
    const ran = final.getByLabel(/^If it ran before/);
    if (await ran.isVisible()) await ran.fill("10");
    const figure = final.getByLabel(/^Figure, /);
    if (await figure.isVisible()) {
      const unit = (await final.getByText(/^Figure, /).textContent()) ?? "";
      await figure.fill(figures.findLast(([u]) => u.test(unit))?.[1] ?? "1");
      await this.button(/Enter the figure/).click();
    } else await this.button(/Yes, checked/).click();
  }

  /** The step number that the recorder waits for. */
  recording(n: number): Locator {
    return this.page.getByRole("region", { name: `Step ${n}`, exact: true });
  }
}
