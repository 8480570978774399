"use client";

import { useState } from "react";
import { z } from "zod";
import { mustAskAgain } from "@/core/match/quote/quote";
import { money } from "@/core/quantity/money";
import { dayAs } from "@/ui/day";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { useDraft } from "../saving/use-draft";
import { answer, quote as makeQuote, newUnit } from "./actions";
import { BasketState } from "./basket-state";
import { QuoteLines } from "./quote-lines";
import type { QuoteView } from "./quote-view";
import { useJobBasket } from "./use-job-basket";

const whoSchema = z.string().nullable();

/** The quote: what it comes to now, what was asked and answered, and what follows from it. */
export function QuoteScreen({
  ground,
  aim,
  quotes,
  rates,
  currency,
  limit,
  unitPrice,
  customer,
  draft,
}: Omit<QuoteView, "frame" | "places">) {
  const { run, number } = useJob();
  const [who, setByWhom] = useDraft("quote-by-whom", draft, whoSchema, null);
  const byWhom = who ?? customer;
  const [fault, setFault] = useState<string | null>(null);
  const { search, basket } = useJobBasket(ground, aim);
  const now = basket?.quote ?? null;
  const ask = now && mustAskAgain(now.total, quotes, limit, currency);
  const last = quotes.at(-1);
  const open = last && last.answer === undefined ? last : undefined;
  const stale = open && now && Math.round(open.total * 100) !== Math.round(now.total * 100);
  const answered = async (says: "accepted" | "declined"): Promise<void> => {
    if (!open) return;
    const result = await run(answer, { quote: open.id, answer: says, byWhom });
    setFault(result.ok ? null : result.says);
    if (result.ok) setByWhom(null);
  };
  const shown = now ?? last?.quote;
  return (
    <div className="grid h-full grid-cols-[minmax(0,7fr)_minmax(0,5fr)] gap-6">
      <section aria-label="Quote" className="min-h-0 overflow-y-auto">
        {shown ? (
          <QuoteLines quote={shown} currency={currency} taxPercent={rates.taxPercent} />
        ) : (
          <BasketState search={search} says={basket?.answer.says} />
        )}
        {shown && (
          <ul aria-label="Against the limit">
            {shown.reasons.map((r) => (
              <li key={r.rule} className={`says mb-2 ${r.tone}`}>
                {r.says}
              </li>
            ))}
            <li className="says">
              If it is declined, {money(shown.ifDeclined, currency)}{" "}
              {shown.ifDeclined
                ? "is due for finding the fault and putting it back as it was"
                : "is due: the inspection was free"}
              .
            </li>
          </ul>
        )}
      </section>
      <section aria-label="The customer" className="flex min-h-0 flex-col gap-3">
        <SavedField
          label={`What a new unit costs, ${currency}`}
          name="new-unit"
          value={unitPrice === undefined ? "" : String(unitPrice)}
          figure
          save={(text) => run(newUnit, { price: text })}
        />
        {quotes.length > 0 && (
          <ol aria-label="Asked" className="text-[19px]">
            {quotes.map((q) => (
              <li key={q.id} className="flex items-baseline gap-3 border-b-2 border-base-300 py-1">
                <span className="figures text-[17px]">{dayAs(q.madeAt, "d MMM")}</span>
                <span className="figures">{money(q.total, currency)}</span>
                <span
                  className={`ml-auto font-semibold ${q.answer === "accepted" ? "text-success" : q.answer === "declined" ? "text-error" : ""}`}
                >
                  {q.answer
                    ? `${q.answer === "accepted" ? "✓" : "✕"} ${q.answer} by ${q.byWhom ?? "the customer"}, ${q.answeredOn && dayAs(q.answeredOn, "d MMM")}`
                    : "asked, no answer yet"}
                </span>
              </li>
            ))}
          </ol>
        )}
        <div className="mt-auto flex flex-col gap-2">
          {open && !stale ? (
            <>
              <label className="words">
                Who answers
                <input className="field" value={byWhom} onChange={(e) => setByWhom(e.target.value)} />
              </label>
              <FaultLine says={fault} className="text-[19px]" />
              <div className="grid grid-cols-2 gap-2">
                <KeyButton
                  keyName="A"
                  look="main"
                  className="justify-center"
                  onPress={() => void answered("accepted")}
                >
                  Accepted
                </KeyButton>
                <KeyButton
                  keyName="X"
                  look="warn"
                  className="justify-center"
                  onPress={() => void answered("declined")}
                >
                  Declined
                </KeyButton>
              </div>
            </>
          ) : (
            <>
              {stale && (
                <p className="says danger">
                  It now comes to {now && money(now.total, currency)}, and {money(open.total, currency)} was
                  quoted: make a new quote.
                </p>
              )}
              {ask && now && !stale && <p className="says danger">{ask}</p>}
              <FaultLine says={fault} className="text-[19px]" />
              <KeyButton
                keyName={ask || stale ? " " : "M"}
                look={ask || stale ? "main" : "plain"}
                className="justify-center"
                disabled={!now}
                onPress={() =>
                  void run(makeQuote, { aim, found: basket?.found }).then((r) =>
                    setFault(r.ok ? null : r.says),
                  )
                }
              >
                {quotes.length ? "Make a new quote" : "Make the quote"}
              </KeyButton>
            </>
          )}
          {last?.answer === "declined" && (
            <KeyLink keyName="E" look="main" href={`/jobs/${number}/ending`} className="justify-center">
              How it ends now
            </KeyLink>
          )}
          {last && (
            <KeyLink keyName="P" href={`/jobs/${number}/quote`}>
              The sheet, to print or send
            </KeyLink>
          )}
          <KeyLink keyName="H" href="/settings">
            The shop’s charges
          </KeyLink>
          {!ask &&
            (ground && !ground.input ? (
              <KeyLink keyName=" " look="main" href={`/jobs/${number}/match`} className="justify-center">
                Back to the parts
              </KeyLink>
            ) : (
              <KeyLink
                keyName=" "
                look="main"
                href={`/jobs/${number}/match/basket`}
                className="justify-center"
              >
                To the basket
              </KeyLink>
            ))}
        </div>
      </section>
    </div>
  );
}
