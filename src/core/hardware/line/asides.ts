import type { About, Aside } from "./aside";
import { clausesOf } from "./clauses";
import { LEFT, RIGHT, UNSURE_HAND } from "./hand";
import { END, patternOf as of, START } from "./pattern";
import {
  ITS_FLATS,
  LEFT_ALONE,
  PIN_IN,
  PRESSED_AND_STAYS,
  PRESSED_ON,
  SEALANT,
  STOOD,
  seat,
  TURNED_BACK,
} from "./seats";
import {
  BACKED_OFF,
  BARE_WAYS,
  COUNTED_PIECE,
  type Found,
  HAS_SCREW,
  HELD,
  IT_SCREWS,
  isUnsure,
  KIND_NAMED,
  MOVED_ASIDE,
  notCounted,
  PLUNGER,
  TURN_AND_OFF,
  toolsIn,
  waysAndTools,
} from "./ways-and-tools";

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
  ${START}(?:put|run|ran|screwed|wound|spun|threaded|slipped|fitted|
  placed)\s+(?:\p{L}+\s+){0,3}(?<!the\s)back${END}|
  ${START}(?:for now|for the time being|for transport|temporar\p{L}+|meanwhile|to save the thread|
  (?:so as )?not to lose|
  to not lose|so (?:that )?(?:it|they|nothing|none|i)|to keep (?:it|them|the)|taped|tied(?!\s+to)|
  until it goes)${END}`,
);
const GOES_BACK = of(String.raw`${START}(?:goes?|going|put|fit|fitted|
  screw)\s+(?:\p{L}+\s+){0,2}back${END}`);
/** "Let it set 10 minutes" */
const TAKES_TIME = of(
  String.raw`^\s*(?:then\s+)?(?:let|leave|wait|give)${END}.{0,50}\s(?:\d+|an?|one|two|
  half an?)\s*(?:minutes?|mins?|hours?|hrs?|h|days?)${END}`,
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
  crosswise|criss-?cross|in turns?|order \p{L}+ first|\p{L}+ goes first|(?:left|right|front|rear|top|
  bottom|long|short|big|small|inner|outer|
  upper|lower)(?:er)? ones? (?:first|last))${END}`,
);
const NEW = of(
  String.raw`^\s*(?:always\s+|best\s+)?(?:renew|replace|renewed|replaced|use (?:a )?new(?: ones?)?|
  goes back new|go back new|needs? (?:a )?new(?: ones?)?|new (?:one|ones)|fit (?:a )?new(?: ones?)?|
  (?:must|has to|have to|should|to)\s+be\s+(?:renewed|replaced)|single use|use(?:d)? once)
  (?:\s+(?:it|them|this|these|that|each|every|always|time|on|reassembly|please|when|goes|back|once|off|
  only))*\s*$`,
);
/**
 * The stretches of a line that hold no piece, in their order. What they swallow is kept as it was said; where
 * a counted piece stands in one, a doubt asks for it.
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

function inClause(text: string, hadScrew: boolean): Found[] {
  const whole = (about: About, more: Partial<Found> = {}): Found[] => [
    { from: 0, to: text.length, about, ...more },
  ];
  if (NEW.test(text)) return whole("return", { once: true });
  const hand = RIGHT.exec(text) ?? LEFT.exec(text);
  if (hand) {
    const [from, to] = [hand.index, hand.index + hand[0].length];
    const said: Found = { from, to, about: "hand", hand: RIGHT.test(text) ? "right" : "left" };
    const behind = waysAndTools(text.slice(to), hadScrew).map((a) => ({
      ...a,
      from: a.from + to,
      to: a.to + to,
    }));
    return [...waysAndTools(text.slice(0, from), hadScrew), said, ...behind];
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
          ...waysAndTools(text.slice(0, other.index), hadScrew),
          { from: other.index, to: text.length, about: "variant" },
        ];
  }
  const instead = INSTEAD.exec(text);
  if (instead && instead.index > 0)
    return [
      ...waysAndTools(text.slice(0, instead.index), hadScrew),
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
  return seat(text, hadScrew) ?? waysAndTools(text, hadScrew);
}
