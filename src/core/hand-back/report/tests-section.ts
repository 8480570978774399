import type { Answer } from "../../job/answer";
import { DOES_NOT_APPLY, finalKey } from "../../job/keys";
import type { FinalCheck } from "../final-check";
import { finalChecks } from "../final-checks";
import { type Section, type TestRow, words } from "./blocks";
import { inUnits } from "./in-units";
import type { ReportInput } from "./report-input";

interface Asked {
  readonly c: FinalCheck;
  readonly a: Answer | undefined;
}

/** What the unit was tested by: what it does not have was not tested, what became of things is said below. */
const askedOf = ({ job, shop }: ReportInput): Asked[] =>
  finalChecks(job, shop.limits)
    .filter((c) => !c.each && !c.choices)
    .map((c) => ({ c, a: job.answers.find((x) => x.question === finalKey(c.check)) }))
    .filter(({ a }) => a?.answer !== DOES_NOT_APPLY);

/** The instrument's range ended there. */
const RANGE_END = /(?:; )?read as > .*, the end of its range$/;
/** A limit with where it comes from: on the customer's page it stands alone. */
const SOURCE = /^(Limit: [^,;]+)(?:, [^;]+(?:; the local code decides)?)?/;
/** A run that had its time says nothing more. */
const RAN = /^ran [\d.]+ min$/;
/** What a customer looks for: figures, what it was brought in for, its own work, and what was left out. */
const isTold = ({ c, a }: Asked): boolean =>
  a !== undefined &&
  (a.answer !== "yes" ||
    a.value !== undefined ||
    (a.note !== undefined && !RAN.test(a.note)) ||
    c.told === true);

/**
 * The tests on the customer's page: each figure with its limit and its instrument, what it was brought in
 * for; the others are counted. The annex has them one by one, with their times.
 */
export function testsOf(input: ReportInput): Section {
  const asked = askedOf(input);
  const { title, rows } = titled(input, asked);
  const told = rows
    .filter((_, i) => isTold(asked[i] as Asked))
    .map(({ asks, answer, under }) =>
      under && !RAN.test(under) ? { asks, answer, under: under.replace(SOURCE, "$1") } : { asks, answer },
    );
  const passed = asked.filter((x) => x.a && !isTold(x)).length;
  const open = asked.filter(({ a }) => !a).length;
  if (open === asked.length) return { title, blocks: words(open ? "Not tested yet." : undefined) };
  return {
    title,
    blocks: [
      ...(told.length || passed > 0
        ? [{ is: "tests" as const, tests: [...told, ...counted(passed, told.length > 0)] }]
        : []),
      ...words(open > 0 ? `${checks(open, false)} still open.` : undefined),
    ],
  };
}

const counted = (passed: number, more: boolean): readonly TestRow[] =>
  passed > 0 ? [{ asks: checks(passed, more), answer: "✓ passed" }] : [];

const checks = (n: number, more: boolean): string =>
  `${n === 1 ? "One" : n}${more ? " more" : ""} ${n === 1 ? "check" : "checks"}`;

/** All tests with their figures, limits, instruments and times, for the next shop. */
export function allTests(input: ReportInput): Section[] {
  const asked = askedOf(input);
  return asked.some((x) => x.a)
    ? [{ title: "All tests", blocks: [{ is: "tests", tests: titled(input, asked).rows }] }]
    : [];
}

function titled(
  { units, day, time }: ReportInput,
  asked: readonly Asked[],
): { readonly title: string; readonly rows: readonly TestRow[] } {
  const days = new Set(asked.flatMap(({ a }) => (a ? [day(a.at)] : [])));
  const rows = asked.map(({ c, a }): TestRow => {
    const answer = !a
      ? "open"
      : a.value !== undefined
        ? `${RANGE_END.test(a.note ?? "") ? "> " : ""}${inUnits(a.value, a.unit ?? "", units)}`
        : a.answer === "yes"
          ? "✓ yes"
          : "left out";
    const note = a?.note?.replace(RANGE_END, "");
    const under = [note && (a?.value === undefined ? note : `Limit: ${note}`), a?.instrument]
      .filter(Boolean)
      .join("; ");
    return {
      asks: c.asks.replace(/\?$/, ""),
      answer,
      ...(a ? { at: time(a.at, days.size > 1) } : {}),
      ...(under ? { under } : {}),
    };
  });
  const [only] = days;
  return { title: days.size === 1 ? `Tests, ${only}` : "Tests", rows };
}
