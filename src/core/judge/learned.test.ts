import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { likelyCauses } from "./causes";
import { learnedPriors, type Verdict } from "./learned";
import { ROOTS } from "./roots";

const verdict = (cause: string, more: Partial<Verdict> = {}): Verdict => ({
  model: "M 1",
  causes: [cause],
  cameBack: false,
  on: "2026-03-08",
  ...more,
});
const many = (n: number, v: Verdict): Verdict[] => Array.from({ length: n }, () => v);
const priorOf = (verdicts: readonly Verdict[], cause: string, model = "M 1"): number =>
  learnedPriors(verdicts, model).find((l) => l.cause === cause)?.prior ?? Number.NaN;
const shipped = (cause: string): number => ROOTS.find((r) => r.cause === cause)?.prior ?? Number.NaN;

describe("priors that a shop has learned", () => {
  it("are the shipped ones without history", () => {
    for (const l of learnedPriors([], "M 1"))
      expect(l).toMatchObject({ n: 0, m: 0, prior: shipped(l.cause) });
  });
  it("are the shop's frequencies with much", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2000 }), (hair) => {
        const verdicts = [...many(hair, verdict("hair")), ...many(2000 - hair, verdict("dry"))];
        expect(priorOf(verdicts, "hair")).toBeCloseTo(hair / 2000, 1);
      }),
      { numRuns: 30 },
    );
  });
  it("stay probabilities, and one verdict more for a cause never lowers it", () => {
    const verdicts = fc.array(
      fc.record({
        model: fc.constantFrom("M 1", "M 2"),
        causes: fc.subarray(ROOTS.map((r) => r.cause)),
        cameBack: fc.boolean(),
        on: fc.constant("2026-03-08"),
      }),
      { maxLength: 30 },
    );
    fc.assert(
      fc.property(verdicts, (v) => {
        const before = priorOf(v, "hair");
        expect(before).toBeGreaterThan(0);
        expect(before).toBeLessThan(1);
        expect(priorOf([...v, verdict("hair")], "hair")).toBeGreaterThan(before);
      }),
    );
  });
  it("count a comeback against its verdict, and a model's own jobs more than its kind's", () => {
    const held = priorOf(many(10, verdict("hair")), "hair");
    expect(priorOf(many(10, verdict("hair", { cameBack: true })), "hair")).toBeLessThan(shipped("hair"));
    expect(priorOf(many(10, verdict("hair", { model: "M 2" })), "hair")).toBeLessThanOrEqual(held);
  });
  it("change what is thought first of a unit of the kind", () => {
    const found = { symptoms: ["leaks"], past: {}, parts: [{ name: "seal", kind: "seal", mode: "torn" }] };
    const hair = (priors?: Readonly<Record<string, number>>): number =>
      likelyCauses({ ...found, ...(priors ? { priors } : {}) }).find((c) => c.cause === "hair")
        ?.probability ?? 0;
    const learned = learnedPriors(many(12, verdict("hair")), "M 1");
    expect(hair(Object.fromEntries(learned.map((l) => [l.cause, l.prior])))).toBeGreaterThan(hair() + 0.2);
  });
});
