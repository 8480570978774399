import type { Freeing } from "../freed";
import type { HardwareFacts } from "../piece";
import { NUT_FORMS, SCREW_FORMS } from "./lexicon";
import type { ReadAs, Span, Token } from "./tokens";

export type Facts = { -readonly [K in keyof HardwareFacts]?: HardwareFacts[K] };

/** What one part of the line says: of a piece, and of the step. */
export interface Said {
  readonly facts: Facts;
  /** said as a count; undefined: one is meant */
  readonly qty: number | undefined;
  /** where it sits, of a part that names no piece */
  readonly place: string | undefined;
  /** a number without a unit was taken for a length */
  readonly isBare: boolean;
  /** words that no preposition or direction makes a place */
  readonly hasWords: boolean;
  /** words that are no place and no fact */
  readonly note: readonly string[];
  readonly spans: readonly Span[];
  readonly wires: readonly { readonly colour: string; readonly to: string }[];
  readonly freed: readonly Freeing[];
  readonly facing: readonly string[];
  readonly marks: readonly string[];
  /** what makes it worth a second look */
  readonly doubts: readonly string[];
  /** why it cannot be: two drives in one piece */
  readonly refused: string | undefined;
  /** it says what is not there, or stays */
  readonly isNot: boolean;
  /** nothing but facts that belong to the piece before it, or to the step */
  readonly isOnlyMore: boolean;
}

const CALLED: Readonly<Partial<Record<keyof Facts, string>>> = {
  kind: "kinds of piece", thread: "threads", drive: "drives", lengthMm: "lengths", form: "heads", locker: "kinds of locker", state: "states", into: "materials that it goes into", threadIs: "kinds of thread",
}; // biome-ignore format: a short list reads better in rows

/** Prepositions are followed by what something lies at. What ends it again: a fact that no place has. */
const ENDS_PLACE: readonly Token["t"][] = [
  "drive",
  "length",
  "torque",
  "tight",
  "once",
  "locker",
  "state",
  "hand",
  "into",
  "wire",
  "facing",
  "mark",
  "freed",
  "bracket",
  "size",
];

const BEHIND_COMMAND: readonly Token["t"][] = ["bracket", "wire", "torque", "freed"];

/** What a number right before it counts; and what a number behind it would measure. */
const COUNTABLE: readonly Token["t"][] = ["thread", "drive", "kind", "form", "size"];
const SIZED: readonly Token["t"][] = ["thread", "drive", "kind", "size", "length"];

/** Reads one part of the line. Neighbouring words decide what each means: "bearing" behind "between" is a place, before a number it is a piece. */
export function readSegment(tokens: readonly Token[]): Said {
  return new Reader(tokens).read();
}

const twoOf = (what: string, one: unknown, other: unknown): string => `two ${what} in one piece, ${String(one)} and ${String(other)}; part them with a comma`;

class Reader {
  private readonly tokens: readonly Token[];
  private readonly facts: Facts = {};
  private readonly spans: Span[] = [];
  private readonly at: string[] = [];
  private readonly note: string[] = [];
  private readonly wires: { colour: string; to: string }[] = [];
  private readonly freed: Freeing[] = [];
  private readonly facing: string[] = [];
  private readonly marks: string[] = [];
  private readonly doubts: string[] = [];
  private qty: number | undefined;
  private refused: string | undefined;
  /** behind a preposition */
  private where = false;
  /** behind a word of freeing: "driven out to the left" */
  private afterFreed = false;
  private tight: string[] = [];
  /** a number without a unit was taken for a length */
  private isBare = false;
  /** words that neither are a place nor follow a preposition */
  private hasWords = false;

  private readonly counts: number;
  private readonly firstSaid: number;
  private readonly firstSized: number;
  private readonly isPlug: boolean;
  private readonly isBearing: boolean;
  /** tokens that went with the one before them */
  private readonly taken = new Set<Token>();

  constructor(tokens: readonly Token[]) {
    this.tokens = tokens;
    // asked of every number: looked up once
    this.counts = tokens.filter((t) => t.t === "count").length;
    this.firstSaid = tokens.findIndex((t) => t.t !== "empty");
    this.firstSized = tokens.findIndex((t) => SIZED.includes(t.t));
    this.isPlug = tokens.some((t) => t.t === "kind" && t.kind === "plug");
    this.isBearing = tokens.some((t) => t.t === "kind" && t.kind === "bearing");
  }

