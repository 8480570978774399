import { bearingNamed } from "../../hardware/bench/bearings";
import { measured } from "../../quantity/measured";
import {
  type CataloguePart,
  type GearSpec,
  isPair,
  type SoldKind,
  type UnitName,
} from "../catalogue/catalogue-part";
import { numberMatch, type Successor, successorsOf } from "../catalogue/part-number";
import { gearForm, isToothed } from "../catalogue/part-spec";
import { fitCriterion } from "./fits-unit";
import { gearVerdict } from "./gear-verdict";
import { bestInKit, type InKit, kitCriterion, openKit } from "./kit-verdict";
import { ringVerdict, type WantedRing } from "./ring-verdict";
import { isMeasured, isNearInSize, sizesVerdict, type WantedSizes } from "./sizes-verdict";
import { soldAsPair } from "./sold-as-pair";
import { type Criterion, criterion, type PartVerdict, wholeVerdict } from "./verdict";
import type { WantedGear } from "./wanted-gear";

/**
 * What is looked for: by its number, by the unit it is in, by a gear's identity, by a bearing's size, by its
 * name, or by all at once.
 */
export interface Wanted {
  /** as it stands on the part, in an old list, or as somebody said it */
  readonly number?: string;
  readonly unit?: UnitName;
  readonly kind?: SoldKind;
  readonly gear?: WantedGear;
  readonly ring?: WantedRing;
  /** of any other kind: what was measured and seen on it */
  readonly sizes?: WantedSizes;
  readonly name?: string;
}

export interface Candidate {
  readonly part: CataloguePart;
  readonly verdict: PartVerdict;
  readonly criteria: readonly Criterion[];
  /** of a kit: its pieces, each compared */
  readonly inside?: readonly InKit[];
}

/**
 * The number that goes in if a candidate is taken: its own, or that of the piece of a kit that takes the old
 * part's place.
 */
export const takenFrom = (c: Pick<Candidate, "part" | "inside">): string =>
  bestInKit(c.inside ?? [])?.number ?? c.part.number;

/** Tooth counts this far apart, as a share, are not looked at. */
const MOST_APART = 0.15;

const ORDER: readonly PartVerdict[] = ["drop-in", "with-rework", "with-companions", "possible", "no"];

/**
 * Every part that has anything to do with what is wanted, with a verdict on each criterion and on the whole;
 * the best first. Among equals: a part before a kit, the number that was asked for, the one sold for this
 * unit, the one that differs
 * least, what lies in the drawer, the cheaper.
 *
 * A part takes part when its number is the one asked for (written otherwise, misread, one sign off) or takes
 * its place; when it is a gear and a gear is wanted, a bearing of the kind wanted; when it is sold for the
 * unit and is of the
 * kind or bears its whole name; a kit that is sold for the unit is opened, and each of its pieces compared.
 *
 * @param offered numbers that suppliers still have
 */
export function rankCandidates(
  wanted: Wanted,
  catalogue: readonly CataloguePart[],
  offered: ReadonlySet<string> = new Set(),
): Candidate[] {
  const successors = new Map<string, Successor<CataloguePart>>();
  if (wanted.number) {
    const asked = wanted.number;
    const old = catalogue.filter((p) => numberMatch(asked, p.number)).map((p) => p.number);
    for (const number of [asked, ...old])
      for (const s of successorsOf(number, catalogue))
        if (!successors.has(s.part.number)) successors.set(s.part.number, s);
  }
  const byNumber = new Map(catalogue.map((p) => [p.number, p]));
  const out = catalogue.flatMap((part): Candidate[] => {
    const opened =
      part.spec.kind === "kit"
        ? openKit(
            part,
            byNumber,
            (p) => (isOther(wanted, p) ? null : measuresOf(wanted, p, byNumber)),
            wanted.unit?.variant,
          )
        : undefined;
    const criteria = criteriaFor(
      wanted,
      part,
      successors.get(part.number),
      byNumber,
      offered.has(part.number),
      opened,
    );
    return criteria
      ? [{ part, criteria, verdict: wholeVerdict(criteria), ...(opened?.length ? { inside: opened } : {}) }]
      : [];
  });
  return out
    .map((candidate) => ({ candidate, place: placeOf(candidate) }))
    .sort((a, b) => inOrder(a.place, b.place) || (a.candidate.part.number < b.candidate.part.number ? -1 : 1))
    .map(({ candidate }) => candidate);
}

