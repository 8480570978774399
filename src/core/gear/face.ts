import { radians } from "../quantity/units";
import { ADDENDUM, DEDENDUM, type Gear, gearDimensions } from "./dimensions";
import type { GearKind } from "./gear-kind";
import { type FlankPoint, type Point, toothFlank, toothOutline } from "./outline";
import { ringGap, ringRadii } from "./ring-outline";

/** What a toothed part looks like from the front (a worm and a rack: from the side), mm, tooth by tooth. */
export interface Face {
  readonly form: "round" | "ring" | "straight";
  /**
   * outline of each tooth from root to root; in a ring they point inwards, on a straight part they stand side
   * by side, up
   */
  readonly teeth: readonly (readonly Point[])[];
  /** radius (straight: height) of the root, the tip, and the reference line */
  readonly rootMm: number;
  readonly tipMm: number;
  readonly referenceMm: number;
  /** how far the whole reaches from its middle */
  readonly reachMm: number;
}

/** Teeth of a rack or threads of a worm that are drawn where no count is known. */
const STRAIGHT_TEETH = 9;

/**
 * The face of a toothed part.
 *
 * Spur, helical and worm wheel: the true transverse section (see {@link toothFlank}). Bevel: the large end
 * seen along the axis, whose tips stand out by m cos δ. Internal ring: involute spaces with addendum and
 * dedendum changed about.
 * Rack and worm: the axial section of the basic rack. Toothed-belt pulley: trapezoids of 40° between the
 * flanks on the belt's pitch, tip below the pitch line by a tenth of it. Sprocket: rollers' seats of 0.32
 * pitch on
 * d = p/sin(180°/z) (ISO 606). The last two show what turns, not what a hob would cut.
 *
 * @param coneAngleDeg of a bevel; 45 where it is not known
 * @param points per flank
 */
export function gearFace(kind: GearKind, gear: Gear, coneAngleDeg = 45, points = 10): Face {
  switch (kind) {
    case "internal":
      return ring(gear, points);
    case "rack":
    case "worm":
      return straight(
        gear,
        kind === "rack" ? Math.min(gear.teeth, 40) : STRAIGHT_TEETH,
        kind === "worm" ? 4 * gear.moduleMm : 2.5 * gear.moduleMm,
      );
    case "pulley":
      return pulley(gear);
    case "sprocket":
      return sprocket(gear);
    case "bevel":
      return round(gear, points, 1 - Math.cos(radians(coneAngleDeg)));
    default:
      return round(gear, points, 0);
  }
}

/** @param less how much of the addendum and dedendum is not seen, as a share */
function round(g: Gear, points: number, less: number): Face {
  const d = gearDimensions(g);
  const whole = toothFlank(g, points);
  const reference = d.referenceDiameterMm / 2;
  const flank = less
    ? whole.map(([r, half]): FlankPoint => [reference + (r - reference) * (1 - less), half])
    : whole;
  const rootMm = (flank[0] as FlankPoint)[0];
  const tipMm = (flank.at(-1) as FlankPoint)[0];
  return {
    form: "round",
    teeth: around(flank, g.teeth),
    rootMm,
    tipMm,
    referenceMm: reference,
    reachMm: tipMm,
  };
}

const around = (flank: readonly FlankPoint[], teeth: number): Point[][] =>
  Array.from({ length: teeth }, (_, i) => toothOutline(flank, teeth, i));

function ring(g: Gear, points: number): Face {
  const { tipMm, rootMm } = ringRadii(g);
  const gap = ringGap(g);
  // half the tooth of a ring is what its gap leaves of the pitch
  const flank = Array.from({ length: points + 1 }, (_, i): FlankPoint => {
    const r = rootMm + (tipMm - rootMm) * (i / points);
    return [r, Math.max(0, Math.PI / g.teeth - gap(r))];
  });
  return {
    form: "ring",
    teeth: around(flank, g.teeth),
    rootMm,
    tipMm,
    referenceMm: gearDimensions(g).referenceDiameterMm / 2,
    reachMm: rootMm + 2.2 * g.moduleMm,
  };
}

function straight(g: Gear, count: number, body: number): Face {
  const m = g.moduleMm;
  const tan = Math.tan(radians(g.pressureAngleDeg));
  const pitch = Math.PI * m;
  const quarter = pitch / 4;
  const teeth = Array.from({ length: count }, (_, i): Point[] => {
    const x = (i - (count - 1) / 2) * pitch;
    return [
      [x - quarter - DEDENDUM * m * tan, -DEDENDUM * m],
      [x - quarter + ADDENDUM * m * tan, ADDENDUM * m],
      [x + quarter - ADDENDUM * m * tan, ADDENDUM * m],
      [x + quarter + DEDENDUM * m * tan, -DEDENDUM * m],
    ];
  });
  return {
    form: "straight",
    teeth,
    rootMm: -DEDENDUM * m,
    tipMm: ADDENDUM * m,
    referenceMm: 0,
    reachMm: Math.max((count * pitch) / 2, body + DEDENDUM * m),
  };
}

function pulley(g: Gear): Face {
  const pitch = Math.PI * g.moduleMm;
  const reference = (g.teeth * pitch) / (2 * Math.PI);
  const tipMm = reference - 0.1 * pitch;
  const rootMm = tipMm - 0.36 * pitch;
  const slope = Math.tan(radians(20));
  const halfTip = 0.2 * pitch;
  const flank: FlankPoint[] = [0, 0.5, 1].map((s) => {
    const r = rootMm + (tipMm - rootMm) * s;
    return [r, (halfTip + (tipMm - r) * slope) / r];
  });
  return {
    form: "round",
    teeth: around(flank, g.teeth),
    rootMm,
    tipMm,
    referenceMm: reference,
    reachMm: tipMm,
  };
}

function sprocket(g: Gear): Face {
  const pitch = Math.PI * g.moduleMm;
  const reference = pitch / (2 * Math.sin(Math.PI / g.teeth));
  const seat = 0.32 * pitch;
  const rootMm = reference - seat;
  const tipMm = reference + 0.3 * pitch;
  // from the bottom of the roller's seat up its side, then to a narrow tip
  const flank: FlankPoint[] = Array.from({ length: 9 }, (_, i): FlankPoint => {
    const s = i / 8;
    const r = rootMm + (tipMm - rootMm) * s;
    const away =
      r < reference
        ? Math.sqrt(Math.max(0, seat ** 2 - (reference - r) ** 2))
        : seat + (r - reference) * 0.45;
    return [r, Math.max(0.02 / g.teeth, Math.PI / g.teeth - away / r)];
  });
  return {
    form: "round",
    teeth: around(flank, g.teeth),
    rootMm,
    tipMm,
    referenceMm: reference,
    reachMm: tipMm,
  };
}
