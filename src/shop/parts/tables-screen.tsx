"use client";

import { useRef } from "react";
import type { Import } from "@/store/imports";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { ShopHead } from "../shop-head";
import { ImportWaiting } from "./import-waiting";
import { TablesOut } from "./tables-out";
import { TakenInLately } from "./taken-in-lately";
import { useTableImport } from "./use-table-import";

/**
 * Tables of parts, offers and suppliers: in with a look through first, out as they stand, the last ones taken
 * back.
 */
export function TablesScreen({ imports }: { imports: readonly Import[] }) {
  const choose = useRef<HTMLInputElement>(null);
  const tables = useTableImport();
  const { waiting, busy, fault, done } = tables;
  return (
    <div className="min-h-dvh min-w-[1000px]">
      <ShopHead title="Tables in and out" back={{ href: "/parts", says: "Catalogue" }} />
      <main className="grid grid-cols-[minmax(0,7fr)_minmax(0,3fr)] gap-8 p-5">
        <section aria-label="In" className="flex min-w-0 flex-col gap-3">
          {done && (
            <p role="status" className="says good text-[21px]">
              ✓ {done}
            </p>
          )}
          <FaultLine says={fault} className="text-[21px]" />
          {busy && (
            <p role="status" className="says measured text-[21px]">
              {busy}
            </p>
          )}
          {waiting ? (
            <ImportWaiting waiting={waiting} tables={tables} />
          ) : (
            <>
              <h2 className="text-[24px]">In</h2>
              <p className="max-w-[60ch] text-[20px]">
                A table of parts, of offers, of suppliers or of greases, as CSV. It is checked first and
                shown; nothing changes until you say so. A row with the number of a part that is here already
                takes its place.
              </p>
              <input
                ref={choose}
                type="file"
                accept=".csv,.tsv,.txt,text/csv"
                className="sr-only"
                aria-label="A table as CSV"
                onChange={(e) => {
                  const file = e.target.files?.[0];
                  e.target.value = "";
                  if (file) void tables.send(file);
                }}
              />
              <KeyButton
                keyName=" "
                look="main"
                disabled={busy !== null}
                onPress={() => choose.current?.click()}
              >
                Choose a table
              </KeyButton>
              <p className="max-w-[60ch] pt-3 text-[20px]">
                A shop that begins may take the standard set: bearings, circlips, spring pins and O-rings by
                their designation, without prices and without anybody who sells them. It is looked through
                like any table, and can be taken back.
              </p>
              <KeyButton
                keyName="S"
                disabled={busy !== null}
                className="self-start"
                onPress={() => void tables.sendStandard()}
              >
                Look at the standard set
              </KeyButton>
            </>
          )}
        </section>
        <aside className="flex flex-col gap-6">
          <TablesOut />
          <TakenInLately imports={imports} busy={busy !== null} onTakeBack={(i) => void tables.takeBack(i)} />
        </aside>
      </main>
    </div>
  );
}
