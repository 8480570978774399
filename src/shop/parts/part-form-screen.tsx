"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { PickRow } from "@/ui/pick-row";
import { saveRow, takeRowOut } from "../forms/actions";
import { RowForm } from "../forms/row-form";
import { ShopHead } from "../shop-head";
import { offerFields, partFields } from "./part-fields";
import type { PartFormView } from "./part-form-view";

/** A part of the catalogue by hand: put in, changed, retired; and who sells it. */
export function PartFormScreen({ number, cells, offers, suppliers, currency }: PartFormView) {
  const router = useRouter();
  const [picked, setPicked] = useState<string | null>(null);
  const discontinued = cells.discontinued === "yes";
  const offer = offers.find((o) => o.key === picked);
  return (
    <div className="min-h-dvh min-w-[1000px]">
      <ShopHead
        title={number ? `Part ${number}` : "A new part"}
        back={{ href: number ? `/parts?q=${encodeURIComponent(number)}` : "/parts", says: "Catalogue" }}
      />
      <main className="grid grid-cols-[minmax(0,7fr)_minmax(0,5fr)] gap-8 p-5">
        <RowForm
          key={number ?? "new"}
          name={`parts.${number ?? "new"}`}
          isNew={number === null}
          title={number ? (cells.name ?? number) : "What it is"}
          saved={cells}
          fieldsOf={partFields(currency, number === null)}
          save={(cells) => saveRow({ table: "parts", key: number, cells })}
          retire={{
            says: discontinued ? "Made again" : "Discontinued",
            how: () =>
              saveRow({
                table: "parts",
                key: number,
                cells: { ...cells, discontinued: discontinued ? "" : "yes" },
              }),
          }}
          add="Put it in the catalogue"
          mainKey=" "
          onSaved={(key) => key !== number && router.push(`/parts/part?number=${encodeURIComponent(key)}`)}
        />
        {number !== null && (
          <section aria-label="Who sells it" className="flex flex-col gap-3">
            <div className="flex items-center justify-between">
              <h2 className="text-[24px]">Who sells it</h2>
              <KeyButton className="small" pressed={picked === null} onPress={() => setPicked(null)}>
                Another offer
              </KeyButton>
            </div>
            {suppliers.length === 0 ? (
              <div className="says flex flex-col gap-2">
                No supplier is known yet.
                <KeyLink href="/suppliers">To the suppliers</KeyLink>
              </div>
            ) : (
              <>
                <ul>
                  {offers.map((o) => (
                    <li key={o.key}>
                      <PickRow on={o.key === picked} onPick={() => setPicked(o.key)}>
                        {o.cells.supplier}
                        <span className="block text-[17px]">
                          {o.cells.price} {currency}
                          {o.cells.pack !== "1" && ` for ${o.cells.pack}`} ·{" "}
                          {o.cells.lead_days === "1" ? "1 day" : `${o.cells.lead_days} days`}
                        </span>
                      </PickRow>
                    </li>
                  ))}
                </ul>
                <RowForm
                  key={picked ?? "new"}
                  name={`offers.${number}.${picked ?? "new"}`}
                  isNew={!offer}
                  title={offer ? `${offer.cells.supplier} offers` : "A new offer"}
                  saved={offer?.cells ?? { number }}
                  fieldsOf={offerFields(currency, suppliers, !offer)}
                  save={(cells) => saveRow({ table: "offers", key: offer?.key ?? null, cells })}
                  retire={{
                    says: "Take it out",
                    how: () => takeRowOut({ table: "offers", key: offer?.key ?? "" }),
                  }}
                  add="Put the offer in"
                  onSaved={setPicked}
                />
              </>
            )}
          </section>
        )}
      </main>
    </div>
  );
}
