import { lockerCure } from "../hardware/bench/locker";
import { FREEING_WORDS, type Freeing } from "../hardware/freed";
import { isPlastic } from "../hardware/material";
import { wasLocked } from "../hardware/piece";
import { kindOf, type Part } from "../job/part";
import type { StripStep } from "../job/step";

/**
 * A hazard and the sentence that stands at the step where it is. Sentences are written here and nowhere else.
 */
export interface Caution {
  readonly hazard: string;
  readonly says: string;
  /** applies when the step comes off, when it goes back, or both */
  readonly when: "off" | "back" | "both";
  /** `kinds`: what the step's parts were said to be; `words`: its title, its note and the names of its parts */
  readonly applies: (step: StripStep, kinds: readonly string[], words: string) => boolean;
}

const has = (s: StripStep, ...kinds: string[]): boolean =>
  (s.hardware ?? []).some((h) => kinds.includes(h.kind));

/**
 * Sentences that stand both where hardware or words call for them and where a technician names the hazard.
 */
const SAYS = {
  spring: "Spring under load: glasses on, hold it down with a hand over it while it is let go.",
  clip: "A clip jumps: glasses on, a hand or a rag over it.",
  blade: "Sharp: cut-proof gloves, blade guard or tape over the edge, never lift it by the edge.",
  keyway: "A keyway's edges cut: keep fingers off the slot, never run them along the shaft.",
  "stored-charge":
    "A capacitor may still hold charge: wait, measure, and leave the discharging to a competent person.",
  heavy: "Heavy or awkward: both hands, clear a place for it first.",
} as const;

/** An earth lead by its colours, or by where it goes; green alone is one only by that. */
const hasEarthLead = (s: StripStep): boolean =>
  (s.wires ?? []).some(
    (w) =>
      /\bgreen\b.*\byellow\b|\byellow\b.*\bgreen\b/i.test(w.colour) ||
      /\b(?:earth|ground|pe)\b|⏚/i.test(w.to ?? ""),
  );

const wasDriven = (s: StripStep): boolean => s.action === "drive-out" || s.freed?.how === "drive";

/** What is said of a spring that is under load, or flies. */
const UNDER_LOAD =
  /\bspring[- ]?loaded\b|\bsprings?\b.{0,60}\b(?:load(?:ed)?|tension|flies|jumps?|pre-?load|compressed|under|mind|hold)\b|\b(?:mind|hold|compress|catch)\b.{0,60}\bsprings?\b/;

export const CAUTIONS: readonly Caution[] = [
  {
    hazard: "spring",
    when: "both",
    says: SAYS.spring,
    // a ball that no spring holds lies still
    applies: (s, kinds, w) => has(s, "spring") || kinds.includes("spring") || UNDER_LOAD.test(w),
  },
  { hazard: "clip", when: "both", says: SAYS.clip, applies: (s) => has(s, "circlip", "e-clip") },
  {
    hazard: "blade",
    when: "both",
    says: SAYS.blade,
    applies: (_, kinds, w) =>
      kinds.includes("blade") || (/\bsharp\b(?! side)/.test(w) && !/\bkeyway\b/.test(w)),
  },
  { hazard: "keyway", when: "off", says: SAYS.keyway, applies: (_, _kinds, w) => /\bkeyway\b/.test(w) },
  {
    hazard: "drive-back",
    when: "back",
    says: "Support what it goes through before driving the pin in; brass or a punch of the right size, never the hammer's face.",
    applies: (s) => wasDriven(s) && has(s, "pin"),
  },
  {
    hazard: "drive-off",
    when: "off",
    says: "Drive with a punch just under the hole, the part supported: hardened steel hit with steel throws splinters. Glasses on.",
    applies: wasDriven,
  },
  {
    hazard: "left-hand",
    when: "both",
    says: "Left-hand thread: it loosens to the right and tightens to the left. Do not force it the other way.",
    applies: (s) => s.leftHand === true || (s.hardware ?? []).some((h) => h.leftHand === true),
  },
  {
    hazard: "locker",
    when: "back",
    says:
      "There was thread locker on it: clean both threads, a drop of the same grade. " +
      `The unit runs idle once it holds, under load once it has cured: on steel it ${lockerCure().says}.`,
    applies: (s) => (s.hardware ?? []).some((h) => wasLocked(h) && !isPlastic(h.into)),
  },
  {
    hazard: "locker-on-plastic",
    when: "back",
    says: "There was thread locker on a screw into plastic: none goes back. It does not set there, and cracks ABS and polycarbonate days later. Clean the thread dry.",
    applies: (s) => (s.hardware ?? []).some((h) => wasLocked(h) && isPlastic(h.into)),
  },
  {
    // going back, its assembly says that it goes on first
    hazard: "earth-last",
    when: "off",
    says: "Earth lead: it comes off last.",
    applies: (s) => hasEarthLead(s),
  },
  {
    hazard: "stored-charge",
    when: "off",
    says: SAYS["stored-charge"],
    applies: (s, kinds) => s.action === "unplug" && kinds.some((k) => k === "board" || k === "capacitor"),
  },
];

