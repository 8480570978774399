import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { fullCycle } from "./full-cycle";
import { shaftSpeeds } from "./shaft-speeds";
import type { TrainInput } from "./train";

const chain = (pairs: readonly (readonly [number, number])[]): TrainInput => ({
  input: { shaft: "s0", rpm: 100 },
  meshes: pairs.map(([a, b], i) => ({
    id: `m${i}`,
    kind: "spur" as const,
    driver: { shaft: `s${i}`, teeth: a },
    driven: { shaft: `s${i + 1}`, teeth: b },
  })),
});

describe("the full cycle of a train", () => {
  it("is over when every tooth stands as it did", () => {
    expect(fullCycle(chain([[9, 12]]), "s0")).toBe(4);
    expect(fullCycle(chain([[9, 12]]), "s1")).toBe(3);
    expect(fullCycle(chain([[9, 45], [11, 47]]), "s2")).toBe(11); // biome-ignore format: one row
  });

  it("is not told where something slips, or nobody counted", () => {
    const [m] = chain([[9, 12]]).meshes;
    if (!m) throw new Error("no mesh");
    expect(fullCycle({ ...chain([[9, 12]]), meshes: [{ ...m, assumed: true }] }, "s0")).toBeNull();
    const belt = {
      id: "b",
      kind: "smooth-belt" as const,
      driver: { shaft: "s0", diameterMm: 20 },
      driven: { shaft: "s1", diameterMm: 40 },
    };
    expect(fullCycle({ input: { shaft: "s0", rpm: 1 }, meshes: [belt] }, "s0")).toBeNull();
    expect(fullCycle(chain([[9, 12]]), "elsewhere")).toBeNull();
  });

  it("law: after it every shaft has made whole turns, and after no smaller number", () => {
    const pairs = fc.array(fc.tuple(fc.integer({ min: 6, max: 60 }), fc.integer({ min: 6, max: 60 })), {
      minLength: 1,
      maxLength: 3,
    });
    fc.assert(
      fc.property(pairs, (of) => {
        const train = chain(of);
        const n = fullCycle(train, "s0") ?? 0;
        const turns = [...shaftSpeeds(train).turns.values()].map(Math.abs);
        const whole = (k: number): boolean => turns.every((t) => Math.abs(k * t - Math.round(k * t)) < 1e-6);
        expect(whole(n)).toBe(true);
        for (const p of [2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37, 41, 43, 47, 53, 59])
          if (n % p === 0) expect(whole(n / p)).toBe(false);
      }),
    );
  });
});
