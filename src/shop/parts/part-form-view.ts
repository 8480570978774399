import { offersTable, partsTable } from "@/core/match/catalogue/catalogue-row";
import type { Cells } from "@/core/table/cells";
import { partsNumbered } from "@/store/catalogue";
import { allSuppliers, offersFor } from "@/store/offers";
import { shopSettings } from "@/store/settings";

export interface PartFormView {
  /** null: a new one */
  readonly number: string | null;
  readonly cells: Cells;
  readonly offers: readonly { readonly key: string; readonly cells: Cells }[];
  readonly suppliers: readonly string[];
  readonly currency: string;
}

/** A part as its form shows it, with who sells it; null: there is no such number. */
export async function partFormView(number: string | undefined): Promise<PartFormView | null> {
  const { currency } = await shopSettings();
  const suppliers = (await allSuppliers()).map((s) => s.name);
  if (!number) return { number: null, cells: {}, offers: [], suppliers, currency };
  const [part] = await partsNumbered([number]);
  if (!part) return null;
  const offers = (await offersFor([number])).map((o) => ({
    key: offersTable.keyOf(o),
    cells: offersTable.write(o),
  }));
  return { number, cells: partsTable.write(part), offers, suppliers, currency };
}
