import { listed } from "../sentence";
import type { Choice, FinalCheck } from "./final-check";

export const LOOSE_ITEMS = "loose-items";
/** Where a thing that came with the unit is, as it goes home. */
export const LOOSE_ENDS = {
  back: { answer: "back", says: "goes back" },
  used: { answer: "used", says: "used in the repair" },
  kept: { answer: "kept", says: "stays here" },
  home: { answer: "home", says: "never came" },
} as const satisfies Readonly<Record<string, Choice>>;

/** @param items what came with it; left out: nobody has said */
export function looseItems(items: readonly string[] | undefined): FinalCheck[] {
  if (items?.length === 0) return [];
  const plain: FinalCheck = {
    check: LOOSE_ITEMS,
    asks: "All the customer’s loose items with the unit?",
    why: "A bowl left on the shelf means a second visit.",
  };
  return [
    items
      ? {
          ...plain,
          choices: Object.values(LOOSE_ENDS),
          each: items.map((item) => ({ item, says: item })),
        }
      : plain,
  ];
}

/**
 * Where the loose items went, for the customer's paper.
 *
 * @param isAnswered the check was answered; what nobody said of one by one went back then
 */
export function looseItemsInWords(
  items: readonly string[],
  each: Readonly<Record<string, string>> = {},
  isAnswered = true,
): string | undefined {
  if (!items.length) return undefined;
  if (!isAnswered) return `Came with it: ${items.join(", ")}.`;
  const SAYS: Readonly<Record<string, string>> = {
    back: "Handed back with it",
    used: "Used in the repair",
    kept: "Stays with the shop",
    home: "Did not come to the shop",
  };
  const said = Object.entries(SAYS).flatMap(([end, says]) => {
    const names = items.filter((i) => (each[i] ?? LOOSE_ENDS.back.answer) === end);
    return names.length ? [`${says}: ${listed(names)}.`] : [];
  });
  return said.join(" ");
}
