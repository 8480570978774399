import type { CataloguePart, RingSpec } from "./catalogue-part";
import { gearVerdict, type WantedGear } from "./gear-verdict";
import { type Criterion, criterion, type PartVerdict, wholeVerdict } from "./verdict";

/** What is looked for: a gear by its identity, a bearing or seal by its size, anything else by its name. */
export type Wanted =
  | { readonly what: "gear"; readonly gear: WantedGear }
  | { readonly what: "bearing" | "seal"; readonly size: Omit<RingSpec, "kind"> }
  | { readonly what: "named"; readonly name: string };

export interface Candidate {
  readonly part: CataloguePart;
  readonly verdict: PartVerdict;
  readonly criteria: readonly Criterion[];
}

const ORDER: readonly PartVerdict[] = ["drop-in", "possible", "with-rework", "with-companions", "no"];

/**
 * Every catalogue part of the right kind with its verdict, best first; among equals the one for this model, then the one that differs least, then
 * what is in stock, then the cheaper.
 *
 * @param fitsModel maker and model of the unit, as the catalogue writes them
 */
export function rankCandidates(wanted: Wanted, catalogue: readonly CataloguePart[], fitsModel: string): Candidate[] {
  const out: Candidate[] = [];
  for (const part of catalogue) {
    const criteria = criteriaFor(wanted, part);
    if (!criteria) continue;
    if (fitsModel && part.fits.length)
      criteria.push(
        criterion(
          "sold for",
          fitsModel,
          part.fits.join(", "),
          "–",
          part.fits.includes(fitsModel) ? "same" : "fits",
          part.fits.includes(fitsModel) ? "listed for this model" : "listed for another model: go by the measures",
        ),
      );
    out.push({ part, criteria, verdict: wholeVerdict(criteria) });
  }
  const listed = (c: Candidate): number => (c.part.fits.includes(fitsModel) ? 0 : 1);
  const differences = (c: Candidate): number => c.criteria.filter((k) => k.verdict !== "same").length;
  const misses = (c: Candidate): number => c.criteria.filter((k) => k.verdict === "no").length;
  return out.sort(
    (a, b) =>
      ORDER.indexOf(a.verdict) - ORDER.indexOf(b.verdict) ||
      misses(a) - misses(b) ||
      listed(a) - listed(b) ||
      differences(a) - differences(b) ||
      Number(b.part.stock > 0) - Number(a.part.stock > 0) ||
      a.part.price - b.part.price ||
      (a.part.number < b.part.number ? -1 : 1),
  );
}

function criteriaFor(wanted: Wanted, part: CataloguePart): Criterion[] | null {
  const { spec } = part;
  if (wanted.what === "gear") return spec.kind === "gear" ? gearVerdict(wanted.gear, spec, part.needsAlso.length > 0) : null;
  if (wanted.what === "named")
    return sharesAWord(wanted.name, part.name)
      ? [criterion("name", wanted.name, part.name, "–", "settle", "matched by its name alone: compare it with the old one")]
      : null;
  if (spec.kind !== wanted.what) return null;
  const size = wanted.size;
  const same = (name: string, w: number, o: number): Criterion =>
    criterion(name, `${w} mm`, `${o} mm`, "0.05 mm", Math.abs(w - o) <= 0.05 ? "same" : "no", Math.abs(w - o) <= 0.05 ? "within tolerance" : "another size");
  const criteria = [same("bore", size.insideMm, spec.insideMm), same("outside", size.outsideMm, spec.outsideMm), same("width", size.widthMm, spec.widthMm)];
  if (wanted.what === "bearing" && size.closure) criteria.push(closureCriterion(size.closure, spec.closure ?? "open"));
  return criteria;
}

/** Open, or one seal pulled: a seal that faces a greased case keeps the case's grease out of the bearing. */
function closureCriterion(wanted: string, offered: string): Criterion {
  if (wanted === offered) return criterion("closure", wanted, offered, "–", "same", "closed as it was");
  if (wanted === "open" || wanted === "RS")
    return criterion(
      "closure",
      wanted,
      offered,
      "–",
      offered === "2RS" || offered === "2Z" ? "rework" : "fits",
      "pull the seal that faces the case, so that its grease can enter",
    );
  return criterion(
    "closure",
    wanted,
    offered,
    "–",
    offered === "2RS" ? "fits" : "no",
    offered === "2RS" ? "sealed instead of shielded: it keeps its grease better" : "open where it was closed: dirt gets in",
  );
}

const words = (s: string): string[] => s.toLowerCase().match(/[a-z]{4,}/g) ?? [];
const sharesAWord = (a: string, b: string): boolean => words(a).some((w) => words(b).includes(w));
