import { describe, expect, it } from "vitest";
import { rebuildPlan } from "../order/rebuild-plan";
import { jobOf } from "./job-at-rebuild";
import { besideLine, lineAloud } from "./line-beside";
import { cautionsAt } from "./line-cautions";
import { lineInWords } from "./line-in-words";
import { MORE_UNITS as MORE } from "./read-cold/more-units";
import { UNITS as FIRST } from "./read-cold/units";

/**
 * Strips of machines that the demo does not have, printed as the bench says them. The files beside this test
 * were read cold: where a line puzzles, the words are at fault, not
 * the reader. A changed word shows there.
 */
const UNITS = { ...FIRST, ...MORE };

/** Every line as the bench says it: what to do, and under it what to mind. */
function told(unit: keyof typeof UNITS): string {
  const job = jobOf({ kind: unit, ...UNITS[unit] });
  const lines = rebuildPlan(job).steps.flatMap((l) => {
    const w = lineInWords(job, l);
    const beside = besideLine(w, cautionsAt(job, l));
    return [`${l.n}. ${w.title}`, ...beside.map((b) => `     ${b}`)];
  });
  return `${lines.join("\n")}\n`;
}

describe("read cold", () => {
  it.each(Object.keys(UNITS) as (keyof typeof UNITS)[])("%s", async (unit) => {
    const text = told(unit);
    // never an empty title, an id, or a word of the program
    for (const line of text.split("\n"))
      expect(line).not.toMatch(/^\d+\. *$|: *$|\b[sphgv]\d+\b|undefined|null|lift-off|press-out|drive-out/);
    await expect(text).toMatchFileSnapshot(`./read-cold/${unit.replaceAll(" ", "-")}.txt`);
  });
});

describe("read aloud", () => {
  it("says signs as words, what can hurt first, and leaves what to do on a no", () => {
    const words = {
      title: "Screw in: 4 screws M4 × 12",
      torqueNm: 1.2,
      pattern: "crosswise",
      wires: [{ colour: "red", to: "L2" }],
      mind: ["◷ Timing: a tooth at the pin"],
      marks: [],
      renewed: [],
      stack: ["washer", "wheel"],
      ifNot: "Start anew.",
    };
    expect(lineAloud({ ...words, belongs: "", hardware: [] }, ["Never with the screws."])).toBe(
      "Screw in: 4 screws M4 by 12. Never with the screws. 1.2 newton metres, crosswise. wires: red to L2. stack: washer, then wheel. Timing: a tooth at the pin.",
    );
  });
});