/**
 * Hazards a technician names at a step with one key; the sentence stands there from then on, off and back.
 */
export const NAMED_HAZARDS: readonly {
  readonly hazard: string;
  readonly name: string;
  readonly says: string;
}[] = [
  { hazard: "spring", name: "Spring under load", says: SAYS.spring },
  { hazard: "clip", name: "Circlip", says: SAYS.clip },
  { hazard: "keyway", name: "Sharp keyway", says: SAYS.keyway },
  { hazard: "blade", name: "Blade", says: SAYS.blade },
  { hazard: "hot", name: "Hot", says: "Hot: gloves, and let it cool before it is touched." },
  {
    hazard: "solvent",
    name: "Solvent",
    says: "Solvent: open the window, no flame and no hot air near it, gloves on.",
  },
  { hazard: "heavy", name: "Heavy", says: SAYS.heavy },
  { hazard: "glass", name: "Glass", says: "Glass: wrap it before it is laid down, nothing on top of it." },
  {
    hazard: "motor-dry",
    name: "Motor must stay dry",
    says: "The motor must stay dry: no solvent, no water, no grease past this point.",
  },
  {
    hazard: "stored-charge",
    name: "Stored charge",
    says: SAYS["stored-charge"],
  },
  {
    hazard: "brake-cleaner",
    name: "Brake cleaner",
    says: "Brake cleaner: outside or with the window open, no flame, no hot surface, no arc: its vapour burns, and near heat it is poison.",
  },
  {
    hazard: "air-jet",
    name: "Air jet",
    says: "Air jet: glasses on, away from faces and hands, never into a bearing: it spins to pieces.",
  },
  {
    hazard: "oily-rags",
    name: "Oily rags",
    says: "Oily rags: flat to dry or into a lid tin; in a heap they take fire by themselves.",
  },
  {
    hazard: "friction-lining",
    name: "Old friction lining",
    says: "Old friction lining may hold asbestos: no air jet, no brush; wet wipe, mask, and into a closed bag.",
  },
  {
    hazard: "lead-paint",
    name: "Lead paint",
    says: "Old paint may hold lead: no dry sanding, no hot air; mask, wet, and wash hands.",
  },
  {
    hazard: "magnetron",
    name: "Magnetron",
    says: "Magnetron: leave it whole, its insulator may hold beryllia; high voltage belongs to a competent person.",
  },
  { hazard: "swarf", name: "Swarf", says: "Swarf: brush and pliers, never fingers, never air." },
  {
    hazard: "hard-steel",
    name: "Hammer on hardened steel",
    says: "Hardened steel hit with steel throws splinters: brass or a soft drift, glasses on.",
  },
  {
    hazard: "solvent-heat",
    name: "Solvent near hot air",
    says: "No solvent where hot air or a flame was or will be used: dry and vented first.",
  },
  {
    hazard: "battery",
    name: "Lithium cells",
    says: "Lithium cells: no metal tool across them, no heat near them, out of the unit and off the bench.",
  },
];

/** Ways of freeing that can hurt with whatever tool. */
const HURTS_ALWAYS: readonly Freeing[] = ["heat", "cut", "jack"];

/**
 * The cautions for a step when it comes off, or when it goes back, as sentences: those named at it, those its
 * hardware and words call for, that of how it was freed.
 */
export function cautionsFor(
  step: StripStep,
  parts: readonly Pick<Part, "name" | "kind">[],
  direction: "off" | "back",
): string[] {
  // which way something faces names no danger: the spring side of a seal is no spring
  const words = [step.title ?? "", step.note ?? "", ...parts.map((p) => p.name ?? "")]
    .join(" ")
    .toLowerCase();
  const kinds = parts.flatMap((p) => kindOf(p) ?? []);
  const named = (step.cautions ?? []).map(
    (hazard) => NAMED_HAZARDS.find((h) => h.hazard === hazard)?.says ?? hazard,
  );
  const called = CAUTIONS.filter(
    (c) => (c.when === direction || c.when === "both") && c.applies(step, kinds, words),
  ).map((c) => c.says);
  // a verb alone names no danger: what was pulled by hand needs no word about pullers
  const { how, tool, standIn } = step.freed ?? {};
  const isGrave = how !== undefined && (tool || standIn || HURTS_ALWAYS.includes(how));
  const freed = isGrave && direction === "off" ? [FREEING_WORDS[how].caution] : [];
  const kept = step.doNotUndo ? [`Do not undo: ${step.doNotUndo}.`] : [];
  return [...new Set([...named, ...kept, ...called, ...freed])];
}
