/**
 * What is the same for every call with one number, and made once for it: the numbers are those of columns and
 * teeth, some hundreds at most.
 */
export function kept<T>(make: (n: number) => T): (n: number) => T {
  const all = new Map<number, T>();
  return (n) => {
    const old = all.get(n);
    if (old !== undefined) return old;
    const made = make(n);
    all.set(n, made);
    return made;
  };
}

/** Cosine and sine of `n` angles once around. */
export const circleOf = kept(
  (n) =>
    [
      Float64Array.from({ length: n }, (_, j) => Math.cos((2 * Math.PI * j) / n)),
      Float64Array.from({ length: n }, (_, j) => Math.sin((2 * Math.PI * j) / n)),
    ] as const,
);
