import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { StripStep } from "../job/step";
import type { Strip } from "../job/strip";
import { accessPlan } from "./access-plan";
import { linesOpenedBy, offNow } from "./off-again";
import { lineKey } from "./rebuild-line";
import { rebuildPlan } from "./rebuild-plan";

const strip = (steps: StripStep[], parts: Strip["parts"] = []): Strip => ({
  parts,
  services: [],
  lubePoints: [],
  steps,
});
/**
 * A fan: grille and blade in front, a back cover over the gear box, a brush cap that is reached from outside.
 */
const fan = strip(
  [
    { id: "s1", action: "unclip", parts: ["grille"], needs: [], minutes: 0.5 },
    {
      id: "s2",
      action: "unscrew",
      needs: ["s1"],
      parts: ["blade"],
      hardware: [{ id: "h1", kind: "nut", qty: 1, drive: "spanner 10" }],
    },
    {
      id: "s3",
      action: "unscrew",
      needs: [],
      hardware: [{ id: "h2", kind: "screw", qty: 4, drive: "PH2" }],
      minutes: 3,
    },
    { id: "s4", action: "lift-off", needs: ["s3"], parts: ["cover"], minutes: 1 },
    { id: "s5", action: "note", needs: ["s4"], note: "spring under the worm" },
    {
      id: "s6",
      action: "drive-out",
      needs: ["s5"],
      parts: ["wheel"],
      bundle: "b1",
      hardware: [{ id: "h3", kind: "pin", qty: 1, thread: "3" }],
      minutes: 4,
    },
    { id: "s7", action: "pull", needs: ["s2"], parts: ["shaft"], bundle: "b1", minutes: 1 },
    { id: "s8", action: "unscrew", needs: [], parts: ["brush"], minutes: 1 },
  ],
  ["grille", "blade", "cover", "wheel", "shaft", "brush", "motor"].map((id) => ({ id, name: id })),
);

describe("the way in", () => {
  it("is what had to come off before, with minutes, pieces and tools; what need not is left on", () => {
    expect(accessPlan(fan, "brush")).toEqual({
      steps: ["s8"],
      minutes: 1,
      hardware: 0,
      tools: [],
      bundlesOpened: [],
    });
    expect(accessPlan(fan, "cover")).toEqual({
      steps: ["s3", "s4"],
      minutes: 4,
      hardware: 4,
      tools: ["PH2"],
      bundlesOpened: [],
    });
  });
  it("takes out whole what came out as one, with what each of it needed", () => {
    expect(accessPlan(fan, "wheel")).toEqual({
      steps: ["s1", "s2", "s3", "s4", "s6", "s7"],
      // the blade was not timed
      minutes: 11.5,
      hardware: 6,
      tools: ["spanner 10", "PH2", "2.9 mm punch"].map((t) => expect.stringContaining(t)),
      bundlesOpened: ["b1"],
    });
  });
  it("is shorter by what is off already; of a part that lies on the bench nothing is left", () => {
    expect(accessPlan(fan, "wheel", ["s1", "s2", "s3"]).steps).toEqual(["s4", "s6", "s7"]);
    expect(accessPlan(fan, "grille", ["s1"])).toEqual({
      steps: [],
      minutes: 0,
      hardware: 0,
      tools: [],
      bundlesOpened: [],
    });
  });
  it.each([
    ["gearbox", [], "part", "there is no part gearbox"],
    ["motor", [], "part", "motor never came off: no step tells the way to it"],
    ["cover", ["s99"], "off[0]", "there is no step s99"],
  ])("to %s with %j off is refused at %s", (part, off, path, says) => {
    expect(() => accessPlan(fan, part, off)).toThrow(expect.objectContaining({ path, says }));
  });
  it("of a circle names the steps on it", () => {
    const round = strip(
      [
        { id: "s1", action: "pull", needs: ["s2"], parts: ["p"] },
        { id: "s2", action: "pull", needs: ["s1"] },
      ],
      [{ id: "p", name: "p" }],
    );
    expect(() => accessPlan(round, "p")).toThrow(/circle: s1 → s2 → s1|circle: s2 → s1 → s2/);
  });
});

