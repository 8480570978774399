import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { FREEINGS, HOLDS } from "../hardware/freed";
import type { StepFacts, StripStep } from "../job/step";
import { TRAY_PLACES } from "../job/tray";
import { NAMED_HAZARDS } from "../safety/cautions";
import {
  asRecorded,
  EMPTY,
  isEmpty,
  lineTaken,
  type OpenStep,
  openStep,
  pieceName,
  understood,
} from "./open-step";
import { opened } from "./opened-again";

const open = (more: Partial<OpenStep>): OpenStep => ({ ...EMPTY, key: "k", ...more });
const said = (more: Partial<OpenStep>) => {
  const step = open(more);
  return asRecorded(step, understood(step), 0);
};

describe("what is understood of an open step", () => {
  it("joins what was put in by touch with what the line says", () => {
    const read = understood(
      open({
        what: "cover, gasket",
        hardware: [{ kind: "pin", qty: 1 }],
        line: "4x M4x12 TX20 1.2Nm, brown>L, heat, facing up",
        facts: { wires: [{ colour: "blue", to: "N" }] },
      }),
    );
    expect(read.names).toEqual(["cover", "gasket"]);
    expect(read.hardware).toEqual([
      { kind: "pin", qty: 1 },
      { kind: "screw", qty: 4, thread: "M4", lengthMm: 12, drive: "TX20", tighten: { torqueNm: 1.2 } },
    ]);
    expect(read.facts.wires).toEqual([
      { colour: "blue", to: "N" },
      { colour: "brown", to: "L" },
    ]);
    expect([read.facts.freed, read.facts.facing, read.action]).toEqual([{ how: "heat" }, "up", "unscrew"]);
  });
  it("asks whether what was named came off, where it is said to stay or its screw was only loosened", () => {
    const asks = (what: string, line: string): string[] =>
      understood({ ...EMPTY, what, line }).doubts.map((d) => d.says);
    expect(said({ what: "bearing", line: "6201 stays on the shaft" })).toMatchObject({ action: "note" });
    expect(asks("bearing", "6201 stays on the shaft")).toEqual([
      "“6201 stays on the shaft”: did the bearing come off, or did it stay?",
    ]);
    expect(asks("cam pulley", "1 grub screw loosened")).toEqual([
      "“1 grub screw loosened”: did the cam pulley come off, or was it only loosened?",
    ]);
    // loosened so that it came off, or only that
    expect(said({ what: "cam pulley", line: "1 grub screw loosened" }).action).toBe("pull");
    expect(said({ what: "motor plate", line: "2 screws only loosened" }).action).toBe("loosen");
    expect(asks("worm", "2 grub screws loosened a turn, slides out")).toEqual([]);
    expect(asks("guard", "2 screws, switch under it")).toEqual([
      "“switch under it”: did the switch come off as well?",
    ]);
    expect(asks("guard, switch", "2 screws, switch under it")).toEqual([]);
  });
  it("puts nothing on the bench of words alone, of a look, or of what was only loosened", () => {
    expect(said({ line: "grease black and thin" }).action).toBe("note");
    expect(said({ what: "looked at the brushes" }).action).toBe("note");
    expect(said({ line: "brown>L" }).action).toBe("unplug");
    expect(said({ line: "2 screws M4 only loosened" })).toMatchObject({
      action: "loosen",
      hardware: [{ qty: 2, stays: "loosened" }],
    });
    const chosen = said({ line: "2 screws M4, 1 screw stays with the cover", action: "loosen" });
    expect(chosen.hardware.map((h) => h.stays)).toEqual(["loosened", "with the cover"]);
  });
  it("reads a stack from the line, about the part that came off, and asks for one that is not named", () => {
    expect(said({ what: "drive wheel", line: "top: flat + wheel + wavy" }).stack).toEqual(["h0", "p0", "h1"]);
    expect(said({ what: "wheel", line: "4 washers above, 2 below" }).stack).toEqual(["h0", "p0", "h1"]);
    expect(said({ what: "wheel", line: "4 washers above the motor, 2 below" }).stack).toEqual([]);
    expect(
      said({ what: "wheel", hardware: [{ kind: "pin", qty: 1 }], line: "top: flat + wheel" }).stack,
    ).toEqual(["h1", "p0"]);
    const lost = understood(open({ what: "wheel", line: "top: flat + rotor" }));
    expect([lost.stack, lost.unread.map((u) => u.text)]).toEqual([["h0"], ["rotor"]]);
    const taken = lineTaken(
      open({ what: "wheel", line: "top: flat + wheel" }),
      understood(open({ what: "wheel", line: "top: flat + wheel" })),
    );
    expect([taken.stack, taken.line]).toEqual([["h0", "p0"], ""]);
  });
  it("keeps what faces where with its piece", () => {
    const step = said({ line: "2 thrust washers chamfer down, facing up" });
    expect([step.hardware[0]?.facing, step.facts.facing]).toEqual(["chamfer down", "up"]);
  });
  it("lets what was chosen stand above what the line says", () => {
    const read = understood(
      open({
        line: "heat, facing up",
        facts: { freed: { how: "press", standIn: true }, facing: "down" },
        action: "slide",
      }),
    );
    expect([read.facts.freed, read.facts.facing, read.action]).toEqual([
      { how: "press", standIn: true },
      "down; up",
      "slide",
    ]);
  });
  it.each([
    ["nothing", {}, true],
    ["blanks", { what: "  " }, true],
    ["a part", { what: "cover" }, false],
    ["hardware", { line: "nut" }, false],
    ["what is not read", { line: "odd thing" }, false],
    ["a wire", { line: "bn>L" }, false],
    ["a caution alone", { facts: { cautions: ["hot"] } }, false],
    ["minutes alone", { facts: { minutes: 3 } }, true],
  ] as [string, Partial<OpenStep>, boolean][])("%s is empty: %s", (_, more, empty) => {
    const step = open(more);
    expect(isEmpty(step, understood(step))).toBe(empty);
  });
});

