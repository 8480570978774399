import { HARDWARE_NAMES, type HardwareKind } from "../kinds";
import { DRIVEN, FEW } from "./neighbours";
import { patternOf } from "./pattern";
import type { Facts } from "./saying";
import { type Token, wordsOf } from "./tokens";
import type { Doubt } from "./understood";

/** What has a head or a shape that is told. */
const HEADED: readonly HardwareKind[] = ["screw", "nut", "rivet", "insert", "washer", "other"];
/** A recess of this width belongs to a thread of M8 and more, mm. */
const LARGE_HEX_MM = 7;

/**
 * What of a piece may have been meant otherwise, once all of it was read: a recess on what has none, a
 * hexagon so large that its head may have been meant, a size that may be a count.
 *
 * @param qty said as a count
 * @param spaced a size that was typed with blanks around its cross: "2 x 12 mm" is written of a size, and
 *   said of a count
 */
export function doubtsOf(
  { kind, drive, form, thread, lengthMm }: Facts,
  qty: number | undefined,
  spaced: string | undefined,
): string[] {
  if (kind === undefined) return [];
  const name = HARDWARE_NAMES[kind][1];
  const isOdd =
    spaced !== undefined &&
    kind === "screw" &&
    qty === undefined &&
    Number.isInteger(Number(thread)) &&
    Number(thread) <= FEW;
  const isWide = kind === "screw" && Number(/^hex (\d+)/.exec(drive ?? "")?.[1]) >= LARGE_HEX_MM;
  const isScrewed =
    kind === "plug" && (lengthMm !== undefined || thread !== undefined || drive !== undefined);
  return [
    ...(isScrewed ? ["“plug”: of wires, or one that is screwed in?"] : []),
    ...(isOdd ? [`“${spaced}”: a size, or ${thread} of ${lengthMm} mm?`] : []),
    ...(drive !== undefined && !DRIVEN.includes(kind) ? [`“${drive}”: ${name} have no drive`] : []),
    ...(form !== undefined && !HEADED.includes(kind) ? [`“${form}”: ${name} have no such head`] : []),
    ...(isWide ? [`“${drive}”: a recess, or a head that is so wide?`] : []),
  ];
}

/** Words of a whole sentence: it may tell of a piece that is still in its place. */
const SENTENCE = patternOf(
  String.raw`(?<![\p{L}])(?:is|was|were|are|been|be|which|that|who|there|do|did|can|could|will|
  would|must|might|shows?|needs?|looks?|seems?|says?|wants?|makes?|gets?|got|lets?|belongs?|keeps?|
  kept|loaded|stuck|faces|points?|lies|stands?|meets?|goes|comes|moves|hides?|sticks?|they|now|
  had)(?![\p{L}])`,
);
/** One of several: "the fifth screw", "2 of the screws", "screw number five". */
const ORDINAL = patternOf(
  String.raw`(?<![\p{L}])(?:second|third|fourth|fifth|sixth|seventh|eighth|last|number|no\.|(?:\d+|
  one|two|three|four|five|six|some|most|none|half) of (?:the|its|those|these|all|them))(?![\p{L}])`,
);
const COMPARES =
  /(?<![\p{L}])(?:less|fewer|extra|spare|too many|too few|than|instead|like|same as)(?![\p{L}])/iu;
/** Words that say nothing that could be meant otherwise. */
export const HARMLESS = patternOf(
  `^(?:side|end|ends|sides|off|out|away|back|only|too|again|also|here|all|same|it|its|and|
  or|loose|each|way|up|down|type|kind|size|sort|head|heads|thread|mm|please|pieces?|them|this|just|
  with|underneath|above|below|outside|inside|round|together|apart|order|pairs?|rows?|total)$`,
);

/** What the words of a piece may mean besides: that it did not come off, or that it is another. */
export function doubtsOfWords(tokens: readonly Token[], { kind }: Facts, qty: number | undefined): string[] {
  if (kind === undefined) return [];
  const text = wordsOf(tokens.filter((t) => t.t !== "aside" && t.t !== "bracket" && t.t !== "kept"));
  const isOdd = SENTENCE.test(text) || ORDINAL.test(text) || COMPARES.test(text);
  const isSeveral = (qty ?? 1) > 1;
  const name = HARDWARE_NAMES[kind][isSeveral ? 1 : 0];
  const isFlat = tokens.some((t) => t.t === "kind" && t.text.toLowerCase() === "flat");
  const isSingle = qty === undefined || tokens.some((t) => t.t === "countWord" && /^an?$/i.test(t.text));
  const isLoneFlat = isFlat && isSingle && tokens.some((t) => t.t === "word" || t.t === "preposition");
  return [
    ...(isOdd ? [`“${text}”: did the ${name} come off, and ${isSeveral ? "so many" : "one"}?`] : []),
    ...(isLoneFlat ? ["“flat”: a flat washer, or a flat on something?"] : []),
  ];
}

/** "Washers under a nut", and no nut was counted: it came off as well, or the washers did not. */
export const askWhatHolds = (hardware: readonly Facts[]): Doubt[] =>
  hardware.flatMap(({ at }, piece) => {
    const by = UNDER_ONE.exec(at ?? "")?.[1];
    const kind = by === "bolt" ? "screw" : by;
    return kind === undefined || hardware.some((h) => h.kind === kind)
      ? []
      : [{ piece, says: `“${at}”: did the ${by} come off as well?` }];
  });
const UNDER_ONE = patternOf(
  String.raw`\b(?:under|behind|below|beneath|held by) (?:a|an|the|its|one) (?:\p{L}+ )?(nut|bolt|screw|
  circlip|clip)\b`,
);
