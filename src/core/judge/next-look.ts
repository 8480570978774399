import { CAUSES, type Case, caseOf, rootsOf } from "./case";
import type { Evidence } from "./evidence";
import { infer } from "./network/infer";
import { LOOKS, type Look } from "./network/looks";
import { networkFor } from "./network/network";
import { ROOTS } from "./roots";

export interface NextLook extends Look {
  /** P(the answer is yes | what is known) */
  readonly likely: number;
  /** how much it settles, in bits of entropy of the roots, per minute */
  readonly bitsPerMinute: number;
  /** what each answer would make of the root that moves most */
  readonly yes: Outcome;
  readonly no: Outcome;
}
export interface Outcome {
  readonly cause: string;
  readonly says: string;
  readonly from: number;
  readonly to: number;
}

const entropy = (p: number): number =>
  p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p);

/**
 * Roots below this are not asked about: nobody looks for twine in a clock because it would settle the matter if
 * it were there.
 */
const WORTH = 0.1;
/** A look that settles less than this, bits, is not worth its minutes. */
const LEAST_BITS = 0.03;

/**
 * Of all that can be looked at and was not, what settles most for its minutes: the expected fall of the sum of
 * the entropies of the roots above 10 %, per minute. Each root counts for itself, as several may hold at once.
 *
 * @returns nothing where nothing is known yet, or where no look would change much
 */
export function nextLook(evidence: Evidence): NextLook | null {
  const c = caseOf(evidence);
  if (!c.facts.some((f) => f.found === true)) return null;
  const kinds = new Set(evidence.parts.flatMap((p) => p.kind ?? []));
  const open = LOOKS.filter((l) => !c.known.has(l.sign) && l.kinds.some((k) => kinds.has(k)));
  if (!open.length) return null;
  const asked = [...CAUSES, ...open.map((l) => l.sign)];
  const { of } = infer(networkFor(c.past, c.own), c.known, asked);
  const weighed = open.flatMap((l) => weigh(l, c, of) ?? []);
  return weighed.sort((a, b) => b.bitsPerMinute - a.bitsPerMinute)[0] ?? null;
}

function weigh(l: Look, c: Case, now: ReadonlyMap<string, number>): NextLook | null {
  const likely = now.get(l.sign) ?? 0;
  if (likely < 0.01 || likely > 0.99) return null;
  const ifSo = rootsOf(c, new Map([...c.known, [l.sign, true as const]]));
  const at = (cause: string): { before: number; so: number; not: number } => {
    const before = now.get(cause) ?? 0;
    const so = ifSo.get(cause) ?? 0;
    return { before, so, not: Math.min(1, Math.max(0, (before - so * likely) / (1 - likely))) };
  };
  const roots = ROOTS.map((r) => ({ r, ...at(r.cause) })).filter((x) => x.before >= WORTH);
  const bits = roots.reduce(
    (all, x) => all + entropy(x.before) - likely * entropy(x.so) - (1 - likely) * entropy(x.not),
    0,
  );
  if (bits < LEAST_BITS) return null;
  const most = (to: (x: (typeof roots)[number]) => number): Outcome => {
    const x = roots.reduce((a, b) => (Math.abs(to(b) - b.before) > Math.abs(to(a) - a.before) ? b : a));
    return { cause: x.r.cause, says: x.r.says, from: x.before, to: to(x) };
  };
  return { ...l, likely, bitsPerMinute: bits / l.minutes, yes: most((x) => x.so), no: most((x) => x.not) };
}
