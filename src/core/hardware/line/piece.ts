import { doubtsOf, doubtsOfWords, HARMLESS } from "./doubts";
import { NUT_FORMS, SCREW_FORMS } from "./lexicon";
import {
  BEHIND_COMMAND,
  COUNTABLE,
  ENDS_PLACE,
  FEW,
  IN_PLACE,
  isTold,
  MEASURES,
  SIZED,
  THREE_SIZES,
} from "./neighbours";
import { partNameIn } from "./part-name";
import { type Said, Saying } from "./saying";
import { type Token, wordsOf } from "./tokens";

/**
 * Reads one part of the line. Neighbouring words decide what each means: "bearing" behind "between" is a
 * place, before a number it is a piece.
 */
export function readSegment(tokens: readonly Token[]): Said {
  return new Reader(tokens).read();
}

/** Sizes of spanners, mm: a nut that is told by one of them is told by its width across flats. */
const WRENCH_SIZES: readonly number[] = [
  7, 8, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 21, 22, 24, 27, 30, 32, 36,
];
/**
 * Widths across flats (ISO 272, and DIN 931 for M10 and M12) that no usual length of a screw is, mm: behind
 * its thread one of these is its hexagon.
 */
const HEXAGON_OF: Readonly<Record<string, number>> = { M3: 5.5, M4: 7, M8: 13, M10: 17, M12: 19 };
/** Hexagons that are usual lengths as well, mm: which is meant is asked. */
const HEXAGON_OR_LENGTH: Readonly<Record<string, number>> = { M5: 8, M6: 10 };
/** Words before a piece that do not say which one it is. */
const NO_NAME: ReadonlySet<string> = new Set([
  "and", "or", "then", "also", "only", "just", "again", "more", "last", "first", "second", "third",
  "fourth", "fifth", "other", "another", "next", "same", "of", "was", "were", "had", "has", "have", "is",
  "are", "that", "this", "its", "off", "out", "loose", "free", "what", "which", "new", "old", "spare",
  "extra", "every", "single",
]); // biome-ignore format: a list
const HEXAGONS: readonly string[] = ["nut", "screw"];
const NAMES_OTHERS: readonly string[] = ["socket", "button", "round"];

/** A token of one kind. */
type Of<K extends Token["t"]> = Token & { readonly t: K };
type Takes = { readonly [K in Token["t"]]: (token: Of<K>, i: number) => void };

class Reader {
  private readonly tokens: readonly Token[];
  private readonly say = new Saying();
  /** behind a preposition */
  private where = false;
  /** behind a word of freeing: "driven out to the left" */
  private afterFreed = false;
  /** how wide a head is was said, and of which screw follows: "8 mm bolt head" */
  private headWidth = false;
  /** a size that was typed with blanks around its cross */
  private spaced: Token | undefined;
  /** tokens that went with the one before them */
  private readonly taken = new Set<Token>();
  private readonly counts: number;
  private readonly firstSaid: number;
  private readonly firstSized: number;
  private readonly isPlug: boolean;
  private readonly isBearing: boolean;
  private readonly hasThreeSizes: boolean;
  /** tokens that name a part: "brush holder" is no brush */
  private readonly partNames: ReadonlySet<Token>;

  constructor(tokens: readonly Token[]) {
    this.tokens = tokens;
    const names = (kind: string): boolean => tokens.some((t) => t.t === "kind" && t.kind === kind);
    // asked of every number: looked up once
    this.counts = tokens.filter((t) => t.t === "count").length;
    this.firstSaid = tokens.findIndex((t) => t.t !== "empty");
    this.firstSized = tokens.findIndex((t) => SIZED.includes(t.t));
    this.isPlug = names("plug");
    this.isBearing = names("bearing");
    this.hasThreeSizes = tokens.some((t) => t.t === "kind" && THREE_SIZES.includes(t.kind));
    this.partNames = partNameIn(tokens);
  }

