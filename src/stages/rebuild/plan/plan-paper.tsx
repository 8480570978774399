/* biome-ignore-all lint/performance/noImgElement: printed pictures come from the shop's own folder */

import { capital } from "@/core/sentence";
import { SheetHead } from "../../frame/sheet-head";
import type { PaperView } from "./paper-view";

/** The plan on paper: a box to tick at each line, its picture, what lies where, and the count at the end. */
export function PlanPaper({ job, shopName, town, lines, fetch, rows, minutes, at }: PaperView) {
  return (
    <article className="mx-auto max-w-[820px] bg-white px-12 py-9 text-[16px] leading-snug text-[#1d2a2c] print:p-0">
      <SheetHead title={`Rebuild of ${job.number}`} job={job} shopName={shopName} town={town} at={at} />
      <p className="mt-3">
        {lines.length
          ? `${lines.length} lines, about ${minutes} minutes.`
          : "Nothing has come off this unit yet: what is laid down at the strip stands here, line by line."}
        {fetch.length > 0 && ` Fetch first: ${fetch.join("; ")}.`}
      </p>
      <ol className="mt-3 flex flex-col" aria-label="Lines of the plan">
        {lines.map((l) => (
          <li
            key={l.key}
            className="grid break-inside-avoid grid-cols-[22px_3ch_1fr_112px] gap-3 border-t border-[#9aa3a3] py-1.5"
          >
            <span
              className="mt-0.5 h-[20px] w-[20px] border-2 border-[#1d2a2c] text-center text-[15px] leading-[17px]"
              role="img"
              aria-label={l.done ? "done" : "to be ticked"}
            >
              {l.done ? "✓" : ""}
            </span>
            <span className="figures">{l.n}</span>
            <span>
              <b className="text-[17px]">{l.title}</b>
              {l.tray && <span> · lies at {l.tray}</span>}
              {l.beside.map((b) => (
                <span key={b} className="block text-[15px]">
                  {capital(b)}
                </span>
              ))}
            </span>
            <span>
              {l.picture && (
                <img src={l.picture} alt={l.belongs} className="h-[84px] w-[112px] object-cover" />
              )}
            </span>
          </li>
        ))}
      </ol>
      {rows.length > 0 && (
        <p className="mt-3 break-inside-avoid border-t-2 border-[#1d2a2c] pt-2">
          Out: {rows.map((r) => `${r.out} ${r.row}`).join(", ")}. Back:{" "}
          {rows.map((r) => `____ ${r.row}`).join(", ")}.
        </p>
      )}
    </article>
  );
}
