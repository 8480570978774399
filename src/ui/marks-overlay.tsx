import type { PictureMark } from "@/core/job/picture-mark";
import { OVER_PICTURE } from "./over-picture";

/**
 * The marks of a picture, drawn over it. Lies over an image that fills its place the same way (cover: cut at
 * the edges, contain: whole).
 */
export function MarksOverlay({
  marks,
  width,
  height,
  fit = "cover",
}: {
  marks: readonly PictureMark[];
  width: number;
  height: number;
  fit?: "cover" | "contain";
}) {
  if (!marks.length) return null;
  const [w, h] = [1000, (1000 * height) / width];
  return (
    <svg
      className="pointer-events-none absolute inset-0 h-full w-full"
      viewBox={`0 0 ${w} ${h}`}
      preserveAspectRatio={fit === "cover" ? "xMidYMid slice" : "xMidYMid meet"}
      role="img"
      aria-label={marks.length === 1 ? "one mark" : `${marks.length} marks`}
    >
      {marks.map((m, i) => (
        <Mark key={i} mark={m} w={w} h={h} />
      ))}
    </svg>
  );
}

const { vermilion: VERMILION, paper: PAPER } = OVER_PICTURE;

/** One mark, drawn in a picture of `w` by `h`. The one that is picked has a broad light edge. */
export function Mark({
  mark: m,
  w,
  h,
  picked = false,
}: {
  mark: PictureMark;
  w: number;
  h: number;
  picked?: boolean;
}) {
  const at = ([x, y]: readonly [number, number]): [number, number] => [x * w, y * h];
  if (m.kind === "arrow") {
    const [[x0, y0], [x1, y1]] = [at(m.from), at(m.to)];
    const a = Math.atan2(y1 - y0, x1 - x0);
    const barb = (turn: number): string => `${x1 - 42 * Math.cos(a + turn)} ${y1 - 42 * Math.sin(a + turn)}`;
    return (
      <g stroke={PAPER} strokeWidth={picked ? 10 : 4} paintOrder="stroke" fill={VERMILION}>
        {picked && (
          <path d={`M${x0} ${y0}L${x1 - 24 * Math.cos(a)} ${y1 - 24 * Math.sin(a)}`} strokeWidth="19" />
        )}
        <path
          d={`M${x0} ${y0}L${x1 - 24 * Math.cos(a)} ${y1 - 24 * Math.sin(a)}`}
          stroke={VERMILION}
          strokeWidth="11"
        />
        <path d={`M${x1} ${y1}L${barb(0.45)}L${barb(-0.45)}Z`} />
      </g>
    );
  }
  if (m.kind === "ring") {
    const [x, y] = at(m.at);
    return (
      <g fill="none" pointerEvents="all">
        {picked && <circle cx={x} cy={y} r={m.radius * w} stroke={PAPER} strokeWidth="18" />}
        <circle cx={x} cy={y} r={m.radius * w} stroke={VERMILION} strokeWidth="10" />
      </g>
    );
  }
  const [x, y] = at(m.at);
  const text = m.kind === "number" ? String(m.n) : m.says;
  const width = m.kind === "number" ? 62 : text.length * 21 + 36;
  return (
    <g>
      <rect
        x={x - width / 2}
        y={y - 31}
        width={width}
        height="62"
        rx={m.kind === "number" ? 31 : 4}
        fill={VERMILION}
        stroke={PAPER}
        strokeWidth={picked ? 8 : 3}
      />
      <text
        x={x}
        y={y + 1}
        textAnchor="middle"
        dominantBaseline="central"
        fontSize="42"
        fontWeight="700"
        fill={PAPER}
        fontFamily="var(--font-sans)"
      >
        {text}
      </text>
    </g>
  );
}
