import { radians } from "../quantity/units";

/** Forms of a bore, as they are seen from the front. */
export const BORE_FORMS = ["round", "keyway", "D", "double D", "hex", "square", "spline", "cross slot", "cross hole"] as const;
export type BoreForm = (typeof BORE_FORMS)[number];

/**
 * The edge of a bore as an SVG path about the origin, y down, mm. Proportions where only the bore is known: keyway a quarter of the bore wide and an eighth deep (about DIN 6885), a flat at 0.4 of
 * the bore from the middle, a hexagon by its width across flats, a spline of 6 teeth (about ISO 14), a cross slot a fifth wide.
 *
 * @param boreMm diameter; of a hexagon or a square: across the flats
 */
export function borePath(boreMm: number, form: string | undefined): string {
  const r = boreMm / 2;
  const n = (x: number): number => Math.round(x * 1000) / 1000;
  const p = (radius: number, deg: number): string => `${n(radius * Math.sin(radians(deg)))} ${n(-radius * Math.cos(radians(deg)))}`;
  const circle = `M${n(-r)} 0A${n(r)} ${n(r)} 0 1 0 ${n(r)} 0A${n(r)} ${n(r)} 0 1 0 ${n(-r)} 0Z`;
  switch (form) {
    case "keyway": {
      const half = r * 0.25;
      const foot = Math.sqrt(r * r - half * half);
      return `M${n(-half)} ${n(-r * 1.25)}H${n(half)}V${n(-foot)}A${n(r)} ${n(r)} 0 1 1 ${n(-half)} ${n(-foot)}Z`;
    }
    case "D": {
      const x = r * 0.8;
      const y = Math.sqrt(r * r - x * x);
      return `M${n(-x)} ${n(-y)}A${n(r)} ${n(r)} 0 1 1 ${n(-x)} ${n(y)}Z`;
    }
    case "double D": {
      const x = r * 0.8;
      const y = Math.sqrt(r * r - x * x);
      return `M${n(-x)} ${n(-y)}A${n(r)} ${n(r)} 0 0 1 ${n(x)} ${n(-y)}V${n(y)}A${n(r)} ${n(r)} 0 0 1 ${n(-x)} ${n(y)}Z`;
    }
    case "hex":
      return `M${[0, 60, 120, 180, 240, 300].map((a) => p(r / Math.cos(radians(30)), a)).join("L")}Z`;
    case "square":
      return `M${[45, 135, 225, 315].map((a) => p(r / Math.cos(radians(45)), a)).join("L")}Z`;
    case "spline":
      return `M${Array.from({ length: 6 }, (_, i) => {
        const a = i * 60;
        return `${p(r, a - 16)}L${p(r * 1.22, a - 13)}L${p(r * 1.22, a + 13)}L${p(r, a + 16)}A${n(r)} ${n(r)} 0 0 1 ${p(r, a + 44)}`;
      }).join("L")}Z`;
    case "cross slot": {
      const half = r * 0.22;
      const foot = Math.sqrt(r * r - half * half);
      return `M${n(-r * 1.9)} ${n(-half)}H${n(-foot)}A${n(r)} ${n(r)} 0 0 1 ${n(foot)} ${n(-half)}H${n(r * 1.9)}V${n(half)}H${n(foot)}A${n(r)} ${n(r)} 0 0 1 ${n(-foot)} ${n(half)}H${n(-r * 1.9)}Z`;
    }
    default:
      return circle;
  }
}
