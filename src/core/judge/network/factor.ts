/** A table over binary variables: bit k of the index is the state of `vars[k]`; variables ascend. */
export interface Factor {
  readonly vars: readonly number[];
  readonly table: Float64Array;
}

/** A table from what it is worth in each state. @param worth of the states, in the order of `vars` */
export function factorOf(vars: readonly number[], worth: (states: readonly number[]) => number): Factor {
  const order = vars.map((v, i) => [v, i] as const).sort((a, b) => a[0] - b[0]);
  const table = new Float64Array(1 << vars.length);
  const states = new Array<number>(vars.length).fill(0);
  for (let at = 0; at < table.length; at++) {
    for (let k = 0; k < order.length; k++) states[(order[k] as readonly [number, number])[1]] = (at >> k) & 1;
    table[at] = worth(states);
  }
  return { vars: order.map(([v]) => v), table };
}

/** For every index of a wider table the index of a narrower one; bits are added one by one. */
function indexes(vars: readonly number[], wider: readonly number[]): Int32Array {
  const out = new Int32Array(1 << wider.length);
  wider.forEach((v, k) => {
    const place = vars.indexOf(v);
    const bit = place < 0 ? 0 : 1 << place;
    const from = 1 << k;
    for (let at = 0; at < from; at++) out[from + at] = (out[at] as number) | bit;
  });
  return out;
}

/** Multiplies a table by a narrower one, in place. @param f its variables are among those of `into` */
export function multiplyInto(into: Factor, f: Factor): void {
  const index = indexes(f.vars, into.vars);
  for (let at = 0; at < index.length; at++)
    into.table[at] = (into.table[at] as number) * (f.table[index[at] as number] as number);
}

/** The sums of a table over all variables but these. @param vars ascending, among those of `f` */
export function marginal(f: Factor, vars: readonly number[]): Factor {
  const index = indexes(vars, f.vars);
  const table = new Float64Array(1 << vars.length);
  for (let at = 0; at < index.length; at++) {
    const to = index[at] as number;
    table[to] = (table[to] as number) + (f.table[at] as number);
  }
  return { vars, table };
}

/** One table by another over the same variables; what is 0 in both stays 0. */
export const quotient = (a: Factor, b: Factor): Factor => ({
  vars: a.vars,
  table: a.table.map((x, i) => ((b.table[i] as number) > 0 ? x / (b.table[i] as number) : 0)),
});
