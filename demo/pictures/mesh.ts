import { type Gear, toothFlank, toothOutline } from "../../src/core/gear/index";

/** POV-Ray has y upwards; everything here is in millimetres, parts stand on y = 0. */
type V = readonly [number, number, number];
const n = (x: number): string => (Math.abs(x) < 1e-6 ? "0" : x.toFixed(4));
const v = (p: V): string => `<${n(p[0])},${n(p[1])},${n(p[2])}>`;

/** A closed triangle mesh; `inside` lets it take part in differences. */
function mesh2(points: readonly V[], faces: readonly V[]): string {
  return `mesh2 { vertex_vectors { ${points.length}, ${points.map(v).join(",")} } face_indices { ${faces.length}, ${faces.map((f) => `<${f[0]},${f[1]},${f[2]}>`).join(",")} } inside_vector <0,1,0> }`;
}

/** A surface of circles whose radius depends on the angle and the height: screws, worms, augers, rollers. */
export function revolved(
  height: number,
  radius: (angle: number, y: number) => number,
  around = 48,
  up = 60,
): string {
  const points: V[] = [];
  const faces: V[] = [];
  for (let j = 0; j <= up; j++)
    for (let i = 0; i < around; i++) {
      const a = (2 * Math.PI * i) / around;
      const y = (height * j) / up;
      const r = radius(a, y);
      points.push([r * Math.cos(a), y, r * Math.sin(a)]);
    }
  const id = (i: number, j: number): number => j * around + (i % around);
  for (let j = 0; j < up; j++)
    for (let i = 0; i < around; i++) {
      faces.push([id(i, j), id(i + 1, j), id(i, j + 1)]);
      faces.push([id(i + 1, j), id(i + 1, j + 1), id(i, j + 1)]);
    }
  const low = points.push([0, 0, 0]) - 1;
  const high = points.push([0, height, 0]) - 1;
  for (let i = 0; i < around; i++) {
    faces.push([low, id(i + 1, 0), id(i, 0)]);
    faces.push([high, id(i, up), id(i + 1, up)]);
  }
  return mesh2(points, faces);
}

/** A thread: height `y` and angle make a trapezoid of `depth` between root and crest. */
export function thread(
  length: number,
  diameter: number,
  pitch: number,
  depth = pitch * 0.55,
  starts = 1,
): string {
  const lead = pitch * starts;
  return revolved(
    length,
    (a, y) => {
      const phase = (((y - (lead * a) / (2 * Math.PI)) / pitch) % 1) + 1;
      const w = Math.abs((phase % 1) - 0.5) * 2;
      const taper = Math.min(1, (length - y) / (diameter * 0.6) + 0.35);
      return (diameter / 2 - depth * Math.min(1, Math.max(0, 1.35 - 1.9 * w))) * taper;
    },
    40,
    Math.ceil((length / pitch) * 10),
  );
}

/**
 * A gear's body in true tooth form, twisted over the face by its helix. `broken(i)`: share of tooth i that is
 * gone; `worn(i)`: mm that its left (below 0) or right flank has lost at the tip, more of it there than at
 * the root.
 */
export function gearBody(
  g: Gear,
  faceWidth: number,
  broken: (i: number) => number = () => 0,
  crown = 0,
  worn: (i: number) => number = () => 0,
): string {
  const flank = toothFlank(g, 9);
  const rootR = (flank[0] as readonly [number, number])[0];
  const tipR = (flank[flank.length - 1] as readonly [number, number])[0];
  const ring: (readonly [number, number])[] = [];
  for (let i = 0; i < g.teeth; i++) {
    const share = broken(i);
    const rough = (k: number): number => (share > 0 ? 0.12 * g.moduleMm * Math.sin(i * 7.3 + k * 3.1) : 0);
    const limit = tipR - share * (tipR - rootR) * 0.94;
    const lost = worn(i);
    ring.push(
      ...toothOutline(flank, g.teeth, i).map(([x, y], k) => {
        // the left flank comes first; it wears towards the right
        const own = lost && k < flank.length === lost < 0;
        const up = Math.max(0, (Math.hypot(x, y) - rootR) / (tipR - rootR)) ** 0.7;
        const [u, v] = own ? turned(x, y, (-lost * up) / Math.hypot(x, y)) : [x, y];
        return clip(u, v, limit + rough(k));
      }),
    );
  }
  const layers = g.helixAngleDeg || crown ? 14 : 1;
  const reference = (g.teeth * g.moduleMm) / 2 / Math.cos((g.helixAngleDeg * Math.PI) / 180);
  const twist = (faceWidth * Math.tan((g.helixAngleDeg * Math.PI) / 180)) / reference;
  const points: V[] = [];
  const faces: V[] = [];
  for (let j = 0; j <= layers; j++) {
    const t = (twist * j) / layers;
    const belly = 1 - crown * (1 - (2 * (j / layers) - 1) ** 2);
    for (const [x, y] of ring) {
      points.push([
        (x * Math.cos(t) - y * Math.sin(t)) * belly,
        (faceWidth * j) / layers,
        (x * Math.sin(t) + y * Math.cos(t)) * belly,
      ]);
    }
  }
  const m = ring.length;
  for (let j = 0; j < layers; j++)
    for (let i = 0; i < m; i++) {
      const k = (i + 1) % m;
      faces.push([j * m + i, j * m + k, (j + 1) * m + i], [j * m + k, (j + 1) * m + k, (j + 1) * m + i]);
    }
  const low = points.push([0, 0, 0]) - 1;
  const high = points.push([0, faceWidth, 0]) - 1;
  for (let i = 0; i < m; i++) {
    const k = (i + 1) % m;
    faces.push([low, i, k], [high, layers * m + k, layers * m + i]);
  }
  return mesh2(points, faces);
}

/** Clockwise about the middle, radians. */
const turned = (x: number, y: number, by: number): readonly [number, number] => [
  x * Math.cos(by) + y * Math.sin(by),
  y * Math.cos(by) - x * Math.sin(by),
];

function clip(x: number, y: number, limit: number): readonly [number, number] {
  const r = Math.hypot(x, y);
  return r <= limit ? [x, y] : [(x * limit) / r, (y * limit) / r];
}

/** A ring of sheet with waves in it. */
export function wavyRing(outer: number, inner: number, thickness: number, wave: number, waves = 3): string {
  const points: V[] = [];
  const faces: V[] = [];
  const around = 72;
  for (let i = 0; i < around; i++) {
    const a = (2 * Math.PI * i) / around;
    const lift = wave * (1 + Math.sin(waves * a));
    for (const [r, y] of [
      [inner, lift],
      [outer, lift],
      [outer, lift + thickness],
      [inner, lift + thickness],
    ] as const)
      points.push([r * Math.cos(a), y, r * Math.sin(a)]);
  }
  for (let i = 0; i < around; i++)
    for (let q = 0; q < 4; q++) {
      const a = i * 4 + q;
      const b = i * 4 + ((q + 1) % 4);
      const c = ((i + 1) % around) * 4 + q;
      const d = ((i + 1) % around) * 4 + ((q + 1) % 4);
      faces.push([a, b, c], [b, d, c]);
    }
  return mesh2(points, faces);
}