/**
 * Where a candidate stands among others, the figure that decides first standing first; worked out once for
 * each.
 */
function placeOf({ part, verdict, criteria }: Candidate): readonly number[] {
  const said = (name: string): number => {
    const k = criteria.find((x) => x.criterion === name);
    return k?.verdict === "same" ? 0 : k ? 2 : 1;
  };
  const count = (which: (k: Criterion) => boolean): number =>
    criteria.reduce((n, k) => (which(k) ? n + 1 : n), 0);
  return [
    ORDER.indexOf(verdict),
    part.spec.kind === "kit" ? 1 : 0,
    count((k) => k.verdict === "no"),
    said("part number"),
    said("sold for"),
    count((k) => k.verdict !== "same"),
    part.stock > 0 ? 0 : 1,
    part.price,
  ];
}

const inOrder = (a: readonly number[], b: readonly number[]): number => {
  for (const [i, x] of a.entries()) if (x !== b[i]) return x - (b[i] ?? 0);
  return 0;
};

/** null: it has nothing to do with what is wanted. */
function criteriaFor(
  wanted: Wanted,
  part: CataloguePart,
  successor: Successor<CataloguePart> | undefined,
  byNumber: ReadonlyMap<string, CataloguePart>,
  offered: boolean,
  opened: readonly InKit[] | undefined,
): Criterion[] | null {
  const { spec } = part;
  const number = wanted.number ? numberCriterion(wanted, part, successor) : null;
  if (!number && isOther(wanted, part)) return null;
  const measures = measuresOf(wanted, part, byNumber);
  const fit = wanted.unit ? fitCriterion(part, wanted.unit, measures !== null) : null;
  const kindSame = wanted.kind === undefined || wanted.kind === spec.kind;
  const named = wanted.name !== undefined && isNamed(wanted.name, part.name);
  const listed = fit?.verdict === "same" || fit?.verdict === "settle";
  // what is sold as a kit, or as one with more on it, for this unit may well hold what is wanted
  const boxed =
    (spec.kind === "kit" || spec.kind === "other") &&
    (wanted.gear !== undefined || wanted.ring !== undefined);
  const byUnit =
    wanted.unit !== undefined &&
    listed &&
    (named || boxed || (wanted.name === undefined && wanted.kind !== undefined && kindSame));
  // a kind that tables learned to tell apart may stand in them as "other" still
  const byName = named && (kindSame || spec.kind === "other") && !wanted.gear && !wanted.ring;
  if (!number && !measures && !byUnit && !byName) return null;
  const { exact: sameNumber = false, ...numbered } = number ?? {};
  const out: Criterion[] = number ? [numbered as Criterion] : [];
  if (measures) out.push(...(sameNumber ? measures.map(byItsNumber) : measures));
  else if ((wanted.gear && spec.kind !== "gear") || (wanted.ring && spec.kind !== wanted.ring.kind)) {
    const kind = wanted.gear ? "gear" : (wanted.ring?.kind as string);
    if (opened) out.push(kitCriterion(part, opened, kind));
    else if (boxed)
      out.push(
        criterion(
          "kind",
          kind,
          spec.kind,
          "exact",
          "settle",
          `ask whether it comes with the ${kind}: the catalogue does not say what it is made of`,
        ),
      );
    else out.push(criterion("kind", kind, spec.kind, "exact", "no", `a ${spec.kind} is no ${kind}`));
  } else if (!number && !measures)
    out.push(
      criterion(
        "name",
        wanted.name ?? wanted.kind ?? "",
        part.name,
        "–",
        "settle",
        `matched by its ${wanted.name === undefined ? "kind" : "name"} alone: compare it with the old one`,
      ),
    );
  if (fit) out.push(fit);
  for (const n of part.needsAlso)
    out.push(
      criterion(
        "comes with",
        "nothing else",
        `${n.qty > 1 ? `${n.qty} × ` : ""}${n.number}`,
        "–",
        "companion",
        n.why || `only with ${n.number}`,
      ),
    );
  for (const s of part.incompatibleWith)
    out.push(
      criterion(
        "goes with it",
        s.number,
        "–",
        "–",
        "companion",
        `${s.number} cannot stay: ${s.why || "it does not go with this part"}`,
      ),
    );
  if (isPair(part) && !measures) out.push(soldAsPair());
  if (part.discontinued) out.push(lastOnes(part, offered, sameNumber));
  return out;
}