  read(): Said {
    const { tokens, say } = this;
    if (tokens.some((t) => t.t === "not")) {
      for (const t of tokens) say.span(t, "note");
      return say.said(true);
    }
    for (const [i, token] of tokens.entries()) this.take(token, i);
    this.implyKind();
    if (this.partNames.size) say.part = wordsOf([...this.partNames]);
    say.doubts.push(
      ...doubtsOfWords(tokens, say.facts, say.qty),
      ...doubtsOf(say.facts, say.qty, this.spaced?.text),
    );
    return say.said();
  }

  private take<K extends Token["t"]>(token: Of<K>, i: number): void {
    if (ENDS_PLACE.includes(token.t)) this.where = false;
    if (this.where && this.takeInPlace(token, i)) return;
    if (this.partNames.has(token)) this.say.span(token, "part");
    else this.takes[token.t as K](token, i);
  }

  /** What each kind of token says. */
  private readonly takes: Takes = {
    negative: (t) => {
      this.say.span(t, "count");
      this.say.refused ??= "a count or a length is never below nothing";
    },
    count: (t, i) => {
      if (/^both$/i.test(t.text) && this.say.isNamed && this.isOfSides(i)) return this.say.place(t);
      if (t.of !== undefined && t.of !== t.n) this.say.doubts.push(`${t.n} of ${t.of}: where is the rest?`);
      this.say.count(t, t.n);
    },
    countWord: (t, i) => this.countWord(t, i),
    number: (t, i) => this.number(t, i),
    poles: (t) => this.poles(t),
    code: (t) => this.code(t),
    length: (t) => {
      if (this.isAcrossFlats(t.mm)) return this.say.set(t, "drive", "drive", `AF${t.mm}`);
      const { thread = "", drive } = this.say.facts;
      if (drive === undefined && HEXAGON_OR_LENGTH[thread] === t.mm && /mm$/i.test(t.text))
        this.say.doubts.push(`“${thread} ${t.text}”: how long it is, or its spanner?`);
      this.say.set(t, "length", "lengthMm", t.mm);
    },
    three: (t) => this.three(t),
    vague: (t) => {
      this.say.span(t, "count");
      this.say.many = "vague";
      this.say.doubts.push(`“${t.text}”: how many?`);
    },
    size: (t) => {
      if (/\s/.test(t.text)) this.spaced = t;
      this.say.set(t, "length", "thread", t.thread);
      this.say.more("lengthMm", t.lengthMm);
    },
    thread: (t) => {
      this.say.set(t, "thread", "thread", t.thread);
      if (t.lengthMm !== undefined) this.say.more("lengthMm", t.lengthMm);
    },
    drive: (t, i) => {
      this.headWidth ||=
        t.isHead === true && this.tokens.every((x) => x === t || x.t === "empty" || x.t === "aside");
      this.drive(t, i);
    },
    kind: (t, i) => this.kind(t, i),
    form: (t) => this.say.set(t, "head", "form", t.form),
    threadIs: (t) => this.say.set(t, "thread", "threadIs", t.threadIs),
    // "16 mm long" is how long it is, and no look
    look: (t, i) =>
      t.look === "long" && this.tokens[i - 1]?.t === "length"
        ? this.say.span(t, "length")
        : this.say.look(t, t.look),
    hand: (t) => this.say.set(t, "hand", "leftHand", true),
    once: (t) => this.say.set(t, "once", "once", true),
    locker: (t) => this.say.set(t, "locker", "locker", t.colour),
    state: (t) => {
      this.say.set(t, "state", "state", t.state);
      // "6 screws but one missing"
      const another = this.tokens.find(
        (x) => x.t === "countWord" && x.n < (this.say.qty ?? 1) && this.say.isWord(x),
      );
      if (another) this.say.doubts.push(`“${t.text}”: all ${this.say.qty}, or ${another.text} of them?`);
    },
    torque: (t) => this.say.torque(t, t.nm),
    tight: (t) => this.say.feel(t),
    into: (t) => this.say.set(t, "into", "into", t.into),
    wire: (t) => {
      this.say.span(t, "wire");
      this.say.wires.push({ colour: t.colour, to: t.terminal });
    },
    facing: (t) => {
      this.say.span(t, "facing");
      this.say.facing.push(t.says);
    },
    stays: (t) => this.say.set(t, "stays", "stays", t.says),
    // taken before (quick-line.ts)
    stack: (t) => this.say.span(t, "stack"),
    kept: (t) => this.say.toNote(t),
    mark: (t) => {
      this.say.span(t, "mark");
      this.say.marks.push(t.says);
    },
    freed: (t, i) => this.free(t, i),
    bracket: (t, i) => {
      // "two (2) M4" says its count twice
      const before = this.tokens[i - 1];
      const isTwice = before?.t === "countWord" && String(before.n) === t.inner;
      if (/^\d{1,3}$/.test(t.inner) && (this.mayCount || isTwice)) this.say.count(t, Number(t.inner));
      else this.say.place(t, t.inner);
    },
    empty: (t, i) => {
      if (t.isEach) this.say.isEach = true;
      if (t.hasA) this.say.doubts.push("“has”: which piece has it?");
      // "each side" is a place to its first word
      if (t.isEach && this.say.isNamed && this.isOfSides(i)) this.say.place(t);
      else this.say.span(t, "joins");
    },
    preposition: (t, i) => {
      // "at 3 Nm", "of 16 mm"
      const behind = this.next(i)?.t;
      if (behind && MEASURES.includes(behind)) return this.say.span(t, "joins");
      this.where = true;
      this.toPlace(t);
    },
    place: (t) => this.say.place(t, t.says),
    direction: (t, i) => this.direction(t, i),
    word: (t, i) => (this.tellsApart(t, i) ? this.say.look(t, t.text.toLowerCase()) : this.word(t)),
    aside: (t) => this.say.aside(t, t.aside),
    // cut away before (segments.ts), or read as a whole
    joint: (t) => this.say.span(t, "joins"),
    not: (t) => this.say.span(t, "note"),
  };

