import { describe, expect, it } from "vitest";
import { FOOD_QUESTION, goesByFood, isFoodAsked, mayTouchFood } from "./food";

describe("food", () => {
  it.each(["espresso machine", "meat mincer", "ice-cream maker", "hand blender", "chestnut roaster"])(
    "a %s is asked about, and reckoned with as long as nobody answers",
    (kind) => {
      const unit = { kind, foodContact: false, answers: [] };
      expect([mayTouchFood(kind), isFoodAsked(unit), goesByFood(unit)]).toEqual([true, true, true]);
      const no = { ...unit, answers: [{ question: FOOD_QUESTION, answer: "no" as const, at: "" }] };
      expect([isFoodAsked(no), goesByFood(no)]).toEqual([false, false]);
      expect(isFoodAsked({ ...unit, foodContact: true })).toBe(false);
    },
  );
  it.each(["cordless drill", "paint mixer", "hedge shears", "letter scale", "kitchen scales"])(
    "a %s is not",
    (kind) => {
      expect(goesByFood({ kind, foodContact: false, answers: [] })).toBe(false);
    },
  );
});
