"use client";

import { line } from "d3";
import { type KeyboardEvent, memo, type PointerEvent, useId, useMemo, useRef, useState } from "react";
import { borePath, type Gear, type GearKind, gearDimensions, gearFace, gearOutline, type Point } from "@/core/gear/index";
import { runBetween } from "@/core/judge/tooth-marks";

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

/** mark → how the tooth is drawn: fill, stroke, dash, and the letter that stands beside it, so that colour never stands alone */
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

/** Three digits: a thousandth of a millimetre, and the same text from every engine's sine. */
const path = line<Point>()
  .digits(3)
  .x((p) => p[0])
  .y((p) => -p[1]);
const fixed = (x: number): number => Math.round(x * 1000) / 1000;

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
const Tooth = memo(function Tooth({ index, outline, mark, chosen, focusable, letterAt, target, thin }: ToothProps) {
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
        <text x={letterAt[0]} y={letterAt[1]} fontSize={fixed(thin * 22)} fontWeight="700" textAnchor="middle" dominantBaseline="central" fill={look.stroke}>
          {look.letter}
        </text>
      )}
    </g>
  );
});

/**
 * A gear in true involute geometry, to scale. Each tooth is a target: a press marks it, a drag marks the run between; arrow keys go round, with Shift they draw a run, Enter marks.
 */
