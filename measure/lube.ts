/**
 * npm run bench, the lubricants: four chambers of four points each against a shelf of 200, as the Lube screen
 * asks it. Aim: under 20 ms.
 */
import type { LubeAsk } from "../src/core/grease/lube-ask";
import type { Lubricant } from "../src/core/grease/lubricant";
import { specifyLube } from "../src/core/grease/specify";
import { THICKENERS } from "../src/core/grease/thickeners";

const pick = <T>(of: readonly T[], i: number): T => of[i % of.length] as T;
const shelf: Lubricant[] = Array.from({ length: 200 }, (_, i) => ({
  id: `L${i}`,
  name: `Made-up ${i}`,
  ...(i % 8 === 0 ? { sort: "oil" as const } : { thickener: pick(THICKENERS, i), nlgi: (i % 6) - 2 }),
  baseOil: pick(["mineral", "PAO", "ester", "silicone"] as const, i * 7),
  viscosityMm2s: pick([15, 68, 150, 220, 460], i),
  ep: i % 3 === 0,
  h1: i % 2 === 0,
  leastC: -30,
  mostC: 90 + (i % 7) * 10,
  densityGPerMl: 0.9,
  stockG: (i * 37) % 600,
  pricePer100G: i % 9,
}));
const ask: LubeAsk = {
  foodContact: true,
  school: "measured",
  shelf,
  chambers: Array.from({ length: 4 }, (_, c) => ({
    id: `c${c}`,
    name: `chamber ${c}`,
    filling: "grease" as const,
    freeVolumeMl: 120,
    makersGrams: null,
    coldestC: 5,
    hottestC: 70,
    seals: ["NBR"],
    materials: ["steel", "ABS"],
    old: { left: "traces" as const, thickener: "unknown" as const, baseOil: "unknown" as const },
    points: [
      {
        id: `c${c}a`,
        kind: "gear-teeth" as const,
        pitchLineMPerS: 1.2,
        materials: ["steel", "PA66"],
        toothVolumeMl: 3,
      },
      { id: `c${c}b`, kind: "worm" as const, materials: ["steel", "bronze"] },
      {
        id: `c${c}c`,
        kind: "rolling-bearing" as const,
        bearing: { bore: 8, outside: 22, width: 7 },
        rpm: 4000,
      },
      { id: `c${c}d`, kind: "sintered-bush" as const },
    ],
  })),
};
const times = Array.from({ length: 60 }, () => {
  const t = performance.now();
  specifyLube(ask);
  return performance.now() - t;
}).sort((a, b) => a - b);
console.log(
  `grease specify, 200 lubricants, 4 chambers: median ${(times[times.length >> 1] as number).toFixed(1)} ms (aim: 20 ms)`,
);
