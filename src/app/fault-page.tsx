"use client";

import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";

/** Something that nobody foresaw. What was typed is still in the browser and in the shop. */
export function FaultPage({ reset, digest }: { reset: () => void; digest: string | undefined }) {
  return (
    <main className="mx-auto flex max-w-[760px] flex-col gap-5 p-16">
      <h1 className="text-[44px]">This screen could not be shown.</h1>
      <p className="text-[22px]">
        What you typed is kept, and the other screens work. Try again; if it comes back, restart the program on the shop’s computer
        {digest ? ` and tell whoever looks after it the mark ${digest}` : ""}.
      </p>
      <div className="flex gap-3">
        <KeyButton keyName=" " look="main" onPress={reset}>
          Try again
        </KeyButton>
        <KeyLink keyName="Home" href="/">
          The board
        </KeyLink>
      </div>
    </main>
  );
}
