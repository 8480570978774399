import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { newChamber } from "../job/chamber";
import type { Job } from "../job/job";
import { readJobFile } from "../job/job-file";
import { jobFromFile } from "../job/job-file-of";
import { rebuildPlan } from "../order/rebuild-plan";
import type { TrainInput } from "../train/train";
import { amountSays, inSpoons } from "./amount-says";
import {
  cleanBefore,
  cleaningMoments,
  cleaningsFor,
  closedForCleaning,
  howFar,
  keepDry,
  stillToClean,
} from "./cleaning";
import { cleaningList, cleaningsLeft } from "./cleaning-list";
import { CLEANING, cleaningCautions, cleaningFor } from "./cleaning-ways";
import { lubePlan } from "./plan";
import { bearingsAsked, openerBefore, pointOn, proposedChambers } from "./propose";
import { closersOf, momentsFor, reachOf } from "./reach";
import { freeVolumeOf, placeOf, roomsOf } from "./rooms";
import { makersSlip, slipIn } from "./slips";
import { lubricantsUsed } from "./used";
import { toothVolumeMl, wheelFacts, wheelVolumeMl } from "./wheels";

const train: TrainInput = {
  input: { shaft: "motor", rpm: 6000 },
  meshes: [
    {
      id: "m1",
      kind: "worm",
      driver: { shaft: "motor", teeth: 1, part: "p4", material: "steel" },
      driven: { shaft: "lay", teeth: 40, part: "p3", material: "bronze" },
    },
    {
      id: "m2",
      kind: "spur",
      driver: { shaft: "lay", teeth: 20, moduleMm: 2, faceWidthMm: 10, material: "hardened" },
      driven: { shaft: "out", teeth: 60, moduleMm: 2, faceWidthMm: 10, material: "PA66" },
    },
    {
      id: "m3",
      kind: "planetary",
      sun: { shaft: "out", teeth: 12, moduleMm: 1 },
      ring: { shaft: "frame", teeth: 60 },
      carrier: { shaft: "spindle" },
      planets: 3,
      planetTeeth: 24,
    },
    { id: "m4", kind: "belt", driver: { shaft: "spindle", teeth: 20 }, driven: { shaft: "fan", teeth: 20 } },
  ],
};
/** A winch: lid, case cover, worm wheel and worm under it, a drum bearing beside them. */
const winch = (more: Partial<Job> = {}): Job => {
  const { head, ...read } = jobFromFile(
    readJobFile({
      format: "demontage-job",
      version: 1,
      unit: { kind: "boat winch", model: "Tow 5" },
      parts: [
        { id: "p1", name: "lid", kind: "cover", material: "ABS" },
        { id: "p2", name: "case cover", kind: "cover", material: "aluminium" },
        { id: "p3", name: "wheel", kind: "gear", material: "bronze" },
        { id: "p4", name: "worm", kind: "gear", material: "steel" },
        { id: "p5", name: "drum bearing", kind: "bearing" },
        { id: "p6", name: "drive belt", kind: "belt" },
      ],
      steps: [
        { id: "s1", action: "lift-off", needs: [], parts: ["p1"] },
        { id: "s2", action: "lift-off", needs: ["s1"], parts: ["p2"] },
        { id: "s3", action: "pull", needs: ["s2"], parts: ["p3"] },
        { id: "s4", action: "pull", needs: ["s3"], parts: ["p4"] },
        { id: "s5", action: "press-out", needs: ["s1"], parts: ["p5"] },
        { id: "s6", action: "slide", needs: ["s1"], parts: ["p6"] },
      ],
    }),
    "2026-11-24T08:00:00.000Z",
  );
  const rest = {
    id: 1,
    version: 1,
    stage: "lube",
    fillSchool: "measured",
    greaseStates: [],
    quotes: [],
    orders: [],
    arrivals: [],
  };
  return { ...rest, ...head, ...read, ...more } as unknown as Job;
};

