import { CAUSE_RULES, type CauseRule, WASH } from "./cause-rules";
import { type Evidence, type Fact, factsOf } from "./evidence";
import { hasCrumbs } from "./failure-modes";

export interface LikelyCause {
  readonly cause: string;
  readonly says: string;
  readonly how: "likely" | "possible" | "less likely";
  /** 0 to 1: how the signs add up, for ordering and for a bar; not a measured frequency */
  readonly weight: number;
  readonly because: readonly { readonly says: string; readonly why: string; readonly against: boolean }[];
  readonly confirm: readonly string[];
  readonly goTo: readonly string[];
}

/**
 * Likely causes from what was found, best first, each with what speaks for and against it.
 *
 * Signs add up as log odds (half a unit of weight each); several causes may hold at once. A cause with no
 * sign for it is not shown. See {@link CAUSE_RULES}.
 */
export function likelyCauses(evidence: Evidence): LikelyCause[] {
  const facts = factsOf(evidence);
  const thinkable = (rule: CauseRule): boolean =>
    !rule.only || facts.some((f) => rule.only?.includes(f.fact));
  return CAUSE_RULES.filter(thinkable)
    .map((rule) => judged(rule, facts))
    .filter((c) => c.because.some((b) => !b.against) && c.weight > 0.12)
    .sort((a, b) => b.weight - a.weight);
}

function judged(rule: CauseRule, facts: readonly Fact[]): LikelyCause {
  let odds = rule.usual;
  const because: { says: string; why: string; against: boolean; size: number }[] = [];
  for (const sign of rule.signs) {
    // the same sign on two parts is one sign
    const seen = facts.filter((f) => f.fact === sign.fact);
    if (!seen.length) continue;
    odds += sign.weight;
    because.push({
      says: seen.map((f) => f.says).join("; "),
      why: sign.why,
      against: sign.weight < 0,
      size: Math.abs(sign.weight),
    });
  }
  because.sort((a, b) => Number(a.against) - Number(b.against) || b.size - a.size);
  const weight = 1 / (1 + Math.exp(-odds * 0.8));
  return {
    cause: rule.cause,
    says: rule.says,
    how: weight > 0.75 ? "likely" : weight > 0.4 ? "possible" : "less likely",
    weight,
    because: because.map(({ says, why, against }) => ({ says, why, against })),
    confirm: rule.confirm,
    goTo: rule.goTo,
  };
}

/**
 * How far the work must go, over all causes that are likely or chosen, each demand once, with the causes that
 * make it. Crumbs in the grease ask for the whole case to be washed, whatever the cause.
 *
 * @param greaseStates of the old grease
 */
export function howFar(
  causes: readonly LikelyCause[],
  chosen: readonly string[],
  greaseStates: readonly string[] = [],
): { readonly says: string; readonly because: readonly string[] }[] {
  const out = new Map<string, string[]>(hasCrumbs(greaseStates) ? [[WASH, ["crumbs in the grease"]]] : []);
  for (const c of causes)
    if (chosen.includes(c.cause) || (chosen.length === 0 && c.how === "likely"))
      for (const says of c.goTo) out.set(says, [...(out.get(says) ?? []), c.says]);
  return [...out].map(([says, because]) => ({ says, because }));
}
