"use client";

import { PickRow } from "@/ui/pick-row";
import type { ArrivedPart } from "./arrival-facts";

/** What was decided of a part that came, in words. */
export const DECISIONS = {
  accepted: "✓ accepted",
  rework: "✓ accepted, with rework",
  "sent-back": "✕ sent back",
  stock: "to stock",
} as const;

/** The parts that came, and what was decided of each. */
export function ArrivedList({
  arrivals,
  at,
  onPick,
}: {
  arrivals: readonly ArrivedPart[];
  at: ArrivedPart;
  onPick: (id: number) => void;
}) {
  return (
    <section aria-label="Arrived" className="min-h-0 overflow-y-auto">
      <h2 className="text-[24px]">Arrived</h2>
      <ul>
        {arrivals.map((a) => (
          <li key={a.id}>
            <PickRow on={a.id === at.id} onPick={() => onPick(a.id)}>
              {a.qty > 1 && `${a.qty} × `}
              {a.name}
              <span
                className={`block text-[17px] ${a.id === at.id ? "" : a.decision === "sent-back" || !a.decision ? "font-semibold text-error" : "text-success"}`}
              >
                {a.decision ? DECISIONS[a.decision] : "○ to compare"}
              </span>
            </PickRow>
          </li>
        ))}
      </ul>
    </section>
  );
}
