import type { PairGear, PairVerdict } from "./pair-gear";

/** So far two gears of one drawing may differ in their helix, degrees (a quarter of a degree each). */
const HELIX_MADE_TO = 0.35;
/** Two spreads of a difference. */
const SPREADS = 2;

/**
 * What must be alike for two gears to mesh at all, on parallel shafts: module, pressure angle, helix angle;
 * opposite hands. A helix that neither reading can tell apart from the other's is a caution, and no refusal.
 */
export function meshingVerdicts(gear: PairGear, mate: PairGear): PairVerdict[] {
  const out = sizeVerdicts(gear, mate);
  if (!gear.helixAngleDeg && !mate.helixAngleDeg) return out;
  out.push(helixVerdict(gear, mate));
  if (gear.hand && mate.hand) {
    const opposite = gear.hand !== mate.hand;
    out.push({
      criterion: "hand",
      ok: opposite,
      says: opposite
        ? `${gear.hand} meets ${mate.hand}`
        : `both are ${gear.hand}-hand: on parallel shafts one must be left, one right`,
    });
  }
  return out;
}

/**
 * What two gears must have alike however their shafts lie: module and pressure angle, both in the normal of
 * the tooth.
 */
export function sizeVerdicts(gear: PairGear, mate: PairGear): PairVerdict[] {
  const size = (m: number): string => `module ${Number(m.toFixed(3))}`;
  const same = Math.abs(gear.moduleMm - mate.moduleMm) < 0.004 * gear.moduleMm;
  const angle = Math.abs(gear.pressureAngleDeg - mate.pressureAngleDeg) < 0.3;
  return [
    {
      criterion: "module",
      ok: same,
      says: same
        ? `both ${size(gear.moduleMm)}`
        : `${size(gear.moduleMm)} does not mesh with ${size(mate.moduleMm)}`,
    },
    {
      criterion: "pressure angle",
      ok: angle,
      says: angle
        ? `both ${gear.pressureAngleDeg}°`
        : `${gear.pressureAngleDeg}° does not mesh with ${mate.pressureAngleDeg}°`,
    },
  ];
}

function helixVerdict(gear: PairGear, mate: PairGear): PairVerdict {
  const criterion = "helix angle";
  const shown = (g: PairGear): string => `${Number(g.helixAngleDeg.toFixed(1))}°`;
  const apart = Math.abs(gear.helixAngleDeg - mate.helixAngleDeg);
  const open = SPREADS * Math.hypot(gear.helixU ?? 0, mate.helixU ?? 0);
  // straight teeth and slanted ones never run together, however blunt the reading
  const straight = !gear.helixAngleDeg || !mate.helixAngleDeg;
  if (!straight && apart <= HELIX_MADE_TO) return { criterion, ok: true, says: `both ${shown(gear)}` };
  if (!straight && apart <= HELIX_MADE_TO + open)
    return {
      criterion,
      ok: true,
      caution: true,
      says: `${shown(gear)} and ${shown(mate)}: the readings cannot tell them apart (± ${open.toFixed(1)}°); lay one on the other`,
    };
  return {
    criterion,
    ok: false,
    says: `${shown(gear)} does not mesh with ${shown(mate)} on parallel shafts`,
  };
}
