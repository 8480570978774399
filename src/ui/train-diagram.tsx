"use client";

import { scaleLinear } from "d3";
import { type MouseEvent, useMemo } from "react";
import { type DrawnWheel, trainDiagram } from "@/core/train/diagram";
import type { ShaftAnswer, TrainAnswer } from "@/core/train/solve";
import type { TrainInput } from "@/core/train/train";

const WIDTH = 600;
const MARGIN = { left: 12, right: 138 } as const;

/** Which way a shaft turns: as it is seen, or where the motor's way was not told, against the motor's. */
function arrow(s: ShaftAnswer): string {
  if (s.turning) return s.turning.clockwise ? " ↻" : " ↺";
  return s.direction === 1 ? " ↻" : s.direction === -1 ? " ↺" : "";
}

type Wheel = Pick<DrawnWheel, "mesh" | "role">;
const isSame = (a: Wheel, b: Wheel | undefined): boolean => a.mesh === b?.mesh && a.role === b?.role;

/** Wheels of a diagram that can be pressed. */
export interface PressWheel {
  readonly wheels: readonly (Wheel & { readonly says: string })[];
  readonly picked: Wheel | undefined;
  readonly onPick: (wheel: Wheel) => void;
}

export interface TrainDiagramProps {
  train: TrainInput;
  answer: Pick<TrainAnswer, "shafts">;
  /** a mesh or a shaft that stands out */
  lit?: string;
  press?: PressWheel;
  /** how high the shafts and wheels may reach, for a width of 600; the words keep their size */
  mostHeight?: number;
}

