import type { Job } from "@/core/job/job";
import { partName } from "@/core/job/part";
import type { CataloguePart } from "@/core/match/catalogue/catalogue-part";

/** The numbers of what goes in at a line: what was chosen in place of its parts. A unit that goes back as it was gets nothing. */
export const numbersAt = (job: Pick<Job, "ending" | "parts" | "findings">, parts: readonly string[]): string[] =>
  job.ending ? [] : job.findings.flatMap((f) => (parts.includes(f.part) && f.chosen && job.parts.find((p) => p.id === f.part)?.renew ? [f.chosen] : []));

/**
 * What is to be minded of what goes in, where it is made up otherwise than what came out: what comes with it, what must not stay beside it, and its own note.
 *
 * @param known what was chosen, and its companions
 */
export function goesInWords(job: Pick<Job, "parts" | "findings">, parts: readonly string[], known: readonly CataloguePart[]): string[] {
  const called = (number: string): string => [known.find((p) => p.number === number)?.name, number].filter(Boolean).join(", ");
  return job.findings.flatMap((f) => {
    const part = parts.includes(f.part) && f.chosen ? known.find((p) => p.number === f.chosen) : undefined;
    if (!part) return [];
    const name = partName(job.parts.find((p) => p.id === f.part));
    return [
      ...part.needsAlso.map((n) => `With the new ${name}: ${n.qty} × ${called(n.number)}${n.why ? `: ${n.why}` : ""}`),
      ...part.incompatibleWith.map((n) => `Not beside the new ${name}: ${called(n.number)}${n.why ? `: ${n.why}` : ""}`),
      ...(part.note ? [`The new ${name}: ${part.note}`] : []),
    ];
  });
}
