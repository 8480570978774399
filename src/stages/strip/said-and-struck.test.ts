import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { newStepFrom } from "@/core/job/recorded-step";
import type { StripStep } from "@/core/job/step";
import { factChips } from "@/core/order/step-words";
import { toolsOf } from "@/core/order/tools-used";
import {
  asRecorded,
  EMPTY,
  lineTaken,
  type OpenStep,
  sentences,
  understood,
} from "@/core/recorder/open-step";
import { opened } from "@/core/recorder/opened-again";
import { withoutFact, withoutName, withoutPiece } from "./struck";

const open = (more: Partial<OpenStep>): OpenStep => ({ ...EMPTY, key: "k", ...more });
const laid = (o: OpenStep) => asRecorded(o, understood(o), 0);

/** Things that a technician says of a step, in one breath or several. */
const SAYINGS = [
  "4x TX15 16 ST3.5 corners", "2 nuts M4", "1 circlip 12", "3 washers above, 2 below", "five screws, one of them longer",
  "levered off with two screwdrivers", "10 mm socket", "sits on two dowels", "on older ones a nut", "renew it every time",
  "nut back on to save the thread", "end cap", "brown to 2", "lip to the motor", "two screws left in", "undoes clockwise",
  "driven out to the left", "odd thing here", "mark on the rim", "gasket torn", "finger tight", "with a star washer each",
] as const; // biome-ignore format: a list of sayings
const line = fc
  .uniqueArray(fc.constantFrom(...SAYINGS), { minLength: 1, maxLength: 5 })
  .chain((all) => fc.constantFrom(", ", "; ").map((by) => all.join(by)));
const what = fc.constantFrom("gear case cover", "wheel, shim", "impeller", "");

/** The step as it lies, with ids as the store gives them. */
function asLies(step: ReturnType<typeof laid>): { step: StripStep; names: string[] } {
  const {
    parts,
    hardware,
    stack = [],
    key: _k,
    asOne: _a,
    needs: _n,
    bundle: _b,
    ...facts
  } = newStepFrom(step);
  return {
    names: parts.map((p) => p.name),
    step: {
      id: "s1",
      ...facts,
      parts: parts.map((_, i) => `p${i}`),
      hardware: hardware.map((h, i) => ({ id: `h${i}`, ...h })),
      ...(stack.length ? { stack } : {}),
    },
  };
}

describe("laws of what is said", () => {
  it("no letter is lost: the line stands in the step as it was typed, whichever way it was taken", () => {
    fc.assert(
      fc.property(line, line, what, (first, second, name) => {
        const one = open({ what: name, line: first });
        const both = { ...lineTaken(one, understood(one)), line: second };
        expect(laid(both).facts.said).toBe(`${first}; ${second}`);
      }),
    );
  });

  it("editing a step and laying it back changes nothing", () => {
    fc.assert(
      fc.property(
        line,
        what,
        fc.boolean(),
        fc.constantFrom(undefined, "mind the rag"),
        (l, w, isTaken, note) => {
          const typed = open({ what: w, line: l, facts: note ? { note } : {} });
          const step = laid(isTaken ? lineTaken(typed, understood(typed)) : typed);
          const { step: lies, names } = asLies(step);
          const again = laid(opened(lies, (id) => ({ name: names[Number(id.slice(1))] ?? "" }), "k"));
          expect(asLies(again)).toEqual({ step: lies, names });
        },
      ),
      { numRuns: 300 },
    );
  });

  it("striking a piece is complete: it leaves the stack, the tools, the doubts and the action", () => {
    fc.assert(
      fc.property(line, what, fc.nat(9), (l, w, pick) => {
        const o = open({ what: w, line: l });
        const read = understood(o);
        if (!read.hardware.length) return;
        const at = pick % read.hardware.length;
        const left = withoutPiece(o, read, at);
        const now = understood(left);
        expect(now.hardware).toEqual(read.hardware.filter((_, i) => i !== at));
        for (const s of now.stack)
          expect(Number(s.slice(1))).toBeLessThan(s.startsWith("h") ? now.hardware.length : now.names.length);
        expect(newStepFrom({ ...laid(left), what: laid(left).what || "x" })).toBeTruthy();
        // a step that never had it is read the same
        const never = open({
          what: w || read.names.join(", "),
          hardware: read.hardware.filter((_, i) => i !== at),
          facts: left.facts,
        });
        expect(now.action).toBe(understood(never).action);
      }),
    );
  });

  it("striking anything else takes away what it said, and nothing else", () => {
    fc.assert(
      fc.property(line, fc.nat(9), (l, pick) => {
        const o = open({ what: "cover", line: l });
        const read = understood(o);
        const chips = factChips(read.facts);
        const chip = chips[pick % Math.max(1, chips.length)];
        if (!chip) return;
        const left = understood(withoutFact(o, read, chip));
        const says = factChips(left.facts).map((c) => c.says);
        const gone = chips.filter((c) => !says.includes(c.says));
        expect(gone.map((c) => c.says)).toContain(chip.says);
        expect(gone.length).toBeLessThanOrEqual(2);
        expect(left.hardware).toEqual(read.hardware);
      }),
    );
  });
});

