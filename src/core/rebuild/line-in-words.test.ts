import { describe, expect, it } from "vitest";
import { saidInWords } from "../hardware/piece";
import { newChamber } from "../job/chamber";
import type { Job } from "../job/job";
import { reachOf } from "../lube/reach";
import { lineKey } from "../order/rebuild-line";
import { rebuildPlan } from "../order/rebuild-plan";
import { jobOf } from "./job-at-rebuild";
import { lineInWords } from "./line-in-words";

/** The words of a job's line by its key. */
const wordsOf = (j: Job, key: string) => {
  const line = rebuildPlan(j).steps.find((l) => lineKey(l) === key);
  return line && lineInWords(j, line);
};

/** A wheel under a nut, a case with a cover that is held by screws with locker on them. */
function job(more: Partial<Job> = {}): Job {
  return {
    ...jobOf({
      kind: "kite reel",
      parts: [
        { id: "p1", name: "case cover", kind: "cover" },
        { id: "p2", name: "wheel", kind: "gear", renew: true },
      ],
      steps: [
        {
          id: "s1",
          action: "unscrew",
          needs: [],
          parts: ["p1"],
          hardware: [{ id: "h1", kind: "screw", qty: 3, thread: "M3", locker: "blue" }],
        },
        {
          id: "s2",
          action: "pull",
          parts: ["p2"],
          hardware: [
            { id: "h2", kind: "nut", qty: 1, thread: "M6" },
            { id: "h3", kind: "washer", qty: 1, lengthMm: 12 },
          ],
          stack: ["h2", "h3", "p2"],
        },
      ],
    }),
    ...more,
  };
}
const planned = (of: Job) =>
  rebuildPlan({
    ...of,
    goingIn: of.findings.flatMap((f) => (f.goesIn ? [{ ...f.goesIn, part: f.part }] : [])),
  });
const words = (of: Job, key: string) => {
  const line = planned(of).steps.find((l) => lineKey(l) === key);
  if (!line) throw new Error(`no ${key}`);
  return lineInWords(of, line);
};

describe("the lines of one step", () => {
  it("say each what concerns it: the cover its face, the screws their dry threads", () => {
    const greased = job({ lubePoints: [{ id: "g1", part: "p2", when: "after-fit" }] });
    expect(words(greased, "set:s1:parts")).toMatchObject({
      title: "Set on: case cover",
      mind: ["Stays dry: case cover: its mating face."],
    });
    // where nothing is lubricated, nothing has to stay away from it
    expect(words(job(), "set:s1:parts").mind).toEqual([]);
    const screws = words(job(), "undo:s1");
    expect(screws.title).toBe("Screw in: 3 screws M3, locker blue");
    expect(screws.mind).toEqual([
      expect.stringMatching(/^Stays dry: 3 screws M3.*locker holds on a dry thread alone\.$/),
    ]);
  });
  it("name what goes in new: its number, its lot and the parcel that it came in", () => {
    const chosen = {
      findings: [{ part: "p2", chosen: "W-12" }],
      arrivals: [{ id: 1, day: "2026-11-20", supplier: "Nordic", number: "W-12", qty: 1, lot: "7A" }],
    };
    expect(words(job(chosen as unknown as Partial<Job>), "set:s2:parts").renewed).toEqual([
      "wheel: new, W-12, lot 7A, out of the parcel of 2026-11-20 from Nordic",
    ]);
    const returned = { ...chosen, arrivals: chosen.arrivals.map((a) => ({ ...a, decision: "sent-back" })) };
    expect(words(job(returned as unknown as Partial<Job>), "set:s2:parts").renewed).toEqual([
      "wheel: new, W-12",
    ]);
  });

  it("show how the pieces lie, without what stays out", () => {
    expect(words(job(), "undo:s2").stack).toEqual(["wheel", "1 washer 12 mm", "1 nut M6"]);
    const goesIn = {
      number: "K-1",
      name: "wheel",
      stack: [],
      with: [],
      notBeside: [],
      leavesOut: [],
      staysOut: [{ hardware: "h3", why: "its hub is longer" }],
    };
    const other = job({ findings: [{ part: "p2", goesIn }] } as unknown as Partial<Job>);
    expect(words(other, "undo:s2").stack).toEqual(["wheel", "1 nut M6"]);
    expect(words(other, "undo:s2")).toMatchObject({
      title: "Screw on: 1 nut M6",
      stack: ["wheel", "1 nut M6"],
      mind: ["Stays out: 1 washer 12 mm: its hub is longer"],
    });
  });
});

describe("a cover that is set on", () => {
  const chambers = [{ ...newChamber("c1", "gear-case"), openedBy: "s1" }];
  const point = { id: "g1", reachedBy: "s1", chamber: "c1" };
  it("closes over what lies under it, before its screws are in", () => {
    const open = job({ chambers, lubePoints: [point] });
    const plan = planned(open);
    const at = plan.steps.findIndex((l) => lineKey(l) === "set:s1:parts") + 1;
    expect(reachOf(open, plan, "grease:g1", point).last).toEqual({
      line: at,
      step: "s1",
      closes: true,
      says: "step 1, the case cover closes over it",
    });
    expect(reachOf(open, plan, "grease:g1", point).line).toBe(at - 1);
    const set = { ...open, linesDone: ["set:s1:parts"] };
    expect(reachOf(set, plan, "grease:g1", point).closed).toMatch(
      /^step 1, the case cover, closes over it, and is on again/,
    );
  });
});

describe("how tight", () => {
  const drawn = (tighten: object): Job => {
    const j = job();
    const steps = j.steps.map((s) => ({
      ...s,
      hardware: s.hardware?.map((h) => (h.id === "h2" ? { ...h, tighten } : h)),
    }));
    return { ...j, steps } as Job;
  };

  it("says by how much past the feel, in how many passes, and that all are started first", () => {
    const said = wordsOf(drawn({ feel: "snug", pastDeg: 45, passes: 2, startAll: true }), "undo:s2");
    expect(said?.hardware.map(saidInWords)).toContain(
      "1 nut M6, snug, then an eighth of a turn (45°) past it",
    );
    expect(said?.drawn).toEqual([
      "Start all of them by hand before any is drawn.",
      "Draw them in 2 passes, each time all of them.",
    ]);
  });

  it("leaves loose what is to be left loose, and draws it with its figure when what it waits for is on", () => {
    const j = drawn({ torqueNm: 2, looseUntil: "s1" });
    const now = wordsOf(j, "undo:s2");
    expect(now?.torqueNm).toBeUndefined();
    expect(now?.mind).toContain(
      "Leave loose: 1 nut M6. Start by hand only; drawn when step 1, the case cover, is on.",
    );
    const later = wordsOf(j, "tight:s2:s1");
    expect(later).toMatchObject({
      title: "Draw now: 1 nut M6",
      torqueNm: 2,
      belongs: "at step 2, the wheel, left loose until now",
    });
    expect(wordsOf(drawn({ looseUntil: "end" }), "undo:s2")?.mind).toContain(
      "Leave loose: 1 nut M6. Start by hand only; drawn when everything is on.",
    );
  });
});
