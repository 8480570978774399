import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { FREEINGS, HOLDS } from "@/core/hardware/freed";
import { TRAY_PLACES } from "@/core/job/tray";
import type { StripStep } from "@/core/order/strip";
import { NAMED_HAZARDS } from "@/core/safety/cautions";
import { asInput, EMPTY, isEmpty, type OpenStep, pieceName, takenUp, understood } from "./open-step";

const open = (more: Partial<OpenStep>): OpenStep => ({ ...EMPTY, key: "k", ...more });
const said = (more: Partial<OpenStep>) => {
  const step = open(more);
  return asInput(step, understood(step), 0);
};

describe("what is understood of an open step", () => {
  it("joins what was put in by touch with what the line says", () => {
    const read = understood(
      open({
        what: "cover, gasket",
        hardware: [{ kind: "pin", qty: 1 }],
        line: "4x M4x12 TX20 1.2Nm, brown>L, heat, facing up",
        wires: [{ colour: "blue", to: "N" }],
      }),
    );
    expect(read.names).toEqual(["cover", "gasket"]);
    expect(read.hardware).toEqual([
      { kind: "pin", qty: 1 },
      { kind: "screw", qty: 4, thread: "M4", lengthMm: 12, drive: "TX20", tighten: { torqueNm: 1.2 } },
    ]);
    expect(read.wires).toEqual([
      { colour: "blue", to: "N" },
      { colour: "brown", to: "L" },
    ]);
    expect([read.freedBy, read.facingSaid, read.action]).toEqual([{ how: "heat" }, "up", "unscrew"]);
  });
  it("lets what was chosen stand above what the line says", () => {
    const read = understood(open({ line: "heat, facing up", freed: { how: "press", standIn: true }, facing: "down", action: "slide" }));
    expect([read.freedBy, read.facingSaid, read.action]).toEqual([{ how: "press", standIn: true }, "down", "slide"]);
  });
  it.each([
    ["nothing", {}, true],
    ["blanks", { what: "  " }, true],
    ["a part", { what: "cover" }, false],
    ["hardware", { line: "nut" }, false],
    ["what is not read", { line: "odd bracket" }, false],
    ["a wire", { line: "bn>L" }, false],
    ["a caution alone", { cautions: ["hot"] }, false],
  ] as const)("%s is empty: %s", (_, more, empty) => {
    const step = open(more as Partial<OpenStep>);
    expect(isEmpty(step, understood(step))).toBe(empty);
  });
});

describe("the step as it is laid down", () => {
  it("keeps what could not be read in the note, behind what was noted", () => {
    expect(said({ note: "mind the rag", line: "that funny bracket, nut M4" }).note).toBe("mind the rag; that funny bracket");
  });
  it("takes its minutes by the clock, in tenths, unless they were corrected", () => {
    const read = understood(open({}));
    const at = (ms: number): number => asInput(open({ since: 1000 }), read, 1000 + ms).minutes;
    expect([at(90_000), at(100), at(5 * 3_600_000)]).toEqual([1.5, 0.1, 60]);
    expect(said({ since: null }).minutes).toBe(1);
    expect(said({ since: 1, minutes: 12 }).minutes).toBe(12);
  });
});

/** Any step that could lie on the Mat. */
const words = fc.stringMatching(/^[a-z][a-z ]{0,12}[a-z]$/);
const some = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: undefined });
const step: fc.Arbitrary<StripStep> = fc
  .record({
    id: fc.constant("s3"),
    action: fc.constantFrom("pull" as const, "unscrew" as const, "press-out" as const),
    parts: fc.uniqueArray(fc.constantFrom("p1", "p2", "p3"), { minLength: 1, maxLength: 3 }),
    hardware: fc.array(fc.record({ kind: fc.constantFrom("screw" as const, "nut" as const), qty: fc.integer({ min: 1, max: 9 }), at: some(words) }), {
      maxLength: 3,
    }),
    facing: some(words),
    note: some(words),
    doNotUndo: some(words),
    tray: some(fc.constantFrom(...TRAY_PLACES)),
    minutes: some(fc.integer({ min: 0, max: 600 })),
    needs: some(fc.constant(["s1"])),
    held: some(fc.uniqueArray(fc.constantFrom(...HOLDS), { minLength: 1, maxLength: 2 })),
    freed: some(fc.record({ how: fc.constantFrom(...FREEINGS) })),
    timing: some(fc.record({ pin: fc.constantFrom("tooth" as const, "gap" as const), turns: fc.integer({ min: 0, max: 9 }) })),
    cautions: some(fc.uniqueArray(fc.constantFrom(...NAMED_HAZARDS.map((h) => h.hazard)), { minLength: 1, maxLength: 3 })),
    wires: some(fc.array(fc.record({ colour: fc.constantFrom("brown", "blue"), to: fc.constantFrom("L", "N") }), { minLength: 1, maxLength: 2 })),
  })
  .map((s) => {
    const clean = Object.fromEntries(Object.entries(s).filter(([, v]) => v !== undefined)) as unknown as StripStep;
    const hardware = (clean.hardware ?? []).map((h, i) => Object.fromEntries(Object.entries({ ...h, id: `h${i + 4}` }).filter(([, v]) => v !== undefined)));
    return { ...clean, hardware, stack: [...(clean.parts ?? []), ...hardware.map((h) => String(h.id))].reverse() } as StripStep;
  });

describe("a step that is taken up again", () => {
  it("and laid back down unchanged says what it said before", () => {
    fc.assert(
      fc.property(step, (s) => {
        const up = takenUp(s, (id) => `part ${id}`, (id) => (id === "p2" ? "broken" : undefined), "new"); // biome-ignore format: one call
        const down = asInput(up, understood(up), 0);
        expect(down).toMatchObject({
          editing: "s3",
          key: "new",
          action: s.action,
          facing: s.facing ?? "",
          note: s.note ?? "",
          doNotUndo: s.doNotUndo ?? "",
          tray: s.tray ?? "",
        });
        expect(down.what).toBe((s.parts ?? []).map((p) => `part ${p}`).join(", "));
        expect(down.hardware).toEqual((s.hardware ?? []).map(({ id: _id, ...h }) => h));
        expect([down.held, down.freed, down.timing, down.cautions, down.wires]).toEqual([
          s.held ?? [],
          s.freed ?? null,
          s.timing ?? null,
          s.cautions ?? [],
          s.wires ?? [],
        ]);
        expect(down.needs).toEqual(s.needs ?? null);
        expect(down.minutes).toBe(s.minutes ?? 1);
        expect(down.partStates).toEqual((s.parts ?? []).includes("p2") ? { "part p2": "broken" } : {});
        // the stack by the places of its pieces
        const place = (id: string): string => {
          const h = (s.hardware ?? []).findIndex((x) => x.id === id);
          return h >= 0 ? `h${h}` : `p${(s.parts ?? []).indexOf(id)}`;
        };
        expect(down.stack).toEqual((s.stack ?? []).map(place));
      }),
    );
  });
  it("names a piece without its place", () => {
    expect(pieceName({ kind: "wavy-washer", qty: 2, lengthMm: 20, at: "above" })).toBe("2 wavy washers 20 mm");
  });
});
