/**
 * npx tsx measure/recorder-lines.ts: what a line costs the hand, in the real browser on a unit that is new to
 * the shop. For each of forty lines (measure/spoken-lines.ts) the keys, and the time from the first key until
 * the next step is waited for, at
 * forty words a minute. What is offered behind a word is taken as soon as it is the word that was meant, as a
 * hand does that reads along; nothing else is spared.
 */

import { saidInWords } from "../src/core/hardware/piece";
import { quickLine } from "../src/core/hardware/quick-line";
import { inBrowser } from "./in-browser";
import { takeInBenchJob } from "./jobs";
import { SPOKEN, WHOLE } from "./spoken-lines";

const PORT = 4671;
/** Forty words of five letters, a minute. */
const KEY_MS = 60_000 / (40 * 5);

/** What was said and what is typed are the same pieces: places may be said with more words. */
const pieces = (line: string): string =>
  quickLine(line)
    .hardware.map((h) => saidInWords({ ...h, at: h.at?.replace(/\b(at|the) /g, "") }))
    .join("; ");
for (const [said, typed] of SPOKEN)
  if (pieces(said) !== pieces(typed))
    throw new Error(`“${said}” is ${pieces(said)}, and “${typed}” is ${pieces(typed)}: not the same`);

const at = (share: number, of: readonly number[]): number =>
  [...of].sort((a, b) => a - b)[Math.floor(share * (of.length - 1))] as number;

await inBrowser(
  PORT,
  async () => {
    await takeInBenchJob(1, 0, "J-0001");
  },
  async (page, base) => {
    await page.goto(`${base}/jobs/J-0001/strip`);
    await page.getByLabel("What came off").waitFor();
    await page.waitForTimeout(1500);
    const offer = page.getByRole("button", { name: /^Complete it: / });
    let struck = 0;
    const key = async (k: string): Promise<void> => {
      struck++;
      await page.keyboard.press(k);
      await page.waitForTimeout(KEY_MS);
    };
    /** Types into a field that a key leads to, and leaves it. */
    const type = async (into: "n" | "q", typed: string): Promise<void> => {
      const field = page.getByLabel(into === "n" ? "What came off" : "Hardware, in shorthand");
      await key(into);
      for (let k = 0; k < typed.length; ) {
        await key(typed[k] as string);
        k++;
        const rest = typed.slice(k);
        const word = /^[\p{L}-]*/u.exec(rest)?.[0] ?? "";
        if (word.length < 2) continue;
        const offered = (await offer.count())
          ? (await offer.getAttribute("aria-label"))?.replace("Complete it: ", "")
          : undefined;
        const begun = /\S*$/.exec(typed.slice(0, k))?.[0] ?? "";
        const whole = offered?.slice(begun.length);
        if (!whole || !rest.startsWith(whole) || /^\p{L}/u.test(rest.slice(whole.length))) continue;
        await key("ArrowRight");
        k += whole.length;
      }
      if ((await field.inputValue()) !== typed)
        throw new Error(`${typed} became ${await field.inputValue()}`);
      await key("Enter");
    };
    let laid = 1;
    /** Lays the step down. What is doubtful stops Space once. */
    const lay = async (): Promise<void> => {
      await page.keyboard.press(" ");
      struck++;
      laid++;
      const next = page.getByRole("region", { name: `Step ${laid + 1}`, exact: true });
      await page.waitForTimeout(150);
      if (!(await next.isVisible())) {
        await page.keyboard.press(" ");
        struck++;
      }
      await next.waitFor();
    };
    const keys: number[] = [];
    const times: number[] = [];
    for (const [, typed] of SPOKEN) {
      struck = 0;
      const began = Date.now();
      await type("q", typed);
      await lay();
      keys.push(struck);
      times.push(Date.now() - began);
      await page.waitForTimeout(300);
    }
    console.log(
      `${SPOKEN.length} lines at 40 words a minute (${KEY_MS} ms a key): keys ${at(0.5, keys)} in the middle, ${at(0.9, keys)} at the ninth tenth; from first key to laid down ${(at(0.5, times) / 1000).toFixed(1)} s in the middle, ${(at(0.9, times) / 1000).toFixed(1)} s at the ninth tenth; aim: the middle under 5 s`,
    );
    for (const [i, [said, typed]] of SPOKEN.entries())
      console.log(
        `  ${String(keys[i]).padStart(3)} keys ${((times[i] as number) / 1000).toFixed(1)} s  ${typed}  (${said})`,
      );
    const whole: number[] = [];
    for (const [what, line, more] of WHOLE) {
      struck = 0;
      await type("n", what);
      await type("q", line);
      for (const k of more) await key(k);
      await lay();
      whole.push(struck);
    }
    console.log(
      `${WHOLE.length} whole steps, part and hardware with facing, marks, wires or order: keys ${whole.join(", ")}; ${at(0.5, whole)} in the middle`,
    );
  },
);