/**
 * Strips of up to nine steps, each with a part of its own and needing some of those before it; two of them
 * may have come out as one.
 */
const strips = fc
  .array(
    fc.record({
      needs: fc.array(fc.nat(7), { maxLength: 3 }),
      minutes: fc.integer({ min: 1, max: 9 }),
      screwed: fc.boolean(),
    }),
    {
      minLength: 1,
      maxLength: 9,
    },
  )
  .chain((all) =>
    fc.option(fc.nat(Math.max(0, all.length - 2)), { nil: undefined }).map((bundle) =>
      strip(
        all.map((s, i) => ({
          id: `s${i}`,
          action: "pull" as const,
          parts: [`p${i}`],
          // what holds the part goes back with a line of its own
          hardware: s.screwed ? [{ id: `h${i}`, kind: "screw" as const, qty: 1 }] : [],
          minutes: s.minutes,
          needs: [...new Set(s.needs.filter((n) => n < i))].map((n) => `s${n}`),
          ...(bundle !== undefined && (i === bundle || i === bundle + 1) ? { bundle: "b" } : {}),
        })),
        all.map((_, i) => ({ id: `p${i}`, name: `part ${i}` })),
      ),
    ),
  );

describe("laws", () => {
  it("no smaller set of steps frees the part: tried with every set there is", () => {
    fc.assert(
      fc.property(strips, fc.nat(8), (job, pick) => {
        const { steps } = job;
        const goal = pick % steps.length;
        const found = accessPlan(job, `p${goal}`);
        const needed = steps.map((s) => (s.needs ?? []).map((n) => Number(n.slice(1))));
        const opens = (set: number): boolean =>
          (set >> goal) % 2 === 1 &&
          steps.every(
            (s, i) =>
              (set >> i) % 2 === 0 ||
              ((needed[i] ?? []).every((n) => (set >> n) % 2 === 1) &&
                steps.every((o, k) => !s.bundle || o.bundle !== s.bundle || (set >> k) % 2 === 1)),
          );
        const minutesOf = (set: number): number =>
          steps.reduce((m, s, i) => m + ((set >> i) % 2 ? (s.minutes ?? 2) : 0), 0);
        let least = Number.POSITIVE_INFINITY;
        for (let set = 1; set < 2 ** steps.length; set++)
          if (opens(set)) least = Math.min(least, minutesOf(set));
        expect(found.minutes).toBe(least);
        // in an order that can be followed
        found.steps.forEach((id, at) => {
          for (const n of needed[Number(id.slice(1))] ?? [])
            expect(found.steps.slice(0, at)).toContain(`s${n}`);
        });
      }),
    );
  });
  it("what is off by itself is exactly what is missing from the way in", () => {
    fc.assert(
      fc.property(strips, fc.nat(8), fc.nat(8), (job, a, b) => {
        const [goal, before] = [a % job.steps.length, b % job.steps.length];
        const off = accessPlan(job, `p${before}`).steps;
        const whole = accessPlan(job, `p${goal}`).steps;
        expect([...accessPlan(job, `p${goal}`, off).steps].sort()).toEqual(
          whole.filter((s) => !off.includes(s)).sort(),
        );
      }),
    );
  });
  it("what comes off again, at any moment of the rebuild, leaves a machine that can be: whatever is off, all that it needed is off too", () => {
    fc.assert(
      fc.property(strips, fc.nat(8), fc.nat(20), (job, pick, lines) => {
        const plan = rebuildPlan(job);
        const done = plan.steps.slice(0, lines % (plan.steps.length + 1)).map(lineKey);
        const { steps } = accessPlan(job, `p${pick % job.steps.length}`, offNow(job.steps, done));
        const opened = new Set(linesOpenedBy(plan, job, steps));
        const left = done.filter((k) => !opened.has(k));
        const off = offNow(job.steps, left);
        expect(off).toEqual(expect.arrayContaining([`s${pick % job.steps.length}`]));
        for (const s of job.steps)
          if (off.includes(s.id)) for (const n of s.needs ?? []) expect(off).toContain(n);
        // and nothing more than was asked for came off
        expect(off.filter((s) => !steps.includes(s)).sort()).toEqual(offNow(job.steps, done).sort());
      }),
    );
  });
});
