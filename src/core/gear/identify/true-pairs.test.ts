import { describe, expect, it } from "vitest";
import { thinnedBy } from "../as-made";
import type { Gear } from "../dimensions";
import { pairOf } from "../pair";
import type { PairGear } from "../pair-gear";
import { identifyGear } from "./identify";
import { madeGear, plainGear } from "./made-gear";

/** The same row of numbers between 0 and 1 at each run. */
function row(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a * 1664525 + 1013904223) % 4294967296;
    return a / 4294967296;
  };
}
const normal = (r: () => number): number => Math.sqrt(-2 * Math.log(1 - r())) * Math.cos(2 * Math.PI * r());

/** A gear as it is made and measured, named, as a gear of a pair. */
function named(g: Gear, hand: "left" | "right", r: () => number): PairGear | null {
  const thinned = thinnedBy(g.moduleMm);
  const perfect = madeGear(g, { thinned: thinned.value + thinned.u * normal(r), low: 0.08 * r() });
  const [h] = identifyGear({
    ...perfect,
    tipDiameter: { value: perfect.tipDiameter.value + 0.03 * normal(r), u: 0.03 },
    spans: perfect.spans.map((s) => ({ ...s, value: s.value + 0.02 * normal(r) })),
    helixAngle: { value: g.helixAngleDeg + 1.5 * normal(r), u: 1.5 },
    hand,
  }).hypotheses;
  if (!h || Math.abs(h.module - g.moduleMm) > 0.001 || h.pressureAngle !== g.pressureAngleDeg) return null;
  return {
    teeth: g.teeth,
    moduleMm: h.module,
    pressureAngleDeg: h.pressureAngle,
    helixAngleDeg: h.helixAngle,
    profileShift: h.profileShift,
    helixU: h.spread.helix,
    shiftU: h.spread.shift,
    spanLossMm: thinned.value,
    spanLossU: thinned.u,
    hand,
  };
}

describe("helical pairs of which both were named", () => {
  const r = row(11);
  const pairs = Array.from({ length: 60 }, () => {
    const m = [0.6, 0.8, 1, 1.25, 1.5][Math.floor(r() * 5)] as number;
    const beta = 10 + Math.floor(r() * 21);
    const form = (teeth: number, helix = beta): Gear => plainGear(teeth, m, { helixAngleDeg: helix });
    const [z1, z2] = [18 + Math.floor(r() * 14), 30 + Math.floor(r() * 35)];
    return { form, z1, z2, beta, centre: (m * (z1 + z2)) / (2 * Math.cos((beta * Math.PI) / 180)) };
  });
  it("are refused in hardly a case: true pairs mesh, within what their readings can tell", () => {
    let both = 0;
    let refused = 0;
    for (const { form, z1, z2, centre } of pairs) {
      const [a, b] = [named(form(z1), "left", r), named(form(z2), "right", r)];
      if (!a || !b) continue;
      both++;
      if (!pairOf(a, b, { value: centre + 0.05 * normal(r), u: 0.05 }).meshes) refused++;
    }
    expect(both).toBeGreaterThan(35);
    expect(refused).toBeLessThanOrEqual(0.04 * both);
  });
  it("and gears of another helix are still told apart", () => {
    let both = 0;
    let refused = 0;
    for (const { form, z1, z2, beta } of pairs.slice(0, 30)) {
      const [a, b] = [
        named(form(z1), "left", r),
        named(form(z2, beta > 20 ? beta - 6 : beta + 6), "right", r),
      ];
      if (!a || !b) continue;
      both++;
      if (!pairOf(a, b).meshes) refused++;
    }
    expect(refused).toBeGreaterThan(0.95 * both);
  });
});
