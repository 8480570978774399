/** A probability as the bench says it: never 0 %, never 100 %. */
export const percent = (p: number): string => (p > 0.995 ? "99+ %" : p < 0.01 ? "< 1 %" : `${Math.round(p * 100)} %`);

/** Four figures, as a technician reads them. */
export const figure = (x: number): string => (x >= 1000 ? String(Math.round(x)) : String(Number(x.toPrecision(4))));
