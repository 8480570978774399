import type { Temper } from "../../src/bench/supplier";
import type { Lubricant } from "../../src/core/grease/lubricant";
import { type CataloguePart, type CataloguePartInput, cataloguePart, type Supplier, type SupplierOffer } from "../../src/core/match/catalogue/catalogue-part";

/** The shop's shelf of lubricants. Names, makers and lots are made up. */
export const lubricants: Lubricant[] = [
  { id: "olmen-fg1", name: "Olmen FG-1", thickener: "AlX", baseOil: "PAO", nlgi: 1, densityGPerMl: 0.89, h1: true, leastC: -30, mostC: 140, lot: "2608-114", pricePer100G: 3.9, viscosityMm2s: 150, ep: false, stockG: 310, openedOn: "2026-09-14" },
  { id: "olmen-fg00", name: "Olmen FG-00", thickener: "AlX", baseOil: "PAO", nlgi: -1, densityGPerMl: 0.88, h1: true, leastC: -35, mostC: 130, lot: "2607-091", pricePer100G: 3.6, viscosityMm2s: 220, ep: false, stockG: 820 },
  { id: "skarn-gb0", name: "Skarn GB-0", thickener: "Li12", baseOil: "mineral", nlgi: 0, densityGPerMl: 0.9, h1: false, leastC: -25, mostC: 120, lot: "K4-331", pricePer100G: 1.8, viscosityMm2s: 150, ep: true, stockG: 640, openedOn: "2026-10-02" },
  { id: "skarn-mp2", name: "Skarn MP-2", thickener: "Li12", baseOil: "mineral", nlgi: 2, densityGPerMl: 0.9, h1: false, leastC: -25, mostC: 130, lot: "K4-298", pricePer100G: 1.6, viscosityMm2s: 100, ep: false, stockG: 90, openedOn: "2026-03-20" },
  { id: "torvald-h1", name: "Torvik Hammer 1", thickener: "CaS", baseOil: "mineral", nlgi: 1, densityGPerMl: 0.93, h1: false, leastC: -20, mostC: 160, lot: "77-02", pricePer100G: 2.9, viscosityMm2s: 220, ep: true, solids: ["MoS2"], stockG: 400 },
  { id: "pellin-e1", name: "Pellin Ester 1", thickener: "PU", baseOil: "ester", nlgi: 1, densityGPerMl: 0.95, h1: false, leastC: -40, mostC: 160, lot: "P-5520", pricePer100G: 4.4, viscosityMm2s: 100, ep: false, stockG: 400 },
  { id: "pellin-p1", name: "Pellin Plast 1", thickener: "Li12", baseOil: "PAO", nlgi: 1, viscosityMm2s: 68, solids: ["PTFE"], ep: false, densityGPerMl: 0.91, h1: false, leastC: -50, mostC: 120, lot: "P-6011", stockG: 230, pricePer100G: 3.4 },
  { id: "pellin-o15", name: "Pellin Oil 15", sort: "oil", baseOil: "mineral", viscosityMm2s: 15, ep: false, densityGPerMl: 0.86, h1: false, leastC: -20, mostC: 100, lot: "P-0915", stockG: 95, pricePer100G: 1.2 },
  { id: "olmen-fo68", name: "Olmen FO-68", sort: "oil", baseOil: "PAO", viscosityMm2s: 68, ep: false, densityGPerMl: 0.84, h1: true, leastC: -30, mostC: 130, lot: "2605-020", stockG: 210, pricePer100G: 2.8 },
];

