import { type FacePlane, faceFromAxes, toFace } from "./face-plane";
import type { Picture } from "./picture";
import { toothDepth } from "./ring-rhythm";

export interface DrawnGear {
  readonly teeth: number;
  readonly plane: FacePlane;
  /** where the first tooth stands, radians clockwise from the face's x */
  readonly turn?: number;
  readonly missing?: readonly number[];
  readonly colour?: readonly [number, number, number];
  readonly bore?: number;
}

type Colour = readonly [number, number, number];

/**
 * A picture of drawn gears on a plain or striped bench, with a little noise that is the same every time: what
 * the tests of this folder look at.
 */
export function drawnGears(
  width: number,
  height: number,
  gears: readonly DrawnGear[],
  {
    bench = [150, 140, 120],
    noise = 3,
    cover,
  }: { bench?: Colour; noise?: number; cover?: (x: number, y: number) => Colour | null } = {},
): Picture {
  const data = new Uint8ClampedArray(width * height * 4);
  let seed = 7;
  const grain = (): number => {
    seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
    return (seed / 4294967296 - 0.5) * 2 * noise;
  };
  const at = (x: number, y: number): Colour => {
    const over = cover?.(x, y);
    if (over) return over;
    for (const g of gears) {
      const [u, v] = toFace(g.plane, [x, y]);
      const r = Math.hypot(u, v);
      if (r > 1 || r < (g.bore ?? 0.15)) continue;
      if (inside(g, r, Math.atan2(v, u))) return g.colour ?? [214, 208, 196];
    }
    return bench;
  };
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      // four spots a pixel, so that edges are soft
      const spots = [
        at(x + 0.25, y + 0.25),
        at(x + 0.75, y + 0.25),
        at(x + 0.25, y + 0.75),
        at(x + 0.75, y + 0.75),
      ];
      const i = (y * width + x) * 4;
      for (let c = 0; c < 3; c++) data[i + c] = spots.reduce((s, p) => s + (p[c] as number), 0) / 4 + grain();
      data[i + 3] = 255;
    }
  return { width, height, data };
}

/**
 * Is a place of the face, in polar coordinates, in the gear's body? Teeth are trapezoids: 0.36 of a pitch to
 * each side at the root, 0.16 at the tip.
 */
function inside(g: DrawnGear, r: number, angle: number): boolean {
  const depth = toothDepth(g.teeth);
  if (r < 1 - depth) return true;
  const along = ((angle - (g.turn ?? 0)) * g.teeth) / (2 * Math.PI);
  const tooth = Math.round(along);
  if (g.missing?.includes(((tooth % g.teeth) + g.teeth) % g.teeth)) return false;
  const up = (r - 1 + depth) / depth;
  return Math.abs(along - tooth) < 0.36 - 0.2 * up;
}

/** A face seen from a given tilt, its long axis along a direction. */
export const tilted = (x: number, y: number, radius: number, tiltDeg = 0, direction = 0.4): FacePlane =>
  faceFromAxes([x, y], radius, radius * Math.cos((tiltDeg * Math.PI) / 180), direction);
