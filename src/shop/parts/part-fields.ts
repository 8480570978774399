import { kindCalled } from "@/core/hardware/part-kind";
import type { SoldKind } from "@/core/match/catalogue/part-spec";
import { SOLD_KINDS, SPEC_FIELDS, type SpecField } from "@/core/match/catalogue/spec-fields";
import { type Cells, heading } from "@/core/table/cells";
import type { FieldOfForm } from "../forms/form-field";

const isKind = (kind: string | undefined): kind is SoldKind => SOLD_KINDS.some((k) => k === kind);
const isFigure = (f: SpecField): boolean =>
  f.unit !== undefined || f.tolerance !== undefined || f.key === "profileShift" || f.key === "amount";

/**
 * The fields of a part's form: what every part has, and the figures of the kind that is chosen.
 *
 * @param currency sign of the shop's money
 */
export const partFields =
  (currency: string, isNew: boolean) =>
  (cells: Cells): readonly FieldOfForm[] => [
    ...(isNew ? [{ column: "number", label: "Number" }] : []),
    { column: "name", label: "Name" },
    { column: "kind", label: "Kind", options: SOLD_KINDS.map((k) => [k, kindCalled(k)] as const) },
    ...(isKind(cells.kind)
      ? SPEC_FIELDS[cells.kind].map((f) => ({
          column: heading(f.key),
          label: `${f.label.charAt(0).toUpperCase()}${f.label.slice(1)}${f.unit ? `, ${f.unit}` : ""}`,
          figure: isFigure(f),
          ...(f.of ? { options: [["", "not told"] as const, ...f.of.map((o) => [o, o] as const)] } : {}),
        }))
      : []),
    { column: "price", label: `Price from the drawer, ${currency}`, figure: true, hint: "0: not told" },
    { column: "stock", label: "In the drawer", figure: true },
    { column: "note", label: "Note" },
    {
      column: "fits",
      label: "Sold for",
      wide: true,
      hint: "maker / model / variants / 1000 to 1999; several with semicolons",
    },
    { column: "replaces", label: "Replaces", hint: "NUMBER: on which condition" },
    { column: "needs_also", label: "Must come with it", hint: "2 x NUMBER: why" },
    { column: "incompatible_with", label: "Does not work with", hint: "NUMBER: why" },
    { column: "facing", label: "It faces", hint: "hub to the motor; empty: as the old one" },
    { column: "stack", label: "It lies so, the lowest first", hint: "shim; wheel; washer" },
    { column: "leaves_out", label: "Does without", hint: "the felt ring of the old one", wide: true },
    {
      column: "contains",
      label: "Holds, if it is a kit",
      hint: "2 x NUMBER; several with semicolons",
      wide: true,
    },
  ];

/** @param suppliers those the shop knows */
export const offerFields =
  (currency: string, suppliers: readonly string[], isNew: boolean) => (): readonly FieldOfForm[] => [
    ...(isNew
      ? [
          { column: "supplier", label: "Supplier", options: suppliers.map((s) => [s, s] as const) },
          { column: "pack", label: "Pieces in a pack", figure: true, hint: "empty: one" },
        ]
      : []),
    { column: "price", label: `Price of a pack, ${currency}`, figure: true },
    { column: "lead_days", label: "Working days until it is here", figure: true },
    { column: "stock", label: "Packs they have", figure: true, hint: "empty: not told" },
    { column: "min_packs", label: "Fewest packs", figure: true, hint: "empty: one" },
  ];
