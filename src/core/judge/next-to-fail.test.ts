import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { PART_KINDS } from "../hardware/part-kind";
import type { Evidence, EvidentPart } from "./evidence";
import { FAILURE_MODES, GREASE_STATES, SYMPTOMS } from "./failure-modes";
import { nextToFail } from "./next-to-fail";

const unit = (...parts: readonly EvidentPart[]): Evidence => ({ symptoms: [], past: {}, parts });
const wound = { name: "cutter shaft", kind: "shaft", mode: "wound" };
const bearing = { name: "end bearing", kind: "bearing" };
const seal = { name: "end seal", kind: "seal" };

describe("what goes next", () => {
  it("is nothing while nothing is found", () => {
    expect(nextToFail(unit(bearing, seal))).toEqual([]);
  });
  it("is what was not looked at and likely went the same way, with what leads to it", () => {
    const found = nextToFail(unit(wound, bearing, seal));
    expect(found.map((f) => f.parts[0])).toContain("end seal");
    const own = found.find((f) => f.parts[0] === "end seal");
    expect(own).toMatchObject({ sound: false, because: expect.stringContaining("seal no longer held") });
  });
  it("is what was found sound, where what leads to it goes on; as sound so far", () => {
    const wet: Evidence = {
      ...unit({ name: "rotor", kind: "shaft", mode: "sound" }, { ...bearing, mode: "corroded" }),
      greaseStates: ["wet"],
    };
    expect(nextToFail(wet)).toContainEqual(
      expect.objectContaining({ parts: ["rotor"], says: "rusted", sound: true }),
    );
  });
  it("a seal that is torn is how the seal failed: another one is not worn for it", () => {
    const found = nextToFail(unit(wound, { ...seal, mode: "torn" }, { name: "other seal", kind: "seal" }));
    expect(found.filter((f) => f.parts[0] === "other seal" && f.says === "worn")).toEqual([]);
  });
  it("a blow that one wheel shows is not guessed at the others", () => {
    const marks = { 4: "missing", 5: "missing", 6: "missing" };
    const wheel = { name: "wheel", kind: "gear", material: "PA", mode: "missing-teeth", teeth: 41, marks };
    expect(nextToFail(unit(wheel, { name: "pinion", kind: "gear", material: "steel" }))).toEqual([]);
  });
  it("a contact that gave up in one place makes no commutator worse", () => {
    const drill = unit({ name: "lead", kind: "wire", mode: "loose" }, { name: "motor", kind: "motor" });
    expect(nextToFail({ ...drill, symptoms: ["comes-and-goes"] })).toEqual([]);
  });
  it("a chosen cause makes what follows from it likelier", () => {
    const e = unit({ name: "wheel", kind: "gear", mode: "worn" }, bearing);
    const odds = (chosen: string[]): number =>
      nextToFail(e, chosen).find((f) => f.parts[0] === "end bearing")?.probability ?? 0;
    expect(odds(["water"])).toBeGreaterThan(odds([]));
  });
  it("as a law: odds are odds, and nothing is said of parts that are not there or were found bad", () => {
    const part = fc.record({
      name: fc.constantFrom("a", "b", "c"),
      kind: fc.constantFrom(...PART_KINDS),
      mode: fc.option(fc.constantFrom(...FAILURE_MODES.map((m) => m.mode)), { nil: undefined }),
    });
    fc.assert(
      fc.property(
        fc.uniqueArray(part, { maxLength: 5, selector: (p) => p.name }),
        fc.subarray(
          SYMPTOMS.map((s) => s.symptom),
          { maxLength: 3 },
        ),
        fc.subarray(
          GREASE_STATES.map((g) => g.state),
          { maxLength: 2 },
        ),
        (parts, symptoms, greaseStates) => {
          for (const f of nextToFail({ symptoms, greaseStates, past: {}, parts })) {
            expect(f.probability).toBeGreaterThanOrEqual(0.3);
            expect(f.probability).toBeLessThanOrEqual(1);
            for (const name of f.parts) {
              const own = parts.find((p) => p.name === name);
              expect(own).toBeDefined();
              expect(
                own?.mode === undefined || FAILURE_MODES.find((m) => m.mode === own.mode)?.sound,
              ).toBeTruthy();
            }
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});