describe("what was struck is gone everywhere", () => {
  it("a circlip from the tools, the action and the stack", () => {
    const o = open({ what: "cover", line: "1 circlip 12 above, 2 washers below, 3 washers above" });
    const read = understood(o);
    expect([read.action, read.stack.length]).toEqual(["unclip", 4]);
    const left = understood(withoutPiece(o, read, 0));
    expect([left.action, left.stack]).toEqual(["lift-off", ["h1", "p0", "h0"]]);
    expect(toolsOf({ hardware: left.hardware.map((h, i) => ({ id: `${i}`, ...h })) })).toEqual([]);
  });
  it("a way takes its verb and its tools along", () => {
    const o = open({ what: "cap", line: "levered off with two screwdrivers" });
    const read = understood(o);
    expect(read.facts).toMatchObject({
      freed: { how: "pry", says: "levered off with two screwdrivers" },
      tools: ["screwdrivers"],
    });
    const chip = factChips(read.facts).find((c) => c.fact === "remarks");
    if (!chip) throw new Error("the way has no chip");
    expect(understood(withoutFact(o, read, chip)).facts).toEqual({});
  });
  it("a part that was named among the pieces", () => {
    const o = open({ line: "end cap, snap ring" });
    expect(laid(o).what).toBe("end cap");
    expect(laid(withoutName(o, understood(o), "end cap")).what).toBe("");
  });
});

describe("what was not said", () => {
  it("looks so: a kind told from a thread, a count shared out, a stack told from above and below, what was done", () => {
    const read = understood(open({ what: "wheel", line: "4x TX15 16, 2 washers above, 1 washer below" }));
    expect(read).toMatchObject({ inferred: [0], isActionGuessed: true, isStackGuessed: true });
    expect(understood(open({ line: "4 screws TX15", action: "unscrew" }))).toMatchObject({
      inferred: [],
      isActionGuessed: false,
    });
  });
  it("decides nothing: a name that only hints at a kind has none until a press says so", () => {
    const kinds = (o: OpenStep) => newStepFrom(laid(o)).parts.map((p) => [p.kind, p.kindSaid]);
    expect(kinds(open({ what: "brush roll, gear head, drive belt, worm wheel" }))).toEqual([
      [undefined, undefined],
      [undefined, undefined],
      ["belt", undefined],
      ["gear", undefined],
    ]);
    expect(kinds(open({ what: "gear head", partFacts: { "gear head": { kind: "assembly" } } }))).toEqual([
      ["assembly", true],
    ]);
  });
  it("a note begins a new sentence", () => {
    expect(sentences("lifts straight off", "bearing in it goes")).toBe(
      "lifts straight off. bearing in it goes",
    );
    expect(sentences("done!", undefined, "hold gear")).toBe("done! hold gear");
  });
});

describe("what is said behind a part's name", () => {
  it("is its state or its hand, and no part", () => {
    const step = laid(open({ what: "fan, broken, blade head, left-hand thread, shroud" }));
    expect(step).toMatchObject({
      what: "fan, blade head, shroud",
      partStates: { fan: "broken" },
      facts: { leftHand: true },
    });
    expect(newStepFrom(step).parts.map((p) => [p.name, p.state])).toEqual([
      ["fan", "broken"],
      ["blade head", undefined],
      ["shroud", undefined],
    ]);
    // with nothing before it, it is a name
    expect(laid(open({ what: "broken" })).what).toBe("broken");
  });
});
