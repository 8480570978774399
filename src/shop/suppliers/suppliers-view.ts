import { suppliersTable } from "@/core/match/catalogue/catalogue-row";
import { allSuppliers } from "@/store/offers";
import { shopSettings } from "@/store/settings";
import type { SuppliersView } from "./suppliers-screen";

export async function suppliersView(): Promise<SuppliersView> {
  const { currency } = await shopSettings();
  return {
    currency,
    suppliers: (await allSuppliers()).map((s) => ({ name: s.name, cells: suppliersTable.write(s) })),
  };
}
