import type { Hazard } from "../job/hazard";
import { capital, listed } from "../sentence";
import type { FinalCheck } from "./final-check";
import type { WhatThereIs } from "./what-there-is";

/** Guards of what moves, covers of what only gets hot or live. */
export function guardsOf(
  { hazards }: { readonly hazards?: readonly Hazard[] | undefined },
  has: WhatThereIs,
): FinalCheck[] {
  const blade = hazards?.includes("blade");
  if (!has.isDriven && !blade) return [];
  if (has.isDriven && !has.hasMotor && !blade)
    return [
      {
        check: "guards",
        covers: true,
        asks: "Every cover on and drawn?",
        why: "What is under pressure is closed first.",
      },
    ];
  if (!has.moves && !blade)
    return [
      {
        check: "guards",
        covers: true,
        asks: "Every cover on and drawn, nothing of the inside within a finger’s reach?",
        why: "What gets hot or live is covered before it is switched on.",
      },
    ];
  return [
    {
      check: "guards",
      covers: true,
      asks: "Every guard and cover on, moving as it did; and whatever switch stops it when one is off, does?",
      why: "A guard that was left off is found by a hand.",
      ...(blade
        ? { caution: "With the blade on from here: hands away from it, and nobody reaches over." }
        : {}),
    },
  ];
}

const SWITCHED_ON_MINUTES = 5;
const RUN_IN_MINUTES = 2;
const WARM_MINUTES = 10;

/**
 * The first run; where nothing was opened that runs, it is the try of what it was brought in for as well.
 *
 * @param complaint in the customer's words; left out: it is asked elsewhere, or nobody said one
 */
export function firstRun(has: WhatThereIs, complaint?: string): FinalCheck[] {
  const gone = complaint ? `; and is “${complaint.replace(/\.$/, "")}” gone` : "";
  const may = complaint ? { may: "How it was tried", told: true as const } : {};
  if (!has.moves)
    return has.isDriven
      ? [
          {
            check: "switched-on",
            asks:
              `Switched on${has.getsWet ? ", filled," : ""} for five minutes: ` +
              `no smell, no smoke, nothing trips${gone}?`,
            why: "What chars or shorts shows itself here, and not at home.",
            runs: true,
            minutes: SWITCHED_ON_MINUTES,
            caution: "A hand at the switch, nothing beside it that burns.",
            ...may,
          },
        ]
      : [];
  const idle = has.hasSpeeds === "said" ? " at the slowest speed" : has.hasMotor && !complaint ? " idle" : "";
  // what pumps is ruined by running dry
  const how = has.getsWet ? `${idle === " idle" ? "" : idle}, in its water or filled,` : idle;
  const no = [...(has.hasMotor ? ["no smell"] : []), ...(has.isElectric ? ["no spark"] : []), "no new noise"];
  return [
    {
      check: "run-slow",
      asks: has.isDriven
        ? `Run${how} for two minutes: ${no.join(", ")}${gone}?`
        : `Worked slowly for two minutes: no new noise, nothing rubs${gone}?`,
      why: has.lubricated.length
        ? "Grease finds its place and the first crumb shows itself."
        : "What rubs or sits wrong shows itself here.",
      minutes: RUN_IN_MINUTES,
      ...may,
      ...(has.lubricated.length && {
        listenFor:
          "Fresh grease that is squeezed smacks evenly and goes quieter within a minute. " +
          "What comes once a turn, and stays, is a tooth or a bearing.",
      }),
      ...(has.isDriven
        ? { runs: true, caution: "Eye protection, loose sleeves and hair away, a hand at the switch." }
        : {}),
    },
  ];
}

/** What it was brought in for is asked again, in the customer's own words. */
export const complaintGone = (complaint: string, has: WhatThereIs): FinalCheck => ({
  check: "complaint",
  asks: `Brought in for “${complaint.replace(/\.$/, "")}”: is that gone?`,
  why: "It is what the customer tries first. Try it as they use it.",
  may: "How it was tried",
  told: true,
  ...(has.isDriven ? { runs: true as const } : {}),
});

