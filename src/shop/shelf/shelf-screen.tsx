"use client";

import { useState } from "react";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { letGo } from "@/ui/let-go";
import { ShopHead } from "../shop-head";
import { GreaseForm } from "./grease-form";
import type { ShelfView } from "./shelf-view";

/** The shelf: every grease the shop has, and its form. */
export function ShelfScreen({ greases, currency }: ShelfView) {
  const [picked, setPicked] = useState<string | null>(greases[0]?.id ?? null);
  // one that was put on the shelf leaves an empty form behind: what is typed next is another one
  const [put, setPut] = useState<readonly string[]>([]);
  const shown = greases.find((g) => g.id === picked);
  return (
    <div className="min-h-dvh min-w-[1000px]">
      <ShopHead title="The shelf of lubricants" back={{ href: "/settings", says: "The shop" }}>
        <span className="flex-1" />
        <KeyLink href="/parts/tables" keyName="T">
          Tables in and out
        </KeyLink>
        <KeyButton keyName="N" onPress={() => setPicked(null)} pressed={!shown}>
          Another lubricant
        </KeyButton>
      </ShopHead>
      <main className="grid grid-cols-[minmax(0,4fr)_minmax(0,8fr)] gap-8 p-5">
        <section aria-label="On the shelf">
          {greases.length === 0 && (
            <p className="says text-[20px]">
              Nothing stands here yet. Fill the first one in, or take a table in.
            </p>
          )}
          <ul>
            {greases.map((g) => (
              <li key={g.id}>
                <button
                  type="button"
                  aria-pressed={g.id === shown?.id}
                  onClick={(e) => {
                    letGo(e);
                    setPicked(g.id);
                  }}
                  className={`min-h-[60px] w-full border-b-2 border-base-300 px-2 py-1 text-left text-[20px] leading-tight ${g.id === shown?.id ? "bg-primary text-primary-content" : ""} ${g.retired ? "line-through" : ""}`}
                >
                  {put.includes(g.id) ? "✓ " : ""}
                  {g.cells.name}
                  <span className="block text-[17px]">
                    {g.cells.sort === "oil" ? "oil" : `NLGI ${g.cells.nlgi}`} · {g.cells.base_oil}
                    {g.cells.h1 && " · H1"}
                    {g.cells.lot && ` · lot ${g.cells.lot}`}
                    {g.cells.stock_g && ` · ${g.cells.stock_g} g`}
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </section>
        <GreaseForm
          key={shown?.id ?? `new ${put.length}`}
          id={shown?.id ?? null}
          saved={shown?.cells ?? {}}
          currency={currency}
          onSaved={(id) => {
            if (shown) setPicked(id);
            else setPut((before) => [...before, id]);
          }}
        />
      </main>
    </div>
  );
}
