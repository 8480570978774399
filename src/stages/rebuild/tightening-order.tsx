"use client";

import { useState } from "react";
import { rowOrder, tighteningOrder } from "@/core/hardware/bench/tightening-order";
import { KeyButton } from "@/ui/key-button";

/** The order in which the screws of a flange, or of a row, are drawn down, as a small drawing. Which of the two it is was told by where they sat, and is changed by one key. */
export function TighteningOrder({ count, saidInARow }: { count: number; saidInARow: boolean }) {
  const [inARow, setInARow] = useState(saidInARow);
  const screws = inARow ? rowOrder(count) : tighteningOrder(count);
  if (!screws.length) return null;
  const at = (s: { x: number; y: number }) => ({ x: 24 + s.x * 192, y: 22 + s.y * 116 });
  const path = [...screws].sort((a, b) => a.turn - b.turn).map((s) => `${at(s).x.toFixed(1)} ${at(s).y.toFixed(1)}`);
  const r = inARow ? Math.min(17, 88 / (count - 1)) : 17;
  return (
    <div className="flex shrink-0 flex-col gap-1">
      <svg
        width="240"
        height="160"
        className="shrink-0"
        role="img"
        aria-label={`Tighten ${inARow ? "from the middle outwards" : "crosswise"} in the order shown, ${count} screws`}
      >
        <rect x="6" y={inARow ? 52 : 5} width="228" height={inARow ? 56 : 150} rx="14" fill="none" stroke="currentColor" strokeWidth="1.5" opacity="0.5" />
        {!inARow && <path d={`M${path.join("L")}`} fill="none" stroke="var(--color-secondary)" strokeWidth="1.5" strokeDasharray="4 3" />}
        {screws.map((s) => (
          <g key={s.turn}>
            <circle cx={at(s).x} cy={at(s).y} r={r} fill="var(--color-base-100)" stroke="currentColor" strokeWidth="2" />
            <text x={at(s).x} y={at(s).y} textAnchor="middle" dominantBaseline="central" fontSize={r * 1.18} fontWeight="700" fill="currentColor">
              {s.turn}
            </text>
          </g>
        ))}
      </svg>
      <KeyButton keyName="W" className="small justify-center" pressed={inARow} onPress={() => setInARow(!inARow)}>
        {inARow ? "They stand in a row" : "Do they stand in a row?"}
      </KeyButton>
    </div>
  );
}
