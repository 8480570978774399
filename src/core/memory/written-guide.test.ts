import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Fault } from "../fault";
import { BACK_MOMENTS } from "../job/step";
import type { Ghost, GhostStep } from "./ghost";
import { guideOf } from "./guide";
import { isOfModel, isSameStrip, readGuideFile, writeGuideFile } from "./guide-file";
import { ghostWith, guideWith, NOTHING_WRITTEN, WRITTEN_HERE, type WrittenGuide } from "./written-guide";

const step = (title: string, more: Partial<GhostStep> = {}): GhostStep => ({ id: title, title, what: title, action: "pull", hardware: [], stack: [], facts: {}, ...more }); // biome-ignore format: one row
const strip: Ghost = {
  from: "J-0007",
  steps: [
    step("lid", {
      needs: [],
      facts: { note: "clips break", back: [{ when: "after", says: "press it flush" }] },
      picture: "abc",
    }),
    step("drum", { needs: ["lid"], facts: { setting: "two turns" }, minutes: 3 }),
  ],
};
const written: WrittenGuide = {
  said: [
    { step: "Lid", when: "before", says: "felt in first" },
    { step: "lid", says: "warm it" },
  ],
  dropped: [
    { step: "lid", says: "press it flush" },
    { step: "drum", says: "stood at two turns" },
  ],
  free: ["drum"],
  tools: ["plastic wedge"],
  notTools: ["hammer"],
};
const fault = (json: unknown): string => {
  try {
    readGuideFile(json);
  } catch (e) {
    if (e instanceof Fault) return `${e.path}: ${e.says}`;
  }
  throw new Error("was read");
};

describe("what was written into a guide", () => {
  it("comes along with the ghost: what was written at its moment, without what was struck, free of what is habit", () => {
    expect(ghostWith(strip, written).steps.map(({ facts, needs }) => ({ facts, needs }))).toEqual([
      {
        facts: { note: "clips break; warm it", back: [{ when: "before", says: "felt in first" }] },
        needs: [],
      },
      { facts: {}, needs: [] },
    ]);
    expect(ghostWith(strip, NOTHING_WRITTEN)).toEqual(strip);
  });

  it("stands in the guide, with whose words they are", () => {
    const guide = guideWith(guideOf([strip], []), written);
    expect(guide.steps.map((s) => [s.title, s.after, s.said])).toEqual([
      [
        "lid",
        [],
        [
          { from: "J-0007", says: "clips break" },
          { from: WRITTEN_HERE, says: "felt in first", when: "before" },
          { from: WRITTEN_HERE, says: "warm it" },
        ],
      ],
      ["drum", [], []],
    ]);
    expect(guide.tools.map((t) => t.tool)).toEqual(["plastic wedge"]);
  });

  it("law: never asks for more order than the strip did, and changes no piece of it", () => {
    const title = fc.constantFrom("lid", "drum", "axle", "felt");
    const any = fc.record({
      said: fc.array(fc.record({ step: title, when: fc.option(fc.constantFrom(...BACK_MOMENTS), { nil: undefined }), says: fc.constantFrom("turn it", "warm it") }), { maxLength: 5 }),
      dropped: fc.array(fc.record({ step: title, says: fc.constantFrom("turn it", "clips break") }), { maxLength: 5 }),
      free: fc.array(title, { maxLength: 3 }),
      tools: fc.constant([]),
      notTools: fc.constant([]),
    }); // biome-ignore format: one record
    fc.assert(
      fc.property(
        fc.array(fc.tuple(title, fc.option(fc.nat(5), { nil: undefined })), { minLength: 1, maxLength: 6 }),
        any,
        (rows, w) => {
          const ghost: Ghost = {
            from: "J-1",
            steps: rows.map(([name, need], i) =>
              step(name, {
                id: `s${i}`,
                ...(need === undefined || need >= i ? {} : { needs: [`s${need}`] }),
                facts: { note: "clips break" },
              }),
            ),
          };
          const after = ghostWith(ghost, w as WrittenGuide);
          after.steps.forEach((s, i) => {
            const was = ghost.steps[i] as GhostStep;
            // nothing, or what it was
            expect([[], was.needs]).toContainEqual(s.needs);
            expect({ ...s, facts: {}, needs: [] }).toEqual({ ...was, facts: {}, needs: [] });
          });
          const struck = guideWith(guideOf([ghost], []), w as WrittenGuide);
          expect(struck.steps.map((s) => s.title)).toEqual(guideOf([ghost], []).steps.map((s) => s.title));
        },
      ),
    );
  });
});

describe("a guide as a file", () => {
  const model = { kind: "bubble machine", maker: "Ullenby", model: "Froth 9" };
  const file = writeGuideFile(
    model,
    [{ strip, failed: [{ part: "drum", how: "cracked" }] }],
    written,
    "Bench & Sons",
  );

  it("is read back as it was written, without pictures, saying whose strip it is", () => {
    const back = readGuideFile(JSON.parse(JSON.stringify(file)));
    expect(back).toEqual(file);
    expect(back.units[0]?.strip.from).toBe("Bench & Sons J-0007");
    expect(JSON.stringify(back)).not.toContain("abc");
    expect(isSameStrip(back.units[0]?.strip as Ghost, strip)).toBe(true);
    // given on, it keeps its first owner
    expect(writeGuideFile(model, back.units, written, "Another").units[0]?.strip.from).toBe(
      "Bench & Sons J-0007",
    );
  });

  it("leaves out an order that points forward, as slid steps leave it", () => {
    const slid: Ghost = { ...strip, steps: [...strip.steps].reverse() };
    const [unit] = readGuideFile(
      JSON.parse(JSON.stringify(writeGuideFile(model, [{ strip: slid, failed: [] }], NOTHING_WRITTEN, ""))),
    ).units;
    expect(unit?.strip.steps.map((s) => s.needs)).toEqual([[], []]);
  });

  it("is refused with the place where it is wrong", () => {
    expect(fault({ format: "demontage-job", version: 1 })).toMatch(/^format: is not "demontage-guide"/);
    expect(fault({ ...file, units: [] })).toMatch(/^units: holds no strip/);
    const twice = { ...strip, steps: [strip.steps[0], strip.steps[0]] };
    expect(fault({ ...file, units: [{ strip: twice, failed: [] }] })).toBe(
      "units[0].strip.steps[1].id: lid is there twice",
    );
    const early = { ...strip, steps: [{ ...strip.steps[0], needs: ["drum"] }] };
    expect(fault({ ...file, units: [{ strip: early, failed: [] }] })).toBe(
      "units[0].strip.steps[0].needs: drum is no step before it",
    );
    expect(fault({ ...file, customer: "Ada" })).toMatch(/does not know the key/);
  });

  it("is of a model however that is written", () => {
    expect(isOfModel(model, { maker: " ullenby", model: "FROTH  9" })).toBe(true);
    expect(isOfModel(model, { maker: "Ullenby", model: "Froth 8" })).toBe(false);
  });
});
