/**
 * Weighted least squares for a few coefficients, by the normal equations. `rows` are the terms of each value.
 */
export function leastSquares(
  rows: readonly (readonly number[])[],
  values: ArrayLike<number>,
  weights: ArrayLike<number>,
): number[] {
  const n = rows[0]?.length ?? 0;
  const m = new Float64Array(n * n);
  const b = new Float64Array(n);
  for (let r = 0; r < rows.length; r++) {
    const row = rows[r] as readonly number[];
    for (let i = 0; i < n; i++) {
      const wi = (weights[r] as number) * (row[i] as number);
      b[i] = (b[i] as number) + wi * (values[r] as number);
      for (let j = i; j < n; j++) m[i * n + j] = (m[i * n + j] as number) + wi * (row[j] as number);
    }
  }
  // the other half is its mirror
  for (let i = 0; i < n; i++) {
    m[i * n + i] = (m[i * n + i] as number) + 1e-9;
    for (let j = 0; j < i; j++) m[i * n + j] = m[j * n + i] as number;
  }
  return [...solved(m, b)];
}

/**
 * Solves a small system m x = b, rows of m one after the other (Gauss with pivots). Both are used up; x comes
 * back in b.
 */
export function solved(m: Float64Array, b: Float64Array): Float64Array {
  const n = b.length;
  for (let i = 0; i < n; i++) {
    let pivot = i;
    for (let r = i + 1; r < n; r++)
      if (Math.abs(m[r * n + i] as number) > Math.abs(m[pivot * n + i] as number)) pivot = r;
    if (pivot !== i) {
      for (let c = 0; c < n; c++)
        [m[i * n + c], m[pivot * n + c]] = [m[pivot * n + c] as number, m[i * n + c] as number];
      [b[i], b[pivot]] = [b[pivot] as number, b[i] as number];
    }
    for (let r = i + 1; r < n; r++) {
      const k = (m[r * n + i] as number) / (m[i * n + i] as number);
      if (k === 0) continue;
      for (let c = i; c < n; c++) m[r * n + c] = (m[r * n + c] as number) - k * (m[i * n + c] as number);
      b[r] = (b[r] as number) - k * (b[i] as number);
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let c = i + 1; c < n; c++) b[i] = (b[i] as number) - (m[i * n + c] as number) * (b[c] as number);
    b[i] = (b[i] as number) / (m[i * n + i] as number);
  }
  return b;
}
