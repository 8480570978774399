/** What must be true before the first screw, each with its reason. */
export interface SafetyQuestion {
  readonly gate: string;
  readonly asks: string;
  readonly why: string;
}
