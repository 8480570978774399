import { isSmooth, type Mesh, type PairMesh, pairSizes } from "./train";

/** How a belt lies round its two pulleys. */
export interface BeltRun {
  /** round its cord, mm */
  readonly lengthMm: number;
  /** of a toothed belt: the nearest whole count */
  readonly beltTeeth?: number;
  readonly centreMm: number;
  /** how far it lies round the driver and the driven pulley, degrees */
  readonly wrapDeg: readonly [driver: number, driven: number];
  /** teeth of the smaller pulley that are in the belt at any moment */
  readonly teethInMesh?: number;
}

/** Under so many teeth in mesh a belt carries less (ISO 5295: a fifth less for each one that is lacking). */
const FULL_MESH = 6;
/** Under so much wrap a belt that holds by friction slips early, degrees. */
const LEAST_WRAP = 120;
/** By so much may stretch, tension and a measured centre distance change the length, as a share. */
const SLACK = 0.04;

/**
 * Length and wrap of a belt over two pulleys: open L = 2 C cos α + π (d1 + d2)/2 + α (d2 − d1), sin α = (d2 −
 * d1)/(2 C); crossed L = 2 C cos α + (π/2 + α)(d1 + d2),
 * sin α = (d1 + d2)/(2 C).
 *
 * @param d1 pitch diameter of the driver, mm; @param d2 of the driven; @param centre between the shafts, mm
 * @returns null where the pulleys would touch. Source: Shigley, Mechanical Engineering Design, flat belts
 *   (open and crossed).
 * @example beltRun(50.8, 101.6, 2743.2)?.wrapDeg[0] // 178.94: 3.123 rad
 */
export function beltRun(
  d1: number,
  d2: number,
  centre: number,
  crossed = false,
): Pick<BeltRun, "lengthMm" | "wrapDeg"> | null {
  if (centre <= (d1 + d2) / 2) return null;
  const a = Math.asin((crossed ? d1 + d2 : d2 - d1) / (2 * centre));
  const straight = 2 * centre * Math.cos(a);
  const deg = (rad: number): number => (rad * 180) / Math.PI;
  return crossed
    ? {
        lengthMm: straight + (Math.PI / 2 + a) * (d1 + d2),
        wrapDeg: [deg(Math.PI + 2 * a), deg(Math.PI + 2 * a)],
      }
    : {
        lengthMm: straight + (Math.PI / 2) * (d1 + d2) + a * (d2 - d1),
        wrapDeg: [deg(Math.PI - 2 * a), deg(Math.PI + 2 * a)],
      };
}

/**
 * The centre distance at which a belt of this length is taut, mm; null where it is too short to go round.
 * Length grows with the distance, so it is found by halving.
 */
export function centreFor(d1: number, d2: number, lengthMm: number, crossed = false): number | null {
  let [near, far] = [(d1 + d2) / 2, lengthMm / 2];
  const at = (c: number): number => beltRun(d1, d2, c, crossed)?.lengthMm ?? 0;
  if (at(near * (1 + 1e-9)) > lengthMm) return null;
  for (let i = 0; i < 60; i++) {
    const mid = (near + far) / 2;
    if (at(mid) < lengthMm) near = mid;
    else far = mid;
  }
  return far;
}

/**
 * Pitch diameters of a belt's pulleys, mm; null where a toothed belt's pitch is not known, or it is no belt.
 */
function pitchDiameters(m: PairMesh): readonly [number, number] | null {
  if (m.kind === "smooth-belt") return pairSizes(m);
  if (m.kind !== "belt" || !m.pitchMm) return null;
  return [(m.driver.teeth * m.pitchMm) / Math.PI, (m.driven.teeth * m.pitchMm) / Math.PI];
}

/** The run of a belt whose centre distance, or whose own length, is known; undefined for all else. */
export function beltRunOf(m: Mesh): BeltRun | undefined {
  if (m.kind !== "belt" && m.kind !== "smooth-belt") return undefined;
  const d = pitchDiameters(m);
  if (!d) return undefined;
  const crossed = m.kind === "smooth-belt" && m.crossed === true;
  const counted = m.kind === "belt" ? m.beltTeeth && m.pitchMm && m.beltTeeth * m.pitchMm : m.lengthMm;
  const centreMm = m.centreMm ?? (counted ? (centreFor(...d, counted, crossed) ?? undefined) : undefined);
  const run = centreMm === undefined ? null : beltRun(...d, centreMm, crossed);
  if (!run || centreMm === undefined) return undefined;
  if (m.kind === "smooth-belt") return { ...run, centreMm };
  const small = m.driver.teeth <= m.driven.teeth ? 0 : 1;
  return {
    ...run,
    centreMm,
    beltTeeth: Math.round(run.lengthMm / (m.pitchMm as number)),
    teethInMesh: Math.floor((Math.min(m.driver.teeth, m.driven.teeth) * run.wrapDeg[small]) / 360 + 1e-9),
  };
}

/** What does not fit about a belt: pulleys that touch, a length that is another, too little in mesh. */
export function beltSays(m: Mesh): string[] {
  if (m.kind !== "belt" && m.kind !== "smooth-belt") return [];
  const d = pitchDiameters(m);
  if (!d) return [];
  const run = beltRunOf(m);
  const counted = m.kind === "belt" ? (m.beltTeeth ?? 0) * (m.pitchMm as number) : (m.lengthMm ?? 0);
  if (!run) {
    if (m.centreMm !== undefined)
      return [`at ${m.centreMm} mm apart the two pulleys would touch: measure from shaft to shaft again`];
    return counted
      ? [`a belt of ${counted.toFixed(0)} mm does not go round these pulleys: measure it again`]
      : [];
  }
  const out: string[] = [];
  if (
    m.centreMm !== undefined &&
    m.kind === "belt" &&
    m.beltTeeth &&
    Math.abs(m.beltTeeth - run.lengthMm / (m.pitchMm as number)) > 1
  )
    out.push(
      `round these pulleys at ${m.centreMm} mm lies a belt of ${run.beltTeeth} teeth, and ${m.beltTeeth} were counted: count again, or it is not the one that belongs there`,
    );
  if (
    m.centreMm !== undefined &&
    m.kind === "smooth-belt" &&
    m.lengthMm &&
    Math.abs(m.lengthMm / run.lengthMm - 1) > SLACK
  )
    out.push(
      `round these pulleys at ${m.centreMm} mm lies a belt of ${run.lengthMm.toFixed(0)} mm, and ${m.lengthMm} mm were measured: ${m.lengthMm > run.lengthMm ? "it is stretched, or not the one that belongs there" : "an elastic one is sold shorter than it lies; any other is too short"}`,
    );
  if (run.teethInMesh !== undefined && run.teethInMesh < FULL_MESH)
    out.push(
      `only ${run.teethInMesh} teeth of the smaller pulley are in the belt: under six, each one that is lacking takes a fifth of what it carries (ISO 5295)`,
    );
  if (isSmooth(m) && Math.min(...run.wrapDeg) < LEAST_WRAP)
    out.push(
      `the belt lies only ${Math.min(...run.wrapDeg).toFixed(0)}° round the smaller pulley: under ${LEAST_WRAP}° it slips early; was there a tensioner?`,
    );
  return out;
}
