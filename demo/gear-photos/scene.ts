// biome-ignore-all format: scenes are set like tables, a thing a row
import type { BoreForm } from "../../src/core/gear/bore-form";
import type { Gear } from "../../src/core/gear/index";
import { gearDimensions } from "../../src/core/gear/index";
import { at, circlip, gearPart, grease, lying, nut, oring, type Pov, screw, screwHead, screwLying, washer } from "../pictures/parts";

/** What is in a rendered photograph, known because it was made so. */
export interface GearTruth {
  readonly file: string;
  readonly teeth: number | null;
  readonly missing: readonly number[];
  readonly missingCount: number;
  readonly module: number;
  readonly tipDiameter: number;
  readonly tilt: number;
  readonly twist: number;
  readonly pinion: number;
  readonly material: string;
  readonly background: string;
  readonly level: 1 | 2 | 3;
  /**
   * where the middle of the upper face is in a picture 1600 wide, px, and how large its tip circle is there
   * along the long axis
   */
  readonly centre: readonly [number, number];
  readonly tipDiameterPx: number;
  /** what else makes it hard: a part hidden, a second gear as large, no gear at all */
  readonly also: "nothing" | "hidden" | "cut-off" | "two-gears" | "no-gear";
  /** diameter of the bore, mm, and its form */
  readonly bore: number;
  readonly boreForm: BoreForm;
  /** teeth with a flank that has lost metal, by their numbers */
  readonly worn?: readonly number[];
  readonly wornSide?: "left" | "right";
}
export interface GearScene {
  readonly truth: GearTruth;
  readonly pov: string;
  readonly blur: number;
  readonly noise: number;
  readonly quality: number;
}

