import { Fault } from "../fault";

/**
 * The picture that a piece was cut from, in the piece's own pixels: where its middle is, and how long its
 * longest side.
 */
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

/**
 * A picture as three planes of numbers from about -255 to 255: lightness, red against green, yellow against
 * blue.
 */
export interface Planes {
  readonly width: number;
  readonly height: number;
  readonly planes: readonly [Float32Array, Float32Array, Float32Array];
  readonly whole: Whole;
}

const wholeOf = (p: { readonly width: number; readonly height: number; readonly whole?: Whole }): Whole =>
  p.whole ?? { middle: [p.width / 2, p.height / 2], longest: Math.max(p.width, p.height) };
const wholeAt = ({ middle, longest }: Whole, scale: number): Whole => ({
  middle: [middle[0] / scale, middle[1] / scale],
  longest: longest / scale,
});

/** The longest side that is looked at; a tooth of a 120-tooth gear is still a dozen pixels wide then. */
export const LONGEST_SIDE = 1600;
const SHORTEST_SIDE = 64;

/** Says in a sentence why a picture cannot be read, or nothing. Throws `Fault`. */
export function checkPicture(p: Picture): void {
  if (p.data.length !== p.width * p.height * 4)
    throw new Fault("picture", `it says ${p.width} × ${p.height} pixels, and holds ${p.data.length / 4}`);
  if (Math.min(p.width, p.height) < SHORTEST_SIDE)
    throw new Fault(
      "picture",
      `${p.width} × ${p.height} pixels are too few to see a tooth: ${SHORTEST_SIDE} at least on the shorter side`,
    );
}

/**
 * What a picture becomes when its longest side is brought down to `longest`: the size, and where the pixels
 * that make up each column and each row begin.
 */
function areas(p: { readonly width: number; readonly height: number }, longest: number) {
  const scale = Math.max(1, Math.max(p.width, p.height) / longest);
  const width = Math.max(1, Math.floor(p.width / scale));
  const height = Math.max(1, Math.floor(p.height / scale));
  // floor(i · scale) is never twice the same, as scale is 1 at least
  const begin = (n: number): Int32Array =>
    Int32Array.from({ length: n + 1 }, (_, i) => Math.floor(i * scale));
  const ys = begin(height);
  // a row at a time: what is called for every pixel takes twice as long
  const eachRow = (row: (to: number, y0: number, y1: number) => void): void => {
    for (let y = 0; y < height; y++) row(y * width, ys[y] as number, ys[y + 1] as number);
  };
  return { width, height, scale, xs: begin(width), eachRow };
}

/** A pixel as one number, red lowest. */
const wholePixels = (data: Picture["data"]): Uint32Array =>
  data.byteOffset % 4
    ? new Uint32Array(data.slice().buffer)
    : new Uint32Array(data.buffer, data.byteOffset, data.length / 4);
/** Red and blue of a pixel can be summed in one number: 257 pixels have room in it. */
const RED_BLUE = 0xff00ff;

/**
 * Lightness and two colour differences, the longest side brought down to `longest` by averaging whole areas.
 */
export function planesOf(p: Picture, longest = LONGEST_SIDE): Planes {
  const { width, height, scale, xs, eachRow } = areas(p, longest);
  const size = width * height;
  const planes = [new Float32Array(size), new Float32Array(size), new Float32Array(size)] as const;
  const whole = wholeAt(wholeOf(p), scale);
  const pixels = wholePixels(p.data);
  if (scale === 2) {
    halved(pixels, p.width, planes, width);
    return { width, height, planes, whole };
  }
  const [light, red, yellow] = planes;
  eachRow((row, y0, y1) => {
    for (let x = 0, to = row; x < width; x++, to++) {
      const x0 = xs[x] as number;
      const wide = (xs[x + 1] as number) - x0;
      let r = 0;
      let g = 0;
      let b = 0;
      for (let v = y0; v < y1; v++) {
        let redBlue = 0;
        for (let i = v * p.width + x0, end = i + wide; i < end; i++) {
          const pixel = pixels[i] as number;
          redBlue += pixel & RED_BLUE;
          g += (pixel >>> 8) & 0xff;
        }
        r += redBlue & 0xffff;
        b += redBlue >>> 16;
      }
      const n = wide * (y1 - y0);
      light[to] = (0.3 * r + 0.59 * g + 0.11 * b) / n;
      red[to] = (r - g) / n;
      yellow[to] = ((r + g) / 2 - b) / n;
    }
  });
  return { width, height, planes, whole };
}

/**
 * The same at half the size, as nearly every picture is looked at: four pixels without a loop over them take
 * a third of the time.
 */
function halved(
  pixels: Uint32Array,
  pixelsWidth: number,
  [light, red, yellow]: Planes["planes"],
  width: number,
): void {
  for (let to = 0, row = 0; to < light.length; row += 2 * pixelsWidth)
    for (let i = row, j = row + pixelsWidth, end = i + 2 * width; i < end; i += 2, j += 2, to++) {
      const a = pixels[i] as number;
      const b = pixels[i + 1] as number;
      const c = pixels[j] as number;
      const d = pixels[j + 1] as number;
      const redBlue = (a & RED_BLUE) + (b & RED_BLUE) + (c & RED_BLUE) + (d & RED_BLUE);
      const green = ((a >>> 8) & 0xff) + ((b >>> 8) & 0xff) + ((c >>> 8) & 0xff) + ((d >>> 8) & 0xff);
      const r = redBlue & 0xffff;
      const blue = redBlue >>> 16;
      light[to] = (0.3 * r + 0.59 * green + 0.11 * blue) / 4;
      red[to] = (r - green) / 4;
      yellow[to] = ((r + green) / 2 - blue) / 4;
    }
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
        for (let v = y0; v < y1; v++)
          for (let i = v * p.width + x0, end = i + x1 - x0; i < end; i++) sum += from[i] as number;
        out[row + x] = sum / ((x1 - x0) * (y1 - y0));
      }
    });
    return out;
  };
  return {
    width,
    height,
    planes: [one(p.planes[0]), one(p.planes[1]), one(p.planes[2])],
    whole: wholeAt(p.whole, scale),
  };
}

/** A piece of a picture, `width` by `height` pixels from x, y. It must lie inside. */
export function cutOut(p: Picture, x: number, y: number, width: number, height: number): Picture {
  const [w, h] = [Math.min(width, p.width - x), Math.min(height, p.height - y)];
  const data = new Uint8ClampedArray(w * h * 4);
  for (let v = 0; v < h; v++)
    data.set(p.data.subarray(((y + v) * p.width + x) * 4, ((y + v) * p.width + x + w) * 4), v * w * 4);
  const { middle, longest } = wholeOf(p);
  return { width: w, height: h, data, whole: { middle: [middle[0] - x, middle[1] - y], longest } };
}
