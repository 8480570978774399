import type { Lubricant } from "../../src/core/grease/choose";
import type { CataloguePart, PartSpec } from "../../src/core/match/catalogue-part";

/** The shop's shelf of lubricants. Names, makers and lots are made up. */
export const lubricants: Lubricant[] = [
  { id: "olmen-fg1", name: "Olmen FG-1", thickener: "AlX", baseOil: "PAO", nlgi: 1, densityGPerMl: 0.89, h1: true, leastC: -30, mostC: 140, lot: "2608-114" },
  { id: "olmen-fg00", name: "Olmen FG-00", thickener: "AlX", baseOil: "PAO", nlgi: -1, densityGPerMl: 0.88, h1: true, leastC: -35, mostC: 130, lot: "2607-091" },
  { id: "skarn-gb0", name: "Skarn GB-0", thickener: "Li12", baseOil: "mineral", nlgi: 0, densityGPerMl: 0.9, h1: false, leastC: -25, mostC: 120, lot: "K4-331" },
  { id: "skarn-mp2", name: "Skarn MP-2", thickener: "Li12", baseOil: "mineral", nlgi: 2, densityGPerMl: 0.9, h1: false, leastC: -25, mostC: 130, lot: "K4-298" },
  { id: "torvald-h1", name: "Torvik Hammer 1", thickener: "CaS", baseOil: "mineral", nlgi: 1, densityGPerMl: 0.93, h1: false, leastC: -20, mostC: 160, lot: "77-02" },
  { id: "pellin-e1", name: "Pellin Ester 1", thickener: "PU", baseOil: "ester", nlgi: 1, densityGPerMl: 0.95, h1: false, leastC: -40, mostC: 160, lot: "P-5520" },
];

const part = (number: string, name: string, spec: PartSpec, price: number, stock: number, leadDays: number, more: Partial<CataloguePart> = {}): CataloguePart => ({ number, name, spec, price, stock, leadDays, fits: [], needsAlso: [], ...more });
const gear = (teeth: number, moduleMm: number, more: Partial<Extract<PartSpec, { kind: "gear" }>> = {}): PartSpec => ({ kind: "gear", teeth, moduleMm, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0, ...more });
const ring = (kind: "bearing" | "seal", insideMm: number, outsideMm: number, widthMm: number, closure: string): PartSpec => ({ kind, insideMm, outsideMm, widthMm, closure });

export const catalogue: CataloguePart[] = [
  part("VLB-40-241", "Second-stage wheel, Pressa 40", gear(41, 1, { helixAngleDeg: 18, hand: "right", faceWidthMm: 11, boreMm: 8, boreForm: "cross slot", material: "PA" }), 18.4, 3, 0, { fits: ["Velbrant Pressa 40"] }),
  part("VLB-40-241B", "Second-stage wheel, second source, without cross slot", gear(41, 1, { helixAngleDeg: 18, hand: "right", faceWidthMm: 11, boreMm: 7.5, boreForm: "round", material: "PA" }), 9.9, 12, 2, { fits: ["Velbrant Pressa 40"] }),
  part("VLB-42-243", "Second-stage wheel 43 teeth, Pressa 42", gear(43, 1, { helixAngleDeg: 18, hand: "right", faceWidthMm: 11, boreMm: 8, boreForm: "cross slot", material: "PA" }), 19.8, 1, 4, {
    fits: ["Velbrant Pressa 42"],
    needsAlso: [{ number: "VLB-42-107", why: "motor pinion with 7 teeth: the tooth sum must stay 50" }],
  }),
  part("VLB-40-109", "Motor pinion 9 teeth, Pressa 40", gear(9, 1, { helixAngleDeg: 18, hand: "left", profileShift: 0.4, faceWidthMm: 14, boreMm: 6, boreForm: "D", material: "steel" }), 24, 2, 3, { fits: ["Velbrant Pressa 40"] }),
  part("VLB-30-241L", "Second-stage wheel, left hand, Pressa 30", gear(41, 1, { helixAngleDeg: 18, hand: "left", faceWidthMm: 10, boreMm: 8, boreForm: "cross slot", material: "PA" }), 14.2, 2, 0, { fits: ["Velbrant Pressa 30"] }),
  part("STD-G-40-1", "Spur gear 40 teeth, module 1, steel", gear(40, 1, { faceWidthMm: 10, boreMm: 8, boreForm: "round", material: "steel" }), 22, 5, 1),
  part("BRW-K220-52", "Worm wheel, Kora 220", gear(52, 1.25, { helixAngleDeg: 5, hand: "right", faceWidthMm: 13, boreMm: 15, boreForm: "round", material: "PA" }), 34.5, 0, 3, { fits: ["Brisswell Kora 220"] }),
  part("BRW-K220-52Z", "Worm wheel, Kora 220, bronze", gear(52, 1.25, { helixAngleDeg: 5, hand: "right", faceWidthMm: 13, boreMm: 15, boreForm: "round", material: "bronze" }), 78, 1, 0, { fits: ["Brisswell Kora 220"] }),
  part("BRW-K190-50", "Worm wheel, Kora 190", gear(50, 1.25, { helixAngleDeg: 5, hand: "right", faceWidthMm: 12, boreMm: 15, boreForm: "round", material: "PA" }), 31, 2, 0, { fits: ["Brisswell Kora 190"] }),
  part("TRN-RH22-043", "Lay shaft with gears, RH-22", gear(43, 0.8, { helixAngleDeg: 12, hand: "left", faceWidthMm: 9, boreMm: 10, boreForm: "round", material: "steel" }), 41, 1, 0, { fits: ["Tarnholt RH-22"] }),
  part("HLD-58-CW", "Crown wheel with eccentrics, HS-58", gear(58, 1, { faceWidthMm: 9, boreMm: 15, boreForm: "round", material: "steel" }), 37.2, 1, 0, { fits: ["Haldrick HS-58"] }),
  part("HLD-58-GK", "Gearbox gasket, HS-58", { kind: "gasket" }, 3.2, 4, 0, { fits: ["Haldrick HS-58"] }),
  part("MRV-T3-53", "Final wheel, Trafila 3", gear(53, 1, { faceWidthMm: 11, boreMm: 14, boreForm: "round", material: "POM" }), 26, 1, 0, { fits: ["Morvane Trafila 3"] }),
  part("608-2RS", "Ball bearing 608-2RS", ring("bearing", 8, 22, 7, "2RS"), 2.4, 20, 0),
  part("608-2Z", "Ball bearing 608-2Z", ring("bearing", 8, 22, 7, "2Z"), 2.2, 14, 0),
  part("608", "Ball bearing 608, open", ring("bearing", 8, 22, 7, "open"), 1.9, 6, 0),
  part("607-2RS", "Ball bearing 607-2RS", ring("bearing", 7, 19, 6, "2RS"), 2.6, 9, 0),
  part("6001-2RS", "Ball bearing 6001-2RS", ring("bearing", 12, 28, 8, "2RS"), 3.1, 7, 0),
  part("6002-2RS", "Ball bearing 6002-2RS", ring("bearing", 15, 32, 9, "2RS"), 3.4, 5, 0),
  part("SEAL-12-22-7", "Shaft seal 12 × 22 × 7, NBR", ring("seal", 12, 22, 7, "NBR"), 3.8, 4, 0),
  part("SEAL-15-26-6", "Shaft seal 15 × 26 × 6, NBR", ring("seal", 15, 26, 6, "NBR"), 4.2, 3, 0),
];
