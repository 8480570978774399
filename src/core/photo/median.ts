/** So many are put in order as they come: a library's sort takes longer to begin. */
const FEW = 24;

/** The middle of some numbers, NaN left out; NaN where there are none. */
export const median = (x: ArrayLike<number>): number => {
  const s = new Float64Array(x.length);
  const few = x.length <= FEW;
  let n = 0;
  for (let i = 0; i < x.length; i++) {
    const v = x[i] as number;
    if (Number.isNaN(v)) continue;
    let at = n++;
    if (few) for (; at > 0 && (s[at - 1] as number) > v; at--) s[at] = s[at - 1] as number;
    s[at] = v;
  }
  if (!n) return Number.NaN;
  if (!few) s.subarray(0, n).sort();
  return ((s[(n - 1) >> 1] as number) + (s[n >> 1] as number)) / 2;
};
