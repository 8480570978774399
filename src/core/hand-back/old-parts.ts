import type { Part } from "../job/part";
import { partNamed } from "../job/part";
import { listed } from "../sentence";
import type { Choice, FinalCheck } from "./final-check";

/** What became of the parts that came out for good, as it is said at the bench. */
export const OLD_PARTS = {
  check: "old-parts",
  returned: { answer: "returned", says: "given back to the customer" },
  disposed: { answer: "disposed", says: "stay here and are disposed of" },
  kept: { answer: "kept", says: "kept by the shop" },
  lost: { answer: "lost", says: "lost here" },
} as const;

/** The same where the customer's paper says it otherwise. */
const ON_PAPER: Readonly<Record<string, string>> = { [OLD_PARTS.returned.answer]: "given back to you" };

/**
 * Asked at the door where something came out for good: what was said at Take in may have been thought over.
 */
export function oldParts({
  parts = [],
  disposeConsent = false,
}: {
  readonly parts?: readonly Partial<Pick<Part, "id" | "name" | "renew">>[];
  readonly disposeConsent?: boolean;
}): FinalCheck[] {
  const out = parts.flatMap((p) => (p.renew ? [{ item: p.id ?? "", says: p.name ?? "part" }] : []));
  if (!out.length) return [];
  const { returned, disposed, kept, lost } = OLD_PARTS;
  return [
    {
      check: OLD_PARTS.check,
      asks: "Old parts: what becomes of them?",
      why: disposeConsent
        ? "At Take in the customer agreed that they may go. Show them all the same: a broken tooth explains a bill."
        : "At Take in the customer did not agree that they may go: they are the customer’s.",
      choices: disposeConsent ? [disposed, returned, kept, lost] : [returned, disposed, kept, lost],
      each: out,
      agreed: disposeConsent ? disposed.answer : returned.answer,
    },
  ];
}

/** What became of each, as it was answered: what one answer says of all, where nobody said it of each. */
export function oldPartsInWords(
  job: { readonly parts: readonly Part[]; readonly disposeConsent: boolean },
  answer: string | undefined,
  each: Readonly<Record<string, string>> = {},
): string | undefined {
  const ends: readonly Choice[] = [OLD_PARTS.returned, OLD_PARTS.disposed, OLD_PARTS.kept, OLD_PARTS.lost];
  const out = job.parts.filter((p) => p.renew);
  const endOf = (id: string): string | undefined => each[id] ?? answer;
  const said = ends.flatMap(({ answer: end, says }) => {
    const names = out.filter((p) => endOf(p.id) === end).map((p) => partNamed(job, p.id));
    const agreed = end === OLD_PARTS.disposed.answer && job.disposeConsent ? ", as agreed" : "";
    return names.length ? [`${ON_PAPER[end] ?? says}${agreed}: ${listed(names)}`] : [];
  });
  return said.length ? `Old parts ${said.join("; ")}.` : undefined;
}