describe("the step as it is laid down", () => {
  it("keeps what could not be read in the note, behind what was noted", () => {
    expect(said({ facts: { note: "mind the rag" }, line: "that funny thing, nut M4" }).facts.note).toBe(
      "mind the rag. that funny thing",
    );
  });
  it("takes its minutes by the clock, in tenths, unless they were corrected", () => {
    const read = understood(open({}));
    const at = (ms: number): number | undefined =>
      asRecorded(open({ since: 1000 }), read, 1000 + ms).facts.minutes;
    expect([at(90_000), at(100), at(5 * 3_600_000)]).toEqual([1.5, 0.1, 60]);
    expect(said({ since: null }).facts.minutes).toBe(1);
    expect(said({ since: 1, facts: { minutes: 12 } }).facts.minutes).toBe(12);
  });
});

describe("a draft", () => {
  it("of an older day, with its facts beside the rest, is read as one of today", () => {
    const older = {
      key: "k",
      editing: null,
      what: "cover",
      line: "",
      hardware: [],
      action: null,
      facing: "up",
      mark: "dot",
      note: "",
      asOne: false,
      needs: null,
      wires: [],
      held: ["dowels"],
      freed: null,
    };
    expect(openStep.parse(older)).toEqual(
      open({ what: "cover", facts: { facing: "up", marks: ["dot"], held: ["dowels"] } }),
    );
  });
  it("that is something else is not taken for a step", () => {
    expect(openStep.safeParse({ what: 7 }).success).toBe(false);
    expect(openStep.safeParse("cover").success).toBe(false);
  });
  it("keeps several witness marks apart once it is laid down", () => {
    expect(said({ facts: { marks: ["dot; scratch at the rib"] } }).facts.marks).toEqual([
      "dot",
      "scratch at the rib",
    ]);
  });
});

