"use client";

import type { Import } from "@/store/imports";
import { dayAs } from "@/ui/day";
import { KeyButton } from "@/ui/key-button";
import { inFigures } from "./use-table-import";

/** The last tables that were taken in; the latest of them can be taken back. */
export function TakenInLately({
  imports,
  busy,
  onTakeBack,
}: {
  imports: readonly Import[];
  busy: boolean;
  onTakeBack: (i: Import) => void;
}) {
  const last = imports.find((i) => !i.undoneAt);
  return (
    <section aria-label="Taken in lately">
      <h2 className="border-b-2 border-base-content text-[24px]">Taken in lately</h2>
      {imports.length === 0 && <p className="hush pt-1 text-[19px]">Nothing yet.</p>}
      <ul>
        {imports.map((i) => (
          <li key={i.id} className="border-b-2 border-base-300 py-2 text-[19px]">
            <b className="block truncate">{i.file}</b>
            {dayAs(i.at, "d MMM, HH:mm")} · {i.table} · {inFigures(i.added)} new, {inFigures(i.changed)}{" "}
            changed
            {i.undoneAt ? (
              <span className="hush block">taken back</span>
            ) : (
              i.id === last?.id && (
                <KeyButton className="mt-1" disabled={busy} onPress={() => onTakeBack(i)}>
                  Take it back
                </KeyButton>
              )
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
