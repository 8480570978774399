import { type BoreForm, boreOutline } from "../../src/core/gear/bore-form";
import type { Gear } from "../../src/core/gear/index";
import { gearBody, revolved, thread, wavyRing } from "./mesh";

/** POV-Ray text for one thing. Parts stand on y = 0 around the origin, millimetres. */
export type Pov = string;

export const at = (thing: Pov, x: number, z: number, turn = 0, y = 0): Pov =>
  `object { ${thing} rotate y*${turn} translate <${x},${y},${z}> }`;
/** Lying on its side: the part's axis becomes horizontal, `radius` keeps it on the bench. */
export const lying = (thing: Pov, radius: number, turn = 0): Pov =>
  `object { ${thing} rotate z*-90 rotate y*${turn} translate y*${radius} }`;
export const tipped = (
  thing: Pov,
  rx: number,
  ry: number,
  rz: number,
  x: number,
  y: number,
  z: number,
): Pov => `object { ${thing} rotate <${rx},${ry},${rz}> translate <${x},${y},${z}> }`;
export const all = (...things: Pov[]): Pov => `union { ${things.join("\n")} }`;
const skin = (thing: Pov, texture: string): Pov => `object { ${thing} texture { ${texture} } }`;
const minus = (thing: Pov, ...cut: Pov[]): Pov => `difference { object { ${thing} } ${cut.join(" ")} }`;
const cyl = (r: number, y0: number, y1: number, x = 0, z = 0): Pov =>
  `cylinder { <${x},${y0},${z}>, <${x},${y1},${z}>, ${r} }`;

/** A hole of any outline, straight through. */
const through = (outline: readonly (readonly [number, number])[], top: number): Pov =>
  `prism { linear_spline -5, ${top}, ${outline.length + 1}, ${[...outline, outline[0] as readonly [number, number]].map(([x, y]) => `<${x.toFixed(4)},${y.toFixed(4)}>`).join(",")} }`;

export interface GearLook {
  gear: Gear;
  face: number;
  bore: number;
  material: string;
  hub?: number;
  web?: boolean;
  holes?: number;
  keyway?: boolean;
  /** form of the bore; left out: round, with a keyway where that is said */
  boreForm?: BoreForm;
  broken?: (i: number) => number;
  worn?: (i: number) => number;
  crown?: number;
  crossHole?: boolean;
}

export function gearPart(o: GearLook): Pov {
  const root = (o.gear.teeth * o.gear.moduleMm) / 2 - 1.25 * o.gear.moduleMm;
  const hub = o.hub ?? o.bore * 0.95;
  const rim = root - Math.max(1.4 * o.gear.moduleMm, 1.6);
  const cuts = [
    o.boreForm ? through(boreOutline(o.bore, o.boreForm), o.face + 20) : cyl(o.bore / 2, -5, o.face + 20),
  ];
  if (o.web && rim > hub + 2) cuts.push(minus(cyl(rim, o.face * 0.55, o.face + 1), cyl(hub, 0, o.face + 2)));
  for (let i = 0; i < (o.holes ?? 0); i++) {
    const a = (2 * Math.PI * i) / (o.holes as number) + 0.3;
    const r = (rim + hub) / 2;
    cuts.push(cyl((rim - hub) * 0.33, -1, o.face + 1, r * Math.cos(a), r * Math.sin(a)));
  }
  if (o.keyway)
    cuts.push(`box { <${-o.bore * 0.16},-1,0>, <${o.bore * 0.16},${o.face + 20},${o.bore * 0.66}> }`);
  if (o.crossHole)
    cuts.push(`box { <${-hub - 1},${o.face + 0.6},${-1.6}>, <${hub + 1},${o.face + 9},${1.6}> }`);
  const body = `union { object { ${gearBody(o.gear, o.face, o.broken, o.crown, o.worn)} } cylinder { 0, y*${o.face + (o.hub ? 3.5 : 0.8)}, ${hub} } }`;
  return skin(minus(body, ...cuts), o.material);
}

export type Drive = "torx" | "cross" | "hex" | "slot";

