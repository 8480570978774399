import { radians } from "../quantity/units";
import type { Point } from "./outline";

/** Forms of a bore, as they are seen from the front. */
export const BORE_FORMS = [
  "round",
  "keyway",
  "D",
  "double D",
  "hex",
  "square",
  "spline",
  "cross slot",
  "cross hole",
] as const;
export type BoreForm = (typeof BORE_FORMS)[number];

/**
 * A stretch of a bore's edge: straight to a point, or round the middle to it, clockwise as it is seen with y
 * down.
 */
interface Stretch {
  readonly to: Point;
  readonly round?: boolean;
}

const straight = (x: number, y: number): Stretch => ({ to: [x, y] });
const round = (x: number, y: number): Stretch => ({ to: [x, y], round: true });

/**
 * The edge of a bore about the origin, y down, mm, from one point round to it again. Proportions where only
 * the bore is known: keyway a quarter of the bore wide and an eighth deep (about DIN 6885), a flat at 0.4 of
 * the bore from the middle, a hexagon by its width across flats, a spline of 6 teeth (about ISO 14), a cross
 * slot a fifth wide.
 */
function edge(boreMm: number, form: string | undefined): Stretch[] {
  const r = boreMm / 2;
  const p = (radius: number, deg: number): Point => [
    radius * Math.sin(radians(deg)),
    -radius * Math.cos(radians(deg)),
  ];
  switch (form) {
    case "keyway": {
      const half = r * 0.25;
      const foot = Math.sqrt(r * r - half * half);
      return [
        straight(-half, -foot),
        straight(-half, -r * 1.25),
        straight(half, -r * 1.25),
        straight(half, -foot),
        round(-half, -foot),
      ];
    }
    case "D": {
      const x = r * 0.8;
      const y = Math.sqrt(r * r - x * x);
      return [straight(-x, y), straight(-x, -y), round(-x, y)];
    }
    case "double D": {
      const x = r * 0.8;
      const y = Math.sqrt(r * r - x * x);
      return [straight(-x, y), straight(-x, -y), round(x, -y), straight(x, y), round(-x, y)];
    }
    case "hex":
      return [0, 60, 120, 180, 240, 300, 0].map((a) => ({ to: p(r / Math.cos(radians(30)), a) }));
    case "square":
      return [45, 135, 225, 315, 45].map((a) => ({ to: p(r / Math.cos(radians(45)), a) }));
    case "spline":
      return [
        { to: p(r, -16) },
        ...Array.from({ length: 6 }, (_, i): Stretch[] => {
          const a = i * 60;
          return [
            { to: p(r * 1.22, a - 13) },
            { to: p(r * 1.22, a + 13) },
            { to: p(r, a + 16) },
            { to: p(r, a + 44), round: true },
          ];
        }).flat(),
      ];
    case "cross slot": {
      const half = r * 0.22;
      const foot = Math.sqrt(r * r - half * half);
      return [
        straight(-r * 1.9, -half),
        straight(-foot, -half),
        round(foot, -half),
        straight(r * 1.9, -half),
        straight(r * 1.9, half),
        straight(foot, half),
        round(-foot, half),
        straight(-r * 1.9, half),
        straight(-r * 1.9, -half),
      ];
    }
    default:
      return [straight(-r, 0), round(r, 0), round(-r, 0)];
  }
}

/** How far round the middle from one point to another, clockwise with y down, radians. */
function turnBetween(from: Point, to: Point): number {
  const a = Math.atan2(to[1], to[0]) - Math.atan2(from[1], from[0]);
  return a <= 1e-12 ? a + 2 * Math.PI : a;
}

/**
 * The edge of a bore as an SVG path about the origin, y down, mm. See {@link boreOutline} for its points.
 *
 * @param boreMm diameter; of a hexagon or a square: across the flats
 */
export function borePath(boreMm: number, form: string | undefined): string {
  const n = (x: number): number => Math.round(x * 1000) / 1000;
  const stretches = edge(boreMm, form);
  let at = (stretches[0] as Stretch).to;
  let out = `M${n(at[0])} ${n(at[1])}`;
  for (const s of stretches.slice(1)) {
    out += s.round
      ? `A${n(boreMm / 2)} ${n(boreMm / 2)} 0 ${turnBetween(at, s.to) > Math.PI + 1e-9 ? 1 : 0} 1 ${n(s.to[0])} ${n(s.to[1])}`
      : `L${n(s.to[0])} ${n(s.to[1])}`;
    at = s.to;
  }
  return `${out}Z`;
}

/**
 * The edge of a bore as a polygon about the origin, y up, mm, not closed; round stretches in steps of at most
 * 360°/`points`.
 *
 * @example boreOutline(8, "hex") // six corners, 8 mm across the flats
 */
export function boreOutline(boreMm: number, form: string | undefined, points = 72): Point[] {
  const stretches = edge(boreMm, form);
  let at = (stretches[0] as Stretch).to;
  const out: Point[] = [];
  for (const s of stretches.slice(1)) {
    out.push([at[0], -at[1]]);
    if (s.round) {
      const turn = turnBetween(at, s.to);
      const steps = Math.ceil((turn / (2 * Math.PI)) * points);
      const from = Math.atan2(at[1], at[0]);
      for (let i = 1; i < steps; i++) {
        const a = from + (turn * i) / steps;
        out.push([(boreMm / 2) * Math.cos(a), -(boreMm / 2) * Math.sin(a)]);
      }
    }
    at = s.to;
  }
  return out;
}
