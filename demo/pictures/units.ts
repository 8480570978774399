// biome-ignore-all format: scenes are set like tables, a thing a row
import * as p from "./parts";
import { all, type Pov } from "./parts";
import type { Scene } from "./scene";

/**
 * The whole units as they come in: stood on the bench before the wall, with what real housings have and bare
 * solids lack: parting lines, vents, screws,
 * feet, switches, cords with their plugs, a name in the moulding, scuffs. All names are made up.
 */

type Xyz = readonly [x: number, y: number, z: number];
const v = ([x, y, z]: Xyz): string => `<${x.toFixed(2)},${y.toFixed(2)},${z.toFixed(2)}>`;
const put = (thing: Pov, [x, y, z]: Xyz, [rx, ry, rz]: Xyz = [0, 0, 0]): Pov => `object { ${thing} rotate <${rx},${ry},${rz}> translate <${x},${y},${z}> }`;
const box = (a: Xyz, b: Xyz, texture: string): Pov => `box { ${v(a)}, ${v(b)} texture { ${texture} } }`;
const rod = (a: Xyz, b: Xyz, r: number, texture: string): Pov => `cylinder { ${v(a)}, ${v(b)}, ${r} texture { ${texture} } }`;
const plastic = (r: number, g: number, b: number): string => `Moulded(<${r},${g},${b}>)`;
const rubber = "RubberBlack";

/** A moulded body with its parting line: across the height (`y`), or along the middle (`x`). */
function moulded(w: number, h: number, l: number, r: number, texture: string, seams: readonly (readonly ["x" | "y" | "z", number])[] = []): Pov {
  const gaps = seams.map(([axis, where]) => {
    const cut = { x: `<${where - 0.6},-1,-900>, <${where + 0.6},900,900>`, y: `<-900,${where - 0.6},-900>, <900,${where + 0.6},900>`, z: `<-900,-1,${where - 0.6}>, <900,900,${where + 0.6}>` }[axis];
    return `intersection { object { ${p.roundBox(w + 0.7, h + 0.35, l + 0.7, r, "Seam")} } box { ${cut} } }`;
  });
  return all(p.roundBox(w, h, l, r, texture), ...gaps);
}

/** A pipe bent through points, round all along: handles, cords, hoops. */
function bent(points: readonly Xyz[], r: number, texture: string): Pov {
  const all = [points[0] as Xyz, ...points, points[points.length - 1] as Xyz];
  return `sphere_sweep { cubic_spline ${all.length}, ${all.map((q) => `${v(q)}, ${r}`).join(", ")} tolerance 0.08 texture { ${texture} } }`;
}

/**
 * A row of vent slots as they show: dark, rounded, a hair proud of the face they stand on. Drawn in the x–y
 * plane, facing −z.
 */
const vents = (count: number, pitch: number, length: number, width = 3): Pov =>
  all(
    ...Array.from({ length: count }, (_, i) => `union { box { <${i * pitch - width / 2},0,-0.3>, <${i * pitch + width / 2},${length},0.5> } cylinder { <${i * pitch},0,-0.3>, <${i * pitch},0,0.5>, ${width / 2} } cylinder { <${i * pitch},${length},-0.3>, <${i * pitch},${length},0.5>, ${width / 2} } texture { Seam } }`),
  );

/** A name raised out of the moulding, facing −z, its foot on the origin. */
const lettering = (words: string, height: number, texture: string): Pov => `text { internal 1 ${JSON.stringify(words)} 1, 0 scale <${(height * 0.95).toFixed(2)},${height},0.8> translate z*-0.4 texture { ${texture} } }`;

/** The rating plate: foil with printed lines. Facing −z, w × h. */
const plate = (w: number, h: number): Pov => all(box([0, 0, -0.3], [w, h, 0.3], "Foil"), ...Array.from({ length: 5 }, (_, i) => box([w * 0.07, h * (0.8 - i * 0.16), -0.4], [w * (0.35 + ((i * 37) % 50) / 100), h * (0.87 - i * 0.16), 0], "Ink")), box([w * 0.72, h * 0.12, -0.4], [w * 0.92, h * 0.42, 0], "Ink"));

/** A rocker switch in its bezel, facing −z. */
const rocker = (w: number, h: number, texture = "SwitchRed"): Pov => all(put(p.roundBox(w + 8, 5, h + 8, 2, "AbsDark"), [0, 0, 1], [-90, 0, 0]), put(p.roundBox(w, 7, h, 2, texture), [0, 0, 1], [-82, 0, 0]));