function recess(kind: Drive, r: number, top: number): Pov {
  const d = r * 0.55;
  if (kind === "slot")
    return `box { <${-r * 1.2},${top - r * 0.35},${-r * 0.13}>, <${r * 1.2},${top + 2},${r * 0.13}> }`;
  if (kind === "cross") {
    return [0, 90]
      .map(
        (a) => `box { <${-d},${top - r * 0.5},${-r * 0.13}>, <${d},${top + 2},${r * 0.13}> rotate y*${a} }`,
      )
      .join(" ");
  }
  if (kind === "hex") return `prism { ${top - r * 0.6}, ${top + 2}, 7, ${hexagon(d)} }`;
  return `union { ${[0, 60, 120].map((a) => `box { <${-d},${top - r * 0.5},${-d * 0.3}>, <${d},${top + 2},${d * 0.3}> rotate y*${a} }`).join(" ")} cylinder { y*${top - r * 0.5}, y*${top + 2}, ${d * 0.74} } }`;
}
const hexagon = (r: number): string =>
  Array.from(
    { length: 7 },
    (_, i) =>
      `<${(r * Math.cos((i * Math.PI) / 3)).toFixed(3)},${(r * Math.sin((i * Math.PI) / 3)).toFixed(3)}>`,
  ).join(",");

/** A screw standing on its tip at y = 0, head up. */
export function screw(
  d: number,
  length: number,
  pitch: number,
  drive: Drive = "torx",
  material = "Zinc",
  head: "pan" | "socket" | "flat" = "pan",
): Pov {
  const r = d * (head === "socket" ? 0.75 : 0.98);
  const h = head === "socket" ? d * 0.95 : d * 0.62;
  const cap =
    head === "pan"
      ? `intersection { cylinder { y*${length}, y*${length + h}, ${r} } sphere { y*${length + h - r * 1.5}, ${r * 1.5} } }`
      : head === "flat"
        ? `cone { y*${length}, ${d * 0.5}, y*${length + h}, ${r} }`
        : `cylinder { y*${length}, y*${length + h}, ${r} }`;
  return skin(
    `union { ${minus(cap, recess(drive, r, length + h))} object { ${thread(length, d, pitch)} rotate x*180 translate y*${length} } }`,
    material,
  );
}
/** The same screw driven home: only its head shows, at y = 0. */
export function screwHead(d: number, drive: Drive = "torx", material = "Zinc"): Pov {
  const r = d * 0.98;
  const h = d * 0.62;
  return skin(
    minus(
      `intersection { cylinder { 0, y*${h}, ${r} } sphere { y*${h - r * 1.5}, ${r * 1.5} } }`,
      recess(drive, r, h),
    ),
    material,
  );
}
export const screwLying = (
  d: number,
  length: number,
  pitch: number,
  turn: number,
  drive: Drive = "torx",
  material = "Zinc",
): Pov =>
  `object { ${screw(d, length, pitch, drive, material)} translate y*${-length} rotate x*90 rotate x*6 rotate y*${turn} translate y*${d * 0.9} }`;

export const nut = (d: number, material = "Zinc"): Pov =>
  skin(
    minus(
      `intersection { prism { 0, ${d * 0.8}, 7, ${hexagon(d * 0.98)} } sphere { y*${d * 0.4}, ${d * 1.02} } }`,
      cyl(d / 2, -1, d),
    ),
    material,
  );
export const washer = (outer: number, inner: number, t: number, material = "Steel"): Pov =>
  skin(minus(cyl(outer / 2, 0, t), cyl(inner / 2, -1, t + 1)), material);
export const wavyWasher = (outer: number, inner: number, material = "SpringSteel"): Pov =>
  skin(wavyRing(outer / 2, inner / 2, 0.35, outer * 0.035), material);
export function circlip(shaft: number, material = "SpringSteel"): Pov {
  const r = shaft / 2;
  const w = shaft * 0.13;
  const ring = minus(
    `union { ${minus(cyl(r + w, 0, 1), cyl(r - 0.2, -1, 2))} cylinder { <-${w * 1.6},0,${r + w * 0.55}>, <-${w * 1.6},1,${r + w * 0.55}>, ${w * 1.25} } cylinder { <${w * 1.6},0,${r + w * 0.55}>, <${w * 1.6},1,${r + w * 0.55}>, ${w * 1.25} } }`,
    `box { <-${w * 0.55},-1,0>, <${w * 0.55},2,${r * 3}> }`,
    cyl(w * 0.55, -1, 2, -w * 1.6, r + w * 0.55),
    cyl(w * 0.55, -1, 2, w * 1.6, r + w * 0.55),
  );
  return skin(ring, material);
}
export const springPin = (d: number, length: number): Pov =>
  skin(
    minus(
      `union { ${cyl(d / 2, 0.6, length - 0.6)} cone { 0, ${d * 0.4}, y*0.6, ${d / 2} } cone { y*${length - 0.6}, ${d / 2}, y*${length}, ${d * 0.4} } }`,
      cyl(d * 0.3, -1, length + 1),
      `box { <0,-1,-${d * 0.1}>, <${d},${length + 1},${d * 0.1}> }`,
    ),
    "SpringSteel",
  );
