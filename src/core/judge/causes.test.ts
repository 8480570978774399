import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { PART_KINDS } from "../hardware/part-kind";
import { bushVerdict } from "./bush-clearance";
import { caseOf, rootsOf } from "./case";
import { howFar, likelyCauses } from "./causes";
import { type Evidence, factsOf } from "./evidence";
import { FAILURE_MODES, foundSays, GREASE_STATES, modesFor, SYMPTOMS, worstOf } from "./failure-modes";
import { type FateFacts, fateOptions } from "./fate";
import { KIND_PAST } from "./kind-past";
import { MECHANISMS } from "./network/mechanisms";
import { pathsFor, strongestWays } from "./network/network";
import { PRIOR_RULES } from "./network/priors";
import { SIGNS } from "./network/signs";
import { nextLook } from "./next-look";
import { ROOTS, WASH } from "./roots";
import { runBetween, runsOf, TOOTH_MARKS, toothExtent } from "./tooth-marks";
import { TOOTH_PATTERNS } from "./tooth-pattern";

const marks = (entries: Record<number, string>): Record<string, string> =>
  Object.fromEntries(Object.entries(entries));
const job = (more: Partial<Evidence> = {}): Evidence => ({ symptoms: [], past: {}, parts: [], ...more });
const wheel = { name: "second-stage wheel", kind: "gear", material: "PA", mode: "missing-teeth", teeth: 41 };

describe("marks on teeth", () => {
  it("come to an extent in words", () => {
    const x = toothExtent(
      marks({
        8: "broken",
        9: "missing",
        10: "missing",
        11: "missing",
        12: "missing",
        13: "missing",
        14: "broken",
      }),
      41,
    );
    expect(x.says).toBe("5 missing in one run (teeth 10 to 14), 2 broken part-way");
    expect(x.goneRuns).toEqual([{ from: 8, length: 7 }]);
  });
  it("a run may cross from the last tooth to the first; the shorter way round is taken", () => {
    expect(runsOf([39, 40, 0, 1, 20], 41)).toEqual([
      { from: 39, length: 4 },
      { from: 20, length: 1 },
    ]);
    expect(runBetween(39, 1, 41)).toEqual([39, 40, 0, 1]);
    expect(runBetween(1, 39, 41)).toEqual([1, 0, 40, 39]);
    expect(runBetween(5, 5, 41)).toEqual([5]);
  });
  it("runs hold every marked tooth once", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 90 }),
        fc.array(fc.nat(89), { maxLength: 40 }),
        (teeth, picked) => {
          const own = [...new Set(picked.filter((t) => t < teeth))];
          const runs = runsOf(own, teeth);
          const back = runs.flatMap((r) => Array.from({ length: r.length }, (_, i) => (r.from + i) % teeth));
          expect(back.sort((a, b) => a - b)).toEqual(own.sort((a, b) => a - b));
        },
      ),
    );
  });
  it("a run between two teeth goes to both of them, never past half", () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 90 }), fc.nat(), fc.nat(), (teeth, a, b) => {
        const run = runBetween(a % teeth, b % teeth, teeth);
        expect(run[0]).toBe(a % teeth);
        expect(run.at(-1)).toBe(b % teeth);
        expect(run.length).toBeLessThanOrEqual(Math.floor(teeth / 2) + 1);
        expect(new Set(run).size).toBe(run.length);
      }),
    );
  });
  it("which flank is worn follows from how it turns, and whether it drives", () => {
    const right = marks(Object.fromEntries(Array.from({ length: 20 }, (_, i) => [i, "worn-right"])));
    expect(toothExtent(right, 20, "clockwise", true).flank).toBe("driving");
    expect(toothExtent(right, 20, "clockwise", false).flank).toBe("coasting");
    expect(toothExtent(right, 20, "counter-clockwise", true).flank).toBe("coasting");
    expect(toothExtent(right, 20).flank).toBe("unknown");
    expect(toothExtent(marks({ 1: "worn-right", 2: "worn-left" }), 20, "clockwise", true).flank).toBe("both");
    expect(toothExtent(marks({ 1: "chipped" }), 20).flank).toBeNull();
    expect(toothExtent(right, 20).says).toBe("20 worn on the right flank all round");
  });
  it("each mark has a key of its own", () => {
    expect(new Set(TOOTH_MARKS.map((m) => m.key)).size).toBe(TOOTH_MARKS.length);
  });
});

