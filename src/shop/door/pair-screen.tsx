"use client";

import { useId, useState } from "react";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { PageTitle } from "@/ui/page-title";
import { askDoor } from "./ask-door";

/**
 * What a device of the local net sees before it is paired: the code that stands on the shop's own screen, and
 * what it is called.
 */
export function PairScreen({ code: begun }: { readonly code: string }) {
  const [code, setCode] = useState(begun);
  const [name, setName] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const ids = { code: useId(), name: useId() };
  const pair = async (): Promise<void> => {
    setBusy(true);
    const says = await askDoor("/api/door/pair", "POST", { code, name });
    setFault(says);
    setBusy(false);
    if (says === null) location.assign("/sign-in");
  };
  return (
    <main className="mx-auto flex max-w-[640px] flex-col gap-4 p-8">
      <PageTitle says="Pair this device" />
      <h1 className="border-b-4 border-secondary pb-3 text-[38px]">Pair this device with the shop</h1>
      <p className="text-[21px]">
        On the shop’s own computer: The shop, People and devices, “Pair a device”. The code is good for ten
        minutes and for one device.
      </p>
      <label htmlFor={ids.code} className="text-[21px] font-semibold">
        Code
      </label>
      <input
        id={ids.code}
        className="field figure tracking-[0.2em] uppercase"
        autoComplete="off"
        autoCapitalize="characters"
        spellCheck={false}
        maxLength={12}
        value={code}
        onChange={(e) => setCode(e.target.value)}
      />
      <label htmlFor={ids.name} className="text-[21px] font-semibold">
        What this device is called
      </label>
      <input
        id={ids.name}
        className="field"
        autoComplete="off"
        placeholder="Tablet at the bench"
        maxLength={40}
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <FaultLine says={fault} className="text-[20px]" />
      <KeyButton look="main" keyName="Enter" onPress={() => void pair()} disabled={busy}>
        Pair it
      </KeyButton>
    </main>
  );
}
