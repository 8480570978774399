// biome-ignore-all format: scenes are set like tables, a thing a row
import QRCode from "qrcode";
import type { Gear } from "../../src/core/gear/index";
import { CARD, cardText } from "../../src/core/photo/scale-card";
import * as p from "./parts";
import { all, at, lying, type Pov, tipped } from "./parts";
import type { Scene } from "./scene";
import { units } from "./units";


const gear = (teeth: number, moduleMm: number, helixAngleDeg = 0, profileShift = 0): Gear => ({ teeth, moduleMm, pressureAngleDeg: 20, helixAngleDeg, profileShift });
const AMBER = "<0.50,0.33,0.09>";
const RED = "<0.45,0.05,0.04>";
const WHITE = "<0.80,0.79,0.72>";
const DARK = "<0.10,0.08,0.06>";
const corners = (w: number, l: number): [number, number][] => [
  [-w, -l],
  [w, -l],
  [w, l],
  [-w, l],
];
const six = (w: number, l: number): [number, number][] => [...corners(w, l), [0, -l], [0, l]];
const ring = (n: number, r: number, off = 0): [number, number][] => Array.from({ length: n }, (_, i) => [r * Math.cos((2 * Math.PI * i) / n + off), r * Math.sin((2 * Math.PI * i) / n + off)]);
/** A handful of the same screw, put down as a hand puts them down. */
const handful = (count: number, d: number, len: number, pitch: number, x: number, z: number, drive: p.Drive = "torx", material = "Zinc"): Pov =>
  all(...Array.from({ length: count }, (_, i) => `object { ${p.screwLying(d, len, pitch, 25 + ((i * 47) % 60), drive, material)} translate <${x + len * 0.5 + (i % 4) * d * 3.4},0,${z + Math.floor(i / 4) * (len + 6) + ((i * 13) % 5)}> }`));

// ── the juicer's gear case
// ────────────────────────────────────────────────────────────────────────────────────────────
const brokenFive = (i: number): number => ([9, 10, 11, 12, 13].includes(i) ? 0.97 : [8, 14].includes(i) ? 0.42 : 0);
const wheel41 = (broken: (i: number) => number = brokenFive): Pov => p.gearPart({ gear: gear(41, 1, 18), face: 11, bore: 8, hub: 9, material: "NylonWhite", web: true, broken, crossHole: true });
/** The printed scale card, lying flat. */
const scaleCard = (): Pov => {
  const code = QRCode.create(cardText(CARD.codeSide), { errorCorrectionLevel: "M" }).modules;
  const m = CARD.codeSide / code.size;
  const dark: string[] = [];
  for (let y = 0; y < code.size; y++) for (let x = 0; x < code.size; x++) if (code.get(y, x)) dark.push(`box { <${x * m},0,${-(y + 1) * m}>, <${(x + 1) * m},0.05,${-y * m}> }`);
  return all(`box { <${-CARD.width / 2},0,${-CARD.height / 2}>, <${CARD.width / 2},0.3,${CARD.height / 2}> texture { pigment { rgb 0.86 } finish { diffuse 0.8 } } }`, `union { ${dark.join(" ")} translate <${-CARD.width / 2 + 7},0.3,${CARD.codeSide / 2}> texture { pigment { rgb 0.02 } } }`);
};
const wheel47 = p.gearPart({ gear: gear(47, 1.25), face: 13, bore: 12, hub: 12, material: "NylonWhite", web: true, holes: 0, keyway: true });
const layShaft = all(p.shaft([8, 16], [7.9, 22], [8, 10]), at(p.gearPart({ gear: gear(11, 1.25), face: 18, bore: 7, material: "Steel" }), 0, 0, 0, 16));
const juicerCase = p.openCase(112, 30, 92, 4, "AbsDark", six(50, 40));
const pinionShaft = all(p.shaft([6, 30]), p.gearPart({ gear: gear(9, 1, -18, 0.35), face: 14, bore: 4, material: "Steel" }));

