import type { Freeing } from "./freed";
import { HARDWARE_NAMES, NO_PIECE } from "./kinds";
import { driveOfBefore, measureOfBefore } from "./line/goes-on";
import { DRIVEN } from "./line/neighbours";
import { readSegment } from "./line/piece";
import type { Facts, Said } from "./line/saying";
import { scan } from "./line/scan";
import { type Segment, segmentsOf } from "./line/segments";
import type { Span, Token } from "./line/tokens";
import type { HardwareFacts } from "./piece";

export { NUT_FORMS } from "./line/lexicon";
export type { ReadAs, Span } from "./line/tokens";

export interface Wire {
  readonly colour: string;
  readonly to: string;
}

/**
 * A part of the line that could not be read: it is kept as a note, word for word, and says why where that is
 * known.
 */
export interface Unread {
  readonly text: string;
  readonly says: string;
}

/** What lies in a stack: a piece of the line, counted from 0, or a part by its name. */
export type StackedSaid = { readonly piece: number } | { readonly part: string };

/** Something that was read, and may have been meant otherwise. */
export interface Doubt {
  /** which piece, counted from 0 */
  readonly piece: number;
  readonly says: string;
}

/** What the quick line understood. */
export interface QuickLine {
  readonly hardware: readonly HardwareFacts[];
  readonly wires: readonly Wire[];
  /** how it was got free, in the order in which it was said */
  readonly freed: readonly Freeing[];
  readonly facing: readonly string[];
  readonly marks: readonly string[];
  /** how pieces, and parts that are named, lie on each other, from the top; empty: not said */
  readonly stack: readonly StackedSaid[];
  readonly unread: readonly Unread[];
  readonly doubts: readonly Doubt[];
  /** what each stretch of the line was taken for; every letter and figure lies in one */
  readonly read: readonly Span[];
}

/** The most of one kind that a step counts, and the longest piece believed, mm. */
export const MOST_PIECES = 200;
export const LONGEST_MM = 500;

const NOT_READ = "not read, kept as a note";
const NOT_THERE = "says what is not there, or stays: kept as a note";

/**
 * Reads the bench's shorthand: `4x TX15 16 ST3.5 corners, pin 3x18 drive`. The grammar stands in
 * docs/quick-line.md.
 *
 * Pieces stand apart by comma, "and", "with" or `+`. A count stands before its piece or behind it; kind,
 * thread, drive, length, head, look, torque and state come in any order; other words say where. What belongs
 * to the piece
 * before it may stand behind a comma: `M6 cap nut, once`. What cannot be read is kept word for word, with the
 * reason where there is one, and what may have been meant otherwise is doubted: nothing that was typed is
 * lost.
 *
 * @example quickLine("4x TX15 16 ST3.5 corners").hardware[0] // { kind: "screw", qty: 4, thread: "ST3.5",
 *   lengthMm: 16, drive: "TX15", at: "corners" }
 */
export function quickLine(line: string): QuickLine {
  return new Line(line).read();
}

const NAMES_HARDWARE: readonly Token["t"][] = ["kind", "thread", "drive", "count", "size", "three"];
/** A figure at its head counts, or measures, something that was not understood. */
const COUNTS: readonly Token["t"][] = ["number", "length", "countWord", "vague"];
const namesHardware = (text: string): boolean => {
  const tokens = scan(text);
  return (
    tokens.some((t) => NAMES_HARDWARE.includes(t.t)) ||
    (tokens.length > 1 &&
      tokens[0] !== undefined &&
      COUNTS.includes(tokens[0].t) &&
      !/^an?$/i.test(tokens[0].text))
  );
};

/**
 * What of a line should be looked at once before it is laid down: what may have been meant otherwise, and
 * what names hardware and was not read.
 *
 * @example worthALook(quickLine("M8 left")) // ["“left”: a left-hand thread, or where it sat?"]
 */
