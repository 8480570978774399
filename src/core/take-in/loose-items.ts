/** What customers bring along with a kind of unit, as quick picks at the counter. */
const BY_KIND: readonly (readonly [RegExp, readonly string[]])[] = [
  [/juicer/i, ["bowl", "screw", "strainer", "lid", "pusher"]],
  [/slicer|bread/i, ["blade guard", "pusher", "sharpener", "tray"]],
  [/shears|trimmer/i, ["battery", "charger", "blade sheath"]],
  [/shredder/i, ["bin", "key"]],
  [/churn/i, ["drum", "paddle", "lid"]],
  [/hammer|drill/i, ["side handle", "depth stop", "bit", "case"]],
  [/extruder|pasta/i, ["dies", "brush", "hopper lid"]],
  [/sander/i, ["dust bag", "belt"]],
  [/blind/i, ["remote", "bracket"]],
];
const ALWAYS = ["cord", "case", "papers"];

/** So many are offered at the counter. */
const MOST_OFFERED = 9;

/**
 * What is offered to tick for a kind of unit: what the shop took in with such units before, then what is
 * usual.
 *
 * @param known what came along before, the commonest first
 * @example looseItemsFor("paper shredder", ["oil"]) // ["oil", "bin", "key", "cord", "case", "papers"]
 */
export const looseItemsFor = (kind: string, known: readonly string[] = []): string[] =>
  [...new Set([...known, ...(BY_KIND.find(([re]) => re.test(kind))?.[1] ?? []), ...ALWAYS])].slice(
    0,
    MOST_OFFERED,
  );

/** Letters for a tag that a stranger cannot read a name from: the first of each word, three at most. */
export const initials = (name: string): string =>
  name
    .split(/\s+/)
    .filter((w) => /^\p{L}/u.test(w))
    .slice(0, 3)
    .map((w) => w.charAt(0).toUpperCase())
    .join("");
