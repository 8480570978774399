import { plasticFamily } from "../hardware/material";

export const BASE_OILS = ["mineral", "PAO", "ester", "silicone", "PFPE"] as const;
export type BaseOil = (typeof BASE_OILS)[number];

/**
 * Oils of one family mix: mineral oil, PAO and ester among themselves; silicone and perfluorinated oil with
 * nothing else.
 */
const familyOf = (oil: BaseOil): string => (oil === "silicone" || oil === "PFPE" ? oil : "hydrocarbon");
export const oilsMix = (a: BaseOil, b: BaseOil): boolean => familyOf(a) === familyOf(b);

/**
 * What each oil attacks, and how. A material that does not stand here is left alone as far as the reference
 * says.
 */
const ATTACKS: readonly {
  readonly oils: readonly BaseOil[];
  readonly materials: readonly string[];
  readonly says: string;
}[] = [
  { oils: ["ester"], materials: ["ABS", "PC", "PS", "PMMA", "PVC", "PPO"], says: "ester oil cracks it" },
  { oils: ["ester"], materials: ["CR"], says: "ester oil swells it" },
  { oils: ["mineral", "PAO", "ester"], materials: ["EPDM"], says: "it swells in mineral oil, PAO and ester" },
  {
    oils: ["mineral", "PAO", "ester"],
    materials: ["NR"],
    says: "it swells and rots in mineral oil, PAO and ester",
  },
  { oils: ["silicone"], materials: ["VMQ"], says: "silicone oil swells silicone rubber" },
];

/** Names that a rubber, or a clear plastic, goes by besides its letters. */
const RUBBERS: Readonly<Record<string, string>> = {
  silicone: "VMQ",
  "silicone rubber": "VMQ",
  "natural rubber": "NR",
  neoprene: "CR",
  chloroprene: "CR",
  acrylic: "PMMA",
  "acrylic glass": "PMMA",
};
const ELASTOMERS = new Set(["NBR", "HNBR", "EPDM", "FKM", "VMQ", "NR", "CR"]);
/** A rubber, of which seals are. */
export const isRubber = (material: string): boolean =>
  ELASTOMERS.has(RUBBERS[material.toLowerCase()] ?? material.toUpperCase());

/** A material as the tables call it. @example materialCalled("acrylic") // "PMMA" */
export const materialCalled = (material: string): string =>
  plasticFamily(material) ?? RUBBERS[material.toLowerCase()] ?? material;

/** Why an oil must not touch a material; null: it may. @example attacked("ester", "PC") */
export function attacked(oil: BaseOil, material: string): string | null {
  const name = materialCalled(material);
  const same = (m: string): boolean => m === name || m === name.toUpperCase();
  return ATTACKS.find((a) => a.oils.includes(oil) && a.materials.some(same))?.says ?? null;
}

/** Copper alloys, which sulphur in EP additives stains and eats when it is warm. */
export const isYellowMetal = (material: string): boolean =>
  /^(?:(?:sintered|phosphor|tin|leaded|cast|aluminium)[\s-]+)?(?:bronze|brass|copper|gun ?metal)\b/i.test(
    material.trim(),
  );

/**
 * Slopes m of log₁₀ log₁₀ (ν + 0.7) = A − m log₁₀ T (ASTM D341), from a usual viscosity index of each: 95,
 * 140, 150, 400, 130.
 */
const SLOPE: Readonly<Record<BaseOil, number>> = {
  mineral: 3.57,
  PAO: 3.08,
  ester: 3.02,
  silicone: 1.33,
  PFPE: 3.15,
};

/**
 * Kinematic viscosity at a temperature, mm²/s, from that at 40 °C, by the equation of ASTM D341 with a usual
 * slope for the kind of oil.
 *
 * @example viscosityAt("mineral", 100, 100) // about 11: an oil of VG 100 and index 95
 */
export function viscosityAt(oil: BaseOil, at40: number, celsius: number): number {
  const left = Math.log10(Math.log10(at40 + 0.7)) - SLOPE[oil] * Math.log10((celsius + 273.15) / 313.15);
  return 10 ** (10 ** left) - 0.7;
}
