import { FRAME, isSmooth, type Mesh, type TrainInput, type TrainWheel, wheelsOf } from "./train";

/** A train seen from the side: shafts as lines, gears as bars across them, in a plane of its own units. */
export interface TrainDiagram {
  readonly shafts: readonly {
    readonly shaft: string;
    readonly y: number;
    readonly from: number;
    readonly to: number;
  }[];
  readonly wheels: readonly DrawnWheel[];
  /** a belt's or chain's two strands */
  readonly strands: readonly {
    readonly mesh: string;
    readonly x: number;
    readonly y1: number;
    readonly r1: number;
    readonly y2: number;
    readonly r2: number;
  }[];
  readonly width: number;
  readonly top: number;
  readonly bottom: number;
}
export interface DrawnWheel {
  readonly mesh: string;
  readonly role: TrainWheel["role"];
  readonly shaft: string;
  readonly says: string;
  /** what stands beside it: its teeth, or "32 mm" */
  readonly size: string;
  readonly shape: "bar" | "cone" | "worm" | "wheel" | "ring" | "planet" | "pulley";
  readonly x: number;
  readonly y: number;
  /** half its height */
  readonly r: number;
  readonly part?: string;
}

/** Width of one mesh in the diagram. */
const COLUMN = 100;
/** A worm and a very small pinion are still to be seen. */
const LEAST_R = 9;

/**
 * Where everything of a train is drawn. Each mesh has a column; the driven shaft lies as far below or above
 * the driver as their radii say, turn about, so that a long train stays low. Radii are
 * teeth times module (1 where it is not known), or what was measured of wheels without teeth, all on one
 * scale.
 */
export function trainDiagram(train: TrainInput): TrainDiagram {
  const y = new Map<string, number>([[train.input.shaft, 0]]);
  const span = new Map<string, [number, number]>([[train.input.shaft, [-60, 0]]]);
  const wheels: DrawnWheel[] = [];
  const strands: TrainDiagram["strands"][number][] = [];
  const largest = Math.max(1, ...train.meshes.flatMap((m) => wheelsOf(m).map((w) => diameterOf(m, w))));
  const radius = (m: Mesh, role: TrainWheel["role"]): number => {
    const w = wheelsOf(m).find((x) => x.role === role);
    return Math.max(LEAST_R, (90 * (w ? diameterOf(m, w) : 0)) / largest);
  };
  const reach = (shaft: string, x: number): void => {
    const [a, b] = span.get(shaft) ?? [x, x];
    span.set(shaft, [Math.min(a, x - 34), Math.max(b, x + 34)]);
  };
  train.meshes.forEach((m, i) => {
    const x = (i + 0.5) * COLUMN;
    const [first, second] =
      m.kind === "planetary" ? [m.sun.shaft, m.carrier.shaft] : [m.driver.shaft, m.driven.shaft];
    if (!y.has(first)) y.set(first, y.get(second) ?? 0);
    const own = wheelsOf(m);
    const at = y.get(first) as number;
    if (m.kind === "planetary") {
      if (!y.has(second)) y.set(second, at);
      const sun = radius(m, "sun");
      const ring = radius(m, "ring");
      for (const w of own) {
        const base = {
          mesh: m.id,
          role: w.role,
          shaft: w.shaft,
          says: w.says,
          size: sizeOf(w),
          x,
          part: w.part,
        };
        if (w.role === "sun") wheels.push({ ...base, shape: "bar", y: at, r: sun });
        else if (w.role === "ring") wheels.push({ ...base, shape: "ring", y: at, r: ring });
        else
          wheels.push(
            { ...base, shape: "planet", y: at - (sun + ring) / 2, r: (ring - sun) / 2 },
            { ...base, shape: "planet", y: at + (sun + ring) / 2, r: (ring - sun) / 2 },
          );
      }
      reach(first, x);
      // the carrier takes over on the same axis
      const [a, b] = span.get(second) ?? [x + 10, x + 10];
      span.set(second, [Math.min(a, x + 10), Math.max(b, x + 60)]);
      if (m.ring.shaft !== FRAME && !y.has(m.ring.shaft)) y.set(m.ring.shaft, at);
      return;
    }
    const [r1, r2] = [radius(m, "driver"), radius(m, "driven")];
    const loose = m.kind === "belt" || m.kind === "chain" || m.kind === "smooth-belt";
    const apart = m.kind === "internal" ? Math.abs(r2 - r1) : r1 + r2 + (loose ? 30 : 0);
    if (!y.has(second)) y.set(second, at + (at > 0 ? -apart : apart));
    const to = y.get(second) as number;
    const shapes: readonly [DrawnWheel["shape"], DrawnWheel["shape"]] =
      m.kind === "worm"
        ? ["worm", "wheel"]
        : m.kind === "crossed"
          ? ["bar", "wheel"]
          : m.kind === "bevel"
            ? ["cone", "cone"]
            : loose
              ? ["pulley", "pulley"]
              : m.kind === "internal"
                ? ["bar", "ring"]
                : ["bar", "bar"];
    own.forEach((w, k) => {
      wheels.push({
        mesh: m.id,
        role: w.role,
        shaft: w.shaft,
        says: w.says,
        size: sizeOf(w),
        shape: shapes[k] as DrawnWheel["shape"],
        x,
        y: k ? to : at,
        r: k ? r2 : r1,
        part: w.part,
      });
      reach(w.shaft, x);
    });
    if (loose) strands.push({ mesh: m.id, x, y1: at, r1, y2: to, r2 });
  });
  const shafts = [...y]
    .filter(([s]) => s !== FRAME)
    .map(([shaft, at]) => ({ shaft, y: at, from: span.get(shaft)?.[0] ?? 0, to: span.get(shaft)?.[1] ?? 0 }));
  const edges = [...wheels.flatMap((w) => [w.y - w.r, w.y + w.r]), ...shafts.map((s) => s.y)];
  return {
    shafts,
    wheels,
    strands,
    width: Math.max(1, train.meshes.length) * COLUMN,
    top: Math.min(0, ...edges) - 16,
    bottom: Math.max(0, ...edges) + 16,
  };
}

const sizeOf = (w: TrainWheel): string => (w.teeth === null ? w.says.replace(/ \w+$/, "") : String(w.teeth));

/** Pitch diameter in millimetres, or in teeth where no module is known. */
function diameterOf(m: Mesh, w: TrainWheel): number {
  if (isSmooth(m)) return w.role === "driver" ? m.driver.diameterMm : m.driven.diameterMm;
  return (w.teeth ?? 0) * (moduleOf(m, w.role) ?? 1);
}

function moduleOf(m: Mesh, role: string): number | undefined {
  if (isSmooth(m)) return undefined;
  if (m.kind === "planetary")
    return role === "sun" ? m.sun.moduleMm : role === "ring" ? m.ring.moduleMm : m.planet?.moduleMm;
  return role === "driver" ? m.driver.moduleMm : m.driven.moduleMm;
}