const part = (number: string, name: string, spec: CataloguePartInput["spec"], price: number, stock: number, more: Partial<CataloguePartInput> = {}): CataloguePart => cataloguePart.parse({ number, name, spec, price, stock, ...more });
type Spec<K> = Extract<CataloguePartInput["spec"], { kind: K }>;
const gear = (teeth: number, moduleMm: number, more: Partial<Spec<"gear">> = {}): Spec<"gear"> => ({ kind: "gear", teeth, moduleMm, profileShift: 0, ...more });
const bearing = (insideMm: number, outsideMm: number, widthMm: number, closure: Spec<"bearing">["closure"]): Spec<"bearing"> => ({ kind: "bearing", insideMm, outsideMm, widthMm, closure });
const seal = (insideMm: number, outsideMm: number, widthMm: number, material = "NBR"): Spec<"seal"> => ({ kind: "seal", insideMm, outsideMm, widthMm, material });
const fits = (maker: string, model: string, ...variants: string[]) => [{ maker, model, variants }];
const pressa = fits("Velbrant", "Pressa 40");
const wheel = { helixAngleDeg: 18, hand: "right", faceWidthMm: 11, boreMm: 8, boreForm: "cross slot", material: "PA" } as const;
const pinion = { helixAngleDeg: 18, hand: "left", faceWidthMm: 14, boreMm: 6, boreForm: "D", material: "steel" } as const;

/**
 * The shop's catalogue. The heart of it: the wheel of 41 teeth is no more made. The one of 42 that takes its place needs a pinion of 8 (the tooth sum stays 50), two longer cross pins, since its hub is thicker, and the carrier plate
 * of its felt ring, which sits lower; the old pinion must go. A kit holds all of it, and dowels for two variants.
 */
