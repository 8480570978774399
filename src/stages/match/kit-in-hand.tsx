"use client";

import { gotFromLine } from "@/core/job/got-line";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { typedFields, useDraft } from "../saving/use-draft";
import { useFieldFault } from "../saving/use-field-fault";
import { takeKitInHand } from "./actions";
import type { KitPart } from "./match-view";

const BECOMES = ["new", "stays", "out"] as const;
type Becomes = (typeof BECOMES)[number];
const SAYS: Readonly<Record<Becomes, string>> = {
  new: "goes in new",
  stays: "stays as it is",
  out: "stays out",
};

/**
 * A kit in hand, in one gesture: which it is, its number and price in one line, and a tick for each part that came
 * off. It is one thing, and is priced once.
 */
export function KitInHand({
  parts,
  currency,
  draft,
  onDone,
}: {
  parts: readonly KitPart[];
  currency: string;
  draft: unknown;
  onDone: () => void;
}) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [typed, setTyped] = useDraft("match.kit", draft, typedFields, {});
  const line = typed.line ?? "";
  const { says = "", number = "", price = "" } = gotFromLine(line);
  const becomes = (p: KitPart): Becomes =>
    BECOMES.find((b) => b === typed[p.id]) ?? (p.renew ? "new" : "stays");
  const ids = (what: Becomes): string[] => parts.filter((p) => becomes(p) === what).map((p) => p.id);
  const take = async (): Promise<void> => {
    const result = await run(takeKitInHand, {
      says,
      kitNumber: number,
      price,
      renews: ids("new"),
      staysOut: ids("out"),
    });
    if (!fault.took(result)) return;
    setTyped({});
    onDone();
  };
  return (
    <section aria-label="Kit in hand" className="flex min-h-0 flex-col gap-3 overflow-y-auto">
      <h2 className="text-[28px]">A kit in hand</h2>
      <label className="words">
        Which kit, its number, what the customer pays for it
        <input
          className="field"
          value={line}
          placeholder="Ombray service kit, no. SK-40, 38.50"
          onChange={(e) => {
            const { value } = e.target;
            setTyped((now) => ({ ...now, line: value }));
          }}
        />
        {(number || price) && (
          <span className="hush text-[18px]">
            {[says, number && `number ${number}`, price && `${price} ${currency} for the whole kit`]
              .filter(Boolean)
              .join(" · ")}
          </span>
        )}
        {["says", "renews", "staysOut", "price"].map((f) => (
          <FaultLine key={f} says={fault.at(f)} />
        ))}
      </label>
      <ul aria-label="What becomes of what came off" className="flex flex-col gap-1">
        {parts.map((p) => (
          <li key={p.id} className="flex items-center gap-2">
            <span className="min-w-0 flex-1 truncate text-[20px]">{p.name}</span>
            {BECOMES.map((b) => (
              <button
                key={b}
                type="button"
                className="key-button small !min-h-[48px]"
                aria-pressed={becomes(p) === b}
                aria-label={`${p.name} ${SAYS[b]}`}
                onClick={() => setTyped((now) => ({ ...now, [p.id]: b }))}
              >
                {SAYS[b]}
              </button>
            ))}
          </li>
        ))}
      </ul>
      <KeyButton keyName=" " look="main" className="justify-center" onPress={() => void take()}>
        The kit goes in
      </KeyButton>
    </section>
  );
}
