import type { Freeing } from "../freed";
import type { Aside } from "./aside";
import { END, patternOf as of, START } from "./pattern";
import { KIND_WORDS } from "./phrases";

/** A stretch of a clause, and what it says. */
export type Found = Omit<Aside, "from" | "to"> & { readonly from: number; readonly to: number };

const all = (source: string): RegExp => new RegExp(of(source).source, "giu");
export const COUNT = String.raw`(?:\d{1,2}|an?|one|two|three|four|five|six|both|some)`;

const TOOL_ADJECTIVE = `(?:long|short|small|big|large|thin|flat|wide|narrow|blunt|stubby|plastic|wooden|
  brass|nylon|soft|rubber|copper|bent|magnetic|magnet|stiff|sharp|broad|fine|proper|special|home-?made|
  internal|
  external|angled|straight|needle[- ]?nosed?|long[- ]?nosed?|(?:two|three|twin|[23])[- ](?:leg|jaw|
  arm)(?:ged|ed)?|
  impact|torque|ring|open|open[- ]?ended|adjustable|strap|chain|circlip|snap[- ]ring|combination|hook|
  ball|pin|nut|
  bearing|gear|pulley|hub|flywheel|slide|allen|hex|torx|phillips|pozi|slotted|security|
  cross(?:[- ]?head)?|arbor|
  dead[- ]blow|claw|roll[- ]pin|parallel|centre|center|craft|putty|utility|deep|thin-walled|pair of|
  couple of|good|
  old|same|right|left|other)`;
/** What is a tool whatever stands beside it. */
const SURE_TOOL = String.raw`(?:(?:screw|nut) ?drivers?|spanners?|wrench(?:es)?|pliers|pincers|nippers|
  snips|
  punch(?:es)?|drifts?|pullers?|mallets?|hammers?|spudgers?|(?:pry|crow|tommy|breaker) ?bars?|tweezers|
  vices?|vises?|
  chisels?|soldering ?irons?|(?:heat|hot[- ]?air) ?guns?|hair ?dr[yi]ers?|blow ?torch(?:es)?|hack ?saws?|
  (?:side|wire|flush|end) ?cutters?|jacking (?:screws?|bolts?)|feeler gauges?|calipers?|
  (?:arbor|bench|hydraulic) press|t-?handles?|l-?keys?|open[- ]end(?:ed|ers?)|ring[- ]enders?|scrapers?|
  spatulas?|
  (?:block|piece|bit|lump|scrap|strip) of (?:wood|tube|pipe|rod)|wooden block|extractors?|(?:hot )?air gun|
  (?:magnet|torx|hex|driver|security|t[zx]?\d{1,2}|ph\d|pz\d) bits?|screwdriver blades?)`;
/** What is a tool where it has a size, or was held, used, or taken "with". */
const SIZED_TOOL = String.raw`(?:sockets?(?!\s*(?:head|screw|cap|bolt|button|set|m\d|st\d|#))|drivers?|
  allen keys?|hex(?:agon)? keys?|
  torx keys?)`;
const LENGTH = String.raw`(?:\d{1,3}(?:[.,]\d{1,2})?(?:\/\d{1,2})?\s*(?:mm|inch|in|"|″)?|(?:tx|t|ph|pz|
  sl|torx|phillips|pozi)\s?#?\d{1,2}h?)`;
const TAKEN = String.raw`(?:(?:with|using|used?|via|needs?|needed|takes?|took|wants?|requires?)\s+)`;
const SIZE_BEHIND = String.raw`(?:\s+\d{1,2}(?:[.,]\d)?(?:\s*mm)?(?!\s*(?:[x×]|
  (?:${KIND_WORDS})s?${END}))${END})?`;
/** What is said of a tool behind it: where it was set, what for. */
const TOOL_TAIL = String.raw`(?:\s+(?:behind|under|underneath|against|on|onto|in|into|through|from|
  between|round|
  around|for|as|at|to|so|with|until|till|over|across|is|was|does|works|needed|only|will|(?:and|
  or) (?:a |the )?
  (?:magnet|vice|block|rag|torch))${END}[^,;]*)?`;
