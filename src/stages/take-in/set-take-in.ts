import type { ActionResult } from "../saving/act";

/** How the fields of the take-in are saved. */
export interface SetTakeIn {
  readonly set: (fields: object) => Promise<ActionResult>;
  /** what a field of this name does with its text */
  readonly save: (name: string) => (text: string) => Promise<ActionResult>;
  readonly tick: (list: "symptoms" | "looseItems", item: string, on: boolean) => Promise<ActionResult>;
}
