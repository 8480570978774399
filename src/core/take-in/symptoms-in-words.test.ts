import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { SYMPTOMS } from "../judge/failure-modes";
import { symptomsIn } from "./symptoms-in-words";

describe("symptoms in the customer's words", () => {
  it.each([
    ["Just sits there while the motor runs.", ["output-still"]],
    ["I can hear the motor but nothing turns", ["output-still"]],
    ["Stone dead since Tuesday.", ["dead"]],
    ["It won’t switch on, and it smelled burnt before.", ["dead", "hot"]],
    ["Clicks once a turn and got very loud", ["clicks", "louder"]],
    ["Leaks oil on the shelf. Stiff to turn in the cold.", ["leaks", "stiff"]],
    ["Grinds and comes out in jerks", ["grinds", "jerks"]],
    ["Stops after five minutes, then goes again; sparks inside", ["cuts-out", "sparks"]],
    ["Noisy since my brother had it apart", ["noise-since-opened"]],
    ["No sparks, and it never leaks. It only whines.", ["whines"]],
    ["New spark plug last year, slips under load", ["slips"]],
    ["Please look it over before the season", []],
  ])("%s", (words, symptoms) => {
    expect(symptomsIn(words)).toEqual(symptoms);
  });
  it("are symptoms that can be ticked, each once, whatever is typed", () => {
    const all = new Set<string>(SYMPTOMS.map((s) => s.symptom));
    fc.assert(
      fc.property(fc.string(), (words) => {
        const found = symptomsIn(words);
        expect(new Set(found).size).toBe(found.length);
        for (const s of found) expect(all.has(s)).toBe(true);
      }),
    );
  });
});
