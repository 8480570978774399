import { FRAME, shaftsOf, type TrainInput } from "./train";

/** Which way a shaft is seen to turn. */
export interface Turning {
  readonly clockwise: boolean;
  /** from where: "seen from the motor's free end" */
  readonly seen: string;
}

/**
 * Which way every shaft is seen to turn, as far as the motor's own way, the hand of each worm and the side
 * from which each bevel is looked at were told.
 *
 * Parallel shafts are seen from one place; a worm or a bevel leads to another. A right-hand worm, or helical
 * gear on a shaft that crosses, that turns clockwise, looked at along itself, screws away from the eye; it
 * cannot move, so it draws the rim of its wheel towards the eye. With the worm below the wheel and
 * the eye at the left, the lowest tooth moves left: clockwise. Two bevels, each seen from its back, turn
 * opposite ways.
 *
 * @param turns turns of each shaft for one of the input, with sign: the sign is used only between shafts that
 *   are parallel
 * @returns nothing where the motor's own way was not told
 */
export function turnings(
  train: TrainInput,
  turns: ReadonlyMap<string, number>,
): ReadonlyMap<string, Turning> {
  const out = new Map<string, Turning>();
  if (!train.input.turns) return out;
  out.set(train.input.shaft, {
    clockwise: train.input.turns === "clockwise",
    seen: `seen from the free end of ${train.input.shaft}`,
  });
  for (let grew = true; grew; ) {
    grew = false;
    const put = (shaft: string, t: Turning): void => {
      if (shaft === FRAME || out.has(shaft) || Math.abs(turns.get(shaft) ?? 0) < 1e-12) return;
      out.set(shaft, t);
      grew = true;
    };
    for (const m of train.meshes) {
      if (m.kind === "worm" || m.kind === "crossed") {
        const worm = out.get(m.driver.shaft);
        if (!worm || !m.hand || !m.endAt) continue;
        const others = [worm.clockwise, m.hand === "right", m.endAt === "left"].filter((x) => !x).length;
        put(m.driven.shaft, {
          clockwise: others % 2 === 0,
          seen: `looking at the wheel on ${m.driven.shaft} with the ${m.kind === "worm" ? "worm" : "driver"} below`,
        });
      } else if (m.kind === "bevel") {
        const driver = out.get(m.driver.shaft);
        if (!driver || !m.seenFrom) continue;
        put(m.driven.shaft, {
          clockwise: m.seenFrom === "back" ? !driver.clockwise : driver.clockwise,
          seen: `looking at the back of the bevel on ${m.driven.shaft}`,
        });
      } else {
        const from = shaftsOf(m).find((s) => out.has(s));
        const known = from === undefined ? undefined : out.get(from);
        if (!known || from === undefined) continue;
        for (const s of shaftsOf(m))
          put(s, {
            clockwise: (turns.get(s) ?? 0) * (turns.get(from) ?? 0) > 0 ? known.clockwise : !known.clockwise,
            seen: known.seen,
          });
      }
    }
  }
  return out;
}
