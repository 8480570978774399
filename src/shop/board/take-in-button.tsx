"use client";

import { useTransition } from "react";
import { KeyButton } from "@/ui/key-button";

export function TakeInButton({ takeIn }: { takeIn: () => Promise<void> }) {
  const [busy, start] = useTransition();
  return (
    <KeyButton keyName="N" look="main" className="!min-h-[50px] !text-[22px]" disabled={busy} onPress={() => start(takeIn)}>
      Take in
    </KeyButton>
  );
}
