"use client";

import type { Arrival } from "@/core/job/bought";
import { money } from "@/core/quantity/money";
import { dayAs } from "@/ui/day";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { useJob } from "../saving/job-context";
import { news, takeBack } from "./actions";
import type { ToldOrder } from "./basket-view";

const day = (d: string): string => dayAs(d, "EEE d MMM");

const STATE = {
  placed: "placed",
  confirmed: "confirmed",
  short: "partly out of stock",
  shipped: "on its way",
  received: "here",
} as const;

/** What became of the orders: placed, confirmed, on the way, here. In practice a day can be let pass. */
export function OrderedScreen({
  orders,
  arrivals,
  day: today,
  currency,
}: {
  orders: readonly ToldOrder[];
  arrivals: readonly Arrival[];
  day: string;
  currency: string;
}) {
  const { run, number } = useJob();
  const waiting = arrivals.filter((a) => !a.decision).length;
  const drawer = arrivals.filter((a) => a.orderId === undefined);
  const all = orders.every((o) =>
    o.lines.every((l) => o.news.some((n) => n.what === "received" && n.numbers.includes(l.number))),
  );
  return (
    <div className="grid h-full grid-cols-[minmax(0,8fr)_minmax(0,4fr)] gap-6">
      <section aria-label="Orders" className="min-h-0 overflow-y-auto">
        {orders.map((o) => (
          <article
            key={o.id}
            aria-label={`Order ${o.reference}`}
            className="mb-4 border-l-8 border-secondary bg-base-200 px-4 py-2"
          >
            <header className="flex items-baseline gap-4">
              <h2 className="text-[25px]">{o.supplier}</h2>
              <span className="figures text-[18px]">{o.reference}</span>
              <b className="ml-auto text-[21px]">{STATE[o.news.at(-1)?.what ?? "placed"]}</b>
            </header>
            <p className="text-[19px]">
              {o.lines
                .map((l) => `${l.packs} × ${l.number}${l.pack > 1 ? `, pack of ${l.pack}` : ""}`)
                .join(" · ")}
              {o.replacement
                ? " · in place of what came wrong"
                : ` · ${money(o.lines.reduce((t, l) => t + l.packs * l.price, 0) + o.shipping, currency)}`}
            </p>
            <ol className="pt-1">
              <li className="text-[19px]">
                <span className="figures inline-block w-[130px] text-[17px]">{day(o.placedOn)}</span>placed
              </li>
              {o.news.map((n) => (
                <li key={n.day + n.says} className="text-[19px]">
                  <span className="figures inline-block w-[130px] text-[17px]">{day(n.day)}</span>
                  {n.says}
                </li>
              ))}
            </ol>
          </article>
        ))}
        {drawer.length > 0 && (
          <article
            aria-label="From the drawer"
            className="mb-4 border-l-8 border-success bg-base-200 px-4 py-2"
          >
            <h2 className="text-[25px]">From the drawer</h2>
            <p className="text-[19px]">{drawer.map((a) => `${a.qty} × ${a.number}`).join(" · ")}</p>
          </article>
        )}
      </section>
      <section aria-label="News" className="flex flex-col gap-3">
        <p className="text-[21px]">
          Today is <b className="whitespace-nowrap">{day(today)}</b>
        </p>
        {!all && (
          <>
            <KeyButton keyName="A" onPress={() => void run(news, { dayPasses: false })}>
              Ask for news
            </KeyButton>
            <KeyButton keyName="P" onPress={() => void run(news, { dayPasses: true })}>
              Let a working day pass
            </KeyButton>
            <p className="hush text-[18px]">
              The suppliers are for practice: their days pass when you say so, their parcels come late, short,
              or with the wrong part in them.
            </p>
          </>
        )}
        {!orders.some((o) => o.news.some((n) => n.what === "shipped" || n.what === "received")) && (
          <KeyButton keyName="Z" onPress={() => void run(takeBack)}>
            Take the order back
          </KeyButton>
        )}
        <div className="mt-auto">
          {waiting > 0 ? (
            <KeyLink
              keyName=" "
              look="main"
              href={`/jobs/${number}/match/arrival`}
              className="w-full justify-center"
            >
              Compare what is here ({waiting})
            </KeyLink>
          ) : (
            <p className="says">{all ? "Everything is here and compared." : "Nothing left to compare."}</p>
          )}
        </div>
      </section>
    </div>
  );
}
