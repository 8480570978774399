"use client";

import { type Candidate, takenFrom } from "@/core/match/candidates/rank";
import { VERDICT_SAYS } from "@/core/match/candidates/verdict";
import type { SupplierOffer } from "@/core/match/catalogue/catalogue-part";
import { money, priceSaid } from "@/core/quantity/money";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { choose } from "./actions";
import { CriteriaTable } from "./criteria-table";
import type { MatchPart } from "./match-part";

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
  const says = `Possible: ${open.join("; ")}`;
  return /[.?]$/.test(says) ? says : `${says}.`;
}

/** A kit opened: its pieces, and what each would be by itself. */
function InTheKit({ inside }: { inside: NonNullable<Candidate["inside"]> }) {
  return (
    <ul aria-label="In the kit" className="mb-1 text-[18px]">
      {inside.map((p) => (
        <li
          key={p.number}
          className="grid grid-cols-[minmax(0,1fr)_auto] gap-3 border-b-2 border-base-300 py-0.5"
        >
          <span>
            {p.qty > 1 && `${p.qty} × `}
            {p.name} <span className="figures text-[16px]">{p.number === p.name ? "" : p.number}</span>
          </span>
          <span className={p.verdict === "no" ? "text-error" : p.verdict ? "font-bold text-success" : "hush"}>
            {p.verdict ? VERDICT_SAYS[p.verdict].toLowerCase() : "another part"}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** One candidate on every criterion, and the key that takes it. */
export function CandidateVerdict({
  part,
  shown,
  currency,
  onTake,
}: {
  part: MatchPart;
  shown: Candidate;
  currency: string;
  onTake: () => void;
}) {
  const { run } = useJob();
  const takes = takenFrom(shown);
  return (
    <section aria-label="Verdict" className="flex min-h-0 flex-col">
      <div className="flex items-baseline justify-between gap-4">
        <h2 className="text-[26px]">{shown.part.name}</h2>
        <span className="figures shrink-0 text-[28px]">{priceSaid(shown.part.price, currency)}</span>
      </div>
      <p className="hush pb-1 text-[19px]">
        {whereToBeHad(shown.part, part.offers, currency)}
        {shown.part.note && ` · ${shown.part.note}`}
      </p>
      {shown.verdict === "possible" && <p className="says measured mb-1">{settleFirst(shown)}</p>}
      {shown.inside && <InTheKit inside={shown.inside} />}
      <CriteriaTable criteria={shown.criteria} />
      <div className="flex gap-2 pt-2 [&>:first-child]:flex-1">
        {part.chosen === takes ? (
          <p className="says good flex items-center text-[23px] font-semibold">✓ Chosen</p>
        ) : (
          <KeyButton
            keyName=" "
            look={shown.verdict === "no" ? "warn" : "main"}
            onPress={onTake}
            disabled={shown.verdict === "no"}
            className="justify-center"
          >
            {shown.verdict === "no"
              ? "Does not fit"
              : takes === shown.part.number
                ? "Take this one"
                : `Take ${takes} out of it`}
          </KeyButton>
        )}
        {part.chosen && (
          <KeyButton keyName="Z" onPress={() => void run(choose, { part: part.id, chosen: null })}>
            Take back
          </KeyButton>
        )}
      </div>
    </section>
  );
}