/** A turning knob with a fluted grip and its pointer, axis along −z. */
const knob = (r: number, depth: number, texture = "AbsDark"): Pov =>
  all(
    `difference { cylinder { 0, z*${-depth}, ${r} } ${Array.from({ length: 22 }, (_, i) => `cylinder { <${(r * 1.02).toFixed(2)},0,1>, <${(r * 1.02).toFixed(2)},0,${-depth - 1}>, ${(r * 0.07).toFixed(2)} rotate z*${(i * 360) / 22} }`).join(" ")} texture { ${texture} } }`,
    `cylinder { z*2, z*${-depth * 0.3}, ${r * 1.16} texture { ${texture} } }`,
    box([-r * 0.06, r * 0.3, -depth - 0.5], [r * 0.06, r * 0.95, -depth + 0.4], "PrintWhite"),
  );

/** Cord from a strain relief to its plug on the bench. */
function cord(points: readonly Xyz[], plugTurn: number, colour = "rgb 0.035"): Pov {
  const [x, , z] = points[points.length - 1] as Xyz;
  const jacket = `pigment { ${colour} } normal { granite 0.03 scale 3 } finish { diffuse 0.7 specular 0.35 roughness 0.05 }`;
  const head = all(`cone { 0, 5.5, z*-26, 13 texture { ${jacket} } }`, `cylinder { z*-26, z*-40, 17 texture { ${jacket} } }`, rod([-9, 0, -40], [-9, 0, -58], 2.3, "Brass"), rod([9, 0, -40], [9, 0, -58], 2.3, "Brass"));
  return all(bent(points, 3.7, jacket), put(head, [x, 14, z], [8, plugTurn, 0]));
}
const strain = (from: Xyz, to: Xyz): Pov => `cone { ${v(from)}, 9, ${v(to)}, 5 texture { ${rubber} } }`;
const feet = (places: readonly (readonly [number, number])[], r = 11, h = 7): Pov => all(...places.map(([x, z]) => rod([x, 0, z], [x, h, z], r, rubber)));
/** Screw heads facing −z at the places named. */
const heads = (places: readonly (readonly [number, number])[], d = 4, texture = "BlackScrew"): Pov => all(...places.map(([x, y], i) => put(p.screwHead(d, "torx", texture), [x, y, 0], [-90, 0, i * 41])));
const four = (x: number, y: number): [number, number][] => [[-x, -y], [x, -y], [x, y], [-x, y]]; // biome-ignore format: four corners
/** A slicing blade standing up, its ground edge bright, axis along x. */
const standingBlade = (r: number, serrations = 0): Pov =>
  put(
    all(
      `difference { union { cylinder { y*-1.2, y*1.2, ${r * 0.95} } cone { y*-0.4, ${r}, y*1.2, ${r * 0.94} } } ${Array.from({ length: serrations }, (_, i) => `cylinder { <${r * 1.012},-3,0>, <${r * 1.012},3,0>, ${(r * 0.032).toFixed(2)} rotate y*${(i * 360) / Math.max(1, serrations)} }`).join(" ")} texture { Blade } }`,
      `cylinder { y*1.2, y*1.8, ${r * 0.86} texture { Brushed } }`,
      `cylinder { y*1.8, y*7, ${r * 0.42} texture { CastAlu } }`,
      ...[20, 140, 260].map((a) => `object { ${p.screwHead(5, "hex", "Zinc")} translate <${r * 0.3},7,0> rotate y*${a} }`),
    ),
    [0, 0, 0],
    [0, 0, 90],
  );

