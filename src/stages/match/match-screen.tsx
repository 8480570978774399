"use client";

import { Check, HelpCircle, Link2, Wrench, X } from "lucide-react";
import Link from "next/link";
import { useState } from "react";
import type { Gate } from "@/core/gates/open-gates";
import type { Stage } from "@/core/job/stages";
import type { Candidate } from "@/core/match/candidates/rank";
import { type CriterionVerdict, VERDICT_SAYS } from "@/core/match/candidates/verdict";
import type { SupplierOffer } from "@/core/match/catalogue/catalogue-part";
import { money } from "@/core/quantity/money";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { letGo } from "@/ui/let-go";
import { type Packed, usePacked } from "@/ui/packed";
import { GoOn } from "../frame/go-on";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { choose, readNumber } from "./actions";

export interface MatchPart {
  readonly id: string;
  readonly name: string;
  readonly wanted: string;
  readonly missing?: string;
  readonly candidates: readonly Candidate[];
  /** what suppliers ask for them */
  readonly offers: readonly SupplierOffer[];
  readonly chosen?: string;
  readonly readNumber: string | undefined;
  readonly isGear: boolean;
}

const MARKS: Readonly<Record<CriterionVerdict, { icon: typeof Check; says: string; tone: string }>> = {
  same: { icon: Check, says: "same", tone: "text-success" },
  fits: { icon: Check, says: "fits", tone: "text-success" },
  companion: { icon: Link2, says: "with companion", tone: "text-base-content" },
  rework: { icon: Wrench, says: "rework", tone: "text-info" },
  settle: { icon: HelpCircle, says: "measure", tone: "text-info" },
  no: { icon: X, says: "no", tone: "text-error" },
};

const VERDICT_MARKS: Readonly<Record<Candidate["verdict"], string>> = {
  "drop-in": "✓ ",
  "with-rework": "✓ ",
  "with-companions": "+ ",
  possible: "? ",
  no: "✕ ",
};

/** In the drawer, or at what and by when from whom: the cheapest, and the soonest if that is another. */
function whereToBeHad(part: Candidate["part"], offers: readonly SupplierOffer[], currency: string): string {
  if (part.stock > 0) return `${part.stock} in the drawer`;
  const had = offers.filter((o) => o.number === part.number && o.stock !== 0);
  const [cheapest] = [...had].sort((a, b) => a.price - b.price);
  const [soonest] = [...had].sort((a, b) => a.leadDays - b.leadDays || a.price - b.price);
  if (!cheapest || !soonest) return part.discontinued ? "discontinued, and none left" : "nobody stocks it";
  const said = (o: SupplierOffer): string =>
    `${money(o.price, currency)}${o.pack > 1 ? ` for ${o.pack}` : ""} in ${o.leadDays} ${o.leadDays === 1 ? "day" : "days"}, ${o.supplier}`;
  return [cheapest, ...(soonest === cheapest ? [] : [soonest])].map(said).join(" · ");
}

/** What must be known before a possible part is a certain one. */
function settleFirst(c: Candidate): string {
  const open = c.criteria.filter((k) => k.verdict === "settle").map((k) => k.says);
  return `Possible: ${open.join("; ")}.`;
}