export function worthALook({ doubts, unread }: Pick<QuickLine, "doubts" | "unread">): string[] {
  const lost = unread.filter(({ text, says }) => says !== NOT_THERE && namesHardware(text));
  return [
    ...doubts.map((d) => d.says),
    ...lost.map(({ text }) => `“${text}” was not read, and is counted nowhere`),
  ];
}

/** What the name of a part is made of: "drive wheel", "big pinion". */
const IN_NAME: readonly Token["t"][] = ["word", "empty", "look", "freed", "direction"];

const ORDER: readonly (keyof HardwareFacts)[] = [
  "kind", "qty", "thread", "threadIs", "lengthMm", "drive", "form", "finish", "leftHand", "once", "locker",
  "label", "poles", "into", "tighten", "state", "at", "facing", "stays", "uncounted",
]; // biome-ignore format: a short list reads better in rows
/** The same facts always in the same order. */
const inOrder = (f: Facts): HardwareFacts =>
  Object.fromEntries(
    ORDER.flatMap((k) => (f[k] === undefined ? [] : [[k, f[k]]])),
  ) as unknown as HardwareFacts;

class Line {
  private readonly line: string;
  private readonly hardware: Facts[] = [];
  private readonly wires: Wire[] = [];
  private readonly freed: Freeing[] = [];
  private readonly facing: string[] = [];
  private readonly marks: string[] = [];
  private readonly stack: StackedSaid[] = [];
  private stackSaidFrom: "top" | "bottom" | undefined;
  private isStacking = false;
  private stackHasPlus = false;
  private readonly unread: Unread[] = [];
  private readonly doubts: Doubt[] = [];
  private readonly spans: Span[] = [];
  /** pieces that lie on each other, from the first of them on */
  private stackFrom = 0;
  /** how many there are of the piece before was said */
  private wasCounted = false;
  /** pieces of which several were spoken of, and whether a bare number was taken for their length */
  private readonly plurals = new Map<number, boolean>();
  /** the piece before came along with another */
  private comesAlong = false;

  constructor(line: string) {
    this.line = line;
  }

  read(): QuickLine {
    for (const segment of segmentsOf(scan(this.line))) this.take(segment);
    const { wires, freed, facing, marks, unread } = this;
    const doubts = [
      ...this.doubts,
      ...[...this.plurals].flatMap(([piece, isBare]) => this.howMany(piece, isBare)),
    ].sort((a, b) => a.piece - b.piece);
    return {
      hardware: this.hardware.map((h) => inOrder(h)),
      wires,
      freed,
      facing,
      marks,
      stack: this.stackSaidFrom === "bottom" ? this.stack.toReversed() : this.stack,
      unread,
      doubts,
      read: this.spans.sort((a, b) => a.from - b.from),
    };
  }

  /** Asks how many there are of what is still uncounted at the end of the line. */
  private howMany(piece: number, isBare: boolean): Doubt[] {
    const h = this.hardware[piece];
    if (!h?.uncounted || !h.kind) return [];
    return [
      {
        piece,
        says: `${HARDWARE_NAMES[h.kind][1]}: ${isBare ? `${h.lengthMm} of them, or ${h.lengthMm} mm?` : "how many?"}`,
      },
    ];
  }

  private take(segment: Segment): void {
    const [first, ...behind] = segment.tokens;
    if (first?.t === "stack") {
      this.stackSaidFrom = first.begins;
      this.isStacking = true;
      this.spans.push({ from: first.from, to: first.to, as: "stack" });
      this.take({ ...segment, tokens: behind });
      return;
    }
    this.endStack(segment);
    if (segment.joined) this.spans.push({ from: segment.joined.from, to: segment.joined.to, as: "joins" });
    if (!segment.tokens.length) return;
    if (this.isStacking && this.partOfStack(segment)) return;
    const said = driveOfBefore(this.hardware.at(-1), segment, readSegment(segment.tokens));
    if (this.goesOn(segment, said)) return;
    const refused = said.refused ?? this.outOfBounds(said);
    if (refused || said.isNot) {
      this.refuse(segment, refused ?? NOT_THERE);
      return;
    }
    if (said.facts.kind === undefined && !this.belongsBefore(segment, said)) {
      this.refuse(segment, NOT_READ);
      return;
    }
    this.keep(segment, said);
  }

