"use client";

import { useRouter } from "next/navigation";
import { useState, useTransition } from "react";
import { whatFailed } from "@/ui/ask-shop";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";

export type TakeIn = () => Promise<{ readonly number: string } | { readonly says: string }>;

/** Begins a job, and goes to it. */
export function TakeInButton({ takeIn }: { takeIn: TakeIn }) {
  const router = useRouter();
  const [busy, start] = useTransition();
  const [fault, setFault] = useState<string | null>(null);
  const begin = async (): Promise<void> => {
    const answer = await takeIn().catch((e) => ({ says: whatFailed(e, "Not taken in", "Try again.") }));
    if ("says" in answer) setFault(answer.says);
    else router.push(`/jobs/${answer.number}/take-in`);
  };
  return (
    <div className="relative">
      <KeyButton
        keyName="N"
        look="main"
        className="!min-h-[50px] !text-[22px]"
        disabled={busy}
        onPress={() => start(begin)}
      >
        Take in
      </KeyButton>
      {fault && (
        <div className="absolute top-[58px] right-0 z-30 w-[420px] border-2 border-error bg-base-100 p-3 shadow-lg">
          <FaultLine says={fault} className="text-[20px]" />
        </div>
      )}
    </div>
  );
}
