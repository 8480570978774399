import { FEW, THREE_SIZES } from "./neighbours";
import type { Facts, Said } from "./saying";
import type { Segment } from "./segments";
import type { ReadAs, Span, Token } from "./tokens";

/** What a part of the line says more of the piece before it. */
export interface More {
  readonly facts: Facts;
  readonly spans: readonly Span[];
  readonly doubt?: string;
}

const spansOf = (tokens: readonly Token[], as: ReadAs): Span[] =>
  tokens.map(({ from, to }) => ({ from, to, as }));

/**
 * "Three torx 20, 25 long", "M4 x 10, 3 off", "seal, 20x32x7": how long the one before is, or how many, where
 * that was not said; undefined: it says something else.
 *
 * @param wasCounted how many there are of the one before was said
 */
export function measureOfBefore(
  before: Facts,
  wasCounted: boolean,
  { joint, tokens }: Segment,
  said: Said,
): More | undefined {
  if (joint !== "comma" || said.place || said.note.length || said.hasWords) return undefined;
  const all = tokens.filter((t) => t.t !== "empty");
  const [first, second] = all;
  if (
    all.length === 2 &&
    second?.t === "look" &&
    second.look === "long" &&
    (first?.t === "number" || first?.t === "length")
  ) {
    const mm = first.t === "number" ? first.n : first.mm;
    if (before.lengthMm === undefined)
      return {
        facts: { lengthMm: mm },
        spans: spansOf(all, "length"),
        ...(first.t === "number" && mm <= FEW
          ? { doubt: `“${mm} long”: how long they are, or so many more?` }
          : {}),
      };
    if (first.t === "number") said.doubts.push(`“${mm} long”: so many, or how long?`);
    return undefined;
  }
  if (all.length !== 1) return undefined;
  if (
    first?.t === "three" &&
    before.kind &&
    THREE_SIZES.includes(before.kind) &&
    before.thread === undefined &&
    before.lengthMm === undefined
  ) {
    const [inside, outside, width] = first.sizes;
    return { facts: { thread: `${inside}x${outside}`, lengthMm: width }, spans: spansOf(all, "length") };
  }
  return first?.t === "count" && said.qty !== undefined && !wasCounted
    ? { facts: { qty: said.qty }, spans: said.spans }
    : undefined;
}

/**
 * "Four M5x20 with hex 4": a drive that comes along with a screw is its own, and no other screw. "6 mm allen
 * bolt" names a piece of its own.
 */
export function driveOfBefore(before: Facts | undefined, { joint, tokens }: Segment, said: Said): Said {
  const { facts, qty, place } = said;
  // "4 screws, M4x12": what kind they are follows
  const isBare =
    before?.kind !== undefined &&
    (["thread", "lengthMm", "drive"] as const).every((k) => before[k] === undefined);
  const isNamed = tokens.some((t) => t.t === "kind");
  if (joint === "comma" && isBare && before.kind === facts.kind && qty === undefined && !isNamed)
    return asMore(said);
  const isDrive =
    facts.drive !== undefined &&
    Object.keys(facts).every((k) => k === "kind" || k === "drive" || k === "form") &&
    !isNamed;
  if ((joint !== "with" && joint !== "comma") || !before || !isDrive || qty !== undefined || place)
    return said;
  if (before.kind === facts.kind && before.drive === undefined) return asMore(said);
  said.doubts.push(`“${facts.drive}”: a piece of its own, or the drive of one before?`);
  return said;
}

/** The same, said of the piece before. */
function asMore(said: Said): Said {
  const { kind: _kind, ...more } = said.facts;
  return { ...said, facts: more, isOnlyMore: true };
}
