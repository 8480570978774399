import {
  counted,
  kindKey,
  type Learned,
  type LearnedSince,
  learnedPriors,
  type Verdict,
} from "../judge/learned";

/** What the shop's finished jobs tell, worked out of what was written down while they were done. */

/** A job that went home, as far as the record asks of it. */
export interface PastJob {
  readonly number: string;
  readonly kind: string;
  readonly maker: string;
  readonly model: string;
  readonly takenIn: string;
  /** days are counted by it; ISO 8601 */
  readonly handedBackAt: string;
  readonly warrantyOf?: string | undefined;
  readonly complaint: string;
  /** of the unit, as the customer said, years */
  readonly years?: number | undefined;
  readonly causes: readonly string[];
  /** parts that failed, with how and what went in */
  readonly failed: readonly {
    readonly name: string;
    /** what it was said to be */
    readonly kind?: string;
    readonly mode: string;
    readonly chosen?: string | undefined;
  }[];
  readonly arrived: readonly {
    readonly number: string;
    readonly supplier: string;
    readonly decision: string;
  }[];
  /** minutes that the strip was timed at, and between the first and the last line of work */
  readonly planned: number;
  readonly real?: number | undefined;
}

const DAY_MS = 86_400_000;
const daysBetween = (a: string, b: string): number =>
  Math.max(0, Math.round((Date.parse(b) - Date.parse(a)) / DAY_MS));
const median = (xs: readonly number[]): number | null => {
  const sorted = [...xs].sort((a, b) => a - b);
  const n = sorted.length;
  return n ? ((sorted[(n - 1) >> 1] as number) + (sorted[n >> 1] as number)) / 2 : null;
};
const modelOf = (j: Pick<PastJob, "maker" | "model" | "kind">): string =>
  `${j.maker} ${j.model}`.trim() || j.kind;

/** A job that came back within its warranty, beside the one it came back from. */
export interface Comeback {
  readonly number: string;
  readonly of: string;
  readonly unit: string;
  /** days at home */
  readonly days: number | null;
  readonly complaint: string;
  /** whether the same part had failed before */
  readonly samePart: string | null;
  readonly causes: readonly string[];
}

/**
 * What came back within its warranty, the quickest first: after how long, of what, and whether it was the
 * same part.
 */
export function comebacks(jobs: readonly PastJob[]): Comeback[] {
  const byNumber = new Map(jobs.map((j) => [j.number, j]));
  return jobs
    .flatMap((j): Comeback[] => {
      if (!j.warrantyOf) return [];
      const first = byNumber.get(j.warrantyOf);
      const same = j.failed.find((f) =>
        first?.failed.some((x) => x.name.toLowerCase() === f.name.toLowerCase()),
      );
      return [
        {
          number: j.number,
          of: j.warrantyOf,
          unit: modelOf(j),
          days: first ? daysBetween(first.handedBackAt, j.takenIn) : null,
          complaint: j.complaint,
          samePart: same?.name ?? null,
          causes: j.causes,
        },
      ];
    })
    .sort((a, b) => (a.days ?? Number.POSITIVE_INFINITY) - (b.days ?? Number.POSITIVE_INFINITY));
}

export interface FailedPart {
  readonly unit: string;
  readonly part: string;
  readonly times: number;
  /** of so many units of this model that were here */
  readonly units: number;
  /** how it failed most often */
  readonly mode: string;
  /** middle age of the unit when it failed, years; null: nobody asked */
  readonly years: number | null;
}

/** Which part of which model fails, most often first; of one unit that came twice each time counts. */
export function failures(jobs: readonly PastJob[]): FailedPart[] {
  const units = new Map<string, number>();
  for (const j of jobs) units.set(modelOf(j), (units.get(modelOf(j)) ?? 0) + 1);
  const found = new Map<string, { unit: string; part: string; modes: string[]; years: number[] }>();
  for (const j of jobs)
    for (const f of j.failed) {
      const key = `${modelOf(j)}\n${f.name.toLowerCase()}`;
      const known = found.get(key) ?? { unit: modelOf(j), part: f.name, modes: [], years: [] };
      known.modes.push(f.mode);
      if (j.years !== undefined) known.years.push(j.years);
      found.set(key, known);
    }
  return [...found.values()]
    .map(({ unit, part, modes, years }) => ({
      unit,
      part,
      times: modes.length,
      units: units.get(unit) ?? 0,
      mode: mostOf(modes),
      years: median(years),
    }))
    .sort((a, b) => b.times - a.times || a.unit.localeCompare(b.unit) || a.part.localeCompare(b.part));
}

