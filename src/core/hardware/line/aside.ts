import type { Freeing } from "../freed";

/**
 * What a stretch of a line says that is no piece: a tool that was used, a way it came free, what it sits on or
 * what stays, how other units of the model are made, what was put on for a while, a condition of its return.
 */
export const ASIDES = ["tool", "way", "seat", "variant", "meanwhile", "return", "hand", "share"] as const;
export type About = (typeof ASIDES)[number];

/** A stretch of the line that speaks of something beside the pieces. */
export interface Aside {
  readonly from: number;
  readonly to: number;
  readonly about: About;
  /** tools that it names, with their sizes: "10 mm socket" */
  readonly tools?: readonly string[];
  /** the way of freeing that its verb names, where the trade has one */
  readonly how?: Freeing;
  /** the piece before goes back new */
  readonly once?: true;
  /** which hand its thread has, where that was said */
  readonly hand?: "left" | "right";
  /** what a second look is asked for */
  readonly doubt?: string;
}
