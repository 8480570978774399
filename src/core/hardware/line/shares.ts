import { patternOf } from "./pattern";
import { readSegment } from "./piece";
import type { Facts, Said } from "./saying";
import type { Segment } from "./segments";

/** What is said of some of the pieces that were just counted. */
export interface Share {
  readonly segment: Segment;
  readonly said: Said;
  /** how many of them */
  readonly qty: number;
}

/** Shares of the pieces before, and what they come to. */
export interface Shares {
  readonly all: readonly Share[];
  /** together they are all of them */
  readonly isWhole: boolean;
  /** they do not come to what was counted */
  readonly isDoubtful: boolean;
  /** how many there are in all, where this is what says it: "M3x6, eight of them" */
  readonly counts?: number;
}

const SOME_OF_THEM = patternOf(
  String.raw`\b(?:of (?:them|these|those|which)|the (?:(?:last|first|other|remaining|rear|front|
  back|left|right|top|bottom|upper|lower|inner|outer|long|short|longer|shorter|middle|outside|
  inside) )?(?:one|two|three|four|five|six|others?|\d{1,2})(?! (?:mm|m\d)))\b`,
);
const PER_TWO = patternOf(
  String.raw`\b(?:(?:each|either|per|every) (?:side|end|half)|(?:both|two) (?:sides|ends|halves)|
  (?:left and right|front and (?:back|rear)))\b`,
);
const PER_CORNER = /\b(?:each|every|per) corner\b/i;

/** In how many places a saying puts each of its pieces: "each side" is two; undefined: it names one place. */
const placesIn = (text: string): number | undefined =>
  PER_TWO.test(text) ? 2 : PER_CORNER.test(text) ? 4 : undefined;

/** Facts by which pieces of one kind are told apart. */
const TELLS: readonly (keyof Facts)[] = ["thread", "lengthMm", "finish", "form", "drive", "threadIs"];
/** Whether each share is a piece of its own: "four short, one long". */
export const isToldApart = ({ all, isWhole }: Shares): boolean =>
  isWhole && all.length > 1 && all.every(({ said }) => TELLS.some((k) => said.facts[k] !== undefined));

/** A segment that counts and names no kind of its own. */
function shareIn(before: Facts, segment: Segment, text: string): Share | undefined {
  const { tokens } = segment;
  // "one of them a nyloc" is of the same kind
  const isOther = tokens.some((t) => t.t === "kind" && (t.kind !== before.kind || !SOME_OF_THEM.test(text)));
  if (isOther || tokens.some((t) => t.t === "not")) return undefined;
  const said = readSegment(tokens);
  if (said.refused || said.part) return undefined;
  const spoken = tokens.filter((t) => t.t !== "empty" && t.t !== "aside");
  const alone = spoken.length === 1 && spoken[0]?.t === "countWord" ? spoken[0].n : undefined;
  const qty = said.qty ?? alone;
  return qty === undefined ? undefined : { segment, said, qty };
}

/**
 * What the segments at the head of a list say of some, or all, of the pieces before them; undefined: they count
 * pieces of their own.
 *
 * @param text words of a segment
 * @param wasCounted how many there are of the piece before was said
 * @example "5 screws, one of them longer" // one share of one; "five screws, four short one long": two that are whole
 */
export function sharesIn(
  before: Facts,
  segments: readonly Segment[],
  text: (segment: Segment) => string,
  wasCounted: boolean,
): Shares | undefined {
  const total = before.qty ?? 1;
  const [head, ...rest] = segments;
  const first = head && shareIn(before, head, text(head));
  if (!head || !first || head.joint === "with" || head.joint === "plus") return undefined;
  if (!wasCounted && /\b(?:of (?:them|these|those)|in all|altogether)\b/i.test(text(head)))
    return { all: [first], isWhole: true, isDoubtful: false, counts: first.qty };
  if (first.qty > total) return undefined;
  const all = [first];
  let sum = first.qty;
  for (const segment of rest) {
    if (sum >= total) break;
    const next =
      segment.joint === "with" || segment.joint === "plus"
        ? undefined
        : shareIn(before, segment, text(segment));
    if (!next) break;
    all.push(next);
    sum += next.qty;
  }
  const places = placesIn(text(head));
  if (places !== undefined && !before.uncounted) {
    const isAll = first.qty * places === total;
    return { all: [first], isWhole: isAll, isDoubtful: !isAll && first.qty * places > total };
  }
  if (head.joint === "colon")
    return { all: sum <= total ? all : [first], isWhole: sum === total, isDoubtful: sum > total };
  if (SOME_OF_THEM.test(text(head))) return { all: [first], isWhole: false, isDoubtful: false };
  // of pieces whose place was said, those elsewhere are others
  return sum === total && all.length > 1 && before.at === undefined
    ? { all, isWhole: true, isDoubtful: false }
    : undefined;
}

/**
 * How many there are of a piece. What comes along with another is as many as that, or as those of it that were
 * spoken of: "four screws with washers", "two of them with nuts", "a washer each". One "each side" is two.
 *
 * @param text words of its segment
 * @param hasArticle it is counted by "a"
 * @param among how many it comes along with; undefined: it stands by itself
 * @param isShare those were some of a larger count
 */
export function countOf(
  { qty, isEach }: Said,
  text: string,
  hasArticle: boolean,
  among: number | undefined,
  isShare: boolean,
): { readonly count: number; readonly isDoubtful: boolean } {
  const own = qty === undefined || hasArticle ? 1 : qty;
  if (among !== undefined) {
    if (isEach) return { count: among * own, isDoubtful: false };
    const count = qty === undefined || (qty === 1 && hasArticle) ? among : qty;
    return { count, isDoubtful: among > 1 && count !== among && !isShare };
  }
  const places = placesIn(text);
  if (places === undefined) return { count: own === 1 ? (qty ?? 1) : own, isDoubtful: isEach };
  return own === 1 && !isEach ? { count: places, isDoubtful: false } : { count: own, isDoubtful: true };
}
