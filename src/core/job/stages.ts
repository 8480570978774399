/** The seven stages, in the order a unit crosses the bench. */
export const STAGES = ["take-in", "strip", "judge", "match", "lube", "rebuild", "hand-back"] as const;
export type Stage = (typeof STAGES)[number];

export const STAGE_NAMES: Readonly<Record<Stage, string>> = {
  "take-in": "Take in",
  strip: "Strip",
  judge: "Judge",
  match: "Match",
  lube: "Lube",
  rebuild: "Rebuild",
  "hand-back": "Hand back",
};

export const isStage = (s: string): s is Stage => (STAGES as readonly string[]).includes(s);
export const stageAfter = (s: Stage): Stage | null => STAGES[STAGES.indexOf(s) + 1] ?? null;