  read(): Said {
    const { tokens } = this;
    if (tokens.some((t) => t.t === "not")) {
      for (const t of tokens) this.span(t, "note");
      return this.said({ isNot: true });
    }
    for (const [i, token] of tokens.entries()) this.take(token, i);
    if (this.tight.length) this.facts.tighten = { ...this.facts.tighten, feel: this.tight.join(" ") };
    this.implyKind();
    const place = this.at.join(" ").replace(/\s+/g, " ").trim();
    // a place of nothing but articles is none
    if (place && this.facts.kind) this.facts.at = place;
    return this.said({ place: this.facts.kind ? undefined : place || undefined });
  }

  private said({ isNot = false, place }: { isNot?: boolean; place?: string | undefined }): Said {
    const { facts, note, spans, wires, freed, facing, marks, doubts, qty, refused } = this;
    const named = facts.kind !== undefined;
    const isOnlyMore = !isNot && !named && qty === undefined && !note.length && !place;
    const { isBare, hasWords } = this;
    return { facts, qty, place, note, spans, wires, freed, facing, marks, doubts, refused, isNot, isOnlyMore, isBare, hasWords };
  }

  private span({ from, to }: Token, as: ReadAs): void {
    this.spans.push({ from, to, as });
  }

  /** Whether a piece has been named, or something that only a screw or a nut has. */
  private get isNamed(): boolean {
    const { kind, thread, drive, form } = this.facts;
    return kind !== undefined || thread !== undefined || drive !== undefined || form !== undefined;
  }
  private set<K extends keyof Facts>(token: Token, as: ReadAs, key: K, value: Facts[K]): void {
    this.span(token, as);
    const before = this.facts[key];
    if (before !== undefined && before !== value) this.refused ??= twoOf(CALLED[key] ?? key, before, value);
    else this.facts[key] = value;
  }
  private place(token: Token, says = token.text): void {
    this.at.push(says);
    this.span(token, "place");
  }

  /** The next token that says something. */
  private next(i: number): Token | undefined {
    for (let k = i + 1; k < this.tokens.length; k++) if (this.tokens[k]?.t !== "empty") return this.tokens[k];
    return undefined;
  }

  private take(token: Token, i: number): void {
    if (ENDS_PLACE.includes(token.t)) this.where = false;
    if (this.where && this.takeInPlace(token, i)) return;
    switch (token.t) {
      case "negative":
        this.refused ??= "a count or a length is never below nothing";
        this.span(token, "count");
        return;
      case "count":
        if (token.of !== undefined && token.of !== token.n) this.doubts.push(`${token.n} of ${token.of}: where is the rest?`);
        this.count(token, token.n);
        return;
      case "countWord":
        this.countWord(token, token.n, i);
        return;
      case "number":
        this.number(token, token.n, token.isWhole, i);
        return;
      case "poles":
        this.poles(token, token.n, token.isPin);
        return;
      case "code":
        this.code(token, token.code);
        return;
      case "length":
        this.set(token, "length", "lengthMm", token.mm);
        return;
      case "size":
        this.set(token, "length", "thread", token.thread);
        this.more("lengthMm", token.lengthMm);
        return;
      case "thread":
        this.set(token, "thread", "thread", token.thread);
        if (token.lengthMm !== undefined) this.more("lengthMm", token.lengthMm);
        return;
      case "drive":
        this.set(token, "drive", "drive", token.drive);
        return;
      case "kind":
        this.kind(token, i);
        return;
      case "form":
        this.set(token, "head", "form", token.form);
        return;
      case "threadIs":
        this.set(token, "thread", "threadIs", token.threadIs);
        return;
      case "look":
        this.facts.finish = this.facts.finish ? `${this.facts.finish} ${token.look}` : token.look;
        this.span(token, "look");
        return;
      case "hand":
        this.set(token, "hand", "leftHand", true);
        return;
      case "once":
        this.set(token, "once", "once", true);
        return;
      case "locker":
        this.set(token, "locker", "locker", token.colour);
        return;
      case "state":
        this.set(token, "state", "state", token.state);
        return;
      case "torque":
        this.span(token, "torque");
        if (this.facts.tighten?.torqueNm !== undefined) this.refused ??= twoOf("torques", `${this.facts.tighten.torqueNm} N·m`, `${token.nm} N·m`);
        this.facts.tighten = { ...this.facts.tighten, torqueNm: token.nm };
        return;
      case "tight":
        this.tight.push(token.text);
        this.span(token, "tightening");
        return;
      case "into":
        this.set(token, "into", "into", token.into);
        return;
      case "wire":
        this.wires.push({ colour: token.colour, to: token.terminal });
        this.span(token, "wire");
        return;
      case "facing":
        this.facing.push(token.says);
        this.span(token, "facing");
        return;
      case "mark":
        this.marks.push(token.says);
        this.span(token, "mark");
        return;
      case "freed":
        this.free(token, token.how, token.isSure, i);
        return;
      case "bracket":
        if (/^\d{1,3}$/.test(token.inner) && this.qty === undefined && this.counts === 0) {
          this.count(token, Number(token.inner));
          return;
        }
        this.place(token, token.inner);
        return;
      case "empty":
        if (token.isEach) this.doubts.push("“each”: of how many?");
        if (token.hasA) this.doubts.push("“has”: which piece has it?");
        this.span(token, "joins");
        return;
      case "preposition":
        this.where = true;
        if (this.afterFreed) this.toNote(token);
        else this.place(token);
        return;
      case "place":
        this.place(token, token.says);
        return;
      case "direction":
        this.direction(token, i);
        return;
      case "word":
        this.word(token);
        return;
    }
  }

