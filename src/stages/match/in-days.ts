/** When a basket is complete, in words. @param n working days from now */
export const inDays = (n: number): string =>
  n === 0 ? "here today" : n === 1 ? "here tomorrow" : `here in ${n} working days`;