export const dowel = (d: number, length: number): Pov => skin(cyl(d / 2, 0, length), "Chrome");
export function bearing(d: number, D: number, B: number, seal = "RubberBlack"): Pov {
  const mid = (d + D) / 4;
  return all(
    skin(minus(cyl(D / 2, 0, B), cyl(mid + (D - d) * 0.14, -1, B + 1)), "Chrome"),
    skin(minus(cyl(mid - (D - d) * 0.13, 0, B), cyl(d / 2, -1, B + 1)), "Chrome"),
    skin(minus(cyl(mid + (D - d) * 0.15, B * 0.06, B * 0.94), cyl(mid - (D - d) * 0.14, -1, B + 1)), seal),
  );
}
export const seal = (d: number, D: number, B: number): Pov =>
  all(
    skin(minus(cyl(D / 2, 0, B), cyl(d / 2 + 1.6, -1, B + 1)), "RubberBlack"),
    skin(`torus { ${d / 2 + 1.2}, 0.9 translate y*${B * 0.75} }`, "SpringSteel"),
    skin(
      minus(`cone { y*${B * 0.3}, ${d / 2 + 3}, y*${B * 0.9}, ${d / 2 + 0.3} }`, cyl(d / 2, -1, B + 1)),
      "RubberBlack",
    ),
  );
export const oring = (d: number, section: number): Pov =>
  skin(`torus { ${d / 2}, ${section / 2} translate y*${section / 2} scale <1.05,1,0.96> }`, "RubberBlack");
export function spring(d: number, wire: number, length: number, turns: number): Pov {
  const steps = Math.round(turns * 14);
  const pts = Array.from({ length: steps + 1 }, (_, i) => {
    const a = (2 * Math.PI * turns * i) / steps;
    return `<${((d / 2) * Math.cos(a)).toFixed(3)},${((length * i) / steps).toFixed(3)},${((d / 2) * Math.sin(a)).toFixed(3)}>,${wire / 2}`;
  });
  return skin(`sphere_sweep { linear_spline ${pts.length}, ${pts.join(",")} }`, "SpringSteel");
}
/** A stepped shaft standing up: [diameter, length] from the bottom. */
export function shaft(...sections: [number, number][]): Pov {
  let y = 0;
  const out = sections.map(([d, l]) => {
    const s = `cylinder { y*${y}, y*${y + l}, ${d / 2} }`;
    y += l;
    return s;
  });
  return skin(`union { ${out.join(" ")} }`, "Ground");
}
export function worm(d: number, length: number, pitch: number, material = "Steel"): Pov {
  return skin(thread(length, d, pitch, pitch * 0.68), material);
}
export function auger(d: number, length: number, material: string): Pov {
  const body = revolved(
    length,
    (a, y) => {
      const lead = 34;
      const phase = ((((y - (lead * a) / (2 * Math.PI)) / lead) % 1) + 1) % 1;
      const blade = Math.max(0, 1 - Math.abs(phase - 0.5) * 9);
      const core = d * (0.27 + 0.14 * (y / length));
      return core + (d / 2 - core) * Math.min(1, blade * 1.8) * (1 - 0.25 * (y / length));
    },
    120,
    140,
  );
  return skin(
    `union { object { ${body} } cylinder { y*-12, 0, ${d * 0.16} } cone { y*${length}, ${d * 0.36}, y*${length + 6}, ${d * 0.12} } }`,
    material,
  );
}
/** A box with rounded edges standing on the bench. */
export function roundBox(
  w: number,
  h: number,
  l: number,
  rounding: number,
  texture: string,
  x = 0,
  z = 0,
): Pov {
  const r = Math.min(rounding, h / 2 - 0.05, w / 2 - 0.05, l / 2 - 0.05);
  const a = w / 2 - r;
  const c = l / 2 - r;
  const corners = [
    [-a, -c],
    [a, -c],
    [a, c],
    [-a, c],
  ] as const;
  const rods: Pov[] = [];
  for (const [i, [px, pz]] of corners.entries()) {
    const [qx, qz] = corners[(i + 1) % 4] as readonly [number, number];
    for (const y of [r, h - r])
      rods.push(
        `sphere { <${px},${y},${pz}>, ${r} } cylinder { <${px},${y},${pz}>, <${qx},${y},${qz}>, ${r} }`,
      );
    rods.push(`cylinder { <${px},${r},${pz}>, <${px},${h - r},${pz}>, ${r} }`);
  }
  return `union { ${rods.join(" ")} box { <${-a},0,${-c}>, <${a},${h},${c}> } box { <${-w / 2},${r},${-c}>, <${w / 2},${h - r},${c}> } box { <${-a},${r},${-l / 2}>, <${a},${h - r},${l / 2}> } texture { ${texture} } translate <${x},0,${z}> }`;
}
/**
 * An open case seen from above: walls, floor, screw bosses at the places named. Plain solids only:
 * differences of cases render slowly.
 */
