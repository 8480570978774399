import type { Part } from "../job/part";
import type { FinalCheck } from "./final-check";

/** What became of the parts that came out for good. */
export const OLD_PARTS = {
  check: "old-parts",
  returned: { answer: "returned", says: "given back to the customer" },
  disposed: { answer: "disposed", says: "stay here and are disposed of" },
} as const;

/**
 * Asked at the door where something came out for good: what was said at Take in may have been thought over.
 */
export function oldParts({
  parts = [],
  disposeConsent = false,
}: {
  readonly parts?: readonly Partial<Pick<Part, "renew">>[];
  readonly disposeConsent?: boolean;
}): FinalCheck[] {
  if (!parts.some((p) => p.renew)) return [];
  const { returned, disposed } = OLD_PARTS;
  return [
    {
      check: OLD_PARTS.check,
      asks: "Old parts: what becomes of them?",
      why: disposeConsent
        ? "At Take in the customer agreed that they may go. Show them all the same: a broken tooth explains a bill."
        : "At Take in the customer did not agree that they may go: they are the customer’s.",
      choices: disposeConsent ? [disposed, returned] : [returned, disposed],
    },
  ];
}
