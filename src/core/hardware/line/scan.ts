import { LOOSENED } from "../piece";
import type { Aside } from "./aside";
import { asidesIn } from "./asides";
import { figureAt, sizedDrive } from "./figures";
import { INTO_WORDS, LOCKER_COLOURS, WIRE_COLOURS } from "./lexicon";
import { patternOf } from "./pattern";
import { phraseAt } from "./phrases";
import type { Meaning, Token } from "./tokens";

const bare = (text: string): string => text.replace(/^\((.*)\)$/s, "$1").trim();
const sticky = (source: RegExp): RegExp => new RegExp(source.source, "iuy");

const WIRE = sticky(/([a-z]+(?:[/-][a-z]+)?)\s?(?:->|>|→)\s?/);
/** `blue to 1`, `brown on L2`: a colour, and the terminal that it goes to. */
const ONE_COLOUR = [
  ...new Set([...Object.values(WIRE_COLOURS), "gray", "purple", "brown", "black", "red", "earth"]),
].join("|");
const COLOURS = `(?:${ONE_COLOUR})(?:[/-](?:${ONE_COLOUR}))?`;
const WIRE_TO = sticky(
  new RegExp(
    String.raw`(?:(?:\d{1,2}|two|three|four|five|both|its)\s+(?:leads?|wires?|cables?)\s*:?\s+)?(${COLOURS})(?:\s+(?:wire|lead|core|cable))?\s+(?:goes\s+|went\s+)?(to|on|at)\s+(?:the\s+)?(?:terminal\s+|pin\s+|clamp\s+)?`,
  ),
);
/** Colours of several wires, at the end of what is said of them: "red and white". */
const SEVERAL_COLOURS = sticky(
  new RegExp(String.raw`(?:${COLOURS})(?:\s*(?:,|and|&)\s*(?:${COLOURS}))+(?=\s*(?:[,;]|$))`),
);
const TERMINAL_SHORT = /^[\p{L}\p{N}+~-]{1,4}$/u;
const WIRE_ENDS = new RegExp(
  String.raw`[,;]|\sand\s|\s(?:${COLOURS})\s+(?:wire\s+|lead\s+)?(?:goes\s+)?(?:to|on|at)\s|$`,
  "giu",
);
const TERMINAL_ENDS = /[,;]|\band\b|\s[a-z/-]{1,24}\s?(?:->|>|→)/gi;
const BRACKET = sticky(/\(([^()]*)\)/);
const SAYS_FACING = sticky(/(?:facing|faces|face)(?:\s*:\s*|\s+)(?=[^\s,;])/);
const WAY_OUT =
  "(?:up|down|out|in|first|outwards?|inwards?|upwards?|downwards?|uppermost|outermost|innermost)";
const TO_WHAT = String.raw`(?:facing|faces|looking|to|towards?|at|against|on|next to|away from)\s+(?:the\s+|its\s+)?[\p{L}-]{2,24}`;
const SIDE_FACING = sticky(
  new RegExp(
    String.raw`(?:the\s+|its\s+)?[\p{L}-]{1,24}\s+(?:side|face|end|edge)\s+(?:of\s+(?:the\s+)?[\p{L}-]{1,24}\s+)?(?:${WAY_OUT}|${TO_WHAT})(?![\p{L}])`,
  ),
);
const SAYS_MARK = sticky(
  /(?:(?:witness|paint|punch|scribe[d]?)\s+)?(?:marks?|marked|witness|line)(?:\s*:\s*|\s+)(?=[^\s,;])/,
);
/** What faces where, of one piece: "chamfer down", "lip in", "flat side to the gear". */
const PIECE_FACING = sticky(
  patternOf(
    String.raw`(?:the\s+|its\s+)?(?:chamfer(?:ed side)?|lip|flange|hub|shoulder|boss|
    dish(?:ed side)?|cup|concave|convex|(?:flat|round(?:ed)?|raised|hollow|thick|thin|smooth|rough|
    shiny|dull) side|numbers?|writing|printing|lettering|marking|label|sealed side|
    seal(?!s?\s+(?:facing|faces|to))|shield|arrow|slot|point|hook|tang|collar|groove|bevel|recess|
    step|ridge|ears?|tab|notch|opening|teeth|keyway|leg|loop|bend|tail|coil|flat|bulge|hump|dot|garter(?: spring)?|
    nose|taper|cone|skirt|cut-?out|hollow|bulge)s?\s+(?:(?:on|at|to)\s+[+−-](?!\w)|with (?:the )?(?:travel|rotation|run)|(?:facing|faces|to|
    towards?)\s+(?:the\s+)?[\p{L}-]{2,24}|(?:(?:facing|faces|pointing)\s+)?(?:up|down|in|out|
    inwards?|outwards?|upwards?|downwards?|inside|outside|first|rear|front))(?![\p{L}])(?!\s+(?:the|an?|its|one)\s)`,
  ),
);
/**
 * It did not come away. "Stays in place" says that nothing was done with it, and is told by the words that
 * turn a line round.
 */
