"use client";

import { axisLeft, interpolateRgbBasis, scaleLog, select } from "d3";
import { useEffect, useRef } from "react";
import type { Listened } from "@/core/sound/listen";
import { hertz } from "./in-words";

/** From the oilcloth over brass to paper: quiet to loud. */
const LOUD = interpolateRgbBasis(["#172527", "#27474a", "#7a6428", "#dcb463", "#fdf8ee"]);
const SCALE = Array.from({ length: 256 }, (_, i) => {
  const [r = 0, g = 0, b = 0] =
    LOUD(i / 255)
      .match(/\d+/g)
      ?.map(Number) ?? [];
  return [r, g, b] as const;
});
const TICKS = [50, 100, 200, 500, 1000, 2000, 5000];
const LEFT = 62;

/** Loudness by pitch (upward) and time (to the right). */
export function WaterfallView({ listened, height }: { listened: Listened; height: number }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const axis = useRef<SVGGElement>(null);
  const { waterfall, range, seconds, heard } = listened;
  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (!context) return;
    const { rows, columns, levels } = waterfall;
    const image = context.createImageData(columns, rows);
    for (let r = 0; r < rows; r++)
      for (let c = 0; c < columns; c++)
        image.data.set(
          [...(SCALE[levels[r * columns + c] as number] ?? [0, 0, 0]), 255],
          4 * ((rows - 1 - r) * columns + c),
        );
    context.putImageData(image, 0, 0);
    if (axis.current)
      select(axis.current)
        .call(
          axisLeft(scaleLog([...range], [height, 0]))
            .tickValues(TICKS.filter((t) => t >= range[0] && t <= range[1]))
            .tickFormat((t) => hertz(Number(t))),
        )
        .attr("font-size", 15)
        .attr("font-family", "inherit");
  }, [waterfall, range, height]);
  return (
    <div className="relative" style={{ height }}>
      <svg width={LEFT} height={height} className="absolute top-0 left-0 overflow-visible" aria-hidden="true">
        <g ref={axis} transform={`translate(${LEFT - 4},0)`} />
      </svg>
      <canvas
        ref={canvas}
        role="img"
        aria-label={`Loudness by pitch and time, ${seconds.toFixed(0)} seconds, ${hertz(range[0])} to ${hertz(range[1])}`}
        width={waterfall.columns}
        height={waterfall.rows}
        className="absolute top-0 border-2 border-base-content"
        style={{ left: LEFT, width: `calc(100% - ${LEFT}px)`, height }}
      />
      {heard && (
        <svg
          width={46}
          height={height}
          className="pointer-events-none absolute top-0 right-0"
          aria-hidden="true"
        >
          {heard.lines.meshes.map((m, i) => {
            const hz = (m.order * heard.rpm.value) / 60;
            if (hz < range[0] || hz > range[1]) return null;
            const y = scaleLog([...range], [height, 0])(hz);
            return (
              <g key={m.mesh}>
                <rect x={20} y={y - 11} width={24} height={22} fill="#172527" />
                <line x1={0} x2={20} y1={y} y2={y} stroke="#fdf8ee" strokeWidth={3} />
                <text x={32} y={y + 6} textAnchor="middle" fill="#fdf8ee" className="text-[17px] font-bold">
                  {i + 1}
                </text>
              </g>
            );
          })}
        </svg>
      )}
    </div>
  );
}
