/**
 * Of one record, as long as it is held, something is worked out once. A job that is read again after a change
 * is another record.
 *
 * @example const planOf = onceFor(rebuildPlan)
 */
export function onceFor<K extends object, T>(work: (of: K) => T): (of: K) => T {
  const known = new WeakMap<K, { readonly is: T }>();
  return (of) => {
    const before = known.get(of);
    if (before) return before.is;
    const is = work(of);
    known.set(of, { is });
    return is;
  };
}