const LOOSE_ONLY = sticky(
  /(?:(?:(?:an?\s+)?(?:\d+(?:[.,/]\d+)?|half|quarter|one|two|three)(?:\s+an?)?\s+turns?\s+loose)|(?:only|just)\s+loosened|loosened(?:\s+only)?|slackened(?:\s+off)?)(?![\p{L}])/u,
);
const STAYS_WITH = sticky(
  /(?:stays?|stayed|remains?|left|comes?|came|stuck)\s+((?:with|in|on|to)\s+(?:the\s+|its\s+)?(?!place\b|it\b|there\b)[\p{L}](?:(?!\sfac(?:es|ing)\s)[^,;+])*)/u,
);
const CAPTIVE_IN = sticky(
  /captive\s+((?:in|on|with)\s+(?:the\s+|its\s+)?[\p{L}](?:(?!\sfac(?:es|ing)\s)[^,;+])*)/u,
);
const STACK = sticky(
  /(?:stack(?:ed)?\s*(?:from\s+(?:the\s+)?)?(top|bottom)?(?:\s+down|\s+up)?|(?:from\s+(?:the\s+)?)?(top|bottom)(?:\s+(?:down|up))?)\s*:/u,
);
const KEPT = sticky(/\{([^{}]*)\}/);
const INTO = sticky(/into\s+(?:the\s+)?/);
const COLOUR = sticky(new RegExp(`(${LOCKER_COLOURS.join("|")})(?![\\p{L}])`));
const WORD = sticky(/[^\s,;()+&]+/);
/** What says nothing between words. */
const SKIPPED = sticky(/(?:[\s!?"'“”’)]|\.(?!\d)|[-–](?=\s|$))+/u);
/** What ends a piece as a comma does: a full stop, a dash, "then". */
const ENDS_PIECE = sticky(/(?:\.(?=\s+[\p{L}\p{N}])|[-–—](?=\s+\p{N})|(?:and\s+)?then(?![\p{L}\p{N}]))/u);
/** What says that some of those just counted are meant. */
const OPENS = sticky(/(?::(?=\s*[\p{L}\p{N}])|(?:of\s+which|of\s+those|including|among\s+them)(?![\p{L}]))/u);

function match(pattern: RegExp, line: string, from: number): RegExpExecArray | null {
  pattern.lastIndex = from;
  return pattern.exec(line);
}

/**
 * Where a saying ends that goes to the end of its part of the line: at the next comma or semicolon outside
 * brackets.
 */
function saidTo(line: string, from: number): number {
  let depth = 0;
  for (let i = from; i < line.length; i++) {
    const c = line[i];
    if (c === "(") depth++;
    else if (c === ")") depth = Math.max(0, depth - 1);
    else if ((c === "," || c === ";") && (depth === 0 || !line.includes(")", i))) return i;
  }
  return line.length;
}

/**
 * The line in tokens: every letter and figure of it lies in one. What a token means its neighbours may still
 * change.
 */
export function scan(line: string): Token[] {
  const tokens: Token[] = [];
  const put = (from: number, to: number, means: Meaning): number => {
    tokens.push({ from, to, text: line.slice(from, to).trim(), ...means });
    return to;
  };
  const asides = new Map<number, Aside>(asidesIn(line).map((a) => [a.from, a]));
  let i = 0;
  while (i < line.length) {
    const ends = tokens.length ? match(ENDS_PIECE, line, i) : null;
    if (ends) {
      i = put(i, i + ends[0].length, { t: "joint", how: "comma" });
      continue;
    }
    const skipped: RegExpExecArray | null = match(SKIPPED, line, i);
    if (skipped) {
      i += skipped[0].length;
      continue;
    }
    i = one(line, i, put, tokens.at(-1), asides.get(i));
  }
  return tokens;
}

/** Reads one token, and answers where the next begins. */
function one(
  line: string,
  i: number,
  put: (from: number, to: number, means: Meaning) => number,
  before: Token | undefined,
  aside: Aside | undefined,
): number {
  const c = line[i] as string;
  if (c === "," || c === ";") return put(i, i + 1, { t: "joint", how: "comma" });
  if (c === "&") return put(i, i + 1, { t: "joint", how: "and" });
  if (c === "+") return put(i, i + 1, { t: "joint", how: "plus" });
  const bracket = match(BRACKET, line, i);
  if (bracket) return put(i, i + bracket[0].length, { t: "bracket", inner: (bracket[1] as string).trim() });
  const kept = match(KEPT, line, i);
  if (kept) return put(i, i + kept[0].length, { t: "kept" });
  // a lone bracket is nothing
  if (c === "(") return i + 1;
  const isFirst =
    !before ||
    before.t === "joint" ||
    before.t === "wire" ||
    /^(?:leads?|wires?|cables?)$/i.test(before.text);
  const wire = wireAt(line, i) ?? (isFirst ? wireToAt(line, i) : undefined);
  if (wire) return put(i, wire.to, wire.means);
  const colours = before?.t === "kind" && before.kind === "plug" ? match(SEVERAL_COLOURS, line, i) : null;
  if (colours) return put(i, i + colours[0].length, { t: "place", says: colours[0].trim() });
  const begins = !before || before.t === "joint";
  const stack = begins ? match(STACK, line, i) : null;
  if (stack)
    return put(i, i + stack[0].length, { t: "stack", begins: /bottom/i.test(stack[0]) ? "bottom" : "top" });
  const stays = staysAt(line, i);
  if (stays) return put(i, stays.to, stays.means);
  const faces = match(SAYS_FACING, line, i);
  const opens = before ? match(OPENS, line, i) : null;
  if (opens) return put(i, i + opens[0].length, { t: "joint", how: "colon" });
  if (c === ":") return i + 1;
  const facing = faces && (begins || /^facing/i.test(faces[0])) ? faces : null;
  const isKeyed = /^(?:facing|witness|mark|marks|marked)[\s:]/i.test(line.slice(i, i + 8));
  if (aside && !(facing && isKeyed) && !(begins && isKeyed)) return put(i, aside.to, { t: "aside", aside });
  const side = facing ? null : (match(SIDE_FACING, line, i) ?? match(PIECE_FACING, line, i));
  if (side) return put(i, i + side[0].length, { t: "facing", says: side[0].trim() });
  const mark = facing || before?.t === "preposition" ? null : match(SAYS_MARK, line, i);
  const said = facing ?? (mark && !/^line/i.test(mark[0]) ? mark : null);
  if (said) {
    const to = saidTo(line, i + said[0].length);
    // what a mark is goes with it, "paint mark on the rim"; the bare word does not
    const words = /^(?:facing|faces|face|witness|mark(?!\s+(?:on|at|in|between|of)\s))[\s:]/i.test(
      line.slice(i),
    )
      ? line.slice(i + said[0].length, to)
      : line.slice(i, to);
    return put(i, to, { t: facing ? "facing" : "mark", says: bare(words.trim()) });
  }
  const figure = figureAt(line, i);
  if (figure) return put(i, figure.to, figure.means);
  const into = intoAt(line, i);
  if (into) return put(i, into.to, into.means);
  const locker = lockerAt(line, i);
  if (locker) return put(i, locker.to, locker.means);
  const phrase = phraseAt(line, i);
  if (phrase?.means.t === "drive") {
    const sized = sizedDrive(phrase.means.drive, line, phrase.to);
    return put(i, sized.to, sized.means);
  }
  if (phrase) return put(i, phrase.to, phrase.means);
  const word = match(WORD, line, i);
  return word ? put(i, i + word[0].length, { t: "word" }) : i + 1;
}

/**
 * `only loosened`, `stays with the cover`. "Left in" is a place where a thing can be: of what was left
 * nothing is said but that.
 */
function staysAt(line: string, from: number): { to: number; means: Meaning } | undefined {
  const loosened = match(LOOSE_ONLY, line, from);
  if (loosened) return { to: from + loosened[0].length, means: { t: "stays", says: LOOSENED } };
  const found = match(STAYS_WITH, line, from) ?? match(CAPTIVE_IN, line, from);
  if (!found || (/^(?:left|comes?|came)/i.test(found[0]) && !/^with/i.test(found[1] ?? ""))) return undefined;
  // "stays to the left" is a side; what is stuck to the cover stays with it
  if (/^to\b/i.test(found[1] ?? "") && !/^stuck/i.test(found[0])) return undefined;
  return { to: from + found[0].length, means: { t: "stays", says: (found[1] ?? "").trim() } };
}

/**
 * `brown>L`, `bn→L1`, `white>M+`, `brown > motor +`: the terminal's words go to the end, or to the next wire.
 */
function wireAt(line: string, from: number): { to: number; means: Meaning } | undefined {
  const head = match(WIRE, line, from);
  if (!head) return undefined;
  const said = (head[1] as string).toLowerCase();
  const begins = from + head[0].length;
  TERMINAL_ENDS.lastIndex = begins;
  const end = TERMINAL_ENDS.exec(line)?.index ?? line.length;
  const terminal = line.slice(begins, end).trim();
  if (!terminal) return undefined;
  return {
    to: end,
    means: {
      t: "wire",
      colour: Object.hasOwn(WIRE_COLOURS, said) ? (WIRE_COLOURS[said] as string) : said,
      terminal,
    },
  };
}

/** A wire said in words. "On" and "at" may be where a piece sat: behind them a terminal is short. */
function wireToAt(line: string, from: number): { to: number; means: Meaning } | undefined {
  const head = match(WIRE_TO, line, from);
  if (!head) return undefined;
  const [said = "", colour = "", by = ""] = head;
  const begins = from + said.length;
  WIRE_ENDS.lastIndex = begins;
  const end = WIRE_ENDS.exec(line)?.index ?? line.length;
  const terminal = line.slice(begins, end).trim();
  if (!terminal || (by.toLowerCase() !== "to" && !TERMINAL_SHORT.test(terminal))) return undefined;
  const low = colour.toLowerCase();
  const called = Object.hasOwn(WIRE_COLOURS, low) ? (WIRE_COLOURS[low] as string) : low;
  return { to: end, means: { t: "wire", colour: called, terminal } };
}

/** `into plastic`. Another word behind "into" is a place. */
function intoAt(line: string, from: number): { to: number; means: Meaning } | undefined {
  const head = match(INTO, line, from);
  if (!head) return undefined;
  const begins = from + head[0].length;
  const rest = line.slice(begins, begins + 40).toLowerCase();
  const into = INTO_WORDS.filter((w) => rest.startsWith(w) && !/^\p{L}/u.test(rest.slice(w.length))).sort(
    (a, b) => b.length - a.length,
  )[0];
  return into
    ? { to: begins + into.length, means: { t: "into", into: into.replace(/^an? /, "") } }
    : undefined;
}

/** `blue locker`, `threadlock blue`, `locker`. */
function lockerAt(line: string, from: number): { to: number; means: Meaning } | undefined {
  const colour = match(COLOUR, line, from);
  const gap = colour
    ? /^[\s-]+/.exec(line.slice(from + colour[0].length, from + colour[0].length + 8))?.[0]
    : "";
  if (colour && !gap) return undefined;
  const begins = from + (colour?.[0].length ?? 0) + (gap?.length ?? 0);
  const words = phraseAt(line, begins);
  if (words?.means.t !== "locker") return undefined;
  if (colour) return { to: words.to, means: { t: "locker", colour: (colour[1] as string).toLowerCase() } };
  const between = /^[\s-]+/.exec(line.slice(words.to, words.to + 8))?.[0] ?? "";
  const behind = between ? match(COLOUR, line, words.to + between.length) : null;
  return behind
    ? {
        to: words.to + between.length + behind[0].length,
        means: { t: "locker", colour: (behind[1] as string).toLowerCase() },
      }
    : { to: words.to, means: { t: "locker", colour: "seen" } };
}
