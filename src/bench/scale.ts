/** A scale that is read: in grams, with the noise its kind has. */
export interface Scale {
  read(trueG: number): number;
  /** what it shows while so much is filled in, one reading after the other, the last with all of it */
  filling(trueG: number): readonly number[];
}

/** So many readings while something is filled in. */
const READINGS = 9;

/** The scale that ships: shows 0.1 g, off by up to one digit as greasy weighing is. */
export function practiceScale(random: () => number): Scale {
  const read = (trueG: number): number => Math.max(0, Math.round((trueG + (random() - 0.5) * 0.2) * 10) / 10);
  return {
    read,
    // a hand slows down towards the end
    filling: (trueG) =>
      Array.from({ length: READINGS }, (_, i) => read(trueG * (1 - (1 - (i + 1) / READINGS) ** 2))),
  };
}