/** What is not known of one of two parts of one number needs no settling: the number stands for it. */
const byItsNumber = (k: Criterion): Criterion =>
  k.unknown && k.verdict === "settle"
    ? { ...k, verdict: "fits", says: "not compared: it bears the number of the old one" }
    : k;

/** What is no more made can be had as long as some are left, here or at a supplier's. */
function lastOnes(part: CataloguePart, offered: boolean, identical: boolean): Criterion {
  const same = identical ? "the very part, " : "";
  const says =
    part.stock > 0
      ? `${same}discontinued: these are the last`
      : offered
        ? `${same}discontinued: what suppliers have is the last`
        : `${same}discontinued, and none is left`;
  return criterion(
    "availability",
    "1",
    `${part.stock} in the drawer`,
    "–",
    part.stock > 0 || offered ? "fits" : "no",
    says,
  );
}

/**
 * A gear of quite another tooth count, or of another sort, is not what anybody means. Spur and helical are
 * told apart by their verdict.
 */
function isNear(wanted: WantedGear, offered: GearSpec): boolean {
  const sort = (form: string): string => (form === "helical" ? "spur" : form);
  const sameSort = !wanted.form || sort(wanted.form) === sort(gearForm(offered));
  const { teeth = 0 } = ofThePair(wanted, offered);
  return sameSort && Math.abs(teeth / measured(wanted.teeth, 0).value - 1) <= MOST_APART;
}

/**
 * Of a pair that is sold under one number: the gear that is meant. Its figures are those of the one it is
 * named by; of the other its count and hand follow, and nothing more is told.
 */
function ofThePair(wanted: WantedGear, sold: GearSpec): GearSpec {
  const { teeth, mateTeeth, soldAs, kind, form, moduleMm, pressureAngleDeg, helixAngleDeg, bevelTeeth } =
    sold;
  if (soldAs !== "pair" || teeth === undefined || mateTeeth === undefined) return sold;
  const asked = measured(wanted.teeth, 0).value;
  if (Math.abs(asked - teeth) <= Math.abs(asked - mateTeeth)) return sold;
  return {
    kind,
    form,
    moduleMm,
    pressureAngleDeg,
    helixAngleDeg,
    bevelTeeth,
    soldAs,
    teeth: mateTeeth,
    mateTeeth: teeth,
    ...(sold.hand ? { hand: sold.hand === "left" ? ("right" as const) : ("left" as const) } : {}),
  };
}

/** A gear without a count, sold for this very model: it may be the one. */
const isUntoldOfUnit = ({ unit }: Wanted, part: CataloguePart): boolean => {
  if (!unit || part.spec.kind !== "gear" || part.spec.teeth !== undefined) return false;
  const fit = fitCriterion(part, unit, true)?.verdict;
  return fit === "same" || fit === "settle";
};

/** One of its kind that is not even like the one that is wanted. */
const isOther = (wanted: Wanted, part: CataloguePart): boolean =>
  isUnlike(wanted, part) && !isUntoldOfUnit(wanted, part);