// ── the units
// ─────────────────────────────────────────────────────────────────────────────────────────────────────────
const cream = plastic(0.74, 0.69, 0.57);
const juicer = all(
  put(moulded(150, 158, 216, 30, cream, [["y", 44], ["z", -80]]), [0, 7, 90]),
  feet([[-52, 10], [52, 10], [-52, 168], [52, 168]]),
  put(lettering("VELBRANT", 17, "InkSoft"), [-75.3, 118, 160], [0, 90, 0]),
  put(lettering("pressa 40", 11, "InkSoft"), [-75.3, 100, 160], [0, 90, 0]),
  put(vents(11, 8, 26), [-75.2, 58, 166], [0, 90, 0]),
  put(rocker(26, 17), [-75, 84, 44], [0, 90, 0]),
  put(heads([[0, 0], [86, 0]], 4.5), [-75.2, 30, 142], [0, 90, 0]),
  `cylinder { <0,94,-14>, <0,94,-40>, 50 texture { AbsDark } }`,
  ...Array.from({ length: 5 }, (_, i) => `box { <-5,${48},-44>, <5,57,-22> translate <0,-94,0> rotate z*${i * 72 + 20} translate <0,94,0> texture { AbsDark } }`),
  `difference { cylinder { <0,94,-40>, <0,94,-150>, 47 } cylinder { <0,94,-39>, <0,94,-151>, 44 } texture { ClearPlastic } }`,
  `torus { 46, 3.4 rotate x*90 translate <0,94,-62> texture { ClearPlastic } }`,
  `torus { 46, 3.4 rotate x*90 translate <0,94,-140> texture { ClearPlastic } }`,
  `object { ${p.auger(76, 104, "AbsOchre")} rotate x*-90 translate <0,94,-42> }`,
  `difference { cylinder { <0,94,-150>, <0,94,-178>, 51 } ${Array.from({ length: 24 }, (_, i) => `cylinder { <52,0,-148>, <52,0,-180>, 3.2 rotate z*${i * 15} translate y*94 }`).join(" ")} texture { AbsDark } }`,
  `cone { <0,94,-178>, 20, <0,94,-204>, 13 texture { AbsDark } }`,
  `cylinder { <0,94,-203.5>, <0,94,-204.5>, 8 texture { Seam } }`,
  `difference { cylinder { <0,48,-96>, <0,30,-110>, 14 } cylinder { <0,50,-96>, <0,28,-111>, 11 } texture { AbsDark } }`,
  `difference { cylinder { <0,132,-98>, <0,206,-98>, 25 } cylinder { <0,120,-98>, <0,207,-98>, 22 } texture { ClearPlastic } }`,
  `difference { cone { <0,206,-98>, 27, <0,228,-98>, 66 } cone { <0,208,-98>, 24, <0,230,-98>, 64 } texture { AbsDark } }`,
  `cylinder { <10,150,-98>, <16,252,-94>, 17 texture { AbsDark } }`,
  `difference { cone { <0,0,-112>, 37, <0,22,-112>, 40 } cone { <0,3,-112>, 34, <0,23,-112>, 37 } texture { ClearPlastic } }`,
  `cylinder { <0,3,-112>, <0,9,-112>, 34 texture { Juice } }`,
  strain([60, 30, 198], [60, 24, 216]),
  cord([[60, 26, 206], [74, 8, 252], [140, 5, 210], [176, 5, 120], [150, 5, 40], [190, 5, -20], [214, 10, -52]], 196),
);

const green = plastic(0.055, 0.2, 0.125);
const bar = (len: number, teeth: number, texture: string): Pov => {
  const pitch = len / teeth;
  const side = (s: number): [number, number][] =>
    Array.from({ length: teeth }, (_, i) => (s > 0 ? i : teeth - 1 - i)).flatMap((i) => {
      const x = i * pitch;
      const tooth: [number, number][] = [[x + pitch * 0.18, 13 * s], [x + pitch * 0.3, 30 * s], [x + pitch * 0.5, 32 * s], [x + pitch * 0.62, 13 * s]];
      return s > 0 ? tooth : tooth.reverse();
    });
  return p.sheet([[-30, -12], ...([[-30, 12]] as [number, number][]), ...side(1), [len, 12], [len + 14, 5], [len + 14, -5], [len, -12], ...side(-1)], 2.4, texture);
};
const shears = all(
  put(moulded(86, 78, 196, 30, green, [["x", 0]]), [0, 6, 40]),
  put(moulded(74, 52, 120, 20, "AbsDark"), [0, 4, -90]),
  bent([[0, 66, 96], [0, 100, 122], [0, 104, 190], [0, 70, 232], [0, 34, 226], [0, 24, 130]], 17, green),
  bent([[0, 112, 140], [0, 113, 184]], 12, rubber),
  put(p.roundBox(12, 26, 34, 5, "SwitchRed"), [0, 74, 150]),
  put(moulded(78, 62, 96, 14, "AbsDark", [["y", 40]]), [0, 22, 262]),
  put(p.roundBox(50, 4, 60, 2, green), [0, 82, 262]),
  put(lettering("HALDRICK", 14, "PrintWhite"), [-43.4, 50, 106], [0, 90, 0]),
  put(lettering("HS-58", 10, "PrintWhite"), [-43.4, 36, 106], [0, 90, 0]),
  put(vents(7, 8, 18), [-42.8, 26, 32], [0, 90, 0]),
  put(heads([[0, 0], [46, 34], [96, 4], [150, 30]], 4.2), [-42.6, 24, 118], [0, 90, 0]),
  bent([[-50, 40, -60], [-74, 92, -76], [-52, 150, -84], [0, 166, -86], [52, 150, -84], [74, 92, -76], [50, 40, -60]], 11, "AbsDark"),
  `difference { cylinder { <0,40,-118>, <0,40,-122>, 76 } box { <-90,-60,-130>, <90,8,-100> } texture { ClearPlastic } }`,
  put(bar(372, 11, "Blade"), [0, 19, -150], [0, 90, 0]),
  put(bar(372, 11, "Blade"), [0, 22.4, -138], [0, 90, 0]),
  put(p.roundBox(14, 5, 340, 2, "Zinc"), [0, 24.5, -300]),
  ...[0, 1, 2, 3, 4].map((i) => put(p.screwHead(6, "hex", "Zinc"), [0, 29, -160 - i * 70])),
);