const juicer: Scene[] = [
  {
    name: "juicer-bowl",
    mat: "MatPaper",
    span: 300,
    tilt: 42,
    turn: 10,
    things: [
      `object { ${p.auger(66, 112, "AbsOchre")} rotate z*-90 rotate y*22 translate <-95,33,-40> }`,
      at(`difference { cylinder { 0, y*86, 46 } cylinder { y*3, y*90, 43 } cylinder { <0,16,0>, <90,16,0>, 11 } texture { ClearPlastic } }`, 70, 40),
      at(`difference { cone { 0, 38, y*70, 30 } cone { -y, 37, y*71, 29 } ${Array.from({ length: 26 }, (_, i) => `box { <-0.7,8,0>, <0.7,62,60> rotate y*${i * 13.8} }`).join(" ")} texture { Stainless } }`, -50, 70),
    ],
  },
  {
    name: "juicer-underside",
    mat: "MatGrey",
    span: 250,
    tilt: 18,
    turn: 6,
    things: [
      p.roundBox(160, 26, 200, 20, "AbsCream"),
      `object { ${p.roundBox(146, 8, 186, 14, "AbsDark")} translate y*22 }`,
      ...corners(58, 78).map(([x, z], i) => at(all(`cylinder { 0, y*7, 13 texture { RubberBlack } }`, i === 1 ? "" : ""), x * 0.86, z * 0.86, 0, 29)),
      ...corners(64, 62).map(([x, z], i) => at(p.screwHead(3.5, "torx"), x, z, i * 33, 30)),
      ...[[0, -84], [0, 84]].map(([x, z]) => at(p.screwHead(3.5, "torx", "BlackScrew"), x as number, z as number, 12, 30)),
      ...Array.from({ length: 9 }, (_, i) => `box { <-34,29.5,${-34 + i * 8}>, <34,30.6,${-31 + i * 8}> texture { AbsDark } }`),
    ],
  },
  { name: "juicer-base-screws", mat: "MatOilcloth", span: 130, tilt: 30, turn: -8, things: [handful(4, 3.5, 16, 1.3, -44, -12), handful(2, 3.5, 20, 1.3, 22, -10, "torx", "BlackScrew")] },
  { name: "juicer-base", mat: "MatGrey", span: 260, tilt: 34, turn: 20, things: [p.openCase(150, 12, 188, 3, "AbsDark", corners(64, 82), 5), ...corners(40, 58).map(([x, z]) => at(`cylinder { 0, y*9, 12 texture { RubberBlack } }`, x, z, 0, 3))] },
  {
    name: "juicer-plug",
    mat: "MatGrey",
    span: 130,
    tilt: 40,
    turn: -14,
    things: [
      at(p.roundBox(86, 4, 60, 1.5, "Board"), 20, 16, 8),
      tipped(p.plug(2), 0, 68, 0, -26, 3, -8),
      at(p.roundBox(14, 16, 20, 2, "AbsBlue"), 30, 20, 8, 4),
      at(`cylinder { 0, y*18, 7 texture { AbsDark } }`, 46, 6, 0, 4),
      at(p.plug(2), -2, 2, 90, 4),
      at(`cylinder { 0, y*10, 4 texture { Copper } }`, 12, 30, 0, 4),
      p.wire("<0.28,0.14,0.06>", [[-30, 5, -9], [-48, 6, -14], [-60, 4, -34], [-90, 5, -30]], 1.5),
      p.wire("<0.05,0.12,0.42>", [[-30, 5, -5], [-50, 8, -6], [-66, 4, -22], [-92, 5, -16]], 1.5),
    ],
  },
  {
    name: "juicer-clamp",
    mat: "MatGrey",
    span: 110,
    tilt: 38,
    turn: 12,
    things: [
      at(`difference { box { <-19,0,-7>, <19,9,7> } cylinder { <0,-1,-8>, <0,-1,8>, 6.5 } cylinder { <-13,-1,0>, <-13,12,0>, 2.2 } cylinder { <13,-1,0>, <13,12,0>, 2.2 } texture { AbsDark } }`, -8, 6, 18),
      handful(2, 4, 12, 0.7, 18, -16, "cross"),
      p.wire("rgb 0.04", [[-60, 4, 40], [-20, 4, 30], [20, 4, 36], [70, 4, 22]], 4),
    ],
  },
  {
    name: "juicer-frame",
    mat: "MatGrey",
    span: 240,
    tilt: 26,
    turn: -6,
    things: [
      p.openCase(170, 46, 190, 4, "AbsCream", corners(74, 84), 3),
      at(p.cover(112, 92, "AbsDark", six(50, 40), p.screwHead(3.5)), 0, 30, 0, 12),
      `object { ${lying(p.motor(62, 52), 34, 90)} translate <-14,6,-46> }`,
      p.wire("<0.28,0.14,0.06>", [[30, 40, -50], [60, 44, -60], [66, 30, -20], [60, 20, 20]], 1.6),
      p.wire("<0.05,0.12,0.42>", [[30, 36, -56], [56, 42, -72], [72, 30, -30], [66, 18, 20]], 1.6),
    ],
  },
  {
    name: "juicer-gearmotor",
    mat: "MatWood",
    span: 230,
    tilt: 42,
    turn: 28,
    things: [at(p.cover(112, 92, "AbsDark", six(50, 40), p.screwHead(3.5)), 40, 20, 0, 22), at(p.openCase(112, 24, 92, 4, "AbsDark"), 40, 20), `object { ${lying(p.motor(62, 58), 31, 0)} translate <-96,0,14> }`, at(p.shaft([12, 20]), 40, 20, 0, 34)],
  },
  {
    name: "juicer-rag",
    mat: "MatGrey",
    span: 150,
    tilt: 30,
    turn: 10,
    things: [
      p.openCase(130, 30, 120, 5, "AbsDark", corners(54, 48), 2),
      ...Array.from(
        { length: 46 },
        (_, i) => `sphere { 0, 1 scale <${17 + ((i * 5) % 9)},1.6,${9 + ((i * 7) % 6)}> rotate <${((i * 37) % 70) - 35},${i * 67},${((i * 29) % 60) - 30}> translate <${27 * Math.cos(i * 2.4) * Math.sqrt(i / 46)},${9 + ((i * 11) % 12)},${24 * Math.sin(i * 2.4) * Math.sqrt(i / 46)}> texture { Rag } }`,
      ),
    ],
  },
  { name: "juicer-cover", mat: "MatWood", span: 160, tilt: 22, turn: 8, things: [p.openCase(112, 22, 92, 4, "AbsDark"), at(p.cover(112, 92, "AbsDark", six(50, 40), p.screwHead(3.5)), 0, 0, 0, 20)] },
  {
    name: "juicer-cover-off",
    mat: "MatWood",
    span: 170,
    tilt: 26,
    turn: -12,
    things: [
      juicerCase,
      at(wheel41(), -16, -6, 20, 9),
      at(p.gearPart({ gear: gear(47, 1.25), face: 9, bore: 12, hub: 12, material: "NylonWhite", web: true }), 17, 5, 3, 5),
      at(p.shaft([12, 36]), 17, 5),
      at(p.shaft([8, 34]), -16, -6),
      at(pinionShaft, -42, 13, 0, 8),
      at(p.grease(7, 16, 15, 24, AMBER, 2.4), -16, -8),
      at(p.grease(3, 22, 40, 5, AMBER, 4), 4, 4),
      at(p.grease(12, 7, 10, 20, DARK, 2.2), 16, 18),
      at(p.crumbs(4, 9, 30, "NylonWhite"), 6, 0, 0, 24),
    ],
  },
  { name: "juicer-circlip", mat: "MatOilcloth", span: 74, tilt: 24, turn: 14, things: [at(p.circlip(12), -8, 2, 24), at(p.shaft([1.2, 2.2]), 22, -12)] },
  { name: "juicer-washers", mat: "MatOilcloth", span: 96, tilt: 30, turn: -10, things: [at(p.wavyWasher(20, 12.4), -22, 4), at(p.washer(20, 12.4, 0.8), 4, -8), at(p.washer(20, 12.4, 0.5, "Bronze"), 26, 8), at(p.grease(9, 4, 6, 0.8, AMBER, 1.7), 6, -12)] },
  { name: "juicer-wheel47", mat: "MatWood", span: 112, tilt: 30, turn: 22, things: [at(wheel47, 0, 2, 11), at(p.grease(21, 9, 9, 13, AMBER, 2), 14, 18), at(p.grease(5, 5, 5, 6, AMBER, 2), -20, -18)] },
  { name: "juicer-pin", mat: "MatOilcloth", span: 84, tilt: 32, turn: 4, things: [at(lying(p.springPin(3, 18), 1.5, 34), -10, 2), `object { ${lying(p.shaft([2.8, 26], [6, 30]), 3, -12)} translate <-6,0,-20> }`] },
  { name: "juicer-wheel41", mat: "MatWood", span: 96, tilt: 24, turn: -18, things: [at(wheel41(), 0, 2, 31), at(p.grease(31, 10, 7, 11, RED, 1.8), -7, -6), at(p.grease(17, 8, 4, 6, RED, 1.6), 16, 4), at(p.crumbs(11, 7, 6, "NylonWhite"), 33, -16), at(p.crumbs(23, 4, 4, "NylonWhite"), -32, 20)] },
  { name: "juicer-layshaft", mat: "MatWood", span: 110, tilt: 32, turn: 16, things: [`object { ${lying(layShaft, 8.5, 24)} translate <-26,0,6> }`, at(p.grease(5, 9, 8, 2, AMBER, 1.9), 0, -2)] },
  { name: "juicer-bearing", mat: "MatOilcloth", span: 78, tilt: 34, turn: -14, things: [at(p.bearing(8, 22, 7), -4, 2), at(p.grease(3, 4, 5, 6.5, AMBER, 1.2), -6, -4)] },
  { name: "juicer-wheel41-card", mat: "MatWood", span: 132, tilt: 14, turn: 0, lift: 8, things: [at(wheel41(), -34, 0, 8), at(`box { <-45,0,-29>, <45,10.7,29> texture { BoardWood } }`, 37, 2, 6), at(scaleCard(), 37, 2, 6, 10.7), at(p.crumbs(11, 5, 5, "NylonWhite"), -58, -30)] },
  { name: "juicer-pinion", mat: "MatOilcloth", span: 70, tilt: 30, turn: 26, things: [`object { ${lying(pinionShaft, 6.2, 12)} translate <-12,0,3> }`, at(p.grease(14, 8, 5, 10.5, AMBER, 1.5), -9, 2), at(p.crumbs(9, 5, 5, "NylonWhite"), 16, -10)] },
  { name: "juicer-seal", mat: "MatOilcloth", span: 78, tilt: 30, turn: 14, things: [at(p.seal(12, 22, 7), 0, 2), at(p.grease(8, 5, 8, 5, AMBER, 1.3), 4, 2)] },
];

