/** Every place of a job that has a screen of its own. */
export const JOB_PLACES = [
  "take-in",
  "strip",
  "judge",
  "judge/train",
  "judge/why",
  "judge/hardware",
  "match",
  "match/basket",
  "match/quote",
  "match/arrival",
  "lube",
  "rebuild",
  "hand-back",
  "sheet",
  "history",
  "ending",
];
