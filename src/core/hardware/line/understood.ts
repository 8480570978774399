import type { Freeing } from "../freed";
import type { HardwareFacts } from "../piece";
import type { AsideSaid } from "./saying";
import type { Span } from "./tokens";

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

/** What of a piece was not said and is taken for granted until somebody lays the step down. */
export interface Inferred {
  readonly piece: number;
  readonly what: "kind" | "count" | "hand";
}

/** Something that was read, and may have been meant otherwise. */
export interface Doubt {
  /** which piece, counted from 0; null: none of those that were read */
  readonly piece: number | null;
  readonly says: string;
  /** the part that it asks of */
  readonly part?: string;
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
  /** what was said beside the pieces: tools, ways, what stays, conditions of its return */
  readonly asides: readonly AsideSaid[];
  /** names of parts that stand among the pieces: "end cap, snap ring" */
  readonly parts: readonly string[];
  /** a left-hand thread that belongs to no piece: of a hub, a head */
  readonly leftHand: boolean;
  /** pieces of which something was taken for granted, by index: their kind, or how many there are */
  readonly inferred: readonly Inferred[];
  readonly doubts: readonly Doubt[];
  /** what each stretch of the line was taken for; every letter and figure lies in one */
  readonly read: readonly Span[];
}
