"use client";

import { useId, useState } from "react";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { PageTitle } from "@/ui/page-title";
import { PickRow } from "@/ui/pick-row";
import { askDoor } from "./ask-door";
import { PinField } from "./pin-field";

/** Who works at this device now: a name and its PIN. */
export function SignInScreen({
  people,
  next,
}: {
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly next: string;
}) {
  const [who, setWho] = useState<number | null>(people.length === 1 ? (people[0]?.id ?? null) : null);
  const [pin, setPin] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const id = useId();
  const signIn = async (): Promise<void> => {
    if (who === null) return setFault("Say who you are first.");
    setBusy(true);
    const says = await askDoor("/api/door/sign-in", "POST", { person: who, pin });
    setBusy(false);
    setPin("");
    setFault(says);
    if (says === null) location.assign(next);
  };
  const figure = (n: string): void => setPin((p) => (p.length < 8 ? p + n : p));
  return (
    <main className="mx-auto grid max-w-[900px] gap-6 p-8 md:grid-cols-2">
      <PageTitle says="Sign in" />
      <h1 className="border-b-4 border-secondary pb-3 text-[38px] md:col-span-2">Who is it?</h1>
      <section aria-label="Who works here">
        {people.length === 0 && (
          <p className="text-[21px]">
            Nobody is known yet. On the shop’s own computer: The shop, People and devices.
          </p>
        )}
        <ul>
          {people.map((p) => (
            <li key={p.id}>
              <PickRow on={p.id === who} onPick={() => setWho(p.id)}>
                {p.name}
              </PickRow>
            </li>
          ))}
        </ul>
      </section>
      <section aria-label="PIN" className="flex flex-col gap-3">
        <label htmlFor={id} className="text-[21px] font-semibold">
          PIN
        </label>
        <PinField id={id} value={pin} onType={setPin} onEnter={() => void signIn()} />
        <FaultLine says={fault} className="text-[20px]" />
        <div className="grid grid-cols-3 gap-2">
          {["1", "2", "3", "4", "5", "6", "7", "8", "9"].map((n) => (
            <button
              key={n}
              type="button"
              className="key-button figures h-[64px] justify-center text-[26px]"
              onClick={() => figure(n)}
            >
              {n}
            </button>
          ))}
          <button type="button" className="key-button h-[64px] justify-center" onClick={() => setPin("")}>
            Clear
          </button>
          <button
            type="button"
            className="key-button figures h-[64px] justify-center text-[26px]"
            onClick={() => figure("0")}
          >
            0
          </button>
        </div>
        <KeyButton look="main" onPress={() => void signIn()} disabled={busy}>
          Sign in
        </KeyButton>
      </section>
    </main>
  );
}
