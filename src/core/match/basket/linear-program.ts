/** One unknown of a linear program, a whole number from 0 to `most`. */
export interface Unknown {
  readonly name: string;
  readonly max: number;
}

/** A sum of unknowns, each times a number. */
export type Terms = readonly (readonly [factor: number, name: string])[];

/** `terms` at least, at most or exactly `value`. */
export interface Law {
  readonly terms: Terms;
  readonly is: ">=" | "<=" | "=";
  readonly value: number;
}

/** Whole numbers to be found, so that the goal is least and every law holds. */
export interface Program {
  readonly goal: Terms;
  readonly laws: readonly Law[];
  readonly unknowns: readonly Unknown[];
}

/** Do these numbers hold to every law of the program? */
export const holds = ({ laws }: Program, value: (name: string) => number): boolean =>
  laws.every(({ terms, is, value: bound }) => {
    const sum = terms.reduce((t, [factor, name]) => t + factor * value(name), 0);
    return is === "=" ? sum === bound : is === ">=" ? sum >= bound : sum <= bound;
  });

/**
 * The unknowns' values at the proven least, or null where no values hold to the laws.
 * @param seconds after which it gives up with a {@link TimeUp}; without it, it does not
 */
export type Solve = (program: Program, seconds?: number) => ReadonlyMap<string, number> | null;

/**
 * The time was up before anything was proven: the best values until then, if there were any, and what the
 * goal cannot be less than.
 */
export class TimeUp extends Error {
  constructor(
    readonly values: ReadonlyMap<string, number> | null,
    readonly least: number,
  ) {
    super("the time was up");
  }
}

const line = (terms: Terms): string => {
  const words = terms
    .filter(([k]) => k !== 0)
    .map(([k, name]) => `${k < 0 ? "-" : "+"} ${Math.abs(k)} ${name}`);
  // readers of the format stop at long lines
  const rows: string[] = [];
  for (let i = 0; i < words.length; i += 12) rows.push(words.slice(i, i + 12).join(" "));
  return rows.join("\n ");
};

/**
 * A program in the CPLEX LP text format, which every solver reads.
 * @param numbers whether the unknowns are whole numbers, or may be fractions (then the least is a bound for
 *   that of whole ones)
 * @example programText({ goal: [[3, "x"]], laws: [{ terms: [[1, "x"]], is: ">=", value: 2 }], unknowns: [{
 *   name: "x", max: 5 }] })
 */
export function programText(
  { goal, laws, unknowns }: Program,
  numbers: "whole" | "fractions" = "whole",
): string {
  const first = unknowns[0]?.name ?? "none";
  const rows = laws.map(
    ({ terms, is, value }, i) => ` c${i}: ${line(terms) || `+ 0 ${first}`} ${is} ${value}`,
  );
  return [
    "Minimize",
    ` goal: ${line(goal) || `+ 0 ${first}`}`,
    "Subject To",
    ...rows,
    "Bounds",
    ...unknowns.map((u) => ` 0 <= ${u.name} <= ${u.max}`),
    ...(numbers === "whole" ? ["General", ...unknowns.map((u) => ` ${u.name}`)] : []),
    "End",
    "",
  ].join("\n");
}