function mostOf(words: readonly string[]): string {
  const count = new Map<string, number>();
  for (const w of words) count.set(w, (count.get(w) ?? 0) + 1);
  return [...count].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]))[0]?.[0] ?? "";
}

export interface SupplierRecord {
  readonly supplier: string;
  /** pieces that were compared and decided on */
  readonly pieces: number;
  readonly taken: number;
  readonly reworked: number;
  readonly sentBack: number;
  /** jobs with its parts that came back within their warranty */
  readonly cameBack: number;
}

/**
 * How the parts of every supplier did: taken as they were, reworked, sent back, and in jobs that came back.
 */
export function suppliersOf(jobs: readonly PastJob[]): SupplierRecord[] {
  const back = new Set(jobs.flatMap((j) => j.warrantyOf ?? []));
  const found = new Map<string, { decisions: string[]; cameBack: Set<string> }>();
  for (const j of jobs)
    for (const a of j.arrived) {
      const known = found.get(a.supplier) ?? { decisions: [], cameBack: new Set() };
      known.decisions.push(a.decision);
      if (back.has(j.number) && (a.decision === "accepted" || a.decision === "rework"))
        known.cameBack.add(j.number);
      found.set(a.supplier, known);
    }
  const of = (d: readonly string[], what: string): number => d.filter((x) => x === what).length;
  return [...found]
    .map(([supplier, { decisions, cameBack }]) => ({
      supplier,
      pieces: decisions.length,
      taken: of(decisions, "accepted"),
      reworked: of(decisions, "rework"),
      sentBack: of(decisions, "sent-back"),
      cameBack: cameBack.size,
    }))
    .sort((a, b) => b.pieces - a.pieces || a.supplier.localeCompare(b.supplier));
}

export interface TimeRecord {
  readonly unit: string;
  readonly jobs: number;
  /** middle of the minutes by the plan, and of those that it took */
  readonly planned: number;
  readonly real: number;
}

/** Minutes by the plan and by the clock, model by model; jobs without a clock are left out. */
export function times(jobs: readonly PastJob[]): TimeRecord[] {
  const found = new Map<string, { planned: number[]; real: number[] }>();
  for (const j of jobs) {
    if (j.real === undefined || j.planned <= 0) continue;
    const known = found.get(modelOf(j)) ?? { planned: [], real: [] };
    known.planned.push(j.planned);
    known.real.push(j.real);
    found.set(modelOf(j), known);
  }
  return [...found]
    .map(([unit, { planned, real }]) => ({
      unit,
      jobs: real.length,
      planned: median(planned) ?? 0,
      real: median(real) ?? 0,
    }))
    .sort((a, b) => b.jobs - a.jobs || a.unit.localeCompare(b.unit));
}

/** What verdicts on one kind of unit tell of the next. */
export interface LearnedKind {
  readonly kind: string;
  /** verdicts that count */
  readonly verdicts: number;
  /** nothing that went home before it counts */
  readonly since?: string;
  /** causes that were named, the most often first */
  readonly causes: readonly Learned[];
}

/** What the shop's own verdicts make of the odds, kind by kind. */
export function learnedKinds(jobs: readonly PastJob[], since: LearnedSince): LearnedKind[] {
  const cameBack = new Set(jobs.flatMap((j) => j.warrantyOf ?? []));
  const kinds = new Map<string, { kind: string; verdicts: Verdict[] }>();
  for (const j of jobs) {
    if (!j.kind.trim() || !j.causes.length) continue;
    const own = kinds.get(kindKey(j.kind)) ?? { kind: j.kind.trim(), verdicts: [] };
    own.verdicts.push({
      model: j.model,
      causes: j.causes,
      cameBack: cameBack.has(j.number),
      on: j.handedBackAt,
    });
    kinds.set(kindKey(j.kind), own);
  }
  return [...kinds.values()].map(({ kind, verdicts }) => {
    const own = counted(verdicts, kind, since);
    const from = since[kindKey(kind)];
    return {
      kind,
      verdicts: own.length,
      ...(from ? { since: from } : {}),
      // of no model in particular: all of the kind weigh alike
      causes: learnedPriors(own, "")
        .filter((l) => l.n > 0)
        .sort((a, b) => b.n - a.n),
    };
  });
}
