"use client";

import { line, scaleLinear, scaleLog } from "d3";
import { type DrawnLine, drawnLines } from "@/core/sound/drawn-lines";
import type { Listened } from "@/core/sound/listen";
import { hertz } from "./in-words";

const WIDTH = 720;
const LEFT = 62;
const BOTTOM = 24;
const TICKS = [20, 50, 100, 200, 500, 1000, 2000, 5000];
const LOUDEST_DB = -5;
const QUIETEST_DB = -65;

/**
 * The spectra of both moments at equal loudness, with the lines of the train under them; what is suspected is
 * drawn bold.
 */
export function SpectrumView({
  before,
  after,
  lit,
  height,
}: {
  before: Listened | null;
  after: Listened | null;
  /** the gear that stands out */
  lit: { readonly mesh: string | null; readonly shaft: string | null } | null;
  height: number;
}) {
  const either = after ?? before;
  if (!either) return null;
  const lowest = either.spectrum.hz[0] ?? 1;
  const highest = either.range[1];
  const x = scaleLog([lowest, highest], [LEFT, WIDTH]);
  const y = scaleLinear([QUIETEST_DB, LOUDEST_DB], [height - BOTTOM, 36]);
  const heard = after?.heard ?? before?.heard ?? null;
  const numbers = new Map(heard?.lines.meshes.map((m, i) => [m.mesh, i + 1]));
  const lines = heard ? drawnLines(heard, lit).filter((l) => l.hz > lowest && l.hz < highest) : [];
  const curve = (of: Listened): string =>
    line<number>(
      (_, i) => x(of.spectrum.hz[i] as number),
      (db) => y(Math.max(QUIETEST_DB, Math.min(LOUDEST_DB, db))),
    )([...of.spectrum.db]) ?? "";
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="w-full"
      style={{ height }}
      preserveAspectRatio="none"
      role="img"
      aria-label="Loudness by pitch, with the lines of the train"
    >
      {[-60, -40, -20].map((db) => (
        <g key={db}>
          <line x1={LEFT} x2={WIDTH} y1={y(db)} y2={y(db)} className="stroke-base-300" strokeWidth={1} />
          <text x={LEFT - 6} y={y(db) + 5} textAnchor="end" className="fill-base-content text-[14px]">
            {db} dB
          </text>
        </g>
      ))}
      {TICKS.filter((t) => t < highest).map((t) => (
        <text key={t} x={x(t)} y={height - 6} textAnchor="middle" className="fill-base-content text-[14px]">
          {hertz(t)}
        </text>
      ))}
      {lines.map((l) => (
        <TrainLine
          key={`${l.kind} ${l.hz}`}
          line={l}
          at={x(l.hz)}
          number={numbers.get(l.mesh ?? "")}
          isLit={l.mesh !== undefined && l.mesh === lit?.mesh}
          height={height}
        />
      ))}
      {before && (
        <path
          d={curve(before)}
          fill="none"
          className="stroke-info"
          strokeWidth={2}
          strokeDasharray={after ? "6 4" : undefined}
        />
      )}
      {after && <path d={curve(after)} fill="none" className="stroke-base-content" strokeWidth={2} />}
    </svg>
  );
}

/**
 * One line of the train: a mesh by its number, an overtone dashed, a sideband dotted, a turn of a shaft from
 * below.
 */
function TrainLine({
  line: { kind, n, shaft },
  at,
  number,
  isLit,
  height,
}: {
  line: DrawnLine;
  at: number;
  number: number | undefined;
  isLit: boolean;
  height: number;
}) {
  const foot = height - BOTTOM;
  if (kind === "turn")
    return (
      <g>
        <line x1={at} x2={at} y1={foot - 34} y2={foot} className="stroke-base-content" strokeWidth={2} />
        <text x={at + 4} y={foot - 24} className="fill-base-content text-[13px]">
          {shaft}
        </text>
      </g>
    );
  if (kind === "sideband")
    return (
      <line
        x1={at}
        x2={at}
        y1={70}
        y2={foot}
        className="stroke-error"
        strokeWidth={1}
        strokeDasharray="1 4"
      />
    );
  const top = kind === "overtone" ? 34 : 18;
  return (
    <g>
      <line
        x1={at}
        x2={at}
        y1={top}
        y2={foot}
        className={isLit ? "stroke-error" : "stroke-secondary"}
        strokeWidth={isLit ? 3 : 1.5}
        strokeDasharray={kind === "overtone" ? "3 4" : undefined}
      />
      <text
        x={at + 3}
        y={top - 2}
        className={`text-[14px] font-semibold ${isLit ? "fill-error" : "fill-base-content"}`}
      >
        {n ? `${n} × ` : ""}
        {number}
      </text>
    </g>
  );
}