export function GearFace({ gear, kind = "spur", coneAngleDeg, boreMm, boreForm, marks, onMark, over, zoom = 1, label, size = 430, scaleLabel }: GearFaceProps) {
  const [at, setAt] = useState(0);
  const [from, setFrom] = useState<number | null>(null);
  const group = useRef<SVGGElement>(null);
  const hatch = useId();
  const drawn = useMemo(() => {
    const face = gearFace(kind, gear, coneAngleDeg);
    const d = gearDimensions(gear);
    const straight = face.form === "straight";
    const thin = fixed((straight ? face.reachMm : face.reachMm * 1.16) / 220);
    const count = face.teeth.length;
    const letters = face.form === "ring" ? face.rootMm + 1.1 * gear.moduleMm : face.tipMm * 1.085;
    const teeth = face.teeth.map((points, i) => {
      const turn = (2 * Math.PI * i) / count;
      const middle = straight ? ((points[0] as Point)[0] + (points.at(-1) as Point)[0]) / 2 : 0;
      return {
        outline: path(points as Point[]) ?? "",
        letterAt: (straight
          ? [fixed(middle), fixed(-face.tipMm - 10 * thin)]
          : [fixed(letters * Math.sin(turn)), fixed(-letters * Math.cos(turn))]) as readonly [number, number],
        target: straight
          ? `M${fixed(middle - 1.5 * gear.moduleMm)} ${fixed(-3 * gear.moduleMm)}h${fixed(3 * gear.moduleMm)}v${fixed(5 * gear.moduleMm)}h${fixed(-3 * gear.moduleMm)}Z`
          : wedge(i, count, Math.min(face.rootMm, face.tipMm) * 0.86, face.reachMm * 1.16),
      };
    });
    return { face, d, thin, teeth, straight };
  }, [gear, kind, coneAngleDeg]);
  const difference = useMemo(() => {
    if (!over || drawn.face.form !== "round") return null;
    const edge = (g: Gear): string => `${path(gearOutline(g, undefined, 10)) ?? ""}Z`;
    return { shaded: `${edge(gear)}${edge(over)}`, edge: edge(over), tip: gearDimensions(over).tipDiameterMm };
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
  const bore = boreMm ?? Math.min(face.rootMm, face.tipMm) * 0.44;
  const rim = Math.min(face.rootMm, face.tipMm);
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
        <pattern id={hatch} width={thin * 7} height={thin * 7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width={thin * 7} height={thin * 7} fill="color-mix(in oklab, var(--color-error) 22%, transparent)" />
          <path d={`M0 0V${thin * 7}`} stroke="var(--color-error)" strokeWidth={thin * 3} />
        </pattern>
      </defs>
      {face.form === "round" && (
        <circle r={fixed(face.rootMm + thin)} fill="var(--color-base-300)" stroke="var(--color-base-content)" strokeWidth={thin * 1.4} />
      )}
      {face.form === "ring" && (
        <>
          <circle r={fixed(face.reachMm)} fill="var(--color-base-300)" stroke="var(--color-base-content)" strokeWidth={thin * 1.6} />
          <circle r={fixed(face.rootMm)} fill="var(--color-base-100)" stroke="var(--color-base-content)" strokeWidth={thin * 1.4} />
        </>
      )}
      {straight && (
        <rect
          x={fixed(-face.reachMm)}
          y={fixed(-face.rootMm)}
          width={fixed(2 * face.reachMm)}
          height={fixed((kind === "worm" ? 4 : 2.5) * gear.moduleMm)}
          fill="var(--color-base-300)"
          stroke="var(--color-base-content)"
          strokeWidth={thin * 1.4}
        />
      )}
      {kind === "worm" && (
        <g pointerEvents="none" fill="var(--color-base-300)" stroke="var(--color-base-content)" strokeWidth={thin}>
          {face.teeth.map((points, i) => {
            const [x, low] = [((points[0] as Point)[0] + (points.at(-1) as Point)[0]) / 2, -face.rootMm + 4 * gear.moduleMm];
            const [pitch, high] = [Math.PI * gear.moduleMm, face.tipMm - face.rootMm];
            return (
              <g key={x}>
                {/* the same thread half a turn on, seen below the axis, and its run across the front */}
                <path
                  d={`M${fixed(x + 0.14 * pitch)} ${fixed(low)}l${fixed(0.13 * pitch)} ${fixed(high)}h${fixed(0.46 * pitch)}l${fixed(0.13 * pitch)} ${fixed(-high)}Z`}
                  opacity={i === face.teeth.length - 1 ? 0 : 1}
                />
                <path
                  d={`M${fixed(x - pitch / 4)} ${fixed(-face.rootMm)}L${fixed(x + pitch / 4)} ${fixed(low)}M${fixed(x + pitch / 4)} ${fixed(-face.rootMm)}L${fixed(x + 0.75 * pitch)} ${fixed(low)}`}
                  opacity={i === face.teeth.length - 1 ? 0 : 1}
                />
              </g>
            );
          })}
        </g>
      )}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: the keys belong to the teeth inside, each a button */}
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
      <g pointerEvents="none" fill="none" stroke="var(--color-base-content)" strokeWidth={thin}>
        {face.form === "round" && (
          <>
            <circle r={fixed(rim * 0.82)} fill="var(--color-base-200)" />
            <circle r={fixed(Math.min(rim * 0.78, Math.max(bore * 0.95, rim * 0.3)))} fill="var(--color-base-300)" />
            <path d={borePath(bore, boreForm)} fill="var(--color-base-100)" strokeWidth={thin * 1.6} />
            {boreForm === "cross hole" && (
              <path
                d={`M${fixed(-rim * 0.3)} ${fixed(-bore * 0.16)}H${fixed(rim * 0.3)}M${fixed(-rim * 0.3)} ${fixed(bore * 0.16)}H${fixed(rim * 0.3)}`}
                strokeDasharray={`${thin * 6} ${thin * 3}`}
              />
            )}
          </>
        )}
        {difference && (
          <>
            <path d={difference.shaded} fillRule="evenodd" fill={`url(#${hatch})`} stroke="none" />
            <path d={difference.edge} stroke="var(--color-error)" strokeWidth={thin * 1.3} />
          </>
        )}
        {straight ? (
          <path
            d={`M${fixed(-face.reachMm)} 0H${fixed(face.reachMm)}`}
            stroke="var(--color-info)"
            strokeDasharray={`${thin * 9} ${thin * 4} ${thin * 2} ${thin * 4}`}
          />
        ) : (
          <circle r={fixed(face.referenceMm)} stroke="var(--color-info)" strokeDasharray={`${thin * 9} ${thin * 4} ${thin * 2} ${thin * 4}`} />
        )}
      </g>
      {zoom === 1 && (
        <text x={0} y={view * 0.985} fontSize={thin * 15} textAnchor="middle" fill="var(--hush)" className="figures">
          {scaleLabel ??
            (straight
              ? `pitch ${(Math.PI * gear.moduleMm).toFixed(2)} mm`
              : `Ø ${(face.form === "round" && kind !== "bevel" && kind !== "pulley" && kind !== "sprocket" ? d.tipDiameterMm : 2 * face.tipMm).toFixed(2)} mm over the tips`)}
        </text>
      )}
    </svg>
  );
}

const straightRun = (a: number, b: number): number[] => Array.from({ length: Math.abs(b - a) + 1 }, (_, i) => Math.min(a, b) + i);

function wedge(i: number, teeth: number, inner: number, outer: number): string {
  const a = (2 * Math.PI * (i - 0.5)) / teeth;
  const b = (2 * Math.PI * (i + 0.5)) / teeth;
  const p = (r: number, t: number): string => `${fixed(r * Math.sin(t))} ${fixed(-r * Math.cos(t))}`;
  return `M${p(inner, a)}L${p(outer, a)}L${p(outer, b)}L${p(inner, b)}Z`;
}
