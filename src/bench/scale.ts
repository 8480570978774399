/** A scale that is read: in grams, with the noise its kind has. */
export interface Scale {
  read(trueG: number): number;
}

/** The scale that ships: shows 0.1 g, off by up to one digit as greasy weighing is. */
export function practiceScale(random: () => number): Scale {
  return { read: (trueG) => Math.max(0, Math.round((trueG + (random() - 0.5) * 0.2) * 10) / 10) };
}