// ── hedge shears
// ──────────────────────────────────────────────────────────────────────────────────────────────────────
const bladeOutline = (len: number, teeth: number, w: number): [number, number][] => {
  const out: [number, number][] = [[-20, -w], [-20, w]];
  for (let i = 0; i < teeth; i++) {
    const x = (len / teeth) * i;
    out.push([x, w], [x + 4, w + 15], [x + 9, w + 15], [x + 13, w]);
  }
  out.push([len, w], [len + 16, 0], [len, -w]);
  for (let i = teeth - 1; i >= 0; i--) {
    const x = (len / teeth) * i;
    out.push([x + 13, -w], [x + 9, -w - 15], [x + 4, -w - 15], [x, -w]);
  }
  return out;
};
const blade = (len: number): Pov => p.sheet(bladeOutline(len, Math.round(len / 30), 11), 2.6, "Stainless");
const shearsHousing = (half: boolean): Pov => all(half ? p.openCase(92, 26, 250, 3, "AbsGreen", [...six(40, 112), [0, 50]], 5) : all(p.roundBox(92, 60, 250, 24, "AbsGreen"), `object { ${p.roundBox(60, 10, 120, 4, "AbsDark")} translate <0,56,30> }`));
const crown = (broken?: (i: number) => number): Pov => p.gearPart({ gear: gear(58, 1), face: 9, bore: 15, hub: 13, material: "Steel", web: true, holes: 5, ...(broken ? { broken } : {}) });
const hedge: Scene[] = [
  { name: "shears-battery", mat: "MatGrey", span: 200, tilt: 40, turn: 18, things: [p.roundBox(82, 56, 116, 12, "AbsDark"), `object { ${p.roundBox(62, 8, 70, 3, "AbsGreen")} translate y*53 }`, ...[-14, 0, 14].map((x) => `box { <${x - 1.5},57,-56>, <${x + 1.5},60,-40> texture { Brass } }`)] },
  { name: "shears-guard", mat: "MatGrey", span: 240, tilt: 36, turn: -10, things: [at(p.openCase(60, 20, 170, 3, "AbsDark", [[-20, -70], [20, -70]], 2), -30, 0, 24), handful(2, 5, 16, 0.8, 60, -20, "hex", "BlackScrew")] },
  { name: "shears-housing", mat: "MatGrey", span: 300, tilt: 24, turn: 74, things: [shearsHousing(false), ...[...six(36, 108), [0, 56], [-24, -60]].map(([x, z], i) => at(p.screwHead(4.2, "torx", "BlackScrew"), (x as number) * 0.8, (z as number) * 0.9, i * 21, 59))] },
  { name: "shears-screws", mat: "MatOilcloth", span: 170, tilt: 28, turn: 6, things: [handful(8, 4.2, 20, 1.4, -66, -28, "torx", "BlackScrew"), handful(1, 4.2, 30, 1.4, 30, -10, "torx", "BlackScrew")] },
  {
    name: "shears-open",
    mat: "MatGrey",
    span: 320,
    tilt: 24,
    turn: 80,
    things: [
      shearsHousing(true),
      `object { ${lying(p.motor(44, 46), 24, 90)} translate <0,4,64> }`,
      at(p.openCase(76, 22, 76, 4, "CastAlu"), 0, -66, 0, 6),
      at(crown(), 0, -66, 0, 14),
      p.wire("rgb <0.5,0.02,0.02>", [[14, 18, 110], [30, 20, 60], [34, 12, 20], [20, 20, -6]], 1.8),
      p.wire("rgb 0.03", [[-14, 18, 110], [-32, 20, 70], [-34, 12, 20], [-22, 20, -6]], 1.8),
    ],
  },
  {
    name: "shears-plug",
    mat: "MatGrey",
    span: 110,
    tilt: 40,
    turn: -16,
    things: [
      tipped(p.plug(3), 0, 40, 0, 0, 2, 0),
      p.wire("rgb <0.5,0.02,0.02>", [[-4, 5, -4], [-14, 7, -18], [-44, 5, -24], [-80, 4, -10]], 1.7),
      p.wire("rgb 0.03", [[-7, 5, 0], [-22, 7, -10], [-46, 5, -14], [-80, 4, 2]], 1.7),
      p.wire("rgb <0.8,0.7,0.1>", [[-9, 5, 3], [-26, 9, 0], [-48, 5, -4], [-80, 4, 14]], 1.7),
    ],
  },
  { name: "shears-motor", mat: "MatWood", span: 150, tilt: 38, turn: -20, things: [`object { ${lying(p.motor(46, 46, p.gearPart({ gear: gear(9, 1, 0, 0.4), face: 12, bore: 4, material: "Steel" })), 23, 18)} translate <-46,0,4> }`] },
  { name: "shears-gearbox", mat: "MatWood", span: 140, tilt: 26, turn: 10, things: [p.openCase(84, 20, 84, 5, "CastAlu"), at(p.cover(84, 84, "CastAlu", corners(35, 35), p.screwHead(5, "hex", "BlackScrew"), 5), 0, 0, 0, 18)] },
  {
    name: "shears-gearbox-open",
    mat: "MatWood",
    span: 130,
    tilt: 24,
    turn: -14,
    things: [
      p.openCase(84, 26, 84, 5, "CastAlu", corners(35, 35), 0),
      at(p.gearPart({ gear: gear(58, 1), face: 7, bore: 15, hub: 13, material: "Steel", web: true, holes: 5, broken: (i) => (i % 17 === 3 ? 0.5 : 0) }), 2, 2, 8, 12),
      at(p.shaft([15, 34]), 2, 2),
      at(`difference { cylinder { 0, y*6, 17 } cylinder { -y, y*8, 7.5 } texture { Ground } }`, 6, 2, 0, 20),
      at(p.grease(19, 24, 30, 12, DARK, 3.2), 0, 0),
      at(p.crumbs(3, 14, 24, "Chrome"), 0, 0, 0, 15),
    ],
  },
  { name: "shears-gasket", mat: "MatPaper", span: 130, tilt: 24, turn: 8, things: [`difference { object { ${p.roundBox(84, 4, 84, 1.4, "Felt")} } object { ${p.roundBox(70, 8, 70, 1.4, "Felt")} translate y*-1 } box { <18,-1,30>, <21,8,60> rotate y*14 } texture { Felt } }`, at(p.grease(6, 8, 5, 3, DARK, 1.6), 36, 10)] },
  { name: "shears-circlip", mat: "MatOilcloth", span: 80, tilt: 26, turn: -8, things: [at(p.circlip(15), 0, 0, -20), at(p.grease(4, 3, 6, 1, DARK, 1.2), 8, -6)] },
  {
    name: "shears-conrods",
    mat: "MatWood",
    span: 150,
    tilt: 32,
    turn: 12,
    things: [0, 1].map((i) => at(`difference { union { cylinder { 0, y*6, 20 } box { <0,0,-6>, <54,6,6> } cylinder { <56,0,0>, <56,6,0>, 9 } } cylinder { -y, y*8, 15 } cylinder { <56,-1,0>, <56,8,0>, 4 } texture { Steel } }`, -34, -26 + i * 48, i * 14)).concat([at(p.washer(34, 15.4, 2, "Felt"), 36, 50)]),
  },
  { name: "shears-crown", mat: "MatWood", span: 120, tilt: 26, turn: 16, things: [at(crown((i) => ([21, 22].includes(i) ? 0.75 : 0)), 0, 2, 5), at(p.grease(29, 9, 8, 8, DARK, 2), 12, -12), at(p.crumbs(8, 8, 9, "Chrome"), 42, -26)] },
  { name: "shears-blades", mat: "MatGrey", span: 460, tilt: 30, turn: 12, things: [at(blade(340), -160, -20, 4), at(blade(340), -150, 50, -3)] },
  { name: "shears-bearing", mat: "MatOilcloth", span: 84, tilt: 34, turn: -4, things: [at(p.bearing(12, 28, 8, "Stainless"), 0, 2), at(p.grease(14, 5, 8, 7, DARK, 1.4), 2, 2)] },
];