const slicer = all(
  put(moulded(360, 52, 250, 20, "CastSmooth", [["y", 16]]), [0, 12, 0]),
  feet([[-150, -95], [150, -95], [-150, 95], [150, 95]], 17, 13),
  put(moulded(104, 132, 120, 36, "CastSmooth", [["x", -20]]), [60, 56, 56]),
  put(standingBlade(112), [-16, 166, 10]),
  // the guard ring round the blade, open where it cuts
  `difference { torus { 117, 5.5 rotate z*90 } box { <-20,-140,-160>, <20,60,-20> } texture { CastSmooth } translate <-14,166,10> }`,
  `object { cylinder { 0, x*-12, 66 } texture { Brushed } translate <-24,166,10> }`,
  put(knob(15, 26), [-36, 166, 10], [0, 90, 0]),
  put(all(p.roundBox(196, 5, 250, 2, "Brushed"), put(p.roundBox(190, 74, 8, 3, "Brushed"), [0, 4, 118])), [-128, 78, -26], [0, 0, -6]),
  rod([-184, 64, -128], [-184, 64, 100], 9, "Chrome"),
  put(moulded(58, 66, 30, 12, "AbsDark"), [-166, 92, -112]),
  rod([-196, 102, -60], [-196, 176, -60], 5, "Chrome"),
  `sphere { <-196,184,-60>, 17 texture { AbsDark } }`,
  put(box([0, 0, 0], [6, 116, 150], "Brushed"), [-2, 70, -172]),
  put(knob(25, 24), [96, 40, -125]),
  ...Array.from({ length: 11 }, (_, i) => put(box([-0.7, 32, -0.3], [0.7, i % 5 ? 37 : 40, 0.4], "Ink"), [96, 40, -125], [0, 0, -100 + i * 20])),
  put(rocker(16, 26, "SwitchGreen"), [150, 40, -125]),
  put(lettering("BRISSWELL", 17, "Ink"), [-84, 38, -125.4]),
  put(lettering("Kora 220", 12, "Ink"), [-150, 40, -125.4]),
  put(plate(52, 30), [112.2, 84, 86], [0, -90, 0]),
  cord([[100, 26, 124], [150, 8, 150], [232, 5, 120], [262, 5, 20], [228, 5, -60], [250, 10, -116]], 200),
);

const rust = plastic(0.33, 0.07, 0.035);
const hammer = all(
  put(moulded(84, 92, 170, 34, rust, [["x", 0]]), [0, 8, 40]),
  put(moulded(76, 84, 92, 30, "CastSmooth", [["z", 30]]), [0, 12, -82]),
  ...Array.from({ length: 5 }, (_, i) => put(p.roundBox(79, 4, 60, 2, "CastSmooth"), [0, 22 + i * 15, -84])),
  `cone { <0,54,-120>, 34, <0,54,-152>, 27 texture { CastSmooth } }`,
  `difference { cylinder { <0,54,-150>, <0,54,-206>, 26 } ${Array.from({ length: 18 }, (_, i) => `cylinder { <27,0,-164>, <27,0,-196>, 2 rotate z*${i * 20} translate y*54 }`).join(" ")} texture { AbsDark } }`,
  `cone { <0,54,-204>, 24, <0,54,-232>, 13 texture { ${rubber} } }`,
  `difference { union { ${rod([0, 54, -228], [0, 54, -345], 7, "DrillSteel")} ${rod([0, 54, -345], [0, 54, -356], 8.4, "Chrome")} } ${Array.from({ length: 30 }, (_, i) => `box { <-2,5.4,-2.2>, <12,12,2.2> rotate x*24 translate z*${-232 - i * 3.9} rotate z*${i * 42} translate y*54 }`).join(" ")} texture { DrillSteel } }`,
  // the handle: a loop, its grip rubbered, trigger inside
  bent([[0, 84, 104], [0, 112, 142], [0, 108, 196], [0, 66, 214], [0, 10, 206], [0, 2, 150], [0, 24, 108]], 19, rust),
  bent([[0, 98, 204], [0, 64, 217], [0, 26, 212]], 18.5, rubber),
  put(p.roundBox(16, 40, 20, 6, "AbsDark"), [0, 48, 186]),
  // side handle and depth stop
  `torus { 33, 6 rotate x*90 translate <0,54,-136> texture { AbsDark } }`,
  bent([[-30, 40, -136], [-62, 20, -136], [-122, 16, -136]], 15, rubber),
  rod([34, 84, -60], [34, 84, -250], 3.4, "Chrome"),
  put(lettering("TARNHOLT", 15, "PrintWhite"), [-42.4, 58, 90], [0, 90, 0]),
  put(lettering("RH-22", 11, "PrintWhite"), [-42.4, 42, 90], [0, 90, 0]),
  put(vents(6, 9, 30, 4), [-42.2, 20, 32], [0, 90, 0]),
  put(heads([[0, 0], [120, 60], [126, 4]], 4.4), [-42.2, 26, 112], [0, 90, 0]),
  put(heads(four(26, 28), 5, "Zinc"), [0, 54, -129]),
  put(knob(14, 9), [-38, 66, -66], [0, 90, 0]),
  strain([0, 2, 188], [10, 8, 216]),
  cord([[4, 6, 206], [30, 5, 250], [110, 5, 230], [150, 5, 130], [120, 5, 40], [170, 5, -40], [190, 10, -86]], 196),
);

