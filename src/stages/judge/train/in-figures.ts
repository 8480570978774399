/** Four figures, as a technician reads them. */
export const figure = (x: number): string =>
  x >= 1000 ? String(Math.round(x)) : String(Number(x.toPrecision(4)));
