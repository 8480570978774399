import type { Gear } from "@/core/gear/index";
import { bearingNamed, sharesTheGrease } from "@/core/hardware/bench/bearings";
import type { Arrival } from "@/core/job/bought";
import type { Job } from "@/core/job/job";
import { partNamed } from "@/core/job/part";
import { bodyAsked, sizesAsked } from "@/core/job/part-sizes";
import type { Rework } from "@/core/match/arrival/arrival";
import { type CompareItem, spanKey, whatToCompare } from "@/core/match/arrival/arrival";
import { pictureOf } from "@/core/match/arrival/arrival-picture";
import type { Criterion } from "@/core/match/candidates/verdict";
import type { CataloguePart } from "@/core/match/catalogue/catalogue-part";
import { isToothed, soldGear } from "@/core/match/catalogue/part-spec";
import { partsNumbered } from "@/store/catalogue";
import { candidatesOf, type PartCandidates } from "../job-view/job-candidates";
import { partMean, toldOf } from "../job-view/part-facts";

/** A part that came, with what it is to be compared in. */
export interface ArrivedPart extends Arrival {
  readonly name: string;
  readonly kind: string;
  /** the part of the unit it goes in for */
  readonly inPlaceOf: string | undefined;
  readonly items: readonly CompareItem[];
  /** what the match said must be done to it before it goes in */
  readonly planned: readonly Rework[];
  /** for the gear face: the old gear as it was measured, the new one as it is sold */
  readonly faces: { readonly old: Gear | null; readonly sold: Gear } | null;
  readonly pictures: readonly { readonly sha256: string; readonly name: string }[];
  /** of the old part, as it came off */
  readonly oldPicture: string | undefined;
}

export async function arrivedParts(job: Job): Promise<ArrivedPart[]> {
  const waiting = job.arrivals.filter((a) => a.decision !== "stock");
  const parts = new Map((await partsNumbered(waiting.map((a) => a.number))).map((p) => [p.number, p]));
  const candidates = await candidatesOf(job);
  return waiting.map((a) => {
    const part = parts.get(a.number);
    return {
      ...a,
      name: part?.name ?? a.number,
      kind: part?.spec.kind ?? "other",
      inPlaceOf: a.part && partNamed(job, a.part),
      items: part ? whatToCompare(part.spec, a.part ? oldFigures(job, a.part) : {}) : [],
      planned:
        part && a.part
          ? plannedFor(
              part,
              candidates.find((c) => c.id === a.part),
            )
          : [],
      faces:
        part?.spec.kind === "gear" && isToothed(part.spec)
          ? { old: oldGear(job, a.part), sold: soldGear(part.spec) }
          : null,
      oldPicture: a.part
        ? job.pictures.find(
            (p) =>
              p.step !== undefined &&
              job.steps.find((s) => s.id === p.step)?.parts?.includes(a.part as string),
          )?.sha256
        : undefined,
      pictures: job.pictures
        .filter((p) => p.part === pictureOf(a))
        .map((p) => ({ sha256: p.sha256, name: p.name })),
    };
  });
}

const oldGear = (job: Job, part: string | undefined): Gear | null =>
  job.findings.find((f) => f.part === part)?.identity ?? null;

/** What was found on the old part, by the keys of a specification. */
function oldFigures(job: Job, part: string): Record<string, string> {
  const out: Record<string, string> = {};
  const f = job.findings.find((x) => x.part === part);
  const reading = (what: string): string | undefined => partMean(job, part, what)?.value.toFixed(2);
  const put = (key: string, value: string | number | undefined): void => {
    if (value !== undefined) out[key] = String(value);
  };
  put("teeth", f?.identity?.teeth ?? f?.gear.teeth);
  put("hand", f?.gear.hand);
  put("boreForm", f?.gear.boreForm);
  put("helixAngleDeg", f?.identity?.helixAngleDeg);
  put("tipDiameterMm", reading("tip diameter"));
  put("boreMm", reading("bore"));
  put("faceWidthMm", reading("face width"));
  for (const r of job.readings)
    if (r.part === part && r.what === "span" && r.teeth)
      put(spanKey(r.teeth), partMean(job, part, "span", r.teeth)?.value.toFixed(2));
  const own = job.parts.find((p) => p.id === part);
  const asked = own?.kind === "gear" ? bodyAsked(f?.gear.kind, f?.gear.boreForm) : sizesAsked(own?.kind);
  for (const s of asked?.sizes ?? []) put(s.key, reading(s.what));
  for (const l of asked?.looks ?? []) put(l.key, f?.gear.looks?.[l.key]);
  put("material", job.parts.find((p) => p.id === part)?.material);
  const told = toldOf(job, part);
  const bearing = own?.kind === "bearing" ? bearingNamed(told) : null;
  if (bearing) {
    put("insideMm", bearing.boreMm);
    put("outsideMm", bearing.outsideMm);
    put("widthMm", bearing.widthMm);
    put("closure", bearing.closure ?? (sharesTheGrease(told) ? "one seal pulled" : undefined));
  }
  return out;
}

const SERVICE_FOR: Readonly<Record<string, Rework["do"]>> = {
  bore: "ream",
  closure: "pull-seal",
  "mounting distance": "shim",
};

/** What is short is made up for, what is long is cut. */
const serviceFor = (c: Criterion): Rework["do"] =>
  SERVICE_FOR[c.criterion] ?? (c.says.startsWith("a spacer") ? "shim" : "cut");

/** What the match said is to be done to it: a bore to ream, a seal to pull. */
function plannedFor(part: CataloguePart, candidates: PartCandidates | undefined): Rework[] {
  const candidate = candidates?.candidates.find((c) => c.part.number === part.number);
  return (candidate?.criteria ?? [])
    .filter((c) => c.verdict === "rework")
    .map((c) => ({ do: serviceFor(c), note: c.says }));
}