  /** Whether a side or an end follows: "each end", "both sides". */
  private isOfSides(i: number): boolean {
    return /^(?:sides?|ends?|halves|half|corners?|faces?)$/i.test(this.next(i)?.text ?? "");
  }
  /** Nothing has counted yet, and nothing will that is plainly a count. */
  private get mayCount(): boolean {
    return this.say.qty === undefined && this.counts === 0;
  }
  /** The next token that says something. */
  private next(i: number): Token | undefined {
    for (let k = i + 1; k < this.tokens.length; k++) if (this.tokens[k]?.t !== "empty") return this.tokens[k];
    return undefined;
  }
  /** What follows a word of freeing says which way, and no place. */
  private toPlace(token: Token, says = token.text): void {
    if (this.afterFreed) this.say.toNote(token);
    else this.say.place(token, says);
  }

  /**
   * Behind a preposition numbers, names of pieces, and threads of what it lies at belong to the place.
   * Answers whether it did.
   */
  private takeInPlace(token: Token, i: number): boolean {
    const { facts, isNamed } = this.say;
    const behind = this.next(i)?.t;
    // "in rear cover 4 TX15": what is counted comes next
    const isCount = token.t === "number" && ((!isNamed && this.isHead(i)) || this.isMeasured(i));
    // "between the two bearings", "on a pin": a thing that is known, or the one that it lies at
    const isAt = this.isNamedAt(token, i);
    const isPlace =
      isAt ||
      IN_PLACE.includes(token.t) ||
      ((token.t === "kind" || token.t === "form") && isNamed) ||
      (token.t === "thread" &&
        facts.kind !== undefined &&
        (facts.thread !== undefined || behind === "kind" || behind === "word"));
    this.where = isPlace && !isCount;
    if (this.where && token.t === "empty" && token.isEach) this.say.isEach = true;
    if (this.where) this.toPlace(token, token.t === "place" ? token.says : token.text);
    return this.where;
  }

