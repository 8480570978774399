import { describe, expect, it } from "vitest";
import { CHECKED_UNITS } from "./checked/units";
import { limitInWords } from "./final-check";
import { finalChecks } from "./final-checks";
import { careOf, customerCaution } from "./report/care";

/**
 * What is asked at the end of twenty units, in order and with its limits, and what their owners are told. The
 * files beside this test were read line by line: would a good technician ask it of this unit?
 */
describe("the last checks and the care of twenty units", () => {
  it.each(CHECKED_UNITS.map((u) => [u.kind, u] as const))("%s", async (kind, unit) => {
    const checks = finalChecks(unit).map((c, i) => {
      const limit = c.unit && (c.min !== undefined || c.max !== undefined) ? ` (${limitInWords(c)})` : "";
      return `${i + 1}. ${c.asks}${limit}`;
    });
    const care = careOf({
      causes: { chosen: [...(unit.causes ?? [])] },
      past: {},
      foodContact: unit.foodContact ?? false,
      supplies: [...(unit.supplies ?? [])],
    });
    const told = [
      ...care.says,
      ...(unit.hazards ?? []).flatMap((h) => customerCaution(h, unit.supplies) ?? []),
    ];
    const text = `${[...checks, ...told.map((says) => `owner: ${says}`)].join("\n")}\n`;
    expect(text).not.toMatch(/undefined|null|\{|\}/);
    await expect(text).toMatchFileSnapshot(`./checked/${kind.replaceAll(" ", "-")}.txt`);
  });
});
