/** A place in a picture, pixels, y downwards; or in a gear's face, where the tip circle has the radius 1. */
export type Spot = readonly [x: number, y: number];

/**
 * How a gear's face lies in a picture: a spot w of the face is seen at `centre + A w / (1 + q·w)`.
 * `a` holds the symmetric matrix A = [[a0, a1], [a1, a2]] in pixels (the turn of the gear is not part of it),
 * `q` the perspective.
 * This is a plane homography with the turn left out: seven numbers.
 */
export interface FacePlane {
  readonly centre: Spot;
  readonly a: readonly [number, number, number];
  readonly q: Spot;
}

export function toPicture(f: FacePlane, [u, v]: Spot): [number, number] {
  const k = 1 / (1 + f.q[0] * u + f.q[1] * v);
  return [f.centre[0] + (f.a[0] * u + f.a[1] * v) * k, f.centre[1] + (f.a[1] * u + f.a[2] * v) * k];
}

export function toFace(f: FacePlane, [x, y]: Spot): [number, number] {
  const dx = x - f.centre[0];
  const dy = y - f.centre[1];
  const det = f.a[0] * f.a[2] - f.a[1] * f.a[1];
  const u = (f.a[2] * dx - f.a[1] * dy) / det;
  const v = (f.a[0] * dy - f.a[1] * dx) / det;
  const k = 1 / (1 - f.q[0] * u - f.q[1] * v);
  return [u * k, v * k];
}

/**
 * The axes of the tip circle as it is seen: half lengths in pixels, the direction of the long one in radians,
 * and the tilt in degrees.
 */
export function axesOf(f: FacePlane): { long: number; short: number; direction: number; tiltDeg: number } {
  const mean = (f.a[0] + f.a[2]) / 2;
  const half = Math.hypot((f.a[0] - f.a[2]) / 2, f.a[1]);
  const long = mean + half;
  const short = mean - half;
  return {
    long,
    short,
    direction: Math.atan2(f.a[1], (f.a[0] - f.a[2]) / 2) / 2,
    tiltDeg: (Math.acos(Math.min(1, Math.max(0, short / long))) * 180) / Math.PI,
  };
}

/** A face seen as an ellipse: half axes in pixels, the direction of the long one in radians. */
export function faceFromAxes(centre: Spot, long: number, short: number, direction: number): FacePlane {
  const c = Math.cos(direction);
  const s = Math.sin(direction);
  return {
    centre,
    a: [long * c * c + short * s * s, (long - short) * c * s, long * s * s + short * c * c],
    q: [0, 0],
  };
}

/** The same face in a picture that begins elsewhere. */
export const moved = (f: FacePlane, x: number, y: number): FacePlane => ({
  ...f,
  centre: [f.centre[0] + x, f.centre[1] + y],
});

export const scaled = (f: FacePlane, k: number): FacePlane => ({
  centre: [f.centre[0] * k, f.centre[1] * k],
  a: [f.a[0] * k, f.a[1] * k, f.a[2] * k],
  q: f.q,
});

/** The same plane with another radius called 1. */
export const resized = (f: FacePlane, k: number): FacePlane => ({
  ...f,
  a: [f.a[0] * k, f.a[1] * k, f.a[2] * k],
  q: [f.q[0] * k, f.q[1] * k],
});

/** Mean radius of the circle of radius 1 as it is seen, pixels. */
export const sizeOf = (f: FacePlane): number => Math.sqrt(f.a[0] * f.a[2] - f.a[1] ** 2);