const EVERYTHING = new Set(["has:belt", "has:spring", "has:plastic", "has:teeth"]);
const PATHS = pathsFor(EVERYTHING);

describe("causes", () => {
  const juicer = job({
    symptoms: ["output-still", "clicks"],
    greaseStates: ["plastic"],
    parts: [
      {
        ...wheel,
        marks: marks({
          8: "broken",
          9: "missing",
          10: "missing",
          11: "missing",
          12: "missing",
          13: "missing",
          14: "broken",
        }),
        mateLossMm: 0.14,
        mateLimitMm: 0.05,
      },
    ],
  });

  it("five nylon teeth gone in one run: something jammed, with what says so, what to look at and how far to go", () => {
    const [first, ...rest] = likelyCauses(juicer);
    expect(first?.cause).toBe("jam");
    expect(first?.how).toBe("likely");
    expect(first?.because[0]).toMatchObject({
      says: "second-stage wheel: 7 teeth gone next to each other",
      against: false,
    });
    expect(first?.goTo.join()).toMatch(/wash the whole case/);
    expect(rest.map((c) => c.cause)).toContain("worn-mate");
  });
  it("milky grease and rust: water, and no cause without a sign for it", () => {
    const causes = likelyCauses(
      job({
        greaseStates: ["wet"],
        parts: [
          { name: "output seal", kind: "seal", mode: "hardened" },
          { name: "wheel", kind: "gear", mode: "corroded" },
        ],
      }),
    );
    expect(causes[0]?.cause).toBe("water");
    for (const c of causes) expect(c.because.some((b) => !b.against)).toBe(true);
    expect(likelyCauses(job())).toEqual([]);
  });
  it("worn all round with the grease gone: it ran dry, and a run of broken teeth speaks against that", () => {
    const allRound = marks(Object.fromEntries(Array.from({ length: 40 }, (_, i) => [i, "knife"])));
    const dry = likelyCauses(
      job({
        symptoms: ["louder"],
        greaseStates: ["gone"],
        parts: [{ ...wheel, mode: "knife-edged", teeth: 40, marks: allRound }],
      }),
    );
    // the grease is next door: it began at the seal, and running dry is what followed
    expect(dry[0]?.cause).toBe("seal-between");
    expect(dry[0]?.chain.map((l) => l.id)).toContain("dry");
    const jammed = likelyCauses(juicer).find((c) => c.cause === "dry");
    expect(jammed?.how ?? "unlikely").toBe("unlikely");
  });
  it.each([
    [
      "bearing",
      job({
        symptoms: ["grinds"],
        greaseStates: ["metal"],
        parts: [{ name: "lay bearing", kind: "bearing", mode: "slack" }],
      }),
    ],
    ["motor", job({ symptoms: ["hot"], greaseStates: ["dark"], parts: [{ ...wheel, mode: "melted" }] })],
    ["electrical", job({ symptoms: ["dead"] })],
    ["hub", job({ symptoms: ["slips"], parts: [{ ...wheel, mode: "cracked-hub" }] })],
    [
      "seal-between",
      job({
        greaseStates: ["gone"],
        symptoms: ["leaks"],
        parts: [{ name: "seal", kind: "seal", mode: "torn" }],
      }),
    ],
    [
      "worn-mate",
      job({
        past: { openedBefore: "shop" },
        parts: [{ ...wheel, mode: "knife-edged", mateLossMm: 0.3, mateLimitMm: 0.05 }],
      }),
    ],
    [
      "fatigue",
      job({
        symptoms: ["clicks"],
        past: { years: 12 },
        parts: [{ ...wheel, mode: "chipped", marks: marks({ 3: "missing", 20: "missing", 30: "cracked" }) }],
      }),
    ],
    [
      "wrong-part",
      job({
        past: { openedBefore: "owner", bought: "used" },
        symptoms: ["louder"],
        parts: [{ ...wheel, mode: "knife-edged", mateLossMm: 0, mateLimitMm: 0.05 }],
      }),
    ],
  ])("%s comes first where its signs are", (cause, evidence) => {
    expect(likelyCauses(evidence)[0]?.cause).toBe(cause);
  });
  it("the mate measured sound takes the blame from the mate", () => {
    const with_ = (mateLossMm: number) =>
      likelyCauses(
        job({
          past: { openedBefore: "shop" },
          parts: [{ ...wheel, mode: "knife-edged", mateLossMm, mateLimitMm: 0.05 }],
        }),
      ).find((c) => c.cause === "worn-mate");
    expect(with_(0.3)?.probability).toBeGreaterThan(0.4);
    expect(with_(0.01)?.probability ?? 0).toBeLessThan(0.1);
  });
  it("every sign can be found by something that can be written down, and every link has its reason", () => {
    const possible = new Set<string>([
      ...SYMPTOMS.map((s) => `symptom:${s.symptom}`),
      ...GREASE_STATES.map((g) => `grease:${g.state}`),
      ...["grease:other-plastic", "grease:spoilt", "grease:too-much"],
      ...TOOTH_PATTERNS,
      ...["flank:both", "mate:worn", "brittle:several"],
      ...PART_KINDS.flatMap((k) => modesFor(k).flatMap((m) => [`${k}:${m.mode}`, `any:${m.mode}`])),
    ]);
    expect(SIGNS.filter((s) => !possible.has(s.id)).map((s) => s.id)).toEqual([]);
    const ids = new Set([...ROOTS.map((r) => r.cause), ...MECHANISMS.map((m) => m.id)]);
    expect(PATHS.filter((p) => !ids.has(p.from)).map((p) => p.from)).toEqual([]);
    for (const p of PATHS) {
      expect([0.9, 0.95, 0.7, 0.5, 0.3, 0.1, 0.03]).toContain(p.strength);
      expect(p.why.length).toBeGreaterThan(5);
    }
    for (const r of ROOTS) expect(PATHS.some((p) => p.from === r.cause)).toBe(true);
    const all = [...ROOTS.map((r) => r.cause), ...MECHANISMS.map((m) => m.id), ...SIGNS.map((s) => s.id)];
    expect(new Set(all).size).toBe(all.length);
  });
  it("nothing leads to itself", () => {
    const leads = (from: string): string[] => PATHS.filter((p) => p.from === from).map((p) => p.to);
    for (const m of MECHANISMS) {
      const after = leads(m.id);
      for (const id of after) for (const next of leads(id)) if (!after.includes(next)) after.push(next);
      expect(after).not.toContain(m.id);
    }
  });
  it("a sign that is seen never makes what brings it about less likely, taken alone", () => {
    const nothing = rootsOf(caseOf(job()), new Map());
    for (const s of SIGNS) {
      const seen = rootsOf(caseOf(job()), new Map([[s.id, true as const]]));
      for (const r of ROOTS)
        if (strongestWays(caseOf(job()).past, r.cause).has(s.id))
          expect([s.id, r.cause, (seen.get(r.cause) ?? 0) + 1e-9 >= (nothing.get(r.cause) ?? 0)]).toEqual([
            s.id,
            r.cause,
            true,
          ]);
    }
  });
  it("explains away: twine that is found clears the worn seal and the dry bearing of having begun it", () => {
    const found = (parts: Evidence["parts"]) =>
      new Map(likelyCauses(job({ symptoms: ["leaks"], parts })).map((c) => [c.cause, c.probability]));
    const seal = { name: "output seal", kind: "seal", mode: "torn" };
    const bearing = { name: "lower bearing", kind: "bearing", mode: "slack" };
    const before = found([seal, bearing]);
    const after = found([seal, bearing, { name: "output shaft", kind: "shaft", mode: "wound" }]);
    expect(after.get("hair")).toBeGreaterThan(0.8);
    expect(after.get("seal-between") ?? 0).toBeLessThan((before.get("seal-between") ?? 0) / 2);
    expect(after.get("bearing") ?? 0).toBeLessThan(before.get("bearing") ?? 0);
  });
  it("tells the chain from what began it to what is seen, each link after what brought it", () => {
    const [first] = likelyCauses(
      job({
        symptoms: ["grinds"],
        greaseStates: ["gone"],
        parts: [
          { name: "output shaft", kind: "shaft", mode: "wound" },
          { name: "output seal", kind: "seal", mode: "torn" },
          { name: "lower bearing", kind: "bearing", mode: "slack" },
        ],
      }),
    );
    const says = first?.chain.filter((l) => l.is !== "sign").map((l) => l.says) ?? [];
    expect(says[0]).toBe("string or hair wound in");
    expect(says).toEqual(expect.arrayContaining(["the seal no longer held", "the grease left"]));
    first?.chain.forEach((l, i) => {
      if (i > 0) expect(l.after).toBeLessThan(i);
    });
    expect(first?.chain.some((l) => l.id === "bearing")).toBe(true);
  });
  it("says nothing of what the unit does not have: no belt, no teeth, no grease", () => {
    const hand = job({
      symptoms: ["slips"],
      motor: false,
      parts: [
        { name: "crank pin", kind: "pin", mode: "bent" },
        { name: "cord", kind: "wire" },
      ],
    });
    expect(JSON.stringify(likelyCauses(hand))).not.toMatch(/belt|teeth|tooth|gear/i);
    expect(nextLook(hand)?.asks ?? "").not.toMatch(/grease/);
  });
  it("of what stands still nothing is said that turns", () => {
    const steamer = job({
      symptoms: ["dead", "hot"],
      moves: false,
      parts: [{ name: "switch", kind: "switch", mode: "contacts" }],
    });
    const causes = likelyCauses(steamer);
    expect(causes[0]?.cause).toBe("electrical");
    expect(causes.map((c) => c.says).join()).not.toMatch(/bearing|jammed|motor pulls|dry|hair/i);
  });
  it("three things are told apart: seen, looked at and sound, not looked at", () => {
    const noisy = (mode?: string) =>
      likelyCauses(
        job({
          symptoms: ["grinds", "vibrates"],
          parts: [{ name: "bearing", kind: "bearing", ...(mode ? { mode } : {}) }],
        }),
      ).find((c) => c.cause === "bearing")?.probability ?? 0;
    expect(noisy("slack")).toBeGreaterThan(noisy());
    expect(noisy("sound")).toBeLessThan(noisy());
  });
  it("the next look settles something, and its answers keep to the odds as they stand", () => {
    const evidence = job({
      symptoms: ["grinds", "leaks"],
      parts: [
        { name: "shaft", kind: "shaft" },
        { name: "seal", kind: "seal" },
        { name: "bearing", kind: "bearing" },
      ],
    });
    const look = nextLook(evidence);
    expect(look?.bitsPerMinute).toBeGreaterThan(0);
    const { yes, likely } = look as NonNullable<typeof look>;
    const asked = caseOf({ ...evidence, looked: { [look?.sign ?? ""]: true } });
    expect(rootsOf(asked, asked.known).get(yes.cause)).toBeCloseTo(yes.to, 6);
    expect(likely).toBeGreaterThan(0);
    // what was answered is not asked again
    expect(nextLook({ ...evidence, looked: { [look?.sign ?? ""]: false } })?.sign).not.toBe(look?.sign);
    expect(nextLook(job())).toBeNull();
  });
  it("how far the work must go: each demand once, of the likely causes or the chosen one", () => {
    const causes = likelyCauses(juicer);
    const far = howFar(causes, []);
    expect(far.find((f) => /wash the whole case/.test(f.says))?.because[0]).toMatchObject({
      says: "Something jammed, and the weakest part gave way",
      probability: causes[0]?.probability,
    });
    expect(new Set(far.map((f) => f.says)).size).toBe(far.length);
    expect(howFar(causes, ["worn-mate"]).map((f) => f.says)).toEqual(["renew both gears of the pair"]);
    // crumbs are washed out whatever the cause, and also where none is known
    expect(howFar(causes, ["worn-mate"], ["plastic"]).map((f) => f.says)).toEqual([
      WASH,
      "renew both gears of the pair",
    ]);
    expect(howFar([], [], ["metal"]).map((f) => f.says)).toEqual([WASH]);
  });
  it("where such units work moves what is likely before anything is found, and is no sign by itself", () => {
    const torn = { parts: [{ name: "seal", kind: "seal", mode: "torn" }] };
    const hair = (unitKind?: string): number =>
      rootsOf(caseOf(job({ ...torn, unitKind })), caseOf(job({ ...torn, unitKind })).known).get("hair") ?? 0;
    expect(hair("hedge trimmer")).toBeGreaterThan(1.5 * hair());
    expect(hair("bread cutter")).toBe(hair());
    expect(likelyCauses(job({ unitKind: "hedge trimmer" }))).toEqual([]);
    for (const fact of Object.keys(KIND_PAST))
      expect(
        PRIOR_RULES.some((r) => r.fact === fact),
        fact,
      ).toBe(true);
  });
  it("what somebody said it was stands among the causes, whatever the signs make of it", () => {
    const said = likelyCauses(juicer, ["spring"]).find((c) => c.cause === "spring");
    expect(said?.probability).toBeLessThan(0.1);
    expect(howFar(likelyCauses(juicer, ["spring"]), ["spring"])[0]?.because[0]?.says).toBe(said?.says);
    expect(likelyCauses(job(), ["hair"]).map((c) => c.cause)).toEqual(["hair"]);
  });
  it("two findings at one part are two signs, and each counts", () => {
    const shaft = { name: "spindle", kind: "shaft", mode: "bent" };
    const both = job({ symptoms: [], parts: [{ ...shaft, also: ["wound"] }] });
    expect(factsOf(both).map((f) => f.says)).toEqual(
      expect.arrayContaining(["spindle: bent", "spindle: string or hair wound in"]),
    );
    const odds = (e: Evidence): number => likelyCauses(e).find((c) => c.cause === "hair")?.probability ?? 0;
    expect(odds(both)).toBeGreaterThan(odds(job({ parts: [shaft] })) + 0.5);
    expect(foundSays({ mode: "bent", also: ["scored"] })).toBe("bent, and scored");
    expect(worstOf({ mode: "wound", also: ["bent"] })).toBe("bent");
  });
  it("facts are said in words, once", () => {
    const says = factsOf(juicer).map((f) => f.says);
    expect(says).toContain("old grease: plastic crumbs");
    expect(says).toContain("the mate of second-stage wheel has lost 0.14 mm of tooth");
    expect(factsOf(job({ parts: [wheel, wheel] })).length).toBe(factsOf(job({ parts: [wheel] })).length);
  });
});

