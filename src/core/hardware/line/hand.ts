import { END, patternOf as of, START } from "./pattern";

const UNDOES = `(?:undoes|undo|undone|unscrews?|unscrewed|loosens?|loosened|(?:comes?|came|turns?|
  turned|spins?|winds?|screws?|goes) (?:off|out|undone|loose)|opens?|opened|releases?|slackens?|
  unwinds?)`;
const DOES_UP = `(?:tightens?|tightened|does up|do up|done up|(?:screws?|goes?|winds?|turns?|
  spins?) (?:in|on|up|tight)|closes?|locks?)`;
const CLOCKWISE = `(?:(?<!anti)(?<!anti-)(?<!counter)(?<!counter-)(?<!anti )(?<!counter )clockwise|
  to the right|rightwards?)`;
const ANTI = `(?:(?:anti|counter)[- ]?clockwise|anticlock|to the left|leftwards?)`;
const OTHER_WAY = String.raw`(?:in\s+|round\s+|it\s+)?(?:the\s+)?(?:other|wrong|opposite|reverse|
  unusual)\s+(?:way|direction)(?:\s+(?:round|around|about))?`;
const IT = String.raw`(?:(?:with|an?|its|the|it|them|that|which|turn|turns|turned|you)\s+){0,5}`;
/** What says that a thread is a left-hand one, whichever way it is put. */
export const LEFT = of(
  String.raw`${START}${IT}(?:(?:is\s+|has\s+)?(?:an?\s+|
  its\s+)?left[- ]?hand(?:ed)?(?:[- ]thread(?:ed)?)?${END}|${UNDOES}\s+${CLOCKWISE}|
  ${DOES_UP}\s+${ANTI}|
  ${CLOCKWISE}\s+(?:is\s+)?(?:to\s+)?(?:undo|loosen|open|unscrew|remove|release|off|loose)${END}|
  ${ANTI}\s+(?:is\s+)?(?:to\s+)?(?:tighten|tight|do up|close)${END}|
  (?:right(?:y)? (?:is )?loose(?:y|ns)?|left(?:y)? (?:is )?tight(?:y|ens)?)|
  (?:${UNDOES}|${DOES_UP}|turns?|screws?|threads?|goes|winds?|works?|is)\s+(?:off\s+|out\s+)?${OTHER_WAY}|
  (?:${UNDOES}|${DOES_UP}|turns?|screws?)\s+(?:backwards?|in reverse)|(?:backwards?|reversed?|opposite|
  contrary)[- ]thread(?:ed)?|reversed?(?=\s+(?:nuts?|screws?|bolts?)${END})|thread(?:ed|
  s)?\s+(?:is\s+)?(?:backwards?|reversed?|${OTHER_WAY}))`,
);
/** What says that a thread is as usual. */
export const RIGHT = of(
  String.raw`${START}${IT}(?:${UNDOES}\s+${ANTI}|${DOES_UP}\s+${CLOCKWISE}|
  ${ANTI}\s+(?:is\s+)?(?:to\s+)?(?:undo|loosen|open|unscrew|remove|release)${END}|
  (?:an?\s+)?(?:normal|ordinary|standard|usual|right[- ]hand(?:ed)?)[- ](?:thread(?:ed)?|way round))`,
);
/** A turn that may be the hand of a thread, or how a thing runs. */
export const UNSURE_HAND = of(
  String.raw`^\s*(?:reversed?|backwards?|clockwise|(?:anti|counter)[- ]?clockwise|${OTHER_WAY})\s*$`,
);
