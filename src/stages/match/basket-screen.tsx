"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { type AnsweredQuote, mustAskAgain } from "@/core/match/quote/quote";
import { money } from "@/core/quantity/money";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { GettingLubricant } from "../job-view/getting-lubricant";
import { useJob } from "../saving/job-context";
import { order } from "./actions";
import { BasketAlternatives } from "./basket-alternatives";
import { BasketLines } from "./basket-lines";
import { BasketState, StoppedSet } from "./basket-state";
import { inDays } from "./in-days";
import type { BasketGround, JobBasket } from "./job-basket";
import { useJobBasket } from "./use-job-basket";

const AIMS = [
  { aim: "least cost", keyName: "1", says: "Cheapest" },
  { aim: "soonest", keyName: "2", says: "Soonest" },
  { aim: "soonest within limit", keyName: "3", says: "Soonest within the limit" },
] as const;

/**
 * The basket: what is bought where so that the set is complete, why that and no other, and the order. It is
 * searched for in a worker; the shop proves it again before it orders.
 */
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
        {set && !ground.input ? (
          <p className="says text-[22px]">
            Nothing is to be bought: the parts come from elsewhere, or nothing goes back new.
          </p>
        ) : set ? (
          <>
            <div className="flex items-baseline gap-6 border-b-4 border-base-content pb-1">
              {set.cost > 0 ? (
                <span className="figures text-[34px] whitespace-nowrap">{money(set.cost, currency)}</span>
              ) : (
                <span className="text-[28px] leading-tight">Nothing to buy,</span>
              )}
              <span className="text-[24px] leading-tight">{inDays(set.days)}</span>
              {quote && (
                <span className="hush ml-auto text-right text-[18px] leading-tight">
                  for the customer, with work and tax
                  <b className="figures block text-[24px] text-base-content">
                    {money(quote.total, currency)}
                  </b>
                </span>
              )}
            </div>
            {search?.state === "found" && search.again && (
              <StoppedSet
                aim={aim}
                upTo={basket?.answer.upTo ?? 0}
                currency={currency}
                again={search.again}
              />
            )}
            <div className="min-h-0 flex-1 overflow-y-auto">
              <BasketLines basket={set} names={names} money={(n) => money(n, currency)} />
              <h3 className="pt-2 text-[20px]">What goes where</h3>
              <ul>
                {basket?.toFit.map((t) => (
                  <li
                    key={`${t.part} ${t.number}`}
                    className="flex items-baseline gap-3 border-b-2 border-base-300 py-0.5 text-[19px]"
                  >
                    <span className="w-[200px] shrink-0 font-semibold">
                      {t.part ? (partNames[t.part] ?? t.part) : "with it"}
                    </span>
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
          {ground.toBuy.map((t) => (
            <GettingLubricant key={t.chamber.id} chamber={t.chamber} says={t.says} currency={currency} />
          ))}
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
          {ground.cut.map((c) => (
            <p key={c.name} className="says mb-2">
              {c.of} parts fit for {c.name}: the best {c.weighed} are weighed. Choose one yourself at Match,
              if it is another.
            </p>
          ))}
          <BasketAlternatives runnersUp={basket?.answer.runnersUp ?? []} names={names} currency={currency} />
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
            <KeyLink
              keyName=" "
              look="main"
              href={`/jobs/${number}/match/quote?aim=${encodeURIComponent(aim)}`}
              className="justify-center"
            >
              To the quote
            </KeyLink>
          </>
        ) : (
          <KeyButton
            keyName=" "
            look="main"
            className="justify-center"
            disabled={!set || !ground.input || open.length > 0}
            onPress={() => void place()}
          >
            Order it
          </KeyButton>
        )}
      </section>
    </div>
  );
}
