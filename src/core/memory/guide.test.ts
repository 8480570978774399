import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Ghost, GhostStep } from "./ghost";
import { guideOf } from "./guide";

const step = (title: string, needs: string[] | undefined, more: Partial<GhostStep> = {}): GhostStep => ({
  id: title, title, what: title, action: "pull", hardware: [], stack: [], partFacts: undefined, facts: {},
  ...(needs ? { needs } : {}), ...more,
}); // biome-ignore format: a short list
const unit = (from: string, ...steps: GhostStep[]): Ghost => ({ from, steps });

describe("what the units of a model tell", () => {
  it("tells a forced order from a habit", () => {
    const guide = guideOf(
      [
        unit(
          "J-2",
          step("lid", []),
          step("left wheel", ["lid"]),
          step("right wheel", ["lid"]),
          step("handle", []),
        ),
        unit(
          "J-1",
          step("handle", []),
          step("lid", []),
          step("left wheel", ["lid"]),
          step("right wheel", ["left wheel"]),
        ),
      ],
      [],
    );
    const of = (title: string) => guide.steps.find((s) => s.title === title);
    expect(of("left wheel")?.after).toEqual(["lid"]);
    // one unit had the left wheel off first because of its record, the other did not need it: a habit
    expect(of("right wheel")?.after).toEqual(["lid"]);
    expect(of("right wheel")?.isHabit).toBe(false);
    // the handle came first once, and last once
    expect(of("handle")).toMatchObject({ after: [], isHabit: false, seen: 2 });
    const same = guideOf(
      [unit("J-2", step("lid", []), step("cap", [])), unit("J-1", step("lid", []), step("cap", ["lid"]))],
      [],
    );
    expect(same.steps[1]).toMatchObject({ title: "cap", after: [], isHabit: true });
  });

  it("says how long it takes, with the spread, what is needed, what was said, and what fails", () => {
    const screws = { kind: "screw" as const, qty: 4, thread: "M4", drive: "TX20" };
    const guide = guideOf(
      [
        unit(
          "J-3",
          step("lid", [], {
            minutes: 4,
            hardware: [screws],
            facts: { note: "clips break", back: [{ when: "after", says: "turn until it meshes" }] },
          }),
        ),
        unit("J-2", step("Lid ", [], { minutes: 2, hardware: [screws], facts: { note: "clips break" } })),
        unit("J-1", step("lid", [], { minutes: 9 })),
      ],
      [
        [{ part: "wheel", how: "teeth broken" }],
        [
          { part: "Wheel", how: "teeth broken" },
          { part: "felt", how: "worn" },
        ],
        [],
      ],
    );
    expect(guide.steps).toEqual([
      {
        title: "lid",
        seen: 3,
        minutes: { usual: 4, least: 2, most: 9, count: 3 },
        after: [],
        isHabit: false,
        said: [
          { from: "J-3", says: "clips break" },
          { from: "J-3", says: "turn until it meshes" },
        ],
      },
    ]);
    expect(guide.tools).toEqual([{ tool: "TX20", times: 2 }]);
    expect(guide.hardware).toBe("4 screws");
    expect(guide.fails.map((f) => [f.part, f.times])).toEqual([["Wheel", 2], ["felt", 1]]); // biome-ignore format: two rows
  });

  it("is empty where there is nothing to learn from", () => {
    expect(guideOf([], [])).toEqual({
      from: [],
      steps: [],
      minutes: null,
      tools: [],
      hardware: "",
      fails: [],
    });
    expect(guideOf([unit("J-1", step("look", [], { action: "note" }))], []).steps).toEqual([]);
  });

  const units = fc.array(
    fc
      .array(
        fc.record({
          name: fc.constantFrom("a", "b", "c", "d", "e", "f", "g", "h", "i"),
          needs: fc.array(fc.nat(6), { maxLength: 2 }),
        }),
        {
          minLength: 1,
          maxLength: 7,
        },
      )
      .map((rows) =>
        rows.map((r, i) =>
          step(r.name, undefined, { id: `s${i}`, needs: r.needs.filter((n) => n < i).map((n) => `s${n}`) }),
        ),
      ),
    { minLength: 1, maxLength: 4 },
  );
  /** Names as the guide has them: what is called the same is told apart by its turn. */
  const names = (steps: readonly GhostStep[]): string[] =>
    steps.map((s, i) => `${s.title}${steps.slice(0, i).filter((x) => x.title === s.title).length}`);

  it("law: the order that was learnt never forbids what a recorded strip did", () => {
    let forced = 0;
    fc.assert(
      fc.property(units, (all) => {
        const guide = guideOf(all.map((steps, i) => unit(`J-${i}`, ...steps)), []); // biome-ignore format: one call
        const turns = new Map<string, number>();
        const learnt = guide.steps.map((s) => {
          const n = turns.get(s.title) ?? 0;
          turns.set(s.title, n + 1);
          return { ...s, n };
        });
        for (const steps of all) {
          const order = names(steps);
          for (const s of learnt) {
            if (
              s.after.length !== 1 ||
              learnt.filter((x) => x.title === s.after[0]).length !== 1 ||
              learnt.filter((x) => x.title === s.title).length !== 1
            )
              continue;
            const [before, own] = [order.indexOf(`${s.after[0]}0`), order.indexOf(`${s.title}0`)];
            if (before < 0 || own < 0) continue;
            forced++;
            expect(before).toBeLessThan(own);
          }
        }
      }),
      { numRuns: 500 },
    );
    expect(forced).toBeGreaterThan(60);
  });

  it("what two units tell of each other's steps in a circle is not forced", () => {
    const of = (id: string, title: string, ...needs: string[]): GhostStep =>
      step(title, undefined, { id, needs });
    const first = unit("J-0", of("s0", "hood"), of("s1", "arm", "s0"), of("s2", "eccentric", "s1"));
    const second = unit("J-1", of("s0", "eccentric"), of("s1", "guide", "s0"), of("s2", "hood", "s1"));
    expect(guideOf([first, second], []).steps.map((s) => [s.title, s.after])).toEqual(expect.arrayContaining([["hood", []], ["eccentric", []]])); // biome-ignore format: two rows
  });

  it("law: every step of every unit stands in it once, and none before what is forced before it", () => {
    fc.assert(
      fc.property(units, (all) => {
        const guide = guideOf(all.map((steps, i) => unit(`J-${i}`, ...steps)), []); // biome-ignore format: one call
        expect(guide.steps.length).toBe(new Set(all.flatMap(names)).size);
        guide.steps.forEach((s, i) => {
          for (const a of s.after) expect(guide.steps.slice(0, i).map((x) => x.title)).toContain(a);
        });
      }),
      { numRuns: 200 },
    );
  });
});
