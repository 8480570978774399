import { existsSync, readdirSync, statSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { identifyGear } from "../../src/core/gear/identify/index";
import { gearDimensions, spanOver } from "../../src/core/gear/index";
import { stripOf } from "../../src/core/job/job-file";
import { rebuildPlan } from "../../src/core/order/rebuild-plan";
import { scenes } from "../pictures/scenes";
import { juicerAtJudge } from "./juicer";
import { extruder, hammer, shears, slicer } from "./others";
import { queue } from "./queue";
import { jobFileFrom, type Recipe } from "./recipe";
import { catalogue, lubricants } from "./shelf";

const full = [juicerAtJudge, slicer, hammer, shears];
const all: Recipe[] = [...full, extruder, ...queue];
const jpeg = join("demo", "pictures", "jpeg");
/** Kinds of unit that the demo leaves alone. */
const NOT_HERE =
  /mixer|angle grinder|reciprocating|video|ratchet|gramophone|coffee|garage|washing|line trimmer|cable-tie|sewing|vacuum/i;

describe("the demo shop", () => {
  it("has at least eight jobs, at every stage of the bench", () => {
    expect(all.length).toBeGreaterThanOrEqual(8);
    expect(new Set(all.map((r) => r.head.number)).size).toBe(all.length);
    for (const stage of ["take-in", "strip", "judge", "match", "lube", "rebuild", "hand-back"])
      expect(all.some((r) => r.head.stage === stage)).toBe(true);
  });

  it("has four full strips of 12 to 30 steps", () => {
    for (const r of full) {
      expect(r.rows.length).toBeGreaterThanOrEqual(12);
      expect(r.rows.length).toBeLessThanOrEqual(30);
    }
  });

  it.each(all.map((r) => [r.head.number as string, r] as const))(
    "%s can be put back together, with nothing left over",
    (_, r) => {
      const { file } = jobFileFrom(r);
      const plan = rebuildPlan(stripOf(file));
      expect(plan.ledger.open).toEqual([]);
      expect(r.unit.kind).not.toMatch(NOT_HERE);
    },
  );

  it("names pictures that are there, photographs under 150 kB, each rendered from a scene", () => {
    const made = new Set(scenes.map((s) => s.name));
    for (const r of all)
      for (const name of jobFileFrom(r).pictures.values())
        expect(existsSync(join(jpeg, `${name}.jpg`)), name).toBe(true);
    for (const file of readdirSync(jpeg)) {
      expect(statSync(join(jpeg, file)).size, file).toBeLessThan(150_000);
      expect(made.has(file.replace(/\.jpg$/, "")), file).toBe(true);
    }
  });

  it("has readings that belong to the gears they name", () => {
    for (const r of all)
      for (const f of r.findings ?? []) {
        const g = f.identity as
          | {
              teeth: number;
              moduleMm: number;
              pressureAngleDeg: number;
              helixAngleDeg: number;
              profileShift: number;
            }
          | undefined;
        if (!g) continue;
        for (const reading of f.readings ?? []) {
          // tips may be worn, never grown; spans lose a few hundredths with their flanks
          if (reading.what === "tip diameter")
            expect(reading.value).toBeLessThan(gearDimensions(g).tipDiameterMm + 0.1);
          if (reading.what === "span")
            expect(Math.abs(reading.value - spanOver(g, reading.teeth as number))).toBeLessThan(0.08);
        }
      }
  });

  it("lets the juicer's wheel be named from what its job tells to measure", () => {
    const { hypotheses } = identifyGear({
      kind: "helical",
      teeth: 41,
      tipDiameter: { value: 45.03, u: 0.03 },
      spans: [
        { teeth: 5, value: 13.9, u: 0.02 },
        { teeth: 6, value: 16.85, u: 0.02 },
      ],
    });
    expect(hypotheses[0]).toMatchObject({ module: 1, pressureAngle: 20 });
    expect(hypotheses[0]?.helixAngle).toBeCloseTo(18, 0);
  });
});

describe("the demo shelf", () => {
  it("has every part that a job has chosen, and every companion that a part needs or says so", () => {
    const numbers = new Set(catalogue.map((p) => p.number));
    expect(numbers.size).toBe(catalogue.length);
    for (const r of all)
      for (const f of r.findings ?? []) if (f.chosen) expect(numbers.has(f.chosen), f.chosen).toBe(true);
    for (const p of catalogue) for (const n of p.needsAlso) expect(n.why.length).toBeGreaterThan(10);
  });
  it("has a grease for food, and one that is not", () => {
    expect(lubricants.some((l) => l.h1)).toBe(true);
    expect(lubricants.some((l) => !l.h1)).toBe(true);
    for (const l of lubricants) expect(l.leastC).toBeLessThan(l.mostC);
  });
});
