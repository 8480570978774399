import { describe, expect, it } from "vitest";
import { lookIfNot as checkIfNot } from "../assemblies/match";
import { Fault } from "../fault";
import type { Part } from "../job/part";
import type { StripStep } from "../job/step";
import type { Strip } from "../job/strip";
import { isLineDone, lineKey, type RebuildLine } from "./rebuild-line";
import { ledgerAfter, rebuildPlan } from "./rebuild-plan";

const strip = (steps: StripStep[], more: Partial<Strip> = {}): Strip => ({
  parts: [],
  services: [],
  lubePoints: [],
  ...more,
  steps,
});
const undone = (lines: readonly RebuildLine[]): string[] =>
  lines.flatMap((l) => ("undoes" in l ? [l.undoes] : []));
const place = (lines: readonly RebuildLine[], key: string): number =>
  lines.findIndex((l) => lineKey(l) === key);

/** A gear case: cover, rag in the motor opening, wheel on a shaft under it. */
const gearCase = (more: Partial<Strip> = {}): Strip =>
  strip(
    [
      {
        id: "s1",
        action: "unscrew",
        needs: [],
        hardware: [{ id: "h1", kind: "screw", qty: 6, thread: "ST3.5" }],
      },
      { id: "s2", action: "lift-off", parts: ["p1"] },
      { id: "s3", action: "block", note: "rag" },
      { id: "s4", action: "unclip", hardware: [{ id: "h2", kind: "circlip", qty: 1, once: true }] },
      { id: "s5", action: "pull", parts: ["p2"] },
    ],
    {
      parts: [
        { id: "p1", name: "gear case cover", kind: "cover" },
        { id: "p2", name: "wheel", kind: "gear", renew: true },
      ],
      ...more,
    },
  );

