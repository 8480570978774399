import { describe, expect, it } from "vitest";
import { factsOf, gatesOf, planOf, safetyOpen } from "@/core/gates/job-facts";
import type { Job } from "@/core/job/job";
import { partNamed } from "@/core/job/part";
import { lineKey } from "@/core/order/rebuild-line";
import { rebuildPlan } from "@/core/order/rebuild-plan";
import { lineInWords } from "@/core/rebuild/line-in-words";
import { pocketsOf, pocketsToLubricate } from "./job-view/mat-pockets";
import { titleOf } from "./job-view/pocket-look";
import { wantedFor } from "./job-view/wanted-part";
import { identifyInputOf } from "./judge/gear/gear-questions";
import { meanReadings } from "./judge/gear/gear-readings";

const at = "2026-11-24T08:00:00.000Z";
/** A juicer with a cover, a wheel under it, and a bearing. */
const job = (more: Partial<Job> = {}): Job => ({
  id: 1, number: "J-0001", version: 3, stage: "judge", kind: "masticating juicer", maker: "Velbrant",
  model: "Pressa 40", variant: "", serial: "", supplies: ["mains"], hazards: ["blade"], protectionClass: "II",
  foodContact: true,
  complaint: "hums", symptoms: [], customerName: "", customerContact: "", condition: "", looseItems: [],
  loosePictures: {}, past: {}, disposeConsent: false, consent: true, takenIn: "2026-11-22",
  stripFinished: true, fillSchool: "measured", washed: false, greaseStates: [], causes: {}, benchFinds: [],
  parts: [{ id: "p1", name: "gear case cover", kind: "cover", material: "PA" }, { id: "p2", name: "second-stage wheel", kind: "gear", material: "PA", renew: true }, { id: "p3", name: "lay shaft bearing", kind: "bearing", renew: true }],
  steps: [
    { id: "s1", action: "unscrew", needs: [], hardware: [{ id: "h1", kind: "screw", qty: 6, thread: "ST3.5", lengthMm: 16, drive: "TX15", tighten: { torqueNm: 0.8, pattern: "cross" } }] },
    { id: "s2", action: "lift-off", title: "Cover off", parts: ["p1"], needs: ["s1"], facing: "ring up", marks: ["dot"] },
    { id: "s3", action: "pull", parts: ["p2"], needs: ["s2"] },
    { id: "s4", action: "press-out", parts: ["p3"], needs: ["s3"], note: "608, seal pulled", hardware: [{ id: "h2", kind: "screw", qty: 1, thread: "ST3.5", lengthMm: 20, drive: "TX15" }] },
  ],
  services: [], lubePoints: [], findings: [], readings: [], answers: [], linesDone: [], quotes: [],
  orders: [], arrivals: [], toFit: [], basketAim: "least cost",
  pictures: [{ sha256: "a".repeat(64), name: "0001.jpg", role: "step", step: "s3" }],
  ...more,
}); // biome-ignore format: a job in few lines
const identity = {
  teeth: 41,
  moduleMm: 1,
  diametralPitch: null,
  pressureAngleDeg: 20,
  helixAngleDeg: 18,
  profileShift: 0,
  probability: 0.98,
};
const reading = (what: string, value: number, teeth?: number) => ({
  id: 1,
  part: "p2",
  what,
  value,
  source: "caliper",
  at,
  ...(teeth ? { teeth } : {}),
});

describe("the facts of a job", () => {
  it("count what each gate asks for", () => {
    const facts = factsOf(job());
    expect(facts.failedParts).toEqual([
      {
        id: "p2",
        name: "second-stage wheel",
        isGear: true,
        named: false,
        chosen: false,
        toOrder: false,
        companionsOpen: [],
      },
      {
        id: "p3",
        name: "lay shaft bearing",
        isGear: false,
        named: false,
        chosen: false,
        toOrder: false,
        companionsOpen: [],
      },
    ]);
    expect(facts.piecesOpen).toBe(10);
    expect(gatesOf(job(), "judge").map((g) => g.gate)).toEqual(["identity:p2"]);
  });
  it("empty the ledger line by line", () => {
    const all = rebuildPlan(job()).steps.map(lineKey);
    expect(factsOf(job({ linesDone: all }))).toMatchObject({ linesOpen: 0, piecesOpen: 0 });
    expect(factsOf(job({ linesDone: ["undo:s4"] })).piecesOpen).toBe(8);
  });
  it("ask for the safety gate until each question has its answer", () => {
    const open = safetyOpen(job());
    expect(open).toEqual(["unplugged", "blade", "code"]);
    expect(
      safetyOpen(job({ answers: open.map((g) => ({ question: `safety:${g}`, answer: "yes", at })) })),
    ).toEqual([]);
  });
  it("are worked out once for a page", () => {
    const one = job();
    expect(factsOf(one)).toBe(factsOf(one));
    expect(planOf(one)).toBe(planOf(one));
  });
});

