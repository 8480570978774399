"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { whatFailed } from "@/ui/ask-shop";
import { FaultLine } from "@/ui/fault-line";
import { forgetOfJob } from "./actions";

/** Takes the personal part of one job out: asked twice, since it does not come back. */
export function ForgetHere({ number, name }: { readonly number: string; readonly name: string }) {
  const router = useRouter();
  const [sure, setSure] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const go = async (): Promise<void> => {
    const answer = await forgetOfJob({ number }).catch((e) => ({
      ok: false as const,
      says: whatFailed(e, "Not forgotten", "Try again."),
    }));
    setFault(answer.ok ? null : answer.says);
    if (answer.ok) router.refresh();
  };
  return (
    <div className="flex items-center gap-3 pb-3 text-[19px]">
      <span className="min-w-0 flex-1">
        The customer, {name}, stands in this job. Forgotten here, the name and contact do not come back.
      </span>
      {sure ? (
        <>
          <button type="button" className="key-button warn" onClick={() => void go()}>
            Yes, forget {name} in {number}
          </button>
          <button type="button" className="key-button" onClick={() => setSure(false)}>
            Keep
          </button>
        </>
      ) : (
        <button type="button" className="key-button" onClick={() => setSure(true)}>
          Forget the customer
        </button>
      )}
      <FaultLine says={fault} />
    </div>
  );
}
