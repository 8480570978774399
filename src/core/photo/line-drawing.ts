import { median } from "./median";
import type { Planes } from "./picture";

/** Of a drawing, so much is paper of one and the same shade, and no more than this is ink. */
const PAPER = 0.8;
const INK = 0.15;
/**
 * Lightness within which paper is of one shade; a photograph's light falls off by more. Further from it than
 * the second is ink.
 */
const SHADE = 6;
const DARK = 40;
/** One pixel of so many is looked at for the paper's shade: a prime, so that they do not stand in columns. */
const SAMPLED = 97;
/** So far from the whole picture's share a sample of some thousand never is. */
const UNLIKELY = 0.05;
/** A line around less of the picture than this is no gear. */
const LEAST = 0.02;

/**
 * A drawing in lines, such as a scanned sketch or a part's drawing, with what the lines enclose filled in,
 * since a tooth is known by looking like the face it stands on.
 * What is no such drawing comes back as it is: a photograph's ground is never of one shade.
 */
export function filledDrawing(p: Planes): Planes {
  const { width: w, height: h } = p;
  const light = p.planes[0];
  // some thousand pixels are enough to know the paper by, and to know most photographs from a drawing
  const sample = Float32Array.from(
    { length: Math.ceil(light.length / SAMPLED) },
    (_, i) => light[i * SAMPLED] as number,
  );
  const paper = median(sample);
  if (sample.filter((v) => Math.abs(v - paper) < SHADE).length < (PAPER - UNLIKELY) * sample.length) return p;
  let even = 0;
  let ink = 0;
  for (let i = 0; i < light.length; i++) {
    const off = Math.abs((light[i] as number) - paper);
    if (off < SHADE) even++;
    else if (off > DARK) ink++;
  }
  if (even < PAPER * light.length || ink > INK * light.length || ink === 0) return p;
  // what can be reached from the picture's edge without crossing ink is outside
  const outside = new Uint8Array(w * h);
  const stack: number[] = [];
  const visit = (i: number): void => {
    if (outside[i] || Math.abs((light[i] as number) - paper) > DARK) return;
    outside[i] = 1;
    stack.push(i);
  };
  for (let x = 0; x < w; x++) for (const y of [0, h - 1]) visit(y * w + x);
  for (let y = 0; y < h; y++) for (const x of [0, w - 1]) visit(y * w + x);
  for (let i = stack.pop(); i !== undefined; i = stack.pop()) {
    if (i % w > 0) visit(i - 1);
    if (i % w < w - 1) visit(i + 1);
    if (i >= w) visit(i - w);
    if (i < w * (h - 1)) visit(i + w);
  }
  const enclosed = (i: number): boolean => !outside[i] && Math.abs((light[i] as number) - paper) <= DARK;
  let inside = 0;
  for (let i = 0; i < light.length; i++) if (enclosed(i)) inside++;
  if (inside < LEAST * light.length) return p;
  const body = paper > 128 ? paper - 150 : paper + 150;
  // the line itself keeps its soft outer edge
  const filled = light.map((v, i) => (enclosed(i) ? body : v));
  return { ...p, planes: [filled, p.planes[1], p.planes[2]] };
}
