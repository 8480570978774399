import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { HARDWARE_KINDS } from "../hardware/kinds";
import type { Hardware } from "../hardware/piece";
import { quickLine } from "../hardware/quick-line";
import type { StripStep } from "../job/step";
import { traceLeftover } from "./leftover";

const steps: StripStep[] = [
  { id: "s1", action: "unscrew", hardware: [{ id: "h1", kind: "screw", qty: 4, thread: "ST3.5", lengthMm: 16, drive: "TX15" }] },
  { id: "s2", action: "unscrew", hardware: [{ id: "h2", kind: "screw", qty: 2, thread: "ST3.5", lengthMm: 25, drive: "TX15" }] },
  { id: "s3", action: "pull", hardware: [{ id: "h3", kind: "wavy-washer", qty: 2, lengthMm: 20 }, { id: "h4", kind: "washer", qty: 1 }] },
  { id: "s4", action: "note", hardware: [{ id: "h5", kind: "washer", qty: 1 }] },
  { id: "s5", action: "loosen", hardware: [{ id: "h6", kind: "screw", qty: 1, stays: "loosened" }] },
]; // biome-ignore format: a list
const traced = (says: string) =>
  traceLeftover(steps, quickLine(says).hardware[0] as Hardware).map((t) => [t.step, t.hardware.id, t.agrees]);

describe("a piece that is left over", () => {
  it("is traced to where its like sat; what differs in thread, drive or length is not it", () => {
    expect(traced("1 TX15 16 ST3.5")).toEqual([["s1", "h1", true]]);
    expect(traced("1 TX15 screw")).toEqual([
      ["s1", "h1", true],
      ["s2", "h2", true],
    ]);
    expect(traced("1 PH2 screw")).toEqual([]);
  });
  it("may be called otherwise than it was: a washer is a washer, what nobody measured is not ruled out", () => {
    expect(traced("1 washer 20")).toEqual([
      ["s3", "h3", false],
      ["s3", "h4", false],
    ]);
    expect(traced("1 wavy 20")).toEqual([
      ["s3", "h3", true],
      ["s3", "h4", false],
    ]);
  });
  it("was not what was only loosened, or only looked at", () => {
    expect(traced("1 washer").map((t) => t[0])).toEqual(["s3", "s3"]);
    expect(traced("1 screw").map((t) => t[0])).toEqual(["s1", "s2"]);
  });
  it("as a law: what was recorded is found again by its own words, among those that agree", () => {
    const piece = fc.record({
      kind: fc.constantFrom(...HARDWARE_KINDS.filter((k) => k !== "debris")),
      thread: fc.option(fc.constantFrom("M4", "ST3.5"), { nil: undefined }),
      lengthMm: fc.option(fc.integer({ min: 4, max: 60 }), { nil: undefined }),
      drive: fc.option(fc.constantFrom("TX15", "PH2"), { nil: undefined }),
    });
    fc.assert(
      fc.property(fc.array(piece, { minLength: 1, maxLength: 6 }), fc.nat(5), (all, pick) => {
        const strip = all.map(
          (p, i): StripStep => ({
            id: `s${i}`,
            action: "unscrew",
            hardware: [{ id: `h${i}`, qty: 1, ...p }],
          }),
        );
        const own = pick % all.length;
        const found = traceLeftover(strip, { qty: 1, ...(all[own] as (typeof all)[number]) });
        expect(found.filter((t) => t.agrees).map((t) => t.step)).toContain(`s${own}`);
        // the ones that agree come first
        expect(found.map((t) => t.agrees)).toEqual(
          found.map((t) => t.agrees).sort((a, b) => Number(b) - Number(a)),
        );
      }),
    );
  });
});
