/** Some fields of a record, so that nothing else of it travels to the browser. */
export function only<T extends object, K extends keyof T>(of: T, keys: readonly K[]): Pick<T, K> {
  const out: Partial<Pick<T, K>> = {};
  for (const key of keys) if (of[key] !== undefined) out[key] = of[key];
  // every key that is there was copied, and one that is not may be left out
  return out as Pick<T, K>;
}
