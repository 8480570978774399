import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { HARDWARE_KINDS } from "../hardware/kinds";
import { missingKey } from "../job/keys";
import { ACTIONS, type StripStep } from "../job/step";
import { checkStrip } from "./checked-strip";
import { hardwareLedger, ledgerRows } from "./hardware-ledger";
import { INVERSE_ACTION } from "./inverse-action";
import { ACTION_SAYS } from "./likely-action";
import { lessMissing, missingOf } from "./missing";

const strips = fc
  .array(
    fc.record({
      kind: fc.constantFrom(...HARDWARE_KINDS),
      qty: fc.integer({ min: 1, max: 9 }),
      part: fc.boolean(),
      back: fc.boolean(),
    }),
    {
      maxLength: 20,
    },
  )
  .map((rows) => ({
    back: rows.map((r) => r.back),
    strip: checkStrip({
      steps: rows.map(
        (r, i): StripStep => ({
          id: `s${i}`,
          action: "pull",
          needs: [],
          hardware: [{ id: `h${i}`, kind: r.kind, qty: r.qty }],
          ...(r.part ? { parts: [`p${i}`] } : {}),
        }),
      ),
      parts: rows.flatMap((r, i) => (r.part ? [{ id: `p${i}` }] : [])),
      services: [],
      lubePoints: [],
    }),
  }));

describe("the ledger", () => {
  it("always balances: what is out is back or named as open, with the pocket it lies in", () => {
    fc.assert(
      fc.property(strips, ({ strip, back }) => {
        const ledger = hardwareLedger(strip, (s) => back[strip.steps.indexOf(s)] ?? false);
        const open = ledger.open.reduce((sum, p) => sum + p.qty, 0);
        expect(ledger.back + open).toBe(ledger.out);
        for (const piece of ledger.open) {
          expect(strip.steps[piece.pocket - 1]?.id).toBe(piece.step);
          expect(back[piece.pocket - 1]).toBe(false);
        }
      }),
    );
  });
  it("has rows that sum up to the same", () => {
    fc.assert(
      fc.property(strips, ({ strip, back }) => {
        const isBack = (s: StripStep): boolean => back[strip.steps.indexOf(s)] ?? false;
        const ledger = hardwareLedger(strip, isBack);
        const rows = ledgerRows(strip, isBack);
        expect(rows.reduce((sum, r) => sum + r.out, 0)).toBe(ledger.out);
        expect(rows.reduce((sum, r) => sum + r.back, 0)).toBe(ledger.back);
        for (const r of rows) expect(r.out).toBeGreaterThan(0);
      }),
    );
  });
});

describe("what is missing", () => {
  it("law: is open beside what went back, however much of it is said to be gone", () => {
    fc.assert(
      fc.property(strips, fc.array(fc.nat(12), { minLength: 20, maxLength: 20 }), ({ strip, back }, gone) => {
        const answers = strip.steps.map((s, i) => ({
          question: missingKey(s.id, `h${i}`),
          answer: "missing",
          value: gone[i] ?? 0,
          at: "2026-11-30T08:00:00.000Z",
        }));
        const steps = [...strip.steps];
        const missing = missingOf({ steps, answers });
        const isBack = (s: StripStep): boolean => back[strip.steps.indexOf(s)] ?? false;
        const less = hardwareLedger(strip, lessMissing(isBack, missing));
        const all = hardwareLedger(strip, isBack);
        const lost = missing
          .filter((m) => back[steps.findIndex((s) => s.id === m.step)])
          .reduce((sum, m) => sum + m.qty, 0);
        expect(less.back).toBe(all.back - lost);
        expect(less.back + less.open.reduce((sum, p) => sum + p.qty, 0)).toBe(less.out);
      }),
    );
  });
});

describe("actions", () => {
  it("each have a word for coming off, and all but a note one for going back", () => {
    for (const a of ACTIONS) {
      expect(ACTION_SAYS[a]).toBeTruthy();
      if (a !== "note") expect(INVERSE_ACTION[a].part).toBeTruthy();
    }
    expect(new Set(Object.values(INVERSE_ACTION).map((x) => x.name)).size).toBe(ACTIONS.length - 1);
  });
});
