"use client";

import { type KeyboardEvent, type PointerEvent, useRef } from "react";
import {
  axesOf,
  type FacePlane,
  faceFromAxes,
  type RingReading,
  type Spot,
  toPicture,
} from "@/core/photo/index";

/** Where a tooth stands as the technician says, over what was read: slot → there or not. */
export type ToothSays = Readonly<Record<number, "there" | "missing">>;
export const isGone = (ring: RingReading, says: ToothSays, i: number): boolean =>
  (says[i] ?? (ring.slots.slots[i]?.state === "missing" ? "missing" : "there")) === "missing";

const PAPER = "#f4efe4";
const INK = "#1d2a2c";
const VERMILION = "#e2492b";

const on = (f: FacePlane, angle: number, r: number): [number, number] =>
  toPicture(f, [r * Math.cos(angle), r * Math.sin(angle)]);
const path = (spots: readonly Spot[], closed = true): string =>
  `M${spots.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join("L")}${closed ? "Z" : ""}`;
const circle = (f: FacePlane, r: number): string =>
  path(Array.from({ length: 120 }, (_, i) => on(f, (2 * Math.PI * i) / 120, r)));

/** Every number while there is room, else every fifth. */
export const numbered = (i: number, teeth: number): boolean => teeth <= 48 || (i + 1) % 5 === 0 || i === 0;

/**
 * The ring over its picture: a tick with its number at each tooth, vermilion where one is gone; handles at
 * the centre and on the ring that a
 * hand or the arrow keys can move.
 */
