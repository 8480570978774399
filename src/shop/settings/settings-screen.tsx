"use client";

import { useState } from "react";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { ShopHead } from "../shop-head";
import { acceptShopSettings } from "./actions";
import { FieldRow, isWords } from "./field-row";
import { ELECTRICAL_FIELDS, SHOP_FIELDS, type ShopField } from "./shop-fields";

/** The shop: its name, how it charges, and the ways to its shelf and its catalogue. */
export function SettingsScreen({
  values,
  currency,
  unreadable,
}: {
  values: Readonly<Partial<Record<ShopField["key"], string | number>>>;
  currency: string;
  unreadable: readonly string[];
}) {
  return (
    <div className="min-h-dvh min-w-[1000px]">
      <ShopHead title="The shop" back={{ href: "/", says: "The board" }} />
      {unreadable.length > 0 && <Unreadable what={unreadable} />}
      <main className="grid grid-cols-2 gap-10 p-5">
        <section aria-label="Name and charges">
          {SHOP_FIELDS.map((f) => (
            <FieldRow
              key={f.key}
              field={f}
              value={values[f.key] ?? ""}
              unit={f.unit === "money" ? currency : isWords(f) ? "" : f.unit}
            />
          ))}
          <p className="hush pt-2 text-[18px]">
            Every new quote uses these figures. Quotes already made do not change.
          </p>
        </section>
        <div>
          <nav aria-label="What the shop keeps" className="grid grid-cols-2 gap-2 pb-4">
            <KeyLink keyName="G" href="/shelf">
              Shelf of lubricants
            </KeyLink>
            <KeyLink keyName="C" href="/parts">
              Catalogue
            </KeyLink>
            <KeyLink keyName="T" href="/parts/tables">
              Tables in and out
            </KeyLink>
            <KeyLink keyName="P" href="/suppliers">
              Suppliers
            </KeyLink>
            <KeyLink keyName="W" href="/hazards">
              What can hurt, by kind
            </KeyLink>
            <KeyLink keyName="K" href="/assemblies">
              How things go together
            </KeyLink>
            <KeyLink keyName="Y" href="/tray">
              Tray mat, to print
            </KeyLink>
            <KeyLink keyName="O" href="/people">
              People and devices
            </KeyLink>
            <KeyLink keyName="U" href="/customers">
              Customers
            </KeyLink>
            <KeyLink keyName="J" href="/job-files">
              Job files
            </KeyLink>
            <KeyLink keyName="B" href="/backup">
              Back-up
            </KeyLink>
          </nav>
          <section aria-label="Electrical tests">
            <h2 className="text-[24px]">Electrical tests, after work on a mains unit</h2>
            {ELECTRICAL_FIELDS.map((f) => (
              <FieldRow key={f.key} field={f} value={values[f.key] ?? ""} unit={isWords(f) ? "" : f.unit} />
            ))}
            <p className="hush pt-2 text-[18px]">The local code decides. These are where a shop starts.</p>
          </section>
        </div>
      </main>
    </div>
  );
}

/** Settings that stand as in a new shop because they could not be read. */
function Unreadable({ what }: { what: readonly string[] }) {
  const [fault, setFault] = useState<string | null>(null);
  return (
    <div role="alert" className="says danger mx-5 mt-4 flex items-center gap-5">
      <p>
        Could not be read, and stands below as in a new shop: <b>{what.join(", ")}</b>. Nothing is priced
        until somebody has looked at it.
        {fault && <b className="block text-error">{fault}</b>}
      </p>
      <KeyButton keyName="R" look="main" onPress={() => void acceptShopSettings().then(setFault)}>
        It is right as it stands
      </KeyButton>
    </div>
  );
}
