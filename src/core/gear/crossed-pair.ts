import { CALIPER_U_MM } from "../quantity/caliper";
import { type Measured, measured } from "../quantity/measured";
import { radians } from "../quantity/units";
import { gearDimensions } from "./dimensions";
import type { PairGear, PairVerdict } from "./pair-gear";
import { sizeVerdicts } from "./pair-verdicts";

export interface CrossedAnswer {
  readonly verdicts: readonly PairVerdict[];
  readonly meshes: boolean;
  readonly figures: {
    /** that of the two hands that comes nearest to the shafts' angle, degrees */
    readonly shaftAngleDeg: number;
    /** (d1 + d2)/2 with both shifts, mm */
    readonly centreMm: number;
    /** sliding along the teeth for one of the first gear's rim speed */
    readonly slides: number;
  };
}

/** So far the slants of two gears of one drawing may be off, together, degrees. */
const MADE_TO = 0.7;
const SPREADS = 2;
/** The centre distance may be off by so many modules: backlash, and shifts that nobody measured. */
const CENTRE_OPEN = 0.1;

/**
 * Whether two helical gears run on shafts that cross without meeting. They must have one normal module and
 * one normal pressure angle; the shafts stand at Σ = β1 + β2 for equal hands, Σ = |β1 − β2| for opposite
 * ones; a = (d1 + d2)/2 with d = m_n z/cos β. Their teeth
 * touch in a point and slide along each other at v1 sin Σ/cos β2: made for motion, not for load.
 *
 * @param shaftAngleDeg between the shafts, 0 to 90
 * @param centre the shortest distance between them as measured, mm
 * @returns what is not measured is not judged: without both hands the sentence says which hands it takes.
 *   Source: Shigley, Mechanical Engineering Design, crossed helical gears; ISO 21771, clause 6
 * @example crossedPairOf({ …z20, m_n 2, 45° right }, { …z40, 45° right }, 90).figures.centreMm // 84.853
 */
export function crossedPairOf(
  gear: PairGear,
  mate: PairGear,
  shaftAngleDeg: number,
  centre?: number | Measured,
): CrossedAnswer {
  const [a, b] = [Math.abs(gear.helixAngleDeg), Math.abs(mate.helixAngleDeg)];
  const alike = a + b;
  const opposite = Math.abs(a - b);
  const open = MADE_TO + SPREADS * Math.hypot(gear.helixU ?? 0, mate.helixU ?? 0);
  const centreMm =
    (gearDimensions(gear).referenceDiameterMm + gearDimensions(mate).referenceDiameterMm) / 2 +
    (gear.profileShift + mate.profileShift) * gear.moduleMm;
  const told = gear.hand && mate.hand ? (gear.hand === mate.hand ? alike : opposite) : undefined;
  const nearest =
    told ?? (Math.abs(alike - shaftAngleDeg) <= Math.abs(opposite - shaftAngleDeg) ? alike : opposite);
  const verdicts = [...sizeVerdicts(gear, mate), angleVerdict(), ...centreVerdict()];
  return {
    verdicts,
    meshes: verdicts.every((v) => v.ok),
    figures: {
      shaftAngleDeg: nearest,
      centreMm,
      slides: Math.sin(radians(shaftAngleDeg)) / Math.cos(radians(b)),
    },
  };

  function angleVerdict(): PairVerdict {
    const criterion = "shafts";
    const off = Math.abs(nearest - shaftAngleDeg);
    const sum = `${round(a)}° and ${round(b)}°, ${nearest === alike ? "of one hand" : "of opposite hands"}, stand at ${round(nearest)}°`;
    if (off > open)
      return {
        criterion,
        ok: false,
        says: `${sum}, and the shafts at ${round(shaftAngleDeg)}°: they do not run together`,
      };
    if (told === undefined)
      return { criterion, ok: true, caution: true, says: `${sum}: see that the hands are so` };
    return off <= MADE_TO
      ? { criterion, ok: true, says: sum }
      : {
          criterion,
          ok: true,
          caution: true,
          says: `${sum}, as far as the readings tell (± ${open.toFixed(1)}°)`,
        };
  }

  function centreVerdict(): PairVerdict[] {
    if (centre === undefined) return [];
    const at = measured(centre, CALIPER_U_MM);
    const off = at.value - centreMm;
    // half a degree at a slant of 45° moves a reference circle by a hundredth of itself
    const helixMm = (g: PairGear): number =>
      (gearDimensions(g).referenceDiameterMm / 2) *
      Math.tan(radians(Math.abs(g.helixAngleDeg))) *
      radians(g.helixU ?? 0);
    const left =
      CENTRE_OPEN * gear.moduleMm +
      SPREADS *
        Math.hypot(
          at.u,
          helixMm(gear),
          helixMm(mate),
          (gear.shiftU ?? 0) * gear.moduleMm,
          (mate.shiftU ?? 0) * gear.moduleMm,
        );
    const criterion = "centre distance";
    if (Math.abs(off) <= left)
      return [
        {
          criterion,
          ok: true,
          says: `${at.value.toFixed(2)} mm, as their reference circles ask (${centreMm.toFixed(2)})`,
        },
      ];
    return [
      {
        criterion,
        ok: false,
        says: `${at.value.toFixed(2)} mm, and these two run at ${centreMm.toFixed(2)}: ${off < 0 ? "they bind" : "they hardly reach each other"}. Measure the slants again: half a degree moves it by ${(helixMm({ ...gear, helixU: 0.5 }) + helixMm({ ...mate, helixU: 0.5 })).toFixed(1)} mm`,
      },
    ];
  }
}

const round = (x: number): string => String(Number(x.toFixed(1)));
