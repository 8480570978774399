import { Fault } from "../fault";

/** The picture that a piece was cut from, in the piece's own pixels: where its middle is, and how long its longest side. */
export interface Whole {
  readonly middle: readonly [x: number, y: number];
  readonly longest: number;
}

/** A decoded picture: rows from the top, four bytes a pixel (red, green, blue, alpha), sRGB. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8Array | Uint8ClampedArray;
  /** where it is a piece of a larger one */
  readonly whole?: Whole;
}

/** A picture as three planes of numbers from about -255 to 255: lightness, red against green, yellow against blue. */
export interface Planes {
  readonly width: number;
  readonly height: number;
  readonly planes: readonly [Float32Array, Float32Array, Float32Array];
  readonly whole: Whole;
}

const wholeOf = (p: { readonly width: number; readonly height: number; readonly whole?: Whole }): Whole =>
  p.whole ?? { middle: [p.width / 2, p.height / 2], longest: Math.max(p.width, p.height) };
const wholeAt = ({ middle, longest }: Whole, scale: number): Whole => ({ middle: [middle[0] / scale, middle[1] / scale], longest: longest / scale });

/** The longest side that is looked at; a tooth of a 120-tooth gear is still a dozen pixels wide then. */
export const LONGEST_SIDE = 1600;
const SHORTEST_SIDE = 64;

/** Says in a sentence why a picture cannot be read, or nothing. Throws `Fault`. */
export function checkPicture(p: Picture): void {
  if (p.data.length !== p.width * p.height * 4) throw new Fault("picture", `it says ${p.width} × ${p.height} pixels, and holds ${p.data.length / 4}`);
  if (Math.min(p.width, p.height) < SHORTEST_SIDE)
    throw new Fault("picture", `${p.width} × ${p.height} pixels are too few to see a tooth: ${SHORTEST_SIDE} at least on the shorter side`);
}

/** What a picture becomes when its longest side is brought down to `longest`: the size, and where the pixels that make up each column and each row begin. */
function areas(p: { readonly width: number; readonly height: number }, longest: number) {
  const scale = Math.max(1, Math.max(p.width, p.height) / longest);
  const width = Math.max(1, Math.floor(p.width / scale));
  const height = Math.max(1, Math.floor(p.height / scale));
  // floor(i · scale) is never twice the same, as scale is 1 at least
  const begin = (n: number): Int32Array => Int32Array.from({ length: n + 1 }, (_, i) => Math.floor(i * scale));
  const ys = begin(height);
  // a row at a time: what is called for every pixel takes twice as long
  const eachRow = (row: (to: number, y0: number, y1: number) => void): void => {
    for (let y = 0; y < height; y++) row(y * width, ys[y] as number, ys[y + 1] as number);
  };
  return { width, height, scale, xs: begin(width), eachRow };
}

/** Lightness and two colour differences, the longest side brought down to `longest` by averaging whole areas. */
export function planesOf(p: Picture, longest = LONGEST_SIDE): Planes {
  const { data } = p;
  const { width, height, scale, xs, eachRow } = areas(p, longest);
  const [light, red, yellow] = [new Float32Array(width * height), new Float32Array(width * height), new Float32Array(width * height)];
  eachRow((row, y0, y1) => {
    for (let x = 0, to = row; x < width; x++, to++) {
      const x0 = xs[x] as number;
      const x1 = xs[x + 1] as number;
      let r = 0;
      let g = 0;
      let b = 0;
      for (let v = y0; v < y1; v++)
        for (let i = (v * p.width + x0) * 4, end = i + (x1 - x0) * 4; i < end; i += 4) {
          r += data[i] as number;
          g += data[i + 1] as number;
          b += data[i + 2] as number;
        }
      const n = (x1 - x0) * (y1 - y0);
      light[to] = (0.3 * r + 0.59 * g + 0.11 * b) / n;
      red[to] = (r - g) / n;
      yellow[to] = ((r + g) / 2 - b) / n;
    }
  });
  return { width, height, planes: [light, red, yellow], whole: wholeAt(wholeOf(p), scale) };
}

/** Brought down to `longest` by averaging whole areas. */
export function reduced(p: Planes, longest: number): Planes {
  const { width, height, scale, xs, eachRow } = areas(p, longest);
  const one = (from: Float32Array): Float32Array => {
    const out = new Float32Array(width * height);
    eachRow((row, y0, y1) => {
      for (let x = 0; x < width; x++) {
        const [x0, x1] = [xs[x] as number, xs[x + 1] as number];
        let sum = 0;
        for (let v = y0; v < y1; v++) for (let i = v * p.width + x0, end = i + x1 - x0; i < end; i++) sum += from[i] as number;
        out[row + x] = sum / ((x1 - x0) * (y1 - y0));
      }
    });
    return out;
  };
  return { width, height, planes: [one(p.planes[0]), one(p.planes[1]), one(p.planes[2])], whole: wholeAt(p.whole, scale) };
}

/** A piece of a picture, `width` by `height` pixels from x, y. It must lie inside. */
export function cutOut(p: Picture, x: number, y: number, width: number, height: number): Picture {
  const [w, h] = [Math.min(width, p.width - x), Math.min(height, p.height - y)];
  const data = new Uint8ClampedArray(w * h * 4);
  for (let v = 0; v < h; v++) data.set(p.data.subarray(((y + v) * p.width + x) * 4, ((y + v) * p.width + x + w) * 4), v * w * 4);
  const { middle, longest } = wholeOf(p);
  return { width: w, height: h, data, whole: { middle: [middle[0] - x, middle[1] - y], longest } };
}
