import { z } from "zod";
import type { Measured } from "../quantity/measured";

/** How parts fail, by kind of part. */
export interface FailureMode {
  readonly mode: string;
  /** as it stands on screen and sheet */
  readonly says: string;
  /** shown only for these kinds of part; empty: for all */
  readonly kinds: readonly string[];
  /** a part that failed so goes back new unless the technician says otherwise */
  readonly renew: boolean;
  /** what was found is no failure */
  readonly sound?: true;
}

const own = (kinds: string, mode: string, says: string, renew = true): FailureMode => ({
  mode,
  says,
  kinds: kinds.split(" "),
  renew,
});
const ofAny = (mode: string, says: string, renew = true): FailureMode => ({ mode, says, kinds: [], renew });

/** The special ones of each kind first, then what happens to anything, "sound" last. */
export const FAILURE_MODES: readonly FailureMode[] = [
  own("gear belt spline ratchet dog-clutch", "missing-teeth", "teeth missing"),
  own("gear", "knife-edged", "knife-edged tips"),
  own("gear blade", "chipped", "chipped"),
  own("gear", "cracked-hub", "cracked hub"),
  own("gear bush", "split", "split"),
  own("gear housing switch wire", "melted", "melted"),
  own("gear", "pitted", "pitted"),
  own("gear", "scuffed", "scuffed, scored along its flanks"),
  own("gear", "worn-at-one-end", "worn at one end of its face"),
  own("gear", "rolled", "edges rolled over"),
  own("gear bearing", "blued", "blue with heat"),
  own("gear housing cover", "crazed", "fine cracks all over"),
  own("shaft bearing", "wound", "string or hair wound in", false),
  own("bearing", "slack", "slack or rough"),
  own("bearing", "spins", "spins in its seat"),
  own("bush seal o-ring gasket", "swollen", "swollen, tight"),
  own("bush", "ovalised", "worn oval"),
  own("shaft", "scored", "scored"),
  own("shaft pin bracket blade", "bent", "bent"),
  own("pin shaft", "sheared", "sheared off"),
  own("shaft", "rusted", "rusted"),
  own("brush", "short", "worn short"),
  own("seal o-ring gasket belt", "hardened", "hardened"),
  own("gasket o-ring seal belt", "torn", "torn"),
  own("belt chain", "stretched", "stretched, slips"),
  own("spring", "weak", "has lost its force"),
  own("ratchet dog-clutch spline", "rounded", "corners rounded, jumps out"),
  own("one-way-clutch", "slips", "slips both ways"),
  own("switch", "contacts", "contacts burnt"),
  own("switch motor board heater capacitor", "dead", "does nothing"),
  own("fuse thermal-cut-off", "blown", "open, lets no current through"),
  own("wire", "chafed", "chafed through"),
  own("wire", "loose", "loose at its terminal", false),
  own("motor", "burnt", "winding burnt"),
  own("motor", "commutator", "commutator burnt or grooved"),
  own("blade", "blunt", "blunt", false),
  own("housing cover bracket", "cracked", "cracked"),
  own("housing cover", "stripped", "thread stripped", false),
  own("housing cover", "seat-worn", "seat worn out"),
  own("bearing bush shaft motor brush switch chain one-way-clutch", "stuck", "stuck", false),
  ofAny("worn", "worn"),
  ofAny("broken", "broken"),
  ofAny("lost", "lost"),
  ofAny("worked-loose", "worked loose", false),
  ofAny("reversed", "fitted the wrong way round", false),
  own("gear belt shaft", "mistimed", "out of time", false),
  own("bearing bush housing cover", "overtightened", "drawn too tight", false),
  ofAny("corroded", "corroded"),
  ofAny("contaminated", "dirty or oil-soaked", false),
  { ...own("brush motor", "not-looked", "left alone", false), sound: true },
  { mode: "sound", says: "sound", kinds: [], renew: false, sound: true },
];

/** Modes that would be said with another word of the same kind: a gear does not "break", it loses teeth. */
const SAID_OTHERWISE: Readonly<Record<string, readonly string[]>> = {
  gear: ["broken"],
  bearing: ["broken", "worn"],
  brush: ["worn"],
  housing: ["worn", "broken"],
  cover: ["worn"],
  wire: ["worn"],
  seal: ["broken"],
  "o-ring": ["broken"],
  gasket: ["broken"],
};

/** The modes to offer for a kind of part, the special ones first, "sound" last. */
export const modesFor = (kind: string | undefined): FailureMode[] =>
  FAILURE_MODES.filter((m) =>
    m.kinds.length === 0
      ? !SAID_OTHERWISE[kind ?? ""]?.includes(m.mode)
      : kind !== undefined && m.kinds.includes(kind),
  );

export const modeNamed = (mode: string | undefined): FailureMode | undefined =>
  FAILURE_MODES.find((m) => m.mode === mode);
/** What was found at a part: how it failed, and what else. */
export interface Found {
  readonly mode?: string | undefined;
  readonly also?: readonly string[] | undefined;
}
/** Everything that was found at a part, the first thing first. */
export const modesOf = ({ mode, also = [] }: Found): readonly string[] =>
  mode === undefined ? [] : [mode, ...also];

/** @example foundSays({ mode: "bent", also: ["scored"] }) // "bent, and scored" */
export const foundSays = (f: Found): string =>
  modesOf(f)
    .map((m) => modeNamed(m)?.says ?? m)
    .join(", and ");

/** Of several findings at one part the one that asks for most: a part that must be renewed is renewed. */
export const worstOf = (f: Found): string | undefined =>
  modesOf(f).find((m) => modeNamed(m)?.renew) ?? f.mode;

/**
 * Whether what was found of a part is a failure: it goes back new, is mended, or goes back as it is with a
 * reason.
 */
