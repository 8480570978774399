import type { Shape } from "./bore-shapes";
import { type FacePlane, toPicture } from "./face-plane";
import { median } from "./median";
import type { Planes } from "./picture";

/** A change of colour that is full evidence of an edge, at least; and in spreads of the face's own colour. */
const FULL = 8;
const SPREADS = 2.5;

/** The middle of a face as it is seen square on: side by side cells of its colours. */
export interface Patch {
  readonly planes: readonly [Float32Array, Float32Array, Float32Array];
}
/** Half the side of the patch, in tip radii, and its cells. */
const REACH = 0.8;
const CELLS = 400;

/** Cells are as bright as the picture between its pixels; NaN outside it. */
export function patchOf(p: Planes, face: FacePlane): Patch {
  const planes = [0, 1, 2].map(() => new Float32Array(CELLS * CELLS).fill(Number.NaN)) as [
    Float32Array,
    Float32Array,
    Float32Array,
  ];
  const { width: w, height: h } = p;
  for (let j = 0; j < CELLS; j++)
    for (let i = 0; i < CELLS; i++) {
      const [px, py] = toPicture(face, [
        REACH * ((2 * i + 1) / CELLS - 1),
        REACH * ((2 * j + 1) / CELLS - 1),
      ]);
      const [x, y] = [px - 0.5, py - 0.5];
      if (!(x >= 0 && y >= 0 && x < w - 1 && y < h - 1)) continue;
      const [x0, y0] = [x | 0, y | 0];
      const [fx, fy] = [x - x0, y - y0];
      const n = y0 * w + x0;
      for (const [k, out] of planes.entries()) {
        const plane = p.planes[k] as Float32Array;
        out[j * CELLS + i] =
          (1 - fx) * (1 - fy) * (plane[n] as number) +
          fx * (1 - fy) * (plane[n + 1] as number) +
          (1 - fx) * fy * (plane[n + w] as number) +
          fx * fy * (plane[n + w + 1] as number);
      }
    }
  return { planes };
}

/** The cell of a place; -1 outside the patch. */
export function cellAt(u: number, v: number): number {
  const i = (((u / REACH + 1) * CELLS) / 2) | 0;
  const j = (((v / REACH + 1) * CELLS) / 2) | 0;
  return u > -REACH && v > -REACH && i < CELLS && j < CELLS ? j * CELLS + i : -1;
}

/** The face's colour around a bore, and how far single places of it are from that. */
export interface FaceColour {
  readonly at: readonly [number, number, number];
  readonly spread: number;
}

const apart = ({ planes }: Patch, cell: number, [l, a, b]: FaceColour["at"]): number =>
  Math.abs((planes[0][cell] as number) - l) +
  Math.abs((planes[1][cell] as number) - a) +
  Math.abs((planes[2][cell] as number) - b);

/** What most of a circle is of: the median of each plane. */
export function faceColour(
  patch: Patch,
  circle: Shape["edge"],
  at: { readonly x: number; readonly y: number; readonly share: number },
): FaceColour {
  const cells = circle
    .map(([x, y]) => cellAt(at.x + x * at.share, at.y + y * at.share))
    .filter((c) => c >= 0);
  const colour = patch.planes.map((plane) =>
    median(cells.map((c) => plane[c] as number)),
  ) as unknown as FaceColour["at"];
  return { at: colour, spread: median(cells.map((c) => apart(patch, c, colour))) };
}

/**
 * How far a cell's colour is from the face's, 0 to 1; what the face's own colour strays by counts for
 * nothing.
 */
export function strange(patch: Patch, cell: number, { at, spread }: FaceColour): number {
  if (cell < 0) return 0;
  const d = (apart(patch, cell, at) - spread) / Math.max(FULL, SPREADS * spread);
  return Math.min(1, Math.max(0, d)) || 0;
}