describe("the rebuild plan", () => {
  it("is the reverse of the strip where nothing else is said", () => {
    expect(undone(rebuildPlan(gearCase()).steps)).toEqual(["s5", "s4", "s3", "s2", "s1"]);
  });

  it("puts grease and services where their place can still be reached", () => {
    const { steps } = rebuildPlan(
      gearCase({
        services: [
          { id: "v1", part: "p2", do: "deburr" },
          { id: "v2", reachedBy: "s2", do: "clean" },
        ],
        lubePoints: [
          { id: "g1", part: "p2", when: "after-fit", grams: 3 },
          { id: "g2", part: "p2", when: "before-fit", grams: 1 },
          { id: "g3", reachedBy: "s2", grams: 20 },
        ],
      }),
    );
    const order = ["service:v1", "grease:g2", "undo:s5", "grease:g1", "undo:s2"].map((k) => place(steps, k));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(place(steps, "grease:g3")).toBeLessThan(place(steps, "undo:s2"));
    expect(place(steps, "grease:g3")).toBeGreaterThan(place(steps, "undo:s3"));
    expect(place(steps, "service:v2")).toBeLessThan(place(steps, "undo:s2"));
  });
  it("comes last to what is reached from outside, also where nothing was taken off at all", () => {
    const outside = { id: "g9", outside: true, grams: 0.1 };
    expect(
      rebuildPlan(gearCase({ lubePoints: [outside, { id: "g1", part: "p2", when: "after-fit" }] })).steps.at(
        -1,
      ),
    ).toMatchObject({
      kind: "grease",
      lubePoint: "g9",
    });
    expect(rebuildPlan(strip([], { lubePoints: [outside] })).steps.map(lineKey)).toEqual(["grease:g9"]);
    // what is on a part comes with it all the same
    expect(
      place(
        rebuildPlan(gearCase({ lubePoints: [{ ...outside, part: "p2", when: "after-fit" }] })).steps,
        "grease:g9",
      ),
    ).toBe(1);
  });

  it("waits for thread locker that goes back on, longer in a passive metal, and for none in plastic", () => {
    const plan = rebuildPlan({
      ...gearCase(),
      steps: gearCase().steps.map((s, i) => ({
        ...s,
        hardware: [
          {
            id: `k${i}`,
            kind: "screw" as const,
            qty: 1,
            thread: "M4",
            locker: "blue",
            ...(i === 1 ? { into: "ABS" } : i === 3 ? { into: "aluminium" } : {}),
          },
        ],
      })),
    });
    const steps = plan.waits
      .map((w) => plan.steps[w.after - 1])
      .map((l) => (l?.kind === "fit" ? l.undoes : ""));
    expect(steps).not.toContain("s2");
    expect(steps.toSorted()).toEqual(gearCase().steps.map((s) => s.id).filter((s) => s !== "s2" && s !== "s3")); // biome-ignore format: short
    expect(plan.waits.map((w) => w.minutes)).toEqual(steps.map((s) => (s === "s4" ? 60 : 20)));
    expect(plan.waits[0]?.why).toMatch(/thread locker on 1 screw M4.*may run idle once it holds/);
  });

  it("does what has to cure first, and says how long it holds up what", () => {
    const plan = rebuildPlan(
      gearCase({ services: [{ id: "v1", part: "p1", do: "bond", waitMinutes: 1440, note: "bush bonded" }] }),
    );
    expect(lineKey(plan.steps[0] as RebuildLine)).toBe("service:v1");
    expect(plan.waits).toEqual([
      {
        after: 1,
        minutes: 1440,
        why: "bush bonded: must be over before gear case cover goes in",
        holds: "s2",
      },
    ]);
  });

  it("asks for the checks of the trade", () => {
    const checks = rebuildPlan(gearCase()).steps.flatMap((l) =>
      l.kind === "check" ? [`${l.check}@${l.after}`] : [],
    );
    // what turns is felt once its clip is on
    expect(checks).toEqual(["clip-seated@s4", "turns-freely@s5", "opening-clear@s3", "lies-flat@s2"]);
  });

  it.each<[string, object, string]>([
    ["a rag that was put in", { action: "block", note: "rag" }, "opening-clear"],
    [
      "three pieces on each other",
      {
        parts: ["p1"],
        hardware: [
          { id: "h1", kind: "washer", qty: 1 },
          { id: "h2", kind: "thrust-washer", qty: 1 },
        ],
        stack: ["h1", "p1", "h2"],
      },
      "stack-order",
    ],
    ["one nut on a shaft", { parts: ["p1"], hardware: [{ id: "h1", kind: "nut", qty: 1 }] }, "end-play"],
    ["marked wires", { action: "unsolder", wires: [{ colour: "red", to: "+" }] }, "wires-seated"],
    ["a spring", { hardware: [{ id: "h1", kind: "spring", qty: 1 }] }, "spring-hooked"],
    ["brushes", { hardware: [{ id: "h1", kind: "brush", qty: 2 }] }, "brush-slides"],
    ["tabs", { parts: ["p1"], held: ["snap tabs"] }, "tabs-clicked"],
    ["a guard", { parts: ["p2"] }, "guard-works"],
  ])("asks where it can be judged: %s", (_, step, check) => {
    const parts = [
      { id: "p1", name: "drive shaft", kind: "shaft" },
      { id: "p2", name: "blade guard", kind: "guard" },
    ];
    const plan = (more: object) =>
      rebuildPlan({
        parts,
        steps: [{ id: "s1", action: "pull", needs: [], ...more } as StripStep],
        services: [],
        lubePoints: [],
      });
    const lines = plan(step).steps;
    const at = lines.findIndex((l) => l.kind === "check" && l.check === check);
    expect(at).toBeGreaterThan(lines.findIndex((l) => "undoes" in l));
    // each says why, and what to do where the answer is no
    expect(lines[at]?.because[0]).toBeTruthy();
    expect(checkIfNot(check)).toMatch(/\.$/);
    expect(plan({ parts: ["p1"] }).steps.map((l) => (l.kind === "check" ? l.check : ""))).not.toContain(
      check,
    );
  });
  it("asks for no end play under four nuts of a flange, nor under a lid", () => {
    const asks = (parts: Part[], nuts: number): string[] =>
      rebuildPlan({
        parts,
        steps: [
          {
            id: "s1",
            action: "unscrew",
            needs: [],
            parts: ["p1"],
            hardware: [{ id: "h1", kind: "nut", qty: nuts }],
          },
        ],
        services: [],
        lubePoints: [],
      }).steps.flatMap((l) => (l.kind === "check" ? [l.check] : []));
    expect(asks([{ id: "p1", name: "shaft", kind: "shaft" }], 4)).not.toContain("end-play");
    expect(asks([{ id: "p1", name: "shaft cover", kind: "cover" }], 1)).not.toContain("end-play");
    expect(asks([{ id: "p1", name: "shaft", kind: "shaft" }], 1)).toContain("end-play");
  });

  it("feels what turns after its washers and nut, once for several, and not only before the lid: a joint in between is no reason to wait", () => {
    const nut = { id: "h1", kind: "nut" as const, qty: 1 };
    const parts = ["gear wheel", "spindle", "lid"].map((name) => ({ id: name, name }));
    const asked = (steps: StripStep[]) =>
      rebuildPlan(strip(steps, { parts })).steps.map((l) =>
        l.kind === "check" ? `${l.check}@${l.after}` : lineKey(l),
      );
    expect(
      asked([
        { id: "s1", action: "unscrew", needs: [], hardware: [nut] },
        { id: "s2", action: "pull", parts: ["gear wheel"] },
        { id: "s3", action: "pull", parts: ["spindle"] },
      ]),
    ).toEqual(["undo:s3", "undo:s2", "undo:s1", "end-play@s1", "turns-freely@s2"]);
    expect(
      asked([
        { id: "s1", action: "unscrew", needs: [], hardware: [nut] },
        { id: "s2", action: "pull", needs: [], parts: ["gear wheel"] },
      ]),
    ).toEqual(["undo:s2", "turns-freely@s2", "undo:s1", "end-play@s1"]);
  });

  it("looks at a stack before it is drawn, and at a switch once its cam is on", () => {
    const keys = rebuildPlan({
      parts: [
        { id: "p1", name: "cam" },
        { id: "p2", name: "brake" },
        { id: "p3", name: "limit switch" },
      ],
      steps: [
        { id: "s1", action: "pull", needs: [], parts: ["p1"] },
        {
          id: "s2",
          action: "pull",
          parts: ["p2"],
          hardware: [
            { id: "h1", kind: "disc-spring", qty: 3 },
            { id: "h2", kind: "nut", qty: 1 },
          ],
        },
        { id: "s3", action: "unscrew", title: "limit switch", parts: ["p3"] },
      ] as StripStep[],
      services: [],
      lubePoints: [],
    }).steps.map(lineKey);
    expect(keys.indexOf("check:switch-in-step:s3")).toBeGreaterThan(keys.indexOf("undo:s1"));
    const at = ["set:s2:parts", "set:s2:over", "check:disc-springs-way:s2", "undo:s2"].map((k) =>
      keys.indexOf(k),
    );
    expect(at).not.toContain(-1);
    expect([...at].sort((a, b) => a - b)).toEqual(at);
  });

  it("looks at rings once they lie in, at a key before what is pressed over it, and turns after the last clip", () => {
    const parts = [{ id: "p1", name: "wheel", kind: "gear" }];
    const planned = (steps: object[]): string[] =>
      rebuildPlan({ parts, steps: steps as StripStep[], services: [], lubePoints: [] }).steps.map(lineKey);
    expect(
      planned([{ id: "s1", action: "peel", needs: [], hardware: [{ id: "h1", kind: "o-ring", qty: 3 }] }]),
    ).toEqual(["undo:s1", "check:ring-even:s1"]);
    // the key stayed on its shaft, and nobody counted it
    const pressed = {
      id: "s1",
      action: "pull",
      needs: [],
      parts: ["p1"],
      held: ["press fit"],
      note: "keyway",
    };
    expect(planned([pressed]).slice(0, 2)).toEqual(["check:key-lies:s1", "undo:s1"]);
    const clip = { id: "s1", action: "unclip", needs: [], hardware: [{ id: "h1", kind: "circlip", qty: 1 }] };
    const washers = {
      id: "s2",
      action: "lift-off",
      needs: ["s1"],
      hardware: [{ id: "h2", kind: "washer", qty: 2 }],
    };
    const wheel = { id: "s3", action: "pull", needs: ["s2"], parts: ["p1"] };
    const keys = planned([clip, washers, wheel]);
    expect(keys.indexOf("check:turns-freely:s3")).toBeGreaterThan(keys.indexOf("undo:s1"));
  });

  it("brings what was said for a step's return at its moment: before, after, before something closes over it, at the end, and what is set and measured last of all", () => {
    const back = [
      { when: "calibrate" as const, says: "pressure at 2 bar" },
      { when: "end" as const, says: "zero the counter" },
      { when: "after" as const, says: "turn until it meshes" },
      { when: "closing" as const, says: "feel it through the hole" },
      { when: "before" as const, says: "pass the lead through" },
    ];
    const said = gearCase();
    const steps = said.steps.map((s) =>
      s.id === "s5"
        ? { ...s, back }
        : s.id === "s1"
          ? { ...s, back: [{ when: "closing" as const, says: "look once more" }] }
          : s,
    );
    const plan = rebuildPlan({
      ...said,
      steps,
      lubePoints: [
        { id: "g1", part: "p2", when: "after-fit" },
        { id: "g2", when: "after-fit", outside: true },
      ],
    });
    expect(plan.steps.map(lineKey)).toEqual([
      "mind:s5:before:pass the lead through",
      "undo:s5",
      "mind:s5:after:turn until it meshes",
      "grease:g1",
      // the circlip had to be off for the wheel: it closes over it
      "mind:s5:closing:feel it through the hole",
      "undo:s4",
      "check:clip-seated:s4",
      "check:turns-freely:s5",
      "undo:s3",
      "check:opening-clear:s3",
      "undo:s2",
      "check:lies-flat:s2",
      "undo:s1",
      // nothing closes over the last
      "mind:s1:closing:look once more",
      "mind:s5:end:zero the counter",
      "grease:g2",
      "mind:s5:calibrate:pressure at 2 bar",
    ]);
  });

  it("takes apart what was laid down as one: what lies under, the part, what holds it; its face is looked at before the screws", () => {
    const plan = rebuildPlan(
      strip(
        [
          {
            id: "s1",
            action: "lift-off",
            needs: [],
            parts: ["p1"],
            hardware: [
              { id: "h1", kind: "screw", qty: 4, thread: "ST4" },
              { id: "h2", kind: "gasket", qty: 1 },
            ],
          },
        ],
        {
          parts: [{ id: "p1", name: "cover", kind: "cover" }],
          services: [{ id: "v1", part: "p1", do: "clean" }],
        },
      ),
    );
    expect(plan.steps.map(lineKey)).toEqual([
      "service:v1",
      "check:gasket-faces:s1",
      "set:s1:under",
      "set:s1:parts",
      "check:lies-flat:s1",
      "undo:s1",
    ]);
    expect(plan.steps.slice(2, 4)).toMatchObject([
      { parts: [], hardware: ["h2"] },
      { parts: ["p1"], hardware: [] },
    ]);
    // the line that undoes the step names all of it, as its law says, and what is left for it
    expect(plan.steps.at(-1)).toMatchObject({
      undoes: "s1",
      parts: ["p1"],
      hardware: ["h1", "h2"],
      left: { parts: [], hardware: ["h1"] },
    });
    // the screws go into plastic: that is minded at them
    expect(plan.steps.at(-1)).toMatchObject({ minds: [{ assembly: "self-tapping-screws" }] });
    // a job of before knew only the last of these lines
    const done = new Set(["undo:s1"]);
    expect(plan.steps.filter((l) => !isLineDone(l, done)).map(lineKey)).toEqual(["service:v1"]);
  });

  it("stands the caution at the step", () => {
    const lines = rebuildPlan(gearCase()).steps;
    const cautions = (id: string): string =>
      lines.flatMap((l) => ("undoes" in l && l.undoes === id ? l.cautions : [])).join(" ");
    expect(cautions("s4")).toMatch(/clip jumps/);
    // what is no danger is minded, and can be struck
    const minds = lines.flatMap((l) => (l.kind === "fit" && l.undoes === "s1" ? (l.minds ?? []) : []));
    expect(minds.map((m) => m.says).join(" ")).toMatch(/backwards until it drops into its old thread/);
  });

  it("picks what goes back new", () => {
    expect(rebuildPlan(gearCase()).pick).toEqual([
      { hardware: "h2", qty: 1, why: "used once: 1 circlip" },
      { part: "p2", why: "renewed: wheel" },
    ]);
  });

  it("counts the ledger by what is done", () => {
    const all = rebuildPlan(gearCase()).ledger;
    expect(all).toEqual({ out: 9, back: 9, open: [] });
    const half = ledgerAfter(gearCase(), new Set(["undo:s5", "undo:s4"]));
    expect(half.back).toBe(2);
    expect(half.open).toEqual([
      { step: "s1", pocket: 1, hardware: "h1", qty: 6 },
      { step: "s2", pocket: 2, part: "p1", qty: 1 },
    ]);
  });

  it("keeps a bundle together although its steps lie apart in the list", () => {
    const order = undone(rebuildPlan(strip([
      { id: "a", action: "pull", needs: [], bundle: "b" },
      { id: "x", action: "pull", needs: [] },
      { id: "c", action: "pull", needs: ["a"], bundle: "b" },
    ])).steps); // biome-ignore format: one step a row
    expect(order.indexOf("a") - order.indexOf("c")).toBe(1);
  });

  it("lets needs reach through a note", () => {
    const order = undone(rebuildPlan(strip([
      { id: "a", action: "pull", needs: [] },
      { id: "n", action: "note", needs: ["a"] },
      { id: "c", action: "pull", needs: ["n"] },
      { id: "d", action: "pull", needs: [] },
    ])).steps); // biome-ignore format: one step a row
    expect(order).toEqual(["d", "c", "a"]);
  });

  it("takes a strip of three thousand steps in one line", () => {
    const steps: StripStep[] = Array.from({ length: 3000 }, (_, i) => ({ id: `s${i}`, action: "pull" }));
    expect(rebuildPlan(strip(steps)).steps.length).toBe(3000);
  });
});

