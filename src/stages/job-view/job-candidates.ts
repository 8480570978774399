import type { Job } from "@/core/job/job";
import { type Candidate, rankCandidates, type Wanted } from "@/core/match/candidates/rank";
import type { CataloguePart, SupplierOffer } from "@/core/match/catalogue/catalogue-part";
import { partsFor, partsNumbered } from "@/store/catalogue";
import { offersFor } from "@/store/offers";
import { wantedFor } from "./wanted-part";

/** The catalogue parts that could take the place of these parts of a job. */
export async function catalogueFor(job: Job, parts: readonly string[]): Promise<CataloguePart[]> {
  const found = new Map<string, CataloguePart>();
  for (const id of parts) {
    const wanted = wantedFor(job, id);
    if (!("missing" in wanted)) for (const p of await partsFor(wanted)) found.set(p.number, p);
  }
  return [...found.values()];
}

/** A part that goes back new: what is looked for in its place, and what there is. */
export interface PartCandidates {
  readonly id: string;
  readonly wanted: Wanted | { readonly missing: string };
  readonly candidates: readonly Candidate[];
  readonly chosen: CataloguePart | undefined;
  /** what suppliers ask for the candidates */
  readonly offers: readonly SupplierOffer[];
}

/**
 * Every part of a job that goes back new with its candidates, the gears with the tooth counts that were
 * chosen for their mates.
 */
export async function candidatesOf(job: Job): Promise<PartCandidates[]> {
  const chosen = await partsNumbered(job.findings.flatMap((f) => f.chosen ?? []));
  const numbered = new Map(chosen.map((p) => [p.number, p]));
  const teeth: Record<string, number> = {};
  for (const f of job.findings) {
    const spec = f.chosen ? numbered.get(f.chosen)?.spec : undefined;
    if (spec?.kind === "gear" && spec.teeth !== undefined) teeth[f.part] = spec.teeth;
  }
  const out: PartCandidates[] = [];
  for (const { id } of job.parts.filter((p) => p.renew)) {
    const wanted = wantedFor(job, id, teeth);
    const f = job.findings.find((x) => x.part === id);
    const among = "missing" in wanted ? [] : await partsFor(wanted);
    const offers = await offersFor(among.map((p) => p.number));
    const had = new Set(offers.filter((o) => o.stock !== 0).map((o) => o.number));
    out.push({
      id,
      wanted,
      offers,
      candidates: "missing" in wanted ? [] : rankCandidates(wanted, among, had),
      chosen: f?.chosen === undefined ? undefined : numbered.get(f.chosen),
    });
  }
  return out;
}
