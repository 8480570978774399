"use client";

import { line } from "d3";
import { useMemo, useRef, useState } from "react";
import { type Gear, gearDimensions, type Point, toothFlank, toothOutline } from "@/core/gear/index";

export interface GearFaceProps {
  gear: Gear;
  boreMm?: number | undefined;
  boreForm?: string | undefined;
  /** tooth number (from 0) → mark */
  marks: Readonly<Record<string, string>>;
  onMark?: (tooth: number) => void;
  label: string;
  size?: number;
  scaleLabel?: string;
}

/** mark → how the tooth is drawn: fill, stroke, dash, and the letter that stands beside it, so that colour never stands alone */
const LOOKS: Readonly<Record<string, { fill: string; stroke: string; dash?: string; letter: string }>> = {
  missing: { fill: "transparent", stroke: "var(--color-error)", dash: "3 3", letter: "×" },
  knife: { fill: "color-mix(in oklab, var(--color-error) 28%, transparent)", stroke: "var(--color-error)", letter: "^" },
  chipped: { fill: "color-mix(in oklab, var(--color-error) 28%, transparent)", stroke: "var(--color-error)", letter: "/" },
  cracked: { fill: "color-mix(in oklab, var(--color-warning) 40%, transparent)", stroke: "var(--color-error)", letter: "!" },
  worn: { fill: "color-mix(in oklab, var(--color-info) 35%, transparent)", stroke: "var(--color-info)", letter: "~" },
};

/** Three digits: a thousandth of a millimetre, and the same text from every engine's sine. */
const path = line<Point>()
  .digits(3)
  .x((p) => p[0])
  .y((p) => -p[1]);

/** A gear in true involute geometry, to scale. Each tooth is a target: arrow keys go round, Enter or a press marks it. */
export function GearFace({ gear, boreMm, boreForm, marks, onMark, label, size = 430, scaleLabel }: GearFaceProps) {
  const [at, setAt] = useState(0);
  const group = useRef<SVGGElement>(null);
  const drawn = useMemo(() => {
    const flank = toothFlank(gear, 10);
    const d = gearDimensions(gear);
    return { flank, d, teeth: Array.from({ length: gear.teeth }, (_, i) => path(toothOutline(flank, gear.teeth, i)) ?? "") };
  }, [gear]);
  const { d, flank } = drawn;
  const tip = d.tipDiameterMm / 2;
  const root = (flank[0] as readonly [number, number])[0];
  const view = fixed(tip * 1.16);
  const thin = fixed(view / 220);
  const bore = boreMm ? boreMm / 2 : root * 0.22;
  const go = (to: number): void => {
    const next = (to + gear.teeth) % gear.teeth;
    setAt(next);
    (group.current?.children[next] as SVGElement | undefined)?.focus();
  };
  return (
    <svg width={size} height={size} viewBox={`${-view} ${-view} ${2 * view} ${2 * view}`} aria-label={label} className="max-w-full">
      <circle r={root + thin} fill="var(--color-base-300)" stroke="var(--color-base-content)" strokeWidth={thin * 1.4} />
      <g ref={group}>
        {drawn.teeth.map((outline, i) => {
          const mark = marks[i];
          const look = mark ? LOOKS[mark] : undefined;
          return (
            // biome-ignore lint/a11y/useSemanticElements: a tooth in a drawing cannot be a button element
            <g
              key={outline}
              role="button"
              tabIndex={onMark && i === at ? 0 : -1}
              aria-label={`Tooth ${i + 1}${mark ? `, ${mark}` : ""}`}
              className="cursor-pointer outline-none focus-visible:[&>path]:stroke-info focus-visible:[&>path]:[stroke-width:0.6]"
              onClick={() => {
                setAt(i);
                onMark?.(i);
              }}
              onKeyDown={(e) => {
                if (e.key === "ArrowRight" || e.key === "ArrowDown") go(i + 1);
                else if (e.key === "ArrowLeft" || e.key === "ArrowUp") go(i - 1);
                else if (e.key === "Enter" || e.key === " ") onMark?.(i);
                else return;
                e.preventDefault();
                e.stopPropagation();
              }}
            >
              <path
                d={outline}
                fill={look?.fill ?? "var(--color-base-300)"}
                stroke={look?.stroke ?? "var(--color-base-content)"}
                strokeWidth={thin * (look ? 2 : 1.4)}
                strokeDasharray={look?.dash ? `${thin * 4} ${thin * 3}` : undefined}
              />
              {/* the target is larger than the tooth */}
              <path d={wedge(i, gear.teeth, root * 0.86, view)} fill="transparent" />
              {look && (
                <text
                  x={fixed(tip * 1.085 * Math.sin((2 * Math.PI * i) / gear.teeth))}
                  y={fixed(-tip * 1.085 * Math.cos((2 * Math.PI * i) / gear.teeth))}
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
        })}
      </g>
      <g pointerEvents="none" fill="none" stroke="var(--color-base-content)" strokeWidth={thin}>
        <circle r={root * 0.82} fill="var(--color-base-200)" />
        <circle r={Math.max(bore * 1.9, root * 0.3)} fill="var(--color-base-300)" />
        <path d={borePath(bore, boreForm)} fill="var(--color-base-100)" strokeWidth={thin * 1.6} />
        <circle r={d.referenceDiameterMm / 2} stroke="var(--color-info)" strokeDasharray={`${thin * 9} ${thin * 4} ${thin * 2} ${thin * 4}`} />
      </g>
      <text x={0} y={view * 0.985} fontSize={thin * 15} textAnchor="middle" fill="var(--hush)" className="figures">
        {scaleLabel ?? `Ø ${d.tipDiameterMm.toFixed(2)} mm over the tips`}
      </text>
    </svg>
  );
}

const fixed = (x: number): number => Math.round(x * 1000) / 1000;

function wedge(i: number, teeth: number, inner: number, outer: number): string {
  const a = (2 * Math.PI * (i - 0.5)) / teeth;
  const b = (2 * Math.PI * (i + 0.5)) / teeth;
  const p = (r: number, t: number): string => `${fixed(r * Math.sin(t))} ${fixed(-r * Math.cos(t))}`;
  return `M${p(inner, a)}L${p(outer, a)}L${p(outer, b)}L${p(inner, b)}Z`;
}

function borePath(r: number, form: string | undefined): string {
  const circle = `M${-r} 0A${r} ${r} 0 1 0 ${r} 0A${r} ${r} 0 1 0 ${-r} 0Z`;
  if (form === "D") return `M${-r * 0.75} ${-r * 0.66}A${r} ${r} 0 1 1 ${-r * 0.75} ${r * 0.66}Z`;
  if (form === "keyway") return `M${-r * 0.28} ${-r * 1.3}H${r * 0.28}V${-r * 0.96}A${r} ${r} 0 1 1 ${-r * 0.28} ${-r * 0.96}Z`;
  if (form === "cross slot")
    return `M${-r * 1.9} ${-r * 0.22}H${-r * 0.975}A${r} ${r} 0 0 1 ${r * 0.975} ${-r * 0.22}H${r * 1.9}V${r * 0.22}H${r * 0.975}A${r} ${r} 0 0 1 ${-r * 0.975} ${r * 0.22}H${-r * 1.9}Z`;
  return circle;
}