  /** Whether a piece is named right behind a preposition: what it lies at is not on the bench. */
  private isNamedAt(token: Token, i: number): boolean {
    if (token.t !== "kind") return false;
    const before = this.tokens.slice(0, i);
    const at = before.findLastIndex((t) => t.t === "preposition");
    const between = before.slice(at + 1);
    const isDefinite = between.some((t) => t.t === "empty" || (t.t === "countWord" && /^an?$/i.test(t.text)));
    return at >= 0 && !between.some((t) => t.t === "word") && (between.length === 0 || isDefinite);
  }

  /** "from the left side 20 long" */
  private isMeasured(i: number): boolean {
    const behind = this.tokens[i + 1];
    return behind?.t === "look" && behind.look === "long";
  }

  private countWord(token: Of<"countWord">, i: number): void {
    const isArticle = /^an?$/i.test(token.text);
    // "a thick one above": the same again
    const before = this.tokens[i - 1]?.t;
    const isPronoun = token.text.toLowerCase() === "one" && (before === "look" || before === "direction");
    if (isPronoun && (this.say.qty !== undefined || before === "direction")) {
      if (this.say.qty === undefined) this.say.count(token, 1);
      else this.say.span(token, "joins");
    } else if (this.mayCount && (isArticle ? this.next(i) !== undefined : this.tokens.length > 1))
      this.say.count(token, token.n);
    else if (isArticle) this.say.span(token, "joins");
    else this.word(token);
  }
  /** A bare number: a count at the head of its part, a bearing's designation, else a length. */
  private number(token: Of<"number">, i: number): void {
    const { n, isWhole } = token;
    const named = this.tokens[i + 1];
    // "10 nut", "nut 17" is one, as wide as that across its flats; of a bolt it may be how long it is
    const before = this.tokens[i - 1];
    const isBehindHexagon =
      isWhole && WRENCH_SIZES.includes(n) && before?.t === "kind" && this.say.facts.drive === undefined;
    if (isBehindHexagon && before.kind === "nut" && !before.isMany) {
      this.say.set(token, "drive", "drive", `AF${n}`);
      return;
    }
    if (
      isBehindHexagon &&
      /^bolts?$/i.test(before.text) &&
      this.say.facts.thread === undefined &&
      this.say.facts.form === undefined
    )
      this.say.doubts.push(`“${before.text} ${token.text}”: how wide its head is, or how long it is?`);
    const isAcross =
      isWhole &&
      WRENCH_SIZES.includes(n) &&
      named?.t === "kind" &&
      !named.isMany &&
      HEXAGONS.includes(named.kind);
    if (isAcross && this.mayCount) this.say.set(token, "drive", "drive", `AF${n}`);
    else if (this.isBearing && isWhole && n >= 600 && n < 100_000)
      this.say.set(token, "label", "label", String(n));
    else if (isWhole && this.mayCount && this.isHead(i)) this.say.count(token, n);
    else {
      this.say.isBare = true;
      // "1 large 2 small washers"
      if (isWhole && this.say.qty !== undefined && this.say.facts.finish && this.next(i)?.t === "look")
        this.say.doubts.push(`“${token.text}”: how large, or so many more?`);
      this.say.set(token, "length", "lengthMm", n);
    }
  }
  /**
   * Whether a number here stands before its piece: first of all, or behind a place and right before what it
   * counts.
   */
  private isHead(i: number): boolean {
    const behind = this.next(i);
    if (i <= this.firstSaid) return behind !== undefined;
    return (
      behind !== undefined && COUNTABLE.includes(behind.t) && (this.firstSized < 0 || this.firstSized > i)
    );
  }
  /** Rings, keys and sleeves have three sizes; of a screw the first of three counts. */
  private three(token: Of<"three">): void {
    const [first, second, third] = token.sizes;
    const isCount = Number.isInteger(first) && this.mayCount;
    if (!this.hasThreeSizes) {
      if (!isCount) this.say.refused ??= `${token.text}: three sizes, of a piece that has two`;
      else {
        this.say.count(token, first);
        this.say.more("thread", String(second));
        this.say.more("lengthMm", third);
      }
      return;
    }
    this.say.set(token, "length", "thread", `${first}x${second}`);
    this.say.more("lengthMm", third);
    if (isCount && first <= FEW)
      this.say.doubts.push(`“${token.text}”: three sizes, or ${first} of ${second} × ${third}?`);
  }
  private poles(token: Of<"poles">): void {
    if (this.isPlug) this.say.set(token, "poles", "poles", token.n);
    else if (!token.isPin) this.word(token);
    else {
      this.say.count(token, token.n);
      this.say.more("kind", "pin");
    }
  }
  private code(token: Of<"code">): void {
    const { code } = token;
    // a designation of its own is a bearing
    const isAlone = /^6\d{2,4}.*(RS|Z|LLU|DDU)/.test(code) && this.say.facts.kind === undefined;
    if (isAlone) this.say.facts.kind = "bearing";
    const isFigure = /^(?:\d|HK|AXK)/.test(code);
    if (isAlone || (this.isBearing && isFigure) || (this.isPlug && !isFigure))
      this.say.set(token, "label", "label", this.isPlug ? code.toUpperCase() : code);
    else this.word(token);
  }

