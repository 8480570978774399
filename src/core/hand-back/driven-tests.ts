import { fullCycle } from "../train/full-cycle";
import { outputShafts } from "../train/outputs";
import { solveTrain } from "../train/solve";
import type { TrainInput } from "../train/train";
import type { FinalCheck } from "./final-check";

/** So many turns of the output are turned by hand, where more teeth would only be counted. */
const MOST_TURNS = 40;

/**
 * Turned by hand until the same teeth meet everywhere, where the train tells after how many turns that is,
 * and it can be done.
 */
export function byHand(train: TrainInput | undefined, driven: boolean): FinalCheck {
  const why = driven ? "The motor hides what the hand feels." : "A tight spot is felt before it is heard.";
  const [output] = train ? outputShafts(train) : [];
  const turns = train && output !== undefined ? fullCycle(train, output) : null;
  if (turns === null || output === undefined)
    return {
      check: "by-hand",
      asks: "Turned by hand through two full turns of the output: even, no tight spot?",
      why,
    };
  if (turns <= MOST_TURNS)
    return {
      check: "by-hand",
      asks: `Turned by hand through ${Math.max(2, turns)} turns of ${output}: even, no tight spot?`,
      why: `${why} After ${turns === 1 ? "one turn" : `${turns} turns`} of ${output} every tooth has met all that it ever meets.`,
    };
  return {
    check: "by-hand",
    asks: `Turned by hand through ten turns of ${output}: even, no tight spot?`,
    why: `${why} The same teeth meet everywhere only after ${turns} turns of ${output}: a single bad pair may stay away for long, so it is listened for when it runs.`,
  };
}

/**
 * A motor may turn slower under its own brushes, and faster when it is idle, than its plate says: shares of
 * what the train makes of that.
 */
const SLOWEST = 0.8;
const FASTEST = 1.15;

/**
 * The speed of the output, where the train tells it: another is a slipping clutch, a wrong wheel or a wrong
 * belt.
 */
export function speedOf(train: TrainInput | undefined): FinalCheck[] {
  const [output] = train ? outputShafts(train) : [];
  const rpm =
    train && output !== undefined ? solveTrain(train).shafts.find((s) => s.shaft === output)?.rpm : null;
  if (!rpm || output === undefined) return [];
  return [
    {
      check: "speed",
      asks: `Speed of ${output}, idle, by a tachometer`,
      why: `The train makes ${figure(rpm)} rpm of the plate's speed. Another one is a clutch that slips, a belt or a wheel that is not the right one.`,
      unit: "rpm",
      instrument: "Tachometer",
      min: Number(figure(SLOWEST * rpm)),
      max: Number(figure(FASTEST * rpm)),
      source: "the train at the plate's speed, less 20 %, plus 15 %",
      runs: true,
    },
  ];
}
const figure = (n: number): string => String(Number(n.toPrecision(3)));

/**
 * What a motor may draw above its plate: small ones a fifth more, others 15 % or 0.3 A, as product standards
 * for household appliances allow.
 */
const mostAmps = (plate: number): number =>
  Number((plate <= 1.5 ? 1.2 * plate : Math.max(1.15 * plate, plate + 0.3)).toFixed(2));

/** Current against the plate: a figure where somebody read the plate, a yes where nobody can. */
export function currentOf(plateA: number | undefined): FinalCheck {
  const why = "A train that runs tight draws more; a motor with a shorted winding too.";
  if (plateA === undefined)
    return {
      check: "current",
      asks: "Current idle and under load: below the plate's?",
      why,
      may: "Amperes idle, under load, and on the plate",
      instrument: "Meter at the plug",
      reads: "plateA",
      runs: true,
    };
  return {
    check: "current",
    asks: "Current under load, by a meter at the plug",
    why: `${why} The plate says ${plateA} A.`,
    unit: "A",
    instrument: "Meter at the plug",
    max: mostAmps(plateA),
    source: `the plate's ${plateA} A with what standards allow above it`,
    runs: true,
  };
}
