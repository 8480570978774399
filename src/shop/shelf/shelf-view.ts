import { greasesTable } from "@/core/grease/grease-row";
import type { Cells } from "@/core/table/cells";
import { shopSettings } from "@/store/settings";
import { wholeShelf } from "@/store/shelf";

export interface ShelfView {
  readonly currency: string;
  readonly greases: readonly { readonly id: string; readonly retired: boolean; readonly cells: Cells }[];
}

/** The shelf as its forms show it. */
export async function shelfView(): Promise<ShelfView> {
  const { currency } = await shopSettings();
  const greases = await wholeShelf();
  return {
    currency,
    greases: greases.map(({ id, ...grease }) => ({
      id,
      retired: grease.retired === true,
      cells: greasesTable.write(grease),
    })),
  };
}
