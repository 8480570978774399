import { z } from "zod";
import { Fault } from "../fault";
import type { Frozen } from "../frozen";
import { type Rate, ratesOf } from "./rates";
import { type Rhythm, rhythm } from "./rhythm";
import { shaftSpeeds } from "./shaft-speeds";
import { trainInput } from "./train";

const times = z.array(z.number().min(0)).max(2000);

export const clickInput = z.strictObject({
  train: trainInput,
  /** when the click was tapped, ms */
  clicksMs: times,
  /** the clicks were found in a recording: no finger spreads them */
  heard: z.boolean().optional(),
  /** the shaft that was watched, and when it came round; left out: the train ran at the motor's speed */
  turns: z.strictObject({ shaft: z.string(), tapsMs: times }).optional(),
});
export type ClickInput = Frozen<z.infer<typeof clickInput>>;

export interface ClickSuspect {
  readonly rate: Rate;
  readonly probability: number;
  /** the click's rate over what this would give; 1 is a perfect match */
  readonly off: number;
  /** "once per turn of lay, so look at its 47-tooth gear or its bearings" */
  readonly says: string;
}

export interface ClickAnswer {
  readonly clicks: Rhythm;
  /** clicks for one turn of the input, and its spread */
  readonly perInputTurn: { readonly value: number; readonly u: number };
  readonly suspects: readonly ClickSuspect[];
  /** that it is none of these */
  readonly none: number;
}

/** Relative spread of a motor's speed against its plate, unloaded. */
const PLATE_U = 0.04;
/** Of a click that was found in a recording, ms: its frame. */
const HEARD_MS = 3;
/** Of a hand that turns: its speed is not even within a turn. */
const HAND_U = 0.015;

/**
 * From the rhythm of a click, what in the train comes round just so.
 *
 * The rate of the clicks over the rate of the watched shaft (or of the motor, by its plate) is compared with
 * every rate of the train; the logarithm of the ratio is taken
 * as normal with the spreads of both rhythms. Bayes over the rates, each with how usual such a fault is,
 * against the chance that it is none of them,
 * for which any rate over six powers of e is as likely.
 *
 * @throws Fault where too little was tapped, or the watched shaft does not turn
 */
export function findClick(input: ClickInput): ClickAnswer {
  const { turns } = shaftSpeeds(input.train);
  const clicks = tapped("clicksMs", input.clicksMs, input.heard ? HEARD_MS : undefined);
  let perInputTurn: number;
  let u: number;
  if (input.turns) {
    const shaft = turns.get(input.turns.shaft);
    if (shaft === undefined || Math.abs(shaft) < 1e-12)
      throw new Fault("turns.shaft", `the train does not say how ${input.turns.shaft} turns`);
    const watched = tapped("turns.tapsMs", input.turns.tapsMs);
    perInputTurn = (watched.periodMs / clicks.periodMs) * Math.abs(shaft);
    u = Math.hypot(clicks.u / clicks.periodMs, watched.u / watched.periodMs, HAND_U);
  } else {
    if (!input.train.input.rpm)
      throw new Fault("turns", "say how fast the motor turns, or tap along to a shaft that you watch");
    perInputTurn = clicks.hz / (input.train.input.rpm / 60);
    u = Math.hypot(clicks.u / clicks.periodMs, PLATE_U);
  }
  const weighed = ratesOf(input.train).map((rate) => {
    const off = perInputTurn / rate.perInputTurn;
    return {
      rate,
      off,
      weight: (rate.usual * Math.exp(-0.5 * (Math.log(off) / u) ** 2)) / (u * Math.sqrt(2 * Math.PI)),
    };
  });
  const nothing = 0.3 / 6;
  const total = weighed.reduce((sum, w) => sum + w.weight, nothing);
  const suspects = weighed
    .map(({ rate, off, weight }) => ({
      rate,
      off,
      probability: weight / total,
      says: `${rate.says}, so look at ${rate.look}`,
    }))
    .filter((s) => s.probability > 0.01)
    .sort((a, b) => b.probability - a.probability);
  return {
    clicks,
    perInputTurn: { value: perInputTurn, u: u * perInputTurn },
    suspects,
    none: nothing / total,
  };
}

function tapped(path: string, taps: readonly number[], spreadMs?: number): Rhythm {
  try {
    return rhythm(taps, spreadMs);
  } catch (e) {
    throw e instanceof Fault ? new Fault(path, e.says) : e;
  }
}
