import { describe, expect, it } from "vitest";
import type { Job } from "../job/job";
import { undoKey } from "../job/keys";
import { jobOf } from "./job-at-rebuild";
import { replacedSoFar } from "./replaced";

const goesIn = {
  number: "W-12",
  name: "steel wheel",
  stack: [],
  leavesOut: [],
  notBeside: [],
  staysOut: [{ hardware: "h3", why: "its hub is longer" }],
  with: [{ number: "", name: "motor 12 W", qty: 1, replaces: "motor" }],
};
const job = (done: readonly string[]): Job => ({
  ...jobOf({
    kind: "kite reel",
    parts: [
      { id: "p1", name: "wheel", renew: true },
      { id: "p2", name: "motor" },
      { id: "p3", name: "lid" },
    ],
    steps: [
      { id: "s1", action: "unscrew", needs: [], parts: ["p3"] },
      {
        id: "s2",
        action: "pull",
        parts: ["p1"],
        hardware: [
          { id: "h2", kind: "circlip", qty: 1, once: true },
          { id: "h3", kind: "washer", qty: 1 },
        ],
      },
      { id: "s3", action: "pull", parts: ["p2"] },
    ],
  }),
  findings: [{ part: "p1", teeth: {}, gear: {}, goesIn }],
  linesDone: done.map(undoKey),
});

describe("what was replaced", () => {
  it("is told with what went in instead, once its step is back", () => {
    expect(replacedSoFar(job([]))).toEqual([]);
    expect(replacedSoFar(job(["s1", "s3"]))).toEqual([
      { old: "motor", how: "motor 12 W goes in in its place" },
    ]);
    expect(replacedSoFar(job(["s2"]))).toEqual([
      { old: "wheel", how: "steel wheel went in instead" },
      { old: "1 circlip", how: "a new one went in instead" },
      { old: "1 washer", how: "its hub is longer" },
    ]);
  });
});
