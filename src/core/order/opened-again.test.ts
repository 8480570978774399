import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { undoKey } from "../job/keys";
import type { StripStep } from "../job/step";
import { waysInto } from "./access-plan";
import { hardwareLedger } from "./hardware-ledger";
import { backNow, linesOpenedBy, needsNow, offNow } from "./off-again";
import { isLineDone, lineKey } from "./rebuild-line";
import { rebuildPlan } from "./rebuild-plan";

/** What a hand does: lays a step down, goes on with the rebuild by some lines, or takes something off again. */
const deed = fc.oneof(
  {
    weight: 4,
    arbitrary: fc.record({ do: fc.constant("lay" as const), qty: fc.integer({ min: 1, max: 4 }) }),
  },
  {
    weight: 4,
    arbitrary: fc.record({ do: fc.constant("back" as const), lines: fc.integer({ min: 1, max: 9 }) }),
  },
  { weight: 2, arbitrary: fc.record({ do: fc.constant("off" as const), which: fc.nat() }) },
);

/** The program's book and a bench of its own beside it, piece by piece. */
class Bench {
  readonly lies = new Map<string, number>();
  steps: StripStep[] = [];
  done: string[] = [];

  private get strip() {
    return {
      steps: this.steps,
      parts: this.steps.map((s) => ({ id: `p${s.id}`, name: `part ${s.id}` })),
      services: [],
      lubePoints: [],
    };
  }
  private takeOff(s: StripStep): void {
    this.lies.set(`p${s.id}`, 1);
    for (const h of s.hardware ?? []) this.lies.set(h.id, h.qty);
  }
  lay(qty: number): void {
    const id = `s${this.steps.length + 1}`;
    const step: StripStep = {
      id,
      action: "unscrew",
      parts: [`p${id}`],
      needs: needsNow(this.steps, this.done),
      hardware: [{ id: `h${id}`, kind: "screw", qty }],
    };
    this.steps = [...this.steps, step];
    this.takeOff(step);
  }
  back(lines: number): void {
    for (let k = 0; k < lines; k++) {
      const next = rebuildPlan(this.strip).steps.find((l) => !isLineDone(l, new Set(this.done)));
      if (!next) return;
      this.done = [...this.done, lineKey(next)];
      if (next.kind !== "fit") continue;
      for (const piece of [...next.parts, ...next.hardware]) this.lies.delete(piece);
    }
  }
  /** A part that is back comes off again, and with it whatever was in its way. */
  off(which: number): void {
    const back = backNow(this.steps, this.done);
    const wanted = back[which % Math.max(1, back.length)];
    if (wanted === undefined) return;
    const { steps } = waysInto(this.strip).toStep(wanted, offNow(this.steps, this.done));
    const opened = new Set(linesOpenedBy(rebuildPlan(this.strip), this.strip, steps));
    this.done = this.done.filter((k) => !opened.has(k));
    for (const s of this.steps) if (steps.includes(s.id)) this.takeOff(s);
  }
  /** what the program says still lies open, piece by piece */
  get open(): Map<string, number> {
    const done = new Set(this.done);
    const { open } = hardwareLedger(this.strip, (s) => done.has(undoKey(s.id)));
    return new Map(open.map((o) => [o.hardware ?? o.part ?? "", o.qty]));
  }
  get isTogether(): boolean {
    const done = new Set(this.done);
    return rebuildPlan(this.strip).steps.every((l) => isLineDone(l, done));
  }
}

describe("a unit that is opened again", () => {
  it("as a law: whatever comes off, goes back and comes off again, the book and the bench agree piece by piece", () => {
    fc.assert(
      fc.property(fc.array(deed, { minLength: 1, maxLength: 14 }), (deeds) => {
        const bench = new Bench();
        for (const d of deeds) {
          if (d.do === "lay") bench.lay(d.qty);
          else if (d.do === "back") bench.back(d.lines);
          else bench.off(d.which);
          expect(bench.open).toEqual(bench.lies);
          if (bench.isTogether) expect(bench.lies.size).toBe(0);
        }
        bench.back(500);
        expect([bench.isTogether, bench.lies.size]).toEqual([true, 0]);
      }),
      { numRuns: 300 },
    );
  });

  it("a step that is laid down after some went back needs the last that is off, and nothing that is on", () => {
    const bench = new Bench();
    for (let k = 0; k < 3; k++) bench.lay(1);
    bench.back(2);
    expect(backNow(bench.steps, bench.done)).toEqual(["s3"]);
    bench.lay(2);
    expect(bench.steps.at(-1)?.needs).toEqual(["s2"]);
    bench.back(500);
    bench.lay(1);
    expect(bench.steps.at(-1)?.needs).toEqual([]);
  });
});
