import type { Basket, BasketAnswer } from "@/core/match/basket/basket";
import { money } from "@/core/quantity/money";
import { inDays } from "./in-days";

/** Baskets that lose, and why. */
export function BasketAlternatives({
  runnersUp,
  names,
  currency,
}: {
  runnersUp: BasketAnswer["runnersUp"];
  names: Readonly<Record<string, string>>;
  currency: string;
}) {
  if (!runnersUp.length) return null;
  return (
    <>
      <h2 className="text-[22px]">Alternatives</h2>
      <ol aria-label="Alternatives">
        {runnersUp.map((r) => (
          <li key={r.why + r.cost} className="border-b-2 border-base-300 py-1.5">
            <div className="flex items-baseline gap-4">
              <span className="figures text-[22px]">{money(r.cost, currency)}</span>
              <span className="text-[19px]">{inDays(r.days)}</span>
            </div>
            <p className="text-[19px] font-semibold">{r.why}</p>
            <p className="hush text-[18px] leading-tight">{fromWhom(r, names)}</p>
          </li>
        ))}
      </ol>
    </>
  );
}

/** "From North: wheel, pinion. From South: 2 × bush." */
function fromWhom(b: Basket, names: Readonly<Record<string, string>>): string {
  const suppliers = [...new Set(b.lines.map((l) => l.supplier))];
  const what = (s: string): string =>
    b.lines
      .filter((l) => l.supplier === s)
      .map((l) => `${l.packs > 1 ? `${l.packs} × ` : ""}${names[l.part] ?? l.part}`)
      .join(", ");
  return suppliers.map((s) => `From ${s}: ${what(s)}.`).join(" ");
}