const isUnlike = (wanted: Wanted, { spec }: CataloguePart): boolean =>
  (wanted.gear !== undefined && spec.kind === "gear" && !isNear(wanted.gear, spec)) ||
  (wanted.sizes !== undefined && spec.kind === wanted.sizes.kind && !isNearInSize(wanted.sizes, spec));

/** What the measures say; null where this part is of another kind or nothing was measured. */
function measuresOf(
  wanted: Wanted,
  part: CataloguePart,
  byNumber: ReadonlyMap<string, CataloguePart>,
): Criterion[] | null {
  const { spec } = part;
  if (wanted.gear && spec.kind === "gear") {
    const companions = part.needsAlso.flatMap((n) => {
      const other = byNumber.get(n.number)?.spec;
      return other?.kind === "gear" && isToothed(other) ? [{ number: n.number, spec: other }] : [];
    });
    return gearVerdict(wanted.gear, ofThePair(wanted.gear, spec), companions);
  }
  if (
    wanted.ring &&
    spec.kind === wanted.ring.kind &&
    (spec.kind === "bearing" || spec.kind === "bush" || spec.kind === "seal")
  )
    return ringVerdict(wanted.ring, spec);
  if (wanted.sizes && spec.kind === wanted.sizes.kind && isMeasured(wanted.sizes))
    return sizesVerdict(wanted.sizes, spec);
  return null;
}

/** By its number: the one that was asked for, the one that takes its place, or the same standard part. */
function numberCriterion(
  wanted: Wanted,
  part: CataloguePart,
  successor: Successor<CataloguePart> | undefined,
): (Criterion & { readonly exact?: true }) | null {
  const asked = (wanted.number as string).trim();
  const said = (verdict: Criterion["verdict"], says: string): Criterion =>
    criterion("part number", asked, part.number, "–", verdict, says);
  const match = numberMatch(asked, part.number);
  if (match?.how === "exact" || match?.how === "written") return { ...said("same", match.says), exact: true };
  const standard = bearingNamed(asked);
  if (
    standard &&
    part.spec.kind === "bearing" &&
    part.spec.insideMm === standard.boreMm &&
    part.spec.outsideMm === standard.outsideMm &&
    // asked for without its closure, a thin one may be either width
    (part.spec.widthMm === standard.widthMm ||
      (!standard.closure && part.spec.widthMm === standard.openWidthMm))
  ) {
    const closure = standard.closure;
    if (closure && part.spec.closure && closure !== part.spec.closure)
      return said(
        "settle",
        `a ${standard.designation}, closed otherwise: ${part.spec.closure} instead of ${closure}`,
      );
    return said("same", `a ${standard.designation} is a ${standard.designation}, whoever makes it`);
  }
  if (successor) {
    const way = successor.chain.length > 2 ? `, by way of ${successor.chain.slice(1, -1).join(", ")}` : "";
    const variant = wanted.unit?.variant;
    if (successor.variants.length && variant && !successor.variants.includes(variant))
      return said("no", `replaces ${successor.chain[0]} in variant ${successor.variants.join(", ")} only`);
    if (successor.variants.length && !variant)
      return said(
        "settle",
        `replaces ${successor.chain[0]} in variant ${successor.variants.join(", ")} only: which variant is it?`,
      );
    return said(
      successor.conditions.length ? "companion" : "fits",
      `replaces ${successor.chain[0]}${way}${successor.conditions.length ? `: ${successor.conditions.join("; ")}` : ""}`,
    );
  }
  return match ? said("settle", match.says) : null;
}

const words = (s: string): string[] => s.toLowerCase().match(/\p{L}{3,}/gu) ?? [];
/**
 * Every word of the wanted name stands in the part's: one that they share is not enough, as a motor gear is
 * no motor.
 */
const isNamed = (wanted: string, part: string): boolean => {
  const there = new Set(words(part));
  const asked = words(wanted);
  return asked.length > 0 && asked.every((w) => there.has(w));
};
