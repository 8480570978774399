/** A kind of unit as tables name it. */
export const kindNamed = (kind: string): string => kind.trim().toLowerCase();

/**
 * What a table says of a kind of unit: of the longest of its names that the kind ends with. Only proposed: a
 * name is no fact.
 *
 * @example usualFor({ slicer: 1 }, "deli slicer") // 1
 */
export function usualFor<T>(table: Readonly<Record<string, T>>, kind: string): T | undefined {
  const own = kindNamed(kind);
  const key = Object.keys(table)
    .filter((k) => own === k || own.endsWith(` ${k}`))
    .reduce<string | undefined>((a, b) => (a !== undefined && a.length >= b.length ? a : b), undefined);
  return key === undefined ? undefined : table[key];
}
