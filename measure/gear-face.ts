/**
 * npx tsx measure/gear-face.ts: a gear face of 120 teeth in the real browser.
 *
 * Whether the mark of a pressed tooth stands in the very next frame, and how long that takes beside a face of
 * 20 teeth in the same run.
 */
import type { Page } from "@playwright/test";
import { inBrowser } from "./in-browser";
import { jobOf } from "./jobs";

const PORT = 4668;

interface Painted {
  /** from the press to the end of the frame that follows it, waiting for that frame included */
  readonly ms: number;
  /** the mark stood in that frame */
  readonly next: boolean;
}

async function takeInGear(number: string, teeth: number): Promise<void> {
  const { takeInJobFile } = await import("../src/store/job-file");
  const file = jobOf(4, number);
  const identity = {
    teeth,
    moduleMm: 1,
    diametralPitch: null,
    pressureAngleDeg: 20,
    helixAngleDeg: 0,
    profileShift: 0,
    probability: 0.99,
  };
  await takeInJobFile({
    file: { ...file, findings: [{ part: "p1", identity, x: { gear: { teeth, kind: "spur" } } }] },
    pictures: new Map(),
  });
}

/** Times from pressing a tooth to the frame after which its mark stands in the picture, ms. */
async function marks(page: Page, number: string, teeth: number): Promise<Painted[]> {
  await page.goto(`http://localhost:${PORT}/jobs/${number}/judge/gear/p1`);
  await page.getByRole("button", { name: "Tooth 1", exact: true }).waitFor();
  await page.waitForTimeout(500);
  const times: Painted[] = [];
  const presses = Math.min(24, teeth);
  for (let i = 0; i < presses; i++) {
    const tooth = 1 + Math.floor((i * teeth) / presses);
    const box = await page.getByRole("button", { name: `Tooth ${tooth}`, exact: true }).boundingBox();
    if (!box) throw new Error(`no tooth ${tooth}`);
    await page.evaluate((tooth) => {
      (window as unknown as { painted: Promise<Painted> }).painted = new Promise((done) => {
        window.addEventListener(
          "pointerup",
          () => {
            const channel = new MessageChannel();
            const began = performance.now();
            channel.port1.onmessage = () => done({ ms: performance.now() - began, next: marked });
            let marked = false;
            // what stands in the page when the very next frame is drawn
            requestAnimationFrame(() => {
              marked = document.querySelector(`[aria-label="Tooth ${tooth}, missing"]`) !== null;
              channel.port2.postMessage(0);
            });
          },
          { once: true, capture: true },
        );
      });
    }, tooth);
    await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
    times.push(await page.evaluate(() => (window as unknown as { painted: Promise<Painted> }).painted));
    await page.getByRole("button", { name: `Tooth ${tooth}, missing` }).waitFor();
    await page.waitForTimeout(120);
  }
  return times.slice(4);
}
const at = (share: number, times: readonly Painted[]): number =>
  times.map((t) => t.ms).sort((a, b) => a - b)[Math.floor(share * (times.length - 1))] as number;

await inBrowser(
  PORT,
  async () => {
    await takeInGear("J-0120", 120);
    await takeInGear("J-0020", 20);
  },
  async (page) => {
    const small = await marks(page, "J-0020", 20);
    const large = await marks(page, "J-0120", 120);
    console.log(
      `gear face of 120 teeth, a tooth pressed: marked in the very next frame ${large.filter((t) => t.next).length} of ${large.length} times (aim: all); ${at(0.5, large).toFixed(1)} ms to that frame's end, ${(at(0.5, large) / at(0.5, small)).toFixed(2)} times a face of 20 teeth`,
    );
  },
);
