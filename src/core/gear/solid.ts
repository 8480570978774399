import earcut from "earcut";
import { Fault } from "../fault";
import { radians } from "../quantity/units";
import { boreOutline } from "./bore-form";
import { type Gear, gearDimensions } from "./dimensions";
import { gearOutline, type Point } from "./outline";
import { type RingToMake, ringOutline, ringRadii } from "./ring-outline";

/** A gear as it is to be made. */
export interface GearToMake extends Gear {
  readonly hand?: "left" | "right";
  readonly faceWidthMm: number;
  readonly boreMm: number;
  readonly boreForm?: string;
  /** by how much its spans are to read less than nominal, so that the pair has backlash, mm; 0 unless said */
  readonly thinnedMm?: number;
}

export type Point3 = readonly [x: number, y: number, z: number];
export type Triangle = readonly [Point3, Point3, Point3];

export type ToMake = GearToMake | RingToMake;
export const isRing = (g: ToMake): g is RingToMake => "inside" in g;

/**
 * The two closed lines that a gear is seen by from the front, the outer one anticlockwise, the bore
 * clockwise; mm, y up. Of a ring the bore is what is toothed.
 */
export interface GearSection {
  readonly outer: readonly Point[];
  readonly bore: readonly Point[];
}

/**
 * Points on each flank of what is cut: the chord stands off the involute by less than a hundredth of a
 * millimetre up to module 5.
 */
const FLANK_POINTS = 12;

const area = (ring: readonly Point[]): number =>
  ring.reduce(
    (s, [x, y], i) =>
      s + x * (ring[(i + 1) % ring.length] as Point)[1] - (ring[(i + 1) % ring.length] as Point)[0] * y,
    0,
  ) / 2;
const turned = (ring: readonly Point[], sign: 1 | -1): Point[] =>
  Math.sign(area(ring)) === sign ? [...ring] : [...ring].reverse();

/** Points round the outside of a ring: the chord stands off by a hundredth of a millimetre at 60 mm. */
const ROUND_POINTS = 180;

function ringSection(g: RingToMake): GearSection {
  const wall = g.outsideMm / 2 - ringRadii(g).rootMm;
  if (!(wall > 0.5 * g.moduleMm))
    throw new Fault(
      "outsideMm",
      `leaves ${wall > 0 ? `only ${wall.toFixed(2)} mm` : "nothing"} outside the teeth`,
    );
  const around = Array.from({ length: ROUND_POINTS }, (_, i): Point => {
    const t = (2 * Math.PI * i) / ROUND_POINTS;
    return [(g.outsideMm / 2) * Math.cos(t), (g.outsideMm / 2) * Math.sin(t)];
  });
  return { outer: around, bore: turned(ringOutline(g, FLANK_POINTS, g.thinnedMm), -1) };
}

/**
 * The transverse section of a gear with its bore, or of a ring in its plain rim, in true size.
 *
 * @throws Fault where the bore reaches into the teeth, or the teeth of a ring through its rim
 */
export function gearSection(g: ToMake): GearSection {
  if (isRing(g)) return ringSection(g);
  const bore = turned(boreOutline(g.boreMm, g.boreForm), -1);
  const wall = gearDimensions(g).rootDiameterMm / 2 - Math.max(...bore.map(([x, y]) => Math.hypot(x, y)));
  if (!(wall > 0.5 * g.moduleMm))
    throw new Fault(
      "boreMm",
      `leaves ${wall > 0 ? `only ${wall.toFixed(2)} mm` : "nothing"} between it and the teeth`,
    );
  // the first and the last point of neighbouring teeth lie on the same root circle, and may coincide
  const outer = gearOutline(g, () => 0, FLANK_POINTS, g.thinnedMm);
  const apart = outer.filter(
    (p, i) =>
      Math.hypot(
        p[0] - (outer[(i + 1) % outer.length] as Point)[0],
        p[1] - (outer[(i + 1) % outer.length] as Point)[1],
      ) > 1e-6,
  );
  return { outer: turned(apart, 1), bore };
}

/**
 * Turned by so much from face to face, radians: b tan β/r (ISO 21771, 4.2.2); positive anticlockwise going
 * up, which is a right-hand helix.
 */
export const twistOf = (g: ToMake): number =>
  ((g.faceWidthMm * Math.tan(radians(g.helixAngleDeg))) / (gearDimensions(g).referenceDiameterMm / 2)) *
  ("hand" in g && g.hand === "left" ? -1 : 1);

/**
 * One layer for so much of a turn, radians: the facets of a twisted flank stand off by r (1 − cos 1.5°), a
 * hundredth of a millimetre at 30 mm.
 */
const LAYER_TWIST = radians(3);

/**
 * The surface of a gear as triangles whose right-hand normals point outwards, mm, axis along z: the section
 * drawn up over the face width, its teeth turning with the helix; the bore of a gear goes straight through.
 */
export function gearSolid(g: ToMake): Triangle[] {
  const { outer, bore } = gearSection(g);
  const twist = twistOf(g);
  const layers = Math.max(1, Math.ceil(Math.abs(twist) / LAYER_TWIST));
  const at = (ring: readonly Point[], share: number): Point3[] => {
    const [c, s] = [Math.cos(twist * share), Math.sin(twist * share)];
    return ring.map(([x, y]) => [x * c - y * s, x * s + y * c, g.faceWidthMm * share]);
  };
  const out: Triangle[] = [];
  const wall = (low: readonly Point3[], high: readonly Point3[]): void => {
    for (let i = 0; i < low.length; i++) {
      const j = (i + 1) % low.length;
      const [a, b, c, d] = [low[i], low[j], high[j], high[i]] as [Point3, Point3, Point3, Point3];
      out.push([a, b, c], [a, c, d]);
    }
  };
  const [toothed, plain] = isRing(g) ? [bore, outer] : [outer, bore];
  for (let k = 0; k < layers; k++) wall(at(toothed, k / layers), at(toothed, (k + 1) / layers));
  const straight = (z: number): Point3[] => plain.map(([x, y]) => [x, y, z]);
  wall(straight(0), straight(g.faceWidthMm));
  for (const [share, up] of [
    [0, false],
    [1, true],
  ] as const) {
    const [teeth, round] = [at(toothed, share), straight(g.faceWidthMm * share)];
    const points = isRing(g) ? [...round, ...teeth] : [...teeth, ...round];
    const corners = earcut(
      points.flatMap(([x, y]) => [x, y] as const),
      [outer.length],
    );
    for (let i = 0; i < corners.length; i += 3) {
      const [a, b, c] = [
        points[corners[i] as number],
        points[corners[i + 1] as number],
        points[corners[i + 2] as number],
      ] as [Point3, Point3, Point3];
      const anticlockwise = (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]) > 0;
      out.push(anticlockwise === up ? [a, b, c] : [a, c, b]);
    }
  }
  return out;
}
