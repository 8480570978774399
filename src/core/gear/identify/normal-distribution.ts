/** log(e^a + e^b), also where one is log 0. */
export function logSum(a: number, b: number): number {
  if (a === Number.NEGATIVE_INFINITY) return b;
  if (b === Number.NEGATIVE_INFINITY) return a;
  const top = Math.max(a, b);
  return top + Math.log(Math.exp(a - top) + Math.exp(b - top));
}

/** P(a < Z < b) for a standard normal Z. */
export function normalBetween(a: number, b: number): number {
  return Math.max(0, 0.5 * (erf(b / Math.SQRT2) - erf(a / Math.SQRT2)));
}

/** Error function, Abramowitz and Stegun 7.1.26, error below 1.5e-7. */
function erf(x: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(x));
  const y =
    1 -
    ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) *
      t *
      Math.exp(-x * x);
  return x < 0 ? -y : y;
}