export const catalogue: CataloguePart[] = [
  part("VLB-40-241", "Second-stage wheel, Pressa 40", gear(41, 1, wheel), 18.4, 0, { fits: pressa, discontinued: true, note: "the maker's list of spring names 42-242 in its place" }),
  part("VLB-40-241B", "Second-stage wheel, second source, without cross slot", gear(41, 1, { ...wheel, boreMm: 7.5, boreForm: "round" }), 9.9, 4, { fits: pressa }),
  part("VLB-42-242", "Second-stage wheel 42 teeth", gear(42, 1, wheel), 21.8, 0, {
    fits: [...pressa, ...fits("Velbrant", "Pressa 42")],
    replaces: [{ number: "VLB-40-241", when: "together with pinion VLB-42-108, two cross pins VLB-42-018 and the felt carrier VLB-42-021" }],
    needsAlso: [
      { number: "VLB-42-108", why: "motor pinion with 8 teeth: the tooth sum must stay 50" },
      { number: "VLB-42-018", qty: 2, why: "its hub is thicker: the old cross pins are 4 mm too short" },
      { number: "VLB-42-021", why: "its hub is stepped: the felt ring needs the plate that sits lower" },
    ],
    incompatibleWith: [{ number: "VLB-40-109", why: "9 teeth do not go with 42 on these centres" }],
    facing: "cross slot up, step of the hub down",
    stack: ["felt carrier, low", "wheel, step down", "cross pins"],
    leavesOut: ["the old cross pin, 3 × 18"],
  }),
  part("VLB-40-109", "Motor pinion 9 teeth, Pressa 40", gear(9, 1, { ...pinion, profileShift: 0.4 }), 24, 1, { fits: pressa }),
  part("VLB-42-108", "Motor pinion 8 teeth", gear(8, 1, { ...pinion, profileShift: 0.4 }), 26.5, 0, { fits: [...pressa, ...fits("Velbrant", "Pressa 42")] }),
  part("VLB-42-018", "Cross pin 3 × 22, second stage", { kind: "pin", form: "cross", diameterMm: 3, lengthMm: 22 }, 3.2, 0, { fits: [...pressa, ...fits("Velbrant", "Pressa 42")] }),
  part("VLB-40-018", "Cross pin 3 × 18, second stage", { kind: "pin", form: "cross", diameterMm: 3, lengthMm: 18 }, 2.9, 6, { fits: pressa }),
  part("VLB-42-021", "Felt ring carrier, low", { kind: "hardware", size: "plate 34 mm, 3.5 mm deep, with felt" }, 4.6, 0, { fits: fits("Velbrant", "Pressa 42") }),
  part("VLB-40-052", "Cover gasket, Pressa 40", { kind: "gasket", thicknessMm: 0.5, material: "paper" }, 2.8, 2, { fits: pressa }),
  part("VLB-42-901", "Gear service kit, Pressa 40 and 42", { kind: "kit", size: "wheel, pinion, pins, felt carrier, gasket, dowels" }, 62, 0, {
    fits: [...pressa, ...fits("Velbrant", "Pressa 42")],
    contains: [{ number: "VLB-42-242" }, { number: "VLB-42-108" }, { number: "VLB-42-018", qty: 2 }, { number: "VLB-42-021" }, { number: "VLB-40-052" }, { number: "VLB-40-077", qty: 2, variant: "four-rib" }, { number: "VLB-40-078", qty: 2, variant: "six-rib" }],
  }),
  part("VLB-40-077", "Dowel, cover, four-rib", { kind: "pin", form: "dowel", diameterMm: 4, lengthMm: 16 }, 0.8, 0, { fits: fits("Velbrant", "Pressa 40", "four-rib") }),
  part("VLB-40-078", "Dowel, cover, six-rib", { kind: "pin", form: "dowel", diameterMm: 5, lengthMm: 16 }, 0.8, 3, { fits: fits("Velbrant", "Pressa 40", "six-rib") }),
  part("VLB-30-241L", "Second-stage wheel, left hand, Pressa 30", gear(41, 1, { ...wheel, hand: "left", faceWidthMm: 10 }), 14.2, 2, { fits: fits("Velbrant", "Pressa 30") }),
  part("STD-G-40-1", "Spur gear 40 teeth, module 1, steel", gear(40, 1, { faceWidthMm: 10, boreMm: 8, boreForm: "round", material: "steel" }), 22, 5),
  part("BRW-K220-52", "Worm wheel, Kora 220", gear(52, 1.25, { form: "worm-wheel", wormDiameterMm: 14.3, helixAngleDeg: 5, hand: "right", faceWidthMm: 13, boreMm: 15, boreForm: "round", material: "PA" }), 34.5, 0, { fits: fits("Brisswell", "Kora 220") }),
  part("BRW-K220-52Z", "Worm wheel, Kora 220, bronze", gear(52, 1.25, { form: "worm-wheel", wormDiameterMm: 14.3, helixAngleDeg: 5, hand: "right", faceWidthMm: 13, boreMm: 15, boreForm: "round", material: "bronze" }), 78, 1, { fits: fits("Brisswell", "Kora 220") }),
  part("BRW-K190-50", "Worm wheel, Kora 190", gear(50, 1.25, { form: "worm-wheel", wormDiameterMm: 14.3, helixAngleDeg: 5, hand: "right", faceWidthMm: 12, boreMm: 15, boreForm: "round", material: "PA" }), 31, 2, { fits: fits("Brisswell", "Kora 190") }),
  part("TRN-RH22-043", "Lay shaft with gears, RH-22", gear(43, 0.8, { helixAngleDeg: 12, hand: "left", faceWidthMm: 9, boreMm: 10, boreForm: "round", material: "steel" }), 41, 1, { fits: fits("Tarnholt", "RH-22") }),
  part("TRN-RH22-BR", "Carbon brush, RH-22, pair", { kind: "brush", lengthMm: 17, widthMm: 11, thicknessMm: 6.3, lead: "spade 4.8" }, 7.4, 3, { fits: fits("Tarnholt", "RH-22") }),
  part("HLD-58-CW", "Crown wheel with eccentrics, HS-58", gear(58, 1, { faceWidthMm: 9, boreMm: 15, boreForm: "round", material: "steel" }), 37.2, 1, { fits: fits("Haldrick", "HS-58") }),
  part("HLD-58-GK", "Gearbox gasket, HS-58", { kind: "gasket", thicknessMm: 0.3, material: "paper" }, 3.2, 4, { fits: fits("Haldrick", "HS-58") }),
  part("MRV-T3-53", "Final wheel, Trafila 3", gear(53, 1, { faceWidthMm: 11, boreMm: 14, boreForm: "round", material: "POM" }), 26, 1, { fits: fits("Morvane", "Trafila 3") }),
  part("608-2RS", "Ball bearing 608-2RS", bearing(8, 22, 7, "2RS"), 2.4, 20),
  part("608-2Z", "Ball bearing 608-2Z", bearing(8, 22, 7, "2Z"), 2.2, 14),
  part("608", "Ball bearing 608, open", bearing(8, 22, 7, "open"), 1.9, 6),
  part("607-2RS", "Ball bearing 607-2RS", bearing(7, 19, 6, "2RS"), 2.6, 9),
  part("6001-2RS", "Ball bearing 6001-2RS", bearing(12, 28, 8, "2RS"), 3.1, 7),
  part("6002-2RS", "Ball bearing 6002-2RS", bearing(15, 32, 9, "2RS"), 3.4, 5),
  part("SEAL-12-22-7", "Shaft seal 12 × 22 × 7, NBR", seal(12, 22, 7), 3.8, 4),
  part("SEAL-15-26-6", "Shaft seal 15 × 26 × 6, NBR", seal(15, 26, 6), 4.2, 3),
  part("OR-20-2", "O-ring 20 × 2, NBR", { kind: "o-ring", insideMm: 20, sectionMm: 2, material: "NBR" }, 0.4, 30),
  part("CIRC-8-A", "Circlip for shaft 8", { kind: "circlip", seat: "shaft", diameterMm: 8, thicknessMm: 0.8 }, 0.2, 40),
  part("WIPE-100", "Lint-free wipes", { kind: "consumable", amount: 100, unit: "pieces" }, 6.5, 2),
];