describe("wheels", () => {
  it("tell speed, spaces and mate", () => {
    // d = 40 mm at 6000/40 rpm: π · 40 · 150 / 60 000
    expect(wheelFacts(winch({ train }), { wheel: { mesh: "m2", role: "driver" } })).toMatchObject({
      pitchLineMPerS: expect.closeTo(0.31416, 4),
      materials: ["hardened", "PA66"],
    });
    // sun against its carrier: carrier = sun · 12/72, sun at 50 rpm, d = 12 mm
    expect(
      wheelFacts(winch({ train }), { wheel: { mesh: "m3", role: "planet" } })?.pitchLineMPerS,
    ).toBeCloseTo((Math.PI * 12 * (50 - 50 / 6)) / 60_000, 6);
    // ½ (44² − 35²)/4 · π · 10 mm³; π/4 · 40² · 10 mm³
    const wheel = { teeth: 20, moduleMm: 2, faceWidthMm: 10, materials: [], isWorm: false };
    expect(toothVolumeMl(wheel)).toBeCloseTo((((44 ** 2 - 35 ** 2) / 8) * Math.PI * 10) / 1000, 9);
    expect(wheelVolumeMl(wheel)).toBeCloseTo(12.566, 3);
    expect(toothVolumeMl({ ...wheel, moduleMm: undefined })).toBeUndefined();
    expect(wheelFacts(winch(), { part: "p3" })).toBeUndefined();
  });
  it("of a mesh whose counts nobody has looked at tell no speed", () => {
    const assumed = {
      ...train,
      meshes: train.meshes.map((m) => (m.id === "m2" ? { ...m, assumed: true as const } : m)),
    };
    expect(
      wheelFacts(winch({ train: assumed }), { wheel: { mesh: "m2", role: "driver" } })?.pitchLineMPerS,
    ).toBeUndefined();
  });
});

