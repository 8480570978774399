"use client";

import { memo } from "react";
import { fixed } from "./gear-drawing";

/**
 * mark → how the tooth is drawn: fill, stroke, dash, and the letter that stands beside it, so that colour
 * never stands alone
 */
const RED = "color-mix(in oklab, var(--color-error) 28%, transparent)";
const BLUE = "color-mix(in oklab, var(--color-info) 35%, transparent)";
const AMBER = "color-mix(in oklab, var(--color-warning) 40%, transparent)";
const LOOKS: Readonly<Record<string, { fill: string; stroke: string; dashed?: boolean; letter: string }>> = {
  missing: { fill: "transparent", stroke: "var(--color-error)", dashed: true, letter: "×" },
  broken: { fill: RED, stroke: "var(--color-error)", dashed: true, letter: "½" },
  chipped: { fill: RED, stroke: "var(--color-error)", letter: "/" },
  knife: { fill: RED, stroke: "var(--color-error)", letter: "^" },
  cracked: { fill: AMBER, stroke: "var(--color-error)", letter: "!" },
  melted: { fill: AMBER, stroke: "var(--color-error)", letter: "≈" },
  "worn-right": { fill: BLUE, stroke: "var(--color-info)", letter: "›" },
  "worn-left": { fill: BLUE, stroke: "var(--color-info)", letter: "‹" },
  worn: { fill: BLUE, stroke: "var(--color-info)", letter: "~" },
  corroded: { fill: AMBER, stroke: "var(--color-warning)", letter: "∴" },
};

interface ToothProps {
  index: number;
  outline: string;
  mark: string | undefined;
  chosen: boolean;
  focusable: boolean;
  letterAt: readonly [number, number];
  target: string;
  thin: number;
}

/** One tooth: drawn again only when something about it changes. */
export const Tooth = memo(function Tooth({
  index,
  outline,
  mark,
  chosen,
  focusable,
  letterAt,
  target,
  thin,
}: ToothProps) {
  const look = mark ? LOOKS[mark] : undefined;
  return (
    // biome-ignore lint/a11y/useSemanticElements: a tooth in a drawing cannot be a button element
    <g
      role="button"
      data-tooth={index}
      tabIndex={focusable ? 0 : -1}
      aria-label={`Tooth ${index + 1}${mark ? `, ${mark}` : ""}`}
      className="cursor-pointer outline-none focus-visible:[&>path]:stroke-info focus-visible:[&>path]:[stroke-width:0.6]"
    >
      <path
        d={outline}
        fill={chosen ? "var(--color-accent)" : (look?.fill ?? "var(--color-base-300)")}
        stroke={look?.stroke ?? "var(--color-base-content)"}
        strokeWidth={thin * (look ? 2 : 1.4)}
        strokeDasharray={look?.dashed ? `${thin * 4} ${thin * 3}` : undefined}
      />
      {/* the target is larger than the tooth */}
      <path d={target} fill="transparent" />
      {look && (
        <text
          x={letterAt[0]}
          y={letterAt[1]}
          fontSize={fixed(thin * 22)}
          fontWeight="700"
          textAnchor="middle"
          dominantBaseline="central"
          fill={look.stroke}
        >
          {look.letter}
        </text>
      )}
    </g>
  );
});
