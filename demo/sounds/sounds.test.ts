import { readFileSync } from "node:fs";
import { beforeAll, describe, expect, it, vi } from "vitest";
import { Fault } from "../../src/core/fault";
import { compared } from "../../src/core/sound/compare";
import { listen } from "../../src/core/sound/listen";
import { type HeardTrain, matchSound } from "../../src/core/sound/match";
import { readWav } from "../../src/core/sound/wav";
import { writeWav } from "../../src/core/sound/write-wav";
import type { TrainInput } from "../../src/core/train/train";
import { juicerTrain } from "../shop/juicer";
import { extruderTrain } from "../shop/others";
import { chance, type MadeFault, machineSound } from "./machine-sound";
import { type MadeRecording, randomRecording } from "./random-unit";

/** A small computer listens for seconds. */
const SLOW_MS = 120_000;
vi.setConfig({ testTimeout: SLOW_MS });

const practice = (name: string) => readWav(readFileSync(new URL(`./wav/${name}.wav`, import.meta.url)));
const made = (train: TrainInput, fault: MadeFault | null, seed: number, rpm = train.input.rpm) => ({
  rate: 16000,
  samples: machineSound({ train, rpm, fault, seconds: 8, rate: 16000 }, chance(seed)),
});
const says = (work: () => unknown): string => {
  try {
    work();
  } catch (e) {
    return (e as { says?: string }).says ?? String(e);
  }
  return "";
};

describe("the practice recordings", () => {
  it.each([
    ["juicer-clicks", juicerTrain, "tooth", "lay shaft", 1402],
    ["juicer-bent-shaft", juicerTrain, "eccentric", "lay shaft", 1391],
    ["extruder-before", extruderTrain, "tooth", "screw", 1371],
  ] as const)("%s tells what was made of it, with its speed", (name, train, kind, shaft, rpm) => {
    const heard = matchSound(practice(name), train);
    expect(heard.suspects[0]).toMatchObject({ kind, shaft });
    expect(heard.suspects[0]?.probability).toBeGreaterThan(0.8);
    expect(Math.abs(heard.rpm.value / rpm - 1)).toBeLessThan(0.005);
  });

  it("after the repair nothing stands out, the knock is gone, and the meshes are still there", () => {
    const [before, after] = [
      matchSound(practice("extruder-before"), extruderTrain),
      matchSound(practice("extruder-after"), extruderTrain),
    ];
    expect(after.suspects[0]?.kind).toBe("none");
    const lines = compared(before, after);
    expect(lines.filter((l) => l.what === "mesh").map((l) => l.mesh)).toEqual(["m1", "m2"]);
    const knock = lines.find((l) => l.what === "knock" && l.shaft === "screw");
    expect(knock?.before).toBeGreaterThan((knock?.after ?? 0) + 3);
  });

  it("is the same through a file, twice as loud, and a third as loud", () => {
    const whole = practice("juicer-bent-shaft");
    const best = (samples: Float32Array) =>
      matchSound({ samples, rate: whole.rate }, juicerTrain).suspects[0];
    const again = best(readWav(writeWav(whole)).samples);
    const quiet = best(whole.samples.map((x) => x / 3));
    expect(again).toMatchObject({ kind: "eccentric", shaft: "lay shaft" });
    expect(quiet?.probability).toBeCloseTo(again?.probability ?? 0, 2);
  });
});

describe("listening to units nobody has", () => {
  // a few of those that the weights were not learned from
  const told: { m: MadeRecording; heard: HeardTrain }[] = [];
  beforeAll(() => {
    for (let k = 0; k < 12; k++) {
      const m = randomRecording(900 + k, 6);
      try {
        told.push({ m, heard: matchSound(m, m.train) });
      } catch (e) {
        expect(e).toBeInstanceOf(Fault);
      }
    }
  }, SLOW_MS);
  it("hears nearly all of them, at their true speed", () => {
    expect(told.length).toBeGreaterThanOrEqual(10);
    expect(
      told.filter(({ m, heard }) => Math.abs(heard.rpm.value / m.rpm - 1) < 0.01).length,
    ).toBeGreaterThanOrEqual(told.length - 1);
  });
  it("probabilities sum to 1, best first, each shaft's fault once, and nobody is quite sure", () => {
    for (const { heard } of told) {
      const p = heard.suspects.map((s) => s.probability);
      expect(p.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
      expect([...p].sort((a, b) => b - a)).toEqual(p);
      expect(p[0]).toBeLessThan(1);
      const names = heard.suspects.map((s) => `${s.kind} ${s.shaft} ${s.onceHz}`);
      expect(new Set(names).size).toBe(names.length);
    }
  });
  it("is right in two of three at least, and seldom sure and wrong", () => {
    const right = told.filter(
      ({ m, heard }) =>
        heard.suspects[0]?.kind === m.truth.kind && heard.suspects[0]?.shaft === m.truth.shaft,
    );
    const sureWrong = told.filter(
      ({ m, heard }) =>
        (heard.suspects[0]?.probability ?? 0) >= 0.8 &&
        (heard.suspects[0]?.kind !== m.truth.kind || heard.suspects[0]?.shaft !== m.truth.shaft),
    );
    expect(right.length).toBeGreaterThanOrEqual((2 * told.length) / 3);
    expect(sureWrong.length).toBeLessThanOrEqual(1);
  });
});

describe("what is no such recording", () => {
  const r = chance(5);
  const noise = { rate: 16000, samples: Float32Array.from({ length: 80_000 }, () => 0.2 * r.normal()) };
  it.each([
    ["noise", noise],
    [
      "hum",
      {
        rate: 16000,
        samples: Float32Array.from(
          { length: 80_000 },
          (_, i) => 0.4 * Math.sin((2 * Math.PI * 50 * i) / 16000),
        ),
      },
    ],
    ["silence", { rate: 16000, samples: new Float32Array(80_000) }],
  ])("%s is refused with a sentence, and its pictures are shown all the same", (_, sound) => {
    expect(says(() => matchSound(sound, juicerTrain))).toMatch(/nothing of this train's pattern is heard/);
    const listened = listen(sound, juicerTrain);
    expect(listened.heard).toBeNull();
    expect(listened.says).toMatch(/nothing of this train/);
    expect(listened.waterfall.levels).toHaveLength(listened.waterfall.rows * listened.waterfall.columns);
    expect(listened.spectrum.db.every(Number.isFinite)).toBe(true);
  });
  it("too short, no plate, nothing with teeth, and no train at all each have their sentence", () => {
    const sound = made(juicerTrain, null, 1);
    expect(
      says(() => matchSound({ ...sound, samples: sound.samples.subarray(0, 9000) }, juicerTrain)),
    ).toMatch(/shorter than 2 seconds/);
    expect(says(() => matchSound(sound, { ...juicerTrain, input: { shaft: "motor", rpm: 0 } }))).toMatch(
      /by its plate/,
    );
    const belt = {
      input: { shaft: "motor", rpm: 900 },
      meshes: [
        {
          id: "b",
          kind: "smooth-belt" as const,
          driver: { shaft: "motor", diameterMm: 20 },
          driven: { shaft: "drum", diameterMm: 90 },
        },
      ],
    };
    expect(says(() => matchSound(sound, belt))).toMatch(/no gears, toothed belts or chains/);
    expect(listen(sound, null).says).toMatch(/no gear train is written down/i);
  });
});
