/**
 * npx tsx measure/take-in.ts: what taking a unit in costs the hand, in the real browser of a shop that is
 * new: units that it has never seen, by keyboard at forty words a minute, a second to think before each press
 * that is a choice. From the press on the
 * board until the press that goes on to Strip is answered.
 */
import { inBrowser } from "./in-browser";

const PORT = 4672;
const KEY_MS = 60_000 / (40 * 5);
const CHOICE_MS = 700;

/** Kind, maker, model, what it runs on, its class, what can hurt, the words, a symptom, the customer. */
const UNITS = [
  ["rice cooker", "Velbrant", "R 2", "Mains", "I", "runs hot", "Stays cold.", "dead", "M. Orlin"],
  ["can opener", "Ostrava", "C 1", "By hand", "", "", "Wheel slips.", "slips under load", "T. Weyle"],
  ["desk fan", "Corvane", "F 30", "Mains", "II", "", "Rattles.", "vibrates", "A. Sund"],
  [
    "jigsaw",
    "Tarnholt",
    "J 7",
    "Mains",
    "II",
    "blade or disc",
    "Lost its speed.",
    "lost a speed",
    "M. Orlin",
  ],
  ["toothbrush", "Quentar", "T 4", "Battery", "", "", "Weak.", "comes and goes", "E. Marn"],
  [
    "music box",
    "Pellgrove",
    "12",
    "Wound spring",
    "",
    "loaded spring",
    "Stands still.",
    "stiff to turn",
    "T. Weyle",
  ],
  ["hair dryer", "Velbrant", "H 9", "Mains", "II", "runs hot", "Smells.", "smells hot", "O. Brill"],
] as const;

const median = (of: readonly number[]): number =>
  [...of].sort((a, b) => a - b)[Math.floor(of.length / 2)] as number;

await inBrowser(
  PORT,
  async () => undefined,
  async (page, base) => {
    const times: number[] = [];
    const counts: number[] = [];
    for (const [kind, maker, model, runs, mark, hurts, words, symptom, customer] of UNITS) {
      await page.goto(`${base}/`);
      await page.getByRole("button", { name: /Take in/ }).waitFor();
      await page.waitForTimeout(800);
      let keys = 0;
      const key = async (k: string): Promise<void> => {
        keys++;
        await page.keyboard.press(k);
        await page.waitForTimeout(KEY_MS);
      };
      const type = async (field: string, text: string): Promise<void> => {
        await key(field);
        for (const c of text) await key(c);
        await key(field === "w" ? "Escape" : "Enter");
      };
      const choose = async (name: string): Promise<void> => {
        keys++;
        await page.waitForTimeout(CHOICE_MS);
        await page.getByRole("button", { name, exact: true }).click();
      };
      const began = Date.now();
      await page.getByRole("button", { name: /Take in/ }).click();
      await page.waitForURL(/take-in$/);
      await page.getByLabel("Kind of unit").waitFor();
      await page.waitForTimeout(250);
      for (const [field, text] of [["k", kind], ["m", maker], ["l", model], ["w", words], ["n", customer]] as const) await type(field, text); // biome-ignore format: five fields
      await choose(runs);
      if (mark) {
        await page.getByRole("group", { name: "Protection class, by its mark" }).waitFor();
        await page.waitForTimeout(CHOICE_MS);
        await page.getByRole("button", { name: new RegExp(`^Class ${mark},`) }).click();
        keys++;
      }
      if (hurts) await choose(hurts);
      else await key("z");
      await choose(symptom);
      await key("c");
      await page.getByRole("button", { name: /✓ Consents/ }).waitFor();
      const on = page.getByRole("button", { name: /On to Strip/ });
      await page.waitForFunction(
        (el) => el instanceof HTMLButtonElement && !el.disabled,
        await on.elementHandle(),
      );
      await page.keyboard.press(" ");
      keys++;
      await page.waitForURL(/strip$/);
      times.push(Date.now() - began);
      counts.push(keys);
      console.log(`  ${((times.at(-1) as number) / 1000).toFixed(1)} s, ${keys} keys: ${kind}`);
    }
    console.log(
      `${UNITS.length} units taken in at 40 words a minute: ${(median(times) / 1000).toFixed(1)} s and ${median(counts)} keys in the middle; aim: under 30 s`,
    );
  },
);