const blue = plastic(0.06, 0.12, 0.24);
const extruder = all(
  put(moulded(176, 210, 220, 34, blue, [["z", 60], ["y", 40]]), [0, 12, 30]),
  feet([[-62, -54], [62, -54], [-62, 112], [62, 112]], 15, 13),
  `cylinder { <0,92,-76>, <0,92,-92>, 60 texture { CastSmooth } }`,
  put(heads(four(42, 42), 5, "Zinc"), [0, 92, -92]),
  `cylinder { <0,92,-92>, <0,92,-150>, 44 texture { Brass } }`,
  `difference { cylinder { <0,92,-148>, <0,92,-178>, 54 } ${Array.from({ length: 28 }, (_, i) => `cylinder { <54.6,0,-146>, <54.6,0,-180>, 2.6 rotate z*${(i * 360) / 28} translate y*92 }`).join(" ")} cylinder { <0,92,-170>, <0,92,-180>, 38 } texture { Brass } }`,
  `difference { cylinder { <0,92,-160>, <0,92,-172>, 39 } ${Array.from({ length: 16 }, (_, i) => `cylinder { <27,0,-150>, <27,0,-180>, 3.4 rotate z*${i * 22.5} translate y*92 }`).join(" ")} ${Array.from({ length: 7 }, (_, i) => `cylinder { <14,0,-150>, <14,0,-180>, 3.4 rotate z*${i * 51.4} translate y*92 }`).join(" ")} texture { Bronze } }`,
  ...Array.from({ length: 7 }, (_, i) =>
    bent([[27 * Math.cos(i * 1.1 + 3.4), 92 + 27 * Math.sin(i * 1.1 + 3.4), -171], [26 * Math.cos(i * 1.1 + 3.4), 88 + 27 * Math.sin(i * 1.1 + 3.4), -184], [25 * Math.cos(i * 1.1 + 3.4), 70 + 24 * Math.sin(i * 1.1 + 3.4) - (i % 3) * 9, -190]], 3.1, "Dough"),
  ),
  ...[-1, 1].flatMap((side) => [box([side * 74 - 1.5, 218, -40], [side * 74 + 1.5, 292, 108], "ClearPlastic"), box([-72, 218, 34 + side * 74 - 1.5], [72, 292, 34 + side * 74 + 1.5], "ClearPlastic")]),
  box([-79, 292, -45], [79, 297, 113], "ClearPlastic"),
  put(moulded(20, 12, 84, 5, "AbsDark"), [0, 297, 34]),
  `cylinder { <-60,250,34>, <60,250,34>, 8 texture { Brushed } }`,
  ...[-36, -12, 12, 36].map((x, i) => rod([x, 250, 34], [x, 250 + 26 * Math.cos(i * 1.6), 34 + 26 * Math.sin(i * 1.6)], 4, "Brushed")),
  put(knob(19, 18), [-88, 150, 84], [0, 90, 0]),
  put(rocker(18, 28), [-88, 150, 20], [0, 90, 0]),
  put(lettering("MORVANE", 19, "PrintWhite"), [-88.4, 96, 100], [0, 90, 0]),
  put(lettering("Trafila 3", 14, "PrintWhite"), [-88.4, 76, 100], [0, 90, 0]),
  put(vents(12, 9, 18, 4), [-88.2, 30, 100], [0, 90, 0]),
  cord([[50, 40, 140], [90, 8, 190], [190, 5, 150], [230, 5, 40], [200, 5, -40], [236, 10, -96]], 200, "rgb 0.5"),
);

