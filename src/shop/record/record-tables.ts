import { modeNamed } from "@/core/judge/failure-modes";
import type { LearnedSince } from "@/core/judge/learned";
import { ROOTS } from "@/core/judge/roots";
import { comebacks, failures, learnedKinds, type PastJob, suppliersOf, times } from "@/core/record/record";

/** A table of the record: its name in addresses, what it is called, its headings and its cells. */
export interface RecordTable {
  readonly table: string;
  readonly title: string;
  readonly none: string;
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** column whose figures are drawn as bars */
  readonly bars?: number;
}

const causeSays = (c: string): string => ROOTS.find((r) => r.cause === c)?.says ?? c;
const figure = (x: number | null): string => (x === null ? "" : String(Math.round(x * 10) / 10));

const percent = (p: number): string => String(Number((100 * p).toFixed(1)));

/** Everything the record shows, each as a table that can be saved. */
export function recordTables(jobs: readonly PastJob[], since: LearnedSince = {}): RecordTable[] {
  const kinds = learnedKinds(jobs, since);
  return [
    {
      table: "comebacks",
      title: "Came back within the warranty",
      none: "Nothing came back within its warranty.",
      head: ["Job", "of", "Unit", "days at home", "Complaint", "the same part", "Why"],
      rows: comebacks(jobs).map((c) => [
        c.number,
        c.of,
        c.unit,
        figure(c.days),
        c.complaint,
        c.samePart ?? "",
        c.causes.map(causeSays).join("; "),
      ]),
    },
    {
      table: "failures",
      title: "What fails, of which model",
      none: "No part was judged to have failed in a job that went home.",
      head: ["Model", "Part", "times", "of so many units", "how", "middle age of the unit, years"],
      rows: failures(jobs).map((f) => [
        f.unit,
        f.part,
        String(f.times),
        String(f.units),
        modeNamed(f.mode)?.says ?? f.mode,
        figure(f.years),
      ]),
      bars: 2,
    },
    {
      table: "causes",
      title: "What began it, kind by kind",
      none: kinds.length
        ? "No verdict counts: all that were given lie before their kind was started afresh."
        : "No job that went home was judged to have failed of anything.",
      head: ["Kind", "What began it", "times", "of verdicts", "odds from them, %", "without them, %"],
      rows: kinds.flatMap(({ kind, causes }) =>
        causes.map((c) => [
          kind,
          causeSays(c.cause),
          String(c.n),
          String(c.m),
          percent(c.prior),
          percent(c.shipped),
        ]),
      ),
      bars: 2,
    },
    {
      table: "suppliers",
      title: "Parts, supplier by supplier",
      none: "No part that came was compared yet.",
      head: ["Supplier", "pieces", "taken as they came", "reworked", "sent back", "jobs that came back"],
      rows: suppliersOf(jobs).map((s) =>
        [s.supplier, s.pieces, s.taken, s.reworked, s.sentBack, s.cameBack].map(String),
      ),
      bars: 1,
    },
    {
      table: "times",
      title: "Minutes, by the plan and by the clock",
      none: "No job that went home was timed.",
      head: ["Model", "jobs", "planned, min", "real, min", "real for one planned"],
      rows: times(jobs).map((t) => [
        t.unit,
        String(t.jobs),
        figure(t.planned),
        figure(t.real),
        figure(t.real / t.planned),
      ]),
      bars: 3,
    },
  ];
}
