"use client";

import type { Candidate } from "@/core/match/candidates/rank";
import { VERDICT_SAYS } from "@/core/match/candidates/verdict";
import { letGo } from "@/ui/let-go";

const VERDICT_MARKS: Readonly<Record<Candidate["verdict"], string>> = {
  "drop-in": "✓ ",
  "with-rework": "✓ ",
  "with-companions": "+ ",
  possible: "? ",
  no: "✕ ",
};

/** The candidates for a part, the best first. */
export function CandidateList({
  candidates,
  shown,
  onLook,
}: {
  candidates: readonly Candidate[];
  shown: Candidate | undefined;
  onLook: (number: string) => void;
}) {
  return (
    <ol className="min-h-0 flex-1 overflow-y-auto">
      {candidates.map((c) => {
        const tone =
          c.verdict === "drop-in" ? "text-success" : c.verdict === "no" ? "text-error" : "text-info";
        const on = shown?.part.number === c.part.number;
        return (
          <li key={c.part.number}>
            <button
              type="button"
              aria-pressed={on}
              onClick={(e) => {
                letGo(e);
                onLook(c.part.number);
              }}
              className={`w-full border-b-2 border-base-300 px-2.5 py-2 text-left ${on ? "border-l-8 border-l-primary bg-base-200" : "pl-[18px]"}`}
            >
              <span className="figures block text-[19px]">{c.part.number}</span>
              <span className="block text-[19px] leading-tight">{c.part.name}</span>
              <span className={`block text-[19px] font-bold ${tone}`}>
                {VERDICT_MARKS[c.verdict]}
                {VERDICT_SAYS[c.verdict]}
              </span>
            </button>
          </li>
        );
      })}
      {candidates.length === 0 && (
        <li className="says danger">Nothing in the catalogue goes by this number, name or size.</li>
      )}
    </ol>
  );
}