const shredder = all(
  `difference { object { ${p.roundBox(318, 272, 206, 22, "AbsDark")} } object { ${p.roundBox(150, 120, 20, 9, "Seam")} translate <0,76,-103> } }`,
  put(p.roundBox(148, 118, 8, 4, "SmokedPlastic"), [0, 77, -99]),
  ...Array.from({ length: 22 }, (_, i) => put(`box { <-1.8,0,-0.3>, <1.8,${46 + ((i * 29) % 40)},0.3> texture { Paper } }`, [-60 + i * 5.6, 80, -96 + (i % 3)], [0, (i * 53) % 50, ((i * 37) % 44) - 22])),
  put(moulded(346, 84, 226, 26, plastic(0.2, 0.215, 0.225), [["y", 26]]), [0, 264, 0]),
  put(p.roundBox(262, 3, 34, 2, "Seam"), [0, 346.4, -20]),
  box([-122, 346, -23], [122, 350, -17], "Seam"),
  put(box([-105, 0, -0.3], [105, 150, 0.3], "Paper"), [4, 342, -20], [-13, 0, 2]),
  put(all(...Array.from({ length: 9 }, (_, i) => box([-70, 40 + i * 9, -0.6], [-10 + ((i * 41) % 70), 42.4 + i * 9, 0], "Ink"))), [4, 342, -20], [-13, 0, 2]),
  put(rocker(16, 30, "SwitchGreen"), [132, 306, -113]),
  put(all(...[0, 1, 2].map((i) => `sphere { <${i * 14},0,0>, 3 texture { ${i === 1 ? "SwitchRed" : "SwitchGreen"} } }`)), [70, 306, -112.5]),
  put(lettering("PELLGROVE", 20, "PrintWhite"), [-146, 306, -113.4]),
  put(lettering("S-12", 13, "PrintWhite"), [-146, 288, -113.4]),
  put(vents(10, 7, 26), [-173.2, 294, 60], [0, 90, 0]),
  put(plate(60, 36), [-159.3, 190, 60], [0, 90, 0]),
  put(p.roundBox(60, 16, 10, 4, "AbsDark"), [0, 236, -104]),
  feet(four(130, 80), 15, 4),
  cord([[120, 280, 113], [150, 120, 160], [200, 8, 150], [250, 5, 60], [236, 5, -30], [270, 10, -90]], 200),
);

const churn = all(
  // staves under two hoops
  ...Array.from({ length: 22 }, (_, i) => `intersection { difference { cone { y*4, 100, y*168, 116 } cone { y*10, 88, y*170, 104 } } box { <80,0,-15.4>, <130,200,15.4> } texture { Stave scale 1 translate <${i * 37},${i * 61},${i * 13}> } rotate y*${(i * 360) / 22} }`),
  ...[34, 132].map((y) => `difference { cone { y*${y - 9}, ${101 + y * 0.098}, y*${y + 9}, ${102.8 + y * 0.098} } cone { y*${y - 10}, ${99 + y * 0.098}, y*${y + 10}, ${101 + y * 0.098} } texture { Stainless } }`),
  `cylinder { y*8, y*150, 70 texture { Stainless } }`,
  ...Array.from({ length: 60 }, (_, i) => `superellipsoid { <0.4,0.4> scale ${7 + (i % 4)} rotate <${i * 47},${i * 31},${i * 67}> translate <87,${150 + ((i * 17) % 12)},0> rotate y*${i * 17.3} texture { Ice } }`),
  `difference { cylinder { y*150, y*164, 74 } cylinder { y*149, y*165, 18 } texture { ClearPlastic } }`,
  put(moulded(252, 62, 96, 26, cream, [["y", 24]]), [0, 162, 0]),
  put(p.roundBox(24, 70, 60, 8, "Brushed"), [-122, 118, 0]),
  put(p.roundBox(24, 70, 60, 8, "Brushed"), [122, 118, 0]),
  put(rocker(24, 15, "SwitchRed"), [70, 196, -48]),
  put(lettering("LINDQVARN", 16, "InkSoft"), [-96, 196, -48.4]),
  put(lettering("C-2", 11, "InkSoft"), [-96, 180, -48.4]),
  put(vents(10, 7, 40), [-32, 224, -20], [90, 0, 0]),
  put(heads([[-110, 204], [110, 204]], 4.5), [0, -20, -48.2]),
  bent([[-132, 120, 0], [-150, 90, -30], [-120, 60, -92], [0, 44, -118], [120, 60, -92], [150, 90, -30], [132, 120, 0]], 4, "Zinc"),
  `cylinder { <-34,46,-116>, <34,46,-116>, 11 texture { Stave rotate z*90 } }`,
  cord([[100, 190, 46], [150, 120, 80], [190, 8, 70], [216, 5, -10], [190, 5, -80], [216, 10, -120]], 200, "rgb 0.55"),
);

