"use client";

import { useRouter } from "next/navigation";
import { useId, useState } from "react";
import type { KnownCustomer } from "@/store/forget";
import { whatFailed } from "@/ui/ask-shop";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { FieldRow } from "../settings/field-row";
import { FORGET_FIELD } from "../settings/shop-fields";
import { ShopHead } from "../shop-head";
import { forget } from "./actions";

interface Shown {
  readonly q: string;
  readonly customers: readonly KnownCustomer[];
  readonly months: number;
  readonly isOwner: boolean;
}

/** Who the shop knows, and how one of them is forgotten. */
export function CustomersScreen({ q, customers, months, isOwner }: Shown) {
  const router = useRouter();
  const [typed, setTyped] = useState(q);
  const id = useId();
  return (
    <div className="min-h-dvh min-w-[1000px]">
      <ShopHead title="Customers" back={{ href: "/settings", says: "The shop" }} />
      <main className="grid grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-10 p-5">
        <section aria-label="The book of customers">
          <form
            className="flex items-end gap-3"
            onSubmit={(e) => {
              e.preventDefault();
              router.push(`/customers?q=${encodeURIComponent(typed)}`);
            }}
          >
            <label htmlFor={id} className="flex-1 text-[20px] font-semibold">
              Name or contact
              <input
                id={id}
                className="field"
                autoComplete="off"
                maxLength={80}
                value={typed}
                onChange={(e) => setTyped(e.target.value)}
              />
            </label>
            <button type="submit" className="key-button">
              Look
            </button>
          </form>
          {customers.length === 0 && <p className="py-3 text-[21px]">Nobody of that name is known.</p>}
          <ul className="pt-2">
            {customers.map((c) => (
              <CustomerRow key={`${c.name}\n${c.contact}`} customer={c} isOwner={isOwner} />
            ))}
          </ul>
        </section>
        <section aria-label="Forgetting">
          <h2 className="border-b-2 border-base-content text-[24px]">Forgetting</h2>
          <FieldRow field={FORGET_FIELD} value={months} unit="mo." />
          <p className="py-3 text-[20px]">
            Who is forgotten is taken out of the book and out of every job: name, contact, who agreed to a
            quote, and the name where it was written into a text. The jobs themselves stay.
          </p>
          <p className="hush text-[19px]">
            Back-ups made before keep what they have, until they are thinned out. A first name alone, or one
            that is misspelt, cannot be found.
          </p>
        </section>
      </main>
    </div>
  );
}

function CustomerRow({ customer, isOwner }: { readonly customer: KnownCustomer; readonly isOwner: boolean }) {
  const router = useRouter();
  const [sure, setSure] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const { name, contact, jobs } = customer;
  const go = async (): Promise<void> => {
    const answer = await forget({ name, contact }).catch((e) => ({
      ok: false as const,
      says: whatFailed(e, "Not forgotten", "Try again."),
    }));
    setFault(answer.ok ? null : answer.says);
    if (answer.ok) router.refresh();
  };
  return (
    <li className="border-b-2 border-base-300 py-2">
      <div className="flex min-h-[54px] items-center gap-3 text-[21px]">
        <span className="min-w-0 flex-1">
          <b>{name}</b>
          <span className="hush block text-[18px]">
            {contact || "no contact"} · {jobs} {jobs === 1 ? "job" : "jobs"}
          </span>
        </span>
        {isOwner &&
          (sure ? (
            <>
              <KeyButton look="warn" onPress={() => void go()}>
                Yes, forget {name}
              </KeyButton>
              <KeyButton keyName="Escape" onPress={() => setSure(false)}>
                Keep
              </KeyButton>
            </>
          ) : (
            <KeyButton onPress={() => setSure(true)}>Forget</KeyButton>
          ))}
      </div>
      <FaultLine says={fault} />
    </li>
  );
}
