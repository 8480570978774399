import type { Link } from "./mechanisms";

/** Something that can be seen, heard or told: a finding, a pattern of teeth, a state of the grease, a symptom. */
export interface Sign {
  /** as the facts of a job name it: `seal:torn`, `teeth:run`, `grease:dry`, `symptom:clicks` */
  readonly id: string;
  readonly leak: number;
  readonly causes: readonly Link[];
}
export const sign = (id: string, leak: number, ...causes: readonly Link[]): Sign => ({ id, leak, causes });