/** Where the shop buys. All made up. */
export const suppliers: Supplier[] = [
  { name: "Nordhav Spares", shipping: 6.9, freeFrom: 120, minimumOrder: 15 },
  { name: "Canal Bearing House", shipping: 4.5, minimumOrder: 10 },
  { name: "Quickmoor Parts", shipping: 11.5, minimumOrder: 0 },
];

const offer = (supplier: string, number: string, price: number, leadDays: number, more: Partial<SupplierOffer> = {}): SupplierOffer => ({ supplier, number, price, leadDays, pack: 1, minPacks: 1, ...more });

export const offers: SupplierOffer[] = [
  offer("Nordhav Spares", "VLB-42-242", 17.2, 3, { stock: 9 }),
  offer("Nordhav Spares", "VLB-42-108", 21.4, 3, { stock: 5 }),
  offer("Nordhav Spares", "VLB-42-021", 3.9, 3, { stock: 20 }),
  offer("Nordhav Spares", "VLB-42-901", 41.5, 3, { stock: 4 }),
  offer("Nordhav Spares", "VLB-40-109", 19.8, 3, { stock: 6 }),
  offer("Nordhav Spares", "VLB-40-052", 2.1, 3, { stock: 12 }),
  offer("Nordhav Spares", "BRW-K220-52", 27.5, 3, { stock: 3 }),
  offer("Nordhav Spares", "HLD-58-CW", 29.9, 4, { stock: 2 }),
  offer("Canal Bearing House", "VLB-42-018", 14.8, 2, { pack: 10, stock: 30 }),
  offer("Canal Bearing House", "608-2RS", 9.5, 2, { pack: 10, stock: 80 }),
  offer("Canal Bearing House", "6001-2RS", 2.1, 2, { stock: 40, minPacks: 2 }),
  offer("Canal Bearing House", "6002-2RS", 2.4, 2, { stock: 40, minPacks: 2 }),
  offer("Canal Bearing House", "SEAL-12-22-7", 2.2, 2, { stock: 25 }),
  offer("Quickmoor Parts", "VLB-42-242", 24.9, 1, { stock: 2 }),
  offer("Quickmoor Parts", "VLB-42-108", 29.5, 1, { stock: 2 }),
  offer("Quickmoor Parts", "VLB-42-018", 3.4, 1, { stock: 12 }),
  offer("Quickmoor Parts", "VLB-42-021", 5.9, 1, { stock: 6 }),
  offer("Quickmoor Parts", "BRW-K220-52", 39, 1, { stock: 2 }),
  offer("Quickmoor Parts", "SEAL-12-22-7", 4.4, 1, { stock: 10 }),
];

/** How the practice suppliers behave: at Nordhav the pinions of 8 and of 9 teeth lie in neighbouring bins. */
export const tempers: Record<string, Temper> = { "Nordhav Spares": { late: 0, outOfStock: 0, wrongPart: 0, mixUps: [{ asked: "VLB-42-108", sends: "VLB-40-109" }] }, "Canal Bearing House": { late: 0.3, outOfStock: 0.1, wrongPart: 0, mixUps: [] } };
