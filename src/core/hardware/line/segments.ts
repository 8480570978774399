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
    if (isAnother) {
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