/** Match: for each part that goes back new, the candidates with a verdict on every criterion. */
export function MatchScreen({
  parts: packed,
  stage,
  gates,
  currency,
}: {
  parts: Packed<readonly MatchPart[]>;
  stage: Stage;
  gates: readonly Gate[];
  currency: string;
}) {
  const parts = usePacked(packed);
  const { run, number } = useJob();
  const [picked, setPicked] = useState(parts.find((p) => !p.chosen)?.id ?? parts[0]?.id);
  const part = parts.find((p) => p.id === picked) ?? parts[0];
  const [looked, setLooked] = useState<string>();
  const shown = part?.candidates.find((c) => c.part.number === (looked ?? part.chosen)) ?? part?.candidates[0];
  if (!part) return <p className="text-[26px]">Nothing to replace yet. Judge the parts first; what failed is matched here.</p>;
  const take = async (): Promise<void> => {
    if (!shown) return;
    const result = await run(choose, { part: part.id, chosen: shown.part.number });
    const next = parts.find((p) => !p.chosen && p.id !== part.id);
    if (result.ok && next) {
      setPicked(next.id);
      setLooked(undefined);
    }
  };
  return (
    <div className="grid h-full grid-cols-[minmax(0,2.7fr)_minmax(0,3.2fr)_minmax(0,6.1fr)] gap-5">
      <section aria-label="To replace" className="flex min-h-0 flex-col gap-2">
        <h2 className="text-[24px]">To replace</h2>
        <ul className="min-h-0 flex-1 overflow-y-auto">
          {parts.map((p) => (
            <li key={p.id}>
              <button
                type="button"
                aria-pressed={p.id === part.id}
                onClick={(e) => {
                  letGo(e);
                  setPicked(p.id);
                  setLooked(undefined);
                }}
                className={`min-h-[56px] w-full border-b-2 border-base-300 px-2 text-left text-[20px] leading-tight ${p.id === part.id ? "bg-primary text-primary-content" : ""}`}
              >
                {p.name}
                <span className={`block text-[18px] ${p.chosen ? "" : p.id === part.id ? "" : "text-error"}`}>
                  {p.chosen ? `✓ ${p.chosen}` : "○ not chosen"}
                </span>
              </button>
            </li>
          ))}
        </ul>
        <SavedField
          key={part.id}
          label="Number on the part"
          name={`number-${part.id}`}
          value={part.readNumber ?? ""}
          save={(text) => run(readNumber, { part: part.id, read: text })}
        />
        <KeyLink keyName="N" href={`/jobs/${number}/match/basket`}>
          To the basket
        </KeyLink>
        <GoOn from="match" stage={stage} gates={gates} keyName="Enter" />
      </section>
      <section aria-label="Candidates" className="flex min-h-0 flex-col">
        <h2 className="text-[24px]">Candidates</h2>
        <p className="hush pb-1 text-[18px]">{part.wanted}</p>
        {part.missing ? (
          <div className="says danger">
            {part.missing}
            {part.isGear && (
              <Link href={`/jobs/${number}/judge/gear/${part.id}`} className="key-button mt-2">
                To the gear bench
              </Link>
            )}
          </div>
        ) : (
          <ol className="min-h-0 flex-1 overflow-y-auto">
            {part.candidates.map((c) => {
              const tone = c.verdict === "drop-in" ? "text-success" : c.verdict === "no" ? "text-error" : "text-info";
              const on = shown?.part.number === c.part.number;
              return (
                <li key={c.part.number}>
                  <button
                    type="button"
                    aria-pressed={on}
                    onClick={(e) => {
                      letGo(e);
                      setLooked(c.part.number);
                    }}
                    className={`w-full border-b-2 border-base-300 px-2.5 py-2 text-left ${on ? "border-l-8 border-l-primary bg-base-200" : "pl-[18px]"}`}
                  >
                    <span className="figures block text-[19px]">{c.part.number}</span>
                    <span className="block text-[19px] leading-tight">{c.part.name}</span>
                    <span className={`block text-[19px] font-bold ${tone}`}>
                      {VERDICT_MARKS[c.verdict]}
                      {VERDICT_SAYS[c.verdict]}
                    </span>
                  </button>
                </li>
              );
            })}
            {part.candidates.length === 0 && <li className="says danger">The catalogue has nothing of this kind.</li>}
          </ol>
        )}
        <KeyLink keyName="M" href={`/jobs/${number}/match/make/${part.id}`} className="mt-2">
          No part available?
        </KeyLink>
      </section>
      <section aria-label="Verdict" className="flex min-h-0 flex-col">
        {shown && !part.missing && (
          <>
            <div className="flex items-baseline justify-between gap-4">
              <h2 className="text-[26px]">{shown.part.name}</h2>
              <span className="figures shrink-0 text-[28px]">{money(shown.part.price, currency)}</span>
            </div>
            <p className="hush pb-1 text-[19px]">
              {whereToBeHad(shown.part, part.offers, currency)}
              {shown.part.note && ` · ${shown.part.note}`}
            </p>
            {shown.verdict === "possible" && <p className="says measured mb-1">{settleFirst(shown)}</p>}
            <div className="min-h-0 flex-1 overflow-y-auto">
              <table className="w-full table-fixed text-left text-[18px]">
                <colgroup>
                  <col className="w-[122px]" />
                  <col className="w-[98px]" />
                  <col className="w-[98px]" />
                  <col />
                </colgroup>
                <thead>
                  <tr className="border-b-2 border-base-content">
                    <th className="py-1">Criterion</th>
                    <th>Wanted</th>
                    <th>Offered</th>
                    <th>Verdict, and why</th>
                  </tr>
                </thead>
                <tbody>
                  {shown.criteria.map((c) => {
                    const { icon: Icon, says, tone } = MARKS[c.verdict];
                    return (
                      <tr key={c.criterion} className="border-b-2 border-base-300 align-top">
                        <th scope="row" className="py-1 pr-2 font-semibold">
                          {c.criterion}
                        </th>
                        <td className="figures pt-1.5 pr-2 text-[16px] break-words">{c.wanted}</td>
                        <td className="figures pt-1.5 pr-2 text-[16px] break-words">{c.offered}</td>
                        <td className="py-1">
                          <span className={`inline-flex items-center gap-1 font-bold ${tone}`}>
                            <Icon size={18} strokeWidth={3} aria-hidden="true" /> {says}
                          </span>
                          <span>: {c.says}</span>
                        </td>
                      </tr>
                    );
                  })}
                </tbody>
              </table>
            </div>
            <div className="flex gap-2 pt-2 [&>:first-child]:flex-1">
              {part.chosen === shown.part.number ? (
                <p className="says good flex items-center text-[23px] font-semibold">✓ Chosen</p>
              ) : (
                <KeyButton
                  keyName=" "
                  look={shown.verdict === "no" ? "warn" : "main"}
                  onPress={() => void take()}
                  disabled={shown.verdict === "no"}
                  className="justify-center"
                >
                  {shown.verdict === "no" ? "Does not fit" : "Take this one"}
                </KeyButton>
              )}
              {part.chosen && (
                <KeyButton keyName="Z" onPress={() => void run(choose, { part: part.id, chosen: null })}>
                  Take back
                </KeyButton>
              )}
            </div>
          </>
        )}
      </section>
    </div>
  );
}
