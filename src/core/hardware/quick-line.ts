import type { Freeing } from "./freed";
import { HARDWARE_NAMES, type HardwareKind, NO_PIECE } from "./kinds";
import { MOST_PIECES, outOfBounds } from "./line/bounds";
import { askWhatHolds } from "./line/doubts";
import { driveOfBefore, measureOfBefore } from "./line/goes-on";
import { inOrder } from "./line/in-order";
import { DRIVEN } from "./line/neighbours";
import { readSegment } from "./line/piece";
import type { AsideSaid, Facts, Said } from "./line/saying";
import { scan } from "./line/scan";
import { type Segment, segmentsOf } from "./line/segments";
import { countOf, isToldApart, sharesIn } from "./line/shares";
import type { Span, Token } from "./line/tokens";
import type { Doubt, Inferred, QuickLine, StackedSaid, Unread, Wire } from "./line/understood";

export { LONGEST_MM, MOST_PIECES } from "./line/bounds";
export { NUT_FORMS } from "./line/lexicon";
export type { ReadAs, Span } from "./line/tokens";
export type { Doubt, Inferred, QuickLine, StackedSaid, Unread, Wire } from "./line/understood";

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
  const counted = tokens.some((t) => COUNTS.includes(t.t) && !/^an?$/i.test(t.text));
  const isLook = tokens.length > 0 && tokens.every((t) => t.t === "look");
  return isLook || tokens.some((t) => NAMES_HARDWARE.includes(t.t)) || (tokens.length > 1 && counted);
};

/**
 * What of a line should be looked at once before it is laid down: what may have been meant otherwise, and
 * what names hardware and was not read.
 *
 * @example worthALook(quickLine("M8 left")) // ["“left”: a left-hand thread, or where it sat?"]
 */
export const worthALook = ({ doubts }: Pick<QuickLine, "doubts">): string[] => [
  ...new Set(doubts.map((d) => d.says)),
];