export const isFailure = (mode: string | undefined): boolean =>
  mode !== undefined && modeNamed(mode)?.sound !== true;

/**
 * What the state of the old grease says, how the customer is told of it, and how far the work must go. Several
 * may hold at once.
 */
export const GREASE_STATES = [
  {
    state: "good",
    says: "as new",
    told: "as good as new",
    implies: "Nothing to read from it; top up only if the work stayed clean.",
  },
  {
    state: "separated",
    says: "oil and soap apart",
    told: "its oil had come apart from it",
    implies: "Overheated or old: renew all of it.",
  },
  {
    state: "dark",
    says: "dark, burnt smell",
    told: "dark, with a burnt smell",
    implies: "Overload or too little: look for what pulls too hard.",
  },
  {
    state: "metal",
    says: "metal glitter",
    told: "with metal glitter in it",
    implies: "A gear or bearing is breaking up: strip and wash all of it.",
  },
  {
    state: "plastic",
    says: "plastic crumbs",
    told: "with crumbs of plastic in it",
    implies: "A plastic gear is failing: wash the whole case, the crumbs eat the new one.",
  },
  {
    state: "wet",
    says: "milky or rusty",
    told: "water had got into it",
    implies: "Water got in: find where before closing.",
  },
  {
    state: "gone",
    says: "leaked next door",
    told: "it had leaked out of its case",
    implies: "The seal between the chambers leaks: renew it.",
  },
  { state: "dry", says: "dry cake", told: "dried up", implies: "Age: wash it out and renew." },
  {
    state: "dirt",
    says: "sand or dust in it",
    told: "with sand or dust in it",
    implies: "Dirt got in: wash all of it, and look for the way in.",
  },
] as const;
export const greaseState = z.enum(GREASE_STATES.map((g) => g.state));
export type GreaseState = z.infer<typeof greaseState>;
/** What was said of the old grease, in the order of the list. */
export const greaseStatesIn = (states: readonly string[]): (typeof GREASE_STATES)[number][] =>
  GREASE_STATES.filter((g) => states.includes(g.state));
/** Crumbs of metal or plastic: the whole case is washed, whatever the cause. */
export const hasCrumbs = (states: readonly string[]): boolean =>
  states.includes("metal") || states.includes("plastic");

/**
 * How what flows off is looked at after a washing; empty: no crumbs were found. A magnet finds steel and no
 * plastic.
 */
export function crumbCheck(states: readonly string[]): string {
  const [metal, plastic] = [states.includes("metal"), states.includes("plastic")];
  if (metal && plastic) return "a magnet and a white cloth at the last rinse";
  return metal ? "a magnet at the last rinse" : plastic ? "a white cloth at the last rinse" : "";
}

/** The states with one more, or one less; "as new" stands alone. */
export function greaseStatesWith(states: readonly string[], pressed: GreaseState): GreaseState[] {
  const next = states.includes(pressed)
    ? states.filter((s) => s !== pressed)
    : pressed === "good"
      ? [pressed]
      : [...states.filter((s) => s !== "good"), pressed];
  return greaseStatesIn(next).map((g) => g.state);
}

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
  { symptom: "buzzes", says: "buzzes, stands" },
  { symptom: "play", says: "has play" },
  { symptom: "vibrates", says: "vibrates" },
  { symptom: "loses-speed", says: "lost a speed" },
  { symptom: "comes-and-goes", says: "comes and goes" },
  { symptom: "stiff", says: "stiff to turn" },
  { symptom: "jerks", says: "jerks" },
  { symptom: "cuts-out", says: "cuts out when warm" },
  { symptom: "sparks", says: "sparks" },
  { symptom: "noise-since-opened", says: "noisy since it was opened" },
] as const;
export const symptomSays = (key: string): string => SYMPTOMS.find((s) => s.symptom === key)?.says ?? key;

export interface PairRule {
  readonly mate: "not measured" | "worn" | "not to be told" | "sound";
  readonly renewBoth: boolean;
  readonly says: string;
}

/** What a mate may have lost and still count as sound, mm. */
export const pairLimitMm = (moduleMm: number): number => Math.round(5 * moduleMm) / 100;

/**
 * Whether the mate of a failed gear may stay. Up to a twentieth of a module less than a new one counts as
 * sound (usual bench practice); what is more than that, and cannot be the spread of new gears and of the
 * caliper, is worn.
 *
 * @param loss of the mate's spans against a new gear's, mm, with its spread; nothing where it was not
 *   measured
 */
export function pairRule(loss: Measured | undefined, moduleMm: number): PairRule {
  const limit = pairLimitMm(moduleMm);
  if (!loss)
    return {
      mate: "not measured",
      renewBoth: true,
      says: `Its mate is not measured: renew both, or measure the mate's span. A worn gear wears the new one to its own shape. Up to ${limit} mm lost counts as sound.`,
    };
  const lost = Math.max(0, loss.value);
  const spread = 2 * loss.u;
  if (lost > limit && lost > spread)
    return {
      mate: "worn",
      renewBoth: true,
      says: `Its mate has lost ${lost.toFixed(2)} mm of tooth, more than ${limit} mm: renew both. A worn gear wears the new one to its own shape.`,
    };
  if (lost > limit)
    return {
      mate: "not to be told",
      renewBoth: true,
      says: `Its mate is ${lost.toFixed(2)} mm under a new gear's middle, and new ones differ by ${spread.toFixed(2)} mm: it cannot be told. Look for a step on its flanks; with one, or without time to look, renew both.`,
    };
  return {
    mate: "sound",
    renewBoth: false,
    says: `Its mate has lost ${lost.toFixed(2)} mm of tooth, within ${limit} mm: it may stay. The other school renews both all the same, as the wear never stops.`,
  };
}
