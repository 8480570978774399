/** A clause of a line: what stands between two commas, semicolons, full stops or dashes. */
export interface Clause {
  readonly from: number;
  readonly to: number;
}

/** Where one clause ends and the next begins: a decimal comma is none, nor what stands in brackets or braces. */
const ENDS =
  /;|\n|,(?!\d)|,(?=\d+\s*[x×](?!\s*\d))|(?<=[\p{L}\p{N}"”)])\.(?=\s|$)|\s[-–—]\s|\s(?=(?:then|but|because|where|while)\s)/giu;

/**
 * The clauses of a line.
 *
 * @example clausesOf("2 nuts, then it slides off").length // 2
 */
export function clausesOf(line: string): Clause[] {
  const out: Clause[] = [];
  // same length: what stands in brackets ends no clause
  const open = line.replace(/\([^()]*\)|\{[^{}]*\}/g, (m) => "_".repeat(m.length));
  let from = 0;
  for (const m of open.matchAll(ENDS)) {
    if (m.index > from) out.push({ from, to: m.index });
    from = m.index + m[0].length;
  }
  if (from < line.length) out.push({ from, to: line.length });
  return out;
}