// ── deli slicer
// ───────────────────────────────────────────────────────────────────────────────────────────────────────
const disc = (r: number): Pov =>
  `difference { union { cylinder { 0, y*1.8, ${r * 0.93} } cone { 0, ${r}, y*1.8, ${r * 0.93} } cylinder { 0, y*4, ${r * 0.55} } } cylinder { -y, y*6, ${r * 0.16} } ${[0, 120, 240].map((a) => `cylinder { <${r * 0.36},-1,0>, <${r * 0.36},6,0>, 2.8 rotate y*${a} }`).join(" ")} texture { Stainless } }`;
const wormWheel = (broken: (i: number) => number = (i) => (i > 30 && i < 44 ? 0.34 : 0.06)): Pov => p.gearPart({ gear: gear(52, 1.25, 5), face: 13, bore: 15, hub: 12, material: "NylonWhite", web: true, broken, crown: 0.025 });
const slicer: Scene[] = [
  { name: "slicer-carriage", mat: "MatPaper", span: 320, tilt: 40, turn: 14, things: [p.roundBox(190, 8, 190, 3, "Stainless"), at(p.roundBox(170, 60, 10, 3, "Stainless"), 0, 86), at(p.roundBox(80, 50, 26, 8, "AbsDark"), 30, -50, 12, 8), `cylinder { <-84,8,-60>, <-84,46,-60>, 13 texture { AbsDark } }`] },
  { name: "slicer-blade-cover", mat: "MatPaper", span: 290, tilt: 32, turn: -10, things: [`difference { cylinder { 0, y*14, 96 } cylinder { y*-1, y*11, 90 } texture { CastAlu } }`, `cylinder { y*14, y*34, 18 texture { AbsDark } }`, `cylinder { y*34, y*38, 21 texture { AbsDark } }`] },
  { name: "slicer-blade", mat: "MatPaper", span: 280, tilt: 30, turn: 8, things: [disc(110)] },
  { name: "slicer-blade-screws", mat: "MatOilcloth", span: 100, tilt: 30, turn: 6, things: [0, 1, 2].map((i) => `object { ${p.screw(5, 10, 0.8, "hex", "Stainless", "flat")} translate y*-10 rotate x*96 rotate y*${20 + i * 50} translate <${-26 + i * 24},4.6,${(i % 2) * 8}> }`) },
  {
    name: "slicer-underside",
    mat: "MatGrey",
    span: 380,
    tilt: 20,
    turn: 8,
    things: [p.roundBox(300, 30, 220, 20, "CastAlu"), `object { ${p.roundBox(270, 6, 190, 4, "Stainless")} translate y*28 }`, ...corners(120, 80).flatMap(([x, z], i) => [at(`cylinder { 0, y*12, 15 texture { RubberBlack } }`, x, z, 0, 30), at(p.screwHead(4.2, "cross"), x * 0.8, z, i * 20, 34)])],
  },
  { name: "slicer-plate", mat: "MatGrey", span: 320, tilt: 32, turn: -14, things: [p.roundBox(250, 4, 176, 1.6, "Stainless"), handful(4, 4.2, 16, 1.4, -40, -20, "cross").replace(/translate <(-?\d+(\.\d+)?),0/g, "translate <$1,4")] },
  {
    name: "slicer-plug",
    mat: "MatGrey",
    span: 120,
    tilt: 40,
    turn: 12,
    things: [
      tipped(p.plug(2), 0, -30, 0, -6, 2, 0),
      tipped(p.plug(2), 0, 70, 0, 26, 2, 14),
      p.wire("<0.28,0.14,0.06>", [[0, 5, -4], [14, 7, -18], [40, 5, -24], [90, 4, -16]], 1.7),
      p.wire("<0.05,0.12,0.42>", [[2, 5, 0], [18, 9, -10], [44, 5, -12], [90, 4, -4]], 1.7),
      p.wire("<0.10,0.42,0.08>", [[-50, 3, 30], [-20, 5, 26], [20, 4, 34], [80, 3, 30]], 1.7),
    ],
  },
  { name: "slicer-case", mat: "MatWood", span: 170, tilt: 26, turn: -10, things: [p.openCase(104, 30, 104, 6, "CastAlu"), at(p.cover(104, 104, "CastAlu", corners(44, 44), p.screwHead(5, "hex", "Zinc"), 8), 0, 0, 0, 28)] },
  {
    name: "slicer-case-open",
    mat: "MatWood",
    span: 150,
    tilt: 26,
    turn: 16,
    things: [
      p.openCase(104, 32, 104, 6, "CastAlu", corners(44, 44), 0),
      at(wormWheel(), 6, 6, 0, 10),
      at(p.shaft([15, 40]), 6, 6),
      `object { ${lying(all(p.worm(15, 44, 4), `object { ${p.shaft([8, 90])} translate y*-22 }`), 8, 0)} translate <-26,14,-34> }`,
      at(p.grease(41, 26, 40, 8, WHITE, 3.6), 0, 0),
      at(p.grease(11, 12, 12, 22, DARK, 2.2), 20, -16),
    ],
  },
  { name: "slicer-oring", mat: "MatOilcloth", span: 150, tilt: 28, turn: 6, things: [at(p.oring(92, 2.6), 0, 4)] },
  { name: "slicer-circlip", mat: "MatOilcloth", span: 90, tilt: 26, turn: 14, things: [at(p.circlip(15), -18, 2, 40), at(p.washer(26, 15.4, 1, "Bronze"), 14, -4), at(p.wavyWasher(26, 15.4), 30, 18)] },
  { name: "slicer-wheel", mat: "MatWood", span: 120, tilt: 28, turn: -8, things: [at(wormWheel(), 0, 2, 100), at(p.grease(27, 10, 10, 12, WHITE, 2), -8, -12), at(p.crumbs(6, 12, 8, "NylonWhite"), 44, -18)] },
  { name: "slicer-worm", mat: "MatWood", span: 150, tilt: 34, turn: 10, things: [`object { ${lying(all(p.worm(15, 44, 4), `object { ${p.shaft([8, 30])} translate y*-28 }`, `object { ${p.shaft([8, 34])} translate y*44 }`), 7.5, 18)} translate <-20,0,2> }`] },
  { name: "slicer-bearing", mat: "MatOilcloth", span: 90, tilt: 30, turn: -14, things: [at(p.bearing(15, 32, 9), -12, 4), at(p.seal(15, 26, 6), 28, -8)] },
];