/** mulberry32: the same scene for the same seed, whatever renders it. */
function dice(seed: number) {
  let a = (seed * 2654435761) >>> 0;
  const next = (): number => {
    a = (a + 0x6d2b79f5) >>> 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  const between = (lo: number, hi: number): number => lo + (hi - lo) * next();
  return { next, between, whole: (lo: number, hi: number): number => Math.floor(between(lo, hi + 1)), pick: <T>(xs: readonly T[]): T => xs[Math.floor(next() * xs.length)] as T, chance: (p: number): boolean => next() < p };
}
type Dice = ReturnType<typeof dice>;

const MATERIALS = ["NylonWhite", "NylonBlack", "PomTan", "Brass", "Bronze", "Steel", "Ground", "AbsBlue", "AbsCream", "AbsRust", "CastAlu", "AbsGreen", "Lamination", "Stainless"] as const;
const GROUNDS: Readonly<Record<string, string>> = {
  oilcloth: "MatOilcloth", grey: "MatGrey", wood: "MatWood", blue: "MatBlue", paper: "MatPaper", felt: "Felt", rag: "Rag", rubber: "RubberBlack", plaster: "Plaster", plank: "BoardWood", steel: "Brushed", zinc: "Zinc",
  grid: `pigment { average pigment_map { [1 gradient x color_map { [0 rgb <0.62,0.70,0.62>] [0.06 rgb <0.62,0.70,0.62>] [0.06 rgb <0.10,0.26,0.18>] [1 rgb <0.10,0.26,0.18>] } scale 10] [1 gradient z color_map { [0 rgb <0.62,0.70,0.62>] [0.06 rgb <0.62,0.70,0.62>] [0.06 rgb <0.10,0.26,0.18>] [1 rgb <0.10,0.26,0.18>] } scale 10] } } finish { diffuse 0.75 }`,
  cloth: `pigment { checker rgb <0.34,0.36,0.42>, rgb <0.46,0.48,0.52> scale 1.1 } normal { quilted 0.5 scale 1.1 } finish { diffuse 0.75 }`,
  newsprint: `pigment { cells color_map { [0 rgb <0.78,0.76,0.70>] [0.55 rgb <0.78,0.76,0.70>] [0.55 rgb <0.20,0.20,0.20>] [1 rgb <0.34,0.33,0.31>] } scale <0.9,1,1.6> turbulence 0 } finish { diffuse 0.75 }`,
};
const GREASES = ["<0.62,0.12,0.09>", "<0.55,0.42,0.14>", "<0.82,0.80,0.70>", "<0.10,0.09,0.08>"] as const;
/**
 * Greater contrast of colour than this is not asked for: black on black and white on white are what a shop
 * has.
 */
const SAME: readonly (readonly [string, string])[] = [["NylonBlack", "rubber"], ["NylonWhite", "plaster"], ["Brass", "wood"], ["Steel", "steel"], ["AbsCream", "paper"], ["AbsBlue", "blue"], ["Bronze", "plank"], ["Ground", "grey"], ["Stainless", "zinc"]];

function randomGear(d: Dice): Gear {
  const teeth = d.pick([d.whole(9, 20), d.whole(12, 36), d.whole(20, 60), d.whole(40, 96)]);
  return { teeth, moduleMm: d.pick([0.5, 0.6, 0.8, 1, 1.25, 1.5, 2]), pressureAngleDeg: d.pick([20, 20, 14.5]), helixAngleDeg: d.chance(0.35) ? d.between(8, 24) * (d.chance(0.5) ? 1 : -1) : 0, profileShift: teeth < 14 ? 0.3 : 0 };
}

function brokenTeeth(d: Dice, teeth: number, level: number): number[] {
  if (d.chance(0.4)) return [];
  const gone = new Set<number>();
  const runs = d.whole(1, level);
  for (let r = 0; r < runs; r++) {
    const from = d.whole(0, teeth - 1);
    const length = d.pick([1, 1, 2, 3, Math.min(5, Math.floor(teeth / 6))]);
    for (let i = 0; i < length; i++) gone.add((from + i) % teeth);
  }
  return [...gone].filter((_, i) => i < teeth / 3).sort((a, b) => a - b);
}

/**
 * A run of teeth of which one flank is worn by 0.3 to 0.65 modules at the tip; with dice of its own, so that
 * the scene stays as it was.
 */
function wornRun(seed: number, gear: Gear, missing: readonly number[]): { teeth: number[]; lostMm: number } {
  const d = dice(seed + 90_000);
  const from = d.whole(0, gear.teeth - 1);
  const teeth = Array.from({ length: d.whole(1, 3) }, (_, i) => (from + i) % gear.teeth).filter((t) => !missing.includes(t));
  return { teeth, lostMm: gear.moduleMm * d.between(0.3, 0.65) * (d.chance(0.5) ? 1 : -1) };
}

/** A gear lying on the bench, its teeth broken as the truth says. */
function lyingGear(d: Dice, gear: Gear, missing: readonly number[], material: string, face: number, boreForm?: BoreForm, worn?: (i: number) => number): { thing: Pov; bore: number; boreForm: BoreForm } {
  const size = gearDimensions(gear);
  const root = size.rootDiameterMm;
  const bore = Math.max(1.5, root * d.between(0.1, 0.3));
  const web = d.chance(0.5);
  const hub = bore * d.between(0.75, 1.1);
  const rim = root / 2 - Math.max(1.4 * gear.moduleMm, 1.6);
  const holes = rim > hub * 1.9 && d.chance(0.3) ? d.whole(3, 7) : 0;
  const keyway = d.chance(0.3);
  const part = gearPart({ gear, face, bore, material, web, hub: boreForm === "cross slot" ? bore * 1.3 : hub, holes, worn, ...(boreForm ? { boreForm } : { keyway }), broken: (i) => (missing.includes(i) ? 0.93 + 0.05 * Math.sin(i * 5) : 0) });
  return { thing: part, bore, boreForm: boreForm ?? (keyway ? "keyway" : "round") };
}

function clutter(d: Dice, span: number, clear: number, count: number): Pov[] {
  return Array.from({ length: count }, () => {
    const a = d.between(0, 2 * Math.PI);
    const r = clear * d.between(1.02, 1.5);
    const s = Math.max(1.4, span / 42);
    const things: Pov[] = [screwLying(s, s * 4, s * 0.35, d.between(0, 360), "torx", d.pick(["Zinc", "Brass", "BlackScrew"])), at(screwHead(s * 1.2, d.pick(["cross", "hex", "slot"])), 0, 0), at(nut(s * 1.6), 0, 0), at(washer(s * 4, s * 1.6, s * 0.3), 0, 0), at(circlip(s * 2.6), 0, 0), at(oring(s * 3.4, s * 0.5), 0, 0), lying(screw(s, s * 3, s * 0.4), s, d.between(0, 360))];
    return at(d.pick(things), r * Math.cos(a), r * Math.sin(a), d.between(0, 360));
  });
}

/**
 * @param wornTeeth a few teeth have a worn flank;
 *
 * @param boreForm of the gear's bore; left out: round or with a keyway, as it falls
 */
export function gearScene(seed: number, also: GearTruth["also"] = "nothing", boreForm?: BoreForm, wornTeeth = false): GearScene {
  const d = dice(seed);
  const level = (1 + (seed % 3)) as 1 | 2 | 3;
  const gear = randomGear(d);
  const size = gearDimensions(gear);
  const tip = size.tipDiameterMm;
  const face = Math.max(2, Math.min(14, gear.moduleMm * d.between(3, 9), tip * 0.35));
  const same = level > 1 && d.chance(0.35) ? d.pick(SAME) : undefined;
  const material = same?.[0] ?? d.pick(MATERIALS);
  const background = same?.[1] ?? d.pick(Object.keys(GROUNDS));
  const missing = brokenTeeth(d, gear.teeth, level);
  const tilt = d.between([0, 1, 5, 10][level] as number, [0, 9, 24, 35][level] as number);
  const wear = wornTeeth ? wornRun(seed, gear, missing) : undefined;
  const { thing, bore, boreForm: form } = lyingGear(d, gear, missing, material, face, boreForm, wear && ((i) => (wear.teeth.includes(i) ? wear.lostMm : 0)));
  const things: Pov[] = [];
  if (also !== "no-gear") things.push(`object { ${thing} rotate y*${d.between(0, 360)} }`);
  let pinion = 0;
  if (also !== "no-gear" && gear.teeth > 30 && level === 3 && d.chance(0.5)) {
    pinion = d.whole(9, 15);
    const m = Math.min(gear.moduleMm, (tip * 0.32) / (pinion + 2));
    things.push(at(gearPart({ gear: { ...gear, teeth: pinion, moduleMm: m, helixAngleDeg: 0, profileShift: 0.3 }, face: face * 0.8, bore: pinion * m * 0.35, material }), 0, 0, d.between(0, 360), face));
  }
  for (let i = d.whole(0, level); i > 0; i--) {
    const a = d.between(0, 6.28);
    const r = (tip / 2) * d.between(0.3, 1.02);
    things.push(at(grease(d.whole(1, 99), d.whole(2, 6), tip * 0.05, face, d.pick(GREASES), tip * d.between(0.015, 0.035)), r * Math.cos(a), r * Math.sin(a)));
  }
  const span = tip * d.between(1.25, 2.3);
  things.push(...clutter(d, span, tip / 2 + 1, also === "no-gear" ? 14 : d.whole(0, 3 * level)));
  if (also === "two-gears") things.push(at(`object { ${lyingGear(d, gear, [], material, face).thing} rotate y*${d.between(0, 360)} }`, tip * 1.12, d.between(-4, 4)));
  if (also === "hidden") {
    const a = d.between(0, 360);
    things.push(`object { box { <${-tip},0,${tip * d.between(0.22, 0.36)}>, <${tip},${face + 6},${tip * 2}> } texture { ${d.pick(["Rag", "Felt", "PomTan", "AbsDark"])} } rotate y*${a} }`);
  }
  const yaw = d.between(0, 360);
  const wide = also === "two-gears" ? span * 1.7 : span;
  const distance = wide * d.between(1.1, 2.2);
  const angle = (2 * Math.atan((wide * 4) / 3 / 2 / distance) * 180) / Math.PI;
  const off = also === "cut-off" ? tip * 0.5 : (span - tip) * 0.4;
  const [ox, oz] = [d.between(-1, 1) * off * 1.2, d.between(-1, 1) * off * 0.7];
  const [mx, mz] = also === "cut-off" ? [Math.sign(ox || 1) * (span * 0.66 - tip * 0.25), 0] : also === "two-gears" ? [tip * 0.56, 0] : [ox, oz];
  const t = (tilt * Math.PI) / 180;
  const light = d.between(0, 360);
  const high = d.between(1.2, 2.6);
  const soft = d.between(0.2, 0.9);
  // the whole bench is turned under a camera that only leans
  const pov = `
global_settings { assumed_gamma 1.0 }
camera { location <0,${distance * Math.cos(t)},${-distance * Math.sin(t)}> right x*4/3 up y sky z look_at <0,0,0> angle ${angle.toFixed(2)} rotate y*${yaw} translate <${mx},${face},${mz}> }
light_source { <${wide * 1.6 * Math.cos(light)},${wide * 1.6 * high},${wide * 1.6 * Math.sin(light)}> rgb <1.05,1.0,0.93>*${d.between(0.7, 1.0)} area_light x*${wide * soft}, z*${wide * soft}, 3, 3 adaptive 0 jitter circular orient }
light_source { <${-wide * 1.5},${wide * 2},${wide}> rgb <0.7,0.8,0.95>*${d.between(0.25, 0.6)} ${d.chance(0.5) ? "shadowless" : ""} }
sky_sphere { pigment { gradient y color_map { [0 rgb <0.25,0.24,0.22>] [0.6 rgb <0.6,0.6,0.6>] [1 rgb <0.95,0.95,0.93>] } } }
#default { finish { ambient ${d.between(0.12, 0.3).toFixed(3)} } }
plane { y, 0 texture { ${GROUNDS[background]} scale ${Math.max(0.12, wide / 180).toFixed(3)} rotate y*${d.between(0, 360)} } }
union { ${things.join("\n")} }
`;
  // the gear's middle as this camera sees it (POV-Ray turns left-handed)
  const y = (yaw * Math.PI) / 180;
  const [gx, gz] = [-mx * Math.cos(y) + mz * Math.sin(y), -mx * Math.sin(y) - mz * Math.cos(y)];
  const focal = 800 / Math.tan((angle * Math.PI) / 360);
  const depth = distance + gz * Math.sin(t);
  const centre = [800 + (gx / depth) * focal, 600 - ((gz * Math.cos(t)) / depth) * focal] as const;
  const known = also !== "no-gear" && also !== "two-gears";
  return {
    pov, blur: d.between(0.4, level === 3 ? 1.3 : 0.8), noise: d.between(1, 2 + 2 * level), quality: d.whole(72, 90),
    truth: {
      file: `${also === "nothing" ? "gear" : also}-${seed}.jpg`, teeth: known ? gear.teeth : null, missing: known ? missing : [], missingCount: known ? missing.length : 0, module: gear.moduleMm, tipDiameter: Number(tip.toFixed(3)),
      tilt: Number(tilt.toFixed(1)), twist: Number(((face * Math.tan((gear.helixAngleDeg * Math.PI) / 180) * 360) / (Math.PI * size.referenceDiameterMm)).toFixed(2)), pinion, material, background, level,
      centre: [Math.round(centre[0]), Math.round(centre[1])], tipDiameterPx: Math.round((tip / depth) * focal), also, bore: Number(bore.toFixed(3)), boreForm: form,
      ...(wear ? { worn: wear.teeth, wornSide: wear.lostMm < 0 ? ("left" as const) : ("right" as const) } : {}),
    },
  };
}
