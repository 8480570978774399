/** What calipers say of a plain bush and its shaft, mm. */
export interface BushReadings {
  readonly boreMm?: number;
  /** the bore a quarter turn on */
  readonly boreAcrossMm?: number;
  readonly shaftMm?: number;
}
export interface BushVerdict {
  readonly mode: "sound" | "ovalised" | "worn" | "swollen";
  readonly says: string;
}

/** Most play of H8/e8 by the shaft's size, mm (ISO 286-2: EI to −ei): up to this diameter, this much. */
const MOST_PLAY: readonly (readonly [upTo: number, play: number])[] = [
  [3, 0.042],
  [6, 0.056],
  [10, 0.069],
  [18, 0.086],
  [30, 0.106],
  [50, 0.128],
  [80, 0.152],
  [120, 0.18],
];
/** Of larger shafts than the table has, as of its largest. */
const mostPlay = (shaftMm: number): number => MOST_PLAY.find(([upTo]) => shaftMm <= upTo)?.[1] ?? 0.18;

/**
 * A plain bush judged by its play: a running fit H8/e8 of this size has at most so much (ISO 286-2; 0.086 mm
 * at 12 mm); twice that is worn out. Ovality of more than 0.05 mm is
 * wear from one side. A bore at or under its shaft has swollen, as nylon does in water and some greases.
 *
 * @returns null while bore or shaft is not measured
 * @example bushVerdict({ boreMm: 8.21, shaftMm: 7.98 })?.mode // "worn"
 */
export function bushVerdict({ boreMm, boreAcrossMm, shaftMm }: BushReadings): BushVerdict | null {
  const oval = boreMm !== undefined && boreAcrossMm !== undefined ? Math.abs(boreMm - boreAcrossMm) : 0;
  if (oval > 0.05)
    return {
      mode: "ovalised",
      says: `${oval.toFixed(2)} mm out of round: worn from one side. Renew it, and look at what pulls that way`,
    };
  if (boreMm === undefined || shaftMm === undefined) return null;
  const play = (boreAcrossMm === undefined ? boreMm : (boreMm + boreAcrossMm) / 2) - shaftMm;
  const usual = mostPlay(shaftMm);
  if (play <= 0.005)
    return {
      mode: "swollen",
      says: `bore ${play < 0 ? `${(-play).toFixed(2)} mm under` : "as large as"} its shaft: swollen. Ream it to ${(shaftMm + 0.04).toFixed(2)} mm or renew it, and find what it soaked up`,
    };
  if (play > 2 * usual)
    return {
      mode: "worn",
      says: `${play.toFixed(2)} mm of play, where ${usual.toFixed(2)} mm is usual: worn out. The gears on this shaft mesh askew`,
    };
  return { mode: "sound", says: `${play.toFixed(2)} mm of play: within a running fit of this size` };
}
