import { line } from "d3";
import { type Gear, type GearKind, gearDimensions, gearFace, type Point } from "@/core/gear/index";

/** Three digits: a thousandth of a millimetre, and the same text from every engine's sine. */
export const path = line<Point>()
  .digits(3)
  .x((p) => p[0])
  .y((p) => -p[1]);
export const fixed = (x: number): number => Math.round(x * 1000) / 1000;

export interface GearDrawing {
  readonly face: ReturnType<typeof gearFace>;
  readonly d: ReturnType<typeof gearDimensions>;
  /** width of a thin line, mm: a share of what is drawn */
  readonly thin: number;
  readonly teeth: readonly {
    readonly outline: string;
    readonly letterAt: readonly [number, number];
    readonly target: string;
  }[];
  readonly straight: boolean;
}

/**
 * A gear's face as paths, mm: each tooth's outline, the place of its letter, and its target, which is larger
 * than the tooth.
 */
export function drawingOf(gear: Gear, kind: GearKind, coneAngleDeg: number | undefined): GearDrawing {
  const face = gearFace(kind, gear, coneAngleDeg);
  const d = gearDimensions(gear);
  const straight = face.form === "straight";
  const thin = fixed((straight ? face.reachMm : face.reachMm * 1.16) / 220);
  const count = face.teeth.length;
  const letters = face.form === "ring" ? face.rootMm + 1.1 * gear.moduleMm : face.tipMm * 1.085;
  const teeth = face.teeth.map((points, i) => {
    const turn = (2 * Math.PI * i) / count;
    const middle = straight ? ((points[0] as Point)[0] + (points.at(-1) as Point)[0]) / 2 : 0;
    return {
      outline: path(points as Point[]) ?? "",
      letterAt: (straight
        ? [fixed(middle), fixed(-face.tipMm - 10 * thin)]
        : [fixed(letters * Math.sin(turn)), fixed(-letters * Math.cos(turn))]) as readonly [number, number],
      target: straight
        ? `M${fixed(middle - 1.5 * gear.moduleMm)} ${fixed(-3 * gear.moduleMm)}h${fixed(3 * gear.moduleMm)}v${fixed(5 * gear.moduleMm)}h${fixed(-3 * gear.moduleMm)}Z`
        : wedge(i, count, Math.min(face.rootMm, face.tipMm) * 0.86, face.reachMm * 1.16),
    };
  });
  return { face, d, thin, teeth, straight };
}

function wedge(i: number, teeth: number, inner: number, outer: number): string {
  const a = (2 * Math.PI * (i - 0.5)) / teeth;
  const b = (2 * Math.PI * (i + 0.5)) / teeth;
  const p = (r: number, t: number): string => `${fixed(r * Math.sin(t))} ${fixed(-r * Math.cos(t))}`;
  return `M${p(inner, a)}L${p(outer, a)}L${p(outer, b)}L${p(inner, b)}Z`;
}