const TOOL = all(
  `${START}${TAKEN}?(?:${COUNT}\\s+|the\\s+|my\\s+)?(?:${TOOL_ADJECTIVE}\\s+){0,4}
  (?:(?:${LENGTH}\\s*)?(?:${TOOL_ADJECTIVE}\\s+){0,4}${SURE_TOOL}${END}${SIZE_BEHIND}|
  ${LENGTH}\\s*(?:${TOOL_ADJECTIVE}\\s+){0,4}${SIZED_TOOL}${END}|
  ${SIZED_TOOL}\\s+\\d{1,2}(?:\\s*mm)?${END}(?![\\/.x×-]))${TOOL_TAIL}`,
);
/** A tool inside what was used, without what leads up to it. */
const NAMED_TOOL = all(
  `${START}(?:(?:${TOOL_ADJECTIVE}\\s+){0,4}(?:${LENGTH}\\s*)?(?:${TOOL_ADJECTIVE}\\s+){0,4}(?:${SURE_TOOL}|${SIZED_TOOL})${END}${SIZE_BEHIND})`,
);
/** The key or spanner of a screw that is named is how it is driven, and no tool beside it. */
const ITS_KEY = of(
  String.raw`${START}(?:allen|hex(?:agon)?) keys?${END}|\d\s*(?:mm)?\s*(?:spanner|wrench)\s*$`,
);
export const HAS_SCREW = of(
  String.raw`${START}(?:screws?|bolts?|grubs?|m\d{1,2}(?:[.,]\d)?|st\d|nuts?)(?:\s?[x×]\s?\d+)?${END}`,
);

/** Verbs by which a thing comes free of itself: what comes "with" it came off as well. */
const COMES = `(?:comes?|came|pops?|popped|lifts?|lifted|slides?|slid|pulls|falls?|fell|drops?|dropped|
  hinges?|hinged|
  unclips|unclipped|unhooks?|unhooked|swings?|swung|tilts?|tilted|twists?|flips?|folds?|wiggles?|
  wiggled|rocks?|draws?|
  peels?|jumps?|jumped|fly|flies|flew|unscrews|unwinds|snaps?|turns?)`;
/** Verbs of what was done to it: what it was done "with" is a tool. */
const DONE = `(?:driven|drove|drives?|knocked|knocks?|tapped|tap|taps|punched|punch|pressed|press|
  presses|pulled|
  pull|pried|pry|prised|prise|prized|levered|lever|levers|pushed|push|pushes|jacked|jack|heated|heat|
  heats|warmed|
  twisted|unscrewed|unscrew|unbolted|unplugged|unplug|eased|ease|worked|rolled|drilled|drill|unsoldered|
  desoldered|
  drew|drawn|withdrew|withdrawn|clamped|gripped|squeezed|squeeze|pinched|bent|split|cut|sawn|ground|
  chiselled|scraped|
  peeled|turned|spun|freed|walked|walk|rolled|shaken|shook|tilt|lift|slide|twist|unclip|unhook|rock|wiggle|pop)`;
/** Verbs that are nouns, or names of pieces, as well: they count with a word of direction behind them. */
const NOUNS =
  /^(?:drives?|taps?|press|presses|pull|pulls|lever|levers|push|punch|jack|heat|drill|lift|lifts|slide|slides|split|cut|ground|spring|springs|snap|snaps|hinge|hinges|turn|turns|drop|drops|draws?|fold|folds|flip|rock|rocks|twist|twists|peel|peels|pop|pops|falls?|swings?|tilts?|bent|squeeze|ease|prise|pry)$/i;
const OFF = `(?:out|off|up|back|apart|away|loose|free|down|through|open|over|sideways|straight|easily|
  by hand|
  forwards?|upwards?|clear|askew)`;