describe("the pockets of the Mat", () => {
  it("show picture, kind, facing, and what could be mistaken for what", () => {
    const pockets = pocketsOf(job({ linesDone: ["undo:s4"] }));
    expect(pockets.map((p) => p.title)).toEqual([
      "6 screws ST3.5 × 16, TX15",
      "Cover off",
      "second-stage wheel",
      "lay shaft bearing",
    ]);
    expect(pockets[2]?.thumb).toBe("a".repeat(64));
    expect(pockets[1]?.facing).toBe(true);
    expect(pockets[3]).toMatchObject({ emptied: true, partKind: "bearing" });
    expect(pockets[3]?.lookAlike).toMatch(/like the 6 of step 1, but 4 mm longer/);
    expect(pockets[0]?.lookAlike).toBeUndefined();
  });
  it("show at Lube and at the rebuild what must stay dry", () => {
    const shown = pocketsToLubricate(job());
    expect(shown.flatMap((p, i) => (p.dry ? [i + 1] : []))).toEqual([2]);
    expect(pocketsOf(job()).some((p) => p.dry)).toBe(false);
  });
  it("call a step by what it is", () => {
    const named = (id: string): string => partNamed(job(), id);
    expect(titleOf({ action: "lift-off", title: "Cover off", parts: ["p1"] }, named)).toBe("Cover off");
    expect(titleOf({ action: "note", note: "rag stays" }, named)).toBe("rag stays");
    expect(titleOf({ action: "drain" }, named)).toBe("drained");
    expect(titleOf({ action: "pull", parts: ["p2"] }, named)).toBe("second-stage wheel");
    // never by an id: a file from elsewhere may leave names out
    expect(
      titleOf({ action: "pull", parts: ["p9"] }, () =>
        partNamed({ parts: [{ id: "p9", kind: "gear" }] }, "p9"),
      ),
    ).toBe("unnamed gear");
  });
});

describe("readings of a gear", () => {
  it("of one dimension are averaged, with the spread of the mean", () => {
    const [mean] = meanReadings([reading("span", 13.94, 5), reading("span", 13.96, 5)], "p2");
    expect(mean).toMatchObject({ what: "span", teeth: 5, count: 2, source: "caliper" });
    expect(mean?.value).toBeCloseTo(13.95, 9);
    // s/√2 of the two, and the caliper itself
    expect(mean?.u).toBeCloseTo(Math.hypot(0.01, 0.02), 6);
  });
  it("become a question once there is enough, the an odd count's jaws to be put right there", () => {
    const findings = [
      { part: "p2", teeth: {}, gear: { teeth: 41, kind: "helical" as const, hand: "right" as const } },
    ];
    expect(identifyInputOf(job(), "p2")).toBeNull();
    expect(identifyInputOf(job({ readings: [reading("tip diameter", 45)] }), "p2")).toBeNull();
    const input = identifyInputOf(
      job({
        findings,
        readings: [reading("tip diameter", 45), reading("span", 13.94, 5), reading("helix angle", 17)],
      }),
      "p2",
    );
    expect(input).toMatchObject({
      kind: "helical",
      teeth: 41,
      hand: "right",
      spans: [{ teeth: 5, value: 13.94 }],
      helixAngle: { value: 17 },
    });
    expect(input).toMatchObject({ tipDiameter: { value: 45, u: 0.03 }, acrossFlatJaws: true });
  });
});

