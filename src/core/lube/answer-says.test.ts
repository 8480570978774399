import { describe, expect, it } from "vitest";
import { type AnswerFacts, answerSays } from "./answer-says";

const facts = (more: Partial<AnswerFacts> = {}): AnswerFacts => ({
  name: "gear case",
  lubricant: "Olmen FG-1",
  isOil: false,
  grams: 120,
  leastGrams: 110,
  mostGrams: 130,
  addGrams: 120,
  points: [
    { kind: "gear-teeth", where: "teeth of the crown wheel" },
    { kind: "gear-teeth", where: "teeth of the pinion" },
  ],
  last: { line: 9, closes: true },
  ...more,
});

describe("the answer for a chamber", () => {
  it.each<[Partial<AnswerFacts>, string | null]>([
    [{}, "Gear case: 110 to 130 g of Olmen FG-1, round the gears, before line 9 closes it."],
    [
      { last: { line: 4, closes: false } },
      "Gear case: 110 to 130 g of Olmen FG-1, round the gears, before line 4.",
    ],
    [
      { addGrams: 16.4, last: undefined },
      "Gear case: 16.4 g more of Olmen FG-1, 120 g with what stays, round the gears.",
    ],
    [{ weighedGrams: 27.4 }, "Gear case: 27.4 g of Olmen FG-1 went in."],
    [{ grams: null }, null],
    [{ addGrams: null }, null],
    [
      {
        grams: 0.09,
        leastGrams: 0.06,
        mostGrams: 0.14,
        addGrams: 0.09,
        points: [{ kind: "seal-lip", where: "lip of the shaft seal" }],
        last: undefined,
      },
      "Gear case: a film of Olmen FG-1, at the lip of the shaft seal.",
    ],
    [
      {
        name: "clockwork",
        lubricant: "Wren 32",
        isOil: true,
        grams: 0.054,
        leastGrams: 0.04,
        mostGrams: 0.08,
        addGrams: 0.054,
        densityGPerMl: 0.9,
        points: [
          { kind: "clock-pivot", where: "pivots of the first wheel" },
          { kind: "clock-pivot", where: "pivots of the fly" },
        ],
        last: undefined,
      },
      "Clockwork: 2 drops of Wren 32, at the pivots of the first wheel and pivots of the fly.",
    ],
    [
      {
        name: "clockwork",
        lubricant: "Wren 32",
        isOil: true,
        grams: 0.5,
        leastGrams: 0.4,
        mostGrams: 0.8,
        addGrams: 0.5,
        points: [
          { kind: "mainspring", where: "mainspring" },
          { kind: "clock-pivot", where: "pivots of the fly", outside: true },
        ],
        besides: [{ lubricant: "Merrow 2", at: ["crown wheel"] }],
      },
      "Clockwork: 0.4 to 0.9 ml of Wren 32, at the mainspring, before line 9 closes it, and from outside at the pivots of the fly. Merrow 2 at the crown wheel.",
    ],
    [
      { isOil: true, lubricant: "Wren 220", levelPlug: true, grams: null, last: undefined },
      "Gear case: Wren 220 up to the level plug, round the gears.",
    ],
    [
      {
        isOil: true,
        densityGPerMl: 0.88,
        grams: 140.8,
        leastGrams: 126.7,
        mostGrams: 154.9,
        addGrams: 140.8,
      },
      "Gear case: 144 to 176 ml of Olmen FG-1, round the gears, before line 9 closes it.",
    ],
    [
      {
        points: [
          { kind: "worm", where: "worm" },
          { kind: "worm", where: "worm wheel" },
          { kind: "seal-lip", where: "shaft seal" },
        ],
      },
      "Gear case: 110 to 130 g of Olmen FG-1, in the worm’s thread and round its wheel, and at the shaft seal, before line 9 closes it.",
    ],
  ])("%j", (more, says) => {
    expect(answerSays(facts(more))).toBe(says);
  });
});
