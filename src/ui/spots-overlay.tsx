import { useId } from "react";
import { OVER_PICTURE } from "./over-picture";

/** A place in a picture: where something goes, where it must stay away, or the one that is meant now. */
export interface Spotted {
  readonly kind: "goes" | "dry" | "room" | "here";
  /** shares of the picture's width and height */
  readonly x: number;
  readonly y: number;
  readonly says: string;
}

const { paper: PAPER, ink, moss, blue, vermilion: VERMILION } = OVER_PICTURE;
const COLOUR: Readonly<Record<Spotted["kind"], string>> = {
  goes: moss,
  dry: VERMILION,
  room: blue,
  here: ink,
};
/** Half the size of a mark, in thousandths of the picture's width. */
const R = 34;
const FONT = 40;
/** How wide a letter is, on the average. */
const LETTER = 0.42 * FONT;

interface Words {
  readonly says: string;
  readonly x: number;
  readonly y: number;
  readonly anchor: "start" | "middle" | "end";
}

/**
 * Where the words of each place stand: beside it, on the side with more room; a chamber's over it; further
 * down where others stand already.
 */
function wordsOf(spots: readonly Spotted[], h: number): Words[] {
  const taken: { from: number; to: number; y: number }[] = [];
  return spots.map((s) => {
    const [x, y] = [s.x * 1000, s.y * h];
    const room = s.kind === "room";
    const left = s.x > 0.5;
    const width = room ? 2 * Math.min(x, 1000 - x) : (left ? x : 1000 - x) - R - 40;
    const says = (s.kind === "dry" ? `dry: ${s.says}` : s.says).slice(
      0,
      Math.max(0, Math.floor(width / LETTER)),
    );
    const at = room ? x : left ? x - R - 14 : x + R + 14;
    const long = says.length * LETTER;
    const from = room ? at - long / 2 : left ? at - long : at;
    let line = room ? y - 2 * R - FONT * 0.7 : y;
    const meets = () => taken.some((t) => from < t.to && t.from < from + long && Math.abs(t.y - line) < FONT);
    for (let i = 0; i < spots.length && meets(); i++) line += FONT * 1.1;
    taken.push({ from, to: from + long, y: line });
    return { says, x: at, y: line, anchor: room ? "middle" : left ? "end" : "start" };
  });
}

/**
 * Places drawn over a picture: a drop's ring where a lubricant goes, a hatched square where it stays dry, a
 * dashed frame where a chamber is. Lies over an image that fills its
 * place the same way (cover: cut at the edges, contain: whole).
 */
export function SpotsOverlay({
  spots,
  width,
  height,
  fit = "cover",
}: {
  spots: readonly Spotted[];
  width: number;
  height: number;
  fit?: "cover" | "contain";
}) {
  const hatch = useId();
  if (!spots.length) return null;
  const h = (1000 * height) / width;
  const words = wordsOf(spots, h);
  return (
    <svg
      className="pointer-events-none absolute inset-0 h-full w-full"
      viewBox={`0 0 1000 ${h}`}
      preserveAspectRatio={fit === "cover" ? "xMidYMid slice" : "xMidYMid meet"}
      role="img"
      aria-label={spots.map((s) => (s.kind === "dry" ? `stays dry: ${s.says}` : s.says)).join(", ")}
    >
      <pattern id={hatch} width="14" height="14" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="14" height="14" fill={PAPER} fillOpacity="0.75" />
        <rect width="7" height="14" fill={VERMILION} />
      </pattern>
      {spots.map((s, i) => {
        const [x, y] = [s.x * 1000, s.y * h];
        const colour = COLOUR[s.kind];
        const room = s.kind === "room";
        return (
          <g key={i} stroke={PAPER}>
            {s.kind === "dry" ? (
              <rect
                x={x - R}
                y={y - R}
                width={2 * R}
                height={2 * R}
                fill={`url(#${hatch})`}
                stroke={colour}
                strokeWidth="7"
              />
            ) : room ? (
              <rect
                x={x - 2 * R}
                y={y - 2 * R}
                width={4 * R}
                height={4 * R}
                fill="none"
                stroke={colour}
                strokeWidth="9"
                strokeDasharray="22 12"
              />
            ) : (
              <>
                <circle cx={x} cy={y} r={R} fill={PAPER} fillOpacity="0.35" strokeWidth="18" />
                <circle
                  cx={x}
                  cy={y}
                  r={R}
                  fill="none"
                  stroke={colour}
                  strokeWidth={s.kind === "here" ? 12 : 9}
                />
                <circle cx={x} cy={y} r="8" fill={colour} strokeWidth="3" />
              </>
            )}
            <text
              x={words[i]?.x}
              y={words[i]?.y}
              textAnchor={words[i]?.anchor}
              dominantBaseline="central"
              fontSize={FONT}
              fontWeight="700"
              fill={colour}
              strokeWidth="9"
              paintOrder="stroke"
              fontFamily="var(--font-sans)"
            >
              {words[i]?.says}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