  /** More of the piece before, and nothing else: how long it is, how many there are. */
  private goesOn(segment: Segment, said: Said): boolean {
    const before = this.hardware.at(-1);
    const more =
      before &&
      !said.refused &&
      !said.isNot &&
      !this.outOfBounds(said) &&
      measureOfBefore(before, this.wasCounted, segment, said);
    if (!more) return false;
    Object.assign(before, more.facts);
    this.wasCounted ||= more.facts.qty !== undefined;
    if (more.facts.qty !== undefined) delete before.uncounted;
    this.spans.push(...more.spans);
    if (more.doubt) this.doubts.push({ piece: this.hardware.length - 1, says: more.doubt });
    return true;
  }

  /** A stack that is said with plus ends at the comma; one that is said with commas at the semicolon. */
  private endStack({ joint, joined }: Segment): void {
    if (joint === "plus") this.stackHasPlus ||= this.isStacking;
    if (joined?.text === ";" || (joint === "comma" && this.stackHasPlus)) this.isStacking = false;
  }

  /** In a stack a name that is no piece is a part's: "flat + wheel + flat". */
  private partOfStack({ tokens }: Segment): boolean {
    if (!tokens.length || !tokens.every((t) => IN_NAME.includes(t.t))) return false;
    const part = tokens
      .filter((t) => t.t !== "empty")
      .map((t) => t.text)
      .join(" ");
    if (!part) return false;
    this.stack.push({ part });
    for (const t of tokens) this.spans.push({ from: t.from, to: t.to, as: "stack" });
    return true;
  }

  /** Kept word for word, as one: a count without what it counts is none. */
  private refuse({ tokens }: Segment, says: string): void {
    const [from, to] = [tokens[0]?.from ?? 0, tokens.at(-1)?.to ?? 0];
    this.unread.push({ text: this.line.slice(from, to).trim(), says });
    this.spans.push({ from, to, as: "note" });
  }

  private outOfBounds({ qty, facts, isNot }: Said): string | undefined {
    if (isNot) return undefined;
    if (qty !== undefined && qty < 1) return "none of something is nothing";
    if (qty !== undefined && qty > MOST_PIECES)
      return `${qty} pieces cannot be: the maximum is ${MOST_PIECES}`;
    const { lengthMm } = facts;
    if (lengthMm !== undefined && lengthMm <= 0) return "a length of nothing";
    if (lengthMm !== undefined && lengthMm > LONGEST_MM)
      return `${lengthMm} mm is longer than anything on this bench: the maximum is ${LONGEST_MM} mm`;
    return undefined;
  }

  /**
   * Whether a part without a kind says more of the piece before it, counts more of its kind, or speaks of the
   * step alone.
   */
  private belongsBefore({ joint }: Segment, said: Said): boolean {
    const before = this.hardware.at(-1);
    const { facts, qty } = said;
    const isOfStep = Object.keys(facts).length === 0;
    if (qty === undefined && isOfStep && !said.note.length && !said.place) return true;
    if (!before) return false;
    if (said.isOnlyMore)
      return Object.keys(facts).every(
        (k) =>
          k === "tighten" ||
          k === "drive" ||
          before[k as keyof Facts] === undefined ||
          before[k as keyof Facts] === facts[k as keyof Facts],
      );
    if (qty === undefined || joint === undefined || said.note.length || said.hasWords || said.isBare)
      return false;
    // "4 washers above, 2 below": the same again, elsewhere
    if (isOfStep && said.place) {
      const { qty: _qty, at: _at, uncounted: _uncounted, ...same } = before;
      Object.assign(facts, same, { at: said.place });
      return true;
    }
    // "2x phillips 8 mm coarse, 1 fine longer": of the same kind as the one before
    if (facts.threadIs !== undefined || facts.finish !== undefined || facts.lengthMm !== undefined) {
      facts.kind = before.kind;
      if (qty < (before.qty ?? 1)) said.doubts.push(`${qty} of the ${before.qty}, or besides?`);
      return true;
    }
    return false;
  }