// ── rotary hammer
// ─────────────────────────────────────────────────────────────────────────────────────────────────────
const spindle = all(p.shaft([22, 18], [30, 30], [26, 46]), at(p.gearPart({ gear: gear(37, 1.25), face: 10, bore: 24, hub: 16, material: "Steel" }), 0, 0, 0, 52));
const armature = p.motor(40, 42, p.gearPart({ gear: gear(7, 1.25, 12, 0.4), face: 10, bore: 3, material: "Steel" }));
const hammer: Scene[] = [
  {
    name: "hammer-chuck",
    mat: "MatGrey",
    span: 130,
    tilt: 38,
    turn: -8,
    things: [at(`difference { union { cylinder { 0, y*30, 22 } cone { y*30, 22, y*46, 15 } } cylinder { -y, y*50, 10 } texture { AbsDark } }`, -26, 6), at(p.spring(30, 2, 26, 5), 30, -4), at(`sphere { y*3.5, 3.5 texture { Chrome } }`, 8, -30), at(p.circlip(22), 30, 34, 60)],
  },
  { name: "hammer-front-screws", mat: "MatOilcloth", span: 150, tilt: 28, turn: 8, things: [handful(4, 5, 45, 0.8, -40, -26, "torx")] },
  {
    name: "hammer-front",
    mat: "MatGrey",
    span: 230,
    tilt: 36,
    turn: 22,
    things: [at(`difference { union { cylinder { 0, y*60, 34 } cone { y*60, 32, y*86, 24 } ${corners(30, 30) .map(([x, z]) => `cylinder { <${x},0,${z}>, <${x},40,${z}>, 7 }`) .join(" ")} } cylinder { -y, y*90, 22 } texture { CastAlu } }`, 0, 0)],
  },
  { name: "hammer-spindle", mat: "MatWood", span: 160, tilt: 32, turn: -16, things: [`object { ${lying(spindle, 24, 20)} translate <-46,0,8> }`, at(p.grease(51, 14, 16, 3, DARK, 2.4), 10, -10)] },
  { name: "hammer-spring", mat: "MatOilcloth", span: 120, tilt: 32, turn: 8, things: [`object { ${lying(p.spring(34, 3, 60, 6.5), 18.5, 12)} translate <-30,0,4> }`] },
  {
    name: "hammer-striker",
    mat: "MatWood",
    span: 150,
    tilt: 34,
    turn: 12,
    things: [`object { ${lying(all(p.shaft([20, 34], [12, 6]), at(p.oring(20, 3), 0, 0, 0, 24)), 10, 10)} translate <-50,0,-14> }`, `object { ${lying(`difference { cylinder { 0, y*52, 13 } cylinder { y*4, y*60, 10.4 } cylinder { <-20,8,0>, <20,8,0>, 4 } texture { Steel } }`, 13, -14)} translate <-10,0,24> }`],
  },
  { name: "hammer-wobble", mat: "MatWood", span: 130, tilt: 32, turn: -6, things: [tipped(all(p.bearing(18, 40, 12, "Steel"), `cylinder { <20,6,0>, <48,6,0>, 5 texture { Ground } }`), 8, 20, 6, -8, 3, 4), at(p.grease(33, 10, 14, 10, DARK, 2.2), -4, 0)] },
  {
    name: "hammer-layshaft",
    mat: "MatWood",
    span: 130,
    tilt: 30,
    turn: 14,
    things: [
      `object { ${lying(all(p.shaft([10, 66]), at(p.gearPart({ gear: gear(43, 0.8, 12), face: 9, bore: 10, hub: 8, material: "Steel", broken: (i) => ([5, 6, 7].includes(i) ? 0.8 : 0) }), 0, 0, 0, 4), at(p.gearPart({ gear: gear(11, 1.25), face: 14, bore: 9, material: "Steel" }), 0, 0, 0, 44)), 18, 24)} translate <-30,0,4> }`,
      at(p.crumbs(15, 10, 12, "Chrome"), 10, -26),
    ],
  },
  {
    name: "hammer-brushes",
    mat: "MatOilcloth",
    span: 100,
    tilt: 30,
    turn: -12,
    things: [0, 1].map((i) =>
      at(all(p.roundBox(7, 6, 15, 0.6, "NylonBlack"), `object { ${lying(p.spring(5, 0.6, 16, 6), 3, 90)} translate <0,0,-8> }`, p.wire("<0.5,0.22,0.08>", [[0, 4, -7], [6, 5, -14], [2, 3, -22], [9, 3, -28]], 0.7)), -16 + i * 34, 6 - i * 10, 20 + i * 40),
    ),
  },
  { name: "hammer-brush-caps", mat: "MatOilcloth", span: 80, tilt: 28, turn: 8, things: [0, 1].map((i) => at(`difference { cylinder { 0, y*7, 8 } box { <-9,5,-1.1>, <9,9,1.1> } texture { AbsDark } }`, -14 + i * 28, 4 - i * 8, 30 * i)) },
  { name: "hammer-handle", mat: "MatGrey", span: 220, tilt: 34, turn: 26, things: [p.openCase(70, 26, 150, 3, "AbsDark", [...corners(28, 64)], 4), handful(5, 4.2, 22, 1.4, 56, -40, "torx", "BlackScrew")] },
  { name: "hammer-armature", mat: "MatWood", span: 160, tilt: 36, turn: -10, things: [`object { ${lying(armature, 20, 16)} translate <-52,0,0> }`] },
  { name: "hammer-bearings", mat: "MatOilcloth", span: 90, tilt: 32, turn: 6, things: [at(p.bearing(8, 22, 7, "Stainless"), -16, 4), at(p.bearing(7, 19, 6, "RubberBlack"), 16, -2)] },
  { name: "hammer-orings", mat: "MatOilcloth", span: 90, tilt: 28, turn: -10, things: [at(p.oring(26, 2.6), -18, 2), at(p.oring(20, 2.6), 16, -4), at(p.oring(12, 2), 20, 18)] },
];

