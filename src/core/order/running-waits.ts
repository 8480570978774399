import { curedKey } from "../job/keys";
import { lineKey } from "./rebuild-line";
import type { RebuildPlan } from "./rebuild-plan";

/** Something that was begun and needs its time: glue, a soak, locker. */
export interface RunningWait {
  /** key of the line with which it began */
  readonly line: string;
  readonly n: number;
  readonly why: string;
  /** when it is over, ISO 8601 */
  readonly until: string;
  readonly minutesLeft: number;
  /** the step that cannot go back before; left out: it must be over before the unit runs */
  readonly holds?: string;
}

/** What is known of a job's lines: which are done, when, and what somebody said has set before its time. */
export interface LinesKnown {
  readonly linesDone: readonly string[];
  readonly linesAt?: Readonly<Record<string, string>> | undefined;
  readonly answers: readonly { readonly question: string }[];
}

/**
 * The waits of a plan that run at this moment: begun, not over, and not said to have set. What was done at a
 * moment that nobody knows is taken to have had its time.
 *
 * @param now ISO 8601
 * @returns what is over first comes first
 */
export function runningWaits(
  plan: Pick<RebuildPlan, "steps" | "waits">,
  { linesDone, linesAt, answers }: LinesKnown,
  now: string,
): RunningWait[] {
  const done = new Set(linesDone);
  const said = new Set(answers.map((a) => a.question));
  return plan.waits
    .flatMap(({ after, minutes, why, holds }): RunningWait[] => {
      const begun = plan.steps[after - 1];
      const line = begun && lineKey(begun);
      const at =
        line === undefined || !done.has(line) || said.has(curedKey(line)) ? undefined : linesAt?.[line];
      if (line === undefined || at === undefined) return [];
      const over = Date.parse(at) + minutes * 60_000;
      const minutesLeft = Math.ceil((over - Date.parse(now)) / 60_000);
      return minutesLeft > 0
        ? [
            {
              line,
              n: after,
              why,
              until: new Date(over).toISOString(),
              minutesLeft,
              ...(holds === undefined ? {} : { holds }),
            },
          ]
        : [];
    })
    .sort((a, b) => a.minutesLeft - b.minutesLeft);
}

/** Minutes as they are said. @example minutesInWords(1500) // "1 day 1 h" */
export function minutesInWords(minutes: number): string {
  const [days, hours, rest] = [
    Math.floor(minutes / 1440),
    Math.floor((minutes % 1440) / 60),
    Math.round(minutes % 60),
  ];
  const said = [
    days ? `${days} ${days === 1 ? "day" : "days"}` : "",
    hours ? `${hours} h` : "",
    !days && rest ? `${rest} min` : "",
  ].filter(Boolean);
  return said.join(" ") || "less than a minute";
}
