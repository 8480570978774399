import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { findClick } from "./click-finder";
import { ratesOf } from "./rates";
import { rhythm } from "./rhythm";
import type { TrainInput } from "./train";

const train: TrainInput = {
  input: { shaft: "motor", rpm: 9000 },
  meshes: [
    { id: "m1", kind: "helical", driver: { shaft: "motor", teeth: 9 }, driven: { shaft: "lay", teeth: 47 } },
    { id: "m2", kind: "spur", driver: { shaft: "lay", teeth: 11 }, driven: { shaft: "out", teeth: 38 } },
  ],
};
/** Taps of a beat with a finger's noise, held still by a seed. */
function taps(periodMs: number, count: number, seed: number, noiseMs = 25): number[] {
  let a = seed;
  const next = (): number => {
    a = (Math.imul(a, 1664525) + 1013904223) >>> 0;
    return a / 2 ** 32;
  };
  return Array.from(
    { length: count },
    (_, i) => 500 + i * periodMs + (next() + next() + next() - 1.5) * 2 * noiseMs,
  );
}

describe("a tapped rhythm", () => {
  it("is that of the description's example: a beat nobody tapped is seen as such", () => {
    expect(rhythm([0, 500, 1000, 2000])).toMatchObject({ missed: 1, dropped: 0, taps: 4 });
    expect(rhythm([0, 500, 1000, 2000]).periodMs).toBeCloseTo(500, 6);
  });
  it("leaves out a tap that was struck twice", () => {
    const r = rhythm([0, 600, 640, 1200, 1800]);
    expect(r).toMatchObject({ dropped: 1, missed: 0 });
    expect(r.periodMs).toBeCloseTo(600, 0);
  });
  it("is found again within three of its own spreads, nearly always; more taps make it sharper", () => {
    let within = 0;
    for (let seed = 1; seed <= 200; seed++) {
      const r = rhythm(taps(800, 10, seed));
      if (Math.abs(r.periodMs - 800) < 3 * r.u) within++;
    }
    expect(within).toBeGreaterThan(195);
    expect(rhythm(taps(800, 20, 3)).u).toBeLessThan(rhythm(taps(800, 6, 3)).u / 3);
  });
  it("is refused where there is none", () => {
    expect(() => rhythm([0, 500])).toThrow(/at least three/);
    expect(() => rhythm([0, 500, 400])).toThrow(/order of time/);
    expect(() => rhythm([0, 100, 250, 260, 700, 760, 1900, 2000, 2950, 3111, 4800])).toThrow(
      /no steady beat/,
    );
  });
  it("does not care when the clock started", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 3000 }),
        fc.integer({ min: 3, max: 30 }),
        fc.integer({ min: 0, max: 1e6 }),
        (period, count, start) => {
          const r = rhythm(Array.from({ length: count }, (_, i) => start + i * period));
          expect(r.periodMs).toBeCloseTo(period, 4);
        },
      ),
    );
  });
});

describe("where a click comes from", () => {
  it("by hand: a click once per turn of the lay shaft, while the output is watched", () => {
    const turn = 4000;
    const found = findClick({
      train,
      clicksMs: taps((turn * 11) / 38, 12, 5),
      turns: { shaft: "out", tapsMs: taps(turn, 5, 6) },
    });
    expect(found.suspects[0]?.rate).toMatchObject({ kind: "shaft", at: "lay" });
    expect(found.suspects[0]?.says).toBe(
      "once per turn of lay, so look at its 47-tooth gear, its 11-tooth gear or its bearings",
    );
    expect(found.suspects[0]?.probability).toBeGreaterThan(0.6);
    expect(found.suspects[0]?.off).toBeCloseTo(1, 1);
  });
  it("under power, from the motor's plate: once per turn of the output", () => {
    const out = (9000 * 9 * 11) / (47 * 38) / 60;
    const found = findClick({ train, clicksMs: taps(1000 / out, 16, 9, 10) });
    expect(found.suspects[0]?.rate).toMatchObject({ kind: "shaft", at: "out" });
  });
  it("a slow knock is two teeth that meet now and then", () => {
    const turn = 1000;
    const found = findClick({
      train,
      clicksMs: taps(turn * 11, 6, 5),
      turns: { shaft: "out", tapsMs: taps(turn, 40, 6) },
    });
    expect(found.suspects[0]?.rate).toMatchObject({ kind: "hunting", at: "m2" });
    expect(found.suspects[0]?.says).toMatch(
      /same two teeth of the mesh of lay and out meet, every 38 turns of lay/,
    );
  });
  it("a beat that nothing in the train makes is said to be none of these", () => {
    const found = findClick({
      train,
      clicksMs: taps(4000 * 1.62, 12, 5),
      turns: { shaft: "out", tapsMs: taps(4000, 20, 6) },
    });
    expect(found.none).toBeGreaterThan(0.9);
  });
  it("finds a planet, a ring tooth and a belt's own place", () => {
    const geared: TrainInput = {
      input: { shaft: "motor", rpm: 3000 },
      meshes: [
        {
          id: "b",
          kind: "belt",
          driver: { shaft: "motor", teeth: 15 },
          driven: { shaft: "sun", teeth: 60 },
          beltTeeth: 110,
        },
        {
          id: "p",
          kind: "planetary",
          sun: { shaft: "sun", teeth: 12 },
          ring: { shaft: "frame", teeth: 60 },
          carrier: { shaft: "out" },
          planets: 3,
          planetTeeth: 24,
        },
      ],
    };
    const at = (kind: string) => ratesOf(geared).find((r) => r.kind === kind)?.perInputTurn ?? 0;
    // sun a quarter, carrier a sixth of it; a ring tooth meets three planets a turn of the carrier
    expect(at("ring")).toBeCloseTo(3 / 24, 9);
    expect(at("planet")).toBeCloseTo(2 * (1 / 4 - 1 / 24) * (12 / 24), 9);
    expect(at("belt")).toBeCloseTo(15 / 110, 9);
    const turn = 3000;
    expect(
      findClick({
        train: geared,
        clicksMs: taps(turn / 3, 15, 3),
        turns: { shaft: "out", tapsMs: taps(turn, 8, 4) },
      }).suspects[0]?.rate.kind,
    ).toBe("ring");
  });
  it("refuses with the place what cannot be worked with", () => {
    expect(() => findClick({ train, clicksMs: [0, 1] })).toThrow(/clicksMs: tap at least three/);
    expect(() =>
      findClick({ train, clicksMs: [0, 500, 1000], turns: { shaft: "x", tapsMs: [0, 1, 2] } }),
    ).toThrow(/does not say how x turns/);
    expect(() =>
      findClick({ train: { ...train, input: { shaft: "motor", rpm: 0 } }, clicksMs: [0, 500, 1000] }),
    ).toThrow(/how fast the motor turns/);
  });
  it("names the shaft of a click it was made from, over trains and noise", () => {
    let right = 0;
    let tries = 0;
    for (let seed = 1; seed <= 40; seed++)
      for (const shaft of ["lay", "out"] as const) {
        const turn = 3000;
        const per = shaft === "out" ? 1 : 38 / 11;
        const found = findClick({
          train,
          clicksMs: taps(turn / per, 10, seed),
          turns: { shaft: "out", tapsMs: taps(turn, 6, seed + 99) },
        });
        tries++;
        if (found.suspects[0]?.rate.kind === "shaft" && found.suspects[0].rate.at === shaft) right++;
      }
    expect(right).toBe(tries);
  });
});
