/** What a part can be. A gear is measured, a bearing has a size, a seal is renewed. */
export const PART_KINDS = [
  "cover", "housing", "gear", "shaft", "bearing", "bush", "seal", "o-ring", "gasket", "motor", "brush",
  "blade",
  "belt", "chain", "spring", "pin", "switch", "wire", "bracket", "spline",
  "ratchet", "dog-clutch", "one-way-clutch", "other",
] as const; // biome-ignore format: a list

/** Words by which a kind is told, as later stages sort by it until somebody says what it is. */
const KINDS: readonly (readonly [RegExp, PartKindName])[] = [
  [/\b(cover|lid|base plate)s?\b/gi, "cover"],
  [/\bsleeve bearings?\b/gi, "bush"],
  [/\bbearings?\b/gi, "bearing"],
  [/\bo-?rings?\b/gi, "o-ring"],
  [/\b(shaft seal|seal)s?\b/gi, "seal"],
  [/\bgaskets?\b/gi, "gasket"],
  [/\b(gear motor|motor|armature)s?\b/gi, "motor"],
  [/\b(bush|bushing|liner)(es|s)?\b/gi, "bush"],
  [/\b(gear|wheel|pinion|worm|crown|sprocket)s?\b/gi, "gear"],
  [/\b(shaft|spindle|axle)s?\b/gi, "shaft"],
  [/\b(housing|case|body)s?\b/gi, "housing"],
  [/\bbrush(es)?\b/gi, "brush"],
  [/\b(blade|knife)s?\b/gi, "blade"],
  [/\bbelts?\b/gi, "belt"],
  [/\bchains?\b/gi, "chain"],
  [/\bsprings?\b/gi, "spring"],
  [/\b(pin|key|dowel)s?\b/gi, "pin"],
  [/\b(switch(es)?|trigger)\b/gi, "switch"],
  [/\b(wire|cord|lead|cable)s?\b/gi, "wire"],
  [/\b(bracket|lever|arm)s?\b/gi, "bracket"],
  [/\b(splined (shaft|hub|sleeve)|splines?)\b/gi, "spline"],
  [/\bratchets?( (wheel|ring))?s?\b/gi, "ratchet"],
  [/\b(dog|claw) (clutch(es)?|coupling|ring)\b/gi, "dog-clutch"],
  [/\b(one-?way|free-?wheel|sprag|overrunning) ?(clutch(es)?|bearing|roller)s?\b/gi, "one-way-clutch"],
];
type PartKindName = (typeof PART_KINDS)[number];

/** What a name is about stands before these: a "washer set of the lay shaft" is no shaft. */
const ABOUT = /\b(of|for|from|with|on|in|under|behind|beside|to)\b/i;

/**
 * The kind that the last telling word names; of two that end together the longer: "sleeve bearing" is a bush.
 */
function lastOf(name: string): PartKindName | undefined {
  let best: { readonly end: number; readonly length: number; readonly kind: PartKindName } | undefined;
  for (const [word, kind] of KINDS)
    for (const { 0: found, index } of name.matchAll(word)) {
      const end = index + found.length;
      if (!best || end > best.end || (end === best.end && found.length > best.length))
        best = { end, length: found.length, kind };
    }
  return best?.kind;
}

/**
 * The kind of a part from its name: what English puts last, it is. Only a guess until somebody says so.
 *
 * @example partKindFrom("motor gear") // "gear"
 * @example partKindFrom("gear housing") // "housing"
 */
export function partKindFrom(name: string): string | undefined {
  const [head = ""] = name.split(ABOUT);
  return lastOf(head) ?? (head.trim() ? undefined : lastOf(name));
}
