import { describe, expect, it } from "vitest";
import { PART_KINDS } from "../hardware/part-kind";
import { caseOf, rootsOf } from "./case";
import { howFar, likelyCauses } from "./causes";
import { type Evidence, factsOf } from "./evidence";
import { foundSays, GREASE_STATES, modesFor, SYMPTOMS, worstOf } from "./failure-modes";
import { KIND_PAST } from "./kind-past";
import { MECHANISMS } from "./network/mechanisms";
import { pathsFor, strongestWays } from "./network/network";
import { PRIOR_RULES } from "./network/priors";
import { SIGNS } from "./network/signs";
import { nextLook } from "./next-look";
import { ROOTS, WASH } from "./roots";
import { TOOTH_PATTERNS } from "./tooth-pattern";

const marks = (entries: Record<number, string>): Record<string, string> =>
  Object.fromEntries(Object.entries(entries));
const job = (more: Partial<Evidence> = {}): Evidence => ({ symptoms: [], past: {}, parts: [], ...more });
const wheel = { name: "second-stage wheel", kind: "gear", material: "PA", mode: "missing-teeth", teeth: 41 };

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
