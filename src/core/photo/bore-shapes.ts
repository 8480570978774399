import { type BoreForm, boreOutline } from "../gear/bore-form";
import type { Spot } from "./face-plane";

/**
 * Forms that can be told from the front, how often each is met, and after what turn it looks the same,
 * degrees.
 */
const FORMS: readonly (readonly [form: BoreForm, often: number, turn: number])[] = [
  ["round", 0.5, 0],
  ["keyway", 0.13, 360],
  ["D", 0.12, 360],
  ["double D", 0.08, 180],
  ["hex", 0.06, 60],
  ["square", 0.04, 90],
  ["spline", 0.04, 60],
  ["cross slot", 0.03, 180],
];

/** A form of bore as it is laid into a picture. */
export interface Shape {
  readonly form: BoreForm;
  /** points along its edge and the way out of it, for a radius of 1 */
  readonly edge: readonly (readonly [x: number, y: number, nx: number, ny: number])[];
  readonly turn: number;
  readonly often: number;
}

/** Points evenly along a closed line, each with its outward normal. */
function along(line: readonly (readonly [number, number])[], count: number): Shape["edge"] {
  const clockwise =
    line.reduce(
      (s, [x, y], i) =>
        s + x * (line[(i + 1) % line.length] as Spot)[1] - (line[(i + 1) % line.length] as Spot)[0] * y,
      0,
    ) < 0;
  const lengths = line.map((p, i) =>
    Math.hypot(
      (line[(i + 1) % line.length] as Spot)[0] - p[0],
      (line[(i + 1) % line.length] as Spot)[1] - p[1],
    ),
  );
  const step = lengths.reduce((a, b) => a + b, 0) / count;
  const out: [number, number, number, number][] = [];
  let want = step / 2;
  for (const [i, p] of line.entries()) {
    const length = lengths[i] as number;
    const q = line[(i + 1) % line.length] as Spot;
    for (; want < length; want += step) {
      const [dx, dy] = [(q[0] - p[0]) / length, (q[1] - p[1]) / length];
      const sign = clockwise ? -1 : 1;
      out.push([p[0] + dx * want, p[1] + dy * want, dy * sign, -dx * sign]);
    }
    want -= length;
  }
  return out;
}

/** Every form with so many points along its edge; the first is round. */
export const boreShapes = (count: number): Shape[] =>
  FORMS.map(([form, often, turn]) => ({ form, often, turn, edge: along(boreOutline(2, form, 48), count) }));