/** A train from the side: shafts as lines with their speeds, gears as bars to relative size. */
export function TrainDiagram({ train, answer, lit, press, mostHeight = 430 }: TrainDiagramProps) {
  const d = useMemo(() => trainDiagram(train), [train]);
  // what stands beside the last wheels wants room before the names of the shafts
  const beside = Math.max(
    0,
    ...d.wheels.filter((w) => w.x + 60 > d.width).map((w) => 12 * (w.size.length - 2)),
  );
  const scale = Math.min(
    (WIDTH - MARGIN.left - MARGIN.right - beside) / (d.width + 60),
    mostHeight / (d.bottom - d.top),
    3,
  );
  const x = scaleLinear([-60, d.width], [MARGIN.left, MARGIN.left + (d.width + 60) * scale]);
  const height = (d.bottom - d.top) * scale + 16;
  const y = scaleLinear([d.top, d.bottom], [8, height - 8]);
  const speed = (shaft: string): string => {
    const s = answer.shafts.find((a) => a.shaft === shaft);
    if (!s || s.rpm === null || !train.input.rpm) return `?${s ? arrow(s) : ""}`;
    return `${s.rpm >= 100 ? Math.round(s.rpm) : Number(s.rpm.toFixed(1))} rpm${arrow(s)}`;
  };
  const right = MARGIN.left + (d.width + 60) * scale + 8 + beside;
  // names stand beside their lines; where two lie close, the later one moves down
  const labels = d.shafts.map((s) => ({ shaft: s.shaft, at: y(s.y) })).sort((a, b) => a.at - b.at);
  for (let i = 1; i < labels.length; i++) {
    const [above, here] = [labels[i - 1] as { at: number }, labels[i] as { at: number }];
    if (here.at - above.at < 38) here.at = above.at + 38;
  }
  const tall = Math.max(height, (labels.at(-1)?.at ?? 0) + 34);
  /** what lies nearest to where a finger came down: the wheels of a mesh touch, and most are narrow */
  const nearest = (e: MouseEvent<SVGSVGElement>): void => {
    const to = e.currentTarget.getScreenCTM()?.inverse();
    if (!press || !to || e.detail === 0) return;
    const at = new DOMPoint(e.clientX, e.clientY).matrixTransform(to);
    const far = (w: DrawnWheel): number =>
      Math.hypot(at.x - x(w.x), Math.max(0, Math.abs(at.y - y(w.y)) - w.r * scale));
    const [first] = d.wheels
      .filter((w) => press.wheels.some((p) => isSame(p, w)))
      .sort((a, b) => far(a) - far(b));
    if (first) press.onPick(first);
  };
  return (
    // biome-ignore lint/a11y/useKeyWithClickEvents: the wheels in it are buttons for the keyboard; a press beside one is a press on it
    <svg
      viewBox={`0 0 ${WIDTH} ${tall}`}
      className={press ? "max-h-full w-full cursor-pointer" : "max-h-full w-full"}
      role={press ? "group" : "img"}
      onClick={nearest}
      aria-label={`Train: ${d.shafts.map((s) => `${s.shaft} ${speed(s.shaft)}`).join(", ")}`}
    >
      <g stroke="var(--color-base-content)" strokeWidth="2" fill="var(--color-base-300)">
        {d.strands.map((s) => (
          <path
            key={s.mesh}
            d={[-1, 1]
              .map(
                (side) =>
                  `M${x(s.x) + side * 5} ${y(s.y1 + Math.sign(s.y2 - s.y1) * -s.r1)}L${x(s.x) + side * 5} ${y(s.y2 + Math.sign(s.y2 - s.y1) * s.r2)}`,
              )
              .join("")}
            strokeDasharray="5 3"
          />
        ))}
        {d.shafts.map((s) => (
          <path
            key={s.shaft}
            d={`M${x(s.from)} ${y(s.y)}H${x(s.to)}`}
            strokeWidth={lit === s.shaft ? 9 : 5}
            stroke={lit === s.shaft ? "var(--color-error)" : "var(--color-base-content)"}
          />
        ))}
        {d.wheels.map((w) => {
          const r = w.r * scale;
          const [cx, cy] = [x(w.x), y(w.y)];
          const on = lit === w.mesh || isSame(w, press?.picked);
          const common = {
            stroke: on ? "var(--color-error)" : "var(--color-base-content)",
            strokeWidth: on ? 4 : 2,
          };
          const key = `${w.mesh}-${w.says}-${w.y}`;
          if (w.shape === "wheel")
            return <circle key={key} cx={cx} cy={cy} r={r} {...common} fillOpacity={0.75} />;
          if (w.shape === "worm")
            return (
              <g key={key} {...common}>
                <rect x={cx - 26} y={cy - r} width={52} height={2 * r} />
                <path
                  d={[-16, -4, 8, 20].map((o) => `M${cx + o - 6} ${cy + r}L${cx + o} ${cy - r}`).join("")}
                />
              </g>
            );
          if (w.shape === "cone")
            return (
              <path
                key={key}
                d={`M${cx - 9} ${cy - r}L${cx + 9} ${cy - r * 0.7}V${cy + r * 0.7}L${cx - 9} ${cy + r}Z`}
                {...common}
              />
            );
          if (w.shape === "ring")
            return (
              <path
                key={key}
                d={`M${cx - 10} ${cy - r + 12}V${cy - r}H${cx + 10}V${cy - r + 12}M${cx - 10} ${cy + r - 12}V${cy + r}H${cx + 10}V${cy + r - 12}`}
                {...common}
                strokeWidth={5}
                fill="none"
              />
            );
          const wide = w.shape === "pulley" ? 8 : 7;
          return <rect key={key} x={cx - wide} y={cy - r} width={2 * wide} height={2 * r} {...common} />;
        })}
      </g>
      {d.wheels
        .filter((w, i) => d.wheels.findIndex((v) => v.mesh === w.mesh && v.says === w.says) === i)
        .map((w) => (
          <text
            key={`${w.mesh}-${w.says}`}
            x={x(w.x) + 13}
            y={w.shape === "ring" ? y(w.y - w.r) + 20 : y(w.y) - 9}
            fontSize="19"
            className="figures"
            fill="var(--color-base-content)"
          >
            {w.size}
          </text>
        ))}
      {press?.wheels.map((p) => {
        const w = d.wheels.find((o) => isSame(p, o));
        if (!w) return null;
        const [wide, tall] = [56, Math.max(56, 2 * w.r * scale)];
        return (
          // biome-ignore lint/a11y/useSemanticElements: a drawing holds no button element
          <rect
            key={`${p.mesh}-${p.role}`}
            x={x(w.x) - wide / 2}
            y={y(w.y) - tall / 2}
            width={wide}
            height={tall}
            fill="transparent"
            role="button"
            tabIndex={0}
            aria-label={p.says}
            aria-pressed={isSame(p, press.picked)}
            onClick={(e) => {
              if (e.detail === 0) press.onPick(p);
            }}
            onKeyDown={(e) => {
              if (e.key !== "Enter" && e.key !== " ") return;
              e.preventDefault();
              e.stopPropagation();
              press.onPick(p);
            }}
          />
        );
      })}
      {labels.map((l) => (
        <g
          key={l.shaft}
          fontSize="20"
          fill={lit === l.shaft ? "var(--color-error)" : "var(--color-base-content)"}
          fontWeight="600"
        >
          <text x={right} y={l.at - 2}>
            {l.shaft}
          </text>
          <text x={right} y={l.at + 16} className="figures" fontWeight="500">
            {speed(l.shaft)}
          </text>
        </g>
      ))}
    </svg>
  );
}
