"use client";

import { max, scaleLinear } from "d3";
import { useState } from "react";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { ShopHead } from "../shop-head";
import { type KindToForget, LearnedKinds } from "./learned-kinds";
import type { RecordTable } from "./record-tables";

const KEYS = ["B", "F", "W", "P", "M"] as const;
const BAR_PX = 120;

/**
 * The record: what came back and why, what fails, whose parts do, and how long it takes; each table can be
 * saved.
 */
export function RecordScreen({
  tables,
  jobs,
  kinds,
  first,
}: {
  tables: readonly RecordTable[];
  jobs: number;
  /** whose verdicts move the odds */
  kinds: readonly KindToForget[];
  /** the table that is shown first */
  first?: string;
}) {
  const [shown, setShown] = useState(tables.some((t) => t.table === first) ? first : tables[0]?.table);
  const t = tables.find((x) => x.table === shown);
  return (
    <main className="flex h-dvh flex-col">
      <ShopHead
        title={`The record of ${jobs} ${jobs === 1 ? "job" : "jobs"} that went home`}
        back={{ href: "/", says: "The board" }}
      >
        <span className="ml-auto" />
        <KeyLink href="/find" keyName="/">
          Find a job
        </KeyLink>
      </ShopHead>
      <div className="flex flex-wrap gap-2 p-5 pb-3">
        {tables.map((x, i) => (
          <KeyButton
            key={x.table}
            keyName={KEYS[i]}
            pressed={x.table === shown}
            onPress={() => setShown(x.table)}
          >
            {x.title}
          </KeyButton>
        ))}
      </div>
      {t && (
        <section aria-label={t.title} className="flex min-h-0 flex-1 flex-col gap-3 px-5 pb-5">
          {t.rows.length ? (
            <>
              <div className="min-h-0 overflow-y-auto">
                <TableView table={t} />
              </div>
              {t.table === "causes" && <LearnedKinds kinds={kinds} />}
              <a className="key-button self-start" href={`/api/record/${t.table}`} download>
                Save as CSV
              </a>
            </>
          ) : (
            <>
              <p className="text-[26px]">{t.none}</p>
              {t.table === "causes" && kinds.length > 0 && <LearnedKinds kinds={kinds} />}
            </>
          )}
        </section>
      )}
    </main>
  );
}

function TableView({ table: { head, rows, bars } }: { table: RecordTable }) {
  const width = scaleLinear([0, max(rows, (r) => Number(r[bars ?? -1])) ?? 1], [0, BAR_PX]);
  return (
    <table className="w-full text-[20px]">
      <thead className="sticky top-0 bg-base-100">
        <tr className="border-b-4 border-base-content text-left text-[17px]">
          {head.map((h) => (
            <th key={h} className="pr-4">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr key={r.join("|")} className="border-b-2 border-base-300 align-baseline">
            {r.map((cell, i) => (
              <td key={head[i]} className={`py-1 pr-4 ${i && /^[\d.]+$/.test(cell) ? "figures" : ""}`}>
                {/^J-\d+$/.test(cell) ? (
                  <a className="font-semibold underline" href={`/jobs/${cell}`}>
                    {cell}
                  </a>
                ) : (
                  cell
                )}
                {i === bars && (
                  <svg width={BAR_PX} height={14} className="ml-3 inline-block" aria-hidden="true">
                    <rect width={width(Number(cell))} height={14} className="fill-secondary" />
                  </svg>
                )}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