export function PhotoOverlay({
  width,
  height,
  ring,
  hand,
  says,
  chosen,
  onTooth,
  onHand,
  onLaid,
  marks,
  onSpot,
}: {
  width: number;
  height: number;
  ring: RingReading | null;
  /** the ring as the hand has it, while it moves */
  hand: FacePlane | null;
  says: ToothSays;
  chosen: number;
  onTooth: (slot: number) => void;
  onHand: (plane: FacePlane) => void;
  /** the hand has let go */
  onLaid: (plane: FacePlane) => void;
  /** marks of the size tool */
  marks: readonly Spot[];
  /** the size tool wants a place */
  onSpot: ((spot: Spot) => void) | null;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const held = useRef<number | null>(null);
  const plane = hand ?? ring?.plane ?? null;
  const spotOf = (e: PointerEvent): Spot => {
    const m = svg.current?.getScreenCTM()?.inverse();
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(m ?? undefined);
    return [Math.max(0, Math.min(width, p.x)), Math.max(0, Math.min(height, p.y))];
  };
  /** handle 0 is the centre, 1 to 4 lie on the ends of the axes */
  const last = useRef<FacePlane | null>(null);
  const move = (to: FacePlane): void => {
    last.current = to;
    onHand(to);
  };
  const moveTo = (handle: number, [x, y]: Spot): void => {
    if (!plane) return;
    const { long, short, direction } = axesOf(plane);
    if (handle === 0) {
      move({ ...plane, centre: [x, y] });
      return;
    }
    const r = Math.max(20, Math.hypot(x - plane.centre[0], y - plane.centre[1]));
    move(
      handle % 2
        ? faceFromAxes(plane.centre, r, short, direction)
        : faceFromAxes(plane.centre, long, r, direction),
    );
  };
  const keyed = (handle: number) => (e: KeyboardEvent) => {
    const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key];
    if (!step || !plane) return;
    e.preventDefault();
    e.stopPropagation();
    const k = (e.shiftKey ? 0.03 : 0.006) * axesOf(plane).long;
    const [x, y] = places[handle] as Spot;
    moveTo(handle, [x + (step[0] as number) * k, y + (step[1] as number) * k]);
    if (last.current) onLaid(last.current);
  };
  const axes = plane && axesOf(plane);
  const places: Spot[] =
    plane && axes
      ? [
          plane.centre,
          ...[0, 1, 2, 3].map(
            (q): Spot =>
              toPicture(plane, [
                Math.cos(axes.direction + (q * Math.PI) / 2),
                Math.sin(axes.direction + (q * Math.PI) / 2),
              ]),
          ),
        ]
      : [];
  const size = width / 100;
  const teeth = ring?.teeth ?? 0;
  const letters = axes
    ? Math.max(
        size * 1.3,
        Math.min(size * 2.2, (axes.short * 3.4) / Math.max(12, teeth <= 48 ? teeth : teeth / 3)),
      )
    : size;
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${width} ${height}`}
      className={`absolute inset-0 h-full w-full touch-none ${onSpot ? "cursor-crosshair" : ""}`}
      aria-label="The ring of teeth over the picture"
      onPointerDown={(e) => onSpot?.(spotOf(e))}
      onPointerMove={(e) => held.current !== null && moveTo(held.current, spotOf(e))}
      onPointerUp={() => {
        if (held.current === null) return;
        held.current = null;
        if (last.current) onLaid(last.current);
      }}
    >
      <title>The ring of teeth over the picture</title>
      {plane && (
        <>
          <path d={circle(plane, 1)} fill="none" stroke={INK} strokeWidth={size * 0.34} opacity={0.6} />
          <path
            d={circle(plane, 1)}
            fill="none"
            stroke={PAPER}
            strokeWidth={size * 0.16}
            strokeDasharray={hand ? `${size} ${size * 0.7}` : undefined}
          />
        </>
      )}
      {ring &&
        !hand &&
        ring.slots.slots.map((t, i) => {
          const gone = isGone(ring, says, i);
          const [a, b, n] = [
            on(ring.plane, t.angle, gone ? ring.slots.rootShare : 1.015),
            on(ring.plane, t.angle, 1.07),
            on(ring.plane, t.angle, 1.07 + (letters * 0.85) / axesOf(ring.plane).long),
          ];
          return (
            // biome-ignore lint/a11y/useSemanticElements: a tick in a drawing cannot be a button element
            <g
              key={t.angle}
              role="button"
              tabIndex={-1}
              aria-label={`Tooth ${i + 1}, ${gone ? "missing" : "there"}`}
              className="cursor-pointer"
              onPointerDown={(e) => {
                if (onSpot) return;
                e.stopPropagation();
                onTooth(i);
              }}
            >
              <circle cx={(a[0] + b[0]) / 2} cy={(a[1] + b[1]) / 2} r={letters * 0.9} fill="transparent" />
              <path
                d={path([a, b], false)}
                stroke={INK}
                strokeWidth={size * (gone ? 0.95 : 0.5)}
                opacity={0.75}
              />
              <path
                d={path([a, b], false)}
                stroke={gone ? VERMILION : PAPER}
                strokeWidth={size * (gone ? 0.65 : 0.26)}
              />
              {(gone || i === chosen || numbered(i, teeth)) && (
                <text
                  x={n[0]}
                  y={n[1]}
                  fontSize={letters * (gone ? 1.15 : 1)}
                  fontWeight={700}
                  textAnchor="middle"
                  dominantBaseline="central"
                  fill={gone ? "#fff" : i === chosen ? INK : PAPER}
                  stroke={gone ? "#8e2410" : i === chosen ? "#e0a93c" : INK}
                  strokeWidth={letters * 0.28}
                  paintOrder="stroke"
                  strokeLinejoin="round"
                >
                  {gone ? `×${i + 1}` : i + 1}
                </text>
              )}
            </g>
          );
        })}
      {!onSpot &&
        places.map(([x, y], handle) => (
          // biome-ignore lint/a11y/useSemanticElements: a handle in a drawing cannot be a button element
          <g
            key={handle}
            role="button"
            tabIndex={0}
            aria-label={
              handle === 0
                ? "Centre of the gear; arrow keys move it"
                : `Ring, handle ${handle} of 4; arrow keys move it`
            }
            className="cursor-grab outline-none focus-visible:[&>circle:last-of-type]:stroke-[#e0a93c]"
            onPointerDown={(e) => {
              e.stopPropagation();
              held.current = handle;
              svg.current?.setPointerCapture(e.pointerId);
            }}
            onKeyDown={keyed(handle)}
          >
            <circle cx={x} cy={y} r={size * 3.4} fill="transparent" />
            <circle
              cx={x}
              cy={y}
              r={size * (handle ? 0.95 : 1.25)}
              fill={handle ? PAPER : "transparent"}
              stroke={INK}
              strokeWidth={size * 0.42}
            />
            {handle === 0 && (
              <path
                d={`M${x - size * 2},${y}h${size * 4}M${x},${y - size * 2}v${size * 4}`}
                stroke={PAPER}
                strokeWidth={size * 0.2}
              />
            )}
          </g>
        ))}
      {marks.map(([x, y], i) => (
        <g key={i}>
          <circle cx={x} cy={y} r={size * 1.2} fill="none" stroke={INK} strokeWidth={size * 0.6} />
          <circle cx={x} cy={y} r={size * 1.2} fill="none" stroke="#7fb4de" strokeWidth={size * 0.3} />
          <path
            d={`M${x - size * 1.9},${y}h${size * 3.8}M${x},${y - size * 1.9}v${size * 3.8}`}
            stroke="#7fb4de"
            strokeWidth={size * 0.16}
          />
        </g>
      ))}
      {marks.length === 2 && (
        <path
          d={path(marks, false)}
          stroke="#7fb4de"
          strokeWidth={size * 0.25}
          strokeDasharray={`${size} ${size * 0.5}`}
        />
      )}
    </svg>
  );
}
