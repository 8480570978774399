import type { Freeing } from "../freed";
import type { HardwareKind } from "../kinds";
import type { HardwareForm, PieceState } from "../piece";
import type { Aside } from "./aside";

/** What a stretch of the line was taken for. */
export const READ_AS = [
  "count", "kind", "thread", "length", "drive", "head", "look", "hand", "once", "locker", "state", "torque",
  "tightening", "into", "label", "poles",
  "place", "stays", "stack", "freed", "wire", "facing", "mark", "joins", "note", "part",
  "tool", "way", "seat", "variant", "meanwhile", "return", "share",
] as const; // biome-ignore format: a short list reads better in rows
export type ReadAs = (typeof READ_AS)[number];

/** A stretch of the line, from its first letter to behind its last, and what it was taken for. */
export interface Span {
  readonly from: number;
  readonly to: number;
  readonly as: ReadAs;
}

export type Joint = "comma" | "and" | "plus" | "with" | "colon";

/** What one token of the line may mean, before its neighbours have been asked. */
export type Meaning =
  | { readonly t: "joint"; readonly how: Joint }
  | { readonly t: "bracket"; readonly inner: string }
  /** said as a count: `4x`, `x4`, `3 pcs`, `a pair of` */
  | { readonly t: "count"; readonly n: number; readonly of?: number }
  /** said as a word that may be an article: a, one, four */
  | { readonly t: "countWord"; readonly n: number }
  | { readonly t: "number"; readonly n: number; readonly isWhole: boolean }
  | { readonly t: "negative" }
  | { readonly t: "length"; readonly mm: number }
  /** three figures with a cross between them: what it is decides whether the first counts */
  | { readonly t: "three"; readonly sizes: readonly [number, number, number] }
  | { readonly t: "size"; readonly thread: string; readonly lengthMm: number }
  | { readonly t: "thread"; readonly thread: string; readonly lengthMm?: number }
  | { readonly t: "drive"; readonly drive: string; readonly isHead?: true }
  | {
      readonly t: "kind";
      readonly kind: HardwareKind;
      readonly form?: HardwareForm;
      readonly threadIs?: "coarse" | "machine";
      readonly finish?: string;
      readonly isMany?: true;
    }
  | { readonly t: "form"; readonly form: HardwareForm }
  | { readonly t: "look"; readonly look: string }
  | { readonly t: "threadIs"; readonly threadIs: "coarse" | "machine" }
  | { readonly t: "hand" }
  | { readonly t: "once" }
  | { readonly t: "locker"; readonly colour: string }
  | { readonly t: "state"; readonly state: PieceState }
  | { readonly t: "torque"; readonly nm: number }
  | { readonly t: "tight" }
  | { readonly t: "into"; readonly into: string }
  /** a bearing's designation, or what is printed beside a plug */
  | { readonly t: "code"; readonly code: string }
  | { readonly t: "poles"; readonly n: number; readonly isPin: boolean }
  | { readonly t: "preposition" }
  | { readonly t: "place"; readonly says: string }
  | { readonly t: "direction" }
  | { readonly t: "freed"; readonly how: Freeing; readonly isSure: boolean }
  | { readonly t: "wire"; readonly colour: string; readonly terminal: string }
  | { readonly t: "facing"; readonly says: string }
  | { readonly t: "mark"; readonly says: string }
  /** it did not come away: only loosened, or in the part that it stays with */
  | { readonly t: "stays"; readonly says: string }
  /** how pieces lie on each other begins here, said from the top or from the bottom */
  | { readonly t: "stack"; readonly begins: "top" | "bottom" }
  /** what is to be kept as it stands, in braces */
  | { readonly t: "kept" }
  | { readonly t: "not" }
  /**
   * something beside the pieces: a tool, a way, what stays, another unit's make-up, a condition of its return
   */
  | { readonly t: "aside"; readonly aside: Aside }
  /** has, each, the: says nothing of its own */
  | { readonly t: "empty"; readonly isEach?: true; readonly hasA?: true }
  /** a handful of, several: how many is not said */
  | { readonly t: "vague" }
  | { readonly t: "word"; readonly isPart?: true; readonly isCondition?: true };

export type Token = { readonly from: number; readonly to: number; readonly text: string } & Meaning;

/** The words of tokens, as they were typed. */
export const wordsOf = (tokens: readonly Token[]): string => tokens.map((t) => t.text).join(" ");
