import type { GearSigns } from "./faults";
import { WEIGHTS, type Weights } from "./weights";

export type FaultKind = "none" | "tooth" | "eccentric";

/** What a recording may come from, and how likely. */
export interface Suspect {
  readonly kind: FaultKind;
  /** of the shaft's gears the likeliest; null where nothing is wrong */
  readonly mesh: string | null;
  readonly shaft: string | null;
  /** of this kind on this shaft, whichever of its gears it is */
  readonly probability: number;
  /** how likely it is this mesh, if it is this shaft */
  readonly meshShare: number | null;
  /** times a second that it comes round */
  readonly onceHz: number | null;
}

/** A gear's fault, and how much speaks for it against a sound train (a logarithm). */
export interface Ground {
  readonly kind: "tooth" | "eccentric";
  readonly sign: GearSigns;
  readonly clues: readonly number[];
}

/** A wheel that is good swells its mesh by about so much, and one that is not by anything between these. */
const SOUND = { mean: 0.05, spread: 0.04 };
const BENT = { least: 0.2, most: 0.95 };

/**
 * The clues for every fault that a train can have: of a gear that is out of true how much likelier its
 * swelling is than that of a good one; of a tooth how plainly and how loudly it knocks, also against the
 * plainest of the other shafts. A last clue of 1 says that nothing could be heard of it.
 */
export function groundsOf(signs: readonly GearSigns[]): Ground[] {
  return signs.flatMap((sign): Ground[] => {
    const others = signs
      .filter((s) => s.gear.knocks !== sign.gear.knocks && s.knock)
      .map((s) => s.knock?.plain ?? 0);
    const { knock, swell } = sign;
    return [
      {
        kind: "tooth",
        sign,
        clues: knock
          ? [
              1,
              Math.log(0.5 + knock.plain),
              Math.log(0.05 + Math.max(0, knock.loud)),
              Math.max(-2, Math.min(2, Math.log((0.5 + knock.plain) / (0.5 + Math.max(0.5, ...others))))),
              0,
            ]
          : [0, 0, 0, 0, 1],
      },
      { kind: "eccentric", sign, clues: swell ? [1, swellSpeaks(swell.depth, swell.u), 0] : [0, 0, 1] },
    ];
  });
}

/** Logarithm of how much likelier a swelling is from a wheel out of true than from a good one. */
function swellSpeaks(depth: number, u: number): number {
  const s = Math.hypot(SOUND.spread, u);
  // one in fifty does not keep to it
  const good = (0.98 * normal((depth - SOUND.mean) / s)) / s + 0.02;
  const bent = (phi((depth - BENT.least) / u) - phi((depth - BENT.most) / u)) / (BENT.most - BENT.least);
  return Math.log((bent + 0.01) / good);
}

const normal = (z: number): number => Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI);
/** Normal distribution function, by the logistic curve that is nearest to it. */
const phi = (z: number): number => 1 / (1 + Math.exp(-1.702 * z));

const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, x, i) => sum + x * (b[i] ?? 0), 0);

/** How much speaks for a ground, by weights learned from recordings whose truth is known. */
export const speaks = (g: Ground, w: Weights): number =>
  dot(g.clues, g.kind === "tooth" ? w.tooth : w.eccentric);

/** By how much less is believed what was heard of one mesh alone: its speed may be some other machine's. */
const ONE_MESH = 0.6;

/**
 * What a recording may come from, best first, summing to 1: nothing, or one fault of one shaft. Never quite
 * sure: there are faults that nobody listened for.
 *
 * @param heard turns of the motor a second, and of how many meshes the teeth were heard
 */
export function suspectsOf(
  signs: readonly GearSigns[],
  { hz, meshesHeard }: { readonly hz: number; readonly meshesHeard: number },
  w: Weights = WEIGHTS,
): Suspect[] {
  const trust = w.trust * (meshesHeard < 2 ? ONE_MESH : 1);
  const grounds = groundsOf(signs);
  const share = Math.log(Math.max(1, signs.length));
  const raw = grounds.map((g) => Math.exp(Math.max(-30, Math.min(30, (speaks(g, w) - share) * trust))));
  const all = 1 + raw.reduce((a, b) => a + b, 0);
  const byShaft = new Map<
    string,
    { kind: "tooth" | "eccentric"; sum: number; best: number; sign: GearSigns }
  >();
  grounds.forEach((g, i) => {
    const { gear } = g.sign;
    const key = JSON.stringify([
      g.kind,
      gear.shaft,
      (g.kind === "tooth" ? gear.knocks : gear.swells).toFixed(9),
    ]);
    const p = (raw[i] as number) / all;
    // the gear that swells its mesh more is the likelier of two on one shaft
    const known = byShaft.get(key);
    if (!known) byShaft.set(key, { kind: g.kind, sum: p, best: p, sign: g.sign });
    else {
      known.sum += p;
      if (p > known.best || (p === known.best && (g.sign.swell?.depth ?? 0) > (known.sign.swell?.depth ?? 0)))
        Object.assign(known, { best: p, sign: g.sign });
    }
  });
  const faults = [...byShaft.values()].map(
    ({ kind, sum, best, sign }): Suspect => ({
      kind,
      mesh: sign.gear.mesh,
      shaft: sign.gear.shaft,
      probability: sum,
      meshShare: best / Math.max(1e-30, sum),
      onceHz: (kind === "tooth" ? sign.gear.knocks : sign.gear.swells) * hz,
    }),
  );
  return [
    { kind: "none" as const, mesh: null, shaft: null, probability: 1 / all, meshShare: null, onceHz: null },
    ...faults,
  ].sort((a, b) => b.probability - a.probability);
}