  private kind(token: Of<"kind">, i: number): void {
    const other = (...of: readonly Token["t"][]): boolean =>
      this.tokens.some((t, k) => k !== i && of.includes(t.t));
    const behind = this.tokens[i + 1];
    // "carbon brush spring", "belt clip": the last name is the thing, the one before tells it apart
    const isBefore =
      behind?.t === "kind" &&
      behind.kind !== token.kind &&
      behind.kind !== "other" &&
      this.say.facts.kind === undefined;
    // "piece" counts where nothing else is named
    if (token.kind === "other" && (other("kind") || (/s$/i.test(token.text) && other("thread", "drive"))))
      this.say.span(token, "kind");
    else if (isBefore && isTold(token.text, behind.text)) this.say.look(token, token.text);
    else {
      if (/^allen/i.test(token.text)) this.keyWidth(token, i);
      this.say.set(token, "kind", "kind", token.kind);
      if (token.isMany) this.say.many ??= "plural";
      if (token.form) this.say.more("form", token.form);
      if (token.threadIs) this.say.more("threadIs", token.threadIs);
      if (token.finish) this.say.called(token.finish);
    }
  }

  /** "left" right behind a thread, and nothing more: of one piece it is the hand, and worth a look. */
  private direction(token: Of<"direction">, i: number): void {
    const before = this.tokens[i - 1];
    const isBehindThread = before?.t === "thread" || (before?.t === "kind" && before.kind === "nut");
    const isHand = /^left$/i.test(token.text) && !this.next(i) && (this.say.qty ?? 1) === 1 && isBehindThread;
    if (!isHand || this.tokens.some((t) => t.t === "drive" || t.t === "number" || t.t === "length"))
      this.say.place(token);
    else {
      this.say.doubts.push("“left”: a left-hand thread, or where it sat?");
      this.say.set(token, "hand", "leftHand", true);
    }
  }

  /** "T8 security torx" is one drive, said twice. */
  private drive(token: Of<"drive">, i: number): void {
    const said = this.say.facts.drive;
    if (said?.startsWith(token.drive)) this.say.span(token, "drive");
    else {
      if (said && token.drive.startsWith(said)) this.say.facts.drive = token.drive;
      if (token.drive !== "hex" || !this.keyWidth(token, i))
        this.say.set(token, "drive", "drive", token.drive);
    }
  }
  /** "8 M8 13mm": no screw is 13 mm long, and that hexagon is its own. */
  private isAcrossFlats(mm: number): boolean {
    const { thread, drive, lengthMm } = this.say.facts;
    return drive === undefined && lengthMm === undefined && HEXAGON_OF[thread ?? ""] === mm;
  }
  /** "6 mm allen" is mostly how wide its key is. Answers whether a width stood there. */
  private keyWidth(token: Token, i: number): boolean {
    const before = this.tokens[i - 1];
    if (before?.t !== "length" || before.mm !== this.say.facts.lengthMm) return false;
    delete this.say.facts.lengthMm;
    this.say.set(token, "drive", "drive", `hex ${before.mm}`);
    this.say.doubts.push(`“${before.text}”: how wide its key is, or how long the screw?`);
    return true;
  }

