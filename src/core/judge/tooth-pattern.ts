import { type Turning, toothExtent } from "./tooth-marks";

/** What the marks of one gear come to: one damage has one pattern, the one that says most. */
export const TOOTH_PATTERNS = [
  "teeth:run",
  "teeth:scattered",
  "teeth:cracked",
  "teeth:one",
  "teeth:chipped",
  "teeth:melted",
  "teeth:all-worn",
  "teeth:corroded",
  "teeth:part-worn",
] as const;
type Pattern = (typeof TOOTH_PATTERNS)[number] | "flank:both";

/**
 * The pattern of a gear's marks in words; with it, where both flanks are worn, that they are.
 *
 * @param marks tooth, from 0 → its mark
 */
export function patternOf(
  name: string,
  marks: Readonly<Record<string, string>>,
  teeth: number,
  turning?: Turning,
  drives?: boolean,
): { readonly fact: Pattern; readonly says: string }[] {
  const x = toothExtent(marks, teeth, turning, drives);
  const n = (mark: string): number => x.counts[mark] ?? 0;
  const gone = x.goneRuns.length;
  const longest = x.goneRuns[0]?.length ?? 0;
  const thin = n("knife") + n("worn") + n("worn-left") + n("worn-right");
  const found: readonly (readonly [boolean, Pattern, string])[] = [
    [gone >= 3 || (gone === 2 && longest < 3), "teeth:scattered", `teeth gone in ${gone} places`],
    [longest >= 2, "teeth:run", `${longest} teeth gone next to each other`],
    [gone > 0 && n("cracked") > 0, "teeth:scattered", "a tooth gone, and cracks at other roots"],
    [n("cracked") > 0, "teeth:cracked", `${n("cracked")} cracked at the root`],
    [longest === 1, "teeth:one", "a single tooth gone"],
    [n("melted") > 0, "teeth:melted", `${n("melted")} melted`],
    [thin >= 0.7 * teeth, "teeth:all-worn", "worn all round"],
    [n("corroded") > 0, "teeth:corroded", `${n("corroded")} corroded`],
    [thin > 0, "teeth:part-worn", `worn over ${Math.round((100 * thin) / teeth)} % of the round`],
    [n("chipped") > 0, "teeth:chipped", `${n("chipped")} chipped`],
  ];
  const first = found.find(([so]) => so);
  if (!first) return [];
  const out: { fact: Pattern; says: string }[] = [{ fact: first[1], says: `${name}: ${first[2]}` }];
  if (x.flank === "both") out.push({ fact: "flank:both", says: `${name}: both flanks worn` });
  return out;
}
