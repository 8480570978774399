import type { Freeing } from "../freed";
import type { HardwareFacts } from "../piece";
import type { Aside } from "./aside";
import type { ReadAs, Span, Token } from "./tokens";

export type Facts = { -readonly [K in keyof HardwareFacts]?: HardwareFacts[K] };

/** Something said beside the pieces, in its own words. */
export type AsideSaid = Omit<Aside, "from" | "to"> & { readonly says: string };

/** What one part of the line says: of a piece, and of the step. */
export interface Said {
  readonly facts: Facts;
  /** said as a count; undefined: one is meant */
  readonly qty: number | undefined;
  /** where it sits, of a part that names no piece */
  readonly place: string | undefined;
  /** a number without a unit was taken for a length */
  readonly isBare: boolean;
  /** several were spoken of: in a plural, or vaguely, which is a doubt already */
  readonly many: "plural" | "vague" | undefined;
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
  readonly doubts: string[];
  /** why it cannot be: two drives in one piece */
  readonly refused: string | undefined;
  /** it says what is not there, or stays */
  readonly isNot: boolean;
  /** what it says beside the piece */
  readonly asides: readonly AsideSaid[];
  /** the name of a part, where it names no piece */
  readonly part: string | undefined;
  /** "a washer each": each of those before has its own */
  readonly isEach: boolean;
  /** nothing but facts that belong to the piece before it, or to the step */
  readonly isOnlyMore: boolean;
}

const CALLED: Readonly<Partial<Record<keyof Facts, string>>> = {
  kind: "kinds of piece", thread: "threads", drive: "drives", lengthMm: "lengths", form: "heads",
  locker: "kinds of locker", state: "states", into: "materials that it goes into",
  threadIs: "kinds of thread",
}; // biome-ignore format: a short list reads better in rows

const twoOf = (what: string, one: unknown, other: unknown): string =>
  `two ${what} in one piece, ${String(one)} and ${String(other)}; part them with a comma`;

/**
 * What has been said of one piece so far: facts that agree, a second that does not is why the piece is
 * refused. Whatever is taken, its stretch of the line is marked.
 */
export class Saying {
  readonly facts: Facts = {};
  readonly wires: { colour: string; to: string }[] = [];
  readonly freed: Freeing[] = [];
  readonly facing: string[] = [];
  readonly marks: string[] = [];
  readonly doubts: string[] = [];
  readonly asides: AsideSaid[] = [];
  part: string | undefined;
  isEach = false;
  qty: number | undefined;
  refused: string | undefined;
  /** a number without a unit was taken for a length */
  isBare = false;
  /** several were spoken of: "washers", "some" */
  many: "plural" | "vague" | undefined;
  /** words that neither are a place nor follow a preposition */
  hasWords = false;
  private readonly spans: Span[] = [];
  private readonly at: string[] = [];
  private readonly note: string[] = [];
  private readonly tight: string[] = [];

  /** Whether a piece has been named, or something that only a screw or a nut has. */
  get isNamed(): boolean {
    const { kind, thread, drive, form } = this.facts;
    return kind !== undefined || thread !== undefined || drive !== undefined || form !== undefined;
  }

  span({ from, to }: Token, as: ReadAs): void {
    this.spans.push({ from, to, as });
  }
  set<K extends keyof Facts>(token: Token, as: ReadAs, key: K, value: Facts[K]): void {
    this.span(token, as);
    this.more(key, value);
  }
  /** A fact that comes with another. */
  more<K extends keyof Facts>(key: K, value: Facts[K]): void {
    const before = this.facts[key];
    if (before !== undefined && before !== value) this.refused ??= twoOf(CALLED[key] ?? key, before, value);
    else this.facts[key] = value;
  }
  count(token: Token, n: number): void {
    this.span(token, "count");
    if (this.qty !== undefined && this.qty !== n) this.refused ??= twoOf("counts", this.qty, n);
    else this.qty = n;
  }
  /** Whether it was taken for a word of a place or a note. */
  isWord({ from, to }: Token): boolean {
    return this.spans.some((s) => s.from === from && s.to === to && (s.as === "place" || s.as === "note"));
  }
  torque(token: Token, nm: number): void {
    this.span(token, "torque");
    const before = this.facts.tighten?.torqueNm;
    if (before !== undefined && before !== nm)
      this.refused ??= twoOf("torques", `${before} N·m`, `${nm} N·m`);
    this.facts.tighten = { ...this.facts.tighten, torqueNm: nm };
  }
  feel(token: Token): void {
    this.span(token, "tightening");
    this.tight.push(token.text);
  }
  look(token: Token, look: string): void {
    this.span(token, "look");
    this.called(look);
  }
  /** One more word for what it looks like, or is called. */
  called(word: string): void {
    const before = this.facts.finish?.split(" ") ?? [];
    if (!before.includes(word)) this.facts.finish = [...before, word].join(" ");
  }
  place(token: Token, says = token.text): void {
    this.span(token, "place");
    this.at.push(says);
  }
  toNote(token: Token): void {
    this.span(token, "note");
    this.note.push(token.text);
  }

  aside(token: Token, { from: _from, to: _to, ...aside }: Aside): void {
    this.span(token, aside.about);
    this.asides.push({ ...aside, says: token.text });
    if (aside.hand === "left") this.facts.leftHand = true;
    if (aside.once) this.facts.once = true;
    if (aside.how) this.freed.push(aside.how);
    if (aside.doubt) this.doubts.push(aside.doubt);
  }

  /** All of it; without a kind its place is told apart, for it may be the place of the same again. */
  said(isNot = false): Said {
    const { facts, note, spans, wires, freed, facing, marks, doubts, qty, refused, isBare, many, hasWords } =
      this;
    const { asides, part, isEach } = this;
    if (this.tight.length) facts.tighten = { ...facts.tighten, feel: this.tight.join(" ") };
    const where = this.at.join(" ").replace(/\s+/g, " ").trim();
    const named = facts.kind !== undefined;
    if (where && named) facts.at = where;
    // said of this piece, and of no other
    if (named && facing.length) facts.facing = facing.join("; ");
    const place = named ? undefined : where || undefined;
    const isOnlyMore = !isNot && !named && qty === undefined && !note.length && !place;
    return {
      facts,
      qty,
      place,
      note,
      spans,
      wires,
      freed,
      facing,
      marks,
      doubts,
      refused,
      isNot,
      isOnlyMore,
      isBare,
      many,
      hasWords,
      asides,
      part,
      isEach,
    };
  }
}
