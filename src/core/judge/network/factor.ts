import { at } from "../../quantity/row";

/** A table over binary variables: bit k of the index is the state of `vars[k]`; variables ascend. */
export interface Factor {
  readonly vars: readonly number[];
  readonly table: Float64Array;
}

/** A table from what it is worth in each state. @param worth of the states, in the order of `vars` */
export function factorOf(vars: readonly number[], worth: (states: readonly number[]) => number): Factor {
  const ascending = [...vars].sort((a, b) => a - b);
  const bit = vars.map((v) => ascending.indexOf(v));
  const table = Float64Array.from({ length: 1 << vars.length }, (_, index) =>
    worth(bit.map((k) => (index >> k) & 1)),
  );
  return { vars: ascending, table };
}

/** For every index of a wider table the index of a narrower one; bits are added one by one. */
function indexes(vars: readonly number[], wider: readonly number[]): Int32Array {
  const out = new Int32Array(1 << wider.length);
  wider.forEach((v, k) => {
    const place = vars.indexOf(v);
    const bit = place < 0 ? 0 : 1 << place;
    const from = 1 << k;
    for (let i = 0; i < from; i++) out[from + i] = at(out, i) | bit;
  });
  return out;
}

/** Multiplies a table by a narrower one, in place. @param f its variables are among those of `into` */
export function multiplyInto(into: Factor, f: Factor): void {
  const index = indexes(f.vars, into.vars);
  for (let i = 0; i < index.length; i++) into.table[i] = at(into.table, i) * at(f.table, at(index, i));
}

/** The sums of a table over all variables but these. @param vars ascending, among those of `f` */
export function marginal(f: Factor, vars: readonly number[]): Factor {
  const index = indexes(vars, f.vars);
  const table = new Float64Array(1 << vars.length);
  for (let i = 0; i < index.length; i++) {
    const to = at(index, i);
    table[to] = at(table, to) + at(f.table, i);
  }
  return { vars, table };
}

/** One table by another over the same variables; what is 0 in both stays 0. */
export const quotient = (a: Factor, b: Factor): Factor => ({
  vars: a.vars,
  table: a.table.map((x, i) => (at(b.table, i) > 0 ? x / at(b.table, i) : 0)),
});

/** A table whose sum is 1, and what the sum was. */
export function scaled(f: Factor): { readonly to1: Factor; readonly sum: number } {
  const sum = f.table.reduce((all, x) => all + x, 0);
  return { to1: { vars: f.vars, table: f.table.map((x) => x / sum) }, sum };
}