describe("proposed chambers", () => {
  it("follow the train: a planetary set, a worm box and a case, no belt; bearings that came off lie in the first", () => {
    const all = proposedChambers(winch({ train }));
    expect(all.map((p) => [p.chamber.kind, p.chamber.openedBy])).toEqual([
      ["planetary", "s2"],
      ["worm-box", "s2"],
      ["gear-case", "s2"],
    ]);
    expect(all[1]?.points.map((g) => [g.part, g.kind])).toEqual([
      ["p4", "worm"],
      ["p3", "worm"],
    ]);
  });
  it("without a train follow what parts are said to be, and never their names", () => {
    const [only, ...more] = proposedChambers(winch());
    expect(more).toEqual([]);
    // a lone wheel beside a worm runs on it
    expect([only?.chamber.kind, only?.points.map((g) => [g.part, g.kind, g.when])]).toEqual([
      "worm-box",
      [
        ["p3", "worm", "after-fit"],
        ["p4", "worm", "after-fit"],
      ],
    ]);
    const named = winch({
      parts: winch().parts.map((p) => ({ ...p, name: "grease gear bearing", kind: "bracket" })),
    });
    expect(proposedChambers(named)).toEqual([]);
  });
  it("a bearing is asked about, greased where it is open, and left alone where it is sealed", () => {
    const named = (name: string) =>
      winch({ parts: winch().parts.map((p) => (p.id === "p5" ? { ...p, name } : p)) });
    const onBearing = (job: Job) =>
      proposedChambers(job).flatMap((c) => c.points.filter((g) => g.part === "p5").map((g) => g.when));
    expect(onBearing(named("drum bearing"))).toEqual([]);
    expect(bearingsAsked(named("drum bearing")).map((p) => p.id)).toEqual(["p5"]);
    // pressed in, its closed side is out of reach
    expect(onBearing(named("open bearing 6001"))).toEqual(["before-fit"]);
    expect(onBearing(named("drum bearing 6001-Z"))).toEqual(["before-fit"]);
    for (const name of ["bearing 6001-2RS", "bearing 608 ZZ", "sealed bearing"]) {
      expect(onBearing(named(name))).toEqual([]);
      expect(bearingsAsked(named(name))).toEqual([]);
    }
  });
  it("a wheel of the train that names no part is not proposed beside the gears that came off", () => {
    const unnamed: TrainInput = {
      ...train,
      meshes: [
        {
          id: "m1",
          kind: "spur",
          driver: { shaft: "motor", teeth: 9 },
          driven: { shaft: "out", teeth: 40 },
        },
      ],
    };
    const [first] = proposedChambers(winch({ train: unnamed }));
    expect(first?.points.map((g) => g.where)).toEqual(["teeth of the wheel", "teeth of the worm"]);
    // nor once those are taken over
    const taken = winch({
      train: unnamed,
      chambers: first ? [first.chamber] : [],
      lubePoints: (first?.points ?? []).map((g, i) => ({ id: `g${i}`, ...g })),
    });
    expect(proposedChambers(taken)).toEqual([]);
  });
  it("a clockwork gets oil at its pivots from outside, on its spring and governor, and none on its teeth", () => {
    const box = winch({
      kind: "musical box",
      parts: [
        { id: "p1", name: "lid", kind: "cover" },
        { id: "p2", name: "top plate", kind: "cover" },
        { id: "p3", name: "first wheel", kind: "gear" },
        { id: "p4", name: "mainspring", kind: "spring" },
        { id: "p5", name: "governor pad" },
        { id: "p6", name: "drive belt", kind: "belt" },
      ],
    });
    const [only, ...more] = proposedChambers(box);
    expect([only?.chamber.kind, more.length]).toEqual(["clockwork", 0]);
    expect(only?.points.map((g) => [g.kind, g.where, g.when ?? (g.outside && "outside")])).toEqual([
      ["mainspring", "mainspring", "before-fit"],
      ["governor-pad", "governor pad", "after-fit"],
      ["clock-pivot", "pivots of the first wheel", "outside"],
    ]);
  });
  it("what is only guessed is not proposed, and what a name says outright is", () => {
    const called = (name: string) => {
      const bare = winch({ parts: [{ id: "p3", name }] });
      return proposedChambers(bare).flatMap((c) => c.points.map((g) => g.kind));
    };
    for (const name of ["optical wheel", "gear head", "gear change", "head", "chain guard"])
      expect(called(name)).toEqual([]);
    expect(called("lead screw")).toEqual(["lead-screw"]);
    expect(called("hook race")).toEqual(["hook-race"]);
    expect(called("oil wick")).toEqual(["felt-wick"]);
    expect(called("impact mechanism")).toEqual(["striker"]);
    expect(called("plunger pinion")).toEqual(["gear-teeth"]);
  });
  it("a bush is what it is made of: sintered takes oil; of one that nobody knows it is said", () => {
    const bush = (material?: string) =>
      winch({
        parts: winch().parts.map((p) =>
          p.id === "p5" ? { ...p, kind: "bush", ...(material && { material }) } : { ...p, kind: "bracket" },
        ),
      });
    expect(proposedChambers(bush("sintered"))[0]?.points[0]?.kind).toBe("sintered-bush");
    const [p] = proposedChambers(bush());
    expect(p?.points[0]?.kind).toBe("plain-bush");
    const job = {
      ...bush(),
      chambers: [p?.chamber as ReturnType<typeof newChamber>],
      lubePoints: [{ id: "g1", ...p?.points[0] }],
    };
    expect(roomsOf(job)[0]?.assumed.join()).toMatch(
      /drum bearing: taken for plain; a sintered bush takes oil alone/,
    );
  });
  it("what has a point already is not proposed again", () => {
    const job = winch({
      lubePoints: ["p3", "p4", "p5"].map((part, i) => ({ id: `g${i}`, part, when: "after-fit" as const })),
    });
    expect(proposedChambers(job)).toEqual([]);
  });
});

