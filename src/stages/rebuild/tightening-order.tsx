"use client";

import { useState } from "react";
import {
  type FlangeScrew,
  orderOfHoles,
  rowOrder,
  tighteningOrder,
} from "@/core/hardware/bench/tightening-order";
import type { Holes } from "@/core/job/step";
import { KeyButton } from "@/ui/key-button";

/** Holes as they lie, drawn into a unit square with their proportions kept. */
function asTheyLie(at: Holes["at"]): FlangeScrew[] {
  const xs = at.map(([x]) => x);
  const ys = at.map(([, y]) => y);
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  // the drawing is wider than high
  const scale = Math.max((Math.max(...xs) - x0) / 192, (Math.max(...ys) - y0) / 116, 1e-9);
  const [w, h] = [(Math.max(...xs) - x0) / scale, (Math.max(...ys) - y0) / scale];
  const { turns } = orderOfHoles(at.map(([x, y]) => ({ x, y })));
  return at.map(([x, y], i) => ({
    x: ((x - x0) / scale + (192 - w) / 2) / 192,
    y: ((y - y0) / scale + (116 - h) / 2) / 116,
    turn: turns[i] ?? 0,
  }));
}

/**
 * The order in which the screws of a flange, or of a row, are drawn down, as a small drawing. Which of the
 * two it is was told by where they sat, and is changed by one key.
 */
export function TighteningOrder({
  count,
  saidInARow,
  holes,
}: {
  count: number;
  saidInARow: boolean;
  /** where they sit, where somebody pointed at them */
  holes?: Holes | undefined;
}) {
  const [inARow, setInARow] = useState(saidInARow);
  const real = holes?.at.length === count ? asTheyLie(holes.at) : null;
  const screws = real ?? (inARow ? rowOrder(count) : tighteningOrder(count));
  if (!screws.length) return null;
  const at = (s: { x: number; y: number }) => ({ x: 24 + s.x * 192, y: 22 + s.y * 116 });
  const path = [...screws]
    .sort((a, b) => a.turn - b.turn)
    .map((s) => `${at(s).x.toFixed(1)} ${at(s).y.toFixed(1)}`);
  const flat = inARow && !real;
  const r = flat ? Math.min(17, 88 / (count - 1)) : 17;
  return (
    <div className="flex shrink-0 flex-col gap-1">
      <svg
        width="240"
        height="160"
        className="shrink-0"
        role="img"
        aria-label={`Tighten ${flat ? "from the middle outwards" : "crosswise"} in the order shown, ${count} screws`}
      >
        <rect
          x="6"
          y={flat ? 52 : 5}
          width="228"
          height={flat ? 56 : 150}
          rx="14"
          fill="none"
          stroke="currentColor"
          strokeWidth="1.5"
          opacity="0.5"
        />
        {!flat && (
          <path
            d={`M${path.join("L")}`}
            fill="none"
            stroke="var(--color-secondary)"
            strokeWidth="1.5"
            strokeDasharray="4 3"
          />
        )}
        {screws.map((s) => (
          <g key={s.turn}>
            <circle
              cx={at(s).x}
              cy={at(s).y}
              r={r}
              fill="var(--color-base-100)"
              stroke="currentColor"
              strokeWidth="2"
            />
            <text
              x={at(s).x}
              y={at(s).y}
              textAnchor="middle"
              dominantBaseline="central"
              fontSize={r * 1.18}
              fontWeight="700"
              fill="currentColor"
            >
              {s.turn}
            </text>
          </g>
        ))}
      </svg>
      {!real && (
        <KeyButton
          keyName="W"
          className="small justify-center"
          pressed={inARow}
          onPress={() => setInARow(!inARow)}
        >
          {inARow ? "They stand in a row" : "Do they stand in a row?"}
        </KeyButton>
      )}
    </div>
  );
}
