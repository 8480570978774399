import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { HAZARD_NAMES } from "../job/hazard";
import { SUPPLIES } from "../job/supply";
import { FAILURE_MODES, GREASE_STATES } from "../judge/failure-modes";
import { ROOTS } from "../judge/roots";
import { safetyGate } from "../safety/gate";
import { checkedJob, sheetInput } from "./checked/checked-job";
import { CHECKED_UNITS } from "./checked/units";
import { limitInWords } from "./final-check";
import { finalChecks } from "./final-checks";
import { BENCH_WORDS, reportText } from "./report/bench-words";
import { reportOf } from "./report/report";

/**
 * What is asked of these units before the first screw and at the end, in order and with its limits, and what
 * their owners read. The files beside this test were read line by line: would a good technician ask it of
 * this unit, and would its owner understand it?
 */
describe("gate, last checks and sheet of units of many kinds", () => {
  it.each(CHECKED_UNITS.map((u) => [u.kind, u] as const))("%s", async (kind, unit) => {
    const job = checkedJob(unit);
    const gate = safetyGate(unit).map((q) => `gate: ${q.asks}`);
    const checks = finalChecks(job).map((c, i) => {
      const limit = c.unit && (c.min !== undefined || c.max !== undefined) ? ` (${limitInWords(c)})` : "";
      return `${i + 1}. ${c.asks}${limit}${c.usual ? ` [${c.usual}]` : ""}`;
    });
    const report = reportOf(sheetInput(job));
    const text = `${[...gate, "", ...checks, "", reportText(report)].join("\n")}\n`;
    expect(text).not.toMatch(/undefined|null|NaN|\{|\}/);
    expect(reportText(report)).not.toMatch(BENCH_WORDS);
    expect(reportText(report)).not.toMatch(/(?<!\d)0\.00/);
    await expect(text).toMatchFileSnapshot(`./checked/${kind.replaceAll(" ", "-")}.txt`);
  });
});

describe("the customer's page (law)", () => {
  const unit = fc.record({
    kind: fc.constantFrom(...CHECKED_UNITS.map((u) => u.kind), "widget"),
    supplies: fc.uniqueArray(fc.constantFrom(...SUPPLIES), { minLength: 1, maxLength: 2 }),
    protectionClass: fc.constantFrom("I" as const, "II" as const, "III" as const),
    hazards: fc.uniqueArray(fc.constantFrom(...HAZARD_NAMES), { maxLength: 4 }),
    complaint: fc.constantFrom("", "grinds"),
    foodContact: fc.boolean(),
    parts: fc.array(
      fc.record({
        name: fc.constantFrom("first part", "second part"),
        kind: fc.constantFrom("gear" as const, "heater" as const, "switch" as const, "seal" as const),
        mode: fc.constantFrom(...FAILURE_MODES.map((m) => m.mode)),
      }),
      { maxLength: 3 },
    ),
    steps: fc.constantFrom(
      [],
      [{}],
      Array.from({ length: 9 }, () => ({})),
    ),
    causes: fc.uniqueArray(fc.constantFrom(...ROOTS.map((r) => r.cause)), { maxLength: 2 }),
    greaseStates: fc.uniqueArray(fc.constantFrom(...GREASE_STATES.map((g) => g.state)), { maxLength: 2 }),
    past: fc.constantFrom({}, { load: "hard" as const }),
    services: fc.constantFrom(
      [],
      [
        {
          id: "v1",
          do: "clean" as const,
          method: "wash",
          note: "gear case: washed out, find where before closing",
        },
      ],
    ),
  });
  it("has no word of the bench, no sum of nothing, and no plug or cell where there is none", () => {
    fc.assert(
      fc.property(unit, (u) => {
        const text = reportText(reportOf(sheetInput(checkedJob(u))));
        expect(text).not.toMatch(BENCH_WORDS);
        expect(text).not.toMatch(/(?<!\d)0\.00|undefined|\{|\}/);
        if (!u.supplies.includes("mains")) expect(text).not.toMatch(/pull the plug/i);
        if (!u.supplies.includes("battery")) expect(text).not.toMatch(/take the battery out/i);
        if (!u.supplies.includes("petrol")) expect(text).not.toMatch(/spark plug/i);
      }),
    );
  });
});
