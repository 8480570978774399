import type { GoesIn } from "../../job/goes-in";
import type { CataloguePart } from "../catalogue/catalogue-part";

/** Numbers that a part's make-up speaks of: what must come with it, and what must not stay. */
export const spokenOf = (part: Pick<CataloguePart, "needsAlso" | "incompatibleWith">): string[] =>
  [...part.needsAlso, ...part.incompatibleWith].map((n) => n.number);

/**
 * What goes in when a catalogue part is chosen, as the catalogue has it today.
 *
 * @param known what it speaks of, as far as the catalogue has it
 */
export function goesInFrom(
  part: CataloguePart,
  known: readonly Pick<CataloguePart, "number" | "name">[],
): GoesIn {
  const called = (number: string): string => known.find((p) => p.number === number)?.name ?? "";
  return {
    number: part.number,
    name: part.name,
    ...(part.facing ? { facing: part.facing } : {}),
    stack: part.stack,
    with: part.needsAlso.map((n) => ({
      number: n.number,
      name: called(n.number),
      qty: n.qty,
      ...(n.why ? { why: n.why } : {}),
    })),
    leavesOut: part.leavesOut,
    notBeside: part.incompatibleWith.map((n) => ({
      number: n.number,
      name: called(n.number),
      ...(n.why ? { why: n.why } : {}),
    })),
    ...(part.note ? { note: part.note } : {}),
    staysOut: [],
  };
}
