import { type Charge, freeVolumeMl, gramsOnTeeth, greaseCharge } from "@/core/grease/charge";
import { chooseGrease, type GreaseNeed, type GreaseVerdict } from "@/core/grease/choose";
import type { Lubricant } from "@/core/grease/lubricant";
import { THICKENERS } from "@/core/grease/thickeners";
import { plasticFamily } from "@/core/hardware/material";
import type { Job } from "@/core/job/job";
import { partNamed } from "@/core/job/part";
import type { LubePoint } from "@/core/job/service";

export interface GreasePlan {
  readonly verdicts: readonly GreaseVerdict[];
  /** null until the inside of the case is measured */
  readonly freeMl: number | null;
  readonly charge: Charge | null;
  /** the points for the chosen or best grease, their grams summing up to the charge */
  readonly points: readonly Omit<LubePoint, "id">[];
  /** what was taken for granted */
  readonly assumed: readonly string[];
}

const rounded = (g: number): number => Math.round(g * 10) / 10;

/** What the unit asks of a grease: from its parts' materials and what is known of the old one. */
export function needOf(job: Job): GreaseNeed {
  const materials = new Set([...job.parts.flatMap((p) => p.material ?? []), ...(job.caseMaterials ?? [])]);
  const old = job.washed ? null : (THICKENERS.find((t) => t === job.greaseOld) ?? "unknown");
  return {
    foodContact: job.foodContact,
    place: "closed-case",
    plastics: [...new Set([...materials].flatMap((m) => plasticFamily(m) ?? []))],
    elastomers: ["NBR", "EPDM", "FKM"].filter((m) => materials.has(m)),
    old,
    hottestC: 70,
  };
}

/** The step that opens the gear case: the last cover that comes off before the first gear. */
export function caseStep(job: Job): string | undefined {
  const kindOf = (id: string): string | undefined => job.parts.find((p) => p.id === id)?.kind;
  const gearAt = job.steps.findIndex((s) => s.parts?.some((p) => kindOf(p) === "gear"));
  const before = job.steps.slice(0, gearAt < 0 ? job.steps.length : gearAt);
  return (before.findLast((s) => s.parts?.some((p) => kindOf(p) === "cover")) ?? before.findLast((s) => s.action !== "note" && s.action !== "block"))?.id;
}

/** Which grease, how many grams in all and at each point, with the reasons. */
export function greasePlan(job: Job, shelf: readonly Lubricant[]): GreasePlan {
  const verdicts = chooseGrease(needOf(job), shelf);
  const chosen = shelf.find((l) => l.id === job.lubricant) ?? verdicts.find((v) => v.ok)?.lubricant;
  const assumed = ["pitch-line speed below 5 m/s", "hottest part 70 °C"];
  const gears = job.findings.flatMap((f) => {
    const width = job.readings.findLast((r) => r.part === f.part && r.what === "face width")?.value;
    if (f.identity && width === undefined) assumed.push(`face of the ${partNamed(job, f.part)} 10 mm: not measured`);
    return f.identity ? [{ part: f.part, gear: f.identity, faceWidthMm: width ?? 10 }] : [];
  });
  if (!job.caseInside) return { verdicts, freeMl: null, charge: null, points: [], assumed };
  const freeMl = freeVolumeMl(job.caseInside, gears);
  const density = chosen?.densityGPerMl;
  const charge = greaseCharge({ freeVolumeMl: freeMl, school: job.fillSchool, pitchLineSpeed: 1, densityGPerMl: density, makersGrams: job.makersGrams });
  const onTeeth = gears.map((g) => ({
    part: g.part,
    when: "after-fit" as const,
    grams: rounded(Math.min(gramsOnTeeth(g.gear, g.faceWidthMm, density), charge.grams / 2)),
    where: `teeth of the ${partNamed(job, g.part)}`,
  }));
  const rest = rounded(charge.grams - onTeeth.reduce((sum, p) => sum + p.grams, 0));
  const reachedBy = caseStep(job);
  return {
    verdicts,
    freeMl,
    charge,
    assumed,
    points: [...onTeeth, ...(reachedBy && rest > 0 ? [{ reachedBy, grams: rest, where: "gear case, before its cover" }] : [])],
  };
}
