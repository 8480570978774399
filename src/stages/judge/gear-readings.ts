import type { IdentifyInput } from "@/core/gear/index";
import { tipDiameterFromFlatJaws } from "@/core/gear/index";
import { type Measured, meanOf } from "@/core/quantity/measured";
import type { Job, Reading } from "@/store/job";

/** The caliper's own spread of one reading, mm. */
const U: Readonly<Record<string, number>> = { "tip diameter": 0.03, "root diameter": 0.05 };
const DEFAULT_U = 0.02;

export interface MeanReading extends Measured {
  readonly what: string;
  readonly teeth?: number;
  readonly count: number;
  readonly source: string;
}

/** The readings of a part, those of one dimension averaged. */
export function meanReadings(readings: readonly Reading[], part: string): MeanReading[] {
  const groups = new Map<string, Reading[]>();
  for (const r of readings) if (r.part === part) groups.set(`${r.what}|${r.teeth ?? ""}`, [...(groups.get(`${r.what}|${r.teeth ?? ""}`) ?? []), r]);
  return [...groups.values()].map((group) => {
    const first = group[0] as Reading;
    const own = first.u ?? U[first.what] ?? DEFAULT_U;
    return {
      what: first.what,
      ...(first.teeth === undefined ? {} : { teeth: first.teeth }),
      ...meanOf(
        group.map((r) => r.value),
        own,
      ),
      count: group.length,
      source: [...new Set(group.map((r) => r.source))].join(", "),
    };
  });
}

/** A part's readings as the question to `identifyGear`, or null while there is too little. */
export function identifyInputOf(job: Pick<Job, "findings" | "readings">, part: string): IdentifyInput | null {
  const notes = job.findings.find((f) => f.part === part)?.gear ?? {};
  const means = meanReadings(job.readings, part);
  const one = (what: string): MeanReading | undefined => means.find((m) => m.what === what);
  const tip = one("tip diameter");
  const root = one("root diameter");
  const helix = one("helix angle");
  const spans = means.filter((m) => m.what === "span" && m.teeth !== undefined).map((m) => ({ teeth: m.teeth as number, value: m.value, u: m.u }));
  const lengths = spans.length + (tip ? 1 : 0) + (root ? 1 : 0);
  if (lengths === 0 || (notes.teeth === undefined && lengths < 2)) return null;
  const plain = (m: Measured): Measured => ({ value: m.value, u: m.u });
  return {
    kind: notes.kind ?? "spur",
    teeth: notes.teeth ?? null,
    // flat jaws across an odd count read short
    ...(tip ? { tipDiameter: notes.teeth === undefined ? plain(tip) : tipDiameterFromFlatJaws(plain(tip), notes.teeth) } : {}),
    ...(root ? { rootDiameter: plain(root) } : {}),
    spans,
    ...(helix ? { helixAngle: plain(helix) } : {}),
    ...(notes.hand ? { hand: notes.hand } : {}),
    ...(notes.tipsWorn ? { tipsWorn: true } : {}),
  };
}