/** Any step that could lie on the Mat. */
const words = fc.stringMatching(/^[a-z][a-z ]{0,12}[a-z]$/);
const pieces = fc.array(
  fc.record(
    {
      kind: fc.constantFrom("screw" as const, "nut" as const),
      qty: fc.integer({ min: 1, max: 9 }),
      at: words,
    },
    { requiredKeys: ["kind", "qty"] },
  ),
  { maxLength: 3 },
);
const facts: fc.Arbitrary<StepFacts> = fc.record(
  {
    facing: words,
    marks: fc.array(words, { minLength: 1, maxLength: 2 }),
    note: words,
    setting: words,
    doNotUndo: words,
    tray: fc.constantFrom(...TRAY_PLACES),
    minutes: fc.integer({ min: 0, max: 600 }),
    held: fc.uniqueArray(fc.constantFrom(...HOLDS), { minLength: 1, maxLength: 2 }),
    freed: fc.record({ how: fc.constantFrom(...FREEINGS) }),
    timing: fc.record({
      pin: fc.constantFrom("tooth" as const, "gap" as const),
      turns: fc.integer({ min: 0, max: 9 }),
    }),
    cautions: fc.uniqueArray(fc.constantFrom(...NAMED_HAZARDS.map((h) => h.hazard)), {
      minLength: 1,
      maxLength: 3,
    }),
    wires: fc.array(fc.record({ colour: fc.constantFrom("brown", "blue"), to: fc.constantFrom("L", "N") }), {
      minLength: 1,
      maxLength: 2,
    }),
    tools: fc.array(words, { minLength: 1, maxLength: 2 }),
  },
  { requiredKeys: [] },
);
const step: fc.Arbitrary<StripStep> = fc
  .record({
    action: fc.constantFrom("pull" as const, "unscrew" as const, "press-out" as const),
    parts: fc.uniqueArray(fc.constantFrom("p1", "p2", "p3"), { minLength: 1, maxLength: 3 }),
    pieces,
    needs: fc.option(fc.constant(["s1"]), { nil: undefined }),
    facts,
  })
  .map(({ pieces: bare, facts: f, needs, ...s }): StripStep => {
    const hardware = bare.map((h, i) => ({ ...h, id: `h${i + 4}` }));
    return {
      id: "s3",
      ...s,
      ...(needs ? { needs } : {}),
      ...f,
      hardware,
      stack: [...s.parts, ...hardware.map((h) => h.id)].reverse(),
    };
  });

describe("a step that is edited", () => {
  it("and laid back down unchanged says what it said before", () => {
    fc.assert(
      fc.property(step, facts, (s, f) => {
        const up = opened({ ...s, ...f }, (id) => ({ name: `part ${id}`, ...(id === "p2" ? { state: "broken" } : {}) }), "new"); // biome-ignore format: one call
        expect(up.editing).toBe("s3");
        const down = asRecorded(up, understood(up), 0);
        const { id: _, parts = [], hardware = [], needs, stack = [], action, ...own } = { ...s, ...f };
        expect(down).toMatchObject({
          key: "new",
          action,
          what: parts.map((p) => `part ${p}`).join(", "),
          needs: needs ?? null,
        });
        expect(down.hardware).toEqual(hardware.map(({ id: _id, ...h }) => h));
        // every fact there is, whatever is added to the schema
        expect(down.facts).toEqual({ ...own, minutes: own.minutes ?? 1 });
        expect(down.partStates).toEqual(parts.includes("p2") ? { "part p2": "broken" } : {});
        // the stack by the places of its pieces
        const place = (id: string): string => {
          const h = hardware.findIndex((x) => x.id === id);
          return h >= 0 ? `h${h}` : `p${parts.indexOf(id)}`;
        };
        expect(down.stack).toEqual(stack.map(place));
      }),
    );
  });
  it("names a piece without its place", () => {
    expect(pieceName({ kind: "wavy-washer", qty: 2, lengthMm: 20, at: "above" })).toBe(
      "2 wavy washers 20 mm",
    );
  });
});