const WAY = all(
  `${START}(?:(?:then|it|they|just|was|were|is|are|has to be|had to be|be|must be|to be|
  all)\\s+){0,4}(${COMES}|${DONE})${END}((?:\\s+${OFF}${END})*)`,
);
export const TURN_AND_OFF = of(
  String.raw`^\s*(?:an?\s+)?(?:quarter|half|eighth|1\/4|1\/2|1\/8)[- ]turn${END}(?!\s*(?:past|more|
  further|after|behind)).*
  (?:off|out|lift|pull|stops?|free|release|left|right|clockwise)${END}.*$`,
);
/** Nothing but verbs: "tilt and lift". */
export const BARE_WAYS = of(
  String.raw`^\s*(?:${COMES}|${DONE})(?:\s+(?:it|them))?(?:\s+${OFF})*(?:\s*(?:and|then|
  to)\s+(?:${COMES}|${DONE})(?:\s+(?:it|them))?(?:\s+${OFF})*)+\s*$`,
);
const WAY_TAIL = of(
  String.raw`^\s+(?:using|by|to|towards?|until|till|from|through|on|onto|in|into|after|before|when|
  while|as|so|over|along|its|their|of (?:its|the|their)|
  past|at|against|like|quite|very|once|about|round|around|behind|under)${END}(?:(?!\sand\s)[^,;])*`,
);
const OFF_WHAT = of(String.raw`^\s+(?:the|a|an)\s+[^,;]{1,60}`);
const INSTRUMENT = of(String.raw`^\s+with${END}(?:(?!\sand\s+${COUNT}\s)[^,;])*`);
/** In "with its shaft", what comes along is part of it. */
const ITS_OWN = of(String.raw`^\s+(?:together\s+|along\s+)?with\s+(?:its|the|their|all its)${END}[^,;]*`);
export const HELD = of(
  String.raw`^\s*(?:i\s+)?(?:(?:held|holding|gripped|gripping|clamped|clamping|wedged|blocked|stopped|
  stopping|jammed|steadied|supported)\s+(?!by|on|in|with${END})|
  (?:hold|lock|locked|block|stop|jam|support|steady|clamp|wedge|grip)\s+(?:the|it|its|them|a|one)${END}|
  \p{L}+\s+(?:held|locked|stopped|blocked)\s+with${END}).*$`,
);
const HOW: readonly (readonly [RegExp, Freeing])[] = [
  [/^(driven|drove|drives?|knock\w*|punch\w*)$/i, "drive"],
  [/^(pulled|pull|drew|drawn|withdr\w+)$/i, "pull"],
  [/^(pried|pry|pris\w+|prized|lever\w*)$/i, "pry"],
  [/^press\w*$/i, "press"],
  [/^tap\w*$/i, "tap"],
  [/^(heat\w*|warmed)$/i, "heat"],
  [/^jack\w*$/i, "jack"],
  [/^(slid|slides?)$/i, "slide"],
  [/^twist\w*$/i, "twist"],
  [/^(cut|sawn)$/i, "cut"],
];

/** A piece that was only moved aside: "springs lifted, brushes pulled back". */
export const MOVED_ASIDE = of(
  String.raw`^\s*(?:the\s+|its\s+|both\s+|all\s+)?(?:springs?\s+(?:lifted|held(?:\s+back)?)|
  (?:${KIND_WORDS})(?:e?s)?\s+(?:lifted|pushed|pulled|held|swung|moved|bent|tucked|folded|turned|slid)\s+
  (?:up|back|aside|away|clear|to (?:the|one) side|out of the way))(?:\s+and held)?\s*$`,
);
/** A thing that was backed off, or walked off, by how far or to where. */
export const BACKED_OFF = of(
  String.raw`^\s*(?:the\s+|its\s+)?(?:\p{L}[\p{L}-]*\s+){1,2}(?:backed|walked|rolled|eased|slipped|
  wound)\s+(?:off|out|down|back)${END}`,
);
/** A pin on a spring is lifted out of its hole, and stays in its place. */
export const PLUNGER = of(
  String.raw`^\s*(?:the\s+|its\s+)?(?:spring(?:[- ]loaded)?|detent|plunger|index|locking|
  latch) pin\s+(?:is\s+)?
  (?:lifts?|lifted|pulls?|pulled|springs?|pops?|pushe[sd])(?:\s+(?:up|out|back|in|aside))?\s*$`,
);
/** What screws is the part: "screws off, left-hand thread". */
export const IT_SCREWS = of(
  String.raw`^\s*(?:it\s+|(?:the\s+)?\p{L}[\p{L}-]*[^s\d\s]\s+)?screws\s+(?:off|out|apart)(?:\s+by hand|
  \s+easily)?\s*$`,
);
export const COUNTED_PIECE = of(
  String.raw`${START}(?:(?:\d{1,3}\s*[x×]?|two|three|four|five|six|seven|eight|nine|
  ten)\s+(?:\p{L}[\p{L}-]*\s+)?(?:${KIND_WORDS})s?${END}|m\d{1,2}\s?[x×]\s?\d)`,
);
export const KIND_NAMED = of(`${START}(?:${KIND_WORDS})(?:e?s)?${END}`);

