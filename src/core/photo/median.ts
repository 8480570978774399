/** The middle of some numbers, NaN left out; NaN where there are none. */
export const median = (x: ArrayLike<number>): number => {
  const s = Float64Array.from(x)
    .filter((v) => !Number.isNaN(v))
    .sort();
  return s.length ? ((s[(s.length - 1) >> 1] as number) + (s[s.length >> 1] as number)) / 2 : Number.NaN;
};
