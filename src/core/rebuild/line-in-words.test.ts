import { describe, expect, it } from "vitest";
import { newChamber } from "../job/chamber";
import type { Job } from "../job/job";
import { readJobFile } from "../job/job-file";
import { jobFromFile } from "../job/job-file-of";
import { reachOf } from "../lube/reach";
import { lineKey } from "../order/rebuild-line";
import { rebuildPlan } from "../order/rebuild-plan";
import { lineInWords } from "./line-in-words";

/** A wheel under a nut, a case with a cover that is held by screws with locker on them. */
function job(more: Partial<Job> = {}): Job {
  const { head, ...rest } = jobFromFile(
    readJobFile({
      format: "demontage-job",
      version: 1,
      unit: { kind: "kite reel" },
      parts: [
        { id: "p1", name: "case cover", kind: "cover" },
        { id: "p2", name: "wheel", kind: "gear", renew: true },
      ],
      steps: [
        { id: "s1", action: "unscrew", needs: [], parts: ["p1"], hardware: [{ id: "h1", kind: "screw", qty: 3, thread: "M3", locker: "blue" }] },
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
    "2026-11-30T08:00:00.000Z",
  );
  const around = { id: 1, version: 1, stage: "rebuild", greaseStates: [], quotes: [], orders: [], arrivals: [] };
  return { ...around, ...head, ...rest, ...more } as unknown as Job;
}
const planned = (of: Job) => rebuildPlan({ ...of, goingIn: of.findings.flatMap((f) => (f.goesIn ? [{ ...f.goesIn, part: f.part }] : [])) });
const words = (of: Job, key: string) => {
  const line = planned(of).steps.find((l) => lineKey(l) === key);
  if (!line) throw new Error(`no ${key}`);
  return lineInWords(of, line);
};

describe("the lines of one step", () => {
  it("say each what concerns it: the cover its face, the screws their dry threads", () => {
    expect(words(job(), "set:s1:parts")).toMatchObject({ title: "Set on: case cover", mind: ["Stays dry: case cover: its mating face."] });
    const screws = words(job(), "undo:s1");
    expect(screws.title).toBe("Screw in: 3 screws M3, locker blue");
    expect(screws.mind).toEqual([expect.stringMatching(/^Stays dry: 3 screws M3.*locker holds on a dry thread alone\.$/)]);
  });
  it("show how the pieces lie, without what stays out", () => {
    expect(words(job(), "set:s2:parts").stack).toEqual(["wheel", "1 flat washer 12 mm", "1 nut M6"]);
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
    expect(words(other, "set:s2:parts").stack).toEqual(["wheel", "1 nut M6"]);
    expect(words(other, "undo:s2")).toMatchObject({
      title: "Screw on: 1 nut M6",
      stack: ["wheel", "1 nut M6"],
      mind: ["Stays out: 1 flat washer 12 mm: its hub is longer"],
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
    expect(reachOf(open, plan, "grease:g1", point).last).toEqual({ line: at, step: "s1", says: "step 1, the case cover closes over it" });
    expect(reachOf(open, plan, "grease:g1", point).line).toBe(at - 1);
    const set = { ...open, linesDone: ["set:s1:parts"] };
    expect(reachOf(set, plan, "grease:g1", point).closed).toMatch(/^step 1, the case cover, closes over it, and is on again/);
  });
});
