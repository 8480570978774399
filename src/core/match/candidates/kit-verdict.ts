import type { CataloguePart } from "../catalogue/catalogue-part";
import { type Criterion, criterion, type PartVerdict, VERDICT_SAYS, wholeVerdict } from "./verdict";

/** A piece of a kit, compared with what is wanted. */
export interface InKit {
  readonly number: string;
  readonly name: string;
  readonly qty: number;
  /** the catalogue has it */
  readonly known: boolean;
  /** null: it is of another kind, or quite another one, or the catalogue does not know it */
  readonly verdict: PartVerdict | null;
  readonly criteria: readonly Criterion[];
}

const ORDER: readonly PartVerdict[] = ["drop-in", "with-rework", "with-companions", "possible", "no"];

/**
 * A kit opened: each of its pieces that is of the wanted kind is compared as it would be by itself. Of what
 * has to be bought with a piece it is said where it is in the kit as well.
 *
 * @param measures compares one catalogue part; null where it is of another kind
 * @param variant of the unit: pieces for another variant are left in the box
 */
export function openKit(
  kit: CataloguePart,
  byNumber: ReadonlyMap<string, CataloguePart>,
  measures: (part: CataloguePart) => Criterion[] | null,
  variant: string | undefined,
): InKit[] {
  const within = new Set(kit.contains.map((c) => c.number));
  return kit.contains
    .filter((c) => !c.variant || !variant || c.variant === variant)
    .map((c) => {
      const part = byNumber.get(c.number);
      const criteria =
        (part && measures(part))?.map((k) => (k.verdict === "companion" ? included(k, within) : k)) ?? [];
      return {
        number: c.number,
        name: part?.name ?? c.number,
        qty: c.qty,
        known: part !== undefined,
        verdict: criteria.length ? wholeVerdict(criteria) : null,
        criteria,
      };
    });
}

/** "only together with P-7" is met where P-7 is in the kit. */
const included = (k: Criterion, within: ReadonlySet<string>): Criterion =>
  [...within].some((n) => k.says.includes(n)) ? { ...k, says: `${k.says}: it is in the kit` } : k;

/** The piece of a kit that is likeliest to take the place of the old part; undefined: none is of its kind. */
export const bestInKit = (inside: readonly InKit[]): InKit | undefined =>
  [...inside]
    .filter((p) => p.verdict !== null)
    .sort((a, b) => ORDER.indexOf(a.verdict as PartVerdict) - ORDER.indexOf(b.verdict as PartVerdict))[0];

/** What a kit comes to, as one criterion. Nothing is refused only because it comes in a box. */
export function kitCriterion(kit: CataloguePart, inside: readonly InKit[], wanted: string): Criterion {
  const best = bestInKit(inside);
  const said = (verdict: Criterion["verdict"], offered: string, says: string): Criterion =>
    criterion("in the kit", wanted, offered, "–", verdict, says);
  if (!best)
    return kit.contains.length && inside.every((p) => p.known)
      ? said("no", kit.number, `none of its ${kit.contains.length} pieces is such a ${wanted}`)
      : said("settle", "not told", `ask what is in it: whether a ${wanted} is, and which`);
  const says = `${best.name}: ${VERDICT_SAYS[best.verdict as PartVerdict].toLowerCase()}`;
  if (best.verdict === "no") {
    const why = best.criteria.find((k) => k.verdict === "no");
    return said("no", best.number, `${says}${why ? `, ${why.criterion}: ${why.says}` : ""}`);
  }
  if (best.verdict === "possible") {
    const open = best.criteria.find((k) => k.verdict === "settle");
    return said("settle", best.number, `${says}${open ? `, ${open.criterion}: ${open.says}` : ""}`);
  }
  if (best.verdict === "with-companions")
    return said(
      "companion",
      best.number,
      `${says}: ${best.criteria.find((k) => k.verdict === "companion")?.says ?? ""}`,
    );
  if (best.verdict === "with-rework")
    return said(
      "rework",
      best.number,
      `${says}: ${best.criteria.find((k) => k.verdict === "rework")?.says ?? ""}`,
    );
  return said("same", best.number, says);
}