export function openCase(
  w: number,
  h: number,
  l: number,
  wall: number,
  texture: string,
  bosses: [number, number][] = [],
  ribs = 3,
): Pov {
  const a = w / 2;
  const c = l / 2;
  const r = 6;
  const solids = [
    `box { <${-a + r},0,${-c}>, <${a - r},${wall},${c}> } box { <${-a},0,${-c + r}>, <${a},${wall},${c - r}> }`,
    ...[-1, 1].map(
      (s) =>
        `box { <${s * a},0,${-c + r}>, <${s * (a - wall)},${h},${c - r}> } box { <${-a + r},0,${s * c}>, <${a - r},${h},${s * (c - wall)}> }`,
    ),
    ...[
      [-1, -1],
      [-1, 1],
      [1, -1],
      [1, 1],
    ].map(
      ([x, z]) =>
        `difference { cylinder { <${(x as number) * (a - r)},0,${(z as number) * (c - r)}>, <${(x as number) * (a - r)},${h},${(z as number) * (c - r)}>, ${r} } cylinder { <${(x as number) * (a - r)},${wall},${(z as number) * (c - r)}>, <${(x as number) * (a - r)},${h + 1},${(z as number) * (c - r)}>, ${Math.max(0.5, r - wall)} } }`,
    ),
    ...Array.from(
      { length: ribs },
      (_, i) =>
        `box { <${-a + 3},${wall},${-c + ((i + 1) * l) / (ribs + 1) - 0.8}>, <${a - 3},${wall + h * 0.18},${-c + ((i + 1) * l) / (ribs + 1) + 0.8}> }`,
    ),
    ...bosses.map(
      ([x, z]) =>
        `difference { cylinder { <${x},${wall},${z}>, <${x},${h},${z}>, 4.6 } cylinder { <${x},${h - 8},${z}>, <${x},${h + 1},${z}>, 1.7 } }`,
    ),
  ];
  return `union { ${solids.join(" ")} texture { ${texture} } }`;
}
/** A flat cover with a raised middle, ribs and screw holes; `screws` puts the heads in. */
export function cover(
  w: number,
  l: number,
  texture: string,
  holes: [number, number][],
  heads?: Pov,
  raised = 6,
): Pov {
  const plate = `difference { object { ${roundBox(w, 8, l, 3, texture)} } ${holes.map(([x, z]) => cyl(2.1, -1, 12, x, z)).join(" ")} texture { ${texture} } }`;
  const dome = `object { ${roundBox(w * 0.62, raised, l * 0.62, 3, texture)} translate y*7 }`;
  const ribs = [-1, 0, 1].map(
    (i) =>
      `box { <${-w * 0.45},7,${i * l * 0.2 - 0.9}>, <${w * 0.45},9.4,${i * l * 0.2 + 0.9}> texture { ${texture} } }`,
  );
  const boss = `difference { cylinder { y*7, y*${raised + 11}, 11 } cylinder { y*6, y*${raised + 12}, 7 } texture { ${texture} } }`;
  return all(
    plate,
    dome,
    ...ribs,
    boss,
    ...(heads ? holes.map(([x, z], i) => at(heads, x, z, i * 37, 8)) : []),
  );
}
export function motor(d: number, length: number, withPinion?: Pov): Pov {
  const coils = Array.from(
    { length: 9 },
    (_, i) =>
      `sphere { 0, ${d * 0.16} scale <1,0.7,0.75> translate <${d * 0.3},${length + 1},0> rotate y*${i * 40} }`,
  ).join(" ");
  const stack = Array.from(
    { length: Math.floor(length / 1.1) },
    (_, i) => `cylinder { y*${i * 1.1}, y*${i * 1.1 + 0.85}, ${d / 2} }`,
  ).join(" ");
  return all(
    skin(
      `difference { union { ${stack} cylinder { 0, y*${length}, ${d / 2 - 0.5} } } box { <${-d},-1,${d * 0.42}>, <${d},${length + 1},${d}> } box { <${-d},-1,${-d}>, <${d},${length + 1},${-d * 0.42}> } }`,
      "Lamination",
    ),
    skin(`union { ${coils} }`, "Copper"),
    skin(`union { ${coils} translate y*${-length - 2} }`, "Copper"),
    skin(`cylinder { y*-16, y*${length + 34}, ${d * 0.07} }`, "Ground"),
    skin(
      minus(
        cyl(d * 0.2, length + 6, length + 17),
        ...Array.from(
          { length: 12 },
          (_, i) => `box { <0,${length},-0.25>, <${d},${length + 20},0.25> rotate y*${i * 30} }`,
        ),
      ),
      "Copper",
    ),
    withPinion ? `object { ${withPinion} translate y*${length + 22} }` : "",
  );
}
export function wire(colour: string, points: [number, number, number][], r = 1.1): Pov {
  const first = points[0] as [number, number, number];
  const last = points[points.length - 1] as [number, number, number];
  const pts = [first, ...points, last].map((p) => `<${p.join(",")}>,${r}`);
  return `sphere_sweep { cubic_spline ${pts.length}, ${pts.join(",")} tolerance 0.05 texture { Insulation(${colour}) } }`;
}
export const plug = (poles: number): Pov =>
  all(
    skin(
      `difference { union { box { <${-poles * 2.6},0,-5>, <${poles * 2.6},7,6> } box { <-2,7,-2>, <2,8.4,5> } } ${Array.from({ length: poles }, (_, i) => `box { <${(i - (poles - 1) / 2) * 5 - 1.4},2,3>, <${(i - (poles - 1) / 2) * 5 + 1.4},5,8> }`).join(" ")} }`,
      "NylonWhite",
    ),
  );
