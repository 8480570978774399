import type { SoldKind } from "../match/catalogue/part-spec";
import { SOLD_KINDS, SPEC_FIELDS, type SpecField } from "../match/catalogue/spec-fields";

/** A figure of a part as it is read at the bench. */
export interface SizeAsked {
  /** the key of its specification */
  readonly key: string;
  readonly label: string;
  /** the name under which its readings lie */
  readonly what: string;
  readonly unit: "mm" | "";
}
/** Something of a part that is seen and told with one press, or in a word. */
export interface LookAsked {
  readonly key: string;
  readonly label: string;
  readonly of?: readonly string[];
  /** a figure that is printed on it */
  readonly rating?: true;
}

/** Keys of a specification as readings are called. */
const READ_AS: Readonly<Record<string, string>> = {
  insideMm: "inside diameter",
  outsideMm: "outside diameter",
  widthMm: "width",
  lengthMm: "length",
  thicknessMm: "thickness",
  sectionMm: "section",
  diameterMm: "diameter",
  flangeMm: "flange",
  boreMm: "bore",
  heightMm: "height",
  teeth: "count",
  acrossMm: "across flat or keyway",
  keyMm: "keyway width",
  hubMm: "hub diameter",
  overallMm: "length over all",
  offsetMm: "hub's end to the teeth",
  mountingMm: "mounting distance",
  secondTeeth: "second rim count",
};

/** What of a gear is measured and seen besides its teeth, its bore and its face, by its form. */
const BODY: readonly string[] = [
  "hub",
  "hubMm",
  "overallMm",
  "offsetMm",
  "acrossMm",
  "keyMm",
  "mountingMm",
  "secondTeeth",
  "secondModuleMm",
  "heat",
];
const isAskedOf = (key: string, form: string | undefined, boreForm: string | undefined): boolean => {
  if (key === "mountingMm") return form === "bevel";
  if (key === "keyMm") return boreForm === "keyway";
  if (key === "acrossMm") return boreForm !== undefined && boreForm !== "round";
  return true;
};

const isSold = (kind: string | undefined): kind is SoldKind =>
  (SOLD_KINDS as readonly string[]).includes(kind ?? "");

/** What is asked of a part. */
export interface PartAsked {
  readonly kind: SoldKind;
  readonly sizes: readonly SizeAsked[];
  readonly looks: readonly LookAsked[];
}

/**
 * What is measured and seen on a part of this kind, so that it can be compared with what is sold; null: of
 * such parts it is the number, or the name, that counts. Gears have a bench of their own: see
 * {@link bodyAsked}.
 */
export const sizesAsked = (kind: string | undefined): PartAsked | null =>
  isSold(kind) && kind !== "gear" ? askedBy(kind, SPEC_FIELDS[kind]) : null;

/** What is measured and seen of a gear besides its teeth: its hub, what it is driven by, a second rim. */
export const bodyAsked = (form?: string, boreForm?: string): PartAsked =>
  askedBy(
    "gear",
    SPEC_FIELDS.gear.filter((f) => BODY.includes(f.key) && isAskedOf(f.key, form, boreForm)),
  ) as PartAsked;

function askedBy(kind: SoldKind, fields: readonly SpecField[]): PartAsked | null {
  const sizes = fields.flatMap(({ key, label, unit, tolerance }): SizeAsked[] => {
    const what = kind === "bush" && key === "insideMm" ? "shaft" : READ_AS[key];
    return what && tolerance !== undefined
      ? [
          {
            key,
            label: kind === "bush" && key === "insideMm" ? "shaft" : label,
            what,
            unit: unit === "mm" ? "mm" : "",
          },
        ]
      : [];
  });
  // material is said beside the part's kind
  const looks = fields
    .filter(
      (f) =>
        f.tolerance === undefined &&
        (f.unit === undefined || f.rating !== undefined || f.key === "secondModuleMm") &&
        !["material", "size", "amount", "unit"].includes(f.key),
    )
    .map(
      ({ key, label, unit, of, rating }): LookAsked => ({
        key,
        label: unit ? `${label}, ${unit}` : label,
        ...(of ? { of } : {}),
        ...(rating === undefined && key !== "secondModuleMm" ? {} : { rating: true as const }),
      }),
    );
  return sizes.length || looks.length ? { kind, sizes, looks } : null;
}
