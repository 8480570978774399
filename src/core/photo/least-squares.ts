import { at } from "../quantity/row";

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
  for (const [r, row] of rows.entries()) {
    for (let i = 0; i < n; i++) {
      const wi = at(weights, r) * at(row, i);
      b[i] = at(b, i) + wi * at(values, r);
      for (let j = i; j < n; j++) m[i * n + j] = at(m, i * n + j) + wi * at(row, j);
    }
  }
  // the other half is its mirror
  for (let i = 0; i < n; i++) {
    m[i * n + i] = at(m, i * n + i) + 1e-9;
    for (let j = 0; j < i; j++) m[i * n + j] = at(m, j * n + i);
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
      if (Math.abs(at(m, r * n + i)) > Math.abs(at(m, pivot * n + i))) pivot = r;
    if (pivot !== i) {
      for (let c = 0; c < n; c++) [m[i * n + c], m[pivot * n + c]] = [at(m, pivot * n + c), at(m, i * n + c)];
      [b[i], b[pivot]] = [at(b, pivot), at(b, i)];
    }
    for (let r = i + 1; r < n; r++) {
      const k = at(m, r * n + i) / at(m, i * n + i);
      if (k === 0) continue;
      for (let c = i; c < n; c++) m[r * n + c] = at(m, r * n + c) - k * at(m, i * n + c);
      b[r] = at(b, r) - k * at(b, i);
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let c = i + 1; c < n; c++) b[i] = at(b, i) - at(m, i * n + c) * at(b, c);
    b[i] = at(b, i) / at(m, i * n + i);
  }
  return b;
}
