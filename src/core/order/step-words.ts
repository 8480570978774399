import { FREEING_WORDS } from "../hardware/freed";
import { patternOf } from "../hardware/line/pattern";
import type { BackMoment, Remark, RemarkAbout, StepFacts } from "../job/step";
import { NAMED_HAZARDS } from "../safety/cautions";

/**
 * How a fact of a step is said: in the recorder as chips, and at the rebuild as what must be minded when the
 * step is undone.
 */
export interface FactWords {
  readonly chips: readonly string[];
  /** left out: the rebuild has a place of its own for it, or nothing to say */
  readonly back?: string;
  readonly danger?: boolean;
}
/** When something of one's own comes, around the return of a step. */
export const BACK_SAYS: Readonly<Record<BackMoment, string>> = {
  instead: "how it goes on",
  before: "before it goes back",
  while: "while it goes on",
  final: "before it is made final",
  after: "once it is on",
  closing: "before it is closed over",
  end: "at the very end",
  calibrate: "set and measured last",
};

/** How a remark is introduced on a chip; at the rebuild, where it is of use there. */
const REMARK_SAYS: Readonly<Record<RemarkAbout, { readonly chip: string; readonly back?: string }>> = {
  way: { chip: "came off" },
  seat: { chip: "in place", back: "How it sits" },
  variant: { chip: "other units" },
  meanwhile: { chip: "for a while", back: "Was put on for a while" },
  return: { chip: "↩", back: "For its return" },
  share: { chip: "of them", back: "Of these" },
};
/** "Rubber feet over four of them": what lies over what holds the part. */
const LIES_OVER = patternOf(String.raw`
  ^(?!.*\b(?:sits?|lies|rests?)\b).*\b(?:over|covers?|covering|hides?|hiding)\s+
  (?:the\s+|all\s+|(?:\w+\s+)?of\s+)*(?:them|these|those|heads?|screws?|bolts?|nuts?)\b`);
/** What a step says lies over its screws, and goes on once they are drawn. */
export const liesOver = ({ remarks = [] }: Pick<StepFacts, "remarks">): string[] =>
  remarks.filter(isOver).map((r) => r.says);
const isOver = ({ about, says }: Remark): boolean => about === "seat" && LIES_OVER.test(says);

const remarkBack = (all: readonly Remark[]): string | undefined =>
  all
    .filter((r) => !isOver(r))
    .flatMap(({ about, says }) => (REMARK_SAYS[about].back ? [`${REMARK_SAYS[about].back}: ${says}`] : []))
    .join("; ") || undefined;

type FactMap = { readonly [K in keyof StepFacts]-?: NonNullable<StepFacts[K]> };

const timing = (t: NonNullable<StepFacts["timing"]>): string =>
  [t.pin && `a ${t.pin} at the pin`, t.turns !== undefined && `${t.turns} turns to dead centre`, t.says]
    .filter(Boolean)
    .join("; ");

/**
 * The words of every fact, in the order in which they are looked for. A fact that is added to `stepFacts` is
 * asked for here by the types.
 */
const WORDS: { readonly [K in keyof FactMap]: (fact: FactMap[K]) => FactWords } = {
  freed: (f) => ({
    chips: f.says ? [] : [`${FREEING_WORDS[f.how].says}${f.standIn ? ", with a stand-in" : ""}`],
  }),
  held: (held) => ({ chips: [`held by ${held.join(", ")}`] }),
  facing: (f) => ({ chips: [`▼ ${f}`] }),
  marks: (marks) => ({ chips: marks.map((m) => `✎ ${m}`) }),
  wires: (wires) => ({ chips: wires.map((w) => `${w.colour} → ${w.to}`) }),
  timing: (t) => ({ chips: [`◷ ${timing(t)}`], back: `◷ Timing: ${timing(t)}` }),
  // the rebuild draws their order
  holes: (h) => ({ chips: [`${h.at.length} holes in the picture`] }),
  setting: (s) => ({ chips: [`⟂ stood at ${s}`], back: `⟂ Set it back to where it stood: ${s}` }),
  // at the rebuild each is a line of its own
  back: (all) => ({ chips: all.map((b) => `↩ ${BACK_SAYS[b.when]}: ${b.says}`) }),
  doNotUndo: (what) => ({ chips: [`⊘ do not undo: ${what}`] }),
  tools: (tools) => ({ chips: [`with ${tools.join(", ")}`] }),
  leftHand: () => ({
    chips: ["LEFT-HAND thread"],
    danger: true,
  }),
  remarks: (all) => {
    const back = remarkBack(all);
    return { chips: all.map((r) => `${REMARK_SAYS[r.about].chip}: ${r.says}`), ...(back && { back }) };
  },
  // it stands over its chips, as it was typed
  said: () => ({ chips: [] }),
  tray: (place) => ({ chips: [`▦ ${place}`] }),
  note: (n) => ({ chips: [n] }),
  cautions: (all) => ({
    chips: all.map((c) => `⚠ ${NAMED_HAZARDS.find((h) => h.hazard === c)?.name ?? c}`),
    danger: true,
  }),
  minutes: (m) => ({ chips: [`${m} min`] }),
};
const FACTS = Object.keys(WORDS).filter((k): k is keyof StepFacts => k in WORDS);

function wordsOf<K extends keyof FactMap>(
  facts: { readonly [P in keyof FactMap]?: FactMap[P] },
  fact: K,
): FactWords | undefined {
  const value = facts[fact];
  return value === undefined ? undefined : WORDS[fact](value);
}

export interface FactChip {
  readonly fact: keyof StepFacts;
  readonly says: string;
  readonly danger: boolean;
  /** which of several sayings of the fact it is */
  readonly at: number;
}

/**
 * Everything a step says of itself, as short words.
 *
 * @example factChips({ tray: "B4" }) // [{ fact: "tray", says: "▦ B4", danger: false, at: 0 }]
 */
export const factChips = (facts: StepFacts): FactChip[] =>
  FACTS.flatMap((fact) => {
    const words = wordsOf(facts, fact);
    return (words?.chips ?? []).flatMap((says, at) =>
      says ? [{ fact, says, danger: words?.danger ?? false, at }] : [],
    );
  });

/** What must be minded when the step is undone; what lies over its screws is told apart (`liesOver`). */
export const mindAtRebuild = (facts: StepFacts): string[] =>
  FACTS.flatMap((fact) => wordsOf(facts, fact)?.back ?? []);

/**
 * A step where people read of it: what came off, and its place on the Mat, counted from 0 here.
 *
 * @example stepCalled(2, "drive wheel") // "drive wheel (step 3)"
 */
export const stepCalled = (at: number, what: string | null | undefined): string =>
  what ? `${what} (step ${at + 1})` : `step ${at + 1}`;