export function speedsAndWays({ hasSpeeds, ways, wasWired }: WhatThereIs): FinalCheck[] {
  const turning = wasWired ? ["The right way round"] : [];
  const others = ways.length ? [`${listed(ways)}${/ one$/.test(ways.at(-1) ?? "") ? "," : ""} working`] : [];
  const asks = [...turning, ...others].join("; ");
  return [
    ...(hasSpeeds
      ? [
          {
            check: "run-speeds",
            asks:
              `Each speed in turn${hasSpeeds === "usual" ? ", if it has several" : ""}: ` +
              "even, nothing hunting?",
            why: "A fault of one speed is found by the customer otherwise.",
            runs: true as const,
          },
        ]
      : []),
    ...(asks
      ? [
          {
            check: "ways",
            asks: `${capital(asks)}?`,
            why: wasWired
              ? "Leads were off: two that are swapped run it backwards."
              : "A brake that lets go, or a lock that does not, is found on the customer’s bench.",
            runs: true as const,
          },
        ]
      : []),
  ];
}

/** Where a hand is laid after a while: not on an engine, nor on what is meant to be hot. */
export function warmOf({ hasTeeth, hasHeater, hasMotor, isElectric, lubricated }: WhatThereIs): FinalCheck[] {
  // air and water cool what they drive
  if (!hasMotor) return [];
  const gears = lubricated.length ? lubricated : hasTeeth ? ["case over its gears"] : [];
  const where = [...gears, ...(isElectric && !hasHeater ? ["motor"] : [])];
  return where.length
    ? [
        {
          check: "warm",
          asks: `After ten minutes: does a hand stay on ${listed(where.map((w) => `the ${w}`))}?`,
          why:
            "A hand is drawn back at about 60 °C; " +
            "what is hotter than that after ten minutes idle runs dry or tight.",
          may: "Temperature by a probe, where, and after how long",
          instrument: "Probe",
          minutes: WARM_MINUTES,
          runs: true,
        },
      ]
    : [];
}

export const RUNS_DOWN: FinalCheck = {
  check: "runs-down",
  asks: "Wound, its click holding, and let run: even, and stopping nowhere before it is run down?",
  why: "A spring shows its weakness at the end, and a tight place by where it stops.",
  caution: "Covers on before it is wound: what is wound lets go at once.",
};
/** Asked of what keeps time. */
export const KEEPS_TIME: FinalCheck = {
  check: "rate",
  asks: "Keeps time against a good clock, over a day, in the position it stands at home?",
  why: "It is what the customer looks at.",
  may: "What it gains or loses in a day, and over how long it was watched",
};

/** What is looked at once it has run: lubricant that settled, teeth that are heard, what leaks. */
export function afterTheRun({ settles, hasTeeth, isSealed, isSprung }: WhatThereIs): FinalCheck[] {
  return [
    ...(settles.length
      ? [
          {
            check: "topped-up",
            asks: `Topped up where the first run has taken some: ${settles.join(", ")}?`,
            why: "A lubricant settles in the first minutes; what is missing then is missing for good.",
          },
        ]
      : []),
    // a clock ticks: how it runs down tells of its teeth
    ...(hasTeeth && !isSprung
      ? [
          {
            check: "listen",
            asks: "Listened while it turns: no click once a turn?",
            why: "A click once a turn is a tooth, and comes back on the customer’s bench.",
          },
        ]
      : []),
    ...(settles.length || isSealed
      ? [
          {
            check: "seepage",
            asks: "Seepage looked for after the run, cold again, and wiped?",
            why: "What seeps now drips at home.",
            listenFor:
              "A film at a parting line is what was packed too full: wipe it, and look once more. " +
              "A drop that comes back is a seal.",
          },
        ]
      : []),
  ];
}

/** How long a run that is asked for has gone on, against how long it is asked to. */
export interface RunTime {
  /** the earliest moment at which it can have begun, ISO 8601 */
  readonly from: string;
  readonly minutesLeft: number;
}

/**
 * Time that a timed check still has to run: a run cannot have begun before what comes before the first run
 * was answered. One run may serve several checks.
 *
 * @param now ISO 8601
 * @returns undefined: it has no time to keep, has had it, or nobody knows when it began
 */
export function runTime(
  check: FinalCheck,
  checks: readonly FinalCheck[],
  answeredAt: (check: FinalCheck) => string | undefined,
  now: string,
): RunTime | undefined {
  if (check.minutes === undefined) return undefined;
  const first = checks.findIndex((c) => c.minutes !== undefined);
  const before = checks.slice(0, first).flatMap((c) => answeredAt(c) ?? []);
  const from = before.sort().at(-1);
  if (from === undefined) return undefined;
  const minutesLeft = check.minutes - (Date.parse(now) - Date.parse(from)) / 60_000;
  return minutesLeft > 0 ? { from, minutesLeft } : undefined;
}
