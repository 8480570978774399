import type { Freeing } from "../freed";
import type { About, Aside } from "./aside";
import { clausesOf } from "./clauses";
import { LEFT, RIGHT, UNSURE_HAND } from "./hand";
import { LOOKS } from "./lexicon";
import { END, patternOf, START } from "./pattern";
import { HOLDING_KINDS, KIND_WORDS } from "./phrases";

const of = patternOf;
const all = (source: string): RegExp => new RegExp(of(source).source, "giu");
const COUNT = String.raw`(?:\d{1,2}|an?|one|two|three|four|five|six|both|some)`;

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
const HAS_SCREW = of(
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
const TURN_AND_OFF = of(
  String.raw`^\s*(?:an?\s+)?(?:quarter|half|eighth|1\/4|1\/2|1\/8)[- ]turn${END}(?!\s*(?:past|more|
  further|after|behind)).*
  (?:off|out|lift|pull|stops?|free|release|left|right|clockwise)${END}.*$`,
);
/** Nothing but verbs: "tilt and lift". */
const BARE_WAYS = of(
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
const HELD = of(
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

/** What a thing does in its place: what is named behind it is a part of the machine, and not on the bench. */
const SEATED = `(?:sits?|sat|rests?|rested|lands?|landed|runs?|rides?|hangs?|hung|pivots?|spins?|
  rotates?|bears?|
  butts?|locates?|located|engages?|engaged|meshes|mesh|mates?|lines?|aligns?|fits?|goes|go|drops?|
  slots?|slides?|
  passes|pass|reaches|touches|rubs?|clears?|catches|grips?|lies|lie|leads?|is keyed|is located|
  is guided|guided|
  nests?|stops?|follows?|drives|registers?|centres|centers|overlaps?|abuts?)`;
const PREPOSITION = `(?:on|onto|over|in|into|inside|through|under|underneath|behind|between|against|
  around|round|
  with|up with|up to|across|along|to|at|beside|next to|from|by|above|below)`;
const SEAT = of(
  String.raw`${START}(?:${SEATED}\s+(?:\p{L}+ly\s+|right\s+|just\s+|all\s+|flush\s+|flat\s+|
  up\s+)?${PREPOSITION}|
  (?:is|are|was|were)\s+(?:pressed|glued|moulded|molded|cast|riveted|welded|crimped|soldered|screwed|
  bonded|staked|shrunk)\s+(?:in|on|into|onto|to))${END}`,
);
/** These take what they touch without a word between. */
const TOUCHES = of(
  String.raw`${START}(?:engages|touches|clears|catches|grips|drives|follows|overlaps|abuts|covers|
  holds)\s+(?:the|its|a|an|both|with)${END}`,
);
const HOLDS_IT = of(
  String.raw`${START}(?:hold|holds|held|keep|keeps|kept|retain|retains|secure|secures)\s+(?:it|them|the|
  its|this|that|everything|on|in|down|up)(?!\s*(?:by|with))${END}`,
);
const HELD_BY = of(
  String.raw`${START}(?:is\s+|are\s+)?(?:held|retained|secured|guided|located|kept|fixed|fastened|
  locked|driven|closed|clipped|hung)(?:\s+(?:on|in|down|up|together|there|by itself))?\s+(?:by|
  with)${END}`,
);
/** Nouns that do these things as verbs too: they are verbs behind another noun. */
const AS_NOUNS = of(
  String.raw`${START}(?!\d|${COUNT}\s|(?:${LOOKS.join("|")})\s)(\p{L}[\p{L}-]*(?:[^s\s]\s+(?:hooks|clips|snaps|locks|plugs)|
  s\s+(?:hook|clip|snap|lock|plug)))\s+(?:on|onto|over|in|into|under|behind|round|around|through|
  between)${END}`,
);
/** Flats by which a shaft drives, or is driven. */
const ITS_FLATS = of(
  String.raw`^\s*(?:has\s+|the\s+|its\s+|both\s+)?(?:(?:a|one|two|2|three|3)\s+)?flats?\s+(?:on|of|at)\s+(?:the\s+|its\s+)?
  (?:\p{L}+\s+)?(?:shaft|spindle|axle|arbou?r|stub|roll|end)${END}|
  ^\s*(?:on\s+)?(?:an?\s+|its\s+|the\s+)?(?:d[- ]?(?:shaft|shaped (?:shaft|hole|end))|square (?:shaft|end|hole)|hex shaft|splined (?:shaft|end))\s*$`,
);
/** A piece that was only moved aside: "springs lifted, brushes pulled back". */
const MOVED_ASIDE = of(
  String.raw`^\s*(?:the\s+|its\s+|both\s+|all\s+)?(?:springs?\s+(?:lifted|held(?:\s+back)?)|
  (?:${KIND_WORDS})(?:e?s)?\s+(?:lifted|pushed|pulled|held|swung|moved|bent|tucked|folded|turned|slid)\s+
  (?:up|back|aside|away|clear|to (?:the|one) side|out of the way))(?:\s+and held)?\s*$`,
);
/** "Oil seal pressed in it stays" */
const PRESSED_AND_STAYS = of(
  String.raw`${START}(?:pressed|glued|moulded|staked|screwed|fixed)\s+(?:in|into|on|onto)${END}.{0,60}\bstays?\b.{0,12}$`,
);
/** What seals a joint and is no piece. */
const SEALANT = of(
  String.raw`^\s*(?:sealed with\s+|on\s+)?(?:liquid gasket|gasket (?:maker|sealant|goo)|silicone|sealant|sealing compound)\s*$`,
);
/** How something adjustable stood: "adjusting screw stood three threads out". */
const STOOD = of(
  String.raw`${START}(?:stood|stands|sat|stuck|sticks)\s+(?:out\s+|up\s+|about\s+)*(?:${COUNT}|\d+(?:[.,]\d+)?)(?:\s+and a half)?\s*
  (?:threads?|turns?|mm|notches|clicks)${END}|
  ^\s*(?:about\s+)?\d+(?:[.,]\d+)?\s*mm\s+(?:off|from|above|below|clear of|proud of|away from|short of)\s+(?:the|its)${END}`,
);
/** A thing that was backed off, or walked off, by how far or to where. */
const BACKED_OFF = of(
  String.raw`^\s*(?:the\s+|its\s+)?(?:\p{L}[\p{L}-]*\s+){1,2}(?:backed|walked|rolled|eased|slipped|wound)\s+(?:off|out|down|back)${END}`,
);
/** How far it was turned back: "two turns back". */
const TURNED_BACK = of(
  String.raw`${START}(?:stood\s+)?(?:about\s+)?(?:${COUNT}|\d+(?:[.,]\d+)?)(?:\s+and a half)?\s+(?:threads?|turns?|notches|clicks)\s+
  (?:back|out|open|proud|in(?=\s*$))${END}`,
);
/** A pin on a spring is lifted out of its hole, and stays in its place. */
const PLUNGER = of(
  String.raw`^\s*(?:the\s+|its\s+)?(?:spring(?:[- ]loaded)?|detent|plunger|index|locking|latch) pin\s+(?:is\s+)?
  (?:lifts?|lifted|pulls?|pulled|springs?|pops?|pushe[sd])(?:\s+(?:up|out|back|in|aside))?\s*$`,
);
/** "Crank pin in the slot": what a pin that stays on its part goes into. */
const PIN_IN = of(
  String.raw`^\s*(?:the\s+|its\s+|an?\s+)?(?:\p{L}[\p{L}-]*\s+)?pins?\s+in(?:to)?\s+(?:the\s+|its\s+|an?\s+)?(?:slots?|forks?|grooves?|
  tracks?|yokes?)\s*$`,
);
/** "2 bearings pressed on": so they came, and so they may have stayed. */
const PRESSED_ON = of(
  String.raw`^\s*(?:${COUNT}\s+)?(?:\p{L}[\p{L}-]*\s+)?(?:${KIND_WORDS})(?:e?s)?\s+(?:is\s+|are\s+)?(?:still\s+)?pressed (?:on|in)\s*$`,
);
/** A piece that nobody touched: "jam nut left alone". */
const LEFT_ALONE = of(
  String.raw`${START}(?:left|leave|let)\s+(?:alone|as (?:it|they) (?:is|was|are|were)|untouched|well alone)\s*$`,
);
/** What screws is the part: "screws off, left-hand thread". */
const IT_SCREWS = of(
  String.raw`^\s*(?:it\s+|(?:the\s+)?\p{L}[\p{L}-]*[^s\d\s]\s+)?screws\s+(?:off|out|apart)(?:\s+by hand|\s+easily)?\s*$`,
);
/** What belongs to a part and comes off with it. */
const FEATURE = `(?:slots?|grooves?|tongues?|tabs?|lugs?|hooks?|ears?|holes?|notch(?:es)?|ribs?|
  boss(?:es)?|shoulders?|
  catch(?:es)?|noses?|feet|legs?|pegs?|spigots?|recess(?:es)?|pips?|nibs?|keyways?|cut-?outs?|openings?)`;
const FEATURED = of(
  String.raw`^\s*(?:the\s+|its\s+|an?\s+)?(?:${COUNT}\s+)?(?:\p{L}[\p{L}-]*\s+)?${FEATURE}\s+(?:on|onto|
  over|in|into|at|of|through|under|behind|between|against|goes?|snaps?|hooks?|fits?|sits?|drops?|
  engages?|to)${END}`,
);
const FEATURE_NAMED = of(`${START}(?:${FEATURE}|dowels?)${END}`);
/** A thing that clips on to others: the word is a verb. */
const CLIPS_ON = of(
  String.raw`^\s*(?:clips|hooks|snaps|plugs|locks)\s+(?:on|onto|over|in|into|to)\s+(?:${COUNT}\s+|the\s+|its\s+)?(?:\p{L}+\s+)?${FEATURE}${END}`,
);
/** Features that are named and no more: "two catches". */
const FEATURE_ALONE = of(
  String.raw`^\s*(?:the\s+|its\s+|an?\s+)?(?:${COUNT}\s+)?(?:\p{L}[\p{L}-]*\s+)?(?:tabs?|catch(?:es)?|lugs?|ears?|slots?|grooves?|
  notch(?:es)?|ribs?|tongues?|holes?|noses?|spigots?|recess(?:es)?)\s*$`,
);
const FACES = of(
  String.raw`(?<!\bthe\s)(?:up|down|in|out|inwards?|outwards?|upwards?|downwards?|first|rear|front)\s*$|
  ${START}(?:facing|faces|towards?|to)\s+(?:the\s+)?[\p{L}-]+\s*$`,
);
/** A thing told by what it holds in its hand: "two flats", of a spindle. */
const NO_PIECE = of(`${START}(?:flats?|tangs?|ends?|key of|slot|its|the|teeth|tooth)${END}`);

const OTHER_UNITS = of(
  String.raw`${START}(?:(?:on|in|with|for|of)\s+)?(?:the\s+|some\s+|most\s+|all\s+)?(?:later|latest|
  older|newer|earlier|early|old|new|previous|next|first|other|recent|second|some|most|many)\s+
  (?:(?:ones?(?!\s*(?:was|is|out|off|first|last)))|models?|units?|versions?|types?|series|batch(?:es)?|
  machines?|variants?|production|examples|years)${END}|
  ${START}(?:some|others)\s+(?:have|has|had|use|come with|are|got)${END}|${START}mk\s?[\divx]+${END}|
  ${START}(?:sometimes|usually|normally|often|supposed to|should (?:be|have)|may have|might have|
  if (?:fitted|there|present))${END}`,
);
/** "Other ones" may lie on the bench as well. */
const ONLY_OTHER = of(String.raw`^\s*(?:the\s+)?(?:other|second|first|next|new|old)\s+ones?${END}`);
const INSTEAD = of(`${START}(?:instead of|rather than|in place of|where there (?:was|is))${END}.*$`);
const FOR_A_WHILE = of(
  String.raw`${START}(?:back|on again|in again)\s+(?:on|in|into|onto)(?!\s+(?:the\s+)?(?:left|right))${END}|
  ${START}(?:put|run|ran|screwed|wound|spun|threaded|slipped|fitted|placed)\s+(?:\p{L}+\s+){0,3}(?<!the\s)back${END}|
  ${START}(?:for now|for the time being|for transport|temporar\p{L}+|meanwhile|to save the thread|
  (?:so as )?not to lose|
  to not lose|so (?:that )?(?:it|they|nothing|none|i)|to keep (?:it|them|the)|taped|tied(?!\s+to)|
  until it goes)${END}`,
);
const GOES_BACK = of(String.raw`${START}(?:goes?|going|put|fit|fitted|
  screw)\s+(?:\p{L}+\s+){0,2}back${END}`);
/** "Let it set 10 minutes" */
const TAKES_TIME = of(
  String.raw`^\s*(?:then\s+)?(?:let|leave|wait|give)${END}.{0,50}\s(?:\d+|an?|one|two|half an?)\s*(?:minutes?|mins?|hours?|hrs?|h|days?)${END}`,
);
const RETURNS = of(
  String.raw`^\s*(?:please\s+|and\s+|but\s+)?(?:(?:renew|replace|mind|remember|don['’]?t|do not|never|
  always|make sure|be careful|(?:air\s+)?gap\s+\d|set\s+(?:to|at)\s|
  careful|tighten|retighten|beware|watch)${END}|(?:grease|oil|lubricate|check|clean|torque|align|adjust|
  smear|grip|degrease|wipe|count|test|note|fit|
  put|set|turn|press|push|hold|keep|start|look|see|measure|mark|do|line|draw|nip|tap|glue)
  (?:\s+(?:the|it|them|this|that|these|those|both|all|up|down|each|a|at|for|out|on|before|after|while|
  how|your|well|lightly|with|everything)${END})|(?:grease|oil|lubricate|check|clean|degrease|
  wipe)\s*$)`,
);
const ON_RETURN = of(
  String.raw`${START}(?:(?:when|before|after|once|as|while|until)\s+(?:it|they|this|that|the \p{L}+|
  you)\s+(?:goes?|comes?|is|are|go)|on (?:the way back|reassembly|refitting|return)|
  when refitt\p{L}+|(?:must|has to|have to|needs? to|should)\s+(?:be|go|come|sit|not)|(?:every|
  each) time|past snug|not too tight|
  crosswise|criss-?cross|in turns?|order \p{L}+ first|\p{L}+ goes first|(?:left|right|front|rear|top|bottom|long|short|big|small|inner|outer|
  upper|lower)(?:er)? ones? (?:first|last))${END}`,
);
const NEW = of(
  String.raw`^\s*(?:always\s+|best\s+)?(?:renew|replace|renewed|replaced|use (?:a )?new(?: ones?)?|
  goes back new|go back new|needs? (?:a )?new(?: ones?)?|new (?:one|ones)|fit (?:a )?new(?: ones?)?|
  (?:must|has to|have to|should|to)\s+be\s+(?:renewed|replaced)|single use|use(?:d)? once)
  (?:\s+(?:it|them|this|these|that|each|every|always|time|on|reassembly|please|when|goes|back|once|off|
  only))*\s*$`,
);
const COUNTED_PIECE = of(
  String.raw`${START}(?:(?:\d{1,3}\s*[x×]?|two|three|four|five|six|seven|eight|nine|
  ten)\s+(?:\p{L}[\p{L}-]*\s+)?(?:${KIND_WORDS})s?${END}|m\d{1,2}\s?[x×]\s?\d)`,
);
const KIND_NAMED = of(`${START}(?:${KIND_WORDS})(?:e?s)?${END}`);

/** The tools named in a stretch of a line, with their sizes, in the order in which they were said. */
const toolsIn = (text: string): string[] => [...text.matchAll(NAMED_TOOL)].map((m) => m[0].trim());
/** What was used, named as it was said where the trade's list does not have it: "with a rod". */
function instrumentIn(text: string): string[] {
  const named = toolsIn(text);
  if (named.length) return named;
  const said = of(String.raw`^\s+with\s+(?:an?|the|my|${COUNT})\s+(.{2,40}?)\s*$`).exec(text)?.[1];
  return said ? [said] : [];
}

const isUnsure = (text: string): boolean => COUNTED_PIECE.test(text);
const notCounted = (text: string): string => `“${text.trim()}” is counted nowhere: did it come off as well?`;

/**
 * The stretches of a line that hold no piece, in their order. What they swallow is kept as it was said; where a
 * counted piece stands in one, a doubt asks for it.
 *
 * @example asidesIn("2 nuts, levered off with two screwdrivers")[0] // about "way", tools ["screwdrivers"], how "pry"
 */
export function asidesIn(line: string): Aside[] {
  const out: Aside[] = [];
  // what stands in brackets is a place, and in braces a note, whatever it looks like
  const open = line.replace(/\([^()]*\)|\{[^{}]*\}/g, (m) => "_".repeat(m.length));
  let hasScrew = false;
  for (const clause of clausesOf(line)) {
    const text = open.slice(clause.from, clause.to);
    for (const a of inClause(text, hasScrew)) {
      const blank = /^\s*/.exec(text.slice(a.from))?.[0].length ?? 0;
      out.push({ ...a, from: clause.from + a.from + blank, to: clause.from + a.to });
    }
    hasScrew ||= HAS_SCREW.test(text);
  }
  return out.filter((a) => /[\p{L}\p{N}]/u.test(line.slice(a.from, a.to)));
}

type Found = Omit<Aside, "from" | "to"> & { readonly from: number; readonly to: number };

function inClause(text: string, hadScrew: boolean): Found[] {
  const whole = (about: About, more: Partial<Found> = {}): Found[] => [
    { from: 0, to: text.length, about, ...more },
  ];
  if (NEW.test(text)) return whole("return", { once: true });
  const hand = RIGHT.exec(text) ?? LEFT.exec(text);
  if (hand) {
    const [from, to] = [hand.index, hand.index + hand[0].length];
    const said: Found = { from, to, about: "hand", hand: RIGHT.test(text) ? "right" : "left" };
    const behind = plain(text.slice(to), hadScrew).map((a) => ({ ...a, from: a.from + to, to: a.to + to }));
    return [...plain(text.slice(0, from), hadScrew), said, ...behind];
  }
  if (UNSURE_HAND.test(text))
    return whole("hand", {
      hand: "left",
      doubt: `“${text.trim()}”: a left-hand thread? Which way does it loosen?`,
    });
  if ([BARE_WAYS, IT_SCREWS, MOVED_ASIDE, PLUNGER, BACKED_OFF].some((way) => way.test(text)))
    return whole("way");
  if (/^\s*let (?:down|off)\b/i.test(text)) return whole("way");
  if (ITS_FLATS.test(text) || LEFT_ALONE.test(text)) return whole("seat");
  if (PIN_IN.test(text) || PRESSED_ON.test(text))
    return whole("seat", { doubt: `“${text.trim()}”: did it come off as well?` });
  if (PRESSED_AND_STAYS.test(text) || SEALANT.test(text)) return whole("seat");
  const alsoOff = KIND_NAMED.test(text) ? { doubt: `“${text.trim()}”: did it come off as well?` } : {};
  if (STOOD.test(text)) return whole("seat", alsoOff);
  const turned = TURNED_BACK.exec(text)?.index;
  if (turned !== undefined) {
    const [what, how] = [text.slice(0, turned), text.slice(turned)];
    const doubt = KIND_NAMED.test(how) ? { doubt: `“${how.trim()}”: did it come off as well?` } : {};
    return [
      ...(what.trim() ? inClause(what, hadScrew) : []),
      { from: turned, to: text.length, about: "seat", ...doubt },
    ];
  }
  const other = OTHER_UNITS.exec(text);
  if (other && !ONLY_OTHER.test(other[0])) {
    const isHead = other.index <= 12 && !COUNTED_PIECE.test(text.slice(0, other.index));
    return isHead
      ? whole("variant")
      : [
          ...plain(text.slice(0, other.index), hadScrew),
          { from: other.index, to: text.length, about: "variant" },
        ];
  }
  const instead = INSTEAD.exec(text);
  if (instead && instead.index > 0)
    return [
      ...plain(text.slice(0, instead.index), hadScrew),
      { from: instead.index, to: text.length, about: "variant" },
    ];
  if (/\bas an? (?:\p{L}+ )?(?:puller|drift|punch|lever|jack|tool)\b/iu.test(text))
    return whole("tool", { tools: [text.trim()] });
  if (TAKES_TIME.test(text)) return whole("return");
  if (RETURNS.test(text)) {
    const isNamed = KIND_NAMED.test(text) && !/\b(?:the|its|it|them|this|these|both|all)\b/i.test(text);
    return whole("return", isNamed || isUnsure(text) ? { doubt: notCounted(text) } : {});
  }
  if (FOR_A_WHILE.test(text) && !GOES_BACK.test(text.replace(/put/i, "")))
    return whole("meanwhile", isUnsure(text) ? { doubt: notCounted(text) } : {});
  const back = ON_RETURN.exec(text);
  if (back) {
    const isNamed = KIND_NAMED.test(text.slice(0, back.index));
    return whole("return", isNamed ? { doubt: notCounted(text) } : {});
  }
  if (HELD.test(text)) return whole("tool", { tools: toolsIn(text) });
  if (TURN_AND_OFF.test(text)) return whole("way");
  return seat(text, hadScrew) ?? plain(text, hadScrew);
}

/** What it sits on, or what it holds: the subject may be a piece that came off. */
function seat(text: string, hadScrew: boolean): Found[] | undefined {
  const by = HELD_BY.exec(text);
  if (by) {
    const rest = text.slice(by.index + by[0].length);
    const holds =
      HOLDING_KINDS.some((k) => of(`${START}${k}s?${END}`).test(rest)) ||
      /\b(torx|phillips|m\d|tx?\d|pozi|ph\d)/i.test(rest);
    if (toolsIn(rest).length && /with\s*$/i.test(by[0]) && !text.slice(0, by.index).trim())
      return [{ from: by.index, to: text.length, about: "tool", tools: toolsIn(rest) }];
    // what holds it is counted; that it does is no more than that
    if (holds && !toolsIn(rest).length) return [{ from: 0, to: by.index + by[0].length, about: "share" }];
    const doubt =
      KIND_NAMED.test(rest) && !/\b(dowel|tab|hook|rib)/i.test(rest) ? { doubt: notCounted(rest) } : {};
    // "held with a bar through the disc": while it was undone, or always?
    const isWith = /held\s+with\s*$/i.test(by[0]) && !FEATURE_NAMED.test(rest);
    return [
      ...plain(text.slice(0, by.index), hadScrew),
      { from: by.index, to: text.length, about: isWith ? "way" : "seat", ...doubt },
    ];
  }
  if (CLIPS_ON.test(text)) return [{ from: 0, to: text.length, about: "seat" }];
  if (FEATURE_ALONE.test(text) || (FEATURED.test(text) && !FACES.test(text)))
    return [{ from: 0, to: text.length, about: "seat" }];
  const found = [SEAT, TOUCHES, HOLDS_IT, AS_NOUNS]
    .map((p) => p.exec(text))
    .filter((m) => m !== null)
    .sort((a, b) => a.index - b.index)[0];
  // "slides off" sits on nothing
  if (
    !found ||
    /\boff\s*$/i.test(text.slice(0, found.index + found[0].length).trimEnd() === text.trimEnd() ? text : "")
  )
    return undefined;
  // the subject of these stands in what was found
  const noun = found[1] ? found[1].split(/\s/)[0] : undefined;
  // "retaining clips in the cover" are pieces
  if (found[1] && of(`^(?:${KIND_WORDS})s?$`).test(found[1])) return undefined;
  const verb = found.index + (noun ? noun.length + 1 : 0);
  const subject = text.slice(0, verb);
  const isPiece = KIND_NAMED.test(subject) || /(^|\s)\d+\s*x\s|m\d/i.test(subject);
  // at the head of a clause these are pieces: "seals in the cover"
  if (!subject.trim() && /^(?:keys?|seals?|stops?|drives|slots?)\s/i.test(found[0])) return undefined;
  if (!isPiece || NO_PIECE.test(subject)) return [{ from: 0, to: text.length, about: "seat" }];
  const isHeld = HOLDS_IT.test(found[0]);
  const doubt = isHeld || isUnsure(subject) ? {} : { doubt: `“${text.trim()}”: did it come off as well?` };
  return [{ from: verb, to: text.length, about: "seat", ...doubt }];
}

/** Tools and ways in a clause that may hold pieces beside them. */
function plain(text: string, hadScrew: boolean): Found[] {
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