  private free(token: Of<"freed">, i: number): void {
    const behind = this.tokens[i + 1];
    const isOut = behind?.t === "word" && /^(out|off|loose|free|apart)$/i.test(behind.text);
    // a command is one alone, at the end, or with "out" behind it: "drive" before "shaft" is none
    if (!token.isSure && !isOut && behind !== undefined && !BEHIND_COMMAND.includes(behind.t)) {
      this.word(token);
      return;
    }
    this.afterFreed = true;
    this.say.freed.push(token.how);
    this.say.span(token, "freed");
    if (behind === undefined || !isOut) return;
    this.say.span(behind, "freed");
    this.taken.add(behind);
  }

  private word(token: Token): void {
    // "out" behind "driven" went with it
    if (this.taken.has(token)) return;
    this.say.hasWords = true;
    if (/^or$/i.test(token.text)) this.say.doubts.push("“or”: which of the two?");
    const { isCondition, isPart } =
      token.t === "word" ? token : { isCondition: undefined, isPart: undefined };
    if (isCondition) this.say.toNote(token);
    else if (/^(?:is|are|was|were)$/i.test(token.text)) this.say.span(token, "joins");
    else {
      const isOdd = isPart || (this.say.facts.kind !== undefined && !HARMLESS.test(token.text));
      if (isOdd && this.say.isNamed && !this.afterFreed && !this.isSide(token))
        this.say.doubts.push(`“${token.text}” is counted nowhere`);
      this.toPlace(token);
    }
  }

  /** "Bell seal", "hand nuts": a word right before a piece tells which one it is. */
  private tellsApart(token: Token, i: number): boolean {
    const behind = this.tokens[i + 1];
    const isWord =
      token.t === "word" && !token.isPart && !token.isCondition && /^\p{L}[\p{L}-]{2,}$/u.test(token.text);
    return (
      isWord &&
      behind?.t === "kind" &&
      !this.say.isNamed &&
      !this.afterFreed &&
      !NO_NAME.has(token.text.toLowerCase())
    );
  }

  /** "Motor side" is a place. */
  private isSide(token: Token): boolean {
    return /^(?:side|end)$/i.test(this.next(this.tokens.indexOf(token))?.text ?? "");
  }

  /** A screw is meant where only a thread, a drive or its head is named, a nut where its shape says so. */
  private implyKind(): void {
    const { facts } = this.say;
    if (facts.kind !== undefined) return;
    // a head alone is the name of many things: "button", "socket"
    const isSaid = this.say.qty !== undefined || facts.lengthMm !== undefined || facts.thread !== undefined;
    const isHead =
      facts.form !== undefined &&
      SCREW_FORMS.includes(facts.form) &&
      (isSaid || !NAMES_OTHERS.includes(facts.form));
    // "flat blade" alone may be what it was done with
    const isDrive = facts.drive !== undefined && !this.headWidth;
    if (isDrive && !isSaid && !/\d/.test(facts.drive ?? ""))
      this.say.doubts.push(`“${facts.drive}”: a screw, or the tool?`);
    const isBySize = facts.thread !== undefined && /^(M|ST|#|\d+\/|\d+BA)/.test(facts.thread);
    if (facts.form !== undefined && NUT_FORMS.includes(facts.form)) facts.kind = "nut";
    else if (isBySize || isDrive || isHead) facts.kind = "screw";
  }
}
