/**
 * What gears are made of, with the stress at which a tooth breaks, N/mm².
 *
 * Typical tensile strengths at room temperature as material data sheets and the named standards give them,
 * not a maker's promise: the spread is how far grades differ. They serve to
 * compare gears along one train, which is all the fuse asks.
 */
export interface GearMaterial {
  readonly material: string;
  readonly says: string;
  readonly strengthMPa: number;
  /** one standard deviation over the grades sold, as a share */
  readonly spread: number;
  readonly plastic: boolean;
}

export const MATERIALS: readonly GearMaterial[] = [
  { material: "PA66", says: "nylon (PA66, as used)", strengthMPa: 60, spread: 0.15, plastic: true },
  { material: "PA66-GF30", says: "nylon, 30 % glass", strengthMPa: 120, spread: 0.15, plastic: true },
  { material: "POM", says: "acetal (POM)", strengthMPa: 65, spread: 0.1, plastic: true },
  { material: "phenolic", says: "phenolic with cotton", strengthMPa: 70, spread: 0.2, plastic: true },
  { material: "zinc", says: "zinc die casting (ZnAl4Cu1)", strengthMPa: 330, spread: 0.1, plastic: false },
  { material: "brass", says: "brass (CuZn39Pb3)", strengthMPa: 400, spread: 0.12, plastic: false },
  { material: "sintered", says: "sintered steel", strengthMPa: 400, spread: 0.2, plastic: false },
  { material: "cast-iron", says: "grey cast iron (GJL-200)", strengthMPa: 200, spread: 0.15, plastic: false },
  { material: "bronze", says: "tin bronze (CuSn12)", strengthMPa: 280, spread: 0.12, plastic: false },
  { material: "steel", says: "steel (C45)", strengthMPa: 650, spread: 0.1, plastic: false },
  { material: "hardened", says: "case-hardened steel", strengthMPa: 1000, spread: 0.12, plastic: false },
];

export const materialNamed = (key: string | undefined): GearMaterial | undefined =>
  MATERIALS.find((m) => m.material === key);
