import type { Lubricant } from "../../grease/lubricant";

const grease = (id: string, name: string, more: Partial<Lubricant>): Lubricant => ({
  id,
  name,
  thickener: "Li12",
  baseOil: "mineral",
  nlgi: 2,
  viscosityMm2s: 150,
  ep: false,
  h1: false,
  leastC: -30,
  mostC: 130,
  densityGPerMl: 0.9,
  ...more,
});
const oil = (id: string, name: string, more: Partial<Lubricant>): Lubricant => ({
  id,
  name,
  sort: "oil",
  baseOil: "mineral",
  h1: false,
  leastC: -15,
  mostC: 110,
  densityGPerMl: 0.88,
  ...more,
});

/** A shelf as a small shop has it; names are made up. */
export const SHELF: readonly Lubricant[] = [
  grease("hull-00", "Hull EP 00", { nlgi: -1, ep: true, viscosityMm2s: 220, leastC: -25 }),
  grease("hull-0", "Hull EP 0", { nlgi: 0, ep: true, viscosityMm2s: 150, mostC: 140 }),
  grease("hull-hammer", "Hull Hammer 1", { nlgi: 1, ep: true, solids: ["MoS2"], viscosityMm2s: 220 }),
  grease("merrow-2", "Merrow 2", { viscosityMm2s: 110, openedOn: "2026-10-01" }),
  grease("tarn-soft", "Tarn Plastic 1", { nlgi: 1, baseOil: "PAO", viscosityMm2s: 100, solids: ["PTFE"], leastC: -45 }),
  grease("tarn-cold", "Tarn Cold 0", { nlgi: 0, thickener: "LiX", baseOil: "PAO", viscosityMm2s: 150, ep: true, activeSulphur: false, leastC: -45, mostC: 150 }),
  grease("vane-h1", "Vane FG 1", { nlgi: 1, thickener: "AlX", baseOil: "PAO", viscosityMm2s: 220, h1: true, leastC: -35 }),
  grease("vane-sil", "Vane Silicone 2", { thickener: "silica", baseOil: "silicone", viscosityMm2s: 400, h1: true, leastC: -40, mostC: 180 }),
  grease("marl-sea", "Marl Sea 2", { thickener: "CaS", ep: true, activeSulphur: false, viscosityMm2s: 220, leastC: -25 }),
  oil("wren-clock", "Wren clock oil", { viscosityMm2s: 60, leastC: -20 }),
  oil("wren-15", "Wren white oil VG 15", { leastC: -20 }),
  oil("wren-68", "Wren bearing oil VG 68", {}),
  oil("hull-worm", "Hull worm oil VG 460", { ep: false, baseOil: "PAO", leastC: -30, mostC: 140 }),
  oil("hull-gl5", "Hull axle 80W-90 GL-5", { leastC: -25 }),
]; // biome-ignore format: one lubricant, one line
