/**
 * What stands at a place of a row of numbers. For loops that stay inside the row; beyond its end nothing
 * stands, and 0 is said.
 */
export const at = (row: ArrayLike<number>, place: number): number => row[place] ?? 0;
