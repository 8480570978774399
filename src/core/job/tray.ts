/**
 * A tray's places by row and column: the printed mat, the recorder's picker and the check of what is typed
 * all speak of these.
 */
export const TRAY_ROWS = ["A", "B", "C", "D"] as const;
export const TRAY_COLUMNS = [1, 2, 3, 4, 5, 6, 7, 8] as const;
/** One place of the printed mat, mm: two sheets of A4 side by side make the whole tray. */
export const TRAY_CELL_MM = { width: 45, height: 42 } as const;

export const TRAY_PLACES: readonly string[] = TRAY_ROWS.flatMap((row) =>
  TRAY_COLUMNS.map((column) => `${row}${column}`),
);