describe("until when a place is reached", () => {
  const point = { id: "g1", part: "p4", when: "after-fit" as const };
  const job = winch({ lubePoints: [point] });
  const plan = rebuildPlan(job);
  it("is before what had to come off before its part goes back", () => {
    // the wheel goes on after it, and does not close over it: the case cover does
    expect(closersOf(job, point)).toEqual(["s2", "s1"]);
    const reach = reachOf(job, plan, "grease:g1", point);
    expect(reach.last?.says).toBe("step 2, the case cover closes over it");
    expect(reach.line).toBeLessThan(reach.last?.line ?? 0);
    expect(momentsFor(job, plan, point).map((m) => m.step)).toEqual(["s3", "s2"]);
    expect(reach.closed).toBeUndefined();
    // where no cover came off, it is not claimed that anything closes
    const open = winch({
      parts: winch().parts.map((p) => (p.kind === "cover" ? { ...p, kind: "bracket" } : p)),
    });
    expect(closersOf(open, point)).toEqual(["s3"]);
    expect(reachOf(open, plan, "grease:g1", point).last?.says).toBe("step 3, the wheel goes on after it");
  });
  it("a place that a step laid open may be done at any time until that step goes back", () => {
    const open = { id: "g2", reachedBy: "s1" };
    expect(momentsFor(job, plan, open).map((m) => m.step)).toEqual(["s6", "s5", "s4", "s3", "s2", "s1"]);
  });
  it("to which moment it was moved is no matter: its last one stays, and it can go later again", () => {
    const chambers = [{ ...newChamber("c1", "worm-box"), openedBy: "s2" }];
    const moved = { id: "g1", onPart: "p4", reachedBy: "s3", chamber: "c1" };
    expect(closersOf(winch({ chambers }), moved)).toEqual(["s2"]);
    const spot = { id: "g2", reachedBy: "s4", chamber: "c1" };
    expect(closersOf(winch({ chambers }), spot)).toEqual(["s2"]);
    expect(momentsFor(winch({ chambers }), plan, spot).map((m) => m.step)).toEqual([
      "s6",
      "s5",
      "s4",
      "s3",
      "s2",
    ]);
    // an opener that was taken back opens nothing
    expect(closersOf(winch({ chambers: [{ ...newChamber("c1", "other"), openedBy: "s99" }] }), spot)).toEqual(
      ["s4"],
    );
  });
  it("from outside it stays open to the end", () => {
    const chambers = [{ ...newChamber("c1", "other"), outside: true }];
    const at = pointOn(
      winch({ chambers }),
      chambers[0] as (typeof chambers)[number],
      "clock-pivot",
      undefined,
      "hinge of the handle",
    );
    expect(at).toMatchObject({ outside: true, chamber: "c1" });
    const job = winch({ chambers, lubePoints: [{ id: "g1", ...at }] });
    const plan = rebuildPlan(job);
    expect(reachOf(job, plan, "grease:g1", { id: "g1", ...at })).toEqual({ line: plan.steps.length });
  });
  it("what is seen in a picture was laid open by what had come off by then", () => {
    expect([0, 1, 2, 6].map((done) => openerBefore(winch(), done))).toEqual([undefined, "s1", "s2", "s2"]);
  });
  it("once it is closed over it says by what", () => {
    const closed = { ...job, linesDone: ["undo:s2"] };
    expect(reachOf(closed, plan, "grease:g1", point).closed).toBe(
      "step 2, the case cover, closes over it, and is on again: take it off first",
    );
    // one that was done before it closed is done
    expect(
      reachOf({ ...closed, linesDone: ["undo:s2", "grease:g1"] }, plan, "grease:g1", point).closed,
    ).toBeUndefined();
  });
  it("moving a point to any of its moments keeps the plan's laws, whatever the strip", () => {
    fc.assert(
      fc.property(fc.array(fc.nat({ max: 6 }), { minLength: 2, maxLength: 8 }), fc.nat(), (needs, which) => {
        const steps = needs.map((n, i) => ({
          id: `s${i + 1}`,
          action: "lift-off" as const,
          needs: i === 0 ? [] : [`s${1 + (n % i)}`],
          parts: [`p${i + 1}`],
        }));
        const parts = steps.map((_, i) => ({ id: `p${i + 1}`, name: `part ${i + 1}` }));
        const g = { id: "g1", part: `p${1 + (which % steps.length)}`, when: "after-fit" as const };
        const any = winch({ steps, parts, lubePoints: [g] });
        const own = rebuildPlan(any);
        for (const m of momentsFor(any, own, g)) {
          const moved = { id: "g1", reachedBy: m.step, onPart: g.part };
          const lines = rebuildPlan({ ...any, lubePoints: [moved] }).steps;
          const at = (of: (l: (typeof lines)[number]) => boolean): number => lines.findIndex(of);
          const grease = at((l) => l.kind === "grease");
          // after its part is on, and before anything that closes over it
          expect(grease).toBeGreaterThan(at((l) => l.kind === "fit" && l.parts.includes(g.part)));
          for (const closer of closersOf(any, g))
            expect(grease).toBeLessThan(at((l) => l.kind === "fit" && l.undoes === closer));
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe("rooms", () => {
  const chamber = {
    ...newChamber("c1", "gear-case"),
    volume: { by: "inside", lengthMm: 100, widthMm: 80, depthMm: 30 } as const,
  };
  const g = {
    id: "g1",
    part: "p4",
    when: "after-fit" as const,
    chamber: "c1",
    kind: "gear-teeth" as const,
    wheel: { mesh: "m2", role: "driven" },
  };
  it("hold what their inside does, less their wheels", () => {
    // 240 ml less π/4 · 120² · 10 mm³
    expect(freeVolumeOf(winch({ train, lubePoints: [g] }), chamber)).toBeCloseTo(240 - 113.097, 2);
    // wheels that would fill the whole case: that is said, and not reckoned with
    const small = { ...chamber, volume: { ...chamber.volume, depthMm: 5 } };
    expect(freeVolumeOf(winch({ train, lubePoints: [g] }), small)).toBeNull();
    expect(roomsOf(winch({ train, lubePoints: [g], chambers: [small] }))[0]?.assumed.join()).toMatch(
      /measure it again/,
    );
  });
  it("what nobody said of the old lubricant is unknown, and comes out", () => {
    const [room] = roomsOf(winch({ train, lubePoints: [g], chambers: [chamber] }));
    expect(room?.room.old).toEqual({ left: "all", thickener: "unknown", baseOil: "unknown" });
    expect(room?.assumed).toContain("the old lubricant is not known: all of it comes out");
    expect(
      roomsOf(winch({ lubePoints: [g], chambers: [{ ...chamber, old: { left: "none" } }] }))[0]?.room.old,
    ).toBeNull();
  });
  it("what is said of a point stands above what its wheel tells; a bearing's size is what was measured", () => {
    expect(placeOf(winch({ train }), { ...g, pitchLineMPerS: 4, materials: ["brass"] })).toMatchObject({
      pitchLineMPerS: 4,
      materials: ["brass"],
    });
    const readings = [
      ["bore", 8],
      ["outside diameter", 22],
      ["width", 7],
    ].map(([what, value], i) => ({
      id: i,
      part: "p5",
      what: String(what),
      value: Number(value),
      source: "typed",
      at: "2026-11-24",
    }));
    const bearing = { id: "g2", part: "p5", chamber: "c1", kind: "rolling-bearing" as const };
    expect(placeOf(winch({ readings }), bearing).bearing).toEqual({ bore: 8, outside: 22, width: 7 });
    expect(placeOf(winch({ readings: readings.slice(1) }), bearing).bearing).toBeUndefined();
  });
  it("a chamber whose maker's figure cannot be hides no other", () => {
    const two = [
      { ...chamber, makersGrams: 9000 },
      { ...newChamber("c2", "other"), old: { left: "none" as const } },
    ];
    const plans = lubePlan(
      winch({
        chambers: two,
        lubePoints: [g, { ...g, id: "g2", chamber: "c2", wheel: undefined, kind: "slide" }],
      }),
      [
        {
          id: "a",
          name: "A",
          thickener: "Li12",
          baseOil: "mineral",
          nlgi: 1,
          h1: true,
          leastC: -20,
          mostC: 120,
        },
      ],
    );
    expect(plans.map((p) => [p.answer === null, p.fault !== undefined])).toEqual([
      [true, true],
      [false, false],
    ]);
  });
});

describe("cleaning", () => {
  it.each([
    [{ material: "ABS" }, "acetone", /softens/],
    [{ material: "PS" }, "spirit", /cracks/],
    [{ material: "zinc" }, "rust", /eats/],
    [{ material: "phenolic" }, "degreaser", /only oil/],
    [{ material: "steel", kind: "motor" }, "ultrasonic", /windings/],
    [{ material: "sintered", kind: "bush" }, "spirit", /oil alone/],
    [{ kind: "bush" }, "degreaser", /may be sintered/],
    [{ material: "EPDM" }, "spirit", /swells/],
    [{ material: "steel", kind: "bearing" }, "degreaser", /between the balls/],
    [{}, "acetone", /say first what it is made of: it attacks ABS, PC, PS/],
    [{ material: "acrylic" }, "acetone", /softens/],
    [{ material: "nylon 66" }, "rust", /eats into/],
    [{ material: "acetal" }, "rust", /eats into/],
    [{ material: "Brass" }, "rust", /takes the zinc out/],
    [{ material: "die-cast zinc alloy" }, "rust", /castings/],
    [{ material: "magnesium" }, "rust", /castings/],
    [{ material: "steel", kind: "spring" }, "rust", /brittle/],
    [{ material: "fibre" }, "degreaser", /only oil/],
    [{ material: "steel", kind: "board" }, "degreaser", /a board/],
    [{ kind: "assembly", material: "steel" }, "ultrasonic", /nobody has said/],
    [{ name: "motor unit", material: "ABS" }, "degreaser", /a motor, a switch or a board/],
  ])("%j is not cleaned with %s", (part, method, says) => {
    const verdict = cleaningFor(part).find((m) => m.method === method);
    expect(verdict?.ok).toBe(false);
    expect(verdict?.because).toMatch(says);
  });
  it("PA and POM stand acetone; every part can be cleaned somehow; what burns says so", () => {
    for (const material of ["PA66", "POM"])
      expect(cleaningFor({ material }).find((m) => m.method === "acetone")?.ok).toBe(true);
    for (const material of ["steel", "ABS", "phenolic", "felt", "sintered", undefined])
      for (const kind of ["gear", "bush", "motor", undefined])
        expect(cleaningFor({ ...(material && { material }), ...(kind && { kind }) }).some((m) => m.ok)).toBe(
          true,
        );
    for (const m of CLEANING)
      if (/spirit|acetone|alcohol/.test(m.method))
        expect(cleaningCautions(m.method).join()).toMatch(/no flame/);
    expect(cleaningFor({ material: "steel" }, ["wet"])[0]?.method).toBe("rust");
  });
  it("goes into every chamber after crumbs, and a case is clean before anything goes into it", () => {
    const chambers = [{ ...newChamber("c1", "worm-box"), openedBy: "s2" }];
    const job = winch({ chambers, greaseStates: ["metal"] });
    const plan = rebuildPlan(job);
    // the worm goes in first
    expect(cleanBefore(job, plan, chambers[0] as (typeof chambers)[number])).toBe("s4");
    expect(cleaningsFor(job, plan).map((c) => c.part ?? c.reachedBy)).toEqual(["s4", "p2", "p3", "p4"]);
    expect(cleaningsFor(winch({ chambers }), plan)).toHaveLength(1);
    // what somebody has planned for a part stays
    expect(
      cleaningsFor({ ...job, services: [{ id: "v1", part: "p3", do: "clean", note: "paraffin" }] }, plan).map(
        (c) => c.part,
      ),
    ).not.toContain("p3");
    // lid, drum bearing and belt lie outside of it; of a part inside that nobody has said what it is of, it is
    // not passed over
    const unsaid = job.parts.map((p) => (p.id === "p4" ? { ...p, material: undefined } : p));
    const planned = cleaningsFor({ ...job, parts: unsaid }, plan).map((c, i) => ({
      ...c,
      id: `v${i}`,
      do: "clean" as const,
    }));
    expect(stillToClean({ ...job, parts: unsaid, services: planned }, plan)).toEqual(["worm"]);
    expect(planned.find((c) => c.chamber)?.note).toMatch(/a magnet at the last rinse/);
    // a magnet finds no plastic
    const plastic = cleaningsFor({ ...job, greaseStates: ["plastic"] }, plan);
    expect(plastic.find((c) => c.chamber)?.note).toMatch(/a white cloth/);
    expect(plastic.find((c) => c.chamber)?.note).not.toMatch(/magnet/);
    expect(stillToClean(winch({ chambers }), plan)).toEqual([]);
    // it may be cleaned earlier, and not once something is in it again; a part that is on again is washed by
    // nobody
    expect(cleaningMoments(job, plan, { id: "c1", openedBy: "s2" }).map((m) => m.step)).toEqual([
      "s6",
      "s5",
      "s4",
    ]);
    const early = { ...job, services: [{ id: "v1", chamber: "c1", reachedBy: "s6", do: "clean" as const }] };
    expect(cleaningsFor(early, plan).some((c) => c.chamber)).toBe(false);
    const fitted = { ...job, linesDone: ["undo:s6", "undo:s5", "undo:s4"] };
    expect(closedForCleaning(fitted, plan, { id: "c1", openedBy: "s2" })).toBe(
      "step 4, the worm, is in it again: take it off first",
    );
    expect(cleaningsFor(fitted, plan).map((c) => c.part)).toEqual(["p2", "p3"]);
    expect(stillToClean(fitted, plan)[0]).toBe(
      "worm box (step 4, the worm, is in it again: take it off first)",
    );
    expect(howFar(["plastic"]).all).toBe(true);
    expect(howFar(["good"]).all).toBe(false);
    // an opening that was blocked inside is opened after the washing
    const blocked = {
      ...job,
      steps: [...job.steps, { id: "s7", action: "block" as const, title: "rag in the motor", needs: ["s2"] }],
    };
    expect(cleanBefore(blocked, rebuildPlan(blocked), chambers[0] as (typeof chambers)[number])).toBe("s7");
  });
  it("is a list of this unit's own parts, each with what it is cleaned of, its way and its line", () => {
    const chambers = [{ ...newChamber("c1", "worm-box"), openedBy: "s2" }];
    const parts = [
      ...winch().parts.filter((p) => p.id !== "p6"),
      { id: "p6", name: "limit switch", kind: "switch" },
    ];
    const job = winch({ chambers, parts, greaseStates: ["plastic"] });
    const rows = cleaningList(job, rebuildPlan(job));
    expect(rows.map((r) => [r.name, r.what, r.proposed?.method ?? r.dry])).toEqual([
      ["worm box", "old grease and crumbs", undefined],
      ["lid", "dust", "brush"],
      ["case cover", "old grease and crumbs", "degreaser"],
      ["wheel", "old grease and crumbs", "degreaser"],
      ["worm", "old grease and crumbs", "degreaser"],
      ["drum bearing", "dust", "brush"],
      ["limit switch", "dust", "brush"],
    ]);
    expect(rows.at(-1)?.dry).toBe("a switch");
    const v = { id: "v1", do: "clean" as const, part: "p3", note: "wheel: wiped" };
    const planned = { ...job, services: [v] };
    const plan = rebuildPlan(planned);
    expect(cleaningsLeft(planned, plan)).toEqual(["wheel"]);
    expect(cleaningsLeft({ ...planned, linesDone: ["service:v1"] }, plan)).toEqual([]);
    expect(cleaningList(planned, plan).find((r) => r.id === "p3")?.planned?.line).toBeGreaterThan(0);
  });
  it("names what stays dry by what parts are", () => {
    expect(keepDry(winch()).map((d) => d.part)).toEqual(["p1", "p2", "p6"]);
    // what the train drives by friction, its clutches, and threads that get locker, as they were said
    const locked = { id: "h1", kind: "screw" as const, qty: 2, thread: "M4", locker: "medium" as const };
    const job = winch({
      train: { ...train, clutches: [{ shaft: "out", slipsNm: 3 }] },
      steps: winch().steps.map((s) => (s.id === "s1" ? { ...s, hardware: [locked] } : s)),
    });
    expect(keepDry(job).slice(3)).toEqual([
      { says: "20-tooth pulley: where it runs by friction" },
      { says: "20-tooth pulley: where it runs by friction" },
      { says: "slipping clutch on out: its discs and linings" },
      { step: "s1", says: expect.stringMatching(/M4.*locker holds on a dry thread alone/) },
    ]);
    // what somebody pointed at, with the chamber and the step that closes over it
    const spot = { picture: "a.jpg", x: 0.4, y: 0.5 };
    const pointed = winch({
      chambers: [
        { ...newChamber("c1", "other"), openedBy: "s2", dry: [{ id: "d1", says: "slip ring", spot }] },
      ],
    });
    expect(keepDry(pointed).at(-1)).toEqual({ chamber: "c1", step: "s2", says: "slip ring", spot });
  });
});

describe("amounts", () => {
  it("are said as the bench has them in hand", () => {
    expect(amountSays(9, { oil: false, gunGramsPerStroke: 0.8 })).toBe("10.0 ml · 0.32 oz · 11.5 strokes");
    expect(amountSays(0.2, { oil: false, gunGramsPerStroke: 0.8 })).toBe("a film");
    expect(amountSays(0.026, { oil: true, densityGPerMl: 0.86, gunGramsPerStroke: 0 })).toBe("a drop");
    expect([0.3, 1.2, 2.4, 5, 11, 45, 1500].map(inSpoons)).toEqual([
      "less than an eighth of a teaspoon",
      "a quarter of a teaspoon",
      "half a teaspoon",
      "a teaspoon",
      "2 teaspoons",
      "3 tablespoons",
      "1.50 l",
    ]);
    expect(amountSays(0.26, { oil: true, densityGPerMl: 0.86, gunGramsPerStroke: 0 })).toBe("10 drops");
  });
  it("slips are asked about, and honest weights are not", () => {
    expect(slipIn(28_000, { aim: 28 })).toEqual({
      says: expect.stringMatching(/milligrams/),
      mayBeMeant: false,
    });
    expect(slipIn(1, { aim: 28.3 })?.says).toMatch(/ounces meant\? 1 oz is 28.3 g/);
    expect(slipIn(280, { aim: 28 })).toEqual({ says: expect.stringMatching(/dot/), mayBeMeant: true });
    expect(slipIn(200, { freeVolumeMl: 100 })).toEqual({
      says: expect.stringMatching(/whole room/),
      mayBeMeant: false,
    });
    expect(slipIn(1, { before: 24 })).toEqual({ says: expect.stringMatching(/last job/), mayBeMeant: true });
    expect(makersSlip(200, { freeVolumeMl: 100 })).toMatch(/hold/);
    expect(makersSlip(0.1, { freeVolumeMl: 100 })).toMatch(/ounces/);
    expect(makersSlip(0.1, { freeVolumeMl: null })).toBeNull();
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 500, noNaN: true }),
        fc.double({ min: 0.6, max: 1.6, noNaN: true }),
        (aim, off) => {
          expect(slipIn(aim * off, { aim, freeVolumeMl: aim * 3 })).toBeNull();
        },
      ),
    );
  });
  it("are summed by lubricant, with lots and places", () => {
    const points = [
      { id: "g1", part: "p3", lubricant: "A", lubricantId: "a", grams: 3, weighedGrams: 3.2, lot: "7" },
      { id: "g2", part: "p4", lubricant: "A", lubricantId: "a", grams: 4, where: "thread" },
      { id: "g3", part: "p5", lubricant: "light oil" },
    ];
    expect(lubricantsUsed(winch({ lubePoints: points }))).toEqual([
      {
        name: "A",
        lubricantId: "a",
        grams: 7.2,
        lots: ["7"],
        places: [
          { says: "wheel", grams: 3.2 },
          { says: "thread", grams: 4 },
        ],
      },
      { name: "light oil", grams: 0, lots: [], places: [{ says: "drum bearing", grams: undefined }] },
    ]);
  });
});

describe("an older job file", () => {
  it("had one case with one grease: it becomes the first chamber", () => {
    const file = (job: object) =>
      jobFromFile(
        readJobFile({
          format: "demontage-job",
          version: 1,
          unit: { kind: "juicer" },
          steps: [],
          x: { bench: { job } },
        }),
        "2026-11-24T08:00:00.000Z",
      ).head.chambers;
    expect(
      file({
        caseInside: { lengthMm: 80, widthMm: 60, depthMm: 20 },
        caseMaterials: ["ABS", "NBR"],
        lubricant: "a",
        greaseOld: "unknown",
        washed: true,
      }),
    ).toEqual([
      {
        id: "c1",
        kind: "gear-case",
        name: "gear case",
        seals: ["NBR"],
        materials: ["ABS"],
        volume: { by: "inside", lengthMm: 80, widthMm: 60, depthMm: 20 },
        lubricant: "a",
        old: { left: "none" },
      },
    ]);
    expect(file({ greaseOld: "unknown" })).toBeUndefined();
    const points = [
      { id: "g1", reachedBy: "s1", grams: 12, where: "case" },
      { id: "g2", reachedBy: "s1", where: "two drops" },
    ];
    const steps = [{ id: "s1", action: "lift-off" }];
    const older = {
      format: "demontage-job",
      version: 1,
      unit: { kind: "juicer" },
      steps,
      lubePoints: points,
      x: { bench: { job: { lubricant: "a" } } },
    };
    expect(jobFromFile(readJobFile(older), "2026-11-24T08:00:00.000Z").lubePoints).toMatchObject([
      { chamber: "c1", kind: "gear-teeth", lubricantId: "a" },
      { id: "g2", where: "two drops" },
    ]);
  });
});