  /** Behind a preposition numbers, names of pieces, and threads of what it lies at belong to the place. Answers whether it did. */
  private takeInPlace(token: Token, i: number): boolean {
    const behind = this.next(i);
    // "in rear cover 4 TX15": what is counted comes next
    if (token.t === "number" && !this.isNamed && this.isHead(i)) {
      this.where = false;
      return false;
    }
    const isPlace =
      token.t === "number" ||
      token.t === "word" ||
      token.t === "empty" ||
      token.t === "preposition" ||
      token.t === "place" ||
      token.t === "direction" ||
      token.t === "look" ||
      token.t === "countWord" ||
      token.t === "code" ||
      ((token.t === "kind" || token.t === "form") && this.isNamed) ||
      (token.t === "thread" && this.facts.kind !== undefined && (this.facts.thread !== undefined || behind?.t === "kind" || behind?.t === "word"));
    if (!isPlace) {
      this.where = false;
      return false;
    }
    const says = token.t === "place" ? token.says : token.text;
    if (this.afterFreed) this.toNote(token);
    else this.place(token, says);
    return true;
  }
  private toNote(token: Token): void {
    this.note.push(token.text);
    this.span(token, "note");
  }

  private more<K extends keyof Facts>(key: K, value: Facts[K]): void {
    const before = this.facts[key];
    if (before !== undefined && before !== value) this.refused ??= twoOf(CALLED[key] ?? key, before, value);
    else this.facts[key] = value;
  }

  private count(token: Token, n: number): void {
    this.span(token, "count");
    if (this.qty !== undefined && this.qty !== n) this.refused ??= twoOf("counts", this.qty, n);
    else this.qty = n;
  }
  private countWord(token: Token, n: number, i: number): void {
    const isArticle = /^an?$/i.test(token.text);
    if (this.qty === undefined && this.counts === 0 && (isArticle ? this.next(i) !== undefined : this.tokens.length > 1)) {
      this.count(token, n);
      return;
    }
    if (isArticle) {
      this.span(token, "joins");
      return;
    }
    this.word(token);
  }
  /** A bare number: a count at the head of its part, a bearing's designation, else a length. */
  private number(token: Token, n: number, isWhole: boolean, i: number): void {
    if (this.isBearing && isWhole && n >= 600 && n < 100_000) {
      this.set(token, "label", "label", String(n));
      return;
    }
    if (isWhole && this.qty === undefined && this.counts === 0 && this.isHead(i)) {
      this.count(token, n);
      return;
    }
    this.isBare = true;
    this.set(token, "length", "lengthMm", n);
  }
  /** Whether a number here stands before its piece: first of all, or behind a place and right before what it counts. */
  private isHead(i: number): boolean {
    const behind = this.next(i);
    if (i <= this.firstSaid) return behind !== undefined;
    return behind !== undefined && COUNTABLE.includes(behind.t) && (this.firstSized < 0 || this.firstSized > i);
  }
  private poles(token: Token, n: number, isPin: boolean): void {
    if (this.isPlug) {
      this.set(token, "poles", "poles", n);
      return;
    }
    if (!isPin) {
      this.word(token);
      return;
    }
    this.count(token, n);
    this.more("kind", "pin");
  }
  private code(token: Token, code: string): void {
    if (this.isBearing && /^\d/.test(code)) {
      this.set(token, "label", "label", code);
      return;
    }
    if (this.isPlug && !/^\d/.test(code)) {
      this.set(token, "label", "label", code);
      return;
    }
    // a designation of its own is a bearing
    if (/^6\d{2,4}.*(RS|Z|LLU|DDU)/.test(code) && this.facts.kind === undefined) {
      this.facts.kind = "bearing";
      this.set(token, "label", "label", code);
      return;
    }
    this.word(token);
  }

