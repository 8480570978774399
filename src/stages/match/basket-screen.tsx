"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Basket } from "@/core/match/basket/basket";
import { type AnsweredQuote, mustAskAgain } from "@/core/match/quote/quote";
import { money } from "@/core/quantity/money";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { useJob } from "../saving/job-context";
import { order } from "./actions";
import { BasketState } from "./basket-state";
import type { BasketGround, JobBasket } from "./job-basket";
import { useJobBasket } from "./use-job-basket";

const AIMS = [
  { aim: "least cost", keyName: "1", says: "Cheapest" },
  { aim: "soonest", keyName: "2", says: "Soonest" },
  { aim: "soonest within limit", keyName: "3", says: "Soonest within the limit" },
] as const;

/** The basket: what is bought where so that the set is complete, why that and no other, and the order. It is searched for in a worker; the shop proves it again before it orders. */
export function BasketScreen({
  ground,
  aim,
  currency,
  partNames,
  quotes,
}: {
  ground: BasketGround;
  aim: JobBasket["aim"];
  currency: string;
  partNames: Readonly<Record<string, string>>;
  quotes: readonly AnsweredQuote[];
}) {
  const { run, number } = useJob();
  const router = useRouter();
  const [fault, setFault] = useState<string | null>(null);
  const { search, basket } = useJobBasket(ground, aim);
  const set = basket?.answer.basket ?? null;
  const quote = basket?.quote ?? null;
  const ask = quote && mustAskAgain(quote.total, quotes, ground.limit, ground.currency);
  const { open, names } = ground;
  const runnersUp = basket?.answer.runnersUp ?? [];
  const place = async (): Promise<void> => {
    const result = await run(order, { aim, found: basket?.found });
    setFault(result.ok ? null : result.says);
    if (result.ok) router.push(`/jobs/${number}/match/arrival`);
  };
  return (
    <div className="grid h-full grid-cols-[minmax(0,7fr)_minmax(0,5fr)] gap-6">
      <section aria-label="Basket" className="flex min-h-0 flex-col">
        <div className="flex gap-2 pb-2">
          {AIMS.map((a) => (
            <KeyButton
              key={a.aim}
              keyName={a.keyName}
              pressed={a.aim === aim}
              onPress={() => router.push(`/jobs/${number}/match/basket?aim=${encodeURIComponent(a.aim)}`)}
            >
              {a.says}
            </KeyButton>
          ))}
        </div>
        {set ? (
          <>
            <div className="flex items-baseline gap-6 border-b-4 border-base-content pb-1">
              <span className="figures text-[34px] whitespace-nowrap">{money(set.cost, currency)}</span>
              <span className="text-[24px] leading-tight">{days(set.days)}</span>
              {quote && (
                <span className="hush ml-auto text-right text-[18px] leading-tight">
                  for the customer, with work and tax
                  <b className="figures block text-[24px] text-base-content">{money(quote.total, currency)}</b>
                </span>
              )}
            </div>
            <div className="min-h-0 flex-1 overflow-y-auto">
              <BasketLines basket={set} names={names} money={(n) => money(n, currency)} />
              <h3 className="pt-2 text-[20px]">What goes where</h3>
              <ul>
                {basket?.toFit.map((t) => (
                  <li key={`${t.part} ${t.number}`} className="flex items-baseline gap-3 border-b-2 border-base-300 py-0.5 text-[19px]">
                    <span className="w-[200px] shrink-0 font-semibold">{t.part ? (partNames[t.part] ?? t.part) : "with it"}</span>
                    <span className="figures text-[17px] whitespace-nowrap">
                      {t.qty > 1 && `${t.qty} × `}
                      {t.number}
                    </span>
                    <span className="hush truncate">{names[t.number]}</span>
                  </li>
                ))}
              </ul>
            </div>
          </>
        ) : (
          <BasketState search={search} says={basket?.answer.says} />
        )}
      </section>
      <section aria-label="Why this one" className="flex min-h-0 flex-col gap-2">
        <div className="min-h-0 flex-1 overflow-y-auto">
          {open.length > 0 && (
            <>
              <h2 className="text-[22px] text-error">Not in it yet</h2>
              <ul>
                {open.map((o) => (
                  <li key={o.id} className="says danger mb-2">
                    <b className="first-letter:uppercase">{o.name}</b>: {o.why.replace(/\.$/, "")}.
                  </li>
                ))}
              </ul>
            </>
          )}
          {runnersUp.length > 0 && <h2 className="text-[22px]">Alternatives</h2>}
          <ol aria-label="Alternatives">
            {runnersUp.map((r) => (
              <li key={r.why + r.cost} className="border-b-2 border-base-300 py-1.5">
                <div className="flex items-baseline gap-4">
                  <span className="figures text-[22px]">{money(r.cost, currency)}</span>
                  <span className="text-[19px]">{days(r.days)}</span>
                </div>
                <p className="text-[19px] font-semibold">{r.why}</p>
                <p className="hush text-[18px] leading-tight">{fromWhom(r, names)}</p>
              </li>
            ))}
          </ol>
          {quote && (
            <ul aria-label="Against the limit" className="pt-3">
              {quote.reasons.map((r) => (
                <li key={r.rule} className={`says mb-2 ${r.tone}`}>
                  {r.says}
                </li>
              ))}
            </ul>
          )}
        </div>
        <FaultLine says={fault} className="text-[20px]" />
        {ask ? (
          <>
            <p className="says danger text-[20px]">{ask}</p>
            <KeyLink keyName=" " look="main" href={`/jobs/${number}/match/quote?aim=${encodeURIComponent(aim)}`} className="justify-center">
              To the quote
            </KeyLink>
          </>
        ) : (
          <KeyButton keyName=" " look="main" className="justify-center" disabled={!set || open.length > 0} onPress={() => void place()}>
            Order it
          </KeyButton>
        )}
      </section>
    </div>
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

const days = (n: number): string => (n === 0 ? "here today" : n === 1 ? "here tomorrow" : `here in ${n} working days`);

function BasketLines({ basket, names, money }: { basket: Basket; names: Readonly<Record<string, string>>; money: (n: number) => string }) {
  const suppliers = [...new Set(basket.lines.map((l) => l.supplier))];
  const row = "grid grid-cols-[minmax(0,1fr)_auto_110px] items-baseline gap-3 border-b-2 border-base-300 py-1 text-[20px]";
  return (
    <>
      {suppliers.map((s) => (
        <section key={s} aria-label={s} className="pt-2">
          <h3 className="text-[22px]">{s}</h3>
          <ul>
            {basket.lines
              .filter((l) => l.supplier === s)
              .map((l) => (
                <li key={l.offer} className={row}>
                  <span className="truncate">
                    {l.packs > 1 && <b>{l.packs} × </b>}
                    {names[l.part]}
                    {l.pack > 1 && <span className="hush"> · pack of {l.pack}</span>}
                  </span>
                  <span className="figures text-[17px]">{l.part}</span>
                  <span className="figures text-right">{money(l.price)}</span>
                </li>
              ))}
            {basket.shipping
              .filter((x) => x.supplier === s)
              .map((x) => (
                <li key={x.supplier} className={`${row} hush`}>
                  <span>shipping</span>
                  <span />
                  <span className="figures text-right">{x.cost ? money(x.cost) : "free"}</span>
                </li>
              ))}
          </ul>
        </section>
      ))}
      {basket.fromShelf.length > 0 && (
        <section aria-label="From the drawer" className="pt-2">
          <h3 className="text-[22px]">From the drawer</h3>
          <ul>
            {basket.fromShelf.map((f) => (
              <li key={f.part} className={row}>
                <span className="truncate">
                  {f.qty > 1 && <b>{f.qty} × </b>}
                  {names[f.part]}
                </span>
                <span className="figures text-[17px]">{f.part}</span>
                <span className="text-right">here</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {basket.leftOver.length > 0 && (
        <p className="hush pt-2 text-[19px]">Left over for stock: {basket.leftOver.map((l) => `${l.qty} × ${names[l.part] ?? l.part}`).join(", ")}</p>
      )}
    </>
  );
}
