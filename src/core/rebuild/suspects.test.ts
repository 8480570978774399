import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Job } from "../job/job";
import { checkKey, undoKey } from "../job/keys";
import { type CheckLine, lineKey } from "../order/rebuild-line";
import { rebuildPlan } from "../order/rebuild-plan";
import { outputShafts } from "../train/outputs";
import type { TrainInput } from "../train/train";
import { jobOf } from "./job-at-rebuild";
import { lineInWords } from "./line-in-words";
import { teethOff } from "./one-tooth-off";
import { suspectsOf } from "./suspects";

const train: TrainInput = {
  input: { shaft: "crank", rpm: 60 },
  meshes: [
    {
      id: "m1",
      kind: "spur",
      driver: { shaft: "crank", teeth: 40 },
      driven: { shaft: "lay", teeth: 16, part: "p3" },
    },
    { id: "m2", kind: "spur", driver: { shaft: "lay", teeth: 48 }, driven: { shaft: "fan", teeth: 12 } },
  ],
};
/**
 * A hand-cranked forge blower: a lid on screws, a crank wheel under a nut with two washers, a timed lay
 * wheel, a bearing.
 */
const blower = (): Job => ({
  ...jobOf({
    kind: "forge blower",
    parts: [
      { id: "p1", name: "lid", kind: "cover" },
      { id: "p2", name: "crank wheel", kind: "gear" },
      { id: "p3", name: "lay wheel", kind: "gear" },
      { id: "p4", name: "bearing", kind: "bearing" },
    ],
    steps: [
      {
        id: "s1",
        action: "unscrew",
        needs: [],
        parts: ["p1"],
        hardware: [{ id: "h1", kind: "screw", qty: 4, thread: "M5" }],
      },
      {
        id: "s2",
        action: "unscrew",
        hardware: [
          { id: "h2", kind: "nut", qty: 1, thread: "M8" },
          { id: "h3", kind: "washer", qty: 2, lengthMm: 16 },
        ],
      },
      { id: "s3", action: "pull", parts: ["p2"] },
      { id: "s4", action: "pull", parts: ["p3"], timing: { says: "dot on dot" } },
      { id: "s5", action: "press-out", needs: ["s4"], parts: ["p4"], freed: { how: "press" } },
    ],
    lubePoints: [{ id: "g1", part: "p3", when: "after-fit", grams: 3, where: "teeth of the lay wheel" }],
  }),
  train,
});
/** A job's check, where all before it is done. */
function asked(
  job: Job,
  key: string,
): { line: CheckLine; done: ReadonlySet<string>; plan: ReturnType<typeof rebuildPlan> } {
  const plan = rebuildPlan(job);
  const at = plan.steps.findIndex((l) => lineKey(l) === key);
  const line = plan.steps[at];
  if (line?.kind !== "check") throw new Error(`no ${key} among ${plan.steps.map(lineKey).join(" ")}`);
  return { line, plan, done: new Set(plan.steps.slice(0, at).map(lineKey)) };
}
const suspects = (job: Job, key: string) => {
  const { line, plan, done } = asked(job, key);
  return suspectsOf(job, plan, line, done);
};

describe("one tooth off", () => {
  it("is told in degrees at the wheel and where power goes out", () => {
    expect(outputShafts(train)).toEqual(["fan"]);
    // the case holds the ring: power leaves by the carrier
    const planets = {
      id: "p",
      kind: "planetary" as const,
      sun: { shaft: "motor", teeth: 12 },
      ring: { shaft: "frame", teeth: 48 },
      carrier: { shaft: "drum" },
    };
    expect(outputShafts({ input: { shaft: "motor", rpm: 1000 }, meshes: [planets] })).toEqual(["drum"]);
    expect(teethOff({ train }, ["p3"])).toMatchObject([
      { mesh: "m1", degrees: 22.5, atOutput: [{ shaft: "fan", degrees: 90 }], meetsAfter: { turns: 2 } },
    ]);
    const { line } = asked(blower(), checkKey("timing-together", "s4"));
    expect(lineInWords(blower(), line).mind).toEqual([
      "One tooth out at the 16-tooth gear on lay is 23° there, and 90° at fan. Its marks meet again only after 2 turns of crank.",
    ]);
  });

  it("is not told of wheels that nobody tied to a part, nor of a train that nobody counted", () => {
    expect(teethOff({ train }, ["p2"])).toEqual([]);
    expect(teethOff({}, ["p3"])).toEqual([]);
    const uncounted: TrainInput = {
      ...train,
      meshes: train.meshes.map((m) => ({ ...m, assumed: true as const })),
    };
    expect(teethOff({ train: uncounted }, ["p3"])).toEqual([]);
  });
});

