import { LOOKS } from "./lexicon";
import { END, patternOf as of, START } from "./pattern";
import { HOLDING_KINDS, KIND_WORDS } from "./phrases";
import { COUNT, type Found, isUnsure, KIND_NAMED, notCounted, toolsIn, waysAndTools } from "./ways-and-tools";

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
  String.raw`${START}(?!\d|${COUNT}\s|(?:${LOOKS.join("|")})\s)(\p{L}[\p{L}-]*(?:[^s\s]\s+(?:hooks|clips|
  snaps|locks|plugs)|
  s\s+(?:hook|clip|snap|lock|plug)))\s+(?:on|onto|over|in|into|under|behind|round|around|through|
  between)${END}`,
);
/** Flats by which a shaft drives, or is driven. */
export const ITS_FLATS = of(
  String.raw`^\s*(?:has\s+|the\s+|its\s+|both\s+)?(?:(?:a|one|two|2|three|3)\s+)?flats?\s+(?:on|of|
  at)\s+(?:the\s+|its\s+)?
  (?:\p{L}+\s+)?(?:shaft|spindle|axle|arbou?r|stub|roll|end)${END}|
  ^\s*(?:on\s+)?(?:an?\s+|its\s+|the\s+)?(?:d[- ]?(?:shaft|shaped (?:shaft|hole|end))|square (?:shaft|end|
  hole)|hex shaft|splined (?:shaft|end))\s*$`,
);
/** "Oil seal pressed in it stays" */
export const PRESSED_AND_STAYS = of(
  String.raw`${START}(?:pressed|glued|moulded|staked|screwed|fixed)\s+(?:in|into|on|
  onto)${END}.{0,60}\bstays?\b.{0,12}$`,
);
/** What seals a joint and is no piece. */
export const SEALANT = of(
  String.raw`^\s*(?:sealed with\s+|on\s+)?(?:liquid gasket|gasket (?:maker|sealant|goo)|silicone|sealant|
  sealing compound)\s*$`,
);
/** How something adjustable stood: "adjusting screw stood three threads out". */
export const STOOD = of(
  String.raw`${START}(?:stood|stands|sat|stuck|sticks)\s+(?:out\s+|up\s+|about\s+)*(?:${COUNT}|
  \d+(?:[.,]\d+)?)(?:\s+and a half)?\s*
  (?:threads?|turns?|mm|notches|clicks)${END}|
  ^\s*(?:about\s+)?\d+(?:[.,]\d+)?\s*mm\s+(?:off|from|above|below|clear of|proud of|away from|
  short of)\s+(?:the|its)${END}`,
);
/** How far it was turned back: "two turns back". */
export const TURNED_BACK = of(
  String.raw`${START}(?:stood\s+)?(?:about\s+)?(?:${COUNT}|
  \d+(?:[.,]\d+)?)(?:\s+and a half)?\s+(?:threads?|turns?|notches|clicks)\s+
  (?:back|out|open|proud|in(?=\s*$))${END}`,
);
/** "Crank pin in the slot": what a pin that stays on its part goes into. */
export const PIN_IN = of(
  String.raw`^\s*(?:the\s+|its\s+|an?\s+)?(?:\p{L}[\p{L}-]*\s+)?pins?\s+in(?:to)?\s+(?:the\s+|its\s+|
  an?\s+)?(?:slots?|forks?|grooves?|
  tracks?|yokes?)\s*$`,
);
/** "2 bearings pressed on": so they came, and so they may have stayed. */
export const PRESSED_ON = of(
  String.raw`^\s*(?:${COUNT}\s+)?(?:\p{L}[\p{L}-]*\s+)?(?:${KIND_WORDS})(?:e?s)?\s+(?:is\s+|
  are\s+)?(?:still\s+)?pressed (?:on|in)\s*$`,
);
/** A piece that nobody touched: "jam nut left alone". */
export const LEFT_ALONE = of(
  String.raw`${START}(?:left|leave|let)\s+(?:alone|as (?:it|they) (?:is|was|are|were)|untouched|
  well alone)\s*$`,
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
  String.raw`^\s*(?:clips|hooks|snaps|plugs|locks)\s+(?:on|onto|over|in|into|to)\s+(?:${COUNT}\s+|the\s+|
  its\s+)?(?:\p{L}+\s+)?${FEATURE}${END}`,
);
/** Features that are named and no more: "two catches". */
const FEATURE_ALONE = of(
  String.raw`^\s*(?:the\s+|its\s+|an?\s+)?(?:${COUNT}\s+)?(?:\p{L}[\p{L}-]*\s+)?(?:tabs?|catch(?:es)?|
  lugs?|ears?|slots?|grooves?|
  notch(?:es)?|ribs?|tongues?|holes?|noses?|spigots?|recess(?:es)?)\s*$`,
);
const FACES = of(
  String.raw`(?<!\bthe\s)(?:up|down|in|out|inwards?|outwards?|upwards?|downwards?|first|rear|front)\s*$|
  ${START}(?:facing|faces|towards?|to)\s+(?:the\s+)?[\p{L}-]+\s*$`,
);
/** A thing told by what it holds in its hand: "two flats", of a spindle. */
const NO_PIECE = of(`${START}(?:flats?|tangs?|ends?|key of|slot|its|the|teeth|tooth)${END}`);

/** What it sits on, or what it holds: the subject may be a piece that came off. */
export function seat(text: string, hadScrew: boolean): Found[] | undefined {
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
      ...waysAndTools(text.slice(0, by.index), hadScrew),
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