export function grease(
  seed: number,
  count: number,
  spread: number,
  y: number,
  colour: string,
  size = 3,
): Pov {
  let s = seed;
  const rnd = (): number => {
    s = (s * 16807) % 2147483647;
    return s / 2147483647;
  };
  // smears: lumps in small heaps that run into each other
  let cx = 0;
  let cz = 0;
  let along = 0;
  const lumps = Array.from({ length: count * 3 }, (_, i) => {
    if (i % 9 === 0) {
      const a = rnd() * 6.283;
      const r = spread * Math.sqrt(rnd());
      [cx, cz, along] = [r * Math.cos(a), r * Math.sin(a), rnd() * 6.283];
    }
    const far = size * 0.75 * ((i % 9) - 4) * (0.6 + 0.5 * rnd());
    const x = cx + far * Math.cos(along) + size * 0.7 * (rnd() - 0.5);
    const z = cz + far * Math.sin(along) + size * 0.7 * (rnd() - 0.5);
    return `sphere { <${x.toFixed(2)},${(y + rnd() * 0.6).toFixed(2)},${z.toFixed(2)}>, ${(size * (1 + 0.9 * rnd())).toFixed(2)}, 1.1 }`;
  });
  return `blob { threshold 0.5 ${lumps.join(" ")} texture { Grease(${colour}) } }`;
}
/** Chips from broken teeth. */
export function crumbs(seed: number, count: number, spread: number, texture: string): Pov {
  let s = seed;
  const rnd = (): number => {
    s = (s * 48271) % 2147483647;
    return s / 2147483647;
  };
  return all(
    ...Array.from({ length: count }, () => {
      const k = 0.5 + rnd();
      return `box { <${-k},0,${-k * 0.6}>, <${k},${k * 0.8},${k * 0.5}> rotate <${rnd() * 40},${rnd() * 360},${rnd() * 40}> translate <${(rnd() - 0.5) * 2 * spread},0.3,${(rnd() - 0.5) * 2 * spread}> texture { ${texture} } }`;
    }),
  );
}
/** A flat sheet part from its outline. */
export const sheet = (outline: [number, number][], t: number, texture: string): Pov =>
  `prism { 0, ${t}, ${outline.length + 1}, ${[...outline, outline[0] as [number, number]].map(([x, z]) => `<${x},${z}>`).join(",")} texture { ${texture} } }`;
/** A body turned on a lathe from [radius, height] pairs. */
export const turned = (profile: [number, number][], texture: string): Pov =>
  `lathe { cubic_spline ${profile.length + 2}, ${[profile[0] as [number, number], ...profile, profile[profile.length - 1] as [number, number]].map(([r, y]) => `<${r},${y}>`).join(",")} texture { ${texture} } }`;
export { cyl, minus, skin };