describe("what is behind a no", () => {
  it("is looked for first where nothing has to come off", () => {
    const ids = suspects(blower(), checkKey("turns-freely", "s3")).map((s) => s.id);
    expect(ids).toEqual(["grease", "nut:s2", "rhythm", "stack:s2", "bearing:s5", "half:s3"]);
  });

  it("says how it is told, with the train's own turns", () => {
    const found = suspects(blower(), checkKey("turns-freely", "s3"));
    const tell = (id: string) => found.find((s) => s.id === id)?.tell;
    expect(tell("rhythm")).toMatch(
      /^Turn crank by hand .*1 turn: crank, its 40-tooth gear or its bearings\. 0\.4 turns: lay, .*0\.1 turns: fan,/,
    );
    expect(tell("stack:s2")).toMatch(/2 came off/);
    expect(tell("half:s3")).toMatch(/open as far as step 3, the crank wheel, and ask the same there/);
  });

  it("of timing may be nothing: the marked teeth meet only now and then", () => {
    expect(suspects(blower(), checkKey("timing-together", "s4"))).toMatchObject([
      { id: "meets:m1", tell: "Turn crank by 2 turns, slowly, and look each time they pass." },
      { id: "tooth:m1", says: "It is one tooth out at the 16-tooth gear on lay.", step: "s4" },
      { id: "last:s4" },
    ]);
  });

  it("at how one piece lies is no earlier step: only what is usually behind it, or nothing", () => {
    const clipped = jobOf({
      kind: "forge blower",
      parts: [
        { id: "p1", name: "lid", kind: "cover" },
        { id: "p2", name: "hub", kind: "gear" },
      ],
      steps: [
        {
          id: "s1",
          action: "lift-off",
          needs: [],
          parts: ["p1"],
          hardware: [{ id: "h1", kind: "o-ring", qty: 1 }],
        },
        { id: "s2", action: "pull", parts: ["p2"] },
      ],
    });
    expect(suspects(clipped, checkKey("ring-even", "s1"))).toEqual([]);
  });

  it("is a new part that differs, and one that went back although it was found bad", () => {
    const parts = blower().parts.map((p) => (p.id === "p2" ? { ...p, renew: true } : p));
    const findings = [
      {
        part: "p2",
        mode: "worn",
        teeth: {},
        gear: {},
        got: { from: "counter", differs: "its boss is 1 mm longer" },
      },
      { part: "p3", mode: "worn", teeth: {}, gear: {}, fate: "keep", fateWhy: "light work" },
    ];
    const job = { ...blower(), parts, findings } as unknown as Job;
    const says = suspects(job, checkKey("turns-freely", "s3")).map((s) => s.says);
    expect(says).toContain("The new crank wheel is not as the old one: its boss is 1 mm longer.");
    expect(says.find((s) => s.startsWith("The lay wheel went back as it is"))).toBeDefined();
  });

  it("is asked of nothing that was right since", () => {
    const job = blower();
    const flat = suspects(job, checkKey("lies-flat", "s1"));
    expect(flat.map((s) => s.id)).toEqual([
      "stack:s2",
      "bearing:s5",
      "mesh:s3",
      "mesh:s4",
      "packed",
      "half:s3",
    ]);
    // nothing went back yet but the thing itself
    expect(
      suspectsOf(job, rebuildPlan(job), asked(job, checkKey("lies-flat", "s1")).line, new Set()),
    ).toEqual([]);
  });

  it("law: whatever was recorded, a suspect has a sentence, a way to tell, and names only what is back or asked about", () => {
    const kinds = fc.constantFrom("gear", "cover", "bearing", "shaft", "bush", undefined);
    const piece = fc.constantFrom("screw", "nut", "washer", "pin", "circlip", "plug");
    const step = fc.record({ kind: kinds, name: fc.constantFrom("wheel", "shaft", "lid"), pieces: fc.array(fc.tuple(piece, fc.integer({ min: 1, max: 4 })), { maxLength: 3 }), timed: fc.boolean() }); // biome-ignore format: one record
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 9 }), fc.nat(), (rows, pick) => {
        const job = jobOf({
          kind: "press",
          parts: rows.map((r, i) => ({
            id: `p${i}`,
            name: `${r.name} ${i}`,
            ...(r.kind ? { kind: r.kind } : {}),
          })),
          steps: rows.map((r, i) => ({
            id: `s${i}`,
            action: "pull",
            parts: [`p${i}`],
            hardware: r.pieces.map(([kind, qty], k) => ({ id: `h${i}${k}`, kind, qty })),
            ...(r.timed ? { timing: { says: "dot" } } : {}),
          })),
        });
        const plan = rebuildPlan(job);
        const checks = plan.steps.filter((l): l is CheckLine => l.kind === "check");
        const line = checks[pick % Math.max(1, checks.length)];
        if (!line) return;
        const done = new Set(plan.steps.slice(0, line.n - 1).map(lineKey));
        const found = suspectsOf(job, plan, line, done);
        expect(new Set(found.map((s) => s.id)).size).toBe(found.length);
        for (const s of found) {
          expect(s.says).toMatch(/^[A-Z].*\.$/);
          expect(s.tell).toMatch(/^[A-Z].*\.$/);
          expect(`${s.says} ${s.tell}`).not.toMatch(/\b[sph]\d|undefined|null|NaN|,,|, \./);
          if (s.step !== undefined) expect(done.has(undoKey(s.step)) || s.step === line.after).toBe(true);
        }
      }),
      { numRuns: 150 },
    );
  });
});
