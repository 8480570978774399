"use client";

import { type KeyboardEvent, type PointerEvent, useId, useMemo, useRef, useState } from "react";
import { type Gear, type GearKind, gearDimensions, gearOutline } from "@/core/gear/index";
import { runBetween } from "@/core/judge/tooth-marks";
import { GearBlank, GearMiddle } from "./gear-body";
import { drawingOf, fixed, path } from "./gear-drawing";
import { Tooth } from "./gear-tooth";

export interface GearFaceProps {
  gear: Gear;
  kind?: GearKind;
  coneAngleDeg?: number;
  boreMm?: number;
  boreForm?: string;
  /** tooth number (from 0) → mark */
  marks: Readonly<Record<string, string>>;
  onMark?: (teeth: readonly number[]) => void;
  /** laid over it at the same scale, the difference shaded */
  over?: Gear;
  /** 1 shows all of it; more goes closer to the tooth that is looked at */
  zoom?: number;
  label: string;
  size?: number;
  scaleLabel?: string;
}

/**
 * A gear in true involute geometry, to scale. Each tooth is a target: a press marks it, a drag marks the run
 * between; arrow keys go round, with Shift they draw a run, Enter marks.
 */
export function GearFace({
  gear,
  kind = "spur",
  coneAngleDeg,
  boreMm,
  boreForm,
  marks,
  onMark,
  over,
  zoom = 1,
  label,
  size = 430,
  scaleLabel,
}: GearFaceProps) {
  const [at, setAt] = useState(0);
  const [from, setFrom] = useState<number | null>(null);
  const group = useRef<SVGGElement>(null);
  const hatch = useId();
  const drawn = useMemo(() => drawingOf(gear, kind, coneAngleDeg), [gear, kind, coneAngleDeg]);
  const difference = useMemo(() => {
    if (!over || drawn.face.form !== "round") return null;
    const edge = (g: Gear): string => `${path(gearOutline(g, undefined, 10)) ?? ""}Z`;
    return {
      shaded: `${edge(gear)}${edge(over)}`,
      edge: edge(over),
      tip: gearDimensions(over).tipDiameterMm,
    };
  }, [over, gear, drawn.face.form]);

  const { face, d, teeth, straight } = drawn;
  // lines grow more slowly than what they draw
  const thin = fixed(drawn.thin / zoom ** 0.7);
  const count = teeth.length;
  const reach = Math.max(face.reachMm, difference ? difference.tip / 2 : 0);
  const view = fixed(reach * 1.16);
  const half = view / zoom;
  const tooth = (2 * Math.PI * at) / count;
  const middle = (
    zoom === 1
      ? [0, 0]
      : straight
        ? [(at - (count - 1) / 2) * Math.PI * gear.moduleMm, 0]
        : [face.referenceMm * Math.sin(tooth), -face.referenceMm * Math.cos(tooth)]
  ) as [number, number];
  const run = from === null ? null : straight ? straightRun(from, at) : runBetween(from, at, count);
  const chosen = new Set(run ?? []);

  const toothAt = (e: PointerEvent<SVGSVGElement>): number | null => {
    const matrix = e.currentTarget.getScreenCTM();
    if (!matrix) return null;
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(matrix.inverse());
    if (straight) {
      const i = Math.round(p.x / (Math.PI * gear.moduleMm) + (count - 1) / 2);
      return i >= 0 && i < count && Math.abs(p.y) < 4 * gear.moduleMm ? i : null;
    }
    const r = Math.hypot(p.x, p.y);
    if (r < Math.min(face.rootMm, face.tipMm) * 0.8) return null;
    return (Math.round((Math.atan2(p.x, -p.y) / (2 * Math.PI)) * count) + count) % count;
  };
  const finish = (): void => {
    if (run) onMark?.(run);
    setFrom(null);
  };
  const go = (to: number, extend: boolean): void => {
    const next = straight ? Math.min(count - 1, Math.max(0, to)) : (to + count) % count;
    setFrom(extend ? (from ?? at) : null);
    setAt(next);
    (group.current?.children[next] as SVGElement | undefined)?.focus();
  };
  const struck = (e: KeyboardEvent): void => {
    if (e.key === "ArrowRight" || e.key === "ArrowDown") go(at + 1, e.shiftKey);
    else if (e.key === "ArrowLeft" || e.key === "ArrowUp") go(at - 1, e.shiftKey);
    else if (e.key === "Enter" || e.key === " ") {
      onMark?.(run ?? [at]);
      setFrom(null);
    } else return;
    e.preventDefault();
    e.stopPropagation();
  };
  return (
    <svg
      width={size}
      height={size}
      viewBox={`${fixed(middle[0] - half)} ${fixed(middle[1] - half)} ${fixed(2 * half)} ${fixed(2 * half)}`}
      aria-label={label}
      className="max-h-full max-w-full touch-none select-none"
      onPointerDown={(e) => {
        const t = onMark ? toothAt(e) : null;
        if (t === null) return;
        e.currentTarget.setPointerCapture(e.pointerId);
        setFrom(t);
        setAt(t);
      }}
      onPointerMove={(e) => {
        if (from === null || e.buttons === 0) return;
        const t = toothAt(e);
        if (t !== null && t !== at) setAt(t);
      }}
      onPointerUp={finish}
      onPointerCancel={() => setFrom(null)}
    >
      <defs>
        <pattern
          id={hatch}
          width={thin * 7}
          height={thin * 7}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect
            width={thin * 7}
            height={thin * 7}
            fill="color-mix(in oklab, var(--color-error) 22%, transparent)"
          />
          <path d={`M0 0V${thin * 7}`} stroke="var(--color-error)" strokeWidth={thin * 3} />
        </pattern>
      </defs>
      <GearBlank drawing={drawn} kind={kind} moduleMm={gear.moduleMm} thin={thin} />
      {/* biome-ignore lint/a11y/noStaticElementInteractions: the keys belong to the teeth inside, each a
          button */}
      <g ref={group} onKeyDown={struck}>
        {teeth.map((t, i) => (
          <Tooth
            key={t.outline}
            index={i}
            outline={t.outline}
            letterAt={t.letterAt}
            target={t.target}
            thin={thin}
            mark={marks[i]}
            chosen={chosen.has(i)}
            focusable={onMark !== undefined && i === at}
          />
        ))}
      </g>
      <GearMiddle drawing={drawn} boreMm={boreMm} boreForm={boreForm} thin={thin} />
      {difference && (
        <g pointerEvents="none" fill="none">
          <path d={difference.shaded} fillRule="evenodd" fill={`url(#${hatch})`} stroke="none" />
          <path d={difference.edge} stroke="var(--color-error)" strokeWidth={thin * 1.3} />
        </g>
      )}
      {zoom === 1 && (
        <text
          x={0}
          y={view * 0.985}
          fontSize={thin * 15}
          textAnchor="middle"
          fill="var(--hush)"
          className="figures"
        >
          {scaleLabel ??
            (straight
              ? `pitch ${(Math.PI * gear.moduleMm).toFixed(2)} mm`
              : `Ø ${(face.form === "round" && kind !== "bevel" && kind !== "pulley" && kind !== "sprocket" ? d.tipDiameterMm : 2 * face.tipMm).toFixed(2)} mm ${face.form === "ring" ? "across the tips, inside" : "over the tips"}`)}
        </text>
      )}
    </svg>
  );
}

const straightRun = (a: number, b: number): number[] =>
  Array.from({ length: Math.abs(b - a) + 1 }, (_, i) => Math.min(a, b) + i);
