"use client";

import { line, scaleLinear, scaleLog } from "d3";
import type { Listened } from "@/core/sound/listen";
import { hertz } from "./in-words";

const WIDTH = 720;
const LEFT = 62;
const BOTTOM = 24;
const TICKS = [50, 100, 200, 500, 1000, 2000, 5000];
const LOUDEST_DB = -5;
const QUIETEST_DB = -65;

/** The spectra of both moments at equal loudness, with the lines of the train under them; what is suspected is drawn bold. */
export function SpectrumView({
  before,
  after,
  lit,
  height,
}: {
  before: Listened | null;
  after: Listened | null;
  /** the mesh that stands out */
  lit: string | null;
  height: number;
}) {
  const either = after ?? before;
  if (!either) return null;
  const x = scaleLog([...either.range], [LEFT, WIDTH]);
  const y = scaleLinear([QUIETEST_DB, LOUDEST_DB], [height - BOTTOM, 36]);
  const heard = after?.heard ?? before?.heard ?? null;
  const turn = heard ? heard.rpm.value / 60 : 0;
  const teeth =
    heard?.lines.meshes.flatMap((m, i) => [1, 2, 3].map((h) => ({ key: `${m.mesh}-${h}`, mesh: m.mesh, n: i + 1, h, hz: h * m.order * turn }))) ?? [];
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
      {TICKS.filter((t) => t < either.range[1]).map((t) => (
        <text key={t} x={x(t)} y={height - 6} textAnchor="middle" className="fill-base-content text-[14px]">
          {hertz(t)}
        </text>
      ))}
      {teeth
        .filter((t) => t.hz > either.range[0] && t.hz < either.range[1])
        .map((t) => (
          <g key={t.key}>
            <line
              x1={x(t.hz)}
              x2={x(t.hz)}
              y1={t.h > 1 ? 34 : 18}
              y2={height - BOTTOM}
              className={t.mesh === lit ? "stroke-error" : "stroke-secondary"}
              strokeWidth={t.mesh === lit ? 3 : 1.5}
              strokeDasharray={t.h > 1 ? "3 4" : undefined}
            />
            <text x={x(t.hz) + 3} y={t.h > 1 ? 32 : 16} className={`text-[14px] font-semibold ${t.mesh === lit ? "fill-error" : "fill-base-content"}`}>
              {t.h > 1 ? `${t.h} × ` : ""}
              {t.n}
            </text>
          </g>
        ))}
      {before && <path d={curve(before)} fill="none" className="stroke-info" strokeWidth={2} strokeDasharray={after ? "6 4" : undefined} />}
      {after && <path d={curve(after)} fill="none" className="stroke-base-content" strokeWidth={2} />}
    </svg>
  );
}
