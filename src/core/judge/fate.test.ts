import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { FAILURE_MODES } from "./failure-modes";
import { type FateFacts, fateOptions } from "./fate";

describe("repair, replace or make", () => {
  const facts = (more: Partial<FateFacts> = {}): FateFacts => ({
    kind: "gear",
    mode: "missing-teeth",
    plastic: true,
    load: "daily",
    safety: false,
    hot: false,
    partToBeHad: true,
    ...more,
  });
  const advised = (f: FateFacts) => fateOptions(f).find((o) => o.advised)?.fate;
  it("a wheel with teeth gone is renewed; with its mate where that is worn", () => {
    expect(advised(facts({ mateWorn: false }))).toBe("renew");
    expect(advised(facts({ mateWorn: true }))).toBe("renew-pair");
    expect(advised(facts({ mateWorn: true, cost: 18, limit: 120, load: "hard" }))).toBe("renew-pair");
    expect(advised(facts({ mateWorn: false, cost: 18, limit: 120 }))).toBe("renew");
    expect(fateOptions(facts()).find((o) => o.fate === "repair")).toMatchObject({ barred: true });
  });
  it("no part available: made; and a cracked hub on a light drive may be bonded", () => {
    expect(advised(facts({ partToBeHad: false }))).toBe("make");
    const bond = fateOptions(facts({ mode: "cracked-hub", partToBeHad: false, load: "light" })).find(
      (o) => o.fate === "repair",
    );
    expect(bond?.barred).toBe(false);
    expect(bond?.reasons.map((r) => r.says).join()).toMatch(/stopgap/);
    expect(advised(facts({ mode: "cracked-hub", partToBeHad: false, load: "light", speedMs: 1 }))).toBe(
      "repair",
    );
  });
  it("where somebody can be hurt nothing is mended or made", () => {
    const options = fateOptions(facts({ safety: true, partToBeHad: false, mode: "cracked-hub" }));
    for (const fate of ["repair", "make"]) expect(options.find((o) => o.fate === fate)?.barred).toBe(true);
    expect(advised(facts({ safety: true, partToBeHad: false, mode: "cracked-hub" }))).toBe("decline");
  });
  it("above the limit it asks first; a sound part is kept", () => {
    expect(
      fateOptions(facts({ cost: 150, limit: 120 }))
        .find((o) => o.fate === "renew")
        ?.reasons.map((r) => r.says)
        .join(),
    ).toMatch(/above the customer's limit/);
    expect(advised(facts({ mode: "sound" }))).toBe("keep");
    expect(advised(facts({ kind: "bearing", mode: "slack" }))).toBe("renew");
  });
  it("always says why, and never advises what is barred", () => {
    fc.assert(
      fc.property(
        fc.record({
          kind: fc.constantFrom("gear", "bearing", "seal", "shaft", "bush", "housing"),
          mode: fc.constantFrom(...FAILURE_MODES.map((m) => m.mode)),
          plastic: fc.boolean(),
          load: fc.constantFrom("light" as const, "daily" as const, "hard" as const, "unknown" as const),
          safety: fc.boolean(),
          hot: fc.boolean(),
          partToBeHad: fc.constantFrom(true, false, undefined),
          mateWorn: fc.constantFrom(true, false, undefined),
        }),
        (f) => {
          const options = fateOptions(f);
          expect(options.filter((o) => o.advised).length).toBeLessThanOrEqual(1);
          for (const o of options) if (o.advised) expect(o.barred).toBe(false);
        },
      ),
    );
  });
});