const blind = all(
  rod([-190, 25, 0], [132, 25, 0], 22.5, "Brushed"),
  ...[-190, -60, 60].map((x) => `torus { 22.6, 0.5 rotate z*90 translate <${x},25,0> texture { Seam } }`),
  `difference { cylinder { <-190,25,0>, <-214,25,0>, 24 } box { <-220,44,-5>, <-180,60,5> } ${[60, 180, 300].map((a) => `box { <-220,20,-4>, <-180,40,4> rotate x*${a} translate y*25 }`).join(" ")} texture { AbsDark } }`,
  rod([-210, 25, 0], [-232, 25, 0], 9, "Chrome"),
  box([-236, 18, -7], [-220, 32, 7], "Zinc"),
  `difference { cylinder { <132,25,0>, <150,25,0>, 27.5 } ${Array.from({ length: 8 }, (_, i) => `box { <130,22,-3>, <152,34,3> rotate x*${i * 45} translate y*25 }`).join(" ")} texture { AbsDark } }`,
  rod([150, 25, 0], [168, 25, 0], 19, plastic(0.6, 0.6, 0.57)),
  put(box([0, -16, -16], [8, 16, 16], "Zinc"), [168, 25, 0]),
  put(`cylinder { 0, x*7, 3.6 texture { SwitchRed } }`, [174, 33, -7]),
  put(`cylinder { 0, x*7, 3.6 texture { PrintWhite } }`, [174, 17, -7]),
  `intersection { difference { cylinder { <-20,25,0>, <94,25,0>, 22.75 } cylinder { <-30,25,0>, <100,25,0>, 22.4 } } box { <-40,16,-40>, <120,50,0> } texture { Foil } }`,
  put(lettering("QUENTAR", 9, "Ink"), [-8, 37, -19.4], [38, 0, 0]),
  put(lettering("Tube 45   230 V~   15 Nm", 5, "Ink"), [-8, 28, -22.9], [8, 0, 0]),
  put(lettering("serial 45-0031-72", 5, "Ink"), [-8, 20, -22.7], [-10, 0, 0]),
  bent([[160, 30, 12], [196, 26, 20], [214, 6, 70], [150, 4, 118], [20, 4, 96], [-80, 4, 120], [-190, 4, 84]], 3.4, `pigment { rgb 0.78 } finish { diffuse 0.75 specular 0.2 roughness 0.1 }`),
  ...[["<0.30,0.14,0.05>", 10], ["<0.04,0.10,0.35>", 0], ["<0.25,0.45,0.06>", -10], ["<0.03,0.03,0.03>", 20]].map(([c, turn], i) =>
    put(bent([[0, 0, 0], [-14, 1, 0], [-38, -1, Number(turn) * 1.2]], 1.2, `pigment { rgb ${c} } finish { diffuse 0.7 specular 0.3 }`), [-130, 4.5, -82 + (i - 1.5) * 2]),
  ),
);

const ochre = plastic(0.52, 0.27, 0.04);
const stadium = (r: number, len: number): string => `union { cylinder { <-44,0,${-len}>, <44,0,${-len}>, ${r} } cylinder { <-44,0,${len}>, <44,0,${len}>, ${r} } box { <-44,${-r},${-len}>, <44,${r},${len}> } }`;
const sander = all(
  `object { ${stadium(24, 112)} texture { Grit } translate y*24 }`,
  `object { box { <-44.3,10,-112>, <-43.9,38,112> } texture { Seam } }`,
  rod([-46, 24, -112], [-44, 24, -112], 17, "Zinc"),
  rod([-46, 24, 112], [-44, 24, 112], 17, "Zinc"),
  ...[-112, 112].map((z) => put(p.screwHead(5, "hex", "Zinc"), [-46, 24, z], [0, 0, 90])),
  put(moulded(94, 84, 226, 26, ochre, [["y", 30]]), [4, 36, 6]),
  put(moulded(20, 58, 150, 9, "AbsDark"), [-48, 30, 6]),
  put(heads([[0, 0], [118, 0], [58, 36]], 4.2), [-58.2, 44, 64], [0, 90, 0]),
  put(vents(8, 8, 22, 3.5), [-58.2, 52, 36], [0, 90, 0]),
  put(moulded(84, 60, 100, 26, "CastSmooth", [["x", 10]]), [6, 104, 28]),
  put(vents(7, 8, 30, 3.5), [-36.2, 116, 54], [0, 90, 0]),
  bent([[4, 112, 60], [4, 152, 90], [4, 158, 150], [4, 118, 188], [4, 70, 130]], 17, ochre),
  bent([[4, 158, 110], [4, 160, 148]], 17.4, rubber),
  put(p.roundBox(14, 22, 30, 6, "AbsDark"), [4, 128, 132]),
  `cylinder { <4,110,-84>, <4,132,-90>, 13 texture { AbsDark } }`,
  `sphere { <0,0,0>, 27 scale <1,0.86,1> translate <4,152,-94> texture { AbsDark } }`,
  // the dust bag on its spout
  `cylinder { <52,92,-30>, <84,98,-38>, 19 texture { AbsDark } }`,
  `blob { threshold 0.4 sphere { <120,76,-30>, 64, 1 } sphere { <150,56,10>, 66, 1 } sphere { <140,66,-60>, 58, 0.9 } sphere { <170,44,-30>, 60, 1 } texture { DustBag } }`,
  put(lettering("CORVANE", 13, "PrintWhite"), [-43.4, 100, 92], [0, 90, 0]),
  put(lettering("BX-76", 10, "PrintWhite"), [-43.4, 100, -20], [0, 90, 0]),
  put(knob(13, 12), [-44, 86, -84], [0, 90, 0]),
  strain([4, 108, 192], [4, 84, 214]),
  cord([[4, 94, 204], [10, 40, 246], [60, 6, 262], [150, 5, 220], [190, 5, 130], [170, 5, 60], [206, 10, 10]], 200),
);

