import type { LedgerRow } from "@/core/order/hardware-ledger";

/** So many of what was replaced are told without a press. */
const SHOWN = 2;

/**
 * Out and back, like two columns of a pencilled count; what is open stands in vermilion, with a word.
 *
 * @param missing pieces that were not there when their step went back
 * @param uncounted kinds of pieces of which nobody said how many there were: the ledger is not closed with
 *   them
 */
export function Ledger({
  rows,
  uncounted = 0,
  missing = 0,
  fresh,
  replaced = [],
  foot,
}: {
  rows: readonly LedgerRow[];
  uncounted?: number;
  missing?: number;
  /** what goes in new, and never came off */
  fresh?: { readonly of: number; readonly in: number } | undefined;
  /** what did not go back, and what went in instead */
  replaced?: readonly { readonly old: string; readonly how: string }[];
  foot?: string;
}) {
  const open = rows.reduce((sum, r) => sum + r.out - r.back - (r.aside ?? 0), 0) - missing;
  return (
    <section aria-label="Ledger" className="border-2 border-base-content p-3.5">
      <div className="flex justify-between text-[22px] font-bold">
        <span>Out</span>
        <span>Back</span>
      </div>
      <ul>
        {rows.map((r) => (
          <li key={r.row} className="flex items-baseline gap-3 border-t-2 border-base-300 py-1">
            <span className="figures w-[2.4ch] text-[22px]">{r.out}</span>
            <span className="flex-1 text-[19px]">
              {r.row}
              {r.aside !== undefined && (
                <span className="block text-[17px] leading-tight">{r.aside} stays out</span>
              )}
            </span>
            <span
              className={`figures text-[22px] ${r.back + (r.aside ?? 0) < r.out ? "text-error" : "text-success"}`}
            >
              {r.back}
            </span>
          </li>
        ))}
      </ul>
      {fresh && fresh.of > 0 && (
        <p className="flex items-baseline gap-3 border-t-2 border-base-content py-1 text-[19px]">
          <span className="figures w-[2.4ch] text-[22px]">{fresh.of}</span>
          <span className="flex-1">new, goes in</span>
          <span className={`figures text-[22px] ${fresh.in < fresh.of ? "text-error" : "text-success"}`}>
            {fresh.in}
          </span>
        </p>
      )}
      {replaced.length > 0 && (
        <details className="border-t-2 border-base-content py-1 text-[18px]" open={replaced.length <= SHOWN}>
          <summary className="cursor-pointer">{replaced.length} replaced</summary>
          <ul aria-label="Replaced" className="max-h-[7.5em] overflow-y-auto">
            {replaced.map((r) => (
              <li key={`${r.old} ${r.how}`} className="leading-tight">
                <b>{r.old}</b>: {r.how}
              </li>
            ))}
          </ul>
        </details>
      )}
      <p
        className={`mt-2 text-[20px] font-bold ${open || missing || uncounted ? "text-error" : "text-success"}`}
        role="status"
      >
        {open
          ? `${open} still on the Mat${missing ? `, ${missing} missing` : ""}`
          : missing
            ? `Not closed: ${missing} missing`
            : uncounted
              ? "Not closed: not everything was counted"
              : "The ledger balances: nothing left over"}
      </p>
      {foot && <p className="hush text-[18px]">{foot}</p>}
    </section>
  );
}
