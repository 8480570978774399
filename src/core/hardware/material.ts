/** What a plastic is, as a part's sheet, a mould mark or a technician names it. */
const FAMILIES: readonly (readonly [family: string, named: RegExp])[] = [
  ["PA", /^(PA\s?-?\d*|nylon|polyamide)\b/i],
  ["POM", /^(POM|acetal)\b/i],
  ["ABS", /^ABS\b/i],
  ["PC", /^(PC|polycarbonate)\b/i],
  ["PS", /^(PS|polystyrene)\b/i],
  ["PBT", /^PBT\b/i],
  ["PP", /^(PP|polypropylene)\b/i],
  ["PMMA", /^(PMMA|acrylic)\b/i],
  ["PVC", /^PVC\b/i],
  ["PPO", /^(PPO|PPE)\b/i],
  ["PE", /^(PE|polyethylene)\b/i],
  ["phenolic", /^(PF|phenolic)\b/i],
  ["plastic", /^plastic\b/i],
];

/**
 * The family of a plastic; undefined: it is none, or not one that is known.
 *
 * @example plasticFamily("PA66-GF30") // "PA"
 */
export const plasticFamily = (material: string | undefined): string | undefined =>
  FAMILIES.find(([, named]) => named.test(material?.trim() ?? ""))?.[0];

/** Whether a material is a plastic. @example isPlastic("nylon") // true */
export const isPlastic = (material: string | undefined): boolean => plasticFamily(material) !== undefined;

/**
 * Whether a material is a steel, as a technician or a table names it.
 *
 * @example isSteel("stainless") // true
 */
export const isSteel = (material: string): boolean =>
  /steel|stainless|hardened|^sintered$/i.test(material.trim());