const breadcutter = all(
  put(moulded(220, 34, 330, 12, cream, [["y", 12]]), [0, 10, 0]),
  feet(four(92, 140), 14, 11),
  put(moulded(78, 172, 168, 34, cream, [["x", 4]]), [56, 40, 52]),
  put(standingBlade(94, 48), [4, 136, 16]),
  `object { cylinder { 0, x*-9, 52 } texture { Brushed } translate <-3,136,16> }`,
  put(knob(11, 16), [-12, 136, 16], [0, 90, 0]),
  put(all(p.roundBox(104, 5, 236, 2, "Brushed"), put(p.roundBox(100, 58, 6, 2, "Brushed"), [0, 4, 112])), [-62, 58, -10]),
  rod([-108, 52, -150], [-108, 52, 140], 7, "Chrome"),
  put(moulded(54, 52, 32, 12, "AbsDark"), [-66, 64, -92]),
  put(box([0, 0, 0], [5, 108, 128], "Brushed"), [2, 50, -158]),
  put(knob(22, 22), [66, 86, -32]),
  put(rocker(15, 24, "SwitchRed"), [70, 128, -32]),
  put(lettering("VELBRANT", 14, "InkSoft"), [-96, 20, -165.3]),
  put(lettering("Laib 2", 11, "InkSoft"), [20, 20, -165.3]),
  ...Array.from({ length: 60 }, (_, i) => `superellipsoid { <0.6,0.6> scale <${1 + (i % 3)},${0.7 + (i % 2) * 0.5},${1 + ((i * 7) % 3)}> rotate y*${i * 37} translate <${-100 + ((i * 71) % 104)},64,${-120 + ((i * 53) % 200)}> texture { Crumb } }`),
  put(vents(9, 8, 30), [95.2, 90, 10], [0, -90, 0]),
  cord([[80, 30, 140], [130, 8, 170], [196, 5, 120], [206, 5, 20], [180, 5, -60], [206, 10, -110]], 200),
);

const unit = (name: string, thing: Pov, span: number, turn: number, lift: number, mat: Scene["mat"], aim: Xyz = [0, 0, 0]): Scene => ({ name, mat, span, tilt: 66, turn, lift, wall: true, things: [put(thing, aim)] });

export const units: Scene[] = [
  unit("juicer-unit", juicer, 560, -42, 104, "MatWood", [0, 0, -10]),
  unit("shears-unit", shears, 780, -52, 52, "MatGrey", [-30, 0, -20]),
  unit("slicer-unit", slicer, 640, 34, 120, "MatWood"),
  unit("hammer-unit", hammer, 620, -48, 58, "MatGrey", [0, 0, 40]),
  unit("extruder-unit", extruder, 620, -36, 140, "MatWood"),
  unit("shredder-unit", shredder, 880, -26, 210, "MatGrey"),
  unit("churn-unit", churn, 480, 18, 110, "MatWood"),
  unit("blind-unit", blind, 470, -14, 30, "MatGrey", [10, 0, 10]),
  unit("sander-unit", sander, 520, -40, 82, "MatWood"),
  unit("breadcutter-unit", breadcutter, 520, 32, 98, "MatWood"),
];