describe("what is looked for", () => {
  it("is a gear by its name and measures, once it has a name", () => {
    expect(wantedFor(job(), "p2")).toEqual({
      missing: "Name it on the gear bench first, or read the number off it: measures decide, not looks.",
    });
    const named = job({
      findings: [
        { part: "p2", teeth: {}, gear: { hand: "right", boreForm: "cross slot", mateTeeth: 9 }, identity },
      ],
      readings: [reading("bore", 8.01)],
    });
    expect(wantedFor(named, "p2")).toMatchObject({
      kind: "gear",
      gear: {
        teeth: 41,
        hand: "right",
        boreMm: { value: 8.01, u: 0.02 },
        boreForm: "cross slot",
        material: "PA",
        mate: { teeth: 9 },
      },
    });
  });
  it("is a bearing by the number somebody wrote down", () => {
    expect(wantedFor(job(), "p3")).toMatchObject({
      kind: "bearing",
      ring: { insideMm: 8, outsideMm: 22, widthMm: 7, closure: "RS", facesGrease: true },
    });
  });
  it("is anything else by its name", () => {
    expect(wantedFor(job(), "p1")).toMatchObject({ name: "gear case cover" });
    expect(wantedFor(job(), "p77")).toHaveProperty("missing");
  });
});

describe("a line of the plan in words", () => {
  const withAll = job({
    services: [{ id: "v1", reachedBy: "s2", do: "clean", note: "crumbs" }],
    lubePoints: [
      {
        id: "g1",
        part: "p2",
        when: "after-fit",
        lubricant: "Food 1",
        grams: 3,
        where: "teeth",
        weighedGrams: 3.1,
      },
    ],
    findings: [{ part: "p2", teeth: {}, gear: {}, chosen: "VLB-40-241" }],
  });
  const words = (key: string) => {
    const line = rebuildPlan(withAll).steps.find((l) => lineKey(l) === key);
    if (!line) throw new Error(`no line ${key}`);
    return lineInWords(withAll, line);
  };
  it("says what goes in, which way round, how tight, and what is new", () => {
    expect(words("undo:s2")).toMatchObject({
      title: "Set on: gear case cover",
      belongs: "puts back step 2: Cover off",
      facing: "ring up",
      marks: ["dot"],
      step: "s2",
    });
    expect(words("undo:s1")).toMatchObject({
      title: "Screw in: 6 screws ST3.5 × 16, TX15",
      torqueNm: 0.8,
      pattern: "crosswise",
    });
    expect(words("undo:s3").renewed).toEqual(["second-stage wheel: new, VLB-40-241"]);
  });
  it("says grease by what was weighed in, services by their place, checks as a question", () => {
    expect(words("grease:g1")).toMatchObject({
      title: "Food 1: teeth",
      amount: { figure: "3.1", unit: "g" },
      step: "s3",
    });
    expect(words("service:v1")).toMatchObject({ title: "Clean what step 2 laid open", note: "crumbs" });
    expect(words("check:lies-flat:s2").title).toMatch(/before anything draws it\?$/);
  });
  it("says what the recorder knew: how it stood, how it lay, where it lies, what it must not lose", () => {
    const known = job({
      steps: [
        {
          id: "s1",
          action: "lift-off",
          needs: [],
          parts: ["p2"],
          hardware: [
            { id: "h1", kind: "wavy-washer", qty: 1, lengthMm: 20, at: "above" },
            { id: "h2", kind: "nut", qty: 1, thread: "M6", leftHand: true },
          ],
          stack: ["h2", "h1", "p2"],
          timing: { pin: "gap", turns: 1.5, says: "dot at the rib" },
          tray: "B3",
          cautions: ["keyway"],
          doNotUndo: "the lock nut",
        },
      ],
      parts: [{ id: "p2", name: "wheel", kind: "gear" }],
      pictures: [],
    });
    const lines = rebuildPlan(known).steps;
    const line = lines.find((l) => lineKey(l) === "set:s1:parts");
    if (line?.kind !== "set") throw new Error("no line");
    expect(lineInWords(known, line)).toMatchObject({
      title: "Put back: wheel",
      stack: [],
      mind: ["◷ Timing: a gap at the pin; 1.5 turns to dead centre; dot at the rib"],
      tray: "B3",
    });
    expect(line.cautions).toEqual(
      expect.arrayContaining([
        "A keyway's edges cut: keep fingers off the slot, never run them along the shaft.",
        "Do not undo: the lock nut.",
      ]),
    );
    const last = lines.find((l) => lineKey(l) === "undo:s1");
    expect(last && lineInWords(known, last)).toMatchObject({
      title: "Lay on: 1 wavy washer 20 mm; screw on: 1 nut M6, LEFT-HAND",
      stack: ["wheel", "1 wavy washer 20 mm", "1 nut M6, LEFT-HAND"],
      tray: "B3",
    });
  });
});