describe("what is refused", () => {
  const faultOf = (s: Strip): Fault => {
    try {
      rebuildPlan(s);
    } catch (e) {
      if (e instanceof Fault) return e;
      throw e;
    }
    throw new Error("nothing was refused");
  };
  it("a circle of needs, by name", () => {
    expect(
      faultOf(
        strip([
          { id: "a", action: "pull", needs: ["b"] },
          { id: "b", action: "pull", needs: ["a"] },
        ]),
      ).says,
    ).toMatch(/circle: (a → b → a|b → a → b)/);
  });
  it("bundles that stand inside each other, by name", () => {
    const says = faultOf(strip([
      { id: "a", action: "pull", needs: [], bundle: "x" },
      { id: "b", action: "pull", needs: ["a"], bundle: "y" },
      { id: "c", action: "pull", needs: ["b"], bundle: "x" },
      { id: "d", action: "pull", needs: ["c"], bundle: "y" },
    ])).says; // biome-ignore format: one step a row
    for (const id of ["a", "b", "c", "d"]) expect(says).toContain(id);
  });
  it.each<[string, Partial<Strip>, string]>([
    ["a step that is not there", { steps: [{ id: "a", action: "pull", needs: ["z"] }] }, "steps[0].needs[0]"],
    ["a part that is not there", { steps: [{ id: "a", action: "pull", parts: ["z"] }] }, "steps[0].parts[0]"],
    [
      "a part that comes off twice",
      {
        parts: [{ id: "p" }],
        steps: [
          { id: "a", action: "pull", parts: ["p"] },
          { id: "b", action: "pull", parts: ["p"] },
        ],
      },
      "steps[1].parts[0]",
    ],
    [
      "an id used twice",
      {
        steps: [
          { id: "a", action: "pull" },
          { id: "a", action: "pull" },
        ],
      },
      "steps[1].id",
    ],
    ["grease on nothing", { lubePoints: [{ id: "g" }] }, "lubePoints[0]"],
    [
      "grease at a note",
      { steps: [{ id: "a", action: "note" }], lubePoints: [{ id: "g", reachedBy: "a" }] },
      "lubePoints[0].reachedBy",
    ],
    [
      "a service on a part that stayed in",
      { parts: [{ id: "p" }], services: [{ id: "v", part: "p", do: "clean" }] },
      "services[0].part",
    ],
    ["a renewed part that stayed in", { parts: [{ id: "p", renew: true }] }, "parts[0].renew"],
  ])("%s", (_, wrong, path) => {
    expect(faultOf({ ...strip([]), ...wrong }).path).toBe(path);
  });
});
