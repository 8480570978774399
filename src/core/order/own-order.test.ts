import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { StripStep } from "../job/step";
import { movesIn } from "./own-order";
import { lineKey } from "./rebuild-line";
import { rebuildPlan } from "./rebuild-plan";

const step = (id: string, needs: string[], more: Partial<StripStep> = {}): StripStep => ({
  id,
  action: "pull",
  needs,
  parts: [`p-${id}`],
  ...more,
});
const strip = (steps: readonly StripStep[]) => ({
  parts: steps.flatMap((s) => (s.parts ?? []).map((id) => ({ id, name: id }))),
  steps,
  services: [],
  lubePoints: [],
});
const orderOf = (s: ReturnType<typeof strip>, ownOrder?: readonly string[]): string[] =>
  rebuildPlan({ ...s, ownOrder }).steps.flatMap((l) => ("undoes" in l ? [l.undoes] : []));

/** Strips whose needs point backwards, some steps in bundles of neighbours. */
const strips = fc
  .array(fc.record({ needs: fc.array(fc.nat(12), { maxLength: 2 }), bundled: fc.boolean() }), {
    minLength: 2,
    maxLength: 12,
  })
  .map((rows) =>
    strip(
      rows.map((r, i) =>
        step(
          `s${i}`,
          r.needs.filter((n) => n < i).map((n) => `s${n}`),
          r.bundled ? { bundle: `b${Math.floor(i / 3)}` } : {},
        ),
      ),
    ),
  )
  // bundles may stand inside each other: then there is no plan to move anything in
  .filter((s) => {
    try {
      return orderOf(s).length > 0;
    } catch {
      return false;
    }
  });

describe("one's own order", () => {
  // a cover over two wheels that have nothing to do with each other, and a handle
  const unit = strip([
    step("cover", []),
    step("left wheel", ["cover"]),
    step("right wheel", ["cover"]),
    step("handle", []),
  ]);

  it("is the reverse of the strip until something is moved", () => {
    expect(orderOf(unit)).toEqual(["handle", "right wheel", "left wheel", "cover"]);
  });

  it("brings a step forward, with what must be on before it", () => {
    const now = orderOf(unit);
    const left = movesIn(unit).sooner(now, new Set(), "left wheel");
    expect(left.first).toEqual(["left wheel"]);
    expect(orderOf(unit, left.order)).toEqual(["left wheel", "handle", "right wheel", "cover"]);
    const cover = movesIn(unit).sooner(now, new Set(["handle"]), "cover");
    expect(cover.first).toEqual(["right wheel", "left wheel", "cover"]);
  });

  it("goes on meanwhile with what need not wait", () => {
    const later = movesIn(unit).meanwhile(orderOf(unit), new Set(), ["right wheel"]);
    expect(later.first).toEqual(["handle", "left wheel"]);
    expect(orderOf(unit, later.order)).toEqual(["handle", "left wheel", "right wheel", "cover"]);
    expect(
      movesIn(unit).meanwhile(orderOf(unit), new Set(["handle"]), ["right wheel", "left wheel"]).first,
    ).toEqual([]);
  });

  it("takes a step that was recorded since where it would have been", () => {
    const own = movesIn(unit).sooner(orderOf(unit), new Set(), "cover").order;
    const more = strip([...unit.steps, step("knob", ["handle"])]);
    expect(orderOf(more, own)).toEqual(["knob", "right wheel", "left wheel", "cover", "handle"]);
  });

  it("law: whatever order somebody wants, every step goes back once, and after all that needed it", () => {
    fc.assert(
      fc.property(strips, fc.array(fc.nat(14)), (s, wish) => {
        const order = orderOf(s, wish.map((n) => `s${n}`)); // biome-ignore format: one call
        expect([...order].sort()).toEqual(s.steps.map((x) => x.id).sort());
        for (const x of s.steps)
          for (const n of x.needs ?? []) expect(order.indexOf(n)).toBeGreaterThan(order.indexOf(x.id));
      }),
      { numRuns: 300 },
    );
  });

  it("law: what is brought forward is next, behind what is back and with what the laws ask for before it; what waits is behind all the rest", () => {
    let moved = 0;
    fc.assert(
      fc.property(strips, fc.nat(11), fc.nat(11), (s, pick, back) => {
        const now = orderOf(s);
        const done = new Set(now.slice(0, back));
        // the rest of a bundle that was begun has to come next whatever else is wanted
        const bundle = (id: string | undefined) => s.steps.find((x) => x.id === id)?.bundle;
        fc.pre(bundle(now[back]) === undefined || bundle(now[back]) !== bundle(now[back - 1]));
        const open = now.slice(back);
        const step = open[pick % Math.max(1, open.length)];
        fc.pre(step !== undefined);
        const forward = movesIn(s).sooner(now, done, step as string);
        const after = orderOf(s, forward.order);
        expect(after.slice(0, back)).toEqual(now.slice(0, back));
        expect(new Set(after.slice(back, back + forward.first.length))).toEqual(new Set(forward.first));
        expect(forward.first).toContain(step);
        if (after.indexOf(step as string) < now.indexOf(step as string)) moved++;
        const waits = movesIn(s).meanwhile(now, done, [step as string]);
        const late = orderOf(s, waits.order);
        expect(new Set(late.slice(back, back + waits.first.length))).toEqual(new Set(waits.first));
        expect(waits.first).not.toContain(step);
      }),
      { numRuns: 400 },
    );
    expect(moved).toBeGreaterThan(40);
  });
});

