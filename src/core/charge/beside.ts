import { gotPieces } from "../job/going-in";
import { gotInWords } from "../job/got";
import type { Job } from "../job/job";
import { minutesOf } from "../job/step";
import { holdsLubricant } from "../lube/holds-lubricant";
import { lubricantsUsed } from "../lube/used";

/** What a repair costs besides what is ordered for it: the same for its quote and for its bill. */
export interface Beside {
  /** parts that are got elsewhere, with what the customer pays for them */
  readonly parts: readonly { says: string; qty: number; price: number; number?: string }[];
  readonly consumables: readonly { says: string; qty: string; cost: number }[];
  readonly work: readonly { says: string; minutes: number }[];
}

/** What a shop charges such things by. */
export interface BesideRates {
  /** solvent and wipes of a job */
  readonly cleaningCost: number;
  readonly testMinutes: number;
  /** lubricant → what 100 g of it cost */
  readonly pricePer100G: Readonly<Record<string, number | undefined>>;
  /** of the rebuild, by its plan */
  readonly planMinutes: number;
}

type Known = Pick<
  Job,
  | "steps"
  | "parts"
  | "findings"
  | "lubePoints"
  | "chambers"
  | "greaseStates"
  | "train"
  | "nothingFailed"
  | "supplies"
>;

/**
 * What is charged besides ordered parts: what was got elsewhere, cleaning where something was opened that
 * holds a lubricant, lubricants by weight, work by the plan.
 */
export function besideOf(
  job: Known,
  { cleaningCost, testMinutes, pricePer100G, planMinutes }: BesideRates,
): Beside {
  const stripped = job.steps.reduce((t, s) => t + minutesOf(s), 0);
  return {
    parts: gotPieces(job).map((g) => ({
      says: `${g.for ?? g.says}, ${gotInWords(g.got)}`,
      qty: 1,
      price: g.got.price ?? 0,
      ...(g.got.number ? { number: g.got.number } : {}),
    })),
    consumables: [
      ...(cleaningCost > 0 && holdsLubricant(job)
        ? [{ says: "Cleaning: solvent, wipes", qty: "1", cost: cleaningCost }]
        : []),
      ...lubricantsUsed(job).flatMap((u) => {
        const price = pricePer100G[u.lubricantId ?? ""];
        return price && u.grams > 0
          ? [{ says: u.name, qty: `${u.grams.toFixed(1)} g`, cost: (u.grams * price) / 100 }]
          : [];
      }),
      // what is got for this job alone is paid whole, unless the shelf served after all
      ...(job.chambers ?? []).flatMap(({ id, name, getting }) =>
        getting?.price && !job.lubePoints.some((p) => p.chamber === id && p.lubricantId)
          ? [
              {
                says: `Lubricant for the ${name}${getting.from ? `, from ${getting.from}` : ""}`,
                qty: "1",
                cost: getting.price,
              },
            ]
          : [],
      ),
    ],
    work: [
      { says: "Strip and diagnosis", minutes: stripped },
      ...(planMinutes > 0 ? [{ says: "Clean and rebuild, by the plan", minutes: planMinutes }] : []),
      { says: "Testing and hand back", minutes: testMinutes },
    ],
  };
}
