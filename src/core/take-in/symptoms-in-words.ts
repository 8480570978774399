import type { SYMPTOMS } from "../judge/failure-modes";

type Symptom = (typeof SYMPTOMS)[number]["symptom"];

const MOTOR_RUNS = /\bmotor (?:still )?(?:runs?|running|turns|spins|hums|whirs|goes)\b|\bhear the motor\b/;
const NOTHING_MOVES = new RegExp(
  "\\bnothing (?:turns|moves|happens|comes)|\\bsits there\\b|\\bstands? still\\b|\\bno longer (?:turns|moves|spins)|" +
    "\\b(?:doesn't|does not|won't|will not|stopped) (?:turn|move|spin)",
);

/** What customers say of each, in small letters. */
const WORDS: readonly (readonly [Symptom, RegExp])[] = [
  ["clicks", /\bclick(?:s|ing|ed)?\b|\bclack/],
  ["louder", /\blouder\b|\bnoisier\b|\b(?:so|very|too|got|gets) (?:loud|noisy)\b|\bracket\b/],
  ["whines", /\bwhin(?:e|es|ing)\b|\bhowl|\bsqueal|\bshriek/],
  ["slips", /\bslip(?:s|ping|ped)?\b/],
  ["grinds", /\bgrind(?:s|ing)?\b|\bgrating\b|\bcrunch/],
  ["leaks", /\bleak(?:s|ing|ed)?\b|\b(?:oil|grease) (?:comes|came|runs|drips|drops) (?:out|from|off)|\booz/],
  [
    "hot",
    /\bsmell(?:s|ed|ing)? (?:hot|burnt|burned|burning|of burn)|\bburn(?:ing|t) smell|\bsmok(?:es|ed|ing|e)\b/,
  ],
  ["buzzes", /\bbuzz|\bhums? (?:but|and|without) (?:does|doesn't|nothing|won't|turning|moving)/],
  ["play", /\bwobbl|\bhas play\b|\bplay in\b/],
  ["vibrates", /\bvibrat|\bshakes?\b|\bshaking\b|\bjudder/],
  ["loses-speed", /\blost (?:a|one) speed|\bonly (?:runs|works|goes) on (?:one|high|low|full|fast|slow)/],
  ["comes-and-goes", /\bcomes and goes\b|\bintermittent|\bsometimes (?:it )?(?:works|runs|starts)/],
  ["stiff", /\bstiff\b|\b(?:hard|heavy) to (?:turn|crank|move)/],
  ["jerks", /\bjerk|\bstutter|\bin fits\b/],
  [
    "cuts-out",
    /\bcuts out\b|\bstops (?:when|once) (?:it is |it's |it gets )?(?:hot|warm)|\bstops after \S+ minutes/,
  ],
  ["sparks", /\bspark(?:s|ed|ing)?\b(?! plug)/],
];
const DEAD =
  /\bdead\b|\bno sign of life\b|\b(?:doesn't|does not|won't|will not) (?:start|switch on|turn on|come on|do anything)/;
const NOISE = /\bnois|\bloud|\brattl|\bwhin|\bgrind|\bhum/;
const SINCE_OPENED = /\bsince\b[^.]*\b(?:opened|apart|mended|repaired|fixed|changed|put (?:it )?together)\b/;

/** Said of what is not so: "no sparks", "it doesn't leak", "never got hot". */
const DENIED =
  /\b(?:no|not|never|without|isn't|doesn't|does not|didn't|did not|hasn't|nor)\s+(?:\w+\s+){0,2}$/;

/**
 * Symptoms that the customer's words seem to tell, to be proposed at the counter and confirmed there. A
 * sentence is read by itself, and what it denies is not proposed.
 */
export function symptomsIn(complaint: string): Symptom[] {
  const out = new Set<Symptom>();
  for (const sentence of complaint
    .toLowerCase()
    .replaceAll("’", "'")
    .split(/[.!?;\n]+/)) {
    const says = (re: RegExp): boolean => {
      const at = re.exec(sentence);
      return at !== null && !DENIED.test(sentence.slice(0, at.index));
    };
    if (MOTOR_RUNS.test(sentence) && NOTHING_MOVES.test(sentence)) out.add("output-still");
    else if (says(DEAD)) out.add("dead");
    for (const [symptom, re] of WORDS) if (says(re)) out.add(symptom);
    if (SINCE_OPENED.test(sentence) && NOISE.test(sentence)) out.add("noise-since-opened");
  }
  return [...out];
}
