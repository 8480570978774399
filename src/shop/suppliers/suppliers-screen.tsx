"use client";

import { useState } from "react";
import { money } from "@/core/quantity/money";
import type { Cells } from "@/core/table/cells";
import { KeyButton } from "@/ui/key-button";
import { PickRow } from "@/ui/pick-row";
import { saveRow, takeRowOut } from "../forms/actions";
import type { FieldOfForm } from "../forms/form-field";
import { RowForm } from "../forms/row-form";
import { ShopHead } from "../shop-head";

export interface SuppliersView {
  readonly suppliers: readonly { readonly name: string; readonly cells: Cells }[];
  readonly currency: string;
}

const fields = (currency: string, isNew: boolean) => (): readonly FieldOfForm[] => [
  ...(isNew ? [{ column: "name", label: "Name" }] : []),
  { column: "shipping", label: `Shipping, ${currency}`, figure: true },
  { column: "free_from", label: `Free from, ${currency}`, figure: true, hint: "empty: never" },
  { column: "minimum_order", label: `Minimum order, ${currency}`, figure: true, hint: "empty: none" },
];

/** Who the shop buys from, a form each. What they sell stands at each part. */
export function SuppliersScreen({ suppliers, currency }: SuppliersView) {
  const [picked, setPicked] = useState<string | null>(null);
  const shown = suppliers.find((s) => s.name === picked);
  return (
    <div className="min-h-dvh min-w-[1000px]">
      <ShopHead title="Suppliers" back={{ href: "/settings", says: "The shop" }}>
        <span className="flex-1" />
        <KeyButton keyName="N" onPress={() => setPicked(null)} pressed={!shown}>
          Another supplier
        </KeyButton>
      </ShopHead>
      <main className="grid grid-cols-[minmax(0,4fr)_minmax(0,8fr)] gap-8 p-5">
        <section aria-label="Suppliers">
          {suppliers.length === 0 && (
            <p className="says text-[20px]">
              Nobody yet. A job can go on without: a part may come from the counter, the customer or another
              unit.
            </p>
          )}
          <ul>
            {suppliers.map((s) => (
              <li key={s.name}>
                <PickRow on={s.name === picked} onPick={() => setPicked(s.name)}>
                  {s.name}
                  <span className="block text-[17px]">
                    shipping {money(Number(s.cells.shipping), currency)}
                    {s.cells.free_from && `, free from ${money(Number(s.cells.free_from), currency)}`}
                  </span>
                </PickRow>
              </li>
            ))}
          </ul>
        </section>
        <RowForm
          key={picked ?? "new"}
          name={`suppliers.${shown?.name ?? "new"}`}
          isNew={!shown}
          title={shown?.name ?? "A new supplier"}
          saved={shown?.cells ?? {}}
          fieldsOf={fields(currency, !shown)}
          save={(cells) => saveRow({ table: "suppliers", key: shown?.name ?? null, cells })}
          retire={{
            says: "Take it out, with all it offers",
            how: () => takeRowOut({ table: "suppliers", key: shown?.name ?? "" }),
          }}
          add="Put it in"
          mainKey=" "
          onSaved={setPicked}
        />
      </main>
    </div>
  );
}