/** What comes once with several screws. */
const ONE_FOR_ALL: readonly HardwareKind[] = ["o-ring", "gasket", "seal"];
/** What the name of a part is made of: "drive wheel", "big pinion". */
const IN_NAME: readonly Token["t"][] = ["word", "empty", "look", "freed", "direction"];

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
  private readonly asides: AsideSaid[] = [];
  private readonly parts: string[] = [];
  private readonly inferred: Inferred[] = [];
  private leftHand = false;
  /** so many of the piece before were spoken of last: what comes along is theirs */
  private share: number | undefined;
  /** how wide a head is, of a screw that follows */
  private pendingDrive: string | undefined;
  private readonly doubts: Doubt[] = [];
  private readonly spans: Span[] = [];
  /** pieces that lie on each other, from the first of them on */
  private stackFrom = 0;
  /** how many there are of the piece before was said */
  private wasCounted = false;
  /** pieces of which several were spoken of, and whether a bare number was taken for their length */
  private readonly plurals = new Map<number, boolean>();
  /** what was kept word for word last: which it is, and where it stands */
  private refused:
    | { readonly at: number; readonly from: number; readonly to: number; readonly says: string }
    | undefined;
  /** the piece before came along with another */
  private comesAlong = false;

  constructor(line: string) {
    this.line = line;
  }

  read(): QuickLine {
    const segments = segmentsOf(scan(this.line));
    for (let i = 0; i < segments.length; ) {
      const shares = this.takeShares(segments.slice(i));
      if (!shares) this.take(segments[i] as Segment);
      i += Math.max(1, shares);
    }
    const { wires, freed, facing, marks, unread, asides, parts, leftHand, inferred } = this;
    const lost = unread
      .filter(({ text, says }) => says !== NOT_THERE && namesHardware(text))
      .map(({ text }) => ({ piece: null, says: `“${text}” was not read, and is counted nowhere` }));
    const doubts = [
      ...this.doubts,
      ...askWhatHolds(this.hardware),
      ...[...this.plurals].flatMap(([piece, isBare]) => this.howMany(piece, isBare)),
      ...lost,
    ].sort((a, b) => (a.piece ?? MOST_PIECES) - (b.piece ?? MOST_PIECES));
    return {
      hardware: this.hardware.map((h) => inOrder(h)),
      wires,
      freed,
      facing,
      marks,
      stack: this.stackSaidFrom === "bottom" ? this.stack.toReversed() : this.stack,
      unread,
      asides,
      parts: [...new Set(parts)],
      leftHand,
      inferred,
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

  /**
   * The words of a segment without what stands in brackets, which is a place, or in braces, which is a note.
   */
  private spokenOf(segment: Segment): string {
    return this.textOf(segment).replace(/\([^()]*\)|\{[^{}]*\}/g, " ");
  }

  private textOf({ tokens }: Segment): string {
    return this.line.slice(tokens[0]?.from ?? 0, tokens.at(-1)?.to ?? 0);
  }

  /**
   * "5 screws, one of them longer", "four short one long", "three each side": what is said of some of those
   * just counted counts nothing more. Answers how many segments it took.
   */
  private takeShares(segments: readonly Segment[]): number {
    const before = this.hardware.at(-1);
    if (!before?.kind || this.isStacking) return 0;
    const shares = sharesIn(before, segments, (s) => this.spokenOf(s), this.wasCounted);
    if (!shares) return 0;
    if (shares.counts !== undefined) {
      before.qty = shares.counts;
      delete before.uncounted;
    }
    const { all, isDoubtful } = shares;
    const isApart = isToldApart(shares);
    const piece = this.hardware.length - 1;
    if (isApart) {
      this.hardware.pop();
      for (const { said, qty } of all)
        this.hardware.push({
          ...before,
          ...said.facts,
          kind: before.kind,
          qty,
          ...(said.place && { at: said.place }),
        });
    }
    for (const { said, segment, qty } of all) {
      const { joined } = segment;
      if (joined) this.spans.push({ from: joined.from, to: joined.to, as: "joins" });
      for (const t of segment.tokens) {
        const own = said.spans.filter((s) => s.from === t.from && s.as !== "note" && s.as !== "place");
        this.spans.push(...(own.length ? own : [{ from: t.from, to: t.to, as: "share" as const }]));
      }
      this.asides.push(...said.asides);
      if (!isApart) this.asides.push({ about: "share", says: this.textOf(segment) });
      for (const says of said.asides.flatMap((a) => a.doubt ?? [])) this.doubts.push({ piece, says });
      this.share = qty;
    }
    if (isDoubtful && all[0])
      this.doubts.push({ piece, says: `“${this.textOf(all[0].segment)}”: ${before.qty} in all?` });
    this.wasCounted = true;
    return all.length;
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
    if (this.flatsOfShaft(segment)) return;
    const refused = said.refused ?? outOfBounds(said);
    if (refused || said.isNot) {
      this.refuse(segment, refused ?? NOT_THERE);
      this.doubtStays(segment, said);
      return;
    }
    if (said.facts.kind === undefined && said.part !== undefined) {
      if (this.tellsOfPart(segment, said)) return;
      this.parts.push(said.part);
      this.alsoSaid(said);
      if ((said.qty ?? 1) > 1 || Object.keys(said.facts).some((k) => k !== "finish"))
        this.doubts.push({
          piece: null,
          says: `“${this.textOf(segment)}” is a part, and no piece is counted of it`,
          part: said.part,
        });
      return;
    }
    if (this.headWidth(segment, said) || this.ofStep(said) || this.ofAnother(segment, said)) return;
    if (
      this.hardware.length === 0 &&
      said.isOnlyMore &&
      said.facts.tighten &&
      Object.keys(said.facts).length === 1
    ) {
      // how tight it is, of what is screwed on itself
      this.alsoSaid(said);
      this.asides.push({ about: "return", says: this.textOf(segment) });
      return;
    }
    if (said.facts.kind === undefined && !this.belongsBefore(segment, said)) {
      this.refuse(segment, NOT_READ);
      this.asides.push(...said.asides);
      if (said.facts.leftHand)
        this.doubts.push({ piece: null, says: `“${this.textOf(segment)}”: of which piece?` });
      return;
    }
    this.keep(segment, said);
  }

  /**
   * "Two balls in the hub, they stay": what is turned round without a name of its own may be the piece
   * before.
   */
  private doubtStays(segment: Segment, said: Said): void {
    const piece = this.hardware.length - 1;
    const before = this.hardware[piece];
    if (!said.isNot || !before?.kind || segment.tokens.some((t) => t.t === "kind" || t.t === "thread"))
      return;
    if (segment.joint !== "comma" && segment.joint !== "and") return;
    const [one, many] = HARDWARE_NAMES[before.kind];
    const name = (before.qty ?? 1) > 1 ? many : one;
    this.doubts.push({ piece, says: `“${this.textOf(segment)}”: did the ${name} come off?` });
  }

  /**
   * A part that stands in a sentence of its own may be a landmark: "switch under it", "cam mark faces the
   * roller". It is kept as it was said, and asked about; only one that is named and no more came off.
   */
  private tellsOfPart(segment: Segment, said: Said): boolean {
    const text = this.textOf(segment);
    if (said.marks.length || said.facing.length) {
      const [from, to] = [segment.tokens[0]?.from ?? 0, segment.tokens.at(-1)?.to ?? 0];
      this.spans.push({ from, to, as: said.marks.length ? "mark" : "facing" });
      (said.marks.length ? this.marks : this.facing).push(text);
      return true;
    }
    if (!said.place || said.qty !== undefined || Object.keys(said.facts).some((k) => k !== "finish"))
      return false;
    this.refuse(segment, NOT_READ);
    this.asides.push(...said.asides);
    this.doubts.push({
      piece: null,
      says: `“${text}”: did the ${said.part} come off as well?`,
      part: said.part,
    });
    return true;
  }

  /** What a part of the line says of the step, whatever piece it names. */
  private alsoSaid(said: Said): void {
    this.spans.push(...said.spans);
    this.wires.push(...said.wires);
    this.freed.push(...said.freed);
    this.facing.push(...said.facing);
    this.marks.push(...said.marks);
    this.asides.push(...said.asides);
    for (const text of joinedRuns(said.note)) this.unread.push({ text, says: NOT_READ });
  }

  /**
   * "Two flats" where nothing is screwed are those of a shaft, mostly: they are asked about, and not counted.
   */
  private flatsOfShaft(segment: Segment): boolean {
    const isScrewed = this.hardware.some(
      (h) => h.kind !== undefined && DRIVEN.includes(h.kind) && h.form !== "grub",
    );
    if (!isBareFlats(segment) || isScrewed || this.isStacking) return false;
    const says = this.textOf(segment);
    const [from, to] = [segment.tokens[0]?.from ?? 0, segment.tokens.at(-1)?.to ?? 0];
    this.spans.push({ from, to, as: "seat" });
    this.asides.push({ about: "seat", says });
    this.doubts.push({ piece: null, says: `“${says}”: flat washers, or flats on the shaft?` });
    return true;
  }

  /** "8 mm bolt head, one bolt": how wide the head is of a screw that follows. */
  private headWidth({ tokens }: Segment, said: Said): boolean {
    const isAlone = tokens.some((t) => t.t === "drive" && t.isHead) && said.facts.kind === undefined;
    if (!isAlone || said.qty !== undefined) return false;
    const turned = this.hardware.findLast((h) => h.kind !== undefined && DRIVEN.includes(h.kind));
    if (turned) turned.drive ??= said.facts.drive;
    else this.pendingDrive = said.facts.drive;
    this.alsoSaid(said);
    return true;
  }

  /**
   * What is said of the step where no piece is named that it could belong to: the left hand of a hub that is
   * screwed on, that what came off is renewed.
   */
  private ofStep(said: Said): boolean {
    const { facts } = said;
    const keys = Object.keys(facts);
    const isAside = said.asides.length > 0 && keys.every((k) => k === "leftHand" || k === "once");
    const isNone = facts.leftHand
      ? !this.hardware.some((h) => h.kind !== undefined && DRIVEN.includes(h.kind))
      : this.hardware.length === 0;
    if (!isAside || !keys.length || !isNone || said.qty !== undefined || said.place || said.note.length)
      return false;
    this.leftHand ||= facts.leftHand === true;
    this.alsoSaid(said);
    for (const says of said.doubts) this.doubts.push({ piece: null, says });
    return true;
  }

  /** "Nut, rubber": soft stuff behind a comma is no look of what is screwed. It is kept, and asked about. */
  private ofAnother(segment: Segment, said: Said): boolean {
    const before = this.hardware.at(-1);
    const isSoft = said.isOnlyMore && SOFT.test(said.facts.finish ?? "") && segment.joint === "comma";
    if (!isSoft || before?.kind === undefined || !DRIVEN.includes(before.kind)) return false;
    this.refuse(segment, NOT_READ);
    this.doubts.push({ piece: null, says: `“${this.textOf(segment)}”: a piece of its own?` });
    return true;
  }

  /** More of the piece before, and nothing else: how long it is, how many there are. */
  private goesOn(segment: Segment, said: Said): boolean {
    const before = this.hardware.at(-1);
    const more =
      before &&
      !said.refused &&
      !said.isNot &&
      !outOfBounds(said) &&
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
  private refuse({ tokens, joined, joint }: Segment, says: string): void {
    const [from, to] = [tokens[0]?.from ?? 0, tokens.at(-1)?.to ?? 0];
    this.spans.push({ from, to, as: "note" });
    const before = this.refused;
    // "arrow with travel" is one saying, although "with" parts pieces elsewhere
    const isOn = joint !== undefined && joint !== "comma" && before?.says === says && joined !== undefined;
    const hasWords = [this.line.slice(before?.from, before?.to), this.line.slice(from, to)].every((t) =>
      /\p{L}/u.test(t),
    );
    if (isOn && hasWords && before.at === this.unread.length - 1 && before.to <= joined.from) {
      this.unread[before.at] = { text: this.line.slice(before.from, to).trim(), says };
      this.refused = { ...before, to };
      return;
    }
    this.unread.push({ text: this.line.slice(from, to).trim(), says });
    this.refused = { at: this.unread.length - 1, from, to, says };
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
      if (before.at === undefined && qty < (before.qty ?? 1))
        said.doubts.push(`“${qty} ${said.place}”: ${qty} of the ${before.qty}, or besides?`);
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
    this.alsoSaid(said);
    const before = this.hardware.at(-1);
    if (facts.kind === undefined) {
      const piece = before === undefined ? null : this.hardware.length - 1;
      for (const says of said.doubts) this.doubts.push({ piece, says });
      if (before) this.addTo(before, facts);
      return;
    }
    // "with washer and lock washer": what comes along goes on until something is counted again
    const goesOn = segment.joint === "and" && this.comesAlong && (qty === undefined || isArticle(segment));
    const isWith = (segment.joint === "with" || goesOn) && before !== undefined;
    this.comesAlong = isWith;
    // one ring or gasket lies under all of them, mostly
    const isOneForAll =
      isWith && qty === undefined && said.many === undefined && ONE_FOR_ALL.includes(facts.kind);
    const { count, isDoubtful } = isOneForAll
      ? { count: 1, isDoubtful: (before.qty ?? 1) > 1 }
      : countOf(
          said,
          this.spokenOf(segment),
          isArticle(segment),
          isWith ? (this.share ?? before.qty ?? 1) : undefined,
          this.share !== undefined,
        );
    if (!isWith) this.share = undefined;
    const isUncounted =
      qty === undefined &&
      count === 1 &&
      !isWith &&
      said.many !== undefined &&
      !NO_PIECE.includes(facts.kind);
    const isTurned = facts.kind === "screw" || facts.kind === "nut";
    const drive = facts.drive ?? (isTurned ? this.pendingDrive : undefined);
    if (isTurned) this.pendingDrive = undefined;
    this.hardware.push({
      ...facts,
      ...(drive && { drive }),
      qty: count,
      ...(isUncounted && { uncounted: true }),
    });
    const piece = this.hardware.length - 1;
    this.wayOf(piece);
    if (said.part !== undefined) {
      this.parts.push(said.part);
      const name = HARDWARE_NAMES[facts.kind][count > 1 ? 1 : 0];
      this.doubts.push({ piece, says: `“${this.textOf(segment)}”: a part, and ${count} ${name}?` });
    }
    // one that was said vaguely is a doubt already
    if (isUncounted && said.many === "plural") this.plurals.set(piece, said.isBare);
    this.wasCounted = qty !== undefined;
    if (!segment.tokens.some((t) => t.t === "kind")) this.inferred.push({ piece, what: "kind" });
    if (qty === undefined && count > 1) this.inferred.push({ piece, what: "count" });
    if (this.isStacking) this.stack.push({ piece });
    const each = isWith ? `“with”: ${count} in all, or for each of the ${before?.qty}?` : undefined;
    const isLoneEach = /each/i.test(segment.joined?.text ?? "") && before === undefined;
    if (isDoubtful || isLoneEach)
      this.doubts.push({ piece, says: each ?? `“${this.textOf(segment)}”: ${count} in all, or how many?` });
    // "two washers, wavy one on top": one of those, or another
    const isPronoun =
      /\bones?\b/i.test(this.spokenOf(segment)) && !isWith && (before?.qty ?? 1) > 1 && !said.doubts.length;
    if (isPronoun)
      this.doubts.push({ piece, says: `“${this.textOf(segment)}”: of the ${before?.qty}, or besides?` });
    if (isBareFlats(segment))
      this.doubts.push({ piece, says: `“${this.textOf(segment)}”: flat washers, or flats on the shaft?` });
    const isLoneFlat = segment.tokens.length === 1 && /^flat$/i.test(segment.tokens[0]?.text ?? "");
    if (isLoneFlat && segment.joint === "comma" && !this.isStacking)
      this.doubts.push({ piece, says: "“flat”: a flat washer, or how it lies?" });
    for (const says of said.doubts) this.doubts.push({ piece, says });
    this.sharePlace(segment, piece);
  }

  /** "Belt off to the left" tells how it came off, and no place. */
  private wayOf(piece: number): void {
    const h = this.hardware[piece];
    const isWay = /^(?:off|out|away)\b(?! first)/i.test(h?.at ?? "");
    if (!h?.kind || !isWay) return;
    this.asides.push({ about: "way", says: `${HARDWARE_NAMES[h.kind][(h.qty ?? 1) > 1 ? 1 : 0]} ${h.at}` });
    delete h.at;
  }

  /** More of a piece: what is turned, and its hand, belong to what is screwed and not to its washer. */
  private addTo(before: Facts, { tighten, leftHand, ...more }: Facts): void {
    Object.assign(before, more);
    if (!tighten && !leftHand) return;
    const turned = this.hardware.findLast((h) => h.kind !== undefined && DRIVEN.includes(h.kind)) ?? before;
    if (tighten) turned.tighten = tighter(turned.tighten, tighten);
    if (!leftHand) return;
    turned.leftHand = true;
    const piece = this.hardware.indexOf(turned);
    this.inferred.push({ piece, what: "hand" });
    if ((turned.qty ?? 1) > 1)
      this.doubts.push({ piece, says: `a left-hand thread: all ${turned.qty} of them?` });
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
/** Stuff that no screw or nut is made of. */
const SOFT = /^(?:rubber|felt|paper|fibre)$/;
/** "2 flats", and no more. */
const isBareFlats = ({ tokens }: Segment): boolean =>
  tokens.some((t) => t.t === "kind" && /^flats$/i.test(t.text)) &&
  tokens.every((t) => t.t === "kind" || t.t === "countWord" || t.t === "number");
const isArticle = ({ tokens }: Segment): boolean =>
  tokens.some((t) => t.t === "countWord" && /^an?$/i.test(t.text));
const joinedRuns = (words: readonly string[]): string[] => (words.length ? [words.join(" ")] : []);
