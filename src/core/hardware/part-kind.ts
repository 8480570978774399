/** The kind of a part from its name, as later stages sort by it: a gear is measured, a bearing has a size, a seal is renewed. */
const KINDS: readonly (readonly [RegExp, string])[] = [
  [/\b(cover|lid|base plate)\b/i, "cover"],
  [/\bsleeve bearings?\b/i, "bush"],
  [/\b(bearing)s?\b/i, "bearing"],
  [/\bo-?rings?\b/i, "o-ring"],
  [/\b(shaft seal|seal)s?\b/i, "seal"],
  [/\bgaskets?\b/i, "gasket"],
  [/\b(gear motor|motor|armature)\b/i, "motor"],
  [/\b(bush|bushing|liner)(es|s)?\b/i, "bush"],
  [/\b(gear|wheel|pinion|worm|crown)s?\b/i, "gear"],
  [/\b(shaft|spindle|axle)s?\b/i, "shaft"],
  [/\b(housing|case|body)\b/i, "housing"],
  [/\b(brush)(es)?\b/i, "brush"],
  [/\b(blade|knife)s?\b/i, "blade"],
];

/** @example partKindFrom("second-stage wheel") // "gear" */
export function partKindFrom(name: string): string | undefined {
  return KINDS.find(([re]) => re.test(name))?.[1];
}
