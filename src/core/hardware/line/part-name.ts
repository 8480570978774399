import type { Token } from "./tokens";

/** What stands before a name and belongs to it. */
const QUALIFIES: readonly Token["t"][] = ["look", "form", "direction", "word", "kind", "freed"];

/**
 * The tokens that name a part: a run of names of which the last is a part's, "brush holder", "end cap". Not where a
 * piece is told first by its count or sizes, nor where a "side" follows, which is a place.
 */
export function partNameIn(tokens: readonly Token[]): ReadonlySet<Token> {
  const none = new Set<Token>();
  const last = tokens.findLastIndex((t) => t.t === "word" && t.isPart);
  if (last < 0) return none;
  const after = tokens[last + 1];
  if (after && (after.t === "word" || after.t === "kind" || after.t === "direction")) return none;
  let first = last;
  while (first > 0 && QUALIFIES.includes((tokens[first - 1] as Token).t)) first--;
  const before = tokens.slice(0, first);
  const run = tokens.slice(first, last + 1);
  const isBehind = before.some((t) =>
    ["preposition", "kind", "thread", "drive", "size", "length"].includes(t.t),
  );
  const plural = run.find((t) => t.t === "kind" && (t.isMany || t.kind === "screw" || t.kind === "nut"));
  const isCounted = before.some(
    (t) => t.t === "count" || t.t === "number" || (t.t === "countWord" && t.n > 1),
  );
  // "4 screws gear case" is terse for where they sat
  if (isBehind || (plural && plural !== run.at(-1)) || (isCounted && run.some((t) => t.t === "kind")))
    return none;
  return new Set(run);
}