/** The tools named in a stretch of a line, with their sizes, in the order in which they were said. */
export const toolsIn = (text: string): string[] => [...text.matchAll(NAMED_TOOL)].map((m) => m[0].trim());
/** What was used, named as it was said where the trade's list does not have it: "with a rod". */
function instrumentIn(text: string): string[] {
  const named = toolsIn(text);
  if (named.length) return named;
  const said = of(String.raw`^\s+with\s+(?:an?|the|my|${COUNT})\s+(.{2,40}?)\s*$`).exec(text)?.[1];
  return said ? [said] : [];
}

export const isUnsure = (text: string): boolean => COUNTED_PIECE.test(text);
export const notCounted = (text: string): string =>
  `“${text.trim()}” is counted nowhere: did it come off as well?`;

/** Tools and ways in a clause that may hold pieces beside them. */
export function waysAndTools(text: string, hadScrew: boolean): Found[] {
  const out: Found[] = [];
  const isFree = (from: number, to: number): boolean => !out.some((a) => from < a.to && to > a.from);
  for (const m of text.matchAll(WAY)) {
    const [whole, verb = "", off = ""] = m;
    const start = m.index;
    const end = start + whole.length;
    if (!isFree(start, end)) continue;
    const rest = text.slice(end);
    const isDone = of(`^${DONE}$`).test(verb);
    const isNoun = NOUNS.test(verb);
    const isAlone = /^\s*$/.test(rest) && /^\s*$/.test(text.slice(0, start));
    const takesIt = /^\s+(?:the|it|them|this|both|a|an|its|all)(?![\p{L}])/iu.test(rest);
    const isFirst = /^\s*$/.test(text.slice(0, start)) || /\band\s*$/i.test(text.slice(0, start));
    if (isNoun && !off && !(isFirst && takesIt)) continue;
    // "lever out at 2 o'clock" is where it stands
    if (/^lever$/i.test(verb) && /^\s+at\b/i.test(rest)) continue;
    if (isAlone && !off && HOW.some(([w]) => w.test(verb))) continue;
    const own = ITS_OWN.exec(rest);
    const tool = isDone ? INSTRUMENT.exec(rest) : null;
    // "slid off the square shaft", and not "prised off the circlip"
    const at = /\boff\s*$/i.test(whole) ? OFF_WHAT.exec(rest) : null;
    // and what lifts off its drive pins is not them
    const offWhat = at && !(isDone && KIND_NAMED.test(at[0])) ? at : null;
    const tail = (own ?? tool ?? offWhat ?? WAY_TAIL.exec(rest))?.[0] ?? "";
    const tools = tool && !own ? instrumentIn(tail) : toolsIn(tail);
    const how = HOW.find(([w]) => w.test(verb))?.[1];
    const doubted =
      tail && isUnsure(tail) && !/jacking/i.test(tail) && !tools.some((t) => of(SURE_TOOL).test(t));
    out.push({
      from: start,
      to: end + tail.length,
      about: "way",
      ...(tools.length ? { tools } : {}),
      ...(how ? { how } : {}),
      ...(doubted ? { doubt: notCounted(tail) } : {}),
    });
  }
  const hasScrew = hadScrew || HAS_SCREW.test(text);
  for (const m of text.matchAll(TOOL)) {
    const from = m.index + (/^\s*/.exec(m[0])?.[0].length ?? 0);
    const to = m.index + m[0].length;
    if (!isFree(from, to)) continue;
    // the key of a screw that is named is that screw's drive
    if (
      ITS_KEY.test(m[0]) &&
      hasScrew &&
      !/\b(?:with|us(?:ing|ed?)|needs?|takes?)\b.*(?:spanner|wrench)/i.test(m[0])
    )
      continue;
    const doubted = isUnsure(
      m[0].replace(/^\s*(?:with\s+)?(?:\d|two|three|both)\s+/i, "").replace(of(SURE_TOOL), ""),
    );
    out.push({
      from,
      to,
      about: "tool",
      tools: toolsIn(m[0]),
      ...(doubted ? { doubt: notCounted(m[0]) } : {}),
    });
  }
  return out.sort((a, b) => a.from - b.from);
}