// ── pasta extruder ────────────────────────────────────────────────────────
const extruder: Scene[] = [
  {
    name: "extruder-die",
    mat: "MatPaper",
    span: 240,
    tilt: 32,
    turn: -12,
    things: [
      at(`difference { cylinder { 0, y*14, 50 } ${ring(14, 34) .map(([x, z]) => `cylinder { <${x},-1,${z}>, <${x},20,${z}>, 4 }`) .join(" ")} ${ring(7, 17) .map(([x, z]) => `cylinder { <${x},-1,${z}>, <${x},20,${z}>, 4 }`) .join(" ")} texture { Brass } }`, -26, 0),
      `object { ${lying(p.auger(44, 80, "Stainless"), 22, 60)} translate <50,0,30> }`,
    ],
  },
  { name: "extruder-screws", mat: "MatOilcloth", span: 120, tilt: 30, turn: 6, things: [handful(4, 4, 20, 0.7, -40, -10, "hex"), handful(2, 4, 30, 0.7, 22, -14, "hex")] },
  { name: "extruder-cover", mat: "MatGrey", span: 240, tilt: 34, turn: 16, things: [p.openCase(160, 24, 180, 3, "AbsBlue", corners(70, 80), 4)] },
  {
    name: "extruder-gears",
    mat: "MatWood",
    span: 170,
    tilt: 26,
    turn: -8,
    things: [
      p.openCase(120, 30, 100, 5, "CastAlu", six(52, 42), 0),
      at(p.gearPart({ gear: gear(53, 1), face: 11, bore: 14, hub: 12, material: "PomTan", web: true }), 14, 8, 4, 8),
      at(p.shaft([14, 36]), 14, 8),
      at(p.gearPart({ gear: gear(12, 1, 0, 0.3), face: 14, bore: 5, material: "Steel" }), -19, 8, 10, 8),
      at(p.grease(71, 20, 38, 6, WHITE, 3.2), 6, 2),
    ],
  },
  {
    name: "extruder-wheel",
    mat: "MatWood",
    span: 110,
    tilt: 28,
    turn: 12,
    things: [at(p.gearPart({ gear: gear(53, 1), face: 11, bore: 14, hub: 12, material: "PomTan", web: true, broken: (i) => ([30, 31, 32].includes(i) ? 0.9 : 0) }), 0, 2, 6), at(p.grease(81, 8, 8, 11, WHITE, 2), 10, -8), at(p.crumbs(18, 6, 8, "PomTan"), 40, -20)],
  },
  { name: "extruder-bearing", mat: "MatOilcloth", span: 90, tilt: 30, turn: -8, things: [at(p.bearing(12, 28, 8), -12, 2), at(p.oring(30, 2.6), 24, 4)] },
];

export const scenes: Scene[] = [...units, ...juicer, ...hedge, ...slicer, ...hammer, ...extruder];