  private kind(token: Token & { readonly t: "kind" }, i: number): void {
    // "piece" counts where nothing else is named
    const other = (...of: readonly Token["t"][]): boolean => this.tokens.some((t, k) => k !== i && of.includes(t.t));
    if (token.kind === "other" && (other("kind") || (/s$/i.test(token.text) && other("thread", "drive")))) {
      this.span(token, "kind");
      return;
    }
    // "carbon brush spring", "belt clip": the last name is the thing, the one before tells it apart
    const behind = this.tokens[i + 1];
    const isBefore = behind?.t === "kind" && behind.kind !== token.kind && behind.kind !== "other" && this.facts.kind === undefined;
    if (isBefore && isTold(token.text, behind.text)) {
      this.facts.finish = this.facts.finish ? `${this.facts.finish} ${token.text}` : token.text;
      this.span(token, "look");
      return;
    }
    this.set(token, "kind", "kind", token.kind);
    if (token.form) this.more("form", token.form);
    if (token.threadIs) this.more("threadIs", token.threadIs);
  }

  /** "left" right behind a thread, and nothing more: of one piece it is the hand, and worth a look. */
  private direction(token: Token, i: number): void {
    const before = this.tokens[i - 1];
    const isHand =
      /^left$/i.test(token.text) && !this.next(i) && (this.qty ?? 1) === 1 && (before?.t === "thread" || (before?.t === "kind" && before.kind === "nut"));
    if (!isHand || this.tokens.some((t) => t.t === "drive" || t.t === "number" || t.t === "length")) {
      this.place(token);
      return;
    }
    this.doubts.push("“left”: a left-hand thread, or where it sat?");
    this.set(token, "hand", "leftHand", true);
  }

  private free(token: Token, how: Freeing, isSure: boolean, i: number): void {
    const behind = this.tokens[i + 1];
    const isOut = behind?.t === "word" && /^(out|off|loose|free|apart)$/i.test(behind.text);
    // a command is one alone, at the end, or with "out" behind it: "drive" before "shaft" is none
    if (!isSure && !isOut && behind !== undefined && !BEHIND_COMMAND.includes(behind.t)) {
      this.word(token);
      return;
    }
    this.afterFreed = true;
    this.freed.push(how);
    this.span(token, "freed");
    if (behind === undefined || !isOut) return;
    this.span(behind, "freed");
    this.taken.add(behind);
  }

  private word(token: Token): void {
    // "out" behind "driven" went with it
    if (this.taken.has(token)) return;
    this.hasWords = true;
    if (this.afterFreed) {
      this.toNote(token);
      return;
    }
    if (token.t === "word" && token.isCondition) {
      this.toNote(token);
      return;
    }
    if (token.t === "word" && token.isPart && this.isNamed && !this.where) this.doubts.push(`“${token.text}” is counted nowhere`);
    this.place(token);
  }

  /** A screw is meant where only a thread, a drive or its head is named, a nut where its shape says so. */
  private implyKind(): void {
    const { facts } = this;
    if (facts.kind !== undefined) return;
    const isBySize = facts.thread !== undefined && /^(M|ST|#|\d+\/)/.test(facts.thread);
    if (facts.form !== undefined && NUT_FORMS.includes(facts.form)) facts.kind = "nut";
    else if (isBySize || facts.drive !== undefined || (facts.form !== undefined && SCREW_FORMS.includes(facts.form))) facts.kind = "screw";
  }
}

/** Names that stand before another's to tell it apart. */
const TELL_APART = /^(carbon|brush|belt|bearing|spring|ball|seal|plug|clamp|key|pawl|washer|rivet|clip|circlip|pin)$/i;
const CAN_BE_TOLD = /^(springs?|screws?|clips?|clamps?|covers?|pins?|washers?|bolts?|nuts?)$/i;
const isTold = (before: string, behind: string): boolean => TELL_APART.test(before) && CAN_BE_TOLD.test(behind);