  private keep(segment: Segment, said: Said): void {
    const { facts, qty } = said;
    this.spans.push(...said.spans);
    this.wires.push(...said.wires);
    this.freed.push(...said.freed);
    this.facing.push(...said.facing);
    this.marks.push(...said.marks);
    for (const text of joinedRuns(said.note)) this.unread.push({ text, says: NOT_READ });
    if (facts.kind === undefined) {
      const before = this.hardware.at(-1);
      if (!before) return;
      const { tighten, ...more } = facts;
      Object.assign(before, more);
      // a washer is not tightened: what is tightened lies before it
      const turned =
        tighten && (this.hardware.findLast((h) => h.kind !== undefined && DRIVEN.includes(h.kind)) ?? before);
      if (turned) turned.tighten = tighter(turned.tighten, tighten);
      for (const says of said.doubts) this.doubts.push({ piece: this.hardware.length - 1, says });
      return;
    }
    const before = this.hardware.at(-1);
    // "with washer and lock washer": what comes along goes on until something is counted again
    const goesOn = segment.joint === "and" && this.comesAlong && qty === undefined;
    const isWith = (segment.joint === "with" || goesOn) && before !== undefined;
    this.comesAlong = isWith;
    // a screw with a washer: four of them have four
    const count =
      qty === undefined || (isWith && qty === 1 && isArticle(segment))
        ? isWith
          ? (before.qty ?? 1)
          : 1
        : qty;
    const isUncounted =
      qty === undefined &&
      !isWith &&
      said.many !== undefined &&
      !said.isNot &&
      !NO_PIECE.includes(facts.kind);
    this.hardware.push({ ...facts, qty: count, ...(isUncounted && { uncounted: true }) });
    // one that was said vaguely is a doubt already
    if (isUncounted && said.many === "plural") this.plurals.set(this.hardware.length - 1, said.isBare);
    this.wasCounted = qty !== undefined;
    const piece = this.hardware.length - 1;
    if (this.isStacking) this.stack.push({ piece });
    if (isWith && (before.qty ?? 1) > 1 && count !== before.qty)
      this.doubts.push({ piece, says: `“with”: ${count} in all, or for each of the ${before.qty}?` });
    for (const says of said.doubts) this.doubts.push({ piece, says });
    this.sharePlace(segment, piece);
  }

  /**
   * Of pieces that lie on each other, a place said with the last holds for those before it that have none.
   */
  private sharePlace({ joint }: Segment, piece: number): void {
    // of what is said from the top down each lies where it lies
    if (this.isStacking) return;
    if (joint !== "plus") this.stackFrom = piece;
    const place = this.hardware[piece]?.at;
    if (joint !== "plus" || !place) return;
    for (const h of this.hardware.slice(this.stackFrom, piece)) if (h.at === undefined) h.at = place;
  }
}

/** What is said of the tightening in two breaths: "finger tight plus 1/4 turn". */
const tighter = (before: Facts["tighten"], more: NonNullable<Facts["tighten"]>): Facts["tighten"] => {
  const feel = [before?.feel, more.feel].filter(Boolean).join(" plus ");
  return { ...before, ...more, ...(feel ? { feel } : {}) };
};
const isArticle = ({ tokens }: Segment): boolean =>
  tokens.some((t) => t.t === "countWord" && /^an?$/i.test(t.text));
const joinedRuns = (words: readonly string[]): string[] => (words.length ? [words.join(" ")] : []);