describe("a plain bush", () => {
  it.each([
    [{ boreMm: 8.05, shaftMm: 7.99 }, "sound"],
    [{ boreMm: 8.21, shaftMm: 7.98 }, "worn"],
    [{ boreMm: 8.02, boreAcrossMm: 8.14, shaftMm: 7.98 }, "ovalised"],
    [{ boreMm: 7.96, shaftMm: 7.98 }, "swollen"],
  ] as const)("%j is %s", (readings, mode) => {
    expect(bushVerdict(readings)?.mode).toBe(mode);
    expect(FAILURE_MODES.some((m) => m.mode === mode)).toBe(true);
  });
  it("a new fit of 12 mm, H8/e8, may have 0.086 mm of play and is sound", () => {
    expect(bushVerdict({ boreMm: 12.027, shaftMm: 11.941 })?.mode).toBe("sound");
    expect(bushVerdict({ boreMm: 12.16, shaftMm: 11.98 })?.says).toContain("0.09 mm is usual");
  });
  it("says nothing while too little is measured", () => {
    expect(bushVerdict({ boreMm: 8 })).toBeNull();
    expect(bushVerdict({})).toBeNull();
  });
});

describe("repair, replace or make", () => {
  const facts = (more: Partial<FateFacts> = {}): FateFacts => ({
    kind: "gear",
    mode: "missing-teeth",
    plastic: true,
    load: "daily",
    safety: false,
    hot: false,
    partToBeHad: true,
    ...more,
  });
  const advised = (f: FateFacts) => fateOptions(f).find((o) => o.advised)?.fate;
  it("a wheel with teeth gone is renewed; with its mate where that is worn", () => {
    expect(advised(facts({ mateWorn: false }))).toBe("renew");
    expect(advised(facts({ mateWorn: true }))).toBe("renew-pair");
    expect(advised(facts({ mateWorn: true, cost: 18, limit: 120, load: "hard" }))).toBe("renew-pair");
    expect(advised(facts({ mateWorn: false, cost: 18, limit: 120 }))).toBe("renew");
    expect(fateOptions(facts()).find((o) => o.fate === "repair")).toMatchObject({ barred: true });
  });
  it("no part available: made; and a cracked hub on a light drive may be bonded", () => {
    expect(advised(facts({ partToBeHad: false }))).toBe("make");
    const bond = fateOptions(facts({ mode: "cracked-hub", partToBeHad: false, load: "light" })).find(
      (o) => o.fate === "repair",
    );
    expect(bond?.barred).toBe(false);
    expect(bond?.reasons.map((r) => r.says).join()).toMatch(/stopgap/);
    expect(advised(facts({ mode: "cracked-hub", partToBeHad: false, load: "light", speedMs: 1 }))).toBe(
      "repair",
    );
  });
  it("where somebody can be hurt nothing is mended or made", () => {
    const options = fateOptions(facts({ safety: true, partToBeHad: false, mode: "cracked-hub" }));
    for (const fate of ["repair", "make"]) expect(options.find((o) => o.fate === fate)?.barred).toBe(true);
    expect(advised(facts({ safety: true, partToBeHad: false, mode: "cracked-hub" }))).toBe("decline");
  });
  it("above the limit it asks first; a sound part is kept", () => {
    expect(
      fateOptions(facts({ cost: 150, limit: 120 }))
        .find((o) => o.fate === "renew")
        ?.reasons.map((r) => r.says)
        .join(),
    ).toMatch(/above the customer's limit/);
    expect(advised(facts({ mode: "sound" }))).toBe("keep");
    expect(advised(facts({ kind: "bearing", mode: "slack" }))).toBe("renew");
  });
  it("always says why, and never advises what is barred", () => {
    fc.assert(
      fc.property(
        fc.record({
          kind: fc.constantFrom("gear", "bearing", "seal", "shaft", "bush", "housing"),
          mode: fc.constantFrom(...FAILURE_MODES.map((m) => m.mode)),
          plastic: fc.boolean(),
          load: fc.constantFrom("light" as const, "daily" as const, "hard" as const, "unknown" as const),
          safety: fc.boolean(),
          hot: fc.boolean(),
          partToBeHad: fc.constantFrom(true, false, undefined),
          mateWorn: fc.constantFrom(true, false, undefined),
        }),
        (f) => {
          const options = fateOptions(f);
          expect(options.filter((o) => o.advised).length).toBeLessThanOrEqual(1);
          for (const o of options) if (o.advised) expect(o.barred).toBe(false);
        },
      ),
    );
  });
});