describe("the last lines, when everything is on", () => {
  const job = {
    parts: [],
    services: [],
    lubePoints: [{ id: "g1", outside: true, lubricant: "oil" }],
    steps: [
      {
        id: "s1",
        action: "lift-off" as const,
        needs: [],
        back: [{ when: "end" as const, says: "press the button" }],
      },
      {
        id: "s2",
        action: "lift-off" as const,
        back: [
          { when: "calibrate" as const, says: "set the zero" },
          { when: "end" as const, says: "close the vent" },
        ],
      },
    ],
  };
  const last = (ownOrder?: readonly string[]): string[] =>
    rebuildPlan({ ...job, ...(ownOrder && { ownOrder }) })
      .steps.slice(2)
      .map(lineKey);
  it("stand as they were said, what is set and measured last of all, until somebody orders them", () => {
    const usual = [
      "mind:s2:end:close the vent",
      "mind:s1:end:press the button",
      "grease:g1",
      "mind:s2:calibrate:set the zero",
    ];
    expect(last()).toEqual(usual);
    expect(last([...usual].reverse())).toEqual([...usual].reverse());
    // a key that leads nowhere moves nothing, and steps keep their order beside it
    expect(last(["mind:s9:end:gone", "s1", "s2"])).toEqual(usual);
    expect(last(["grease:g1", "mind:s1:end:press the button"])).toEqual([
      usual[0],
      "grease:g1",
      usual[1],
      usual[3],
    ]);
  });
});

it("what was said for a moment after another step comes with the later of the two, and a step that is gone holds nothing up", () => {
  const lines = (waitsFor: string): string[] =>
    rebuildPlan({
      parts: [],
      services: [],
      lubePoints: [],
      steps: [
        { id: "s1", action: "lift-off", needs: [] },
        { id: "s2", action: "lift-off" },
        { id: "s3", action: "lift-off", back: [{ when: "after", says: "feel the click", step: waitsFor }] },
      ],
    }).steps.map(lineKey);
  const mind = "mind:s3:after:feel the click";
  expect(lines("s2")).toEqual(["undo:s3", "undo:s2", mind, "undo:s1"]);
  expect(lines("s1").at(-1)).toBe(mind);
  expect(lines("s9")).toEqual(["undo:s3", mind, "undo:s2", "undo:s1"]);
});
