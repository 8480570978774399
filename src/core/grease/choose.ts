import { type Lubricant, nlgiName } from "./lubricant";
import { mixing, THICKENER_NAMES, type Thickener } from "./thickeners";

/** Where it goes and what it meets. */
export interface GreaseNeed {
  readonly foodContact: boolean;
  readonly place: "closed-case" | "open-teeth" | "bearing" | "ratchet";
  readonly plastics: readonly string[];
  readonly elastomers: readonly string[];
  /** thickener left in the unit; "unknown" if it cannot be told, null if all of it was washed out */
  readonly old: Thickener | "unknown" | null;
  readonly hottestC: number;
}

export interface GreaseVerdict {
  readonly lubricant: Lubricant;
  readonly ok: boolean;
  /** why it must not be used at all, whoever decides; null: the technician decides */
  readonly forbidden: string | null;
  readonly reasons: readonly { readonly rule: string; readonly says: string; readonly against: boolean }[];
}

/** NLGI classes for each place: closed cases must let it run back to the teeth. */
const CLASSES: Readonly<Record<GreaseNeed["place"], readonly [number, number]>> = {
  "closed-case": [-1, 1],
  "open-teeth": [1, 2],
  bearing: [2, 2],
  ratchet: [0, 1],
};

const ESTER_ATTACKS = ["ABS", "PC", "PS"];

/**
 * Every lubricant of the shop with what speaks for and against it, the best first.
 *
 * Against: not registered for incidental food contact (H1) where the unit touches food, without exception; a class that does not run back
 * to the teeth; ester on ABS, PC or PS; mineral oil or PAO on EPDM; an old grease it does not mix with; a temperature range without 20 K to spare.
 */
export function chooseGrease(need: GreaseNeed, shelf: readonly Lubricant[]): GreaseVerdict[] {
  const judged = shelf.map((lubricant) => {
    const reasons = judge(need, lubricant);
    return { lubricant, reasons, ok: reasons.every((r) => !r.against), forbidden: forbiddenIn(need, lubricant) };
  });
  const against = (v: GreaseVerdict): number => v.reasons.filter((r) => r.against).length;
  const [low, high] = CLASSES[need.place];
  const middle = (low + high) / 2;
  return judged.sort(
    (a, b) =>
      against(a) - against(b) || Math.abs(a.lubricant.nlgi - middle) - Math.abs(b.lubricant.nlgi - middle) || (a.lubricant.name < b.lubricant.name ? -1 : 1),
  );
}

/** The one rule that nobody decides against: what is not registered H1 stays out of what touches food. Null: it may be used. */
export const forbiddenIn = ({ foodContact }: Pick<GreaseNeed, "foodContact">, { name, h1 }: Pick<Lubricant, "name" | "h1">): string | null =>
  foodContact && !h1 ? `${name} is not registered H1 and must not go into a machine that touches food` : null;

function judge(need: GreaseNeed, l: Lubricant): GreaseVerdict["reasons"] {
  const out: { rule: string; says: string; against: boolean }[] = [];
  const add = (against: boolean, rule: string, says: string): void => void out.push({ rule, says, against });
  if (need.foodContact)
    add(!l.h1, "food", l.h1 ? "registered for incidental food contact (H1)" : "not registered H1: it must not go into a machine that touches food");
  const [low, high] = CLASSES[need.place];
  const inClass = l.nlgi >= low && l.nlgi <= high;
  add(
    !inClass,
    "consistency",
    `NLGI ${nlgiName(l.nlgi)}: ${inClass ? (need.place === "closed-case" ? "soft enough to run back to the teeth" : "right for this place") : need.place === "closed-case" ? "too stiff, it is thrown off once and stays on the wall" : "not the class for this place"}`,
  );
  const attacked = l.baseOil === "ester" ? need.plastics.filter((p) => ESTER_ATTACKS.includes(p)) : [];
  if (attacked.length) add(true, "plastics", `its ester oil attacks ${attacked.join(", ")}`);
  else if (need.plastics.length) add(false, "plastics", `${l.baseOil} oil leaves ${need.plastics.join(", ")} alone`);
  if (need.elastomers.includes("EPDM") && (l.baseOil === "mineral" || l.baseOil === "PAO")) add(true, "seals", `EPDM swells in ${l.baseOil} oil`);
  out.push(...mixes(need.old, l));
  const hot = l.mostC - 20 >= need.hottestC;
  add(
    !hot,
    "temperature",
    hot
      ? `good to ${l.mostC} °C, ${l.mostC - need.hottestC} K above the hottest part`
      : `good to ${l.mostC} °C only: there must be 20 K above ${need.hottestC} °C`,
  );
  return out;
}

function mixes(old: GreaseNeed["old"], l: Lubricant): { rule: string; says: string; against: boolean }[] {
  if (old === null) return [{ rule: "old grease", says: "the old grease was washed out: nothing to mix with", against: false }];
  if (old === "unknown") return [{ rule: "old grease", says: "the old grease is not known: take all of it out first", against: false }];
  if (l.thickener === "PTFE" || l.thickener === "silica")
    return [{ rule: "old grease", says: `mixes with nothing: take all of the ${THICKENER_NAMES[old]} out first`, against: true }];
  const how = mixing(old, l.thickener);
  const names = `${THICKENER_NAMES[l.thickener]} over ${THICKENER_NAMES[old]}`;
  if (how === "incompatible") return [{ rule: "old grease", says: `${names} turns to soup: wash all of the old one out, or take another`, against: true }];
  if (how === "borderline") return [{ rule: "old grease", says: `${names} is borderline: take out what can be reached`, against: false }];
  return [{ rule: "old grease", says: `${names} goes together`, against: false }];
}
