"use client";

import { gotInWords } from "@/core/job/got";
import { PickRow } from "@/ui/pick-row";
import type { MatchPart } from "./match-part";

/** The parts that go back new, and which of them have their replacement. */
export function PartsToReplace({
  parts,
  part,
  onPick,
}: {
  parts: readonly MatchPart[];
  part: MatchPart;
  onPick: (id: string) => void;
}) {
  return (
    <ul className="min-h-0 flex-1 overflow-y-auto">
      {parts.map((p) => (
        <li key={p.id}>
          <PickRow on={p.id === part.id} onPick={() => onPick(p.id)}>
            {p.name}
            <span
              className={`block text-[18px] ${p.ordered || p.got || p.id === part.id ? "" : "text-error"}`}
            >
              {p.got
                ? `✓ ${gotInWords(p.got)}`
                : p.chosen
                  ? p.ordered
                    ? `✓ ${p.chosen}`
                    : `○ ${p.chosen}, to order`
                  : "○ not chosen"}
            </span>
          </PickRow>
        </li>
      ))}
    </ul>
  );
}
