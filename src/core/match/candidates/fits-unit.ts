import type { CataloguePart, PartFit, UnitName } from "../catalogue/catalogue-part";
import { bareNumber } from "../catalogue/part-number";
import { type Criterion, criterion } from "./verdict";

const same = (a: string, b: string): boolean => bareNumber(a) === bareNumber(b);

/**
 * Which of two serial numbers is the earlier: below 0 the first, above 0 the second, 0 neither. Letters
 * before the count must agree; null where they do not and
 * nothing can be said.
 *
 * @example serialOrder("SN 0998", "sn-1042") // below 0
 */
export function serialOrder(a: string, b: string): number | null {
  const parts = (s: string): string[] => bareNumber(s).match(/\d+|\D+/g) ?? [];
  const [x, y] = [parts(a), parts(b)];
  for (let i = 0; i < Math.max(x.length, y.length); i++) {
    const [p, q] = [x[i], y[i]];
    if (p === undefined || q === undefined) return null;
    if (p === q) continue;
    if (!/\d/.test(p) || !/\d/.test(q)) return null;
    const [m, n] = [BigInt(p), BigInt(q)];
    if (m !== n) return m < n ? -1 : 1;
  }
  return 0;
}

/** A fit in words: "Velbrant Pressa 40, variant B, from 1200". */
export function fitInWords(f: PartFit): string {
  const serial =
    f.fromSerial && f.toSerial
      ? `${f.fromSerial} to ${f.toSerial}`
      : f.fromSerial
        ? `from ${f.fromSerial}`
        : f.toSerial
          ? `up to ${f.toSerial}`
          : "";
  return [`${f.maker} ${f.model}`, f.variants.length ? `variant ${f.variants.join(", ")}` : "", serial]
    .filter(Boolean)
    .join(", ");
}

type FitVerdict = "listed" | "open" | "other";

function ofSerial(f: PartFit, serial: string | undefined): FitVerdict {
  if (!f.fromSerial && !f.toSerial) return "listed";
  if (!serial) return "open";
  const from = f.fromSerial ? serialOrder(f.fromSerial, serial) : 0;
  const to = f.toSerial ? serialOrder(serial, f.toSerial) : 0;
  if (from === null || to === null) return "open";
  return from <= 0 && to <= 0 ? "listed" : "other";
}

const ofVariant = (f: PartFit, variant: string | undefined): FitVerdict =>
  !f.variants.length
    ? "listed"
    : !variant
      ? "open"
      : f.variants.some((v) => same(v, variant))
        ? "listed"
        : "other";

/**
 * Whether a part is sold for this unit. For the model but another variant or serial it is refused, as long as
 * no measures speak for it: variants are told apart because
 * their parts differ. For another model altogether the measures decide. Null: it is sold for no unit in
 * particular.
 *
 * @param measured measures of the old part take part in the verdict
 */
export function fitCriterion(
  part: Pick<CataloguePart, "fits">,
  unit: UnitName,
  measured: boolean,
): Criterion | null {
  if (!part.fits.length) return null;
  const offered = part.fits.map(fitInWords).join("; ");
  const ofModel = part.fits.filter((f) => same(f.maker, unit.maker) && same(f.model, unit.model));
  // variant and serial are named where the part is told apart by them
  const variant = unit.variant && ofModel.some((f) => f.variants.length) ? `variant ${unit.variant}` : "";
  const serial =
    unit.serial && ofModel.some((f) => f.fromSerial || f.toSerial) ? `serial ${unit.serial}` : "";
  const name = [`${unit.maker} ${unit.model}`, variant, serial].filter(Boolean).join(", ");
  const said = (verdict: Criterion["verdict"], says: string): Criterion =>
    criterion("sold for", name, offered, "–", verdict, says);
  if (!ofModel.length)
    return said(
      measured ? "fits" : "no",
      measured ? "listed for another model: go by the measures" : "listed for another model",
    );
  const verdicts = ofModel.map((f) => ({
    f,
    variant: ofVariant(f, unit.variant),
    serial: ofSerial(f, unit.serial),
  }));
  if (verdicts.some((v) => v.variant === "listed" && v.serial === "listed"))
    return said("same", "listed for this model");
  const open = verdicts.find((v) => v.variant !== "other" && v.serial !== "other");
  if (open)
    return said(
      "settle",
      open.variant === "open"
        ? `which variant is it? Sold for ${fitInWords(open.f)}`
        : `read the serial number to settle it: sold for ${fitInWords(open.f)}`,
    );
  const other = verdicts[0] as (typeof verdicts)[number];
  const what = other.variant === "other" ? `variant ${other.f.variants.join(", ")}` : "other serial numbers";
  return said(
    measured ? "settle" : "no",
    `listed for ${what} of this model${measured ? ": compare it with the old one before it is ordered" : ""}`,
  );
}
