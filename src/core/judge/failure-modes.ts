/** How parts fail, by kind of part. Key, name on screen. */
export interface FailureMode {
  readonly mode: string;
  readonly says: string;
  /** shown only for these kinds of part; empty: for all */
  readonly kinds: readonly string[];
  /** a part that failed so goes back new unless the technician says otherwise */
  readonly renew: boolean;
}

export const FAILURE_MODES: readonly FailureMode[] = [
  { mode: "missing-teeth", says: "teeth missing", kinds: ["gear"], renew: true },
  { mode: "knife-edged", says: "knife-edged tips", kinds: ["gear"], renew: true },
  { mode: "chipped", says: "chipped", kinds: ["gear"], renew: true },
  { mode: "cracked-hub", says: "cracked hub", kinds: ["gear"], renew: true },
  { mode: "melted", says: "melted", kinds: ["gear", "housing"], renew: true },
  { mode: "worn", says: "worn", kinds: [], renew: true },
  { mode: "slack", says: "slack or rough", kinds: ["bearing"], renew: true },
  { mode: "spins", says: "spins in its seat", kinds: ["bearing"], renew: true },
  { mode: "swollen", says: "swollen, tight", kinds: ["bush"], renew: true },
  { mode: "ovalised", says: "worn oval", kinds: ["bush"], renew: true },
  { mode: "scored", says: "scored", kinds: ["shaft"], renew: true },
  { mode: "bent", says: "bent", kinds: ["shaft"], renew: true },
  { mode: "rusted", says: "rusted", kinds: ["shaft"], renew: true },
  { mode: "short", says: "worn short", kinds: ["brush"], renew: true },
  { mode: "not-looked", says: "left alone", kinds: ["brush", "motor"], renew: false },
  { mode: "hardened", says: "hardened lip", kinds: ["seal"], renew: true },
  { mode: "torn", says: "torn or oil-soaked", kinds: ["gasket", "o-ring", "seal"], renew: true },
  { mode: "corroded", says: "corroded", kinds: [], renew: true },
  { mode: "cracked", says: "cracked", kinds: ["housing", "cover"], renew: true },
  { mode: "sound", says: "sound", kinds: [], renew: false },
];

/** The modes to offer for a kind of part, the special ones first, "sound" last. */
export const modesFor = (kind: string | undefined): FailureMode[] =>
  FAILURE_MODES.filter((m) => m.kinds.length === 0 || (kind !== undefined && m.kinds.includes(kind)));

/** What the state of the old grease says, and how far the work must go. */
export const GREASE_STATES = [
  { state: "good", says: "as new", implies: "Nothing to read from it; top up only if the work stayed clean." },
  { state: "separated", says: "oil and soap apart", implies: "Overheated or old: renew all of it." },
  { state: "dark", says: "dark, burnt smell", implies: "Overload or too little: look for what pulls too hard." },
  { state: "metal", says: "metal glitter", implies: "A gear or bearing is breaking up: strip and wash all of it." },
  { state: "plastic", says: "plastic crumbs", implies: "A plastic gear is failing: wash the whole case, the crumbs eat the new one." },
  { state: "wet", says: "milky or rusty", implies: "Water got in: find where before closing." },
  { state: "gone", says: "leaked next door", implies: "The seal between the chambers leaks: renew it." },
  { state: "dry", says: "dry cake", implies: "Age: wash it out and renew." },
] as const;

/** Complaints as picked from a list at the counter. */
export const SYMPTOMS = [
  { symptom: "output-still", says: "motor runs, output still" },
  { symptom: "clicks", says: "clicks once a turn" },
  { symptom: "louder", says: "louder than before" },
  { symptom: "whines", says: "whines" },
  { symptom: "slips", says: "slips under load" },
  { symptom: "grinds", says: "grinds" },
  { symptom: "leaks", says: "leaks grease" },
  { symptom: "hot", says: "smells hot" },
  { symptom: "dead", says: "dead" },
] as const;
export const symptomSays = (key: string): string => SYMPTOMS.find((s) => s.symptom === key)?.says ?? key;

/**
 * The pair rule as the shop's default: a failed gear's mate is renewed with it unless its measured wear is within limit.
 *
 * @param mateSpanLossMm what the mate's span has lost against its nominal, mm; undefined: not measured
 * @param moduleMm module of the pair
 */
export function pairRule(mateSpanLossMm: number | undefined, moduleMm: number): { readonly renewBoth: boolean; readonly says: string } {
  const limit = Math.round(0.05 * moduleMm * 100) / 100;
  if (mateSpanLossMm === undefined)
    return {
      renewBoth: true,
      says: `Its mate is not measured: renew both, or measure the mate's span. A worn gear wears the new one to its own shape. Up to ${limit} mm lost counts as sound.`,
    };
  if (mateSpanLossMm > limit)
    return {
      renewBoth: true,
      says: `Its mate has lost ${mateSpanLossMm.toFixed(2)} mm of tooth, more than ${limit} mm: renew both. A worn gear wears the new one to its own shape.`,
    };
  return {
    renewBoth: false,
    says: `Its mate has lost ${mateSpanLossMm.toFixed(2)} mm of tooth, within ${limit} mm: it may stay. The other school renews both all the same, as the wear never stops.`,
  };
}
