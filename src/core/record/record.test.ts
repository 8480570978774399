import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { comebacks, failures, type PastJob, suppliersOf, times } from "./record";

const past = (number: string, more: Partial<PastJob> = {}): PastJob => ({
  number,
  kind: "mill",
  maker: "Velbrant",
  model: "Mola",
  takenIn: "2026-03-01",
  handedBackAt: "2026-03-08T10:00:00.000Z",
  complaint: "",
  causes: [],
  failed: [],
  arrived: [],
  planned: 0,
  ...more,
});
const wheel = { name: "Crown wheel", kind: "gear", mode: "missing-teeth" };

describe("the record of what went home", () => {
  it("a comeback stands beside the job it came from: days at home, and whether it is the same part", () => {
    const jobs = [
      past("J-0001", { failed: [wheel] }),
      past("J-0002", {
        warrantyOf: "J-0001",
        takenIn: "2026-03-28",
        complaint: "grinds",
        failed: [{ ...wheel, name: "crown wheel" }],
        causes: ["crumbs"],
      }),
      past("J-0003", { warrantyOf: "J-0900" }),
    ];
    expect(comebacks(jobs)).toEqual([
      {
        number: "J-0002",
        of: "J-0001",
        unit: "Velbrant Mola",
        days: 20,
        complaint: "grinds",
        samePart: "crown wheel",
        causes: ["crumbs"],
      },
      {
        number: "J-0003",
        of: "J-0900",
        unit: "Velbrant Mola",
        days: null,
        complaint: "",
        samePart: null,
        causes: [],
      },
    ]);
  });

  it("which part of which model fails: how often, of how many, how, and at what age", () => {
    const jobs = [
      past("J-0001", { failed: [wheel], years: 4 }),
      past("J-0002", { failed: [wheel, { name: "bearing", kind: "bearing", mode: "worn" }], years: 6 }),
      past("J-0003", { failed: [{ ...wheel, mode: "cracked" }] }),
      past("J-0004", { model: "", maker: "", kind: "press" }),
    ];
    expect(failures(jobs)).toEqual([
      { unit: "Velbrant Mola", part: "Crown wheel", times: 3, units: 3, mode: "missing-teeth", years: 5 },
      { unit: "Velbrant Mola", part: "bearing", times: 1, units: 3, mode: "worn", years: 6 },
    ]);
  });

  it("whose parts were taken, sent back, and in jobs that came back", () => {
    const jobs = [
      past("J-0001", {
        arrived: [
          { number: "A", supplier: "North", decision: "accepted" },
          { number: "B", supplier: "North", decision: "sent-back" },
        ],
      }),
      past("J-0002", {
        warrantyOf: "J-0001",
        arrived: [{ number: "A", supplier: "South", decision: "rework" }],
      }),
    ];
    expect(suppliersOf(jobs)).toEqual([
      { supplier: "North", pieces: 2, taken: 1, reworked: 0, sentBack: 1, cameBack: 1 },
      { supplier: "South", pieces: 1, taken: 0, reworked: 1, sentBack: 0, cameBack: 0 },
    ]);
  });

  it("minutes by the plan and by the clock, where there was a clock", () => {
    const jobs = [
      past("J-0001", { planned: 30, real: 45 }),
      past("J-0002", { planned: 40, real: 41 }),
      past("J-0003", { planned: 40 }),
      past("J-0004", { planned: 0, real: 5 }),
    ];
    expect(times(jobs)).toEqual([{ unit: "Velbrant Mola", jobs: 2, planned: 35, real: 43 }]);
  });

  it("counts every failure once and nothing twice, whatever the jobs (law)", () => {
    const job = fc.record({
      model: fc.constantFrom("Mola", "Presto"),
      failed: fc.array(
        fc.record({
          name: fc.constantFrom("wheel", "Wheel", "shaft"),
          kind: fc.constant("gear"),
          mode: fc.constantFrom("worn", "cracked"),
        }),
        {
          maxLength: 4,
        },
      ),
    });
    fc.assert(
      fc.property(fc.array(job, { maxLength: 12 }), (made) => {
        const jobs = made.map((m, i) => past(`J-${i}`, m));
        const found = failures(jobs);
        expect(found.reduce((n, f) => n + f.times, 0)).toBe(jobs.reduce((n, j) => n + j.failed.length, 0));
        for (const f of found)
          expect(f.units).toBe(jobs.filter((j) => `${j.maker} ${j.model}` === f.unit).length);
        expect(new Set(found.map((f) => `${f.unit} ${f.part.toLowerCase()}`)).size).toBe(found.length);
      }),
    );
  });
});
