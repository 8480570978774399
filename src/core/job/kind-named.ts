/** A kind of unit as tables name it. */
export const kindNamed = (kind: string): string => kind.trim().toLowerCase();

/**
 * What a table says of a kind of unit: of the kind itself, or of what its name ends with. Only proposed: a
 * name is no fact.
 *
 * @example usualFor({ slicer: 1 }, "deli slicer") // 1
 */
export function usualFor<T>(table: Readonly<Record<string, T>>, kind: string): T | undefined {
  const own = kindNamed(kind);
  const key = Object.keys(table).find((k) => own === k || own.endsWith(` ${k}`));
  return key === undefined ? undefined : table[key];
}
