import type { Joint, Token } from "./tokens";

/** A part of the line that speaks of one piece, and how it hangs on the one before. */
export interface Segment {
  readonly joint: Joint | undefined;
  /** where its joint stands, if it has one */
  readonly joined: Token | undefined;
  readonly tokens: readonly Token[];
}

const isWhere = (token: Token | undefined): boolean => token?.t === "direction" || token?.t === "place";

/** An "and" that joins no pieces: between two directions, or the two things that something lies between. */
function isInPlace(tokens: readonly Token[], i: number, part: readonly Token[]): boolean {
  if (isWhere(tokens[i - 1]) && isWhere(tokens[i + 1])) return true;
  const between = part.findLastIndex((t) => t.t === "preposition" && t.text.toLowerCase() === "between");
  return between >= 0 && !part.slice(between).some((t) => t.t === "word" && t.text.toLowerCase() === "and");
}

const COUNTS: readonly Token["t"][] = ["count", "countWord", "number"];
const NAMES: readonly Token["t"][] = ["kind", "thread", "drive"];
const ENDS_NAME: readonly Token["t"][] = ["direction", "place", "word", "look", "kind", "form"];
const BEGINS: readonly Token["t"][] = [
  "direction",
  "preposition",
  "look",
  "kind",
  "thread",
  "drive",
  "place",
];

/**
 * Whether another piece is counted here without a comma: "2 washers below the wheel 3 above", "two left two
 * right". A figure may measure what it stands behind; behind a place it counts.
 */
function countsAgain(tokens: readonly Token[], i: number, part: readonly Token[]): boolean {
  const token = tokens[i] as Token;
  const [before, behind] = [part.at(-1), tokens[i + 1]];
  if (!COUNTS.includes(token.t) || !before || !behind) return false;
  // "one washer above one below": where each lies, and nothing that it lies at
  if (UP_OR_DOWN.test(before.text) && UP_OR_DOWN.test(behind.text) && part.some((t) => NAMES.includes(t.t)))
    return true;
  const isWith = behind.t === "joint" && behind.how === "with";
  if (!ENDS_NAME.includes(before.t) || (!isWith && !BEGINS.includes(behind.t))) return false;
  // "2 half collars 2 M5": a part, and its screws
  if (
    before.t === "word" &&
    before.isPart &&
    (behind.t === "thread" || behind.t === "drive") &&
    part.some((t) => COUNTS.includes(t.t))
  )
    return true;
  const wasCounted = part.some((t) => COUNTS.includes(t.t));
  const isNamed = part.some(
    (t) => NAMES.includes(t.t) || t.t === "look" || t.t === "direction" || (t.t === "word" && t.isPart),
  );
  // "2 pillow blocks 4 bolts"
  if (
    wasCounted &&
    before.t === "word" &&
    !/^(?:or|to)$/i.test(before.text) &&
    behind.t === "kind" &&
    behind.isMany &&
    !part.some((t) => t.t === "preposition")
  )
    return true;
  if (!wasCounted || !isNamed) return false;
  if (token.t === "countWord" && /^an?$/i.test(token.text)) return false;
  // "a thick one above" is one
  const isArticle = part[0]?.t === "countWord" && /^an?$/i.test(part[0].text);
  if (token.text.toLowerCase() === "one" && isArticle && before.t === "look") return false;
  if (behind.t === "look" && behind.look === "long" && token.t === "number") return false;
  if (behind.t === "joint") return behind.how === "with" && token.t === "countWord" && isPlaced(part);
  if (!BEGINS.includes(behind.t)) return false;
  if (token.t !== "number") return token.t === "countWord" ? !isAtThing(part) || behind.t !== "kind" : false;
  return isPlaced(part) && (behind.t === "direction" || behind.t === "preposition" || behind.t === "look");
}
const UP_OR_DOWN = /^(?:above|below|over|under|underneath|beneath|in front|behind|inside|outside)$/i;

/** Whether where it sits has been said to its end. */
const isPlaced = (part: readonly Token[]): boolean => {
  const last = part.at(-1)?.t;
  return (
    last === "direction" ||
    last === "place" ||
    ((last === "word" || last === "kind") && part.some((t) => t.t === "preposition"))
  );
};
/** "Between the two bearings": behind a preposition and its article nothing is counted. */
const isAtThing = (part: readonly Token[]): boolean => {
  const at = part.findLastIndex((t) => t.t === "preposition");
  return at >= 0 && part.slice(at + 1).every((t) => t.t === "empty");
};

/** Cuts the line where one piece ends and another is spoken of. */
export function segmentsOf(tokens: readonly Token[]): Segment[] {
  const out: Segment[] = [];
  let [joint, joined, part]: [Joint | undefined, Token | undefined, Token[]] = [undefined, undefined, []];
  const close = (): void => {
    if (part.length || joined) out.push({ joint, joined, tokens: part });
  };
  for (const [i, token] of tokens.entries()) {
    // "4 TX10, no washer", said without its comma
    const isAnother =
      token.t === "not" &&
      /^(no|without)$/i.test(token.text) &&
      part.some((t) => t.t === "kind" || t.t === "thread" || t.t === "drive");
    if (countsAgain(tokens, i, part)) {
      close();
      [joint, joined, part] = ["comma", undefined, [token]];
    } else if (isAnother) {
      close();
      [joint, joined, part] = ["comma", undefined, [token]];
    } else if (token.t !== "joint") part.push(token);
    else if (token.how === "and" && isInPlace(tokens, i, part))
      part.push({ from: token.from, to: token.to, text: token.text, t: "word" });
    else {
      close();
      [joint, joined, part] = [token.how, token, []];
    }
  }
  close();
  return out;
}
